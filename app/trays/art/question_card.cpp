// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/question_card.hpp"

#include "widgets/controls.hpp"
#include "widgets/flow_layout.hpp"

#include <QPainter>
#include <QTimer>
#include <QVBoxLayout>

namespace chalkline::app {

QuestionCard::QuestionCard(const QString& title, const QString& text, const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), text_(text), roles_(roles) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(16, 10, 12, 12);
    all->setSpacing(6);
    all->addWidget(make_label(title, Tone::plain, this));
    all->addWidget(make_label(text, Tone::quiet, this));
    answers_ = new FlowLayout(6);
    all->addLayout(answers_);
    setAccessibleName(title);
}

void QuestionCard::add_answer(const QString& text, std::function<void()> action) {
    auto* button = make_button(text, ButtonLook::plain, this);
    // The card goes away with the answer: let the click end first.
    connect(button, &QPushButton::clicked, this, [this, action] { QTimer::singleShot(0, window(), action); });
    answers_->addWidget(button);
}

void QuestionCard::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const QRectF card = QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5);
    painter.setPen(QPen(roles_.hairline, 1));
    painter.setBrush(roles_.card);
    painter.drawRoundedRect(card, 7, 7);
    painter.setPen(Qt::NoPen);
    painter.setBrush(roles_.attention);
    painter.drawRoundedRect(QRectF(0.5, 8, 4, height() - 16), 2, 2);
}

}  // namespace chalkline::app
