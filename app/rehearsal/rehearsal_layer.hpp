// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "rehearsal/burn_moments.hpp"
#include "rehearsal/player.hpp"
#include "tasks/task_runner.hpp"
#include "theme/theme.hpp"

#include <chalkline/planning/dose_grid.hpp>

#include <QObject>
#include <QPainter>
#include <memory>

namespace chalkline::app {

/// The rehearsal on the bed: what is burned by now, the ways of the last moments as chalk lines, the head. The picture
/// behind it is made in the background, once for each view of the bed.
class RehearsalLayer : public QObject {
    Q_OBJECT
 public:
    RehearsalLayer(Player& player, const theme::Roles& roles, QObject* parent = nullptr);

    struct View {
        Camera camera;
        QSize size;
        double pixel_ratio = 1;
        std::map<int, QColor> tones;
        double spot = 0.1;
    };
    void paint(QPainter& painter, const View& view);
    /// Shows the energy laid down instead of the burn; null: the burn.
    void show_dose(std::shared_ptr<const planning::DoseGrid> dose);
    /// A click on the bed: the moment that place is burned is shown. False where nothing burns.
    bool click(QPointF place);
    Player& player() { return player_; }
    /// When the place of the screen nearest to this one is burned, s.
    std::optional<double> when(QPointF place) const;
    /// What is shown belongs to the view asked for last.
    bool sharp() const { return moments_ && !drawing_.running(); }

 Q_SIGNALS:
    void changed();

 private:
    void begin_drawing(const View& view);
    void paint_dose(QPainter& painter, const Camera& camera) const;
    void paint_ways(QPainter& painter, const Camera& camera) const;
    void paint_head(QPainter& painter, const Camera& camera) const;

    Player& player_;
    const theme::Roles& roles_;
    std::shared_ptr<const BurnMoments> moments_;
    std::shared_ptr<const planning::Plan> drawn_plan_;
    Camera drawn_camera_;
    QSize drawn_size_;
    std::shared_ptr<const planning::DoseGrid> dose_;
    QImage dose_image_;  ///< a pixel a cell, the far row on top
    TaskRunner drawing_;
};

}  // namespace chalkline::app
