// SPDX-License-Identifier: GPL-3.0-or-later
#include "recipes/dose_marks.hpp"

#include <chalkline/planning/checks.hpp>

namespace chalkline::app {

std::vector<DoseMark> dose_marks(const RecipeDesk& desk, const recipes::Wish& wish, recipes::RecipeId except) {
    std::vector<DoseMark> marks;
    for (const recipes::Recipe& recipe : *desk.all()) {
        const auto fit = recipes::fit(recipe, wish);
        if (recipe.id == except || (fit != recipes::Fit::exact && fit != recipes::Fit::near)) continue;
        const QString what = settings_in_short(recipe.settings) + "\n" + wording::describe(recipe.evidence);
        marks.push_back({recipe.settings.power, recipe.settings.speed,
                         recipe.evidence.tested() ? DoseMark::Verdict::kept : DoseMark::Verdict::untested, what});
    }
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
