// SPDX-License-Identifier: GPL-3.0-or-later
#include "inputs.hpp"

#include "output.hpp"

#include <chalkline/art/cleaning.hpp>
#include <chalkline/art/reader.hpp>
#include <chalkline/base/file.hpp>
#include <chalkline/base/units_text.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/round_piece.hpp>
#include <chalkline/machine/program_text.hpp>
#include <chalkline/recipes/library.hpp>

#include <algorithm>

namespace chalkline::cli {
namespace {

std::vector<std::string> split(const std::string& text, char separator) {
    std::vector<std::string> parts;
    std::size_t at = 0;
    while (true) {
        const auto end = text.find(separator, at);
        parts.push_back(text.substr(at, end - at));
        if (end == std::string::npos) return parts;
        at = end + 1;
    }
}

/// One `--step`: which inks, and their settings.
struct StepRequest {
    std::optional<Ink> ink;  ///< nothing: all, or all pictures
    bool pictures = false;
    steps::StepSettings settings;
    bool takes(const Ink& other) const {
        if (pictures) return other.kind == InkKind::picture;
        return !ink || *ink == other;
    }
};

/// One of the words, by its place among them.
std::optional<std::size_t> word(const std::string& value, std::initializer_list<const char*> words) {
    const auto found = std::find(words.begin(), words.end(), value);
    if (found == words.end()) return {};
    return static_cast<std::size_t>(found - words.begin());
}

std::optional<double> plain_number(const std::string& value) {
    const auto power = parse_power(value);
    return power ? std::optional(power->percent()) : std::nullopt;
}

bool take_length(const std::string& value, Length& length) {
    const auto read = parse_length(value, LengthUnit::mm);
    if (read) length = *read;
    return read.has_value();
}

/// Whether it is a key of fills, with a value that means something; the value is set then.
bool apply_fill_key(steps::FillSettings& fill, const std::string& key, const std::string& value) {
    if (key == "angle") {
        const auto angle = plain_number(value);
        if (angle) fill.angle = *angle;
        return angle.has_value();
    }
    if (key == "direction") {
        const auto which = word(value, {"both", "one-way", "crossed", "contours"});
        fill.both_ways = which != 1U;
        fill.crossed = which == 2U;
        fill.way = which == 3U ? steps::FillSettings::Way::contours : steps::FillSettings::Way::scan_lines;
        return which.has_value();
    }
    if (key == "first") {
        const auto which = word(value, {"bottom", "top", "left", "right"});
        if (which) fill.first = static_cast<steps::FillSettings::First>(*which);
        return which.has_value();
    }
    if (key == "tones") {
        const auto which = word(value, {"flat", "power", "dots"});
        if (which) fill.tones = static_cast<steps::FillSettings::Tones>(*which);
        return which.has_value();
    }
    if (key == "run-up") {
        Length length;
        if (!take_length(value, length)) return false;
        fill.run_up = length;
        return true;
    }
    if (key == "outline") {
        fill.outline_after = value == "on";
        return value == "on" || value == "off";
    }
    return key == "shift" && take_length(value, fill.shift);
}

/// The same for pictures.
bool apply_picture_key(steps::PictureSettings& picture, const std::string& key, const std::string& value) {
    if (key == "method") {
        const auto method = raster::parse_dither(value);
        if (method) picture.dots.method = *method;
        return method.has_value();
    }
    if (key == "one-way") {
        picture.dots.serpentine = value != "on";
        return value == "on" || value == "off";
    }
    if (key == "burns-light") {
        picture.burns_light = value == "on";
        return value == "on" || value == "off";
    }
    if (key == "dot-pitch") return take_length(value, picture.dot_pitch);
    const auto number = plain_number(value);
    if (!number) return false;
    if (key == "lowest-power")
        picture.lowest = Power::percent(*number);
    else if (key == "noise")
        picture.dots.noise = *number;
    else if (key == "seed")
        picture.dots.seed = static_cast<std::uint32_t>(*number);
    else if (key == "cell")
        picture.dots.cell = *number;
    else if (key == "screen-angle")
        picture.dots.screen_angle = *number;
    else
        return false;
    return true;
}

/// The same for lines.
bool apply_line_key(steps::LineSettings& line, const std::string& key, const std::string& value) {
    const auto parts = split(value, '/');
    if (key == "kerf") {  // outside/0.2
        const auto side = parts.size() == 2 ? word(parts[0], {"none", "outside", "inside"}) : std::nullopt;
        if (side) line.kerf_side = static_cast<steps::LineSettings::Kerf>(*side);
        return side && take_length(parts[1], line.kerf);
    }
    if (key == "perforation")  // burn/gap
        return parts.size() == 2 && take_length(parts[0], line.perforation_burn) &&
               take_length(parts[1], line.perforation_gap);
    if (key == "bridges") {  // count/width
        const auto count = plain_number(parts[0]);
        if (count) line.bridges = static_cast<int>(*count);
        return count && (parts.size() == 1 || (parts.size() == 2 && take_length(parts[1], line.bridge_width)));
    }
    if (key == "lead-in") return take_length(value, line.lead_in);
    if (key == "overcut") return take_length(value, line.overcut);
    if (key == "order") {
        const auto which = word(value, {"shortest", "as-drawn"});
        if (which) line.order = static_cast<steps::LineSettings::Order>(*which);
        return which.has_value();
    }
    if (key != "parts") return false;
    const auto which = word(value, {"any", "one-by-one", "holes-first"});
    if (which) line.parts = static_cast<steps::LineSettings::Parts>(*which);
    return which.has_value();
}

/// Sets one "key=value"; an error for keys and values that mean nothing.
Result<void> apply_key(steps::StepSettings& settings, const std::string& key, const std::string& value,
                       const std::string& whole) {
    const auto bad = [&] { return fail(error::bad_step, {{"text", whole}}); };
    if (key == "power") {
        const auto power = parse_power(value);
        if (!power) return bad();
        settings.power = *power;
    } else if (key == "speed") {
        const auto speed = parse_speed(value, SpeedUnit::mm_per_min);
        if (!speed) return bad();
        settings.speed = *speed;
    } else if (key == "passes") {
        const auto passes = parse_power(value);
        if (!passes || passes->percent() != static_cast<int>(passes->percent())) return bad();
        settings.passes = static_cast<int>(passes->percent());
    } else if (key == "pitch") {
        const auto pitch = parse_length(value, LengthUnit::mm);
        if (!pitch) return bad();
        settings.line_pitch = *pitch;
    } else if (key == "air") {
        if (value != "on" && value != "off") return bad();
        settings.air = value == "on";
    } else if (!apply_fill_key(settings.fill, key, value) && !apply_line_key(settings.line, key, value) &&
               !apply_picture_key(settings.picture, key, value)) {
        return bad();
    }
    return {};
}

Result<StepRequest> parse_step(const std::string& text) {
    const auto equals = text.find('=');
    if (equals == std::string::npos) return fail(error::bad_step, {{"text", text}});
    StepRequest request;
    const std::string ink = text.substr(0, equals);
    request.pictures = ink == "picture";
    if (ink != "*" && !request.pictures) {
        request.ink = parse_ink(ink);
        if (!request.ink) return fail(error::bad_step, {{"text", text}});
    }
    const auto parts = split(text.substr(equals + 1), ',');
    const auto kind = steps::parse_kind(parts[0]);
    if (!kind) return fail(error::bad_step, {{"text", text}});
    request.settings = steps::starting_point(*kind);
    for (std::size_t i = 1; i < parts.size(); ++i) {
        const auto split_at = parts[i].find('=');
        if (split_at == std::string::npos) return fail(error::bad_step, {{"text", text}});
        if (auto set = apply_key(request.settings, parts[i].substr(0, split_at), parts[i].substr(split_at + 1), text);
            !set)
            return tl::unexpected(set.error());
    }
    return request;
}

Result<job::Job> apply_steps(job::Job job, const std::vector<std::string>& texts, Speed top_speed) {
    for (const std::string& text : texts) {
        const auto request = parse_step(text);
        if (!request) return tl::unexpected(request.error());
        job = job::add_step(std::move(job), request->settings.kind);
        const job::Id id = job.last_id;
        auto changed = job::change_settings(std::move(job), id, request->settings, top_speed);
        if (!changed) return changed;
        job = std::move(*changed);
        for (const auto& routed : job::routed_inks(job))
            if (request->takes(routed.ink)) {
                auto taken = job::route_ink(job, routed.ink, id);
                if (taken)
                    job = std::move(*taken);
                else if (request->ink || request->pictures)  // all of them: all that this kind can burn
                    return fail(error::bad_step, {{"text", text}});
            }
    }
    std::erase_if(job.steps, [&](const job::Step& step) { return !job.has_work(step); });
    return job;
}

Result<geometry::Point> parse_place(const std::string& text) {
    const auto parts = split(text, ',');
    if (parts.size() == 2) {
        const auto x = parse_length(parts[0], LengthUnit::mm), y = parse_length(parts[1], LengthUnit::mm);
        if (x && y) return geometry::Point{x->mm(), y->mm()};
    }
    return fail(error::bad_place, {{"text", text}});
}

/// "80,100": diameter and length; "88,76,110": the diameters of both ends and the length.
Result<job::Job> put_in_rotary(job::Job job, const std::string& text) {
    if (text.empty()) return job;
    std::vector<double> mm;
    for (const auto& part : split(text, ','))
        if (const auto value = parse_length(part, LengthUnit::mm)) mm.push_back(value->mm());
    if (mm.size() != 2 && mm.size() != 3) return fail(error::bad_round, {{"text", text}});
    job::Stock stock = job.stock.value_or(job::Stock());
    stock.margin = Length();
    auto round =
        job::in_rotary(stock, {.diameter = mm.front(), .end_diameter = mm[mm.size() - 2], .length = mm.back()});
    if (!round) return tl::unexpected(round.error());
    job.stock = std::move(*round);
    return job;
}

Result<job::Job> apply_options(job::Job job, const JobOptions& options, const machine::MachineProfile& machine) {
    if (!options.steps.empty()) {
        auto changed = apply_steps(std::move(job), options.steps, machine.top_speed());
        if (!changed) return changed;
        job = std::move(*changed);
    }
    if (options.order == "as-drawn")
        for (job::Step& step : job.steps)
            step.settings.line.order = steps::LineSettings::Order::as_drawn;
    if (!options.place.empty()) {
        const auto place = parse_place(options.place);
        if (!place) return tl::unexpected(place.error());
        job = job::place_art(std::move(job), *place);
    }
    return job;
}

/// The recipe of a number, or the first that has all the words, the tested before the others.
const recipes::Recipe* find_recipe(const std::vector<recipes::Recipe>& all, const std::string& text) {
    const recipes::Recipe* found = nullptr;
    for (const recipes::Recipe& recipe : all) {
        if (std::to_string(recipe.id) == text) return &recipe;
        if (recipes::matches(recipe, text) && (!found || (recipe.evidence.tested() && !found->evidence.tested())))
            found = &recipe;
    }
    return found;
}

Result<job::Job> apply_recipes(job::Job job, const JobOptions& options, const machine::MachineProfile& machine) {
    if (options.recipes.empty()) return job;
    const auto store = open_recipes(options.store);
    if (!store) return tl::unexpected(store.error());
    const auto all = store->recipes();
    if (!all) return tl::unexpected(all.error());
    const recipes::MachineTag tag{machine.name, machine.beam};
    for (const std::string& text : options.recipes) {
        const recipes::Recipe* recipe = find_recipe(*all, text);
        if (!recipe) return fail(error::no_recipe, {{"text", text}});
        const bool here = recipe->machine == tag;
        const auto settings =
            here ? recipe->settings
                 : recipes::scaled(*recipe, {tag, recipe->material, recipe->thickness, {}}, machine.top_speed())
                       .settings;
        for (job::Step& step : job.steps)
            if (step.settings.kind == settings.kind) step.settings = settings;
    }
    return job;
}

}  // namespace

Result<art::ReadOptions> parse_read_options(const ReadArguments& arguments) {
    art::ReadOptions options;
    const auto bad = [](const char* option, const std::string& text) {
        return fail(error::bad_read_option, {{"option", option}, {"text", text}});
    };
    const auto length = [](const std::string& text) { return parse_length(text, LengthUnit::mm); };
    if (arguments.stroke_area == "never") {
        options.stroke_area = art::ReadOptions::never;
    } else if (!arguments.stroke_area.empty()) {
        const auto width = length(arguments.stroke_area);
        if (!width || !(width->mm() > 0)) return bad("--stroke-area", arguments.stroke_area);
        options.stroke_area = width->mm();
    }
    if (!arguments.scale.empty()) {
        const auto scale = parse_drawing_scale(arguments.scale);
        if (!scale) return bad("--scale", arguments.scale);
        options.scale = *scale;
    }
    if (!arguments.unit.empty()) {
        const auto unit = length("1" + arguments.unit);
        if (!unit || !(unit->mm() > 0)) return bad("--unit", arguments.unit);
        options.unit = unit->mm();
    }
    if (!arguments.part.empty()) {
        const auto sides = split(arguments.part, ',');
        if (sides.size() != 4) return bad("--part", arguments.part);
        std::vector<double> mm;
        for (const auto& side : sides) {
            const auto value = length(side);
            if (!value) return bad("--part", arguments.part);
            mm.push_back(value->mm());
        }
        options.part = geometry::Box{mm[0], mm[1], mm[2], mm[3]};
        if (!(options.part->width() > 0) || !(options.part->height() > 0)) return bad("--part", arguments.part);
    }
    if (!arguments.width.empty()) {
        const auto width = length(arguments.width);
        if (!width || !(width->mm() > 0)) return bad("--width", arguments.width);
        options.picture_width = width->mm();
    }
    if (arguments.text == "single-stroke") options.text = art::DrawnText::single_stroke;
    options.page = arguments.page;
    options.density = arguments.density;
    options.cover = arguments.cover != "off";
    options.cover_lines = arguments.cover == "lines";
    options.hatches = arguments.hatches == "lines";
    options.linetypes = arguments.linetypes == "on";
    if (!arguments.as_picture.empty()) {
        const auto pitch = length(arguments.as_picture);
        if (!pitch || !(pitch->mm() >= 0.01) || pitch->mm() > 5) return bad("--as-picture", arguments.as_picture);
        options.as_picture = pitch->mm();
    }
    if (!arguments.trace.empty()) {
        art::TraceOptions trace{arguments.trace == "centre-lines", arguments.threshold, 0.2, arguments.smoothness};
        if (!arguments.speck.empty()) {
            const auto speck = length(arguments.speck);
            if (!speck || !(speck->mm() >= 0)) return bad("--speck", arguments.speck);
            trace.speck = speck->mm();
        }
        options.trace = trace;
    }
    for (const std::string& name : arguments.mend) {
        const auto fault = art::parse_fault(name);
        if (!fault && name != "all") return bad("--mend", name);
        for (int i = 0; i < art::mendable_kinds; ++i)
            if (name == "all" || fault == static_cast<art::Fault>(i))
                options.mend.push_back(static_cast<art::Fault>(i));
    }
    return options;
}

Result<art::Artwork> read_art(const std::string& path, const art::ReadOptions& options,
                              const Surroundings& surroundings) {
    auto bytes = read_file(path);
    if (!bytes) return tl::unexpected(bytes.error());
    auto art = art::read(std::make_shared<const std::string>(std::move(*bytes)),
                         path.substr(path.find_last_of('/') + 1), options, surroundings.of_file(path));
    if (!art) art.error().file = path;
    return art;
}

Result<machine::MachineProfile> load_machine(const std::string& path) {
    if (path.empty()) return machine::MachineProfile{};
    const auto bytes = read_file(path);
    if (!bytes) return tl::unexpected(bytes.error());
    return machine::parse_profile(*bytes, path);
}

Result<Input> load_input(const std::string& path, const JobOptions& options, const machine::MachineProfile& flat,
                         const Surroundings& surroundings) {
    const auto read = parse_read_options(options.read);
    if (!read) return tl::unexpected(read.error());
    auto bytes = read_file(path);
    if (!bytes) return tl::unexpected(bytes.error());
    Result<job::Job> job;
    if (bytes->starts_with("PK")) {
        auto opened = job::parse_chalk(*bytes, path, surroundings.of_nothing());
        // A job with a part missing is for a person to look at, not for burning unseen.
        if (opened && !opened->lost.empty()) {
            const Notice& first = opened->lost.front();
            return tl::unexpected(Error{first.code, first.parameters, path, 0});
        }
        job = opened ? Result<job::Job>(std::move(opened->job)) : tl::unexpected(opened.error());
    } else {
        // What no reader of art recognises is a program, unless its name says otherwise.
        if (art::format_of(*bytes).empty() && !path.ends_with(".svg"))
            return Input{std::make_shared<const std::string>(std::move(*bytes)), flat};
        auto art = read_art(path, *read, surroundings);
        if (!art) return tl::unexpected(art.error());
        const auto empty = put_in_rotary({}, options.round);
        if (!empty) return tl::unexpected(empty.error());
        const auto machine = job::machine_for(*empty, flat);
        if (auto fits = job::fits_bed(*art, machine); !fits) return tl::unexpected(fits.error());
        job = job::add_art(*empty, std::make_shared<const art::Artwork>(std::move(*art)), machine);
    }
    if (job) job = put_in_rotary(std::move(*job), options.round);
    if (!job) return tl::unexpected(job.error());
    const auto machine = job::machine_for(*job, flat);
    job = apply_recipes(std::move(*job), options, machine);
    if (job) job = apply_options(std::move(*job), options, machine);
    if (!job) return tl::unexpected(job.error());
    return Input{std::move(*job), machine};
}

Result<planning::CheckGround> ground_for(const machine::MachineProfile& machine, const JobOptions& options) {
    planning::CheckGround ground{machine};
    const auto store = recipes_if_any(options.store);
    if (!store) return ground;
    if (!*store) return tl::unexpected(store->error());
    const auto rules = (*store)->rules();
    if (!rules) return tl::unexpected(rules.error());
    ground.ceiling = rules->ceiling;
    return ground;
}

Result<clearance::Clearance> clear(const Input& input, const JobOptions& options, const std::string& file) {
    const auto ground = ground_for(input.machine, options);
    if (!ground) return tl::unexpected(ground.error());
    if (const job::Job* job = input.job()) return clearance::clear(clearance::JobRequest{*job, *ground});
    auto program = machine::read_program(*std::get<1>(input.content), input.machine, file);
    if (!program) return tl::unexpected(program.error());
    return clearance::clear(clearance::FileRequest{std::move(*program), *ground});
}

}  // namespace chalkline::cli
