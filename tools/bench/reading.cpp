// SPDX-License-Identifier: GPL-3.0-or-later
#include "reading.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/base/file.hpp>
#include <chalkline/pictures/renderer.hpp>
#include <chalkline/surroundings/surroundings.hpp>

#include <cairo.h>

#include <memory>
#include <random>

namespace chalkline::bench {
namespace {

/// Curved areas over one another in many colours, in groups, some of them translucent, with outlines.
std::string illustration(int shapes) {
    std::mt19937 random(7);
    const auto below = [&](unsigned n) { return static_cast<int>(random() % n); };
    std::string text =
        "<svg xmlns='http://www.w3.org/2000/svg' width='200mm' height='150mm' viewBox='0 0 2000 1500'>"
        "<style>.a{stroke:#222;stroke-width:4}.b{fill-opacity:.5}</style>";
    for (int i = 0; i < shapes; ++i) {
        const auto n = [&](unsigned most) { return std::to_string(below(most)); };
        text += "<g transform='translate(" + n(1800) + "," + n(1300) + ") rotate(" + n(360) + ")'><path class='" +
                (i % 9 == 0   ? "b"
                 : i % 3 == 0 ? "a"
                              : "c") +
                "' fill='#" + std::to_string(100000 + below(899999)) + "' d='M0 0C" + n(90) + " " + n(90) + " " +
                n(120) + " " + n(60) + " " + n(160) + " " + n(160) + "S" + n(90) + " " + n(200) + " 20 120Z'/></g>";
    }
    return text + "</svg>";
}

Figure read_beside_rendering(const std::string& what, const std::string& text) {
    const pictures::Renderer renderer;
    const Surroundings surroundings;
    const auto bytes = std::make_shared<const std::string>(text);
    const auto page = art::read(bytes, what, {}, surroundings.of_nothing()).value().page;
    constexpr double dots_per_mm = 300 / 25.4;
    const int width = static_cast<int>(page.x * dots_per_mm), height = static_cast<int>(page.y * dots_per_mm);
    std::vector<double> read, rendered;
    for (int i = 0; i < 7; ++i) {  // by turns: a noisy machine is noisy for all
        read.push_back(timed(1, [&](int) { (void)art::read(bytes, what, {}, surroundings.of_nothing()); })[0]);
        rendered.push_back(timed(1, [&](int) {
            cairo_surface_t* surface = cairo_image_surface_create(CAIRO_FORMAT_ARGB32, width, height);
            cairo_t* onto = cairo_create(surface);
            (void)renderer.draw_svg(text, width, height, onto);
            cairo_destroy(onto);
            cairo_surface_destroy(surface);
        })[0]);
    }
    return {"read " + what, quantile(read, 0.5), quantile(read, 0.95), "drawn by librsvg", quantile(rendered, 0.5)};
}

}  // namespace

std::vector<Figure> reading() {
    const auto sample = [](const char* name) { return read_file(std::string(CHALKLINE_SAMPLES "/") + name).value(); };
    return {read_beside_rendering("plate.svg", sample("plate.svg")),
            read_beside_rendering("illustration of 500 shapes", illustration(500)),
            read_beside_rendering("illustration of 5000 shapes", illustration(5000))};
}

}  // namespace chalkline::bench
