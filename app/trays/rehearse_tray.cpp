// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/rehearse_tray.hpp"

#include "widgets/controls.hpp"

#include <chalkline/wording/wording.hpp>

#include <QVBoxLayout>

namespace chalkline::app {

RehearseTray::RehearseTray(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    all->addWidget(make_label(tr("How it will go"), Tone::heading, this));
    total_ = make_label({}, Tone::plain, this);
    total_->setStyleSheet(QString("font-size: %1px; font-weight: 600;").arg(theme::large));
    all->addWidget(total_);
    ribbon_ = new TimeRibbon(context_.roles, this);
    all->addWidget(ribbon_);
    note_ = make_label({}, Tone::attention, this);
    all->addWidget(note_);
    all->addStretch(1);
    connect(&context_.plans, &PlanKeeper::changed, this, &RehearseTray::show_plan);
    show_plan();
}

void RehearseTray::show_plan() {
    const Planned& planned = context_.plans.planned();
    const bool stale = context_.plans.stale();
    setEnabled(!stale);
    delete table_;
    table_ = nullptr;
    QStringList notes;
    if (planned.error) notes << wording::describe(*planned.error).whole();
    for (const auto& check : planned.checks)
        notes << wording::describe(check).whole();
    for (const auto& fault : planned.faults)
        notes << wording::describe(fault).whole();
    note_->setText(notes.join("\n\n"));
    note_->setVisible(!notes.isEmpty());
    ribbon_->setVisible(planned.plan != nullptr);
    if (!planned.plan) {
        total_->setText(stale ? tr("Planning…") : tr("Nothing to burn yet"));
        return;
    }
    total_->setText(stale ? tr("Planning…") : tr("About %1").arg(wording::duration(planned.plan->total)));
    ribbon_->show_segments(
        segments_of(*planned.plan, context_.document.job(), context_.machine.profile(), context_.roles));

    table_ = new QWidget(this);
    auto* grid = new QGridLayout(table_);
    grid->setContentsMargins(0, 4, 0, 0);
    grid->setVerticalSpacing(6);
    const auto metres = [](double mm) { return tr("%1 m").arg(QString::fromStdString(format_number(mm / 1000, 2))); };
    int row = 0;
    const auto put = [&](const QString& a, const QString& b, const QString& c, const QString& d, Tone tone) {
        int column = 0;
        for (const QString& text : {a, b, c, d}) {
            auto* label = make_label(text, tone, table_);
            label->setWordWrap(false);
            if (column > 0) label->setAlignment(Qt::AlignRight);
            grid->addWidget(label, row, column++);
        }
        ++row;
    };
    put(tr("Step"), tr("time"), tr("burned"), tr("dark"), Tone::quiet);
    for (const auto& report : planned.plan->steps)
        if (const job::Step* step = context_.document.job().step(report.step))
            put(wording::name(step->settings.kind), wording::duration(report.time), metres(report.burn),
                metres(report.travel), Tone::plain);
    grid->setColumnStretch(0, 1);
    grid->setHorizontalSpacing(14);
    auto* facts = make_label(
        tr("%1 lines for the controller. Checked line by line: the beam stays on the %2, travel is dark, power never "
           "above the step's.")
            .arg(planned.lines)
            .arg(context_.document.job().stock ? tr("piece") : tr("bed")),
        Tone::quiet, table_);
    facts->setVisible(planned.faults.empty());
    grid->addWidget(facts, row, 0, 1, 4);
    static_cast<QVBoxLayout*>(layout())->insertWidget(3, table_);
}

}  // namespace chalkline::app
