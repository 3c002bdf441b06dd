// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/geometry/combine.hpp>
#include <chalkline/job/wall_bend.hpp>

#include <algorithm>
#include <cmath>
#include <memory>
#include <numbers>
#include <utility>

namespace chalkline::job {

using geometry::Box;
using geometry::Point;
using geometry::Polyline;

WallBend::WallBend(const Job& job) : piece_(job.round_piece()) {
    if (piece_ && !piece_->tapered()) piece_ = nullptr;
    if (!piece_) return;
    for (const Motif& motif : job.motifs)
        if (motif.group != 0) groups_[motif.group].add(bounds(motif));
}

Box WallBend::lying(const Motif& motif) const {
    return motif.group == 0 ? bounds(motif) : groups_.at(motif.group);
}

double WallBend::middle_of(const Motif& motif) const {
    return lying(motif).centre().y;
}

bool WallBend::bends(const Motif& motif) const {
    constexpr double nearly_all_round = 0.9;  // of a turn
    return piece_ && lying(motif).height() < nearly_all_round * piece_->turn();
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
    const double middle = middle_of(motif);
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
          middle_(bend.middle_of(motif)),
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
    const double middle = bend.middle_of(motif);
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

}  // namespace chalkline::job
