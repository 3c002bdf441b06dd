// SPDX-License-Identifier: GPL-3.0-or-later
// What translucent paint shows: mixed in painting order over bare material, to areas and pictures that cover.
#pragma once
#include "compose/rendering.hpp"

#include <set>
#include <utility>
#include <vector>

namespace chalkline::art {

/// Takes what a reader paints into an artwork whose coordinates are pixels (96 an inch). Of each place the last paint
/// counts: a translucent area becomes areas of the colours that are seen through it; where that would be too many
/// colours, and over pictures, it becomes a picture. Isolated groups are mixed among themselves first
/// (Porter and Duff, "Compositing digital images", 1984; the groups of CSS Compositing Level 1).
class Composer {
 public:
    /// `mixes` false: all paint counts as opaque.
    Composer(Artwork& art, bool mixes) : art_(art), mixes_(mixes) {}

    /// The shape's own colour, `alpha` above 0 to 1.
    void paint(Shape shape, double alpha);
    void lay(PlacedPicture picture, double alpha);

    /// As they are: they replace what they cover, with what they let through still to be mixed. REQUIRES: begin_group.
    void put(Shape shape, double alpha) { push(std::move(shape), alpha); }
    void put(PlacedPicture picture) { push(std::move(picture)); }

    /// What is painted from here on is mixed among itself.
    void begin_group();
    /// It is mixed with what lies under it. REQUIRES: begin_group.
    void end_group(double opacity);

    /// Paint on a sheet of its own, as patterns and clips need it.
    struct Sheet {
        std::vector<Shape> shapes;
        std::vector<double> alphas;
        std::vector<PlacedPicture> pictures;

        Paint paint() const { return {shapes, alphas, pictures, {}, {shapes.size(), pictures.size()}}; }
    };
    template <class Draw>
    Sheet apart(Draw draw) {
        auto groups = std::exchange(groups_, {});
        auto areas = std::exchange(areas_, {});
        auto boxes = std::exchange(boxes_, {});
        Sheet kept = exchange({});
        ++apart_;
        draw();
        --apart_;
        Sheet drawn = exchange(std::move(kept));
        groups_ = std::move(groups);
        areas_ = std::move(areas);
        boxes_ = std::move(boxes);
        return drawn;
    }

    bool on_sheet_apart() const { return apart_ > 0; }

    /// What still lets through lies over bare material now.
    void finish();

    /// Translucent paint that was taken for opaque, for want of room.
    int not_mixed() const { return not_mixed_; }

    static constexpr double most_dots = 20e6;        ///< of one painted area
    static constexpr double most_dots_in_all = 1e8;  ///< of a drawing
    /// Dots of all pictures so far.
    double dots() const;
    /// Dots for one more area: as many as it wants while there are plenty, then a small share of those that are left,
    /// so that those behind it are painted too, more coarsely.
    double room() const;

 private:
    using Place = Paint::Place;
    struct Mixed;

    Place here() const { return {art_.shapes.size(), art_.pictures.size()}; }
    Place group_start() const { return groups_.empty() ? Place{} : groups_.back(); }
    Paint between(Place from, Place to);
    void push(Shape shape, double alpha);
    void push(PlacedPicture picture);
    void mix(Shape shape, double alpha, Place from, Place to);
    void mix(PlacedPicture picture, double alpha, Place from, Place to);
    Mixed mixed(const Shape& shape, double alpha, Place from, Place to);
    bool push_as_picture(const Shape& shape, double alpha, Place from, Place to);
    const geometry::Region& area(std::size_t shape);
    bool under(const geometry::Box& box, Place from, Place to);
    /// Goes on with another sheet; the one before.
    Sheet exchange(Sheet sheet);

    Artwork& art_;
    bool mixes_;
    std::vector<double> alphas_;                                  ///< of the art's shapes
    std::vector<std::shared_ptr<const geometry::Region>> areas_;  ///< of the art's shapes, those that were asked for
    std::vector<geometry::Box> boxes_;                            ///< the same; empty: not asked for
    std::vector<Place> groups_;                                   ///< where those still open began
    std::set<Rgb> colours_;                                       ///< that came of mixing
    std::size_t work_ = 0;                                        ///< points put together so far
    int not_mixed_ = 0;
    int apart_ = 0;
};

}  // namespace chalkline::art
