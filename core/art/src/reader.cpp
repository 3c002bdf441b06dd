// SPDX-License-Identifier: GPL-3.0-or-later
#include "svg/reader.hpp"

#include "compose/page_picture.hpp"
#include "dxf/groups.hpp"
#include "dxf/reader.hpp"
#include "packed.hpp"
#include "page.hpp"
#include "pdf/reader.hpp"
#include "picture_reader.hpp"
#include "trace/tracing.hpp"

#include <chalkline/art/cleaning.hpp>
#include <chalkline/art/reader.hpp>

namespace chalkline::art {
namespace {

/// CAD drawings have nothing that areas and lines do not say: as pictures they are drawn from those.
Result<Artwork> read_dxf(const std::string& bytes, const std::string& name, const ReadOptions& options,
                         const Outside& outside, const Watch& watch) {
    auto art = dxf::read(bytes, name, options, outside, watch);
    if (!art || !options.as_picture) return art;
    const Artwork whole = *art;
    const geometry::Box page{0, 0, art->page.x, art->page.y};
    auto done = become_picture(
        *art, page, false, options.scale / *options.as_picture,
        [&](cairo_t* onto, double width, double height) -> Result<void> {
            const std::vector<double> opaque(whole.shapes.size(), 1);
            const auto map = geometry::Transform::move(0, height) *
                             geometry::Transform::scale(width / page.right, -height / page.top);
            render(onto, {whole.shapes, opaque, whole.pictures, {}, {whole.shapes.size(), whole.pictures.size()}}, map,
                   ThinLines::left_out);
            return {};
        });
    if (!done) return tl::unexpected(done.error());
    return art;
}

Result<Artwork> read_format(const std::shared_ptr<const std::string>& bytes, const std::string& name,
                            std::vector<LinkedFile> linked, const ReadOptions& options, const Outside& outside,
                            const Watch& watch) {
    const std::string_view format = format_of(*bytes);
    if (format == "svg") return svg::read(*bytes, name, std::move(linked), options, outside, watch);
    if (format == "dxf") return read_dxf(*bytes, name, options, outside, watch);
    if (format == "pdf") return pdf::read(bytes, name, options, outside, watch);
    if (format == "picture") return read_picture(*bytes, options, outside);
    return fail(error::unknown_format);
}

/// Why nothing came of a drawing, as far as its reader noticed.
Error why_empty(const Artwork& art) {
    std::string features;
    for (const Remark& remark : art.remarks) {
        const Notice& notice = remark.notice;
        if (notice.code == notice::layers_off)
            return {std::string(error::only_hidden_layers), notice.parameters, {}, 0};
        if (notice.code != notice::unsupported) continue;
        for (const auto& [name, value] : notice.parameters)
            features += (features.empty() ? "" : ", ") + value;
    }
    if (features.empty()) return {std::string(error::nothing_drawable), {}, {}, 0};
    return {std::string(error::nothing_reproduced), {{"features", features}}, {}, 0};
}

/// Numbers the shapes as read and takes out the removed ones.
void number_shapes(Artwork& art, const std::vector<int>& removed) {
    int number = 0;
    for (Shape& shape : art.shapes)
        shape.number = number++;
    std::erase_if(art.shapes,
                  [&](const Shape& shape) { return std::binary_search(removed.begin(), removed.end(), shape.number); });
}

Result<Artwork> read_with(std::shared_ptr<const std::string> bytes, const std::string& name,
                          std::vector<LinkedFile> linked, const ReadOptions& options, const Outside& outside,
                          const Watch& watch) {
    auto art = read_format(bytes, name, std::move(linked), options, outside, watch);
    if (art && art->empty()) art = tl::unexpected(why_empty(*art));
    if (art && options.part) {
        art = part_of(std::move(*art), *options.part);
        if (art->empty()) art = fail(error::nothing_in_part);
    }
    if (!art) {
        art.error().file = name;
        return art;
    }
    if (options.scale != 1) art = scaled(std::move(*art), options.scale);
    if (options.trace) {
        art = traced(std::move(*art), *options.trace, watch);
        if (!art) return art;
        if (art->empty()) return fail(error::nothing_drawable, {}, name);
    }
    number_shapes(*art, options.removed);
    if (!options.mend.empty()) art = mended(std::move(*art), options.mend, options.limits, watch);
    // Mending that was broken off is half done.
    if (!options.mend.empty() && watch.cancelled()) return fail(chalkline::error::cancelled, {}, name);
    art->name = name;
    art->read_with = options;
    art->source = std::move(bytes);
    art->hull = hull_of(*art);
    return art;
}

}  // namespace

std::string_view format_of(std::string_view bytes) {
    if (is_packed(bytes)) return "svg";
    const std::string_view head = bytes.substr(0, 4096);
    const bool utf16 = head.starts_with("\xff\xfe") || head.starts_with("\xfe\xff");
    const auto first = head.find_first_not_of(" \t\r\n\xef\xbb\xbf");
    if (utf16 || (first != std::string_view::npos && head[first] == '<')) return "svg";
    // Some programs put a few bytes of their own before the mark.
    if (head.substr(0, 1024).find("%PDF-") != std::string_view::npos) return "pdf";
    if (looks_like_picture(bytes)) return "picture";
    if (dxf::looks_like_dxf(bytes)) return "dxf";
    return "";
}

Result<Artwork> read(std::shared_ptr<const std::string> bytes, const std::string& name, const ReadOptions& options,
                     const Outside& outside, const Watch& watch) {
    if (is_packed(*bytes)) {
        auto whole = unpacked(*bytes);
        if (!whole) return fail(whole.error().code, {}, name);
        bytes = std::make_shared<const std::string>(std::move(*whole));
    }
    return read_with(std::move(bytes), name, {}, options, outside, watch);
}

Result<Artwork> read_again(const Artwork& artwork, const ReadOptions& options, const Outside& outside,
                           const Watch& watch) {
    return read_with(artwork.source, artwork.name, artwork.linked, options, outside, watch);
}

}  // namespace chalkline::art
