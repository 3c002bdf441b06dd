// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/progress.hpp>
#include <chalkline/geometry/path.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <vector>

namespace chalkline::planning {

/// A line to burn and the motif it comes from.
struct LineShape {
    geometry::Polyline line;
    int motif;
    bool fixed = false;                      ///< begins at its first point, in its own direction
    bool copy = false;                       ///< the same drawing lies elsewhere in the same way, and came before
    std::vector<geometry::Point> bridges{};  ///< places left uncut, marked by hand
};

/// A line in the order and direction it is burned: a closed one turned so that it begins at its start.
struct OrderedLine {
    std::vector<geometry::Point> points;  ///< a closed line repeats its first point at the end
    bool closed;
    bool hole;  ///< lies inside an odd number of others: what it encloses falls away
    int motif;
    std::vector<geometry::Point> bridges{};
};

inline constexpr std::size_t no_line = static_cast<std::size_t>(-1);
/// For every line the smallest closed one around it, or `no_line`.
std::vector<std::size_t> enclosures(const std::vector<LineShape>& lines);
/// For every line how many closed ones lie around it.
std::vector<int> depths(const std::vector<std::size_t>& enclosures);

/// Lines in the order they are burned. A line inside a closed one always comes before it. Among what may come next the
/// shortest dark way (tour.hpp), or the drawn order. `back_and_forth`: an open line ends where it began, because its
/// passes are of even number.
std::vector<OrderedLine> order_lines(std::vector<LineShape> lines, const steps::LineSettings& settings,
                                     bool back_and_forth, geometry::Point from, const Watch& watch);

}  // namespace chalkline::planning
