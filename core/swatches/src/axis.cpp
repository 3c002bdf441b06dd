// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/contract.hpp>
#include <chalkline/base/units_text.hpp>
#include <chalkline/swatches/axis.hpp>

#include <algorithm>
#include <array>
#include <cmath>

namespace chalkline::swatches {
namespace {

using steps::StepKind;

struct Facts {
    std::string_view word, unit;
    int decimals;  ///< burned beside a row
};

constexpr std::array<Facts, variable_count> facts{{{"power", "%", 1},
                                                   {"speed", "mm/min", 0},
                                                   {"line-pitch", "mm", 3},
                                                   {"passes", "", 0},
                                                   {"dither", "", 0},
                                                   {"focus", "mm", 2},
                                                   {"shift", "mm", 3},
                                                   {"kerf", "mm", 3},
                                                   {"perforation", "mm", 2},
                                                   {"corner-power", "%", 1},
                                                   {"tone", "%", 1}}};

const Facts& facts_of(Variable variable) {
    return facts[static_cast<std::size_t>(variable)];
}

constexpr std::array round_figures{1.0, 1.5, 2.0, 2.5, 3.0, 4.0, 5.0, 6.0, 8.0, 10.0};

double power_of_ten(double value) {
    return std::pow(10, std::floor(std::log10(value) + 1e-9));
}

/// Rounded so that sums of round steps stay the numbers they look like.
double tidy(double value) {
    return std::round(value * 1e6) / 1e6;
}

double two_figures(double value) {
    if (value == 0) return 0;
    const double scale = power_of_ten(std::abs(value)) / 10;
    return tidy(std::round(value / scale) * scale);
}

bool counts_whole(Variable variable) {
    return variable == Variable::passes;
}

std::string number(double value) {
    return format_number(value, 3);
}

Notice said(std::string_view code, Parameters parameters = {}) {
    return {std::string(code), std::move(parameters), 1, 0};
}

/// Both ends the right way round and within what the machine can do.
void bring_ends_in(Adjusted& made, const machine::MachineProfile& machine) {
    Axis& axis = made.axis;
    const auto [least, most] = bounds_of(axis.what, machine);
    if (axis.first > axis.last) {
        std::swap(axis.first, axis.last);
        made.said.push_back(said(notice::ends_swapped));
    }
    for (double* end : {&axis.first, &axis.last}) {
        const double before = *end;
        *end = std::isfinite(before) ? std::clamp(before, least, most) : least;
        const auto code = *end > before ? notice::raised : notice::lowered;
        if (*end != before)
            made.said.push_back(said(code, {{"variable", std::string(to_text(axis.what))}, {"value", number(*end)}}));
    }
    // Ratios need a first value above nothing.
    if (axis.geometric && axis.first <= 0) axis.geometric = false;
}

void hold_count(Adjusted& made) {
    Axis& axis = made.axis;
    const int wanted = axis.count;
    axis.count = std::clamp(axis.count, 1, most_values);
    if (axis.count < wanted) made.said.push_back(said(notice::fewer_values, {{"count", std::to_string(axis.count)}}));
    if (counts_whole(axis.what)) {
        axis.first = std::round(axis.first);
        axis.last = std::round(axis.last);
        axis.count = std::min(axis.count, static_cast<int>(axis.last - axis.first) + 1);
    }
    if (axis.count == 1 || axis.first == axis.last) {
        if (axis.first != axis.last || axis.count > 1) made.said.push_back(said(notice::one_value));
        axis.count = 1;
        axis.last = axis.first;
    }
}

/// Sets the last value to where `step` leads.
void land_on(Adjusted& made, double step) {
    Axis& axis = made.axis;
    const double last = tidy(axis.first + step * (axis.count - 1));
    if (std::abs(last - axis.last) > 1e-9)
        made.said.push_back(said(notice::last_moved, {{"value", number(last)}, {"step", number(step)}}));
    axis.last = last;
}

/// The largest round step with which the axis stays below `most`.
double round_step_within(const Axis& axis, double most) {
    const double wanted = (axis.last - axis.first) / (axis.count - 1);
    double step = round_number(wanted);
    while (axis.first + step * (axis.count - 1) > most + 1e-9 && step > wanted * 1e-3) {
        const double scale = power_of_ten(step);
        double lower = scale * 0.8;
        for (const double figure : round_figures)
            if (figure * scale < step * (1 - 1e-9)) lower = std::max(lower, figure * scale);
        step = lower;
    }
    return step;
}

}  // namespace

std::string_view to_text(Variable variable) {
    return facts_of(variable).word;
}

std::optional<Variable> parse_variable(std::string_view text) {
    for (int i = 0; i < variable_count; ++i)
        if (facts[static_cast<std::size_t>(i)].word == text) return static_cast<Variable>(i);
    return {};
}

std::string_view unit_of(Variable variable) {
    return facts_of(variable).unit;
}

bool applies_to(Variable variable, StepKind kind) {
    switch (variable) {
        case Variable::line_pitch:
        case Variable::shift:
            return steps::burns_area(kind);
        case Variable::dither:
        case Variable::tone:
            return kind == StepKind::picture;
        case Variable::kerf:
            return kind == StepKind::cut;
        case Variable::perforation:
        case Variable::corner_power:
            return !steps::burns_area(kind);
        case Variable::power:
        case Variable::speed:
        case Variable::passes:
        case Variable::focus:
            return true;
    }
    return false;
}

double round_number(double value) {
    CHALKLINE_REQUIRES(value > 0);
    const double scale = power_of_ten(value);
    double best = scale;
    for (const double figure : round_figures)
        if (std::abs(figure * scale - value) < std::abs(best - value)) best = figure * scale;
    return best;
}

std::vector<double> values_of(const Axis& axis) {
    if (axis.what == Variable::dither) {
        std::vector<double> all;
        for (const auto method : axis.methods)
            all.push_back(static_cast<double>(method));
        return all;
    }
    std::vector<double> all;
    for (int i = 0; i < axis.count; ++i) {
        const double share = axis.count > 1 ? static_cast<double>(i) / (axis.count - 1) : 0;
        // The ends were chosen by hand and stay what they are.
        const bool end = i == 0 || i == axis.count - 1;
        const double value = axis.geometric ? axis.first * std::pow(axis.last / axis.first, share)
                                            : axis.first + (axis.last - axis.first) * share;
        all.push_back(counts_whole(axis.what)  ? std::round(value)
                      : axis.geometric && !end ? two_figures(value)
                                               : tidy(value));
    }
    return all;
}

double step_of(const Axis& axis) {
    return axis.count > 1 ? tidy((axis.last - axis.first) / (axis.count - 1)) : 0;
}

std::string label_of(const Axis& axis, double value) {
    if (axis.what == Variable::dither)
        return std::string(raster::to_text(static_cast<raster::DitherMethod>(std::lround(value))));
    return format_number(value, facts_of(axis.what).decimals);
}

Bounds bounds_of(Variable variable, const machine::MachineProfile& machine) {
    switch (variable) {
        case Variable::power:
        case Variable::corner_power:
            return {1, 100};
        case Variable::speed:
            return {10, machine.top_speed().mm_per_min()};
        case Variable::line_pitch:
            return {0.02, 2};
        case Variable::passes:
            return {1, 20};
        case Variable::dither:
            return {0, static_cast<double>(raster::dither_methods().size()) - 1};
        case Variable::focus:
            return {-10, 10};
        case Variable::shift:
            return {-1, 1};
        case Variable::kerf:
            return {0, 1};
        case Variable::perforation:
            return {0.1, 20};
        case Variable::tone:
            return {0, 100};
    }
    return {0, 0};
}

Adjusted adjusted(Axis axis, const machine::MachineProfile& machine) {
    Adjusted made{std::move(axis), {}};
    Axis& a = made.axis;
    if (a.what == Variable::dither) {
        if (a.methods.empty()) a.methods = {raster::DitherMethod::floyd_steinberg};
        a.count = static_cast<int>(a.methods.size());
        return made;
    }
    bring_ends_in(made, machine);
    hold_count(made);
    if (a.count < 2 || a.geometric) return made;
    const double most = bounds_of(a.what, machine).most;
    double step = round_step_within(a, most);
    if (counts_whole(a.what)) {
        // Rounding up may lead beyond the machine again; steps of one never do (see hold_count).
        step = std::max(1.0, std::round(step));
        if (a.first + step * (a.count - 1) > most) step = std::max(1.0, std::floor((most - a.first) / (a.count - 1)));
    }
    land_on(made, step);
    return made;
}

Adjusted with_step(Axis axis, double step, const machine::MachineProfile& machine) {
    Adjusted made{std::move(axis), {}};
    Axis& a = made.axis;
    a.geometric = false;
    bring_ends_in(made, machine);
    if (!(std::abs(step) > 0) || !std::isfinite(step)) return adjusted(made.axis, machine);
    step = std::abs(step);
    if (counts_whole(a.what)) step = std::max(1.0, std::round(step));
    const double room = (a.last - a.first) / step + 1e-9;
    a.count = static_cast<int>(std::min(room, 1e6)) + 1;
    hold_count(made);
    if (a.count > 1) land_on(made, step);
    return made;
}

steps::StepSettings applied(steps::StepSettings settings, const Axis& axis, double value) {
    switch (axis.what) {
        case Variable::power:
            settings.power = Power::percent(value);
            if (settings.low_power) settings.low_power = std::min(*settings.low_power, settings.power);
            break;
        case Variable::speed:
            settings.speed = Speed::mm_per_min(value);
            break;
        case Variable::line_pitch:
            settings.line_pitch = Length::mm(value);
            break;
        case Variable::passes:
            settings.passes = static_cast<int>(std::lround(value));
            break;
        case Variable::dither:
            settings.picture.dots.method = static_cast<raster::DitherMethod>(std::lround(value));
            break;
        case Variable::focus:
            settings.focus = Length::mm(value);
            break;
        case Variable::shift:
            settings.fill.shift = Length::mm(value);
            break;
        case Variable::kerf:
            settings.line.kerf = Length::mm(value);
            if (settings.line.kerf_side == steps::LineSettings::Kerf::none && value > 0)
                settings.line.kerf_side = steps::LineSettings::Kerf::outside;
            break;
        case Variable::perforation:
            settings.line.perforation_burn = settings.line.perforation_gap = Length::mm(value);
            break;
        case Variable::corner_power:
            settings.beam = steps::BeamControl::constant;
            settings.low_power = std::min(Power::percent(value), settings.power);
            break;
        case Variable::tone:
            break;
    }
    return settings;
}

}  // namespace chalkline::swatches
