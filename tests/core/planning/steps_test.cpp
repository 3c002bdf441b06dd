// SPDX-License-Identifier: GPL-3.0-or-later
// Every setting of a step, measured in the lines that are sent by an interpreter of its own.
#include "support/drawn_job.hpp"
#include "support/interpreter.hpp"
#include "support/limits.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/geometry/path.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/safety/program_checker.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <set>

using namespace chalkline;
using namespace chalkline::planning;
using namespace chalkline::safety;
using geometry::Point;
using steps::FillSettings;
using steps::LineSettings;
using namespace chalkline::test;

namespace {

/// What is drawn, all of it in one step of the kind.
job::Job drawn(const std::string& inside, steps::StepKind kind) {
    job::Job job = drawn_job(inside);
    job.steps.clear();
    job = job::add_step(job, kind);
    job.motifs[0].place = geometry::Transform::move(0, 0);
    return job::send_to_step(job, {job.motifs[0].id}, job.last_id).value();
}
std::string lines(const std::string& inside) {
    return "<g fill='none' stroke='#f00'>" + inside + "</g>";
}

std::vector<Moved> burned(const job::Job& job, const machine::MachineProfile& machine = {}) {
    const auto made = plan(job, machine);
    INFO((made ? "" : made.error().code));
    REQUIRE(made);
    machine::Encoder encoder(made->program, machine);
    for (const auto& fault : check_program(encoder, test::limits_of(job, machine, made->program))) {
        CAPTURE(fault.code, fault.text, fault.line);
        CHECK(false);
    }
    return interpret(made->program, machine);
}

steps::StepSettings& settings(job::Job& job) {
    return job.steps[0].settings;
}

geometry::Box box_of(const std::vector<Point>& chain) {
    geometry::Box box;
    for (const Point p : chain)
        box.add(p);
    return box;
}

const char* const ring = "<path d='M100 100 h60 v40 h-60 Z'/>";
const char* const ring_with_hole = "<path d='M100 100 h60 v40 h-60 Z'/><circle cx='130' cy='120' r='10'/>";

}  // namespace

TEST_CASE("the kerf lies outside what is enclosed and inside its holes, or the other way") {
    job::Job job = drawn(lines(ring_with_hole), steps::StepKind::cut);
    settings(job).passes = 1;
    settings(job).line.kerf = Length::mm(0.4);
    for (const auto& [side, plate, hole] : {std::tuple{LineSettings::Kerf::none, 60.0, 20.0},
                                            {LineSettings::Kerf::outside, 60.4, 19.6},
                                            {LineSettings::Kerf::inside, 59.6, 20.4}}) {
        settings(job).line.kerf_side = side;
        const auto chains = lit_chains(burned(job));
        REQUIRE(chains.size() == 2);
        CHECK(box_of(chains[0]).width() == Approx(hole).margin(0.02));
        CHECK(box_of(chains[1]).width() == Approx(plate).margin(0.02));
        CHECK(box_of(chains[1]).height() == Approx(plate - 20).margin(0.02));
    }
    // An opening narrower than the kerf leaves nothing to burn, an open line stays where it is.
    job = drawn(lines("<circle cx='50' cy='50' r='0.1'/><path d='M10 10 h20'/>"), steps::StepKind::cut);
    settings(job).line = {.kerf_side = LineSettings::Kerf::inside, .kerf = Length::mm(0.4)};
    settings(job).passes = 1;
    CHECK(lit_length(burned(job)) == Approx(20).margin(0.01));
    const auto said = check_plan(plan(job, {}).value());
    REQUIRE(said.size() == 1);
    CHECK(said[0].code == check::narrower_than_kerf);
}

TEST_CASE("bridges stay whole at every pass, evenly or where they were put") {
    job::Job job = drawn(lines(ring), steps::StepKind::cut);
    settings(job).passes = 2;
    settings(job).line.bridges = 4;
    settings(job).line.bridge_width = Length::mm(1.5);
    CHECK(lit_length(burned(job)) == Approx(2 * (200 - 4 * 1.5)).margin(0.02));
    settings(job).line.bridges = 0;
    // In the middle of the near side of the drawing, and across the line's own start.
    job = job::mark_path(job, job.motifs[0].id, job::PathMark::Kind::bridge, {130, 160}).value();
    job = job::mark_path(job, job.motifs[0].id, job::PathMark::Kind::bridge, {100, 200}).value();
    const auto moves = burned(job);
    CHECK(lit_length(moves) == Approx(2 * (200 - 2 * 1.5)).margin(0.02));
    for (const Moved& move : moves)
        if (move.lit())
            CHECK(geometry::distance(geometry::nearest_on_line({130, 160}, move.from, move.to), {130, 160}) > 0.74);
}

TEST_CASE("perforation burns and leaves exact lengths along curves") {
    job::Job job = drawn(lines("<circle cx='150' cy='150' r='40'/><path d='M10 20 h100'/>"), steps::StepKind::score);
    settings(job).line.perforation_burn = Length::mm(2);
    settings(job).line.perforation_gap = Length::mm(1);
    const auto chains = lit_chains(burned(job));
    int whole = 0;
    double sum = 0;
    for (const auto& chain : chains) {
        const double length = geometry::length(geometry::Polyline{chain, false});
        sum += length;
        whole += std::abs(length - 2) < 0.02;
        CHECK(length < 2.02);
    }
    const double around = 2 * std::numbers::pi * 40;
    CHECK(whole >= static_cast<int>(chains.size()) - 2);
    CHECK(sum == Approx(std::floor(around / 3) * 2 + std::min(2.0, std::fmod(around, 3)) + 67).margin(0.1));
}

TEST_CASE("a lead-in starts in what falls away, an overcut passes the start again") {
    job::Job job = drawn(lines(ring_with_hole), steps::StepKind::cut);
    settings(job).passes = 1;
    settings(job).line.lead_in = Length::mm(3);
    settings(job).line.overcut = Length::mm(2);
    const auto chains = lit_chains(burned(job));
    REQUIRE(chains.size() == 2);
    const geometry::Box plate{100, 160, 160, 200};
    const Point centre{130, 180};
    CHECK(geometry::distance(chains[0].front(), centre) == Approx(7).margin(0.05));
    CHECK_FALSE(plate.contains(chains[1].front()));
    CHECK(geometry::length(geometry::Polyline{chains[1], false}) == Approx(200 + 3 + 2).margin(0.02));
}

TEST_CASE("a marked start and direction are kept") {
    for (const auto kind : {job::PathMark::Kind::start, job::PathMark::Kind::backwards}) {
        job::Job job = drawn(lines(ring), steps::StepKind::cut);
        settings(job).passes = 1;
        job = job::mark_path(job, job.motifs[0].id, kind, {160, 185}).value();
        const auto chain = lit_chains(burned(job)).at(0);
        CHECK(geometry::distance(chain.front(), {160, 185}) < 0.01);
        // Drawn from the far left corner rightwards, so down this side.
        const bool down = chain[1].y < chain[0].y;
        CHECK(down == (kind == job::PathMark::Kind::start));
    }
}

TEST_CASE("parts are finished one by one, or all holes come first") {
    std::string plates;
    for (int i = 0; i < 4; ++i)
        plates += "<rect x='" + std::to_string(20 + 60 * i) + "' y='50' width='50' height='40'/><circle cx='" +
                  std::to_string(45 + 60 * i) + "' cy='70' r='5'/>";
    job::Job job = drawn(lines(plates), steps::StepKind::cut);
    settings(job).passes = 1;
    const auto widths = [&](LineSettings::Parts parts) {
        settings(job).line.parts = parts;
        std::vector<int> result;
        for (const auto& chain : lit_chains(burned(job)))
            result.push_back(static_cast<int>(std::lround(box_of(chain).width())));
        return result;
    };
    CHECK(widths(LineSettings::Parts::one_by_one) == std::vector{10, 50, 10, 50, 10, 50, 10, 50});
    CHECK(widths(LineSettings::Parts::holes_first) == std::vector{10, 10, 10, 10, 50, 50, 50, 50});
}

TEST_CASE("a fill at any angle, crossed and one way burns its area, and every line runs as it should") {
    const std::string square = "<path fill='#000' d='M100 100 h40 v40 h-40 Z'/>";
    for (const double angle : {0.0, 30.0, 45.0, 90.0, 163.0}) {
        job::Job job = drawn(square, steps::StepKind::engrave);
        settings(job).line_pitch = Length::mm(0.2);
        settings(job).fill.angle = angle;
        CHECK(lit_length(burned(job)) * 0.2 == Approx(1600).epsilon(0.01));
        settings(job).fill.crossed = true;
        CHECK(lit_length(burned(job)) * 0.2 == Approx(3200).epsilon(0.01));
        settings(job).fill.crossed = false;
        settings(job).fill.both_ways = false;
        const double turn = angle * std::numbers::pi / 180;
        const Point along{std::cos(turn), std::sin(turn)};
        for (const Moved& move : burned(job))
            if (move.lit()) CHECK(geometry::dot(move.to - move.from, along) == Approx(move.length()).epsilon(1e-3));
    }
}

TEST_CASE("copies of a drawing are burned alike wherever they lie, and share what they have in common") {
    const double angle = GENERATE(0.0, 180.0, 90.0, 30.0);
    INFO(angle);
    const std::string tag =
        "<path d='M 20 280 h 9 v 4 h -9 Z M 22 281 v 2 h 3 v -2 Z'/><path d='M 33 279 l 4 6 h -8 Z'/>";
    job::Job job = drawn(tag, steps::StepKind::engrave);
    settings(job).fill.angle = angle;
    const auto made = job::repeat(job, {job.motifs[0].id}, {5, 4, 2.5, 7.3});
    REQUIRE(made);
    job = made->job;
    // Lit pieces of every copy, measured from its own corner, in hundredths of a millimetre.
    const auto moves = burned(job);
    std::vector<double> inked(job.motifs.size(), 0);
    for (const Moved& move : moves) {
        if (move.power <= 0) continue;
        const Point middle = geometry::between(move.from, move.to, 0.5);
        for (std::size_t i = 0; i < job.motifs.size(); ++i)
            if (job::bounds(job, {job.motifs[i].id}).contains(middle, 0.05))
                inked[i] += geometry::distance(move.from, move.to);
    }
    for (std::size_t i = 0; i < inked.size(); ++i) {
        INFO("copy " << i);
        CHECK(inked[i] == Approx(inked[0]).epsilon(0.01));
        // 9 × 4 less 3 × 2, and the triangle.
        CHECK(inked[i] * settings(job).line_pitch.mm() == Approx(30 + 24).epsilon(0.02));
    }
    if (angle != 0 && angle != 180) return;
    const machine::Program program = plan(job, {})->program;
    std::size_t ridden = 0;
    for (const machine::Operation& operation : program.operations)
        if (const auto* sweep = std::get_if<machine::Sweep>(&operation.act)) ridden += sweep->count;
    CHECK(program.runs.size() * 3 < ridden);
}

TEST_CASE("the first scan line lies where it was asked for") {
    using First = FillSettings::First;
    for (const auto& [first, angle] : {std::pair{First::bottom, 0.0},
                                       {First::top, 0.0},
                                       {First::left, 90.0},
                                       {First::right, 90.0},
                                       {First::top, 30.0},
                                       {First::left, 120.0}}) {
        job::Job job = drawn("<path fill='#000' d='M100 100 h40 v40 h-40 Z'/>", steps::StepKind::engrave);
        settings(job).fill.first = first;
        settings(job).fill.angle = angle;
        settings(job).line_pitch = Length::mm(0.5);
        std::vector<Point> middles;
        for (const Moved& move : burned(job))
            if (move.lit()) middles.push_back(geometry::between(move.from, move.to, 0.5));
        REQUIRE(middles.size() > 50);
        const Point way = middles.back() - middles.front();
        if (first == First::bottom) CHECK(way.y > 30);
        if (first == First::top) CHECK(way.y < -30);
        if (first == First::left) CHECK(way.x > 30);
        if (first == First::right) CHECK(way.x < -30);
    }
}

TEST_CASE("overlapping areas are burned once, along the outline too, and the outline comes after") {
    const std::string overlapping =
        "<g fill='#000'><path d='M100 100 h40 v40 h-40 Z'/><path d='M120 120 h40 v40 h-40 Z'/></g>";
    job::Job job = drawn(overlapping, steps::StepKind::engrave);
    settings(job).line_pitch = Length::mm(0.1);
    CHECK(lit_length(burned(job)) * 0.1 == Approx(2800).epsilon(0.005));
    settings(job).fill.outline_after = true;
    const auto moves = burned(job);
    CHECK(lit_length(moves) == Approx(28000 + 240).epsilon(0.005));
    const auto chains = lit_chains(moves);
    CHECK(geometry::length(geometry::Polyline{chains.back(), false}) == Approx(240).margin(0.02));
    settings(job).fill = {.way = FillSettings::Way::contours};
    CHECK(lit_length(burned(job)) * 0.1 == Approx(2800).epsilon(0.01));
}

TEST_CASE("lines that run back are shifted, and the run-up is as long as asked") {
    job::Job job = drawn("<path fill='#000' d='M100 100 h40 v4 h-40 Z'/>", steps::StepKind::engrave);
    settings(job).line_pitch = Length::mm(0.5);
    settings(job).fill.shift = Length::mm(0.3);
    settings(job).fill.run_up = Length::mm(7);
    for (const Moved& move : burned(job)) {
        if (!move.lit()) continue;
        const double shift = move.to.x > move.from.x ? 0 : 0.3;
        CHECK(std::min(move.from.x, move.to.x) == Approx(100 + shift).margin(0.011));
        CHECK(std::max(move.from.x, move.to.x) == Approx(140 + shift).margin(0.011));
    }
    const geometry::Box moved = plan(job, {}).value().move_box;
    CHECK(moved.left == Approx(93).margin(0.51));
    CHECK(moved.right == Approx(147.3).margin(0.51));
}

TEST_CASE("the beam is kept as asked, air blows first, the focus goes down where there is an axis for it") {
    job::Job job = drawn(lines("<path d='M10 10 h50'/><path d='M10 20 h50'/>"), steps::StepKind::cut);
    settings(job).passes = 3;
    settings(job).air = true;
    settings(job).air_lead = Duration::seconds(2);
    settings(job).lower_each_pass = Length::mm(0.5);
    const Plan flat = plan(job, {}).value();
    for (const Moved& move : burned(job)) {
        CHECK_FALSE(move.constant);
        CHECK(move.height == 0);
    }
    const std::string text = machine::encode_all(flat.program, {});
    CHECK(text.find("M8\nG4P2\n") != std::string::npos);

    machine::MachineProfile with_z;
    with_z.z_axis = true;
    settings(job).beam = steps::BeamControl::constant;
    std::vector<double> heights;
    for (const Moved& move : burned(job, with_z)) {
        if (!move.lit()) continue;
        CHECK(move.constant);
        heights.push_back(move.height);
    }
    CHECK(heights == std::vector{0.0, 0.0, -0.5, -0.5, -1.0, -1.0});
    CHECK(machine::encode_all(plan(job, with_z).value().program, with_z).find("Z0\n") != std::string::npos);
}

TEST_CASE("under a constant beam the power falls in corners, and only there") {
    job::Job job = drawn(lines(ring), steps::StepKind::score);
    settings(job).speed = Speed::mm_per_min(6000);
    settings(job).power = Power::percent(80);
    settings(job).low_power = Power::percent(20);
    for (const Moved& move : burned(job))
        if (move.lit()) CHECK(move.power == Approx(0.8));
    settings(job).beam = steps::BeamControl::constant;
    const auto moves = burned(job);
    CHECK(lit_length(moves) == Approx(200).margin(0.02));
    std::set<double> powers;
    double full = 0;
    for (const Moved& move : moves) {
        if (!move.lit()) continue;
        powers.insert(move.power);
        if (move.power > 0.79) full += move.length();
        const auto near_corner = [&](Point p) {
            return (std::abs(p.x - 100) < 0.3 || std::abs(p.x - 160) < 0.3) &&
                   (std::abs(p.y - 160) < 0.3 || std::abs(p.y - 200) < 0.3);
        };
        if (near_corner(move.from) && near_corner(move.to)) CHECK(move.power < 0.5);
    }
    CHECK(powers.size() > 4);
    CHECK(*powers.begin() < 0.4);
    // Each of the four sides speeds up and slows down over v²/2a.
    CHECK(full == Approx(200 - 8 * 100 * 100 / 2400.0).margin(8));
}

TEST_CASE("one ink feeds two steps, one object burns in its own, an idle step and what is not asked for stay out") {
    job::Job job =
        drawn("<path fill='#000' d='M100 100 h10 v10 h-10 Z'/><path fill='#000' d='M200 100 h10 v10 h-10 Z'/>",
              steps::StepKind::engrave);
    const job::Id motif = job.motifs[0].id, fill = job.steps[0].id;
    job.motifs[0].step.reset();
    const Ink black{{0, 0, 0}, InkKind::fill};
    job = job::route_ink(job, black, fill).value();
    job = job::add_step(job, steps::StepKind::score);
    const job::Id outline = job.last_id;
    job = job::also_route_ink(job, black, outline).value();
    const double both = plan(job, {}).value().burn;
    CHECK(job::routed_inks(job)[0].steps == job::Ids{fill, outline});
    job = job::give_own_step(job, motif, 1).value();
    const job::Id own = job.last_id;
    CHECK(job.steps[1].id == own);
    CHECK(job.steps[1].settings == job.steps[0].settings);
    Plan apart = plan(job, {}).value();
    CHECK(apart.burn == Approx(both - 40).margin(1));
    REQUIRE(apart.steps.size() == 3);
    job = job::turn_step(job, own, false).value();
    CHECK(plan(job, {}).value().steps.size() == 2);
    job = job::turn_step(job, own, true).value();
    CHECK(plan(job, {}, {.only_steps = job::Ids{outline}}).value().burn == Approx(40).margin(0.1));
    CHECK(plan(job, {}, {.only_motifs = job::Ids{motif + 100}}).error().code == planning::error::nothing_to_burn);
    job = job::send_object(job, motif, 1, {}).value();
    CHECK(plan(job, {}).value().burn == Approx(both));
    job = job::remove_step(job::give_own_step(job, motif, 1).value(), job.last_id + 1).value();
    CHECK(job.motifs[0].objects.empty());
}

TEST_CASE("whatever is drawn and asked for, nothing burns twice, inside comes first and no rule is broken") {
    rc::prop("random drawings", [] {
        std::string inside;
        const int count = *rc::gen::inRange(1, 25);
        for (int i = 0; i < count; ++i) {
            const int x = *rc::gen::inRange(30, 340), y = *rc::gen::inRange(30, 240), w = *rc::gen::inRange(1, 40);
            const int what = *rc::gen::inRange(0, 3);
            const std::string at = std::to_string(x) + " " + std::to_string(y), size = std::to_string(w);
            if (what == 0) inside += "<path d='M" + at + " h" + size + " v" + size + " h-" + size + " Z'/>";
            if (what == 1) inside += "<path d='M" + at + " l" + size + " 3 l-5 " + size + "'/>";
            if (what == 2)
                inside += "<circle cx='" + std::to_string(x) + "' cy='" + std::to_string(y) + "' r='" +
                          std::to_string(w / 2 + 1) + "'/>";
        }
        job::Job job = drawn(lines(inside), steps::StepKind::cut);
        settings(job).passes = *rc::gen::inRange(1, 4);
        auto& line = settings(job).line;
        line.parts = static_cast<LineSettings::Parts>(*rc::gen::inRange(0, 3));
        line.order = static_cast<LineSettings::Order>(*rc::gen::inRange(0, 2));
        line.bridges = *rc::gen::inRange(0, 3);
        line.bridge_width = Length::mm(0.3);
        const double drawn_length = [&] {
            double sum = 0, bridged = 0;
            for (const art::Shape& shape : job.motifs[0].art->shapes)
                for (const auto& polyline : shape.path.flatten(job.motifs[0].place)) {
                    sum += geometry::length(polyline);
                    if (polyline.closed) bridged += 0.3 * line.bridges;
                }
            return sum - bridged;
        }();
        const Plan made = plan(job, {}).value();
        RC_ASSERT(std::abs(lit_length(interpret(made.program)) - drawn_length * settings(job).passes) <
                  0.002 * static_cast<double>(made.program.points.size()) + 0.02);
        const machine::MachineProfile machine;
        machine::Encoder encoder(made.program, machine);
        RC_ASSERT(check_program(encoder, test::limits_of(job, machine, made.program)).empty());
        // The same drawing gives the same program.
        RC_ASSERT(machine::encode_all(plan(job, {}).value().program, {}) == machine::encode_all(made.program, {}));
    });
}
