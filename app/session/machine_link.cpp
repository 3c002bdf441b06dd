// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/machine_link.hpp"

#include <chalkline/base/file.hpp>

#include <sys/prctl.h>

#include <QCoreApplication>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QPointer>
#include <QStandardPaths>
#include <algorithm>
#include <csignal>

namespace chalkline::app {
MachineLink::MachineLink(machine::MachineProfile profile, QObject* parent)
    : QObject(parent), flat_(std::move(profile)), profile_(flat_) {}

MachineLink::~MachineLink() = default;

bool MachineLink::active() const {
    using machine::Activity;
    const auto activity = snapshot_.activity;
    return snapshot_.connected && activity != Activity::none && activity != Activity::connecting;
}

void MachineLink::connect_to(const QString& address, const QString& name) {
    disconnect_now();
    name_ = name;
    address_ = address;
    sample_ = false;
    const auto parsed = link::parse_address(address.toStdString());
    if (!parsed) {
        Q_EMIT failed(machine::Activity::connecting, parsed.error());
        return;
    }
    const int connection = ++connection_;
    // The listener runs on the link's thread: hand the events over and return at once.
    const QPointer<MachineLink> self(this);
    const auto listen = [self, connection, stand = stand_](std::vector<machine::Event> events) {
        tell(*stand, events);
        QMetaObject::invokeMethod(
            QCoreApplication::instance(),
            [self, connection, events = std::move(events)]() mutable {
                if (self && self->connection_ == connection) self->take(std::move(events));
            },
            Qt::QueuedConnection);
    };
    const auto left = places_.find(address);
    runner_ = std::make_unique<link::SessionRunner>(*parsed, profile_, listen,
                                                    left == places_.end() ? std::nullopt : std::optional(left->second));
}

/// What is known of the place now is believed when the same board is connected again.
void MachineLink::keep_place() {
    if (snapshot_.remembered_place)
        places_[address_] = *snapshot_.remembered_place;
    else if (snapshot_.connected && snapshot_.activity != machine::Activity::connecting)
        places_.erase(address_);
}

void MachineLink::tell(Stand& stand, const std::vector<machine::Event>& events) {
    std::shared_ptr<link::Witness> witness;
    {
        const std::lock_guard lock(stand.guard);
        witness = stand.witness;
    }
    if (!witness) return;
    for (const machine::Event& happened : events)
        if (const auto* changed = std::get_if<machine::event::Changed>(&happened)) witness->saw(changed->now);
}

void MachineLink::set_witness(std::shared_ptr<link::Witness> witness) {
    const std::lock_guard lock(stand_->guard);
    stand_->witness = std::move(witness);
}

void MachineLink::connect_to_sample(const QString& port) {
    connect_to(port, tr("simulated"));
    sample_ = true;
}

void MachineLink::set_profile(const machine::MachineProfile& flat) {
    flat_ = flat;
    use(wall_ ? machine::on_wall(flat_, *wall_) : flat_);
}

void MachineLink::put_in(const std::optional<machine::RoundWall>& wall) {
    wall_ = wall;
    use(wall_ ? machine::on_wall(flat_, *wall_) : flat_);
}

void MachineLink::use(const machine::MachineProfile& profile) {
    if (profile == profile_) return;
    const bool figures = !machine::plans_alike(profile_, profile);
    machine::MachineProfile but_for_hours = profile_;
    but_for_hours.beam_hours = profile.beam_hours;
    const bool only_hours = but_for_hours == profile;
    profile_ = profile;
    // The conversation goes by all of it but the hours.
    if (!only_hours) ask([profile](machine::Session& s) { return s.set_profile(profile); });
    Q_EMIT profile_changed(figures);
    Q_EMIT changed();
}

void MachineLink::disconnect_now() {
    ++connection_;
    runner_.reset();
    snapshot_ = {};
    Q_EMIT changed();
}

void MachineLink::ask(link::SessionRunner::Request request) {
    if (runner_) runner_->request(std::move(request));
}

void MachineLink::home() {
    ask([](machine::Session& s) { return s.home(); });
}
void MachineLink::unlock() {
    ask([](machine::Session& s) { return s.unlock(); });
}
void MachineLink::turn_laser_mode_on() {
    ask([](machine::Session& s) { return s.turn_laser_mode_on(); });
}
void MachineLink::jog(geometry::Point by) {
    ask([by, speed = Speed::mm_per_min(profile_.jog_speed)](machine::Session& s) { return s.jog(by, speed); });
}
void MachineLink::go_to(geometry::Point place) {
    ask([place, speed = profile_.top_speed()](machine::Session& s) { return s.go_to(place, speed); });
}
void MachineLink::jog_on(geometry::Point way) {
    ask([way, speed = Speed::mm_per_min(profile_.jog_speed)](machine::Session& s) { return s.jog_on(way, speed); });
}
void MachineLink::cancel_jog() {
    ask([](machine::Session& s) -> Result<void> {
        s.cancel_jog();
        return {};
    });
}
void MachineLink::move_focus(double by) {
    ask([by](machine::Session& s) { return s.move_focus(by); });
}
void MachineLink::pulse(Power power, Duration time) {
    ask([power, time](machine::Session& s) { return s.pulse(power, time); });
}
void MachineLink::probe() {
    ask([](machine::Session& s) { return s.probe(); });
}
void MachineLink::stands_at(geometry::Point place) {
    ask([place](machine::Session& s) { return s.stands_at(place); });
}
void MachineLink::release_motors() {
    ask([](machine::Session& s) { return s.release_motors(); });
}
void MachineLink::wake() {
    ask([](machine::Session& s) -> Result<void> {
        s.wake();
        return {};
    });
}
void MachineLink::write_setting(int number, double value) {
    ask([number, value](machine::Session& s) { return s.write_setting(number, value); });
}
void MachineLink::send_line(const QString& text) {
    ask([text = text.toStdString()](machine::Session& s) { return s.send_line(text); });
}
void MachineLink::trim_by(int speed, int power) {
    // Counted from where the session stands: what is shown here may be a moment old.
    ask([speed, power](machine::Session& s) {
        return s.trim(s.snapshot().speed_trim + speed, s.snapshot().power_trim + power);
    });
}
void MachineLink::hold() {
    ask([](machine::Session& s) -> Result<void> {
        s.hold();
        return {};
    });
}
void MachineLink::resume() {
    ask([](machine::Session& s) -> Result<void> {
        s.resume();
        return {};
    });
}
void MachineLink::stop() {
    ask([](machine::Session& s) -> Result<void> {
        s.stop();
        return {};
    });
}
void MachineLink::frame(const clearance::ClearedProgram& program) {
    ask([program](machine::Session& s) { return s.frame(program); });
}
void MachineLink::run_stored(const machine::StoredFile& file, const clearance::ClearedProgram& copy) {
    ask([file, copy](machine::Session& s) { return s.run_stored(file, copy); });
}
void MachineLink::burn(const clearance::ClearedProgram& program, const machine::Trims& trims) {
    ask([program, trims](machine::Session& s) { return s.burn(program, trims); });
}

namespace {

/// A session at work takes no other figures; those that were changed meanwhile reach it when it rests.
Result<void> catch_up(machine::Session& session, const machine::MachineProfile& profile) {
    machine::MachineProfile known = session.profile();
    known.beam_hours = profile.beam_hours;
    const bool rests = session.snapshot().activity == machine::Activity::none;
    return rests && known != profile ? session.set_profile(profile) : Result<void>();
}

bool ends_work(const machine::Event& happened) {
    namespace event = machine::event;
    return std::holds_alternative<event::Finished>(happened) || std::holds_alternative<event::Stopped>(happened) ||
           std::holds_alternative<event::Failed>(happened);
}

}  // namespace

void MachineLink::take(std::vector<machine::Event> events) {
    namespace event = machine::event;
    QStringList lines;
    bool moved = false;
    const bool was_pressed = snapshot_.pins.find('S') != std::string::npos;
    bool pressed = false;
    for (const machine::Event& happened : events) {
        if (const auto* e = std::get_if<event::Wire>(&happened)) {
            lines << (e->sent ? "> " : "< ") + QString::fromStdString(e->text);
        } else if (const auto* c = std::get_if<event::Changed>(&happened)) {
            snapshot_ = c->now;
            keep_place();
            moved = true;
            pressed = pressed || snapshot_.pins.find('S') != std::string::npos;
        }
    }
    wire_log_ += lines;
    constexpr qsizetype most_lines = 5000;
    if (wire_log_.size() > most_lines) wire_log_.remove(0, wire_log_.size() - most_lines);
    if (!lines.isEmpty()) Q_EMIT wire(lines);
    if (std::any_of(events.begin(), events.end(), ends_work))
        ask([profile = profile_](machine::Session& s) { return catch_up(s, profile); });
    if (moved) Q_EMIT changed();
    if (pressed && !was_pressed) Q_EMIT start_pressed();
    for (const machine::Event& happened : events) {
        if (std::holds_alternative<event::Ready>(happened)) Q_EMIT ready();
        if (const auto* e = std::get_if<event::Finished>(&happened)) Q_EMIT finished(e->activity);
        if (const auto* e = std::get_if<event::Stopped>(&happened))
            Q_EMIT stopped(e->activity, e->position_sure, e->beam_off);
        if (const auto* e = std::get_if<event::Failed>(&happened)) Q_EMIT failed(e->activity, e->error);
        if (const auto* e = std::get_if<event::Refused>(&happened)) Q_EMIT failed(machine::Activity::none, e->error);
    }
}

// ---------------------------------------------------------------- the simulated machine

namespace {

/// Beside the application when installed, in the build tree otherwise.
QString simulator_program() {
    const QDir here(QCoreApplication::applicationDirPath());
    for (const char* place :
         {"chalkline-sim", "../tools/simulator/chalkline-sim", "../../tools/simulator/chalkline-sim"})
        if (QFileInfo(here.filePath(place)).isExecutable()) return here.filePath(place);
    return QStandardPaths::findExecutable("chalkline-sim");
}

}  // namespace

SampleMachine::SampleMachine(QObject* parent) : QObject(parent) {
    // However Chalkline ends, its simulated machine ends with it.
    process_.setChildProcessModifier([] { ::prctl(PR_SET_PDEATHSIG, SIGTERM); });
    connect(&process_, &QProcess::readyReadStandardOutput, this, [this] {
        if (process_.readAllStandardOutput().startsWith("serving")) Q_EMIT serving(folder_.filePath("port"));
    });
    connect(&process_, &QProcess::errorOccurred, this, [this](QProcess::ProcessError error) {
        if (error == QProcess::FailedToStart) Q_EMIT failed(process_.errorString());
    });
    waiting_.setInterval(100);
    connect(&waiting_, &QTimer::timeout, this, [this] {
        if (!QFile::exists(picture())) return;
        waiting_.stop();
        Q_EMIT pictured(picture());
    });
}

SampleMachine::~SampleMachine() {
    process_.disconnect(this);
    // There is nothing it should still write down.
    process_.kill();
    process_.waitForFinished(3000);
}

void SampleMachine::start(const machine::MachineProfile& profile, const QString& speed) {
    if (process_.state() != QProcess::NotRunning) {
        Q_EMIT serving(folder_.filePath("port"));
        return;
    }
    const QString program = simulator_program();
    if (program.isEmpty()) {
        Q_EMIT failed("chalkline-sim");
        return;
    }
    write_piece();
    QFile file(folder_.filePath("machine.json"));
    if (file.open(QIODevice::WriteOnly)) file.write(QByteArray::fromStdString(machine::to_json(profile)));
    file.close();
    process_.start(program, {"--pty", folder_.filePath("port"), "--profile", file.fileName(), "--speed", speed,
                             "--settings", folder_.filePath("settings"), "--picture", picture(), "--round-piece",
                             folder_.filePath("piece.json")});
}

void SampleMachine::put_in(const std::optional<machine::RoundWall>& wall) {
    if (wall == wall_) return;
    wall_ = wall;
    write_piece();
}

void SampleMachine::lay_fresh_piece() {
    ++piece_;
    write_piece();
}

/// What lies on the simulated bed or is held by its rotary; it looks there while it is at rest. What differs from
/// before is another piece; what describes no wall is a flat one.
void SampleMachine::write_piece() const {
    const std::string piece = wall_ ? machine::to_json(*wall_) : std::string();
    (void)replace_file(folder_.filePath("piece.json").toStdString(), piece + std::string(piece_, '\n'));
}

void SampleMachine::take_picture() {
    if (process_.state() != QProcess::Running) return;
    QFile::remove(picture());
    ::kill(static_cast<pid_t>(process_.processId()), SIGUSR1);
    waiting_.start();
}

std::optional<geometry::Point> MachineLink::head() const {
    const auto& now = snapshot();
    return now.connected && now.position_sure ? now.position : std::nullopt;
}

}  // namespace chalkline::app
