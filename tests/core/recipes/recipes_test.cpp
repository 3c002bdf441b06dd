// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/recipes/exchange.hpp>
#include <chalkline/recipes/library.hpp>
#include <chalkline/recipes/materials.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck.h>

using namespace chalkline;
using namespace chalkline::recipes;
using steps::BeamKind;
using steps::StepKind;

namespace {

const MachineTag bench{"Bench laser", {.kind = BeamKind::diode, .watts = 10, .comfortable = Power::percent(90)}};
const MachineTag tube{"Tube laser", {.kind = BeamKind::co2, .watts = 40, .comfortable = Power::percent(80)}};
constexpr Speed top = Speed::mm_per_min(12000);

Recipe recipe(const char* material, double thickness, StepKind kind, double power, double speed) {
    Recipe made;
    made.machine = bench;
    made.material = material;
    made.thickness = Length::mm(thickness);
    made.settings = {.kind = kind, .power = Power::percent(power), .speed = Speed::mm_per_min(speed)};
    made.evidence = {.kind = Evidence::Kind::swatch, .source = "card 7", .date = "2026-11-02"};
    return made;
}

double dose_of(const Recipe& r) {
    return steps::whole_dose(r.settings, r.machine.beam);
}

}  // namespace

TEST_CASE("a recipe is found by any of its words") {
    Recipe ply = recipe("Birch ply", 4, StepKind::engrave, 80, 4200);
    ply.note = "Wipe warm";
    ply.tags = {"shop"};
    for (const char* search : {"", "birch", "BIRCH 4 mm", "4mm engrave", "wipe ply", "#shop", "card", "bench"})
        CHECK(matches(ply, search));
    for (const char* search : {"lime", "birch 6", "cut", "#sho", "#birch"})
        CHECK_FALSE(matches(ply, search));
}

TEST_CASE("families and dangers go by whole words") {
    CHECK(family_of("Birch ply, 4 mm") == "plywood");
    CHECK(family_of("birch") == "wood");
    CHECK(family_of("Wallpaper") == "");
    CHECK(same_material("Birch Ply", "birch-ply "));
    CHECK_FALSE(same_material("Birch ply", "Birch plywood"));
    REQUIRE(danger_of("Soft PVC film"));
    CHECK(danger_of("Soft PVC film")->substance == "chlorine");
    CHECK(danger_of("Faux leather")->substance == "chlorine");
    CHECK(danger_of("ABS sheet")->substance == "cyanide");
    CHECK(danger_of("Carbon fibre plate")->word == "carbon fibre");
    CHECK(danger_of("Galvanised steel")->substance == "metal");
    for (const char* harmless :
         {"Birch ply", "PVC-free film", "Leather, vegetable tanned", "no pvc, acrylic", "Absorbent card", ""})
        CHECK_FALSE(danger_of(harmless));
}

TEST_CASE("what fits comes first: this material, machine and thickness, then the tested, then the newer") {
    std::vector<Recipe> all{
        recipe("Lime ply", 3, StepKind::cut, 100, 380),      recipe("Birch ply", 6, StepKind::cut, 100, 150),
        recipe("Birch ply", 4, StepKind::cut, 90, 200),      recipe("Birch ply", 4, StepKind::cut, 100, 240),
        recipe("Birch ply", 4, StepKind::engrave, 70, 3200), recipe("Slate", 8, StepKind::cut, 70, 3200)};
    all[2].evidence.kind = Evidence::Kind::chart;
    const Wish wish{bench, "birch ply", Length::mm(4), StepKind::cut};
    const auto found = fitting(all, wish);
    REQUIRE(found.size() == 4);
    CHECK(found[0].settings.speed.mm_per_min() == 240);
    CHECK(found[1].settings.speed.mm_per_min() == 200);
    CHECK(found[2].material == "Birch ply");
    CHECK(found[3].material == "Lime ply");
    CHECK(fit(all[1], wish) == Fit::to_be_scaled);
    CHECK(fit(all[4], {bench, "Birch ply", Length::mm(6), {}}) == Fit::near);
    Wish other = wish;
    other.machine = tube;
    CHECK(fitting(all, other).empty());
}

TEST_CASE("a copy to another machine keeps the light, and lowers the speed where the beam is too weak") {
    MachineTag strong = bench, weak = bench;
    strong.name = "Strong";
    strong.beam.watts = 20;
    weak.name = "Weak";
    weak.beam.watts = 5;
    const Recipe from = recipe("Birch ply", 4, StepKind::engrave, 80, 4000);
    const Wish wish{strong, "Birch ply", Length::mm(4), {}};
    const Recipe up = scaled(from, wish, top);
    CHECK(up.settings.power.percent() == Approx(40));
    CHECK(up.settings.speed == from.settings.speed);
    const Recipe down = scaled(from, {weak, "Birch ply", Length::mm(4), {}}, top);
    CHECK(down.settings.power == weak.beam.comfortable);
    CHECK(down.settings.speed.mm_per_min() == Approx(4000 * 4.5 / 8).epsilon(0.01));
    CHECK(dose_of(down) == Approx(dose_of(from)).epsilon(0.01));
    for (const Recipe& copy : {up, down}) {
        CHECK_FALSE(copy.evidence.tested());
        CHECK(copy.evidence.source == "Birch ply 4 mm, Bench laser");
        CHECK(copy.id == 0);
    }
}

TEST_CASE("cuts go slower with the thickness, and in more passes before they crawl") {
    const Recipe from = recipe("Birch ply", 4, StepKind::cut, 90, 240);
    const Recipe thick = scaled(from, {bench, "Birch ply", Length::mm(6), {}}, top);
    CHECK(thick.settings.speed.mm_per_min() == Approx(160));
    CHECK(thick.settings.passes == 1);
    const Recipe very = scaled(from, {bench, "Birch ply", Length::mm(24), {}}, top);
    CHECK(very.settings.speed >= slowest_scaled);
    CHECK(very.settings.passes == 2);
    CHECK(dose_of(very) == Approx(dose_of(from) * 6).epsilon(0.01));
    const Recipe engraved = recipe("Birch ply", 4, StepKind::engrave, 80, 4000);
    CHECK(scaled(engraved, {bench, "Birch ply", Length::mm(6), {}}, top).settings == engraved.settings);
}

TEST_CASE("whatever is copied can be burned and brings about the dose of the original") {
    CHECK(rc::check([] {
        const auto machine = [](const char* name) {
            return MachineTag{
                name,
                {.watts = *rc::gen::inRange(1, 100) * 1.0, .comfortable = Power::percent(*rc::gen::inRange(50, 101))}};
        };
        Recipe from = recipe("Birch ply", *rc::gen::inRange(1, 20), *rc::gen::element(StepKind::engrave, StepKind::cut),
                             *rc::gen::inRange(5, 101), *rc::gen::inRange(50, 12000));
        from.machine = machine("One");
        const Wish wish{machine("Other"), "Birch ply", Length::mm(*rc::gen::inRange(1, 20)), {}};
        const Recipe copy = scaled(from, wish, top);
        const double thicker = from.settings.kind == StepKind::cut ? wish.thickness / from.thickness : 1;
        RC_PRE(copy.settings.power >= Power::percent(1));
        RC_ASSERT(copy.settings.power <= wish.machine.beam.comfortable);
        RC_ASSERT(steps::validate(copy.settings, top) || copy.settings.speed < Speed::mm_per_min(1));
        const double share = dose_of(copy) / (dose_of(from) * thicker);
        RC_ASSERT(share > 0.9 && share < 1.1);
    }));
}

TEST_CASE("evidence ages when the lens is cleaned or the beam changed") {
    const Recipe tested = recipe("Birch ply", 4, StepKind::engrave, 80, 4200);
    const Care cleaned{"Bench laser", Care::Kind::lens_cleaned, "2026-11-20"};
    CHECK(freshness(tested, {}) == Freshness::fresh);
    CHECK(freshness(tested, {cleaned}) == Freshness::before_cleaning);
    CHECK(freshness(tested, {{"Tube laser", Care::Kind::lens_cleaned, "2026-11-20"}}) == Freshness::fresh);
    CHECK(freshness(tested, {{"Bench laser", Care::Kind::beam_changed, "2026-11-05"}, cleaned}) ==
          Freshness::before_beam_change);
    CHECK(freshness(tested, {{"Bench laser", Care::Kind::beam_changed, "2026-10-05"}}) == Freshness::fresh);
}

TEST_CASE("what is known of a material spans its recipes") {
    const std::vector<Recipe> all{
        recipe("Birch ply", 4, StepKind::engrave, 80, 4800), recipe("Birch ply", 3, StepKind::engrave, 40, 2400),
        recipe("Birch ply", 4, StepKind::engrave, 80, 1200), recipe("Slate", 4, StepKind::engrave, 100, 100)};
    const Known known = known_of(all, {bench, "Birch ply", Length::mm(4), StepKind::engrave});
    CHECK(known.count == 3);
    CHECK(known.slowest.mm_per_min() == 1200);
    CHECK(known.fastest.mm_per_min() == 4800);
    CHECK(known.lowest_dose == Approx(1000));
    CHECK(known.highest_dose == Approx(4000));
    CHECK(known_of(all, {tube, "Birch ply", Length::mm(4), StepKind::engrave}).count == 0);
}

TEST_CASE("starting points burn on any machine of the kind and say that nobody has tested them") {
    for (const double watts : {2.0, 10.0, 40.0}) {
        MachineTag machine = bench;
        machine.beam.watts = watts;
        const auto points = starting_points(machine);
        CHECK(points.size() >= 10);
        for (const Recipe& point : points) {
            CHECK(steps::validate(point.settings, Speed::mm_per_min(1e6)));
            CHECK(point.evidence.kind == Evidence::Kind::starting_point);
            CHECK(point.machine == machine);
        }
    }
    CHECK(groups_of(starting_points(bench)).size() == 5);
}

TEST_CASE("JSON and CSV bring every recipe back") {
    std::vector<Recipe> all = starting_points(bench);
    all[0].note = "=SUM(A1); said \"warm\",\nthen wiped";
    all[0].tags = {"shop", "daily"};
    all[0].evidence = {.kind = Evidence::Kind::chart,
                       .source = "@chart, page 3",
                       .date = "2026-01-02",
                       .watts = 10,
                       .burns = 3,
                       .preparation = "Krepp, naß"};
    all[1].settings.line.bridges = 2;
    const auto json = import(to_json_file(all), {}, "a.json");
    REQUIRE(json);
    CHECK(json->recipes == all);
    const std::string csv = to_csv(all);
    CHECK(csv.find("\"'=SUM") != std::string::npos);
    const auto table = import(csv, Recipe{.machine = bench}, "a.csv");
    REQUIRE(table);
    REQUIRE(table->recipes.size() == all.size());
    all[0].evidence.watts = 0;  // has no column
    for (std::size_t i = 0; i < all.size(); ++i)
        CHECK(table->recipes[i] == all[i]);
    CHECK(new_ones(table->recipes, all).empty());
}

TEST_CASE("a table by hand needs four columns, wrong rows are named and the rest is taken") {
    const char* csv =
        "Comment;material;kind;power;speed_mm_min;thickness_mm\r\n"
        "x;Eiche;engrave;45,5;3000;4\r\n"
        "\r\n"
        "x;Eiche;engrave;fast;3000;4\r\n"
        "x;Eiche;melt;45;3000;4\r\n"
        "x;Eiche;cut;450;3000;4\r\n"
        "x;;cut;45;3000;4\r\n"
        "x;Eiche;cut;45\r\n";
    const auto read = import(csv, Recipe{.machine = bench}, "oak.csv");
    REQUIRE(read);
    REQUIRE(read->recipes.size() == 1);
    CHECK(read->recipes[0].settings.power.percent() == 45.5);
    CHECK(read->recipes[0].machine == bench);
    REQUIRE(read->refused.size() == 5);
    CHECK(read->refused[0].line == 4);
    CHECK(read->refused[0].file == "oak.csv");
    CHECK(read->refused[2].code == steps::error::power_out_of_range);
    CHECK_FALSE(import("material,kind\r\nx,cut", {}, "a.csv"));
    CHECK_FALSE(import("", {}, "a.csv"));
    CHECK_FALSE(import("{\"format\":\"other\"}", {}, "a.json"));
    CHECK_FALSE(import("\xff\xfe\0\0", {}, "a.bin"));
}

TEST_CASE("no bytes break the reading of recipes") {
    CHECK(rc::check([] {
        std::string bytes = to_csv(starting_points(bench));
        const int cuts = *rc::gen::inRange(1, 20);
        for (int i = 0; i < cuts; ++i)
            bytes[*rc::gen::inRange<std::size_t>(0, bytes.size())] = *rc::gen::arbitrary<char>();
        const auto read = import(bytes, Recipe{.machine = bench}, "a.csv");
        if (read)
            for (const Recipe& one : read->recipes)
                RC_ASSERT(steps::validate(one.settings, Speed::mm_per_min(1e7)));
    }));
}
