// SPDX-License-Identifier: GPL-3.0-or-later
#include "units.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/base/contract.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/round_piece.hpp>

#include <algorithm>
#include <cmath>
#include <memory>
#include <numbers>
#include <utility>

namespace chalkline::job {

using geometry::Box;
using geometry::Point;
using geometry::Polyline;

double RoundPiece::turn() const {
    return std::numbers::pi * (diameter + end_diameter) / 2;
}

Box RoundPiece::free_part() const {
    return {taken_at_start, taken_at_seam / 2, length - taken_at_end, turn() - taken_at_seam / 2};
}

machine::MachineProfile machine_for(const Job& job, const machine::MachineProfile& machine) {
    const RoundPiece* piece = job.round_piece();
    return piece ? machine::on_wall(machine, wall_of(*piece)) : machine;
}

machine::RoundWall wall_of(const RoundPiece& piece) {
    return {piece.length, piece.turn(), std::numbers::pi * piece.diameter};
}

Result<Stock> in_rotary(Stock stock, const RoundPiece& piece) {
    const Box free = piece.free_part();
    // A wall steeper than a flat disc is none.
    const bool lies_flat = std::abs(piece.end_diameter - piece.diameter) / 2 >= piece.length;
    if (piece.diameter < 1 || piece.end_diameter < 1 || piece.length < 1 || lies_flat || free.width() < 1 ||
        free.height() < 1)
        return fail(error::bad_round_piece);
    stock.form = Stock::Form::round;
    stock.round = piece;
    stock.corner = {free.left, free.bottom};
    stock.width = free.width();
    stock.height = free.height();
    stock.angle = 0;
    stock.points.clear();
    return stock;
}

namespace {

std::shared_ptr<const art::Artwork> chain(std::vector<Point> points) {
    auto drawn = art::draw({art::FreehandDesign{std::move(points), false}, {}, false}, {});
    drawn->name = test_ring_name;
    return std::make_shared<const art::Artwork>(std::move(*drawn));
}

}  // namespace

Job add_test_ring(Job job) {
    CHALKLINE_REQUIRES(job.round_piece() != nullptr);
    constexpr double tick = 3, apart = 6;  // mm
    const RoundPiece& piece = *job.round_piece();
    const double x = piece.taken_at_start + 2 * tick, turn = piece.turn();
    Step step;
    step.id = ++job.last_id;
    step.settings.kind = steps::StepKind::score;
    step.settings.power = Power::percent(15);
    step.settings.speed = Speed::mm_per_min(2000);
    job.steps.insert(job.steps.begin(), step);
    const Id group = ++job.last_id;
    const auto add = [&](std::vector<Point> points) {
        const auto art = chain(std::move(points));
        job.motifs.push_back({++job.last_id, art, geometry::Transform::move(art->origin.x, art->origin.y), group});
        job.motifs.back().step = step.id;
    };
    add({{x - tick, 0}, {x, 0}, {x, turn}, {x + tick, turn}});
    const double at = x + apart, from = std::max(10.0, piece.taken_at_seam / 2 + 1), to = from + test_measure;
    if (to < turn) add({{at + tick, from}, {at, from}, {at, to}, {at + tick, to}});
    return job;
}

bool has_test_ring(const Job& job) {
    return std::any_of(job.motifs.begin(), job.motifs.end(),
                       [](const Motif& motif) { return motif.art->name == test_ring_name; });
}

Job without_test_ring(Job job) {
    Ids steps;
    for (const Motif& motif : job.motifs)
        if (motif.art->name == test_ring_name && motif.step) steps.push_back(*motif.step);
    std::erase_if(job.motifs, [](const Motif& motif) { return motif.art->name == test_ring_name; });
    std::erase_if(job.steps, [&](const Step& step) {
        return std::find(steps.begin(), steps.end(), step.id) != steps.end() && step.inks.empty();
    });
    return job;
}

RoundPiece corrected_by_gap(RoundPiece piece, double gap) {
    const double more = gap / std::numbers::pi;
    piece.diameter += more;
    piece.end_diameter += more;
    return piece;
}

RoundPiece corrected_by_measure(RoundPiece piece, double measured) {
    piece.diameter *= measured / test_measure;
    piece.end_diameter *= measured / test_measure;
    return piece;
}

Job once_round(Job job, const Ids& motifs) {
    const RoundPiece* piece = job.round_piece();
    const Box box = bounds(job, motifs);
    if (!piece || !(box.height() > 0)) return job;
    const double scale = piece->turn() / box.height();
    const double left = box.centre().x - box.width() * scale / 2;
    const auto map = geometry::Transform::move(left, 0) * geometry::Transform::scale(scale, scale) *
                     geometry::Transform::move(-box.left, -box.bottom);
    for (Motif& motif : job.motifs)
        if (std::find(motifs.begin(), motifs.end(), motif.id) != motifs.end() && !motif.locked)
            motif.place = map * motif.place;
    return job;
}

namespace {

/// Motifs by themselves and groups as one, those that go once round.
std::vector<Unit> once_round_now(const Job& job) {
    constexpr double close = 0.01;  // mm
    Ids all;
    for (const Motif& motif : job.motifs)
        all.push_back(motif.id);
    auto units = units_of(job, all);
    std::erase_if(units, [turn = job.round_piece()->turn()](const Unit& unit) {
        return std::abs(unit.box.bottom) > close || std::abs(unit.box.height() - turn) > close;
    });
    return units;
}

}  // namespace

Result<Job> remeasured(Job job, const RoundPiece& piece) {
    CHALKLINE_REQUIRES(job.round_piece() != nullptr);
    const auto round = once_round_now(job);
    auto stock = in_rotary(*job.stock, piece);
    if (!stock) return tl::unexpected(stock.error());
    job = set_stock(std::move(job), *stock);
    for (const Unit& unit : round)
        job = once_round(std::move(job), unit.motifs);
    return job;
}

}  // namespace chalkline::job
