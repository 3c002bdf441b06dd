// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/frame_tray.hpp"

#include "widgets/controls.hpp"

#include <QHBoxLayout>
#include <QVBoxLayout>

namespace chalkline::app {

FrameTray::FrameTray(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    all->addWidget(make_label(tr("Frame the job"), Tone::heading, this));
    all->addWidget(make_label(
        tr("The head rides once round everything that will be burned, in the dark. Watch that it stays on the piece."),
        Tone::quiet, this));
    frame_ = make_button(tr("Frame"), ButtonLook::accent, this);
    frame_->setToolTip(tr("F"));
    connect(frame_, &QPushButton::clicked, &context_.desk, &BurnDesk::frame);
    all->addWidget(frame_, 0, Qt::AlignLeft);
    text_ = make_label({}, Tone::quiet, this);
    all->addWidget(text_);

    auto* heading = make_label(tr("Move the head, mm"), Tone::heading, this);
    heading->setContentsMargins(0, 16, 0, 0);
    all->addWidget(heading);
    all->addWidget(make_strip(tr("X"), {1, 0}));
    all->addWidget(make_strip(tr("Y"), {0, 1}));
    all->addStretch(1);
    connect(&context_.desk, &BurnDesk::changed, this, &FrameTray::follow);
    connect(&context_.machine, &MachineLink::changed, this, &FrameTray::follow);
    follow();
}

QWidget* FrameTray::make_strip(const QString& axis, geometry::Point unit) {
    auto* strip = new QWidget(this);
    auto* row = new QHBoxLayout(strip);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(2);
    auto* label = make_label(axis, Tone::heading, strip);
    label->setFixedWidth(16);
    row->addWidget(label);
    for (const double distance : {-50.0, -10.0, -1.0, -0.1, 0.1, 1.0, 10.0, 50.0}) {
        if (distance == 0.1) row->addSpacing(6);
        const QString size = QString::fromStdString(format_number(std::abs(distance), 1));
        auto* button = make_button((distance < 0 ? QChar(0x2212) : QChar('+')) + size, ButtonLook::plain, strip);
        button->setAccessibleName(tr("Move %1 by %2 mm").arg(axis).arg(distance));
        button->setStyleSheet(QString("padding: 4px 0; font-size: %1px;").arg(theme::tiny));
        button->setMinimumWidth(34);
        connect(button, &QPushButton::clicked, this, [this, unit, distance] { context_.machine.jog(unit * distance); });
        row->addWidget(button, 1);
        jogs_.push_back(button);
    }
    return strip;
}

void FrameTray::follow() {
    const auto& now = context_.machine.snapshot();
    const bool free =
        now.connected && now.activity == machine::Activity::none && now.state == machine::ControllerState::idle;
    frame_->setEnabled(free && !context_.plans.stale() && !context_.plans.planned().burned.empty());
    for (QPushButton* jog : jogs_)
        jog->setEnabled(free);
    QString text;
    if (!now.connected)
        text = tr("Connect a machine first: its name in the rail below.");
    else if (now.state == machine::ControllerState::alarm)
        text =
            tr("The controller is locked: it does not know where the head is. Find home, or unlock if the head is "
               "clear of the edges.");
    else if (now.activity == machine::Activity::framing)
        text = tr("Framing…");
    else if (const auto at = context_.desk.framed_at())
        text = tr("Framed at %1. Nothing was moved since.").arg(at->toString("hh:mm"));
    text_->setText(text);
}

}  // namespace chalkline::app
