// SPDX-License-Identifier: GPL-3.0-or-later
// Draws the entities of a DXF drawing into shapes, in drawing units.
#pragma once
#include "drawing.hpp"
#include "remark_book.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/geometry/region.hpp>

#include <set>

namespace chalkline::art::dxf {

/// A vertex of a polyline with the segment after it.
struct BulgedPoint {
    geometry::Point at;
    double bulge = 0;                    ///< the tangent of a quarter of its angle
    double width = 0, width_at_end = 0;  ///< drawing units
};

class Drawer {
 public:
    Drawer(const Drawing& drawing, double unit, const ReadOptions& options, const Outside& outside, const Watch& watch)
        : drawing_(drawing), unit_(unit), options_(options), outside_(outside), watch_(watch) {}

    void draw_all();
    /// What was drawn, in drawing units; open lines not yet joined.
    Artwork& art() { return art_; }
    bool cancelled() const { return cancelled_; }
    bool full() const { return points_ > most_points || too_many_parts(); }
    /// Its blocks are repeated too often. Entities, those of repeated blocks counted each time.
    bool too_many_parts() const { return drawn_ > most_drawn; }
    static constexpr std::size_t most_drawn = 2'000'000;

 private:
    /// What an INSERT hands on to what it holds.
    struct Frame {
        geometry::Transform map;
        Rgb by_block{0, 0, 0};
        std::string layer = "0";
        std::string linetype;
        int depth = 0;
    };

    void draw(const Entity& entity, const Frame& frame);
    void draw_by_type(const Entity& entity, const Frame& frame);
    bool shown(const Entity& entity, const Frame& frame);
    Rgb colour_of(const Entity& entity, const Frame& frame) const;
    std::string layer_of(const Entity& entity, const Frame& frame) const;
    std::string linetype_of(const Entity& entity, const Frame& frame) const;
    /// What breaks the entity's lines; null: nothing, or nothing that is to be heeded.
    const Linetype* break_of(const Entity& entity, const Frame& frame) const;
    geometry::Path broken(const geometry::Path& path, const Linetype& linetype, const Entity& entity);

    void draw_arc(const Entity& entity, const Frame& frame);
    void draw_ellipse(const Entity& entity, const Frame& frame);
    void draw_light_polyline(const Entity& entity, const Frame& frame);
    void draw_polyline(const Entity& entity, const Frame& frame);
    void draw_spline(const Entity& entity, const Frame& frame);
    void draw_solid(const Entity& entity, const Frame& frame, bool crossed);
    void draw_hatch(const Entity& entity, const Frame& frame);
    void draw_insert(const Entity& entity, const Frame& frame);
    void draw_block(const Block& block, const Entity& entity, const Frame& frame, const geometry::Transform& map);
    void draw_text(const Entity& entity, const Frame& frame);
    void draw_mtext(const Entity& entity, const Frame& frame);
    /// One line of letters, 1 = the font size, from the origin; empty when there is no font. Also its width.
    std::pair<geometry::Path, double> letters(const std::string& text, std::string_view look, const Entity& entity);
    void add_letters(geometry::Path path, const geometry::Transform& map, const Entity& entity, const Frame& frame);

    void add_line(geometry::Path path, const Entity& entity, const Frame& frame, double width = 0);
    /// A polyline whose width changes on its way: wide parts are areas, thin ones lines.
    void add_tapered(const std::vector<BulgedPoint>& points, bool closed, const geometry::Transform& plane,
                     const Entity& entity, const Frame& frame);
    void add_polyline(const std::vector<BulgedPoint>& points, bool closed, const geometry::Transform& plane,
                      const Entity& entity, const Frame& frame);
    bool is_wide(double width) const { return width * unit_ * options_.scale >= options_.stroke_area; }
    void add_fill(geometry::Path path, const Entity& entity, const Frame& frame,
                  geometry::FillRule rule = geometry::FillRule::even_odd);
    void note(std::string_view code, const Entity& entity, Parameters parameters = {});

    const Drawing& drawing_;
    double unit_;  ///< mm
    const ReadOptions& options_;
    const Outside& outside_;
    const Watch& watch_;
    Artwork art_;
    RemarkBook remarks_{art_};
    std::set<std::string> hidden_layers_;
    std::vector<const Block*> inside_;  ///< blocks being drawn
    std::size_t points_ = 0, drawn_ = 0;
    bool cancelled_ = false;
};

/// The map from an entity's own plane to the drawing's, seen from above (arbitrary axis algorithm of the DXF
/// reference); the identity for most.
geometry::Transform plane_of(const Entity& entity);

geometry::Path bulged_path(const std::vector<BulgedPoint>& points, bool closed);
/// The same with every segment a line of its own.
geometry::Path bulged_segments(const std::vector<BulgedPoint>& points, bool closed);
/// The area of one segment, as wide as it says at both ends.
geometry::Region tapered_segment(const BulgedPoint& from, geometry::Point to, double tolerance);

/// A line broken as a linetype says: open ones begin and end drawn, what is left over makes both ends longer, and what
/// is too short for a whole pattern stays whole. `dot`: how long one is. All in drawing units.
std::vector<geometry::Polyline> dashes_of(const geometry::Polyline& line, std::vector<double> lengths, double dot);

/// The borders of a HATCH as closed contours.
geometry::Path hatch_borders(const Entity& entity, double tolerance);

}  // namespace chalkline::art::dxf
