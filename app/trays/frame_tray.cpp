// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/frame_tray.hpp"

#include "trays/focus_panel.hpp"
#include "trays/move_panel.hpp"
#include "trays/pointer_panel.hpp"
#include "widgets/controls.hpp"

#include <chalkline/wording/machine_words.hpp>

#include <QHBoxLayout>
#include <QVBoxLayout>

namespace chalkline::app {

FrameTray::FrameTray(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    all->addWidget(make_label(tr("Frame the job"), Tone::heading, this));
    all->addWidget(make_label(tr("The head rides round what will be burned. Watch that it stays on the piece."),
                              Tone::quiet, this));
    auto* how = new QHBoxLayout;
    way_ = new QComboBox(this);
    way_->addItems({tr("As a box"), tr("As a string round it"), tr("As a circle")});
    way_->setAccessibleName(tr("Way of the frame"));
    keep_from_wheel(way_);
    how->addWidget(way_);
    frame_ = make_button(tr("Frame"), ButtonLook::accent, this);
    frame_->setToolTip(tr("Ctrl+Shift+F"));
    how->addWidget(frame_);
    side_ = make_button(tr("One side"), ButtonLook::plain, this);
    side_->setToolTip(tr("The next side each time (Shift+F)"));
    how->addWidget(side_);
    how->addStretch(1);
    all->addLayout(how);
    auto* ticks = new QHBoxLayout;
    const auto add_tick = [&](const QString& text, const QString& tip) {
        auto* tick = new QCheckBox(text, this);
        tick->setToolTip(tip);
        ticks->addWidget(tick);
        connect(tick, &QCheckBox::clicked, this, &FrameTray::take_choice);
        return tick;
    };
    dot_ =
        add_tick(tr("Faint dot"), tr("The beam draws a dot too weak to mark, and is dark at rest. Wear your glasses."));
    pointer_ = add_tick(tr("Pointer"), tr("The pointer's dot rides along the line instead of the beam"));
    again_ = add_tick(tr("Again and again"), tr("Until Esc or STOP"));
    ticks->addStretch(1);
    all->addLayout(ticks);
    text_ = make_label({}, Tone::quiet, this);
    all->addWidget(text_);
    question_ = new QWidget(this);
    auto* asked = new QHBoxLayout(question_);
    asked->setContentsMargins(0, 0, 0, 0);
    asked->addWidget(make_label(tr("Did it stay on the piece?"), Tone::attention, question_));
    const auto add_answer = [&](const QString& text, bool stayed) {
        auto* button = make_button(text, ButtonLook::plain, question_);
        connect(button, &QPushButton::clicked, this, [this, stayed] { context_.desk.answer_frame(stayed); });
        asked->addWidget(button);
    };
    add_answer(tr("It did"), true);
    add_answer(tr("It did not"), false);
    asked->addStretch(1);
    all->addWidget(question_);
    start_ = new QCheckBox(tr("Begin when the machine's start button is pressed"), this);
    all->addWidget(start_);
    connect(start_, &QCheckBox::clicked, this, [this](bool on) {
        context_.desk.wait_for_start(on ? BurnDesk::OnStart::frame : BurnDesk::OnStart::nothing);
    });
    all->addWidget(new MovePanel(context_, this));
    all->addWidget(new FocusPanel(context_, this));
    all->addWidget(new PointerPanel(context_, this));
    all->addStretch(1);
    connect(frame_, &QPushButton::clicked, &context_.desk, &BurnDesk::frame);
    connect(side_, &QPushButton::clicked, &context_.desk, &BurnDesk::frame_side);
    connect(way_, &QComboBox::activated, this, &FrameTray::take_choice);
    connect(&context_.desk, &BurnDesk::changed, this, &FrameTray::follow);
    connect(&context_.machine, &MachineLink::changed, this, &FrameTray::follow);
    follow();
}

void FrameTray::take_choice() {
    context_.desk.set_framing({static_cast<planning::FrameWay>(way_->currentIndex()), dot_->isChecked(),
                               pointer_->isChecked(), again_->isChecked()});
}

void FrameTray::follow() {
    const auto& now = context_.machine.snapshot();
    const bool free = context_.machine.free();
    const bool something = !context_.plans.stale() && !context_.plans.planned().burned.empty();
    // The focus stays with what was pressed, over the time that it cannot be pressed again.
    for (auto* button : {frame_, side_}) {
        const bool can = free && something;
        if (!can && button->hasFocus()) {
            pressed_ = button;
            setFocus();
        }
        button->setEnabled(can);
        if (can && pressed_ == button && hasFocus()) button->setFocus();
    }
    const machine::MachineProfile& profile = context_.machine.profile();
    dot_->setEnabled(planning::faint_power(profile) > Power());
    pointer_->setVisible(profile.has_pointer());
    start_->setVisible(profile.start_button);
    start_->setChecked(context_.desk.waiting_for_start() == BurnDesk::OnStart::frame);
    QString text;
    const auto stayed = context_.desk.stayed();
    if (!now.connected)
        text = tr("Connect a machine first: its name in the rail below.");
    else if (profile.turning && free && !now.position_sure)
        text = wording::describe(Error{std::string(machine::place_unknown(profile)), {}, {}, 0}).whole();
    else if (now.activity == machine::Activity::none && !(free && now.position_sure))
        text = wording::explain(now).whole();
    else if (now.activity == machine::Activity::framing)
        text = tr("Framing…");
    else if (const auto at = context_.desk.framed_at(); at && stayed && *stayed)
        text = tr("Framed at %1; it stayed on the piece. Nothing was moved since.").arg(at->toString("hh:mm"));
    else if (at && stayed)
        text = tr("It left the piece: move the job or the piece, and frame again.");
    text_->setText(text);
    text_->setVisible(!text.isEmpty());
    question_->setVisible(now.connected && now.activity == machine::Activity::none &&
                          context_.desk.framed_at().has_value() && !stayed);
}

}  // namespace chalkline::app
