// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "scanning/fill.hpp"
#include "scanning/scan_planner.hpp"

#include <map>
#include <memory>
#include <optional>
#include <vector>

namespace chalkline::planning {

/// Hatches shapes in the level frame, where scan lines lie level. What is drawn alike is turned and hatched once,
/// however many copies there are.
class Hatcher {
 public:
    /// REQUIRES: covers outlive it.
    Hatcher(const geometry::Transform& to_level, double pitch, const CoverPile& covers)
        : to_level_(to_level), pitch_(pitch), covers_(covers) {}

    /// A shape's box in the level frame.
    geometry::Box box_of(const FillShape& shape);
    /// Where its motif lies there.
    geometry::Point level_place(const FillShape& shape) const { return to_level_(shape.at); }

    /// Copies side by side, by what is drawn and how far along its rows each is from the first.
    struct Pattern {
        std::vector<const geometry::Region*> drawn;
        std::vector<double> across;
        auto operator<=>(const Pattern&) const = default;
    };
    /// Where a pattern lies in the level frame: its first copy, and all of it.
    struct PatternAt {
        Pattern pattern;
        geometry::Point at;
        geometry::Box box;
    };
    /// Nothing where the shapes are not that, or other motifs cover them.
    std::optional<PatternAt> pattern_of(const std::vector<const FillShape*>& shapes);

    /// The rows of all the shapes, ascending; what several cover is inked once, what is covered is not.
    std::vector<LitRow> rows(const std::vector<const FillShape*>& shapes);

 private:
    using Drawn = std::vector<const geometry::Region*>;
    struct Level {
        std::shared_ptr<const geometry::Region> drawn;  ///< kept, so that nothing else gets its address
        geometry::Region region;
        geometry::Box box;
    };
    /// What one motif burns of some shapes.
    struct Copy {
        Drawn drawn;
        int motif;
        geometry::Point at;  ///< level
        geometry::Box box;
        std::vector<const FillShape*> shapes;
    };

    const Level& level(const std::shared_ptr<const geometry::Region>& drawn);
    std::vector<Copy> copies_of(const std::vector<const FillShape*>& shapes);
    static bool alike_side_by_side(const std::vector<Copy>& copies);
    bool covered_by_others(const std::vector<const FillShape*>& shapes) const;
    const geometry::Hatching& hatching_of(const Copy& copy);
    geometry::Pile pile_of(const std::vector<const FillShape*>& shapes, const std::vector<PlacedCover>& covers,
                           geometry::Point from);
    std::vector<LitRow> rows_of_all(const std::vector<const FillShape*>& shapes);

    geometry::Transform to_level_;
    double pitch_;
    const CoverPile& covers_;
    std::map<const geometry::Region*, Level> levels_;
    std::map<Drawn, geometry::Hatching> hatchings_;
};

}  // namespace chalkline::planning
