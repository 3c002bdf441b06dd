// SPDX-License-Identifier: GPL-3.0-or-later
#include "patch_picture.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/base/units_text.hpp>
#include <chalkline/swatches/card_job.hpp>
#include <chalkline/swatches/card_json.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace chalkline::swatches {
namespace {

using art::Artwork;
using geometry::Box;
using geometry::Point;
using geometry::Transform;
using steps::StepKind;
using Art = std::shared_ptr<const Artwork>;

constexpr double margin_of_own_piece = 5;  // mm round a card that has no piece to lie on

Result<Art> drawn_art(const art::Design& design, const art::Outside& outside) {
    auto drawn = art::draw(design, outside);
    if (!drawn) return tl::unexpected(drawn.error());
    return std::make_shared<const Artwork>(std::move(*drawn));
}

Result<Art> text_art(const std::string& text, double height, const art::Outside& outside) {
    art::TextDesign design;
    design.text = text;
    design.height = height;
    design.single_stroke = true;
    design.align = art::TextDesign::Align::left;
    return drawn_art({design, {}, false}, outside);
}

art::Design chain(std::vector<Point> points) {
    return {art::FreehandDesign{std::move(points), false}, {}, false};
}

art::Design form(art::FormDesign::Form kind, double width, double height, bool filled) {
    art::FormDesign design;
    design.form = kind;
    design.width = width;
    design.height = height;
    return {design, {}, filled};
}

/// Where a chain's own 0, 0 comes to lie at `corner`: its page begins at its lowest and leftmost point.
Drawn at(Art art, Point corner) {
    const Point origin = art->origin;
    return {std::move(art), Transform::move(corner.x + origin.x, corner.y + origin.y)};
}

/// The outline from one side of the near left corner all round to its other side.
std::vector<Point> flap_outline(double width, double height) {
    const double held = std::min({3.0, width / 3, height / 3});
    return {{held, 0}, {width, 0}, {width, height}, {0, height}, {0, held}};
}

/// Down and up again with 30, 60, 90 and 120 degrees between the strokes.
std::vector<Point> corner_line(double width, double height) {
    constexpr std::array angles{30.0, 60.0, 90.0, 120.0};
    std::vector<Point> points{{0, height}};
    double x = 0, reach = 0;
    for (const double angle : angles)
        reach += 2 * std::tan(angle / 2 * std::numbers::pi / 180);
    const double fall = std::min(height, width / reach);
    for (const double angle : angles) {
        const double half = fall * std::tan(angle / 2 * std::numbers::pi / 180);
        points.push_back({x + half, height - fall});
        points.push_back({x + 2 * half, height});
        x += 2 * half;
    }
    return points;
}

/// Forms of a swatch, each with the place of its corner in the swatch's box.
struct Placed {
    art::Design design;
    Point corner;
};

std::vector<Placed> designs_of(const Card& card, const Cell& cell) {
    using Form = art::FormDesign::Form;
    const double width = card.width, height = card.height;
    const bool filled = card.settings.kind == StepKind::engrave;
    switch (card.shape) {
        case Shape::square:
            return {{form(Form::rectangle, width, height, filled), {}}};
        case Shape::circle:
            return {{form(Form::ellipse, width, height, filled), {}}};
        case Shape::flap:
            return {{chain(flap_outline(width, height)), {}}};
        case Shape::corners:
            return {{chain(corner_line(width, height)), {}}};
        case Shape::tick:
            return {{form(Form::line, 0, height, false), {width / 2, 0}}};
        case Shape::bars: {
            std::vector<Placed> bars;
            const double bar = width / 9;
            for (int i = 0; i < 5; ++i)
                bars.push_back({form(Form::rectangle, bar, height, filled), {i * 2 * bar, 0}});
            return bars;
        }
        case Shape::curves: {
            std::vector<Placed> circles;
            const double most = std::min(width, height);
            for (const double share : {1.0, 0.6, 0.3, 0.12}) {
                const double size = most * share;
                circles.push_back({form(Form::ellipse, size, size, false), {(width - size) / 2, (height - size) / 2}});
            }
            return circles;
        }
        case Shape::slot: {
            const bool kerf_up = card.rows && card.rows->what == Variable::kerf;
            const double kerf = kerf_up                               ? *cell.row_value
                                : card.columns.what == Variable::kerf ? *cell.column_value
                                                                      : 0;
            const double window = window_width(card, kerf), room = card.thickness.mm() + 0.4;
            return {{form(Form::rectangle, window, room, false), {(width - window) / 2, (height - room) / 2}}};
        }
        case Shape::patch:
        case Shape::motif:
            return {};
    }
    return {};
}

Result<Art> patch(const Card& card, const Cell& cell, const art::Outside& outside) {
    const bool flat = card.columns.what == Variable::tone || (card.rows && card.rows->what == Variable::tone);
    auto read =
        art::read(flat ? patch_picture(cell.share) : wedge_picture(), flat ? "tone.bmp" : "wedge.bmp", {}, outside);
    if (!read) return tl::unexpected(read.error());
    return std::make_shared<const Artwork>(std::move(*read));
}

/// The art stretched over the swatch, or as large as it fits without changing its sides.
Transform over(const Artwork& art, double width, double height, bool stretched) {
    const double x = width / art.page.x, y = height / art.page.y, both = std::min(x, y);
    if (stretched) return Transform::scale(x, y);
    return Transform::move((width - art.page.x * both) / 2, (height - art.page.y * both) / 2) *
           Transform::scale(both, both);
}

/// Puts the parts of a card together as a job.
class Builder {
 public:
    Builder(const Card& card, const Layout& layout, const Transform& place, const art::Outside& outside)
        : card_(card), layout_(layout), place_(place), outside_(outside) {
        made_.job.last_id = 1;
        group_ = 1;
    }

    Result<void> add_marks() {
        if (!card_.text.marks) return {};
        job::Step& step = add_step(text_settings(StepKind::engrave), "corner marks");
        const job::Id id = step.id;
        auto disc = drawn_art(form(art::FormDesign::Form::ellipse, mark_size, mark_size, true), outside_);
        auto ring = ring_art();
        if (!disc || !ring) return tl::unexpected(disc ? ring.error() : disc.error());
        for (std::size_t i = 0; i < layout_.marks.size(); ++i) {
            const Point corner = layout_.marks[i] - Point{mark_size / 2, mark_size / 2};
            add_motif({i == 0 ? *ring : *disc, Transform::move(corner.x, corner.y)}, id);
        }
        return {};
    }

    Result<void> add_texts() {
        if (layout_.lines.empty()) return {};
        const job::Id id = add_step(text_settings(StepKind::score), "labels").id;
        for (const CardLine& line : layout_.lines) {
            auto art = text_art(line.text, line.height, outside_);
            // A text of signs the letters do not have is left out: a card without its title is still a card.
            if (!art && art.error().code == art::error::no_text) continue;
            if (!art) return tl::unexpected(art.error());
            add_motif({*art, place_of(line, **art)}, id);
        }
        return {};
    }

    Result<void> add_cells() {
        std::vector<const Cell*> cells;
        for (const Cell& cell : layout_.cells)
            if (!cell.left_out) cells.push_back(&cell);
        std::stable_sort(cells.begin(), cells.end(), [](const Cell* a, const Cell* b) { return a->dose < b->dose; });
        for (const Cell* cell : cells) {
            auto parts = drawn(card_, *cell, outside_);
            if (!parts) return tl::unexpected(parts.error());
            const job::Id id = step_for(*cell);
            made_.steps[cell->place] = id;
            for (const Drawn& part : *parts)
                add_motif({part.art, Transform::move(cell->box.left, cell->box.bottom) * part.place}, id);
        }
        return {};
    }

    Result<void> add_tongue() {
        if (layout_.tongue.empty()) return {};
        const Box& box = layout_.tongue;
        auto art = drawn_art(form(art::FormDesign::Form::rectangle, box.width(), box.height(), false), outside_);
        if (!art) return tl::unexpected(art.error());
        add_motif({*art, Transform::move(box.left, box.bottom)}, add_step(held(card_.settings), "tongue").id);
        return {};
    }

    CardJob take() { return std::move(made_); }

 private:
    /// Small pieces stay in the sheet by one bridge.
    static steps::StepSettings held(steps::StepSettings settings) {
        settings.line.bridges = std::max(settings.line.bridges, 1);
        settings.line.bridge_width = std::min(settings.line.bridge_width, Length::mm(0.5));
        return settings;
    }

    steps::StepSettings text_settings(StepKind kind) const {
        steps::StepSettings settings{.kind = kind};
        settings.power = card_.text.power;
        settings.speed = card_.text.speed;
        return settings;
    }

    Result<Art> ring_art() {
        // A filled chain round the outside and back round the hole: one design that a job file keeps.
        art::FreehandDesign ring;
        constexpr int steps = 48;
        for (const auto& [radius, turn] : {std::pair{mark_size / 2, 1}, std::pair{mark_hole / 2, -1}})
            for (int i = 0; i <= steps; ++i) {
                const double angle = turn * 2 * std::numbers::pi * i / steps;
                ring.points.push_back({radius * std::cos(angle), radius * std::sin(angle)});
            }
        ring.closed = true;
        return drawn_art({ring, {}, true}, outside_);
    }

    Transform place_of(const CardLine& line, const Artwork& art) const {
        const Box& room = line.room;
        const double long_side = line.upwards ? room.height() : room.width();
        const double scale = std::min(1.0, long_side / art.page.x);
        const double width = art.page.x * scale;
        const bool at_end = line.what == CardLine::What::row_label || line.what == CardLine::What::code;
        const bool turned_label = line.upwards && line.what == CardLine::What::column_label;
        const double lead = at_end || turned_label ? long_side - width : (long_side - width) / 2;
        const Transform sized = Transform::scale(scale, scale) * Transform::move(0, art.origin.y);
        // Letters stand in the middle of a room that is higher than they are.
        const double cross = line.upwards ? room.width() : room.height();
        const double lift = std::max(0.0, (cross - line.height * scale) / 2);
        if (!line.upwards) return Transform::move(room.left + lead, room.bottom + lift) * sized;
        return Transform::move(room.right - lift, room.bottom + lead) * Transform::turn(std::numbers::pi / 2) * sized;
    }

    job::Id step_for(const Cell& cell) {
        const steps::StepSettings settings = card_.shape == Shape::slot ? held(cell.settings) : cell.settings;
        const auto same = std::find_if(made_.job.steps.begin(), made_.job.steps.end(), [&](const job::Step& step) {
            return step.settings == settings && step.note.starts_with("row");
        });
        const std::string note = words_of(cell, card_);
        if (same == made_.job.steps.end()) return add_step(settings, note).id;
        same->note = fmt::format("row {} and others", cell.place.row + 1);
        return same->id;
    }

    job::Step& add_step(const steps::StepSettings& settings, const std::string& note) {
        job::Step step;
        step.id = ++made_.job.last_id;
        step.settings = settings;
        step.note = note;
        made_.job.steps.push_back(std::move(step));
        return made_.job.steps.back();
    }

    void add_motif(const Drawn& part, job::Id step) {
        job::Motif motif;
        motif.id = ++made_.job.last_id;
        motif.art = part.art;
        motif.place = place_ * part.place;
        motif.group = group_;
        motif.step = step;
        made_.job.motifs.push_back(std::move(motif));
    }

    const Card& card_;
    const Layout& layout_;
    Transform place_;
    const art::Outside& outside_;
    CardJob made_;
    job::Id group_;
};

/// Less than the ordinary margin where the card is nearly as large as the bed.
double margin_on_bed(const Layout& layout, const machine::MachineProfile& machine) {
    const double room = std::min(machine.width - layout.size.x, machine.depth - layout.size.y) / 2;
    return std::clamp(room, 0.0, margin_of_own_piece);
}

job::Stock own_piece(const Card& card, const Layout& layout, const machine::MachineProfile& machine) {
    const double margin = margin_on_bed(layout, machine);
    job::Stock piece;
    piece.material = card.material;
    piece.thickness = card.thickness;
    piece.margin = Length::mm(std::min(piece.margin.mm(), margin));
    piece.width = layout.size.x + 2 * margin;
    piece.height = layout.size.y + 2 * margin;
    piece.corner = {std::max(0.0, (machine.width - piece.width) / 2),
                    std::max(0.0, (machine.depth - piece.height) / 2)};
    return piece;
}

}  // namespace

Result<std::vector<Drawn>> drawn(const Card& card, const Cell& cell, const art::Outside& outside) {
    std::vector<Drawn> parts;
    if (card.shape == Shape::patch || card.shape == Shape::motif) {
        const bool picture = card.shape == Shape::patch;
        if (!picture && !card.motif) return parts;
        const auto art = picture ? patch(card, cell, outside) : Result<Art>(card.motif);
        if (!art) return tl::unexpected(art.error());
        parts.push_back({*art, over(**art, card.width, card.height, picture)});
        return parts;
    }
    for (const Placed& placed : designs_of(card, cell)) {
        auto art = drawn_art(placed.design, outside);
        if (!art) return tl::unexpected(art.error());
        parts.push_back(at(*art, placed.corner));
    }
    return parts;
}

Result<CardJob> card_job(const Card& card, const machine::MachineProfile& machine,
                         const std::optional<job::Stock>& piece, const art::Outside& outside) {
    const Layout layout = layout_of(card, machine.beam);
    const job::Stock stock = piece ? *piece : own_piece(card, layout, machine);
    const double in = piece ? stock.margin.mm() : margin_on_bed(layout, machine);
    Builder builder(card, layout, stock.place() * Transform::move(in, in), outside);
    Result<void> done;
    if (card.parts != CardParts::swatches_only) {
        done = builder.add_marks();
        if (done) done = builder.add_texts();
    }
    if (done && card.parts != CardParts::labels_only) {
        done = builder.add_cells();
        if (done) done = builder.add_tongue();
    }
    if (!done) return tl::unexpected(done.error());
    CardJob made = builder.take();
    made.job.stock = stock;
    made.job.card = to_json(card);
    return made;
}

Result<job::Job> with_settings_note(job::Job job, const art::Outside& outside) {
    std::string text;
    for (const job::Step& step : job.steps) {
        if (!step.on || !job.has_work(step)) continue;
        const steps::StepSettings& s = step.settings;
        text += fmt::format("{}{} {} {}", text.empty() ? "" : "\n", steps::to_text(s.kind), format_power(s.power),
                            format_speed(s.speed, SpeedUnit::mm_per_min));
        if (steps::burns_area(s.kind)) text += " " + format_length(s.line_pitch, LengthUnit::mm);
        if (s.passes > 1) text += fmt::format(" {} passes", s.passes);
    }
    constexpr double height = 2, away = 3;  // mm
    auto art = text_art(text, height, outside);
    if (!art) return tl::unexpected(art.error());
    const Box box = job::bounds(job);
    const CardText quiet;
    job::Step step;
    step.id = ++job.last_id;
    step.settings = {.kind = StepKind::score, .power = quiet.power, .speed = quiet.speed};
    // Before the first cut: the piece must not have moved.
    const auto cut = std::find_if(job.steps.begin(), job.steps.end(),
                                  [](const job::Step& one) { return one.settings.kind == StepKind::cut; });
    job::Motif motif;
    motif.id = ++job.last_id;
    motif.art = *art;
    motif.step = step.id;
    motif.place = Transform::move(box.left, std::max(0.0, box.bottom - away - (*art)->page.y));
    job.steps.insert(cut, std::move(step));
    job.motifs.push_back(std::move(motif));
    return job;
}

}  // namespace chalkline::swatches
