// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/units_text.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/planning/checks.hpp>

#include <algorithm>
#include <limits>
#include <utility>

namespace chalkline::planning {
namespace {

using geometry::Point;

constexpr double overhang_slack = 0.005;  // mm

/// Calls `look` with every corner of everything that is burned.
template <class Look>
void for_each_burned_point(const job::Job& job, Look look) {
    for (const job::Motif& motif : job.motifs) {
        for (const art::Shape& shape : motif.art->shapes) {
            const bool burned = std::any_of(job.steps.begin(), job.steps.end(), [&](const job::Step& step) {
                return job::Job::burns(step, motif, shape.ink);
            });
            if (!burned) continue;
            for (const auto& line : shape.path.flatten(motif.place))
                for (const Point p : line.points)
                    look(p);
        }
    }
}

/// Distance of a point outside an outline to its nearest side; 0 inside.
class Outside {
 public:
    explicit Outside(const geometry::Polyline& outline) : region_{{outline}, geometry::FillRule::non_zero} {
        // Nearly every point lies inside a piece without hollows, and that is quick to see.
        const auto& points = outline.points;
        for (std::size_t i = 0; i < points.size(); ++i) {
            const Point a = points[i], b = points[(i + 1) % points.size()], c = points[(i + 2) % points.size()];
            convex_ = convex_ && geometry::cross(b - a, c - b) >= -1e-9;
        }
    }
    double by(Point p) const {
        const auto& points = region_.rings[0].points;
        const auto side = [&](std::size_t i) { return std::pair{points[i], points[(i + 1) % points.size()]}; };
        bool inside = convex_;
        for (std::size_t i = 0; inside && i < points.size(); ++i)
            inside = geometry::cross(side(i).second - side(i).first, p - side(i).first) >= 0;
        if (inside || (!convex_ && geometry::contains(region_, p))) return 0;
        double nearest = std::numeric_limits<double>::infinity();
        for (std::size_t i = 0; i < points.size(); ++i) {
            const auto [a, b] = side(i);
            nearest = std::min(nearest, geometry::distance(p, geometry::nearest_on_line(p, a, b)));
        }
        return nearest;
    }

 private:
    geometry::Region region_;
    bool convex_ = true;
};

/// The burned point farthest outside an outline.
struct Overhang {
    double by = 0;
    Point place;
};
Overhang worst_overhang(const job::Job& job, const geometry::Polyline& outline) {
    Overhang worst;
    const Outside outside(outline);
    for_each_burned_point(job, [&](Point p) {
        if (const double by = outside.by(p); by > worst.by) worst = {by, p};
    });
    return worst.by > overhang_slack ? worst : Overhang{};
}

}  // namespace

double overhang(const job::Job& job, const geometry::Polyline& outline) {
    return worst_overhang(job, outline).by;
}

geometry::Box burned_bounds(const job::Job& job) {
    geometry::Box box;
    for_each_burned_point(job, [&](Point p) { box.add(p); });
    return box;
}

std::vector<Check> check_job(const job::Job& job, const machine::MachineProfile& machine) {
    std::vector<Check> checks;
    const auto inks = job::routed_inks(job);
    const bool by_ink =
        std::any_of(inks.begin(), inks.end(), [](const job::RoutedInk& ink) { return ink.step.has_value(); });
    const bool by_motif = std::any_of(job.motifs.begin(), job.motifs.end(),
                                      [](const job::Motif& motif) { return motif.step.has_value(); });
    if (!by_ink && !by_motif) checks.push_back({std::string(check::nothing_to_burn), Severity::blocking, {}, {}, {}});

    const Overhang bed = worst_overhang(job, geometry::outline(machine.bed()));
    if (bed.by > 0)
        checks.push_back(
            {std::string(check::off_bed), Severity::blocking, {{"by", format_number(bed.by, 1)}}, {}, bed.place});
    if (job.stock) {
        const Overhang stock = worst_overhang(job, job.stock->outline());
        if (stock.by > 0)
            checks.push_back({std::string(check::off_stock),
                              Severity::blocking,
                              {{"by", format_number(stock.by, 1)}},
                              {},
                              stock.place});
    }
    for (const job::Step& step : job.steps)
        if (auto valid = steps::validate(step.settings, machine.top_speed()); !valid)
            checks.push_back({std::string(check::settings), Severity::blocking, valid.error().parameters, step.id, {}});
    if (job::order_fault(job)) {
        const auto cut = std::find_if(job.steps.begin(), job.steps.end(),
                                      [](const job::Step& step) { return step.settings.kind == steps::StepKind::cut; });
        checks.push_back({std::string(check::cut_before_engrave), Severity::warning, {}, cut->id, {}});
    }
    for (const job::RoutedInk& ink : inks)
        if (!ink.step && !ink.left_out)
            checks.push_back(
                {std::string(check::ink_without_step), Severity::warning, {{"ink", to_text(ink.ink.rgb)}}, {}, {}});
    return checks;
}

}  // namespace chalkline::planning
