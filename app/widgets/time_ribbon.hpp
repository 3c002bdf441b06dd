// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <QWidget>
#include <vector>

namespace chalkline::app {

/// The job as a strip: its width is time, a segment for each step in its burn tone, and how much is done.
class TimeRibbon : public QWidget, public Spoken {
    Q_OBJECT
 public:
    struct Segment {
        QString name;
        double seconds;
        QColor tone;
    };
    TimeRibbon(const theme::Roles& roles, QWidget* parent);
    void show_segments(std::vector<Segment> segments);
    /// Share of the whole time that is done, 0…1; negative: not burning.
    void show_progress(double share);
    /// Pressed and dragged, and moved by the arrows (a hundredth, with Shift a tenth), Home and End, it says where.
    void let_scrub(bool on);
    QSize sizeHint() const override { return {200, 46}; }
    QAccessible::Role spoken_role() const override { return scrubs_ ? QAccessible::Slider : QAccessible::ProgressBar; }
    QString spoken_value() const override;
    /// Per cent of the whole time; none while nothing runs.
    std::optional<Figure> spoken_figure() const override;
    void take_figure(double percent) override;

 Q_SIGNALS:
    void scrubbed(double share);

 protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

 private:
    const theme::Roles& roles_;
    std::vector<Segment> segments_;
    double share_ = -1;
    bool scrubs_ = false;
};

}  // namespace chalkline::app
