// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "line/line_state.hpp"
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <QAbstractButton>
#include <QWidget>
#include <array>

namespace chalkline::app {

/// One mark on the line: a dot with its state, a name and a fact. A real button, for mouse, keys and screen readers.
class LineMark : public QAbstractButton {
    Q_OBJECT
 public:
    LineMark(Mark mark, const theme::Roles& roles, QWidget* parent);
    void show_fact(const MarkFact& fact);
    const MarkFact& fact() const { return fact_; }
    QSize sizeHint() const override { return {180, 62}; }
    static constexpr int dot_centre = 26, line_height = 26;  ///< px from the left and from the top

 protected:
    void paintEvent(QPaintEvent*) override;

 private:
    Mark mark_;
    const theme::Roles& roles_;
    MarkFact fact_;
};

/// The chalk line across the top of the Job view with its six marks. Clicking one chooses its tray.
class ChalkLine : public QWidget, public Spoken {
    Q_OBJECT
 public:
    explicit ChalkLine(const theme::Roles& roles, QWidget* parent = nullptr);
    void show_facts(const LineFacts& facts);
    void choose(Mark mark);
    Mark chosen() const;
    QAccessible::Role spoken_role() const override { return QAccessible::PageTabList; }
    QString spoken_value() const override { return name(chosen()); }
    LineMark* mark(Mark mark) const { return marks_[static_cast<std::size_t>(mark)]; }

 Q_SIGNALS:
    void chose(chalkline::app::Mark mark);

 protected:
    void paintEvent(QPaintEvent*) override;

 private:
    const theme::Roles& roles_;
    std::array<LineMark*, mark_count> marks_{};
};

}  // namespace chalkline::app
