// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/compare_panel.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/wording/wording.hpp>

#include <QHBoxLayout>
#include <QSignalBlocker>
#include <QVBoxLayout>

namespace chalkline::app {
namespace {

using steps::LineSettings;
using steps::StepKind;

bool by_rows(StepKind kind) {
    return kind == StepKind::engrave || kind == StepKind::picture;
}

QWidget* named_row(const QString& name, QWidget* field, QWidget* parent) {
    auto* row = new QWidget(parent);
    auto* layout = new QHBoxLayout(row);
    layout->setContentsMargins(0, 0, 0, 0);
    auto* label = make_label(name, Tone::quiet, row);
    label->setFixedWidth(96);
    layout->addWidget(label);
    layout->addWidget(field);
    layout->addStretch(1);
    return row;
}

}  // namespace

ComparePanel::ComparePanel(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    fold_ = new Fold(tr("Compare with another way"), this);
    all->addWidget(fold_);
    auto* rows = fold_->body();
    step_ = new QComboBox(fold_);
    step_->setAccessibleName(tr("Step to compare"));
    speed_ = make_speed_field(tr("Speed to compare"), context_.machine.profile().top_speed(), fold_);
    pitch_ = make_length_field(tr("Line pitch to compare"), fold_);
    order_ = new QComboBox(fold_);
    order_->addItems({tr("shortest way"), tr("as drawn")});
    order_->setAccessibleName(tr("Order to compare"));
    both_ways_ = new QCheckBox(tr("Lines run both ways"), fold_);
    for (QWidget* choice : std::initializer_list<QWidget*>{step_, order_})
        keep_from_wheel(choice);
    rows->addWidget(named_row(tr("Step"), step_, fold_));
    rows->addWidget(named_row(tr("Speed"), speed_, fold_));
    rows->addWidget(pitch_row_ = named_row(tr("Line pitch"), pitch_, fold_));
    rows->addWidget(order_row_ = named_row(tr("Order"), order_, fold_));
    rows->addWidget(both_ways_);
    result_ = make_label({}, Tone::plain, fold_);
    result_->setTextFormat(Qt::RichText);
    result_->setAccessibleName(tr("Both side by side"));
    rows->addWidget(result_);
    take_ = make_button(tr("Take the other way"), ButtonLook::plain, fold_);
    rows->addWidget(take_, 0, Qt::AlignLeft);
    connect(step_, &QComboBox::activated, this, &ComparePanel::begin_with_step);
    connect(speed_, &ValueField::committed, this, &ComparePanel::work_out);
    connect(pitch_, &ValueField::committed, this, &ComparePanel::work_out);
    connect(order_, &QComboBox::activated, this, &ComparePanel::work_out);
    connect(both_ways_, &QCheckBox::clicked, this, &ComparePanel::work_out);
    connect(take_, &QPushButton::clicked, this, [this] {
        if (!step()) return;
        const auto done = context_.document.edit(
            tr("Burn it the other way"),
            job::change_settings(context_.document.job(), step()->id, other(), context_.machine.profile().top_speed()),
            JobChange::steps);
        if (!done) Q_EMIT context_.placing.refused(done.error());
    });
    connect(&context_.document, &JobDocument::changed, this, [this](JobChange change) {
        if (touches(change, JobChange::steps | JobChange::art)) show_steps();
    });
    show_steps();
}

void ComparePanel::show_steps() {
    const QSignalBlocker quiet(step_);
    const int chosen = step_->currentData().toInt();
    step_->clear();
    for (const job::Step& each : context_.document.job().steps)
        step_->addItem(QString("%1 %2").arg(step_->count() + 1).arg(wording::name(each.settings.kind)), each.id);
    step_->setCurrentIndex(std::max(0, step_->findData(chosen)));
    fold_->setVisible(step_->count() > 0);
    begin_with_step();
}

const job::Step* ComparePanel::step() const {
    return context_.document.job().step(step_->currentData().toInt());
}

void ComparePanel::begin_with_step() {
    planning_.cancel();
    result_->clear();
    take_->hide();
    if (!step()) return;
    const steps::StepSettings& now = step()->settings;
    speed_->show_value(now.speed.mm_per_min());
    pitch_->show_value(now.line_pitch.mm());
    order_->setCurrentIndex(now.line.order == LineSettings::Order::as_drawn ? 1 : 0);
    both_ways_->setChecked(now.fill.both_ways);
    pitch_row_->setVisible(by_rows(now.kind));
    both_ways_->setVisible(by_rows(now.kind));
    order_row_->setVisible(!by_rows(now.kind));
    result_->setText(tr("Change something above: both ways are planned and set side by side."));
}

steps::StepSettings ComparePanel::other() const {
    steps::StepSettings other = step()->settings;
    other.speed = Speed::mm_per_min(speed_->value());
    if (by_rows(other.kind)) {
        other.line_pitch = Length::mm(pitch_->value());
        other.fill.both_ways = both_ways_->isChecked();
    } else {
        other.line.order = order_->currentIndex() == 1 ? LineSettings::Order::as_drawn : LineSettings::Order::shortest;
    }
    return other;
}

void ComparePanel::work_out() {
    if (!step()) return;
    const auto settings = other();
    if (const auto valid = steps::validate(settings, context_.machine.profile().top_speed()); !valid) {
        result_->setText(wording::describe(valid.error()).whole());
        return take_->hide();
    }
    result_->setText(tr("Planning…"));
    planning::PlanOptions options = context_.plans.only();
    options.shelf = context_.plans.shelf();
    planning_.start(
        [job = context_.document.job(), id = step()->id, settings, machine = context_.machine.profile(),
         options](const Watch& watch) { return planning::compare(job, id, settings, machine, options, watch); },
        [this](const std::optional<planning::Comparison>& both) { show(both); });
}

void ComparePanel::show(const std::optional<planning::Comparison>& both) {
    take_->setVisible(both.has_value() && step() && !(other() == step()->settings));
    if (!both) return result_->setText(tr("It cannot be planned that way."));
    const auto metres = [](double mm) { return tr("%1 m").arg(QString::fromStdString(format_number(mm / 1000, 2))); };
    const auto row = [](const QString& name, const QString& a, const QString& b) {
        return QString(
                   "<tr><td>%1</td><td align='right'>&nbsp;&nbsp;%2</td><td "
                   "align='right'>&nbsp;&nbsp;<b>%3</b></td></tr>")
            .arg(name, a, b);
    };
    const auto dose = [](double mj) { return QString::fromStdString(format_number(mj, 1)); };
    result_->setText("<table>" + row({}, tr("as it is"), tr("other")) +
                     row(tr("Time"), wording::duration(both->before.time), wording::duration(both->after.time)) +
                     row(tr("Burned"), metres(both->before.burn), metres(both->after.burn)) +
                     row(tr("Dark"), metres(both->before.travel), metres(both->after.travel)) +
                     row(by_rows(step()->settings.kind) ? tr("Dose, mJ/mm²") : tr("Dose, mJ/mm"),
                         dose(both->dose_before), dose(both->dose_after)) +
                     "</table>");
}

}  // namespace chalkline::app
