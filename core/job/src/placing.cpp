// SPDX-License-Identifier: GPL-3.0-or-later
#include "units.hpp"

#include <chalkline/geometry/region.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>

namespace chalkline::job {
namespace {

using geometry::Box;
using geometry::Point;
using geometry::Transform;

bool holds(const Ids& ids, Id id) {
    return std::find(ids.begin(), ids.end(), id) != ids.end();
}

Result<void> require_known(const Job& job, const Ids& motifs) {
    for (const Id id : motifs)
        if (!job.motif(id)) return fail(error::unknown_motif);
    return {};
}

/// The chosen motifs that may move.
Result<Ids> movable(const Job& job, const Ids& motifs) {
    if (auto known = require_known(job, motifs); !known) return tl::unexpected(known.error());
    Ids free;
    for (const Id id : motifs)
        if (!job.motif(id)->locked) free.push_back(id);
    if (free.empty() && !motifs.empty()) return fail(error::locked);
    return free;
}

template <class Change>
void for_each_chosen(Job& job, const Ids& motifs, Change change) {
    for (Motif& motif : job.motifs)
        if (holds(motifs, motif.id)) change(motif);
}

void shift(Job& job, const Ids& motifs, Point by) {
    for_each_chosen(job, motifs, [&](Motif& m) { m.place = Transform::move(by.x, by.y) * m.place; });
}

/// The box lies wholly on the piece.
bool lies_on(const geometry::Region& piece, const Box& box) {
    const auto corners = geometry::outline(box.grown(-1e-6)).points;
    const auto& ring = piece.rings[0].points;
    const bool side_within = std::any_of(ring.begin(), ring.end(), [&](Point p) { return box.contains(p, -1e-6); });
    return !side_within &&
           std::all_of(corners.begin(), corners.end(), [&](Point p) { return geometry::contains(piece, p); });
}

}  // namespace

Ids with_groups(const Job& job, const Ids& motifs) {
    Ids groups, all;
    for (const Id id : motifs)
        if (const Motif* motif = job.motif(id); motif && motif->group != 0) groups.push_back(motif->group);
    for (const Motif& motif : job.motifs)
        if (holds(motifs, motif.id) || (motif.group != 0 && holds(groups, motif.group))) all.push_back(motif.id);
    return all;
}

Result<Job> transform(Job job, const Ids& motifs, const Transform& map) {
    const auto free = movable(job, motifs);
    if (!free) return tl::unexpected(free.error());
    for_each_chosen(job, *free, [&](Motif& motif) { motif.place = map * motif.place; });
    return job;
}

Result<Added> copy(Job job, const Ids& motifs, Point by) {
    if (auto known = require_known(job, motifs); !known) return tl::unexpected(known.error());
    if (job.motifs.size() + motifs.size() > most_motifs)
        return fail(error::too_many_motifs, {{"limit", std::to_string(most_motifs)}});
    Ids added;
    std::map<Id, Id> groups;
    for (const Motif& original : std::vector<Motif>(job.motifs)) {
        if (!holds(motifs, original.id)) continue;
        Motif motif = original;
        motif.id = ++job.last_id;
        motif.locked = false;
        if (motif.group != 0) {
            const auto [group, fresh] = groups.try_emplace(motif.group, 0);
            if (fresh) group->second = ++job.last_id;
            motif.group = group->second;
        }
        motif.place = Transform::move(by.x, by.y) * motif.place;
        added.push_back(motif.id);
        job.motifs.push_back(std::move(motif));
    }
    return Added{std::move(job), std::move(added)};
}

Result<Added> repeat(Job job, const Ids& motifs, const Repeat& repeat) {
    const Box box = bounds(job, motifs);
    const auto count = static_cast<std::size_t>(std::max(1, repeat.columns)) *
                       static_cast<std::size_t>(std::max(1, repeat.rows)) * motifs.size();
    if (job.motifs.size() + count > most_motifs)
        return fail(error::too_many_motifs, {{"limit", std::to_string(most_motifs)}});
    Added all{std::move(job), {}};
    for (int row = 0; row < repeat.rows; ++row) {
        for (int column = 0; column < repeat.columns; ++column) {
            if (row == 0 && column == 0) continue;
            auto added = copy(std::move(all.job), motifs,
                              {column * (box.width() + repeat.gap_x), row * (box.height() + repeat.gap_y)});
            if (!added) return added;
            all.job = std::move(added->job);
            all.motifs.insert(all.motifs.end(), added->motifs.begin(), added->motifs.end());
        }
    }
    return all;
}

Result<Added> fill_stock(Job job, const Ids& motifs, double gap, double margin) {
    if (!job.stock) return fail(error::no_stock);
    const auto free = movable(job, motifs);
    if (!free) return tl::unexpected(free.error());
    const geometry::Region piece{{job.stock->outline()}, geometry::FillRule::non_zero};
    const Box area = geometry::bounds(piece.rings[0]).grown(-margin), one = bounds(job, *free);
    constexpr double slack = 1e-6;
    const auto fitting = [&](double room, double size) {
        return static_cast<int>(std::floor((room + gap + slack) / std::max(size + gap, 0.01)));
    };
    const int columns = fitting(area.width(), one.width()), rows = fitting(area.height(), one.height());
    if (one.empty() || columns < 1 || rows < 1) return fail(error::no_room);

    std::vector<Point> places;
    for (int row = 0; row < rows; ++row) {
        for (int column = 0; column < columns; ++column) {
            const Point at{area.left + column * (one.width() + gap), area.bottom + row * (one.height() + gap)};
            const Box box{at.x, at.y, at.x + one.width(), at.y + one.height()};
            if (lies_on(piece, box.grown(margin))) places.push_back(at);
        }
    }
    if (places.empty()) return fail(error::no_room);
    const Point from{one.left, one.bottom};
    shift(job, *free, places[0] - from);
    Added all{std::move(job), {}};
    for (std::size_t i = 1; i < places.size(); ++i) {
        auto added = copy(std::move(all.job), *free, places[i] - places[0]);
        if (!added) return added;
        all.job = std::move(added->job);
        all.motifs.insert(all.motifs.end(), added->motifs.begin(), added->motifs.end());
    }
    return all;
}

Result<Job> align(Job job, const Ids& motifs, Side side, const Box& to) {
    const auto free = movable(job, motifs);
    if (!free) return tl::unexpected(free.error());
    for (const Unit& unit : units_of(job, *free)) {
        Point by;
        switch (side) {
            case Side::left:
                by.x = to.left - unit.box.left;
                break;
            case Side::centre:
                by.x = to.centre().x - unit.box.centre().x;
                break;
            case Side::right:
                by.x = to.right - unit.box.right;
                break;
            case Side::top:
                by.y = to.top - unit.box.top;
                break;
            case Side::middle:
                by.y = to.centre().y - unit.box.centre().y;
                break;
            case Side::bottom:
                by.y = to.bottom - unit.box.bottom;
                break;
        }
        shift(job, unit.motifs, by);
    }
    return job;
}

Result<Job> distribute(Job job, const Ids& motifs, Along along, std::optional<double> gap) {
    const auto free = movable(job, motifs);
    if (!free) return tl::unexpected(free.error());
    auto units = units_of(job, *free);
    const auto low = [along](const Box& box) { return along == Along::x ? box.left : box.bottom; };
    const auto size = [along](const Box& box) { return along == Along::x ? box.width() : box.height(); };
    std::stable_sort(units.begin(), units.end(), [&](const Unit& a, const Unit& b) { return low(a.box) < low(b.box); });
    if (units.size() < 2) return job;
    double taken = 0, end = low(units[0].box);
    for (const Unit& unit : units) {
        taken += size(unit.box);
        end = std::max(end, low(unit.box) + size(unit.box));
    }
    const double between = gap.value_or((end - low(units[0].box) - taken) / static_cast<double>(units.size() - 1));
    double at = low(units[0].box);
    for (const Unit& unit : units) {
        const double by = at - low(unit.box);
        shift(job, unit.motifs, along == Along::x ? Point{by, 0} : Point{0, by});
        at += size(unit.box) + between;
    }
    return job;
}

Result<Job> stack(Job job, const Ids& motifs, Stacking to) {
    if (auto known = require_known(job, motifs); !known) return tl::unexpected(known.error());
    auto& all = job.motifs;
    const auto chosen = [&motifs](const Motif& motif) { return holds(motifs, motif.id); };
    switch (to) {
        case Stacking::to_front:
            std::stable_partition(all.begin(), all.end(), [&](const Motif& motif) { return !chosen(motif); });
            break;
        case Stacking::to_back:
            std::stable_partition(all.begin(), all.end(), chosen);
            break;
        case Stacking::forward:
            // From the top down, so that all go past the same one.
            for (std::size_t i = all.size(); i-- > 1;)
                if (chosen(all[i - 1]) && !chosen(all[i])) std::swap(all[i - 1], all[i]);
            break;
        case Stacking::backward:
            for (std::size_t i = 1; i < all.size(); ++i)
                if (chosen(all[i]) && !chosen(all[i - 1])) std::swap(all[i - 1], all[i]);
            break;
    }
    return job;
}

Result<Job> group(Job job, const Ids& motifs) {
    if (auto known = require_known(job, motifs); !known) return tl::unexpected(known.error());
    const Id id = ++job.last_id;
    for_each_chosen(job, motifs, [id](Motif& motif) { motif.group = id; });
    return job;
}

Result<Job> ungroup(Job job, const Ids& motifs) {
    if (auto known = require_known(job, motifs); !known) return tl::unexpected(known.error());
    for_each_chosen(job, with_groups(job, motifs), [](Motif& motif) { motif.group = 0; });
    return job;
}

Result<Job> set_locked(Job job, const Ids& motifs, bool locked) {
    if (auto known = require_known(job, motifs); !known) return tl::unexpected(known.error());
    for_each_chosen(job, motifs, [locked](Motif& motif) { motif.locked = locked; });
    return job;
}

Result<Job> send_to_step(Job job, const Ids& motifs, std::optional<Id> step) {
    if (auto known = require_known(job, motifs); !known) return tl::unexpected(known.error());
    if (step && !job.step(*step)) return fail(error::unknown_step);
    for_each_chosen(job, motifs, [step](Motif& motif) { motif.step = step; });
    return job;
}

Result<Job> remove(Job job, const Ids& motifs) {
    if (auto known = require_known(job, motifs); !known) return tl::unexpected(known.error());
    if (job.datum && holds(motifs, job.datum->motif)) job.datum.reset();
    std::erase_if(job.motifs, [&](const Motif& motif) { return holds(motifs, motif.id); });
    return job;
}

Result<Job> put_on_stock(Job job, Spot spot, double margin, bool follow_angle) {
    if (!job.stock) return fail(error::no_stock);
    if (job.motifs.empty()) return job;
    const Stock& stock = *job.stock;
    if (follow_angle) {
        const Transform& first = job.motifs.front().place;
        const double turn = stock.angle - std::atan2(first.b, first.a);
        for (Motif& motif : job.motifs)
            motif.place = Transform::turn(turn) * motif.place;
    }
    // Measured in the stock's own directions, or in the bed's.
    const double angle = follow_angle ? stock.angle : 0;
    const Transform level = Transform::turn(-angle);
    Box piece, art;
    for (const Point p : stock.outline().points)
        piece.add(level(p));
    for (const Motif& motif : job.motifs)
        art.add(art::bounds_under(*motif.art, level * motif.place));
    Point by = piece.centre() - art.centre();
    if (spot == Spot::near_left || spot == Spot::far_left) by.x = piece.left + margin - art.left;
    if (spot == Spot::near_right || spot == Spot::far_right) by.x = piece.right - margin - art.right;
    if (spot == Spot::near_left || spot == Spot::near_right) by.y = piece.bottom + margin - art.bottom;
    if (spot == Spot::far_left || spot == Spot::far_right) by.y = piece.top - margin - art.top;
    const Point on_bed = Transform::turn(angle)(by);
    for (Motif& motif : job.motifs)
        motif.place = Transform::move(on_bed.x, on_bed.y) * motif.place;
    return job;
}

Result<Job> transform_stock(Job job, const Transform& map) {
    if (!job.stock) return fail(error::no_stock);
    Stock& stock = *job.stock;
    const Transform place = map * stock.place();
    const Point along{place.a, place.b}, up{place.c, place.d};
    const double across = geometry::norm(along);
    if (!(across > 0)) return job;
    const double upwards = std::abs(geometry::cross(along, up)) / across;
    if (!(upwards > 0)) return job;
    // A mirrored piece lies to the other side of its X axis: its near left corner is then the old far one.
    const bool mirrored = geometry::cross(along, up) < 0;
    stock.corner = mirrored ? place({0, stock.height}) : place({0, 0});
    stock.width *= across;
    stock.height *= upwards;
    stock.angle = std::remainder(std::atan2(along.y, along.x), 2 * std::numbers::pi);
    if (mirrored)
        for (Point& point : stock.points)
            point.y = 1 - point.y;
    return job;
}

Job mark_place(Job job, Point place) {
    const auto name_of = [](int index) {
        const std::string letter(1, static_cast<char>('A' + index % 26));
        return index < 26 ? letter : letter + std::to_string(index / 26 + 1);
    };
    int index = 0;
    const auto taken = [&](const MarkedPlace& marked) { return marked.name == name_of(index); };
    while (std::any_of(job.marked.begin(), job.marked.end(), taken))
        ++index;
    job.marked.push_back({++job.last_id, name_of(index), place});
    return job;
}

Job forget_marked(Job job, Id id) {
    std::erase_if(job.marked, [id](const MarkedPlace& marked) { return marked.id == id; });
    return job;
}

Result<Job> set_datum(Job job, Id id, Point on_bed) {
    const Motif* motif = job.motif(id);
    if (!motif || motif->place.area() == 0) return fail(error::unknown_motif);
    job.datum = Datum{id, on_page(*motif, on_bed)};
    return job;
}

Result<Job> bring_datum_to(Job job, Point place) {
    const auto datum = datum_place(job);
    if (!datum) return fail(error::unknown_motif);
    const Point by = place - *datum;
    for (Motif& motif : job.motifs)
        motif.place = Transform::move(by.x, by.y) * motif.place;
    return job;
}

}  // namespace chalkline::job
