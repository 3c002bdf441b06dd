// SPDX-License-Identifier: GPL-3.0-or-later
#include "cards.hpp"
#include "support/limits.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/encoding/encoder.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/swatches/card_json.hpp>

#include <rapidcheck/catch.h>

#include <algorithm>

using namespace chalkline;
using namespace chalkline::swatches;
using chalkline::test::bench;
using chalkline::test::birch;
using chalkline::test::computer;
using geometry::Box;

namespace {

bool apart(const Box& a, const Box& b) {
    return a.right <= b.left + 1e-9 || b.right <= a.left + 1e-9 || a.top <= b.bottom + 1e-9 || b.top <= a.bottom + 1e-9;
}

/// Everything that is burned on a card, as boxes: swatches, rooms of text, marks.
std::vector<Box> boxes_of(const Card& card, const Layout& layout) {
    std::vector<Box> boxes;
    for (const Cell& cell : layout.cells)
        boxes.push_back(cell.box);
    for (const CardLine& line : layout.lines)
        boxes.push_back(line.room);
    for (const geometry::Point mark : layout.marks)
        if (card.text.marks) boxes.push_back(Box{mark.x, mark.y, mark.x, mark.y}.grown(mark_size / 2));
    if (!layout.tongue.empty()) boxes.push_back(layout.tongue);
    return boxes;
}

void require_apart(const Card& card, const Layout& layout) {
    const auto boxes = boxes_of(card, layout);
    const Box whole{0, 0, layout.size.x, layout.size.y};
    for (std::size_t i = 0; i < boxes.size(); ++i) {
        CAPTURE(i);
        CHECK(whole.contains(boxes[i], 1e-9));
        for (std::size_t k = i + 1; k < boxes.size(); ++k)
            CHECK(apart(boxes[i], boxes[k]));
    }
}

std::vector<Card> all_ready(const Ground& ground) {
    std::vector<Card> cards;
    for (int i = 0; i < ready_count; ++i) {
        cards.push_back(ready_card(static_cast<Ready>(i), ground));
        cards.back().code = code_of(static_cast<std::uint32_t>(i) * 7919);
    }
    return cards;
}

}  // namespace

TEST_CASE("nothing on a ready card lies over anything else") {
    for (const Card& card : all_ready(birch())) {
        CAPTURE(title_of(card), to_text(card.shape));
        require_apart(card, layout_of(card, bench().beam));
    }
}

TEST_CASE("labels stay clear of swatches on any card") {
    rc::prop("apart", [] {
        Card card;
        card.width = *rc::gen::inRange(30, 300) / 10.0;
        card.height = *rc::gen::inRange(30, 300) / 10.0;
        card.gap = *rc::gen::inRange(5, 80) / 10.0;
        card.columns = {Variable::speed, 100, 11000, *rc::gen::inRange(1, 12), false, {}};
        if (*rc::gen::arbitrary<bool>())
            card.rows = Axis{Variable::line_pitch, 0.05, 0.2, *rc::gen::inRange(1, 9), false, {}};
        card.text.height = *rc::gen::inRange(12, 60) / 10.0;
        card.text.marks = *rc::gen::arbitrary<bool>();
        card.note = *rc::gen::element(std::string(), std::string("masked, wiped damp"));
        card.code = "K7Q2";
        const Layout layout = layout_of(card, {});
        for (const CardLine& line : layout.lines)
            for (const Cell& cell : layout.cells)
                RC_ASSERT(apart(line.room, cell.box));
        for (std::size_t i = 0; i < layout.lines.size(); ++i)
            for (std::size_t k = i + 1; k < layout.lines.size(); ++k)
                RC_ASSERT(apart(layout.lines[i].room, layout.lines[k].room) || layout.lines[i].room.width() <= 0 ||
                          layout.lines[k].room.width() <= 0);
    });
}

TEST_CASE("every ready card is planned, and checker and machine take its program") {
    for (const bool lifting : {false, true}) {
        Ground ground = birch();
        ground.machine.z_axis = lifting;
        const machine::MachineProfile& machine = ground.machine;
        for (const Card& card : all_ready(ground)) {
            CAPTURE(title_of(card), to_text(card.shape), machine.z_axis);
            const auto made = card_job(card, machine, {}, computer());
            REQUIRE(made);
            const auto plan = planning::plan(made->job, machine);
            REQUIRE(plan);
            machine::Encoder lines(plan->program, machine);
            CHECK(safety::check_program(lines, test::limits_of(made->job, machine, plan->program)).empty());
            CHECK(!made->steps.empty());
        }
    }
}

TEST_CASE("text is burned first and right way up, swatches from light to dark") {
    Card card = ready_card(Ready::engrave_dose, birch());
    card.code = "K7Q2";
    const auto made = card_job(card, bench(), {}, computer()).value();
    const Layout layout = layout_of(card, bench().beam);
    std::vector<double> doses;
    bool cells = false;
    for (const job::Step& step : made.job.steps) {
        const bool text = step.note == "labels" || step.note == "corner marks";
        CHECK_FALSE((text && cells));
        cells = cells || !text;
        if (!text) doses.push_back(steps::whole_dose(step.settings, bench().beam));
    }
    CHECK(std::is_sorted(doses.begin(), doses.end()));
    CHECK(doses.size() == layout.cells.size());
    // Each text lies in its room, and reads from the left or from below: never upside down or mirrored.
    const geometry::Transform to_card = (made.job.stock->place() * geometry::Transform::move(5, 5)).inverse();
    std::size_t line = 0;
    for (const job::Motif& motif : made.job.motifs) {
        if (made.job.step(*motif.step)->note != "labels") continue;
        const CardLine& expected = layout.lines[line++];
        CAPTURE(expected.text);
        Box box;
        for (const geometry::Polyline& stroke : motif.art->shapes[0].path.flatten(to_card * motif.place))
            box.add(geometry::bounds(stroke));
        CHECK(expected.room.grown(0.01).contains(box));
        CHECK(motif.place.area() > 0);
        const geometry::Point reading = motif.place.direction({1, 0});
        CHECK((expected.upwards ? reading.y : reading.x) > 0);
    }
    CHECK(line == layout.lines.size());
}

TEST_CASE("each swatch burns with its own settings and says so") {
    Card card = ready_card(Ready::engrave_dose, birch());
    card.left_out = {{0, 0}};
    const Layout layout = layout_of(card, bench().beam);
    const auto made = card_job(card, bench(), {}, computer()).value();
    CHECK(made.steps.count({0, 0}) == 0);
    for (const Cell& cell : layout.cells) {
        if (cell.left_out) continue;
        const job::Step& step = *made.job.step(made.steps.at(cell.place));
        CHECK(step.settings == cell.settings);
        CHECK(step.note == words_of(cell, card));
        CHECK(step.settings.power == Power::percent(values_of(*card.rows)[static_cast<std::size_t>(cell.place.row)]));
    }
    Card cold = card;
    cold.most_dose = layout.cells[20].dose;
    for (const Cell& cell : layout_of(cold, bench().beam).cells)
        CHECK(cell.left_out == (cell.dose > *cold.most_dose || cell.place == CellPlace{0, 0}));
}

TEST_CASE("labels alone, swatches alone, or a card without anything round them") {
    Card card = ready_card(Ready::engrave_dose, birch());
    card.parts = CardParts::labels_only;
    CHECK(card_job(card, bench(), {}, computer())->steps.empty());
    card.parts = CardParts::swatches_only;
    CHECK(card_job(card, bench(), {}, computer())->job.steps.size() == 36);
    card.parts = CardParts::everything;
    card.text.title = card.text.labels = card.text.marks = false;
    CHECK(layout_of(card, {}).lines.empty());
}

TEST_CASE("a cut swatch stays in the sheet at one corner and comes free at the other") {
    const Card card = ready_card(Ready::cut_through, birch());
    const Layout layout = layout_of(card, bench().beam);
    const auto parts = drawn(card, layout.cells[0], computer()).value();
    REQUIRE(parts.size() == 1);
    const auto lines = parts[0].art->shapes[0].path.flatten(parts[0].place);
    REQUIRE(lines.size() == 1);
    CHECK_FALSE(lines[0].closed);
    const double held = 2 * (card.width + card.height) - geometry::length(lines[0]);
    CHECK(held == Approx(6));
    CHECK(std::count(lines[0].points.begin(), lines[0].points.end(), geometry::Point{10, 10}) == 1);
}

TEST_CASE("windows of the kerf comb are narrower by twice the kerf than the tongue") {
    const Card card = ready_card(Ready::kerf, birch());
    const Layout layout = layout_of(card, bench().beam);
    REQUIRE_FALSE(layout.tongue.empty());
    for (const Cell& cell : layout.cells) {
        const auto parts = drawn(card, cell, computer()).value();
        const Box window = geometry::bounds(parts[0].art->shapes[0].path.flatten(parts[0].place));
        CHECK(window.width() == Approx(layout.tongue.width() - 2 * *cell.column_value));
        CHECK(cell.settings.line.kerf_side == steps::LineSettings::Kerf::none);
    }
}

TEST_CASE("a card that is too large is made to fit") {
    Card card = ready_card(Ready::engrave_dose, birch());
    CHECK_FALSE(faults_of(card, bench(), 60, 50).empty());
    for (const auto& [width, height] : {std::pair{60.0, 50.0}, {45.0, 300.0}, {300.0, 35.0}}) {
        const Card small = fitted(card, width, height, bench().beam);
        const geometry::Point size = layout_of(small, bench().beam).size;
        CHECK(size.x <= width);
        CHECK(size.y <= height);
        CHECK(small.width >= 3);
    }
    CHECK(fitted(card, 200, 200, bench().beam) == card);
    card.columns = {Variable::speed, 1000, 11000, 40, false, {}};
    card.rows = Axis{Variable::power, 2, 80, 40, false, {}};
    CHECK(layout_of(fitted(card, 100, 100, bench().beam), bench().beam).size.x <= 100);
}

TEST_CASE("what cannot be done is said before it is burned") {
    Card card = ready_card(Ready::focus, birch());
    const auto says = [](const std::vector<Notice>& faults, std::string_view code) {
        return std::any_of(faults.begin(), faults.end(), [&](const Notice& n) { return n.code == code; });
    };
    CHECK(says(faults_of(card, bench(), 400, 300), notice::needs_z));
    card.most_dose = 0;
    CHECK(says(faults_of(card, bench(), 400, 300), notice::all_left_out));
}

TEST_CASE("a card survives its file, and the job that burns it") {
    for (Card card : all_ready(birch())) {
        card.left_out = {{0, 0}};
        card.most_dose = 1234;
        card.note = "masked";
        CAPTURE(title_of(card));
        CHECK(card_from_json(to_json(card)).value() == card);
        const auto made = card_job(card, bench(), {}, computer()).value();
        const auto again = job::parse_chalk(job::to_chalk(made.job).value(), "card.chalk", computer());
        REQUIRE(again);
        CHECK(again->lost.empty());
        CHECK(card_of(again->job).value() == card);
        CHECK(again->job.steps == made.job.steps);
    }
    CHECK(card_of(job::Job{}).error().code == swatches::error::no_card);
}

TEST_CASE("a spec may be short, and a wrong one says which word") {
    const auto card = card_from_json(R"({"columns": {"what": "speed", "first": 1000, "last": 5000, "step": 1000},
        "rows": {"what": "power", "first": 20, "last": 80, "count": 4}, "settings": {"kind": "engrave", "power": 50}})");
    REQUIRE(card);
    CHECK(columns_of(*card) == 5);
    CHECK(rows_of(*card) == 4);
    CHECK(card->shape == Shape::square);
    const auto wrong = [](const char* json) {
        const auto read = card_from_json(json);
        REQUIRE_FALSE(read);
        CHECK(read.error().code == swatches::error::bad_card);
        return read.error().parameters.at(0).second;
    };
    CHECK(wrong(R"({"columns": {"what": "colour", "first": 1, "last": 2}})") == "what \"colour\"");
    CHECK(wrong(R"({"columns": {"what": "speed", "first": 1, "last": 2, "count": 500}})") == "count");
    CHECK(wrong(R"({"columns": {"what": "speed", "first": 1, "last": 9, "step": 0}})") == "step");
    CHECK_FALSE(wrong("{").empty());
    CHECK_FALSE(wrong("[]").empty());
    CHECK_FALSE(wrong(R"({"columns": 4})").empty());
}

TEST_CASE("a finer card lies round its swatch and holds its values") {
    const Card card = ready_card(Ready::engrave_dose, birch());
    for (const CellPlace place : {CellPlace{0, 0}, CellPlace{3, 2}, CellPlace{5, 5}}) {
        const Card finer = finer_card(card, place, bench());
        const double power = values_of(*card.rows)[static_cast<std::size_t>(place.row)];
        const auto powers = values_of(*finer.rows), speeds = values_of(finer.columns);
        CHECK(std::any_of(powers.begin(), powers.end(), [&](double v) { return std::abs(v - power) < 1e-6; }));
        CHECK(powers.back() - powers.front() < card.rows->last - card.rows->first);
        CHECK(step_of(*finer.rows) < step_of(*card.rows));
        CHECK(speeds.size() >= 3);
        CHECK(powers.back() <= 100);
    }
}

TEST_CASE("proposed ranges lie round what is known of the material") {
    Ground ground = birch();
    const Axis speeds = proposed(Variable::speed, steps::StepKind::engrave, ground);
    CHECK(speeds.first < 3200);
    CHECK(speeds.last > 3200);
    CHECK(speeds.last <= 12000);
    // Half the watts: the same light at lower speeds or higher powers.
    ground.machine.beam.watts = 5;
    const Axis weaker = proposed(Variable::speed, steps::StepKind::engrave, ground);
    CHECK(weaker.first <= speeds.first);
    ground.recipes.clear();
    CHECK(values_of(proposed(Variable::speed, steps::StepKind::engrave, ground)).size() == 6);
}

TEST_CASE("a note of the settings stands beside the job and burns before any cut") {
    const auto job = card_job(ready_card(Ready::cut_through, birch()), bench(), {}, computer())->job;
    const auto noted = with_settings_note(job, computer());
    REQUIRE(noted);
    CHECK(noted->motifs.size() == job.motifs.size() + 1);
    const job::Motif& note = noted->motifs.back();
    CHECK(job::bounds(note).top < job::bounds(job).bottom);
    for (const job::Step& step : noted->steps) {
        if (step.id == *note.step) break;
        CHECK(step.settings.kind != steps::StepKind::cut);
    }
}

TEST_CASE("a card as large as the bed is still burned") {
    Card card = ready_card(Ready::engrave_dose, birch());
    card.width = card.height = 90;
    card = fitted(card, 400, 300, bench().beam);
    const auto made = card_job(card, bench(), {}, computer());
    REQUIRE(made);
    CHECK(planning::plan(made->job, bench()));
}

TEST_CASE("a drawing of the maker's own is burned in every swatch, kept in the card, and keeps its sides") {
    Card card = ready_card(Ready::score_line, birch());
    const auto svg = std::make_shared<const std::string>(
        "<svg xmlns='http://www.w3.org/2000/svg' width='20mm' height='10mm' viewBox='0 0 20 10'>"
        "<path d='M0 0 L20 10 M0 10 L20 0' stroke='#000' stroke-width='0.1' fill='none'/></svg>");
    card.shape = Shape::motif;
    card.motif = std::make_shared<const art::Artwork>(art::read(svg, "cross.svg").value());
    const Layout layout = layout_of(card, bench().beam);
    const auto parts = drawn(card, layout.cells[0], computer()).value();
    REQUIRE(parts.size() == 1);
    Box box;
    for (const geometry::Polyline& line : parts[0].art->shapes[0].path.flatten(parts[0].place))
        box.add(geometry::bounds(line));
    CHECK(box.width() == Approx(card.width));
    CHECK(box.height() == Approx(card.width / 2));
    const auto again = card_from_json(to_json(card)).value();
    REQUIRE(again.motif);
    CHECK(*again.motif->source == *svg);
    const auto made = card_job(again, bench(), {}, computer()).value();
    CHECK(made.steps.size() == layout.cells.size());
    CHECK(planning::plan(made.job, bench()));
    // Without its drawing nothing is burned, and nothing breaks.
    card.motif.reset();
    CHECK(drawn(card, layout.cells[0], computer())->empty());
}
