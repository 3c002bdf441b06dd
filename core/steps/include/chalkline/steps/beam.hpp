// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/units.hpp>

#include <optional>
#include <string_view>
#include <vector>

namespace chalkline::steps {

/// What makes the light: settings carry over between beams of one kind only.
enum class BeamKind { diode, co2, fibre, infrared, other };

std::string_view to_text(BeamKind kind);
std::optional<BeamKind> parse_beam_kind(std::string_view text);

/// What was measured at one power setting.
struct MeasuredPower {
    Power power;
    double watts = 0;
    bool operator==(const MeasuredPower&) const = default;
};

/// A machine's beam: how much light a power setting gives. Without measurements it is in proportion to the power.
struct Beam {
    BeamKind kind = BeamKind::diode;
    double watts = 10;                        ///< at 100 %
    std::vector<MeasuredPower> measured{};    ///< ascending in power and in watts; straight between them and from 0, 0
    Power comfortable = Power::percent(100);  ///< above this the tube or diode ages fast

    double watts_at(Power power) const;
    /// The power that gives these watts; above 100 % when the beam cannot. REQUIRES: watts ≥ 0.
    Power power_for(double wanted) const;
    bool operator==(const Beam&) const = default;
};

}  // namespace chalkline::steps
