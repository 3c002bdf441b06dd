// SPDX-License-Identifier: GPL-3.0-or-later
// Pictures as dots and scan lines, down to the lines that are sent.
#include "support/interpreter.hpp"

#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/machine/encoder.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/planning/program_checker.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck.h>

#include <cmath>
#include <numbers>

using namespace chalkline;
using namespace chalkline::planning;

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
    CHECK(check_program(lines, limits_of(job, machine, made->program)).empty());
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
        const Proof proof = proof_of(job.motifs[0], 0, job.steps[0]);
        const auto to_unit = (job.motifs[0].place * job.motifs[0].art->pictures[0].place).inverse();
        double sums[4] = {}, counts[4] = {};
        for (int y = 0; y < proof.dots.height; ++y)
            for (int x = 0; x < proof.dots.width; ++x) {
                const auto unit = to_unit(proof.to_bed()({x + 0.5, proof.dots.height - y - 0.5}));
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
    job.motifs[0].tone = {.black = 0.1, .brightness = -6, .contrast = 12, .gamma = 1.35, .curve = {{0, 0}, {1, 0.9}}};
    job.motifs[0].tone.sharpen = 0.8;
    auto& s = job.steps[0].settings;
    s.kind = steps::StepKind::picture;
    s.picture = {{raster::DitherMethod::halftone, false, 0.2, 9, 8, 30, raster::DitherSettings::Form::line},
                 Power::percent(12),
                 true,
                 {{0, 0}, {0.5, 0.8}, {1, 1}}};
    const job::Job again = job::parse_chalk(job::to_chalk(job).value(), "x").value().job;
    CHECK(again.motifs[0].tone == job.motifs[0].tone);
    CHECK(again.steps[0].settings == s);
}
