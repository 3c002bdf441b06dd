// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/burn_palette.hpp"

#include "bed/art_layers.hpp"

#include <chalkline/planning/proof.hpp>

#include <cmath>

namespace chalkline::app {
namespace {

QRgb mixed(const QColor& a, const QColor& b, double share) {
    const auto channel = [share](int from, int to) {
        return static_cast<int>(std::lround(from + (to - from) * share));
    };
    return qRgb(channel(a.red(), b.red()), channel(a.green(), b.green()), channel(a.blue(), b.blue()));
}

}  // namespace

BurnPalette::BurnPalette(const steps::StepSettings& settings, const machine::MachineProfile& machine,
                         const theme::Roles& roles) {
    const steps::PictureSettings& picture = settings.picture;
    // A material that burns light is dark where it is bare.
    const QColor bare = picture.burns_light ? roles.dark_stock : roles.stock;
    const QColor burned = tone_of(settings, machine, roles);
    const double gain = raster::dot_gain(machine.spot, settings.line_pitch.mm());
    for (std::size_t i = 0; i < colours_.size(); ++i) {
        const double share = static_cast<double>(i) / 255;
        const double look = picture.response.size() > 1 ? raster::curve_at(picture.response, share)
                            : picture.dots.method == raster::DitherMethod::grey ? share
                                                                                : 1 - std::pow(1 - share, gain);
        colours_[i] = mixed(bare, burned, look);
    }
    fringe_ = mixed(bare, burned, 0.3);
}

QImage BurnPalette::paint(const raster::GreyImage& shares) const {
    QImage image(shares.width, shares.height, QImage::Format_RGB32);
    for (int y = 0; y < shares.height; ++y) {
        auto* line = reinterpret_cast<QRgb*>(image.scanLine(y));
        for (int x = 0; x < shares.width; ++x)
            line[x] = at(shares.row(y)[x] >> 8U);
    }
    return image;
}

}  // namespace chalkline::app
