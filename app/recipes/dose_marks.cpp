// SPDX-License-Identifier: GPL-3.0-or-later
#include "recipes/dose_marks.hpp"

#include <chalkline/planning/checks.hpp>
#include <chalkline/recipes/materials.hpp>
#include <chalkline/wording/swatch_words.hpp>

#include <QCoreApplication>
#include <algorithm>

namespace chalkline::app {
namespace {

/// Swatches somebody judged or measured: those that were good, and those that were not. A good one that became a recipe
/// has its mark already.
void add_swatches(std::vector<DoseMark>& marks, const swatches::CardRecord& record, const steps::Beam& beam) {
    const swatches::Layout layout = swatches::layout_of(record.card, beam);
    for (const auto& burn : record.burns)
        for (const auto& result : burn.results) {
            const swatches::Cell* cell = layout.at(result.place);
            if (!cell || cell->left_out || result.verdict == swatches::Verdict::none) continue;
            const bool good = swatches::is_good(result.verdict);
            const bool known = std::any_of(marks.begin(), marks.end(), [&](const DoseMark& mark) {
                return mark.power == cell->settings.power && mark.speed == cell->settings.speed;
            });
            if (known) continue;
            QString what = settings_in_short(cell->settings) + "\n" + wording::name(result.verdict);
            if (result.measured)
                what += ", " + QCoreApplication::translate("dose_marks", "darkness %1")
                                   .arg(QString::fromStdString(format_number(result.measured->darkness, 2)));
            marks.push_back({cell->settings.power, cell->settings.speed,
                             good ? DoseMark::Verdict::kept : DoseMark::Verdict::rejected, what});
        }
}

}  // namespace

std::vector<DoseMark> dose_marks(const RecipeDesk& desk, const recipes::Wish& wish, recipes::RecipeId except) {
    std::vector<DoseMark> marks;
    for (const recipes::Recipe& recipe : *desk.all()) {
        const auto fit = recipes::fit(recipe, wish);
        if (recipe.id == except || (fit != recipes::Fit::exact && fit != recipes::Fit::near)) continue;
        const QString what = settings_in_short(recipe.settings) + "\n" + wording::describe(recipe.evidence);
        marks.push_back({recipe.settings.power, recipe.settings.speed,
                         recipe.evidence.tested() ? DoseMark::Verdict::kept : DoseMark::Verdict::untested, what});
    }
    for (const swatches::CardRecord& record : desk.cards())
        if (record.card.settings.kind == wish.kind && recipes::same_material(record.card.material, wish.material) &&
            record.card.thickness == wish.thickness && record.card.machine == wish.machine.name)
            add_swatches(marks, record, wish.machine.beam);
    return marks;
}

QString unlike_evidence(const RecipeDesk& desk, const recipes::Wish& wish, Speed speed) {
    const auto known = recipes::known_of(*desk.all(), wish);
    const auto check = planning::check_speed(known, speed, wish.material);
    return check ? wording::describe(*check).what : QString();
}

QString settings_in_short(const steps::StepSettings& s) {
    QStringList parts{QString::fromStdString(format_power(s.power)),
                      QString::fromStdString(format_speed(s.speed, SpeedUnit::mm_per_min))};
    if (s.passes > 1) parts << QString("%1×").arg(s.passes);
    return parts.join(" · ");
}

}  // namespace chalkline::app
