// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/burn_layer.hpp"

#include <chalkline/machine/walk.hpp>

namespace chalkline::app {

void BurnLayer::clear() {
    plan_.reset();
    picture_ = {};
    drawn_ = 0;
}

void BurnLayer::paint(QPainter& painter, machine::ProgramPlace done, const std::shared_ptr<const planning::Plan>& plan,
                      const Camera& camera, QSize size, double pixel_ratio, const std::map<int, QColor>& tones,
                      double spot) {
    const auto& operations = plan->program.operations;
    const auto under_way = static_cast<std::size_t>(std::max<std::int64_t>(done.operation, 0));
    const bool begun = done.operation >= 0 && under_way < operations.size();
    const bool complete = begun && done.part + 1 >= machine::parts_of(operations[under_way]);
    const std::size_t whole = under_way + (complete ? 1 : 0);
    const QSize pixels = size * pixel_ratio;
    if (plan != plan_ || !(camera == camera_) || picture_.size() != pixels || whole < drawn_) {
        plan_ = plan;
        camera_ = camera;
        picture_ = QImage(pixels, QImage::Format_ARGB32_Premultiplied);
        picture_.setDevicePixelRatio(pixel_ratio);
        picture_.fill(Qt::transparent);
        drawn_ = 0;
        at_ = {};
    }
    {
        QPainter onto(&picture_);
        onto.setRenderHint(QPainter::Antialiasing);
        for (; drawn_ < std::min(whole, operations.size()); ++drawn_)
            draw(drawn_, machine::parts_of(operations[drawn_]), onto, tones, spot);
    }
    painter.drawImage(0, 0, picture_);
    if (!begun || complete) return;
    const geometry::Point before = at_;
    draw(under_way, done.part + 1, painter, tones, spot);
    at_ = before;
}

void BurnLayer::draw_doubtful(QPainter& painter, const std::shared_ptr<const planning::Plan>& plan,
                              const Camera& camera, machine::ProgramPlace after, machine::ProgramPlace up_to,
                              const QColor& colour) {
    if (doubtful_.plan != plan || doubtful_.after != after || doubtful_.up_to != up_to) {
        doubtful_ = {plan, after, up_to, {}, {}};
        machine::walk(plan->program, [&](const machine::Stretch& stretch) {
            if (stretch.power == 0 || stretch.place > up_to) return;
            if (stretch.place > after)
                doubtful_.lines.emplace_back(stretch.from, stretch.to);
            else
                doubtful_.burned_to = stretch.to;
        });
    }
    constexpr double width = 2.5;  // px: seen also where it is short
    painter.setPen(QPen(colour, width, Qt::SolidLine, Qt::FlatCap));
    for (const auto& [from, to] : doubtful_.lines)
        painter.drawLine(camera.to_screen(from), camera.to_screen(to));
    // Where nothing is doubtful the place itself is shown.
    constexpr double ring = 7;  // px
    painter.setBrush(Qt::NoBrush);
    if (doubtful_.burned_to) painter.drawEllipse(camera.to_screen(*doubtful_.burned_to), ring, ring);
}

void BurnLayer::draw(std::size_t operation, std::int32_t parts, QPainter& painter, const std::map<int, QColor>& tones,
                     double spot) {
    const auto tone = tones.find(plan_->program.operations[operation].origin.step);
    if (tone != tones.end())
        painter.setPen(QPen(tone->second, std::max(spot * camera_.scale, 1.2), Qt::SolidLine, Qt::FlatCap));
    at_ = machine::walk_operation(plan_->program, operation, at_, [&](const machine::Stretch& stretch) {
        if (stretch.power > 0 && stretch.place.part < parts && tone != tones.end())
            painter.drawLine(camera_.to_screen(stretch.from), camera_.to_screen(stretch.to));
    });
}

}  // namespace chalkline::app
