// SPDX-License-Identifier: GPL-3.0-or-later
#include "scanning/picture_rows.hpp"

#include "scanning/scan_planner.hpp"
#include "shapes/neighbourhoods.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>

namespace chalkline::planning {
namespace {

using geometry::Box;
using geometry::Point;

Box level_box(const DotFrame& frame) {
    return {frame.left, frame.bottom, frame.left + frame.columns * frame.across,
            frame.bottom + frame.rows * frame.pitch};
}

/// The lit stretches of one row of dots; runs of the same level are one.
LitStretches stretches_of(const Proof& proof, int row) {
    LitStretches stretches;
    const std::uint8_t* levels = proof.dots.row(row);
    for (int x = 0; x < proof.dots.width;) {
        const int first = x;
        while (x < proof.dots.width && levels[x] == levels[first])
            ++x;
        if (levels[first] > 0)
            stretches.push_back({proof.frame.left + first * proof.frame.across,
                                 proof.frame.left + x * proof.frame.across, static_cast<float>(levels[first]) / 255});
    }
    return stretches;
}

bool any_overlap(const std::vector<Box>& boxes) {
    for (std::size_t i = 0; i < boxes.size(); ++i)
        for (std::size_t j = 0; j < i; ++j)
            if (boxes[i].left < boxes[j].right && boxes[j].left < boxes[i].right && boxes[i].bottom < boxes[j].top &&
                boxes[j].bottom < boxes[i].top)
                return true;
    return false;
}

/// The rows of pictures that lie side by side, as one; their lines lie on the same multiples of the pitch.
std::vector<LitRow> shared_rows(std::vector<const Proof*> proofs) {
    std::sort(proofs.begin(), proofs.end(),
              [](const Proof* a, const Proof* b) { return a->frame.left < b->frame.left; });
    std::map<long, LitRow> rows;
    for (const Proof* proof : proofs)
        for (int y = 0; y < proof->dots.height; ++y) {
            const double middle = proof->frame.row_middle(y);
            auto stretches = stretches_of(*proof, y);
            if (stretches.empty()) continue;
            auto& row =
                rows.try_emplace(std::lround(middle / proof->frame.pitch * 2), LitRow{middle, {}}).first->second;
            row.stretches.insert(row.stretches.end(), stretches.begin(), stretches.end());
        }
    std::vector<LitRow> ascending;
    for (auto& [place, row] : rows)
        ascending.push_back(std::move(row));
    return ascending;
}

}  // namespace

ScanBlocks picture_blocks(const std::vector<std::shared_ptr<const Proof>>& proofs, const steps::StepSettings& settings,
                          const machine::MachineProfile& machine, Point from, const Watch& watch) {
    const ScanPlanner planner(settings, settings.fill.angle * std::numbers::pi / 180, machine);
    std::vector<Box> boxes;
    for (const auto& proof : proofs)
        boxes.push_back(level_box(proof->frame));
    ScanBlocks scan;
    std::vector<ScanBlocks::Block> blocks;
    const auto add_block = [&](const std::vector<const Proof*>& together) {
        auto lines = planner.block_of(shared_rows(together));
        if (lines.empty()) return;
        blocks.push_back({scan.patterns.size(), {}, together.front()->motif});
        scan.patterns.push_back(std::move(lines));
    };
    for (const auto& group : neighbourhoods(boxes, planner.reach())) {
        if (watch.cancelled()) return {};
        std::vector<const Proof*> together;
        std::vector<Box> theirs;
        for (const std::size_t i : group) {
            together.push_back(proofs[i].get());
            theirs.push_back(boxes[i]);
        }
        // What lies over one another burns twice, each by itself.
        if (!any_overlap(theirs))
            add_block(together);
        else
            for (const Proof* alone : together)
                add_block({alone});
    }
    append_shortest(blocks, from, scan, watch);
    return scan;
}

}  // namespace chalkline::planning
