// SPDX-License-Identifier: GPL-3.0-or-later
#include "checks/parts.hpp"

#include <chalkline/art/cleaning.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/planning/mending.hpp>

#include <algorithm>
#include <array>
#include <cmath>

namespace chalkline::planning {
namespace {

using geometry::Box;
using geometry::Point;
using steps::StepSettings;

using Mender = Result<job::Job> (*)(const Examined&, const Check&);

tl::unexpected<Error> no_way() {
    return fail(error::no_mending);
}

Result<job::Job> with_settings(const Examined& examined, const Check& check,
                               void (*change)(StepSettings&, const Examined&)) {
    job::Job job = examined.job;
    for (job::Step& step : job.steps)
        if (step.id == check.step) {
            change(step.settings, examined);
            step.typed.clear();
            if (const auto valid = steps::validate(step.settings, examined.ground.machine.top_speed()); !valid)
                return no_way();
            return job;
        }
    return no_way();
}

Result<job::Job> moved(const job::Job& job, Point by) {
    job::Ids all;
    for (const job::Motif& motif : job.motifs)
        all.push_back(motif.id);
    return job::transform(job, all, geometry::Transform::move(by.x, by.y));
}

/// The shortest move that brings a box into another; none when it is larger.
std::optional<Point> way_into(const Box& box, const Box& room) {
    if (box.width() > room.width() + 1e-9 || box.height() > room.height() + 1e-9) return {};
    const auto shift = [](double low, double high, double from, double to) {
        return low < from ? from - low : high > to ? to - high : 0.0;
    };
    return Point{shift(box.left, box.right, room.left, room.right), shift(box.bottom, box.top, room.bottom, room.top)};
}

Result<job::Job> onto_bed(const Examined& examined, const Check&) {
    const auto by = way_into(geometry::bounds(examined.lit), examined.ground.machine.bed());
    if (!by) return no_way();
    return moved(examined.job, *by);
}

bool keeps_margin(const job::Stock& stock, const std::vector<Point>& lit, double margin) {
    const auto outline = stock.outline();
    return worst_overhang(lit, outline).by == 0 && least_margin(lit, outline).by >= margin - 0.01;
}

/// Inside the margin by the shortest way in the piece's own directions; else in the middle, with the margin or without.
Result<job::Job> onto_stock(const Examined& examined, const Check&) {
    const job::Stock& stock = *examined.job.stock;
    const auto to_piece = stock.place().inverse();
    Box box;
    for (const Point p : examined.lit)
        box.add(to_piece(p));
    for (const double margin : {stock.margin.mm(), 0.0}) {
        const Box room{margin, margin, stock.width - margin, stock.height - margin};
        const Point to_middle = Point{stock.width / 2, stock.height / 2} - box.centre();
        for (const auto& by : {way_into(box, room), std::optional(to_middle)}) {
            if (!by) continue;
            const Point shift = stock.place().direction(*by);
            std::vector<Point> lit = examined.lit;
            for (Point& p : lit)
                p = p + shift;
            auto job = moved(examined.job, shift);
            if (job && keeps_margin(stock, lit, margin)) return job;
        }
    }
    return no_way();
}

Result<job::Job> with_run_up(const Examined& examined, const Check& check) {
    const job::Job& job = examined.job;
    const auto step =
        std::find_if(job.steps.begin(), job.steps.end(), [&](const auto& s) { return s.id == check.step; });
    if (step == job.steps.end()) return no_way();
    const Point run_up = run_up_way(step->settings, examined.ground.machine);
    Box box;
    for (const BurnedLine& burned : examined.lines)
        for (const Point p : burned.line.points) {
            box.add(p + run_up);
            box.add(p - run_up);
        }
    const auto by = way_into(box, examined.ground.machine.bed());
    return by ? moved(job, *by) : Result<job::Job>(no_way());
}

/// Lines go the shortest way, which keeps inside first; a step that holds only inner lines comes before the outer one.
Result<job::Job> inner_first(const Examined& examined, const Check&) {
    Result<job::Job> job = examined.job;
    for (std::size_t i = 0; job && i <= job->steps.size() * job->steps.size(); ++i) {
        const Examined now = examine(*job, examined.ground, {});
        const auto loose = loose_inner(now);
        if (!loose) return job;
        job::Job next = *job;
        if (loose->inner->step == loose->outer->step) {
            next.steps[loose->inner->step].settings.line.order = steps::LineSettings::Order::shortest;
            job = std::move(next);
        } else {
            job = job::move_step(std::move(next), job->steps[loose->inner->step].id,
                                 static_cast<int>(loose->outer->step));
        }
    }
    return no_way();
}

/// The later of two motifs that lie on each other goes; lines drawn twice in one motif are cleaned.
Result<job::Job> without_doubles(const Examined& examined, const Check&) {
    job::Job job = examined.job;
    const auto motif_of = [&](std::size_t shape) {
        const auto count = [](const job::Motif& m) { return m.art->shapes.size() + m.art->pictures.size(); };
        std::size_t motif = 0;
        while (shape >= count(job.motifs[motif]))
            shape -= count(job.motifs[motif++]);
        return motif;
    };
    job::Ids gone, unclean;
    for (const auto& [first, second] : doubled_shapes(examined)) {
        const std::size_t a = motif_of(first), b = motif_of(second);
        auto& list = a == b ? unclean : gone;
        const job::Id id = job.motifs[b].id;
        if (std::find(list.begin(), list.end(), id) == list.end()) list.push_back(id);
    }
    for (const job::Id id : unclean) {
        const art::Artwork& art = *job.motif(id)->art;
        auto clean = art::mended(art, {art::Fault::doubled_line}, art.read_with.limits);
        auto& kinds = clean.read_with.mend;
        if (std::find(kinds.begin(), kinds.end(), art::Fault::doubled_line) == kinds.end())
            kinds.push_back(art::Fault::doubled_line);
        auto replaced = job::replace_art(std::move(job), id, std::make_shared<const art::Artwork>(std::move(clean)),
                                         job::Anchor::page);
        if (!replaced) return replaced;
        job = std::move(*replaced);
    }
    // Only a motif that lies on another with all it burns is a copy; others are cleaned by hand.
    for (const job::Id id : gone) {
        const auto twin = [&](const job::Motif& other) {
            return other.id != id && other.art == job.motif(id)->art && other.place == job.motif(id)->place;
        };
        if (std::any_of(job.motifs.begin(), job.motifs.end(), twin))
            if (auto without = job::remove(job, {id})) job = std::move(*without);
    }
    const bool mended = doubled_shapes(examine(job, examined.ground, {})).empty();
    return mended ? Result<job::Job>(job) : no_way();
}

Result<job::Job> within_limits(const Examined& examined, const Check& check) {
    return with_settings(examined, check, [](StepSettings& s, const Examined& e) {
        const auto clamp = [](auto value, auto least, auto most) { return std::clamp(value, least, most); };
        s.power = clamp(s.power, Power::percent(0), Power::percent(100));
        s.speed = clamp(s.speed, Speed::mm_per_min(1), e.ground.machine.top_speed());
        s.passes = clamp(s.passes, 1, steps::most_passes);
        s.line_pitch = clamp(s.line_pitch, steps::finest_pitch, steps::coarsest_pitch);
        if (s.low_power) s.low_power = clamp(*s.low_power, Power::percent(0), s.power);
    });
}

/// Into the range of what is known: dose first, then a speed people use, with the power that keeps the dose.
Result<job::Job> like_evidence(const Examined& examined, const Check& check) {
    job::Job job = examined.job;
    for (job::Step& step : job.steps) {
        if (step.id != check.step) continue;
        const auto& machine = examined.ground.machine;
        const recipes::Known known = known_for(job, step, examined.ground);
        if (known.count == 0) return no_way();
        StepSettings& s = step.settings;
        const double dose = std::clamp(steps::whole_dose(s, machine.beam), known.lowest_dose, known.highest_dose);
        const Speed speed = std::clamp(s.speed, known.slowest, std::min(known.fastest, machine.top_speed()));
        s.power = std::min(machine.beam.power_for(machine.beam.watts_at(s.power) * dose /
                                                  steps::whole_dose(s, machine.beam) * (speed / s.speed)),
                           Power::percent(100));
        s.speed = speed;
        if (s.low_power) s.low_power = std::min(*s.low_power, s.power);
        step.typed.clear();
        return steps::validate(s, machine.top_speed()) ? Result<job::Job>(job) : no_way();
    }
    return no_way();
}

Result<job::Job> cooler(const Examined& examined, const Check& check) {
    // Faster as far as the machine goes, less power for the rest.
    return with_settings(examined, check, [](StepSettings& s, const Examined& e) {
        const auto& machine = e.ground.machine;
        constexpr double wanted = hot_dose / 2;
        const Speed speed = s.speed * (steps::whole_dose(s, machine.beam) / wanted);
        s.speed = std::min(Speed::mm_per_min(std::ceil(speed.mm_per_min())), machine.top_speed());
        const double left = steps::whole_dose(s, machine.beam) / wanted;
        if (left > 1) s.power = machine.beam.power_for(machine.beam.watts_at(s.power) / left);
        if (s.low_power) s.low_power = std::min(*s.low_power, s.power);
    });
}

Result<job::Job> under_ceiling(const Examined& examined, const Check& check) {
    return with_settings(examined, check, [](StepSettings& s, const Examined& e) {
        s.power = *e.ground.ceiling;
        if (s.low_power) s.low_power = std::min(*s.low_power, s.power);
    });
}

Result<job::Job> following_beam(const Examined& examined, const Check& check) {
    return with_settings(examined, check, [](StepSettings& s, const Examined&) {
        s.beam = steps::BeamControl::following;
        s.low_power.reset();
    });
}

Result<job::Job> spot_pitch(const Examined& examined, const Check& check) {
    return with_settings(examined, check, [](StepSettings& s, const Examined& e) {
        s.line_pitch = Length::mm(std::max(std::floor(e.ground.machine.spot * 100) / 100, steps::finest_pitch.mm()));
    });
}

struct Remedy {
    std::string_view code;
    Mender mend;
};
constexpr std::array remedies{
    Remedy{check::off_bed, onto_bed},
    Remedy{check::off_stock, onto_stock},
    Remedy{check::near_edge, onto_stock},
    Remedy{check::short_run_up, with_run_up},
    Remedy{check::cut_before_engrave,
           [](const Examined& e, const Check&) -> Result<job::Job> { return job::put_in_order(e.job); }},
    Remedy{check::outer_before_inner, inner_first},
    Remedy{check::ink_without_step,
           [](const Examined& e, const Check&) -> Result<job::Job> { return job::route_loose_inks(e.job); }},
    Remedy{check::idle_step,
           [](const Examined& e, const Check& c) { return job::remove_step(e.job, c.step.value_or(0)); }},
    Remedy{check::settings, within_limits},
    Remedy{check::above_ceiling, under_ceiling},
    Remedy{check::constant_beam, following_beam},
    Remedy{check::pitch_wider_than_spot, spot_pitch},
    Remedy{check::hot_fill, cooler},
    Remedy{check::above_evidence, like_evidence},
    Remedy{check::below_evidence, like_evidence},
    Remedy{check::slower_than_evidence, like_evidence},
    Remedy{check::faster_than_evidence, like_evidence},
    Remedy{check::drawn_twice, without_doubles},
};

const Remedy* remedy_of(const Check& check) {
    const auto found =
        std::find_if(remedies.begin(), remedies.end(), [&](const Remedy& r) { return r.code == check.code; });
    return found == remedies.end() ? nullptr : &*found;
}

}  // namespace

bool can_mend(const Check& check) {
    return remedy_of(check) != nullptr;
}

Result<job::Job> mend(const job::Job& job, const Check& check, const CheckGround& ground,
                      const std::vector<Point>& lit) {
    const Remedy* remedy = remedy_of(check);
    if (!remedy) return no_way();
    return remedy->mend(examine(job, ground, lit), check);
}

}  // namespace chalkline::planning
