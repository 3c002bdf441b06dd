// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/contract.hpp>
#include <chalkline/geometry/stroke.hpp>

#include <numbers>

namespace chalkline::geometry {
namespace {

/// Draws one side of a line after the other. The ring is the sum of one strip for each segment and one wedge for each
/// outer corner, all turning the same way: corners on the inner side go through the line's own point, so that no part
/// of the ring ever turns back on another and the non-zero rule inks exactly what the pen touches.
class Outliner {
 public:
    Outliner(const Pen& pen, double tolerance) : pen_(pen), half_(pen.width / 2) {
        const double share = std::clamp(1 - tolerance / half_, -1.0, 1.0);
        arc_step_ = std::clamp(2 * std::acos(share), 0.02, std::numbers::pi / 2);
    }

    void add(const Polyline& line, std::vector<Polyline>& rings) {
        std::vector<Point> points;
        for (const Point p : line.points)
            if (points.empty() || !(points.back() == p)) points.push_back(p);
        if (line.closed && points.size() > 1 && points.front() == points.back()) points.pop_back();
        if (points.empty()) return;
        if (points.size() == 1) return dot(points[0], rings);
        if (line.closed && points.size() > 2) {
            std::vector<Point> backwards(points.rbegin(), points.rend());
            rings.push_back({closed_side(points), true});
            rings.push_back({closed_side(backwards), true});
        } else {
            if (line.closed) points.push_back(points.front());
            rings.push_back({open_outline(points), true});
        }
    }

 private:
    /// The unit direction from a to b.
    static Point direction(Point a, Point b) { return (b - a) * (1 / distance(a, b)); }
    /// To the left of a direction, as far as the pen reaches.
    Point aside(Point along) const { return {-along.y * half_, along.x * half_}; }

    void arc(std::vector<Point>& ring, Point centre, Point from, double sweep) const {
        if (!(std::abs(sweep) < 7)) return;  // no number: a direction without a length
        const int steps = std::max(1, static_cast<int>(std::ceil(std::abs(sweep) / arc_step_)));
        for (int i = 1; i < steps; ++i)
            ring.push_back(centre + Transform::turn(sweep * i / steps).direction(from));
    }

    void dot(Point at, std::vector<Polyline>& rings) const {
        if (pen_.cap == LineCap::butt) return;
        if (pen_.cap == LineCap::square) {
            Polyline square = outline(Box{at.x - half_, at.y - half_, at.x + half_, at.y + half_});
            std::reverse(square.points.begin(), square.points.end());  // as all other rings turn
            return rings.push_back(std::move(square));
        }
        Polyline ring{{at + Point{half_, 0}}, true};
        arc(ring.points, at, {half_, 0}, -2 * std::numbers::pi);
        rings.push_back(std::move(ring));
    }

    /// The left side around the corner from direction `in` to direction `out`.
    void corner(std::vector<Point>& ring, Point at, Point in, Point out, double shorter) const {
        double turn = std::atan2(cross(in, out), geometry::dot(in, out));  // to the left is positive
        constexpr double back = 3.13;                                      // straight back: both sides are outer ones
        if (turn > back) turn = -turn;
        const Point from = at + aside(in), to = at + aside(out);
        if (turn > 0) {  // inner side
            const double reach = half_ * std::tan(turn / 2);
            // Only where the corners at both ends of a segment leave some of it.
            if (2 * reach < shorter) {
                ring.push_back(from - in * reach);
            } else {
                ring.insert(ring.end(), {from, at, to});
            }
            return;
        }
        ring.push_back(from);
        constexpr double smooth = 0.2;  // radians: a bend of a flattened curve, not a corner
        if (pen_.join == LineJoin::round || turn > -smooth) {
            arc(ring, at, aside(in), turn);
        } else if (pen_.join == LineJoin::miter && turn > -back && 1 / std::cos(turn / 2) <= pen_.miter_limit) {
            ring.push_back(from + in * (half_ * std::tan(-turn / 2)));
        }
        ring.push_back(to);
    }

    std::vector<Point> closed_side(const std::vector<Point>& points) const {
        std::vector<Point> ring;
        const std::size_t n = points.size();
        for (std::size_t i = 0; i < n; ++i) {
            const Point before = points[(i + n - 1) % n], at = points[i], after = points[(i + 1) % n];
            corner(ring, at, direction(before, at), direction(at, after),
                   std::min(distance(before, at), distance(at, after)));
        }
        return ring;
    }

    void cap(std::vector<Point>& ring, Point at, Point along) const {
        const Point side = aside(along), ahead = along * half_;
        ring.push_back(at + side);
        if (pen_.cap == LineCap::square) {
            ring.push_back(at + side + ahead);
            ring.push_back(at - side + ahead);
        } else if (pen_.cap == LineCap::round) {
            arc(ring, at, side, -std::numbers::pi);
        }
        ring.push_back(at - side);
    }

    void open_side(std::vector<Point>& ring, const std::vector<Point>& points) const {
        for (std::size_t i = 1; i + 1 < points.size(); ++i)
            corner(ring, points[i], direction(points[i - 1], points[i]), direction(points[i], points[i + 1]),
                   std::min(distance(points[i - 1], points[i]), distance(points[i], points[i + 1])));
        cap(ring, points.back(), direction(points[points.size() - 2], points.back()));
    }

    std::vector<Point> open_outline(const std::vector<Point>& points) const {
        std::vector<Point> ring;
        open_side(ring, points);
        open_side(ring, {points.rbegin(), points.rend()});
        return ring;
    }

    Pen pen_;
    double half_;
    double arc_step_;
};

/// Walks along lines and cuts them by the pattern.
class Dasher {
 public:
    Dasher(const std::vector<double>& lengths, double offset) : lengths_(lengths) {
        if (lengths_.size() % 2 == 1) lengths_.insert(lengths_.end(), lengths.begin(), lengths.end());
        double sum = 0;
        for (const double length : lengths_)
            sum += length;
        start_left_ = std::fmod(offset, sum);
        if (start_left_ < 0) start_left_ += sum;
        while (start_left_ >= lengths_[start_]) {
            start_left_ -= lengths_[start_];
            start_ = (start_ + 1) % lengths_.size();
        }
        start_left_ = lengths_[start_] - start_left_;
    }

    void cut(const Polyline& line, std::vector<Polyline>& dashes) const {
        std::vector<Point> points = line.points;
        if (line.closed && !points.empty()) points.push_back(points.front());
        const std::size_t first_dash = dashes.size();
        std::size_t index = start_;
        double left = start_left_;
        const auto inked = [&] { return index % 2 == 0; };
        Polyline dash;
        if (inked() && !points.empty()) dash.points.push_back(points[0]);
        for (std::size_t i = 1; i < points.size(); ++i) {
            Point at = points[i - 1];
            double rest = distance(at, points[i]);
            while (rest > left) {
                at = between(at, points[i], left / rest);
                rest -= left;
                if (inked()) {
                    dash.points.push_back(at);
                    dashes.push_back(std::move(dash));
                }
                dash = {};
                index = (index + 1) % lengths_.size();
                left = lengths_[index];
                if (inked()) dash.points.push_back(at);
            }
            left -= rest;
            if (inked()) dash.points.push_back(points[i]);
        }
        if (dash.points.size() < 2) return;
        const bool joins = line.closed && start_ % 2 == 0 && dashes.size() > first_dash;
        if (joins) {
            auto& head = dashes[first_dash].points;
            head.insert(head.begin(), dash.points.begin(), dash.points.end() - 1);
        } else {
            dashes.push_back(std::move(dash));
        }
    }

 private:
    std::vector<double> lengths_;
    std::size_t start_ = 0;
    double start_left_ = 0;
};

}  // namespace

Region stroked(const std::vector<Polyline>& lines, const Pen& pen, double tolerance) {
    CHALKLINE_REQUIRES(pen.width > 0);
    Region region;
    Outliner outliner(pen, tolerance);
    for (const Polyline& line : lines)
        outliner.add(line, region.rings);
    return region;
}

std::vector<Polyline> dashed(const std::vector<Polyline>& lines, const std::vector<double>& lengths, double offset) {
    std::vector<Polyline> dashes;
    const Dasher dasher(lengths, offset);
    for (const Polyline& line : lines)
        dasher.cut(line, dashes);
    return dashes;
}

Path path_of(const std::vector<Polyline>& lines) {
    Path path;
    for (const Polyline& line : lines) {
        for (std::size_t i = 0; i < line.points.size(); ++i)
            i == 0 ? path.move_to(line.points[i]) : path.line_to(line.points[i]);
        if (line.closed && !line.points.empty()) path.close();
    }
    return path;
}

}  // namespace chalkline::geometry
