// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <cstddef>
#include <functional>
#include <vector>

namespace chalkline::planning {

/// The boxes, by their index, that come within `reach` of one another sideways, or overlap; each in one group. What a
/// group holds ascends, and groups come by their first. Where the boxes are rough, `belong` says of two that come near
/// whether they do. About n log n.
std::vector<std::vector<std::size_t>> neighbourhoods(
    const std::vector<geometry::Box>& boxes, double reach,
    const std::function<bool(std::size_t, std::size_t)>& belong = [](std::size_t, std::size_t) { return true; });

}  // namespace chalkline::planning
