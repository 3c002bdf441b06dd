// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "shapes/line_groups.hpp"

#include <map>
#include <optional>
#include <utility>

namespace chalkline::planning {

/// The way through copies of a pattern, one after the other.
class CopyRoute {
 public:
    using Order = std::shared_ptr<const std::vector<OrderedLine>>;
    struct Visit {
        std::size_t copy;  ///< index into `places`
        Order lines;       ///< as drawn
    };
    struct Way {
        std::vector<Visit> visits;
        double dark = 0;  ///< mm
        geometry::Point end;
        std::size_t course = 0;  ///< which of those it knows
    };

    /// `box`: of the pattern. REQUIRES: all references outlive it; there is a line and a place.
    CopyRoute(const LineShapes& pattern, const geometry::Box& box, const std::vector<geometry::Point>& places,
              bool one_by_one, bool back_and_forth, const Watch& watch);

    /// The shortest of the ways it knows: along rows or along columns, each copy aimed at the next or not. Nothing
    /// where the copies lie in neither.
    std::optional<Way> shortest(geometry::Point from);
    /// The dark way through a few copies, mm.
    struct Trial {
        std::size_t copies;
        double one_after_the_other, freely;
    };
    /// The first copy and its neighbours, gone through as in `way`, and freely from line to line of all. Nothing where
    /// a drawing has so many lines that the ways from copy to copy hardly count.
    std::optional<Trial> tried_freely(const Way& way, geometry::Point from);

 private:
    /// The lines of one copy in some order; places as drawn.
    struct Inner {
        Order lines;
        geometry::Point entry, exit;
        double dark = 0;  ///< mm
    };
    using Place = std::pair<long, long>;  ///< hundredths of a millimetre
    static Place rounded(geometry::Point p);

    /// A way of going on: rows or columns, and whether each copy is left where the next begins. Its orders by where the
    /// head comes from and how far it is to the next copy, seen from this one.
    struct Course {
        bool columns, aimed;
        std::map<std::pair<Place, std::optional<Place>>, Inner> orders{};
        geometry::Point begins{};  ///< where the order found last does
    };

    std::vector<std::size_t> rows(geometry::Point from, bool columns) const;
    bool regular(const std::vector<std::size_t>& sequence) const;
    Way along(const std::vector<std::size_t>& sequence, geometry::Point from, std::size_t course);
    const Inner& inner(Course& course, geometry::Point from, std::optional<geometry::Point> next);
    const Inner& one_of_two(geometry::Point from);
    Inner ordered(const LineShapes& lines, const WayThrough& way) const;

    const LineShapes& pattern_;
    geometry::Box box_;
    const std::vector<geometry::Point>& places_;
    bool one_by_one_, back_and_forth_;
    const Watch& watch_;
    std::vector<Course> courses_;
    std::vector<Inner> there_and_back_;  ///< of a drawing of many lines
};

}  // namespace chalkline::planning
