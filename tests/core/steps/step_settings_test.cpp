// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/steps/step_settings.hpp>

#include <catch2/catch.hpp>

#include <cmath>

using namespace chalkline;
using namespace chalkline::steps;

TEST_CASE("dose is energy per length") {
    StepSettings settings{.kind = StepKind::engrave, .power = Power::percent(70), .speed = Speed::mm_per_min(3200)};
    CHECK(dose(settings, {}) == Approx(131.25));
    settings.speed = settings.speed * 2;
    CHECK(dose(settings, {}) == Approx(65.625));
}

TEST_CASE("tones rise with the dose and stay on the scale") {
    CHECK(burn_tone(0) == 0);
    CHECK(burn_tone(-3) == 0);
    CHECK(burn_tone(1e9) == 1);
    CHECK(burn_tone(50) < burn_tone(100));
}

TEST_CASE("settings no machine can do are named") {
    const Speed top = Speed::mm_per_min(12000);
    for (const StepKind kind : {StepKind::engrave, StepKind::score, StepKind::cut})
        CHECK(validate(starting_point(kind), top));
    const auto code = [&](auto change) {
        StepSettings settings = starting_point(StepKind::engrave);
        change(settings);
        const auto valid = validate(settings, top);
        return valid ? std::string() : valid.error().code;
    };
    CHECK(code([](auto& s) { s.power = Power::percent(101); }) == error::power_out_of_range);
    CHECK(code([](auto& s) { s.power = Power::percent(-1); }) == error::power_out_of_range);
    CHECK(code([](auto& s) { s.speed = Speed::mm_per_min(12001); }) == error::speed_out_of_range);
    CHECK(code([](auto& s) { s.speed = Speed::mm_per_min(0); }) == error::speed_out_of_range);
    CHECK(code([](auto& s) { s.passes = 0; }) == error::passes_out_of_range);
    CHECK(code([](auto& s) { s.line_pitch = Length::mm(0); }) == error::pitch_out_of_range);
}

TEST_CASE("every detail of fill and line has its limits, and the first that is beyond is named") {
    const auto what = [](auto change) {
        StepSettings settings = starting_point(StepKind::cut);
        change(settings);
        const auto valid = validate(settings, Speed::mm_per_min(12000));
        if (valid) return std::string();
        return valid.error().code == error::setting_out_of_range ? valid.error().parameters.at(0).second
                                                                 : valid.error().code;
    };
    const Length negative = Length::mm(-0.1), nothing;
    CHECK(what([&](auto& s) { s.lower_each_pass = negative; }) == "lower_each_pass_mm");
    CHECK(what([](auto& s) { s.air_lead = Duration::seconds(61); }) == "air_lead_s");
    CHECK(what([](auto& s) { s.fill.angle = std::nan(""); }) == "angle_deg");
    CHECK(what([&](auto& s) { s.fill.run_up = negative; }) == "run_up_mm");
    CHECK(what([](auto& s) { s.fill.shift = Length::mm(6); }) == "shift_mm");
    CHECK(what([&](auto& s) { s.line.kerf = negative; }) == "kerf_mm");
    CHECK(what([&](auto& s) { s.line.lead_in = negative; }) == "lead_in_mm");
    CHECK(what([&](auto& s) { s.line.overcut = negative; }) == "overcut_mm");
    CHECK(what([](auto& s) { s.line.bridges = -1; }) == "bridges");
    CHECK(what([&](auto& s) { s.line.bridge_width = nothing; }) == "bridge_width_mm");
    CHECK(what([&](auto& s) { s.line.perforation_gap = negative; }) == "perforation_gap_mm");
    CHECK(what([](auto& s) { s.line.perforation_burn = s.line.perforation_gap = Length::mm(0.01); }) ==
          "perforation_burn_mm");
    CHECK(what([](auto& s) { s.low_power = s.power + Power::percent(1); }) == error::power_out_of_range);
    CHECK(what([](auto& s) { s.fill.run_up = Length::mm(0); }).empty());
    CHECK_FALSE(LineSettings{.perforation_burn = Length::mm(2)}.perforated());
}

TEST_CASE("kinds have names that are read back") {
    for (const StepKind kind : {StepKind::engrave, StepKind::score, StepKind::cut})
        CHECK(parse_kind(to_text(kind)) == kind);
    CHECK_FALSE(parse_kind("weld"));
}
