// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <memory>
#include <string>

namespace chalkline::swatches {

/// A picture file (BMP) of one grey of which a share of the dots burns, or of a wedge from all to none.
std::shared_ptr<const std::string> patch_picture(double share);
std::shared_ptr<const std::string> wedge_picture();

}  // namespace chalkline::swatches
