// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "swatches/swatch_desk.hpp"
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <QWidget>

namespace chalkline::app {

/// The card on the bench: as it will be burned while it is designed, as it came out while it is read. One swatch is
/// chosen by a click or the arrow keys. While it is designed, Space or a second click leaves it out and takes it back
/// in; while it is read, digits give it the verdict of that number. Where a photograph's marks could not be found, the
/// photograph is shown and four clicks show them.
class CardCanvas : public QWidget, public Spoken {
    Q_OBJECT
 public:
    enum class Mode { design, read };
    CardCanvas(SwatchDesk& desk, const theme::Roles& roles, QWidget* parent);

    void set_mode(Mode mode);
    /// The photograph is laid under the swatches where there is one.
    void show_photograph(bool shown);
    /// Where a swatch lies on the widget.
    QRectF place_of(swatches::CellPlace place) const;
    QAccessible::Role spoken_role() const override { return QAccessible::Canvas; }
    QString spoken_value() const override;
    QSize minimumSizeHint() const override { return {360, 300}; }

 Q_SIGNALS:
    void verdict_wanted(int number);  ///< counted from 0

 protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent*) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;

 private:
    struct Fit {
        double scale = 1;
        QPointF corner;  ///< of the card's upper left corner, px
    };
    Fit fit() const;
    QRectF on_widget(const geometry::Box& box) const;
    QRectF photo_rect() const;
    std::optional<swatches::CellPlace> cell_at(QPointF place) const;
    QColor colour_of(const swatches::Cell& cell) const;
    void choose(std::optional<swatches::CellPlace> place);
    void move_choice(int rows, int columns);
    void leave_out(swatches::CellPlace place);
    void draw_card(QPainter& painter) const;
    void draw_texts(QPainter& painter) const;
    void draw_cell(QPainter& painter, const swatches::Cell& cell) const;
    void draw_verdict(QPainter& painter, const QRectF& box, swatches::Verdict verdict) const;
    void draw_clicks(QPainter& painter) const;
    QString words(const swatches::Cell& cell) const;

    SwatchDesk& desk_;
    const theme::Roles& roles_;
    Mode mode_ = Mode::design;
    bool photograph_ = true;
    std::optional<swatches::CellPlace> under_;  ///< the pointer
    std::vector<geometry::Point> clicks_;       ///< px in the photograph
};

}  // namespace chalkline::app
