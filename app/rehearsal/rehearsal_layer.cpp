// SPDX-License-Identifier: GPL-3.0-or-later
#include "rehearsal/rehearsal_layer.hpp"

#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr std::size_t ways_shown = 120;  // operations before this moment whose dark ways are drawn
constexpr int reach = 6;                 // px around a click

}  // namespace

RehearsalLayer::RehearsalLayer(Player& player, const theme::Roles& roles, QObject* parent)
    : QObject(parent), player_(player), roles_(roles) {
    connect(&player_, &Player::moved, this, &RehearsalLayer::changed);
}

void RehearsalLayer::begin_drawing(const View& view) {
    if (player_.plan() == drawn_plan_ && view.camera == drawn_camera_ && view.size == drawn_size_) return;
    if (player_.plan() != drawn_plan_) moments_.reset();
    drawn_plan_ = player_.plan();
    drawn_camera_ = view.camera;
    drawn_size_ = view.size;
    // In device pixels, so that it is as sharp as the screen.
    Camera fine = view.camera;
    fine.scale *= view.pixel_ratio;
    fine.origin *= view.pixel_ratio;
    drawing_.start(
        [plan = drawn_plan_, fine, view](const Watch& watch) {
            auto moments = std::make_shared<BurnMoments>(
                draw_moments(*plan, fine, view.size * view.pixel_ratio, view.tones, view.spot, watch));
            moments->burned.setDevicePixelRatio(view.pixel_ratio);
            moments->camera = view.camera;
            return moments;
        },
        [this](std::shared_ptr<BurnMoments> moments) {
            moments_ = std::move(moments);
            Q_EMIT changed();
        });
}

void RehearsalLayer::paint(QPainter& painter, const View& view) {
    if (!player_.rehearsal()) return;
    if (dose_) return paint_dose(painter, view.camera);
    begin_drawing(view);
    if (moments_) {
        painter.save();
        // A picture of an older view is shown where it belongs until the new one is there.
        const double zoom = view.camera.scale / moments_->camera.scale;
        painter.translate(view.camera.origin - moments_->camera.origin * zoom);
        painter.scale(zoom, zoom);
        painter.drawImage(0, 0, moments_->at(player_.seconds()));
        painter.restore();
    }
    if (player_.travel_shown()) paint_ways(painter, view.camera);
    paint_head(painter, view.camera);
}

void RehearsalLayer::show_dose(std::shared_ptr<const planning::DoseGrid> dose) {
    dose_ = std::move(dose);
    dose_image_ = {};
    if (dose_ && dose_->columns > 0) {
        // Burn tones by the logarithm, over a factor of a hundred below the hottest.
        const float most = *std::max_element(dose_->dose.begin(), dose_->dose.end());
        dose_image_ = QImage(dose_->columns, dose_->rows, QImage::Format_ARGB32_Premultiplied);
        for (int y = 0; y < dose_->rows; ++y)
            for (int x = 0; x < dose_->columns; ++x) {
                const float here = dose_->at(x, y);
                const double share = here > 0 ? 1 + std::log10(here / most) / 2 : 0;
                dose_image_.setPixelColor(
                    x, dose_->rows - 1 - y,
                    here > 0 ? roles_.burn_tone(std::clamp(share, 0.0, 1.0)) : QColor(0, 0, 0, 0));
            }
    }
    Q_EMIT changed();
}

void RehearsalLayer::paint_dose(QPainter& painter, const Camera& camera) const {
    const geometry::Point far{dose_->corner.x, dose_->corner.y + dose_->rows * dose_->cell};
    const QSizeF size(dose_->columns * dose_->cell * camera.scale, dose_->rows * dose_->cell * camera.scale);
    painter.drawImage(QRectF(camera.to_screen(far), size), dose_image_);
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(roles_.attention, 2));
    for (const planning::HotSpot& hot : dose_->hot)
        painter.drawEllipse(camera.to_screen(hot.place), 9, 9);
}

bool RehearsalLayer::click(QPointF place) {
    const auto moment = when(place);
    if (moment) player_.show(*moment);
    return moment.has_value();
}

/// The dark ways that led here, the older the fainter.
void RehearsalLayer::paint_ways(QPainter& painter, const Camera& camera) const {
    const auto& rehearsal = *player_.rehearsal();
    const auto now = player_.now();
    const auto& operations = rehearsal.plan().program.operations;
    if (now.operation >= operations.size()) return;
    const std::size_t first = now.operation > ways_shown ? now.operation - ways_shown : 0;
    QColor chalk = roles_.accent;
    for (std::size_t i = first; i <= now.operation; ++i) {
        if (!std::holds_alternative<machine::Travel>(operations[i].act)) continue;
        const geometry::Point to = i == now.operation ? now.head : std::get<machine::Travel>(operations[i].act).to;
        chalk.setAlphaF(0.15F +
                        0.65F * static_cast<float>(i - first + 1) / static_cast<float>(now.operation - first + 1));
        painter.setPen(QPen(chalk, 1));
        painter.drawLine(camera.to_screen(rehearsal.start_of(i)), camera.to_screen(to));
    }
}

void RehearsalLayer::paint_head(QPainter& painter, const Camera& camera) const {
    const auto now = player_.now();
    const QPointF at = camera.to_screen(now.head);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(roles_.accent, 2));
    for (const QPointF way : {QPointF(1, 1), QPointF(-1, 1), QPointF(1, -1), QPointF(-1, -1)})
        painter.drawLine(at + way * 7, at + way * 14);
    painter.setPen(Qt::NoPen);
    painter.setBrush(now.power > 0 ? roles_.running : roles_.accent);
    painter.drawEllipse(at, now.power > 0 ? 4 : 3, now.power > 0 ? 4 : 3);
}

std::optional<double> RehearsalLayer::when(QPointF place) const {
    if (!moments_) return {};
    const double ratio = moments_->burned.devicePixelRatio();
    return moments_->when((place * ratio).toPoint(), static_cast<int>(reach * ratio));
}

}  // namespace chalkline::app
