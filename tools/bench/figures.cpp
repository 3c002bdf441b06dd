// SPDX-License-Identifier: GPL-3.0-or-later
#include "figures.hpp"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <chrono>
#include <cstdio>

namespace chalkline::bench {

std::vector<double> timed(int times, const std::function<void(int)>& work) {
    using Clock = std::chrono::steady_clock;
    std::vector<double> took;
    for (int i = 0; i < times; ++i) {
        const auto begin = Clock::now();
        work(i);
        took.push_back(std::chrono::duration<double, std::milli>(Clock::now() - begin).count());
    }
    return took;
}

double quantile(std::vector<double> values, double share) {
    if (values.empty()) return 0;
    std::sort(values.begin(), values.end());
    return values[static_cast<std::size_t>(share * static_cast<double>(values.size() - 1) + 0.5)];
}

void print_table(const std::vector<Figure>& figures) {
    for (const Figure& f : figures)
        std::printf("%-48s median %10.2f %s  95 %% %10.2f  = %.3f × %s (%.2f)\n", f.what.c_str(), f.median,
                    f.unit.c_str(), f.p95, f.ratio(), f.reference.c_str(), f.compared);
}

void print_json(const std::vector<Figure>& figures) {
    nlohmann::ordered_json all = nlohmann::ordered_json::array();
    for (const Figure& f : figures)
        all.push_back({{"what", f.what},
                       {"unit", f.unit},
                       {"median", f.median},
                       {"p95", f.p95},
                       {"reference", f.reference},
                       {"compared", f.compared},
                       {"ratio", f.ratio()}});
    std::printf("%s\n", all.dump(2).c_str());
}

}  // namespace chalkline::bench
