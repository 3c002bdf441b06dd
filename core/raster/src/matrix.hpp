// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/raster/grey.hpp>

#include <opencv2/core.hpp>

namespace chalkline::raster {

/// The same pixels as OpenCV sees them; the image must outlive it.
inline cv::Mat matrix_of(GreyImage& grey) {
    return {grey.height, grey.width, CV_16UC1, grey.pixels.data()};
}
/// OpenCV reads through a pointer that is not const; it does not write to a source.
inline cv::Mat matrix_of(const GreyImage& grey) {
    return {grey.height, grey.width, CV_16UC1, const_cast<std::uint16_t*>(grey.pixels.data())};
}

}  // namespace chalkline::raster
