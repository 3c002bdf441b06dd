// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/steps/step_settings.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::steps;

TEST_CASE("dose is energy per length") {
    StepSettings settings{.kind = StepKind::engrave, .power = Power::percent(70), .speed = Speed::mm_per_min(3200)};
    CHECK(dose(settings, 10) == Approx(131.25));
    settings.speed = settings.speed * 2;
    CHECK(dose(settings, 10) == Approx(65.625));
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

TEST_CASE("kinds have names that are read back") {
    for (const StepKind kind : {StepKind::engrave, StepKind::score, StepKind::cut})
        CHECK(parse_kind(to_text(kind)) == kind);
    CHECK_FALSE(parse_kind("weld"));
}
