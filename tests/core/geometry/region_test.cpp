// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/geometry/combine.hpp>
#include <chalkline/geometry/region.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

using namespace chalkline::geometry;

namespace {

Polyline rectangle(double left, double bottom, double right, double top) {
    return {{{left, bottom}, {right, bottom}, {right, top}, {left, top}}, true};
}

double inked(const std::vector<InkedRow>& rows) {
    double sum = 0;
    for (const auto& row : rows)
        for (const auto& s : row.stretches)
            sum += s.to - s.from;
    return sum;
}

}  // namespace

TEST_CASE("the fill rules differ where rings overlap") {
    const auto outer = rectangle(0, 0, 10, 10), inner = rectangle(2, 2, 8, 8);
    const Region both{{outer, inner}, FillRule::non_zero}, ring{{outer, inner}, FillRule::even_odd};
    CHECK(contains(both, {5, 5}));
    CHECK_FALSE(contains(ring, {5, 5}));
    CHECK(contains(ring, {1, 5}));
    CHECK_FALSE(contains(both, {11, 5}));
    CHECK(covered_area({both}) == Approx(100));
    CHECK(covered_area({ring}) == Approx(64));
}

TEST_CASE("overlapping shapes count once") {
    const std::vector<Region> two{{{rectangle(0, 0, 10, 10)}, {}}, {{rectangle(5, 0, 15, 10)}, {}}};
    CHECK(covered_area(two) == Approx(150));
    // Turning one round changes nothing: each shape is filled by itself.
    auto turned = two;
    std::reverse(turned[1].rings[0].points.begin(), turned[1].rings[0].points.end());
    CHECK(covered_area(turned) == Approx(150));
    CHECK(inked(hatch({turned}, 0.1)) * 0.1 == Approx(150).epsilon(0.005));
    for (const auto& row : hatch({turned}, 0.1))
        CHECK(row.stretches.size() == 1);
}

TEST_CASE("scan rows lie in the middle of what they ink, the pitch apart") {
    const auto rows = hatch({{{{rectangle(0, 0, 20, 10)}, {}}}}, 0.1);
    REQUIRE(rows.size() == 100);
    CHECK(rows.front().y == Approx(0.05));
    CHECK(rows.back().y == Approx(9.95));
    CHECK(rows[7].stretches == std::vector<InkedStretch>{{0, 20, 1}});
    for (std::size_t i = 1; i < rows.size(); ++i)
        CHECK(rows[i].y - rows[i - 1].y == Approx(0.1));
}

TEST_CASE("thin bars keep their weight") {
    // Three bars 0.53 mm high: with rows at fixed places each could lose a tenth of itself.
    std::vector<Region> bars;
    for (const double y : {0.0, 1.31, 2.77})
        bars.push_back({{rectangle(0, y, 4, y + 0.53)}, {}});
    CHECK(inked(hatch({bars}, 0.1)) * 0.1 == Approx(3 * 4 * 0.53).epsilon(0.03));
}

TEST_CASE("no height, no rows") {
    CHECK(hatch({}, 0.1).empty());
    CHECK(hatch({{{{{{{0, 0}, {5, 0}}, true}}, {}}}}, 0.1).empty());
}

TEST_CASE("scan rows ink the area that is drawn") {
    rc::prop("any polygon, both rules", [] {
        Polyline ring{{}, true};
        const int corners = *rc::gen::inRange(3, 9);
        for (int i = 0; i < corners; ++i)
            ring.points.push_back({*rc::gen::inRange(0, 4000) / 100.0, *rc::gen::inRange(0, 4000) / 100.0});
        const Region region{{ring}, *rc::gen::element(FillRule::non_zero, FillRule::even_odd)};
        const double area = covered_area({region}), outline = length(ring);
        RC_ASSERT(std::abs(inked(hatch({{region}}, 0.1)) * 0.1 - area) <= 0.02 * outline + 0.001);
        for (const auto& row : hatch({{region}}, 0.1)) {
            for (std::size_t i = 0; i < row.stretches.size(); ++i) {
                const auto& s = row.stretches[i];
                RC_ASSERT(s.from < s.to);
                if (i > 0) RC_ASSERT(row.stretches[i - 1].to < s.from);
                if (s.to - s.from > 0.01) RC_ASSERT(contains(region, {(s.from + s.to) / 2, row.y}));
            }
        }
    });
}

TEST_CASE("what is painted later covers what lies under it") {
    const Region plate{{rectangle(0, 0, 20, 10)}}, hole{{rectangle(5, 2, 15, 8)}}, dot{{rectangle(8, 4, 12, 6)}};
    // A bare plate on the black one, and black on that again.
    const Pile pile{{plate, hole, dot}, {1, 0, 1}};
    CHECK(inked(hatch(pile, 0.1)) * 0.1 == Approx(200 - 60 + 8).epsilon(1e-6));
    for (const InkedRow& row : hatch(pile, 0.1))
        CHECK(row.stretches.size() == (row.y < 2 || row.y > 8 ? 1 : row.y < 4 || row.y > 6 ? 2 : 3));
    double exact = 0;
    for (const Polyline& ring : seen(pile).rings)
        exact += signed_area(ring);
    CHECK(exact == Approx(148));
    const auto areas = seen_areas(pile.regions);
    CHECK(areas[0] == Approx(140));
    CHECK(areas[1] == Approx(52));
    CHECK(areas[2] == Approx(8));
}

TEST_CASE("shades that touch stay apart, alike they are one stretch") {
    const Region left{{rectangle(0, 0, 5, 1)}}, right{{rectangle(5, 0, 10, 1)}};
    CHECK(hatch({{left, right}, {0.5, 1}}, 0.5).front().stretches ==
          std::vector<InkedStretch>{{0, 5, 0.5}, {5, 10, 1}});
    CHECK(hatch({{left, right}, {0.5, 0.5}}, 0.5).front().stretches == std::vector<InkedStretch>{{0, 10, 0.5}});
}

TEST_CASE("scan rows and exact areas tell the same of any pile") {
    rc::prop("rectangles and rings, some bare", [] {
        Pile pile;
        const int count = *rc::gen::inRange(1, 8);
        for (int i = 0; i < count; ++i) {
            const double x = *rc::gen::inRange(0, 300) / 10.0, y = *rc::gen::inRange(0, 300) / 10.0;
            const double w = *rc::gen::inRange(10, 150) / 10.0, h = *rc::gen::inRange(10, 150) / 10.0;
            Region region{{rectangle(x, y, x + w, y + h)}, FillRule::even_odd};
            if (*rc::gen::arbitrary<bool>())
                region.rings.push_back(rectangle(x + w / 4, y + h / 4, x + w / 2, y + h / 2));
            pile.regions.push_back(region);
            pile.inks.push_back(*rc::gen::inRange(0, 2));
        }
        double exact = 0, outline = 0;
        for (const Polyline& ring : seen(pile).rings)
            exact += signed_area(ring);
        for (const Region& region : pile.regions)
            outline += length(region.rings);
        RC_ASSERT(std::abs(inked(hatch(pile, 0.05)) * 0.05 - exact) <= 0.02 * outline + 0.001);
        const auto areas = seen_areas(pile.regions);
        double burning = 0;
        for (std::size_t i = 0; i < areas.size(); ++i)
            burning += pile.inks[i] * areas[i];
        RC_ASSERT(std::abs(burning - exact) <= 0.002 * outline);
    });
}
