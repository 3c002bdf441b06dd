// SPDX-License-Identifier: GPL-3.0-or-later
#include "grammar.hpp"

#include <cmath>
#include <numbers>

namespace chalkline::art::svg {
namespace {

using geometry::Path;
using geometry::Point;

struct ArcParameters {
    double rx, ry, rotation;  ///< rotation in degrees
    bool large, sweep;
    Point to;
};

/// End points to centre, after SVG 1.1 appendix F.6.5 and F.6.6 (radii too small are grown).
void add_arc(Path& path, const ArcParameters& arc) {
    const Point from = path.current();
    double rx = std::abs(arc.rx), ry = std::abs(arc.ry);
    if (from == arc.to) return;
    if (rx == 0 || ry == 0) return path.line_to(arc.to);

    const double phi = arc.rotation * std::numbers::pi / 180;
    const double cosine = std::cos(phi), sine = std::sin(phi);
    const Point half = (from - arc.to) * 0.5;
    const Point p{cosine * half.x + sine * half.y, -sine * half.x + cosine * half.y};
    const double lambda = (p.x / rx) * (p.x / rx) + (p.y / ry) * (p.y / ry);
    if (lambda > 1) {
        rx *= std::sqrt(lambda);
        ry *= std::sqrt(lambda);
    }
    const double a = rx * rx * p.y * p.y + ry * ry * p.x * p.x;
    double k = a > 0 ? std::sqrt(std::max(0.0, (rx * rx * ry * ry - a) / a)) : 0;
    if (arc.large == arc.sweep) k = -k;
    const Point c{k * rx * p.y / ry, -k * ry * p.x / rx};
    const Point centre{cosine * c.x - sine * c.y + (from.x + arc.to.x) / 2,
                       sine * c.x + cosine * c.y + (from.y + arc.to.y) / 2};
    const double start = std::atan2((p.y - c.y) / ry, (p.x - c.x) / rx);
    const double end = std::atan2((-p.y - c.y) / ry, (-p.x - c.x) / rx);
    double sweep = end - start;
    if (arc.sweep && sweep < 0) sweep += 2 * std::numbers::pi;
    if (!arc.sweep && sweep > 0) sweep -= 2 * std::numbers::pi;
    path.arc_to(centre, {rx * cosine, rx * sine}, {-ry * sine, ry * cosine}, start, sweep);
}

class PathReader {
 public:
    explicit PathReader(std::string_view text) : scan_(text) {}

    PathData read() {
        while (!scan_.at_end()) {
            const char letter = scan_.take();
            if (!read_command(letter)) return {std::move(path_), false};
        }
        return {std::move(path_), true};
    }

 private:
    /// One command letter with all its argument groups.
    bool read_command(char letter) {
        relative_ = letter >= 'a' && letter <= 'z';
        const char command = static_cast<char>(letter & ~32);
        if (path_.empty() && command != 'M') return false;
        if (command == 'Z') {
            path_.close();
            last_ = 'Z';
            return true;
        }
        bool first = true;
        do {
            scan_.skip_comma();
            if (!read_segment(command, first)) return false;
            last_ = command;
            first = false;
            scan_.skip_space();
        } while (scan_.peek() == ',' || starts_number(scan_.peek()));
        return true;
    }

    bool read_segment(char command, bool first) {
        const Point at = path_.empty() ? Point{} : path_.current();
        switch (command) {
            case 'M': {
                const auto to = point(at);
                if (!to) return false;
                first ? path_.move_to(*to) : path_.line_to(*to);
                return true;
            }
            case 'L': {
                const auto to = point(at);
                if (!to) return false;
                path_.line_to(*to);
                return true;
            }
            case 'H': {
                const auto x = number();
                if (!x) return false;
                path_.line_to({*x + (relative_ ? at.x : 0), at.y});
                return true;
            }
            case 'V': {
                const auto y = number();
                if (!y) return false;
                path_.line_to({at.x, *y + (relative_ ? at.y : 0)});
                return true;
            }
            case 'C': {
                const auto c1 = point(at), c2 = point(at), to = point(at);
                return c1 && c2 && to && cubic(*c1, *c2, *to);
            }
            case 'S': {
                const Point c1 = last_ == 'C' || last_ == 'S' ? at * 2 - control_ : at;
                const auto c2 = point(at), to = point(at);
                return c2 && to && cubic(c1, *c2, *to);
            }
            case 'Q': {
                const auto c = point(at), to = point(at);
                return c && to && quadratic(at, *c, *to);
            }
            case 'T': {
                const Point c = last_ == 'Q' || last_ == 'T' ? at * 2 - control_ : at;
                const auto to = point(at);
                return to && quadratic(at, c, *to);
            }
            case 'A':
                return arc(at);
            default:
                return false;
        }
    }

    bool cubic(Point c1, Point c2, Point to) {
        control_ = c2;
        path_.cubic_to(c1, c2, to);
        return true;
    }

    bool quadratic(Point from, Point c, Point to) {
        control_ = c;
        path_.cubic_to(geometry::between(from, c, 2.0 / 3), geometry::between(to, c, 2.0 / 3), to);
        return true;
    }

    bool arc(Point at) {
        const auto rx = number(), ry = number(), rotation = number();
        const auto large = flag(), sweep = flag();
        const auto to = point(at);
        if (!rx || !ry || !rotation || !large || !sweep || !to) return false;
        add_arc(path_, {*rx, *ry, *rotation, *large, *sweep, *to});
        return true;
    }

    static bool starts_number(char c) { return (c >= '0' && c <= '9') || c == '.' || c == '-' || c == '+'; }

    std::optional<double> number() {
        scan_.skip_comma();
        return scan_.number();
    }
    std::optional<bool> flag() {
        scan_.skip_comma();
        return scan_.flag();
    }
    std::optional<Point> point(Point origin) {
        const auto x = number();
        const auto y = x ? number() : std::nullopt;
        if (!y) return {};
        return relative_ ? origin + Point{*x, *y} : Point{*x, *y};
    }

    Scanner scan_;
    Path path_;
    Point control_;  ///< last control point of the last curve
    char last_ = '\0';
    bool relative_ = false;
};

}  // namespace

PathData parse_path(std::string_view text) {
    return PathReader(text).read();
}

}  // namespace chalkline::art::svg
