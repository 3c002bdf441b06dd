// SPDX-License-Identifier: GPL-3.0-or-later
#include "text_layout.hpp"

#include "capitals.hpp"

#include <chalkline/art/directed.hpp>

#include <numbers>

namespace chalkline::art::svg {
namespace {

using geometry::Path;
using geometry::Point;
using geometry::Polyline;
using geometry::Transform;

/// One character and what the drawing says about its place.
struct Letter {
    std::string utf8;
    std::size_t style;                ///< in TextGatherer::styles
    std::optional<double> x, y;       ///< absolute, user units
    double dx = 0, dy = 0, turn = 0;  ///< shifts, and degrees clockwise
    std::size_t rail = 0;             ///< the textPath it runs along, from 1; 0: none
    std::size_t stretch = 0;          ///< the textLength it is stretched to, from 1; 0: none
    bool small_capital = false;       ///< it is the capital of a small letter, drawn smaller
    bool is_mark = false;             ///< no letter: it opens or ends what is embedded in another direction
};

/// How large the capital of a small letter is, where a font is asked for small capitals: about its x-height.
constexpr double small_capital_size = 0.8;

/// Letters of one style in one shape; longer texts are several.
constexpr std::size_t most_letters_together = 20'000;

constexpr const char* end_of_embedding = "\u202c";

/// A path that letters run along.
struct Rail {
    std::vector<Polyline> lines;
    double offset = 0;
};

struct Stretch {
    double length = 0;
    bool glyphs = false;  ///< the letters are widened too, not only the gaps
};

/// Walks the element and lists its letters after white space is collapsed.
class TextGatherer {
 public:
    TextGatherer(const Scene& scene, const Place& place) : scene_(scene), place_(place) {}

    void gather(const pugi::xml_node& element, const Style& style) {
        if (!style.displayed) return;
        Lists lists;
        lists.start = addressed_;
        lists.x = lengths(element, "x", Axis::x, style);
        lists.y = lengths(element, "y", Axis::y, style);
        lists.dx = lengths(element, "dx", Axis::x, style);
        lists.dy = lengths(element, "dy", Axis::y, style);
        lists.turn = parse_numbers(element.attribute("rotate").value());
        lists_.push_back(std::move(lists));
        const std::size_t rail_before = rail_, stretch_before = stretch_;
        if (local_name(element) == "textPath") rail_ = begin_rail(element, style);
        if (const auto length = parse_length(element.attribute("textLength").value(), view(style), Axis::x);
            length && *length > 0) {
            stretches.push_back(
                {*length, std::string_view(element.attribute("lengthAdjust").value()) == "spacingAndGlyphs"});
            stretch_ = stretches.size();
        }
        styles.push_back(style);
        elements.push_back(element);
        const std::size_t own_style = styles.size() - 1;
        const bool embedded = style.embedding != Embedding::none;
        if (embedded) add_mark(opening_mark(style), own_style);
        if (local_name(element) == "tref") add_referred(element, own_style);
        for (const auto& child : element.children()) {
            if (child.type() == pugi::node_pcdata || child.type() == pugi::node_cdata) {
                add(child.value(), own_style);
                continue;
            }
            const std::string_view name = local_name(child);
            if (child.type() != pugi::node_element || !is_part_of_text(name)) continue;
            Style inner = style;
            cascade(scene_, child, inner, place_.viewport);
            if (++depth_ < 100) gather(child, inner);
            --depth_;
        }
        if (embedded) add_mark(end_of_embedding, own_style);
        lists_.pop_back();
        rail_ = rail_before;
        stretch_ = stretch_before;
    }

    /// White space at the very end counts for nothing.
    void trim_end() {
        while (!letters.empty() && letters.back().utf8 == " " && !styles[letters.back().style].text->keep_spaces)
            letters.pop_back();
    }

    std::vector<Letter> letters;
    std::vector<Style> styles;
    std::vector<pugi::xml_node> elements;  ///< parallel to `styles`
    std::vector<Rail> rails;
    std::vector<Stretch> stretches;

 private:
    struct Lists {
        std::size_t start;
        std::vector<double> x, y, dx, dy, turn;
    };

    Viewport view(const Style& style) const {
        Viewport viewport = place_.viewport;
        viewport.font_size = style.font_size;
        return viewport;
    }

    std::vector<double> lengths(const pugi::xml_node& element, const char* name, Axis axis, const Style& style) const {
        std::vector<double> list;
        std::string_view text = element.attribute(name).value();
        while (!(text = trimmed(text)).empty()) {
            const auto end = std::min(text.find_first_of(", \t\n"), text.size());
            const auto value = parse_length(text.substr(0, end), view(style), axis);
            if (!value) break;
            list.push_back(*value);
            text = trimmed(text.substr(end));
            if (text.starts_with(',')) text.remove_prefix(1);
        }
        return list;
    }

    /// Unicode's marks for what CSS says of a direction (CSS Writing Modes 3, section 2.4.2).
    static std::string opening_mark(const Style& style) {
        const bool leftward = style.text->direction == Direction::right_to_left;
        if (style.embedding == Embedding::overridden) return leftward ? "\u202e" : "\u202d";
        return leftward ? "\u202b" : "\u202a";
    }

    void add_mark(std::string mark, std::size_t style) {
        Letter letter{std::move(mark), style, {}, {}, 0, 0, 0, rail_, stretch_, false, true};
        letters.push_back(std::move(letter));
    }

    static bool is_part_of_text(std::string_view name) {
        return name == "tspan" || name == "a" || name == "textPath" || name == "tref";
    }

    /// The letters of another text, without its looks (SVG 1.1 §10.6).
    void add_referred(const pugi::xml_node& element, std::size_t style) {
        const auto target = scene_.document.referred(reference_of(element));
        if (!target) return scene_.notes.add(notice::missing_reference, element);
        for (const pugi::xpath_node& text : target.select_nodes(".//text()"))
            add(text.node().value(), style);
    }

    std::size_t begin_rail(const pugi::xml_node& element, const Style& style) {
        const auto target = scene_.document.referred(reference_of(element));
        auto path = target ? shape_path(scene_, target, place_.viewport) : std::nullopt;
        if (!path) {
            scene_.notes.add(notice::missing_reference, element);
            return 0;
        }
        if (const auto own = parse_transform(target.attribute("transform").value())) path->transform(*own);
        Rail rail{path->flatten({}, 0.01 / std::max(1e-6, place_.scale())), 0};
        const double whole = geometry::length(rail.lines);
        rail.offset = parse_length(element.attribute("startOffset").value(), {whole, whole, style.font_size}, Axis::x)
                          .value_or(0);
        rails.push_back(std::move(rail));
        return rails.size();
    }

    void add(std::string_view text, std::size_t style) {
        const bool keep = styles[style].text->keep_spaces;
        while (!text.empty() && !scene_.effort.exhausted()) {
            scene_.effort.spend(Effort::letter);
            const std::size_t n = std::min(utf8_length(static_cast<unsigned char>(text[0])), text.size());
            std::string letter(text.substr(0, n));
            text.remove_prefix(n);
            if (letter == "\n" || letter == "\t" || letter == "\r") letter = " ";
            const bool blank = letter == " ";
            if (blank && !keep && after_blank_) continue;
            after_blank_ = blank;
            const std::string capital = styles[style].text->small_capitals ? capital_of(letter) : letter;
            place_letter(capital, style, capital != letter);
        }
    }

    void place_letter(std::string utf8, std::size_t style, bool small_capital) {
        Letter letter{std::move(utf8), style, {}, {}, 0, 0, 0, rail_, stretch_, small_capital, false};
        const std::size_t at = addressed_++;
        bool has_dx = false, has_dy = false, has_turn = false;
        for (auto lists = lists_.rbegin(); lists != lists_.rend(); ++lists) {
            const std::size_t i = at - lists->start;
            if (!letter.x && i < lists->x.size()) letter.x = lists->x[i];
            if (!letter.y && i < lists->y.size()) letter.y = lists->y[i];
            if (!has_dx && i < lists->dx.size()) has_dx = true, letter.dx = lists->dx[i];
            if (!has_dy && i < lists->dy.size()) has_dy = true, letter.dy = lists->dy[i];
            if (!has_turn && !lists->turn.empty())
                has_turn = true, letter.turn = lists->turn[std::min(i, lists->turn.size() - 1)];
        }
        letters.push_back(std::move(letter));
    }

    const Scene& scene_;
    const Place& place_;
    std::vector<Lists> lists_;
    std::size_t rail_ = 0, stretch_ = 0;
    std::size_t addressed_ = 0;  ///< letters so far; marks have no place in lists of coordinates
    int depth_ = 0;
    bool after_blank_ = true;
};

/// A glyph with its place along the line of text.
struct Placed {
    std::shared_ptr<const Path> path;  ///< font units of 1, Y up; null: a blank
    Point at;                          ///< user units
    double size = 0;                   ///< user units
    double widen = 1;                  ///< horizontal stretch
    double advance = 0;                ///< user units
    double turn = 0;                   ///< radians, clockwise on screen
    std::size_t style = 0, chunk = 0, rail = 0, stretch = 0;
    /// Where its font has lines along letters: their middles and how thick they are, font sizes.
    struct Lines {
        double under, over, through, thickness;
    } lines{};
};

/// Shapes letters into placed glyphs.
class TextSetter {
 public:
    TextSetter(const Scene& scene, const TextGatherer& text) : scene_(scene), text_(text) {}

    std::vector<Placed> set() {
        const std::vector<std::size_t> begins = chunk_begins();
        for (std::size_t i = 0; i + 1 < begins.size(); ++i)
            set_chunk(begins[i], begins[i + 1]);
        stretch();
        anchor();
        return std::move(placed_);
    }

 private:
    static bool continues(const Letter& before, const Letter& next) {
        return !next.x && !next.y && next.dx == 0 && next.dy == 0 && next.turn == 0 && before.turn == 0 &&
               next.style == before.style && !next.is_mark && !before.is_mark && next.rail == before.rail &&
               next.stretch == before.stretch && next.small_capital == before.small_capital;
    }

    /// What stands at a place of its own; letters before it are not ordered with those behind it (SVG 1.1 §10.5).
    static bool begins_chunk(const Letter& before, const Letter& next) {
        return next.x || next.y || next.rail != before.rail;
    }

    /// Where chunks begin, and where the last one ends. What is embedded belongs to the letter behind its opening mark.
    std::vector<std::size_t> chunk_begins() const {
        const auto& letters = text_.letters;
        std::vector<std::size_t> begins{0};
        std::optional<std::size_t> before;
        for (std::size_t i = 0; i < letters.size(); ++i) {
            if (letters[i].is_mark) continue;
            if (before && begins_chunk(letters[*before], letters[i])) {
                std::size_t begin = i;
                while (letters[begin - 1].is_mark && letters[begin - 1].utf8 != end_of_embedding)
                    --begin;
                begins.push_back(begin);
            }
            before = i;
        }
        begins.push_back(letters.size());
        return begins;
    }

    void begin_chunk(const Letter& first) {
        ++chunk_;
        if (first.rail != rail_) {
            rail_ = first.rail;
            if (rail_ > 0) pen_ = {text_.rails[rail_ - 1].offset, 0};
        }
        if (first.x) pen_.x = *first.x;
        if (first.y) pen_.y = *first.y;
    }

    /// Runs of letters that are shaped together, in the order they are seen.
    void set_chunk(std::size_t begin, std::size_t end) {
        const auto& letters = text_.letters;
        const auto first = std::find_if(letters.begin() + static_cast<std::ptrdiff_t>(begin),
                                        letters.begin() + static_cast<std::ptrdiff_t>(end),
                                        [](const Letter& letter) { return !letter.is_mark; });
        if (first == letters.begin() + static_cast<std::ptrdiff_t>(end)) return;
        begin_chunk(*first);
        const std::vector<int> levels = levels_of(begin, end);
        std::vector<std::size_t> begins;
        std::vector<int> run_levels;
        for (std::size_t i = begin; i < end; ++i) {
            if (i > begin && continues(letters[i - 1], letters[i]) && levels[i - begin] == run_levels.back()) continue;
            begins.push_back(i);
            run_levels.push_back(levels[i - begin]);
        }
        for (const std::size_t run : seen_order(run_levels))
            set_run(begins[run], run + 1 < begins.size() ? begins[run + 1] : end,
                    run_levels[run] % 2 == 0 ? Direction::left_to_right : Direction::right_to_left);
    }

    std::vector<int> levels_of(std::size_t begin, std::size_t end) const {
        std::u32string line;
        for (std::size_t i = begin; i < end; ++i)
            line += utf32(text_.letters[i].utf8).front();
        return direction_levels(line, text_.styles.front().text->direction);
    }

    static double baseline_drop(const TextStyle& look, const LetteredText& font) {
        const std::string& name = look.baseline;
        if (name == "middle") return font.x_height / 2;
        if (name == "central") return (font.ascent - font.descent) / 2;
        if (name == "hanging") return font.ascent * 0.8;
        if (name == "mathematical") return font.ascent / 2;
        if (name == "text-before-edge" || name == "text-top" || name == "before-edge") return font.ascent;
        if (name == "text-after-edge" || name == "text-bottom" || name == "ideographic" || name == "after-edge")
            return -font.descent;
        return 0;
    }

    void remark(const LetteredText& font, const TextStyle& look, const pugi::xml_node& element) {
        if (font.substituted) {
            const std::string wished = look.font.families.empty() ? "" : look.font.families[0];
            scene_.notes.add(notice::font_substituted, element, {{"wished", wished}, {"taken", font.family}});
        }
        if (font.missing_letters) scene_.notes.add(notice::letters_missing, element, {{"font", font.family}});
    }

    void set_run(std::size_t begin, std::size_t end, Direction direction) {
        const Letter& first = text_.letters[begin];
        const Style& style = text_.styles[first.style];
        const TextStyle& look = *style.text;
        if (first.is_mark) return;
        pen_ = pen_ + Point{first.dx, first.dy};

        std::string run;
        for (std::size_t i = begin; i < end; ++i)
            run += text_.letters[i].utf8;
        const auto drawn = scene_.outside.lettering->outline(run, look.font, direction);
        if (!drawn) return scene_.notes.add(notice::unsupported, text_.elements[first.style], {{"feature", "text"}});
        remark(*drawn, look, text_.elements[first.style]);
        const double size = style.font_size * (first.small_capital ? small_capital_size : 1);
        const double drop = baseline_drop(look, *drawn) * size - look.shift;
        for (std::size_t i = 0; i < drawn->glyphs.size(); ++i) {
            const Glyph& glyph = drawn->glyphs[i];
            double advance = glyph.advance * size;
            const bool last_of_cluster = i + 1 == drawn->glyphs.size() || drawn->glyphs[i + 1].cluster != glyph.cluster;
            if (last_of_cluster) advance += look.letter_spacing;
            if (run[glyph.cluster] == ' ') advance += look.word_spacing;
            Placed placed{
                glyph.path,
                pen_ + Point{glyph.offset.x * size, drop - glyph.offset.y * size},
                size,
                1,
                advance,
                first.turn * std::numbers::pi / 180,
                first.style,
                chunk_,
                first.rail,
                first.stretch,
                {drawn->underline, drawn->ascent - drawn->line_thickness / 2, drawn->strike, drawn->line_thickness}};
            placed_.push_back(std::move(placed));
            pen_.x += advance;
        }
    }

    /// textLength: the glyphs that belong to it are spread or widened to the length asked for.
    void stretch() {
        for (std::size_t id = 1; id <= text_.stretches.size(); ++id) {
            std::vector<std::size_t> members;
            double natural = 0;
            for (std::size_t i = 0; i < placed_.size(); ++i)
                if (placed_[i].stretch == id) members.push_back(i), natural += placed_[i].advance;
            if (members.size() < 2 || !(natural > 0)) continue;
            const Stretch& wanted = text_.stretches[id - 1];
            const double widen = wanted.glyphs ? wanted.length / natural : 1;
            const double gap = wanted.glyphs ? 0 : (wanted.length - natural) / static_cast<double>(members.size() - 1);
            double moved = 0;
            for (std::size_t n = 0; n < members.size(); ++n) {
                Placed& glyph = placed_[members[n]];
                const double before = glyph.advance;
                glyph.at.x += moved;
                glyph.widen = widen;
                glyph.advance = before * widen + (n + 1 < members.size() ? gap : 0);
                moved += glyph.advance - before;
            }
            for (std::size_t i = members.back() + 1;
                 i < placed_.size() && placed_[i].chunk == placed_[members[0]].chunk; ++i)
                placed_[i].at.x += moved;
        }
    }

    void anchor() {
        for (std::size_t from = 0; from < placed_.size();) {
            std::size_t to = from;
            double begin = placed_[from].at.x, end = begin;
            for (; to < placed_.size() && placed_[to].chunk == placed_[from].chunk; ++to)
                end = std::max(end, placed_[to].at.x + placed_[to].advance);
            const TextAnchor wanted = text_.styles[placed_[from].style].text->anchor;
            const bool leftward = text_.styles.front().text->direction == Direction::right_to_left;
            const double share = wanted == TextAnchor::middle ? 0.5 : (wanted == TextAnchor::end) != leftward ? 1 : 0;
            for (std::size_t i = from; i < to; ++i)
                placed_[i].at.x -= (end - begin) * share;
            from = to;
        }
    }

    const Scene& scene_;
    const TextGatherer& text_;
    std::vector<Placed> placed_;
    Point pen_;
    std::size_t chunk_ = 0, rail_ = 0;
};

/// Place and direction at a length along the lines; nothing beyond their ends.
std::optional<std::pair<Point, double>> along(const std::vector<Polyline>& lines, double distance) {
    if (distance < 0) return {};
    for (const Polyline& line : lines) {
        std::vector<Point> points = line.points;
        if (line.closed && !points.empty()) points.push_back(points.front());
        for (std::size_t i = 1; i < points.size(); ++i) {
            const double step = geometry::distance(points[i - 1], points[i]);
            if (distance <= step && step > 0) {
                const Point way = points[i] - points[i - 1];
                return std::pair(geometry::between(points[i - 1], points[i], distance / step),
                                 std::atan2(way.y, way.x));
            }
            distance -= step;
        }
    }
    return {};
}

/// Lines under, over and through a letter. `map`: from font sizes, Y up, to user units.
void decorate(Path& path, const Placed& glyph, const TextStyle& look, const Transform& map) {
    const auto line = [&](bool wanted, double middle) {
        if (!wanted || !(glyph.advance > 0)) return;
        const double end = glyph.advance / (glyph.size * glyph.widen);
        const double low = middle - glyph.lines.thickness / 2, high = middle + glyph.lines.thickness / 2;
        Path bar;
        bar.move_to({0, low});
        bar.line_to({end, low});
        bar.line_to({end, high});
        bar.line_to({0, high});
        bar.close();
        bar.transform(map);
        path.append(bar);
    };
    line(look.underlined, glyph.lines.under);
    line(look.overlined, glyph.lines.over);
    line(look.struck, glyph.lines.through);
}

/// The map from a glyph's own units to user units; nothing where a rail ends.
std::optional<Transform> glyph_map(const Placed& glyph, const TextGatherer& text) {
    const Transform letter = Transform::scale(glyph.size * glyph.widen, -glyph.size);
    if (glyph.rail == 0) return Transform::move(glyph.at.x, glyph.at.y) * Transform::turn(glyph.turn) * letter;
    const auto spot = along(text.rails[glyph.rail - 1].lines, glyph.at.x + glyph.advance / 2);
    if (!spot) return {};
    return Transform::move(spot->first.x, spot->first.y) * Transform::turn(spot->second) *
           Transform::move(-glyph.advance / 2, glyph.at.y) * Transform::turn(glyph.turn) * letter;
}

}  // namespace

void paint_text(const Scene& scene, Canvas& canvas, const pugi::xml_node& element, const Style& style,
                const Place& place) {
    TextGatherer text(scene, place);
    text.gather(element, style);
    if (scene.effort.exhausted()) return;
    text.trim_end();
    if (text.letters.empty()) return;
    if (!scene.outside.lettering) return scene.notes.add(notice::unsupported, element, {{"feature", "text"}});
    const auto glyphs = TextSetter(scene, text).set();
    // Letters of one style that follow each other are one shape.
    for (std::size_t from = 0; from < glyphs.size();) {
        Path path, lines;
        std::size_t to = from;
        const std::size_t end = std::min(glyphs.size(), from + most_letters_together);
        for (; to < end && glyphs[to].style == glyphs[from].style; ++to) {
            const auto map = glyph_map(glyphs[to], text);
            if (!map) continue;
            decorate(lines, glyphs[to], *text.styles[glyphs[to].style].text, *map);
            if (!glyphs[to].path) continue;
            scene.effort.spend(Effort::point * static_cast<std::int64_t>(glyphs[to].path->size()));
            if (scene.effort.exhausted()) return;
            Path letter = *glyphs[to].path;
            letter.transform(*map);
            path.append(letter);
        }
        Style look = text.styles[glyphs[from].style];
        look.rule = geometry::FillRule::non_zero;
        canvas.paint(path, look, place, text.elements[glyphs[from].style]);
        // On their own: fonts turn their outlines one way or the other, and what crosses would be cut out.
        canvas.paint(lines, look, place, text.elements[glyphs[from].style]);
        from = to;
    }
}

}  // namespace chalkline::art::svg
