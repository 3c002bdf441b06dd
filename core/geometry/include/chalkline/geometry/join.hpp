// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/path.hpp>

#include <vector>

namespace chalkline::geometry {

struct JoinedPath {
    Path path;
    std::size_t first;  ///< the piece it was begun with
};

/// Pieces whose ends touch (no farther apart than `within`) put together into longer paths, turned round where needed;
/// a chain whose own ends touch is closed. Each end takes the nearest free one. The order follows the first piece of
/// each chain. About n for evenly spread pieces.
/// REQUIRES: every piece is_open_line(); within > 0.
std::vector<JoinedPath> join_ends(std::vector<Path> pieces, double within);

}  // namespace chalkline::geometry
