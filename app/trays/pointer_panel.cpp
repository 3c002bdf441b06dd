// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/pointer_panel.hpp"

#include "widgets/fold.hpp"

#include <QHBoxLayout>

namespace chalkline::app {

PointerPanel::PointerPanel(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    auto* fold = new Fold(tr("Measure the pointer"), this);
    all->addWidget(fold);
    text_ = make_label({}, Tone::quiet, fold);
    fold->body()->addWidget(text_);
    auto* row = new QHBoxLayout;
    next_ = make_button({}, ButtonLook::plain, fold);
    again_ = make_button(tr("Begin again"), ButtonLook::link, fold);
    row->addWidget(next_);
    row->addWidget(again_);
    row->addStretch(1);
    fold->body()->addLayout(row);
    connect(next_, &QPushButton::clicked, this, &PointerPanel::take);
    connect(again_, &QPushButton::clicked, this, [this] {
        mark_.reset();
        follow();
    });
    connect(&context_.machine, &MachineLink::changed, this, &PointerPanel::follow);
    follow();
}

void PointerPanel::take() {
    const auto head = context_.machine.head();
    if (!head) return;
    if (!mark_) {
        mark_ = head;
        return follow();
    }
    // With the head here the dot lies where the head stood before.
    machine::MachineProfile profile = context_.machine.flat_profile();
    profile.pointer = *mark_ - *head;
    mark_.reset();
    context_.keeper.keep(profile);
    follow();
}

void PointerPanel::follow() {
    const machine::MachineProfile& profile = context_.machine.profile();
    const auto mm = [](double value) { return QString::fromStdString(format_number(value, 2)); };
    next_->setEnabled(context_.machine.free() && context_.machine.head().has_value());
    next_->setText(mark_ ? tr("The pointer's dot is on it") : tr("The beam's mark is under the head"));
    again_->setVisible(mark_.has_value());
    if (mark_)
        text_->setText(tr("Now drive the pointer's dot over that same mark."));
    else if (profile.has_pointer())
        text_->setText(
            tr("The dot falls %1, %2 mm from the beam. To measure it anew make a mark with a pulse on scrap.")
                .arg(mm(profile.pointer.x), mm(profile.pointer.y)));
    else
        text_->setText(
            tr("Has the head a red dot beside the beam? Make a mark with a pulse on scrap and leave the head "
               "there."));
}

}  // namespace chalkline::app
