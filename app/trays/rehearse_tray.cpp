// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/rehearse_tray.hpp"

#include "trays/compare_panel.hpp"
#include "widgets/controls.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/wording/wording.hpp>

#include <QGridLayout>
#include <QHBoxLayout>
#include <QSignalBlocker>
#include <QVBoxLayout>
#include <map>

namespace chalkline::app {
namespace {

constexpr double dose_cell = 0.5;        // mm
constexpr std::size_t most_motifs = 12;  // of which the times are listed; more are rows of the same
constexpr int whole_job = 0;             // stands in the list of what is played; steps have their numbers

QString minutes(double seconds) {
    const auto whole = static_cast<qint64>(seconds + 0.5);
    return QString("%1:%2").arg(whole / 60).arg(whole % 60, 2, 10, QChar('0'));
}

}  // namespace

RehearseTray::RehearseTray(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    all->addWidget(make_label(tr("How it will go"), Tone::heading, this));
    total_ = make_label({}, Tone::plain, this);
    total_->setStyleSheet(QString("font-size: %1px; font-weight: 600;").arg(theme::large));
    all->addWidget(total_);
    learned_ = make_label({}, Tone::quiet, this);
    all->addWidget(learned_);
    build_player(all);
    table_place_ = new QVBoxLayout;
    all->addLayout(table_place_);
    gains_fold_ = new Fold(tr("What would make it shorter"), this);
    all->addWidget(gains_fold_);
    hot_fold_ = new Fold(tr("Where it gets hot"), this);
    dose_ = new QCheckBox(tr("Show the energy on the bed"), hot_fold_);
    hot_fold_->body()->addWidget(dose_);
    all->addWidget(hot_fold_);
    all->addWidget(new ComparePanel(context_, this));
    paper_ = make_button(tr("Run sheet as a page…"), ButtonLook::link, this);
    paper_->setToolTip(tr("A PDF for the workshop wall: picture, piece, steps, times and checks"));
    all->addWidget(paper_, 0, Qt::AlignLeft);
    note_ = make_label({}, Tone::attention, this);
    all->addWidget(note_);
    all->addStretch(1);
    connect(paper_, &QPushButton::clicked, this, &RehearseTray::paper_wanted);
    connect(dose_, &QCheckBox::toggled, this, &RehearseTray::show_dose);
    connect(&context_.plans, &PlanKeeper::changed, this, &RehearseTray::show_plan);
    connect(&context_.history, &BurnHistory::changed, this, &RehearseTray::show_plan);
    connect(&context_.rehearsal.player(), &Player::moved, this, &RehearseTray::show_moment);
    show_plan();
}

void RehearseTray::build_player(QVBoxLayout* all) {
    Player& player = context_.rehearsal.player();
    ribbon_ = new TimeRibbon(context_.roles, this);
    ribbon_->let_scrub(true);
    connect(ribbon_, &TimeRibbon::scrubbed, &player, &Player::show_share);
    all->addWidget(ribbon_);
    auto* row = new QHBoxLayout;
    row->setSpacing(6);
    play_ = make_button(tr("Play"), ButtonLook::plain, this);
    play_->setToolTip(tr("Space on the bed"));
    connect(play_, &QPushButton::clicked, this, [&player] { player.play(!player.playing()); });
    row->addWidget(play_);
    pace_ = new QComboBox(this);
    pace_->setAccessibleName(tr("How fast it plays"));
    for (const int pace : {1, 10, 60})
        pace_->addItem(tr("%1 ×").arg(pace), pace);
    pace_->setCurrentIndex(1);
    keep_from_wheel(pace_);
    connect(pace_, &QComboBox::activated, this, [this, &player] { player.set_pace(pace_->currentData().toInt()); });
    row->addWidget(pace_);
    next_ = make_button(tr("Next step"), ButtonLook::plain, this);
    connect(next_, &QPushButton::clicked, &player, &Player::to_next_step);
    row->addWidget(next_);
    row->addStretch(1);
    all->addLayout(row);
    auto* second = new QHBoxLayout;
    loop_ = new QComboBox(this);
    loop_->setAccessibleName(tr("What is played"));
    keep_from_wheel(loop_);
    connect(loop_, &QComboBox::activated, this, [this, &player] {
        const int step = loop_->currentData().toInt();
        player.loop(step == whole_job ? std::nullopt : std::optional<job::Id>(step));
    });
    second->addWidget(loop_);
    ways_ = new QCheckBox(tr("Dark ways"), this);
    ways_->setChecked(player.travel_shown());
    connect(ways_, &QCheckBox::toggled, &player, &Player::show_travel);
    second->addWidget(ways_);
    second->addStretch(1);
    all->addLayout(second);
    moment_ = make_label({}, Tone::quiet, this);
    moment_->setAccessibleName(tr("This moment"));
    moment_->setMinimumHeight(34);
    moment_->setAlignment(Qt::AlignTop);
    all->addWidget(moment_);
}

void RehearseTray::show_plan() {
    const clearance::Clearance& planned = context_.plans.planned();
    const bool stale = context_.plans.stale();
    setEnabled(!stale);
    show_notes();
    for (QWidget* part : std::initializer_list<QWidget*>{ribbon_, play_, pace_, next_, loop_, ways_, moment_,
                                                         gains_fold_, hot_fold_, paper_})
        part->setVisible(planned.plan != nullptr);
    if (!planned.plan) {
        total_->setText(stale ? tr("Planning…") : tr("Nothing to burn yet"));
        learned_->hide();
        delete std::exchange(table_, nullptr);
        shown_.reset();
        return;
    }
    const auto& correction = context_.history.correction();
    total_->setText(stale ? tr("Planning…")
                          : tr("About %1").arg(wording::duration(context_.desk.expected(*planned.plan))));
    learned_->setVisible(correction.burns > 0);
    const QString from = correction.burns == 1 ? tr("one burn") : tr("%1 burns").arg(correction.burns);
    learned_->setText(tr("estimate %1, corrected by %2 of this machine (× %3)")
                          .arg(wording::duration(planned.plan->total), from)
                          .arg(correction.factor, 0, 'f', 2));
    if (stale || planned.plan == shown_) return;
    shown_ = planned.plan;
    ribbon_->show_segments(
        segments_of(*planned.plan, context_.document.job(), context_.machine.profile(), context_.roles));
    const QSignalBlocker quiet(loop_);
    loop_->clear();
    loop_->addItem(tr("The whole job"), whole_job);
    for (const auto& report : planned.plan->steps)
        if (const job::Step* step = context_.document.job().step(report.step))
            loop_->addItem(tr("Only %1, over and over").arg(wording::name(step->settings.kind).toLower()), report.step);
    show_table();
    work_out_gains();
    show_dose(dose_->isChecked());
    show_moment();
}

void RehearseTray::show_notes() {
    const clearance::Clearance& planned = context_.plans.planned();
    QStringList notes;
    if (planned.error) notes << wording::describe(*planned.error).whole();
    for (const auto& check : planned.checks)
        notes << wording::describe(check).whole();
    for (const auto& fault : planned.faults)
        notes << wording::describe(fault).whole();
    note_->setText(notes.join("\n\n"));
    note_->setVisible(!notes.isEmpty());
}

/// "2:14 of 14:53 · Engrave · beam 70 % · 3200 mm/min"
void RehearseTray::show_moment() {
    const Player& player = context_.rehearsal.player();
    play_->setText(player.playing() ? tr("Pause") : tr("Play"));
    if (!player.rehearsal()) return;
    ribbon_->show_progress(player.share());
    const auto now = player.now();
    QStringList facts{tr("%1 of %2").arg(minutes(player.seconds()), minutes(player.rehearsal()->total()))};
    if (now.operation >= player.rehearsal()->plan().program.operations.size())
        facts << tr("all is burned");
    else if (const job::Step* step = context_.document.job().step(now.origin.step))
        facts << wording::name(step->settings.kind);
    if (now.power > 0)
        facts << tr("beam %1 %").arg(QString::fromStdString(format_number(now.power * 100, 1)));
    else if (now.speed > 0)
        facts << tr("dark");
    if (now.speed > 0) facts << tr("%1 mm/min").arg(static_cast<int>(now.speed));
    moment_->setText(facts.join(" · "));
}

void RehearseTray::show_table() {
    const clearance::Clearance& planned = context_.plans.planned();
    delete table_;
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
    const auto note = [&](const QString& text) {
        grid->addWidget(make_label(text, Tone::quiet, table_), row++, 0, 1, 4);
    };
    const planning::TimeShares shares = planning::time_shares(*planned.plan);
    put(tr("Step"), tr("time"), tr("burned"), tr("dark"), Tone::quiet);
    for (const auto& report : planned.plan->steps) {
        const job::Step* step = context_.document.job().step(report.step);
        if (!step) continue;
        put(wording::name(step->settings.kind), wording::duration(report.time), metres(report.burn),
            metres(report.travel), Tone::plain);
        if (step->settings.passes > 1) {
            QStringList passes;
            for (int pass = 0; pass < step->settings.passes; ++pass)
                if (const auto found = shares.by_pass.find({step->id, pass}); found != shares.by_pass.end())
                    passes << minutes(found->second);
            note(tr("its passes: %1").arg(passes.join(", ")));
        }
        if (report.limit == timing::SpeedLimit::none) continue;
        note(
            tr("reaches %1 mm/min: %2").arg(static_cast<int>(report.reached_speed)).arg(wording::reason(report.limit)));
    }
    if (shares.by_motif.size() > 1 && shares.by_motif.size() <= most_motifs) {
        QStringList pieces;
        for (const auto& [motif, seconds] : shares.by_motif)
            pieces << tr("no. %1 %2").arg(motif).arg(minutes(seconds));
        note(tr("by piece of art: %1").arg(pieces.join(", ")));
    }
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
    table_place_->addWidget(table_);
}

void RehearseTray::work_out_gains() {
    show_gains({});
    gains_fold_->set_note(tr("looking…"));
    planning::PlanOptions options = context_.plans.only();
    options.shelf = context_.plans.shelf();
    gaining_.start([plan = shown_, job = context_.document.job(), machine = context_.machine.profile(),
                    options](const Watch& watch) { return planning::gains(job, *plan, machine, options, watch); },
                   [this](const std::vector<planning::Gain>& gains) { show_gains(gains); });
}

void RehearseTray::show_gains(const std::vector<planning::Gain>& gains) {
    delete gains_;
    gains_ = new QWidget(gains_fold_);
    auto* rows = new QVBoxLayout(gains_);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->setSpacing(4);
    for (const planning::Gain& gain : gains) {
        auto* row = new QHBoxLayout;
        auto* said = make_label(wording::describe(gain), Tone::plain, gains_);
        row->addWidget(said, 1);
        auto* take = make_button(tr("Do that"), ButtonLook::link, gains_);
        take->setAccessibleName(tr("Do that: %1").arg(wording::describe(gain)));
        connect(
            take, &QPushButton::clicked, this,
            [this, gain] {
                const auto done =
                    context_.document.edit(tr("Make it shorter"),
                                           job::change_settings(context_.document.job(), gain.step, gain.settings,
                                                                context_.machine.profile().top_speed()),
                                           JobChange::steps);
                if (!done) Q_EMIT context_.placing.refused(done.error());
            },
            Qt::QueuedConnection);
        row->addWidget(take);
        rows->addLayout(row);
    }
    if (gains.empty()) rows->addWidget(make_label(tr("Nothing worth a change was found."), Tone::quiet, gains_));
    gains_fold_->body()->addWidget(gains_);
    gains_fold_->set_note(
        gains.empty() ? QString() : tr("up to %1").arg(wording::duration(Duration::seconds(gains.front().seconds))));
}

void RehearseTray::show_dose(bool on) {
    if (!on || !shown_) {
        dosing_.cancel();
        context_.rehearsal.show_dose({});
        delete std::exchange(hot_, nullptr);
        hot_fold_->set_note({});
        return;
    }
    dosing_.start(
        [plan = shown_, machine = context_.machine.profile()](const Watch& watch) {
            return std::make_shared<const planning::DoseGrid>(planning::dose_of(*plan, machine, dose_cell, watch));
        },
        [this](const std::shared_ptr<const planning::DoseGrid>& dose) {
            context_.rehearsal.show_dose(dose);
            show_hot(*dose);
        });
}

/// A patch of the colour the step will have, with where it is known from; null where no card says.
QWidget* RehearseTray::make_look(const job::Step& step, const std::vector<CardCurve>& curves, QWidget* parent) const {
    if (!step.on) return nullptr;
    const double dose = steps::whole_dose(step.settings, context_.machine.profile().beam);
    const auto look = expected_look(curves, dose, context_.roles);
    if (!look) return nullptr;
    auto* line = new QWidget(parent);
    auto* row = new QHBoxLayout(line);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(8);
    auto* patch = new QLabel(line);
    QPixmap colour(28, 18);
    colour.fill(look->colour);
    patch->setPixmap(colour);
    patch->setAccessibleName(tr("How it will look"));
    row->addWidget(patch);
    row->addWidget(make_label(tr("%1 as dark as this: darkness %2 ± %3, by card %4")
                                  .arg(wording::name(step.settings.kind))
                                  .arg(look->darkness, 0, 'f', 2)
                                  .arg(look->scatter, 0, 'f', 2)
                                  .arg(QString::fromStdString(look->card)),
                              Tone::plain, line),
                   1);
    return line;
}

/// The step's dose against what is known to come out well on this piece.
QString RehearseTray::dose_against_recipes(const job::Step& step) const {
    const auto known = context_.recipes.fitting(context_.document.job(), step.settings.kind);
    const auto& beam = context_.machine.profile().beam;
    if (known.empty()) return {};
    const double usual = steps::whole_dose(known.front().settings, beam);
    if (usual <= 0) return {};
    return tr("%1: %2 × the dose of the best recipe for %3")
        .arg(wording::name(step.settings.kind))
        .arg(steps::whole_dose(step.settings, beam) / usual, 0, 'f', 2)
        .arg(QString::fromStdString(known.front().material));
}

void RehearseTray::show_hot(const planning::DoseGrid& dose) {
    delete hot_;
    hot_ = new QWidget(hot_fold_);
    auto* rows = new QVBoxLayout(hot_);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->setSpacing(4);
    for (const planning::HotSpot& hot : dose.hot) {
        auto* button = make_button(tr("%1 × the usual, at %2, %3 mm")
                                       .arg(hot.times, 0, 'f', 1)
                                       .arg(hot.place.x, 0, 'f', 1)
                                       .arg(hot.place.y, 0, 'f', 1),
                                   ButtonLook::link, hot_);
        button->setToolTip(tr("Show it on the bed"));
        connect(button, &QPushButton::clicked, this, [this, place = hot.place] { context_.bed.point_at(place); });
        rows->addWidget(button, 0, Qt::AlignLeft);
    }
    std::map<steps::StepKind, std::vector<CardCurve>> by_kind;
    const auto curves_for = [&](steps::StepKind kind) -> const std::vector<CardCurve>& {
        const auto [found, fresh] = by_kind.try_emplace(kind);
        const auto& stock = context_.document.job().stock;
        if (fresh && stock) found->second = card_curves(context_.recipes, context_.recipes.wish_for(*stock, kind));
        return found->second;
    };
    for (const job::Step& step : context_.document.job().steps)
        if (QWidget* look = make_look(step, curves_for(step.settings.kind), hot_))
            rows->addWidget(look);
        else if (const QString against = dose_against_recipes(step); step.on && !against.isEmpty())
            rows->addWidget(make_label(against, Tone::plain, hot_));
    const bool any = !dose.hot.empty();
    rows->addWidget(make_label(any ? tr("More than its step usually lays down: lines that cross or lie on one another, "
                                        "or corners under a constant beam.")
                                   : tr("Nothing gets clearly more than its step usually lays down."),
                               Tone::quiet, hot_));
    hot_fold_->body()->addWidget(hot_);
    hot_fold_->set_note(!any                   ? QString()
                        : dose.hot.size() == 1 ? tr("one place")
                                               : tr("%1 places").arg(dose.hot.size()));
}

}  // namespace chalkline::app
