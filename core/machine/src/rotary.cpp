// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/rotary.hpp>

#include <nlohmann/json.hpp>

#include <numbers>

namespace chalkline::machine {

std::string to_json(const RoundWall& wall) {
    const nlohmann::ordered_json json{
        {"length_mm", wall.length}, {"turn_mm", wall.turn}, {"driven_turn_mm", wall.driven_turn}};
    return json.dump() + "\n";
}

std::optional<RoundWall> parse_wall(std::string_view text) {
    const auto json = nlohmann::json::parse(text, nullptr, false);
    if (!json.is_object()) return {};
    RoundWall wall;
    for (const auto& [key, value] : {std::pair<const char*, double*>{"length_mm", &wall.length},
                                     {"turn_mm", &wall.turn},
                                     {"driven_turn_mm", &wall.driven_turn}}) {
        if (!json.contains(key) || !json.at(key).is_number()) return {};
        *value = json.at(key);
        if (!(*value > 0 && *value < 1e5)) return {};
    }
    return wall;
}

double counted_per_mm(const Rotary& rotary, const RoundWall& wall) {
    if (rotary.drive == RotaryDrive::chuck) return rotary.per_turn / wall.turn;
    // A millimetre of the wall where the drawing is measured is more or less where the rollers touch it.
    const double roller_turn = std::numbers::pi * rotary.roller_diameter;
    return rotary.per_turn / roller_turn * wall.driven_turn / wall.turn;
}

MachineProfile on_wall(MachineProfile machine, const RoundWall& wall) {
    const Rotary& rotary = machine.rotary;
    const double per_mm = rotary.axis == RotaryAxis::none ? 1 : counted_per_mm(rotary, wall);
    if (rotary.axis == RotaryAxis::fourth) {
        machine.max_rate_y = rotary.max_rate;
        machine.acceleration_y = rotary.acceleration;
    }
    machine.turning = Turning{rotary.axis, per_mm};
    machine.width = wall.length;
    machine.depth = wall.turn;
    machine.max_rate_y /= per_mm;
    machine.acceleration_y /= per_mm;
    machine.home = HomeCorner::none;
    machine.rest.reset();
    machine.places.clear();
    machine.own_lines = {};
    machine.pointer = {};
    return machine;
}

}  // namespace chalkline::machine
