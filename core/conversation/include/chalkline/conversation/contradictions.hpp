// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/profile.hpp>

#include <string>
#include <vector>

namespace chalkline::machine {

namespace error {
/// Parameters `key` (of the profile's JSON), `mine`, `other`, `setting` (`$130`).
inline constexpr std::string_view profile_contradicted = "machine.profile-contradicted";
}  // namespace error

/// One figure of the profile that the controller states otherwise.
struct Contradiction {
    int setting = 0;  ///< `$N` of the reference interface; 0: stated in another way
    std::string key;  ///< of the profile's JSON
    std::string mine, other;
    /// The head would run against an end or its own limits, or every power would be another one. What is only slower
    /// or faster than planned is no danger.
    bool dangerous = false;
    bool operator==(const Contradiction&) const = default;
};

/// Holds a profile against what the controller says of itself: home ($22, $23, $27), full power ($30), speeds and
/// accelerations ($110 … $121), travel ($130, $131). What it does not say contradicts nothing. Of a machine that turns
/// a round piece only the axes that are still flat are compared.
std::vector<Contradiction> contradictions(const MachineProfile& profile, const ControllerFacts& facts);

/// The first dangerous one as an error.
Result<void> require_no_contradiction(const MachineProfile& profile, const ControllerFacts& facts);

}  // namespace chalkline::machine
