// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/handles.hpp"

#include <QLineF>
#include <cmath>
#include <numbers>

namespace chalkline::app {

using geometry::Box;
using geometry::Point;
using geometry::Transform;

namespace {

constexpr double turn_handle_away = 26;  // px beyond the far side
constexpr double handle_reach = 8;       // px
constexpr double side_needs = 44;        // px, for a handle in its middle
constexpr double smallest = 0.05;        // mm: nothing is scaled to nothing

Point corner(const Box& box, int across, int up) {
    const Point middle = box.centre();
    return {across < 0   ? box.left
            : across > 0 ? box.right
                         : middle.x,
            up < 0   ? box.bottom
            : up > 0 ? box.top
                     : middle.y};
}

/// How much a side grows when the held corner goes from `from` to `to`, measured from the side that stays.
double factor(double from, double to, double fixed, double size) {
    const double length = from - fixed;
    if (std::abs(length) < smallest) return 1;
    const double grown = (to - fixed) / length;
    return std::max(grown, smallest / std::max(size, smallest));
}

}  // namespace

HandleFrame frame_of(const job::Job& job, const job::Ids& motifs) {
    HandleFrame frame;
    if (motifs.size() == 1) {
        const job::Motif* motif = job.motif(motifs[0]);
        if (!motif) return frame;
        const Transform& place = motif->place;
        // Only when its sides still stand square on each other do they make a frame.
        const double square = geometry::dot({place.a, place.b}, {place.c, place.d});
        if (std::abs(square) < 1e-9 * std::abs(place.area())) {
            frame.angle = std::atan2(place.b, place.a);
            frame.box = art::bounds_under(*motif->art, Transform::turn(-frame.angle) * place);
            return frame;
        }
    }
    frame.box = job::bounds(job, motifs);
    return frame;
}

std::vector<PlacedHandle> handles_of(const HandleFrame& frame, const Camera& camera) {
    std::vector<PlacedHandle> handles;
    if (frame.empty()) return handles;
    const auto on_screen = [&](int across, int up) {
        return camera.to_screen(frame.on_bed(corner(frame.box, across, up)));
    };
    for (const int up : {-1, 0, 1}) {
        for (const int across : {-1, 0, 1}) {
            if (across == 0 && up == 0) continue;
            // On a short side they would cover the art.
            const bool crowded = (across == 0 && frame.box.width() * camera.scale < side_needs) ||
                                 (up == 0 && frame.box.height() * camera.scale < side_needs);
            if (crowded) continue;
            const bool flat =
                (across != 0 && frame.box.width() < smallest) || (up != 0 && frame.box.height() < smallest);
            if (!flat) handles.push_back({{Handle::Kind::scale, across, up}, on_screen(across, up)});
        }
    }
    const Point away = frame.to_bed().direction({0, turn_handle_away / camera.scale});
    handles.push_back({{Handle::Kind::turn, 0, 1}, camera.to_screen(frame.on_bed(corner(frame.box, 0, 1)) + away)});
    return handles;
}

void draw_handles(QPainter& painter, const std::vector<PlacedHandle>& handles) {
    for (const PlacedHandle& placed : handles) {
        if (placed.handle.kind == Handle::Kind::turn)
            painter.drawEllipse(placed.at, 5, 5);
        else
            painter.drawRect(QRectF(placed.at - QPointF(3.5, 3.5), QSizeF(7, 7)));
    }
}

std::optional<Handle> handle_at(const HandleFrame& frame, const Camera& camera, QPointF at) {
    // On a frame smaller than the handles there is room for moving only, and for turning.
    const bool tiny = std::max(frame.box.width(), frame.box.height()) * camera.scale < 3 * handle_reach;
    for (const PlacedHandle& placed : handles_of(frame, camera)) {
        if (tiny && placed.handle.kind == Handle::Kind::scale) continue;
        if (QLineF(placed.at, at).length() <= handle_reach) return placed.handle;
    }
    return {};
}

Transform dragged(const HandleFrame& frame, const Handle& handle, Point from, Point to, const DragRules& rules) {
    const Point middle = frame.middle();
    if (handle.kind == Handle::Kind::turn) {
        const Point before = from - middle, after = to - middle;
        double angle = std::atan2(after.y, after.x) - std::atan2(before.y, before.x);
        constexpr double step = std::numbers::pi / 12;
        if (rules.whole_steps) angle = std::round((frame.angle + angle) / step) * step - frame.angle;
        return Transform::about(middle, Transform::turn(angle));
    }
    const Transform level = Transform::turn(-frame.angle);
    const Point way = level(to) - level(from), held = corner(frame.box, handle.across, handle.up);
    const Point fixed = rules.about_middle ? frame.box.centre() : corner(frame.box, -handle.across, -handle.up);
    double x = handle.across == 0 ? 1 : factor(held.x, held.x + way.x, fixed.x, frame.box.width());
    double y = handle.up == 0 ? 1 : factor(held.y, held.y + way.y, fixed.y, frame.box.height());
    const bool corner_held = handle.across != 0 && handle.up != 0;
    if (corner_held && rules.keep_aspect) {
        // Along the diagonal, as far as the hand went along it.
        const Point diagonal = held - fixed, reached = diagonal + way;
        const double length = geometry::dot(diagonal, diagonal);
        x = y = length > 0 ? std::max(geometry::dot(reached, diagonal) / length, smallest / std::sqrt(length)) : 1;
    }
    return Transform::turn(frame.angle) * Transform::about(fixed, Transform::scale(x, y)) * level;
}

}  // namespace chalkline::app
