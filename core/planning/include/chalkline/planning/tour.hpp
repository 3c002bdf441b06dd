// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/progress.hpp>
#include <chalkline/geometry/point.hpp>

#include <cstddef>
#include <vector>

namespace chalkline::planning {

/// One thing to be visited on a tour.
struct Stop {
    /// Where it may be entered: both ends of an open line, any of these places of a closed one. REQUIRES: not empty.
    std::vector<geometry::Point> doors;
    bool through =
        false;  ///< entered at doors[0] it is left at doors[1] and the other way; else it is left where entered
    bool fixed = false;               ///< always entered at doors[0]
    std::size_t after_all_of = none;  ///< index of the stop that may only come when this one was visited
    bool copy = false;                ///< of another stop, in a pattern

    static constexpr std::size_t none = static_cast<std::size_t>(-1);
};

/// A stop and the door it is entered by.
struct Visit {
    std::size_t stop, door;
    bool operator==(const Visit&) const = default;
};

/// A short way from `from` through all stops; it ends anywhere. Stops come after those that must come before them.
/// Nearest neighbour, then 2-opt and Or-opt moves over neighbour lists with don't-look bits (J. L. Bentley, "Fast
/// algorithms for geometric traveling salesman problems", 1992), shaken by local double bridges (O. Martin, S. W. Otto,
/// E. W. Felten, 1991) for a number of tries that depends on nothing but the stops: same stops, same way. Copies lie in
/// rows, which the first search goes through as well as can be: no tries are spent on them, nor on what is gone through
/// one way. Where nearly all stops are both, the nearest next is the way. About n log n.
std::vector<Visit> short_tour(const std::vector<Stop>& stops, geometry::Point from, const Watch& watch);

}  // namespace chalkline::planning
