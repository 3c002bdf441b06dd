// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/head_hand.hpp"

#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr double head_reach = 12;  // px round the head where it is grasped
constexpr int glide_time = 120;    // ms: a little less than from one report to the next
constexpr int glide_every = 16;    // ms

}  // namespace

HeadHand::HeadHand(MachineLink& machine, const theme::Roles& roles, QObject* parent)
    : QObject(parent), machine_(machine), roles_(roles) {
    gliding_.setInterval(glide_every);
    connect(&gliding_, &QTimer::timeout, this, &HeadHand::glide);
    connect(&machine_, &MachineLink::changed, this, &HeadHand::follow);
    follow();
}

void HeadHand::follow() {
    const auto head = machine_.head();
    if (head == newest_) return;
    newest_ = head;
    if (!head || !shown_) {
        shown_ = head;
        gliding_.stop();
        return Q_EMIT moved();
    }
    before_ = shown_;
    since_.start();
    gliding_.start();
}

void HeadHand::glide() {
    const double share = std::min(1.0, static_cast<double>(since_.elapsed()) / glide_time);
    if (share >= 1) gliding_.stop();
    if (newest_ && before_) shown_ = *before_ + (*newest_ - *before_) * share;
    Q_EMIT moved();
}

bool HeadHand::press(QPointF at, const Camera& camera) {
    if (!machine_.free() || !newest_) return false;
    const QPointF off = at - camera.to_screen(*newest_);
    if (std::hypot(off.x(), off.y()) > head_reach) return false;
    dragged_ = newest_;
    return true;
}

void HeadHand::move(QPointF at, const Camera& camera) {
    if (!dragged_) return;  // given up on the way
    const geometry::Box bed = machine_.profile().bed();
    const geometry::Point place = camera.to_bed(at);
    dragged_ = geometry::Point{std::clamp(place.x, bed.left, bed.right), std::clamp(place.y, bed.bottom, bed.top)};
}

void HeadHand::release() {
    if (!dragged_) return;
    const geometry::Point place = *dragged_;
    dragged_.reset();
    // A mere click moves nothing.
    if (newest_ && geometry::distance(place, *newest_) > 0.05) machine_.go_to(place);
}

bool HeadHand::give_up() {
    const bool held = dragged_.has_value();
    dragged_.reset();
    return held;
}

void HeadHand::draw_ticks(QPainter& painter, QPointF at) const {
    painter.setPen(QPen(roles_.accent, 2.2, Qt::SolidLine, Qt::RoundCap));
    for (const QPointF way : {QPointF(1, 1), QPointF(-1, 1), QPointF(1, -1), QPointF(-1, -1)})
        painter.drawLine(at + way * 9, at + way * 15);
}

void HeadHand::draw(QPainter& painter, const Camera& camera) const {
    if (!shown_) return;
    const QPointF at = camera.to_screen(*shown_);
    draw_ticks(painter, at);
    painter.setPen(Qt::NoPen);
    painter.setBrush(roles_.accent);
    painter.drawEllipse(at, 3, 3);
    if (!dragged_) return;
    const QPointF to = camera.to_screen(*dragged_);
    painter.setPen(QPen(roles_.accent, 1, Qt::DashLine));
    painter.drawLine(at, to);
    draw_ticks(painter, to);
}

}  // namespace chalkline::app
