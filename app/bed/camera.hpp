// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <QPointF>
#include <QSizeF>
#include <QTransform>

namespace chalkline::app {

/// The one place where bed millimetres (Y away from the maker) become screen pixels (Y down).
struct Camera {
    double scale = 2;  ///< px a mm
    QPointF origin;    ///< where bed 0, 0 is on the screen

    bool operator==(const Camera&) const = default;
    QPointF to_screen(geometry::Point p) const { return {origin.x() + p.x * scale, origin.y() - p.y * scale}; }
    geometry::Point to_bed(QPointF p) const { return {(p.x() - origin.x()) / scale, (origin.y() - p.y()) / scale}; }
    QTransform transform() const { return {scale, 0, 0, -scale, origin.x(), origin.y()}; }

    /// Shows the whole box in the view with a margin.
    static Camera fitting(const geometry::Box& box, QSizeF view, double margin) {
        Camera camera;
        if (box.empty() || view.width() <= 2 * margin || view.height() <= 2 * margin) return camera;
        camera.scale = std::min((view.width() - 2 * margin) / std::max(1.0, box.width()),
                                (view.height() - 2 * margin) / std::max(1.0, box.height()));
        const auto middle = box.centre();
        camera.origin = {view.width() / 2 - middle.x * camera.scale, view.height() / 2 + middle.y * camera.scale};
        return camera;
    }
    /// Zooms by a factor so that the bed place under `fixed` stays there.
    void zoom(double factor, QPointF fixed) {
        const double wanted = std::clamp(scale * factor, 0.05, 400.0);
        origin = fixed + (origin - fixed) * (wanted / scale);
        scale = wanted;
    }
};

}  // namespace chalkline::app
