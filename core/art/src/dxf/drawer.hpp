// SPDX-License-Identifier: GPL-3.0-or-later
// Draws the entities of a DXF drawing into shapes, in drawing units.
#pragma once
#include "drawing.hpp"
#include "remark_book.hpp"

#include <chalkline/art/reader.hpp>

#include <set>

namespace chalkline::art::dxf {

class Drawer {
 public:
    Drawer(const Drawing& drawing, double unit, const ReadOptions& options, const Outside& outside, const Watch& watch)
        : drawing_(drawing), unit_(unit), options_(options), outside_(outside), watch_(watch) {}

    void draw_all();
    /// What was drawn, in drawing units; open lines not yet joined.
    Artwork& art() { return art_; }
    bool cancelled() const { return cancelled_; }
    bool full() const { return points_ > most_points; }

 private:
    /// What an INSERT hands on to what it holds.
    struct Frame {
        geometry::Transform map;
        Rgb by_block{0, 0, 0};
        std::string layer = "0";
        int depth = 0;
    };

    void draw(const Entity& entity, const Frame& frame);
    void draw_by_type(const Entity& entity, const Frame& frame);
    bool shown(const Entity& entity, const Frame& frame);
    Rgb colour_of(const Entity& entity, const Frame& frame) const;
    std::string layer_of(const Entity& entity, const Frame& frame) const;

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

/// The vertices of a polyline with the bulge of the segment after each (the tangent of a quarter of its angle).
struct BulgedPoint {
    geometry::Point at;
    double bulge = 0;
};
geometry::Path bulged_path(const std::vector<BulgedPoint>& points, bool closed);

/// The borders of a HATCH as closed contours.
geometry::Path hatch_borders(const Entity& entity, double tolerance);

}  // namespace chalkline::art::dxf
