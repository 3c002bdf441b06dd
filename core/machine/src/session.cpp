// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/line_session.hpp>
#include <chalkline/machine/realtime_session.hpp>

#include <fmt/format.h>

namespace chalkline::machine {

std::unique_ptr<Session> make_session(const MachineProfile& profile, double greeting_wait) {
    if (profile.dialect == Dialect::line_by_line) return std::make_unique<LineSession>(profile, greeting_wait);
    return std::make_unique<RealtimeSession>(profile, greeting_wait);
}

Result<void> require_on_bed(const MachineProfile& profile, geometry::Point place) {
    if (profile.bed().contains(place, limit_slack)) return {};
    return fail(error::beyond_limits, {{"x", fmt::format("{:.3f}", place.x)}, {"y", fmt::format("{:.3f}", place.y)}});
}

}  // namespace chalkline::machine
