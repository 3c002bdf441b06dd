// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/steps/step_details.hpp"
#include "widgets/controls.hpp"
#include "widgets/dose_pad.hpp"
#include "widgets/ink_chip.hpp"
#include "widgets/spoken.hpp"

#include <QCheckBox>
#include <QGridLayout>
#include <QPointer>
#include <QWidget>
#include <optional>

namespace chalkline::app {

/// One step of the run sheet: number, kind, time and settings in words; opened, also its fields. Dragged by its head to
/// another place; Alt and the up or down key move it too, Delete removes it.
class StepCard : public QWidget, public Spoken {
    Q_OBJECT
 public:
    StepCard(const job::Step& step, int number, const TrayContext& context, QWidget* parent);
    job::Id id() const { return step_.id; }
    const job::Step& step() const { return step_; }
    void show_step(const job::Step& step, int number);
    void show_time(std::optional<Duration> time);
    /// How its pictures come out as dots; empty: it burns none.
    void show_dots(const QString& dots);
    /// What is wrong with it, or keeps it from its speed; empty: nothing.
    void show_warning(const QString& warning);
    void open(bool opened);
    /// One of several that are set at once.
    void show_chosen(bool chosen);
    /// An ink is dragged over it.
    void light(bool on);
    QAccessible::Role spoken_role() const override { return QAccessible::ListItem; }
    QString spoken_value() const override;
    void add_spoken_state(QAccessible::State& state) const override;

 Q_SIGNALS:
    /// `more`: it is added to those chosen, or taken out.
    void chosen(bool more);
    /// `merge`: part of a gesture, one change with those of the same key before it.
    void changed(const chalkline::app::SettingChange& change, const chalkline::app::Merge& merge = {});
    void take_wanted();
    void keep_wanted();
    /// The words a value was typed with; the value itself comes with `changed` before.
    void typed(const QString& key, const QString& words);
    void turned(bool on);
    void noted(const QString& note);
    void dropped(const QPoint& global);
    void move_wanted(int by);
    void remove_wanted();
    void hovered(bool on);

 protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void enterEvent(QEnterEvent*) override { Q_EMIT hovered(true); }
    void leaveEvent(QEvent*) override { Q_EMIT hovered(false); }

 private:
    void build_fields();
    void show_fields();
    void add_field(const char* key, ValueField* field, void (*set)(steps::StepSettings&, double));
    void build_links(QGridLayout* grid, int row);
    void show_dose();
    /// What is known of the job's piece for this kind; nothing without a piece.
    std::optional<recipes::Wish> wish() const;
    QString summary() const;
    /// Its time, or why it has none.
    QString time_said() const;

    job::Step step_;
    int number_;
    TrayContext context_;
    QString time_, dots_text_;
    bool opened_ = false, lit_ = false, chosen_ = false, dragging_ = false;
    QPoint pressed_;
    QWidget* fields_ = nullptr;  ///< null until the card is opened
    DosePad* pad_ = nullptr;
    QLabel *dose_ = nullptr, *warning_ = nullptr, *odd_ = nullptr, *dots_ = nullptr;
    ValueField *power_ = nullptr, *speed_ = nullptr, *passes_ = nullptr, *pitch_ = nullptr;
    QCheckBox *air_ = nullptr, *on_ = nullptr;
    QLineEdit* note_ = nullptr;
    StepDetails* details_ = nullptr;
};

}  // namespace chalkline::app
