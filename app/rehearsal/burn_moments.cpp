// SPDX-License-Identifier: GPL-3.0-or-later
#include "rehearsal/burn_moments.hpp"

#include <chalkline/machine/walk.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

/// Lays lines on a canvas of colours with soft edges, and remembers when each pixel was first touched.
class Canvas {
 public:
    Canvas(BurnMoments& target, QSize size) : width_(size.width()), height_(size.height()), target_(target) {
        const std::size_t pixels = static_cast<std::size_t>(width_) * static_cast<std::size_t>(height_);
        target_.moment.assign(pixels, BurnMoments::never);
        target_.another.assign(pixels, BurnMoments::never);
        owner_.assign(pixels, nobody);
        for (QImage* image : {&target_.first, &target_.burned}) {
            *image = QImage(size, QImage::Format_ARGB32_Premultiplied);
            image->fill(Qt::transparent);
        }
    }
    /// Whose lines come now.
    void begin_step(int step) { step_ = step; }

    /// A line of `wide` pixels, burned from one moment to another.
    void line(QPointF a, QPointF b, double wide, QColor colour, double from, double to) {
        const double length = std::hypot(b.x() - a.x(), b.y() - a.y());
        const double half = wide / 2;
        // What is shorter than a pixel darkens it by its share: dots seen from afar are a tone.
        const double most = std::min({1.0, wide, std::max(length, 0.1)});
        const QPointF along = length > 0 ? (b - a) / length : QPointF(1, 0);
        // Only the box around the line is looked at, row by row the part that may be near it.
        const int top = std::max(0, static_cast<int>(std::floor(std::min(a.y(), b.y()) - half)));
        const int bottom = std::min(height_ - 1, static_cast<int>(std::ceil(std::max(a.y(), b.y()) + half)));
        for (int y = top; y <= bottom; ++y) {
            double left = std::min(a.x(), b.x()) - half, right = std::max(a.x(), b.x()) + half;
            if (std::abs(along.y()) > 1e-9) {
                // Where the row crosses the line, and as far to each side as its slope smears the width.
                const double reach = (half + 0.71) / std::abs(along.y()) + std::abs(along.x() / along.y());
                const double middle = a.x() + (y + 0.5 - a.y()) / along.y() * along.x();
                left = std::max(left, middle - reach);
                right = std::min(right, middle + reach);
            }
            const int first = std::max(0, static_cast<int>(std::floor(left)));
            const int last = std::min(width_ - 1, static_cast<int>(std::ceil(right)));
            for (int x = first; x <= last; ++x) {
                const QPointF p = QPointF(x + 0.5, y + 0.5) - a;
                const double s = std::clamp(QPointF::dotProduct(p, along), 0.0, length);
                const QPointF off = p - along * s;
                const double cover = most * std::clamp(half + 0.5 - std::hypot(off.x(), off.y()), 0.0, 1.0);
                if (cover <= 0) continue;
                touch(x, y, cover, colour, length > 0 ? from + (to - from) * s / length : from);
            }
        }
    }

 private:
    void touch(int x, int y, double cover, QColor colour, double moment) {
        const std::size_t place =
            static_cast<std::size_t>(y) * static_cast<std::size_t>(width_) + static_cast<std::size_t>(x);
        if (owner_[place] == nobody) owner_[place] = step_;
        const bool own = owner_[place] == step_;
        float& first_time = own ? target_.moment[place] : target_.another[place];
        first_time = std::min(first_time, static_cast<float>(moment));
        blend(target_.burned, x, y, cover, colour);
        if (own) blend(target_.first, x, y, cover, colour);
    }

    static void blend(QImage& image, int x, int y, double cover, QColor colour) {
        QRgb& pixel = reinterpret_cast<QRgb*>(image.scanLine(y))[x];
        const auto mix = [cover](int over, int under) {
            return static_cast<int>(std::lround(over * cover + under * (1 - cover)));
        };
        pixel = qRgba(mix(colour.red(), qRed(pixel)), mix(colour.green(), qGreen(pixel)),
                      mix(colour.blue(), qBlue(pixel)), mix(255, qAlpha(pixel)));
    }

    static constexpr int nobody = -1000;
    int width_, height_;
    BurnMoments& target_;
    std::vector<int> owner_;  ///< the step that came first
    int step_ = 0;
};

}  // namespace

QImage BurnMoments::at(double seconds) const {
    QImage shown(burned.size(), QImage::Format_ARGB32_Premultiplied);
    shown.setDevicePixelRatio(burned.devicePixelRatio());
    const auto limit = static_cast<float>(seconds);
    const auto width = static_cast<std::size_t>(burned.width());
    for (int y = 0; y < burned.height(); ++y) {
        const auto* once = reinterpret_cast<const QRgb*>(first.constScanLine(y));
        const auto* whole = reinterpret_cast<const QRgb*>(burned.constScanLine(y));
        auto* to = reinterpret_cast<QRgb*>(shown.scanLine(y));
        const std::size_t row = static_cast<std::size_t>(y) * width;
        for (std::size_t x = 0; x < width; ++x)
            to[x] = moment[row + x] > limit ? 0U : another[row + x] > limit ? once[x] : whole[x];
    }
    return shown;
}

std::optional<double> BurnMoments::when(QPoint pixel, int reach) const {
    std::optional<double> found;
    double nearest = reach + 0.5;
    for (int y = std::max(0, pixel.y() - reach); y <= std::min(burned.height() - 1, pixel.y() + reach); ++y)
        for (int x = std::max(0, pixel.x() - reach); x <= std::min(burned.width() - 1, pixel.x() + reach); ++x) {
            const float here = moment[static_cast<std::size_t>(y) * static_cast<std::size_t>(burned.width()) +
                                      static_cast<std::size_t>(x)];
            const double off = std::hypot(x - pixel.x(), y - pixel.y());
            if (here >= never || off >= nearest) continue;
            nearest = off;
            found = here;
        }
    return found;
}

BurnMoments draw_moments(const planning::Plan& plan, const Camera& camera, QSize pixels,
                         const std::map<int, QColor>& tones, double spot, const Watch& watch) {
    BurnMoments result;
    result.camera = camera;
    Canvas canvas(result, pixels);
    const double wide = std::max(spot * camera.scale, 0.9);
    const auto& operations = plan.program.operations;
    // The time of an operation is shared out over its way.
    std::vector<double> lengths(operations.size(), 0);
    machine::walk(plan.program, [&](const machine::Stretch& s) {
        lengths[static_cast<std::size_t>(s.place.operation)] += s.length();
    });
    std::size_t under_way = operations.size();
    double gone = 0;
    machine::walk(plan.program, [&](const machine::Stretch& s) {
        const auto operation = static_cast<std::size_t>(s.place.operation);
        if (watch.cancelled()) return;
        if (std::exchange(under_way, operation) != operation) gone = 0;
        const double begin = operation == 0 ? 0 : plan.finished_at[operation - 1];
        const double lasts = plan.finished_at[operation] - begin;
        const auto moment = [&](double way) {
            return lengths[operation] > 0 ? begin + lasts * way / lengths[operation] : begin;
        };
        const double from = moment(gone);
        gone += s.length();
        const auto tone = tones.find(s.operation.origin.step);
        if (s.power == 0 || tone == tones.end()) return;
        canvas.begin_step(s.operation.origin.step);
        canvas.line(camera.to_screen(s.from), camera.to_screen(s.to), wide, tone->second, from, moment(gone));
    });
    return result;
}

}  // namespace chalkline::app
