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
        case StepKind::score:
            return "score";
        case StepKind::cut:
            return "cut";
    }
    return {};
}

std::optional<StepKind> parse_kind(std::string_view text) {
    for (const StepKind kind : {StepKind::engrave, StepKind::score, StepKind::cut})
        if (text == to_text(kind)) return kind;
    return {};
}

StepSettings starting_point(StepKind kind) {
    StepSettings settings{.kind = kind};
    if (kind == StepKind::engrave) {
        settings.power = Power::percent(70);
        settings.speed = Speed::mm_per_min(3200);
        settings.air = true;
    } else if (kind == StepKind::cut) {
        settings.power = Power::percent(100);
        settings.speed = Speed::mm_per_min(240);
        settings.passes = 2;
        settings.air = true;
    }
    return settings;
}

Result<void> validate(const StepSettings& settings, Speed top_speed) {
    const double power = settings.power.percent(), speed = settings.speed.mm_per_min();
    if (!(power >= 0 && power <= 100))
        return fail(error::power_out_of_range, {{"power", format_power(settings.power)}});
    if (!(speed >= 1 && speed <= top_speed.mm_per_min()))
        return fail(error::speed_out_of_range, {{"speed", format_speed(settings.speed, SpeedUnit::mm_per_min)},
                                                {"top", format_speed(top_speed, SpeedUnit::mm_per_min)}});
    if (settings.passes < 1 || settings.passes > most_passes)
        return fail(error::passes_out_of_range, {{"passes", std::to_string(settings.passes)}});
    if (!(settings.line_pitch >= finest_pitch && settings.line_pitch <= coarsest_pitch))
        return fail(error::pitch_out_of_range, {{"pitch", format_length(settings.line_pitch, LengthUnit::mm)}});
    return {};
}

double dose(const StepSettings& settings, double watts) {
    return settings.power.fraction() * watts * 1000 / settings.speed.mm_per_s();
}

double burn_tone(double dose_mj_per_mm) {
    if (!(dose_mj_per_mm > 0)) return 0;
    return std::clamp(std::log2(dose_mj_per_mm / 10) / 6, 0.0, 1.0);
}

}  // namespace chalkline::steps
