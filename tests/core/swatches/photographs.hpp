// SPDX-License-Identifier: GPL-3.0-or-later
// Photographs of burned cards, made up: the card seen from aside, in uneven light, blurred, noisy, as a JPEG.
#pragma once
#include <chalkline/geometry/homography.hpp>
#include <chalkline/raster/grey.hpp>
#include <chalkline/swatches/card.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <functional>
#include <numbers>
#include <random>

namespace chalkline::test {

struct Photograph {
    int width = 1500, height = 1200;
    std::array<geometry::Point, 4>
        marks;            ///< where the marks come to lie, px: near left, near right, far right, far left
    double shade = 0.4;   ///< share of the light that is missing in one corner
    double blur = 1.2;    ///< px
    double noise = 3;     ///< of 255
    int quality = 60;     ///< of a JPEG
    double grain = 0.04;  ///< of the material
    Rgb bare{226, 196, 146}, burnt{51, 25, 11};
    unsigned seed = 1;
};

namespace photo {

inline double linear(std::uint8_t value) {
    return raster::to_light(value / 255.0);
}

/// Rows of one channel blurred by a Gaussian.
inline void blur(std::vector<double>& values, int width, int height, double sigma) {
    const int reach = static_cast<int>(std::ceil(3 * sigma));
    std::vector<double> weights;
    for (int i = -reach; i <= reach; ++i)
        weights.push_back(std::exp(-i * i / (2 * sigma * sigma)));
    for (const bool down : {false, true}) {
        std::vector<double> blurred(values.size());
        for (int y = 0; y < height; ++y)
            for (int x = 0; x < width; ++x) {
                double sum = 0, whole = 0;
                for (int i = -reach; i <= reach; ++i) {
                    const int column = down ? x : std::clamp(x + i, 0, width - 1);
                    const int row = down ? std::clamp(y + i, 0, height - 1) : y;
                    const double weight = weights[static_cast<std::size_t>(i + reach)];
                    sum += weight * values[static_cast<std::size_t>(row * width + column)];
                    whole += weight;
                }
                blurred[static_cast<std::size_t>(y * width + x)] = sum / whole;
            }
        values = std::move(blurred);
    }
}

/// What a JPEG of this quality loses: each 8 × 8 block's cosines rounded to the standard's luminance table (ITU-T T.81
/// annex K), which is scaled as usual.
inline void compress(std::vector<double>& values, int width, int height, int quality) {
    constexpr std::array table{16, 11, 10, 16, 24,  40,  51,  61,  12, 12, 14, 19, 26,  58,  60,  55,
                               14, 13, 16, 24, 40,  57,  69,  56,  14, 17, 22, 29, 51,  87,  80,  62,
                               18, 22, 37, 56, 68,  109, 103, 77,  24, 35, 55, 64, 81,  104, 113, 92,
                               49, 64, 78, 87, 103, 121, 120, 101, 72, 92, 95, 98, 112, 100, 103, 99};
    const double scale = (quality < 50 ? 5000.0 / quality : 200.0 - 2.0 * quality) / 100;
    std::array<std::array<double, 8>, 8> cosine{};
    for (std::size_t k = 0; k < 8; ++k)
        for (std::size_t n = 0; n < 8; ++n)
            cosine[k][n] = (k == 0 ? std::sqrt(0.125) : 0.5) *
                           std::cos(std::numbers::pi * (2 * static_cast<double>(n) + 1) * static_cast<double>(k) / 16);
    using Block = std::array<std::array<double, 8>, 8>;
    const auto turned = [&](const Block& in, bool back) {
        Block half{}, out{};
        for (std::size_t i = 0; i < 8; ++i)
            for (std::size_t k = 0; k < 8; ++k)
                for (std::size_t n = 0; n < 8; ++n)
                    half[i][k] += in[i][n] * (back ? cosine[n][k] : cosine[k][n]);
        for (std::size_t k = 0; k < 8; ++k)
            for (std::size_t i = 0; i < 8; ++i)
                for (std::size_t n = 0; n < 8; ++n)
                    out[k][i] += half[n][i] * (back ? cosine[n][k] : cosine[k][n]);
        return out;
    };
    for (int top = 0; top + 8 <= height; top += 8)
        for (int left = 0; left + 8 <= width; left += 8) {
            Block block{};
            const auto at = [&](std::size_t y, std::size_t x) -> double& {
                return values[(static_cast<std::size_t>(top) + y) * static_cast<std::size_t>(width) +
                              static_cast<std::size_t>(left) + x];
            };
            for (std::size_t y = 0; y < 8; ++y)
                for (std::size_t x = 0; x < 8; ++x)
                    block[y][x] = at(y, x) - 128;
            block = turned(block, false);
            for (std::size_t y = 0; y < 8; ++y)
                for (std::size_t x = 0; x < 8; ++x) {
                    const double step = std::max(1.0, table[y * 8 + x] * scale);
                    block[y][x] = std::round(block[y][x] / step) * step;
                }
            block = turned(block, true);
            for (std::size_t y = 0; y < 8; ++y)
                for (std::size_t x = 0; x < 8; ++x)
                    at(y, x) = std::clamp(block[y][x] + 128, 0.0, 255.0);
        }
}

}  // namespace photo

/// `darkness`: how strongly each swatch is marked, 0…1 of the way from bare to burnt.
inline raster::RgbImage photograph(const swatches::Layout& layout, const Photograph& how,
                                   const std::function<double(const swatches::Cell&)>& mark) {
    using geometry::Point;
    std::mt19937 random(how.seed);
    const auto to_card = geometry::homography(how.marks, layout.marks).value();
    const auto marked = [&](Point p) {
        for (std::size_t i = 0; i < 4; ++i) {
            const double away = geometry::distance(p, layout.marks[i]);
            if (away < swatches::mark_size / 2) return i > 0 || away > swatches::mark_hole / 2 ? 0.8 : 0.0;
        }
        for (const swatches::Cell& cell : layout.cells)
            if (!cell.left_out && cell.box.contains(p)) return mark(cell);
        // Texts as lines of strokes.
        for (const swatches::CardLine& line : layout.lines)
            if (line.room.contains(p)) return std::fmod(line.upwards ? p.y : p.x, 1.6) < 0.3 ? 0.7 : 0.0;
        return 0.0;
    };
    raster::RgbImage image(how.width, how.height, {});
    for (int channel = 0; channel < 3; ++channel) {
        const auto of = [channel](Rgb rgb) {
            return photo::linear(channel == 0 ? rgb.red : channel == 1 ? rgb.green : rgb.blue);
        };
        std::vector<double> light;
        for (int y = 0; y < how.height; ++y)
            for (int x = 0; x < how.width; ++x) {
                const Point p = to_card({x + 0.5, y + 0.5});
                const bool table = p.x < -6 || p.y < -6 || p.x > layout.size.x + 6 || p.y > layout.size.y + 6;
                const double grain =
                    1 + how.grain * std::sin(p.y * 3.1 + std::sin(p.x * 0.21) * 2) * std::sin(p.x * 0.37);
                const double share = table ? 0 : marked(p);
                const double material = table ? 0.12 : (of(how.bare) * (1 - share) + of(how.burnt) * share) * grain;
                const double lit = 1 - how.shade * (static_cast<double>(x) / how.width * 0.6 +
                                                    static_cast<double>(y) / how.height * 0.4);
                light.push_back(material * lit);
            }
        photo::blur(light, how.width, how.height, how.blur);
        std::normal_distribution<double> noise(0, how.noise);
        for (double& value : light)
            value = std::clamp(raster::from_light(value) * 255 + noise(random), 0.0, 255.0);
        photo::compress(light, how.width, how.height, how.quality);
        for (std::size_t i = 0; i < light.size(); ++i) {
            const auto value = static_cast<std::uint8_t>(std::lround(light[i]));
            (channel == 0 ? image.pixels[i].red : channel == 1 ? image.pixels[i].green : image.pixels[i].blue) = value;
        }
    }
    return image;
}

}  // namespace chalkline::test
