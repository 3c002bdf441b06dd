// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "proof/proof_desk.hpp"
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <QWidget>

namespace chalkline::app {

/// The original with its crop, as it lies on the bed. What the mouse does follows the tool: the crop is drawn by its
/// edges and corners, moved inside or drawn anew outside; the box of the subject likewise; strokes are painted. With
/// the keys the arrows move the frame, with Shift its right and lower edge.
class OriginalPanel : public QWidget, public Spoken {
    Q_OBJECT
 public:
    enum class Tool { crop, subject_box, keep, drop };
    OriginalPanel(ProofDesk& desk, const theme::Roles& roles, QWidget* parent);

    void set_tool(Tool tool);
    Tool tool() const { return tool_; }
    /// A place of the picture on the widget, and back.
    QPointF place_of(raster::Place place) const;
    raster::Place share_at(QPointF place) const;
    QAccessible::Role spoken_role() const override { return QAccessible::Graphic; }
    QString spoken_value() const override;
    QSize sizeHint() const override { return {428, 330}; }
    QSize minimumSizeHint() const override { return {200, 160}; }

 protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

 private:
    struct Grip {
        bool left = false, top = false, right = false, bottom = false;
        bool any() const { return left || top || right || bottom; }
    };
    bool framing() const { return tool_ == Tool::crop || tool_ == Tool::subject_box; }
    const raster::Part& frame() const;
    QTransform to_widget() const;
    QRectF rect_of(const raster::Part& part) const;
    Grip grip_at(QPointF place) const;
    void take_frame(const raster::Part& part, bool dragging);
    void keep_stroke();
    void draw_strokes(QPainter& painter) const;

    ProofDesk& desk_;
    const theme::Roles& roles_;
    Tool tool_ = Tool::crop;
    Grip grip_;
    raster::Part begun_;  ///< the frame as the drag began
    raster::Place pressed_{};
    std::vector<raster::Place> stroke_;  ///< being painted; kept when it is let go
    bool dragging_ = false;
};

}  // namespace chalkline::app
