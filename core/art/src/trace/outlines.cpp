// SPDX-License-Identifier: GPL-3.0-or-later
#include "trace/tracing.hpp"

#include <memory>

extern "C" {
#include <potracelib.h>
}

namespace chalkline::art {
namespace {

using geometry::Path;
using geometry::Point;

struct FreePotrace {
    void operator()(potrace_param_t* p) const { potrace_param_free(p); }
    void operator()(potrace_state_t* s) const { potrace_state_free(s); }
};

/// The bitmap in potrace's form: rows bottom up, the leftmost pixel in the highest bit of a word.
class PotraceBitmap {
 public:
    explicit PotraceBitmap(const Bitmap& bitmap) {
        constexpr int bits = 8 * sizeof(potrace_word);
        const int words = (bitmap.width + bits - 1) / bits;
        map_.resize(static_cast<std::size_t>(words) * static_cast<std::size_t>(bitmap.height));
        for (int y = 0; y < bitmap.height; ++y)
            for (int x = 0; x < bitmap.width; ++x)
                if (bitmap.at(x, y))
                    map_[static_cast<std::size_t>(bitmap.height - 1 - y) * static_cast<std::size_t>(words) +
                         static_cast<std::size_t>(x / bits)] |= potrace_word{1} << (bits - 1 - x % bits);
        potrace_ = {bitmap.width, bitmap.height, words, map_.data()};
    }
    const potrace_bitmap_t* get() const { return &potrace_; }

 private:
    std::vector<potrace_word> map_;
    potrace_bitmap_t potrace_{};
};

Point at(const potrace_dpoint_t& p) {
    return {p.x, p.y};
}

void add_curve(Path& path, const potrace_curve_t& curve) {
    if (curve.n == 0) return;
    path.move_to(at(curve.c[curve.n - 1][2]));
    for (int i = 0; i < curve.n; ++i) {
        const auto& c = curve.c[i];
        if (curve.tag[i] == POTRACE_CORNER) {
            path.line_to(at(c[1]));
            path.line_to(at(c[2]));
        } else {
            path.cubic_to(at(c[0]), at(c[1]), at(c[2]));
        }
    }
    path.close();
}

}  // namespace

std::vector<Path> trace_outlines(const Bitmap& bitmap, double speck, double smoothness) {
    const std::unique_ptr<potrace_param_t, FreePotrace> parameters(potrace_param_default());
    parameters->turdsize = static_cast<int>(std::min(1e6, speck * speck));
    parameters->alphamax = std::clamp(smoothness, 0.0, 4.0 / 3);
    parameters->opticurve = smoothness > 0;
    const PotraceBitmap drawn(bitmap);
    const std::unique_ptr<potrace_state_t, FreePotrace> state(potrace_trace(parameters.get(), drawn.get()));
    std::vector<Path> areas;
    if (!state || state->status != POTRACE_STATUS_OK) return areas;
    // The flat list has each outer curve followed by the holes in it.
    for (const potrace_path_t* path = state->plist; path; path = path->next) {
        if (path->sign == '+' || areas.empty()) areas.emplace_back();
        add_curve(areas.back(), path->curve);
    }
    return areas;
}

}  // namespace chalkline::art
