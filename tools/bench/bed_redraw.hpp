// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "figures.hpp"

namespace chalkline::bench {

/// Panning and zooming the bed with a drawing of 100 000 segments at 1280 × 800.
std::vector<Figure> bed_redraw();
/// How long until the window can be used, and what it holds in memory when nobody does anything.
std::vector<Figure> starting();
/// Moments of a million moves drawn on the bed.
std::vector<Figure> scrubbing();

}  // namespace chalkline::bench
