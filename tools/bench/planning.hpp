// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "figures.hpp"

#include <chalkline/machine/program.hpp>

namespace chalkline::bench {

/// Scan lines of short runs, as a dithered picture has them.
machine::Program raster(std::size_t runs);
/// The dark way through random points beside the shortest possible, and how long it takes to find.
std::vector<Figure> path_order();
/// Moves and raster runs a second of the time model, beside the time the encoder takes for the same program.
std::vector<Figure> time_model();
/// One hundred copies of a tag planned, beside one.
std::vector<Figure> repeats();
/// Planning drawings of very many small areas, against one of few.
std::vector<Figure> areas();
/// Planning areas that lie over one another, every second one bare: beside the same where paint covers nothing, and
/// beside a third of them.
std::vector<Figure> covering();

}  // namespace chalkline::bench
