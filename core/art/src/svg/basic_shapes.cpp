// SPDX-License-Identifier: GPL-3.0-or-later
#include "basic_shapes.hpp"

#include "scene.hpp"

#include <numbers>

namespace chalkline::art::svg {
using geometry::Path;
using geometry::Point;

void add_ellipse(Path& path, Point centre, double rx, double ry) {
    if (!(rx > 0) || !(ry > 0)) return;
    path.move_to({centre.x + rx, centre.y});
    path.arc_to(centre, {rx, 0}, {0, ry}, 0, 2 * std::numbers::pi);
    path.close();
}

void add_rectangle(Path& path, Point at, double width, double height, double rx, double ry) {
    if (!(width > 0) || !(height > 0)) return;
    rx = std::clamp(rx, 0.0, width / 2);
    ry = std::clamp(ry, 0.0, height / 2);
    const double right = at.x + width, bottom = at.y + height, quarter = std::numbers::pi / 2;
    const bool round = rx > 0 && ry > 0;
    if (!round) rx = ry = 0;
    const auto corner = [&](Point centre, double start) {
        if (round) path.arc_to(centre, {rx, 0}, {0, ry}, start, quarter);
    };
    path.move_to({at.x + rx, at.y});
    path.line_to({right - rx, at.y});
    corner({right - rx, at.y + ry}, -quarter);
    path.line_to({right, bottom - ry});
    corner({right - rx, bottom - ry}, 0);
    path.line_to({at.x + rx, bottom});
    corner({at.x + rx, bottom - ry}, quarter);
    path.line_to({at.x, at.y + ry});
    corner({at.x + rx, at.y + ry}, 2 * quarter);
    path.close();
}

std::optional<Path> shape_path(const Scene& scene, const pugi::xml_node& element, const Viewport& viewport) {
    const std::string_view name = local_name(element);
    const auto x = [&](const char* attribute) { return measure(scene, element, attribute, viewport, Axis::x); };
    const auto y = [&](const char* attribute) { return measure(scene, element, attribute, viewport, Axis::y); };
    Path path;
    if (name == "path") {
        auto data = parse_path(element.attribute("d").value());
        if (!data.complete) scene.notes.add(notice::bad_path, element);
        return std::move(data.path);
    }
    if (name == "rect") {
        const bool has_rx = element.attribute("rx"), has_ry = element.attribute("ry");
        const double rx = has_rx ? x("rx") : y("ry"), ry = has_ry ? y("ry") : rx;
        add_rectangle(path, {x("x"), y("y")}, x("width"), y("height"), rx, ry);
    } else if (name == "circle") {
        const double r = measure(scene, element, "r", viewport, Axis::diagonal);
        add_ellipse(path, {x("cx"), y("cy")}, r, r);
    } else if (name == "ellipse") {
        const bool has_rx = element.attribute("rx"), has_ry = element.attribute("ry");
        const double rx = has_rx ? x("rx") : y("ry");
        add_ellipse(path, {x("cx"), y("cy")}, rx, has_ry ? y("ry") : rx);
    } else if (name == "line") {
        path.move_to({x("x1"), y("y1")});
        path.line_to({x("x2"), y("y2")});
    } else if (name == "polyline" || name == "polygon") {
        const auto numbers = parse_numbers(element.attribute("points").value());
        for (std::size_t i = 0; i + 1 < numbers.size(); i += 2) {
            const Point to{numbers[i], numbers[i + 1]};
            i == 0 ? path.move_to(to) : path.line_to(to);
        }
        if (name == "polygon" && !path.empty()) path.close();
    } else {
        return {};
    }
    return path;
}

}  // namespace chalkline::art::svg
