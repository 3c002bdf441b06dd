// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/reader.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::job;
using steps::StepKind;

namespace {

std::shared_ptr<const art::Artwork> art_of(
    const std::string& inside,
    const std::string& size = "width='100mm' height='50mm' viewBox='0 0 100 50' stroke-width='0.1'") {
    auto art = art::read(std::make_shared<const std::string>("<svg xmlns='http://www.w3.org/2000/svg' " + size + ">" +
                                                             inside + "</svg>"),
                         "test.svg");
    REQUIRE(art);
    return std::make_shared<const art::Artwork>(std::move(*art));
}

Job job_of(const std::string& inside) {
    return add_art({}, art_of(inside), {});
}

std::string plan_of(const Job& job) {
    std::string text;
    for (const Step& step : job.steps) {
        text += std::string(steps::to_text(step.settings.kind)) + ":";
        for (const Ink& ink : step.inks)
            text += " " + to_text(ink);
        text += "; ";
    }
    return text;
}

const std::string plate =
    "<g fill='none' stroke='#dd1166'><rect x='1' y='1' width='98' height='48'/><circle cx='10' cy='10' r='3'/></g>"
    "<rect x='5' y='5' width='90' height='40' fill='none' stroke='#1155cc'/><rect x='40' y='20' width='20' "
    "height='10'/>";

}  // namespace

TEST_CASE("first routing: fills engrave, lines score, what encloses everything is a cut") {
    CHECK(plan_of(job_of(plate)) == "engrave: #000000:fill; score: #1155cc:line; cut: #dd1166:line; ");
}

TEST_CASE("a lone line, loose lines in the outline's ink, or a shape outside make no cut") {
    CHECK(plan_of(job_of("<rect width='50' height='30' fill='none' stroke='#f00'/>")) == "score: #ff0000:line; ");
    CHECK(plan_of(job_of("<g fill='none' stroke='#f00'><rect width='50' height='30'/><path d='M5 5L9 9'/></g>")) ==
          "score: #ff0000:line; ");
    CHECK(plan_of(job_of("<rect width='50' height='30' fill='none' stroke='#f00'/><circle cx='80' cy='20' r='4' "
                         "fill='none' stroke='#00f'/>")) == "score: #ff0000:line #0000ff:line; ");
}

TEST_CASE("white fills stand for bare material and are left out") {
    const Job job = job_of("<rect width='100' height='50' fill='#fff'/><rect width='20' height='10'/>");
    CHECK(plan_of(job) == "engrave: #000000:fill; ");
    REQUIRE(routed_inks(job).size() == 2);
    CHECK(routed_inks(job)[0].left_out);
}

TEST_CASE("art arrives at true size in the middle of the stock or the bed") {
    CHECK(bounds(job_of("<rect width='20' height='10'/>")).centre() == geometry::Point{200, 150});
    Job job;
    job.stock = Stock{"Slate", Length::mm(8), {50, 60}, 40, 20, 0};
    job = add_art(job, art_of("<rect x='70' width='20' height='10'/>"), {});
    CHECK(bounds(job).centre().x == Approx(70));
    CHECK(bounds(job).centre().y == Approx(70));
    CHECK(bounds(job).width() == Approx(20));
}

TEST_CASE("art larger than the bed is refused with both sizes, never shrunk") {
    const auto refused =
        fits_bed(*art_of("<rect width='401' height='5'/>", "width='500mm' height='50mm' viewBox='0 0 500 50'"), {});
    REQUIRE_FALSE(refused);
    CHECK(refused.error().code == job::error::larger_than_bed);
    CHECK(refused.error().parameters[0].second == "401");
    CHECK(refused.error().file == "test.svg");
}

TEST_CASE("art read again keeps its place and the steps of inks that still exist") {
    Job job = job_of("<rect x='10' y='10' width='20' height='10' fill='#112233'/>");
    const Id motif = job.motifs[0].id;
    job = leave_out(job, {{0x11, 0x22, 0x33}, InkKind::fill});
    const auto before = bounds(job);
    const auto other = art_of(
        "<rect x='10' y='10' width='20' height='10' fill='#112233'/><path d='M10 10H20' stroke='#445566' "
        "fill='none'/>");
    const Job after = replace_art(job, motif, other, Anchor::page).value();
    CHECK(bounds(after) == before);
    CHECK(after.left_out == job.left_out);
    CHECK(after.steps.back().inks == std::vector<Ink>{{{0x44, 0x55, 0x66}, InkKind::line}});
    CHECK_FALSE(replace_art(job, 999, other, Anchor::page));

    const auto larger = art_of("<rect x='0' y='0' width='60' height='40' fill='#112233'/>");
    const Job grown = replace_art(job, motif, larger, Anchor::middle).value();
    CHECK(bounds(grown).centre().x == Approx(before.centre().x));
    CHECK(bounds(grown).width() == Approx(60));
}

TEST_CASE("a page registered to a corner counts from there") {
    Job job = job_of("<rect x='10' y='10' width='20' height='10'/>");
    job = register_page(job, job.motifs[0].id, {5, 7}, 0).value();
    CHECK(bounds(job).left == Approx(15));
    CHECK(bounds(job).bottom == Approx(7 + 50 - 20));
}

TEST_CASE("a second drawing keeps what was routed and shares its steps") {
    Job job = job_of(plate);
    job = route_ink(job, {{0, 0, 0}, InkKind::fill}, job.steps[1].id).value();
    job = add_art(job, art_of("<rect width='5' height='5'/><rect width='5' height='5' fill='#abcdef'/>"), {});
    CHECK(plan_of(job) == "engrave: #abcdef:fill; score: #1155cc:line #000000:fill; cut: #dd1166:line; ");
    CHECK(job.motifs.size() == 2);
}

TEST_CASE("inks move between steps and out of the job") {
    Job job = job_of(plate);
    const Ink black{{0, 0, 0}, InkKind::fill};
    job = leave_out(job, black);
    CHECK(job.steps[0].inks.empty());
    CHECK(job.left_out == std::vector<Ink>{black});
    job = route_ink(job, black, job.steps[2].id).value();
    CHECK(job.left_out.empty());
    CHECK(job.steps[2].inks.size() == 2);
    CHECK(route_ink(job, black, 999).error().code == job::error::unknown_step);
}

TEST_CASE("order faults are found and put right, keeping the order within a kind") {
    Job job = job_of(plate);
    CHECK_FALSE(order_fault(job));
    job = move_step(job, job.steps[2].id, 0).value();
    CHECK(order_fault(job));
    CHECK_FALSE(order_fault(put_in_order(job)));
    CHECK(plan_of(put_in_order(job)) == plan_of(job_of(plate)));
    // An empty cut in front burns nothing and is no fault.
    job.steps[0].inks.clear();
    CHECK_FALSE(order_fault(job));
}

TEST_CASE("new steps find their place by kind") {
    Job job = job_of(plate);
    job = add_step(job, StepKind::score);
    CHECK(job.steps[2].settings.kind == StepKind::score);
    CHECK(job.steps[3].settings.kind == StepKind::cut);
    job = remove_step(job, job.steps[2].id).value();
    CHECK(job.steps.size() == 3);
    CHECK(remove_step(job, 4711).error().code == job::error::unknown_step);
    CHECK(move_step(job, job.steps[0].id, 99).value().steps[2].id == job.steps[0].id);
}

TEST_CASE("settings out of range never reach the job") {
    const Job job = job_of(plate);
    auto settings = job.steps[0].settings;
    settings.power = Power::percent(140);
    CHECK_FALSE(change_settings(job, job.steps[0].id, settings, Speed::mm_per_min(12000)));
    settings.power = Power::percent(40);
    CHECK(change_settings(job, job.steps[0].id, settings, Speed::mm_per_min(12000))
              .value()
              .steps[0]
              .settings.power.percent() == 40);
}

TEST_CASE("motifs move and go") {
    Job job = job_of(plate);
    const auto before = bounds(job);
    job = transform(job, {job.motifs[0].id}, geometry::Transform::move(5, -3)).value();
    CHECK(bounds(job).left == Approx(before.left + 5));
    CHECK(bounds(place_art(job, {10, 20})).left == Approx(10));
    CHECK(transform(job, {99}, geometry::Transform::move(1, 1)).error().code == job::error::unknown_motif);
    CHECK(remove(job, {job.motifs[0].id}).value().motifs.empty());
}

TEST_CASE("an ink goes to further steps and is taken from one alone") {
    job::Job job = job_of("<rect x='10' y='10' width='20' height='20'/>");
    const Ink black{{0, 0, 0}, InkKind::fill};
    const job::Id fill = job.steps[0].id;
    job = add_step(job, StepKind::score);
    const job::Id outline = job.last_id;
    job = also_route_ink(job, black, outline).value();
    CHECK(also_route_ink(job, black, outline).value().steps == job.steps);
    CHECK(routed_inks(job)[0].steps == Ids{fill, outline});
    job = take_ink_from(job, black, fill).value();
    CHECK(routed_inks(job)[0].steps == Ids{outline});
    job = leave_out(job, black);
    CHECK(routed_inks(job)[0].left_out);
    job = also_route_ink(job, black, fill).value();
    CHECK_FALSE(routed_inks(job)[0].left_out);
    CHECK(also_route_ink(job, black, 999).error().code == job::error::unknown_step);
    CHECK(take_ink_from(job, black, 999).error().code == job::error::unknown_step);
    CHECK(also_route_ink(job, {{}, InkKind::picture}, fill).error().code == job::error::no_picture_step);
}

TEST_CASE("objects keep their step as long as they are known, and ask their ink when it is gone") {
    const std::string two = "<rect x='10' y='10' width='20' height='20'/><rect x='50' y='10' width='20' height='20'/>";
    job::Job job = job_of(two);
    const job::Id motif = job.motifs[0].id, first = job.steps[0].id;
    job = give_own_step(job, motif, 1).value();
    const job::Id own = job.last_id;
    CHECK(Job::sent(*job.step(own), job.motifs[0], 1));
    CHECK_FALSE(Job::sent(*job.step(first), job.motifs[0], 1));
    CHECK(Job::sent(*job.step(first), job.motifs[0], 0));
    // The same drawing with its pieces moved still has them; one piece less, and nobody knows which is which.
    const Job moved =
        replace_art(job, motif, art_of("<g transform='translate(5 5)'>" + two + "</g>"), Anchor::page).value();
    CHECK(moved.motifs[0].objects == job.motifs[0].objects);
    const Job fewer =
        replace_art(job, motif, art_of("<rect x='10' y='10' width='20' height='20'/>"), Anchor::page).value();
    CHECK(fewer.motifs[0].objects.empty());
    CHECK(remove_step(job, own).value().motifs[0].objects.empty());
    CHECK(give_own_step(job, motif, 2).error().code == job::error::unknown_motif);
    CHECK(send_object(job, motif, 0, 999).error().code == job::error::unknown_step);
    CHECK(send_object(job, 999, 0, first).error().code == job::error::unknown_motif);
}

TEST_CASE("a step is idle, noted and remembers words, marks turn with their art and are cleared") {
    job::Job job = job_of("<rect x='10' y='10' width='20' height='20'/>");
    const job::Id step = job.steps[0].id, motif = job.motifs[0].id;
    job = turn_step(job, step, false).value();
    CHECK_FALSE(Job::burns(job.steps[0], job.motifs[0], 0));
    CHECK(Job::sent(job.steps[0], job.motifs[0], 0));
    job = note_step(job, step, "wet it").value();
    job = keep_typed(job, step, "speed", "30 %").value();
    CHECK(job.steps[0].typed.at("speed") == "30 %");
    CHECK(keep_typed(job, step, "speed", "").value().steps[0].typed.empty());
    const geometry::Point corner = bounds(job).centre();
    job = mark_path(job, motif, PathMark::Kind::start, corner).value();
    job.motifs[0].place = geometry::Transform::about({0, 0}, geometry::Transform::turn(1)) * job.motifs[0].place;
    const geometry::Point now = job.motifs[0].place(job.motifs[0].marks[0].on_page);
    CHECK(geometry::distance(now, geometry::Transform::turn(1)(corner)) < 1e-9);
    CHECK(clear_path_marks(job, motif).value().motifs[0].marks.empty());
    for (const auto& refused : {turn_step(job, 999, true), note_step(job, 999, ""), keep_typed(job, 999, "a", "b")})
        CHECK(refused.error().code == job::error::unknown_step);
    CHECK(mark_path(job, 999, PathMark::Kind::bridge, {}).error().code == job::error::unknown_motif);
    CHECK(clear_path_marks(job, 999).error().code == job::error::unknown_motif);
}

TEST_CASE("what was trimmed becomes the step's own, within what the machine can do") {
    job::Job job = job::add_step({}, steps::StepKind::score);
    job.steps[0].settings.power = Power::percent(60);
    job.steps[0].settings.speed = Speed::mm_per_min(2000);
    job.steps[0].typed["speed"] = "20 %";
    const Speed top = Speed::mm_per_min(3000);
    const job::Step trimmed = job::take_trim(job, job.steps[0].id, {110, 90}, top).value().steps[0];
    CHECK(trimmed.settings.power.percent() == Approx(54));
    CHECK(trimmed.settings.speed.mm_per_min() == Approx(2200));
    CHECK(trimmed.typed.empty());
    const job::Step most = job::take_trim(job, job.steps[0].id, {200, 200}, top).value().steps[0];
    CHECK(most.settings.power.percent() == 100);
    CHECK(most.settings.speed == top);
    CHECK_FALSE(job::take_trim(job, 99, {110, 90}, top));
}
