// SPDX-License-Identifier: GPL-3.0-or-later
#include "matrix.hpp"

#include <chalkline/raster/preparation.hpp>

#include <opencv2/imgproc.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::raster {
namespace {

constexpr int rounds = 4;  // of GrabCut: more move a few pixels only

cv::Point on(const cv::Mat& picture, const Place& place) {
    return {static_cast<int>(std::lround(std::clamp(place.x, 0.0, 1.0) * (picture.cols - 1))),
            static_cast<int>(std::lround(std::clamp(place.y, 0.0, 1.0) * (picture.rows - 1)))};
}

/// A copy no larger than the mask is worked out on.
cv::Mat small_copy(const RgbImage& image) {
    const cv::Mat whole(image.height, image.width, CV_8UC3,
                        const_cast<void*>(static_cast<const void*>(image.pixels.data())));
    const double scale = std::min(1.0, static_cast<double>(mask_side) / std::max(image.width, image.height));
    const cv::Size size(std::max(1, static_cast<int>(image.width * scale)),
                        std::max(1, static_cast<int>(image.height * scale)));
    if (size == whole.size()) return whole.clone();
    cv::Mat small;
    cv::resize(whole, small, size, 0, 0, cv::INTER_AREA);
    return small;
}

/// Everything that joins the border through colours near those of the border. Seeds all along it: a background is
/// seldom of one colour all round.
cv::Mat flooded(cv::Mat picture, double tolerance) {
    cv::Mat found = cv::Mat::zeros(picture.rows + 2, picture.cols + 2, CV_8UC1);
    const double by = tolerance * 255;
    const auto flood = [&](int x, int y) {
        if (found.at<std::uint8_t>(y + 1, x + 1) == 0)
            cv::floodFill(picture, found, {x, y}, {}, nullptr, {by, by, by}, {by, by, by},
                          4 | (255 << 8) | cv::FLOODFILL_MASK_ONLY | cv::FLOODFILL_FIXED_RANGE);
    };
    for (int x = 0; x < picture.cols; ++x) {
        flood(x, 0);
        flood(x, picture.rows - 1);
    }
    for (int y = 0; y < picture.rows; ++y) {
        flood(0, y);
        flood(picture.cols - 1, y);
    }
    cv::Mat kept = 255 - found(cv::Rect(1, 1, picture.cols, picture.rows));
    return kept;
}

void paint(cv::Mat& mask, const std::vector<Stroke>& strokes, int keep, int drop) {
    for (const Stroke& stroke : strokes) {
        const int wide = std::max(1, static_cast<int>(std::lround(2 * stroke.radius * mask.cols)));
        for (std::size_t i = 0; i < stroke.points.size(); ++i)
            cv::line(mask, on(mask, stroke.points[i > 0 ? i - 1 : 0]), on(mask, stroke.points[i]),
                     stroke.keep ? keep : drop, wide);
    }
}

/// The subject in a box. What lies beyond the box teaches what the background looks like.
cv::Mat cut_out(const cv::Mat& picture, const Background& background) {
    const cv::Point a = on(picture, {background.box.left, background.box.top}),
                    b = on(picture, {background.box.right, background.box.bottom});
    const cv::Rect box(a, b);
    // Without both a box and something round it there is nothing to learn from.
    if (box.width < 2 || box.height < 2 || box.area() >= (picture.cols - 1) * (picture.rows - 1))
        return cv::Mat(picture.size(), CV_8UC1, 255);
    cv::Mat mask(picture.size(), CV_8UC1, cv::GC_BGD), behind, before;
    mask(box).setTo(cv::GC_PR_FGD);
    paint(mask, background.strokes, cv::GC_FGD, cv::GC_BGD);
    cv::theRNG().state = 1;  // its clusters start at random: the same picture is always cut out the same way
    cv::grabCut(picture, mask, box, behind, before, rounds, cv::GC_INIT_WITH_MASK);
    cv::Mat kept = (mask == cv::GC_FGD) | (mask == cv::GC_PR_FGD);
    return kept;
}

cv::Mat subject(const RgbImage& image, const Background& background) {
    cv::Mat picture = small_copy(image);
    cv::Mat mask(picture.size(), CV_8UC1, 255);
    if (background.way == Background::Way::flood) mask = flooded(picture, background.tolerance);
    if (background.way == Background::Way::cut_out) mask = cut_out(picture, background);
    paint(mask, background.strokes, 255, 0);
    cv::GaussianBlur(mask, mask, {}, 0.8);  // an edge a pixel wide shows as stairs on the piece
    return mask;
}

/// An oval in the crop: all of it stays in the middle, nothing outside.
void fade(cv::Mat& mask, double vignette, const Part& crop) {
    const double wide = std::max(crop.right - crop.left, 1e-6) / 2, high = std::max(crop.bottom - crop.top, 1e-6) / 2;
    for (int y = 0; y < mask.rows; ++y)
        for (int x = 0; x < mask.cols; ++x) {
            const double across = ((x + 0.5) / mask.cols - crop.left - wide) / wide;
            const double down = ((y + 0.5) / mask.rows - crop.top - high) / high;
            const double t = std::clamp((1 - std::hypot(across, down)) / std::clamp(vignette, 0.001, 1.0), 0.0, 1.0);
            auto& value = mask.at<std::uint16_t>(y, x);
            value = static_cast<std::uint16_t>(std::lround(value * t * t * (3 - 2 * t)));
        }
}

/// Unsharp masking that never leaves the range of its neighbourhood: edges become steep and get no halo.
void crisp(GreyImage& grey, double enlarged) {
    constexpr double strength = 1.2;
    cv::Mat picture = matrix_of(grey), soft, least, most;
    cv::GaussianBlur(picture, soft, {}, enlarged / 2);
    const int reach = 2 * std::clamp(static_cast<int>(std::lround(enlarged / 2)), 1, 15) + 1;
    const cv::Mat round = cv::getStructuringElement(cv::MORPH_RECT, {reach, reach});
    cv::erode(picture, least, round);
    cv::dilate(picture, most, round);
    cv::addWeighted(picture, 1 + strength, soft, -strength, 0, picture);
    cv::min(picture, most, picture);
    cv::max(picture, least, picture);
}

void denoise(GreyImage& grey, double strength, double sigma) {
    cv::Mat picture = matrix_of(grey), fine, smooth;
    picture.convertTo(fine, CV_32F, 1.0 / grey.white);
    cv::bilateralFilter(fine, smooth, std::clamp(static_cast<int>(std::lround(sigma * 3)) | 1, 3, 7),
                        0.02 + 0.18 * strength, std::max(sigma, 1.0));
    smooth.convertTo(picture, CV_16U, grey.white);
}

/// What differs from the brightness round about is added again: unsharp masking as wide as a sixteenth of the picture.
/// The soft picture is worked out on a small copy, whose size does not matter to it.
void add_local_contrast(GreyImage& grey, double strength) {
    constexpr int small_side = 256;
    constexpr double strongest = 1.5;
    cv::Mat picture = matrix_of(grey), small, soft;
    const double scale = std::min(1.0, static_cast<double>(small_side) / std::max(grey.width, grey.height));
    cv::resize(picture, small,
               {std::max(1, static_cast<int>(grey.width * scale)), std::max(1, static_cast<int>(grey.height * scale))},
               0, 0, cv::INTER_AREA);
    cv::GaussianBlur(small, small, {}, std::max(small.cols, small.rows) / 16.0, 0, cv::BORDER_REPLICATE);
    cv::resize(small, soft, picture.size(), 0, 0, cv::INTER_LINEAR);
    cv::addWeighted(picture, 1 + strongest * strength, soft, -strongest * strength, 0, picture);
}

/// The part of the picture the frame shows, and the frame's map on it: what is not seen need not be made grey.
RgbImage seen_part(const RgbImage& image, const Sight& sight, PixelMap& map) {
    constexpr double margin = 8;  // px: what resampling reaches beyond
    double left = 1e18, top = 1e18, right = -1e18, bottom = -1e18;
    for (const double x : {0.0, static_cast<double>(sight.width)})
        for (const double y : {0.0, static_cast<double>(sight.height)}) {
            const double sx = map[0] * x + map[1] * y + map[2], sy = map[3] * x + map[4] * y + map[5];
            left = std::min(left, sx);
            right = std::max(right, sx);
            top = std::min(top, sy);
            bottom = std::max(bottom, sy);
        }
    const double reach = margin + std::max(sight.pixels_across(), sight.pixels_down());
    const int x = static_cast<int>(std::clamp(left - reach, 0.0, image.width - 1.0)),
              y = static_cast<int>(std::clamp(top - reach, 0.0, image.height - 1.0));
    const int width = static_cast<int>(std::clamp(right + reach, x + 1.0, image.width + 0.0)) - x,
              height = static_cast<int>(std::clamp(bottom + reach, y + 1.0, image.height + 0.0)) - y;
    RgbImage part(width, height, {});
    if (!image.opacity.empty()) part.opacity.resize(part.pixels.size());
    for (int row = 0; row < height; ++row) {
        const auto from = static_cast<std::ptrdiff_t>(image.index(x, y + row));
        const auto to = static_cast<std::ptrdiff_t>(part.index(0, row));
        std::copy_n(image.pixels.begin() + from, width, part.pixels.begin() + to);
        if (!image.opacity.empty()) std::copy_n(image.opacity.begin() + from, width, part.opacity.begin() + to);
    }
    map[2] -= x;
    map[5] -= y;
    return part;
}

GreyImage grey_seen(const RgbImage& image, const ChannelMix& mix, const Sight& sight) {
    PixelMap map = sight.map;
    const double seen = sight.pixels_across() * sight.width * sight.pixels_down() * sight.height;
    if (seen > 0.7 * image.width * image.height)
        return seen_through(to_grey(image, mix), map, sight.width, sight.height);
    const RgbImage part = seen_part(image, sight, map);
    return seen_through(to_grey(part, mix), map, sight.width, sight.height);
}

}  // namespace

double Sight::pixels_across() const {
    return std::hypot(map[0], map[3]);
}
double Sight::pixels_down() const {
    return std::hypot(map[1], map[4]);
}

GreyImage kept(const RgbImage& image, const Background& background, const Part& crop) {
    const bool all = background.way == Background::Way::keep && background.strokes.empty();
    if ((all && background.vignette <= 0 && image.opacity.empty()) || image.pixels.empty()) return {};
    cv::Mat mask;
    if (all) {
        mask = cv::Mat(small_copy(image).size(), CV_16UC1, 65535);
    } else {
        subject(image, background).convertTo(mask, CV_16U, 257);
    }
    if (background.vignette > 0) fade(mask, background.vignette, crop);
    // Transparency is known to the pixel: the mask grows to it.
    if (!image.opacity.empty()) {
        const cv::Mat opacity(image.height, image.width, CV_8UC1, const_cast<std::uint8_t*>(image.opacity.data()));
        cv::resize(mask, mask, opacity.size(), 0, 0, cv::INTER_LINEAR);
        cv::Mat wide;
        opacity.convertTo(wide, CV_16U, 257);
        cv::min(mask, wide, mask);
    }
    GreyImage result(mask.cols, mask.rows, 0);
    mask.copyTo(matrix_of(result));
    return result;
}

GreyImage grey_of(const RgbImage& image, const Preparation& how, const Sight& sight) {
    GreyImage grey = grey_seen(image, how.mix, sight);
    if (grey.pixels.empty()) return grey;
    const double enlarged = 1 / std::max(std::max(sight.pixels_across(), sight.pixels_down()), 1e-6);
    if (enlarged > 1.3) crisp(grey, std::min(enlarged, 40.0));
    if (how.denoise > 0) denoise(grey, how.denoise, std::max(1.0, enlarged));
    if (how.local_contrast > 0) add_local_contrast(grey, how.local_contrast);
    return grey;
}

double burned_share(Rgb colour, const Material& material) {
    const GreyImage light = to_light(to_grey(RgbImage(1, 1, colour)), material.response, material.burns_light);
    return 1 - static_cast<double>(light.pixels[0]) / light.white;
}

GreyImage light_of(const RgbImage& image, const GreyImage& kept, const Preparation& how, const Material& material,
                   const Sight& sight) {
    GreyImage grey = toned(grey_of(image, how, sight), how.tone, std::min(sight.across, sight.down));
    GreyImage light = to_light(grey, material.response, material.burns_light);
    if (material.gain > 1) spare_gain(light, material.gain);
    if (kept.pixels.empty()) return light;
    // The mask may have fewer pixels than the picture.
    PixelMap map = sight.map;
    for (int i = 0; i < 3; ++i) {
        map[static_cast<std::size_t>(i)] *= static_cast<double>(kept.width) / image.width;
        map[static_cast<std::size_t>(i) + 3] *= static_cast<double>(kept.height) / image.height;
    }
    const GreyImage stays = seen_through(kept, map, sight.width, sight.height);
    for (std::size_t i = 0; i < light.pixels.size(); ++i) {
        const std::uint32_t burned = static_cast<std::uint32_t>(light.white) - light.pixels[i];
        light.pixels[i] = static_cast<std::uint16_t>(
            light.white - (static_cast<std::uint64_t>(burned) * stays.pixels[i] + 32767) / 65535);
    }
    return light;
}

}  // namespace chalkline::raster
