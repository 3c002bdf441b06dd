// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <functional>
#include <string>
#include <vector>

namespace chalkline::bench {

/// One thing measured beside a reference in the same run: machines are shared and noisy, ratios hold.
struct Figure {
    std::string what;
    double median = 0, p95 = 0;
    std::string reference;  ///< what the same work is compared with
    double compared = 0;
    std::string unit = "ms";
    double ratio() const { return compared > 0 ? median / compared : 0; }
};

/// Milliseconds of each call.
std::vector<double> timed(int times, const std::function<void(int)>& work);
/// `share` 0.5 is the median.
double quantile(std::vector<double> values, double share);

void print_table(const std::vector<Figure>& figures);
void print_json(const std::vector<Figure>& figures);

}  // namespace chalkline::bench
