// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/recipes/library.hpp>
#include <chalkline/swatches/ready_cards.hpp>

#include <algorithm>
#include <cmath>
#include <iterator>

namespace chalkline::swatches {
namespace {

using recipes::Recipe;
using steps::StepKind;

constexpr std::array ready_words{"engrave dose", "cut through", "score line", "line pitch",  "backlash", "kerf",
                                 "focus",        "grey ramp",   "dot gain",   "round piece", "corners",  "curves"};

/// Recipes of this kind that fit, worked out for the material and machine where needed; best first.
std::vector<Recipe> known(StepKind kind, const Ground& ground) {
    const recipes::Wish wish{{ground.machine.name, ground.machine.beam}, ground.material, ground.thickness, kind};
    std::vector<Recipe> fitting = recipes::fitting(ground.recipes, wish);
    for (Recipe& recipe : fitting)
        if (recipes::fit(recipe, wish) == recipes::Fit::to_be_scaled)
            recipe = recipes::scaled(recipe, wish, ground.machine.top_speed());
    return fitting;
}

/// What a step of this kind begins with: the best recipe, else what is careful anywhere. Cuts of one pass: the card
/// shows what one does.
steps::StepSettings base_settings(StepKind kind, const Ground& ground) {
    const auto recipes = known(kind, ground);
    steps::StepSettings settings = recipes.empty() ? steps::starting_point(kind) : recipes.front().settings;
    settings.speed = std::min(settings.speed, ground.machine.top_speed());
    return settings;
}

/// A range round a value: from its `down`th part to `up` times it, on round numbers.
Axis round_about(Variable what, double value, double down, double up, int count, bool geometric,
                 const machine::MachineProfile& machine) {
    const auto [least, most] = bounds_of(what, machine);
    Axis axis{
        what, round_number(std::max(value / down, least)), std::min(round_number(value * up), most), count, geometric,
        {}};
    return adjusted(axis, machine).axis;
}

Axis range(Variable what, double first, double last, int count) {
    return {what, first, last, count, false, {}};
}

Card blank(StepKind kind, Shape shape, const Ground& ground) {
    Card card;
    card.material = ground.material;
    card.thickness = ground.thickness;
    card.machine = ground.machine.name;
    card.date = ground.date;
    card.settings = base_settings(kind, ground);
    card.shape = shape;
    const steps::StepSettings text = base_settings(StepKind::score, ground);
    card.text.power = text.power;
    card.text.speed = text.speed;
    return card;
}

/// Half of what the swatches on one side lie apart.
double half_step(const std::vector<double>& values, std::size_t at, bool up) {
    if (up) return at + 1 < values.size() ? (values[at + 1] - values[at]) / 2 : 0;
    return at > 0 ? (values[at] - values[at - 1]) / 2 : 0;
}

Axis finer(const Axis& axis, int place, const machine::MachineProfile& machine) {
    const auto values = values_of(axis);
    if (axis.what == Variable::dither || values.size() < 2) return axis;
    const auto at = static_cast<std::size_t>(std::clamp(place, 0, static_cast<int>(values.size()) - 1));
    double down = half_step(values, at, false), up = half_step(values, at, true);
    // At the card's border the other side's step stands in: what is best may lie beyond it.
    if (down == 0) down = up;
    if (up == 0) up = down;
    Axis close = axis;
    close.geometric = false;
    close.count = 5;
    const auto [least, most] = bounds_of(axis.what, machine);
    const double step = axis.what == Variable::passes ? 1 : round_number((down + up) / (close.count - 1));
    // The swatch itself stays a value of the card.
    const double below = std::min(std::floor(down / step + 0.5), std::floor((values[at] - least) / step + 1e-9));
    const double above = std::min(std::floor(up / step + 0.5), std::floor((most - values[at]) / step + 1e-9));
    close.first = values[at] - std::max(below, 0.0) * step;
    close.last = values[at] + std::max(above, 0.0) * step;
    close.count = static_cast<int>(std::max(below, 0.0) + std::max(above, 0.0)) + 1;
    return close;
}

}  // namespace

std::string_view to_text(Ready ready) {
    return ready_words[static_cast<std::size_t>(ready)];
}

Axis proposed(Variable variable, StepKind kind, const Ground& ground) {
    const auto recipes = known(kind, ground);
    const steps::StepSettings base = base_settings(kind, ground);
    const machine::MachineProfile& machine = ground.machine;
    switch (variable) {
        case Variable::power: {
            const double most = machine.beam.comfortable.percent();
            return adjusted(range(variable, round_number(most / 5), most, 6), machine).axis;
        }
        case Variable::speed: {
            double slowest = base.speed.mm_per_min(), fastest = slowest;
            for (const Recipe& recipe : recipes) {
                slowest = std::min(slowest, recipe.settings.speed.mm_per_min());
                fastest = std::max(fastest, recipe.settings.speed.mm_per_min());
            }
            // Known materials need less room for surprises.
            const double room = recipes.empty() ? 3.2 : 2.4;
            const double top = machine.top_speed().mm_per_min();
            Axis axis{variable,
                      round_number(std::max(slowest / room, 10.0)),
                      std::min(round_number(fastest * room), top),
                      6,
                      true,
                      {}};
            return adjusted(axis, machine).axis;
        }
        case Variable::line_pitch:
            return round_about(variable, machine.spot, 3, 1.2, 6, false, machine);
        case Variable::passes:
            return range(variable, 1, 4, 4);
        case Variable::dither: {
            Axis axis;
            axis.what = variable;
            axis.methods = {raster::DitherMethod::floyd_steinberg, raster::DitherMethod::jarvis,
                            raster::DitherMethod::atkinson, raster::DitherMethod::blue_noise,
                            raster::DitherMethod::halftone};
            axis.count = static_cast<int>(axis.methods.size());
            return axis;
        }
        case Variable::focus:
            return range(variable, -3, 3, 7);
        case Variable::shift:
            return range(variable, -0.2, 0.2, 9);
        case Variable::kerf:
            return range(variable, 0.05, 0.4, 8);
        case Variable::perforation:
            return range(variable, 0.5, 3, 6);
        case Variable::corner_power:
            return adjusted(range(variable, 10, base.power.percent(), 5), machine).axis;
        case Variable::tone:
            return range(variable, 0, 100, 11);
    }
    return {};
}

Card ready_card(Ready ready, const Ground& ground) {
    const auto two = [&](StepKind kind, Shape shape, Variable across, Variable up) {
        Card card = blank(kind, shape, ground);
        card.columns = proposed(across, kind, ground);
        card.rows = proposed(up, kind, ground);
        return card;
    };
    switch (ready) {
        case Ready::engrave_dose:
            return two(StepKind::engrave, Shape::square, Variable::speed, Variable::power);
        case Ready::score_line:
            return two(StepKind::score, Shape::tick, Variable::speed, Variable::power);
        case Ready::cut_through: {
            Card card = two(StepKind::cut, Shape::flap, Variable::speed, Variable::passes);
            card.width = card.height = 10;
            card.rows = range(Variable::passes, 1, 3, 3);
            return card;
        }
        case Ready::line_pitch: {
            Card card = two(StepKind::engrave, Shape::square, Variable::line_pitch, Variable::speed);
            card.rows->count = 3;
            return card;
        }
        case Ready::backlash: {
            Card card = two(StepKind::engrave, Shape::bars, Variable::shift, Variable::speed);
            card.rows->count = 3;
            return card;
        }
        case Ready::kerf: {
            Card card = blank(StepKind::cut, Shape::slot, ground);
            card.columns = proposed(Variable::kerf, StepKind::cut, ground);
            card.width = 12;
            card.height = std::max(8.0, ground.thickness.mm() + 4);
            return card;
        }
        case Ready::focus: {
            Card card = blank(StepKind::score, Shape::tick, ground);
            card.columns = proposed(Variable::focus, StepKind::score, ground);
            card.width = 6;
            card.height = 12;
            return card;
        }
        case Ready::grey_ramp: {
            Card card = blank(StepKind::picture, Shape::patch, ground);
            card.columns = proposed(Variable::tone, StepKind::picture, ground);
            // The answer is the response: none may be in the way of it.
            card.settings.picture.response.clear();
            card.settings.picture.spare_gain = false;
            return card;
        }
        case Ready::dot_gain: {
            Card card = two(StepKind::picture, Shape::patch, Variable::tone, Variable::line_pitch);
            card.columns = range(Variable::tone, 20, 80, 4);
            card.rows = range(Variable::line_pitch, 0.08, 0.2, 4);
            card.settings.picture.response.clear();
            card.settings.picture.spare_gain = false;
            return card;
        }
        case Ready::round_piece: {
            Card card = blank(StepKind::engrave, Shape::square, ground);
            card.columns = range(Variable::power, card.settings.power.percent(), card.settings.power.percent(), 1);
            card.rows = proposed(Variable::speed, StepKind::engrave, ground);
            card.width = 12;
            card.text.marks = false;
            return card;
        }
        case Ready::corners: {
            Card card = two(StepKind::score, Shape::corners, Variable::speed, Variable::corner_power);
            card.width = 14;
            card.columns.count = 4;
            return card;
        }
        case Ready::curves: {
            Card card = two(StepKind::score, Shape::curves, Variable::speed, Variable::power);
            card.width = card.height = 10;
            card.rows->count = 3;
            return card;
        }
    }
    return {};
}

Card finer_card(const Card& card, CellPlace round, const machine::MachineProfile& machine) {
    Card close = card;
    close.columns = finer(card.columns, round.column, machine);
    if (card.rows) close.rows = finer(*card.rows, round.row, machine);
    close.left_out.clear();
    close.code.clear();
    close.name.clear();
    return close;
}

}  // namespace chalkline::swatches
