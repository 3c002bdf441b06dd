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
            draw(operations[drawn_], machine::parts_of(operations[drawn_]), onto, tones, spot);
    }
    painter.drawImage(0, 0, picture_);
    if (!begun || complete) return;
    const geometry::Point before = at_;
    draw(operations[under_way], done.part + 1, painter, tones, spot);
    at_ = before;
}

void BurnLayer::draw_doubtful(QPainter& painter, const std::shared_ptr<const planning::Plan>& plan,
                              const Camera& camera, machine::ProgramPlace after, machine::ProgramPlace up_to,
                              const QColor& colour) {
    if (doubtful_.plan != plan || doubtful_.after != after || doubtful_.up_to != up_to) {
        doubtful_ = {plan, after, up_to, {}};
        machine::walk(plan->program, [&](const machine::Stretch& stretch) {
            if (stretch.power > 0 && stretch.place > after && stretch.place <= up_to)
                doubtful_.lines.emplace_back(stretch.from, stretch.to);
        });
    }
    constexpr double width = 2.5;  // px: seen also where it is short
    painter.setPen(QPen(colour, width, Qt::SolidLine, Qt::FlatCap));
    for (const auto& [from, to] : doubtful_.lines)
        painter.drawLine(camera.to_screen(from), camera.to_screen(to));
}

void BurnLayer::draw(const machine::Operation& operation, std::int32_t parts, QPainter& painter,
                     const std::map<int, QColor>& tones, double spot) {
    const auto tone = tones.find(operation.origin.step);
    const auto line = [&](geometry::Point from, geometry::Point to) {
        if (tone == tones.end()) return;
        painter.setPen(QPen(tone->second, std::max(spot * camera_.scale, 1.2), Qt::SolidLine, Qt::FlatCap));
        painter.drawLine(camera_.to_screen(from), camera_.to_screen(to));
    };
    if (const auto* travel = std::get_if<machine::Travel>(&operation.act)) {
        at_ = travel->to;
    } else if (const auto* trace = std::get_if<machine::Trace>(&operation.act)) {
        for (std::int32_t i = 0; i < parts; ++i) {
            const geometry::Point to = plan_->program.points[trace->first + static_cast<std::uint32_t>(i)];
            if (trace->power > 0) line(at_, to);
            at_ = to;
        }
    } else if (const auto* sweep = std::get_if<machine::Sweep>(&operation.act)) {
        const double whole = geometry::distance(at_, sweep->to) * 1000;
        double gone = 0;
        for (std::int32_t i = 0; i < parts; ++i) {
            const machine::Run& run = plan_->program.runs[sweep->first + static_cast<std::uint32_t>(i)];
            const auto place = [&](double micrometres) {
                return geometry::between(at_, sweep->to, micrometres / whole);
            };
            if (run.power > 0) line(place(gone), place(gone + run.micrometres));
            gone += run.micrometres;
        }
        at_ = sweep->to;
    }
}

}  // namespace chalkline::app
