// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <catch2/catch.hpp>

#include <algorithm>
#include <cstdint>
#include <fstream>
#include <string>
#include <vector>

namespace chalkline::test {

/// The dose map a simulated machine wrote.
struct Dose {
    std::int32_t columns = 0, rows = 0;
    float per_mm = 0;
    std::vector<float> cells;
    explicit Dose(const std::string& path) {
        std::ifstream in(path, std::ios::binary);
        char magic[8];
        in.read(magic, 8);
        REQUIRE(std::string(magic, 8) == "CKDOSE1\n");
        in.read(reinterpret_cast<char*>(&columns), 4)
            .read(reinterpret_cast<char*>(&rows), 4)
            .read(reinterpret_cast<char*>(&per_mm), 4);
        cells.resize(static_cast<std::size_t>(columns) * static_cast<std::size_t>(rows));
        in.read(reinterpret_cast<char*>(cells.data()), static_cast<std::streamsize>(cells.size() * sizeof(float)));
        REQUIRE(in);
    }
    float at(double x, double y) const {
        return cells[static_cast<std::size_t>(y * per_mm) * static_cast<std::size_t>(columns) +
                     static_cast<std::size_t>(x * per_mm)];
    }
    /// Over a box of the bed, mm.
    double mean(const geometry::Box& box) const {
        double sum = 0, count = 0;
        for (double y = box.bottom; y < box.top; y += 1 / per_mm)
            for (double x = box.left; x < box.right; x += 1 / per_mm, ++count)
                sum += at(x, y);
        return sum / count;
    }
    /// Strongest dose within a tenth of a millimetre.
    float near(double x, double y) const {
        float most = 0;
        for (const double dx : {-0.1, 0.0, 0.1})
            for (const double dy : {-0.1, 0.0, 0.1})
                most = std::max(most, at(x + dx, y + dy));
        return most;
    }
};

}  // namespace chalkline::test
