// SPDX-License-Identifier: GPL-3.0-or-later
#include "photo_light.hpp"

#include <chalkline/raster/grey.hpp>
#include <chalkline/swatches/photo.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::swatches {
namespace {

using geometry::Box;
using geometry::Homography;
using geometry::Point;

constexpr double inner = 0.7;      // share of a swatch's side that is looked at: edges are blurred
constexpr int grid = 24;           // places looked at along a side
constexpr double clear_of = 0.75;  // mm from the field of swatches, in between it and its labels

/// Bare places: in the gaps between swatches, round their field, and swatches that were left out.
std::vector<Point> bare_places(const Layout& layout) {
    std::vector<Point> places;
    const Box outer = layout.field.grown(clear_of);
    const auto free = [&](Point p) {
        return std::none_of(layout.cells.begin(), layout.cells.end(),
                            [&](const Cell& cell) { return !cell.left_out && cell.box.grown(0.6).contains(p); });
    };
    const auto add = [&](Point p) {
        if (outer.contains(p, 1e-6) && free(p)) places.push_back(p);
    };
    for (const Cell& cell : layout.cells) {
        const Box& box = cell.box;
        if (cell.left_out)
            for (const double x : {0.3, 0.5, 0.7})
                for (const double y : {0.3, 0.5, 0.7})
                    add({box.left + box.width() * x, box.bottom + box.height() * y});
        // Half of the gap on each side, as far as it is known by the neighbours' distance.
        for (double away = 0.8; away <= 1.6; away += 0.4)
            for (const double share : {0.1, 0.3, 0.5, 0.7, 0.9}) {
                add({box.left + box.width() * share, box.bottom - away});
                add({box.left + box.width() * share, box.top + away});
                add({box.left - away, box.bottom + box.height() * share});
                add({box.right + away, box.bottom + box.height() * share});
            }
    }
    if (!places.empty()) return places;
    // No gaps at all: the field's own border.
    for (double share = 0; share <= 1; share += 0.05) {
        places.push_back({outer.left + outer.width() * share, outer.bottom});
        places.push_back({outer.left + outer.width() * share, outer.top});
        places.push_back({outer.left, outer.bottom + outer.height() * share});
        places.push_back({outer.right, outer.bottom + outer.height() * share});
    }
    return places;
}

/// Light against the bare material's at the same place, as the eye sees it: 1 as bare.
class Against {
 public:
    Against(const PhotoLight& light, const Homography& onto, const LightSurface& bare)
        : light_(light), onto_(onto), bare_(bare) {}
    double ratio(Point on_card) const { return light_.at(onto_(on_card)) / bare_.at(on_card); }

 private:
    const PhotoLight& light_;
    const Homography& onto_;
    const LightSurface& bare_;
};

double darkness_of(double ratio) {
    // Lighter than bare counts on below 0, in the same scale.
    return ratio <= 1 ? 1 - raster::from_light(std::max(ratio, 0.0)) : raster::from_light(1 / ratio) - 1;
}

/// How far the mean light fades over the left and right side, mm.
double edge_of(const Against& seen, const Box& box, double inside) {
    constexpr double reach = 1.2, step = 0.05;  // mm
    std::vector<double> profile;
    for (double away = -reach; away <= reach + 1e-9; away += step) {
        double sum = 0;
        int count = 0;
        for (double share = 0.25; share <= 0.75; share += 0.05) {
            const double y = box.bottom + box.height() * share;
            sum += seen.ratio({box.left + away, y}) + seen.ratio({box.right - away, y});
            count += 2;
        }
        profile.push_back(sum / count);
    }
    const double outside = profile.front();
    const auto crossing = [&](double share) {
        const double level = outside + (inside - outside) * share;
        for (std::size_t i = 1; i < profile.size(); ++i)
            if ((profile[i - 1] - level) * (profile[i] - level) <= 0 && profile[i] != profile[i - 1])
                return (static_cast<double>(i) - 1 + (level - profile[i - 1]) / (profile[i] - profile[i - 1])) * step;
        return reach * 2;
    };
    return std::abs(crossing(0.8) - crossing(0.2));
}

Measured measured_cell(const Against& seen, const Cell& cell) {
    const Box& box = cell.box;
    double sum = 0, square = 0;
    for (int row = 0; row < grid; ++row)
        for (int column = 0; column < grid; ++column) {
            const double x = (column + 0.5) / grid - 0.5, y = (row + 0.5) / grid - 0.5;
            const double ratio =
                seen.ratio({box.centre().x + x * inner * box.width(), box.centre().y + y * inner * box.height()});
            sum += ratio;
            square += ratio * ratio;
        }
    const double count = grid * grid, mean = sum / count;
    const double scatter = std::sqrt(std::max(0.0, square / count - mean * mean));
    Measured result;
    result.darkness = darkness_of(mean);
    result.evenness = std::clamp(1 - scatter / std::max(mean, 0.05), 0.0, 1.0);
    result.edge = edge_of(seen, box, mean);
    return result;
}

}  // namespace

std::vector<std::pair<CellPlace, Measured>> measured(const raster::RgbImage& photo, const Homography& card_to_photo,
                                                     const Layout& layout) {
    std::vector<std::pair<CellPlace, Measured>> found;
    if (photo.width < 2 || photo.height < 2 || layout.cells.empty()) return found;
    const PhotoLight light(photo);
    std::vector<LightSurface::Sample> samples;
    for (const Point place : bare_places(layout))
        samples.push_back({place, light.at(card_to_photo(place))});
    const LightSurface bare(std::move(samples));
    const Against seen(light, card_to_photo, bare);
    for (const Cell& cell : layout.cells)
        if (!cell.left_out) found.emplace_back(cell.place, measured_cell(seen, cell));
    return found;
}

}  // namespace chalkline::swatches
