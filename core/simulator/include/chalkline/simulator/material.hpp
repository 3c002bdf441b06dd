// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/path.hpp>
#include <chalkline/raster/image.hpp>
#include <chalkline/simulator/dose_map.hpp>

#include <optional>
#include <string>
#include <vector>

namespace chalkline::simulator {

/// How a material answers the beam. Dose D (mJ/mm²) marks it by 1 − exp(−(D − onset)/scale) between the bare and the
/// burnt colour; beyond `cut_per_mm` × thickness it is cut through.
struct Material {
    std::string name;
    Rgb bare, burnt;
    double onset = 100;        ///< mJ/mm² below which nothing shows
    double scale = 700;        ///< mJ/mm² to 63 % of the mark
    double cut_per_mm = 4000;  ///< mJ/mm² a millimetre of thickness; 0: this beam never cuts it
};

/// birch, lime, slate, tile, acrylic.
const std::vector<Material>& materials();
std::optional<Material> find_material(const std::string& name);

/// The piece on the bed.
struct Piece {
    Material material;
    double thickness = 4;        ///< mm
    geometry::Polyline outline;  ///< bed mm; empty: covers the whole bed
};

/// The bed after burning, seen from above, one pixel a cell, the far edge on top.
raster::RgbImage render(const DoseMap& dose, const Piece& piece);

}  // namespace chalkline::simulator
