// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/outside.hpp>

namespace chalkline::pictures {

/// Draws SVG by librsvg. Usable on any thread.
class Renderer : public art::DrawingRenderer {
 public:
    Result<void> draw_svg(const std::string& svg, double width, double height, cairo_t* onto) const override;
};

}  // namespace chalkline::pictures
