// SPDX-License-Identifier: GPL-3.0-or-later
#include "recipes/recipe_editor.hpp"

#include "recipes/dose_marks.hpp"

#include <QDate>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QSignalBlocker>
#include <QVBoxLayout>

namespace chalkline::app {
namespace {

using recipes::Evidence;
using steps::StepKind;

}  // namespace

RecipeEditor::RecipeEditor(const RecipeDesk& desk, const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), desk_(desk), pad_(new DosePad(roles, this)) {
    build();
}

void RecipeEditor::build() {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(8);
    grid->setColumnStretch(1, 1);
    grid->setColumnStretch(3, 1);
    const auto put = [&](int row, int column, const QString& name, QWidget* field, int wide = 1) {
        auto* label = make_label(name, Tone::quiet, this);
        label->setWordWrap(false);
        grid->addWidget(label, row, column);
        grid->addWidget(field, row, column + 1, 1, wide);
        if (field->accessibleName().isEmpty()) field->setAccessibleName(name);
        return label;
    };
    material_ = new QLineEdit(this);
    thickness_ = make_length_field(tr("Thickness"), this);
    kind_ = new QComboBox(this);
    for (const StepKind kind : steps::all_kinds)
        kind_->addItem(wording::name(kind), static_cast<int>(kind));
    power_ = make_power_field(tr("Power"), this);
    speed_ = make_speed_field(tr("Speed"), desk_.top_speed(), this);
    passes_ = make_count_field(tr("Passes"), this);
    pitch_ = make_length_field(tr("Line pitch"), this);
    air_ = new QCheckBox(tr("Air assist"), this);
    evidence_ = new QComboBox(this);
    for (const auto& [kind, text] : std::initializer_list<std::pair<Evidence::Kind, QString>>{
             {Evidence::Kind::none, tr("Not tested")},
             {Evidence::Kind::starting_point, tr("Starting point")},
             {Evidence::Kind::chart, tr("Chart or manual")},
             {Evidence::Kind::copied, tr("Copied")},
             {Evidence::Kind::burned, tr("A burn came out well")},
             {Evidence::Kind::swatch, tr("Swatch card")}})
        evidence_->addItem(text, static_cast<int>(kind));
    for (QComboBox* box : {kind_, evidence_})
        keep_from_wheel(box);
    source_ = new QLineEdit(this);
    source_->setPlaceholderText(tr("which card, chart or job"));
    watts_ = make_number_field(tr("Watts of the chart"), "W", 2, 0, this);
    date_ = new QLineEdit(this);
    date_->setPlaceholderText(tr("2026-11-23"));
    preparation_ = new QLineEdit(this);
    preparation_->setPlaceholderText(tr("masked, wiped damp, painted…"));
    tags_ = new QLineEdit(this);
    tags_->setPlaceholderText(tr("words, found as #word"));
    note_ = new QLineEdit(this);

    put(0, 0, tr("Material"), material_, 3);
    put(1, 0, tr("Thickness"), thickness_);
    put(1, 2, tr("Kind"), kind_);
    grid->addWidget(pad_, 2, 0, 1, 4);
    put(3, 0, tr("Power"), power_);
    put(3, 2, tr("Speed"), speed_);
    put(4, 0, tr("Passes"), passes_);
    pitch_name_ = put(4, 2, tr("Pitch"), pitch_);
    grid->addWidget(air_, 5, 0, 1, 4);
    odd_ = make_label({}, Tone::attention, this);
    grid->addWidget(odd_, 6, 0, 1, 4);
    put(7, 0, tr("Evidence"), evidence_, 3);
    put(8, 0, tr("Source"), source_, 3);
    put(9, 0, tr("Date"), date_);
    watts_name_ = put(9, 2, tr("For"), watts_);
    put(10, 0, tr("Preparation"), preparation_, 3);
    put(11, 0, tr("Tags"), tags_, 3);
    put(12, 0, tr("Note"), note_, 3);
    all->addLayout(grid);
    auto* buttons = new QHBoxLayout;
    keep_ = make_button(tr("Keep"), ButtonLook::accent, this);
    auto* cancel = make_button(tr("Cancel"), ButtonLook::plain, this);
    buttons->addWidget(keep_);
    buttons->addWidget(cancel);
    buttons->addStretch(1);
    all->addLayout(buttons);
    all->addStretch(1);

    const auto take = [this](ValueField* field, auto set) {
        connect(field, &ValueField::committed, this, [this, set](double value) {
            set(recipe_.settings, value);
            show_settings();
        });
    };
    using steps::StepSettings;
    take(power_, [](StepSettings& s, double v) { s.power = Power::percent(v); });
    take(speed_, [](StepSettings& s, double v) { s.speed = Speed::mm_per_min(v); });
    take(passes_, [](StepSettings& s, double v) { s.passes = static_cast<int>(v); });
    take(pitch_, [](StepSettings& s, double v) { s.line_pitch = Length::mm(v); });
    connect(thickness_, &ValueField::committed, this, &RecipeEditor::show_settings);
    connect(material_, &QLineEdit::textChanged, this, &RecipeEditor::show_settings);
    connect(evidence_, &QComboBox::currentIndexChanged, this, &RecipeEditor::show_settings);
    connect(date_, &QLineEdit::textChanged, this, &RecipeEditor::show_settings);
    connect(air_, &QCheckBox::clicked, this, [this](bool on) { recipe_.settings.air = on; });
    connect(kind_, &QComboBox::activated, this, [this] {
        recipe_.settings.kind = static_cast<StepKind>(kind_->currentData().toInt());
        show_settings();
    });
    connect(pad_, &DosePad::chosen, this, [this](Power power, Speed speed, bool) {
        recipe_.settings.power = power;
        recipe_.settings.speed = speed;
        show_settings();
    });
    connect(keep_, &QPushButton::clicked, this, [this] { Q_EMIT kept(read()); });
    connect(cancel, &QPushButton::clicked, this, &RecipeEditor::given_up);
}

void RecipeEditor::show_recipe(const recipes::Recipe& recipe) {
    recipe_ = recipe;
    // Texts that change tell the settings anew: not before all is in.
    const QSignalBlocker quiet_material(material_), quiet_evidence(evidence_), quiet_date(date_);
    material_->setText(QString::fromStdString(recipe.material));
    thickness_->show_value(recipe.thickness.mm());
    evidence_->setCurrentIndex(static_cast<int>(recipe.evidence.kind));
    source_->setText(QString::fromStdString(recipe.evidence.source));
    watts_->show_value(recipe.evidence.watts);
    date_->setText(QString::fromStdString(recipe.evidence.date));
    preparation_->setText(QString::fromStdString(recipe.evidence.preparation));
    QStringList tags;
    for (const std::string& tag : recipe.tags)
        tags << QString::fromStdString(tag);
    tags_->setText(tags.join(' '));
    note_->setText(QString::fromStdString(recipe.note));
    show_settings();
}

recipes::Wish RecipeEditor::wish() const {
    return {recipe_.machine, material_->text().toStdString(), Length::mm(thickness_->value()), recipe_.settings.kind};
}

void RecipeEditor::show_settings() {
    const auto& s = recipe_.settings;
    kind_->setCurrentIndex(static_cast<int>(s.kind));
    power_->show_value(s.power.percent());
    speed_->show_value(s.speed.mm_per_min());
    passes_->show_value(s.passes);
    pitch_->show_value(s.line_pitch.mm());
    air_->setChecked(s.air);
    pitch_->setVisible(steps::burns_area(s.kind));
    pitch_name_->setVisible(steps::burns_area(s.kind));
    const bool chart = evidence_->currentData().toInt() == static_cast<int>(Evidence::Kind::chart);
    watts_->setVisible(chart);
    watts_name_->setVisible(chart);
    pad_->show_settings(s, recipe_.machine.beam, desk_.top_speed());
    pad_->set_marks(dose_marks(desk_, wish(), recipe_.id));
    const bool dated = date_->text().isEmpty() || QDate::fromString(date_->text(), Qt::ISODate).isValid();
    const QString odd = dated ? unlike_evidence(desk_, wish(), s.speed) : tr("Write the date as 2026-11-23.");
    odd_->setText(odd);
    odd_->setVisible(!odd.isEmpty());
    keep_->setEnabled(dated && !material_->text().trimmed().isEmpty() && steps::validate(s, Speed::mm_per_min(1e6)));
}

recipes::Recipe RecipeEditor::read() const {
    recipes::Recipe recipe = recipe_;
    recipe.material = material_->text().trimmed().toStdString();
    recipe.thickness = Length::mm(thickness_->value());
    recipe.evidence.kind = static_cast<Evidence::Kind>(evidence_->currentData().toInt());
    recipe.evidence.source = source_->text().trimmed().toStdString();
    recipe.evidence.watts = watts_->isVisible() ? watts_->value() : 0;
    recipe.evidence.date = date_->text().trimmed().toStdString();
    recipe.evidence.preparation = preparation_->text().trimmed().toStdString();
    recipe.tags.clear();
    for (QString tag : tags_->text().split(' ', Qt::SkipEmptyParts))
        recipe.tags.push_back(tag.remove('#').toStdString());
    recipe.note = note_->text().trimmed().toStdString();
    return recipe;
}

}  // namespace chalkline::app
