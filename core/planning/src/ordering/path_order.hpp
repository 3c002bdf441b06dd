// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/progress.hpp>
#include <chalkline/geometry/path.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <cstddef>
#include <optional>
#include <vector>

namespace chalkline::planning {

/// A line to burn and the motif it comes from.
struct LineShape {
    geometry::Polyline line;
    int motif = 0;
    bool fixed = false;                      ///< begins at its first point, in its own direction
    int depth = 0;                           ///< how many closed lines lie around it
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

/// Where the head is before and after something burns.
struct WayThrough {
    geometry::Point from{};
    std::optional<geometry::Point> to{};  ///< none: anywhere
};

inline constexpr std::size_t no_line = static_cast<std::size_t>(-1);
/// For every line the smallest closed one around it, or `no_line`.
std::vector<std::size_t> enclosures(const std::vector<LineShape>& lines);
/// For every line how many closed ones lie around it.
std::vector<int> depths(const std::vector<std::size_t>& enclosures);
/// Sets `depth`.
void mark_enclosed(std::vector<LineShape>& lines);

/// The order of the shortest dark way (tour.hpp). A line inside a closed one always comes before it. `one_by_one`: all
/// inside one outline, then that, then the next. `back_and_forth`: an open line ends where it began, because its passes
/// are of even number.
std::vector<OrderedLine> shortest_order(std::vector<LineShape> lines, bool one_by_one, bool back_and_forth,
                                        const WayThrough& way, const Watch& watch);

/// As drawn, except that what lies inside a closed line comes right before it.
std::vector<OrderedLine> drawn_order(std::vector<LineShape> lines);

/// Where the head is after a line.
geometry::Point left_at(const OrderedLine& line, bool back_and_forth);

}  // namespace chalkline::planning
