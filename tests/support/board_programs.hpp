// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/program.hpp>
#include <chalkline/machine/walk.hpp>
#include <chalkline/simulator/dose_map.hpp>

#include <algorithm>
#include <memory>

namespace chalkline::test {

/// Rows of dots and blanks, as a picture has, and a cut along three sides of them.
inline std::shared_ptr<const machine::Program> rows_and_cut(int rows = 24, int dots = 30, double x = 40,
                                                            double y = 30) {
    using namespace machine;
    using geometry::Point;
    Program program;
    const auto add = [&](auto act, double speed, int step) {
        program.operations.push_back({act, Speed::mm_per_min(speed), {step, 1, 0}});
    };
    add(Beam{BeamMode::following}, 0, 1);
    for (int row = 0; row < rows; ++row) {
        const auto first = static_cast<std::uint32_t>(program.runs.size());
        const bool back = row % 2 == 1;
        const double width = dots * 0.6 + 10, at = y + row * 0.2;
        program.runs.push_back({5000, 0});
        for (int dot = 0; dot < dots; ++dot) {
            program.runs.push_back({300, static_cast<PowerValue>(6000)});
            program.runs.push_back({300, 0});
        }
        program.runs.push_back({5000, 0});
        add(Travel{{back ? x + width : x, at}}, 0, 1);
        add(Sweep{{back ? x : x + width, at}, first, static_cast<std::uint32_t>(2 * dots + 2)}, 3000, 1);
    }
    const Point corner{x - 2, y - 2};
    add(Travel{corner}, 0, 2);
    const auto first = static_cast<std::uint32_t>(program.points.size());
    for (const Point by : {Point{34, 0}, Point{34, 10}, Point{0, 10}})
        program.points.push_back(corner + by);
    add(Trace{first, 3, 9000}, 900, 2);
    add(Beam{BeamMode::off}, 0, -1);
    return std::make_shared<const Program>(std::move(program));
}

/// Length of what a program burns between two places of it, mm.
inline double lit_mm(const machine::Program& program, machine::ProgramPlace after = {},
                     machine::ProgramPlace up_to = {1 << 30, 0}) {
    double length = 0;
    machine::walk(program, [&](const machine::Stretch& stretch) {
        if (stretch.power > 0 && stretch.place > after && stretch.place <= up_to) length += stretch.length();
    });
    return length;
}

/// Cells that got less than they should, mm².
inline double gap(const simulator::DoseMap& once, const simulator::DoseMap& burned) {
    const auto &a = once.cells(), &b = burned.cells();
    const float least = 0.05F * *std::max_element(a.begin(), a.end());
    double missing = 0;
    for (std::size_t i = 0; i < a.size(); ++i)
        if (b[i] < a[i] * 0.9F - least) missing += 1.0 / 16;
    return missing;
}

}  // namespace chalkline::test
