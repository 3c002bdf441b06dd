// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/raster/resample.hpp>

#include <opencv2/imgproc.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::raster {
namespace {

/// OpenCV reads through a pointer that is not const; it does not write to a source.
cv::Mat view(const GreyImage& grey) {
    return {grey.height, grey.width, CV_16UC1, const_cast<std::uint16_t*>(grey.pixels.data())};
}

}  // namespace

GreyImage resized(const GreyImage& grey, int width, int height) {
    if (width == grey.width && height == grey.height) return grey;
    GreyImage result(width, height, 0, grey.white);
    cv::Mat to(height, width, CV_16UC1, result.pixels.data());
    const bool grows = width > grey.width && height > grey.height;
    cv::resize(view(grey), to, to.size(), 0, 0, grows ? cv::INTER_CUBIC : cv::INTER_AREA);
    return result;
}

GreyImage seen_through(const GreyImage& grey, const PixelMap& map, int width, int height) {
    // How many old pixels one new pixel spans along each axis of the old picture.
    const double across = std::hypot(map[0], map[1]), down = std::hypot(map[3], map[4]);
    const int small_width = std::max(1, static_cast<int>(std::lround(grey.width / std::max(across, 1.0))));
    const int small_height = std::max(1, static_cast<int>(std::lround(grey.height / std::max(down, 1.0))));
    const GreyImage small = resized(grey, small_width, small_height);
    const double sx = static_cast<double>(small.width) / grey.width,
                 sy = static_cast<double>(small.height) / grey.height;
    // Places count from the corner, OpenCV counts from the middle of the first pixel.
    const auto middle = [](double a, double b, double c, double scale) { return (a / 2 + b / 2 + c) * scale - 0.5; };
    const cv::Matx23d through(map[0] * sx, map[1] * sx, middle(map[0], map[1], map[2], sx), map[3] * sy, map[4] * sy,
                              middle(map[3], map[4], map[5], sy));
    GreyImage result(width, height, grey.white, grey.white);
    cv::Mat to(height, width, CV_16UC1, result.pixels.data());
    cv::warpAffine(view(small), to, through, to.size(), cv::INTER_LINEAR | cv::WARP_INVERSE_MAP, cv::BORDER_CONSTANT,
                   cv::Scalar(grey.white));
    return result;
}

}  // namespace chalkline::raster
