// SPDX-License-Identifier: GPL-3.0-or-later
// What lies under other paint does not burn: in every way of filling, under pictures, and under other motifs.
#include "support/drawn_job.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/planning/plan.hpp>

#include <catch2/catch.hpp>

#include <map>
#include <set>

using namespace chalkline;
using namespace chalkline::planning;

namespace {

const std::string covered_plate = "<rect width='20' height='10'/><rect x='5' y='2' width='10' height='6' fill='#fff'/>";

/// Lit mm times the line pitch, of all steps.
double burned_area(const job::Job& job) {
    const auto planned = plan(job, {});
    INFO((planned ? std::string() : planned.error().code));
    REQUIRE(planned);
    double area = 0;
    for (const StepReport& step : planned->steps)
        area += step.area;
    return area;
}

std::shared_ptr<const art::Artwork> form(double width, double height, Rgb rgb) {
    art::FormDesign shape;
    shape.width = width;
    shape.height = height;
    return std::make_shared<const art::Artwork>(art::draw({shape, rgb, true}, {}).value());
}

/// A motif more, its lower left corner at a place of the bed.
job::Job with(job::Job job, std::shared_ptr<const art::Artwork> art, geometry::Point at) {
    job = job::add_art(job, std::move(art), {});
    job.motifs.back().place = geometry::Transform::move(at.x, at.y);
    return job;
}

job::Job uncovered(job::Job job) {
    for (job::Motif& motif : job.motifs) {
        art::Artwork art = *motif.art;
        art.read_with.cover = false;
        motif.art = std::make_shared<const art::Artwork>(art);
    }
    return job;
}

}  // namespace

TEST_CASE("white letters on a black plate stay bare") {
    job::Job job = test::drawn_job(covered_plate);
    CHECK(burned_area(job) == Approx(140).epsilon(0.005));
    CHECK(burned_area(uncovered(job)) == Approx(200).epsilon(0.005));
    SECTION("crossed") {
        job.steps[0].settings.fill.crossed = true;
        CHECK(burned_area(job) == Approx(280).epsilon(0.005));
    }
    SECTION("turned lines") {
        job.steps[0].settings.fill.angle = 30;
        CHECK(burned_area(job) == Approx(140).epsilon(0.01));
    }
    SECTION("along the outlines") {
        job.steps[0].settings.fill.way = steps::FillSettings::Way::contours;
        CHECK(burned_area(job) == Approx(140).epsilon(0.02));
    }
    SECTION("turned, mirrored and scaled art") {
        job.motifs[0].place = geometry::Transform::move(150, 150) * geometry::Transform::turn(0.5) *
                              geometry::Transform::scale(-2, 2) * geometry::Transform::move(-10, -295);
        CHECK(burned_area(job) == Approx(560).epsilon(0.01));
    }
}

TEST_CASE("inks of one step hide nothing of each other, and areas sent to cut cover too") {
    job::Job job =
        test::drawn_job("<rect width='20' height='10'/><rect x='5' y='2' width='10' height='6' fill='#888'/>");
    CHECK(burned_area(job) == Approx(200).epsilon(0.005));
    const Ink grey{{0x88, 0x88, 0x88}, InkKind::fill};
    for (job::Step& step : job.steps)
        std::erase(step.inks, grey);
    job.steps.push_back({++job.last_id, steps::starting_point(steps::StepKind::cut), {grey}});
    const Plan both = plan(job, {}).value();
    REQUIRE(both.steps.size() == 2);
    CHECK(both.steps[0].area == Approx(140).epsilon(0.005));
    // The cut follows the whole outline.
    CHECK(both.steps[1].burn == Approx(32 * job.steps.back().settings.passes).epsilon(0.01));
}

TEST_CASE("cut and scored lines are never cut away by paint") {
    const job::Job job = test::drawn_job(
        "<path d='M0 5H20' stroke='#f00' fill='none'/><rect x='5' y='2' width='10' height='6' fill='#fff'/>");
    const Plan result = plan(job, {}).value();
    REQUIRE(result.steps.size() == 1);
    CHECK(result.steps[0].burn == Approx(20 * job.steps[0].settings.passes).epsilon(0.001));
}

TEST_CASE("a motif covers those before it, by their order") {
    job::Job job = with({}, form(20, 10, {}), {50, 50});
    job = with(job, form(10, 6, {255, 255, 255}), {55, 52});
    CHECK(burned_area(job) == Approx(140).epsilon(0.005));
    const job::Job back = job::stack(job, {job.motifs[1].id}, job::Stacking::backward).value();
    CHECK(burned_area(back) == Approx(200).epsilon(0.005));
    CHECK(burned_area(job::stack(back, {back.motifs[0].id}, job::Stacking::to_front).value()) ==
          Approx(140).epsilon(0.005));
    // Part of the job alone is burned as it is seen in the whole.
    PlanOptions one;
    one.only_motifs = job::Ids{job.motifs[0].id};
    CHECK(plan(job, {}, one).value().steps[0].area == Approx(140).epsilon(0.005));
    job.motifs[1].place = geometry::Transform::move(100, 52);
    CHECK(burned_area(job) == Approx(200).epsilon(0.005));
}

TEST_CASE("copies are covered each where something lies over it") {
    job::Job job = test::drawn_job(covered_plate);
    job = job::repeat(job, {job.motifs[0].id}, {3, 2, 5, 5}).value().job;
    CHECK(burned_area(job) == Approx(6 * 140).epsilon(0.005));
    const geometry::Box second = job::bounds(job.motifs[1]);
    job = with(job, form(2, 10, {255, 255, 255}), {second.left, second.bottom});
    CHECK(burned_area(job) == Approx(6 * 140 - 20).epsilon(0.005));
}

TEST_CASE("inks of one step burn by their darkness where that is asked") {
    // Light that comes back: 1, 0.5 (#bcbcbc is half of white's light) and 0.
    job::Job job = test::drawn_job(
        "<rect width='20' height='10'/><rect x='20' width='20' height='10' fill='#bcbcbc'/>"
        "<rect x='40' width='20' height='10' fill='#fff'/><rect x='2' y='2' width='6' height='6' fill='#bcbcbc'/>");
    job.left_out.clear();
    job.steps[0].inks.push_back({{255, 255, 255}, InkKind::fill});
    using Tones = steps::FillSettings::Tones;
    CHECK(burned_area(job) == Approx(600).epsilon(0.005));

    SECTION("by power") {
        job.steps[0].settings.fill.tones = Tones::power;
        const Plan result = plan(job, {}).value();
        // White burns nothing, and what lies on top decides.
        std::map<machine::PowerValue, double> lit;
        machine::walk(result.program, [&](const machine::Stretch& s) {
            if (s.power > 0) lit[s.power] += s.length() * 0.1;
        });
        REQUIRE(lit.size() == 2);
        CHECK(lit.rbegin()->second == Approx(200 - 36).epsilon(0.01));
        CHECK(lit.begin()->second == Approx(200 + 36).epsilon(0.01));
        CHECK(static_cast<double>(lit.begin()->first) / lit.rbegin()->first == Approx(0.5).epsilon(0.02));
    }
    SECTION("by dots, with exact edges") {
        job.steps[0].settings.fill.tones = Tones::dots;
        const Plan result = plan(job, {}).value();
        double area = 0, right = 0;
        std::set<machine::PowerValue> powers;
        machine::walk(result.program, [&](const machine::Stretch& s) {
            if (s.power == 0) return;
            area += s.length() * 0.1;
            powers.insert(s.power);
            right = std::max({right, s.from.x, s.to.x});
        });
        CHECK(powers.size() == 1);
        CHECK(area == Approx(164 + 236 / 2.0).epsilon(0.02));
        CHECK(right == Approx(job::bounds(job.motifs[0]).left + 40).margin(0.01));
    }
    SECTION("by the material's response") {
        job.steps[0].settings.fill.tones = Tones::power;
        job.steps[0].settings.picture.response = {{0, 0}, {0.25, 0.5}, {1, 1}};
        CHECK(ink_share({0xbc, 0xbc, 0xbc}, job.steps[0].settings) < 0.4);
    }
    SECTION("along outlines all burn alike") {
        job.steps[0].settings.fill.tones = Tones::dots;
        job.steps[0].settings.fill.way = steps::FillSettings::Way::contours;
        CHECK(burned_area(job) == Approx(600).epsilon(0.02));
    }
}

TEST_CASE("letters over a picture are cut out of it, and it covers what lies under it") {
    const std::string half =
        "<linearGradient id='g'><stop stop-color='#000'/><stop offset='1' "
        "stop-color='#333'/></linearGradient>";
    const auto dots_in = [](const job::Job& job, const geometry::Box& box) {
        int dots = 0;
        const Plan result = plan(job, {}).value();
        machine::walk(result.program, [&](const machine::Stretch& s) {
            const geometry::Point middle = (s.from + s.to) * 0.5;
            if (s.power > 0 && box.contains(middle)) ++dots;
        });
        return dots;
    };
    // In the middle of the bed, which lies in the middle of the page's box.
    const geometry::Point corner =
        job::bounds(test::drawn_job("<rect width='20' height='10'/>")).centre() + geometry::Point{-10, -5};
    const geometry::Box letter = geometry::Box{6, 3, 9, 7}.moved(corner),
                        beside = geometry::Box{12, 3, 18, 7}.moved(corner);
    const job::Job over = test::drawn_job(half +
                                          "<rect width='20' height='10' fill='url(#g)'/>"
                                          "<rect x='5' y='2' width='5' height='6' fill='#fff'/>");
    CHECK(dots_in(over, letter) == 0);
    CHECK(dots_in(over, beside) > 0);
    CHECK(dots_in(uncovered(over), letter) > 0);
    const job::Job under = test::drawn_job(half +
                                           "<rect x='5' y='2' width='5' height='6'/>"
                                           "<rect width='20' height='10' fill='url(#g)'/>");
    double engraved = 0;
    for (const job::Step& step : under.steps)
        if (step.settings.kind == steps::StepKind::engrave) {
            PlanOptions alone;
            alone.only_steps = job::Ids{step.id};
            const auto result = plan(under, {}, alone);
            engraved += result ? result->steps[0].area : 0;
        }
    CHECK(engraved == 0);
}

TEST_CASE("stacking changes the order, and nothing else") {
    job::Job job;
    for (int i = 0; i < 4; ++i)
        job = with(job, form(5, 5, {}), {10.0 * i, 10});
    const auto order = [](const job::Job& stacked) {
        job::Ids ids;
        for (const job::Motif& motif : stacked.motifs)
            ids.push_back(motif.id);
        return ids;
    };
    const job::Ids ids = order(job);
    using enum job::Stacking;
    CHECK(order(job::stack(job, {ids[0], ids[1]}, job::Stacking::forward).value()) ==
          job::Ids{ids[2], ids[0], ids[1], ids[3]});
    CHECK(order(job::stack(job, {ids[3]}, backward).value()) == job::Ids{ids[0], ids[1], ids[3], ids[2]});
    CHECK(order(job::stack(job, {ids[1], ids[3]}, to_back).value()) == job::Ids{ids[1], ids[3], ids[0], ids[2]});
    CHECK(order(job::stack(job, {ids[0]}, to_front).value()) == job::Ids{ids[1], ids[2], ids[3], ids[0]});
    CHECK(order(job::stack(job, {ids[3]}, job::Stacking::forward).value()) == ids);
    CHECK_FALSE(job::stack(job, {99}, to_front));
}

TEST_CASE("lines under areas burn whole, or where they are seen when that is asked for") {
    // A line of 40 mm under a white plate of 10 mm, and one of 40 mm over it.
    const std::string drawn =
        "<path d='M0 5H40' stroke='#f00'/><rect x='5' y='2' width='10' height='6' fill='#fff'/>"
        "<path d='M0 7H40' stroke='#f00'/>";
    const auto cut_length = [](const job::Job& job) {
        double length = 0;
        const Plan planned = plan(job, {}).value();
        for (const StepReport& report : planned.steps)
            if (job.step(report.step)->settings.kind == steps::StepKind::cut) length += report.burn;
        return length;
    };
    job::Job job = test::drawn_job(drawn);
    const double whole = cut_length(job);
    const auto hidden = [](job::Job all) {
        for (job::Motif& motif : all.motifs) {
            art::Artwork art = *motif.art;
            art.read_with.cover_lines = true;
            motif.art = std::make_shared<const art::Artwork>(art);
        }
        return all;
    };
    CHECK(cut_length(hidden(job)) == Approx(whole - 10 * whole / 80).margin(0.01));
    // Another motif over both of them hides another 5 mm of each.
    const geometry::Box box = job::bounds(job);
    job = with(job, form(5, 20, {0, 0, 255}), {box.right - 5, box.bottom - 5});
    CHECK(cut_length(job) == Approx(whole).margin(0.01));
    CHECK(cut_length(hidden(job)) == Approx(whole - 20 * whole / 80).margin(0.01));
}
