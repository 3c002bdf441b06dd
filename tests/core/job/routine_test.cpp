// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/design.hpp>
#include <chalkline/art/reader.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/job/routine.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::job;

namespace {

Job plate_job() {
    return load(CHALKLINE_SAMPLES "/plot-27.chalk").value().job;
}

/// A job with one rectangle of a colour, 60 × 40 mm.
Job rectangle(Rgb colour, bool filled) {
    art::Design form;
    form.what = art::FormDesign{art::FormDesign::Form::rectangle, 60, 40, 0, 4};
    form.rgb = colour;
    form.filled = filled;
    return add_art({}, std::make_shared<const art::Artwork>(art::draw(form).value()), {});
}

}  // namespace

TEST_CASE("a routine comes back from JSON as it was, and damage is named") {
    const Routine routine = routine_of(plate_job(), "Plates");
    CHECK(routine.steps.size() == 3);
    CHECK(routine_from_json(to_json(routine)).value() == routine);
    for (const char* text :
         {"", "{}", "[1]", R"({"format":"chalkline-routine","version":9})",
          R"({"format":"chalkline-routine","version":1,"name":"x","steps":[{"id":1}],"left_out":[]})"})
        CHECK(routine_from_json(text).error().code == job::error::bad_routine);
}

TEST_CASE("applied to unseen art it routes what it knows by exact ink and names what it does not") {
    const Job plate = plate_job();
    const Routine routine = routine_of(plate, "Plates");
    const Ink known = plate.steps[2].inks[0];
    const auto right = apply(rectangle(known.rgb, false), routine);
    CHECK(right.known == std::vector{known});
    CHECK(right.unknown.empty());
    CHECK(right.unused.size() == 2);
    REQUIRE(routed_inks(right.job)[0].steps.size() == 1);
    CHECK(right.job.step(routed_inks(right.job)[0].steps[0])->settings == plate.steps[2].settings);

    // The same colour as a fill, and a colour one step off, are not known.
    const Rgb near{known.rgb.red, known.rgb.green, static_cast<std::uint8_t>(known.rgb.blue + 1)};
    for (const Job& other : {rectangle(known.rgb, true), rectangle(near, false)}) {
        const auto effect = apply(other, routine);
        CHECK(effect.known.empty());
        REQUIRE(effect.unknown.size() == 1);
        CHECK(routed_inks(effect.job)[0].steps.empty());
        CHECK(effect.job.steps.size() == 3);
    }
}

TEST_CASE("the piece and the reference point come along, and locked art stays") {
    Job plate = plate_job();
    plate = set_datum(plate, plate.motifs[0].id, bounds(plate).centre()).value();
    const Routine routine = routine_of(plate, "Plates");
    const Job before = rectangle(plate.steps[2].inks[0].rgb, false);
    const auto effect = apply(before, routine);
    CHECK(effect.stock);
    CHECK(effect.moved);
    CHECK(effect.job.stock == plate.stock);
    CHECK(geometry::distance(bounds(effect.job).centre(), bounds(plate).centre()) < 1e-6);
    CHECK(geometry::distance(*datum_place(effect.job), *datum_place(plate)) < 1e-6);
    const auto again = apply(effect.job, routine);
    CHECK_FALSE(again.stock);
    CHECK_FALSE(again.moved);

    const Job locked = set_locked(before, {before.motifs[0].id}, true).value();
    const auto kept = apply(locked, routine);
    CHECK_FALSE(kept.moved);
    CHECK(kept.job.motifs[0].place == locked.motifs[0].place);
}

TEST_CASE("without a piece nothing is moved, own steps are given up and counted") {
    Job plate = plate_job();
    plate.stock.reset();
    const Routine routine = routine_of(plate, "Anywhere");
    Job other = send_object(plate_job(), 1, 0, plate_job().steps[0].id).value();
    const auto effect = apply(other, routine);
    CHECK(effect.objects == 1);
    CHECK_FALSE(effect.moved);
    CHECK(effect.job.stock == other.stock);
    CHECK(effect.job.motifs[0].objects.empty());
    for (const Step& step : effect.job.steps)
        CHECK(step.id > other.last_id);
}

TEST_CASE("a new job that begins with a routine routes its first art by it") {
    const Routine routine = routine_of(plate_job(), "Plates");
    const Job begun = apply({}, routine).job;
    CHECK(begun.steps.size() == 3);
    CHECK(begun.stock);
    const auto art = plate_job().motifs[0].art;
    const Job with_art = add_art(begun, art, {});
    CHECK(with_art.steps.size() == 3);
    for (const RoutedInk& ink : routed_inks(with_art))
        CHECK((ink.left_out || ink.steps.size() == 1));
}
