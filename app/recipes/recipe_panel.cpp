// SPDX-License-Identifier: GPL-3.0-or-later
#include "recipes/recipe_panel.hpp"

#include "recipes/dose_marks.hpp"
#include "recipes/kept_photos.hpp"
#include "recipes/recipe_sheets.hpp"
#include "widgets/fold.hpp"

#include <chalkline/job/edits.hpp>

#include <QDateTime>
#include <QDir>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QImageReader>
#include <QLocale>
#include <QPixmap>
#include <QUuid>

namespace chalkline::app {
namespace {

constexpr int photo_width = 338, largest_photo = 1024;  // px

QString number(double value, int decimals) {
    return QString::fromStdString(format_number(value, decimals));
}

}  // namespace

RecipePanel::RecipePanel(JobDocument& document, RecipeDesk& desk, const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), document_(document), desk_(desk), roles_(roles), all_(new QVBoxLayout(this)) {
    all_->setContentsMargins(0, 0, 0, 0);
    show_recipe(nullptr);
}

void RecipePanel::clear() {
    // A button inside may be what asked for this: let it finish first.
    if (inside_) {
        inside_->hide();
        inside_->deleteLater();
    }
    inside_ = new QWidget(this);
    body_ = new QVBoxLayout(inside_);
    body_->setContentsMargins(0, 0, 0, 0);
    body_->setSpacing(8);
    all_->addWidget(inside_);
    steps_ = nullptr;
    changes_ = nullptr;
}

void RecipePanel::show_recipe(const recipes::Recipe* recipe) {
    clear();
    if (!recipe) return show_nothing();
    recipe_ = *recipe;
    show_facts();
    show_photo();
    show_use();
    add_actions();
    show_history();
    body_->addStretch(1);
}

void RecipePanel::show_nothing() {
    body_->addWidget(make_label(tr("Recipes"), Tone::heading, inside_));
    body_->addWidget(
        make_label(tr("Settings that worked, by material. Choose one to see why it can be believed and what it would "
                      "change in a step of the job."),
                   Tone::quiet, inside_));
    auto* fold = new Fold(tr("Care of %1").arg(QString::fromStdString(desk_.machine().name)), inside_);
    fold->body()->addWidget(
        make_label(tr("After this, what was tested before counts for less and says so."), Tone::quiet, fold));
    for (const auto& [kind, text] : std::initializer_list<std::pair<recipes::Care::Kind, QString>>{
             {recipes::Care::Kind::lens_cleaned, tr("Lens cleaned today")},
             {recipes::Care::Kind::beam_changed, tr("Beam source changed today")}}) {
        auto* button = make_button(text, ButtonLook::plain, fold);
        connect(button, &QPushButton::clicked, this, [this, kind = kind] { desk_.note_care(kind); });
        fold->body()->addWidget(button, 0, Qt::AlignLeft);
    }
    if (!desk_.care().empty())
        fold->body()->addWidget(
            make_label(tr("Last noted: %1").arg(QString::fromStdString(desk_.care().back().date)), Tone::quiet, fold));
    body_->addWidget(fold);
    body_->addStretch(1);
}

void RecipePanel::row(const QString& name, const QString& value) {
    if (value.isEmpty()) return;
    auto* line = new QHBoxLayout;
    auto* left = make_label(name, Tone::quiet, inside_);
    left->setFixedWidth(92);
    left->setAlignment(Qt::AlignTop);
    line->addWidget(left);
    line->addWidget(make_label(value, Tone::plain, inside_), 1);
    body_->addLayout(line);
}

void RecipePanel::show_facts() {
    const auto& s = recipe_.settings;
    body_->addWidget(make_label(
        tr("%1 %2 · %3")
            .arg(QString::fromStdString(recipe_.material),
                 QString::fromStdString(format_length(recipe_.thickness, LengthUnit::mm)), wording::name(s.kind)),
        Tone::heading, inside_));
    auto* title = make_label(tr("%1 at %2")
                                 .arg(QString::fromStdString(format_power(s.power)),
                                      QString::fromStdString(format_speed(s.speed, SpeedUnit::mm_per_min))),
                             Tone::plain, inside_);
    title->setStyleSheet(QString("font-size: %1px; font-weight: 600;").arg(theme::large));
    body_->addWidget(title);
    const double dose = steps::dose(s, recipe_.machine.beam);
    QString dose_text = tr("%1 mJ/mm").arg(number(dose, dose < 10 ? 1 : 0));
    if (steps::burns_area(s.kind))
        dose_text +=
            tr(" · %1 J/mm² at %2 mm")
                .arg(number(steps::area_dose(s, recipe_.machine.beam) / 1000, 2), number(s.line_pitch.mm(), 3));
    row(tr("Dose"), dose_text);
    row(tr("Passes"), QString::number(s.passes));
    row(tr("Air"), s.air ? tr("on") : tr("off"));
    steps::StepSettings plain = steps::starting_point(s.kind);
    plain.power = s.power;
    plain.speed = s.speed;
    plain.passes = s.passes;
    plain.air = s.air;
    plain.line_pitch = s.line_pitch;
    QStringList details;
    for (const auto& difference : steps::differences(plain, s)) {
        const auto change = wording::describe(difference);
        details << change.name + " " + change.after;
    }
    row(tr("Also"), details.join(", "));
    row(tr("Machine"), tr("%1, %2 W %3")
                           .arg(QString::fromStdString(recipe_.machine.name), number(recipe_.machine.beam.watts, 1),
                                wording::name(recipe_.machine.beam.kind)));
    row(tr("Evidence"), wording::describe(recipe_.evidence));
    row(tr("Preparation"), QString::fromStdString(recipe_.evidence.preparation));
    row(tr("Note"), QString::fromStdString(recipe_.note));
    QStringList tags;
    for (const std::string& tag : recipe_.tags)
        tags << "#" + QString::fromStdString(tag);
    row(tr("Tags"), tags.join(' '));
    if (const QString old = wording::describe(recipes::freshness(recipe_, desk_.care())); !old.isEmpty())
        body_->addWidget(make_label(tr("This was %1: try it again.").arg(old), Tone::attention, inside_));
    if (recipe_.locked)
        body_->addWidget(make_label(tr("Locked by the keeper of the workshop."), Tone::attention, inside_));
}

void RecipePanel::show_photo() {
    if (recipe_.photo.empty()) return;
    QImageReader reader(photo_folder() + "/" + QFileInfo(QString::fromStdString(recipe_.photo)).fileName());
    const QSize size = reader.size();
    if (size.isValid()) reader.setScaledSize(size.scaled(photo_width, photo_width, Qt::KeepAspectRatio));
    const QImage image = reader.read();
    if (image.isNull()) return;
    auto* picture = new QLabel(inside_);
    picture->setAccessibleName(tr("Photograph"));
    picture->setPixmap(QPixmap::fromImage(image));
    body_->addWidget(picture);
}

void RecipePanel::show_use() {
    const auto& steps = document_.job().steps;
    std::vector<int> fitting;
    for (std::size_t i = 0; i < steps.size(); ++i)
        if (steps[i].settings.kind == recipe_.settings.kind) fitting.push_back(static_cast<int>(i));
    if (fitting.empty()) {
        body_->addWidget(
            make_label(tr("The job has no %1 step to use it in.").arg(wording::name(recipe_.settings.kind).toLower()),
                       Tone::quiet, inside_));
        return;
    }
    auto* line = new QHBoxLayout;
    steps_ = new QComboBox(inside_);
    keep_from_wheel(steps_);
    steps_->setAccessibleName(tr("Step to use it in"));
    for (const int at : fitting)
        steps_->addItem(tr("Step %1: %2").arg(at + 1).arg(wording::name(recipe_.settings.kind)),
                        steps[static_cast<std::size_t>(at)].id);
    auto* use = make_button(tr("Use in step"), ButtonLook::accent, inside_);
    line->addWidget(use);
    line->addWidget(steps_);
    line->addStretch(1);
    body_->addLayout(line);
    body_->addWidget(make_label(tr("What would change"), Tone::heading, inside_));
    changes_ = make_label({}, Tone::plain, inside_);
    changes_->setAccessibleName(tr("What would change"));
    body_->addWidget(changes_);
    connect(steps_, &QComboBox::currentIndexChanged, this, &RecipePanel::show_changes);
    connect(use, &QPushButton::clicked, this, [this] {
        const auto done = document_.edit(
            tr("Take from recipes"),
            job::change_settings(document_.job(), steps_->currentData().toInt(), recipe_.settings, desk_.top_speed()),
            JobChange::steps);
        if (!done) Q_EMIT desk_.message(wording::describe(done.error()));
    });
    show_changes(0);
}

void RecipePanel::show_changes(int) {
    if (const job::Step* step = document_.job().step(steps_->currentData().toInt()))
        changes_->setText(difference_text(step->settings, recipe_.settings));
}

void RecipePanel::add_actions() {
    auto* line = new QHBoxLayout;
    line->setSpacing(4);
    const auto add = [&](const QString& text, bool possible, auto action) {
        auto* button = make_button(text, ButtonLook::link, inside_);
        button->setEnabled(possible);
        connect(button, &QPushButton::clicked, this, action);
        line->addWidget(button);
    };
    add(tr("Edit…"), !recipe_.locked, [this] { Q_EMIT edit_wanted(recipe_); });
    add(tr("Copy to…"), true, [this] { Q_EMIT copy_wanted(recipe_); });
    add(tr("Photo…"), !recipe_.locked, [this] { add_photo(); });
    if (desk_.rules().locked)
        add(recipe_.locked ? tr("Unlock…") : tr("Lock…"), true, [this] { Q_EMIT lock_wanted(recipe_); });
    add(tr("Remove"), !recipe_.locked, [this] { desk_.remove(recipes::Recipe(recipe_)); });
    line->addStretch(1);
    body_->addLayout(line);
}

/// A smaller copy of the photograph is kept with the recipes, so that it stays when the original goes.
void RecipePanel::add_photo() {
    auto* dialog = new QFileDialog(window(), tr("Photograph of the piece"));
    dialog->setObjectName("recipePhoto");
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowModality(Qt::NonModal);
    dialog->setNameFilter(tr("Pictures (*.png *.jpg *.jpeg *.webp *.bmp)"));
    connect(dialog, &QFileDialog::fileSelected, this, [this](const QString& file) {
        QImageReader reader(file);
        reader.setAutoTransform(true);
        const QSize size = reader.size();
        if (size.isValid() && std::max(size.width(), size.height()) > largest_photo)
            reader.setScaledSize(size.scaled(largest_photo, largest_photo, Qt::KeepAspectRatio));
        const QImage image = reader.read();
        const QString name = QUuid::createUuid().toString(QUuid::WithoutBraces) + ".jpg";
        if (image.isNull() || !QDir().mkpath(photo_folder()) || !image.save(photo_folder() + "/" + name, "JPEG", 88))
            return Q_EMIT desk_.message({tr("The photograph cannot be kept"), file, reader.errorString()});
        recipes::Recipe changed = recipe_;
        changed.photo = name.toStdString();
        desk_.keep(tr("Photograph of a recipe"), changed);
    });
    dialog->show();
}

void RecipePanel::show_history() {
    const auto past = desk_.past_of(recipe_.id);
    if (past.size() < 2) return;
    auto* fold = new Fold(tr("History"), inside_);
    constexpr std::size_t most = 12;
    for (std::size_t i = 0; i < std::min(past.size(), most); ++i) {
        const auto& one = past[i];
        const QDateTime at = QDateTime::fromString(QString::fromStdString(one.at), Qt::ISODate);
        auto* line = new QHBoxLayout;
        line->addWidget(make_label(QString("%1 · %2").arg(QLocale().toString(at, QLocale::ShortFormat),
                                                          settings_in_short(one.recipe.settings)),
                                   Tone::quiet, fold),
                        1);
        const bool same = one.recipe.settings == recipe_.settings && one.recipe.note == recipe_.note &&
                          one.recipe.evidence == recipe_.evidence;
        if (!same && !recipe_.locked) {
            auto* back = make_button(tr("Back to this"), ButtonLook::link, fold);
            connect(back, &QPushButton::clicked, this,
                    [this, recipe = one.recipe] { desk_.keep(tr("Back to an earlier recipe"), recipe); });
            line->addWidget(back);
        }
        fold->body()->addLayout(line);
    }
    body_->addWidget(fold);
}

}  // namespace chalkline::app
