// SPDX-License-Identifier: GPL-3.0-or-later
#include "clip_shape.hpp"

#include "basic_shapes.hpp"

#include <algorithm>
#include <array>

namespace chalkline::art::svg {
namespace {

using geometry::Box;
using geometry::Path;
using geometry::Point;
using Words = std::vector<std::string>;

/// Reads the arguments of one shape.
class ShapeReader {
 public:
    ShapeReader(const Viewport& viewport, const Box& box) : viewport_(viewport), box_(box) {}

    /// Distances from the four sides, clockwise from the top; "round" and a radius may follow.
    std::optional<Path> inset(const Words& words) const {
        const auto [sides, round] = parted(words, "round");
        if (sides.empty() || sides.size() > 4 || round.size() > 1) return {};
        std::array<double, 4> in{};
        for (std::size_t i = 0; i < 4; ++i) {
            // What is not said is as on the other side, and else as above.
            const std::size_t said = i < sides.size() ? i : i == 3 && sides.size() > 1 ? 1 : 0;
            const auto length = length_of(sides[said], i % 2 == 0 ? box_.height() : box_.width());
            if (!length) return {};
            in[i] = *length;
        }
        const auto radius = round.empty() ? 0 : length_of(round[0], box_.width());
        if (!radius) return {};
        Path path;
        add_rectangle(path, {box_.left + in[3], box_.bottom + in[0]}, box_.width() - in[1] - in[3],
                      box_.height() - in[0] - in[2], *radius, *radius);
        return path;
    }

    std::optional<Path> circle(const Words& words) const {
        const auto [radii, at] = parted(words, "at");
        const auto centre = centre_of(at);
        if (!centre || radii.size() > 1) return {};
        const double diagonal = std::hypot(box_.width(), box_.height()) / std::sqrt(2);
        const auto x = sides(centre->x - box_.left, box_.right - centre->x);
        const auto y = sides(centre->y - box_.bottom, box_.top - centre->y);
        const auto radius = radius_of(radii.empty() ? "closest-side" : radii[0], diagonal,
                                      {std::min(x[0], y[0]), std::max(x[1], y[1])});
        return radius ? ellipse_at(*centre, *radius, *radius) : std::nullopt;
    }

    std::optional<Path> ellipse(const Words& words) const {
        const auto [radii, at] = parted(words, "at");
        const auto centre = centre_of(at);
        if (!centre || (!radii.empty() && radii.size() != 2)) return {};
        const auto rx = radius_of(radii.empty() ? "closest-side" : radii[0], box_.width(),
                                  sides(centre->x - box_.left, box_.right - centre->x));
        const auto ry = radius_of(radii.empty() ? "closest-side" : radii[1], box_.height(),
                                  sides(centre->y - box_.bottom, box_.top - centre->y));
        return rx && ry ? ellipse_at(*centre, *rx, *ry) : std::nullopt;
    }

    std::optional<Path> polygon(const Words& words) const {
        if (words.empty() || words.size() % 2 != 0) return {};
        Path path;
        for (std::size_t i = 0; i < words.size(); i += 2) {
            const auto x = length_of(words[i], box_.width()), y = length_of(words[i + 1], box_.height());
            if (!x || !y) return {};
            const Point to{box_.left + *x, box_.bottom + *y};
            i == 0 ? path.move_to(to) : path.line_to(to);
        }
        path.close();
        return path;
    }

 private:
    std::optional<double> length_of(const std::string& word, double whole) const {
        return parse_length(word, {whole, whole, viewport_.font_size}, Axis::x);
    }
    /// The words before and behind a key word.
    static std::pair<Words, Words> parted(const Words& words, std::string_view key) {
        const auto at = std::find(words.begin(), words.end(), key);
        return {Words(words.begin(), at), at == words.end() ? Words() : Words(at + 1, words.end())};
    }
    static std::array<double, 2> sides(double a, double b) {
        return {std::min(std::abs(a), std::abs(b)), std::max(std::abs(a), std::abs(b))};
    }
    std::optional<Point> centre_of(const Words& words) const {
        std::string text;
        for (const std::string& word : words)
            text += word + ' ';
        return words.empty() ? box_.centre() : parse_place(text, viewport_, box_);
    }
    std::optional<double> radius_of(const std::string& word, double whole, std::array<double, 2> sides) const {
        if (word == "closest-side") return sides[0];
        if (word == "farthest-side") return sides[1];
        return length_of(word, whole);
    }
    static std::optional<Path> ellipse_at(Point centre, double rx, double ry) {
        Path path;
        add_ellipse(path, centre, rx, ry);
        return path;
    }

    const Viewport& viewport_;
    const Box& box_;
};

}  // namespace

std::optional<ClipShape> parse_clip_shape(std::string_view text, const Viewport& viewport, const Box& box) {
    const auto open = text.find('('), close = text.rfind(')');
    if (open == std::string_view::npos || close == std::string_view::npos || close < open) return {};
    const std::string name = lower(trimmed(text.substr(0, open)));
    std::string_view inside = trimmed(text.substr(open + 1, close - open - 1));
    ClipShape shape;
    for (const std::string_view rule : {"evenodd", "nonzero"})
        if (inside.starts_with(rule)) {
            if (rule == "evenodd") shape.rule = geometry::FillRule::even_odd;
            inside = trimmed(inside.substr(rule.size()));
            if (inside.starts_with(',')) inside = trimmed(inside.substr(1));
        }
    if (name == "path") {
        if (inside.size() < 2 || (inside[0] != '"' && inside[0] != '\'')) return {};
        PathData data = parse_path(inside.substr(1, inside.size() - 2));
        data.path.transform(geometry::Transform::move(box.left, box.bottom));
        shape.path = std::move(data.path);
        return shape;
    }
    const ShapeReader reader(viewport, box);
    const Words words = words_of(lower(inside));
    auto path = name == "inset"     ? reader.inset(words)
                : name == "circle"  ? reader.circle(words)
                : name == "ellipse" ? reader.ellipse(words)
                : name == "polygon" ? reader.polygon(words)
                                    : std::nullopt;
    if (!path) return {};
    shape.path = std::move(*path);
    return shape;
}

}  // namespace chalkline::art::svg
