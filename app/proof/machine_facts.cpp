// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/machine_facts.hpp"

#include <chalkline/wording/wording.hpp>

#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr double largest_tried = 20e6;  // dots: more take too long to plan just to make an offer

QString rounded(double value, int decimals) {
    return QString::fromStdString(format_number(value, decimals));
}

/// The next pitch makers use that saves a sixth of the lines or more.
std::optional<double> coarser_than(double pitch) {
    for (const double one : {0.05, 0.06, 0.08, 0.1, 0.12, 0.15, 0.18, 0.2, 0.25, 0.3, 0.4, 0.5})
        if (one >= pitch * 1.19) return one;
    return {};
}

const planning::StepReport* report_of(const planning::Plan& plan, job::Id step) {
    const auto found = std::find_if(plan.steps.begin(), plan.steps.end(),
                                    [step](const planning::StepReport& report) { return report.step == step; });
    return found == plan.steps.end() ? nullptr : &*found;
}

}  // namespace

MachineFacts::MachineFacts(JobDocument& document, PlanKeeper& plans, ProofDesk& desk, QWidget* parent)
    : QFrame(parent), document_(document), plans_(plans), desk_(desk) {
    setObjectName("card");
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(12, 10, 12, 10);
    all->setSpacing(6);
    all->addWidget(make_label(tr("What the machine will do"), Tone::heading, this));
    text_ = make_label({}, Tone::plain, this);
    text_->setTextFormat(Qt::RichText);
    all->addWidget(text_);
    better_ = make_button({}, ButtonLook::link, this);
    better_->hide();
    all->addWidget(better_, 0, Qt::AlignLeft);
    fewer_ = make_button(tr("Set fewer dots"), ButtonLook::link, this);
    fewer_->setToolTip(tr("As many dots fewer as the spot is wider"));
    all->addWidget(fewer_, 0, Qt::AlignLeft);
    connect(fewer_, &QPushButton::clicked, this, [this] {
        desk_.set_step(tr("Fewer dots for the spot"), [](steps::StepSettings& s) { s.picture.spare_gain = true; });
    });
    all->addStretch(1);
    connect(better_, &QPushButton::clicked, this,
            [this] { desk_.set_step(offer_.what, [this](steps::StepSettings& s) { s = offer_.settings; }); });
    connect(&plans_, &PlanKeeper::changed, this, &MachineFacts::show_facts);
    connect(&desk_, &ProofDesk::seen, this, &MachineFacts::show_facts);
}

void MachineFacts::set_watched(bool watched) {
    watched_ = watched;
    if (watched) show_facts();
}

void MachineFacts::show_facts() {
    setEnabled(!plans_.stale());
    text_->setText(facts().join("<br>"));
    fewer_->setVisible(clogs());
    look_for_better();
}

QString MachineFacts::speed_fact(const planning::StepReport& report) const {
    const double asked = desk_.step()->settings.speed.mm_per_min();
    const QString wanted = tr("Speed %1 mm/min asked").arg(std::lround(asked));
    if (report.reached_speed >= asked * 0.98) return tr("%1 and reached").arg(wanted);
    return tr("%1 — <b>%2 reached</b>: %3")
        .arg(wanted)
        .arg(std::lround(report.reached_speed))
        .arg(wording::reason(report.limit));
}

/// How many of the lines the picture can fill with something new.
QString MachineFacts::resolution_fact() const {
    const auto& frame = desk_.now().frame;
    const auto& image = *desk_.picture()->image;
    const auto sight = planning::sight_of(frame, *desk_.motif(), desk_.subject()->picture, image.width, image.height,
                                          static_cast<int>(frame.columns), static_cast<int>(frame.rows));
    const double per_line = std::max(sight.pixels_across(), sight.pixels_down());
    if (per_line >= 0.77) return {};
    return tr("The picture is enlarged: it holds %1 dots/in, the lines ask for %2")
        .arg(rounded(25.4 / frame.pitch * per_line, 0), rounded(25.4 / frame.pitch, 0));
}

bool MachineFacts::clogs() const {
    constexpr double noticed = 1.3;
    const job::Step* step = desk_.motif() ? desk_.step() : nullptr;
    if (!step) return false;
    const steps::PictureSettings& picture = step->settings.picture;
    if (picture.spare_gain || picture.response.size() > 1 || picture.dots.method == raster::DitherMethod::grey)
        return false;
    return raster::dot_gain(plans_.ground().machine.spot, step->settings.line_pitch.mm()) > noticed;
}

QStringList MachineFacts::facts() const {
    if (!desk_.motif()) return {};
    if (!desk_.step()) return {tr("No step burns this picture yet.")};
    const clearance::Clearance& planned = plans_.planned();
    const auto& frame = desk_.now().frame;
    if (desk_.now().empty()) return {tr("Working it out…")};
    QStringList lines;
    lines << tr("%1 lines of %2 dots, %3 mm apart").arg(frame.rows).arg(frame.columns).arg(rounded(frame.pitch, 3));
    if (const QString text = resolution_fact(); !text.isEmpty()) lines << text;
    if (clogs())
        lines << tr("<b>The spot is %1 mm wide: dots grow into each other</b>")
                     .arg(rounded(plans_.ground().machine.spot, 2));
    if (planned.error) return lines << wording::describe(*planned.error).whole().toHtmlEscaped();
    const auto* report = planned.plan ? report_of(*planned.plan, desk_.subject()->step) : nullptr;
    if (!report) return lines << (plans_.stale() ? tr("Planning…") : tr("The step is off or not chosen to burn."));
    lines << speed_fact(*report);
    const auto bytes = planned.bytes.find(report->step);
    const double sent = bytes == planned.bytes.end() ? 0 : static_cast<double>(bytes->second);
    const double link = sent * 10 / plans_.ground().machine.baud / std::max(report->time.seconds(), 1e-3);
    lines << tr("Burn time %1").arg(wording::duration(report->time));
    lines << tr("Data %1 MB, link %2 % busy").arg(rounded(sent / 1e6, 1), rounded(std::min(link, 1.0) * 100, 0));
    if (const auto proof = desk_.now().proof; proof && proof->dots.width > 0)
        lines << tr("%1 % of the dots burn, the longest run is %2 mm")
                     .arg(rounded(proof->statistics.coverage * 100, 0),
                          rounded(proof->statistics.longest_run * frame.across, 1));
    return lines;
}

/// Plans the step at a coarser pitch, and in longer runs where short ones hold it up, when the plan shown is another
/// than before.
void MachineFacts::look_for_better() {
    const auto plan = plans_.planned().plan;
    if (!watched_ || plans_.stale() || !desk_.step() || !plan) {
        planner_.cancel();
        looked_for_ = nullptr;
        return better_->hide();
    }
    if (looked_for_ == plan) return;
    looked_for_ = plan;
    better_->hide();
    const auto& frame = desk_.now().frame;
    const auto* report = report_of(*plan, desk_.subject()->step);
    if (!report || frame.columns * frame.rows > largest_tried) return planner_.cancel();
    std::vector<Offer> offers;
    const steps::StepSettings& now = desk_.step()->settings;
    if (const auto pitch = coarser_than(now.line_pitch.mm())) {
        offers.push_back({tr("At %1 mm pitch").arg(rounded(*pitch, 3)), now, 0});
        offers.back().settings.line_pitch = Length::mm(*pitch);
    }
    const bool short_runs = report->limit == timing::SpeedLimit::lookahead || report->limit == timing::SpeedLimit::link;
    if (short_runs && now.picture.dots.method != raster::DitherMethod::strokes) {
        offers.push_back({tr("In strokes instead of dots"), now, 0});
        offers.back().settings.picture.dots.method = raster::DitherMethod::strokes;
    }
    planning::PlanOptions only;
    only.only_steps = job::Ids{desk_.subject()->step};
    planner_.start(
        [offers, job = document_.job(), only, machine = plans_.ground().machine](const Watch& watch) mutable {
            for (Offer& offer : offers) {
                job::Job other = job;
                for (job::Step& step : other.steps)
                    if (step.id == only.only_steps->front()) step.settings = offer.settings;
                const auto made = planning::plan(other, machine, only, watch);
                offer.seconds = made ? made->total.seconds() : 0;
            }
            return offers;
        },
        [this, now = report->time.seconds()](std::vector<Offer> made) {
            std::erase_if(made, [now](const Offer& offer) { return offer.seconds <= 0 || offer.seconds > now * 0.95; });
            if (made.empty()) return;
            offer_ = *std::min_element(made.begin(), made.end(),
                                       [](const Offer& a, const Offer& b) { return a.seconds < b.seconds; });
            better_->setText(QString("%1: %2").arg(offer_.what, wording::duration(Duration::seconds(offer_.seconds))));
            better_->show();
        });
}

}  // namespace chalkline::app
