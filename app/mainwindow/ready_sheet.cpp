// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/ready_sheet.hpp"

#include "widgets/sheet.hpp"

#include <chalkline/wording/wording.hpp>

namespace chalkline::app {
void open_ready_sheet(const job::Job& job, const PlanKeeper& plans, BurnDesk& desk, QWidget* over) {
    if (desk.obstacle() || !plans.planned().plan) return;
    const Planned& planned = plans.planned();
    QStringList kinds;
    for (const auto& report : planned.plan->steps)
        if (const job::Step* step = job.step(report.step)) kinds << wording::name(step->settings.kind).toLower();
    auto* sheet = new Sheet(Sheet::tr("Ready to burn?"), over);
    sheet->add_row(Sheet::tr("What"), kinds.join(", ") + Sheet::tr(", in this order"));
    if (!plans.whole())
        sheet->add_row(Sheet::tr("Only"), plans.only().only_steps
                                              ? Sheet::tr("one step; the rest of the job is not burned")
                                              : Sheet::tr("the chosen art; the rest of the job is not burned"));
    sheet->add_row(Sheet::tr("How long"), Sheet::tr("about %1").arg(wording::duration(planned.plan->total)));
    if (job.stock)
        sheet->add_row(Sheet::tr("Focus"),
                       Sheet::tr("for %1, %2")
                           .arg(QString::fromStdString(job.stock->material),
                                QString::fromStdString(format_length(job.stock->thickness, LengthUnit::mm))));
    sheet->add_row(Sheet::tr("Frame"),
                   !desk.framed_at() ? Sheet::tr("not framed: nobody has seen where it lands")
                   : desk.stayed().value_or(false)
                       ? Sheet::tr("framed at %1, it stayed on the piece").arg(desk.framed_at()->toString("hh:mm"))
                   : desk.stayed() ? Sheet::tr("framed, and it left the piece")
                                   : Sheet::tr("framed at %1; nobody said that it stayed on the piece")
                                         .arg(desk.framed_at()->toString("hh:mm")));
    QStringList open;
    for (const auto& check : desk.checks()) {
        open << wording::describe(check).what;
        if (!check.overridden.empty())
            open.back() += Sheet::tr(" (overridden: %1)").arg(QString::fromStdString(check.overridden));
    }
    sheet->add_row(Sheet::tr("Checks"), open.isEmpty() ? Sheet::tr("all pass") : open.join("; "));
    sheet->add_text(Sheet::tr("Lid shut, extraction and air on, beam switch on? Stay with the machine while it burns."),
                    Tone::attention);
    sheet->add_button(Sheet::tr("Not yet"), ButtonLook::plain, {});
    sheet->add_button(Sheet::tr("Burn"), ButtonLook::accent, [&desk] { desk.burn(); });
    sheet->open();
}

}  // namespace chalkline::app
