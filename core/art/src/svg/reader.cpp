// SPDX-License-Identifier: GPL-3.0-or-later
#include "reader.hpp"

#include "page.hpp"
#include "walker.hpp"

namespace chalkline::art::svg {
namespace {

using geometry::Box;
using geometry::Transform;

struct Page {
    Viewport size;       ///< px; 0 where nothing is stated
    bool sized = false;  ///< the drawing or its viewBox states a size
};

Result<Page> page_of(const Scene& scene) {
    const auto root = scene.document.root();
    const auto box = view_box(root);
    const Viewport natural = box ? Viewport{(*box)[2], (*box)[3]} : Viewport{};
    const auto size = [&](const char* name, Axis axis, double otherwise) {
        const std::string_view text = root.attribute(name).value();
        if (text.empty() || text == "auto" || is_percentage(text)) return otherwise;
        const auto value = parse_length(text, natural, axis);
        if (!value) scene.notes.add(notice::bad_value, root, {{"property", name}});
        return value.value_or(otherwise);
    };
    Viewport page{size("width", Axis::x, 0), size("height", Axis::y, 0)};
    if (page.width < 0 || page.height < 0) return fail(error::bad_size);
    // One side missing follows the other in the viewBox's proportion.
    if (box && page.width > 0 && page.height == 0) page.height = page.width * natural.height / natural.width;
    if (box && page.height > 0 && page.width == 0) page.width = page.height * natural.width / natural.height;
    bool stated = page.width > 0 && page.height > 0;
    if (box && page.width == 0) page = natural;
    if (!stated) scene.notes.add(notice::no_size, root);
    if (page.width * mm_per_px > farthest_place || page.height * mm_per_px > farthest_place)
        return fail(error::bad_size);
    return Page{page, page.width > 0 && page.height > 0};
}

/// Turns the page Y up, in mm. A page without a size is as large as what is drawn on it.
void finish_page(Artwork& art, Page page) {
    double left = 0, bottom = page.size.height;
    if (!page.sized) {
        const Box box = bounds(art);
        if (!box.empty()) {
            left = box.left;
            bottom = box.top;
            page.size = {box.width(), box.height()};
        }
    }
    const Transform to_mm{mm_per_px, 0, 0, -mm_per_px, -left * mm_per_px, bottom * mm_per_px};
    transform(art, to_mm);
    art.page = {page.size.width * mm_per_px, page.size.height * mm_per_px};
}

}  // namespace

Result<Artwork> read(std::string_view bytes, const std::string& name, std::vector<LinkedFile> linked,
                     const ReadOptions& options, const Outside& outside, const Watch& watch) {
    const auto document = Document::parse(bytes, name);
    if (!document) return tl::unexpected(document.error());
    const auto root = (*document)->root();
    Artwork art;
    art.linked = std::move(linked);
    Notes notes(**document, art);
    const Scene scene{**document, art, notes, options, outside};
    for (int i = 0; i < (*document)->rules_left_out(); ++i)
        notes.add(notice::unsupported, root, {{"feature", "style-rule"}});

    const auto page = page_of(scene);
    if (!page) return tl::unexpected(page.error());
    Place place{{}, page->size, nullptr, 0};
    if (const auto box = view_box(root)) {
        place.map =
            view_box_map(*box, page->size.width, page->size.height, root.attribute("preserveAspectRatio").value());
        place.viewport = {(*box)[2], (*box)[3], 16};
    }
    if (const auto own = parse_transform(root.attribute("transform").value())) place.map = place.map * *own;
    Style style;
    cascade(scene, root, style, place.viewport);
    Walker walker(scene, watch);
    if (style.displayed) walker.read_children(root, style, place);
    if (walker.cancelled()) return fail(chalkline::error::cancelled);
    if (walker.full()) return fail(error::too_many_points, {{"limit", std::to_string(most_points)}});
    if (const int left = (*document)->entities_left(); left > 0)
        art.remarks.push_back({{std::string(notice::entities), {}, left, 0}, {}});
    finish_page(art, *page);
    art.format = "svg";
    return art;
}

}  // namespace chalkline::art::svg
