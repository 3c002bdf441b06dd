// SPDX-License-Identifier: GPL-3.0-or-later
#include "commands.hpp"
#include "output.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/clearance/program_file.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/swatches/card_job.hpp>
#include <chalkline/swatches/card_json.hpp>
#include <chalkline/swatches/photo.hpp>
#include <chalkline/wording/wording.hpp>

namespace chalkline::cli {
namespace {

Result<swatches::Card> load_spec(const std::string& path) {
    const auto text = read_file(path);
    if (!text) return tl::unexpected(text.error());
    auto card = swatches::card_from_json(*text);
    if (!card) card.error().file = path;
    return card;
}

Json cell_json(const swatches::Cell& cell) {
    const steps::StepSettings& s = cell.settings;
    Json json{{"row", cell.place.row},
              {"column", cell.place.column},
              {"power", s.power.percent()},
              {"speed", s.speed.mm_per_min()},
              {"passes", s.passes}};
    if (steps::burns_area(s.kind)) json["line_pitch_mm"] = number(s.line_pitch.mm());
    if (cell.share < 1) json["tone"] = number(cell.share * 100);
    json["dose"] = number(cell.dose);
    json["left_out"] = cell.left_out;
    json["bbox_mm"] = to_json(cell.box);
    return json;
}

Result<void> write_card(const std::string& path, const swatches::CardJob& made, const clearance::Clearance& cleared,
                        const std::string& title) {
    if (!path.ends_with(".chalk")) {
        const auto program = cleared.passed();
        if (!program) return tl::unexpected(program.error());
        return replace_file(path, clearance::program_file(title, made.job, *cleared.plan, *program));
    }
    const auto bytes = job::to_chalk(made.job);
    if (!bytes) return tl::unexpected(bytes.error());
    return replace_file(path, *bytes);
}

}  // namespace

int run_swatch(const SwatchCommand& command, const Surroundings& surroundings) {
    const auto machine = load_machine(command.machine);
    if (!machine) return report(machine.error(), command.json);
    const auto card = load_spec(command.file);
    if (!card) return report(card.error(), command.json);
    const auto made = swatches::card_job(*card, *machine, {}, surroundings.of_nothing());
    if (!made) return report(made.error(), command.json);
    const auto cleared = clearance::clear(clearance::JobRequest{made->job, {*machine}});
    if (cleared.error) return report(*cleared.error, command.json);
    const auto& plan = cleared.plan;
    const std::string title = swatches::title_of(*card);
    if (!command.output.empty())
        if (const auto written = write_card(command.output, *made, cleared, title); !written)
            return report(written.error(), command.json);
    const swatches::Layout layout = swatches::layout_of(*card, machine->beam);
    const auto faults = swatches::faults_of(*card, *machine, machine->width, machine->depth);
    for (const Notice& fault : faults)
        say("warning: " + wording::describe(fault).toStdString());
    Json cells = Json::array();
    for (const swatches::Cell& cell : layout.cells)
        cells.push_back(cell_json(cell));
    if (command.json)
        print({{"title", title},
               {"cells", cells},
               {"size_mm", {number(layout.size.x), number(layout.size.y)}},
               {"total_s", number(plan->total.seconds())}});
    else
        print_text(title + ": " + std::to_string(layout.cells.size()) + " " + translated("swatches") + ", " +
                   format_number(layout.size.x, 1) + " × " + format_number(layout.size.y, 1) + " mm, " +
                   wording::duration(plan->total).toStdString());
    return done;
}

int run_swatch_read(const SwatchReadCommand& command, const Surroundings& surroundings) {
    const auto machine = load_machine(command.machine);
    if (!machine) return report(machine.error(), command.json);
    const auto opened = job::load(command.card, surroundings.of_nothing());
    if (!opened) return report(opened.error(), command.json);
    auto card = swatches::card_of(opened->job);
    if (!card) return report({card.error().code, card.error().parameters, command.card, 0}, command.json);
    const auto photo = read_art(command.photo, {}, surroundings);
    if (!photo) return report(photo.error(), command.json);
    if (photo->pictures.empty())
        return report({std::string(error::no_picture), {{"text", command.photo}}, {}, 0}, command.json);
    const raster::RgbImage& image = *photo->pictures.front().image;
    const swatches::Layout layout = swatches::layout_of(*card, machine->beam);
    const auto onto = swatches::find_card(image, layout);
    if (!onto) {
        if (command.json) print({{"cells", Json::array()}, {"found", false}});
        say(wording::describe(Error{std::string(swatches::error::marks_not_found), {}, command.photo, 0})
                .whole()
                .toStdString());
        return unreadable;
    }
    Json cells = Json::array();
    for (const auto& [place, seen] : swatches::measured(image, *onto, layout)) {
        const swatches::Cell& cell = *layout.at(place);
        cells.push_back({{"row", place.row},
                         {"column", place.column},
                         {"darkness", number(seen.darkness)},
                         {"evenness", number(seen.evenness)},
                         {"edge_mm", number(seen.edge)},
                         {"dose", number(cell.dose)}});
        if (!command.json) print_text(swatches::words_of(cell, *card) + "  " + format_number(seen.darkness, 3));
    }
    if (command.json) print({{"cells", cells}, {"found", true}});
    return done;
}

}  // namespace chalkline::cli
