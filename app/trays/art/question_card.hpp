// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <QHBoxLayout>
#include <QWidget>
#include <functional>

namespace chalkline::app {

/// Something only the maker can decide: what it is about, and an answer to each button.
class QuestionCard : public QWidget, public Spoken {
    Q_OBJECT
 public:
    QuestionCard(const QString& title, const QString& text, const theme::Roles& roles, QWidget* parent);
    QAccessible::Role spoken_role() const override { return QAccessible::AlertMessage; }
    QString spoken_value() const override { return text_; }
    void add_answer(const QString& text, std::function<void()> action);

 protected:
    void paintEvent(QPaintEvent*) override;

 private:
    QString text_;
    const theme::Roles& roles_;
    QLayout* answers_;
};

}  // namespace chalkline::app
