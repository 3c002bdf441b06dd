// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/drawn_job.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/job/round_piece.hpp>
#include <chalkline/job/wall_bend.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <cmath>
#include <numbers>

using namespace chalkline;
using namespace chalkline::job;
using geometry::Point;
using std::numbers::pi;

namespace {

Job on_piece(const std::string& drawing, const RoundPiece& piece) {
    Job job = test::drawn_job(drawing);
    job.motifs.front().place = {};
    job.stock = in_rotary({}, piece).value();
    return job;
}

/// Where a place of the unrolled wall is in space: the piece's axis along Z.
struct Space {
    double x, y, z;
};
Space in_space(const RoundPiece& piece, Point wall) {
    const double steep = (piece.end_diameter - piece.diameter) / 2 / piece.length;
    const double radius = piece.diameter_at(wall.x) / 2, angle = wall.y / piece.turn() * 2 * pi;
    return {radius * std::cos(angle), radius * std::sin(angle), wall.x * std::sqrt(1 - steep * steep)};
}
double apart(Space a, Space b) {
    return std::hypot(a.x - b.x, a.y - b.y, a.z - b.z);
}

constexpr RoundPiece cup{.diameter = 88, .end_diameter = 70, .length = 110};

}  // namespace

TEST_CASE("a round piece is its unrolled wall, less what is taken") {
    const RoundPiece piece{.diameter = 80,
                           .end_diameter = 80,
                           .length = 100,
                           .taken_at_start = 5,
                           .taken_at_end = 10,
                           .taken_at_seam = 30};
    const auto stock = in_rotary({}, piece);
    REQUIRE(stock);
    const geometry::Box free = geometry::bounds(stock->outline());
    CHECK(free.left == Approx(5));
    CHECK(free.right == Approx(90));
    CHECK(free.bottom == Approx(15));
    CHECK(free.top == Approx(80 * pi - 15));

    CHECK_FALSE(in_rotary({}, {.diameter = 0.5}));
    CHECK_FALSE(in_rotary({}, {.length = 100, .taken_at_start = 60, .taken_at_end = 45}));
    CHECK_FALSE(in_rotary({}, {.diameter = 20, .end_diameter = 20, .taken_at_seam = 70}));
    CHECK(in_rotary({}, {.diameter = 10, .end_diameter = 250, .length = 100}).error().code ==
          job::error::bad_round_piece);
}

TEST_CASE("a drawing on a tapered piece keeps its lengths on the wall") {
    rc::prop("short stretches are as long on the cup as on paper", [] {
        RoundPiece piece = cup;
        piece.diameter = *rc::gen::inRange(20, 120);
        piece.end_diameter = *rc::gen::inRange(20, 120);
        RC_PRE(piece.tapered());
        const Job job = on_piece("<path d='M 10 140 L 60 180' fill='none' stroke='#f00'/>", piece);
        const WallBend bend(job);
        const double middle = *rc::gen::inRange(0, 200);
        // Within what goes round less than a full turn.
        const Point at{*rc::gen::inRange(5, 105) * 1.0, middle + *rc::gen::inRange(-25, 25)};
        const double way = *rc::gen::inRange(0, 360) * pi / 180;
        constexpr double little = 1e-3;
        const Point next = at + Point{std::cos(way), std::sin(way)} * little;
        const double length = apart(in_space(piece, bend(at, middle)), in_space(piece, bend(next, middle)));
        RC_ASSERT(std::abs(length / little - 1) < 1e-3);
        const Point back = bend.unbent(bend(at, middle), middle);
        RC_ASSERT(geometry::distance(back, at) < 1e-6);
    });
}

TEST_CASE("a drawing that goes all round follows the rings, and so does everything on a straight piece") {
    const std::string ring = "<path d='M 30 20 L 30 265' fill='none' stroke='#f00'/>";
    CHECK_FALSE(WallBend(on_piece(ring, cup)).bends(on_piece(ring, cup).motifs.front()));
    const Job small = on_piece("<path d='M 30 100 L 30 150' fill='none' stroke='#f00'/>", cup);
    CHECK(WallBend(small).bends(small.motifs.front()));
    const Job straight = on_piece("<path d='M 30 100 L 30 150' fill='none' stroke='#f00'/>", {});
    CHECK_FALSE(WallBend(straight).bends(straight.motifs.front()));
}

TEST_CASE("art and pictures are bent as they lie, marks with them") {
    Job job = on_piece("<path d='M 30 100 L 30 150' fill='none' stroke='#f00'/>", cup);
    job.motifs.front().marks = {{PathMark::Kind::bridge, {30, 300 - 125}}};
    const Motif bent = as_it_lies(job).motifs.front();
    const auto lines = bent.art->shapes.front().path.flatten(bent.place);
    REQUIRE(lines.size() == 1);
    // On the sheet a straight line; on the machine's wall its ends lie nearer to where the piece is thick.
    const auto& points = lines.front().points;
    const double middle = points[points.size() / 2].x;
    CHECK(middle == Approx(30).margin(0.01));
    CHECK(std::abs(points.front().x - 30) > 0.4);
    CHECK(points.front().x == Approx(points.back().x).margin(0.01));
    CHECK(bent.marks.front().on_page.x == Approx(30).margin(0.01));

    auto image = std::make_shared<raster::RgbImage>(60, 60, Rgb{255, 255, 255});
    for (int y = 0; y < 60; ++y)
        image->at(30, y) = {0, 0, 0};
    art::Artwork art;
    art.format = "picture";
    art.page = {30, 30};
    art.pictures.push_back({image, geometry::Transform::scale(30, 30), {}, art::picture_ink(*image)});
    Job with_picture;
    with_picture.stock = in_rotary({}, cup).value();
    with_picture.motifs.push_back({1, std::make_shared<const art::Artwork>(art), geometry::Transform::move(40, 100)});
    with_picture.last_id = 1;
    const Motif seen = as_it_lies(with_picture).motifs.front();
    const art::PlacedPicture& picture = seen.art->pictures.front();
    const geometry::Box box = art::bounds(picture);
    // The black line across the picture's middle: X 55.25, bent as lines are.
    const WallBend bend(with_picture);
    const double centre = bend.middle_of(with_picture.motifs.front());
    for (const double y : {103.0, 115.0, 127.0}) {
        const Point lies = bend({55.25, y}, centre);
        const int column = static_cast<int>((lies.x - box.left) / box.width() * picture.image->width);
        const int row = static_cast<int>((1 - (lies.y - box.bottom) / box.height()) * picture.image->height);
        bool dark = false;
        for (int x = column - 1; x <= column + 1; ++x)
            dark = dark || picture.image->pixels[picture.image->index(x, row)] == Rgb{};
        CHECK(dark);
    }
}

TEST_CASE("a group is bent as one drawing") {
    Job job = on_piece("<path d='M 30 100 L 30 110' fill='none' stroke='#f00'/>", cup);
    job.motifs.push_back(job.motifs.front());
    job.motifs.back().id = ++job.last_id;
    job.motifs.back().place = geometry::Transform::move(0, -60);
    // Alone each lies straight about its own middle; together they lie on one arc about the middle of both.
    const auto ends = [](const Job& lying, std::size_t motif) {
        const Motif& one = lying.motifs[motif];
        return geometry::bounds(one.art->shapes.front().path.flatten(one.place));
    };
    const Job alone = as_it_lies(job);
    CHECK(ends(alone, 0).left == Approx(ends(alone, 1).left).margin(1e-6));
    CHECK(ends(alone, 0).width() < 0.05);
    job.motifs[0].group = job.motifs[1].group = ++job.last_id;
    const Job together = as_it_lies(job);
    CHECK(ends(together, 0).left == Approx(ends(together, 1).left).margin(1e-6));
    CHECK(ends(together, 0).width() > 0.3);
}

TEST_CASE("a round piece is kept in the job's file") {
    Job job = on_piece("<path d='M 30 100 L 30 150' fill='none' stroke='#f00'/>", cup);
    const auto bytes = job::to_chalk(job);
    REQUIRE(bytes);
    const auto opened = job::parse_chalk(*bytes, "cup.chalk", {});
    REQUIRE(opened);
    REQUIRE(opened->job.round_piece());
    CHECK(*opened->job.round_piece() == cup);
    CHECK(opened->job.stock == job.stock);
    CHECK(opened->lost.empty());
}

TEST_CASE("the reference point goes where its art goes when the art is turned") {
    Job job = on_piece("<path d='M 10 100 L 60 100 L 60 130' fill='none' stroke='#f00'/>", {});
    const Motif& motif = job.motifs.front();
    job.datum = Datum{motif.id, on_page(motif, motif.place({60, 300 - 130}))};
    const auto turned =
        transform(job, {motif.id}, geometry::Transform::move(150, 50) * geometry::Transform::turn(pi / 2));
    REQUIRE(turned);
    const Point corner = turned->motifs.front().place({60, 300 - 130});
    REQUIRE(datum_place(*turned));
    CHECK(geometry::distance(*datum_place(*turned), corner) < 1e-9);
}

TEST_CASE("a band too long for the wall is laid round it") {
    Job job;
    job.stock = in_rotary({}, RoundPiece{}).value();
    const auto machine = machine_for(job, {});
    const auto drawing = [](const char* size) {
        return std::make_shared<const art::Artwork>(
            art::read(std::make_shared<const std::string>(
                          std::string("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 200 20' ") + size +
                          "><path d='M0 0H200V20H0Z' fill='none' stroke='#f00' stroke-width='0.1'/></svg>"),
                      "band.svg")
                .value());
    };
    const auto band = drawing("width='240mm' height='24mm'");
    REQUIRE(fits_bed(*band, machine));
    const geometry::Box turned = bounds(add_art(job, band, machine));
    CHECK(turned.width() == Approx(24).margin(0.3));
    CHECK(turned.height() == Approx(240).margin(0.3));
    CHECK(turned.centre().x == Approx(50));
    const geometry::Box small = bounds(add_art(job, drawing("width='80mm' height='8mm'"), machine));
    CHECK(small.width() == Approx(80).margin(0.3));
    CHECK_FALSE(fits_bed(*drawing("width='300mm' height='30mm'"), machine));
}

TEST_CASE("art once round is as wide as the turn and begins at the seam") {
    Job job = on_piece("<path d='M 10 100 H 40 V 160 H 10 Z' fill='none' stroke='#f00'/>", {});
    job = once_round(job, {job.motifs.front().id});
    const geometry::Box box = bounds(job);
    CHECK(box.bottom == Approx(0).margin(1e-9));
    CHECK(box.top == Approx(RoundPiece().turn()));
    CHECK(box.width() / box.height() == Approx(0.5));
}

TEST_CASE("the test ring says how wrong the diameter is, and goes away again") {
    Job job = on_piece("<path d='M 10 100 H 40 V 160 H 10 Z' fill='none' stroke='#f00'/>", {});
    const Job with = add_test_ring(job);
    REQUIRE(has_test_ring(with));
    REQUIRE(with.steps.size() == job.steps.size() + 1);
    geometry::Box ring;
    for (const Motif& motif : with.motifs)
        if (motif.art->name == test_ring_name) ring.add(bounds(motif));
    CHECK(ring.bottom == Approx(0).margin(1e-6));
    CHECK(ring.top == Approx(RoundPiece().turn()));
    const Job without = without_test_ring(with);
    CHECK_FALSE(has_test_ring(without));
    CHECK(without.steps == job.steps);
    CHECK(without.motifs.size() == job.motifs.size());

    // Rollers turned the 80 mm a piece of 81 mm needs: the ends are its missing round apart.
    CHECK(corrected_by_gap({}, pi).diameter == Approx(81));
    CHECK(corrected_by_gap({}, -pi / 2).end_diameter == Approx(79.5));
    // A chuck turned the angle of 50 mm at 80 mm: on 84 mm they came out longer.
    CHECK(corrected_by_measure({}, 52.5).diameter == Approx(84));
}

TEST_CASE("another diameter leaves at the seam what met there, and all else as it is") {
    Job job = on_piece("<path d='M 20 0 H 40 V 100 H 20 Z' fill='none' stroke='#f00'/>", cup);
    job = once_round(job, {job.motifs.front().id});
    Job more = add_art(job, job.motifs.front().art, {});
    more.motifs.back().place = geometry::Transform::move(10, 30);
    RoundPiece wider = cup;
    wider.diameter += 1.5;
    wider.end_diameter += 1.5;
    const Job now = remeasured(more, wider).value();
    const geometry::Box band = bounds(now, {now.motifs.front().id});
    CHECK(band.bottom == Approx(0).margin(1e-9));
    CHECK(band.height() == Approx(now.round_piece()->turn()));
    CHECK(now.motifs.back().place == more.motifs.back().place);
    wider.length = 0;
    CHECK_FALSE(remeasured(more, wider));
}
