// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/steps/settings_json.hpp>

#include <catch2/catch.hpp>
#include <nlohmann/json.hpp>
#include <rapidcheck.h>

#include <cmath>

using namespace chalkline;
using namespace chalkline::steps;

TEST_CASE("watts follow the power, in proportion or as measured") {
    const Beam plain{.watts = 20};
    CHECK(plain.watts_at(Power::percent(35)) == Approx(7));
    CHECK(plain.power_for(5).percent() == Approx(25));
    CHECK(plain.power_for(30).percent() == Approx(150));

    const Beam measured{.watts = 10, .measured = {{Power::percent(20), 1}, {Power::percent(60), 7}}};
    CHECK(measured.watts_at(Power::percent(10)) == Approx(0.5));
    CHECK(measured.watts_at(Power::percent(40)) == Approx(4));
    CHECK(measured.watts_at(Power::percent(80)) == Approx(8.5));
    CHECK(measured.watts_at(Power::percent(100)) == Approx(10));
    // A beam that gives less than its label says goes by what was measured.
    const Beam weak{.watts = 10, .measured = {{Power::percent(100), 8}}};
    CHECK(weak.watts_at(Power::percent(50)) == Approx(4));
}

TEST_CASE("power and watts are each other's way back on any measured curve") {
    CHECK(rc::check([] {
        Beam beam;
        double power = 0, watts = 0;
        const int count = *rc::gen::inRange(0, 6);
        for (int i = 0; i < count; ++i) {
            power += *rc::gen::inRange(1, 16);
            watts += *rc::gen::inRange(1, 40) * 0.05;
            beam.measured.push_back({Power::percent(power), watts});
        }
        const Power asked = Power::percent(*rc::gen::inRange(0, 1001) * 0.1);
        RC_ASSERT(std::abs(beam.power_for(beam.watts_at(asked)).percent() - asked.percent()) < 1e-6);
    }));
}

TEST_CASE("doses count passes, crossed lines and the line pitch") {
    StepSettings engrave{.kind = StepKind::engrave, .power = Power::percent(50), .speed = Speed::mm_per_s(50)};
    CHECK(area_dose(engrave, {}) == Approx(1000));
    engrave.passes = 2;
    engrave.fill.crossed = true;
    CHECK(area_dose(engrave, {}) == Approx(4000));
    CHECK(whole_dose(engrave, {}) == Approx(4000));
    const StepSettings cut{
        .kind = StepKind::cut, .power = Power::percent(100), .speed = Speed::mm_per_s(4), .passes = 3};
    CHECK(whole_dose(cut, {}) == Approx(7500));
}

TEST_CASE("settings come back from JSON as they were, and nonsense is refused by name") {
    StepSettings s{.kind = StepKind::cut, .power = Power::percent(81.5), .low_power = Power::percent(10)};
    s.line.kerf_side = LineSettings::Kerf::outside;
    s.line.bridges = 4;
    s.fill.run_up = Length::mm(3);
    s.beam = BeamControl::constant;
    CHECK(settings_from_json(to_json(s)).value() == s);
    CHECK(to_json(StepSettings()).size() == 6);
    auto json = to_json(s);
    json["power"] = 900;
    CHECK(settings_from_json(json).error().code == error::power_out_of_range);
    json = to_json(s);
    json["beam"] = "sideways";
    CHECK(settings_from_json(json).error().code == error::bad_settings);
    CHECK(settings_from_json("text").error().code == error::bad_settings);
}

TEST_CASE("differences name every setting that has an effect, and no other") {
    StepSettings before = starting_point(StepKind::engrave), after = before;
    CHECK(differences(before, after).empty());
    after.power = Power::percent(80);
    after.fill.both_ways = false;
    after.fill.run_up = Length::mm(2.5);
    after.line.bridges = 3;  // no effect on a fill
    CHECK(differences(before, after) ==
          std::vector<Difference>{{"power", "70", "80"}, {"both_ways", "true", "false"}, {"run_up_mm", "", "2.5"}});
    after.kind = StepKind::cut;
    after.line_pitch = Length::mm(0.2);  // no effect on a line
    const auto found = differences(before, after);
    REQUIRE(found.size() == 3);
    CHECK(found[0] == Difference{"kind", "engrave", "cut"});
    CHECK(found[2] == Difference{"bridges", "0", "3"});
}
