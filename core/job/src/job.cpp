// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/job/job.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace chalkline::job {

using geometry::Point;

geometry::Transform Stock::place() const {
    return geometry::Transform::move(corner.x, corner.y) * geometry::Transform::turn(angle);
}

geometry::Polyline Stock::outline() const {
    geometry::Polyline line{{}, true};
    if (form == Form::rectangle || form == Form::round) line.points = {{0, 0}, {1, 0}, {1, 1}, {0, 1}};
    if (form == Form::outline) line.points = points;
    if (form == Form::ellipse) {
        constexpr int corners = 180;
        for (int i = 0; i < corners; ++i) {
            const double turn = 2 * std::numbers::pi * i / corners;
            line.points.push_back({0.5 + 0.5 * std::cos(turn), 0.5 + 0.5 * std::sin(turn)});
        }
    }
    const auto map = place() * geometry::Transform::scale(width, height);
    for (Point& point : line.points)
        point = map(point);
    if (geometry::signed_area(line) < 0) std::reverse(line.points.begin(), line.points.end());
    return line;
}

const RoundPiece* Job::round_piece() const {
    return stock && stock->form == Stock::Form::round ? &stock->round : nullptr;
}

bool Job::sent(const Step& step, const Motif& motif, std::size_t shape) {
    const auto own = std::lower_bound(motif.objects.begin(), motif.objects.end(), shape,
                                      [](const OwnStep& object, std::size_t at) { return object.shape < at; });
    if (step.settings.kind == steps::StepKind::picture) return false;
    const Ink& ink = motif.art->shapes[shape].ink;
    if (own != motif.objects.end() && own->shape == shape) return own->step == step.id;
    if (motif.step) return *motif.step == step.id;
    return std::find(step.inks.begin(), step.inks.end(), ink) != step.inks.end();
}

bool Job::sent_picture(const Step& step, const Motif& motif, std::size_t picture) const {
    if (step.settings.kind != steps::StepKind::picture) return false;
    const Step* own = motif.step ? this->step(*motif.step) : nullptr;
    if (own && own->settings.kind == steps::StepKind::picture) return own->id == step.id;
    const Ink& ink = motif.art->pictures[picture].ink;
    return std::find(step.inks.begin(), step.inks.end(), ink) != step.inks.end();
}

bool Job::has_work(const Step& step) const {
    return !step.inks.empty() || std::any_of(motifs.begin(), motifs.end(), [&](const Motif& motif) {
        return motif.step == step.id || std::any_of(motif.objects.begin(), motif.objects.end(),
                                                    [&](const OwnStep& object) { return object.step == step.id; });
    });
}

std::optional<Point> datum_place(const Job& job) {
    if (job.datum)
        if (const Motif* motif = job.motif(job.datum->motif)) return motif->place(job.datum->on_page);
    const geometry::Box box = bounds(job);
    if (box.empty()) return {};
    return Point{box.left, box.bottom};
}

const Motif* Job::motif(Id id) const {
    const auto found = std::find_if(motifs.begin(), motifs.end(), [id](const Motif& m) { return m.id == id; });
    return found == motifs.end() ? nullptr : &*found;
}

const Step* Job::step(Id id) const {
    const auto found = std::find_if(steps.begin(), steps.end(), [id](const Step& s) { return s.id == id; });
    return found == steps.end() ? nullptr : &*found;
}

std::vector<RoutedInk> routed_inks(const Job& job) {
    std::vector<RoutedInk> result;
    for (const Motif& motif : job.motifs) {
        if (motif.step) continue;  // its inks ask nobody
        for (const art::InkSummary& summary : art::inks(*motif.art)) {
            const auto known = std::find_if(result.begin(), result.end(),
                                            [&](const RoutedInk& routed) { return routed.ink == summary.ink; });
            if (known != result.end()) {
                known->shapes += summary.shapes;
                continue;
            }
            RoutedInk routed{summary.ink, summary.shapes, {}, false};
            for (const Step& step : job.steps)
                if (std::find(step.inks.begin(), step.inks.end(), summary.ink) != step.inks.end())
                    routed.steps.push_back(step.id);
            routed.left_out = routed.steps.empty() &&
                              std::find(job.left_out.begin(), job.left_out.end(), summary.ink) != job.left_out.end();
            result.push_back(routed);
        }
    }
    return result;
}

geometry::Point on_page(const Motif& motif, geometry::Point on_bed) {
    return motif.place.inverse()(on_bed);
}

steps::StepSettings Variant::applied_to(steps::StepSettings step) const {
    step.picture = settings.picture;
    step.line_pitch = settings.line_pitch;
    return step;
}

geometry::Polyline frame_of_picture(const Motif& motif, std::size_t picture) {
    const raster::Part& crop = motif.preparation.crop;
    // The unit square of a picture points up, its parts count down.
    geometry::Polyline frame = geometry::outline({crop.left, 1 - crop.bottom, crop.right, 1 - crop.top});
    for (geometry::Point& corner : frame.points)
        corner = (motif.place * motif.art->pictures[picture].place)(corner);
    return frame;
}

geometry::Box bounds(const Motif& motif) {
    if (motif.preparation.crop.whole() || !motif.art->shapes.empty()) return art::bounds_under(*motif.art, motif.place);
    geometry::Box box;
    for (std::size_t i = 0; i < motif.art->pictures.size(); ++i)
        for (const geometry::Point corner : frame_of_picture(motif, i).points)
            box.add(corner);
    return box;
}

geometry::Box bounds(const Job& job, const Ids& motifs) {
    geometry::Box box;
    for (const Id id : motifs)
        if (const Motif* motif = job.motif(id)) box.add(bounds(*motif));
    return box;
}

geometry::Box bounds(const Job& job) {
    geometry::Box box;
    for (const Motif& motif : job.motifs)
        box.add(bounds(motif));
    return box;
}

}  // namespace chalkline::job
