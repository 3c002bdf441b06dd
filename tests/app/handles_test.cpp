// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/handles.hpp"

#include "bed/snapping.hpp"

#include <chalkline/art/design.hpp>
#include <chalkline/art/reader.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <numbers>

using namespace chalkline;
using namespace chalkline::app;
using geometry::Point;
using geometry::Transform;

namespace {

HandleFrame frame(double angle) {
    return {{10, 20, 50, 40}, angle};
}

void check_point(Point point, Point wanted) {
    CHECK(point.x == Approx(wanted.x).margin(1e-9));
    CHECK(point.y == Approx(wanted.y).margin(1e-9));
}

/// A number between 0 and 1.
double part() {
    return *rc::gen::inRange(0, 1001) / 1000.0;
}

}  // namespace

TEST_CASE("a corner keeps the far corner and the shape, unless told otherwise") {
    const Handle corner{Handle::Kind::scale, 1, 1};
    const Transform twice = dragged(frame(0), corner, {50, 40}, {90, 60}, {});
    check_point(twice({10, 20}), {10, 20});
    check_point(twice({50, 40}), {90, 60});
    const Transform along = dragged(frame(0), corner, {50, 40}, {90, 40}, {});
    CHECK(along.a == Approx(along.d));
    const Transform free = dragged(frame(0), corner, {50, 40}, {90, 40}, {.keep_aspect = false});
    check_point(free({50, 40}), {90, 40});
    const Transform middle = dragged(frame(0), corner, {50, 40}, {70, 50}, {.about_middle = true});
    check_point(middle({30, 30}), {30, 30});
    check_point(middle({50, 40}), {70, 50});
}

TEST_CASE("sides stretch one way only, and nothing is ever turned inside out") {
    const Handle right{Handle::Kind::scale, 1, 0};
    const Transform wide = dragged(frame(0), right, {50, 30}, {70, 99}, {});
    check_point(wide({10, 40}), {10, 40});
    check_point(wide({50, 40}), {70, 40});
    const Transform beyond = dragged(frame(0), right, {50, 30}, {-500, 30}, {});
    CHECK(beyond.a > 0);
    CHECK(beyond.d == Approx(1));
}

TEST_CASE("turning keeps the middle and goes by whole steps when asked") {
    const Handle turn{Handle::Kind::turn, 0, 1};
    const Transform quarter = dragged(frame(0), turn, {30, 50}, {10, 31}, {.whole_steps = true});
    check_point(quarter({30, 30}), {30, 30});
    check_point(quarter({50, 30}), {30, 50});
    // A turned frame comes to rest on a whole angle too.
    const HandleFrame leaning = frame(0.1);
    const Point middle = leaning.middle();
    const Transform upright =
        dragged(leaning, turn, middle + Point{0, 10}, middle + Point{0.5, 10}, {.whole_steps = true});
    CHECK(std::atan2(upright.b, upright.a) == Approx(-0.1).margin(1e-9));
}

TEST_CASE("whatever is dragged, what is held stays on the hand's line and the frame keeps its right angles") {
    rc::prop("scaling in a turned frame", [] {
        const HandleFrame turned = frame(part() * 6);
        const Handle handle{Handle::Kind::scale, *rc::gen::element(-1, 1), *rc::gen::element(-1, 1)};
        const Point from = turned.on_bed({handle.across < 0 ? 10.0 : 50.0, handle.up < 0 ? 20.0 : 40.0});
        const Point to = from + Point{part() * 60 - 30, part() * 60 - 30};
        const Transform map = dragged(turned, handle, from, to, {.keep_aspect = part() < 0.5});
        const Point x = map.direction(turned.to_bed().direction({1, 0}));
        const Point y = map.direction(turned.to_bed().direction({0, 1}));
        RC_ASSERT(std::abs(geometry::dot(x, y)) < 1e-9 * (1 + geometry::norm(x) * geometry::norm(y)));
        RC_ASSERT(map.area() > 0);
        const Point far = turned.on_bed({handle.across < 0 ? 50.0 : 10.0, handle.up < 0 ? 40.0 : 20.0});
        RC_ASSERT(geometry::distance(map(far), far) < 1e-9);
    });
}

TEST_CASE("a turned motif alone has a frame in its own directions, several have an upright one") {
    const art::Design design{art::FormDesign{art::FormDesign::Form::rectangle, 40, 20, 0, 6}, {}, false};
    const auto art = std::make_shared<const art::Artwork>(art::draw(design).value());
    job::Job job;
    job.motifs.push_back({1, art, Transform::turn(0.5)});
    job.motifs.push_back({2, art, Transform::move(100, 0)});
    const HandleFrame alone = frame_of(job, {1});
    CHECK(alone.angle == Approx(0.5));
    CHECK(alone.box.width() == Approx(40));
    CHECK(alone.box.height() == Approx(20));
    CHECK(frame_of(job, {1, 2}).angle == 0);
    // Sheared by a stretch across its own directions: only an upright frame is left.
    job.motifs[0].place = Transform::scale(2, 1) * job.motifs[0].place;
    CHECK(frame_of(job, {1}).angle == 0);
    CHECK(frame_of(job, {}).empty());
    const Camera camera{2, {0, 600}};
    CHECK(handles_of(alone, camera).size() == 8 + 1 - 2);  // its short sides have no room for one
    CHECK(handle_at(alone, camera, camera.to_screen(alone.on_bed({40, 20}))) == Handle{Handle::Kind::scale, 1, 1});
    CHECK_FALSE(handle_at(alone, camera, camera.to_screen(alone.middle())));
}

TEST_CASE("the nearest line catches, within reach, each way for itself") {
    SnapLines lines;
    lines.add({0, 0, 100, 50});
    const Snap left = snap({1, 10.4, 21, 20.4}, lines, 3);
    CHECK(left.by.x == Approx(-1));
    CHECK(*left.x == 0);
    CHECK_FALSE(left.y);
    CHECK(left.by.y == 0);
    const Snap middle = snap({39.5, 20, 59.5, 32}, lines, 3);
    CHECK(middle.by.x == Approx(0.5));
    CHECK(*middle.x == 50);
    CHECK(middle.by.y == Approx(-1));
    CHECK(*snap(Point{98, 51}, lines, 3).x == 100);
    CHECK_FALSE(snap(Point{98, 51}, lines, 1).x);
}
