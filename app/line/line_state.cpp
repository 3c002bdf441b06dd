// SPDX-License-Identifier: GPL-3.0-or-later
#include "line/line_state.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/wording/wording.hpp>

#include <QCoreApplication>
#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

QString tr(const char* text, int n = -1) {
    return QCoreApplication::translate("line", text, nullptr, n);
}

QString mm(double value) {
    return QString::fromStdString(format_number(value, value < 10 ? 1 : 0));
}

MarkFact art_fact(const job::Job& job, const PlanKeeper& plans, int questions) {
    const clearance::Clearance& planned = plans.planned();
    if (questions > 0)
        return {MarkState::attention,
                questions == 1 ? tr("1 file waits for you") : tr("%1 files wait for you").arg(questions)};
    if (const QString program = plans.program_name(); !program.isEmpty())
        return {MarkState::done, tr("a program: %1").arg(program)};
    if (job.motifs.empty()) return {MarkState::not_yet, tr("nothing yet")};
    const auto count = job.motifs.size();
    QString fact = count == 1 ? tr("1 piece") : tr("%1 pieces").arg(count);
    if (!planned.burned.empty())
        fact += tr(" · %1 × %2 mm").arg(mm(planned.burned.width()), mm(planned.burned.height()));
    std::size_t remarks = 0;
    for (const job::Motif& motif : job.motifs)
        remarks += motif.art->remarks.size();
    if (remarks > 0) fact += remarks == 1 ? tr(" · 1 remark") : tr(" · %1 remarks").arg(remarks);
    return {MarkState::done, fact};
}

QString lower_first(const QString& text) {
    return text.left(1).toLower() + text.mid(1);
}

/// The first open check that the mark vouches for, in short; nothing when all pass.
template <class Concerns>
std::optional<QString> first_open(const std::vector<planning::Check>& checks, Concerns concerns) {
    for (const planning::Check& check : checks)
        if (check.severity != planning::Severity::info && check.overridden.empty() && concerns(check))
            return lower_first(wording::describe(check).what);
    return {};
}

/// Those the line works out from the job itself are left out: the checks come a moment later.
bool about_steps(const planning::Check& check) {
    if (check.code == planning::check::cut_before_engrave) return false;
    return check.step || check.code == planning::check::drawn_twice;
}

bool about_stock(const planning::Check& check) {
    return check.code == planning::check::near_edge || check.code == planning::check::dangerous_material;
}

MarkFact steps_fact(const job::Job& job, const clearance::Clearance& planned) {
    if (job.motifs.empty()) return {MarkState::not_yet, {}};
    const auto inks = job::routed_inks(job);
    const auto loose =
        std::count_if(inks.begin(), inks.end(), [](const auto& ink) { return ink.steps.empty() && !ink.left_out; });
    if (loose > 0)
        return {MarkState::attention,
                loose == 1 ? tr("1 ink without a step") : tr("%1 inks without a step").arg(loose)};
    if (job::order_fault(job)) return {MarkState::attention, tr("a cut comes too early")};
    const auto used =
        std::count_if(job.steps.begin(), job.steps.end(), [&](const job::Step& s) { return job.has_work(s); });
    if (used == 0) return {MarkState::not_yet, tr("no step burns anything")};
    if (const auto open = first_open(planned.checks, about_steps)) return {MarkState::attention, *open};
    QString fact = used == 1 ? tr("1 step") : tr("%1 steps").arg(used);
    const bool cut = !job.steps.empty() && job.steps.back().settings.kind == steps::StepKind::cut && used > 1;
    return {MarkState::done, cut ? fact + tr(" · cut last") : fact};
}

MarkFact stock_fact(const job::Job& job, const clearance::Clearance& planned) {
    if (planned.off_bed > 0) return {MarkState::attention, tr("%1 mm off the bed").arg(mm(planned.off_bed))};
    if (!job.stock) return {MarkState::not_yet, tr("no piece set")};
    if (planned.off_stock > 0) {
        const bool meant =
            !first_open(planned.checks, [](const auto& c) { return c.code == planning::check::off_stock; });
        return {meant ? MarkState::done : MarkState::attention, tr("%1 mm off the stock").arg(mm(planned.off_stock))};
    }
    if (const auto open = first_open(planned.checks, about_stock)) return {MarkState::attention, *open};
    if (const job::RoundPiece* piece = job.round_piece())
        return {MarkState::done, tr("in the rotary, ø %1 mm").arg(mm(piece->diameter))};
    return {MarkState::done,
            tr("%1 %2 mm").arg(QString::fromStdString(job.stock->material).toLower(), mm(job.stock->thickness.mm()))};
}

/// Neither art nor a program from a file.
bool nothing_there(const job::Job& job, const PlanKeeper& plans) {
    return job.motifs.empty() && plans.program_name().isEmpty();
}

MarkFact rehearse_fact(const job::Job& job, const PlanKeeper& plans, const BurnDesk& desk) {
    if (nothing_there(job, plans)) return {MarkState::not_yet, {}};
    if (plans.stale()) return {MarkState::not_yet, tr("planning…")};
    if (plans.planned().error) return {MarkState::attention, wording::describe(*plans.planned().error).what};
    if (!plans.planned().plan) return {MarkState::not_yet, {}};
    return {MarkState::done, tr("about %1").arg(wording::duration(desk.expected(*plans.planned().plan)))};
}

MarkFact frame_fact(const job::Job& job, const MachineLink& machine, const BurnDesk& desk) {
    if (machine.snapshot().activity == machine::Activity::framing) return {MarkState::not_yet, tr("framing…")};
    if (const auto at = desk.framed_at()) {
        if (!desk.stayed()) return {MarkState::attention, tr("did it stay on the piece?")};
        if (!*desk.stayed()) return {MarkState::attention, tr("it left the piece")};
        return {MarkState::done, tr("framed %1").arg(at->toString("hh:mm"))};
    }
    return {MarkState::not_yet, job.motifs.empty() ? QString() : tr("not framed yet")};
}

MarkFact burn_fact(const job::Job& job, const PlanKeeper& plans, const MachineLink& machine, const BurnDesk& desk) {
    if (desk.burning())
        return {MarkState::not_yet, tr("burning · %1 %").arg(static_cast<int>(std::floor(desk.share_done() * 100)))};
    const QString sure = desk.broken_off() ? tr("%1 % sure").arg(static_cast<int>(desk.share_done() * 100)) : QString();
    if (desk.trouble())
        return {MarkState::attention, sure.isEmpty() ? desk.trouble()->what : desk.trouble()->what + " · " + sure};
    if (!sure.isEmpty()) return {MarkState::attention, tr("broken off · %1").arg(sure)};
    if (const auto at = desk.burned_at()) return {MarkState::done, tr("burned %1").arg(at->toString("hh:mm"))};
    if (nothing_there(job, plans)) return {MarkState::not_yet, {}};
    if (!machine.connected()) return {MarkState::not_yet, tr("no machine connected")};
    if (machine.snapshot().state == machine::ControllerState::alarm)
        return {MarkState::not_yet, tr("the controller is locked")};
    if (const auto why = desk.obstacle()) return {MarkState::not_yet, lower_first(why->what)};
    QString fact = desk.framed_at() ? tr("ready") : tr("ready, not framed");
    if (!plans.whole()) fact += plans.only().only_steps ? tr(" · only one step") : tr(" · only chosen art");
    return {MarkState::not_yet, fact};
}

}  // namespace

LineFacts line_facts(const JobDocument& document, const PlanKeeper& plans, const MachineLink& machine,
                     const BurnDesk& desk, int questions) {
    const job::Job& job = document.job();
    return {art_fact(job, plans, questions), steps_fact(job, plans.planned()), stock_fact(job, plans.planned()),
            rehearse_fact(job, plans, desk), frame_fact(job, machine, desk),   burn_fact(job, plans, machine, desk)};
}

QString name(Mark mark) {
    switch (mark) {
        case Mark::art:
            return tr("Art");
        case Mark::steps:
            return tr("Steps");
        case Mark::stock:
            return tr("Stock");
        case Mark::rehearse:
            return tr("Rehearse");
        case Mark::frame:
            return tr("Frame");
        case Mark::burn:
            return tr("Burn");
    }
    return {};
}

}  // namespace chalkline::app
