// SPDX-License-Identifier: GPL-3.0-or-later
#include "recipes/recipe_sheets.hpp"

#include "recipes/dose_marks.hpp"
#include "widgets/sheet.hpp"

#include <chalkline/job/edits.hpp>

#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QFormLayout>
#include <QLineEdit>
#include <QListWidget>
#include <algorithm>

namespace chalkline::app {
namespace {

using recipes::Evidence;
using recipes::Recipe;

constexpr int list_height = 172;  // px

QListWidget* add_list(Sheet* sheet, const QString& name) {
    auto* list = new QListWidget(sheet);
    list->setAccessibleName(name);
    list->setFixedHeight(list_height);
    list->setWordWrap(true);
    list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    sheet->add_widget(list);
    return list;
}

QString inks_text(const std::vector<Ink>& inks) {
    QStringList names;
    for (const Ink& ink : inks)
        names << (ink.kind == InkKind::picture
                      ? Sheet::tr("a picture")
                      : QString("%1 %2").arg(QString::fromStdString(to_text(ink.rgb)),
                                             ink.kind == InkKind::fill ? Sheet::tr("fill") : Sheet::tr("line")));
    return names.join(", ");
}

/// What a routine would do, in sentences.
QString effect_text(const job::RoutineEffect& effect, const job::Job& before, const job::Routine& routine) {
    QStringList lines;
    lines << Sheet::tr("%n steps take the place of the job's own.", nullptr, static_cast<int>(routine.steps.size()));
    if (!effect.known.empty()) lines << Sheet::tr("Goes where the routine says: %1.").arg(inks_text(effect.known));
    if (!effect.unknown.empty())
        lines << Sheet::tr("Not known to the routine, without a step afterwards: %1.").arg(inks_text(effect.unknown));
    if (!effect.unused.empty()) lines << Sheet::tr("Not in this art: %1.").arg(inks_text(effect.unused));
    if (effect.objects > 0) lines << Sheet::tr("%n single objects go by their inks again.", nullptr, effect.objects);
    if (effect.stock)
        lines << Sheet::tr("The piece becomes %1, %2.")
                     .arg(QString::fromStdString(routine.stock->material),
                          QString::fromStdString(format_length(routine.stock->thickness, LengthUnit::mm)));
    if (effect.moved) lines << Sheet::tr("The art moves to the routine's place.");
    if (before.motifs.empty()) lines << Sheet::tr("There is no art yet: it goes by the routine when it comes.");
    return lines.join("\n");
}

}  // namespace

QString difference_text(const steps::StepSettings& before, const steps::StepSettings& after) {
    QStringList lines;
    for (const auto& difference : steps::differences(before, after)) {
        const auto change = wording::describe(difference);
        lines << QString("%1  %2 → %3").arg(change.name, change.before, change.after);
    }
    return lines.isEmpty() ? Sheet::tr("Nothing changes: the step has these settings already.") : lines.join("\n");
}

void open_take_sheet(JobDocument& document, RecipeDesk& desk, job::Id id, QWidget* over) {
    const job::Step* step = document.job().step(id);
    if (!step) return;
    const auto offered = desk.fitting(document.job(), step->settings.kind);
    auto* sheet = new Sheet(Sheet::tr("Take from recipes"), over);
    const auto& stock = document.job().stock;
    const QString piece =
        stock ? Sheet::tr("%1, %2").arg(QString::fromStdString(stock->material),
                                        QString::fromStdString(format_length(stock->thickness, LengthUnit::mm)))
              : Sheet::tr("any material: no piece is set");
    sheet->add_text(Sheet::tr("%1 for %2").arg(wording::name(step->settings.kind), piece), Tone::quiet);
    if (offered.empty()) {
        sheet->add_text(Sheet::tr("No recipe fits. Keep this step as a recipe once it came out well."));
        sheet->add_button(Sheet::tr("Close"), ButtonLook::accent, {});
        return sheet->open();
    }
    auto* list = add_list(sheet, Sheet::tr("Recipes that fit"));
    for (const Recipe& recipe : offered) {
        QString line = settings_in_short(recipe.settings) + "\n" + wording::describe(recipe.evidence);
        if (!stock)
            line += QString(" · %1 %2")
                        .arg(QString::fromStdString(recipe.material),
                             QString::fromStdString(format_length(recipe.thickness, LengthUnit::mm)));
        if (const QString old = wording::describe(recipes::freshness(recipe, desk.care())); !old.isEmpty())
            line += " · " + old;
        list->addItem(line);
    }
    sheet->add_text(Sheet::tr("What changes in the step"), Tone::heading);
    auto* changes = sheet->add_text({});
    changes->setAccessibleName(Sheet::tr("What changes in the step"));
    changes->setMinimumHeight(72);
    changes->setAlignment(Qt::AlignTop);
    const auto show = [changes, offered, before = step->settings](int row) {
        if (row >= 0) changes->setText(difference_text(before, offered[static_cast<std::size_t>(row)].settings));
    };
    QObject::connect(list, &QListWidget::currentRowChanged, changes, show);
    list->setCurrentRow(0);
    sheet->add_button(Sheet::tr("Cancel"), ButtonLook::plain, {});
    sheet->add_button(Sheet::tr("Take it"), ButtonLook::accent, [&document, &desk, list, offered, id] {
        if (list->currentRow() < 0) return;
        const auto& settings = offered[static_cast<std::size_t>(list->currentRow())].settings;
        const auto done =
            document.edit(Sheet::tr("Take from recipes"),
                          job::change_settings(document.job(), id, settings, desk.top_speed()), JobChange::steps);
        if (!done) Q_EMIT desk.message(wording::describe(done.error()));
    });
    sheet->open();
    list->setFocus();
}

void open_keep_sheet(const JobDocument& document, RecipeDesk& desk, job::Id id, QWidget* over) {
    const job::Step* step = document.job().step(id);
    if (!step) return;
    const auto stock = document.job().stock.value_or(job::Stock{});
    auto* sheet = new Sheet(Sheet::tr("Keep as recipe"), over);
    sheet->add_text(QString("%1 · %2").arg(wording::name(step->settings.kind), settings_in_short(step->settings)),
                    Tone::quiet);
    auto* form = new QWidget(sheet);
    auto* rows = new QFormLayout(form);
    rows->setContentsMargins(0, 0, 0, 0);
    const auto add = [&](const QString& name, QWidget* field) {
        field->setAccessibleName(name);
        rows->addRow(make_label(name, Tone::quiet, form), field);
    };
    auto* material = new QLineEdit(QString::fromStdString(stock.material), form);
    auto* thickness = make_length_field(Sheet::tr("Thickness"), form);
    thickness->show_value(stock.thickness.mm());
    auto* evidence = new QComboBox(form);
    keep_from_wheel(evidence);
    evidence->addItem(Sheet::tr("It came out well"), static_cast<int>(Evidence::Kind::burned));
    evidence->addItem(Sheet::tr("From a chart or manual"), static_cast<int>(Evidence::Kind::chart));
    evidence->addItem(Sheet::tr("Not tested yet"), static_cast<int>(Evidence::Kind::none));
    evidence->setCurrentIndex(2);
    auto* preparation = new QLineEdit(form);
    preparation->setPlaceholderText(Sheet::tr("masked, wiped damp, painted…"));
    auto* note = new QLineEdit(QString::fromStdString(step->note), form);
    add(Sheet::tr("Material"), material);
    add(Sheet::tr("Thickness"), thickness);
    add(Sheet::tr("Evidence"), evidence);
    add(Sheet::tr("Preparation"), preparation);
    add(Sheet::tr("Note"), note);
    sheet->add_widget(form);
    sheet->add_button(Sheet::tr("Cancel"), ButtonLook::plain, {});
    sheet->add_button(Sheet::tr("Keep"), ButtonLook::accent, [=, &desk, settings = step->settings] {
        if (material->text().trimmed().isEmpty())
            return Q_EMIT desk.message({Sheet::tr("The recipe needs a material"), {}, Sheet::tr("It was not kept.")});
        Recipe recipe{.machine = desk.machine(),
                      .material = material->text().trimmed().toStdString(),
                      .thickness = Length::mm(thickness->value()),
                      .settings = settings,
                      .note = note->text().trimmed().toStdString()};
        recipe.evidence.kind = static_cast<Evidence::Kind>(evidence->currentData().toInt());
        recipe.evidence.date = QDate::currentDate().toString(Qt::ISODate).toStdString();
        recipe.evidence.preparation = preparation->text().trimmed().toStdString();
        if (desk.keep(Sheet::tr("Keep recipe"), recipe))
            Q_EMIT desk.message({Sheet::tr("Kept as a recipe for %1").arg(material->text().trimmed()), {}, {}});
    });
    sheet->open();
    (stock.material.empty() ? static_cast<QWidget*>(material) : evidence)->setFocus();
}

void open_routines_sheet(JobDocument& document, RecipeDesk& desk, QWidget* over) {
    const auto routines = desk.routines();
    const auto first = desk.first_routine();
    auto* sheet = new Sheet(Sheet::tr("Routines"), over);
    sheet->add_text(Sheet::tr("A whole run sheet with its inks, piece and place, for products that come again."),
                    Tone::quiet);
    auto* list = add_list(sheet, Sheet::tr("Routines"));
    for (const auto& routine : routines)
        list->addItem(QString::fromStdString(routine.name) +
                      (first && first->name == routine.name ? Sheet::tr(" · new jobs begin with it") : QString()));
    list->setFixedHeight(routines.empty() ? 0 : std::min(list_height, 30 * static_cast<int>(routines.size()) + 12));
    auto* effect = sheet->add_text(routines.empty() ? Sheet::tr("None is kept yet.") : QString());
    effect->setAccessibleName(Sheet::tr("What the routine changes"));
    effect->setMinimumHeight(routines.empty() ? 0 : 96);
    effect->setAlignment(Qt::AlignTop);
    const auto chosen = [list, routines]() -> const job::Routine* {
        const int row = list->currentRow();
        return row < 0 ? nullptr : &routines[static_cast<std::size_t>(row)];
    };
    QObject::connect(list, &QListWidget::currentRowChanged, effect, [&document, effect, chosen] {
        if (const auto* routine = chosen())
            effect->setText(effect_text(job::apply(document.job(), *routine), document.job(), *routine));
    });
    auto* name = new QLineEdit(sheet);
    name->setPlaceholderText(Sheet::tr("Name for this job's run sheet"));
    name->setAccessibleName(Sheet::tr("Name of the routine"));
    name->setMaxLength(60);
    sheet->add_widget(name);
    auto* begins = new QCheckBox(Sheet::tr("New jobs begin with it"), sheet);
    sheet->add_widget(begins);
    sheet->add_button(Sheet::tr("Close"), ButtonLook::plain, {});
    auto* keep = sheet->add_button(Sheet::tr("Keep"), ButtonLook::plain, [&document, &desk, name, begins] {
        const QString called = name->text().trimmed();
        desk.keep_routine(job::routine_of(document.job(), called.toStdString()), begins->isChecked());
        Q_EMIT desk.message({Sheet::tr("Kept as the routine “%1”").arg(called), {}, {}});
    });
    keep->setEnabled(false);
    QObject::connect(name, &QLineEdit::textChanged, keep,
                     [keep](const QString& text) { keep->setEnabled(!text.trimmed().isEmpty()); });
    if (!routines.empty()) {
        sheet->add_button(Sheet::tr("Remove"), ButtonLook::plain, [&desk, chosen] {
            if (const auto* routine = chosen()) desk.remove_routine(QString::fromStdString(routine->name));
        });
        sheet->add_button(Sheet::tr("Apply"), ButtonLook::accent, [&document, chosen] {
            const auto* routine = chosen();
            if (!routine) return;
            // The run sheet is replaced whole and cannot fail: an error of the edit is not possible here.
            (void)document.edit(Sheet::tr("Apply routine"), job::apply(document.job(), *routine).job,
                                JobChange::place | JobChange::steps | JobChange::stock);
        });
        list->setCurrentRow(0);
    }
    sheet->open();
    (routines.empty() ? static_cast<QWidget*>(name) : list)->setFocus();
}

}  // namespace chalkline::app
