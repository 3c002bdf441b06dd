// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/ready_sheet.hpp"

#include "widgets/sheet.hpp"

#include <chalkline/wording/wording.hpp>

#include <QHBoxLayout>

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

/// How the steps were trimmed when they burned last: they burn so again.
QString trim_words(const job::Job& job, const BurnDesk& desk) {
    QStringList words;
    for (std::size_t i = 0; i < job.steps.size(); ++i) {
        const auto found = desk.trims().find(job.steps[i].id);
        if (found == desk.trims().end() || found->second == machine::Trim{}) continue;
        words << Sheet::tr("step %1 as last time: %2 % power, %3 % speed")
                     .arg(i + 1)
                     .arg(found->second.power)
                     .arg(found->second.speed);
    }
    return words.join("; ");
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

/// A rotary nobody thinks of ruins pieces either way.
QString rotary_words(const job::Job& job, const machine::MachineProfile& machine) {
    if (const job::RoundPiece* piece = job.round_piece())
        return Sheet::tr("turns a piece of ø %1; it is plugged in and the seam is where the head was set")
            .arg(QString::fromStdString(format_length(Length::mm(piece->diameter), LengthUnit::mm)));
    return machine.rotary.axis == machine::RotaryAxis::instead_of_y ? Sheet::tr("this job is flat: it is unplugged")
                                                                    : QString();
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
    const clearance::Clearance& planned = plans.planned();
    QStringList kinds;
    for (const auto& report : planned.plan->steps)
        if (const job::Step* step = job.step(report.step)) kinds << wording::name(step->settings.kind).toLower();
    auto* sheet = new Sheet(Sheet::tr("Ready to burn?"), over);
    if (plans.stored())
        sheet->add_row(Sheet::tr("What"),
                       Sheet::tr("%1, by the controller itself from its own store").arg(plans.program_name()));
    else if (!plans.program_name().isEmpty())
        sheet->add_row(Sheet::tr("What"), plans.program_name());
    else
        sheet->add_row(Sheet::tr("What"), kinds.join(", ") + Sheet::tr(", in this order"));
    if (!plans.whole())
        sheet->add_row(Sheet::tr("Only"), plans.only().only_steps
                                              ? Sheet::tr("one step; the rest of the job is not burned")
                                              : Sheet::tr("the chosen art; the rest of the job is not burned"));
    sheet->add_row(Sheet::tr("How long"), Sheet::tr("about %1").arg(wording::duration(desk.expected(*planned.plan))));
    sheet->add_row(Sheet::tr("Focus"), focus_words(job, desk, machine));
    if (const QString rotary = rotary_words(job, machine); !rotary.isEmpty())
        sheet->add_row(Sheet::tr("Rotary"), rotary);
    sheet->add_row(Sheet::tr("Frame"), frame_words(desk));
    if (const QString trims = trim_words(job, desk); !trims.isEmpty()) sheet->add_row(Sheet::tr("Trimmed"), trims);
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
                   Sheet::tr("the head goes there dark; what may have burned already, up to %1 % of "
                             "the time, is burned once more")
                       .arg(desk.share_begun() * 100, 0, 'f', 1));
    auto* more = new QWidget(sheet);
    auto* row = new QHBoxLayout(more);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(make_label(Sheet::tr("Begin earlier by"), Tone::plain, more));
    auto* overlap = make_length_field(Sheet::tr("Begin earlier by"), more);
    overlap->setToolTip(Sheet::tr("So much of what is sure is burned once more, so that the ends surely meet"));
    overlap->setFixedWidth(96);
    overlap->show_value(0);
    row->addWidget(overlap);
    row->addStretch(1);
    sheet->add_widget(more);
    sheet->add_row(Sheet::tr("Piece"), Sheet::tr("it must lie where it lay, untouched"));
    sheet->add_text(checklist_words(machine), Tone::attention);
    sheet->add_button(Sheet::tr("Not yet"), ButtonLook::plain, {});
    sheet->add_button(Sheet::tr("Go on"), ButtonLook::accent,
                      [&desk, overlap] { desk.go_on(std::max(0.0, overlap->value())); });
    sheet->open();
}

}  // namespace chalkline::app
