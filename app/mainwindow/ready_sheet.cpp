// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/ready_sheet.hpp"

#include "widgets/sheet.hpp"

#include <chalkline/wording/wording.hpp>

namespace chalkline::app {
namespace {

QString focus_words(const job::Job& job, const BurnDesk& desk, const machine::MachineProfile& machine) {
    const auto length = [](double mm) { return QString::fromStdString(format_length(Length::mm(mm), LengthUnit::mm)); };
    QString words = job.stock ? Sheet::tr("for %1, %2")
                                    .arg(QString::fromStdString(job.stock->material), length(job.stock->thickness.mm()))
                              : Sheet::tr("for a piece of unknown thickness");
    if (desk.focused() == true) return Sheet::tr("set %1").arg(words);
    words += desk.focused() == false ? Sheet::tr("; it was set for another thickness")
                                     : Sheet::tr("; nobody said that it is set");
    if (machine.focus.height > 0) words += Sheet::tr(" (%1 gauge)").arg(length(machine.focus.height));
    return words;
}

QString frame_words(const BurnDesk& desk) {
    if (!desk.framed_at()) return Sheet::tr("not framed: nobody has seen where it lands");
    const QString at = desk.framed_at()->toString("hh:mm");
    if (desk.stayed() == true) return Sheet::tr("framed at %1, it stayed on the piece").arg(at);
    if (desk.stayed() == false) return Sheet::tr("framed, and it left the piece");
    return Sheet::tr("framed at %1; nobody said that it stayed on the piece").arg(at);
}

QString check_words(const BurnDesk& desk) {
    QStringList open;
    for (const auto& check : desk.checks()) {
        open << wording::describe(check).what;
        if (!check.overridden.empty())
            open.back() += Sheet::tr(" (overridden: %1)").arg(QString::fromStdString(check.overridden));
    }
    return open.isEmpty() ? Sheet::tr("all pass") : open.join("; ");
}

QString checklist_words(const machine::MachineProfile& machine) {
    QString words;
    for (const std::string& line : machine.checklist)
        words += QString::fromStdString(line) + "?  ";
    return words + Sheet::tr("Stay with the machine while it burns.");
}

}  // namespace

void open_ready_sheet(const job::Job& job, const PlanKeeper& plans, BurnDesk& desk,
                      const machine::MachineProfile& machine, QWidget* over) {
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
    sheet->add_row(Sheet::tr("Focus"), focus_words(job, desk, machine));
    sheet->add_row(Sheet::tr("Frame"), frame_words(desk));
    sheet->add_row(Sheet::tr("Checks"), check_words(desk));
    sheet->add_text(checklist_words(machine), Tone::attention);
    sheet->add_button(Sheet::tr("Not yet"), ButtonLook::plain, {});
    if (machine.start_button)
        sheet->add_button(Sheet::tr("Wait for its start button"), ButtonLook::plain,
                          [&desk] { desk.wait_for_start(BurnDesk::OnStart::burn); });
    sheet->add_button(Sheet::tr("Burn"), ButtonLook::accent, [&desk] { desk.burn(); });
    sheet->open();
}

void open_go_on_sheet(BurnDesk& desk, const machine::MachineProfile& machine, QWidget* over) {
    if (desk.obstacle_to_go_on()) return;
    auto* sheet = new Sheet(Sheet::tr("Go on where it broke off?"), over);
    sheet->add_row(Sheet::tr("Done"),
                   Sheet::tr("%1 % of the time, burned for sure").arg(static_cast<int>(desk.share_done() * 100)));
    sheet->add_row(Sheet::tr("Left"),
                   Sheet::tr("about %1").arg(wording::duration(Duration::seconds(desk.seconds_left()))));
    sheet->add_row(Sheet::tr("Again"),
                   Sheet::tr("the head goes there dark; what it may have burned already, up to %1 moves, is burned "
                             "once more")
                       .arg(machine.planner_blocks));
    sheet->add_row(Sheet::tr("Piece"), Sheet::tr("it must lie where it lay, untouched"));
    sheet->add_text(checklist_words(machine), Tone::attention);
    sheet->add_button(Sheet::tr("Not yet"), ButtonLook::plain, {});
    sheet->add_button(Sheet::tr("Go on"), ButtonLook::accent, [&desk] { desk.go_on(); });
    sheet->open();
}

}  // namespace chalkline::app
