// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/units_text.hpp>
#include <chalkline/geometry/circle.hpp>
#include <chalkline/job/marking.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace chalkline::job {
namespace {

using geometry::Point;

Stock straight(Stock stock, Point a, Point b) {
    stock.form = Stock::Form::rectangle;
    stock.points.clear();
    stock.corner = {std::min(a.x, b.x), std::min(a.y, b.y)};
    stock.width = std::abs(a.x - b.x);
    stock.height = std::abs(a.y - b.y);
    stock.angle = 0;
    return stock;
}

/// The side from `a` to `b` lies below, the piece to its left, up to `c`.
Stock turned(Stock stock, Point a, Point b, Point c) {
    Point along = (b - a) * (1 / geometry::distance(a, b));
    Point up{-along.y, along.x};
    double width = geometry::distance(a, b), height = (c - b).x * up.x + (c - b).y * up.y;
    Point corner = a;
    if (height < 0) {
        // Marked clockwise: seen from the other end the piece lies to the left.
        corner = b;
        along = along * -1;
        up = up * -1;
        height = -height;
    }
    double angle = std::atan2(along.y, along.x);
    // The same rectangle has four names; the one that lies nearest to straight is the maker's.
    constexpr double quarter = std::numbers::pi / 2;
    for (; angle > quarter / 2 + 1e-12; angle -= quarter) {
        const Point next_along = up * -1;
        corner = corner + up * height;
        up = along;
        along = next_along;
        std::swap(width, height);
    }
    for (; angle <= -quarter / 2 - 1e-12; angle += quarter) {
        const Point next_along = up;
        corner = corner + along * width;
        up = along * -1;
        along = next_along;
        std::swap(width, height);
    }
    stock.form = Stock::Form::rectangle;
    stock.points.clear();
    stock.corner = corner;
    stock.width = width;
    stock.height = height;
    stock.angle = angle;
    return stock;
}

/// Round the circle through three points.
Result<Stock> round_piece(Stock stock, Point a, Point b, Point c) {
    constexpr double least_off = 0.5;  // mm the third mark must lie off the line of two
    const double off =
        std::abs(geometry::cross(b - a, c - a)) / std::max({geometry::distance(a, b), geometry::distance(a, c), 1e-9});
    const auto circle = geometry::circle_through(a, b, c);
    if (!circle || off < least_off) return fail(error::marks_in_line);
    stock.form = Stock::Form::ellipse;
    stock.points.clear();
    stock.corner = circle->middle - Point{circle->radius, circle->radius};
    stock.width = stock.height = 2 * circle->radius;
    stock.angle = 0;
    return stock;
}

}  // namespace

int marks_needed(MarkedBy by) {
    return by == MarkedBy::two_corners ? 2 : 3;
}

Result<Stock> stock_at_marks(MarkedBy by, const std::vector<Point>& marks, Stock before) {
    for (std::size_t i = 0; i < marks.size(); ++i)
        for (std::size_t j = 0; j < i; ++j)
            if (geometry::distance(marks[i], marks[j]) < nearest_marks)
                return fail(error::marks_too_near, {{"by", format_number(nearest_marks, 0)}});
    if (by == MarkedBy::round) return round_piece(std::move(before), marks[0], marks[1], marks[2]);
    const Stock stock = by == MarkedBy::two_corners ? straight(std::move(before), marks[0], marks[1])
                                                    : turned(std::move(before), marks[0], marks[1], marks[2]);
    if (stock.width < 0.5 || stock.height < 0.5) return fail(error::marks_in_line);
    return stock;
}

Result<Job> place_stock(Job job, const Stock& stock, bool with_art) {
    if (with_art && job.stock) {
        // From the old piece's middle to the new one's, turned as the piece is.
        const Point from = job.stock->middle(), to = stock.middle();
        const auto map = geometry::Transform::move(to.x, to.y) *
                         geometry::Transform::turn(stock.angle - job.stock->angle) *
                         geometry::Transform::move(-from.x, -from.y);
        for (Motif& motif : job.motifs)
            if (!motif.locked) motif.place = map * motif.place;
    }
    job.stock = stock;
    return job;
}

}  // namespace chalkline::job
