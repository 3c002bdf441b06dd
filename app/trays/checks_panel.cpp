// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/checks_panel.hpp"

#include "widgets/sheet.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/planning/mending.hpp>
#include <chalkline/wording/wording.hpp>

#include <QDateTime>
#include <QHBoxLayout>
#include <algorithm>

namespace chalkline::app {
namespace {

bool same(const planning::Check& a, const planning::Check& b) {
    return a.code == b.code && a.step == b.step && a.parameters == b.parameters && a.overridden == b.overridden;
}

/// The machine mends these, not the job.
bool mended_at_machine(const planning::Check& check) {
    return check.code == planning::check::laser_mode_off || check.code == planning::check::stale_frame;
}

}  // namespace

ChecksPanel::ChecksPanel(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(6);
    heading_ = make_label({}, Tone::heading, this);
    all->addWidget(heading_);
    rows_ = new QVBoxLayout;
    rows_->setSpacing(8);
    all->addLayout(rows_);
    connect(&context_.desk, &BurnDesk::changed, this, &ChecksPanel::follow);
    follow();
}

void ChecksPanel::follow() {
    const auto checks = context_.desk.checks();
    setVisible(!context_.document.job().motifs.empty() && !context_.desk.burning());
    heading_->setText(checks.empty() ? tr("Checks: all pass")
                                     : tr("Checks: %n open", nullptr, static_cast<int>(checks.size())));
    // Rebuilding would take the focus from a button that is being used.
    if (checks.size() == shown_.size() && std::equal(checks.begin(), checks.end(), shown_.begin(), same)) return;
    shown_ = checks;
    while (QLayoutItem* item = rows_->takeAt(0)) {
        // The click on a row's own button may have led here: let it finish first.
        if (QWidget* row = item->widget()) {
            row->hide();
            row->deleteLater();
        }
        delete item;
    }
    for (const planning::Check& check : checks)
        add_row(check);
}

/// "Step 2: ", when the check speaks of one without naming it.
QString ChecksPanel::of_step(const planning::Check& check) const {
    const auto& steps = context_.document.job().steps;
    for (std::size_t i = 0; i < steps.size(); ++i)
        if (check.step == steps[i].id && check.parameters != Parameters{{"number", std::to_string(i + 1)}})
            return tr("Step %1: ").arg(i + 1);
    return {};
}

void ChecksPanel::add_row(const planning::Check& check) {
    auto* row = new QWidget(this);
    auto* lines = new QVBoxLayout(row);
    lines->setContentsMargins(0, 0, 0, 0);
    lines->setSpacing(2);
    const auto message = wording::describe(check);
    const bool open = check.overridden.empty();
    QString what = of_step(check) + message.what;
    if (check.blocks()) what = tr("Keeps Burn shut: ") + what;
    lines->addWidget(
        make_label(what, check.severity == planning::Severity::info || !open ? Tone::plain : Tone::attention, row));
    lines->addWidget(make_label(
        open ? message.help : tr("Burned anyway: %1").arg(QString::fromStdString(check.overridden)), Tone::quiet, row));
    auto* links = new QHBoxLayout;
    links->setSpacing(4);
    const auto add = [&](const QString& text, auto action) {
        auto* button = make_button(text, ButtonLook::link, row);
        connect(button, &QPushButton::clicked, this, action);
        links->addWidget(button);
    };
    if (open && (planning::can_mend(check) || mended_at_machine(check)))
        add(wording::mending(check), [this, check] { mend(check); });
    if (check.place) add(tr("Show"), [this, at = *check.place] { context_.bed.point_at(at); });
    if (check.blocks() && planning::may_override(check))
        add(tr("Burn anyway…"), [this, check] { open_override_sheet(check); });
    if (!open) add(tr("Heed it again"), [this, check] { override_with(check, {}); });
    links->addStretch(1);
    lines->addLayout(links);
    rows_->addWidget(row);
}

void ChecksPanel::mend(const planning::Check& check) {
    if (check.code == planning::check::laser_mode_off) return context_.machine.turn_laser_mode_on();
    if (check.code == planning::check::stale_frame) return context_.desk.frame();
    const auto done = context_.document.edit(
        wording::mending(check),
        planning::mend(context_.document.job(), check, context_.plans.ground(), context_.plans.planned().hull),
        JobChange::art | JobChange::place | JobChange::steps);
    if (!done) Q_EMIT context_.recipes.message(wording::describe(done.error()));
}

void ChecksPanel::open_override_sheet(const planning::Check& check) {
    auto* sheet = new Sheet(tr("Burn anyway?"), &context_.bed);
    sheet->add_text(wording::describe(check).whole(), Tone::attention);
    sheet->add_text(tr("The reason is kept in the job, with the time."), Tone::quiet);
    auto* reason = new QLineEdit(sheet);
    reason->setAccessibleName(tr("Reason"));
    reason->setPlaceholderText(tr("Why it is all right this time"));
    reason->setMaxLength(200);
    sheet->add_widget(reason);
    sheet->add_button(tr("Leave it shut"), ButtonLook::plain, {});
    auto* go = sheet->add_button(tr("Burn anyway"), ButtonLook::accent,
                                 [this, check, reason] { override_with(check, reason->text().trimmed()); });
    go->setEnabled(false);
    connect(reason, &QLineEdit::textChanged, go,
            [go](const QString& text) { go->setEnabled(!text.trimmed().isEmpty()); });
    sheet->open();
    reason->setFocus();
}

void ChecksPanel::override_with(const planning::Check& check, const QString& reason) {
    const job::Override one{check.code, planning::about(check), reason.toStdString(),
                            QDateTime::currentDateTime().toString(Qt::ISODate).toStdString()};
    (void)context_.document.edit(reason.isEmpty() ? tr("Heed a check") : tr("Override a check"),
                                 job::override_check(context_.document.job(), one), JobChange::checks);
}

}  // namespace chalkline::app
