// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/camera.hpp"

#include <chalkline/machine/profile.hpp>
#include <chalkline/planning/plan.hpp>

#include <QImage>
#include <QPainter>
#include <map>
#include <memory>

namespace chalkline::app {

/// The burned part of a program as a picture for one camera. Grows with the progress: only what is new is drawn.
class BurnLayer {
 public:
    /// Brings the picture up to `done` operations. `tones`: colour of each step's burn by its id.
    const QImage& up_to(std::size_t done, const std::shared_ptr<const planning::Plan>& plan, const Camera& camera,
                        QSize size, double pixel_ratio, const std::map<int, QColor>& tones, double spot);
    void clear();
    /// What lies behind one place of the program up to another, in one colour: it may have burned.
    static void draw_between(QPainter& painter, const planning::Plan& plan, const Camera& camera,
                             machine::ProgramPlace after, machine::ProgramPlace up_to, const QColor& colour);

 private:
    void draw(const machine::Operation& operation, QPainter& painter, const std::map<int, QColor>& tones, double spot);

    std::shared_ptr<const planning::Plan> plan_;
    Camera camera_;
    QImage picture_;
    std::size_t drawn_ = 0;
    geometry::Point at_;
};

}  // namespace chalkline::app
