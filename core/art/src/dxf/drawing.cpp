// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawing.hpp"

#include <chalkline/art/reader.hpp>

#include <algorithm>
#include <charconv>
#include <cmath>

namespace chalkline::art::dxf {
namespace {

/// Millimetres of the $INSUNITS numbers; 0: not stated.
double unit_of(int number) {
    switch (number) {
        case 1:
            return 25.4;
        case 2:
            return 304.8;
        case 3:
            return 1609344;
        case 4:
            return 1;
        case 5:
            return 10;
        case 6:
            return 1000;
        case 7:
            return 1e6;
        case 8:
            return 25.4e-6;
        case 9:
            return 0.0254;
        case 10:
            return 914.4;
        case 11:
            return 1e-7;
        case 12:
            return 1e-6;
        case 13:
            return 1e-3;
        case 14:
            return 100;
        case 15:
            return 1e4;
        case 16:
            return 1e5;
        case 21:
            return 304.8006096;
        default:
            return 0;
    }
}

/// Group 49: above 0 drawn, below 0 left out; what follows its own kind is more of it.
Linetype linetype_of(const Entity& entry) {
    Linetype linetype;
    std::vector<double>& lengths = linetype.lengths;
    double sum = 0;
    for (const Group& group : entry.groups) {
        if (group.code == 74 && group.number != 0) linetype.holds_shapes = true;
        if (group.code != 49 || !std::isfinite(group.number)) continue;
        const bool drawn = group.number >= 0;
        if (lengths.empty() && !drawn) lengths.push_back(0);
        if (!lengths.empty() && drawn == (lengths.size() % 2 == 1))
            lengths.back() += std::abs(group.number);
        else
            lengths.push_back(std::abs(group.number));
        sum += drawn ? 0 : -group.number;
    }
    if (lengths.size() % 2 == 1 && lengths.size() > 1) {
        lengths.front() += lengths.back();
        lengths.pop_back();
    }
    if (!(sum > 0)) lengths.clear();
    return linetype;
}

class Sorter {
 public:
    Sorter(std::string_view bytes, const Watch& watch) : groups_(bytes), watch_(watch) {}

    Result<Drawing> sort() {
        next();
        while (group_ && group_->text != "EOF") {
            if (group_->code == 0 && group_->text == "SECTION") {
                next();
                const std::string_view section = group_ && group_->code == 2 ? group_->text : "";
                next();
                if (section == "HEADER")
                    read_header();
                else if (section == "TABLES")
                    read_tables();
                else if (section == "BLOCKS")
                    read_blocks();
                else if (section == "ENTITIES")
                    read_entities(drawing_.entities, "ENDSEC");
                else
                    skip_section();
            } else {
                next();
            }
            if (cancelled_) return fail(chalkline::error::cancelled);
        }
        // The entity at the break is only half there.
        drawing_.cut_short = groups_.broken() || unfinished_;
        if (groups_.broken() && !drawing_.entities.empty()) drawing_.entities.pop_back();
        if (groups_.broken() && drawing_.entities.empty())
            return fail(error::broken_dxf, {{"reason", "group"}}, {}, groups_.line());
        return std::move(drawing_);
    }

 private:
    void next() {
        group_ = groups_.next();
        if (++count_ % 65536 == 0) {
            cancelled_ = watch_.cancelled();
            watch_.at(groups_.share());
            if (cancelled_) group_.reset();
        }
    }
    bool at(std::string_view name) const { return group_ && group_->code == 0 && group_->text == name; }

    void skip_section() {
        while (group_ && !at("ENDSEC"))
            next();
    }

    void read_header() {
        std::string_view variable;
        for (; group_ && !at("ENDSEC"); next()) {
            if (group_->code == 9) {
                variable = group_->text;
            } else if (variable == "$INSUNITS" && group_->code == 70) {
                const double unit = unit_of(static_cast<int>(std::clamp(group_->number, 0.0, 1000.0)));
                if (unit > 0) drawing_.unit = unit;
            } else if (variable == "$ACADVER" && group_->code == 1) {
                drawing_.utf8 = group_->text >= "AC1021";
            } else if (variable == "$LTSCALE" && group_->code == 40 && group_->number > 0) {
                drawing_.linetype_scale = group_->number;
            }
        }
    }

    /// One entity or table entry with its own groups.
    Entity read_entity() {
        Entity entity;
        entity.type = group_->text;
        entity.line = group_->line;
        bool embedded = false;  // a record inside the entity, with codes that mean other things
        for (next(); group_ && group_->code != 0; next()) {
            embedded = embedded || group_->code == 101;
            if (!embedded && group_->code < 1000) entity.groups.push_back(*group_);
        }
        return entity;
    }

    void read_tables() {
        while (group_ && !at("ENDSEC")) {
            if (group_->code != 0) {
                next();
                continue;
            }
            const Entity entry = read_entity();
            if (entry.type == "LAYER") {
                const int colour = entry.whole(62, 7);
                Layer layer{indexed_colour(std::abs(colour)), colour >= 0 && !entry.flag(70, 1), key_of(entry.text(6))};
                if (entry.find(420)) layer.rgb = true_colour(entry);
                drawing_.layers[key_of(entry.text(2))] = layer;
            } else if (entry.type == "LTYPE") {
                drawing_.linetypes[key_of(entry.text(2))] = linetype_of(entry);
            } else if (entry.type == "STYLE") {
                const double width = entry.number(41, 1);
                drawing_.looks[key_of(entry.text(2))] = {std::string(entry.text(3)), width > 0 ? width : 1};
            }
        }
    }

    void read_blocks() {
        while (group_ && !at("ENDSEC")) {
            if (!at("BLOCK")) {
                next();
                continue;
            }
            const Entity head = read_entity();
            Block block{head.point(10), {}};
            read_entities(block.entities, "ENDBLK");
            drawing_.blocks[key_of(head.text(2))] = std::move(block);
        }
    }

    void read_entities(std::vector<Entity>& list, std::string_view end) {
        while (group_ && !at(end) && !at("ENDSEC") && !at("EOF")) {
            if (group_->code != 0) {
                next();
                continue;
            }
            Entity entity = read_entity();
            const bool has_parts = entity.type == "POLYLINE" || (entity.type == "INSERT" && entity.whole(66) == 1);
            while (has_parts && group_ && (at("VERTEX") || at("ATTRIB")))
                entity.parts.push_back(read_entity());
            if (has_parts && at("SEQEND")) (void)read_entity();
            if (entity.whole(60) != 1) list.push_back(std::move(entity));  // 1: it is not to be seen
        }
        unfinished_ = unfinished_ || !group_;
    }

    GroupReader groups_;
    const Watch& watch_;
    std::optional<Group> group_;
    Drawing drawing_;
    std::size_t count_ = 0;
    bool cancelled_ = false;
    bool unfinished_ = false;  ///< the file ends among entities
};

void append_utf8(std::string& text, char32_t letter) {
    if (letter < 0x80) {
        text += static_cast<char>(letter);
    } else if (letter < 0x800) {
        text += static_cast<char>(0xc0 | letter >> 6);
        text += static_cast<char>(0x80 | (letter & 63));
    } else {
        text += static_cast<char>(0xe0 | (letter >> 12 & 15));
        text += static_cast<char>(0x80 | (letter >> 6 & 63));
        text += static_cast<char>(0x80 | (letter & 63));
    }
}

/// One byte of Windows-1252: Latin 1 but for 0x80…0x9f, of which only the common ones are kept.
char32_t from_1252(unsigned char byte) {
    switch (byte) {
        case 0x80:
            return 0x20ac;
        case 0x85:
            return 0x2026;
        case 0x91:
            return 0x2018;
        case 0x92:
            return 0x2019;
        case 0x93:
            return 0x201c;
        case 0x94:
            return 0x201d;
        case 0x96:
            return 0x2013;
        case 0x97:
            return 0x2014;
        default:
            return byte;
    }
}

std::optional<char32_t> escaped_letter(std::string_view text) {
    if (text.size() < 7 || !(text.starts_with("\\U+") || text.starts_with("\\u+"))) return {};
    std::uint32_t value = 0;
    const auto [end, problem] = std::from_chars(text.data() + 3, text.data() + 7, value, 16);
    if (problem != std::errc() || end != text.data() + 7) return {};
    return value;
}

}  // namespace

const Group* Entity::find(int code) const {
    const auto found = std::find_if(groups.begin(), groups.end(), [code](const Group& g) { return g.code == code; });
    return found == groups.end() ? nullptr : &*found;
}

double Entity::number(int code, double otherwise) const {
    const Group* group = find(code);
    return group ? group->number : otherwise;
}

int Entity::whole(int code, int otherwise) const {
    return static_cast<int>(std::clamp(number(code, otherwise), -2147483648.0, 2147483647.0));
}

std::string_view Entity::text(int code) const {
    const Group* group = find(code);
    return group ? group->text : std::string_view();
}

Result<Drawing> sort_groups(std::string_view bytes, const std::string& name, const Watch& watch) {
    auto drawing = Sorter(bytes, watch).sort();
    if (!drawing) drawing.error().file = name;
    return drawing;
}

std::string key_of(std::string_view name) {
    std::string key(name);
    std::transform(key.begin(), key.end(), key.begin(),
                   [](char c) { return c >= 'a' && c <= 'z' ? static_cast<char>(c - 32) : c; });
    return key;
}

Rgb indexed_colour(int index) {
    static constexpr Rgb first[]{{0, 0, 0},   {255, 0, 0},   {255, 255, 0}, {0, 255, 0},     {0, 255, 255},
                                 {0, 0, 255}, {255, 0, 255}, {0, 0, 0},     {128, 128, 128}, {192, 192, 192}};
    static constexpr std::uint8_t greys[]{51, 80, 105, 130, 190, 255};
    if (index < 0 || index > 255) return {};
    if (index < 10) return first[index];
    if (index >= 250) return {greys[index - 250], greys[index - 250], greys[index - 250]};
    static constexpr double shares[]{1, 0.65, 0.5, 0.3, 0.15};
    const double full = 255 * shares[index % 10 / 2];
    const int hue = (index - 10) / 10, sector = hue / 4;
    const double up = full * (hue % 4) / 4, down = full - up;
    double channels[6][3]{{full, up, 0},   {down, full, 0}, {0, full, up},
                          {0, down, full}, {up, 0, full},   {full, 0, down}};
    Rgb rgb;
    std::uint8_t* out[]{&rgb.red, &rgb.green, &rgb.blue};
    for (int i = 0; i < 3; ++i) {
        const double value = channels[sector][i];
        *out[i] = static_cast<std::uint8_t>(index % 2 == 0 ? value : (value + full) / 2);  // odd ones are paler
    }
    return rgb;
}

Rgb true_colour(const Entity& entity) {
    const auto value = static_cast<std::uint32_t>(entity.whole(420));
    return {static_cast<std::uint8_t>(value >> 16), static_cast<std::uint8_t>(value >> 8),
            static_cast<std::uint8_t>(value)};
}

std::string plain_text(std::string_view text, bool utf8) {
    std::string plain;
    for (std::size_t i = 0; i < text.size(); ++i) {
        if (const auto letter = escaped_letter(text.substr(i))) {
            append_utf8(plain, *letter);
            i += 6;
        } else if (text.substr(i, 2) == "%%" && i + 2 < text.size()) {
            const char code = static_cast<char>(text[i + 2] | 32);
            if (code == 'd')
                append_utf8(plain, 0xb0);
            else if (code == 'p')
                append_utf8(plain, 0xb1);
            else if (code == 'c')
                append_utf8(plain, 0x2300);
            else if (text[i + 2] == '%')
                plain += '%';
            // Under- and overlining (%%u, %%o) draw no letter.
            i += 2;
        } else if (!utf8 && static_cast<unsigned char>(text[i]) >= 0x80) {
            append_utf8(plain, from_1252(static_cast<unsigned char>(text[i])));
        } else {
            plain += text[i];
        }
    }
    return plain;
}

std::vector<std::string> mtext_lines(std::string_view text, bool utf8) {
    std::vector<std::string> lines(1);
    const std::string plain = plain_text(text, utf8);
    for (std::size_t i = 0; i < plain.size(); ++i) {
        const char c = plain[i];
        if (c == '{' || c == '}') continue;
        if (c == '^' && i + 1 < plain.size()) {  // ^I tab, ^J line end
            if (plain[i + 1] == 'J')
                lines.emplace_back();
            else if (plain[i + 1] == 'I')
                lines.back() += ' ';
            ++i;
            continue;
        }
        if (c != '\\' || i + 1 >= plain.size()) {
            lines.back() += c;
            continue;
        }
        const char code = plain[++i];
        if (code == 'P' || code == 'X')
            lines.emplace_back();
        else if (code == '~')
            lines.back() += ' ';
        else if (code == '\\' || code == '{' || code == '}')
            lines.back() += code;
        else if (code == 'S') {  // stacked: "1^2;" or "1/2;"
            const auto end = std::min(plain.find(';', i), plain.size());
            std::string stacked = plain.substr(i + 1, end - i - 1);
            std::replace_if(
                stacked.begin(), stacked.end(), [](char s) { return s == '^' || s == '#'; }, '/');
            lines.back() += stacked;
            i = end;
        } else if (std::string_view("LlOoKkN").find(code) == std::string_view::npos) {
            i = std::min(plain.find(';', i), plain.size());  // \H2.5x; \fArial|b0; and the like
        }
    }
    return lines;
}

}  // namespace chalkline::art::dxf
