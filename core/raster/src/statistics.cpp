// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/raster/statistics.hpp>

#include <algorithm>

namespace chalkline::raster {
namespace {

/// Calls `look(index, burned, all)` with how many of the dots in the square window round each place burn.
template <class Look>
void for_each_window(const Dots& dots, int radius, Look look) {
    const auto width = static_cast<std::size_t>(dots.width);
    std::vector<int> columns(width, 0);  // burned dots of each column in the rows of the window
    const auto add_row = [&](int y, int sign) {
        if (y < 0 || y >= dots.height) return;
        for (std::size_t x = 0; x < width; ++x)
            columns[x] += dots.row(y)[x] > 0 ? sign : 0;
    };
    for (int y = 0; y < radius; ++y)
        add_row(y, 1);
    for (int y = 0; y < dots.height; ++y) {
        add_row(y + radius, 1);
        add_row(y - radius - 1, -1);
        const int rows = std::min(y + radius, dots.height - 1) - std::max(y - radius, 0) + 1;
        int burned = 0;
        for (int x = 0; x < std::min(radius, dots.width); ++x)
            burned += columns[static_cast<std::size_t>(x)];
        for (int x = 0; x < dots.width; ++x) {
            if (x + radius < dots.width) burned += columns[static_cast<std::size_t>(x + radius)];
            if (x - radius - 1 >= 0) burned -= columns[static_cast<std::size_t>(x - radius - 1)];
            const int across = std::min(x + radius, dots.width - 1) - std::max(x - radius, 0) + 1;
            look(static_cast<std::size_t>(y) * width + static_cast<std::size_t>(x), burned, rows * across);
        }
    }
}

}  // namespace

DotStatistics statistics(const Dots& dots, int radius) {
    DotStatistics found;
    if (dots.levels.empty()) return found;
    std::uint64_t sum = 0;
    for (int y = 0; y < dots.height; ++y) {
        int run = 0;
        for (int x = 0; x < dots.width; ++x) {
            sum += dots.row(y)[x];
            run = dots.row(y)[x] > 0 ? run + 1 : 0;
            found.longest_run = std::max(found.longest_run, run);
        }
    }
    std::size_t clogged = 0, bald = 0;
    for_each_window(dots, radius, [&](std::size_t, int burned, int all) {
        clogged += burned == all ? 1 : 0;
        bald += burned == 0 ? 1 : 0;
    });
    const auto count = static_cast<double>(dots.levels.size());
    found.coverage = static_cast<double>(sum) / 255 / count;
    found.clogged = static_cast<double>(clogged) / count;
    found.bald = static_cast<double>(bald) / count;
    return found;
}

std::vector<DotArea> areas(const Dots& dots, int radius) {
    std::vector<DotArea> found(dots.levels.size(), DotArea::fine);
    for_each_window(dots, radius, [&](std::size_t index, int burned, int all) {
        if (burned == all) found[index] = DotArea::clogged;
        if (burned == 0) found[index] = DotArea::bald;
    });
    return found;
}

Histogram histogram_of(const GreyImage& grey) {
    Histogram shares{};
    for (const std::uint16_t value : grey.pixels)
        shares[value * 63U / grey.white] += 1;
    for (double& share : shares)
        share /= std::max(1.0, static_cast<double>(grey.pixels.size()));
    return shares;
}

}  // namespace chalkline::raster
