// SPDX-License-Identifier: GPL-3.0-or-later
#include "photo_light.hpp"

#include <chalkline/raster/grey.hpp>
#include <chalkline/raster/resample.hpp>
#include <chalkline/swatches/photo.hpp>

#include <opencv2/imgproc.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace chalkline::swatches {
namespace {

using geometry::Homography;
using geometry::Point;

constexpr int longest_side = 1600;      // px of the copy in which marks are looked for
constexpr double least_diameter = 6;    // px
constexpr std::size_t most_spots = 22;  // of nearly one size, tried in fours

/// A round spot of the photograph that stands out from what lies around it.
struct Spot {
    Point middle;     ///< px
    double diameter;  ///< px, of a disc of its area
    double roundness;
};

cv::Mat grey_of(const raster::RgbImage& image) {
    const raster::GreyImage grey = raster::to_grey(image);
    cv::Mat bytes(grey.height, grey.width, CV_8U);
    std::transform(grey.pixels.begin(), grey.pixels.end(), bytes.begin<std::uint8_t>(),
                   [](std::uint16_t value) { return static_cast<std::uint8_t>(value >> 8); });
    return bytes;
}

/// Round against an ellipse of the same moments, and its outline against its area.
std::optional<Spot> spot_of(const std::vector<cv::Point>& outline) {
    const cv::Moments m = cv::moments(outline);
    if (m.m00 < least_diameter * least_diameter) return {};
    const double xx = m.mu20 / m.m00, yy = m.mu02 / m.m00, xy = m.mu11 / m.m00;
    const double spread = std::sqrt(std::max(xx * yy - xy * xy, 1e-9));
    const double longer = (xx + yy) / 2 + std::hypot((xx - yy) / 2, xy);
    // Seen from the side a disc is an ellipse; beyond 1 : 3 nobody could read the card anyway.
    if (longer > 3 * spread) return {};
    const double like_ellipse = m.m00 / (4 * std::numbers::pi * spread);
    const double around = cv::arcLength(outline, true);
    const double compact = 4 * std::numbers::pi * m.m00 / (around * around);
    if (std::abs(like_ellipse - 1) > 0.08 || compact < 0.55) return {};
    return Spot{{m.m10 / m.m00 + 0.5, m.m01 / m.m00 + 0.5},
                std::sqrt(m.m00 * 4 / std::numbers::pi),
                compact - 4 * std::abs(like_ellipse - 1)};
}

/// Dark spots, or light ones of the inverted picture.
void add_spots(std::vector<Spot>& spots, const cv::Mat& grey) {
    const int longer = std::max(grey.cols, grey.rows);
    for (const double share : {0.05, 0.12}) {
        const int window = std::max(15, static_cast<int>(longer * share) | 1);
        cv::Mat dark;
        cv::adaptiveThreshold(grey, dark, 255, cv::ADAPTIVE_THRESH_MEAN_C, cv::THRESH_BINARY_INV, window, 12);
        std::vector<std::vector<cv::Point>> outlines;
        // The outer border of every patch, also of one that lies inside another; its holes have the fourth number set.
        std::vector<cv::Vec4i> nesting;
        cv::findContours(dark, outlines, nesting, cv::RETR_CCOMP, cv::CHAIN_APPROX_NONE);
        for (std::size_t i = 0; i < outlines.size(); ++i)
            if (const auto spot = nesting[i][3] < 0 ? spot_of(outlines[i]) : std::nullopt) spots.push_back(*spot);
    }
}

/// One spot for every place: both windows find most of them.
std::vector<Spot> distinct(std::vector<Spot> spots) {
    std::sort(spots.begin(), spots.end(), [](const Spot& a, const Spot& b) { return a.roundness > b.roundness; });
    std::vector<Spot> kept;
    for (const Spot& spot : spots)
        if (std::none_of(kept.begin(), kept.end(), [&](const Spot& other) {
                return geometry::distance(spot.middle, other.middle) < std::max(spot.diameter, other.diameter) / 2;
            }))
            kept.push_back(spot);
    return kept;
}

/// How well a place of the card would fit what the photograph shows.
class Judge {
 public:
    Judge(const PhotoLight& light, const Layout& layout) : light_(light), layout_(layout) {}

    /// 0: nothing of it; higher is better.
    double score(const Homography& onto, const std::array<const Spot*, 4>& spots) const {
        for (std::size_t i = 0; i < 4; ++i) {
            const Point middle = layout_.marks[i];
            const double across =
                geometry::distance(onto(middle - Point{mark_size / 2, 0}), onto(middle + Point{mark_size / 2, 0}));
            const double up =
                geometry::distance(onto(middle - Point{0, mark_size / 2}), onto(middle + Point{0, mark_size / 2}));
            const double expected = std::sqrt(across * up);
            if (spots[i]->diameter > expected * 1.35 || spots[i]->diameter < expected * 0.7) return 0;
        }
        double contrast = 0;
        for (std::size_t i = 0; i < 4; ++i) {
            const double ring = mean_on_circle(onto, layout_.marks[i], (mark_size + mark_hole) / 4);
            const double around = mean_on_circle(onto, layout_.marks[i], mark_size / 2 + 1);
            const double core = light_.at(onto(layout_.marks[i]));
            const double strength = std::log(around / ring);
            // Only the first one has a hole, which looks like what lies around it.
            const double filled = std::log(around / core) / strength;
            if (i == 0 ? filled > 0.75 : filled < 0.75) return 0;
            contrast += std::abs(strength) * (i == 0 ? 1 - filled : std::min(filled, 1.0));
        }
        return contrast;
    }

 private:
    double mean_on_circle(const Homography& onto, Point middle, double radius) const {
        double sum = 0;
        constexpr int places = 12;
        for (int i = 0; i < places; ++i) {
            const double angle = 2 * std::numbers::pi * i / places;
            sum += light_.at(onto(middle + Point{std::cos(angle), std::sin(angle)} * radius));
        }
        return std::max(sum / places, 1e-4);
    }

    const PhotoLight& light_;
    const Layout& layout_;
};

/// Four spots in the order of the marks: counter-clockwise as the eye sees them, where pixels count down. None when
/// they are no sensible quadrilateral.
std::optional<std::array<const Spot*, 4>> in_order(std::array<const Spot*, 4> four) {
    Point middle;
    for (const Spot* spot : four)
        middle = middle + spot->middle * 0.25;
    std::sort(four.begin(), four.end(), [&](const Spot* a, const Spot* b) {
        const Point p = a->middle - middle, q = b->middle - middle;
        return std::atan2(p.y, p.x) > std::atan2(q.y, q.x);
    });
    double shortest = 1e12, longest = 0;
    for (std::size_t i = 0; i < 4; ++i) {
        const Point a = four[i]->middle, b = four[(i + 1) % 4]->middle, c = four[(i + 2) % 4]->middle;
        if (geometry::cross(b - a, c - b) >= 0) return {};  // not convex
        shortest = std::min(shortest, geometry::distance(a, b));
        longest = std::max(longest, geometry::distance(a, b));
    }
    if (shortest < 2 * four[0]->diameter || longest > 20 * shortest) return {};
    return four;
}

struct Found {
    double score = 0;
    Homography onto;
};

/// Tries all fours of some spots of nearly one size.
void try_fours(const std::vector<Spot>& spots, std::size_t first, std::size_t last, const Layout& layout,
               const Judge& judge, Found& best) {
    for (std::size_t a = first; a < last; ++a)
        for (std::size_t b = a + 1; b < last; ++b)
            for (std::size_t c = b + 1; c < last; ++c)
                for (std::size_t d = c + 1; d < last; ++d) {
                    const auto four = in_order({&spots[a], &spots[b], &spots[c], &spots[d]});
                    if (!four) continue;
                    for (std::size_t turn = 0; turn < 4; ++turn) {
                        std::array<const Spot*, 4> turned{};
                        std::array<Point, 4> places;
                        for (std::size_t i = 0; i < 4; ++i) {
                            turned[i] = (*four)[(i + turn) % 4];
                            places[i] = turned[i]->middle;
                        }
                        const auto onto = geometry::homography(layout.marks, places);
                        if (!onto) continue;
                        if (const double score = judge.score(*onto, turned); score > best.score) best = {score, *onto};
                    }
                }
}

Homography enlarged(Homography onto, double factor) {
    for (std::size_t i = 0; i < 6; ++i)
        onto.m[i] *= factor;
    return onto;
}

}  // namespace

std::optional<Homography> find_card(const raster::RgbImage& photo, const Layout& layout) {
    if (photo.width < 40 || photo.height < 40) return {};
    const raster::RgbImage small = raster::shrunk(photo, longest_side);
    const double factor = static_cast<double>(photo.width) / small.width;
    cv::Mat grey = grey_of(small);
    cv::medianBlur(grey, grey, 3);
    const PhotoLight light(small);
    const Judge judge(light, layout);
    Found best;
    for (const bool light_marks : {false, true}) {
        std::vector<Spot> spots;
        add_spots(spots, light_marks ? cv::Mat(255 - grey) : grey);
        spots = distinct(std::move(spots));
        std::sort(spots.begin(), spots.end(), [](const Spot& a, const Spot& b) { return a.diameter > b.diameter; });
        // The four marks are nearly of one size: windows over the spots by size hold them together.
        for (std::size_t first = 0; first < spots.size(); first += most_spots / 2) {
            const std::size_t last = std::min(first + most_spots, spots.size());
            try_fours(spots, first, last, layout, judge, best);
            if (last == spots.size()) break;
        }
    }
    if (best.score <= 0.4) return {};
    return enlarged(best.onto, factor);
}

std::optional<Homography> card_at_clicks(const std::array<Point, 4>& clicks, const Layout& layout) {
    std::array<Point, 4> places = clicks;
    // Clicked the other way round: the ring stays first.
    double turning = 0;
    for (std::size_t i = 0; i < 4; ++i)
        turning += geometry::cross(places[i], places[(i + 1) % 4]);
    if (turning > 0) std::swap(places[1], places[3]);
    return geometry::homography(layout.marks, places);
}

}  // namespace chalkline::swatches
