// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/camera.hpp"

#include <chalkline/job/job.hpp>

#include <QPainter>
#include <optional>
#include <vector>

namespace chalkline::app {

inline constexpr double snap_reach = 7;  // px
inline constexpr double least_drag = 3;  // px: less is a click

/// The frame round what is chosen: its box in its own directions, which are a turned motif's when it is alone.
struct HandleFrame {
    geometry::Box box;
    double angle = 0;  ///< radians

    bool empty() const { return box.empty(); }
    geometry::Transform to_bed() const { return geometry::Transform::turn(angle); }
    geometry::Point on_bed(geometry::Point own) const { return to_bed()(own); }
    geometry::Point middle() const { return on_bed(box.centre()); }
};
HandleFrame frame_of(const job::Job& job, const job::Ids& motifs);

/// What of the frame is held. Sides and corners by their place on the box: -1, 0 or 1 across and up.
struct Handle {
    enum class Kind { turn, scale } kind = Kind::scale;
    int across = 0, up = 0;
    bool operator==(const Handle&) const = default;
};

struct PlacedHandle {
    Handle handle;
    QPointF at;  ///< px
};
/// The handles of a frame on the screen. A frame without width or height has none on its sides.
std::vector<PlacedHandle> handles_of(const HandleFrame& frame, const Camera& camera);
/// Draws them with the painter's pen and brush.
void draw_handles(QPainter& painter, const std::vector<PlacedHandle>& handles);
std::optional<Handle> handle_at(const HandleFrame& frame, const Camera& camera, QPointF at);

/// The map of the bed that a handle dragged from one place to another makes of what it holds.
struct DragRules {
    bool keep_aspect = true;    ///< corners scale both ways alike
    bool about_middle = false;  ///< the middle stays instead of the far side
    bool whole_steps = false;   ///< turning goes by 15°
};
geometry::Transform dragged(const HandleFrame& frame, const Handle& handle, geometry::Point from, geometry::Point to,
                            const DragRules& rules);

}  // namespace chalkline::app
