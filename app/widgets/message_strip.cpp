// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/message_strip.hpp"

#include "widgets/controls.hpp"

#include <QHBoxLayout>
#include <QPainter>

namespace chalkline::app {

MessageStrip::MessageStrip(const theme::Roles& roles, QWidget* parent) : QWidget(parent), roles_(roles) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(20, 8, 12, 8);
    text_ = make_label({}, Tone::plain, this);
    text_->setTextFormat(Qt::RichText);
    setAccessibleName(tr("Message"));
    row->addWidget(text_, 1);
    auto* away = make_button(tr("Put away"), ButtonLook::link, this);
    connect(away, &QPushButton::clicked, this, &QWidget::hide);
    row->addWidget(away);
    hide();
}

void MessageStrip::show_message(const wording::Message& message) {
    QString text = "<b>" + message.what.toHtmlEscaped();
    if (!message.where.isEmpty()) text += " (" + message.where.toHtmlEscaped() + ")";
    text_->setText(text + ".</b> " + message.help.toHtmlEscaped());
    said_ = message.whole();
    show();
    QAccessibleEvent event(this, QAccessible::Alert);
    QAccessible::updateAccessibility(&event);
}

void MessageStrip::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), roles_.paper);
    painter.fillRect(QRect(0, 0, 5, height()), roles_.attention);
    painter.fillRect(QRect(0, height() - 1, width(), 1), roles_.hairline);
}

}  // namespace chalkline::app
