// SPDX-License-Identifier: GPL-3.0-or-later
#include "trace/page_light.hpp"

#include <algorithm>
#include <cmath>
#include <vector>

namespace chalkline::art {
namespace {

constexpr int tiles_across = 24;
constexpr std::size_t terms = 6;
using Tile = std::array<double, 3>;  ///< u, v and how bright its paper is

std::array<double, terms> basis(double u, double v) {
    return {1, u, v, u * u, u * v, v * v};
}

/// The value that a tenth of the tile is brighter than.
double paper_of(const raster::RgbImage& image, int left, int top, int right, int bottom) {
    std::array<int, 256> counts{};
    for (int y = top; y < bottom; ++y)
        for (int x = left; x < right; ++x)
            ++counts[static_cast<std::size_t>(std::clamp(luma_of(image.pixels[image.index(x, y)]), 0.0, 255.0))];
    int left_over = (right - left) * (bottom - top) / 10;
    for (std::size_t value = 255; value > 0; --value)
        if ((left_over -= counts[value]) < 0) return static_cast<double>(value);
    return 0;
}

std::vector<Tile> tiles_of(const raster::RgbImage& image) {
    std::vector<Tile> tiles;
    const auto edge = [](int i, int whole) {
        return static_cast<int>(static_cast<std::int64_t>(i) * whole / tiles_across);
    };
    for (int j = 0; j < tiles_across; ++j)
        for (int i = 0; i < tiles_across; ++i)
            tiles.push_back({(2.0 * i + 1) / tiles_across - 1, (2.0 * j + 1) / tiles_across - 1,
                             paper_of(image, edge(i, image.width), edge(j, image.height), edge(i + 1, image.width),
                                      edge(j + 1, image.height))});
    return tiles;
}

}  // namespace

double luma_of(Rgb pixel) {
    return 0.2126 * pixel.red + 0.7152 * pixel.green + 0.0722 * pixel.blue;
}

double PageLight::surface(double u, double v) const {
    const auto at = basis(u, v);
    double sum = 0;
    for (std::size_t i = 0; i < terms; ++i)
        sum += terms_[i] * at[i];
    return sum;
}

bool PageLight::fit(const std::vector<Tile>& tiles, const std::vector<double>& weights) {
    std::array<std::array<double, terms + 1>, terms> rows{};
    for (std::size_t t = 0; t < tiles.size(); ++t) {
        const auto at = basis(tiles[t][0], tiles[t][1]);
        for (std::size_t i = 0; i < terms; ++i) {
            for (std::size_t j = 0; j < terms; ++j)
                rows[i][j] += weights[t] * at[i] * at[j];
            rows[i][terms] += weights[t] * at[i] * tiles[t][2];
        }
    }
    // Gauss and Jordan; the matrix is positive where the tiles are many.
    for (std::size_t k = 0; k < terms; ++k) {
        if (!(rows[k][k] > 1e-9)) return false;
        for (std::size_t i = 0; i < terms; ++i) {
            if (i == k) continue;
            const double share = rows[i][k] / rows[k][k];
            for (std::size_t j = k; j <= terms; ++j)
                rows[i][j] -= share * rows[k][j];
        }
    }
    for (std::size_t k = 0; k < terms; ++k)
        terms_[k] = rows[k][terms] / rows[k][k];
    return true;
}

PageLight PageLight::of(const raster::RgbImage& image) {
    const PageLight even(image.width, image.height);
    if (std::min(image.width, image.height) < 4 * tiles_across) return even;
    const auto tiles = tiles_of(image);
    PageLight light = even;
    std::vector<double> weights(tiles.size(), 1);
    constexpr double near = 0.05, little = 0.01;  // of the surface; of a weight
    for (int round = 0; round < 12; ++round) {
        if (!light.fit(tiles, weights)) return even;
        for (std::size_t t = 0; t < tiles.size(); ++t) {
            const double paper = light.surface(tiles[t][0], tiles[t][1]);
            weights[t] = tiles[t][2] < (1 - near) * paper ? little : 1;
        }
    }
    std::size_t paper = 0;
    double least = 255, most = 0;
    for (const Tile& tile : tiles) {
        const double here = light.surface(tile[0], tile[1]);
        paper += std::abs(tile[2] - here) <= near * here ? 1 : 0;
        least = std::min(least, here);
        most = std::max(most, here);
    }
    const bool is_page = paper * 2 > tiles.size() && least > 0.15 * most && least < 0.9 * most;
    return is_page ? light : even;
}

double PageLight::white_at(int x, int y) const {
    return surface((2 * x + 1) / width_ - 1, (2 * y + 1) / height_ - 1);
}

}  // namespace chalkline::art
