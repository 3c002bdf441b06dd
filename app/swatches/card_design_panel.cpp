// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/card_design_panel.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/job/svg_export.hpp>
#include <chalkline/wording/swatch_words.hpp>

#include <QHBoxLayout>
#include <QSignalBlocker>

namespace chalkline::app {
namespace {

using steps::StepKind;
using steps::StepSettings;
using swatches::Card;

constexpr int name_width = 84, field_width = 84;  // px

bool on_axis(const Card& card, swatches::Variable what) {
    return card.columns.what == what || (card.rows && card.rows->what == what);
}

/// A motif of the job as a drawing that stands for itself.
Result<std::shared_ptr<const art::Artwork>> drawing_of(const job::Job& job, job::Id motif) {
    job::Job alone = job;
    std::erase_if(alone.motifs, [motif](const job::Motif& one) { return one.id != motif; });
    const geometry::Box box = job::bounds(alone);
    for (job::Motif& one : alone.motifs)
        one.place = geometry::Transform::move(-box.left, -box.bottom) * one.place;
    auto art =
        art::read(std::make_shared<const std::string>(job::to_svg(alone, box.width(), box.height())), "motif.svg");
    if (!art) return tl::unexpected(art.error());
    return std::make_shared<const art::Artwork>(std::move(*art));
}

}  // namespace

CardDesignPanel::CardDesignPanel(SwatchDesk& desk, const TrayContext& context, QWidget* parent)
    : QWidget(parent), desk_(desk), context_(context), all_(new QVBoxLayout(this)) {
    all_->setContentsMargins(0, 0, 0, 0);
    all_->setSpacing(8);
    build_head();
    all_->addWidget(make_label(tr("What differs"), Tone::heading, this));
    all_->addWidget(new AxisEditor(AxisEditor::Side::columns, desk_, this));
    all_->addWidget(new AxisEditor(AxisEditor::Side::rows, desk_, this));
    build_rest();
    build_swatches();
    build_text();
    all_->addStretch(1);
    connect(&desk_, &SwatchDesk::changed, this, &CardDesignPanel::follow);
    follow();
}

QHBoxLayout* CardDesignPanel::add_row(QVBoxLayout* to, const QString& name) {
    auto* row = new QHBoxLayout;
    row->setSpacing(8);
    auto* label = make_label(name, Tone::quiet, this);
    label->setFixedWidth(name_width);
    row->addWidget(label);
    to->addLayout(row);
    return row;
}

template <class Get, class Set>
ValueField* CardDesignPanel::bind(ValueField* field, Get get, Set set) {
    field->setFixedWidth(field_width);
    showers_.push_back([field, get](const Card& card) { field->show_value(get(card)); });
    connect(field, &ValueField::committed, this,
            [this, set](double value) { desk_.change(tr("Change card"), [&](Card& card) { set(card, value); }); });
    return field;
}

template <class Get, class Set>
QLineEdit* CardDesignPanel::bind_text(const QString& name, const QString& hint, Get get, Set set) {
    auto* field = new QLineEdit(this);
    field->setAccessibleName(name);
    field->setPlaceholderText(hint);
    field->setMaxLength(80);
    showers_.push_back([field, get](const Card& card) {
        if (!field->isModified()) field->setText(QString::fromStdString(get(card)));
    });
    connect(field, &QLineEdit::editingFinished, this, [this, field, set] {
        if (!field->isModified()) return;
        field->setModified(false);
        desk_.change(tr("Change card"), [&](Card& card) { set(card, field->text().trimmed().toStdString()); });
    });
    return field;
}

void CardDesignPanel::build_head() {
    all_->addWidget(make_label(tr("The card"), Tone::heading, this));
    auto* name = add_row(all_, tr("Name"));
    name->addWidget(bind_text(
        tr("Name of the card"), tr("as it is titled"), [](const Card& card) { return card.name; },
        [](Card& card, std::string text) { card.name = std::move(text); }));
    auto* material = add_row(all_, tr("Material"));
    material->addWidget(
        bind_text(
            tr("Material of the card"), tr("such as Birch ply"), [](const Card& card) { return card.material; },
            [](Card& card, std::string text) { card.material = std::move(text); }),
        1);
    material->addWidget(bind(
        make_length_field(tr("Thickness of the card"), this), [](const Card& card) { return card.thickness.mm(); },
        [](Card& card, double mm) { card.thickness = Length::mm(mm); }));
    auto* kind = add_row(all_, tr("Kind"));
    kind_ = new QComboBox(this);
    kind_->setAccessibleName(tr("Kind of the swatches"));
    keep_from_wheel(kind_);
    for (const StepKind one : steps::all_kinds)
        kind_->addItem(wording::name(one));
    kind->addWidget(kind_, 1);
    connect(kind_, &QComboBox::activated, this, &CardDesignPanel::choose_kind);
}

void CardDesignPanel::choose_kind(int index) {
    const StepKind kind = steps::all_kinds[static_cast<std::size_t>(index)];
    const auto ground = desk_.ground();
    desk_.change(tr("Kind of the swatches"), [&](Card& card) {
        const auto ready = kind == StepKind::engrave ? swatches::Ready::engrave_dose
                           : kind == StepKind::cut   ? swatches::Ready::cut_through
                           : kind == StepKind::score ? swatches::Ready::score_line
                                                     : swatches::Ready::grey_ramp;
        Card other = swatches::ready_card(ready, ground);
        other.name = card.name;
        other.title = card.title;
        other.code = card.code;
        other.note = card.note;
        other.text = card.text;
        card = std::move(other);
    });
}

// ---------------------------------------------------------------- what is the same for all

void CardDesignPanel::build_rest() {
    rest_ = new Fold(tr("The same for all"), this);
    all_->addWidget(rest_);
}

/// Fields for what a step of this kind has and no axis sets.
void CardDesignPanel::rebuild_rest() {
    const StepKind kind = desk_.record()->card.settings.kind;
    if (rest_fields_) {
        rest_fields_->hide();
        rest_fields_->deleteLater();
    }
    rest_for_ = kind;
    rest_fields_ = new QWidget(rest_);
    rest_->body()->addWidget(rest_fields_);
    auto* rows = new QVBoxLayout(rest_fields_);
    rows->setContentsMargins(0, 0, 0, 0);
    const auto add = [&](const QString& name, ValueField* field, void (*set)(StepSettings&, double)) {
        auto* holder = new QWidget(rest_fields_);
        auto* row = new QHBoxLayout(holder);
        row->setContentsMargins(0, 0, 0, 0);
        auto* label = make_label(name, Tone::quiet, holder);
        label->setFixedWidth(name_width);
        row->addWidget(label);
        field->setFixedWidth(field_width);
        row->addWidget(field);
        row->addStretch(1);
        rows->addWidget(holder);
        connect(field, &ValueField::committed, this, [this, set](double value) {
            desk_.change(tr("Change card"), [&](Card& card) { set(card.settings, value); });
        });
        return field;
    };
    power_ = add(tr("Power"), make_power_field(tr("Power of all swatches"), rest_fields_),
                 [](StepSettings& s, double v) { s.power = Power::percent(v); });
    speed_ = add(tr("Speed"), make_speed_field(tr("Speed of all swatches"), desk_.machine().top_speed(), rest_fields_),
                 [](StepSettings& s, double v) { s.speed = Speed::mm_per_min(v); });
    pitch_ = add(tr("Line pitch"), make_length_field(tr("Line pitch of all swatches"), rest_fields_),
                 [](StepSettings& s, double v) { s.line_pitch = Length::mm(v); });
    passes_ = add(tr("Passes"), make_count_field(tr("Passes of all swatches"), rest_fields_),
                  [](StepSettings& s, double v) { s.passes = static_cast<int>(v); });
    air_ = new QCheckBox(tr("Air assist"), rest_fields_);
    rows->addWidget(air_);
    connect(air_, &QCheckBox::clicked, this,
            [this](bool on) { desk_.change(tr("Change card"), [on](Card& card) { card.settings.air = on; }); });
    details_ = new StepDetails(kind, context_, rest_fields_);
    rows->addWidget(details_);
    connect(details_, &StepDetails::changed, this, [this](const SettingChange& change) {
        desk_.change(tr("Change card"), [&](Card& card) { change(card.settings); });
    });
}

// ---------------------------------------------------------------- swatches

void CardDesignPanel::build_swatches() {
    swatches_ = new Fold(tr("Swatches"), this);
    all_->addWidget(swatches_);
    auto* shape = add_row(swatches_->body(), tr("Shape"));
    shape_ = new QComboBox(this);
    shape_->setAccessibleName(tr("Shape of a swatch"));
    keep_from_wheel(shape_);
    shape->addWidget(shape_, 1);
    connect(shape_, &QComboBox::activated, this, &CardDesignPanel::choose_shape);
    auto* size = add_row(swatches_->body(), tr("Size"));
    size->addWidget(bind(
        make_length_field(tr("Width of a swatch"), this), [](const Card& card) { return card.width; },
        [](Card& card, double mm) { card.width = std::clamp(mm, 1.0, 200.0); }));
    size->addWidget(make_label("×", Tone::quiet, this));
    size->addWidget(bind(
        make_length_field(tr("Height of a swatch"), this), [](const Card& card) { return card.height; },
        [](Card& card, double mm) { card.height = std::clamp(mm, 1.0, 200.0); }));
    size->addStretch(1);
    auto* gap = add_row(swatches_->body(), tr("Gap"));
    gap->addWidget(bind(
        make_length_field(tr("Gap between swatches"), this), [](const Card& card) { return card.gap; },
        [](Card& card, double mm) { card.gap = std::clamp(mm, 0.0, 100.0); }));
    gap->addStretch(1);
    auto* dose = add_row(swatches_->body(), tr("At most"));
    dose->addWidget(bind(
        make_number_field(tr("Highest dose"), {}, 0, 0, this),
        [](const Card& card) { return card.most_dose.value_or(0); },
        [](Card& card, double most) { card.most_dose = most > 0 ? std::optional(most) : std::nullopt; }));
    auto* unit = make_label(tr("dose; 0: no limit"), Tone::quiet, this);
    dose->addWidget(unit, 1);
    auto* out = new QHBoxLayout;
    left_out_ = make_label({}, Tone::quiet, this);
    left_out_->setWordWrap(true);
    out->addWidget(left_out_, 1);
    back_in_ = make_button(tr("All back in"), ButtonLook::link, this);
    out->addWidget(back_in_);
    swatches_->body()->addLayout(out);
    connect(back_in_, &QPushButton::clicked, this,
            [this] { desk_.change(tr("All swatches back in"), [](Card& card) { card.left_out.clear(); }); });
}

void CardDesignPanel::choose_shape(int index) {
    const auto shapes = swatches::shapes_for(desk_.record()->card.settings.kind);
    const swatches::Shape shape = shapes[static_cast<std::size_t>(index)];
    if (shape == swatches::Shape::motif) return take_motif();
    desk_.change(tr("Shape of the swatches"), [shape](Card& card) { card.shape = shape; });
}

/// What is chosen on the bed, or the job's last motif.
void CardDesignPanel::take_motif() {
    const job::Job& job = context_.document.job();
    const auto& chosen = context_.placing.chosen();
    if (job.motifs.empty()) {
        Q_EMIT desk_.message(
            {tr("There is no drawing in the job"), {}, tr("Bring one in, choose it on the bed, then come back.")});
        return follow();
    }
    const auto art = drawing_of(job, chosen.empty() ? job.last_motif() : chosen.front());
    if (!art) {
        Q_EMIT desk_.message(wording::describe(art.error()));
        return follow();
    }
    desk_.change(tr("Shape of the swatches"), [&](Card& card) {
        card.shape = swatches::Shape::motif;
        card.motif = *art;
    });
}

// ---------------------------------------------------------------- what is written

void CardDesignPanel::build_text() {
    text_ = new Fold(tr("Written on it"), this);
    all_->addWidget(text_);
    auto* title = add_row(text_->body(), tr("Title"));
    title->addWidget(bind_text(
        tr("Title burned on the card"), tr("material, kind and date"), [](const Card& card) { return card.title; },
        [](Card& card, std::string text) { card.title = std::move(text); }));
    auto* note = add_row(text_->body(), tr("Note"));
    note->addWidget(bind_text(
        tr("Note burned on the card"), tr("such as masked, wiped damp"), [](const Card& card) { return card.note; },
        [](Card& card, std::string text) { card.note = std::move(text); }));
    auto* ticks = new QHBoxLayout;
    const auto tick = [&](const QString& text, bool swatches::CardText::*part) {
        auto* box = new QCheckBox(text, this);
        ticks->addWidget(box);
        showers_.push_back([box, part](const Card& card) { box->setChecked(card.text.*part); });
        connect(box, &QCheckBox::clicked, this, [this, part](bool on) {
            desk_.change(tr("Change card"), [part, on](Card& card) { card.text.*part = on; });
        });
        return box;
    };
    tick(tr("Title"), &swatches::CardText::title);
    tick(tr("Values"), &swatches::CardText::labels);
    tick(tr("Corner marks"), &swatches::CardText::marks)
        ->setToolTip(tr("By them a photograph of the card can be read"));
    ticks->addStretch(1);
    text_->body()->addLayout(ticks);
    auto* burned = add_row(text_->body(), tr("Burned with"));
    burned->addWidget(bind(
        make_power_field(tr("Power of the text"), this), [](const Card& card) { return card.text.power.percent(); },
        [](Card& card, double v) { card.text.power = Power::percent(v); }));
    burned->addWidget(bind(
        make_speed_field(tr("Speed of the text"), desk_.machine().top_speed(), this),
        [](const Card& card) { return card.text.speed.mm_per_min(); },
        [](Card& card, double v) { card.text.speed = Speed::mm_per_min(v); }));
    burned->addStretch(1);
    auto* height = add_row(text_->body(), tr("Height"));
    height->addWidget(bind(
        make_length_field(tr("Height of the letters"), this), [](const Card& card) { return card.text.height; },
        [](Card& card, double mm) { card.text.height = std::clamp(mm, 1.0, 30.0); }));
    height->addStretch(1);
    auto* parts = add_row(text_->body(), tr("Burn"));
    parts_ = new QComboBox(this);
    parts_->setAccessibleName(tr("Which parts of the card are burned"));
    keep_from_wheel(parts_);
    parts_->addItems({tr("everything"), tr("only what is written"), tr("only the swatches")});
    parts->addWidget(parts_, 1);
    connect(parts_, &QComboBox::activated, this, [this](int index) {
        desk_.change(tr("Change card"), [index](Card& card) { card.parts = static_cast<swatches::CardParts>(index); });
    });
}

// ---------------------------------------------------------------- what is shown

void CardDesignPanel::follow() {
    const auto* record = desk_.record();
    if (!record) return;
    const Card& card = record->card;
    for (const auto& show : showers_)
        show(card);
    const StepSettings& settings = card.settings;
    {
        const QSignalBlocker quiet(kind_);
        kind_->setCurrentIndex(
            static_cast<int>(std::find(std::begin(steps::all_kinds), std::end(steps::all_kinds), settings.kind) -
                             std::begin(steps::all_kinds)));
    }
    if (rest_for_ != settings.kind) rebuild_rest();
    const auto show_field = [&](ValueField* field, swatches::Variable what, bool useful, double value) {
        field->show_value(value);
        field->parentWidget()->setVisible(useful && !on_axis(card, what));
    };
    show_field(power_, swatches::Variable::power, true, settings.power.percent());
    show_field(speed_, swatches::Variable::speed, true, settings.speed.mm_per_min());
    show_field(pitch_, swatches::Variable::line_pitch, steps::burns_area(settings.kind), settings.line_pitch.mm());
    show_field(passes_, swatches::Variable::passes, true, settings.passes);
    air_->setChecked(settings.air);
    details_->show_settings(settings);

    const QSignalBlocker quiet_shape(shape_), quiet_parts(parts_);
    shape_->clear();
    for (const swatches::Shape shape : swatches::shapes_for(settings.kind)) {
        shape_->addItem(wording::name(shape));
        if (shape == card.shape) shape_->setCurrentIndex(shape_->count() - 1);
    }
    parts_->setCurrentIndex(static_cast<int>(card.parts));
    const auto& cells = desk_.layout().cells;
    const auto out =
        std::count_if(cells.begin(), cells.end(), [](const swatches::Cell& cell) { return cell.left_out; });
    left_out_->setText(out > 0 ? tr("%n swatches left out.", nullptr, static_cast<int>(out))
                               : tr("A second click on a swatch, or Space, leaves it out."));
    back_in_->setVisible(!card.left_out.empty());
    swatches_->set_note(QString("%1 × %2 mm").arg(card.width).arg(card.height));
    text_->set_note(card.text.title || card.text.labels || card.text.marks ? QString() : tr("nothing"));
}

}  // namespace chalkline::app
