// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/jog_strip.hpp"

#include "theme/theme.hpp"
#include "widgets/controls.hpp"

#include <chalkline/base/units_text.hpp>

#include <QHBoxLayout>
#include <cmath>

namespace chalkline::app {

JogStrip::JogStrip(const QString& axis, MachineLink& machine, std::function<void(double)> move, QWidget* parent)
    : QWidget(parent), machine_(machine) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(2);
    auto* label = make_label(axis, Tone::heading, this);
    label->setMinimumWidth(16);
    row->addWidget(label);
    for (const double distance : {-50.0, -10.0, -1.0, -0.1, 0.1, 1.0, 10.0, 50.0}) {
        if (distance == 0.1) row->addSpacing(6);
        const QString size = QString::fromStdString(format_number(std::abs(distance), 1));
        auto* button = make_button((distance < 0 ? QChar(0x2212) : QChar('+')) + size, ButtonLook::plain, this);
        button->setAccessibleName(tr("Move %1 by %2 mm").arg(axis).arg(distance));
        button->setStyleSheet(QString("padding: 4px 0; font-size: %1px;").arg(theme::tiny));
        button->setMinimumWidth(34);
        connect(button, &QPushButton::clicked, this, [move, distance] { move(distance); });
        row->addWidget(button, 1);
        buttons_.push_back(button);
    }
    connect(&machine_, &MachineLink::changed, this, &JogStrip::follow);
    follow();
}

void JogStrip::follow() {
    const bool free = machine_.free();
    for (QPushButton* button : buttons_)
        button->setEnabled(free);
}

}  // namespace chalkline::app
