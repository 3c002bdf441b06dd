// SPDX-License-Identifier: GPL-3.0-or-later
#include "svg_sheet.hpp"
#include "svg_style.hpp"
#include "svg_text.hpp"

#include <chalkline/art/reader.hpp>

#include <algorithm>
#include <array>
#include <map>
#include <numbers>
#include <set>
#include <unordered_map>

namespace chalkline::art {
namespace {

using geometry::Box;
using geometry::Path;
using geometry::Point;
using geometry::Transform;
using svg::Axis;
using svg::Style;
using svg::Viewport;

constexpr double mm_per_px = 25.4 / 96;
constexpr int deepest_nesting = 200;
constexpr int most_elements = 5'000'000;  // visited, `use` counted each time: stops reference bombs

/// Elements that draw nothing by themselves.
constexpr std::array silent{
    "defs",      "title",   "desc",           "metadata",       "symbol",           "clipPath",      "mask",
    "marker",    "pattern", "linearGradient", "radialGradient", "filter",           "style",         "script",
    "view",      "cursor",  "font",           "animate",        "animateTransform", "animateMotion", "set",
    "solidcolor"};
bool is_silent(std::string_view name) {
    return std::find(silent.begin(), silent.end(), name) != silent.end();
}

/// Line numbers of byte offsets.
class Lines {
 public:
    explicit Lines(std::string_view text) {
        for (std::size_t i = 0; i < text.size(); ++i)
            if (text[i] == '\n') ends_.push_back(i);
    }
    int of(std::ptrdiff_t offset) const {
        if (offset < 0) return 0;
        const auto found = std::lower_bound(ends_.begin(), ends_.end(), static_cast<std::size_t>(offset));
        return static_cast<int>(found - ends_.begin()) + 1;
    }

 private:
    std::vector<std::size_t> ends_;
};

/// Where an element stands: the map to page pixels, the viewport for percentages, the depth.
struct Place {
    Transform map;
    Viewport viewport;
    int depth = 0;
};

/// Attribute by its local name: `href` as well as `xlink:href`.
std::string_view reference_of(const pugi::xml_node& element) {
    for (const pugi::xml_attribute& attribute : element.attributes()) {
        const std::string_view name = attribute.name();
        if (name == "href" || name.ends_with(":href")) return attribute.value();
    }
    return {};
}

/// The map from a viewBox to a viewport of the given size (SVG 1.1 §7.8, preserveAspectRatio).
Transform view_box_map(const std::vector<double>& box, double width, double height, std::string_view aspect) {
    double sx = width / box[2], sy = height / box[3];
    aspect = svg::trimmed(aspect);
    if (aspect.starts_with("none")) return Transform::scale(sx, sy) * Transform::move(-box[0], -box[1]);
    const bool slice = aspect.find("slice") != std::string_view::npos;
    sx = sy = slice ? std::max(sx, sy) : std::min(sx, sy);
    const auto align = [&](std::string_view low, std::string_view high, double spare) {
        if (aspect.find(low) != std::string_view::npos) return 0.0;
        return aspect.find(high) != std::string_view::npos ? spare : spare / 2;
    };
    const double x = align("xMin", "xMax", width - box[2] * sx), y = align("YMin", "YMax", height - box[3] * sy);
    return Transform::move(x, y) * Transform::scale(sx, sy) * Transform::move(-box[0], -box[1]);
}

std::optional<std::vector<double>> view_box(const pugi::xml_node& element) {
    auto box = svg::parse_numbers(element.attribute("viewBox").value());
    if (box.size() != 4 || !(box[2] > 0) || !(box[3] > 0)) return {};
    return box;
}

class SvgReader {
 public:
    SvgReader(std::string_view text, const Watch& watch) : lines_(text), watch_(watch), size_(text.size()) {}

    Result<Artwork> read(const pugi::xml_node& root) {
        collect(root);
        const auto page_px = page_size(root);
        if (!page_px) return tl::unexpected(page_px.error());
        Viewport page = *page_px;
        Place place{{}, page, 0};
        if (const auto box = view_box(root)) {
            place.map = view_box_map(*box, page.width, page.height, root.attribute("preserveAspectRatio").value());
            place.viewport = {(*box)[2], (*box)[3]};
        }
        Style style;
        style_of(root, style);
        if (style.displayed) read_children(root, style, place);
        if (cancelled_) return fail(chalkline::error::cancelled);
        if (points_ > most_points) return fail(error::too_many_points, {{"limit", std::to_string(most_points)}});
        finish_page(page);
        return std::move(art_);
    }

 private:
    void note(std::string_view code, const pugi::xml_node& where, Parameters parameters = {}) {
        const std::string key = std::string(code) + (parameters.empty() ? "" : ":" + parameters[0].second);
        const auto [found, fresh] = notice_index_.try_emplace(key, art_.notices.size());
        if (fresh)
            art_.notices.push_back({std::string(code), std::move(parameters), 1, lines_.of(where.offset_debug())});
        else
            ++art_.notices[found->second].count;
    }

    /// Ids and style sheets, wherever they stand.
    void collect(const pugi::xml_node& root) {
        struct Walker : pugi::xml_tree_walker {
            SvgReader* reader;
            bool for_each(pugi::xml_node& node) override {
                if (node.type() != pugi::node_element) return true;
                if (const auto id = node.attribute("id")) reader->ids_.try_emplace(id.value(), node);
                if (svg::local_name(node) == "style") {
                    std::string css;
                    for (const auto& part : node.children())
                        css += part.value();
                    const int left_out = reader->sheet_.add(css);
                    for (int i = 0; i < left_out; ++i)
                        reader->note(notice::unsupported, node, {{"feature", "style-rule"}});
                }
                return true;
            }
        } walker;
        walker.reader = this;
        pugi::xml_node(root).traverse(walker);
        if (const auto id = root.attribute("id")) ids_.try_emplace(id.value(), root);
    }

    Result<Viewport> page_size(const pugi::xml_node& root) {
        const auto box = view_box(root);
        const Viewport natural = box ? Viewport{(*box)[2], (*box)[3]} : Viewport{};
        const auto size = [&](const char* name, Axis axis, double otherwise) {
            const std::string_view text = root.attribute(name).value();
            if (text.empty() || text == "auto" || svg::is_percentage(text)) return otherwise;
            const auto value = svg::parse_length(text, natural, axis);
            if (!value) note(notice::bad_value, root, {{"property", name}});
            return value.value_or(otherwise);
        };
        Viewport page{size("width", Axis::x, 0), size("height", Axis::y, 0)};
        if (page.width < 0 || page.height < 0) return fail(error::bad_size);
        // One side missing follows the other in the viewBox's proportion.
        if (box && page.width > 0 && page.height == 0) page.height = page.width * natural.height / natural.width;
        if (box && page.height > 0 && page.width == 0) page.width = page.height * natural.width / natural.height;
        if (box && page.width == 0) {
            page = natural;
            note(notice::no_size, root);
        }
        if (page.width * mm_per_px > farthest_place || page.height * mm_per_px > farthest_place)
            return fail(error::bad_size);
        sized_ = page.width > 0 && page.height > 0;
        if (!sized_) note(notice::no_size, root);
        return page;
    }

    /// Turns the page Y up, in mm. A page without a size is as large as what is drawn on it.
    void finish_page(Viewport page) {
        double left = 0, bottom = page.height;
        if (!sized_) {
            Box box;
            for (const Shape& shape : art_.shapes)
                box.add(geometry::bounds(shape.path.flatten({}, 0.1)));
            if (!box.empty()) {
                left = box.left;
                bottom = box.top;
                page = {box.width(), box.height()};
            }
        }
        const Transform to_mm{mm_per_px, 0, 0, -mm_per_px, -left * mm_per_px, bottom * mm_per_px};
        for (Shape& shape : art_.shapes) {
            shape.path.transform(to_mm);
            shape.stroke_width *= mm_per_px;
        }
        art_.page = {page.width * mm_per_px, page.height * mm_per_px};
    }

    void set(Style& style, const pugi::xml_node& element, std::string_view property, std::string_view value) {
        switch (svg::apply(style, property, value)) {
            case svg::Applied::yes:
            case svg::Applied::not_painting:
                break;
            case svg::Applied::bad_value:
                note(notice::bad_value, element, {{"property", std::string(property)}});
                break;
            case svg::Applied::unsupported: {
                const std::string feature(property.starts_with("marker") ? "marker" : property);
                note(notice::unsupported, element, {{"feature", feature}});
                break;
            }
        }
    }

    /// Cascade: presentation attributes, then sheets, then the style attribute.
    void style_of(const pugi::xml_node& element, Style& style) {
        for (const pugi::xml_attribute& attribute : element.attributes())
            if (const std::string_view name = attribute.name(); name != "style" && name != "class" && name != "d")
                set(style, element, name, attribute.value());
        if (!sheet_.empty())
            for (const svg::Declaration* declaration : sheet_.matching(element))
                set(style, element, declaration->property, declaration->value);
        if (const auto own = element.attribute("style"))
            for (const svg::Declaration& declaration : svg::parse_declarations(own.value()))
                set(style, element, declaration.property, declaration.value);
    }

    void read_children(const pugi::xml_node& parent, const Style& style, const Place& place) {
        for (const pugi::xml_node& child : parent.children()) {
            if (cancelled_ || points_ > most_points) return;
            if (child.type() == pugi::node_element) read_element(child, style, place);
        }
    }

    void read_element(const pugi::xml_node& element, const Style& inherited, Place place) {
        if (++visited_ > most_elements || ++place.depth > deepest_nesting) return note(notice::too_deep, element);
        if (visited_ % 1024 == 0) {
            cancelled_ = watch_.cancelled();
            if (element.offset_debug() > 0)
                watch_.at(static_cast<double>(element.offset_debug()) / static_cast<double>(size_));
        }
        const std::string_view full = element.name();
        const std::string_view name = svg::local_name(element);
        // Elements of other vocabularies (editors' private data) draw nothing.
        if (full.size() != name.size() && !full.starts_with("svg:")) return;
        if (is_silent(name)) return;

        Style style = inherited;
        style.displayed = true;
        style_of(element, style);
        if (!style.displayed) return;
        if (const std::string_view text = element.attribute("transform").value(); !text.empty()) {
            const auto own = svg::parse_transform(text);
            if (!own) return note(notice::bad_value, element, {{"property", "transform"}});
            place.map = place.map * *own;
        }
        if (name == "g" || name == "a") return read_children(element, style, place);
        if (name == "svg") return read_viewport(element, style, place, {});
        if (name == "switch") return read_switch(element, style, place);
        if (name == "use") return read_use(element, style, place);
        read_shape(element, name, style, place);
    }

    /// The first child that sets no condition, or the first of all.
    void read_switch(const pugi::xml_node& element, const Style& style, const Place& place) {
        pugi::xml_node chosen;
        for (const pugi::xml_node& child : element.children()) {
            if (child.type() != pugi::node_element) continue;
            const bool conditional = child.attribute("requiredExtensions") || child.attribute("systemLanguage");
            if (!conditional) {
                chosen = child;
                break;
            }
        }
        if (chosen) read_element(chosen, style, place);
    }

    double measure(const pugi::xml_node& element, const char* name, const Place& place, Axis axis,
                   double otherwise = 0) {
        const std::string_view text = element.attribute(name).value();
        if (text.empty() || text == "auto") return otherwise;
        const auto value = svg::parse_length(text, place.viewport, axis);
        if (!value) note(notice::bad_value, element, {{"property", name}});
        return value.value_or(otherwise);
    }

    /// A nested <svg>, or a <symbol> sized by the <use> that names it.
    void read_viewport(const pugi::xml_node& element, const Style& style, Place place, const pugi::xml_node& user) {
        const auto side = [&](const char* name, Axis axis, double whole) {
            const double own = measure(element, name, place, axis, whole);
            return user ? measure(user, name, place, axis, own) : own;
        };
        const double width = side("width", Axis::x, place.viewport.width);
        const double height = side("height", Axis::y, place.viewport.height);
        if (!user) {
            place.map = place.map *
                        Transform::move(measure(element, "x", place, Axis::x), measure(element, "y", place, Axis::y));
        }
        place.viewport = {width, height};
        if (const auto box = view_box(element)) {
            if (!(width > 0) || !(height > 0)) return;
            place.map = place.map * view_box_map(*box, width, height, element.attribute("preserveAspectRatio").value());
            place.viewport = {(*box)[2], (*box)[3]};
        }
        read_children(element, style, place);
    }

    void read_use(const pugi::xml_node& element, const Style& style, Place place) {
        std::string_view reference = reference_of(element);
        if (!reference.starts_with('#')) return note(notice::unsupported, element, {{"feature", "outside-reference"}});
        reference.remove_prefix(1);
        const auto target = ids_.find(std::string(reference));
        if (target == ids_.end()) return note(notice::missing_reference, element);
        // A reference to something that holds this very reference would never end.
        if (std::find(using_.begin(), using_.end(), target->second) != using_.end())
            return note(notice::missing_reference, element);
        using_.push_back(target->second);
        place.map =
            place.map * Transform::move(measure(element, "x", place, Axis::x), measure(element, "y", place, Axis::y));
        if (svg::local_name(target->second) != "symbol") {
            read_element(target->second, style, place);
        } else {
            Style own = style;
            style_of(target->second, own);
            read_viewport(target->second, own, place, element);
        }
        using_.pop_back();
    }

    Path shape_path(const pugi::xml_node& element, std::string_view name, const Place& place) {
        const auto x = [&](const char* attribute) { return measure(element, attribute, place, Axis::x); };
        const auto y = [&](const char* attribute) { return measure(element, attribute, place, Axis::y); };
        Path path;
        if (name == "path") {
            auto data = svg::parse_path(element.attribute("d").value());
            if (!data.complete) note(notice::bad_path, element);
            return std::move(data.path);
        }
        if (name == "rect") {
            const bool has_rx = element.attribute("rx"), has_ry = element.attribute("ry");
            const double rx = has_rx ? x("rx") : y("ry"), ry = has_ry ? y("ry") : rx;
            add_rectangle(path, {x("x"), y("y")}, x("width"), y("height"), rx, ry);
        } else if (name == "circle") {
            const double r = measure(element, "r", place, Axis::diagonal);
            add_ellipse(path, {x("cx"), y("cy")}, r, r);
        } else if (name == "ellipse") {
            add_ellipse(path, {x("cx"), y("cy")}, x("rx"), y("ry"));
        } else if (name == "line") {
            path.move_to({x("x1"), y("y1")});
            path.line_to({x("x2"), y("y2")});
        } else {
            const auto numbers = svg::parse_numbers(element.attribute("points").value());
            for (std::size_t i = 0; i + 1 < numbers.size(); i += 2) {
                const Point to{numbers[i], numbers[i + 1]};
                i == 0 ? path.move_to(to) : path.line_to(to);
            }
            if (name == "polygon" && !path.empty()) path.close();
        }
        return path;
    }

    static void add_ellipse(Path& path, Point centre, double rx, double ry) {
        if (!(rx > 0) || !(ry > 0)) return;
        path.move_to({centre.x + rx, centre.y});
        path.arc_to(centre, {rx, 0}, {0, ry}, 0, 2 * std::numbers::pi);
        path.close();
    }

    static void add_rectangle(Path& path, Point at, double width, double height, double rx, double ry) {
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

    void read_shape(const pugi::xml_node& element, std::string_view name, const Style& style, const Place& place) {
        static const std::set<std::string_view> drawable{"path", "rect",     "circle", "ellipse",
                                                         "line", "polyline", "polygon"};
        if (!drawable.contains(name)) return note(notice::unsupported, element, {{"feature", std::string(name)}});
        if (!style.visible) return;
        Path path = shape_path(element, name, place);
        if (path.empty()) return;
        path.transform(place.map);
        Box reach;
        if (path.finite())
            for (const auto& line : path.flatten({}, 1e3))
                reach.add(geometry::bounds(line));
        const double limit = farthest_place / mm_per_px;
        if (!path.finite() || !Box{-limit, -limit, limit, limit}.contains(reach))
            return note(notice::absurd_place, element);

        const int line = lines_.of(element.offset_debug());
        const auto fill = name == "line" ? std::nullopt : colour_of(style.fill, style.fill_opacity, style, element);
        const auto stroke = colour_of(style.stroke, style.stroke_opacity, style, element);
        if (fill) add({path, {*fill, InkKind::fill}, style.rule, 0, line});
        const double scale =
            std::sqrt(std::abs(geometry::cross({place.map.a, place.map.b}, {place.map.c, place.map.d})));
        const double width = svg::parse_length(style.stroke_width, place.viewport, Axis::diagonal).value_or(1) * scale;
        if (!stroke || !(width > 0)) return;
        if (width * mm_per_px > widest_line) note(notice::wide_stroke, element);
        add({std::move(path), {*stroke, InkKind::line}, style.rule, width, line});
    }

    void add(Shape shape) {
        points_ += shape.path.size();
        art_.shapes.push_back(std::move(shape));
    }

    /// The flat colour a paint comes to; nothing where nothing is painted.
    std::optional<Rgb> colour_of(const svg::Paint& paint, double opacity, const Style& style,
                                 const pugi::xml_node& element) {
        std::optional<svg::Colour> colour;
        switch (paint.kind) {
            case svg::Paint::Kind::none:
                return {};
            case svg::Paint::Kind::colour:
                colour = paint.colour;
                break;
            case svg::Paint::Kind::current_colour:
                colour = style.colour;
                break;
            case svg::Paint::Kind::reference:
                colour = first_stop(paint, element);
                break;
        }
        if (!colour || colour->alpha * opacity * style.opacity <= 0) return {};
        return colour->rgb;
    }

    /// A gradient burns flat, in its first stop's colour.
    std::optional<svg::Colour> first_stop(const svg::Paint& paint, const pugi::xml_node& element) {
        std::string id = paint.reference;
        for (int hops = 0; hops < 16; ++hops) {
            const auto found = ids_.find(id);
            if (found == ids_.end()) break;
            const pugi::xml_node source = found->second;
            if (svg::local_name(source) == "pattern") {
                note(notice::unsupported, element, {{"feature", "pattern"}});
                return paint.otherwise;
            }
            for (const pugi::xml_node& stop : source.children()) {
                if (svg::local_name(stop) != "stop") continue;
                note(notice::flat_gradient, element);
                return stop_colour(stop);
            }
            const std::string_view next = reference_of(source);
            if (!next.starts_with('#')) break;
            id = next.substr(1);
        }
        if (!paint.otherwise) note(notice::missing_reference, element);
        return paint.otherwise;
    }

    svg::Colour stop_colour(const pugi::xml_node& stop) {
        std::string text = stop.attribute("stop-color").value();
        for (const svg::Declaration* declaration : sheet_.matching(stop))
            if (declaration->property == "stop-color") text = declaration->value;
        for (const svg::Declaration& declaration : svg::parse_declarations(stop.attribute("style").value()))
            if (declaration.property == "stop-color") text = declaration.value;
        // A stop's own transparency fades a gradient; the area as a whole is still painted.
        return {svg::parse_colour(text).value_or(svg::Colour{}).rgb, 1};
    }

    /// Strokes drawn wider than this (mm) are worth saying that they burn as one line.
    static constexpr double widest_line = 0.3;

    Lines lines_;
    const Watch& watch_;
    std::size_t size_;
    Artwork art_;
    svg::Sheet sheet_;
    std::unordered_map<std::string, pugi::xml_node> ids_;
    std::map<std::string, std::size_t> notice_index_;
    std::size_t points_ = 0;
    std::vector<pugi::xml_node> using_;  ///< targets of the references being followed
    int visited_ = 0;
    bool sized_ = false;
    bool cancelled_ = false;
};

pugi::xml_node root_element(const pugi::xml_document& document) {
    for (const pugi::xml_node& node : document.children())
        if (node.type() == pugi::node_element) return node;
    return {};
}

}  // namespace

Result<Artwork> read_svg(std::shared_ptr<const std::string> bytes, const std::string& name, const Watch& watch) {
    pugi::xml_document document;
    const auto parsed = document.load_buffer(bytes->data(), bytes->size(), pugi::parse_default | pugi::parse_doctype);
    if (!parsed) {
        const int line = Lines(*bytes).of(parsed.offset);
        return fail(error::broken_xml, {{"reason", parsed.description()}}, name, line);
    }
    const pugi::xml_node root = root_element(document);
    if (svg::local_name(root) != "svg") return fail(error::not_svg, {{"root", root.name()}}, name);

    auto art = SvgReader(*bytes, watch).read(root);
    if (!art) {
        Error error = art.error();
        error.file = name;
        return tl::unexpected(error);
    }
    if (art->shapes.empty()) return fail(error::nothing_drawable, {}, name);
    if (const auto place = bytes->find("<!ENTITY"); place != std::string::npos)
        art->notices.push_back(
            {std::string(notice::entities), {}, 1, Lines(*bytes).of(static_cast<std::ptrdiff_t>(place))});
    art->name = name;
    art->format = "svg";
    art->source = std::move(bytes);
    return art;
}

Result<Artwork> read(std::shared_ptr<const std::string> bytes, const std::string& name, const Watch& watch) {
    const std::string_view text = *bytes;
    const std::string_view head = text.substr(0, 4096);
    const bool utf16 = head.starts_with("\xff\xfe") || head.starts_with("\xfe\xff");
    const auto first = head.find_first_not_of(" \t\r\n\xef\xbb\xbf");
    if (utf16 || (first != std::string_view::npos && head[first] == '<'))
        return read_svg(std::move(bytes), name, watch);
    return fail(error::unknown_format, {}, name);
}

}  // namespace chalkline::art
