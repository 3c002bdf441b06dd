// SPDX-License-Identifier: GPL-3.0-or-later
// Paint as pixels, where areas cannot say it: tones, and what lies under a translucent picture (Cairo).
#pragma once
#include <chalkline/art/artwork.hpp>

#include <cairo.h>

#include <memory>
#include <vector>

namespace chalkline::art {

struct DestroyCairo {
    void operator()(cairo_t* c) const { cairo_destroy(c); }
    void operator()(cairo_surface_t* s) const { cairo_surface_destroy(s); }
    void operator()(cairo_pattern_t* p) const { cairo_pattern_destroy(p); }
};
using Cairo = std::unique_ptr<cairo_t, DestroyCairo>;
using Surface = std::unique_ptr<cairo_surface_t, DestroyCairo>;
using Pattern = std::unique_ptr<cairo_pattern_t, DestroyCairo>;

cairo_matrix_t to_cairo(const geometry::Transform& t);
cairo_fill_rule_t to_cairo(geometry::FillRule rule);
/// Adds the lines to the current path.
void trace(cairo_t* cairo, const std::vector<geometry::Polyline>& lines);

/// Part of what was painted so far, in painting order: what is later replaces what it covers.
struct Paint {
    const std::vector<Shape>& shapes;
    const std::vector<double>& alphas;  ///< of the shapes
    const std::vector<PlacedPicture>& pictures;
    struct Place {
        std::size_t shapes = 0, pictures = 0;
    };
    Place from, to;  ///< what lies between them
    /// Of the shapes, where they are known; of lines they may be empty.
    const std::vector<geometry::Box>* boxes = nullptr;
};
enum class ThinLines { drawn, left_out };

/// Draws on what the surface shows. `map`: from the paint's coordinates to pixels.
void render(cairo_t* cairo, const Paint& paint, const geometry::Transform& map, ThinLines lines);

}  // namespace chalkline::art
