// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/units_text.hpp>
#include <chalkline/swatches/card.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace chalkline::swatches {
namespace {

using geometry::Box;
using geometry::Point;
using steps::StepKind;

constexpr std::array shape_words{std::string_view("square"), std::string_view("circle"),  std::string_view("flap"),
                                 std::string_view("bars"),   std::string_view("corners"), std::string_view("curves"),
                                 std::string_view("slot"),   std::string_view("patch"),   std::string_view("tick"),
                                 std::string_view("motif")};

constexpr double edge = 2;               // mm from the card's edge to anything burned
constexpr double air = 1.5;              // mm between parts
constexpr double letter_width = 0.85;    // of a capital's height: single-stroke letters need no more
constexpr double smallest_letter = 1.2;  // mm: a beam draws no smaller ones
constexpr double smallest_cell = 3;      // mm
constexpr double tongue_length = 18;     // mm: long enough to be held

double width_of(const std::string& text, double height) {
    return static_cast<double>(text.size()) * height * letter_width;
}

/// Signs the letters of single strokes do not have, by those they have.
std::string burnable(std::string text) {
    constexpr std::array<std::pair<std::string_view, std::string_view>, 6> spelled{
        {{"×", "x"}, {"·", "-"}, {"–", "-"}, {"—", "-"}, {"²", "2"}, {"µ", "u"}}};
    for (const auto& [sign, word] : spelled)
        for (auto at = text.find(sign); at != std::string::npos; at = text.find(sign))
            text.replace(at, sign.size(), word);
    return text;
}

std::string axis_title(const Axis& axis) {
    std::string words(to_text(axis.what));
    std::replace(words.begin(), words.end(), '-', ' ');
    const auto unit = unit_of(axis.what);
    return unit.empty() ? words : words + ", " + std::string(unit);
}

/// What stands below: the machine, and the maker's note.
std::string below_text(const Card& card) {
    const std::string machine = card.text.title ? card.machine : std::string();
    return burnable(machine + (machine.empty() || card.note.empty() ? "" : " - ") + card.note);
}

/// The widest label of an axis, mm.
double widest(const Axis& axis, double height) {
    double most = 0;
    for (const double value : values_of(axis))
        most = std::max(most, width_of(label_of(axis, value), height));
    return most;
}

/// Widths and heights of the bands round the field of swatches.
struct Bands {
    double left = edge, right = edge, below = edge, above = edge;
    double row_labels = 0, column_labels = 0;
    bool labels_upwards = false;  ///< column labels wider than their column
};

Bands bands_of(const Card& card) {
    const CardText& text = card.text;
    Bands bands;
    // The marks stand in the corners, clear of everything by half their size.
    const double corner = text.marks ? mark_size + mark_size / 2 : 0;
    bands.left = bands.right = bands.below = bands.above = edge + corner;
    if (text.labels) {
        bands.column_labels = text.height;
        if (const double wide = widest(card.columns, text.height); wide > card.width + card.gap - air) {
            bands.labels_upwards = true;
            bands.column_labels = wide;
        }
        const double below = text.height + air + bands.column_labels + air;
        bands.below = std::max(bands.below, edge + below);
        if (card.rows) {
            bands.row_labels = widest(*card.rows, text.height);
            bands.left = std::max(bands.left, edge + text.height + air + bands.row_labels + air);
        }
    }
    if (!below_text(card).empty()) bands.below += text.height + air;
    if (text.title) bands.above = std::max(bands.above, edge + text.height * 1.3 + air + air);
    return bands;
}

Cell cell_at(const Card& card, CellPlace place, const std::vector<double>& columns, const std::vector<double>& rows,
             const steps::Beam& beam) {
    Cell cell{.place = place, .settings = card.settings, .column_value = {}, .row_value = {}, .box = {}};
    const auto take = [&](const Axis& axis, double value) {
        // The comb carries its kerf in its shape.
        const bool drawn = card.shape == Shape::slot && axis.what == Variable::kerf;
        if (!drawn) cell.settings = applied(cell.settings, axis, value);
        if (axis.what == Variable::tone) cell.share = value / 100;
    };
    if (card.rows) {
        cell.row_value = rows[static_cast<std::size_t>(place.row)];
        take(*card.rows, *cell.row_value);
    }
    cell.column_value = columns[static_cast<std::size_t>(place.column)];
    take(card.columns, *cell.column_value);
    cell.dose = steps::whole_dose(cell.settings, beam) * cell.share;
    cell.left_out = std::find(card.left_out.begin(), card.left_out.end(), place) != card.left_out.end() ||
                    (card.most_dose && cell.dose > *card.most_dose * (1 + 1e-9));
    return cell;
}

void place_cells(Layout& layout, const Card& card, const Bands& bands, const steps::Beam& beam) {
    const auto columns = values_of(card.columns);
    const auto rows = card.rows ? values_of(*card.rows) : std::vector<double>{0};
    const double right_step = card.width + card.gap, up_step = card.height + card.gap;
    for (int row = 0; row < static_cast<int>(rows.size()); ++row)
        for (int column = 0; column < static_cast<int>(columns.size()); ++column) {
            Cell cell = cell_at(card, {row, column}, columns, rows, beam);
            const Point corner{bands.left + column * right_step, bands.below + row * up_step};
            cell.box = {corner.x, corner.y, corner.x + card.width, corner.y + card.height};
            layout.field.add(cell.box);
            layout.cells.push_back(cell);
        }
    geometry::Box burned = layout.field;
    if (card.shape == Shape::slot) {
        const double left = layout.field.right + card.gap;
        layout.tongue = {left, layout.field.bottom, left + tongue_width(card), layout.field.bottom + tongue_length};
        burned.add(layout.tongue);
    }
    layout.size = {burned.right + bands.right, burned.top + bands.above};
}

void place_labels(Layout& layout, const Card& card, const Bands& bands) {
    const double height = card.text.height;
    const Box& field = layout.field;
    const double label_top = field.bottom - air, label_bottom = label_top - bands.column_labels;
    for (const Cell& cell : layout.cells) {
        if (cell.place.row == 0)
            layout.lines.push_back({CardLine::What::column_label,
                                    label_of(card.columns, *cell.column_value),
                                    {cell.box.left - card.gap / 2 + air / 4, label_bottom,
                                     cell.box.right + card.gap / 2 - air / 4, label_top},
                                    height,
                                    bands.labels_upwards});
        if (cell.place.column == 0 && cell.row_value)
            layout.lines.push_back(
                {CardLine::What::row_label,
                 label_of(*card.rows, *cell.row_value),
                 {field.left - air - bands.row_labels, cell.box.bottom, field.left - air, cell.box.top},
                 height});
    }
    const double title_top = label_bottom - air;
    layout.lines.push_back({CardLine::What::column_title,
                            axis_title(card.columns),
                            {field.left, title_top - height, field.right, title_top},
                            height});
    if (!card.rows) return;
    const double right = field.left - air - bands.row_labels - air;
    layout.lines.push_back({CardLine::What::row_title,
                            axis_title(*card.rows),
                            {right - height, field.bottom, right, field.top},
                            height,
                            true});
}

void place_title(Layout& layout, const Card& card) {
    const double height = card.text.height * 1.3;
    // Between the two upper marks.
    const double in = edge + (card.text.marks ? mark_size + air : 0);
    const double top = layout.size.y - edge;
    const double code = card.code.empty() ? 0 : width_of(card.code, card.text.height) + 2 * air;
    layout.lines.push_back(
        {CardLine::What::title, title_of(card), {in, top - height, layout.size.x - in - code, top}, height});
    if (card.code.empty()) return;
    layout.lines.push_back({CardLine::What::code,
                            card.code,
                            {layout.size.x - in - code + 2 * air, top - height, layout.size.x - in, top},
                            card.text.height});
}

/// Between the two lower marks, under everything.
void place_note(Layout& layout, const Card& card) {
    const double in = edge + (card.text.marks ? mark_size + air : 0);
    layout.lines.push_back({CardLine::What::note,
                            below_text(card),
                            {in, edge, layout.size.x - in, edge + card.text.height},
                            card.text.height});
}

}  // namespace

std::string_view to_text(Shape shape) {
    return shape_words[static_cast<std::size_t>(shape)];
}

std::optional<Shape> parse_shape(std::string_view text) {
    for (std::size_t i = 0; i < shape_words.size(); ++i)
        if (shape_words[i] == text) return static_cast<Shape>(i);
    return {};
}

std::vector<Shape> shapes_for(StepKind kind) {
    switch (kind) {
        case StepKind::engrave:
            return {Shape::square, Shape::circle, Shape::bars, Shape::motif};
        case StepKind::picture:
            return {Shape::patch};
        case StepKind::score:
            return {Shape::square, Shape::circle, Shape::tick, Shape::corners, Shape::curves, Shape::motif};
        case StepKind::cut:
            return {Shape::flap,    Shape::square, Shape::circle, Shape::slot,
                    Shape::corners, Shape::curves, Shape::motif};
    }
    return {};
}

const Cell* Layout::at(CellPlace place) const {
    const auto found = std::find_if(cells.begin(), cells.end(), [&](const Cell& cell) { return cell.place == place; });
    return found == cells.end() ? nullptr : &*found;
}

int columns_of(const Card& card) {
    return static_cast<int>(values_of(card.columns).size());
}

int rows_of(const Card& card) {
    return card.rows ? static_cast<int>(values_of(*card.rows).size()) : 1;
}

double tongue_width(const Card& card) {
    return card.width * 0.75;
}

double window_width(const Card& card, double kerf) {
    return tongue_width(card) - 2 * kerf;
}

Layout layout_of(const Card& card, const steps::Beam& beam) {
    Layout layout;
    const Bands bands = bands_of(card);
    place_cells(layout, card, bands, beam);
    if (card.text.labels) place_labels(layout, card, bands);
    if (card.text.title) place_title(layout, card);
    if (!below_text(card).empty()) place_note(layout, card);
    const double in = edge + mark_size / 2;
    const Point size = layout.size;
    layout.marks = {Point{in, in}, {size.x - in, in}, {size.x - in, size.y - in}, {in, size.y - in}};
    return layout;
}

std::string title_of(const Card& card) {
    if (!card.title.empty()) return burnable(card.title);
    std::string title = card.material.empty()
                            ? std::string()
                            : fmt::format("{} {} mm - ", card.material, format_number(card.thickness.mm(), 2));
    title += steps::to_text(card.settings.kind);
    if (!card.date.empty()) title += " - " + card.date;
    return burnable(std::move(title));
}

std::string words_of(const Cell& cell, const Card& card) {
    std::string words =
        fmt::format("row {}, column {}: {}, {}", cell.place.row + 1, cell.place.column + 1,
                    format_power(cell.settings.power), format_speed(cell.settings.speed, SpeedUnit::mm_per_min));
    const auto add = [&](const Axis& axis, double value) {
        if (axis.what == Variable::power || axis.what == Variable::speed) return;
        words += fmt::format(", {} {}", to_text(axis.what), label_of(axis, value));
        if (!unit_of(axis.what).empty()) words += " " + std::string(unit_of(axis.what));
    };
    if (cell.row_value) add(*card.rows, *cell.row_value);
    add(card.columns, *cell.column_value);
    return words;
}

Card fitted(Card card, double width, double height, const steps::Beam& beam) {
    const auto over = [&] {
        const Point size = layout_of(card, beam).size;
        return Point{size.x - width, size.y - height};
    };
    // Swatches give way first: a smaller one says the same.
    for (int i = 0; i < 60; ++i) {
        const Point by = over();
        if (by.x <= 1e-9 && by.y <= 1e-9) return card;
        const bool can_x = by.x > 1e-9 && card.width > smallest_cell,
                   can_y = by.y > 1e-9 && card.height > smallest_cell;
        if (!can_x && !can_y) break;
        if (can_x)
            card.width = std::max(smallest_cell, card.width - std::max(0.5, std::floor(by.x / columns_of(card))));
        if (can_y) card.height = std::max(smallest_cell, card.height - std::max(0.5, std::floor(by.y / rows_of(card))));
    }
    card.gap = std::min(card.gap, 2.0);
    const auto shorten = [](Axis& axis) {
        const auto values = values_of(axis);
        if (axis.what == Variable::dither) {
            axis.methods.pop_back();
        } else {
            axis.last = values[values.size() - 2];
        }
        axis.count = static_cast<int>(values.size()) - 1;
    };
    for (int i = 0; i < 2 * most_values; ++i) {
        const Point by = over();
        if (by.x > 1e-9 && columns_of(card) > 1)
            shorten(card.columns);
        else if (by.y > 1e-9 && card.rows && rows_of(card) > 1)
            shorten(*card.rows);
        else
            break;
    }
    return card;
}

std::vector<Notice> faults_of(const Card& card, const machine::MachineProfile& machine, double width, double height) {
    std::vector<Notice> faults;
    const auto say = [&](std::string_view code, Parameters parameters = {}) {
        faults.push_back({std::string(code), std::move(parameters), 1, 0});
    };
    const Layout layout = layout_of(card, machine.beam);
    if (layout.size.x > width + 1e-9 || layout.size.y > height + 1e-9)
        say(notice::too_large, {{"width", format_number(layout.size.x, 0)},
                                {"height", format_number(layout.size.y, 0)},
                                {"room_width", format_number(width, 0)},
                                {"room_height", format_number(height, 0)}});
    if (std::all_of(layout.cells.begin(), layout.cells.end(), [](const Cell& cell) { return cell.left_out; }))
        say(notice::all_left_out);
    const bool focus = card.columns.what == Variable::focus || (card.rows && card.rows->what == Variable::focus);
    if (focus && !machine.z_axis) say(notice::needs_z);
    for (const CardLine& line : layout.lines) {
        const double room = line.upwards ? line.room.height() : line.room.width();
        if (width_of(line.text, smallest_letter) <= room) continue;
        say(notice::text_too_small, {{"text", line.text}});
        break;
    }
    return faults;
}

std::string code_of(std::uint32_t number) {
    constexpr std::string_view signs = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";  // without I, O, 0 and 1
    std::string code;
    for (int i = 0; i < 4; ++i, number /= 32)
        code += signs[number % 32];
    return code;
}

}  // namespace chalkline::swatches
