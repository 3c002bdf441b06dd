// SPDX-License-Identifier: GPL-3.0-or-later
#include "commands.hpp"
#include "output.hpp"

#include <chalkline/base/units_text.hpp>
#include <chalkline/pictures/png.hpp>
#include <chalkline/planning/proof.hpp>
#include <chalkline/raster/preparation.hpp>
#include <chalkline/raster/statistics.hpp>
#include <chalkline/wording/wording.hpp>

#include <chrono>

namespace chalkline::cli {
namespace {

struct Prepared {
    raster::GreyImage light;  ///< what should come back
    raster::Dots dots;
};

/// Two numbers of pixels: "900,700".
std::optional<std::pair<int, int>> parse_dots(const std::string& text) {
    int width = 0, height = 0;
    char rest = 0;
    if (std::sscanf(text.c_str(), "%d,%d%c", &width, &height, &rest) != 2 || width < 1 || height < 1) return {};
    if (static_cast<double>(width) * height > planning::most_dots) return {};
    return std::pair{width, height};
}

Prepared prepare(const raster::RgbImage& image, const ProofCommand& command, int width, int height) {
    Prepared prepared;
    if (command.plain) {
        prepared.light = raster::resized(raster::to_plain_grey(image), width, height);
    } else {
        const double across = static_cast<double>(image.width) / width,
                     down = static_cast<double>(image.height) / height;
        const double dot = command.width / width;
        prepared.light = raster::light_of(image, raster::kept(image, {}, {}), {.tone = command.tone},
                                          {.burns_light = command.burns_light},
                                          {{across, 0, 0, 0, down, 0}, width, height, dot, dot});
    }
    prepared.dots = raster::dither(prepared.light, command.dither);
    return prepared;
}

double mean(const raster::GreyImage& light) {
    double sum = 0;
    for (const auto value : light.pixels)
        sum += value;
    return light.pixels.empty() ? 0 : sum / light.white / static_cast<double>(light.pixels.size());
}

}  // namespace

int run_proof(const ProofCommand& command, const Surroundings& surroundings) {
    const auto art = read_art(command.file, {}, surroundings);
    if (!art) return report(art.error(), command.json);
    if (art->pictures.empty())
        return report({std::string(error::no_picture), {{"text", command.file}}, {}, 0}, command.json);
    const raster::RgbImage& image = *art->pictures.front().image;
    int width = static_cast<int>(std::lround(command.width / command.pitch));
    int height = static_cast<int>(std::lround(command.width / command.pitch * image.height / image.width));
    if (!command.dots.empty()) {
        const auto dots = parse_dots(command.dots);
        if (!dots) return report({std::string(error::bad_proof), {{"text", command.dots}}, {}, 0}, command.json);
        std::tie(width, height) = *dots;
    }
    if (width < 1 || height < 1 || static_cast<double>(width) * height > planning::most_dots)
        return report({std::string(error::bad_proof), {{"text", format_number(command.width, 3)}}, {}, 0},
                      command.json);
    const auto begun = std::chrono::steady_clock::now();
    const Prepared prepared = prepare(image, command, width, height);
    const std::chrono::duration<double, std::milli> took = std::chrono::steady_clock::now() - begun;
    const auto found =
        raster::statistics(prepared.dots, std::max(1, static_cast<int>(std::lround(planning::blob / command.pitch))));
    if (!command.output.empty()) {
        if (const auto written = pictures::write_png(prepared.dots, command.pitch, command.pitch, command.output);
            !written)
            return report(written.error(), command.json);
    }
    const Json told{{"dots", {width, height}},
                    {"width_mm", number(width * command.pitch)},
                    {"pitch_mm", number(command.pitch)},
                    {"coverage", number(found.coverage)},
                    {"solid", number(found.clogged)},
                    {"bare", number(found.bald)},
                    {"longest_run", found.longest_run},
                    {"mean_in", number(mean(prepared.light))},
                    {"mean_out", number(1 - found.coverage)},
                    {"time_ms", number(took.count())}};
    command.json ? print(told) : print_text(told.dump(2));
    return done;
}

}  // namespace chalkline::cli
