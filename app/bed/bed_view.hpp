// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/art_layers.hpp"
#include "bed/art_picture.hpp"
#include "bed/bed_photo.hpp"
#include "bed/burn_layer.hpp"
#include "bed/camera.hpp"
#include "bed/head_hand.hpp"
#include "bed/placing_desk.hpp"
#include "bed/placing_hand.hpp"
#include "bed/stock_hand.hpp"
#include "document/job_document.hpp"
#include "document/plan_keeper.hpp"
#include "rehearsal/rehearsal_layer.hpp"
#include "session/burn_desk.hpp"
#include "session/machine_link.hpp"
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <QPointer>
#include <QWidget>
#include <functional>
#include <optional>

namespace chalkline::app {

/// The bed, true to scale: the stock, the art as it will look burned, the head, and what lies out of bounds. What the
/// pointer does to the art is PlacingHand's; here are the view, the keys and the drawing.
class BedView : public QWidget, public Spoken {
    Q_OBJECT
 public:
    BedView(JobDocument& document, PlanKeeper& plans, MachineLink& machine, BurnDesk& desk, PlacingDesk& placing,
            const theme::Roles& roles, QWidget* parent = nullptr);

    void fit_bed();
    void fit_stock();
    void fit_job();
    /// Shows the whole bed when the motif does not lie in view.
    void bring_into_view(job::Id motif);
    void highlight(const Highlight& highlight);
    /// Rings a place for a moment, so that the eye finds it.
    void point_at(geometry::Point place);
    /// Places of the real piece marked with the head so far, numbered.
    void show_marks(const std::vector<geometry::Point>& marks);
    /// The next box dragged or place clicked is given to `take` (bed mm) instead of choosing art; Esc gives up. `hint`
    /// is shown meanwhile.
    void pick_box(const QString& hint, std::function<void(geometry::Box)> take);
    void pick_place(const QString& hint, std::function<void(geometry::Point)> take);
    /// The next way drawn, from press to release; `seen` shows it as it is drawn.
    void pick_stroke(const QString& hint, bool seen, std::function<void(const std::vector<geometry::Point>&)> take);
    bool picking() const { return pick_place_ || pick_stroke_; }
    /// The piece of material has handles and can be dragged.
    void hold_stock(bool on);
    BedPhoto& photo() { return photo_; }
    /// The head can be dragged while `on`.
    void hold_head(bool on);
    /// Every path as a thin line with its start and direction.
    void show_bare_paths(bool bare);
    bool bare_paths() const { return bare_paths_; }
    /// Areas of pictures where every dot burns, or none.
    void mark_areas(bool on);
    bool areas_marked() const { return mark_areas_; }
    void stop_picking();
    /// The rehearsal is shown in place of the art; null: the art.
    void rehearse(RehearsalLayer* rehearsal);
    const Camera& camera() const { return camera_; }
    /// What is shown is drawn for this view; large art lags behind for a moment.
    bool art_is_sharp() const { return !large_ || picture_.sharp(camera_); }
    QAccessible::Role spoken_role() const override { return QAccessible::Canvas; }
    QString spoken_value() const override;
    QSize minimumSizeHint() const override { return {420, 300}; }

 protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;
    void wheelEvent(QWheelEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void keyReleaseEvent(QKeyEvent* event) override;

 private:
    void follow(JobChange change);
    void fit(const geometry::Box& box);
    void nudge(const QKeyEvent& event, geometry::Point way);
    bool placing_key(const QKeyEvent& event);
    bool takes_stock(QPointF at);
    void start_picking(const QString& hint);
    void end_stroke();
    ArtScene scene() const;
    void scene_changed();
    void draw_scene(QPainter& painter);
    void draw_art(QPainter& painter);
    std::map<int, QColor> step_tones() const;
    void draw_piece(QPainter& painter) const;
    void draw_places(QPainter& painter) const;
    void draw_marked(QPainter& painter) const;
    void draw_picking(QPainter& painter) const;
    void draw_hint(QPainter& painter) const;
    void draw_pointed(QPainter& painter) const;
    void draw_marks(QPainter& painter) const;

    JobDocument& document_;
    PlanKeeper& plans_;
    MachineLink& machine_;
    BurnDesk& desk_;
    PlacingDesk& placing_;
    const theme::Roles& roles_;
    Camera camera_;
    bool fitted_ = true;  ///< the view still shows the whole bed and follows a resize
    ArtLayers layers_;
    ArtPicture picture_;
    ArtScene scene_;      ///< what is drawn; made anew when it changes, not when it is painted
    bool large_ = false;  ///< the art is drawn through picture_
    QImage small_art_;    ///< else it is drawn here each time; kept for its memory only
    BurnLayer burned_;
    Highlight highlight_;
    PlacingHand hand_;
    StockHand stock_hand_;
    HeadHand head_hand_;
    BedPhoto photo_;
    QPointer<RehearsalLayer> rehearsal_;
    bool stock_held_ = false, head_held_ = false;
    enum class Grip { none, art, stock, head, view, stroke } grip_ = Grip::none;
    std::function<void(const std::vector<geometry::Point>&)> pick_stroke_;
    std::function<void(geometry::Point)> pick_place_;
    QString pick_hint_;
    std::vector<geometry::Point> stroke_;
    std::optional<geometry::Point> pointed_;
    std::vector<geometry::Point> marks_;
    bool stroke_seen_ = false;
    bool bare_paths_ = false, mark_areas_ = false;
    bool space_held_ = false, space_dragged_ = false;
    QPointF grip_from_;
};

}  // namespace chalkline::app
