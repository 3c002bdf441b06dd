// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/geometry/region.hpp>
#include <chalkline/simulator/material.hpp>

#include <cmath>

namespace chalkline::simulator {
namespace {

constexpr Rgb bed_colour{232, 228, 216};
constexpr Rgb gap_colour{20, 15, 11};

std::uint8_t mixed(std::uint8_t a, std::uint8_t b, double share) {
    return static_cast<std::uint8_t>(std::lround(a + (b - a) * share));
}

Rgb mixed(Rgb a, Rgb b, double share) {
    return {mixed(a.red, b.red, share), mixed(a.green, b.green, share), mixed(a.blue, b.blue, share)};
}

Rgb marked(const Piece& piece, double dose) {
    const Material& m = piece.material;
    if (m.cut_per_mm > 0 && dose > m.cut_per_mm * piece.thickness) return gap_colour;
    return mixed(m.bare, m.burnt, dose > m.onset ? 1 - std::exp(-(dose - m.onset) / m.scale) : 0);
}

}  // namespace

const std::vector<Material>& materials() {
    static const std::vector<Material> all{{"birch", {226, 196, 146}, {51, 25, 11}, 100, 700, 4000},
                                           {"lime", {235, 214, 172}, {60, 32, 16}, 90, 600, 2600},
                                           {"slate", {74, 78, 82}, {186, 188, 186}, 150, 900, 0},
                                           {"tile", {246, 246, 243}, {40, 38, 38}, 200, 500, 0},
                                           {"acrylic", {228, 236, 240}, {180, 196, 206}, 300, 1500, 0}};
    return all;
}

std::optional<Material> find_material(const std::string& name) {
    for (const Material& material : materials())
        if (material.name == name) return material;
    return {};
}

raster::RgbImage render(const DoseMap& dose, const Piece& piece) {
    raster::RgbImage image(dose.columns(), dose.rows(), bed_colour);
    const geometry::Region region{{piece.outline}, geometry::FillRule::non_zero};
    for (int row = 0; row < dose.rows(); ++row) {
        for (int column = 0; column < dose.columns(); ++column) {
            const geometry::Point at{(column + 0.5) / dose.cells_per_mm(), (row + 0.5) / dose.cells_per_mm()};
            if (!piece.outline.points.empty() && !geometry::contains(region, at)) continue;
            image.at(column, dose.rows() - 1 - row) = marked(piece, dose.at(column, row));
        }
    }
    return image;
}

}  // namespace chalkline::simulator
