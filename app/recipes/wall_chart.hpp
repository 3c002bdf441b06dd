// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/recipes/library.hpp>

#include <QString>

namespace chalkline::app {

/// A table of settings for the workshop's wall, as PDF on A4 pages: a block a material, what is untested marked so.
/// Error: base.file-unwritable.
Result<void> write_wall_chart(const QString& file, const std::vector<recipes::MaterialGroup>& groups,
                              const QString& machine);

}  // namespace chalkline::app
