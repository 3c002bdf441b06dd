// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/contradictions.hpp>

#include <fmt/format.h>

#include <cmath>

namespace chalkline::machine {
namespace {

/// Half a millimetre of travel and a tenth of a per cent of a rate: figures of the same machine, rounded.
constexpr double travel_slack = 0.5, share_slack = 1.001;

std::string plain(double value) {
    return fmt::format("{:.6g}", value);
}

std::string name_of(HomeCorner corner) {
    static constexpr const char* names[] = {"none", "near-left", "near-right", "far-left", "far-right"};
    return names[static_cast<int>(corner)];
}

}  // namespace

std::vector<Contradiction> contradictions(const MachineProfile& profile, const ControllerFacts& facts) {
    std::vector<Contradiction> found;
    const auto stated = [&](int number) -> std::optional<double> {
        const auto at = facts.settings.find(number);
        return at == facts.settings.end() ? std::nullopt : std::optional(at->second);
    };
    // The wall of a round piece is the bed then: what the controller knows of its own axes does not measure it.
    const bool flat_y = !profile.turning;
    const auto too_large = [&](int number, const char* key, double mine, double slack_share, double slack,
                               bool dangerous) {
        const auto other = stated(number);
        if (other && *other > 0 && mine > *other * slack_share + slack)
            found.push_back({number, key, plain(mine), plain(*other), dangerous});
    };
    if (flat_y) {
        const HomeCorner other = as_told(profile, facts).home;
        if (other != profile.home)
            found.push_back({(other == HomeCorner::none) != (profile.home == HomeCorner::none) ? 22 : 23, "home",
                             name_of(profile.home), name_of(other), true});
        if (const auto pull = stated(27);
            profile.home != HomeCorner::none && pull && *pull > 0 && std::abs(*pull - profile.homing_pull_off) > 0.01)
            found.push_back({27, "homing_pull_off_mm", plain(profile.homing_pull_off), plain(*pull), false});
    }
    if (const auto full = stated(30); full && *full != profile.full_power_s)
        found.push_back({30, "full_power_s", std::to_string(profile.full_power_s), plain(*full), true});
    too_large(130, "work_area_mm", profile.width, 1, travel_slack, true);
    too_large(110, "max_rate_mm_min", profile.max_rate_x, share_slack, 0, false);
    too_large(120, "acceleration_mm_s2", profile.acceleration_x, share_slack, 0, false);
    if (flat_y) {
        too_large(131, "work_area_mm", profile.depth, 1, travel_slack, true);
        too_large(111, "max_rate_mm_min", profile.max_rate_y, share_slack, 0, false);
        too_large(121, "acceleration_mm_s2", profile.acceleration_y, share_slack, 0, false);
    }
    return found;
}

Result<void> require_no_contradiction(const MachineProfile& profile, const ControllerFacts& facts) {
    for (const Contradiction& one : contradictions(profile, facts)) {
        if (!one.dangerous) continue;
        return fail(error::profile_contradicted,
                    {{"key", one.key},
                     {"mine", one.mine},
                     {"other", one.other},
                     {"setting", one.setting > 0 ? "$" + std::to_string(one.setting) : std::string("M211")}});
    }
    return {};
}

}  // namespace chalkline::machine
