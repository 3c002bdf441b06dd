// SPDX-License-Identifier: GPL-3.0-or-later
#include "matrix.hpp"

#include <chalkline/base/contract.hpp>
#include <chalkline/raster/resample.hpp>

#include <opencv2/imgproc.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::raster {

GreyImage resized(const GreyImage& grey, int width, int height) {
    CHALKLINE_REQUIRES(grey.width > 0 && grey.height > 0 && width > 0 && height > 0);
    if (width == grey.width && height == grey.height) return grey;
    GreyImage result(width, height, 0, grey.white);
    cv::Mat to = matrix_of(result);
    const bool grows = width > grey.width && height > grey.height;
    cv::resize(matrix_of(grey), to, to.size(), 0, 0, grows ? cv::INTER_CUBIC : cv::INTER_AREA);
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
    cv::Mat to = matrix_of(result);
    const auto warp = [&](const cv::Mat& from, cv::Mat& into, int how) {
        cv::warpAffine(from, into, through, into.size(), how | cv::WARP_INVERSE_MAP, cv::BORDER_CONSTANT,
                       cv::Scalar(grey.white));
    };
    const bool grows = std::max(std::hypot(map[0], map[3]), std::hypot(map[1], map[4])) < 1;
    warp(matrix_of(small), to, grows ? cv::INTER_CUBIC : cv::INTER_LINEAR);
    if (!grows) return result;
    // The cubic curve swings beyond an edge: what it gives stays between the pixels round about.
    const cv::Mat round = cv::getStructuringElement(cv::MORPH_RECT, {3, 3});
    cv::Mat extreme, limit(to.size(), CV_16UC1);
    cv::erode(matrix_of(small), extreme, round);
    warp(extreme, limit, cv::INTER_NEAREST);
    cv::max(to, limit, to);
    cv::dilate(matrix_of(small), extreme, round);
    warp(extreme, limit, cv::INTER_NEAREST);
    cv::min(to, limit, to);
    return result;
}

RgbImage shrunk(const RgbImage& image, int longest) {
    const int side = std::max(image.width, image.height);
    if (side <= longest) return image;
    RgbImage small(std::max(1, image.width * longest / side), std::max(1, image.height * longest / side), {});
    const auto channel = [](const auto& from, int width, int height, int type) {
        return cv::Mat(height, width, type, const_cast<void*>(static_cast<const void*>(from.data())));
    };
    cv::Mat to = channel(small.pixels, small.width, small.height, CV_8UC3);
    cv::resize(channel(image.pixels, image.width, image.height, CV_8UC3), to, to.size(), 0, 0, cv::INTER_AREA);
    if (image.opacity.empty()) return small;
    small.opacity.resize(small.pixels.size());
    to = channel(small.opacity, small.width, small.height, CV_8UC1);
    cv::resize(channel(image.opacity, image.width, image.height, CV_8UC1), to, to.size(), 0, 0, cv::INTER_AREA);
    return small;
}

GreyImage averaged(const Dots& dots, double left, double top, double right, double bottom, int width, int height) {
    GreyImage result(width, height, 0);
    const double across = (right - left) / width, down = (bottom - top) / height;
    // Sums over whole and broken dots: first along the rows, then down the columns.
    std::vector<double> sums(static_cast<std::size_t>(width));
    const auto add_row = [&](int y, double share) {
        const std::uint8_t* row = dots.row(y);
        for (int x = 0; x < width; ++x) {
            const double from = std::max(left + x * across, 0.0),
                         to = std::min(left + (x + 1) * across, static_cast<double>(dots.width));
            double sum = 0;
            for (int i = static_cast<int>(from); i < to; ++i)
                sum += row[i] * (std::min(to, i + 1.0) - std::max(from, static_cast<double>(i)));
            sums[static_cast<std::size_t>(x)] += sum * share;
        }
    };
    for (int y = 0; y < height; ++y) {
        std::fill(sums.begin(), sums.end(), 0.0);
        const double from = std::max(top + y * down, 0.0),
                     to = std::min(top + (y + 1) * down, static_cast<double>(dots.height));
        for (int i = static_cast<int>(from); i < to; ++i)
            add_row(i, std::min(to, i + 1.0) - std::max(from, static_cast<double>(i)));
        for (int x = 0; x < width; ++x)
            result.row(y)[x] = static_cast<std::uint16_t>(
                std::lround(sums[static_cast<std::size_t>(x)] / (across * down) / 255 * 65535));
    }
    return result;
}

}  // namespace chalkline::raster
