// SPDX-License-Identifier: GPL-3.0-or-later
#include "chalk/parts.hpp"

#include <chalkline/job/placing.hpp>
#include <chalkline/job/routine.hpp>

#include <algorithm>

namespace chalkline::job {
namespace {

using geometry::Box;
using geometry::Point;

constexpr int routine_version = 1;
constexpr double same_place = 0.001;  // mm

bool has(const std::vector<Ink>& inks, const Ink& ink) {
    return std::find(inks.begin(), inks.end(), ink) != inks.end();
}

bool knows(const Routine& routine, const Ink& ink) {
    return has(routine.left_out, ink) || std::any_of(routine.steps.begin(), routine.steps.end(),
                                                     [&](const Step& step) { return has(step.inks, ink); });
}

std::optional<Routine::Reference> reference_of(const Job& job) {
    const auto place = datum_place(job);
    const Box box = bounds(job);
    if (!place || box.empty()) return {};
    const auto share = [](double from, double size) { return size > 0 ? from / size : 0; };
    return Routine::Reference{{share(place->x - box.left, box.width()), share(place->y - box.bottom, box.height())},
                              *place};
}

/// Objects and motifs go by their inks again: the steps they named are gone.
int forget_own_steps(Job& job) {
    int count = 0;
    for (Motif& motif : job.motifs) {
        count += static_cast<int>(motif.objects.size()) + (motif.step ? 1 : 0);
        motif.objects.clear();
        motif.step.reset();
    }
    return count;
}

void sort_inks(RoutineEffect& effect, const Routine& routine) {
    std::vector<Ink> art;
    for (const RoutedInk& routed : routed_inks(effect.job)) {
        art.push_back(routed.ink);
        (knows(routine, routed.ink) ? effect.known : effect.unknown).push_back(routed.ink);
    }
    for (const Step& step : routine.steps)
        for (const Ink& ink : step.inks)
            if (!has(art, ink) && !has(effect.unused, ink)) effect.unused.push_back(ink);
}

/// Moves the art so that its reference point lies where the routine says, and makes that the datum.
void place_art(RoutineEffect& effect, const Routine::Reference& reference) {
    Job& job = effect.job;
    const Box box = bounds(job);
    const Point now{box.left + reference.in_box.x * box.width(), box.bottom + reference.in_box.y * box.height()};
    const Point by = reference.on_bed - now;
    Ids loose;
    for (const Motif& motif : job.motifs)
        if (!motif.locked) loose.push_back(motif.id);
    effect.moved = !loose.empty() && geometry::distance({}, by) > same_place;
    if (effect.moved)
        if (auto moved = transform(job, loose, geometry::Transform::move(by.x, by.y))) job = std::move(*moved);
    const auto holder = std::find_if(job.motifs.begin(), job.motifs.end(), [&](const Motif& m) { return !m.locked; });
    if (holder == job.motifs.end()) return;
    if (auto with_datum = set_datum(job, holder->id, reference.on_bed)) job = std::move(*with_datum);
}

}  // namespace

Routine routine_of(const Job& job, const std::string& name) {
    Routine routine{name, job.steps, job.left_out, job.stock, reference_of(job)};
    for (std::size_t i = 0; i < routine.steps.size(); ++i)
        routine.steps[i].id = static_cast<Id>(i) + 1;
    return routine;
}

RoutineEffect apply(const Job& job, const Routine& routine) {
    RoutineEffect effect{job, {}, {}, {}, 0, false, false};
    effect.objects = forget_own_steps(effect.job);
    effect.job.steps = routine.steps;
    for (Step& step : effect.job.steps)
        step.id = ++effect.job.last_id;
    effect.job.left_out = routine.left_out;
    sort_inks(effect, routine);
    if (!routine.stock) return effect;
    effect.stock = effect.job.stock != routine.stock;
    effect.job.stock = routine.stock;
    if (routine.reference && !effect.job.motifs.empty()) place_art(effect, *routine.reference);
    return effect;
}

std::string to_json(const Routine& routine) {
    Json json{{"format", "chalkline-routine"}, {"version", routine_version}, {"name", routine.name}};
    json["steps"] = Json::array();
    for (const Step& step : routine.steps)
        json["steps"].push_back(to_json(step));
    json["left_out"] = to_json(routine.left_out);
    if (routine.stock) json["stock"] = to_json(*routine.stock);
    if (const auto& at = routine.reference)
        json["reference"] = {{"in_box", {at->in_box.x, at->in_box.y}}, {"on_bed_mm", {at->on_bed.x, at->on_bed.y}}};
    return json.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

Result<Routine> routine_from_json(std::string_view text) {
    const Json json = Json::parse(text, nullptr, false);
    if (!json.is_object() || json.value("format", Json()) != "chalkline-routine")
        return fail(error::bad_routine, {{"reason", "format"}});
    try {
        if (json.at("version") > routine_version) return fail(error::bad_routine, {{"reason", "version"}});
        Routine routine{json.at("name"), {}, inks_from_json(json.at("left_out")), {}, {}};
        for (const Json& step : json.at("steps"))
            routine.steps.push_back(step_from_json(step));
        if (json.contains("stock")) routine.stock = stock_from_json(json.at("stock"));
        if (json.contains("reference")) {
            const Json& at = json.at("reference");
            routine.reference =
                Routine::Reference{point_from_json(at.at("in_box")), point_from_json(at.at("on_bed_mm"))};
        }
        return routine;
    } catch (const std::exception& problem) {
        return fail(error::bad_routine, {{"reason", problem.what()}});
    }
}

}  // namespace chalkline::job
