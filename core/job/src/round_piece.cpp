// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/reader.hpp>
#include <chalkline/geometry/combine.hpp>
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

// ---------------------------------------------------------------- tapered pieces

WallBend::WallBend(const Job& job) : piece_(job.round_piece()) {
    if (piece_ && !piece_->tapered()) piece_ = nullptr;
}

bool WallBend::bends(const Motif& motif) const {
    constexpr double nearly_all_round = 0.9;  // of a turn
    return piece_ && bounds(motif).height() < nearly_all_round * piece_->turn();
}

Point WallBend::operator()(Point p, double middle) const {
    // The wall as a flat sheet is a part of a ring about the cone's tip; `from_tip` is its radius there, less than 0
    // where the piece grows thinner.
    const double sine = (piece_->end_diameter - piece_->diameter) / 2 / piece_->length;
    const double from_tip = piece_->diameter_at(p.x) / 2 / sine;
    const double aside = p.y - middle;
    const double radius = std::copysign(std::hypot(from_tip, aside), from_tip);
    const double turned = std::atan(aside / from_tip) / sine;
    return {p.x + radius - from_tip, middle + turned * piece_->turn() / (2 * std::numbers::pi)};
}

std::vector<Polyline> WallBend::lines(const Motif& motif, const std::vector<Polyline>& lines) const {
    constexpr double step = 0.5;  // mm: a straight piece so short bends by less than a micrometre
    const double middle = bounds(motif).centre().y;
    std::vector<Polyline> bent;
    for (const Polyline& line : lines) {
        Polyline result{{}, line.closed};
        const std::size_t count = line.points.size(), sides = line.closed ? count : count - 1;
        for (std::size_t i = 0; i < sides; ++i) {
            const Point from = line.points[i], to = line.points[(i + 1) % count];
            const int parts = std::max(1, static_cast<int>(std::ceil(geometry::distance(from, to) / step)));
            for (int part = 0; part < parts; ++part)
                result.points.push_back(
                    (*this)(geometry::between(from, to, static_cast<double>(part) / parts), middle));
        }
        if (!line.closed) result.points.push_back((*this)(line.points.back(), middle));
        bent.push_back(std::move(result));
    }
    return bent;
}

namespace {

geometry::Path path_of(const std::vector<Polyline>& lines) {
    geometry::Path path;
    for (const Polyline& line : lines) {
        path.move_to(line.points.front());
        for (std::size_t i = 1; i < line.points.size(); ++i)
            path.line_to(line.points[i]);
        if (line.closed) path.close();
    }
    return path;
}

/// A picture seen through the bend: every pixel of the new one is looked up where it comes from.
class BentPicture {
 public:
    BentPicture(const WallBend& bend, const Motif& motif, std::size_t picture)
        : bend_(bend),
          placed_(motif.art->pictures[picture]),
          place_(motif.place * placed_.place),
          middle_(bounds(motif).centre().y),
          frame_(bend.lines(motif, {frame_of_picture(motif, picture)}).front()),
          box_(geometry::bounds(frame_)) {}

    art::PlacedPicture made(const Motif& motif) const {
        art::PlacedPicture made = placed_;
        made.image = std::make_shared<const raster::RgbImage>(pixels());
        made.place =
            geometry::Transform::move(box_.left, box_.bottom) * geometry::Transform::scale(box_.width(), box_.height());
        geometry::Region seen{{frame_}, geometry::FillRule::non_zero};
        if (placed_.clip) {
            geometry::Region clip = *placed_.clip;
            for (Polyline& ring : clip.rings)
                for (Point& p : ring.points)
                    p = motif.place(p);
            clip.rings = bend_.lines(motif, clip.rings);
            seen = geometry::intersection(seen, clip);
        }
        made.clip = std::move(seen);
        return made;
    }

    /// A part of the picture, 0…1 counted down, as a part of the new one.
    raster::Place moved(raster::Place at) const {
        const Point p = bend_(place_({at.x, 1 - at.y}), middle_);
        return {(p.x - box_.left) / box_.width(), 1 - (p.y - box_.bottom) / box_.height()};
    }

 private:
    raster::RgbImage pixels() const {
        const raster::RgbImage& from = *placed_.image;
        const double area = std::abs(place_.a * place_.d - place_.b * place_.c);
        const double per_mm = std::sqrt(static_cast<double>(from.width) * from.height / area);
        const int width = std::max(1, static_cast<int>(std::lround(box_.width() * per_mm)));
        const int height = std::max(1, static_cast<int>(std::lround(box_.height() * per_mm)));
        raster::RgbImage made(width, height, {255, 255, 255});
        if (!from.opacity.empty()) made.opacity.assign(made.pixels.size(), 0);
        const auto back = place_.inverse();
        for (int y = 0; y < height; ++y)
            for (int x = 0; x < width; ++x) {
                const Point to{box_.left + (x + 0.5) / width * box_.width(),
                               box_.top - (y + 0.5) / height * box_.height()};
                const Point share = back(bend_.unbent(to, middle_));
                const int column = static_cast<int>(std::floor(share.x * from.width));
                const int row = static_cast<int>(std::floor((1 - share.y) * from.height));
                if (column < 0 || row < 0 || column >= from.width || row >= from.height) continue;
                made.at(x, y) = from.pixels[from.index(column, row)];
                if (!from.opacity.empty()) made.opacity[made.index(x, y)] = from.opacity[from.index(column, row)];
            }
        return made;
    }

    const WallBend& bend_;
    const art::PlacedPicture& placed_;
    geometry::Transform place_;
    double middle_;
    Polyline frame_;
    Box box_;
};

Motif bent(const WallBend& bend, Motif motif) {
    art::Artwork art = *motif.art;
    const double middle = bounds(motif).centre().y;
    for (art::Shape& shape : art.shapes)
        shape.path = path_of(bend.lines(motif, shape.path.flatten(motif.place)));
    for (std::size_t i = 0; i < art.pictures.size(); ++i) {
        const BentPicture picture(bend, motif, i);
        art.pictures[i] = picture.made(motif);
        if (i > 0) continue;  // how it is prepared is said in parts of the first
        raster::Background& background = motif.preparation.background;
        const raster::Place a = picture.moved({background.box.left, background.box.top});
        const raster::Place b = picture.moved({background.box.right, background.box.bottom});
        background.box = {std::min(a.x, b.x), std::min(a.y, b.y), std::max(a.x, b.x), std::max(a.y, b.y)};
        for (raster::Stroke& stroke : background.strokes)
            for (raster::Place& at : stroke.points)
                at = picture.moved(at);
    }
    motif.preparation.crop = {};
    for (PathMark& mark : motif.marks)
        mark.on_page = bend(motif.place(mark.on_page), middle);
    art.hull.clear();
    motif.art = std::make_shared<const art::Artwork>(std::move(art));
    motif.place = {};
    return motif;
}

}  // namespace

Point WallBend::unbent(Point p, double middle) const {
    const double sine = (piece_->end_diameter - piece_->diameter) / 2 / piece_->length;
    const double turned = (p.y - middle) / (piece_->turn() / (2 * std::numbers::pi)) * sine;
    const double radius = piece_->diameter_at(p.x) / 2 / sine;
    return {p.x + radius * std::cos(turned) - radius, middle + radius * std::sin(turned)};
}

Job as_it_lies(const Job& job) {
    const WallBend bend(job);
    Job lying = job;
    for (Motif& motif : lying.motifs)
        if (bend.bends(motif)) motif = bent(bend, std::move(motif));
    return lying;
}

// ---------------------------------------------------------------- fitting art to the piece

namespace {

std::shared_ptr<const art::Artwork> chain(std::vector<Point> points) {
    auto drawn = art::draw({art::FreehandDesign{std::move(points), false}, {}, false}, {});
    drawn->name = test_ring_name;
    return std::make_shared<const art::Artwork>(std::move(*drawn));
}

}  // namespace

Job add_test_ring(Job job) {
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

}  // namespace chalkline::job
