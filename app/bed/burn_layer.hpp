// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/camera.hpp"

#include <chalkline/machine/profile.hpp>
#include <chalkline/planning/plan.hpp>

#include <QImage>
#include <QPainter>
#include <map>
#include <memory>
#include <optional>
#include <utility>
#include <vector>

namespace chalkline::app {

/// The burned part of a program as a picture for one camera. Grows with the progress: only what is new is drawn.
class BurnLayer {
 public:
    /// Paints what is burned up to `done`; whole operations are kept in a picture, the one under way is drawn anew.
    /// `tones`: colour of each step's burn by its id.
    void paint(QPainter& painter, machine::ProgramPlace done, const std::shared_ptr<const planning::Plan>& plan,
               const Camera& camera, QSize size, double pixel_ratio, const std::map<int, QColor>& tones, double spot);
    void clear();
    /// What lies behind one place of the program up to another, in one colour: it may have burned. A ring where it
    /// begins.
    void draw_doubtful(QPainter& painter, const std::shared_ptr<const planning::Plan>& plan, const Camera& camera,
                       machine::ProgramPlace after, machine::ProgramPlace up_to, const QColor& colour);

 private:
    void draw(std::size_t operation, std::int32_t parts, QPainter& painter, const std::map<int, QColor>& tones,
              double spot);

    std::shared_ptr<const planning::Plan> plan_;
    Camera camera_;
    QImage picture_;
    std::size_t drawn_ = 0;
    geometry::Point at_;
    /// The doubtful lines, looked up once: a program is long, a paint event short.
    struct Doubtful {
        std::shared_ptr<const planning::Plan> plan;
        machine::ProgramPlace after, up_to;
        std::vector<std::pair<geometry::Point, geometry::Point>> lines;
        std::optional<geometry::Point> burned_to;  ///< the last place that is sure
    } doubtful_;
};

}  // namespace chalkline::app
