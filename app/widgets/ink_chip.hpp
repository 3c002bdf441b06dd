// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <chalkline/base/ink.hpp>

#include <QKeyEvent>
#include <QPointer>
#include <QWidget>
#include <optional>

namespace chalkline::app {

/// One ink with its exact colour and how many shapes it has. It is dragged onto a step (or onto "left out"), or sent
/// by keys: with the focus on it a digit names the step, 0 leaves it out. Hovering lights its shapes on the bed.
class InkChip : public QWidget, public Spoken {
    Q_OBJECT
 public:
    InkChip(const Ink& ink, int shapes, const theme::Roles& roles, QWidget* parent);
    const Ink& ink() const { return ink_; }
    /// Faint: this ink is left out.
    void set_faint(bool faint);
    /// How dark it burns by its own darkness, 0…1, and how that looks; none: as its step burns all inks.
    void show_tone(std::optional<double> share, const QColor& burned);
    /// A step that burns it is under the pointer.
    void light(bool on);
    QSize sizeHint() const override;
    QAccessible::Role spoken_role() const override { return QAccessible::ListItem; }
    QString spoken_value() const override;

 Q_SIGNALS:
    /// While dragged: the global place of the pointer; `dropped` ends it.
    void dragged(const QPoint& global);
    void dropped(const QPoint& global);
    /// A digit key: the number of the step, 0 for left out. `also` (Ctrl held): to this step too, or no longer.
    void sent(int step_number, bool also);
    void hovered(bool on);

 protected:
    bool event(QEvent* event) override;
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void enterEvent(QEnterEvent*) override { Q_EMIT hovered(true); }
    void leaveEvent(QEvent*) override { Q_EMIT hovered(false); }

 private:
    static bool is_step_number(const QKeyEvent& event);
    void end_drag();
    QString text() const;
    Ink ink_;
    QString name_;
    std::optional<double> tone_;
    QColor burned_;
    const theme::Roles& roles_;
    bool faint_ = false, lit_ = false;
    QPoint pressed_;
    QPointer<QWidget> ghost_;  ///< the picture of the chip under the pointer
};

}  // namespace chalkline::app
