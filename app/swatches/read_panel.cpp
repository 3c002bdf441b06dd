// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/read_panel.hpp"

#include "recipes/dose_marks.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/wording/swatch_words.hpp>

#include <QHBoxLayout>
#include <QSignalBlocker>
#include <QVBoxLayout>

namespace chalkline::app {
namespace {

using swatches::CardBurn;
using swatches::CellResult;
using swatches::Verdict;

QString number(double value, int decimals) {
    return QString::fromStdString(format_number(value, decimals));
}

QString dose_unit(steps::StepKind kind) {
    return steps::burns_area(kind) ? "mJ/mm²" : "mJ/mm";
}

}  // namespace

ReadPanel::ReadPanel(SwatchDesk& desk, JobDocument& document, RecipeDesk& recipes, MachineLink& machine,
                     const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), desk_(desk), document_(document), recipes_(recipes), machine_(machine), roles_(roles) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    build_burns(all);
    build_swatch(all);
    build_advice(all);
    build_next(all);
    all->addStretch(1);
    connect(&desk_, &SwatchDesk::changed, this, &ReadPanel::follow);
    connect(&desk_, &SwatchDesk::looked, this, &ReadPanel::follow);
    connect(&document_, &JobDocument::changed, this, &ReadPanel::follow);
    follow();
}

// ---------------------------------------------------------------- which burn

void ReadPanel::build_burns(QVBoxLayout* all) {
    all->addWidget(make_label(tr("Read the card"), Tone::heading, this));
    auto* row = new QHBoxLayout;
    burns_ = new QComboBox(this);
    burns_->setAccessibleName(tr("Burn of the card"));
    keep_from_wheel(burns_);
    row->addWidget(burns_, 1);
    by_hand_ = make_button(tr("Burned it"), ButtonLook::link, this);
    by_hand_->setToolTip(tr("Note that the card was burned, somewhere else or again"));
    row->addWidget(by_hand_);
    gone_ = make_button(tr("Forget"), ButtonLook::link, this);
    gone_->setToolTip(tr("Take this burn and what was read of it away; Undo brings it back"));
    row->addWidget(gone_);
    all->addLayout(row);
    auto* photo = new QHBoxLayout;
    auto* from_photo = make_button(tr("From a photograph…"), ButtonLook::plain, this);
    photo->addWidget(from_photo);
    bed_picture_ = make_button(tr("From the simulated bed"), ButtonLook::plain, this);
    photo->addWidget(bed_picture_);
    photo->addStretch(1);
    all->addLayout(photo);
    over_box_ = new QWidget(this);
    auto* over = new QHBoxLayout(over_box_);
    over->setContentsMargins(0, 0, 0, 0);
    photograph_ = new QCheckBox(tr("Show the photograph"), over_box_);
    photograph_->setChecked(true);
    over->addWidget(photograph_);
    over->addStretch(1);
    auto* before = make_label(tr("Over itself before"), Tone::quiet, over_box_);
    before->setWordWrap(false);
    before->setToolTip(tr("How often the same piece had been burned with this card before: its doses add up"));
    over->addWidget(before);
    over_ = make_number_field(tr("Times burned over itself before"), {}, 0, 0, over_box_);
    over_->setFixedWidth(44);
    over->addWidget(over_);
    all->addWidget(over_box_);
    marks_ =
        make_label(tr("The corner marks were not found. Click on them in the picture: first the ring, then on round "
                      "the card. Backspace takes a click back."),
                   Tone::attention, this);
    marks_->setWordWrap(true);
    all->addWidget(marks_);
    connect(burns_, &QComboBox::activated, this,
            [this](int index) { desk_.choose_burn(static_cast<int>(desk_.record()->burns.size()) - 1 - index); });
    connect(by_hand_, &QPushButton::clicked, this, [this] { desk_.add_burn(); });
    connect(gone_, &QPushButton::clicked, this, [this] { desk_.remove_burn(); });
    connect(over_, &ValueField::committed, this, [this](double times) {
        desk_.change_burn(tr("Burned over itself"), [times](CardBurn& burn) {
            burn.over = static_cast<int>(std::lround(std::min(times, 99.0)));
        });
    });
    connect(from_photo, &QPushButton::clicked, this, &ReadPanel::photo_wanted);
    connect(bed_picture_, &QPushButton::clicked, this, &ReadPanel::bed_picture_wanted);
    connect(photograph_, &QCheckBox::toggled, this, &ReadPanel::photograph_shown);
}

// ---------------------------------------------------------------- one swatch

void ReadPanel::build_swatch(QVBoxLayout* all) {
    swatch_ = make_label({}, Tone::plain, this);
    swatch_->setFont(theme::font(theme::large, QFont::DemiBold));
    swatch_->setStyleSheet(QString("font-size: %1px; font-weight: 600").arg(theme::large));
    all->addWidget(swatch_);
    more_ = make_label({}, Tone::quiet, this);
    more_->setWordWrap(true);
    all->addWidget(more_);
    swatch_box_ = new QWidget(this);
    auto* inside = new QVBoxLayout(swatch_box_);
    inside->setContentsMargins(0, 0, 0, 0);
    inside->setSpacing(8);
    verdict_box_ = new QWidget(swatch_box_);
    verdict_box_->setLayout(new FlowLayout(6));
    inside->addWidget(verdict_box_);
    auto* row = new QHBoxLayout;
    words_ = new QLineEdit(swatch_box_);
    words_->setPlaceholderText(tr("Verdict in your own words"));
    words_->setAccessibleName(tr("Verdict in your own words"));
    words_->setMaxLength(60);
    row->addWidget(words_, 1);
    row->addWidget(make_label(tr("Depth"), Tone::quiet, swatch_box_));
    depth_ = make_length_field(tr("Depth of the swatch"), swatch_box_);
    depth_->setFixedWidth(72);
    row->addWidget(depth_);
    inside->addLayout(row);
    note_ = new QLineEdit(swatch_box_);
    note_->setPlaceholderText(tr("Note"));
    note_->setAccessibleName(tr("Note on the swatch"));
    note_->setMaxLength(200);
    auto* last = new QHBoxLayout;
    last->addWidget(note_, 1);
    unmeasured_ = make_button(tr("Not as measured"), ButtonLook::link, swatch_box_);
    unmeasured_->setToolTip(tr("Leave what the photograph says of this swatch out: dust, a knot, a reflection"));
    last->addWidget(unmeasured_);
    inside->addLayout(last);
    all->addWidget(swatch_box_);
    connect(unmeasured_, &QPushButton::clicked, this,
            [this] { desk_.judge(tr("Not as measured"), [](CellResult& result) { result.measured.reset(); }); });
    const auto keep_text = [this](QLineEdit* field, std::string CellResult::*part) {
        connect(field, &QLineEdit::editingFinished, this, [this, field, part] {
            if (!field->isModified()) return;
            field->setModified(false);
            desk_.judge(tr("Note on a swatch"),
                        [&](CellResult& result) { result.*part = field->text().trimmed().toStdString(); });
        });
    };
    keep_text(words_, &CellResult::words);
    keep_text(note_, &CellResult::note);
    connect(depth_, &ValueField::committed, this, [this](double mm) {
        desk_.judge(tr("Depth of a swatch"),
                    [mm](CellResult& result) { result.depth = mm > 0 ? std::optional(mm) : std::nullopt; });
    });
}

void ReadPanel::offer_verdicts() {
    const auto kind = desk_.record()->card.settings.kind;
    if (verdicts_for_ == kind) return;
    verdicts_for_ = kind;
    for (QPushButton* button : verdicts_) {
        button->hide();
        button->deleteLater();
    }
    verdicts_.clear();
    int i = 0;
    for (const Verdict verdict : swatches::verdicts_for(kind)) {
        auto* button = make_button(wording::name(verdict), ButtonLook::plain, verdict_box_);
        button->setProperty("look", "chip");
        button->setCheckable(true);
        button->setToolTip(tr("Key %1 while the card has the focus").arg(i + 1));
        connect(button, &QPushButton::clicked, this, [this, i] { give_verdict(i); });
        verdict_box_->layout()->addWidget(button);
        verdicts_.push_back(button);
        ++i;
    }
}

void ReadPanel::give_verdict(int number) {
    if (!desk_.record() || !desk_.cell()) return;
    const auto offered = swatches::verdicts_for(desk_.record()->card.settings.kind);
    if (number < 0 || number >= static_cast<int>(offered.size())) return;
    const Verdict verdict = offered[static_cast<std::size_t>(number)];
    desk_.judge(tr("Verdict on a swatch"), [verdict](CellResult& result) {
        result.verdict = result.verdict == verdict ? Verdict::none : verdict;
    });
}

// ---------------------------------------------------------------- all together

void ReadPanel::build_advice(QVBoxLayout* all) {
    all->addWidget(make_label(tr("How dark it came out"), Tone::heading, this));
    plot_ = new DosePlot(desk_, roles_, this);
    all->addWidget(plot_);
    advice_ = make_label({}, Tone::quiet, this);
    advice_->setWordWrap(true);
    all->addWidget(advice_);
}

void ReadPanel::build_next(QVBoxLayout* all) {
    all->addWidget(make_label(tr("Next"), Tone::heading, this));
    auto* next = new QWidget(this);
    next->setLayout(new FlowLayout(8));
    keep_ = make_button(tr("Keep as recipe"), ButtonLook::accent, next);
    finer_ = make_button(tr("Finer card around this one"), ButtonLook::plain, next);
    use_ = make_button(tr("Use in step…"), ButtonLook::plain, next);
    response_ = make_button(tr("Use for the job's pictures"), ButtonLook::plain, next);
    response_->setToolTip(tr("Picture steps of the job take over what the ramp says of this material"));
    for (QPushButton* button : {keep_, finer_, use_, response_})
        next->layout()->addWidget(button);
    all->addWidget(next);
    kept_ = make_label({}, Tone::quiet, this);
    kept_->setWordWrap(true);
    all->addWidget(kept_);
    connect(keep_, &QPushButton::clicked, this, [this] {
        const auto recipe = desk_.recipe();
        if (!recipe || !recipes_.keep(tr("Keep swatch as recipe"), *recipe)) return;
        const Verdict good = recipe->settings.kind == steps::StepKind::cut ? Verdict::clean : Verdict::keeper;
        desk_.judge(tr("Verdict on a swatch"), [good](CellResult& result) {
            if (result.verdict == Verdict::none) result.verdict = good;
        });
        kept_->setText(
            tr("Kept: %1 for %2.").arg(settings_in_short(recipe->settings), QString::fromStdString(recipe->material)));
    });
    connect(finer_, &QPushButton::clicked, this, &ReadPanel::finer_wanted);
    connect(use_, &QPushButton::clicked, this, [this] {
        if (const auto recipe = desk_.recipe()) Q_EMIT use_wanted(*recipe);
    });
    connect(response_, &QPushButton::clicked, this, [this] {
        const auto response = swatches::response_of(desk_.layout(), *desk_.burn());
        job::Job job = document_.job();
        for (job::Step& step : job.steps)
            if (step.settings.kind == steps::StepKind::picture) step.settings.picture.response = response;
        if (!document_.edit(tr("Response of the material"), job, JobChange::steps)) return;
        kept_->setText(tr("The job's picture steps go by this material now."));
    });
}

// ---------------------------------------------------------------- what is shown

void ReadPanel::follow() {
    if (!desk_.record()) return;
    offer_verdicts();
    show_burns();
    show_swatch();
    show_advice();
}

void ReadPanel::show_burns() {
    const auto& burns = desk_.record()->burns;
    const QSignalBlocker quiet(burns_);
    burns_->clear();
    for (auto burn = burns.rbegin(); burn != burns.rend(); ++burn)
        burns_->addItem(tr("Burned %1").arg(SwatchDesk::when(*burn)));
    if (burns.empty()) burns_->addItem(tr("not burned yet"));
    burns_->setEnabled(burns.size() > 1);
    if (!burns.empty()) burns_->setCurrentIndex(static_cast<int>(burns.size()) - 1 - desk_.burn_index());
    const CardBurn* burn = desk_.burn();
    gone_->setVisible(burn != nullptr);
    over_box_->setVisible(burn != nullptr);
    if (burn) over_->show_value(burn->over);
    bed_picture_->setVisible(machine_.is_sample());
    photograph_->setVisible(!desk_.straight().isNull());
    marks_->setVisible(desk_.reader().waiting() != nullptr);
}

void ReadPanel::show_swatch() {
    const swatches::Cell* cell = desk_.cell() ? desk_.layout().at(*desk_.cell()) : nullptr;
    swatch_box_->setVisible(cell != nullptr && !cell->left_out);
    keep_->setEnabled(cell && !cell->left_out && desk_.burn());
    finer_->setEnabled(cell != nullptr);
    const auto& steps = document_.job().steps;
    const auto kind = desk_.record()->card.settings.kind;
    use_->setEnabled(
        keep_->isEnabled() && document_.job().card.empty() &&
        std::any_of(steps.begin(), steps.end(), [kind](const job::Step& step) { return step.settings.kind == kind; }));
    if (!cell) {
        swatch_->setText(tr("Which one is best?"));
        more_->setText(tr("Click on a swatch, or go there with the arrow keys, and say how it came out."));
        return;
    }
    swatch_->setText(tr("%1 at %2")
                         .arg(QString::fromStdString(format_speed(cell->settings.speed, SpeedUnit::mm_per_min)),
                              QString::fromStdString(format_power(cell->settings.power))));
    const CardBurn* burn = desk_.burn();
    const CellResult* result = burn ? burn->at_place(cell->place) : nullptr;
    const int passes = cell->settings.passes * (burn ? burn->over + 1 : 1);
    QStringList more{tr("row %1, column %2").arg(cell->place.row + 1).arg(cell->place.column + 1),
                     tr("%1 %2").arg(number(burn ? swatches::dose_in(*cell, *burn) : cell->dose, 0), dose_unit(kind)),
                     passes == 1 ? tr("1 pass") : tr("%1 passes").arg(passes)};
    if (steps::burns_area(kind))
        more << tr("%1 pitch").arg(QString::fromStdString(format_length(cell->settings.line_pitch, LengthUnit::mm)));
    const auto& card = desk_.record()->card;
    const auto add = [&](const swatches::Axis& axis, double value) {
        using enum swatches::Variable;
        if (axis.what != power && axis.what != speed && axis.what != line_pitch && axis.what != passes)
            more << wording::name(axis.what).toLower() + " " + wording::value_text(axis, value);
    };
    if (cell->row_value) add(*card.rows, *cell->row_value);
    if (cell->column_value) add(card.columns, *cell->column_value);
    if (result && result->measured)
        more << tr("darkness %1, evenness %2, edge %3 mm")
                    .arg(number(result->measured->darkness, 2), number(result->measured->evenness, 2),
                         number(result->measured->edge, 2));
    more_->setText(cell->left_out ? tr("left out") : more.join(" · "));
    unmeasured_->setVisible(result && result->measured);
    const auto offered = swatches::verdicts_for(kind);
    for (std::size_t i = 0; i < verdicts_.size(); ++i)
        verdicts_[i]->setChecked(result && result->verdict == offered[i]);
    if (!words_->isModified()) words_->setText(result ? QString::fromStdString(result->words) : QString());
    if (!note_->isModified()) note_->setText(result ? QString::fromStdString(result->note) : QString());
    depth_->show_value(result && result->depth ? *result->depth : 0);
}

/// Where more dose only chars, and how sure the curve is.
QString ReadPanel::curve_words() const {
    const auto& points = desk_.points();
    const auto& curve = desk_.curve();
    if (points.empty())
        return tr(
            "Take a picture of the card from above, with all four corner marks in it, or judge the swatches by eye.");
    if (!curve) return tr("The measured swatches do not differ enough for a curve.");
    const QString unit = dose_unit(desk_.record()->card.settings.kind);
    QString text = tr("%n swatches, within %1 of the curve.", nullptr, static_cast<int>(points.size()))
                       .arg(number(curve->scatter, 2));
    if (const auto chars = curve->chars_from())
        text +=
            " " +
            tr("Darkness stops rising past %1 %2: more only chars.").arg(number(std::round(*chars / 10) * 10, 0), unit);
    return text;
}

QString ReadPanel::fastest_words() const {
    const CellResult* result = desk_.cell() ? desk_.burn()->at_place(*desk_.cell()) : nullptr;
    if (!result || !result->measured) return {};
    const auto fastest = swatches::fastest_for(result->measured->darkness, desk_.layout(), *desk_.burn());
    if (!fastest || *fastest == *desk_.cell()) return {};
    const swatches::Cell& cell = *desk_.layout().at(*fastest);
    return tr("As dark and fastest: %1, row %2, column %3.")
        .arg(settings_in_short(cell.settings))
        .arg(fastest->row + 1)
        .arg(fastest->column + 1);
}

QString ReadPanel::cut_words() const {
    const auto advice = swatches::least_cut(desk_.layout(), *desk_.burn());
    if (!advice) return tr("Say of the swatches which went through: then the least power for a cut shows.");
    const swatches::Cell& cell = *desk_.layout().at(advice->least);
    const QString least = tr("Went through with least: %1.").arg(settings_in_short(cell.settings));
    return least + " " +
           (advice->margin_reached
                ? tr("With a sixth to spare: %1.").arg(QString::fromStdString(format_power(advice->with_margin)))
                : tr("There is no power to spare: go slower, or one pass more."));
}

void ReadPanel::show_advice() {
    const bool cut = desk_.record()->card.settings.kind == steps::StepKind::cut;
    if (!desk_.burn()) {
        advice_->setText(tr("Burn the card first, or note that you did."));
        response_->hide();
        return;
    }
    QStringList said{cut ? cut_words() : curve_words()};
    if (const QString fastest = cut ? QString() : fastest_words(); !fastest.isEmpty()) said << fastest;
    const auto response = swatches::response_of(desk_.layout(), *desk_.burn());
    if (!response.empty()) said << tr("It tells the response of this material for pictures.");
    advice_->setText(said.join("\n"));
    const auto& steps = document_.job().steps;
    response_->setVisible(!response.empty() && document_.job().card.empty() &&
                          std::any_of(steps.begin(), steps.end(), [](const job::Step& step) {
                              return step.settings.kind == steps::StepKind::picture;
                          }));
}

}  // namespace chalkline::app
