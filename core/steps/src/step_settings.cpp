// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/units_text.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::steps {

std::string_view to_text(StepKind kind) {
    switch (kind) {
        case StepKind::engrave:
            return "engrave";
        case StepKind::picture:
            return "picture";
        case StepKind::score:
            return "score";
        case StepKind::cut:
            return "cut";
    }
    return {};
}

std::optional<StepKind> parse_kind(std::string_view text) {
    for (const StepKind kind : all_kinds)
        if (text == to_text(kind)) return kind;
    return {};
}

StepSettings starting_point(StepKind kind) {
    StepSettings settings{.kind = kind};
    if (kind == StepKind::engrave) {
        settings.power = Power::percent(70);
        settings.speed = Speed::mm_per_min(3200);
        settings.air = true;
    } else if (kind == StepKind::picture) {
        settings.power = Power::percent(60);
        settings.speed = Speed::mm_per_min(4000);
    } else if (kind == StepKind::cut) {
        settings.power = Power::percent(100);
        settings.speed = Speed::mm_per_min(240);
        settings.passes = 2;
        settings.air = true;
    }
    return settings;
}

namespace {

/// The key of the first detail of fill or line that no machine could burn; null when all are well.
const char* first_wrong_detail(const StepSettings& s) {
    const auto within = [](double value, double least, double most) { return value >= least && value <= most; };
    const FillSettings& fill = s.fill;
    const LineSettings& line = s.line;
    if (!within(s.focus.mm(), -20, 20)) return "focus_mm";
    if (!within(s.lower_each_pass.mm(), 0, 20)) return "lower_each_pass_mm";
    if (!within(s.air_lead.seconds(), 0, 60)) return "air_lead_s";
    if (!within(fill.angle, -360, 360)) return "angle_deg";
    if (fill.run_up && !within(fill.run_up->mm(), 0, 200)) return "run_up_mm";
    if (!within(fill.shift.mm(), -5, 5)) return "shift_mm";
    if (!within(line.kerf.mm(), 0, 5)) return "kerf_mm";
    if (!within(line.lead_in.mm(), 0, 50)) return "lead_in_mm";
    if (!within(line.overcut.mm(), 0, 50)) return "overcut_mm";
    if (!within(line.bridges, 0, 100)) return "bridges";
    if (!within(line.bridge_width.mm(), 0.05, 50)) return "bridge_width_mm";
    if (!within(line.perforation_burn.mm(), 0, 1000)) return "perforation_burn_mm";
    if (!within(line.perforation_gap.mm(), 0, 1000)) return "perforation_gap_mm";
    // Shorter than this no controller keeps up with, and a line of a metre would be millions of moves.
    if (line.perforated() && line.perforation_burn + line.perforation_gap < Length::mm(0.05))
        return "perforation_burn_mm";
    const PictureSettings& picture = s.picture;
    if (!within(picture.lowest.percent(), 0, 100)) return "lowest_power";
    if (!within(picture.dots.noise, 0, 1)) return "noise";
    if (!within(picture.dots.cell, 2, 200)) return "cell_dots";
    if (!within(picture.dots.screen_angle, -360, 360)) return "screen_angle_deg";
    const double across = picture.dot_pitch.mm();
    if (across != 0 && !within(across, finest_pitch.mm(), coarsest_pitch.mm())) return "dot_pitch_mm";
    if (!within(picture.off_time.seconds(), 0, 1)) return "off_time_s";
    if (!within(picture.dots.bare_between, 0, 1000)) return "bare_between_dots";
    for (std::size_t i = 0; i < picture.response.size(); ++i) {
        const auto& point = picture.response[i];
        const bool rises = i == 0 || (point.in > picture.response[i - 1].in && point.out > picture.response[i - 1].out);
        if (!within(point.in, 0, 1) || !within(point.out, 0, 1) || !rises) return "response";
    }
    return nullptr;
}

}  // namespace

Result<void> validate(const StepSettings& settings, Speed top_speed) {
    const double power = settings.power.percent(), speed = settings.speed.mm_per_min();
    if (!(power >= 0 && power <= 100))
        return fail(error::power_out_of_range, {{"power", format_power(settings.power)}});
    if (!(speed >= 1 && speed <= top_speed.mm_per_min()))
        return fail(error::speed_out_of_range, {{"speed", format_speed(settings.speed, SpeedUnit::mm_per_min)},
                                                {"top", format_speed(top_speed, SpeedUnit::mm_per_min)}});
    if (settings.passes < 1 || settings.passes > most_passes)
        return fail(error::passes_out_of_range, {{"passes", std::to_string(settings.passes)}});
    if (settings.low_power && !(settings.low_power->percent() >= 0 && *settings.low_power <= settings.power))
        return fail(error::power_out_of_range, {{"power", format_power(*settings.low_power)}});
    if (const char* wrong = first_wrong_detail(settings)) return fail(error::setting_out_of_range, {{"what", wrong}});
    if (!(settings.line_pitch >= finest_pitch && settings.line_pitch <= coarsest_pitch))
        return fail(error::pitch_out_of_range, {{"pitch", format_length(settings.line_pitch, LengthUnit::mm)}});
    return {};
}

double dose(const StepSettings& settings, const Beam& beam) {
    return beam.watts_at(settings.power) * 1000 / settings.speed.mm_per_s();
}

double area_dose(const StepSettings& settings, const Beam& beam) {
    const int times = settings.passes * (settings.fill.crossed ? 2 : 1);
    return dose(settings, beam) / settings.line_pitch.mm() * times;
}

double whole_dose(const StepSettings& settings, const Beam& beam) {
    return burns_area(settings.kind) ? area_dose(settings, beam) : dose(settings, beam) * settings.passes;
}

double burn_tone(double dose_mj_per_mm) {
    if (!(dose_mj_per_mm > 0)) return 0;
    return std::clamp(std::log2(dose_mj_per_mm / 10) / 6, 0.0, 1.0);
}

}  // namespace chalkline::steps
