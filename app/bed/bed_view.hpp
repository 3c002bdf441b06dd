// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/art_layers.hpp"
#include "bed/burn_layer.hpp"
#include "bed/camera.hpp"
#include "document/job_document.hpp"
#include "document/plan_keeper.hpp"
#include "session/burn_desk.hpp"
#include "session/machine_link.hpp"
#include "theme/theme.hpp"

#include <QWidget>
#include <functional>
#include <optional>

namespace chalkline::app {

/// The bed, true to scale: the stock, the art as it will look burned, the head, and what lies out of bounds. Art is
/// chosen by clicking and moved by dragging or with the arrow keys.
class BedView : public QWidget {
    Q_OBJECT
 public:
    BedView(JobDocument& document, PlanKeeper& plans, MachineLink& machine, BurnDesk& desk, const theme::Roles& roles,
            QWidget* parent = nullptr);

    void fit_bed();
    void fit_stock();
    void fit_job();
    /// Shows the whole bed when the motif does not lie in view.
    void bring_into_view(job::Id motif);
    std::optional<job::Id> selected() const { return selected_; }
    void select(std::optional<job::Id> motif);
    void highlight(const Highlight& highlight);
    /// The next box dragged or place clicked is given to `take` (bed mm) instead of choosing art; Esc gives up. `hint`
    /// is shown meanwhile.
    void pick_box(const QString& hint, std::function<void(geometry::Box)> take);
    void pick_place(const QString& hint, std::function<void(geometry::Point)> take);
    bool picking() const { return pick_box_ || pick_place_; }
    void stop_picking();
    const Camera& camera() const { return camera_; }
    QSize minimumSizeHint() const override { return {420, 300}; }

 Q_SIGNALS:
    void selection_changed();

 protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;
    void wheelEvent(QWheelEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void keyReleaseEvent(QKeyEvent* event) override;

 private:
    void follow(JobChange change);
    void fit(const geometry::Box& box);
    void move_selected(geometry::Point by, int merge);
    std::optional<job::Id> motif_at(geometry::Point place) const;
    geometry::Box box_of(job::Id motif) const;
    void draw_bed(QPainter& painter) const;
    void draw_rulers(QPainter& painter) const;
    void draw_stock(QPainter& painter) const;
    void draw_art(QPainter& painter);
    void draw_bounds_faults(QPainter& painter);
    void draw_selection(QPainter& painter) const;
    void draw_head(QPainter& painter) const;
    void draw_places(QPainter& painter) const;
    void draw_picking(QPainter& painter) const;
    void draw_hint(QPainter& painter) const;

    JobDocument& document_;
    PlanKeeper& plans_;
    MachineLink& machine_;
    BurnDesk& desk_;
    const theme::Roles& roles_;
    Camera camera_;
    bool fitted_ = true;  ///< the view still shows the whole bed and follows a resize
    ArtLayers layers_;
    BurnLayer burned_;
    Highlight highlight_;
    std::map<job::Id, geometry::Box> boxes_;  ///< of the motifs, bed mm
    std::optional<job::Id> selected_;
    enum class Grip { none, motif, view, box } grip_ = Grip::none;
    std::function<void(geometry::Box)> pick_box_;
    std::function<void(geometry::Point)> pick_place_;
    QString pick_hint_;
    QRectF rubber_band_;
    bool space_held_ = false;
    QPointF grip_from_;
};

}  // namespace chalkline::app
