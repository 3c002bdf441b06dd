// SPDX-License-Identifier: GPL-3.0-or-later
#include "pdf/reader.hpp"

#include "cairo_image.hpp"
#include "pdf/document.hpp"
#include "svg/reader.hpp"

#include <cairo-svg.h>

namespace chalkline::art::pdf {
namespace {

constexpr double mm_per_pt = 25.4 / 72;
constexpr std::size_t largest_svg = 1ULL << 30;  // bytes; a page that grows beyond is refused

cairo_status_t append(void* target, const unsigned char* data, unsigned length) {
    auto& text = *static_cast<std::string*>(target);
    if (text.size() + length > largest_svg) return CAIRO_STATUS_WRITE_ERROR;
    text.append(reinterpret_cast<const char*>(data), length);
    return CAIRO_STATUS_SUCCESS;
}

Result<std::string> page_as_svg(PopplerPage* page, double width, double height) {
    std::string svg;
    const Surface surface(cairo_svg_surface_create_for_stream(append, &svg, width, height));
    {
        const Cairo cairo(cairo_create(surface.get()));
        poppler_page_render_for_printing(page, cairo.get());
    }
    cairo_surface_finish(surface.get());
    const cairo_status_t status = cairo_surface_status(surface.get());
    if (status != CAIRO_STATUS_SUCCESS) return fail(error::broken_pdf, {{"reason", cairo_status_to_string(status)}});
    return svg;
}

/// Cairo writes masks that count by opacity as masks by light whose content goes through a filter that turns the one
/// into the other. Said in SVG's own word, areas can be cut by them. Its other masks do count by light.
std::string with_alpha_masks(std::string svg) {
    constexpr std::string_view opens = "<mask id=", closes = "</mask>", filtered = "<g filter=\"url(#alpha)\">";
    if (svg.find(filtered) == std::string::npos) return svg;
    std::string result;
    std::size_t done = 0;
    for (std::size_t at = svg.find(opens); at != std::string::npos; at = svg.find(opens, done)) {
        const std::size_t end = std::min(svg.find(closes, at), svg.size());
        result.append(svg, done, at - done);
        const std::string_view mask = std::string_view(svg).substr(at, end - at);
        if (const auto filter = mask.find(filtered); filter == std::string_view::npos) {
            result.append(mask);
        } else {
            result.append("<mask mask-type=\"alpha\" id=").append(mask.substr(opens.size(), filter - opens.size()));
            result.append("<g>").append(mask.substr(filter + filtered.size()));
        }
        done = end;
    }
    return result.append(svg, done);
}

}  // namespace

/// The page drawn small, over white.
raster::RgbImage thumbnail(PopplerPage* page, int longest) {
    double width = 0, height = 0;
    poppler_page_get_size(page, &width, &height);
    const double scale = longest / std::max({width, height, 1.0});
    const int columns = std::max(1, static_cast<int>(width * scale)),
              rows = std::max(1, static_cast<int>(height * scale));
    const Surface surface(cairo_image_surface_create(CAIRO_FORMAT_RGB24, columns, rows));
    {
        const Cairo cairo(cairo_create(surface.get()));
        cairo_set_source_rgb(cairo.get(), 1, 1, 1);
        cairo_paint(cairo.get());
        cairo_scale(cairo.get(), scale, scale);
        poppler_page_render(page, cairo.get());
    }
    return image_of(surface.get());
}

Result<Artwork> read(const std::shared_ptr<const std::string>& bytes, const std::string& name,
                     const ReadOptions& options, const Outside& outside, const Watch& watch) {
    const auto document = Document::open(*bytes);
    if (!document) return tl::unexpected(document.error());
    const int pages = document->pages();
    const Page page = document->page(options.page);
    if (!page)
        return fail(error::no_such_page, {{"page", std::to_string(options.page)}, {"pages", std::to_string(pages)}});
    double width = 0, height = 0;
    poppler_page_get_size(page.get(), &width, &height);
    if (!(width > 0) || !(height > 0) || width * mm_per_pt > farthest_place || height * mm_per_pt > farthest_place)
        return fail(error::bad_size);
    if (watch.cancelled()) return fail(chalkline::error::cancelled);
    auto drawn = page_as_svg(page.get(), width, height);
    if (!drawn) return tl::unexpected(drawn.error());
    // A renderer knows the filter; areas do not.
    if (!options.as_picture) drawn = with_alpha_masks(std::move(*drawn));
    auto art = svg::read(*drawn, name, {}, options, outside, watch);
    if (!art) return art;
    // Lines of the drawing in between mean nothing to anyone.
    for (Remark& remark : art->remarks)
        remark.notice.line = 0;
    for (Shape& shape : art->shapes)
        shape.line = 0;
    for (PlacedPicture& picture : art->pictures)
        picture.line = 0;
    if (uses_cmyk(*bytes)) art->remarks.push_back({{std::string(notice::colours_converted), {}, 1, 0}, {}});
    art->pages = pages;
    art->format = "pdf";
    return art;
}

}  // namespace chalkline::art::pdf

namespace chalkline::art {

Result<std::vector<raster::RgbImage>> page_pictures(const std::string& bytes, int longest, int most_pages,
                                                    const Watch& watch) {
    const auto document = pdf::Document::open(bytes);
    if (!document) return tl::unexpected(document.error());
    std::vector<raster::RgbImage> pictures;
    for (int number = 1; number <= std::min(document->pages(), most_pages); ++number) {
        if (watch.cancelled()) return fail(chalkline::error::cancelled);
        const pdf::Page page = document->page(number);
        if (page) pictures.push_back(pdf::thumbnail(page.get(), longest));
    }
    return pictures;
}

}  // namespace chalkline::art
