// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/self_test_desk.hpp"

namespace chalkline::app {

namespace event = machine::event;

SelfTestDesk::SelfTestDesk(MachineLink& machine, QObject* parent) : QObject(parent), machine_(machine) {
    timer_.setInterval(100);
    connect(&timer_, &QTimer::timeout, this, &SelfTestDesk::go_on);
    connect(&machine_, &MachineLink::wire, this, [this](const QStringList& lines) {
        for (const QString& line : lines)
            take(event::Wire{line.startsWith("> "), line.mid(2).toStdString()});
    });
    connect(&machine_, &MachineLink::changed, this, [this] { take(event::Changed{machine_.snapshot()}); });
    connect(&machine_, &MachineLink::finished, this,
            [this](machine::Activity activity) { take(event::Finished{activity}); });
    connect(&machine_, &MachineLink::stopped, this,
            [this](machine::Activity activity, bool position_sure, bool beam_off) {
                take(event::Stopped{activity, position_sure, beam_off});
            });
    connect(&machine_, &MachineLink::failed, this, [this](machine::Activity activity, const Error& error) {
        take(event::Failed{activity, error});
    });
}

SelfTestDesk::~SelfTestDesk() {
    stop();
}

std::optional<wording::Message> SelfTestDesk::obstacle() const {
    const auto because = [](std::string_view code) { return wording::describe(Error{std::string(code), {}, {}, 0}); };
    if (!machine_.connected()) return because(machine::error::not_ready);
    if (machine_.snapshot().state == machine::ControllerState::alarm) return because(machine::error::locked);
    if (!machine_.free()) return because(machine::error::busy);
    if (!machine_.snapshot().position_sure) return because(machine::place_unknown(machine_.profile()));
    return {};
}

void SelfTestDesk::begin() {
    if (running() || obstacle()) return;
    std::vector<std::string> wire;
    for (const QString& line : machine_.wire_log())
        wire.push_back(line.toStdString());
    test_.emplace(machine_.profile(), machine_.snapshot(), wire);
    clock_.start();
    timer_.start();
    Q_EMIT changed();
}

void SelfTestDesk::stop() {
    timer_.stop();
    if (running()) machine_.stop();
}

void SelfTestDesk::take(const machine::Event& happened) {
    if (timer_.isActive()) test_->take(happened);
}

void SelfTestDesk::go_on() {
    const std::size_t told = test_->lines().size();
    if (auto request = test_->next(static_cast<double>(clock_.elapsed()) / 1000)) machine_.ask(std::move(*request));
    if (test_->over()) timer_.stop();
    if (test_->over() || test_->lines().size() != told) Q_EMIT changed();
}

}  // namespace chalkline::app
