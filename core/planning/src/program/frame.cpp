// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/units_text.hpp>
#include <chalkline/geometry/circle.hpp>
#include <chalkline/geometry/hull.hpp>
#include <chalkline/machine/walk.hpp>
#include <chalkline/planning/frame.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <utility>

namespace chalkline::planning {

using geometry::Point;
using geometry::Polyline;

std::vector<Point> lit_points(const machine::Program& program) {
    std::vector<Point> points;
    std::int64_t row = -1;  // operation of the scan line whose lit ends are the last two points
    machine::walk(program, [&](const machine::Stretch& stretch) {
        if (stretch.power == 0) return;
        // Of a scan line only the ends count: a picture has millions of runs.
        if (std::exchange(row, stretch.place.operation) == stretch.place.operation &&
            std::holds_alternative<machine::Sweep>(stretch.operation.act)) {
            points.back() = stretch.to;
            return;
        }
        points.push_back(stretch.from);
        points.push_back(stretch.to);
    });
    return points;
}

std::vector<Point> lit_hull(const machine::Program& program) {
    return geometry::convex_hull(lit_points(program));
}

bool same_hull(const std::vector<Point>& a, const std::vector<Point>& b) {
    const auto within = [](const std::vector<Point>& corners, const std::vector<Point>& others) {
        return std::all_of(corners.begin(), corners.end(), [&](Point corner) {
            return std::any_of(others.begin(), others.end(),
                               [&](Point other) { return geometry::distance(corner, other) < lit_hull_slack; });
        });
    };
    return a == b || (within(a, b) && within(b, a));
}

Result<Polyline> frame_line(const std::vector<Point>& hull, FrameWay way) {
    if (hull.empty()) return fail(error::nothing_to_burn);
    if (way == FrameWay::hull && hull.size() > 2) return Polyline{hull, true};
    if (way == FrameWay::round) {
        constexpr int sides = 72;
        const geometry::Circle circle = geometry::smallest_circle(hull);
        Polyline line{{}, true};
        for (int i = 0; i < sides; ++i) {
            const double at = 2 * std::numbers::pi * i / sides;
            line.points.push_back(circle.middle + Point{std::cos(at), std::sin(at)} * circle.radius);
        }
        return line;
    }
    geometry::Box box;
    for (const Point p : hull)
        box.add(p);
    return geometry::outline(box);
}

Result<machine::Program> frame_program(const Polyline& line, const FrameRide& ride,
                                       const machine::MachineProfile& machine) {
    if (line.points.empty()) return fail(error::nothing_to_burn);
    std::vector<Point> stops = line.points;
    stops.push_back(line.points.front());
    if (ride.side) {
        const std::size_t from = *ride.side % line.points.size();
        stops = {stops[from], stops[from + 1]};
    }
    for (Point& stop : stops) {
        if (ride.with_pointer) stop = stop - machine.pointer;
        const geometry::Box bed = machine.bed();
        const double by = std::max({bed.left - stop.x, stop.x - bed.right, bed.bottom - stop.y, stop.y - bed.top});
        if (by > 0.005) return fail(error::frame_off_bed, {{"by", format_number(by, 1)}});
        stop = {std::clamp(stop.x, bed.left, bed.right), std::clamp(stop.y, bed.bottom, bed.top)};
    }
    machine::Program program;
    const Speed speed = Speed::mm_per_min(std::min(machine.frame_speed, machine.top_speed().mm_per_min()));
    const machine::PowerValue dot = machine::power_value(std::min(ride.dot, faint_power(machine)));
    if (dot == 0) {
        for (const Point stop : stops)
            program.operations.push_back({machine::Travel{stop, program.operations.empty()}, speed, {}});
        return program;
    }
    program.operations.push_back({machine::Beam{machine::BeamMode::following}, speed, {}});
    program.operations.push_back({machine::Travel{stops.front(), true}, speed, {}});
    program.points.assign(stops.begin() + 1, stops.end());
    program.operations.push_back(
        {machine::Trace{0, static_cast<std::uint32_t>(program.points.size()), dot}, speed, {}});
    program.operations.push_back({machine::Beam{machine::BeamMode::off}, speed, {}});
    return program;
}

Power faint_power(const machine::MachineProfile& machine) {
    constexpr double most_milliwatts = 50;  // whatever a profile says
    const double watts = std::min(machine.dot_milliwatts, most_milliwatts) / 1000;
    // A dot nobody can see helps nobody and hurts all the same.
    const bool visible = machine.beam.kind == steps::BeamKind::diode;
    return visible && watts > 0 ? machine.beam.power_for(watts) : Power();
}

}  // namespace chalkline::planning
