// SPDX-License-Identifier: GPL-3.0-or-later
#include "pattern_tile.hpp"

namespace chalkline::art::svg {

using geometry::Box;
using geometry::Transform;

std::vector<pugi::xml_node> lineage(const Scene& scene, pugi::xml_node server) {
    std::vector<pugi::xml_node> chain;
    while (server && chain.size() < 16 && std::find(chain.begin(), chain.end(), server) == chain.end()) {
        chain.push_back(server);
        server = scene.document.referred(reference_of(server));
    }
    return chain;
}

std::string_view inherited(const std::vector<pugi::xml_node>& chain, const char* name) {
    for (const auto& server : chain)
        if (const auto attribute = server.attribute(name)) return attribute.value();
    return {};
}

bool is_pattern(const pugi::xml_node& server) {
    return local_name(server) == "pattern";
}

std::optional<PatternTile> pattern_tile(const std::vector<pugi::xml_node>& chain, const PaintedArea& area) {
    const bool own_units = inherited(chain, "patternUnits") == "userSpaceOnUse";
    const Viewport view = own_units ? area.place.viewport : Viewport{1, 1, 1};
    const auto value = [&](const char* name, Axis axis) {
        return parse_length(inherited(chain, name), view, axis).value_or(0);
    };
    PatternTile tile{
        {}, value("x", Axis::x), value("y", Axis::y), value("width", Axis::x), value("height", Axis::y), {}, {}, {}};
    const Box& box = area.user_box;
    if (!own_units) {
        tile.x = box.left + tile.x * box.width(), tile.y = box.bottom + tile.y * box.height();
        tile.width *= box.width(), tile.height *= box.height();
    }
    if (!(tile.width > 0) || !(tile.height > 0)) return {};
    for (const auto& server : chain)
        if (!tile.content && server.first_child()) tile.content = server;
    if (!tile.content) return {};
    tile.to_page = area.place.map * parse_transform(inherited(chain, "patternTransform")).value_or(Transform{});
    // The content counts from the tile's own corner, not from the drawing's: so do all renderers.
    tile.content_map = Transform::move(tile.x, tile.y);
    if (const auto view_box = parse_numbers(inherited(chain, "viewBox")); view_box.size() == 4 && view_box[2] > 0)
        tile.content_map = Transform::move(tile.x, tile.y) *
                           Transform::scale(tile.width / view_box[2], tile.height / std::max(1e-9, view_box[3])) *
                           Transform::move(-view_box[0], -view_box[1]);
    else if (inherited(chain, "patternContentUnits") == "objectBoundingBox")
        tile.content_map = Transform{box.width(), 0, 0, box.height(), tile.x, tile.y};
    tile.around.viewport = area.place.viewport;
    tile.around.depth = area.place.depth + 1;
    return tile;
}

}  // namespace chalkline::art::svg
