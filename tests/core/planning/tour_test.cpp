// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/planning/tour.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <algorithm>
#include <numeric>
#include <random>

using namespace chalkline;
using namespace chalkline::planning;
using geometry::Point;

namespace {

double way_of(const std::vector<Stop>& stops, const std::vector<Visit>& visits, Point from) {
    double way = 0;
    for (const Visit& visit : visits) {
        const Stop& stop = stops[visit.stop];
        way += geometry::distance(from, stop.doors[visit.door]);
        from = stop.through ? stop.doors[1 - visit.door] : stop.doors[visit.door];
    }
    return way;
}

bool each_once(const std::vector<Visit>& visits, std::size_t count) {
    std::vector<std::size_t> seen;
    for (const Visit& visit : visits)
        seen.push_back(visit.stop);
    std::sort(seen.begin(), seen.end());
    std::vector<std::size_t> all(count);
    std::iota(all.begin(), all.end(), std::size_t{0});
    return seen == all;
}

}  // namespace

TEST_CASE("a tour visits everything once, in any order that is allowed, and never gets longer by trying") {
    rc::prop("stops of all kinds", [] {
        const auto count = *rc::gen::inRange<std::size_t>(1, 60);
        const auto place = [] { return Point{*rc::gen::inRange(0, 4000) / 10.0, *rc::gen::inRange(0, 3000) / 10.0}; };
        std::vector<Stop> stops(count);
        for (std::size_t i = 0; i < count; ++i) {
            const int kind = *rc::gen::inRange(0, 4);
            stops[i].doors = {place(), place()};
            if (kind == 0) stops[i].doors.push_back(place());
            stops[i].through = kind == 1 || kind == 2;
            stops[i].fixed = kind == 2 || kind == 3;
            // Only a later number may wait for an earlier one: no circles.
            if (i + 1 < count && *rc::gen::inRange(0, 3) == 0)
                stops[i].after_all_of = *rc::gen::inRange<std::size_t>(i + 1, count);
        }
        const auto visits = short_tour(stops, {}, {});
        RC_ASSERT(each_once(visits, count));
        std::vector<std::size_t> at(count);
        for (std::size_t i = 0; i < count; ++i)
            at[visits[i].stop] = i;
        for (std::size_t i = 0; i < count; ++i) {
            RC_ASSERT(visits[at[i]].door < stops[i].doors.size());
            if (stops[i].fixed) RC_ASSERT(visits[at[i]].door == 0u);
            if (stops[i].after_all_of != Stop::none) RC_ASSERT(at[i] < at[stops[i].after_all_of]);
        }
        RC_ASSERT(visits == short_tour(stops, {}, {}));
    });
}

TEST_CASE("few stops are visited by the shortest way of all") {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> x(0, 400), y(0, 300);
    for (int round = 0; round < 20; ++round) {
        std::vector<Stop> stops(8);
        for (Stop& stop : stops)
            stop.doors = {{x(random), y(random)}};
        std::vector<std::size_t> order(stops.size());
        std::iota(order.begin(), order.end(), std::size_t{0});
        double best = 1e9;
        do {
            std::vector<Visit> visits;
            for (const std::size_t stop : order)
                visits.push_back({stop, 0});
            best = std::min(best, way_of(stops, visits, {}));
        } while (std::next_permutation(order.begin(), order.end()));
        CHECK(way_of(stops, short_tour(stops, {}, {}), {}) <= best * 1.02);
    }
}

TEST_CASE("two thousand points are joined by a way as short as chance allows") {
    std::mt19937 random(11);
    std::uniform_real_distribution<double> side(0, 300);
    std::vector<Stop> stops(2000);
    for (Stop& stop : stops)
        stop.doors = {{side(random), side(random)}};
    // The shortest tour of n random points in an area A is near 0.7124 √(n A) (1 + 0.33 / n) (D. S. Johnson, L. A.
    // McGeoch, E. E. Rothberg, 1996), and a little longer where the border is felt.
    const double usual = 0.7124 * std::sqrt(2000.0 * 300 * 300) * (1 + 0.467 / std::log(2000.0) / 20);
    CHECK(way_of(stops, short_tour(stops, {}, {}), {}) < usual * 1.08);
}
