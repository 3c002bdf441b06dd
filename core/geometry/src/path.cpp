// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/contract.hpp>
#include <chalkline/geometry/path.hpp>

#include <numbers>

namespace chalkline::geometry {
namespace {

constexpr double merge_distance = 0.001;  // mm: far below what any machine resolves
constexpr int most_steps = 4096;          // per curve, against absurd sizes

/// Rounded up and kept in bounds, whatever comes out of absurd numbers.
int whole_steps(double steps) {
    if (!(steps > 1)) return 1;
    return steps < most_steps ? static_cast<int>(std::ceil(steps)) : most_steps;
}

/// Collects the points of one contour.
struct Chain {
    Polyline line;

    void add(Point p) {
        if (line.points.empty() || distance(line.points.back(), p) > merge_distance)
            line.points.push_back(p);
        else if (line.points.size() > 1)
            line.points.back() = p;  // a contour ends exactly where it was drawn to
    }
    void add_cubic(Point p0, Point p1, Point p2, Point p3, double tolerance) {
        const double bend = std::max(norm(p0 - p1 * 2 + p2), norm(p1 - p2 * 2 + p3));
        const int steps = whole_steps(std::sqrt(0.75 * bend / tolerance));
        for (int i = 1; i <= steps; ++i) {
            const double t = static_cast<double>(i) / steps, s = 1 - t;
            add(p0 * (s * s * s) + p1 * (3 * s * s * t) + p2 * (3 * s * t * t) + p3 * (t * t * t));
        }
    }
    void add_arc(Point centre, Point u, Point v, double start, double sweep, double tolerance) {
        const double radius = std::max(std::hypot(u.x, v.x), std::hypot(u.y, v.y));
        const double angle = radius > tolerance ? 2 * std::acos(1 - tolerance / radius) : std::numbers::pi / 2;
        const int steps = whole_steps(std::abs(sweep) / angle);
        for (int i = 1; i <= steps; ++i) {
            const double t = start + sweep * i / steps;
            add(centre + u * std::cos(t) + v * std::sin(t));
        }
    }
};

/// Along the first of the given offsets that has a length; 0, 0 when none has.
Point direction_of(std::initializer_list<Point> offsets) {
    for (const Point offset : offsets)
        if (const double length = norm(offset); length > 0) return offset * (1 / length);
    return {};
}

/// Collects the places where segments meet.
class Vertices {
 public:
    void begin(Point at) {
        first_ = list_.size();
        list_.push_back({at, {}, {}});
    }
    /// A segment that sets out and arrives in the given directions; 0, 0: it has no length.
    void go(Point to, Point leaving, Point arriving) {
        const Point before = list_.back().arriving;
        const bool still = leaving == Point{};
        list_.back().leaving = still ? before : leaving;
        list_.push_back({to, still ? before : arriving, {}});
    }
    void close() {
        const Point start = list_[first_].at, along = direction_of({start - list_.back().at});
        go(start, along, along);
        list_.back().leaving = list_[first_].leaving;
        list_[first_].arriving = list_.back().arriving;
        first_ = list_.size() - 1;
    }
    Point at() const { return list_.back().at; }
    std::vector<PathVertex> take() { return std::move(list_); }

 private:
    std::vector<PathVertex> list_;
    std::size_t first_ = 0;  ///< where the contour begins
};

}  // namespace

void Path::move_to(Point to) {
    verbs_.push_back(Verb::move);
    points_.push_back(to);
    start_ = current_ = to;
}

void Path::line_to(Point to) {
    CHALKLINE_REQUIRES(!verbs_.empty());
    verbs_.push_back(Verb::line);
    points_.push_back(to);
    current_ = to;
}

void Path::cubic_to(Point control1, Point control2, Point to) {
    CHALKLINE_REQUIRES(!verbs_.empty());
    verbs_.push_back(Verb::cubic);
    points_.insert(points_.end(), {control1, control2, to});
    current_ = to;
}

void Path::arc_to(Point centre, Point u, Point v, double start, double sweep) {
    CHALKLINE_REQUIRES(!verbs_.empty());
    verbs_.push_back(Verb::arc);
    points_.insert(points_.end(), {centre, u, v, Point{start, sweep}});
    current_ = centre + u * std::cos(start + sweep) + v * std::sin(start + sweep);
}

void Path::close() {
    CHALKLINE_REQUIRES(!verbs_.empty());
    verbs_.push_back(Verb::close);
    current_ = start_;
}

void Path::append(const Path& other) {
    verbs_.insert(verbs_.end(), other.verbs_.begin(), other.verbs_.end());
    points_.insert(points_.end(), other.points_.begin(), other.points_.end());
    start_ = other.start_;
    current_ = other.current_;
}

void Path::continue_with(const Path& next) {
    CHALKLINE_REQUIRES(!verbs_.empty() && !next.verbs_.empty());  // that both are open would take their lengths to see
    const Point begun = start_;
    verbs_.insert(verbs_.end(), next.verbs_.begin() + 1, next.verbs_.end());
    points_.insert(points_.end(), next.points_.begin() + 1, next.points_.end());
    start_ = begun;
    current_ = next.current_;
}

void Path::transform(const Transform& map) {
    std::size_t at = 0;
    for (const Verb verb : verbs_) {
        switch (verb) {
            case Verb::cubic:
                for (int i = 0; i < 3; ++i, ++at)
                    points_[at] = map(points_[at]);
                break;
            case Verb::move:
            case Verb::line:
                points_[at] = map(points_[at]);
                ++at;
                break;
            case Verb::arc:
                points_[at] = map(points_[at]);
                points_[at + 1] = map.direction(points_[at + 1]);
                points_[at + 2] = map.direction(points_[at + 2]);
                at += 4;
                break;
            case Verb::close:
                break;
        }
    }
    start_ = map(start_);
    current_ = map(current_);
}

bool Path::is_open_line() const {
    return verbs_.size() > 1 && !closed() && std::count(verbs_.begin(), verbs_.end(), Verb::move) == 1;
}

Path Path::reversed() const {
    CHALKLINE_REQUIRES(!verbs_.empty());
    // Forwards once for the points between segments, then the segments from the last to the first.
    std::vector<std::size_t> offsets;
    std::vector<Point> ends;
    std::size_t at = 0;
    for (const Verb verb : verbs_) {
        offsets.push_back(at);
        if (verb == Verb::arc) {
            const Point centre = points_[at], u = points_[at + 1], v = points_[at + 2];
            const double end = points_[at + 3].x + points_[at + 3].y;
            ends.push_back(centre + u * std::cos(end) + v * std::sin(end));
            at += 4;
        } else {
            at += verb == Verb::cubic ? 3 : 1;
            ends.push_back(points_[at - 1]);
        }
    }
    Path back;
    back.move_to(ends.back());
    for (std::size_t i = verbs_.size() - 1; i > 0; --i) {
        const Point* p = points_.data() + offsets[i];
        switch (verbs_[i]) {
            case Verb::line:
                back.line_to(ends[i - 1]);
                break;
            case Verb::cubic:
                back.cubic_to(p[1], p[0], ends[i - 1]);
                break;
            case Verb::arc:
                back.arc_to(p[0], p[1], p[2], p[3].x + p[3].y, -p[3].y);
                break;
            case Verb::move:
            case Verb::close:
                break;
        }
    }
    return back;
}

std::vector<PathVertex> Path::vertices() const {
    Vertices vertices;
    const Point* p = points_.data();
    for (const Verb verb : verbs_) {
        switch (verb) {
            case Verb::move:
                vertices.begin(p[0]);
                p += 1;
                break;
            case Verb::line: {
                const Point along = direction_of({p[0] - vertices.at()});
                vertices.go(p[0], along, along);
                p += 1;
                break;
            }
            case Verb::cubic: {
                const Point at = vertices.at();
                vertices.go(p[2], direction_of({p[0] - at, p[1] - at, p[2] - at}),
                            direction_of({p[2] - p[1], p[2] - p[0], p[2] - at}));
                p += 3;
                break;
            }
            case Verb::arc: {
                const auto [start, sweep] = p[3];
                const double sense = sweep < 0 ? -1 : 1, end = start + sweep;
                const auto tangent = [&](double t) {
                    return direction_of({(p[2] * std::cos(t) - p[1] * std::sin(t)) * sense});
                };
                vertices.go(p[0] + p[1] * std::cos(end) + p[2] * std::sin(end), tangent(start), tangent(end));
                p += 4;
                break;
            }
            case Verb::close:
                vertices.close();
                break;
        }
    }
    return vertices.take();
}

bool Path::finite() const {
    return std::all_of(points_.begin(), points_.end(),
                       [](Point p) { return std::isfinite(p.x) && std::isfinite(p.y); });
}

std::vector<Polyline> Path::flatten(const Transform& map, double tolerance) const {
    std::vector<Polyline> lines;
    Chain chain;
    Point at, start;
    Verb before = Verb::move;
    const auto finish = [&](bool closed) {
        auto& points = chain.line.points;
        if (closed && points.size() > 1 && distance(points.front(), points.back()) <= merge_distance) points.pop_back();
        chain.line.closed = closed;
        if (!points.empty()) lines.push_back(std::move(chain.line));
        chain = {};
    };
    std::size_t next = 0;
    const auto take = [&] { return map(points_[next++]); };
    for (const Verb verb : verbs_) {
        // After a close the next segment begins a new contour at the old one's start.
        // One that is closed at once is a dot; what is closed twice is closed once.
        const bool draws = verb == Verb::close ? before == Verb::move : verb != Verb::move;
        if (chain.line.points.empty() && draws) chain.add(at);
        before = verb;
        switch (verb) {
            case Verb::move:
                // A lone move draws nothing.
                finish(false);
                at = start = take();
                break;
            case Verb::line:
                at = take();
                chain.add(at);
                break;
            case Verb::cubic: {
                const Point c1 = take(), c2 = take(), to = take();
                chain.add_cubic(at, c1, c2, to, tolerance);
                at = to;
                break;
            }
            case Verb::arc: {
                const Point centre = take();
                const Point u = map.direction(points_[next++]), v = map.direction(points_[next++]);
                const auto [first, sweep] = points_[next++];
                chain.add_arc(centre, u, v, first, sweep, tolerance);
                at = centre + u * std::cos(first + sweep) + v * std::sin(first + sweep);
                break;
            }
            case Verb::close:
                finish(true);
                at = start;
                break;
        }
    }
    finish(false);
    return lines;
}

double length(const Polyline& line) {
    double sum = 0;
    for (std::size_t i = 1; i < line.points.size(); ++i)
        sum += distance(line.points[i - 1], line.points[i]);
    if (line.closed && line.points.size() > 1) sum += distance(line.points.back(), line.points.front());
    return sum;
}

double length(const std::vector<Polyline>& lines) {
    double sum = 0;
    for (const Polyline& line : lines)
        sum += length(line);
    return sum;
}

double signed_area(const Polyline& ring) {
    double twice = 0;
    for (std::size_t i = 0; i < ring.points.size(); ++i)
        twice += cross(ring.points[i], ring.points[(i + 1) % ring.points.size()]);
    return twice / 2;
}

Polyline outline(const Box& box) {
    return {{{box.left, box.bottom}, {box.right, box.bottom}, {box.right, box.top}, {box.left, box.top}}, true};
}

Box bounds(const Polyline& line) {
    Box box;
    for (const Point p : line.points)
        box.add(p);
    return box;
}

Box bounds(const std::vector<Polyline>& lines) {
    Box box;
    for (const Polyline& line : lines)
        box.add(bounds(line));
    return box;
}

Box bounds(const std::vector<Point>& points) {
    Box box;
    for (const Point p : points)
        box.add(p);
    return box;
}

}  // namespace chalkline::geometry
