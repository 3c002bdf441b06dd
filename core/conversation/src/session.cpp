// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/line_session.hpp>
#include <chalkline/conversation/realtime_session.hpp>
#include <chalkline/conversation/route.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <limits>

namespace chalkline::machine {

Result<void> require_cleared_for(const clearance::ClearedProgram& program, const MachineProfile& profile) {
    if (!burns_alike(program.machine(), profile)) return fail(error::cleared_for_another);
    return {};
}

std::unique_ptr<Session> make_session(const MachineProfile& profile, double greeting_wait,
                                      const std::optional<RememberedPlace>& before) {
    if (profile.dialect == Dialect::line_by_line) return std::make_unique<LineSession>(profile, greeting_wait, before);
    return std::make_unique<RealtimeSession>(profile, greeting_wait, before);
}

bool RememberedPlace::leads_to(geometry::Point machine_at) const {
    geometry::Point from = machine;
    double least = geometry::distance(machine_at, from);
    for (const geometry::Point to : ahead) {
        least = std::min(least, geometry::distance(machine_at, geometry::nearest_on_line(machine_at, from, to)));
        from = to;
    }
    return least < Route::near;
}

std::string_view place_unknown(const MachineProfile& profile) {
    return profile.turning ? error::beginning_unknown : error::position_unknown;
}

Result<void> require_no_turning_home(const MachineProfile& profile) {
    const bool turns = profile.turning && profile.turning->axis != RotaryAxis::fourth;
    return turns ? fail(error::home_would_turn) : Result<void>();
}

Result<void> require_on_bed(const MachineProfile& profile, geometry::Point place) {
    if (profile.bed().contains(place, limit_slack)) return {};
    return fail(error::beyond_limits, {{"x", fmt::format("{:.3f}", place.x)}, {"y", fmt::format("{:.3f}", place.y)}});
}

double room_on_bed(const geometry::Box& bed, geometry::Point at, geometry::Point way) {
    const auto room = [](double from, double step, double low, double high) {
        if (std::abs(step) < 1e-9) return std::numeric_limits<double>::infinity();
        return ((step > 0 ? high : low) - from) / step;
    };
    return std::min(room(at.x, way.x, bed.left, bed.right), room(at.y, way.y, bed.bottom, bed.top));
}

Result<void> require_reach(const MachineProfile& profile, geometry::Point at, geometry::Point by) {
    if (require_on_bed(profile, at + by)) return {};
    const double size = geometry::distance(by, {});
    const double left = size > 0 ? std::max(0.0, room_on_bed(profile.bed(), at, by * (1 / size))) : 0;
    return fail(error::beyond_reach, {{"by", fmt::format("{:.1f}", size)}, {"left", fmt::format("{:.1f}", left)}});
}

}  // namespace chalkline::machine
