// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "theme/theme.hpp"

#include <chalkline/machine/profile.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <QImage>
#include <array>

namespace chalkline::app {

/// The colours a share of burned dots takes on the material, 0 … 255 all burned: through the material's measured
/// response, or else through what the machine's spot makes of dots at this pitch.
class BurnPalette {
 public:
    BurnPalette(const steps::StepSettings& settings, const machine::MachineProfile& machine, const theme::Roles& roles);
    QRgb at(int share) const { return colours_[static_cast<std::size_t>(share)]; }
    QRgb bare() const { return colours_.front(); }
    QRgb burned() const { return colours_.back(); }
    /// Where only the beam's fringe reaches: beside burned dots of a spot wider than the pitch.
    QRgb fringe() const { return fringe_; }
    /// Shares 0 … 65535 as a picture.
    QImage paint(const raster::GreyImage& shares) const;

 private:
    std::array<QRgb, 256> colours_{};
    QRgb fringe_;
};

}  // namespace chalkline::app
