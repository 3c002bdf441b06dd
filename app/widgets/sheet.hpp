// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "widgets/controls.hpp"
#include "widgets/spoken.hpp"

#include <QFrame>
#include <QPointer>
#include <QVBoxLayout>
#include <functional>

namespace chalkline::app {

/// A question or a short form inside the window, over the bed: never a window of its own, never over the rail. Return
/// presses the button that has the focus, else its main one; Esc closes it. One at a time; it deletes itself.
class Sheet : public QFrame, public Spoken {
    Q_OBJECT
 public:
    /// `over`: the widget it lies on, centred.
    Sheet(const QString& title, QWidget* over);

    QAccessible::Role spoken_role() const override { return QAccessible::Dialog; }
    QString spoken_value() const override { return {}; }

    QLabel* add_text(const QString& text, Tone tone = Tone::plain);
    void add_row(const QString& name, const QString& value);
    void add_widget(QWidget* widget);
    /// The button closes the sheet, then does its work. The first accent button is the one Return presses.
    QPushButton* add_button(const QString& text, ButtonLook look, std::function<void()> action);
    /// A button that may have to say why not: the sheet stays until `put_away`. Return never presses it.
    QPushButton* add_staying_button(const QString& text, ButtonLook look, std::function<void()> action);
    /// A line in the sheet that closes it and leads to something else.
    QPushButton* add_link(const QString& text, std::function<void()> action);
    /// Shows it and takes the focus.
    void open();
    /// Goes away and gives the focus back.
    void put_away();

 protected:
    /// As high as what is in it needs.
    void fit();
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;
    /// The focus stays in the sheet.
    bool focusNextPrevChild(bool next) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

 private:
    void centre();
    QVBoxLayout* body_;
    QHBoxLayout* buttons_;
    QPushButton* main_ = nullptr;
    QPointer<QWidget> focus_before_;
};

}  // namespace chalkline::app
