// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/artwork.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/swatches/axis.hpp>

#include <array>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::swatches {

/// What is burned in a swatch.
enum class Shape {
    square,
    circle,
    flap,  ///< the outline but for one corner, where it stays held: the other corner comes free when it is cut through
    bars,  ///< narrow bars across the scan lines: their edges show whether lines there and back meet
    corners,  ///< a line with sharp and blunt corners
    curves,   ///< circles one inside the other
    slot,     ///< a window narrower by twice the kerf: a tongue cut to the full width fits where the kerf is right
    patch,    ///< a picture of one grey, or from black to white where the tone is not on an axis
    tick,     ///< a short line
    motif     ///< a drawing of the maker's own
};
inline constexpr int shape_count = 10;
std::string_view to_text(Shape shape);
std::optional<Shape> parse_shape(std::string_view text);
/// Those a step of this kind can burn, the usual one first.
std::vector<Shape> shapes_for(steps::StepKind kind);

/// A swatch by its place, counted from 0 at the lower left.
struct CellPlace {
    int row = 0, column = 0;
    auto operator<=>(const CellPlace&) const = default;
};

/// Which parts of a card are burned.
enum class CardParts { everything, labels_only, swatches_only };

/// What is written on a card, with power and speed of its own.
struct CardText {
    bool title = true, labels = true, marks = true;
    double height = 2.6;  ///< of a capital letter, mm; where there is less room it becomes smaller
    Power power = Power::percent(35);
    Speed speed = Speed::mm_per_min(2400);
    bool operator==(const CardText&) const = default;
};

/// A swatch card as it was designed: everything needed to burn it, and to find its swatches on what was burned.
struct Card {
    std::string name;   ///< in lists; empty: the title
    std::string title;  ///< burned; empty: `title_of`
    std::string code;   ///< four letters and figures that tell one card from another, burned too
    std::string material;
    Length thickness = Length::mm(3);
    std::string machine;
    std::string date;  ///< "2026-11-23"
    std::string note;  ///< burned below; empty: none

    Shape shape = Shape::square;
    double width = 8, height = 8, gap = 3;  ///< mm, of a swatch and between two
    Axis columns{};
    std::optional<Axis> rows{};  ///< none: one row
    steps::StepSettings settings = steps::starting_point(steps::StepKind::engrave);
    std::vector<CellPlace> left_out{};
    std::optional<double> most_dose{};  ///< swatches with more (steps::whole_dose) are left out
    CardText text{};
    CardParts parts = CardParts::everything;
    std::shared_ptr<const art::Artwork> motif{};  ///< Shape::motif; read from an SVG drawing

    bool operator==(const Card&) const = default;
};

/// One swatch.
struct Cell {
    CellPlace place;
    steps::StepSettings settings;
    std::optional<double> column_value, row_value;
    double share = 1;  ///< of the dots burned, where the tone is on an axis
    double dose = 0;   ///< steps::whole_dose × share
    bool left_out = false;
    geometry::Box box;  ///< on the card, mm from its lower left corner
};

/// A line of text on a card.
struct CardLine {
    enum class What { title, row_label, column_label, row_title, column_title, code, note };
    What what;
    std::string text;
    geometry::Box room;    ///< it is shrunk to stay inside
    double height;         ///< of a capital letter, mm
    bool upwards = false;  ///< read from below
};

/// Where everything lies, mm from the card's lower left corner. The same card has the same layout on every computer:
/// it depends on no font.
struct Layout {
    geometry::Point size;
    std::vector<Cell> cells;  ///< row by row from the lower left
    std::vector<CardLine> lines;
    /// Middles of the corner marks: near left, near right, far right, far left. The near left one is a ring, the others
    /// are discs, so that a photograph shows which way up the card lies.
    std::array<geometry::Point, 4> marks;
    geometry::Box field;   ///< of all swatches
    geometry::Box tongue;  ///< Shape::slot: what is tried in the windows; empty otherwise

    const Cell* at(CellPlace place) const;
};
/// Diameter of the marks and of the ring's hole, mm.
inline constexpr double mark_size = 4, mark_hole = 2;

/// Shape::slot: width of the tongue, mm, and of the window that goes with a kerf.
double tongue_width(const Card& card);
double window_width(const Card& card, double kerf);

Layout layout_of(const Card& card, const steps::Beam& beam);

/// The number of columns and rows.
int columns_of(const Card& card);
int rows_of(const Card& card);

/// "Birch ply 4 mm - engrave - 2026-11-23"
std::string title_of(const Card& card);
/// "row 5, column 4: 80 %, 4200 mm/min", for programs and lists.
std::string words_of(const Cell& cell, const Card& card);

namespace notice {
inline constexpr std::string_view too_large =
    "swatches.too-large";  ///< parameters width, height, room_width, room_height
inline constexpr std::string_view all_left_out = "swatches.all-left-out";
inline constexpr std::string_view needs_z = "swatches.needs-z";
inline constexpr std::string_view text_too_small = "swatches.text-too-small";
}  // namespace notice

/// The card with smaller swatches, and after that with fewer rows and columns, so that it lies within a room, mm.
Card fitted(Card card, double width, double height, const steps::Beam& beam);
/// What keeps a card from being burned as it is, or makes it less useful.
std::vector<Notice> faults_of(const Card& card, const machine::MachineProfile& machine, double width, double height);

/// A code from a number: letters and figures that are not taken for each other.
std::string code_of(std::uint32_t number);

}  // namespace chalkline::swatches
