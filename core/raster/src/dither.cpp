// SPDX-License-Identifier: GPL-3.0-or-later
#include "masks.hpp"

#include <chalkline/raster/dither.hpp>

#include <algorithm>
#include <array>
#include <bit>
#include <cmath>
#include <numbers>
#include <thread>
#include <utility>

namespace chalkline::raster {
namespace {

constexpr std::array<std::pair<DitherMethod, std::string_view>, 15> names{
    {{DitherMethod::threshold, "threshold"},
     {DitherMethod::floyd_steinberg, "floyd-steinberg"},
     {DitherMethod::jarvis, "jarvis"},
     {DitherMethod::stucki, "stucki"},
     {DitherMethod::burkes, "burkes"},
     {DitherMethod::sierra, "sierra"},
     {DitherMethod::atkinson, "atkinson"},
     {DitherMethod::bayer2, "bayer2"},
     {DitherMethod::bayer4, "bayer4"},
     {DitherMethod::bayer8, "bayer8"},
     {DitherMethod::bayer16, "bayer16"},
     {DitherMethod::halftone, "halftone"},
     {DitherMethod::blue_noise, "blue-noise"},
     {DitherMethod::strokes, "strokes"},
     {DitherMethod::grey, "grey"}}};

using Weights = std::array<int, 5>;

/// Where the error of a dot goes: weights of the current row (from the next dot on) and of the two rows below (from two
/// dots back on), in shares of `divisor`.
struct Kernel {
    std::array<int, 2> here;
    Weights below, beneath;
    int divisor;
};

constexpr Kernel floyd_steinberg{{7, 0}, {0, 3, 5, 1, 0}, {}, 16};
constexpr Kernel jarvis{{7, 5}, {3, 5, 7, 5, 3}, {1, 3, 5, 3, 1}, 48};
constexpr Kernel stucki{{8, 4}, {2, 4, 8, 4, 2}, {1, 2, 4, 2, 1}, 42};
constexpr Kernel burkes{{8, 4}, {2, 4, 8, 4, 2}, {}, 32};
constexpr Kernel sierra{{5, 3}, {2, 4, 5, 4, 2}, {0, 2, 3, 2, 0}, 32};
constexpr Kernel atkinson{{1, 1}, {0, 1, 1, 1, 0}, {0, 0, 1, 0, 0}, 8};

/// A small fast generator (Marsaglia 2003, xorshift32): the same on every machine.
struct Noise {
    std::uint32_t state;
    float next() {
        state ^= state << 13U;
        state ^= state >> 17U;
        state ^= state << 5U;
        return static_cast<float>(state >> 8U) / static_cast<float>(1U << 24U) - 0.5F;
    }
};

/// Values and errors while they are diffused: fixed point, as fine as 32 bits allow for twice the brightest value.
/// Whole numbers take a third of the time of floats here, because every dot waits for what the one before hands on.
using Fixed = std::int32_t;
constexpr int white_bits = 29;

/// A share of an error, weight : divisor, ready to be multiplied with; shares of 2, 4, 8 … are exact.
constexpr std::int64_t share_of(int weight, int divisor) {
    return ((static_cast<std::int64_t>(weight) << 32) + divisor / 2) / divisor;
}
inline Fixed part(Fixed error, std::int64_t share) {
    return static_cast<Fixed>((error * share) >> 32);
}

/// Error rows with room for three dots beyond either border: what falls there is dropped with the row.
class ErrorRows {
 public:
    explicit ErrorRows(int width) : stride_(static_cast<std::size_t>(width) + 2 * room), rows_(count * stride_, 0) {}
    Fixed* row(int ahead) { return rows_.data() + static_cast<std::size_t>((now_ + ahead) % count) * stride_ + room; }
    void next() {
        std::fill_n(row(0) - room, stride_, 0);
        now_ = (now_ + 1) % count;
    }

 private:
    static constexpr std::size_t room = 3;
    static constexpr int count = 4;  // of two rows worked side by side, the second reaches three rows down
    std::size_t stride_;
    std::vector<Fixed> rows_;
    int now_ = 0;
};

/// The places of a row below that a dot gives its error to, from the first weight that counts to the last. They stay in
/// registers while the dots go by: written back one by one they would have to be waited for.
template <const Kernel& kernel, Weights Kernel::*row, int Way>
class Window {
 public:
    Window(Fixed* errors, int first) : row_(errors) {
        for (int k = 0; k < size; ++k)
            held_[k] = row_[first + Way * (from + k)];
    }
    void take(Fixed error) {
        for (int k = 0; k < size; ++k)
            held_[k] += part(error, share_of(weight(k), kernel.divisor));
    }
    void step(int x) {
        if constexpr (size > 0) {
            row_[x + Way * from] = held_[0];
            for (int k = 0; k + 1 < size; ++k)
                held_[k] = held_[k + 1];
            held_[size - 1] = row_[x + Way * (from + size)];
        }
    }
    void end(int last) {
        for (int k = 0; k + 1 < size; ++k)
            row_[last + Way * (from + k + 1)] = held_[k];
    }

 private:
    static constexpr int middle = 2;  // of the five weights: the place straight below
    static constexpr int first_weight() {
        int k = 0;
        while (k < 5 && (kernel.*row)[static_cast<std::size_t>(k)] == 0)
            ++k;
        return k;
    }
    static constexpr int past_last_weight() {
        int k = 5;
        while (k > first_weight() && (kernel.*row)[static_cast<std::size_t>(k) - 1] == 0)
            --k;
        return k;
    }
    static constexpr int weight(int k) { return (kernel.*row)[static_cast<std::size_t>(first_weight() + k)]; }
    static constexpr int from = first_weight() - middle, size = past_last_weight() - first_weight();
    Fixed* row_;
    Fixed held_[size > 0 ? size : 1];
};

/// Keeps burned dots apart: so many bare ones along the row between two, and none straight above one another.
class Apart {
 public:
    explicit Apart(const DitherSettings& settings)
        : gap_(std::max(settings.bare_between, settings.lone ? 1 : 0)), lone_(settings.lone) {}
    bool any() const { return gap_ > 0; }
    void begin_row() { bare_ = gap_; }
    /// A dot may burn at `x`; `above`: the row before, null for the first.
    bool may_burn(int x, const std::uint8_t* above) const {
        return bare_ >= gap_ && (!lone_ || above == nullptr || above[x] == 0);
    }
    void pass(bool burned) { bare_ = burned ? 0 : bare_ + 1; }

 private:
    int gap_;
    bool lone_;
    int bare_ = 0;
};

/// How the values of an image stand in fixed point.
struct Scale {
    int bits;
    Fixed white;
    float noise;  ///< of the limit
};

Scale scale_of(const GreyImage& light, const DitherSettings& settings) {
    const int bits = white_bits - std::bit_width(light.white);
    const Fixed white = static_cast<Fixed>(light.white) << bits;
    return {bits, white, static_cast<float>(settings.noise) * static_cast<float>(white)};
}

/// A row on its way in steps of `Way` (1 or −1). The kernel is known while compiling, so that weights of 0 vanish.
template <const Kernel& kernel, int Way>
class Row {
 public:
    /// Takes its errors from the row `ahead` of those that wait in `errors` and leaves its own in the two below it.
    Row(const std::uint16_t* in, std::uint8_t* out, int width, const Scale& scale, ErrorRows& errors, int ahead)
        : in_(in),
          out_(out),
          here_(errors.row(ahead)),
          white_(scale.white),
          bits_(scale.bits),
          last_(Way > 0 ? width - 1 : 0),
          below_(errors.row(ahead + 1), width - 1 - last_),
          beneath_(errors.row(ahead + 2), width - 1 - last_) {}

    Fixed value(int x) const { return (static_cast<Fixed>(in_[x]) << bits_) + here_[x] + carried_; }

    /// Sets the dot at `x`, whose value is `value`, and hands its error on.
    void set(int x, Fixed value, Fixed limit) {
        // All bits set where it is dark. No branch: whether a dot burns cannot be foreseen, and each wrong guess costs
        // more than all the rest.
        const Fixed dark = (value - limit) >> 31;
        const Fixed error = value - (white_ & ~dark);
        carried_ = carried_two_ + part(error, share_of(kernel.here[0], kernel.divisor));
        if constexpr (kernel.here[1] != 0) carried_two_ = part(error, share_of(kernel.here[1], kernel.divisor));
        out_[x] = static_cast<std::uint8_t>(dark);
        below_.take(error);
        beneath_.take(error);
        below_.step(x);
        beneath_.step(x);
    }

    void end() {
        below_.end(last_);
        beneath_.end(last_);
    }

 private:
    const std::uint16_t* in_;
    std::uint8_t* out_;
    const Fixed* here_;
    Fixed white_;
    int bits_, last_;
    Window<kernel, &Kernel::below, Way> below_;
    Window<kernel, &Kernel::beneath, Way> beneath_;
    Fixed carried_ = 0, carried_two_ = 0;  // to the next dots of the row
};

/// The row `y`, whatever the settings ask for.
template <const Kernel& kernel, int Way, bool Spaced>
void diffuse_row(const GreyImage& light, Dots& dots, int y, const Scale& scale, Noise& random, ErrorRows& errors,
                 Apart& apart) {
    const std::uint8_t* above = y > 0 ? dots.row(y - 1) : nullptr;
    const Fixed half = scale.white / 2;
    Row<kernel, Way> row(light.row(y), dots.row(y), light.width, scale, errors, 0);
    for (int i = 0, x = Way > 0 ? 0 : light.width - 1; i < light.width; ++i, x += Way) {
        Fixed value = row.value(x);
        Fixed limit = scale.noise > 0 ? half + static_cast<Fixed>(scale.noise * random.next()) : half;
        if constexpr (Spaced) {
            // Tones darker than dots apart can show would pile up error without end.
            value = std::max(value, -scale.white);
            const bool dark = value < limit && apart.may_burn(x, above);
            apart.pass(dark);
            if (!dark) limit = std::min(limit, value);
        }
        row.set(x, value, limit);
    }
    row.end();
}

/// Rows `y` and `y` + 1, both from the left, the lower a few dots behind the upper. In one row every dot waits for the
/// one before; of two rows one can work while the other waits. The same dots as one after the other.
template <const Kernel& kernel>
void diffuse_two_rows(const GreyImage& light, Dots& dots, int y, const Scale& scale, ErrorRows& errors) {
    constexpr int behind = 8;  // dots: more than the upper row still reaches back and the lower reads ahead
    const Fixed half = scale.white / 2;
    const int width = light.width;
    Row<kernel, 1> upper(light.row(y), dots.row(y), width, scale, errors, 0);
    int x = 0;
    for (; x < std::min(behind, width); ++x)
        upper.set(x, upper.value(x), half);
    if (width <= behind) upper.end();
    Row<kernel, 1> lower(light.row(y + 1), dots.row(y + 1), width, scale, errors, 1);
    for (; x < width; ++x) {
        upper.set(x, upper.value(x), half);
        lower.set(x - behind, lower.value(x - behind), half);
    }
    if (width > behind) upper.end();
    for (x = std::max(0, width - behind); x < width; ++x)
        lower.set(x, lower.value(x), half);
    lower.end();
}

template <const Kernel& kernel, bool Spaced>
Dots diffuse_all(const GreyImage& light, const DitherSettings& settings) {
    Dots dots(light.width, light.height);
    ErrorRows errors(light.width);
    Noise random{settings.seed == 0 ? 1 : settings.seed};
    const Scale scale = scale_of(light, settings);
    Apart apart(settings);
    const bool in_pairs = !Spaced && !settings.serpentine && scale.noise <= 0;
    for (int y = 0; y < light.height; ++y) {
        apart.begin_row();
        if (in_pairs && y + 1 < light.height) {
            diffuse_two_rows<kernel>(light, dots, y++, scale, errors);
            errors.next();
        } else if (settings.serpentine && y % 2 == 1) {
            diffuse_row<kernel, -1, Spaced>(light, dots, y, scale, random, errors, apart);
        } else {
            diffuse_row<kernel, 1, Spaced>(light, dots, y, scale, random, errors, apart);
        }
        errors.next();
    }
    return dots;
}

template <const Kernel& kernel>
Dots diffuse(const GreyImage& light, const DitherSettings& settings) {
    return Apart(settings).any() ? diffuse_all<kernel, true>(light, settings)
                                 : diffuse_all<kernel, false>(light, settings);
}

/// Drops dots that come too near to one that burns already.
Dots thinned(Dots dots, const DitherSettings& settings) {
    Apart apart(settings);
    for (int y = 0; apart.any() && y < dots.height; ++y) {
        apart.begin_row();
        for (int x = 0; x < dots.width; ++x) {
            std::uint8_t& level = dots.row(y)[x];
            if (level > 0 && !apart.may_burn(x, y > 0 ? dots.row(y - 1) : nullptr)) level = 0;
            apart.pass(level > 0);
        }
    }
    return dots;
}

/// Rows that depend on nothing but themselves, shared out among the cores: the same dots for any number of them.
template <class WorkRow>
void for_each_row(int height, WorkRow work) {
    constexpr int least = 256;  // rows worth a thread
    const int cores = static_cast<int>(std::max(1U, std::thread::hardware_concurrency()));
    const int parts = std::clamp(height / least, 1, cores);
    std::vector<std::jthread> helpers;
    const auto strip = [&](int part) {
        for (int y = height * part / parts; y < height * (part + 1) / parts; ++y)
            work(y);
    };
    for (int part = 1; part < parts; ++part)
        helpers.emplace_back(strip, part);
    strip(0);
}

/// Dark where the light is below the mask, which is a square that repeats; its thresholds are shares of white.
Dots by_mask(const GreyImage& light, const Mask& mask) {
    std::vector<std::uint32_t> limits(mask.thresholds.size());
    for (std::size_t i = 0; i < limits.size(); ++i)
        limits[i] = static_cast<std::uint32_t>(std::lround(mask.thresholds[i] * light.white));
    Dots dots(light.width, light.height);
    const auto side = static_cast<std::size_t>(mask.side);
    for_each_row(light.height, [&](int y) {
        const std::uint32_t* row = limits.data() + static_cast<std::size_t>(y) % side * side;
        const std::uint16_t* in = light.row(y);
        std::uint8_t* out = dots.row(y);
        for (int x = 0; x < light.width; ++x)
            out[x] = in[x] < row[static_cast<std::size_t>(x) % side] ? 255 : 0;
    });
    return dots;
}

/// Dark where the light is below what the place in the screen asks for.
template <class Threshold>
Dots by_place(const GreyImage& light, Threshold threshold) {
    Dots dots(light.width, light.height);
    for_each_row(light.height, [&](int y) {
        for (int x = 0; x < light.width; ++x)
            dots.row(y)[x] = light.row(y)[x] < threshold(x, y) * light.white ? 255 : 0;
    });
    return dots;
}

Dots halftone(const GreyImage& light, const DitherSettings& settings) {
    const Spot spot(settings.form);
    const double angle = settings.screen_angle * std::numbers::pi / 180, cell = std::max(settings.cell, 2.0);
    const double across = std::cos(angle) / cell, down = std::sin(angle) / cell;
    return by_place(light, [&](int x, int y) { return spot.threshold(x * across + y * down, y * across - x * down); });
}

Dots strokes(const GreyImage& light, const DitherSettings& settings) {
    const double cell = std::max(settings.cell, 2.0);
    constexpr double shift = 0.382;  // of a cell from line to line (golden section): strokes never stand in columns
    return by_place(light, [&](int x, int y) {
        const double place = (x + 0.5) / cell + y * shift;
        const double in_cell = place - std::floor(place);
        return 1 - std::abs(2 * in_cell - 1);  // grows from the middle of the cell outwards
    });
}

Dots levels(const GreyImage& light) {
    Dots dots(light.width, light.height);
    for (std::size_t i = 0; i < light.pixels.size(); ++i)
        dots.levels[i] =
            static_cast<std::uint8_t>(((light.white - light.pixels[i]) * 255U + light.white / 2U) / light.white);
    return dots;
}

}  // namespace

std::string_view to_text(DitherMethod method) {
    for (const auto& [value, name] : names)
        if (value == method) return name;
    return {};
}

std::optional<DitherMethod> parse_dither(std::string_view text) {
    for (const auto& [value, name] : names)
        if (name == text) return value;
    return {};
}

const std::vector<DitherMethod>& dither_methods() {
    static const std::vector<DitherMethod> all = [] {
        std::vector<DitherMethod> methods;
        for (const auto& [value, name] : names)
            methods.push_back(value);
        return methods;
    }();
    return all;
}

bool diffuses_error(DitherMethod method) {
    return method >= DitherMethod::floyd_steinberg && method <= DitherMethod::atkinson;
}

Dots dither(const GreyImage& light, const DitherSettings& settings) {
    switch (settings.method) {
        case DitherMethod::threshold:
            return thinned(by_mask(light, {1, {0.5}}), settings);
        case DitherMethod::floyd_steinberg:
            return diffuse<floyd_steinberg>(light, settings);
        case DitherMethod::jarvis:
            return diffuse<jarvis>(light, settings);
        case DitherMethod::stucki:
            return diffuse<stucki>(light, settings);
        case DitherMethod::burkes:
            return diffuse<burkes>(light, settings);
        case DitherMethod::sierra:
            return diffuse<sierra>(light, settings);
        case DitherMethod::atkinson:
            return diffuse<atkinson>(light, settings);
        case DitherMethod::bayer2:
            return thinned(by_mask(light, bayer(2)), settings);
        case DitherMethod::bayer4:
            return thinned(by_mask(light, bayer(4)), settings);
        case DitherMethod::bayer8:
            return thinned(by_mask(light, bayer(8)), settings);
        case DitherMethod::bayer16:
            return thinned(by_mask(light, bayer(16)), settings);
        case DitherMethod::halftone:
            return thinned(halftone(light, settings), settings);
        case DitherMethod::blue_noise:
            return thinned(by_mask(light, blue_noise()), settings);
        case DitherMethod::strokes:
            return thinned(strokes(light, settings), settings);
        case DitherMethod::grey:
            return levels(light);
    }
    return {};
}

std::vector<CurvePoint> transfer_of(const DitherSettings& settings) {
    constexpr int steps = 16, side = 64, border = 8;  // at the border errors are dropped
    std::vector<CurvePoint> transfer;
    for (int i = 0; i <= steps; ++i) {
        const double wanted = static_cast<double>(i) / steps;
        const GreyImage flat(side, side, static_cast<std::uint16_t>(std::lround((1 - wanted) * 65535)));
        const Dots dots = dither(flat, settings);
        double sum = 0;
        for (int y = border; y < side - border; ++y)
            for (int x = border; x < side - border; ++x)
                sum += dots.row(y)[x];
        constexpr int inside = side - 2 * border;
        transfer.push_back({wanted, sum / 255 / (inside * inside)});
    }
    return transfer;
}

GreyImage burned_shares(GreyImage light, const DitherSettings& settings) {
    const auto transfer = transfer_of(settings);
    std::array<std::uint16_t, 256> burned;
    for (std::size_t i = 0; i < burned.size(); ++i) {
        const double wanted = 1 - static_cast<double>(i) / 255, at = wanted * static_cast<double>(transfer.size() - 1);
        const auto low = std::min(static_cast<std::size_t>(at), transfer.size() - 2);
        const double share = std::lerp(transfer[low].out, transfer[low + 1].out, at - static_cast<double>(low));
        burned[i] = static_cast<std::uint16_t>(std::lround(std::clamp(share, 0.0, 1.0) * 65535));
    }
    for (std::uint16_t& pixel : light.pixels)
        pixel = burned[pixel * 255U / light.white];
    light.white = 65535;
    return light;
}

}  // namespace chalkline::raster
