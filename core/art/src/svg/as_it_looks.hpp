// SPDX-License-Identifier: GPL-3.0-or-later
// A whole drawing as one picture, drawn by a renderer that knows all of SVG.
#pragma once
#include "scene.hpp"

namespace chalkline::art::svg {

/// Puts a picture of the page in place of all that was read but thin lines, which are left out of it. `box`: the part
/// of the drawing's own units the page shows; `page`: the same in page px. Changes the document. Errors: not_rendered.
Result<void> draw_as_it_looks(const Scene& scene, const std::vector<pugi::xml_node>& thin_lines,
                              const std::vector<double>& box, const geometry::Box& page);

}  // namespace chalkline::art::svg
