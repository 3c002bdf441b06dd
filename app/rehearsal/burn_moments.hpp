// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/camera.hpp"

#include <chalkline/base/progress.hpp>
#include <chalkline/planning/plan.hpp>

#include <QImage>
#include <map>
#include <optional>
#include <vector>

namespace chalkline::app {

/// The whole burn as a picture for one camera, and for every pixel the moments it is burned: any instant of the burn
/// is shown by what of the picture is older, at a cost of its pixels, however many moves there are.
struct BurnMoments {
    Camera camera;
    QImage first;                        ///< what the first step to come there burns, premultiplied
    QImage burned;                       ///< everything
    std::vector<float> moment, another;  ///< s: burned first, and by another step; `never` where nothing burns
    static constexpr float never = 1e30F;

    /// What is burned by `seconds`.
    QImage at(double seconds) const;
    /// When the place nearest to `pixel` is burned; nothing when nothing burns within `reach` pixels.
    std::optional<double> when(QPoint pixel, int reach) const;
};

/// Draws it. `tones`: each step's colour by its id. Any thread.
BurnMoments draw_moments(const planning::Plan& plan, const Camera& camera, QSize pixels,
                         const std::map<int, QColor>& tones, double spot, const Watch& watch);

}  // namespace chalkline::app
