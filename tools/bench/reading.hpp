// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "figures.hpp"

namespace chalkline::bench {

/// Reading drawings into areas and lines, beside one rendering of the same by librsvg at 300 dots an inch.
std::vector<Figure> reading();

}  // namespace chalkline::bench
