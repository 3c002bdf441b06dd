// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/units_text.hpp>
#include <chalkline/geometry/region.hpp>
#include <chalkline/job/edits.hpp>

#include <algorithm>
#include <numbers>

namespace chalkline::job {
namespace {

using geometry::Box;
using geometry::Point;
using geometry::Transform;
using steps::StepKind;

Step* find_step(Job& job, Id id) {
    const auto found = std::find_if(job.steps.begin(), job.steps.end(), [id](const Step& s) { return s.id == id; });
    return found == job.steps.end() ? nullptr : &*found;
}

Motif* find_motif(Job& job, Id id) {
    const auto found = std::find_if(job.motifs.begin(), job.motifs.end(), [id](const Motif& m) { return m.id == id; });
    return found == job.motifs.end() ? nullptr : &*found;
}

/// Takes an ink out of every step and out of what is left out.
void unroute(Job& job, const Ink& ink) {
    for (Step& step : job.steps)
        std::erase(step.inks, ink);
    std::erase(job.left_out, ink);
}

/// The closed line that holds all other geometry of the art inside its box and its outline.
std::optional<Ink> enclosing_ink(const art::Artwork& art) {
    struct Outline {
        std::size_t shape;
        geometry::Polyline ring;
        Box box;
    };
    std::optional<Outline> largest;
    Box whole;
    std::vector<std::vector<geometry::Polyline>> lines;
    for (std::size_t i = 0; i < art.shapes.size(); ++i) {
        lines.push_back(art.shapes[i].path.flatten({}, 0.05));
        for (const auto& line : lines.back()) {
            const Box box = geometry::bounds(line);
            whole.add(box);
            if (art.shapes[i].ink.kind != InkKind::line || !line.closed) continue;
            if (!largest || box.contains(largest->box)) largest = Outline{i, line, box};
        }
    }
    if (!largest || !largest->box.contains(whole, 0.01)) return {};

    const geometry::Region inside{{largest->ring}, geometry::FillRule::non_zero};
    const Point centre = largest->box.centre();
    bool anything_else = false;
    for (std::size_t i = 0; i < art.shapes.size(); ++i) {
        const bool same_ink = art.shapes[i].ink == art.shapes[largest->shape].ink;
        for (const auto& line : lines[i]) {
            if (i == largest->shape && line == largest->ring) continue;
            anything_else = true;
            if (same_ink && !line.closed) return {};  // the ink also draws loose lines: no cut
            // A fill of the outline itself lies on it: pull the point a little towards the middle.
            const Point probe = geometry::between(line.points.front(), centre, 0.001);
            if (!geometry::contains(inside, probe)) return {};
        }
    }
    if (!anything_else) return {};
    return art.shapes[largest->shape].ink;
}

/// Where a new step of this kind belongs: after the last step of its kind or of a kind before it.
std::vector<Step>::iterator place_for(Job& job, StepKind kind) {
    auto place = job.steps.end();
    while (place != job.steps.begin() && std::prev(place)->settings.kind > kind)
        --place;
    return place;
}

Step& step_of_kind(Job& job, StepKind kind) {
    for (Step& step : job.steps)
        if (step.settings.kind == kind) return step;
    return *job.steps.insert(place_for(job, kind), Step{++job.last_id, steps::starting_point(kind), {}});
}

void route_loose(Job& job, const std::optional<Ink>& enclosing) {
    constexpr Rgb white{255, 255, 255};
    for (const RoutedInk& routed : routed_inks(job)) {
        if (!routed.steps.empty() || routed.left_out) continue;
        const bool bare = routed.ink.kind == InkKind::fill && routed.ink.rgb == white;
        if (bare)
            job.left_out.push_back(routed.ink);
        else if (routed.ink.kind == InkKind::picture)
            step_of_kind(job, StepKind::picture).inks.push_back(routed.ink);
        else if (routed.ink.kind == InkKind::fill)
            step_of_kind(job, StepKind::engrave).inks.push_back(routed.ink);
        else
            step_of_kind(job, routed.ink == enclosing ? StepKind::cut : StepKind::score).inks.push_back(routed.ink);
    }
}

/// Pictures burn in picture steps, everything else in the others.
Result<void> require_fitting(Job& job, const Ink& ink, Id id) {
    const Step* step = find_step(job, id);
    if (!step) return fail(error::unknown_step);
    const bool picture = ink.kind == InkKind::picture;
    if (picture == (step->settings.kind == StepKind::picture)) return {};
    return fail(picture ? error::no_picture_step : error::only_pictures);
}

}  // namespace

static bool lies_on(double width, double height, const machine::MachineProfile& machine) {
    constexpr double slack = 0.001;
    return width <= machine.width + slack && height <= machine.depth + slack;
}

/// A band round a piece is drawn lying and goes round standing.
static bool only_turned(const Box& box, const machine::MachineProfile& machine) {
    return machine.turning && !lies_on(box.width(), box.height(), machine) &&
           lies_on(box.height(), box.width(), machine);
}

Result<void> fits_bed(const art::Artwork& art, const machine::MachineProfile& machine) {
    const Box box = art::bounds(art);
    if (lies_on(box.width(), box.height(), machine) || only_turned(box, machine)) return {};
    return fail(error::larger_than_bed,
                {{"width", format_number(box.width(), 1)},
                 {"height", format_number(box.height(), 1)},
                 {"bed_width", format_number(machine.width, 1)},
                 {"bed_height", format_number(machine.depth, 1)}},
                art.name);
}

Job add_art(Job job, std::shared_ptr<const art::Artwork> art, const machine::MachineProfile& machine) {
    const Box target = job.stock ? geometry::bounds(job.stock->outline()) : machine.bed();
    const Box box = art::bounds(*art);
    const double turn = only_turned(box, machine) ? -std::numbers::pi / 2 : 0;
    const Point middle = target.centre(), own = box.centre();
    const auto place = Transform::move(middle.x, middle.y) * Transform::turn(turn) * Transform::move(-own.x, -own.y);
    job.motifs.push_back({++job.last_id, art, turn == 0 ? Transform::move(middle.x - own.x, middle.y - own.y) : place});
    route_loose(job, enclosing_ink(*art));
    return job;
}

Result<Job> replace_art(Job job, Id id, std::shared_ptr<const art::Artwork> art, Anchor anchor) {
    Motif* motif = find_motif(job, id);
    if (!motif) return fail(error::unknown_motif);
    const Point before = anchor == Anchor::page ? motif->art->origin * -1 : art::bounds(*motif->art).centre();
    const Point after = anchor == Anchor::page ? art->origin * -1 : art::bounds(*art).centre();
    const Point shift = before - after;
    // Which shape is which is known only as long as they are as many and of the same inks.
    std::erase_if(motif->objects, [&](const OwnStep& object) {
        return art->shapes.size() != motif->art->shapes.size() ||
               art->shapes[object.shape].ink != motif->art->shapes[object.shape].ink;
    });
    motif->art = art;
    motif->place = motif->place * Transform::move(shift.x, shift.y);
    route_loose(job, enclosing_ink(*art));
    return job;
}

Result<Job> register_page(Job job, Id id, Point corner, double angle) {
    Motif* motif = find_motif(job, id);
    if (!motif) return fail(error::unknown_motif);
    const Point origin = motif->art->origin;
    motif->place = Transform::move(corner.x, corner.y) * Transform::turn(angle) * Transform::move(origin.x, origin.y);
    return job;
}

Job place_art(Job job, Point lower_left) {
    const Box box = bounds(job);
    for (Motif& motif : job.motifs)
        motif.place = Transform::move(lower_left.x - box.left, lower_left.y - box.bottom) * motif.place;
    return job;
}

Result<Job> route_ink(Job job, const Ink& ink, Id id) {
    if (const auto fits = require_fitting(job, ink, id); !fits) return tl::unexpected(fits.error());
    unroute(job, ink);
    find_step(job, id)->inks.push_back(ink);
    return job;
}

Result<Job> also_route_ink(Job job, const Ink& ink, Id id) {
    if (const auto fits = require_fitting(job, ink, id); !fits) return tl::unexpected(fits.error());
    Step* step = find_step(job, id);
    std::erase(job.left_out, ink);
    if (std::find(step->inks.begin(), step->inks.end(), ink) == step->inks.end()) step->inks.push_back(ink);
    return job;
}

Result<Job> take_ink_from(Job job, const Ink& ink, Id id) {
    Step* step = find_step(job, id);
    if (!step) return fail(error::unknown_step);
    std::erase(step->inks, ink);
    return job;
}

Result<Job> send_object(Job job, Id id, std::size_t shape, std::optional<Id> step) {
    Motif* motif = find_motif(job, id);
    if (!motif || shape >= motif->art->shapes.size()) return fail(error::unknown_motif);
    if (step && !find_step(job, *step)) return fail(error::unknown_step);
    std::erase_if(motif->objects, [shape](const OwnStep& object) { return object.shape == shape; });
    if (!step) return job;
    const auto place = std::find_if(motif->objects.begin(), motif->objects.end(),
                                    [shape](const OwnStep& object) { return object.shape > shape; });
    motif->objects.insert(place, {shape, *step});
    return job;
}

Result<Job> give_own_step(Job job, Id id, std::size_t shape) {
    const Motif* motif = job.motif(id);
    if (!motif || shape >= motif->art->shapes.size()) return fail(error::unknown_motif);
    const auto from = std::find_if(job.steps.begin(), job.steps.end(),
                                   [&](const Step& step) { return Job::sent(step, *motif, shape); });
    const bool fill = motif->art->shapes[shape].ink.kind == InkKind::fill;
    const auto like =
        from != job.steps.end() ? from->settings : steps::starting_point(fill ? StepKind::engrave : StepKind::score);
    const auto place = from == job.steps.end() ? place_for(job, like.kind) : from + 1;
    const Id step = ++job.last_id;
    job.steps.insert(place, Step{step, like, {}});
    return send_object(std::move(job), id, shape, step);
}

Result<Job> mark_path(Job job, Id id, PathMark::Kind kind, Point on_bed) {
    Motif* motif = find_motif(job, id);
    if (!motif || motif->place.area() == 0) return fail(error::unknown_motif);
    motif->marks.push_back({kind, on_page(*motif, on_bed)});
    return job;
}

Result<Job> clear_path_marks(Job job, Id id) {
    Motif* motif = find_motif(job, id);
    if (!motif) return fail(error::unknown_motif);
    motif->marks.clear();
    return job;
}

Result<Job> turn_step(Job job, Id id, bool on) {
    Step* step = find_step(job, id);
    if (!step) return fail(error::unknown_step);
    step->on = on;
    return job;
}

Result<Job> note_step(Job job, Id id, const std::string& note) {
    Step* step = find_step(job, id);
    if (!step) return fail(error::unknown_step);
    step->note = note;
    return job;
}

Job route_loose_inks(Job job) {
    route_loose(job, {});
    return job;
}

Job leave_out(Job job, const Ink& ink) {
    unroute(job, ink);
    job.left_out.push_back(ink);
    return job;
}

Job add_step(Job job, StepKind kind) {
    job.steps.insert(place_for(job, kind), Step{++job.last_id, steps::starting_point(kind), {}});
    return job;
}

Result<Job> remove_step(Job job, Id id) {
    if (!find_step(job, id)) return fail(error::unknown_step);
    std::erase_if(job.steps, [id](const Step& s) { return s.id == id; });
    for (Motif& motif : job.motifs)
        if (motif.step == id) motif.step.reset();
    for (Motif& motif : job.motifs)
        std::erase_if(motif.objects, [id](const OwnStep& object) { return object.step == id; });
    return job;
}

Result<Job> change_settings(Job job, Id id, const steps::StepSettings& settings, Speed top_speed) {
    Step* step = find_step(job, id);
    if (!step) return fail(error::unknown_step);
    if (auto valid = steps::validate(settings, top_speed); !valid) return tl::unexpected(valid.error());
    step->settings = settings;
    return job;
}

Result<Job> take_trim(Job job, Id id, machine::Trim trim, Speed top_speed) {
    Step* step = find_step(job, id);
    if (!step) return fail(error::unknown_step);
    steps::StepSettings settings = step->settings;
    settings.power = Power::percent(std::min(100.0, settings.power.percent() * trim.power / 100));
    if (settings.low_power)
        settings.low_power = Power::percent(std::min(100.0, settings.low_power->percent() * trim.power / 100));
    settings.speed = std::min(top_speed, Speed::mm_per_min(settings.speed.mm_per_min() * trim.speed / 100));
    step->typed.erase("power");
    step->typed.erase("speed");
    return change_settings(std::move(job), id, settings, top_speed);
}

Result<Job> keep_typed(Job job, Id id, const std::string& key, const std::string& words) {
    Step* step = find_step(job, id);
    if (!step) return fail(error::unknown_step);
    if (words.empty())
        step->typed.erase(key);
    else
        step->typed[key] = words;
    return job;
}

Result<Job> move_step(Job job, Id id, int place) {
    const Step* step = find_step(job, id);
    if (!step) return fail(error::unknown_step);
    const Step moved = *step;
    std::erase_if(job.steps, [id](const Step& s) { return s.id == id; });
    job.steps.insert(job.steps.begin() + std::clamp<int>(place, 0, static_cast<int>(job.steps.size())), moved);
    return job;
}

Result<Job> prepare_picture(Job job, Id id, const raster::Preparation& preparation) {
    Motif* motif = find_motif(job, id);
    if (!motif) return fail(error::unknown_motif);
    motif->preparation = preparation;
    return job;
}

Result<Job> keep_variant(Job job, Id id, Id step_id, const std::string& name) {
    Motif* motif = find_motif(job, id);
    const Step* step = find_step(job, step_id);
    if (!motif) return fail(error::unknown_motif);
    if (!step) return fail(error::unknown_step);
    Variant kept{name, motif->preparation, step->settings};
    const auto known = std::find_if(motif->variants.begin(), motif->variants.end(),
                                    [&](const Variant& variant) { return variant.name == name; });
    if (known != motif->variants.end())
        *known = std::move(kept);
    else
        motif->variants.push_back(std::move(kept));
    return job;
}

Result<Job> use_variant(Job job, Id id, Id step_id, std::size_t index) {
    Motif* motif = find_motif(job, id);
    Step* step = find_step(job, step_id);
    if (!motif) return fail(error::unknown_motif);
    if (!step) return fail(error::unknown_step);
    if (index >= motif->variants.size()) return fail(error::unknown_variant);
    const Variant& variant = motif->variants[index];
    motif->preparation = variant.preparation;
    step->settings = variant.applied_to(step->settings);
    return job;
}

Result<Job> drop_variant(Job job, Id id, std::size_t index) {
    Motif* motif = find_motif(job, id);
    if (!motif) return fail(error::unknown_motif);
    if (index >= motif->variants.size()) return fail(error::unknown_variant);
    motif->variants.erase(motif->variants.begin() + static_cast<std::ptrdiff_t>(index));
    return job;
}

Job put_in_order(Job job) {
    std::stable_sort(job.steps.begin(), job.steps.end(),
                     [](const Step& a, const Step& b) { return a.settings.kind < b.settings.kind; });
    return job;
}

bool order_fault(const Job& job) {
    bool cut = false;
    for (const Step& step : job.steps) {
        if (!step.on || !job.has_work(step)) continue;
        if (cut && step.settings.kind != StepKind::cut) return true;
        cut = cut || step.settings.kind == StepKind::cut;
    }
    return false;
}

Job override_check(Job job, const Override& one) {
    std::erase_if(job.overrides, [&](const Override& other) { return other.code == one.code; });
    if (!one.reason.empty()) job.overrides.push_back(one);
    return job;
}

Job set_stock(Job job, std::optional<Stock> stock) {
    job.stock = std::move(stock);
    return job;
}

}  // namespace chalkline::job
