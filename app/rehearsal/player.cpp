// SPDX-License-Identifier: GPL-3.0-or-later
#include "rehearsal/player.hpp"

#include <algorithm>

namespace chalkline::app {
namespace {

constexpr int frame = 16;  // ms between two moments shown

}  // namespace

Player::Player(PlanKeeper& plans, QObject* parent) : QObject(parent), plans_(plans) {
    clock_.setInterval(frame);
    clock_.setTimerType(Qt::PreciseTimer);
    connect(&clock_, &QTimer::timeout, this, &Player::pass);
    connect(&plans_, &PlanKeeper::changed, this, &Player::take_plan);
    take_plan();
}

void Player::take_plan() {
    if (plans_.planned().plan == plan_) return;
    plan_ = plans_.planned().plan;
    rehearsal_ = plan_ ? std::make_unique<planning::Rehearsal>(plan_) : nullptr;
    clock_.stop();
    looped_.reset();
    // A plan is first seen whole, as it will lie there.
    seconds_ = rehearsal_ ? rehearsal_->total() : 0;
    Q_EMIT replaced();
    Q_EMIT moved();
}

double Player::share() const {
    return rehearsal_ && rehearsal_->total() > 0 ? seconds_ / rehearsal_->total() : 0;
}

planning::Rehearsal::Instant Player::now() const {
    return rehearsal_ ? rehearsal_->at(seconds_) : planning::Rehearsal::Instant{};
}

void Player::show(double seconds) {
    seconds_ = rehearsal_ ? std::clamp(seconds, 0.0, rehearsal_->total()) : 0;
    Q_EMIT moved();
}

void Player::show_share(double share) {
    if (rehearsal_) show(share * rehearsal_->total());
}

void Player::play(bool on) {
    if (!rehearsal_ || on == playing()) return;
    if (on) {
        const auto span = looped_span();
        const double end = span ? span->to : rehearsal_->total();
        if (seconds_ >= end || (span && seconds_ < span->from)) seconds_ = span ? span->from : 0;
        since_.start();
        clock_.start();
    } else {
        clock_.stop();
    }
    Q_EMIT moved();
}

void Player::pass() {
    const double end = looped_span() ? looped_span()->to : rehearsal_->total();
    seconds_ += static_cast<double>(since_.restart()) / 1000 * pace_;
    if (seconds_ >= end) {
        seconds_ = end;
        if (const auto span = looped_span())
            seconds_ = span->from;
        else
            clock_.stop();
    }
    Q_EMIT moved();
}

void Player::to_next_step() {
    if (!rehearsal_) return;
    constexpr double slack = 1e-6;
    for (const auto& span : rehearsal_->spans())
        if (span.from > seconds_ + slack) return show(span.from);
    show(seconds_ >= rehearsal_->total() - slack ? 0 : rehearsal_->total());
}

void Player::loop(std::optional<job::Id> step) {
    looped_ = step;
    if (const auto span = looped_span()) seconds_ = std::clamp(seconds_, span->from, span->to);
    Q_EMIT moved();
}

std::optional<planning::Rehearsal::Span> Player::looped_span() const {
    if (!rehearsal_ || !looped_) return {};
    for (const auto& span : rehearsal_->spans())
        if (span.step == *looped_) return span;
    return {};
}

void Player::show_travel(bool on) {
    travel_ = on;
    Q_EMIT moved();
}

}  // namespace chalkline::app
