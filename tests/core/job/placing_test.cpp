// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/design.hpp>
#include <chalkline/art/reader.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>

#include <catch2/catch.hpp>

#include <numbers>

using namespace chalkline;
using namespace chalkline::job;
using geometry::Box;
using geometry::Point;
using geometry::Transform;

namespace {

std::shared_ptr<const art::Artwork> rectangle(double width, double height) {
    art::Design design;
    design.what = art::FormDesign{art::FormDesign::Form::rectangle, width, height, 0, 6};
    return std::make_shared<const art::Artwork>(art::draw(design).value());
}

/// Rectangles of 10 × 5 mm with these lower left corners.
Job tags(const std::vector<Point>& corners) {
    Job job;
    for (const Point corner : corners)
        job.motifs.push_back({++job.last_id, rectangle(10, 5), Transform::move(corner.x, corner.y)});
    return job;
}

void check_box(const Box& box, const Box& expected) {
    CHECK(box.left == Approx(expected.left).margin(1e-6));
    CHECK(box.bottom == Approx(expected.bottom).margin(1e-6));
    CHECK(box.right == Approx(expected.right).margin(1e-6));
    CHECK(box.top == Approx(expected.top).margin(1e-6));
}

Stock wooden_piece(double width, double height, double angle = 0) {
    Stock stock;
    stock.corner = {20, 10};
    stock.width = width;
    stock.height = height;
    stock.angle = angle;
    return stock;
}

bool lie_over(const Box& a, const Box& b) {
    return a.left < b.right - 1e-9 && b.left < a.right - 1e-9 && a.bottom < b.top - 1e-9 && b.bottom < a.top - 1e-9;
}

}  // namespace

TEST_CASE("maps move what may move and refuse what is locked or gone") {
    Job job = tags({{0, 0}, {50, 0}});
    const Transform turn = Transform::about({5, 2.5}, Transform::turn(std::numbers::pi / 2));
    check_box(bounds(transform(job, {1}, turn).value().motifs[0]), {2.5, -2.5, 7.5, 7.5});
    job = set_locked(job, {1}, true).value();
    CHECK(transform(job, {1}, turn).error().code == job::error::locked);
    const Job both = transform(job, {1, 2}, Transform::move(5, 5)).value();
    check_box(bounds(both.motifs[0]), {0, 0, 10, 5});
    check_box(bounds(both.motifs[1]), {55, 5, 65, 10});
    CHECK(transform(job, {7}, turn).error().code == job::error::unknown_motif);
}

TEST_CASE("copies share the art, get ids of their own, and copied groups stay apart") {
    const Job job = group(tags({{0, 0}, {20, 0}}), {1, 2}).value();
    const Added added = copy(job, {1, 2}, {0, 30}).value();
    REQUIRE(added.motifs.size() == 2);
    REQUIRE(added.job.motifs.size() == 4);
    CHECK(added.job.motifs[2].art == job.motifs[0].art);
    CHECK(added.job.motifs[2].group == added.job.motifs[3].group);
    CHECK(added.job.motifs[2].group != job.motifs[0].group);
    CHECK(with_groups(added.job, {added.motifs[0]}) == added.motifs);
    check_box(bounds(added.job.motifs[3]), {20, 30, 30, 35});
    CHECK(with_groups(ungroup(job, {2}).value(), {1}) == Ids{1});
}

TEST_CASE("a row of twelve lies at equal gaps") {
    const Added row = repeat(tags({{5, 5}}), {1}, {12, 1, 2.5, 0}).value();
    REQUIRE(row.job.motifs.size() == 12);
    for (int i = 0; i < 12; ++i)
        check_box(bounds(row.job.motifs[static_cast<std::size_t>(i)]), {5 + i * 12.5, 5, 15 + i * 12.5, 10});
    CHECK(repeat(tags({{0, 0}}), {1}, {100, 100, 1, 1}).error().code == job::error::too_many_motifs);
}

TEST_CASE("filling the stock leaves the margin, overlaps nothing and stays on a round piece") {
    Job job = tags({{300, 200}});
    CHECK(fill_stock(job, {1}, 2, 3).error().code == job::error::no_stock);
    job.stock = wooden_piece(100, 60);
    const Job square = fill_stock(job, {1}, 2, 3).value().job;
    CHECK(square.motifs.size() == 8 * 8);  // (94 + 2) / 12 and (54 + 2) / 7
    job.stock->form = Stock::Form::ellipse;
    const Job round = fill_stock(job, {1}, 2, 3).value().job;
    CHECK(round.motifs.size() > 20);
    CHECK(round.motifs.size() < square.motifs.size());
    for (const Job* filled : {&square, &round}) {
        const geometry::Region piece{{filled->stock->outline()}, geometry::FillRule::non_zero};
        for (std::size_t i = 0; i < filled->motifs.size(); ++i) {
            const Box box = bounds(filled->motifs[i]);
            for (const Point corner : geometry::outline(box.grown(2.9)).points)
                CHECK(geometry::contains(piece, corner));
            for (std::size_t k = 0; k < i; ++k)
                CHECK_FALSE(lie_over(box, bounds(filled->motifs[k])));
        }
    }
    job.stock = wooden_piece(9, 60);
    CHECK(fill_stock(job, {1}, 2, 0).error().code == job::error::no_room);
}

TEST_CASE("aligning and spacing take groups as one") {
    Job job = tags({{0, 0}, {0, 10}, {40, 3}, {100, 50}});
    job = group(job, {1, 2}).value();
    const Job left = align(job, {1, 2, 3, 4}, Side::right, {0, 0, 200, 100}).value();
    check_box(bounds(left, {1, 2}), {190, 0, 200, 15});
    check_box(bounds(left.motifs[3]), {190, 50, 200, 55});
    const Job level = align(job, {1, 2, 3}, Side::middle, {0, 0, 200, 100}).value();
    check_box(bounds(level, {1, 2}), {0, 42.5, 10, 57.5});
    const Job even = distribute(job, {1, 2, 3, 4}, Along::x).value();
    check_box(bounds(even.motifs[2]), {50, 3, 60, 8});
    check_box(bounds(even.motifs[3]), {100, 50, 110, 55});
    const Job near = distribute(job, {1, 2, 3, 4}, Along::x, 1.0).value();
    check_box(bounds(near.motifs[2]), {11, 3, 21, 8});
    check_box(bounds(near.motifs[3]), {22, 50, 32, 55});
}

TEST_CASE("the job goes to a corner of a turned piece and follows its angle") {
    Job job = tags({{0, 0}});
    CHECK(put_on_stock(job, Spot::centre, 0, false).error().code == job::error::no_stock);
    const double angle = 37 * std::numbers::pi / 180;
    job.stock = wooden_piece(80, 40, angle);
    const Job placed = put_on_stock(job, Spot::near_left, 5, true).value();
    // In the piece's own millimetres the tag stands 5 mm from its two near sides.
    const Transform own = job.stock->place().inverse() * placed.motifs[0].place;
    check_box(art::bounds_under(*placed.motifs[0].art, own), {5, 5, 15, 10});
    const Job middle = put_on_stock(job, Spot::centre, 0, true).value();
    const Point centre = bounds(middle).centre();
    CHECK(geometry::distance(centre, job.stock->middle()) < 1e-6);
}

TEST_CASE("the datum turns and moves with the art") {
    Job job = tags({{30, 40}});
    CHECK(datum_place(job).value() == Point{30, 40});
    job = set_datum(job, 1, {40, 45}).value();  // the far right corner
    job = transform(job, {1}, Transform::about({35, 42.5}, Transform::turn(std::numbers::pi / 2))).value();
    const Point turned = datum_place(job).value();
    CHECK(turned.x == Approx(32.5));
    CHECK(turned.y == Approx(47.5));
    job = bring_datum_to(job, {100, 100}).value();
    check_box(bounds(job), {100, 90, 105, 100});
    CHECK_FALSE(job::remove(job, {1}).value().datum);
    CHECK_FALSE(datum_place({}));
}

TEST_CASE("a motif sent to a step burns there whatever its inks say, until it is given back") {
    Job job = tags({{0, 0}, {20, 0}});
    job = add_step(add_step(job, steps::StepKind::score), steps::StepKind::cut);
    const Id score = job.steps[0].id, cut = job.steps[1].id;
    const Ink ink = job.motifs[0].art->shapes[0].ink;
    job = route_ink(job, ink, score).value();
    job = send_to_step(job, {2}, cut).value();
    CHECK(Job::burns(*job.step(score), job.motifs[0], 0));
    CHECK_FALSE(Job::burns(*job.step(score), job.motifs[1], 0));
    CHECK(Job::burns(*job.step(cut), job.motifs[1], 0));
    CHECK(job.has_work(*job.step(cut)));
    CHECK(routed_inks(job)[0].shapes == 1);
    job = remove_step(job, cut).value();
    CHECK(Job::burns(*job.step(score), job.motifs[1], 0));
    CHECK(send_to_step(job, {2}, 99).error().code == job::error::unknown_step);
}

TEST_CASE("a piece moves, turns, stretches and stays square, and a mirrored one keeps its outline") {
    Job job;
    CHECK(transform_stock(job, Transform::move(1, 1)).error().code == job::error::no_stock);
    job.stock = wooden_piece(100, 60, 0.3);
    const auto area = [](const Stock& stock) { return geometry::signed_area(stock.outline()); };
    for (const Transform& map : {Transform::move(5, -3), Transform::turn(1.2), Transform::scale(2, 3),
                                 Transform::scale(-1, 1), Transform::scale(1, -1)}) {
        Job before = job;
        before.stock->form = Stock::Form::outline;
        before.stock->points = {{0, 0}, {1, 0}, {0, 1}};
        const Stock moved = *transform_stock(before, map).value().stock;
        CHECK(area(moved) == Approx(area(*before.stock) * std::abs(map.area())));
        const bool square = std::abs(std::abs(map.a) - std::abs(map.d)) < 1e-9;
        if (!square) continue;
        for (const geometry::Point corner : before.stock->outline().points) {
            double nearest = 1e9;
            for (const geometry::Point other : moved.outline().points)
                nearest = std::min(nearest, geometry::distance(other, map(corner)));
            CHECK(nearest < 1e-6);
        }
    }
    for (int i = 0; i < 27; ++i)
        job = mark_place(job, {double(i), 0});
    CHECK(job.marked[0].name == "A");
    CHECK(job.marked[26].name == "A2");
    job = forget_marked(job, job.marked[1].id);
    CHECK(mark_place(job, {}).marked.back().name == "B");
}
