// SPDX-License-Identifier: GPL-3.0-or-later
#include "reader.hpp"

#include "as_it_looks.hpp"
#include "linked_file.hpp"
#include "page.hpp"
#include "walker.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <array>

namespace chalkline::art::svg {
namespace {

using geometry::Box;
using geometry::Transform;

constexpr const char* page_sides[] = {"width", "height"};

/// How much larger a drawing in pixels is than at 96 to the inch.
double growth(const Artwork& art, const ReadOptions& options) {
    return art.sized_in_pixels ? css_density / options.density : 1;
}

struct Page {
    Viewport size;       ///< px; 0 where nothing is stated
    bool sized = false;  ///< the drawing or its viewBox states a size
};

/// Neither side of the page is stated in a unit of the real world.
bool counts_in_pixels(const pugi::xml_node& root) {
    return std::none_of(std::begin(page_sides), std::end(page_sides), [&](const char* side) {
        const std::string text = lower(trimmed(root.attribute(side).value()));
        static constexpr std::array units{"mm", "cm", "in", "pt", "pc", "q"};
        return std::any_of(units.begin(), units.end(), [&](const char* unit) { return text.ends_with(unit); });
    });
}

/// Pixels an inch at which a page in pixels is a common sheet, where it is none at the 96 of style sheets: some
/// programs count points, others counted 90.
std::optional<double> density_of_sheet(const Viewport& page) {
    struct Sheet {
        double width, height;  // mm, upright
    };
    static constexpr std::array sheets{Sheet{841, 1189},    Sheet{594, 841},    Sheet{420, 594}, Sheet{297, 420},
                                       Sheet{210, 297},     Sheet{148, 210},    Sheet{105, 148}, Sheet{215.9, 279.4},
                                       Sheet{215.9, 355.6}, Sheet{279.4, 431.8}};
    const auto is_sheet = [&](double density) {
        constexpr double near = 0.3;  // mm: pages are often whole pixels
        const double mm = 25.4 / density;
        const double narrow = std::min(page.width, page.height) * mm, wide = std::max(page.width, page.height) * mm;
        return std::any_of(sheets.begin(), sheets.end(), [&](const Sheet& sheet) {
            return std::abs(narrow - sheet.width) < near && std::abs(wide - sheet.height) < near;
        });
    };
    if (is_sheet(css_density)) return {};
    for (const double density : {72.0, 90.0})
        if (is_sheet(density)) return density;
    return {};
}

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
    scene.art.sized_in_pixels = counts_in_pixels(root);
    if (scene.art.sized_in_pixels) scene.art.sheet_density = density_of_sheet(page);
    const std::string density = fmt::format("{}", scene.options.density);
    if (!stated)
        scene.notes.add(notice::no_size, root, {{"density", density}});
    else if (scene.art.sized_in_pixels &&
             scene.art.sheet_density.value_or(scene.options.density) != scene.options.density)
        scene.notes.add(notice::pixel_size_of_sheet, root,
                        {{"density", density}, {"sheets", fmt::format("{}", *scene.art.sheet_density)}});
    else if (scene.art.sized_in_pixels)
        scene.notes.add(notice::pixel_size, root, {{"density", density}});
    if (page.width * mm_per_px > farthest_place || page.height * mm_per_px > farthest_place)
        return fail(error::bad_size);
    return Page{page, page.width > 0 && page.height > 0};
}

/// What the picture shows has nothing left out: only what concerns files and letters is still to be said.
void forget_what_is_drawn(Artwork& art) {
    std::erase_if(art.remarks, [](const Remark& remark) {
        const std::string& code = remark.notice.code;
        return code == notice::unsupported || code == notice::flat_gradient || code == notice::stroke_area ||
               code == notice::coarse_picture;
    });
}

/// The page becomes one picture but for its thin lines. A page without a size shows all that is drawn.
Result<void> take_as_it_looks(const Scene& scene, const Walker& walker, const Page& page) {
    Box shown{0, 0, page.size.width, page.size.height};
    std::vector<double> units{0, 0, shown.right, shown.top};
    if (const auto box = view_box(scene.document.root())) units = *box;
    if (!page.sized) {
        shown = bounds(scene.art);
        if (shown.empty()) return {};
        units = {shown.left, shown.bottom, shown.width(), shown.height()};
    }
    auto drawn = draw_as_it_looks(scene, walker.thin_lines(), units, shown);
    if (drawn) forget_what_is_drawn(scene.art);
    return drawn;
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
                     const ReadOptions& given, const Outside& outside, const Watch& watch) {
    ReadOptions options = given;
    Artwork art;
    art.linked = std::move(linked);
    const auto document = Document::parse(bytes, name, [&](std::string_view reference) -> std::optional<std::string> {
        const auto css = linked_file(art, outside, reference);
        return css ? std::optional(**css) : std::nullopt;
    });
    if (!document) return tl::unexpected(document.error());
    const auto root = (*document)->root();
    Notes notes(**document, art);
    Composer composer(art, options.cover);
    Effort effort;
    Retold retold;
    const Scene scene{**document, art, composer, notes, options, outside, effort, retold};
    for (int i = 0; i < (*document)->rules_left_out(); ++i)
        notes.add(notice::unsupported, root, {{"feature", "style-rule"}});

    for (const std::string& reference : (*document)->sheets_missing())
        notes.add(notice::outside_reference, root, {{"reference", reference}});

    const auto page = page_of(scene);
    if (!page) return tl::unexpected(page.error());
    // Widths and dots are measured at the size that is burned.
    options.scale *= growth(art, options);
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
    if (style.displayed) walker.read_root(root, style, place);
    if (walker.cancelled()) return fail(chalkline::error::cancelled);
    if (effort.exhausted()) return fail(error::too_much_work, {}, name);
    if (walker.full()) return fail(error::too_many_points, {{"limit", std::to_string(most_points)}});
    if (const int left = (*document)->entities_left(); left > 0)
        art.remarks.push_back({{std::string(notice::entities), {}, left, 0}, {}});
    composer.finish();
    for (int i = 0; i < composer.not_mixed(); ++i)
        notes.add(notice::unsupported, root, {{"feature", "opacity"}});
    if (options.as_picture)
        if (auto drawn = take_as_it_looks(scene, walker, *page); !drawn) return tl::unexpected(drawn.error());
    finish_page(art, *page);
    art.format = "svg";
    const double grown = growth(art, options);
    return grown == 1 ? art : scaled(std::move(art), grown);
}

}  // namespace chalkline::art::svg
