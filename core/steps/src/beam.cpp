// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/contract.hpp>
#include <chalkline/steps/beam.hpp>

#include <array>
#include <utility>

namespace chalkline::steps {
namespace {

constexpr std::array<std::pair<BeamKind, std::string_view>, 5> beam_kinds{{{BeamKind::diode, "diode"},
                                                                           {BeamKind::co2, "co2"},
                                                                           {BeamKind::fibre, "fibre"},
                                                                           {BeamKind::infrared, "infrared"},
                                                                           {BeamKind::other, "other"}}};

/// The measured piece of the curve on which something lies: its two ends.
template <class Below>
std::pair<MeasuredPower, MeasuredPower> piece_of(const Beam& beam, Below below) {
    std::pair<MeasuredPower, MeasuredPower> piece{{}, {Power::percent(100), beam.watts}};
    for (const MeasuredPower& point : beam.measured) {
        if (!below(point)) return {piece.first, point};
        piece.first = point;
    }
    // Past the last measurement the curve goes on to the stated full watts, or on in proportion.
    const bool full_stated = piece.first.power < Power::percent(100) && piece.first.watts < beam.watts;
    if (full_stated || beam.measured.empty()) return piece;
    return {{}, piece.first};
}

}  // namespace

std::string_view to_text(BeamKind kind) {
    for (const auto& [value, text] : beam_kinds)
        if (value == kind) return text;
    return {};
}

std::optional<BeamKind> parse_beam_kind(std::string_view text) {
    for (const auto& [value, word] : beam_kinds)
        if (word == text) return value;
    return {};
}

double Beam::watts_at(Power power) const {
    if (measured.empty()) return power.fraction() * watts;
    const auto [from, to] = piece_of(*this, [power](const MeasuredPower& point) { return point.power < power; });
    return from.watts + (to.watts - from.watts) * ((power - from.power) / (to.power - from.power));
}

Power Beam::power_for(double wanted) const {
    CHALKLINE_REQUIRES(wanted >= 0);
    if (measured.empty()) return Power::percent(100 * wanted / watts);
    const auto [from, to] = piece_of(*this, [wanted](const MeasuredPower& point) { return point.watts < wanted; });
    return from.power + (to.power - from.power) * ((wanted - from.watts) / (to.watts - from.watts));
}

}  // namespace chalkline::steps
