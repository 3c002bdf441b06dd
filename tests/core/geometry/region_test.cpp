// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/geometry/region.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

using namespace chalkline::geometry;

namespace {

Polyline rectangle(double left, double bottom, double right, double top) {
    return {{{left, bottom}, {right, bottom}, {right, top}, {left, top}}, true};
}

double inked(const std::vector<ScanRow>& rows) {
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
    CHECK(inked(hatch(turned, 0.1)) * 0.1 == Approx(150).epsilon(0.005));
    for (const auto& row : hatch(turned, 0.1))
        CHECK(row.stretches.size() == 1);
}

TEST_CASE("scan rows lie in the middle of what they ink, the pitch apart") {
    const auto rows = hatch({{{rectangle(0, 0, 20, 10)}, {}}}, 0.1);
    REQUIRE(rows.size() == 100);
    CHECK(rows.front().y == Approx(0.05));
    CHECK(rows.back().y == Approx(9.95));
    CHECK(rows[7].stretches == std::vector<Stretch>{{0, 20}});
    for (std::size_t i = 1; i < rows.size(); ++i)
        CHECK(rows[i].y - rows[i - 1].y == Approx(0.1));
}

TEST_CASE("thin bars keep their weight") {
    // Three bars 0.53 mm high: with rows at fixed places each could lose a tenth of itself.
    std::vector<Region> bars;
    for (const double y : {0.0, 1.31, 2.77})
        bars.push_back({{rectangle(0, y, 4, y + 0.53)}, {}});
    CHECK(inked(hatch(bars, 0.1)) * 0.1 == Approx(3 * 4 * 0.53).epsilon(0.03));
}

TEST_CASE("no height, no rows") {
    CHECK(hatch({}, 0.1).empty());
    CHECK(hatch({{{{{{0, 0}, {5, 0}}, true}}, {}}}, 0.1).empty());
}

TEST_CASE("scan rows ink the area that is drawn") {
    rc::prop("any polygon, both rules", [] {
        Polyline ring{{}, true};
        const int corners = *rc::gen::inRange(3, 9);
        for (int i = 0; i < corners; ++i)
            ring.points.push_back({*rc::gen::inRange(0, 4000) / 100.0, *rc::gen::inRange(0, 4000) / 100.0});
        const Region region{{ring}, *rc::gen::element(FillRule::non_zero, FillRule::even_odd)};
        const double area = covered_area({region}), outline = length(ring);
        RC_ASSERT(std::abs(inked(hatch({region}, 0.1)) * 0.1 - area) <= 0.02 * outline + 0.001);
        for (const auto& row : hatch({region}, 0.1)) {
            for (std::size_t i = 0; i < row.stretches.size(); ++i) {
                const auto& s = row.stretches[i];
                RC_ASSERT(s.from < s.to);
                if (i > 0) RC_ASSERT(row.stretches[i - 1].to < s.from);
                if (s.to - s.from > 0.01) RC_ASSERT(contains(region, {(s.from + s.to) / 2, row.y}));
            }
        }
    });
}
