// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/sheet.hpp"

#include "theme/theme.hpp"

#include <QApplication>
#include <QEvent>
#include <QHBoxLayout>
#include <QKeyEvent>

namespace chalkline::app {

Sheet::Sheet(const QString& title, QWidget* over) : QFrame(over) {
    for (auto* older : over->findChildren<Sheet*>(Qt::FindDirectChildrenOnly))
        if (older != this) older->deleteLater();
    setObjectName("sheet");
    setAccessibleName(title);
    setFixedWidth(420);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(20, 16, 20, 16);
    all->setSpacing(12);
    auto* heading = new QLabel(title, this);
    heading->setFont(theme::font(theme::large, QFont::DemiBold));
    heading->setStyleSheet(QString("font-size: %1px; font-weight: 600;").arg(theme::large));
    heading->setWordWrap(true);
    all->addWidget(heading);
    body_ = new QVBoxLayout;
    body_->setSpacing(8);
    all->addLayout(body_);
    buttons_ = new QHBoxLayout;
    buttons_->setSpacing(8);
    buttons_->addStretch(1);
    all->addLayout(buttons_);
    over->installEventFilter(this);
}

QLabel* Sheet::add_text(const QString& text, Tone tone) {
    auto* label = make_label(text, tone, this);
    body_->addWidget(label);
    return label;
}

void Sheet::add_row(const QString& name, const QString& value) {
    auto* row = new QHBoxLayout;
    auto* left = make_label(name, Tone::quiet, this);
    left->setFixedWidth(110);
    left->setAlignment(Qt::AlignTop);
    row->addWidget(left);
    row->addWidget(make_label(value, Tone::plain, this), 1);
    body_->addLayout(row);
}

void Sheet::add_widget(QWidget* widget) {
    body_->addWidget(widget);
}

QPushButton* Sheet::add_button(const QString& text, ButtonLook look, std::function<void()> action) {
    auto* button = add_staying_button(text, look, [this, action = std::move(action)] {
        put_away();
        if (action) action();
    });
    if (look == ButtonLook::accent && !main_) main_ = button;
    return button;
}

QPushButton* Sheet::add_link(const QString& text, std::function<void()> action) {
    auto* link = make_button(text, ButtonLook::link, this);
    connect(link, &QPushButton::clicked, this, [this, action = std::move(action)] {
        put_away();
        action();
    });
    body_->addWidget(link, 0, Qt::AlignLeft);
    return link;
}

QPushButton* Sheet::add_staying_button(const QString& text, ButtonLook look, std::function<void()> action) {
    auto* button = make_button(text, look, this);
    connect(button, &QPushButton::clicked, this, [action = std::move(action)] { action(); });
    buttons_->addWidget(button);
    return button;
}

void Sheet::open() {
    focus_before_ = window()->focusWidget();
    // Buttons are never cut off: a sheet with many is wider.
    setFixedWidth(std::max(width(), buttons_->sizeHint().width() + layout()->contentsMargins().left() +
                                        layout()->contentsMargins().right()));
    fit();
    centre();
    show();
    raise();
    (main_ ? static_cast<QWidget*>(main_) : this)->setFocus();
}

void Sheet::fit() {
    // Word-wrapped labels only know their height at the final width.
    ensurePolished();
    layout()->invalidate();
    layout()->activate();
    resize(width(), layout()->hasHeightForWidth() ? layout()->heightForWidth(width()) : sizeHint().height());
}

void Sheet::put_away() {
    hide();
    deleteLater();
    if (focus_before_) focus_before_->setFocus();
}

void Sheet::centre() {
    const QSize room = parentWidget()->size();
    move((room.width() - width()) / 2, std::max(12, (room.height() - height()) / 3));
}

void Sheet::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) {
        put_away();
    } else if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter) {
        auto* focused = qobject_cast<QAbstractButton*>(focusWidget());
        if (auto* pressed = focused && focused->hasFocus() ? focused : main_) pressed->click();
    } else {
        QFrame::keyPressEvent(event);
    }
}

/// A letter in a sheet is no command of the window below it.
bool Sheet::event(QEvent* event) {
    if (event->type() == QEvent::ShortcutOverride) {
        const auto* key = static_cast<QKeyEvent*>(event);
        const bool plain = !(key->modifiers() & (Qt::ControlModifier | Qt::AltModifier | Qt::MetaModifier));
        if (plain && !key->text().trimmed().isEmpty()) event->accept();
    }
    return QFrame::event(event);
}

bool Sheet::focusNextPrevChild(bool next) {
    QList<QWidget*> ring;
    for (QWidget* widget = nextInFocusChain(); widget != this; widget = widget->nextInFocusChain())
        if (isAncestorOf(widget) && widget->isVisibleTo(this) && widget->isEnabledTo(this) &&
            (widget->focusPolicy() & Qt::TabFocus) != 0)
            ring << widget;
    if (ring.isEmpty()) return true;
    const qsizetype at = ring.indexOf(QApplication::focusWidget());
    const qsizetype step = next ? 1 : -1;
    const qsizetype to = at < 0 ? (next ? 0 : ring.size() - 1) : (at + step + ring.size()) % ring.size();
    ring[to]->setFocus(next ? Qt::TabFocusReason : Qt::BacktabFocusReason);
    return true;
}

bool Sheet::eventFilter(QObject* watched, QEvent* event) {
    if (watched == parentWidget() && event->type() == QEvent::Resize) centre();
    return QFrame::eventFilter(watched, event);
}

}  // namespace chalkline::app
