// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/burn_layer.hpp"

#include <chalkline/machine/walk.hpp>

namespace chalkline::app {

void BurnLayer::clear() {
    plan_.reset();
    picture_ = {};
    drawn_ = 0;
}

const QImage& BurnLayer::up_to(std::size_t done, const std::shared_ptr<const planning::Plan>& plan,
                               const Camera& camera, QSize size, double pixel_ratio, const std::map<int, QColor>& tones,
                               double spot) {
    const QSize pixels = size * pixel_ratio;
    if (plan != plan_ || !(camera == camera_) || picture_.size() != pixels || done < drawn_) {
        plan_ = plan;
        camera_ = camera;
        picture_ = QImage(pixels, QImage::Format_ARGB32_Premultiplied);
        picture_.setDevicePixelRatio(pixel_ratio);
        picture_.fill(Qt::transparent);
        drawn_ = 0;
        at_ = {};
    }
    QPainter painter(&picture_);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto& operations = plan->program.operations;
    for (; drawn_ < std::min(done, operations.size()); ++drawn_)
        draw(operations[drawn_], painter, tones, spot);
    return picture_;
}

void BurnLayer::draw_between(QPainter& painter, const planning::Plan& plan, const Camera& camera,
                             machine::ProgramPlace after, machine::ProgramPlace up_to, const QColor& colour) {
    constexpr double width = 2.5;  // px: seen also where it is short
    painter.setPen(QPen(colour, width, Qt::SolidLine, Qt::FlatCap));
    machine::walk(plan.program, [&](const machine::Stretch& stretch) {
        if (stretch.power > 0 && stretch.place > after && stretch.place <= up_to)
            painter.drawLine(camera.to_screen(stretch.from), camera.to_screen(stretch.to));
    });
}

void BurnLayer::draw(const machine::Operation& operation, QPainter& painter, const std::map<int, QColor>& tones,
                     double spot) {
    const auto tone = tones.find(operation.origin.step);
    const auto line = [&](geometry::Point from, geometry::Point to) {
        if (tone == tones.end()) return;
        painter.setPen(QPen(tone->second, std::max(spot * camera_.scale, 1.2), Qt::SolidLine, Qt::FlatCap));
        painter.drawLine(camera_.to_screen(from), camera_.to_screen(to));
    };
    if (const auto* travel = std::get_if<machine::Travel>(&operation.act)) {
        at_ = travel->to;
    } else if (const auto* trace = std::get_if<machine::Trace>(&operation.act)) {
        for (std::uint32_t i = 0; i < trace->count; ++i) {
            const geometry::Point to = plan_->program.points[trace->first + i];
            line(at_, to);
            at_ = to;
        }
    } else if (const auto* sweep = std::get_if<machine::Sweep>(&operation.act)) {
        const double whole = geometry::distance(at_, sweep->to) * 1000;
        double gone = 0;
        for (std::uint32_t i = 0; i < sweep->count; ++i) {
            const machine::Run& run = plan_->program.runs[sweep->first + i];
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
