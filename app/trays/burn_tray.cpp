// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/burn_tray.hpp"

#include "machine/wire_log.hpp"
#include "trays/after_burn_panel.hpp"
#include "trays/checks_panel.hpp"
#include "trays/trim_strip.hpp"
#include "trays/waiting_panel.hpp"
#include "widgets/controls.hpp"

#include <chalkline/wording/machine_words.hpp>
#include <chalkline/wording/wording.hpp>

#include <QSignalBlocker>
#include <QVBoxLayout>

namespace chalkline::app {
namespace {

constexpr int most_lines = 500;  // of the wire log kept on screen
constexpr int chosen_art = -1;   // stands in the list for the art that is chosen

QString clock(double seconds) {
    const auto whole = static_cast<qint64>(seconds + 0.5);
    if (whole >= 3600)
        return QString("%1:%2:%3")
            .arg(whole / 3600)
            .arg(whole % 3600 / 60, 2, 10, QChar('0'))
            .arg(whole % 60, 2, 10, QChar('0'));
    return QString("%1:%2").arg(whole / 60).arg(whole % 60, 2, 10, QChar('0'));
}

}  // namespace

BurnTray::BurnTray(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    heading_ = make_label({}, Tone::heading, this);
    all->addWidget(heading_);
    time_ = make_label({}, Tone::plain, this);
    time_->setStyleSheet(QString("font-size: %1px; font-weight: 600;").arg(theme::huge));
    time_->setAccessibleName(tr("Time left"));
    all->addWidget(time_);
    under_ = make_label({}, Tone::quiet, this);
    all->addWidget(under_);
    ribbon_ = new TimeRibbon(context_.roles, this);
    all->addWidget(ribbon_);
    trouble_ = make_label({}, Tone::attention, this);
    all->addWidget(trouble_);
    only_ = new QComboBox(this);
    keep_from_wheel(only_);
    only_->setAccessibleName(tr("What is burned"));
    connect(only_, &QComboBox::activated, this, &BurnTray::choose_only);
    all->addWidget(only_);
    burn_ = make_button(tr("Burn…"), ButtonLook::accent, this);
    burn_->setToolTip(tr("Ctrl+Return"));
    connect(burn_, &QPushButton::clicked, this, &BurnTray::burn_wanted);
    all->addWidget(burn_, 0, Qt::AlignLeft);
    go_on_ = make_button(tr("Go on from there…"), ButtonLook::accent, this);
    connect(go_on_, &QPushButton::clicked, this, &BurnTray::go_on_wanted);
    all->addWidget(go_on_, 0, Qt::AlignLeft);
    stood_ = make_button(tr("Is the head still there…"), ButtonLook::plain, this);
    connect(stood_, &QPushButton::clicked, this, &BurnTray::stood_wanted);
    all->addWidget(stood_, 0, Qt::AlignLeft);
    stop_waiting_ = make_button(tr("Wait no longer"), ButtonLook::plain, this);
    connect(stop_waiting_, &QPushButton::clicked, this,
            [this] { context_.desk.wait_for_start(BurnDesk::OnStart::nothing); });
    all->addWidget(stop_waiting_, 0, Qt::AlignLeft);
    facts_ = make_label({}, Tone::quiet, this);
    all->addWidget(facts_);
    all->addWidget(new TrimStrip(context_.machine, this));
    all->addWidget(new AfterBurnPanel(context_, this));
    save_ = make_button(tr("Save the program…"), ButtonLook::link, this);
    save_->setToolTip(tr("As a G-code file, for a machine that is fed by card"));
    connect(save_, &QPushButton::clicked, this, &BurnTray::save_wanted);
    all->addWidget(save_, 0, Qt::AlignLeft);
    store_ = make_button(tr("The controller's own store…"), ButtonLook::link, this);
    store_->setToolTip(tr("Send the program to the controller's card, or burn one from there"));
    connect(store_, &QPushButton::clicked, this, &BurnTray::store_wanted);
    all->addWidget(store_, 0, Qt::AlignLeft);
    all->addWidget(new ChecksPanel(context, this));
    auto* waiting = new WaitingPanel(context_, this);
    connect(waiting, &WaitingPanel::open_wanted, this, &BurnTray::open_wanted);
    connect(waiting, &WaitingPanel::history_wanted, this, &BurnTray::history_wanted);
    all->addWidget(waiting);

    auto* wire_heading = make_label(tr("Wire log"), Tone::heading, this);
    wire_heading->setContentsMargins(0, 12, 0, 0);
    all->addWidget(wire_heading);
    auto* wire = new WireLog(context_.machine, most_lines, this);
    wire->setMinimumHeight(160);
    all->addWidget(wire, 1);

    connect(&context_.machine, &MachineLink::changed, this, &BurnTray::follow);
    connect(&context_.desk, &BurnDesk::changed, this, &BurnTray::follow);
    connect(&context_.plans, &PlanKeeper::changed, this, &BurnTray::show_only);
    connect(&context_.placing, &PlacingDesk::selection_changed, this, &BurnTray::show_only);
    show_only();
    follow();
}

/// Everything, one step, or the art that is chosen.
void BurnTray::show_only() {
    const job::Job& job = context_.document.job();
    const auto& only = context_.plans.only();
    const QSignalBlocker quiet(only_);
    only_->clear();
    only_->addItem(tr("Burn everything"));
    for (std::size_t i = 0; i < job.steps.size(); ++i) {
        only_->addItem(tr("Only step %1: %2").arg(i + 1).arg(wording::name(job.steps[i].settings.kind)),
                       job.steps[i].id);
        if (only.only_steps && only.only_steps->front() == job.steps[i].id) only_->setCurrentIndex(only_->count() - 1);
    }
    only_->addItem(only.only_motifs ? tr("Only %n pieces of art", nullptr, static_cast<int>(only.only_motifs->size()))
                                    : tr("Only the chosen art"),
                   chosen_art);
    if (only.only_motifs) only_->setCurrentIndex(only_->count() - 1);
}

void BurnTray::choose_only(int index) {
    planning::PlanOptions only;
    const QVariant what = only_->itemData(index);
    if (what == chosen_art) {
        if (context_.placing.chosen().empty()) return show_only();
        only.only_motifs = context_.placing.chosen();
    } else if (what.isValid()) {
        only.only_steps = job::Ids{what.toInt()};
    }
    context_.plans.set_only(only);
}

void BurnTray::follow() {
    const auto& desk = context_.desk;
    const auto& now = context_.machine.snapshot();
    const bool burning = desk.burning();
    const auto plan = desk.burning_plan() ? desk.burning_plan() : context_.plans.planned().plan;
    const bool after = desk.burned_at().has_value();
    const bool broken = desk.broken_off() && !burning;
    heading_->setText(burning ? tr("Burning now") : after ? tr("Burned") : tr("Burn"));
    time_->setVisible(plan != nullptr);
    under_->setVisible(plan != nullptr);
    ribbon_->setVisible(plan != nullptr);
    if (plan) {
        time_->setText(clock(burning || broken ? desk.seconds_left() : desk.expected(*plan).seconds()));
        under_->setText(burning ? tr("left · %1 % done · planned %2")
                                      .arg(static_cast<int>(desk.share_done() * 100))
                                      .arg(clock(plan->total.seconds()))
                        : broken ? tr("left; %1 % burned for sure").arg(static_cast<int>(desk.share_done() * 100))
                        : after  ? tr("finished at %1").arg(desk.burned_at()->toString("hh:mm"))
                        : plan->total >= Duration::seconds(3600) ? tr("as planned, hours, minutes and seconds")
                                                                 : tr("as planned, minutes and seconds"));
        ribbon_->show_segments(segments_of(*plan, context_.document.job(), context_.machine.profile(), context_.roles));
        ribbon_->show_progress(burning || desk.done().operation >= 0 ? desk.share_done() : -1);
    }
    const auto why = desk.obstacle();
    QString trouble;
    if (desk.trouble())
        trouble = desk.trouble()->whole();
    else if (why && !burning && now.activity == machine::Activity::none)
        trouble = why->whole();
    trouble_->setText(trouble);
    trouble_->setVisible(!trouble.isEmpty());
    only_->setVisible(!burning && !context_.document.job().steps.empty());
    burn_->setVisible(!burning);
    store_->setVisible(!burning && context_.machine.free());
    burn_->setText(context_.plans.stored() ? tr("Burn it from the store…")
                   : broken                ? tr("Burn all of it again…")
                   : after                 ? tr("Burn again in place…")
                                           : tr("Burn…"));
    set_look(burn_, broken ? ButtonLook::plain : ButtonLook::accent);
    burn_->setEnabled(!why);
    go_on_->setVisible(broken);
    go_on_->setEnabled(broken && !desk.obstacle_to_go_on());
    const bool lost = broken && context_.machine.free() && !now.position_sure &&
                      context_.machine.profile().home == machine::HomeCorner::none;
    stood_->setVisible(lost && desk.broken_off()->head.has_value());
    save_->setVisible(!burning && context_.plans.planned().plan != nullptr);
    save_->setEnabled(context_.plans.ready());
    stop_waiting_->setVisible(desk.waiting_for_start() == BurnDesk::OnStart::burn);
    const QString facts = this->facts();
    facts_->setText(facts);
    facts_->setVisible(!facts.isEmpty());
}

QString BurnTray::facts() const {
    const auto& desk = context_.desk;
    const auto& now = context_.machine.snapshot();
    if (desk.waiting_for_start() == BurnDesk::OnStart::burn)
        return tr("It burns when the machine's own start button is pressed.");
    if (now.silent_for > 0)
        return tr("The machine has not answered for %1 s. Its switch is the sure way to stop it.")
            .arg(static_cast<int>(now.silent_for));
    if (desk.burning()) return at_work();
    if (!desk.broken_off()) return {};
    QString facts =
        tr("Burned for sure: %1 %. What lies up to %2 % may have burned too (marked on the bed). The rest has "
           "not.")
            .arg(desk.share_done() * 100, 0, 'f', 1)
            .arg(desk.share_begun() * 100, 0, 'f', 1);
    if (stood_->isVisibleTo(this)) {
        const geometry::Point at = *desk.broken_off()->head;
        return facts + " " +
               tr("Is the head still where it stood (%1, %2)? The controller has forgotten its place.")
                   .arg(at.x, 0, 'f', 1)
                   .arg(at.y, 0, 'f', 1);
    }
    if (const auto first = desk.obstacle_to_go_on()) facts += " " + tr("To go on: %1").arg(first->help);
    return facts + " " + tr("While the job is changed it cannot be gone on with; undo brings that back.");
}

/// "Step 2, cut · pass 1 of 2 · line 120 of 4000 · 3200 mm/min"
QString BurnTray::at_work() const {
    const auto& now = context_.machine.snapshot();
    if (now.state == machine::ControllerState::hold || now.state == machine::ControllerState::door)
        return wording::explain(now).whole();
    QStringList facts;
    const auto at = context_.desk.at_work();
    const auto& steps = context_.document.job().steps;
    for (std::size_t i = 0; at && i < steps.size(); ++i) {
        if (steps[i].id != at->step) continue;
        facts << tr("Step %1, %2").arg(i + 1).arg(wording::name(steps[i].settings.kind).toLower());
        if (steps[i].settings.passes > 1) facts << tr("pass %1 of %2").arg(at->pass + 1).arg(steps[i].settings.passes);
    }
    facts << tr("line %1 of %2").arg(now.lines_done).arg(context_.desk.lines());
    facts << tr("%1 mm/min").arg(static_cast<int>(now.feed));
    return facts.join(" · ");
}

}  // namespace chalkline::app
