// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/trim_strip.hpp"

#include "theme/theme.hpp"
#include "widgets/controls.hpp"

#include <QHBoxLayout>
#include <QVBoxLayout>

namespace chalkline::app {

TrimStrip::TrimStrip(MachineLink& machine, QWidget* parent) : QWidget(parent), machine_(machine) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(4);
    power_ = add_row(tr("Power"), [this](int by) { machine_.trim_by(0, by); });
    speed_ = add_row(tr("Speed"), [this](int by) { machine_.trim_by(by, 0); });
    connect(&machine_, &MachineLink::changed, this, &TrimStrip::follow);
    follow();
}

QLabel* TrimStrip::add_row(const QString& name, std::function<void(int)> change) {
    auto* row = new QHBoxLayout;
    row->setSpacing(4);
    auto* label = make_label(name, Tone::quiet, this);
    label->setFixedWidth(48);
    row->addWidget(label);
    auto* value = make_label({}, Tone::heading, this);
    value->setAlignment(Qt::AlignCenter);
    value->setFixedWidth(56);
    value->setAccessibleName(tr("%1 against the program").arg(name));
    for (const int by : {-10, -1, 1, 10}) {
        if (by == 1) row->addWidget(value);
        auto* button =
            make_button((by < 0 ? QChar(0x2212) : QChar('+')) + QString::number(std::abs(by)), ButtonLook::plain, this);
        button->setAccessibleName(tr("%1 by %2 %").arg(name).arg(by));
        button->setStyleSheet(QString("padding: 4px 0; font-size: %1px;").arg(theme::tiny));
        button->setFixedWidth(40);
        connect(button, &QPushButton::clicked, this, [change, by] { change(by); });
        row->addWidget(button);
    }
    row->addStretch(1);
    static_cast<QVBoxLayout*>(layout())->addLayout(row);
    return value;
}

void TrimStrip::follow() {
    const auto& now = machine_.snapshot();
    setVisible(now.connected && now.can.trim && now.activity == machine::Activity::burning);
    power_->setText(tr("%1 %").arg(now.power_trim));
    speed_->setText(tr("%1 %").arg(now.speed_trim));
}

}  // namespace chalkline::app
