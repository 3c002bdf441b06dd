// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/focus_panel.hpp"

#include <QHBoxLayout>
#include <cmath>

namespace chalkline::app {

FocusPanel::FocusPanel(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    fold_ = new Fold(tr("Focus"), this);
    all->addWidget(fold_);
    text_ = make_label({}, Tone::quiet, fold_);
    fold_->body()->addWidget(text_);
    auto* row = new QHBoxLayout;
    said_ = make_button(tr("It is focused"), ButtonLook::plain, fold_);
    probe_ = make_button(tr("Probe the height"), ButtonLook::plain, fold_);
    probe_->setToolTip(tr("The head goes down until the probe touches, then up until the beam is in focus"));
    follow_piece_ = make_button({}, ButtonLook::plain, fold_);
    for (QPushButton* button : {said_, probe_, follow_piece_})
        row->addWidget(button);
    row->addStretch(1);
    fold_->body()->addLayout(row);
    connect(said_, &QPushButton::clicked, &context_.desk, &BurnDesk::note_focused);
    connect(probe_, &QPushButton::clicked, &context_.machine, &MachineLink::probe);
    connect(follow_piece_, &QPushButton::clicked, this, [this] {
        context_.machine.move_focus(context_.desk.focus_off_by());
        context_.desk.note_focused();
    });
    connect(&context_.desk, &BurnDesk::changed, this, &FocusPanel::follow);
    connect(&context_.machine, &MachineLink::changed, this, &FocusPanel::follow);
    follow();
}

void FocusPanel::follow() {
    const machine::MachineProfile& profile = context_.machine.profile();
    const auto& stock = context_.document.job().stock;
    const auto mm = [](double value) { return QString::fromStdString(format_number(value, 2)); };
    const QString piece = stock ? tr("the piece of %1 mm").arg(mm(stock->thickness.mm())) : tr("the piece");
    QString text =
        profile.focus.height > 0
            ? tr("Set the %1 mm gauge on %2 and bring the head down to it.").arg(mm(profile.focus.height), piece)
            : tr("Set the head over %1 with the machine's own gauge.").arg(piece);
    const auto focused = context_.desk.focused();
    const double off = context_.desk.focus_off_by();
    if (focused == true) text = tr("Focused for %1.").arg(piece);
    if (focused == false)
        text = off > 0 ? tr("The piece is %1 mm thicker than when it was focused.").arg(mm(off))
                       : tr("The piece is %1 mm thinner than when it was focused.").arg(mm(-off));
    text_->setText(text);
    fold_->set_note(focused == true ? tr("set") : focused == false ? tr("stale") : QString());
    const bool free = context_.machine.free();
    said_->setVisible(focused != true);
    probe_->setVisible(profile.focus.probe);
    probe_->setEnabled(free && context_.machine.snapshot().can.probe);
    follow_piece_->setVisible(profile.z_axis && focused == false);
    follow_piece_->setText(off > 0 ? tr("Raise by %1 mm").arg(mm(off)) : tr("Lower by %1 mm").arg(mm(-off)));
    follow_piece_->setEnabled(free);
}

}  // namespace chalkline::app
