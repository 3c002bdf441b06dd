// SPDX-License-Identifier: GPL-3.0-or-later
// Pictures as dots and scan lines, down to the lines that are sent.
#include "support/interpreter.hpp"
#include "support/limits.hpp"

#include <chalkline/encoding/encoder.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/planning/frame.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/safety/program_checker.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck.h>

#include <cmath>
#include <numbers>

using namespace chalkline;
using namespace chalkline::planning;
using namespace chalkline::safety;

namespace {

/// A picture of a size on the bed, its lower left corner at a place.
job::Job picture_job(const raster::RgbImage& image, double width, double height, geometry::Point corner) {
    auto art = std::make_shared<art::Artwork>();
    art->name = "t.png";
    art->page = {width, height};
    art::PlacedPicture placed;
    placed.image = std::make_shared<const raster::RgbImage>(image);
    placed.place = geometry::Transform::scale(width, height);
    placed.ink = art::picture_ink(image);
    art->pictures.push_back(placed);
    art->hull = art::hull_of(*art);
    return job::place_art(job::add_art({}, art, {}), corner);
}

raster::RgbImage ramp(int width, int height) {
    raster::RgbImage image(width, height, {});
    for (int y = 0; y < height; ++y)
        for (int x = 0; x < width; ++x) {
            const auto v = static_cast<std::uint8_t>(255 * x / (width - 1));
            image.at(x, y) = {v, v, v};
        }
    return image;
}

Plan planned(const job::Job& job) {
    const machine::MachineProfile machine;
    auto made = plan(job, machine);
    REQUIRE(made);
    machine::Encoder lines(made->program, machine);
    CHECK(check_program(lines, test::limits_of(job, machine, made->program)).empty());
    return *made;
}

/// Lit length in a box of the bed, times its power, over what all its level scan lines would come to.
double burned_share(const Plan& plan, const geometry::Box& box, double pitch) {
    double lit = 0;
    for (const auto& moved : test::interpret(plan.program)) {
        const double from = std::min(moved.from.x, moved.to.x), to = std::max(moved.from.x, moved.to.x);
        const double inside = std::min(to, box.right) - std::max(from, box.left);
        if (moved.lit() && inside > 0 && moved.to.y > box.bottom && moved.to.y < box.top) lit += inside * moved.power;
    }
    return lit * pitch / (box.width() * box.height());
}

}  // namespace

TEST_CASE("a picture burns where it lies, as dark as it is") {
    job::Job job = picture_job(ramp(200, 100), 40, 20, {50, 60});
    REQUIRE(job.steps.size() == 1);
    CHECK(job.steps[0].settings.kind == steps::StepKind::picture);
    job.steps[0].settings.power = Power::percent(100);
    for (const auto method :
         {raster::DitherMethod::floyd_steinberg, raster::DitherMethod::blue_noise, raster::DitherMethod::grey}) {
        job.steps[0].settings.picture.dots.method = method;
        const Plan made = planned(job);
        CHECK(made.burn_box.left >= 50 - 0.01);
        CHECK(made.burn_box.right <= 90 + 0.01);
        CHECK(made.burn_box.bottom == Approx(60).margin(0.11));
        for (const double x : {52.0, 58.0, 66.0, 78.0}) {
            // The middle of a strip of 4 mm: sRGB decoded by the standard's formula.
            const double encoded = (x + 2 - 50) / 40;
            const double light = std::pow((encoded + 0.055) / 1.055, 2.4);
            INFO(raster::to_text(method) << " at " << x);
            CHECK(burned_share(made, {x, 60, x + 4, 80}, 0.1) == Approx(1 - light).margin(0.02));
        }
    }
}

TEST_CASE("what the controller is sent burns just the dots of the proof") {
    const job::Job job = picture_job(ramp(60, 40), 6, 4, {100, 100});
    const Plan made = planned(job);
    REQUIRE(made.proofs.size() == 1);
    const Proof& proof = *made.proofs[0];
    CHECK(proof.dots.width == 60);
    CHECK(proof.dots.height == 40);
    double dots = 0;
    for (const auto level : proof.dots.levels)
        dots += level > 0 ? 1 : 0;
    double lit = 0;
    for (const auto& moved : test::interpret(made.program))
        if (moved.power > 0) lit += geometry::distance(moved.from, moved.to);
    CHECK(lit == Approx(dots * 0.1).epsilon(0.001));
    CHECK(made.steps[0].burn == Approx(dots * 0.1).epsilon(0.001));
}

TEST_CASE("turned, mirrored and stretched pictures keep their tones and their place") {
    CHECK(rc::check([] {
        job::Job job = picture_job(ramp(80, 50), 30, 20, {150, 120});
        const double angle = *rc::gen::inRange(0, 360) * std::numbers::pi / 180;
        const bool mirrored = *rc::gen::arbitrary<bool>();
        const geometry::Point middle = job::bounds(job).centre();
        const auto map = geometry::Transform::move(middle.x, middle.y) * geometry::Transform::turn(angle) *
                         geometry::Transform::scale(mirrored ? -1 : 1, *rc::gen::element(0.5, 1.0, 2.0)) *
                         geometry::Transform::move(-middle.x, -middle.y);
        job = job::transform(job, {job.motifs[0].id}, map).value();
        job.steps[0].settings.fill.angle = *rc::gen::element(0, 90, 30);
        job.steps[0].settings.line_pitch = Length::mm(0.2);
        const Proof proof = proof_of(job.motifs[0], 0, job.steps[0], 0.18, {});
        const auto to_unit = (job.motifs[0].place * job.motifs[0].art->pictures[0].place).inverse();
        double sums[4] = {}, counts[4] = {};
        for (int y = 0; y < proof.dots.height; ++y)
            for (int x = 0; x < proof.dots.width; ++x) {
                const auto unit = to_unit(proof.frame.to_bed()({x + 0.5, proof.dots.height - y - 0.5}));
                const bool inside = unit.x > 0 && unit.x < 1 && unit.y > 0 && unit.y < 1;
                // Nothing burns more than a dot beyond the picture.
                if (unit.x < -0.05 || unit.x > 1.05 || unit.y < -0.05 || unit.y > 1.05)
                    RC_ASSERT(proof.dots.row(y)[x] == 0);
                if (!inside) continue;
                const auto part = static_cast<std::size_t>(unit.x * 4);
                sums[part] += proof.dots.row(y)[x] / 255.0;
                counts[part] += 1;
            }
        // Dark on the picture's left, light on its right, whichever way it lies.
        for (int i = 0; i < 4; ++i) {
            const double encoded = (i + 0.5) / 4, light = std::pow((encoded + 0.055) / 1.055, 2.4);
            RC_ASSERT(std::abs(sums[i] / counts[i] - (1 - light)) < 0.06);
        }
    }));
}

TEST_CASE("bare rows and margins are skipped, black is one run a line, and a lowest power lifts the lightest tone") {
    raster::RgbImage image(100, 100, {255, 255, 255});
    for (int y = 40; y < 60; ++y)
        for (int x = 30; x < 50; ++x)
            image.at(x, y) = {0, 0, 0};
    job::Job job = picture_job(image, 10, 10, {50, 50});
    const Plan made = planned(job);
    std::size_t sweeps = 0;
    for (const auto& operation : made.program.operations)
        if (const auto* sweep = std::get_if<machine::Sweep>(&operation.act)) {
            ++sweeps;
            CHECK(sweep->count <= 3);
        }
    CHECK(sweeps == 20);
    CHECK(made.burn_box.left == Approx(53).margin(0.02));
    CHECK(made.burn_box.right == Approx(55).margin(0.02));

    job = picture_job(raster::RgbImage(10, 10, {250, 250, 250}), 10, 10, {50, 50});
    job.steps[0].settings.picture.dots.method = raster::DitherMethod::grey;
    job.steps[0].settings.picture.lowest = Power::percent(20);
    const Plan light = planned(job);
    for (const auto& run : light.program.runs)
        CHECK((run.power == 0 || (run.power > 2000 && run.power < 2400)));
}

TEST_CASE("odd pictures are planned or refused, never worse") {
    for (const auto& [image, width] : {std::pair{raster::RgbImage(1, 1, {0, 0, 0}), 10.0},
                                       {raster::RgbImage(3000, 2, {90, 90, 90}), 300.0},
                                       {raster::RgbImage(5, 5, {0, 0, 0}), 0.11}}) {
        const job::Job job = picture_job(image, width, width * image.height / image.width, {10, 10});
        const auto made = plan(job, {});
        INFO(width << " " << (made ? "" : made.error().code));
        CHECK(made);
    }
    // Smaller than one dot: nothing to burn.
    CHECK_FALSE(plan(picture_job(ramp(5, 5), 0.01, 0.01, {10, 10}), {}));
    const auto white = plan(picture_job(raster::RgbImage(9, 9, {255, 255, 255}), 10, 10, {10, 10}), {});
    CHECK(white.error().code == planning::error::nothing_to_burn);
    const auto off = plan(picture_job(ramp(9, 9), 50, 50, {370, 10}), {});
    CHECK(off.error().code == planning::error::off_bed);
    // As large as the bed still fits.
    CHECK(plan(picture_job(ramp(40, 30), 400, 300, {0, 0}), {}));
}

TEST_CASE("tone and picture settings come back from the job file") {
    job::Job job = job::load(CHALKLINE_SAMPLES "/plot-27.chalk").value().job;
    job.motifs[0].preparation.tone = {
        .black = 0.1, .brightness = -6, .contrast = 12, .gamma = 1.35, .curve = {{0, 0}, {1, 0.9}}};
    job.motifs[0].preparation.tone.sharpen = 0.8;
    auto& s = job.steps[0].settings;
    s.kind = steps::StepKind::picture;
    s.picture = {{raster::DitherMethod::halftone, false, 0.2, 9, 8, 30, raster::DitherSettings::Form::line},
                 Power::percent(12),
                 true,
                 {{0, 0}, {0.5, 0.8}, {1, 1}}};
    s.picture.dots.bare_between = 3;
    s.picture.dots.lone = true;
    s.picture.dot_pitch = Length::mm(0.12);
    s.picture.spare_gain = true;
    s.picture.off_time = Duration::seconds(0.002);
    raster::Preparation& how = job.motifs[0].preparation;
    how.crop = {0.1, 0.2, 0.9, 0.75};
    how.mix = {0.5, 0.4, 0.1};
    how.denoise = 0.3;
    how.local_contrast = 0.2;
    how.background = {raster::Background::Way::cut_out,
                      0.2,
                      {0.2, 0.2, 0.7, 0.7},
                      {{true, 0.03, {{0.1, 0.2}, {0.3, 0.4}}}, {false, 0.02, {{0.5, 0.5}}}},
                      0.4};
    job = job::keep_variant(job, job.motifs[0].id, job.steps[0].id, "soft").value();
    const job::Job again = job::parse_chalk(job::to_chalk(job).value(), "x").value().job;
    CHECK(again.motifs[0].preparation == job.motifs[0].preparation);
    CHECK(again.motifs[0].variants == job.motifs[0].variants);
    CHECK(again.steps[0].settings == job.steps[0].settings);
}

TEST_CASE("variants are kept by name, used again and dropped") {
    job::Job job = picture_job(ramp(20, 10), 20, 10, {50, 50});
    const job::Id motif = job.motifs[0].id, step = job.steps[0].id;
    job = job::keep_variant(job, motif, step, "plain").value();
    job.motifs[0].preparation.tone.gamma = 2;
    job.steps[0].settings.picture.dots.method = raster::DitherMethod::stucki;
    job.steps[0].settings.power = Power::percent(33);
    job = job::keep_variant(job, motif, step, "light").value();
    job = job::use_variant(job, motif, step, 0).value();
    CHECK(job.motifs[0].preparation == raster::Preparation());
    CHECK(job.steps[0].settings.picture.dots.method == raster::DitherMethod::floyd_steinberg);
    CHECK(job.steps[0].settings.power == Power::percent(33));  // power and speed stay the step's own
    job = job::keep_variant(job, motif, step, "light").value();
    CHECK(job.motifs[0].variants.size() == 2);
    CHECK(job.motifs[0].variants[1].preparation.tone.gamma == 1);
    job = job::drop_variant(job, motif, 0).value();
    CHECK(job.motifs[0].variants.front().name == "light");
    CHECK(job::use_variant(job, motif, step, 5).error().code == job::error::unknown_variant);
    CHECK(job::drop_variant(job, motif, 1).error().code == job::error::unknown_variant);
}

TEST_CASE("a cropped picture burns its part where it was, and nothing else") {
    job::Job job = picture_job(ramp(200, 100), 40, 20, {50, 60});
    const Plan whole = planned(job);
    job.motifs[0].preparation.crop = {0.25, 0.1, 0.5, 0.6};
    const geometry::Box box = job::bounds(job);
    CHECK(box.left == Approx(60));
    CHECK(box.right == Approx(70));
    CHECK(box.bottom == Approx(68));
    CHECK(box.top == Approx(78));
    const Plan made = planned(job);
    CHECK(made.proofs[0]->dots.width == 100);
    CHECK(made.proofs[0]->dots.height == 100);
    CHECK(box.contains(made.burn_box, 0.02));
    for (const double x : {60.0, 63.0, 66.0})
        CHECK(burned_share(made, {x, 68, x + 4, 78}, 0.1) ==
              Approx(burned_share(whole, {x, 68, x + 4, 78}, 0.1)).margin(0.02));
    // Off the piece counts what is left of it.
    job.stock = job::Stock{"Lime", Length::mm(3), {59, 67}, 12, 12};
    const auto off_stock = [](const job::Job& lying) {
        const auto checks = check_job(lying, {}, lit_points(plan(lying, {}).value().program));
        return std::any_of(checks.begin(), checks.end(), [](const Check& one) { return one.code == check::off_stock; });
    };
    CHECK_FALSE(off_stock(job));
    job.motifs[0].preparation.crop = {};
    CHECK(off_stock(job));
}

TEST_CASE("a clipped picture burns inside its clip only") {
    job::Job job = picture_job(raster::RgbImage(50, 50, {0, 0, 0}), 20, 20, {100, 100});
    auto art = std::make_shared<art::Artwork>(*job.motifs[0].art);
    geometry::Polyline diamond{{{10, 0}, {20, 10}, {10, 20}, {0, 10}}, true};
    art->pictures[0].clip = geometry::Region{{diamond}};
    job.motifs[0].art = art;
    const Plan made = planned(job);
    double lit = 0;
    for (const auto& moved : test::interpret(made.program)) {
        if (!moved.lit()) continue;
        lit += geometry::distance(moved.from, moved.to) * 0.1;
        for (const geometry::Point p : {moved.from, moved.to})
            REQUIRE(std::abs(p.x - 110) + std::abs(p.y - 110) < 10.16);
    }
    CHECK(lit == Approx(200).epsilon(0.02));
}

TEST_CASE("dots may lie closer along a line than the lines") {
    job::Job job = picture_job(ramp(200, 100), 40, 20, {50, 60});
    job.steps[0].settings.line_pitch = Length::mm(0.2);
    job.steps[0].settings.picture.dot_pitch = Length::mm(0.1);
    job.steps[0].settings.power = Power::percent(100);
    const Plan made = planned(job);
    CHECK(made.proofs[0]->dots.width == 400);
    CHECK(made.proofs[0]->dots.height == 100);
    CHECK(burned_share(made, {60, 60, 64, 80}, 0.2) == Approx(1 - std::pow((0.3 + 0.055) / 1.055, 2.4)).margin(0.02));
}

TEST_CASE("a rest between dots is kept at the speed of the step") {
    job::Job job = picture_job(raster::RgbImage(40, 40, {0, 0, 0}), 8, 8, {50, 50});
    steps::StepSettings& s = job.steps[0].settings;
    s.speed = Speed::mm_per_min(3000);
    s.picture.off_time = Duration::seconds(0.005);  // 50 mm/s: a quarter of a millimetre, three dots
    s.fill.both_ways = false;
    double end = -100, row = -1;
    int runs = 0;
    for (const auto& moved : test::interpret(planned(job).program)) {
        if (!moved.lit()) continue;
        if (moved.to.y == row) CHECK(moved.from.x - end >= 0.25 - 1e-6);
        row = moved.to.y;
        end = moved.to.x;
        ++runs;
    }
    CHECK(runs > 1000);
}

TEST_CASE("pictures side by side share their sweeps where that is quicker, and burn the same dots") {
    job::Job job = picture_job(ramp(60, 40), 12, 8, {50, 50.03});
    job.steps[0].settings.speed = Speed::mm_per_min(6000);
    const auto second = picture_job(ramp(60, 40), 12, 8, {66, 52.07}).motifs[0];
    job.motifs.push_back(second);
    job.motifs.back().id = ++job.last_id;
    const auto sweeps = [](const Plan& plan) {
        return std::count_if(plan.program.operations.begin(), plan.program.operations.end(),
                             [](const auto& op) { return std::holds_alternative<machine::Sweep>(op.act); });
    };
    const auto lit = [](const Plan& plan) {
        double sum = 0;
        for (const auto& moved : test::interpret(plan.program))
            if (moved.lit()) sum += geometry::distance(moved.from, moved.to);
        return sum;
    };
    const Plan near = planned(job);
    CHECK(sweeps(near) < 110);  // 80 rows each, 60 of them shared
    // Far apart each is burned by itself, with as many lit dots.
    job.motifs[1].place = geometry::Transform::move(200, 0) * job.motifs[1].place;
    const Plan far = planned(job);
    CHECK(sweeps(far) > 150);
    CHECK(lit(near) == Approx(lit(far)).epsilon(0.002));
    CHECK(near.total < far.total);
    // Over one another only the upper one is seen; both burn where paint does not cover.
    job.motifs[1].place = job.motifs[0].place;
    const double once = lit(planned(picture_job(ramp(60, 40), 12, 8, {50, 50.03})));
    CHECK(lit(planned(job)) == Approx(once).epsilon(0.01));
    for (job::Motif& motif : job.motifs) {
        art::Artwork art = *motif.art;
        art.read_with.cover = false;
        motif.art = std::make_shared<const art::Artwork>(art);
    }
    CHECK(lit(planned(job)) == Approx(2 * once).epsilon(0.01));
}

TEST_CASE("a proof is made once for as long as nothing it depends on changes") {
    job::Job job = picture_job(ramp(60, 40), 12, 8, {50, 50});
    ProofShelf shelf;
    const auto made = shelf.proof(job.motifs[0], 0, job.steps[0], 0.18, {});
    job.steps[0].settings.power = Power::percent(11);
    CHECK(shelf.proof(job.motifs[0], 0, job.steps[0], 0.18, {}) == made);
    job.motifs[0].preparation.tone.gamma = 2;
    const auto toned = shelf.proof(job.motifs[0], 0, job.steps[0], 0.18, {});
    CHECK(toned != made);
    CHECK(toned->dots.levels != made->dots.levels);
    job.motifs[0].preparation.tone.gamma = 1;
    CHECK(shelf.proof(job.motifs[0], 0, job.steps[0], 0.18, {}) == made);
    // What was given up is not kept.
    std::stop_source stop;
    stop.request_stop();
    job.motifs[0].preparation.tone.gamma = 3;
    CHECK(shelf.proof(job.motifs[0], 0, job.steps[0], 0.18, {}, {stop.get_token(), {}})->dots.width == 0);
    CHECK(shelf.proof(job.motifs[0], 0, job.steps[0], 0.18, {})->dots.width == 120);
}
