// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <chalkline/raster/statistics.hpp>
#include <chalkline/raster/tone.hpp>

#include <QWidget>

namespace chalkline::app {

/// What becomes of every tone, over how often the picture has it: dark on the left and below. Points of the free curve
/// are dragged; a press on the line makes one, a drag out of the field takes it away. With the keys Left and Right go
/// from point to point, Up and Down move it, Insert makes one, Delete takes it away.
class ToneCurve : public QWidget, public Spoken {
    Q_OBJECT
 public:
    ToneCurve(const theme::Roles& roles, QWidget* parent);
    void show_tone(const raster::ToneSettings& tone);
    void show_histogram(const raster::Histogram& shares);
    QPointF place_of(double in, double out) const;
    QAccessible::Role spoken_role() const override { return QAccessible::Slider; }
    QString spoken_value() const override;
    /// Per cent of light the chosen point comes out with.
    std::optional<Figure> spoken_figure() const override;
    void take_figure(double percent) override;
    QSize sizeHint() const override { return {336, 116}; }
    QSize minimumSizeHint() const override { return {200, 90}; }

 Q_SIGNALS:
    /// `going_on`: the drag has not ended yet.
    void changed(const std::vector<chalkline::raster::CurvePoint>& curve, bool going_on);
    void released();

 protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

 private:
    QRectF field() const;
    std::vector<raster::CurvePoint> points() const;
    int point_near(QPointF place) const;
    /// The point the keys move: the chosen one, or the first.
    int held() const;
    void put(std::vector<raster::CurvePoint> curve, bool going_on);
    void move_point(double in, double out, bool going_on);
    void remove_point();
    void choose(int point);

    const theme::Roles& roles_;
    raster::ToneSettings tone_;
    raster::Histogram shares_{};
    int chosen_ = -1;
    bool dragging_ = false;
};

}  // namespace chalkline::app
