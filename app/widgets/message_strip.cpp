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
    text_->setWordWrap(true);
    setAttribute(Qt::WA_NoMousePropagation);
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
    fit();
    show();
    raise();
    QAccessibleEvent event(this, QAccessible::Alert);
    QAccessible::updateAccessibility(&event);
}

void MessageStrip::lie_on(QWidget* ground) {
    if (ground == ground_) return;
    const bool shown = isVisibleTo(parentWidget());
    if (ground_) ground_->removeEventFilter(this);
    ground_ = ground;
    setParent(ground);
    ground->installEventFilter(this);
    fit();
    setVisible(shown);
    raise();
}

/// As wide as the ground, as high as its text needs there, at the lower edge.
void MessageStrip::fit() {
    if (!ground_) return;
    const int height = layout()->hasHeightForWidth() ? layout()->heightForWidth(ground_->width()) : sizeHint().height();
    setGeometry(0, ground_->height() - height, ground_->width(), height);
}

bool MessageStrip::eventFilter(QObject* watched, QEvent* event) {
    if (watched == ground_ && event->type() == QEvent::Resize) fit();
    return QWidget::eventFilter(watched, event);
}

void MessageStrip::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), roles_.paper);
    painter.fillRect(QRect(0, 0, 5, height()), roles_.attention);
    painter.fillRect(QRect(0, 0, width(), 1), roles_.hairline);
}

}  // namespace chalkline::app
