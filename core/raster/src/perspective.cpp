// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/raster/perspective.hpp>

#include <opencv2/imgproc.hpp>

namespace chalkline::raster {

static_assert(sizeof(Rgb) == 3, "OpenCV reads the pixels as three bytes each");

RgbImage seen_from_above(const RgbImage& photo, const std::array<double, 9>& seen, int width, int height) {
    RgbImage result(width, height, {255, 255, 255});
    if (photo.pixels.empty() || width <= 0 || height <= 0) return result;
    // OpenCV reads through a pointer that is not const; it does not write to a source.
    const cv::Mat from(photo.height, photo.width, CV_8UC3, const_cast<Rgb*>(photo.pixels.data()));
    cv::Mat to(height, width, CV_8UC3, result.pixels.data());
    // Places count from the corner, OpenCV counts from the middle of the first pixel.
    const cv::Matx33d half(1, 0, 0.5, 0, 1, 0.5, 0, 0, 1), back(1, 0, -0.5, 0, 1, -0.5, 0, 0, 1);
    cv::warpPerspective(from, to, back * cv::Matx33d(seen.data()) * half, to.size(),
                        cv::INTER_LINEAR | cv::WARP_INVERSE_MAP, cv::BORDER_CONSTANT, cv::Scalar(255, 255, 255));
    return result;
}

}  // namespace chalkline::raster
