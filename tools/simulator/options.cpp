// SPDX-License-Identifier: GPL-3.0-or-later
#include "options.hpp"

#include <chalkline/base/file.hpp>

#include <CLI/CLI.hpp>
#include <nlohmann/json.hpp>

#include <charconv>
#include <filesystem>
#include <iostream>
#include <limits>

namespace chalkline::sim {
namespace {

struct WrongUse {
    std::string text;
};

std::string bytes_of(const std::string& path) {
    auto bytes = read_file(path);
    if (!bytes) throw WrongUse{"cannot read " + path};
    return *bytes;
}

/// docs/formats/simulator.md: {"material": "birch", "thickness_mm": 4, "outline_mm": [[x, y], …]}
simulator::Piece read_stock(const std::string& path) {
    const auto json = nlohmann::json::parse(bytes_of(path), nullptr, false);
    if (!json.is_object()) throw WrongUse{path + " is no stock file"};
    try {
        const auto material = simulator::find_material(json.value("material", "birch"));
        if (!material) throw WrongUse{"unknown material in " + path + ": birch, lime, slate, tile or acrylic"};
        simulator::Piece piece{*material, json.value("thickness_mm", 4.0), {{}, true}};
        for (const auto& corner : json.value("outline_mm", nlohmann::json::array()))
            piece.outline.points.push_back({corner.at(0), corner.at(1)});
        // Inside is left of every side.
        if (geometry::signed_area(piece.outline) < 0)
            std::reverse(piece.outline.points.begin(), piece.outline.points.end());
        return piece;
    } catch (const nlohmann::json::exception& problem) {
        throw WrongUse{path + ": " + problem.what()};
    }
}

/// Where boards that come along are: beside the installed program, or in the source.
std::string board_file(const std::string& name) {
    if (std::filesystem::exists(name)) return name;
    std::error_code ignored;
    const auto here = std::filesystem::read_symlink("/proc/self/exe", ignored).parent_path();
    for (const std::filesystem::path& folder :
         {here / "../share/chalkline/samples/boards", std::filesystem::path(CHALKLINE_SAMPLES "/boards")})
        if (const auto file = folder / (name + ".json"); std::filesystem::exists(file)) return file.string();
    throw WrongUse{"there is no board “" + name + "”"};
}

double parse_speed(const std::string& text) {
    if (text == "max") return std::numeric_limits<double>::infinity();
    double value = 0;
    const auto [end, problem] = std::from_chars(text.data(), text.data() + text.size(), value);
    if (problem != std::errc() || end != text.data() + text.size() || !(value > 0))
        throw WrongUse{"--speed takes a factor above 0 or max"};
    return value;
}

}  // namespace

Parsed parse_options(int argc, char** argv) {
    Parsed parsed;
    Options& options = parsed.options;
    CLI::App app{"The simulated machine: a controller, its axes, the beam and the piece on the bed.", "chalkline-sim"};
    std::string profile, speed = "1", stock, faults, board;
    auto* pty = app.add_option("--pty", options.pty, "serve on a pseudo-terminal reached by this link");
    app.add_option("--tcp", options.tcp, "serve on this TCP port of the loopback address")
        ->excludes(pty)
        ->check(CLI::Range(1, 65535));
    app.add_option("--profile", profile, "machine profile (JSON)");
    app.add_option("--board", board, "the controller board's habits: a name of samples/boards, or a file (JSON)");
    app.add_option("--speed", speed, "virtual seconds a second, or max")->capture_default_str();
    app.add_option("--stock", stock, "the piece on the bed (JSON)");
    app.add_option("--round-piece", options.round_piece,
                   "the wall of the piece in the rotary (JSON); the file is looked at while the machine rests");
    app.add_option("--faults", faults, "what goes wrong, and when (JSON)");
    app.add_option("--settings", options.settings, "file that keeps the controller's settings");
    app.add_option("--picture", options.picture, "PNG of the burned piece, written at the end and on SIGUSR1");
    app.add_option("--ppm", options.cells_per_mm, "cells and pixels a millimetre")
        ->capture_default_str()
        ->check(CLI::Range(1.0, 100.0));
    app.add_option("--dose", options.dose, "dose of every cell, binary, written at the end and on SIGUSR1");
    app.add_option("--report", options.report, "JSON report, written at the end and on SIGUSR1");
    try {
        app.parse(argc, argv);
        if (options.pty.empty() && options.tcp == 0) throw WrongUse{"say where to serve: --pty LINK or --tcp PORT"};
        options.speed = parse_speed(speed);
        options.piece.material = *simulator::find_material("birch");
        if (!profile.empty()) {
            auto result = machine::parse_profile(bytes_of(profile), profile);
            if (!result) throw WrongUse{profile + " is no machine profile"};
            options.profile = *result;
        }
        options.board.dialect = options.profile.dialect;
        if (!board.empty()) {
            const std::string file = board_file(board);
            auto result = simulator::parse_board(bytes_of(file), file);
            if (!result) throw WrongUse{file + ": wrong “" + result.error().parameters.front().second + "”"};
            options.board = std::move(*result);
            options.profile = simulator::driven_by(options.board, options.profile);
        }
        if (!faults.empty()) {
            auto result = simulator::parse_faults(bytes_of(faults), faults);
            if (!result) throw WrongUse{faults + ": wrong “" + result.error().parameters.front().second + "”"};
            options.faults = std::move(*result);
        }
        if (!stock.empty()) {
            options.piece = read_stock(stock);
            options.has_stock = true;
        }
    } catch (const CLI::ParseError& problem) {
        parsed.exit_code = app.exit(problem) == 0 ? 0 : 2;
    } catch (const WrongUse& problem) {
        std::cerr << "error: " << problem.text << "\n";
        parsed.exit_code = 2;
    }
    return parsed;
}

}  // namespace chalkline::sim
