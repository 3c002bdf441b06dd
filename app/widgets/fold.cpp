// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/fold.hpp"

#include "widgets/controls.hpp"

namespace chalkline::app {

Fold::Fold(const QString& title, QWidget* parent) : QWidget(parent), title_(title) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(6);
    button_ = make_button(title, ButtonLook::link, this);
    connect(button_, &QPushButton::clicked, this, [this] { set_open(!is_open()); });
    all->addWidget(button_, 0, Qt::AlignLeft);
    inside_ = new QWidget(this);
    body_ = new QVBoxLayout(inside_);
    body_->setContentsMargins(0, 0, 0, 4);
    body_->setSpacing(6);
    all->addWidget(inside_);
    inside_->hide();
    show_title();
}

bool Fold::is_open() const {
    return !inside_->isHidden();
}

void Fold::set_open(bool open) {
    inside_->setVisible(open);
    show_title();
}

void Fold::set_note(const QString& note) {
    note_ = note;
    show_title();
}

void Fold::show_title() {
    button_->setText((is_open() ? QString::fromUtf8("▾ ") : QString::fromUtf8("▸ ")) + title_ +
                     (note_.isEmpty() || is_open() ? QString() : " · " + note_));
    // A screen reader reads no triangles.
    button_->setAccessibleName(title_);
    button_->setAccessibleDescription(is_open()         ? tr("open")
                                      : note_.isEmpty() ? tr("shut")
                                                        : tr("shut, %1").arg(note_));
}

}  // namespace chalkline::app
