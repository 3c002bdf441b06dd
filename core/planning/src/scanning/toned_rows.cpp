// SPDX-License-Identifier: GPL-3.0-or-later
#include "scanning/toned_rows.hpp"

#include <chalkline/planning/proof.hpp>
#include <chalkline/raster/dither.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::planning {
namespace {

constexpr float full = 0.999F;  // of a stretch: no dither leaves a dot of it bare

/// The dots of all rows: `left` is the first one's left edge, rows count upwards.
struct DotField {
    double left = 0, across = 0.1;
    raster::GreyImage light;
    std::vector<int> row_of;  ///< image row of each row
};

DotField field_of(const std::vector<LitRow>& rows, const steps::StepSettings& settings) {
    DotField field;
    const double pitch = settings.line_pitch.mm();
    field.across = settings.picture.dot_pitch > Length() ? settings.picture.dot_pitch.mm() : pitch;
    double left = rows[0].stretches[0].from, right = left;
    for (const LitRow& row : rows) {
        left = std::min(left, row.stretches.front().from);
        right = std::max(right, row.stretches.back().to);
    }
    field.left = left;
    const int columns = std::max(1, static_cast<int>(std::ceil((right - left) / field.across)));
    const int count = static_cast<int>(std::lround((rows.back().y - rows.front().y) / pitch)) + 1;
    field.light = raster::GreyImage(columns, count, 65535);
    for (const LitRow& row : rows) {
        const int y = count - 1 - static_cast<int>(std::lround((row.y - rows.front().y) / pitch));
        field.row_of.push_back(y);
        std::uint16_t* light = field.light.row(y);
        for (const LitStretch& s : row.stretches) {
            // A dot belongs to the stretch that holds its middle.
            const int from = std::clamp(static_cast<int>(std::ceil((s.from - left) / field.across - 0.5)), 0, columns);
            const int to = std::clamp(static_cast<int>(std::ceil((s.to - left) / field.across - 0.5)), from, columns);
            std::fill(light + from, light + to, static_cast<std::uint16_t>(std::lround((1 - s.share) * 65535)));
        }
    }
    return field;
}

/// What burns of one stretch, its dots cut to where it begins and ends.
void append_dots(const LitStretch& stretch, const DotField& field, const std::uint8_t* levels, int columns,
                 LitStretches& lit) {
    if (stretch.share >= full) return lit.push_back({stretch.from, stretch.to, 1});
    const int first = std::clamp(static_cast<int>(std::floor((stretch.from - field.left) / field.across)), 0, columns);
    const int last = std::clamp(static_cast<int>(std::ceil((stretch.to - field.left) / field.across)), first, columns);
    for (int x = first; x < last; ++x) {
        if (levels[x] == 0) continue;
        const double from = std::max(stretch.from, field.left + x * field.across);
        const double to = std::min(stretch.to, field.left + (x + 1) * field.across);
        if (to <= from) continue;
        constexpr double touching = 1e-6;  // mm
        const float share = static_cast<float>(levels[x]) / 255;
        if (!lit.empty() && from <= lit.back().to + touching && lit.back().share == share)
            lit.back().to = to;
        else
            lit.push_back({from, to, share});
    }
}

}  // namespace

void set_in_dots(std::vector<LitRow>& rows, const steps::StepSettings& settings) {
    if (rows.empty()) return;
    const DotField field = field_of(rows, settings);
    const raster::Dots dots = raster::dither(field.light, dots_of(settings));
    for (std::size_t i = 0; i < rows.size(); ++i) {
        LitStretches lit;
        for (const LitStretch& stretch : rows[i].stretches)
            append_dots(stretch, field, dots.row(field.row_of[i]), dots.width, lit);
        rows[i].stretches = std::move(lit);
    }
    std::erase_if(rows, [](const LitRow& row) { return row.stretches.empty(); });
}

}  // namespace chalkline::planning
