// SPDX-License-Identifier: GPL-3.0-or-later
#include "commands.hpp"
#include "output.hpp"

#include <CLI/CLI.hpp>

#include <cstdio>

namespace {

using namespace chalkline;
using namespace chalkline::cli;

void add_read_options(CLI::App* command, ReadArguments& read) {
    command->add_option("--stroke-area", read.stroke_area,
                        "strokes at least this wide (mm) become areas to fill; 'never' keeps lines (default 0.3)");
    command->add_option("--page", read.page, "page of a PDF, from 1")->check(CLI::PositiveNumber);
    command->add_option("--unit", read.unit, "unit of a drawing that does not say it: mm, cm, m, in, ft");
    command
        ->add_option("--density", read.density,
                     "pixels an inch of a drawing whose size is in pixels (some count 72 or 90)")
        ->check(CLI::Range(10.0, 2400.0))
        ->capture_default_str();
    command->add_option("--scale", read.scale, "scale of the drawing: 1:50, or 1/8in=1ft");
    command->add_option("--part", read.part, "only this part of the page: X0,Y0,X1,Y1 in mm from its lower left");
    command->add_option("--width", read.width, "width of a picture, instead of what its resolution says");
    command->add_option("--text", read.text, "letters of CAD drawings")
        ->check(CLI::IsMember({"outline", "single-stroke"}));
    command->add_option("--trace", read.trace, "pictures become shapes")
        ->check(CLI::IsMember({"outlines", "centre-lines"}));
    command->add_option("--threshold", read.threshold, "of --trace: darker than this is drawn")
        ->check(CLI::Range(1, 255))
        ->capture_default_str();
    command->add_option("--smooth", read.smoothness, "of --trace: 0 keeps every corner, 1.3 none")
        ->check(CLI::Range(0.0, 1.34))
        ->capture_default_str();
    command->add_option("--speck", read.speck, "of --trace: spots smaller than this are passed over (default 0.2 mm)");
    command->add_flag(
        "--as-picture{0.1}", read.as_picture,
        "all but thin lines as one picture that looks as the drawing does; =PITCH: dots so far apart, mm");
    command
        ->add_option("--cover", read.cover, "areas burn only where paint on top leaves them seen; lines: so do lines")
        ->check(CLI::IsMember({"on", "off", "lines"}))
        ->capture_default_str();
    command->add_option("--hatches", read.hatches, "patterns of thin lines are lines, or a picture")
        ->check(CLI::IsMember({"lines", "picture"}))
        ->capture_default_str();
    command->add_option("--linetypes", read.linetypes, "dashed and dotted lines of CAD drawings are so")
        ->check(CLI::IsMember({"on", "off"}))
        ->capture_default_str();
    command->add_option("--mend", read.mend,
                        "mend these faults: empty-fill, tiny-bit, doubled-line, doubled-outline, open-end; or all");
}

void add_job_options(CLI::App* command, JobOptions& options) {
    command->add_option("--machine", options.machine, "machine profile (JSON); the sample bench laser otherwise");
    command->add_option(
        "--step", options.steps,
        "how an ink burns: '#rrggbb:line=cut,power=100,speed=240,passes=2,air=on,pitch=0.1'; '*' for every ink");
    command->add_option("--place", options.place, "lower left corner of the art on the bed, X,Y in mm");
    command->add_option("--round", options.round,
                        "the piece is round and in the rotary: DIAMETER,LENGTH or FIRST,LAST,LENGTH, mm");
    command->add_option("--order", options.order, "path order")
        ->check(CLI::IsMember({"as-drawn", "shortest"}))
        ->capture_default_str();
    command->add_option("--recipe", options.recipes,
                        "settings from a recipe, by its number or words that find it, for the steps of its kind");
    command->add_option("--store", options.store, "the recipes' file; the application's otherwise");
    add_read_options(command, options.read);
}

/// "12.5,30"
geometry::Point place_of(const std::string& text) {
    geometry::Point place;
    char rest = 0;
    if (std::sscanf(text.c_str(), "%lf,%lf%c", &place.x, &place.y, &rest) != 2)
        throw CLI::ValidationError(text, "is no X,Y in millimetres");
    return place;
}

}  // namespace

int main(int argc, char** argv) {
    CLI::App app{
        "Chalkline on the command line: art to program to burned piece.\n"
        "Exit codes: 0 done, 1 done but a blocking check failed, 2 wrong use, 3 input unreadable, 4 machine or port "
        "trouble, 5 stopped.",
        "chalkline-cli"};
    app.require_subcommand(1);
    app.set_version_flag("--version", CHALKLINE_VERSION);
    int result = 0;
    bool json = false;
    const Surroundings surroundings;

    ArtOptions art;
    auto* art_command = app.add_subcommand("art", "what was read from drawings: inks, shapes, boxes in mm, warnings");
    art_command->add_option("files", art.files, "drawings and pictures: SVG, DXF, PDF, PNG, JPEG, BMP, TIFF, WebP, GIF")
        ->required();
    art_command->add_flag("--json", art.json, "print JSON");
    art_command->add_option("--png", art.png, "draw what was read, page size × dpi");
    art_command->add_option("--dpi", art.dpi, "pixels an inch of --png")
        ->check(CLI::Range(1.0, 2400.0))
        ->capture_default_str();
    art_command->add_flag("--outline", art.outline, "draw every path as a thin black line");
    art_command->add_option("--ink", art.ink, "draw one ink alone: '#rrggbb:fill'");
    art_command->add_flag("--examine", art.examine, "look for faults: lines drawn twice, open ends and the like");
    add_read_options(art_command, art.read);
    art_command->callback([&] { result = run_art(art, surroundings); });

    PlanCommand plan;
    long seed = 0;
    auto* plan_command =
        app.add_subcommand("plan", "the program of a job or drawing, and a report: times, lengths, checks");
    plan_command->add_option("file", plan.file, "job (.chalk) or drawing")->required();
    add_job_options(plan_command, plan.job);
    plan_command->add_option("--seed", seed, "accepted for scripts; planning uses no chance");
    plan_command->add_option("-o,--output", plan.output, "write the program (G-code) here");
    plan_command->add_flag("--json", plan.json, "print JSON");
    plan_command->callback([&] { result = run_plan(plan, surroundings); });

    PlanCommand check;
    auto* check_command = app.add_subcommand("check", "the checks alone; exit 1 when a blocking one fails");
    check_command->add_option("file", check.file, "job, drawing or program")->required();
    add_job_options(check_command, check.job);
    check_command->add_flag("--json", check.json, "print JSON");
    check_command->callback([&] { result = run_check(check, surroundings); });

    auto* ports_command = app.add_subcommand("ports", "which serial ports exist");
    ports_command->add_flag("--json", json, "print JSON");
    ports_command->callback([&] { result = run_ports(json); });

    const auto add_port = [](CLI::App* sub, std::string& port) {
        sub->add_option("--port,port", port, "serial port, pseudo-terminal or tcp:HOST:PORT")->required();
    };
    const auto add_place = [](CLI::App* sub, MachineCommand& command) {
        sub->add_option_function<std::string>(
            "--head-stands", [&command](const std::string& text) { command.head_stands = place_of(text); },
            "where the head stands, X,Y in mm: for machines that cannot find out");
        sub->add_flag("--begins-here", command.begins_here,
                      "of round pieces: the head is where the piece begins, over the seam");
        sub->add_flag("--no-home", command.no_home, "never find home by itself");
    };
    const auto add_plain = [&](const char* name, const char* text, MachineCommand& command) {
        auto* sub = app.add_subcommand(name, text);
        add_port(sub, command.port);
        sub->add_option("--machine", command.job.machine, "machine profile (JSON)");
        sub->add_flag("--json", command.json, "print JSON");
        return sub;
    };
    MachineCommand probe, home, unlock;
    add_plain("probe", "what answers on a port", probe)->callback([&] { result = run_probe(probe); });
    add_plain("home", "find home", home)->callback([&] { result = run_home(home); });
    add_plain("unlock", "unlock the controller; where its head is nobody knows then", unlock)->callback([&] {
        result = run_unlock(unlock);
    });
    MoveCommand jog;
    auto* jog_command = add_plain("jog", "move the head in the dark", jog);
    auto* by = jog_command->add_option_function<std::string>(
        "--by", [&](const std::string& text) { jog.by = place_of(text); }, "distance X,Y, mm");
    jog_command
        ->add_option_function<std::string>(
            "--to", [&](const std::string& text) { jog.to = place_of(text); }, "place X,Y of the bed, mm")
        ->excludes(by);
    jog_command->add_option("--speed", jog.speed, "mm/min; the profile's otherwise")->check(CLI::Range(1.0, 1e6));
    add_place(jog_command, jog);
    jog_command->callback([&] {
        if (!jog.by && !jog.to) throw CLI::RequiredError("--by or --to");
        result = run_jog(jog);
    });
    SettingsCommand settings;
    auto* settings_command = add_plain("settings", "what the controller is set to, and sets it", settings);
    settings_command->add_option("--set", settings.writes, "write settings: 32=1");
    settings_command->add_option("--save", settings.save, "write a machine profile with the controller's figures here");
    settings_command->callback([&] { result = run_settings(settings); });
    SelfTestCommand selftest;
    auto* selftest_command =
        add_plain("selftest", "tries with the beam off what a burn relies on, and tells the board's habits", selftest);
    selftest_command->add_option("-o,--output", selftest.output, "write the report here");
    selftest_command->add_option("--board", selftest.board, "write a board file for the simulated machine here");
    add_place(selftest_command, selftest);
    selftest_command->callback([&] { result = run_selftest(selftest); });

    StoreCommand store;
    auto* store_command = app.add_subcommand("store", "the controller's own store: its card or memory");
    store_command->require_subcommand(1);
    add_port(store_command, store.port);
    store_command->add_flag("--json", store.json, "print JSON");
    const auto add_store = [&](const char* name, const char* text, StoreCommand::Act act) {
        auto* sub = store_command->add_subcommand(name, text);
        sub->fallthrough();  // port and --json may stand behind
        sub->callback([&, act] {
            store.act = act;
            result = run_store(store, surroundings);
        });
        return sub;
    };
    const auto add_machine_of = [&](CLI::App* sub) {
        sub->add_option("--machine", store.job.machine, "machine profile (JSON)");
    };
    add_machine_of(add_store("list", "what is on it", StoreCommand::Act::list));
    auto* store_send = add_store("send", "check a job, and write its program there", StoreCommand::Act::send);
    store_send->add_option("file", store.file, "job, drawing or program")->required();
    store_send->add_option("--as", store.name, "its name there; the file's otherwise");
    add_job_options(store_send, store.job);
    auto* store_start =
        add_store("start", "let the controller burn one that was sent from here", StoreCommand::Act::start);
    auto* store_delete = add_store("delete", "take one away", StoreCommand::Act::remove);
    for (auto* sub : {store_start, store_delete}) {
        sub->add_option("name", store.name, "as `store list` names it")->required();
        add_machine_of(sub);
    }
    add_place(store_start, store);

    HistoryCommand history;
    auto* history_command = app.add_subcommand("history", "what was burned, newest first");
    history_command->add_option("burn", history.burn, "one of them, by its number")->check(CLI::PositiveNumber);
    history_command->add_flag("--json", history.json, "print JSON");
    history_command->callback([&] { result = run_history(history); });

    GoOnCommand go_on;
    auto* go_on_command = app.add_subcommand("go-on", "burn what is left of a burn that did not come to its end");
    go_on_command->add_option("burn", go_on.burn, "as `history` numbers them; the newest that is not finished")
        ->check(CLI::PositiveNumber);
    go_on_command->add_option("--port", go_on.port, "serial port, pseudo-terminal or tcp:HOST:PORT")->required();
    go_on_command->add_option("--machine", go_on.job.machine, "machine profile (JSON)");
    go_on_command->add_option("--overlap", go_on.overlap, "burn the last so many mm once more")
        ->check(CLI::Range(0.0, 1000.0));
    add_place(go_on_command, go_on);
    go_on_command->add_flag("--json", go_on.json, "print one line of JSON a second");
    go_on_command->callback([&] { result = run_go_on(go_on, surroundings); });

    MachineCommand frame, burn;
    const auto add_machine_command = [&](const char* name, const char* text, MachineCommand& command,
                                         int (*run)(const MachineCommand&, const Surroundings&)) {
        auto* sub = app.add_subcommand(name, text);
        sub->add_option("file", command.file, "job, drawing or program")->required();
        sub->add_option("--port", command.port, "serial port, pseudo-terminal or tcp:HOST:PORT")->required();
        add_job_options(sub, command.job);
        add_place(sub, command);
        sub->add_flag("--json", command.json, "print one line of JSON a second");
        sub->callback([&command, &result, &surroundings, run] { result = run(command, surroundings); });
    };
    add_machine_command("frame", "ride round the job's box in the dark", frame, run_frame);
    add_machine_command("burn", "burn it; Ctrl+C stops with the beam off", burn, run_burn);

    ProofCommand proof;
    std::string method = "floyd-steinberg";
    auto* proof_command = app.add_subcommand("proof", "a picture as the dots it is burned with, one pixel a dot");
    proof_command->add_option("file", proof.file, "picture")->required();
    auto* width =
        proof_command->add_option("--width", proof.width, "width on the piece, mm")->check(CLI::PositiveNumber);
    proof_command->add_option("--dots", proof.dots, "number of dots W,H instead of a width")->excludes(width);
    proof_command->add_option("--pitch", proof.pitch, "from dot to dot, mm")
        ->check(CLI::Range(0.01, 10.0))
        ->capture_default_str();
    std::vector<std::string> methods;
    for (const auto one : raster::dither_methods())
        methods.emplace_back(raster::to_text(one));
    proof_command->add_option("--method", method, "how tones become dots")
        ->check(CLI::IsMember(methods))
        ->capture_default_str();
    bool one_way = false;
    proof_command->add_flag("--one-way", one_way, "error diffusion runs one way only, not back and forth");
    proof_command->add_option("--noise", proof.dither.noise, "0 to 1")->check(CLI::Range(0.0, 1.0));
    proof_command->add_option("--seed", proof.dither.seed, "of the noise");
    proof_command->add_option("--cell", proof.dither.cell, "halftone, strokes: dots from one cluster to the next")
        ->check(CLI::Range(2.0, 200.0));
    proof_command->add_option("--screen-angle", proof.dither.screen_angle, "halftone, degrees");
    proof_command->add_option("--brightness", proof.tone.brightness, "-100 to 100")->check(CLI::Range(-100.0, 100.0));
    proof_command->add_option("--contrast", proof.tone.contrast, "-100 to 100")->check(CLI::Range(-100.0, 100.0));
    proof_command->add_option("--gamma", proof.tone.gamma, "above 1 lightens the middle")->check(CLI::Range(0.1, 10.0));
    proof_command->add_option("--sharpen", proof.tone.sharpen, "0 to 5")->check(CLI::Range(0.0, 5.0));
    proof_command->add_option("--sharpen-radius", proof.tone.sharpen_radius, "mm")->check(CLI::Range(0.01, 50.0));
    proof_command->add_flag("--burns-light", proof.burns_light, "the material's marks are lighter than it is");
    proof_command->add_flag("--plain", proof.plain,
                            "the method alone on the raw 8-bit values: no tone, no linear light");
    proof_command->add_option("-o,--output", proof.output, "write the dots here (PNG)");
    proof_command->add_flag("--json", proof.json, "print JSON");
    proof_command->callback([&] {
        proof.dither.method = raster::parse_dither(method).value_or(raster::DitherMethod::floyd_steinberg);
        proof.dither.serpentine = !one_way;
        if (proof.width <= 0 && proof.dots.empty()) throw CLI::RequiredError("--width or --dots");
        result = run_proof(proof, surroundings);
    });

    RecipesCommand recipe;
    auto* recipes_command = app.add_subcommand("recipes", "settings that worked");
    recipes_command->require_subcommand(1);
    const auto add_recipes = [&](const char* name, const char* text, const char* words, bool needed) {
        auto* sub = recipes_command->add_subcommand(name, text);
        auto* given = sub->add_option("words", recipe.words, words);
        if (needed) given->required();
        sub->add_option("--store", recipe.store, "the recipes' file; the application's otherwise");
        sub->add_option("--machine", recipe.machine, "of recipes that name none (profile, JSON)");
        sub->add_flag("--json", recipe.json, "print JSON");
        sub->callback([&recipe, &result, name] {
            recipe.what = name;
            result = run_recipes(recipe);
        });
    };
    add_recipes("list", "those that match all words", "material, kind, thickness, #tag …", false);
    add_recipes("show", "all of one", "its number", true);
    add_recipes("import", "from JSON or CSV; those known already are left out", "file", true);
    add_recipes("export", "to JSON, or to CSV by the file's ending", "file, then words to search for", true);

    SwatchCommand swatch;
    auto* swatch_command = app.add_subcommand("swatch", "a swatch card from a spec: its swatches, size and time");
    swatch_command->add_option("spec", swatch.file, "card (JSON, docs/formats/swatches.md)")->required();
    swatch_command->add_option("-o,--output", swatch.output, "write the job (.chalk) or the program (G-code) here");
    swatch_command->add_option("--machine", swatch.machine, "machine profile (JSON)");
    swatch_command->add_flag("--json", swatch.json, "print JSON");
    swatch_command->callback([&] { result = run_swatch(swatch, surroundings); });

    SwatchReadCommand reading;
    auto* read_command = app.add_subcommand("swatch-read", "how dark each swatch of a burned card came out");
    read_command->add_option("card", reading.card, "the job that burned it (.chalk)")->required();
    read_command->add_option("photo", reading.photo, "picture with all four corner marks in it")->required();
    read_command->add_option("--machine", reading.machine, "machine profile (JSON)");
    read_command->add_flag("--json", reading.json, "print JSON");
    read_command->callback([&] { result = run_swatch_read(reading, surroundings); });

    try {
        app.parse(argc, argv);
    } catch (const CLI::ParseError& problem) {
        return app.exit(problem) == 0 ? 0 : wrong_use;
    }
    return result;
}
