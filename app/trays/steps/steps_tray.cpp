// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/steps/steps_tray.hpp"

#include "bed/art_layers.hpp"
#include "recipes/recipe_sheets.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/planning/proof.hpp>
#include <chalkline/swatches/card_job.hpp>
#include <chalkline/wording/wording.hpp>

#include <QApplication>
#include <QHBoxLayout>
#include <algorithm>

namespace chalkline::app {
namespace {

bool under(const QWidget* widget, const QPoint& global) {
    return widget->isVisible() && widget->rect().contains(widget->mapFromGlobal(global));
}

/// Why a step does not reach its speed; empty when it does.
QString slower_than_asked(const planning::StepReport& report, const job::Step& step) {
    const double asked = step.settings.speed.mm_per_min();
    if (report.burn <= 0 || report.reached_speed >= asked * 0.98) return {};
    return StepsTray::tr("%1 of %2 mm/min reached: %3")
        .arg(std::lround(report.reached_speed))
        .arg(std::lround(asked))
        .arg(wording::reason(report.limit));
}

/// How a step's pictures come out as dots; empty when it burns none.
QString dots_of(const planning::Plan& plan, job::Id step) {
    QStringList parts;
    for (const auto& proof : plan.proofs) {
        if (proof->step != step) continue;
        const auto& s = proof->statistics;
        const auto percent = [](double share) { return QString::fromStdString(format_number(share * 100, 1)); };
        parts << StepsTray::tr("%1 × %2 dots · clogged %3 % · bald %4 %")
                     .arg(proof->dots.width)
                     .arg(proof->dots.height)
                     .arg(percent(s.clogged), percent(s.bald));
    }
    return parts.join("\n");
}

}  // namespace

StepsTray::StepsTray(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    all->addWidget(make_label(tr("Inks"), Tone::heading, this));
    chip_box_ = new QWidget(this);
    chip_box_->setLayout(new FlowLayout(6));
    all->addWidget(chip_box_);
    left_out_box_ = new QWidget(this);
    left_out_box_->setAccessibleName(tr("Left out"));
    left_out_box_->setLayout(new FlowLayout(6));
    all->addWidget(left_out_box_);

    auto* heading = make_label(tr("Run sheet"), Tone::heading, this);
    heading->setContentsMargins(0, 8, 0, 0);
    all->addWidget(heading);
    together_ = make_label({}, Tone::attention, this);
    together_->hide();
    all->addWidget(together_);
    card_box_ = new QVBoxLayout;
    card_box_->setSpacing(8);
    all->addLayout(card_box_);

    fault_ = new QWidget(this);
    auto* fault_row = new QHBoxLayout(fault_);
    fault_row->setContentsMargins(0, 0, 0, 0);
    fault_row->addWidget(
        make_label(tr("A cut comes first: the piece may shift before the rest is burned."), Tone::attention, fault_),
        1);
    auto* mend = make_button(tr("Put in order"), ButtonLook::plain, fault_);
    connect(mend, &QPushButton::clicked, this,
            [this] { edit(tr("Put in order"), job::put_in_order(context_.document.job())); });
    fault_row->addWidget(mend);

    auto* add_row = new QHBoxLayout;
    add_row->setSpacing(4);
    add_row->addWidget(make_label(tr("Add step"), Tone::quiet, this));
    for (const auto kind : steps::all_kinds) {
        auto* button = make_button(wording::name(kind), ButtonLook::link, this);
        connect(button, &QPushButton::clicked, this, [this, kind] {
            edit(tr("Add step"), job::add_step(context_.document.job(), kind));
            choose(context_.document.job().last_id);
        });
        add_row->addWidget(button);
    }
    add_row->addStretch(1);
    all->addLayout(add_row);
    auto* routines = make_button(tr("Routines…"), ButtonLook::plain, this);
    routines->setToolTip(tr("A whole run sheet, kept for products that come again"));
    connect(routines, &QPushButton::clicked, this,
            [this] { open_routines_sheet(context_.document, context_.recipes, &context_.bed); });
    all->addWidget(routines, 0, Qt::AlignLeft);
    note_ = make_button(tr("Burn the settings beside it"), ButtonLook::link, this);
    note_->setToolTip(
        tr("A line for each step with its power, speed, pitch and passes, below the job, with a step of its own"));
    connect(note_, &QPushButton::clicked, this, [this] {
        const auto noted = swatches::with_settings_note(context_.document.job(), context_.surroundings.of_nothing());
        const auto done =
            context_.document.edit(tr("Burn the settings beside it"), noted, JobChange::art | JobChange::steps);
        if (!done) Q_EMIT refused(done.error());
    });
    all->addWidget(note_, 0, Qt::AlignLeft);
    all->addStretch(1);

    connect(&context_.document, &JobDocument::changed, this, &StepsTray::follow);
    connect(&context_.plans, &PlanKeeper::changed, this, &StepsTray::show_times);
    connect(&context_.recipes, &RecipeDesk::changed, this, &StepsTray::refresh);
    rebuild();
}

void StepsTray::follow(JobChange change) {
    if (!touches(change, JobChange::art | JobChange::steps | JobChange::stock)) return;
    const auto& steps = context_.document.job().steps;
    const bool same_cards = std::equal(steps.begin(), steps.end(), cards_.begin(), cards_.end(),
                                       [](const job::Step& step, const StepCard* card) {
                                           return step.id == card->id() && step.inks == card->step().inks &&
                                                  step.settings.kind == card->step().settings.kind;
                                       });
    // Rebuilding would take the focus out of a field that is being typed in.
    same_cards && !touches(change, JobChange::art) ? refresh() : rebuild();
}

void StepsTray::rebuild() {
    const auto clear = [](QLayout* layout) {
        while (QLayoutItem* item = layout->takeAt(0)) {
            // An edit may come from a card or chip itself: let it finish first.
            if (QWidget* widget = item->widget()) {
                widget->hide();
                widget->deleteLater();
            }
            delete item;
        }
    };
    card_box_->removeWidget(fault_);
    clear(card_box_);
    clear(chip_box_->layout());
    clear(left_out_box_->layout());
    cards_.clear();
    chips_.clear();
    const job::Job& job = context_.document.job();
    const bool none_left_out = job.left_out.empty();
    left_out_box_->setVisible(job.card.empty());
    auto* left_out = make_label(none_left_out ? tr("Left out: none. Drop an ink here.") : tr("Left out:"), Tone::quiet,
                                left_out_box_);
    left_out->setWordWrap(false);
    left_out_box_->layout()->addWidget(left_out);
    for (const auto& routed : job::routed_inks(job))
        add_chip(routed, routed.left_out ? left_out_box_->layout() : chip_box_->layout());
    if (chips_.empty())
        chip_box_->layout()->addWidget(make_label(job.card.empty()
                                                      ? tr("No inks yet: add art first.")
                                                      : tr("A swatch card: every swatch has a step of its own."),
                                                  Tone::quiet, chip_box_));
    int number = 0;
    for (const job::Step& step : job.steps)
        add_card(step, ++number);
    refresh();
}

void StepsTray::refresh() {
    const job::Job& job = context_.document.job();
    if (open_ && !job.step(*open_)) open_.reset();
    std::erase_if(chosen_, [&](job::Id id) { return !job.step(id); });
    together_->setVisible(chosen_.size() > 1);
    note_->setVisible(std::any_of(job.steps.begin(), job.steps.end(),
                                  [&](const job::Step& step) { return step.on && job.has_work(step); }));
    together_->setText(tr("%n steps are set at once.", nullptr, static_cast<int>(chosen_.size())));
    for (std::size_t i = 0; i < cards_.size(); ++i) {
        cards_[i]->show_step(job.steps[i], static_cast<int>(i) + 1);
        cards_[i]->open(open_ == cards_[i]->id());
        cards_[i]->show_chosen(std::find(chosen_.begin(), chosen_.end(), cards_[i]->id()) != chosen_.end());
    }
    // The fault stands between the two cards it speaks of.
    card_box_->removeWidget(fault_);
    fault_->setVisible(job::order_fault(job));
    if (job::order_fault(job)) {
        const auto cut = std::find_if(job.steps.begin(), job.steps.end(), [&](const job::Step& s) {
            return s.settings.kind == steps::StepKind::cut && job.has_work(s);
        });
        card_box_->insertWidget(static_cast<int>(cut - job.steps.begin()) + 1, fault_);
    }
    show_times();
    show_tones();
}

/// What each ink becomes in the first step that burns inks by their darkness.
void StepsTray::show_tones() {
    const job::Job& job = context_.document.job();
    for (InkChip* chip : chips_) {
        const auto burns_by_tone = [&](const job::Step& step) {
            return step.settings.kind == steps::StepKind::engrave &&
                   step.settings.fill.tones != steps::FillSettings::Tones::flat &&
                   std::find(step.inks.begin(), step.inks.end(), chip->ink()) != step.inks.end();
        };
        const auto step = std::find_if(job.steps.begin(), job.steps.end(), burns_by_tone);
        if (step == job.steps.end() || chip->ink().kind != InkKind::fill) {
            chip->show_tone({}, {});
            continue;
        }
        const QColor burned = tone_of_ink(*step, chip->ink().rgb, context_.machine.profile(), context_.roles);
        chip->show_tone(planning::ink_share(chip->ink().rgb, step->settings),
                        burned.alpha() > 0 ? burned : context_.roles.paper);
    }
}

void StepsTray::show_times() {
    const clearance::Clearance& planned = context_.plans.planned();
    for (StepCard* card : cards_) {
        std::optional<Duration> time;
        QStringList warnings;
        if (planned.plan && !context_.plans.stale())
            for (const auto& report : planned.plan->steps)
                if (report.step == card->id()) {
                    time = report.time;
                    warnings << slower_than_asked(report, card->step());
                }
        for (const planning::Check& check : planned.checks)
            if (check.step == card->id() && check.code != planning::check::cut_before_engrave)
                warnings << wording::describe(check).what;
        card->show_dots(planned.plan ? dots_of(*planned.plan, card->id()) : QString());
        warnings.removeAll(QString());
        card->show_time(time);
        card->show_warning(warnings.join(". "));
    }
}

void StepsTray::add_chip(const job::RoutedInk& routed, QLayout* place) {
    auto* chip = new InkChip(routed.ink, routed.shapes, context_.roles, this);
    chip->set_faint(routed.left_out);
    place->addWidget(chip);
    chip->show();
    chips_.push_back(chip);
    const Ink ink = routed.ink;
    connect(chip, &InkChip::dragged, this, [this](const QPoint& global) {
        for (StepCard* card : cards_)
            card->light(card == card_at(global));
    });
    connect(chip, &InkChip::dropped, this, [this, ink](const QPoint& global) {
        for (StepCard* card : cards_)
            card->light(false);
        drop_ink(ink, global, QApplication::keyboardModifiers() & Qt::ControlModifier);
    });
    connect(chip, &InkChip::sent, this, [this, ink](int number, bool also) { send_ink(ink, number, also); });
    connect(chip, &InkChip::hovered, this, [this, ink](bool on) {
        context_.bed.highlight(on ? Highlight{ink, {}} : Highlight{});
        light_steps_of(on ? std::optional(ink) : std::nullopt);
    });
}

void StepsTray::add_card(const job::Step& step, int number) {
    auto* card = new StepCard(step, number, context_, this);
    card_box_->addWidget(card);
    cards_.push_back(card);
    const job::Id id = step.id;
    connect(card, &StepCard::chosen, this,
            [this, id](bool more) { more ? choose_too(id) : choose(open_ == id ? 0 : id); });
    connect(card, &StepCard::changed, this,
            [this, id](const SettingChange& setting, const Merge& merge) { change(id, setting, merge); });
    connect(card, &StepCard::take_wanted, this,
            [this, id] { open_take_sheet(context_.document, context_.recipes, id, &context_.bed); });
    connect(card, &StepCard::keep_wanted, this,
            [this, id] { open_keep_sheet(context_.document, context_.recipes, id, &context_.bed); });
    connect(card, &StepCard::typed, this,
            [this, id](const QString& key, const QString& words) { keep_words(id, key, words); });
    connect(card, &StepCard::turned, this, [this, id](bool on) {
        edit(on ? tr("Burn a step") : tr("Leave a step out"), job::turn_step(context_.document.job(), id, on));
    });
    connect(card, &StepCard::noted, this, [this, id](const QString& note) {
        edit(tr("Note on a step"), job::note_step(context_.document.job(), id, note.toStdString()));
    });
    connect(card, &StepCard::dropped, this, [this, id](const QPoint& global) { drop_card(id, global); });
    connect(card, &StepCard::move_wanted, this, [this, id](int by) {
        const auto& steps = context_.document.job().steps;
        const auto at = std::find_if(steps.begin(), steps.end(), [id](const job::Step& s) { return s.id == id; });
        edit(tr("Move step"), job::move_step(context_.document.job(), id, static_cast<int>(at - steps.begin()) + by));
        for (StepCard* moved : cards_)
            if (moved->id() == id) moved->setFocus();
    });
    connect(card, &StepCard::remove_wanted, this,
            [this, id] { edit(tr("Remove step"), job::remove_step(context_.document.job(), id)); });
    connect(card, &StepCard::hovered, this, [this, id](bool on) {
        context_.bed.highlight(on ? Highlight{{}, id} : Highlight{});
        const job::Step* hovered = on ? context_.document.job().step(id) : nullptr;
        for (InkChip* chip : chips_)
            chip->light(hovered &&
                        std::find(hovered->inks.begin(), hovered->inks.end(), chip->ink()) != hovered->inks.end());
    });
}

StepCard* StepsTray::card_at(const QPoint& global) const {
    const auto found =
        std::find_if(cards_.begin(), cards_.end(), [&](const StepCard* card) { return under(card, global); });
    return found == cards_.end() ? nullptr : *found;
}

bool StepsTray::over_left_out(const QPoint& global) const {
    return under(left_out_box_, global);
}

void StepsTray::drop_ink(const Ink& ink, const QPoint& global, bool also) {
    const job::Job& job = context_.document.job();
    if (const StepCard* card = card_at(global))
        edit(tr("Send ink to step"),
             also ? job::also_route_ink(job, ink, card->id()) : job::route_ink(job, ink, card->id()));
    else if (over_left_out(global))
        edit(tr("Leave ink out"), job::leave_out(job, ink));
}

void StepsTray::send_ink(const Ink& ink, int step_number, bool also) {
    const job::Job& job = context_.document.job();
    if (step_number == 0) {
        edit(tr("Leave ink out"), job::leave_out(job, ink));
    } else if (step_number <= static_cast<int>(job.steps.size())) {
        const job::Step& step = job.steps[static_cast<std::size_t>(step_number) - 1];
        const bool there = std::find(step.inks.begin(), step.inks.end(), ink) != step.inks.end();
        if (also && there)
            edit(tr("Take ink from step"), job::take_ink_from(job, ink, step.id));
        else
            edit(tr("Send ink to step"),
                 also ? job::also_route_ink(job, ink, step.id) : job::route_ink(job, ink, step.id));
    }
    for (InkChip* chip : chips_)
        if (chip->ink() == ink) chip->setFocus();
}

void StepsTray::light_steps_of(const std::optional<Ink>& ink) {
    for (StepCard* card : cards_)
        card->light(ink &&
                    std::find(card->step().inks.begin(), card->step().inks.end(), *ink) != card->step().inks.end());
}

void StepsTray::drop_card(job::Id step, const QPoint& global) {
    // Its new place: above every card whose middle lies below the pointer.
    int place = 0;
    for (const StepCard* card : cards_)
        if (card->id() != step && card->mapToGlobal(card->rect().center()).y() < global.y()) ++place;
    edit(tr("Move step"), job::move_step(context_.document.job(), step, place));
}

void StepsTray::choose(job::Id step) {
    open_ = step == 0 ? std::nullopt : std::optional(step);
    chosen_ = step == 0 ? job::Ids() : job::Ids{step};
    refresh();
}

void StepsTray::choose_too(job::Id step) {
    const auto there = std::find(chosen_.begin(), chosen_.end(), step);
    if (there == chosen_.end())
        chosen_.push_back(step);
    else
        chosen_.erase(there);
    if (!open_ && !chosen_.empty()) open_ = chosen_.front();
    refresh();
}

/// The steps a change of this one goes to.
job::Ids StepsTray::set_together(job::Id step) const {
    const bool one_of_them = std::find(chosen_.begin(), chosen_.end(), step) != chosen_.end();
    return one_of_them ? chosen_ : job::Ids{step};
}

void StepsTray::change(job::Id step, const SettingChange& setting, const Merge& merge) {
    Result<job::Job> job = context_.document.job();
    for (const job::Id id : set_together(step)) {
        if (!job) break;
        auto settings = job->step(id)->settings;
        setting(settings);
        job = job::change_settings(std::move(*job), id, settings, context_.machine.profile().top_speed());
    }
    edit(tr("Change step"), std::move(job), merge);
    refresh();  // a refused value goes back to what holds
}

void StepsTray::keep_words(job::Id step, const QString& key, const QString& words) {
    Result<job::Job> job = context_.document.job();
    for (const job::Id id : set_together(step))
        if (job) job = job::keep_typed(std::move(*job), id, key.toStdString(), words.toStdString());
    if (job && job->steps == context_.document.job().steps) return;
    edit(tr("Change step"), std::move(job));
}

void StepsTray::edit(const QString& name, Result<job::Job> edited, const Merge& merge) {
    if (auto done = context_.document.edit(name, std::move(edited), JobChange::steps, merge); !done)
        Q_EMIT refused(done.error());
}

}  // namespace chalkline::app
