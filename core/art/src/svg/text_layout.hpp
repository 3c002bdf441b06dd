// SPDX-License-Identifier: GPL-3.0-or-later
// Text as outlines: letters gathered with their places (SVG 1.1 §10), shaped run by run, anchored and painted.
#pragma once
#include "canvas.hpp"

namespace chalkline::art::svg {

/// Paints a <text> element. `style` is the element's own.
void paint_text(const Scene& scene, Canvas& canvas, const pugi::xml_node& element, const Style& style,
                const Place& place);

}  // namespace chalkline::art::svg
