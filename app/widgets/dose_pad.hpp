// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <chalkline/steps/step_settings.hpp>

#include <QImage>
#include <QWidget>
#include <optional>
#include <vector>

namespace chalkline::app {

/// Something seen or believed, as a place on the pad.
struct DoseMark {
    enum class Verdict { kept, rejected, untested };
    Power power;
    Speed speed;
    Verdict verdict = Verdict::untested;
    QString what;  ///< said while the pointer rests on it
    bool operator==(const DoseMark&) const = default;
};

/// Power against speed, over bands of equal dose in burn tones. The point is dragged or moved by the arrow keys (Shift
/// far, Alt fine); with Ctrl it stays on the line of equal dose. A click on a mark takes its values. What the machine
/// cannot do is hatched; above its comfortable power the pad is dimmed.
class DosePad : public QWidget, public Spoken {
    Q_OBJECT
 public:
    DosePad(const theme::Roles& roles, QWidget* parent);

    void show_settings(const steps::StepSettings& settings, const steps::Beam& beam, Speed top_speed);
    void set_marks(std::vector<DoseMark> marks);
    /// Where a power and a speed lie on the widget.
    QPointF place_of(Power power, Speed speed) const;
    QSize sizeHint() const override { return {300, 172}; }
    QSize minimumSizeHint() const override { return {220, 150}; }
    QAccessible::Role spoken_role() const override { return QAccessible::Slider; }
    QString spoken_value() const override;
    /// The power; the speed has a field of its own beside the pad.
    std::optional<Figure> spoken_figure() const override { return Figure{settings_.power.percent(), 0, 100, 1}; }
    void take_figure(double percent) override { take({Power::percent(percent), settings_.speed}, false); }

 Q_SIGNALS:
    /// `going_on`: the drag has not ended yet; what it has changed so far is one change.
    void chosen(Power power, Speed speed, bool going_on);

 protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;

 private:
    struct Choice {
        Power power;
        Speed speed;
    };
    QRectF field() const;
    Speed speed_at(double x) const;
    Power power_at(double y) const;
    /// The power that keeps the point's dose at another speed, and the speed that goes with it when that is too much.
    Choice same_dose_at(Speed speed) const;
    Choice choice_at(QPointF place, Qt::KeyboardModifiers keys) const;
    const DoseMark* mark_at(QPointF place) const;
    void take(const Choice& choice, bool going_on);
    void draw_bands();
    void draw_axes(QPainter& painter) const;
    void draw_limits(QPainter& painter) const;
    void draw_same_dose(QPainter& painter) const;
    void draw_marks(QPainter& painter) const;
    void draw_point(QPainter& painter) const;

    const theme::Roles& roles_;
    steps::StepSettings settings_;
    steps::Beam beam_;
    Speed top_speed_ = Speed::mm_per_min(12000), slowest_ = Speed::mm_per_min(20), fastest_ = Speed::mm_per_min(15000);
    std::vector<DoseMark> marks_;
    QImage bands_;  ///< at the size and for the settings it was drawn for; null: to be drawn
    bool dragging_ = false;
    bool moved_ = false;
};

}  // namespace chalkline::app
