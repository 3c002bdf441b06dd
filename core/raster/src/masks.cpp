// SPDX-License-Identifier: GPL-3.0-or-later
#include "masks.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace chalkline::raster {
namespace {

Mask from_ranks(int side, const std::vector<int>& ranks) {
    Mask mask{side, {}};
    for (const int rank : ranks)
        mask.thresholds.push_back((rank + 0.5) / static_cast<double>(ranks.size()));
    return mask;
}

/// The pattern of dots while a void-and-cluster mask is made, with how crowded every place is.
class Pattern {
 public:
    static constexpr int side = 64, count = side * side;

    Pattern() : on_(count, false), crowd_(count, 0.0) {
        constexpr double sigma = 1.5;
        for (int y = 0; y < side; ++y)
            for (int x = 0; x < side; ++x) {
                const double dx = std::min(x, side - x), dy = std::min(y, side - y);
                near_.push_back(std::exp(-(dx * dx + dy * dy) / (2 * sigma * sigma)));
            }
    }
    bool on(int place) const { return on_[static_cast<std::size_t>(place)]; }
    void set(int place, bool on) {
        on_[static_cast<std::size_t>(place)] = on;
        const int px = place % side, py = place / side;
        for (int y = 0; y < side; ++y)
            for (int x = 0; x < side; ++x) {
                const double weight =
                    near_[static_cast<std::size_t>((y - py + side) % side * side + (x - px + side) % side)];
                crowd_[static_cast<std::size_t>(y * side + x)] += on ? weight : -weight;
            }
    }
    /// The dot that stands closest to others, and the empty place farthest from any.
    int tightest_cluster() const { return extreme(true); }
    int largest_void() const { return extreme(false); }

 private:
    int extreme(bool cluster) const {
        int best = -1;
        for (int i = 0; i < count; ++i) {
            if (on(i) != cluster) continue;
            const double crowd = crowd_[static_cast<std::size_t>(i)];
            if (best < 0 || (cluster ? crowd > crowd_[static_cast<std::size_t>(best)]
                                     : crowd < crowd_[static_cast<std::size_t>(best)]))
                best = i;
        }
        return best;
    }
    std::vector<bool> on_;
    std::vector<double> crowd_, near_;
};

Mask make_blue_noise() {
    Pattern pattern;
    constexpr int first = Pattern::count / 10;
    std::uint32_t state = 2463534242U;
    for (int placed = 0; placed < first;) {
        state = state * 1664525U + 1013904223U;
        const int place = static_cast<int>(state >> 20U);
        if (pattern.on(place)) continue;
        pattern.set(place, true);
        ++placed;
    }
    // Dots move from clusters into voids until none would move back.
    for (;;) {
        const int cluster = pattern.tightest_cluster();
        pattern.set(cluster, false);
        const int empty = pattern.largest_void();
        pattern.set(empty, true);
        if (empty == cluster) break;
    }
    std::vector<int> ranks(Pattern::count, 0);
    Pattern thinning = pattern;
    for (int rank = first - 1; rank >= 0; --rank) {
        const int cluster = thinning.tightest_cluster();
        thinning.set(cluster, false);
        ranks[static_cast<std::size_t>(cluster)] = rank;
    }
    for (int rank = first; rank < Pattern::count; ++rank) {
        const int empty = pattern.largest_void();
        pattern.set(empty, true);
        ranks[static_cast<std::size_t>(empty)] = rank;
    }
    return from_ranks(Pattern::side, ranks);
}

}  // namespace

Mask bayer(int side) {
    std::vector<int> ranks(static_cast<std::size_t>(side) * static_cast<std::size_t>(side));
    for (int y = 0; y < side; ++y)
        for (int x = 0; x < side; ++x) {
            // The bits of x xor y and of y, interleaved from the lowest: the recursive definition unrolled.
            int rank = 0;
            for (int bit = 1; bit < side; bit <<= 1)
                rank = rank << 2 | ((x ^ y) & bit ? 2 : 0) | (y & bit ? 1 : 0);
            ranks[static_cast<std::size_t>(y * side + x)] = rank;
        }
    return from_ranks(side, ranks);
}

const Mask& blue_noise() {
    static const Mask mask = make_blue_noise();
    return mask;
}

Spot::Spot(DitherSettings::Form form) : form_(form) {
    constexpr int fine = 128;
    for (int y = 0; y < fine; ++y)
        for (int x = 0; x < fine; ++x)
            sorted_.push_back(height((x + 0.5) / fine, (y + 0.5) / fine));
    std::sort(sorted_.begin(), sorted_.end());
}

double Spot::height(double u, double v) const {
    constexpr double turn = 2 * std::numbers::pi;
    switch (form_) {
        case DitherSettings::Form::round:
            return std::cos(turn * u) + std::cos(turn * v);
        case DitherSettings::Form::diamond: {
            const auto away = [](double w) { return std::abs(w - std::floor(w) - 0.5); };
            return away(u) + away(v);
        }
        case DitherSettings::Form::line:
            return std::cos(turn * v);
    }
    return 0;
}

double Spot::threshold(double u, double v) const {
    const auto below = std::lower_bound(sorted_.begin(), sorted_.end(), height(u, v)) - sorted_.begin();
    return (static_cast<double>(below) + 0.5) / static_cast<double>(sorted_.size() + 1);
}

}  // namespace chalkline::raster
