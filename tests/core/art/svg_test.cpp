// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawings.hpp"

#include <chalkline/base/file.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <numbers>

using namespace chalkline;
using namespace chalkline::art;
using namespace drawings;
using geometry::Box;
using geometry::Point;

namespace {

Box box_of_path(const std::string& d) {
    return bounds(drawing("<path d='" + d + "'/>"));
}

}  // namespace

TEST_CASE("sizes are physical and Y points up") {
    const Artwork art = drawing("<rect x='10' y='5' width='20' height='8'/>");
    CHECK(art.page.x == Approx(100));
    CHECK(art.page.y == Approx(50));
    check_box(bounds(art), {10, 50 - 13, 30, 50 - 5});
}

TEST_CASE("every unit comes to millimetres") {
    const auto page = [](const std::string& size) {
        const auto art = read_text("<svg xmlns='http://www.w3.org/2000/svg' width='" + size + "' height='" + size +
                                   "'><rect width='1' height='1'/></svg>");
        REQUIRE(art);
        return art->page.x;
    };
    CHECK(page("10mm") == Approx(10));
    CHECK(page("2cm") == Approx(20));
    CHECK(page("1in") == Approx(25.4));
    CHECK(page("72pt") == Approx(25.4));
    CHECK(page("6pc") == Approx(25.4));
    CHECK(page("96px") == Approx(25.4));
    CHECK(page("96") == Approx(25.4));
}

TEST_CASE("a drawing without a size says so") {
    const auto box_only =
        read_text("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 96 48'><rect width='96' height='48'/></svg>");
    REQUIRE(box_only);
    CHECK(box_only->page.x == Approx(25.4));
    CHECK(count(*box_only, notice::no_size) == 1);
    const auto nothing =
        read_text("<svg xmlns='http://www.w3.org/2000/svg'><rect x='-96' y='10' width='192' height='96'/></svg>");
    REQUIRE(nothing);
    CHECK(nothing->page.x == Approx(50.8));
    check_box(bounds(*nothing), {0, 0, 50.8, 25.4});
    CHECK(count(*nothing, notice::no_size) == 1);
}

TEST_CASE("the view box keeps its proportion") {
    const auto box = [](const std::string& aspect) {
        const auto art =
            read_text("<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='50mm' viewBox='0 0 10 10' " +
                      aspect + "><rect width='10' height='10'/></svg>");
        return bounds(*art);
    };
    check_box(box(""), {25, 0, 75, 50});
    check_box(box("preserveAspectRatio='xMinYMin'"), {0, 0, 50, 50});
    check_box(box("preserveAspectRatio='xMaxYMax slice'"), {0, 0, 100, 100});
    check_box(box("preserveAspectRatio='none'"), {0, 0, 100, 50});
}

TEST_CASE("all path commands, absolute and relative") {
    check_box(box_of_path("M10 10 L20 10 H30 V20 Z"), {10, 30, 30, 40});
    check_box(box_of_path("m10 10 10 0 h10 v10 z"), {10, 30, 30, 40});
    check_box(box_of_path("M10,10 20,10 30,20z"), {10, 30, 30, 40});
    check_box(box_of_path("M10 20 C10 10 30 10 30 20z"), {10, 30, 30, 37.5});
    check_box(box_of_path("M10 20 c0-10 20-10 20 0 s20 10 20 0"), {10, 22.5, 50, 37.5});
    check_box(box_of_path("M10 20 Q20 0 30 20 T50 20"), {10, 20, 50, 40});
    check_box(box_of_path("M10 20 q10-20 20 0 t20 0"), {10, 20, 50, 40});
    check_box(box_of_path("M10 20 A10 10 0 0 1 30 20"), {10, 30, 30, 40});
    check_box(box_of_path("M10 20 A10 10 0 0 0 30 20"), {10, 20, 30, 30});
    check_box(box_of_path("M10 20a10 10 0 1120 0z"), {10, 30, 30, 40});   // flags without separators
    check_box(box_of_path("M10 20 A1 1 0 0 1 30 20"), {10, 30, 30, 40});  // radii too small are grown
    check_box(box_of_path("M10 20 A0 5 0 0 1 30 10"), {10, 30, 30, 40});  // no radius: a line
    check_box(box_of_path("M10-5.5.5.25L+20 1e1"), {0.5, 40, 20, 55.5});  // numbers that touch
}

TEST_CASE("an arc given by its ends goes through where it should") {
    // A quarter of an ellipse turned by 30 degrees, checked against its parametric form.
    const double phi = std::numbers::pi / 6, rx = 20, ry = 10;
    const auto at = [&](double t) {
        return Point{50 + rx * std::cos(t) * std::cos(phi) - ry * std::sin(t) * std::sin(phi),
                     25 + rx * std::cos(t) * std::sin(phi) + ry * std::sin(t) * std::cos(phi)};
    };
    const Point from = at(0.3), to = at(0.3 + std::numbers::pi / 2);
    std::string d = "M" + std::to_string(from.x) + " " + std::to_string(from.y) + " A20 10 30 0 1 " +
                    std::to_string(to.x) + " " + std::to_string(to.y);
    const Artwork art = drawing("<path fill='none' stroke='#000' d='" + d + "'/>");
    const auto line = art.shapes[0].path.flatten()[0];
    double worst = 0;
    for (const Point p : line.points) {
        double nearest = 1e9;
        for (int i = 0; i <= 2000; ++i) {
            const Point q = at(0.3 + std::numbers::pi / 2 * i / 2000);
            nearest = std::min(nearest, geometry::distance(p, {q.x, 50 - q.y}));
        }
        worst = std::max(worst, nearest);
    }
    CHECK(worst < 0.02);
}

TEST_CASE("a broken path is drawn up to the fault, and said") {
    const Artwork art =
        drawing("<path d='M10 10 L20 10 L20 20 L foo 30'/><path d='L5 5'/>\n<path d='M1 1 L2 2 Lnan 3'/>");
    check_box(geometry::Box(geometry::bounds(art.shapes[0].path.flatten())), {10, 30, 20, 40});
    CHECK(count(art, notice::bad_path) == 3);
}

TEST_CASE("basic shapes") {
    check_box(bounds(drawing("<circle cx='50' cy='25' r='10'/>")), {40, 15, 60, 35});
    check_box(bounds(drawing("<ellipse cx='50' cy='25' rx='20' ry='5'/>")), {30, 20, 70, 30});
    check_box(bounds(drawing("<line x1='1' y1='2' x2='11' y2='12' stroke='#000'/>")), {1, 38, 11, 48});
    check_box(bounds(drawing("<polygon points='10,10 20,10 15,20'/>")), {10, 30, 20, 40});
    check_box(bounds(drawing("<polyline points='10 10 20 10 15' stroke='red'/>")), {10, 40, 20, 40});
    check_box(bounds(drawing("<rect x='10%' y='10%' width='50%' height='50%' rx='2'/>")), {10, 20, 60, 45});
    const auto round = measured_inks(drawing("<rect width='20' height='10' rx='3'/>"))[0];
    CHECK(round.area == Approx(200 - (4 - std::numbers::pi) * 9).epsilon(0.002));
    CHECK_FALSE(
        read_text("<svg xmlns='http://www.w3.org/2000/svg' width='9' height='9'><rect width='0' height='5'/></svg>"));
}

TEST_CASE("transforms and groups") {
    check_box(bounds(drawing("<g transform='translate(10 20)'><rect transform='scale(2)' width='5' height='5'/></g>")),
              {10, 20, 20, 30});
    check_box(bounds(drawing("<rect width='10' height='4' transform='rotate(90 10 10)'/>")), {16, 40, 20, 50});
    check_box(bounds(drawing("<rect width='10' height='4' transform='matrix(1 0 0 1 5 5), translate(1)'/>")),
              {6, 41, 16, 45});
    check_box(bounds(drawing("<rect width='10' height='10' transform='skewX(45)'/>")), {0, 40, 20, 50});
    const Artwork bad = drawing("<rect width='10' height='10' transform='spin(3)'/><rect width='1' height='1'/>");
    CHECK(count(bad, notice::bad_value, "transform") == 1);
}

TEST_CASE("colour is exact and lines and fills are different inks") {
    const Artwork art = drawing(
        "<g fill='#1565c0' stroke='rgb(216, 27, 96)'><rect width='5' height='5'/><rect width='6' height='6' "
        "fill='none'/></g>"
        "<circle r='3' style='fill:teal;stroke:none'/><circle r='3' fill='hsl(120,100%,25%)'/>");
    const auto summary = measured_inks(art);
    REQUIRE(summary.size() == 4);
    CHECK(to_text(summary[0].ink) == "#1565c0:fill");
    CHECK(to_text(summary[1].ink) == "#d81b60:line");
    CHECK(summary[1].shapes == 2);
    CHECK(summary[1].closed == 2);
    CHECK(summary[1].length == Approx(44));
    CHECK(to_text(summary[2].ink) == "#008080:fill");
    CHECK(to_text(summary[3].ink) == "#008000:fill");
}

TEST_CASE("what is not painted is not there") {
    const Artwork art = drawing(
        "<rect width='5' height='5' fill='none'/><rect width='5' height='5' opacity='0'/><g display='none'><rect "
        "width='5' height='5'/></g>"
        "<rect width='5' height='5' visibility='hidden'/><rect width='5' height='5' fill='transparent'/><rect "
        "width='5' height='5' stroke='red' stroke-width='0' fill-opacity='0%'/>"
        "<defs><rect width='9' height='9'/></defs><rect width='7' height='7'/>");
    REQUIRE(art.shapes.size() == 1);
    CHECK(bounds(art).width() == Approx(7));
}

TEST_CASE("style sheets cascade by specificity") {
    const Artwork art = drawing(
        "<style>/* ours */ .a{fill:#ff0000} rect.a{fill:#00ff00} #b{fill:#0000ff} g > .c {fill:#123456} svg .d, .e "
        "{stroke:#abcdef;fill:none} @media print {.a{fill:#999999}}</style>"
        "<rect class='a' width='1' height='1'/><rect class='x a' id='b' width='1' height='1'/><g><rect class='c' "
        "width='1' height='1'/></g>"
        "<rect class='c' width='1' height='1' fill='#222222'/><rect class='d' width='1' height='1'/><rect class='a' "
        "style='fill:#777777' width='1' height='1'/>");
    const auto colour = [&](std::size_t i) { return to_text(art.shapes[i].ink); };
    CHECK(colour(0) == "#00ff00:fill");
    CHECK(colour(1) == "#0000ff:fill");
    CHECK(colour(2) == "#123456:fill");
    CHECK(colour(3) == "#222222:fill");
    CHECK(colour(4) == "#abcdef:line");
    CHECK(colour(5) == "#777777:fill");
    CHECK(count(art, notice::unsupported, "style-rule") == 1);
}

TEST_CASE("references are followed, in circles never") {
    check_box(bounds(drawing("<defs><rect id='r' width='4' height='4'/></defs><use href='#r' x='10' y='10'/><use "
                             "xlink:href='#r' transform='translate(20 20)'/>")),
              {10, 26, 24, 40});
    check_box(bounds(drawing("<symbol id='s' viewBox='0 0 2 2'><rect width='2' height='2'/></symbol><use href='#s' "
                             "x='10' width='20' height='20'/>")),
              {10, 30, 30, 50});
    const Artwork loop = drawing(
        "<g id='a'><use href='#b'/></g><g id='b'><use href='#a'/></g><use href='#gone'/><rect width='3' height='3'/>");
    CHECK(loop.shapes.size() == 1);
    CHECK(count(loop, notice::missing_reference) >= 2);
}

TEST_CASE("what is not reproduced is named, with how often and where") {
    const Artwork art = drawing(
        "<rect width='5' height='5' filter='url(#f)'/>\n<text>hi</text>\n<text>you</text><image href='x.png'/><rect "
        "width='5' height='5' clip-path='url(#c)'/>");
    CHECK(count(art, notice::unsupported, "filter") == 1);
    CHECK(count(art, notice::unsupported, "text") == 2);
    CHECK(count(art, notice::unsupported, "image") == 1);
    CHECK(count(art, notice::missing_reference) == 1);
    for (const auto& [notice, places] : art.remarks)
        if (notice.code == notice::unsupported && notice.parameters[0].second == "text") CHECK(notice.line == 2);
}

TEST_CASE("a line in a gradient burns in its first colour, and this is said") {
    const Artwork art = drawing(
        "<linearGradient id='g'><stop offset='0' stop-color='#112233'/><stop offset='1' "
        "stop-color='#fff'/></linearGradient>"
        "<linearGradient id='h' xlink:href='#g'/><rect width='5' height='5' fill='none' stroke-width='0.1' "
        "stroke='url(#h)'/><rect width='5' height='5' "
        "fill='url(#none) #445566'/>");
    CHECK(to_text(art.shapes[0].ink) == "#112233:line");
    CHECK(to_text(art.shapes[1].ink) == "#445566:fill");
    CHECK(count(art, notice::flat_gradient) == 1);
}

TEST_CASE("a stroke wider than the beam can follow is an area, a thinner one a line") {
    const std::string inside =
        "<path d='M1 1H5' stroke='#000' fill='none' stroke-width='0.3'/><path d='M1 2H5' stroke='#000' fill='none' "
        "stroke-width='0.29'/>";
    const Artwork art = drawing(inside);
    REQUIRE(art.shapes.size() == 2);
    CHECK(to_text(art.shapes[0].ink) == "#000000:fill");
    CHECK(to_text(art.shapes[1].ink) == "#000000:line");
    CHECK(measured_inks(art)[0].area == Approx(4 * 0.3).epsilon(1e-3));
    CHECK(count(art, notice::stroke_area) == 1);
    REQUIRE(art.remarks[0].places.size() == 1);
    check_box(art.remarks[0].places[0], {1, 48.85, 5, 49.15});

    ReadOptions never;
    never.stroke_area = ReadOptions::never;
    const auto again = read_again(art, never, {});
    REQUIRE(again);
    CHECK(to_text(again->shapes[0].ink) == "#000000:line");
    CHECK(again->shapes[0].stroke_width == Approx(0.3));
}

TEST_CASE("small round fills are measured within a per cent") {
    const Artwork art = drawing("<circle cx='4' cy='4' r='0.2'/>");
    CHECK(measured_inks(art).at(0).area == Approx(std::numbers::pi * 0.04).epsilon(0.01));
}

TEST_CASE("hostile and broken files get a message and nothing else") {
    const auto code = [](const std::string& text) {
        const auto art = read_text(text);
        return art ? std::string("read") : art.error().code;
    };
    CHECK(code("") == art::error::unknown_format);
    CHECK(code("hello") == art::error::unknown_format);
    CHECK(code("RIFF1") == art::error::unknown_format);
    CHECK(code("<html><body/></html>") == art::error::not_svg);
    CHECK(code("<svg><path d='M0 0") == art::error::broken_xml);
    CHECK(code("<svg xmlns='http://www.w3.org/2000/svg' width='5mm' height='5mm'/>") == art::error::nothing_drawable);
    CHECK(code("<svg xmlns='http://www.w3.org/2000/svg' width='1e300' height='5'><rect width='1' height='1'/></svg>") ==
          art::error::bad_size);
    CHECK(code("<svg xmlns='http://www.w3.org/2000/svg' width='-5' height='5'><rect width='1' height='1'/></svg>") ==
          art::error::bad_size);
    const auto cut = read_text("<svg>\n<g>\n<path d='M0 0'");
    CHECK(cut.error().line >= 2);
    CHECK(cut.error().file == "test.svg");
}

TEST_CASE("absurd coordinates are left out and named, the rest stays") {
    const Artwork art = drawing(
        "<path d='M0 0 L1e300 5'/><rect width='5' height='5' transform='scale(1e200)'/><rect x='1e9' width='5' "
        "height='5'/><rect width='5' height='5'/>");
    CHECK(art.shapes.size() == 1);
    CHECK(count(art, notice::absurd_place) == 3);
}

TEST_CASE("styles and namespaces kept in entities of the document are read, on their own lines") {
    const auto art = read_text(
        "<?xml version='1.0'?>\n<!DOCTYPE svg PUBLIC 'a' 'b' [\n<!ENTITY ns 'http://www.w3.org/2000/svg'>\n"
        "<!ENTITY colour 'fill:#ff0000'><!ENTITY both '&colour;;\n stroke:#0000ff'>\n]>\n"
        "<svg xmlns='&ns;' width='9mm' height='9mm'>\n<rect style='&both;' width='5' height='5'/>\n"
        "<!-- &none; --><rect style='&colour;' width='4' height='4' filter='url(#x)'/></svg>");
    REQUIRE(art);
    CHECK(inks(*art).size() == 2);
    CHECK(count(*art, notice::entities) == 0);
    REQUIRE(!art->remarks.empty());
    CHECK(art->remarks.back().notice.line == 9);
}

TEST_CASE("entities never grow without bound, deep nesting ends") {
    std::string bomb = "<!DOCTYPE svg [<!ENTITY outside SYSTEM 'file:///etc/passwd'><!ENTITY a0 'xxxxxxxxxxxxxxxx'>";
    for (int i = 1; i < 30; ++i) {
        const std::string before = "&a" + std::to_string(i - 1) + ";";
        bomb += "<!ENTITY a" + std::to_string(i) + " '" + before + before + before + before + "'>";
    }
    const auto refused = read_text(bomb +
                                   "]><svg xmlns='http://www.w3.org/2000/svg' width='9mm' height='9mm'>"
                                   "<text>&outside;</text><desc>&a29;</desc><rect width='5' height='5'/></svg>");
    REQUIRE(refused);
    CHECK(refused->shapes.size() == 1);
    CHECK(count(*refused, notice::entities) >= 1);
    std::string deep = "<rect width='2' height='2'/>";
    for (int i = 0; i < 5000; ++i)
        deep = "<g>" + deep + "</g>";
    const Artwork art = drawing(deep + "<rect width='5' height='5'/>");
    CHECK(art.shapes.size() == 1);
    CHECK(count(art, notice::too_deep) == 1);
}

TEST_CASE("no text whatever crashes the reader") {
    const auto sample = read_file(CHALKLINE_SAMPLES "/plate.svg").value();
    rc::prop("cut and garbled drawings", [&] {
        std::string text = sample.substr(0, *rc::gen::inRange<std::size_t>(0, sample.size()));
        for (int i = *rc::gen::inRange(0, 20); i > 0 && !text.empty(); --i)
            text[*rc::gen::inRange<std::size_t>(0, text.size())] = *rc::gen::arbitrary<char>();
        const auto art = read_text(text);
        if (art)
            for (const Shape& shape : art->shapes)
                RC_ASSERT(shape.path.finite());
    });
}

TEST_CASE("the sample plate is what it is drawn as") {
    const auto art = read_text(read_file(CHALKLINE_SAMPLES "/plate.svg").value());
    REQUIRE(art);
    CHECK(art->remarks.empty());
    const auto summary = inks(*art);
    REQUIRE(summary.size() == 3);
    CHECK(to_text(summary[0].ink) == "#d81b60:line");
    CHECK(summary[0].shapes == 3);
    CHECK(summary[2].shapes == 17);
    check_box(bounds(*art), {0.5, 0.5, 154.5, 101.5});
}

TEST_CASE("reading can be cancelled") {
    std::string many;
    for (int i = 0; i < 5000; ++i)
        many += "<rect width='5' height='5'/>";
    std::stop_source stop;
    stop.request_stop();
    const auto art =
        read(std::make_shared<const std::string>("<svg xmlns='http://www.w3.org/2000/svg'>" + many + "</svg>"), "x", {},
             {}, Watch{stop.get_token(), {}});
    REQUIRE_FALSE(art);
    CHECK(art.error().code == chalkline::error::cancelled);
}

TEST_CASE("sheets choose by place, by neighbours, by what is not, and by parts of values") {
    // Six squares of 1 mm² in a row; a rule paints those it chooses red.
    const auto red = [](const std::string& selector) {
        std::string row = "<style>" + selector + "{fill:#f00}</style><g id='row'>";
        for (int i = 0; i < 6; ++i)
            row += "<rect x='" + std::to_string(2 * i) + "' width='1' height='1' class='" + (i % 2 ? "odd" : "even") +
                   " k" + std::to_string(i) + "' data-n='plot-" + std::to_string(i) + "'/>";
        const Artwork art = drawing(row + "</g><g><rect x='20' width='1' height='1'/></g>");
        double area = 0;
        for (const InkSummary& ink : measured_inks(art))
            if (ink.ink.rgb == Rgb{255, 0, 0}) area = ink.area;
        return std::lround(area);
    };
    CHECK(red("#row > rect") == 6);
    CHECK(red("g > rect") == 7);
    CHECK(red("svg > rect") == 0);
    CHECK(red(".k1 + rect") == 1);
    CHECK(red(".k1 ~ rect") == 4);
    CHECK(red("#row rect:first-child") == 1);
    CHECK(red("rect:last-child") == 2);
    CHECK(red("#row :nth-child(2n+1)") == 3);
    CHECK(red("#row rect:nth-child(odd)") == 3);
    CHECK(red("#row rect:nth-child(even)") == 3);
    CHECK(red("#row rect:nth-child(-n+2)") == 2);
    CHECK(red("#row rect:nth-last-child(2)") == 1);
    CHECK(red("#row rect:nth-child(4)") == 1);
    CHECK(red("rect:not(.odd)") == 4);
    CHECK(red("#row rect:not(.k0, .k1):not([data-n$='5'])") == 3);
    CHECK(red("[data-n='plot-3']") == 1);
    CHECK(red("[data-n^=plot]") == 6);
    CHECK(red("[data-n*='t-4']") == 1);
    CHECK(red("[data-n|='plot']") == 6);
    CHECK(red("[class~='odd']") == 3);
    CHECK(red("#row + g rect") == 1);
    CHECK(red(":root rect") == 7);
    CHECK(red("g g rect") == 0);
    // What is not understood chooses nothing, and is said.
    CHECK(red("rect:hover") == 0);
    CHECK(red("rect::before") == 0);
    CHECK(red("rect:nth-child(x)") == 0);
    CHECK(red("> rect") == 0);
    // A hostile selector ends.
    std::string deep = "g";
    for (int i = 0; i < 30; ++i)
        deep += " g";
    CHECK(red(deep) == 0);
}

TEST_CASE("sheets may keep values under names") {
    const auto colour = [](const std::string& css, const std::string& inside) {
        return chalkline::to_text(measured_inks(drawing("<style>" + css + "</style>" + inside))[0].ink.rgb);
    };
    const std::string square = "<rect width='5' height='5'/>";
    CHECK(colour(":root{--ink:#123456} rect{fill:var(--ink)}", square) == "#123456");
    CHECK(colour("rect{fill:var(--none, #654321)}", square) == "#654321");
    CHECK(colour("g{--a:#00f} :root{--a:#0f0;--b:var(--a)} rect{fill:var(--a)}", "<g>" + square + "</g>") == "#0000ff");
    CHECK(colour("rect{--x:var(--y);--y:var(--x);fill:var(--x, #0f0)}", square) == "#000000");
    CHECK(colour("rect{fill:var(--none)}", square) == "#000000");
}

TEST_CASE("sheets move, turn and scale") {
    const auto box = [](const std::string& css, const std::string& attributes = "") {
        return art::bounds(
            drawing("<style>rect{" + css + "}</style><rect x='10' y='10' width='4' height='2' " + attributes + "/>"));
    };
    // A page of 100 × 50: Y counts from below here.
    check_box(box("transform:translate(5px, 3px)"), {15, 35, 19, 37});
    check_box(box("transform:translateX(5px) translateY(3px)"), {15, 35, 19, 37});
    check_box(box("translate:5px 3px"), {15, 35, 19, 37});
    check_box(box("transform:scale(2)"), {20, 26, 28, 30});
    check_box(box("transform:scale(2);transform-origin:10px 10px"), {10, 36, 18, 40});
    check_box(box("transform:scale(2);transform-box:fill-box;transform-origin:center"), {8, 37, 16, 41});
    check_box(box("transform:rotate(90deg);transform-box:fill-box;transform-origin:center"), {11, 37, 13, 41});
    check_box(box("rotate:0.25turn;transform-box:fill-box"), {8, 36, 10, 40});
    check_box(box("transform:translate(50%, 100%);transform-box:fill-box"), {12, 36, 16, 38});
    check_box(box("transform:translate(50%, 0)"), {60, 38, 64, 40});
    check_box(box("transform:none", "transform='translate(5 3)'"), {10, 38, 14, 40});
    check_box(box("", "transform='translate(5 3)' style='transform:translate(1px,1px)'"), {11, 37, 15, 39});
    // The places of letters are no turns.
    CHECK(drawing("<rect width='4' height='4' rotate='45'/>").shapes.size() == 1);
}

TEST_CASE("a size in pixels is read at the density that is chosen, one in real units is not") {
    const auto width = [](const std::string& sides, double density) {
        ReadOptions options;
        options.density = density;
        const auto art = read_text("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 144 72' " + sides +
                                       "><rect width='144' height='72' stroke='#000' stroke-width='2'/></svg>",
                                   options);
        REQUIRE(art);
        return art->page.x;
    };
    CHECK(width("width='144' height='72'", 96) == Approx(38.1));
    CHECK(width("width='144' height='72'", 72) == Approx(50.8));
    CHECK(width("width='144px' height='72px'", 72) == Approx(50.8));
    CHECK(width("", 90) == Approx(144 / 90.0 * 25.4));
    CHECK(width("width='144pt' height='72pt'", 72) == Approx(50.8));
    CHECK(width("width='50mm' height='25mm'", 72) == Approx(50));
    CHECK(width("width='100%' height='100%'", 72) == Approx(50.8));
    ReadOptions options;
    options.density = 72;
    const std::string drawing_in_pixels =
        "<svg xmlns='http://www.w3.org/2000/svg' width='72' height='72'>"
        "<path d='M0 0H72' fill='none' stroke='#000' stroke-width='1'/></svg>";
    const auto art = read_text(drawing_in_pixels, options);
    REQUIRE(art);
    CHECK(art->sized_in_pixels);
    CHECK(count(*art, notice::pixel_size) == 1);
    // The stroke is measured as it burns: 0.35 mm is an area, at 96 to the inch 0.26 mm is a line.
    CHECK(art->shapes[0].ink.kind == InkKind::fill);
    CHECK(read_text(drawing_in_pixels)->shapes[0].ink.kind == InkKind::line);
}

TEST_CASE("what changes a drawing's looks and is not reproduced is said, what stays at rest is not") {
    const std::vector<std::pair<std::string, std::string>> features{
        {"mix-blend-mode", "multiply"},  {"backdrop-filter", "blur(2px)"},     {"text-transform", "uppercase"},
        {"writing-mode", "vertical-rl"}, {"color-interpolation", "linearRGB"}, {"offset-path", "path('M0 0H9')"}};
    for (const auto& [property, value] : features) {
        INFO(property);
        const auto said = [&, name = property](const std::string& text) {
            return count(drawing("<path d='M0 0H9' stroke='#000' style='" + name + ":" + text + "'/>"),
                         notice::unsupported, name);
        };
        CHECK(said(value.find('\'') == std::string::npos ? value : "url(#p)") == 1);
        CHECK(said(property == "writing-mode"          ? "horizontal-tb"
                   : property == "color-interpolation" ? "sRGB"
                                                       : "none") == 0);
    }
}

TEST_CASE("the density at which a page in pixels is a common sheet is proposed, and only there") {
    const auto drawing = [](const std::string& width, const std::string& height) {
        return "<svg xmlns='http://www.w3.org/2000/svg' width='" + width + "' height='" + height +
               "'><path d='M0 0H72' fill='none' stroke='#000'/></svg>";
    };
    const auto proposed = [](const std::string& text) { return read_text(text)->sheet_density.value_or(0); };
    CHECK(proposed(drawing("595.28", "841.89")) == 72);
    CHECK(proposed(drawing("792", "612")) == 72);
    CHECK(proposed(drawing("744.09448", "1052.3622")) == 90);
    CHECK(proposed(drawing("793.7", "1122.5")) == 0);  // a sheet at 96
    CHECK(proposed(drawing("72", "72")) == 0);
    const std::string points = drawing("595.28", "841.89");
    CHECK(read_text(points)->page.x == Approx(595.28 / 96 * 25.4));  // proposed, not taken
    CHECK(count(*read_text(points), notice::pixel_size_of_sheet) == 1);
    ReadOptions taken;
    taken.density = 72;
    CHECK(read_text(points, taken)->page.x == Approx(210).margin(0.01));
    CHECK(count(*read_text(points, taken), notice::pixel_size_of_sheet) == 0);
    CHECK(read_text(drawing("595.28mm", "841.89mm"))->remarks.empty());
}

TEST_CASE("drawings that ask for hours are refused, those that are merely large are read") {
    const auto page = [](const std::string& inside) {
        return "<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink' width='200mm' "
               "height='200mm' viewBox='0 0 200 200'>" +
               inside + "</svg>";
    };
    const auto id = [](int i) { return "a" + std::to_string(i); };
    std::string uses = "<g id='a0'><path d='M0 0H1V1H0Z'/></g>", patterns;
    for (int i = 1; i <= 30; ++i)
        uses += "<g id='" + id(i) + "'><use xlink:href='#" + id(i - 1) + "'/><use xlink:href='#" + id(i - 1) +
                "' x='1'/></g>";
    for (int i = 0; i < 12; ++i) {
        patterns += "<pattern id='" + id(i) + "' width='.1' height='.1'>";
        for (int k = 0; k < 4; ++k)
            patterns += "<rect x='" + std::to_string(k) + "' width='9' height='9' fill='" +
                        (i < 11 ? "url(#" + id(i + 1) + ")" : "#000") + "'/>";
        patterns += "</pattern>";
    }
    const auto code = [](const Result<Artwork>& art) { return art ? "read" : art.error().code; };
    CHECK(code(read_text(page("<defs>" + uses + "</defs><use xlink:href='#a30'/>"))) == art::error::too_much_work);
    CHECK(code(read_text(page(patterns + "<rect width='200' height='200' fill='url(#a0)'/>"))) ==
          art::error::too_much_work);
    CHECK(code(read_text("0\nSECTION\n2\nBLOCKS\n0\nBLOCK\n2\nB\n0\nLINE\n11\n1\n0\nENDBLK\n0\nENDSEC\n0\nSECTION"
                         "\n2\nENTITIES\n0\nINSERT\n2\nB\n70\n30000\n71\n30000\n0\nENDSEC\n0\nEOF\n")) ==
          art::error::too_much_work);
    // A clip of many circles, each line cut by it on its own.
    std::string clip = "<clipPath id='c'>", lines;
    for (int i = 0; i < 900; ++i)
        clip +=
            "<circle cx='" + std::to_string(i % 30 * 6 + 5) + "' cy='" + std::to_string(i / 30 * 6 + 5) + "' r='2'/>";
    for (int i = 0; i < 300; ++i)
        lines +=
            "<path clip-path='url(#c)' d='M0 " + std::to_string(i * 0.6) + "H190' stroke='#000' stroke-width='.1'/>";
    const auto cut = read_text(page(clip + "</clipPath>" + lines));
    REQUIRE(cut);
    CHECK(summary_of(*cut, "#000000:line").length > 1000);
}

TEST_CASE("a packed drawing is read as what is in it, a broken one told") {
    const auto packed = read_file(CHALKLINE_DATA "/packed.svgz");  // by gzip
    REQUIRE(packed);
    CHECK(format_of(*packed) == "svg");
    const auto read = [](const std::string& bytes) {
        return art::read(std::make_shared<const std::string>(bytes), "p.svgz");
    };
    const auto art = read(*packed);
    REQUIRE(art);
    CHECK(art->shapes.size() == 2);
    CHECK(art->page.x == Approx(40));
    CHECK(art->source->starts_with("<svg"));  // so that a job holds a drawing that anything reads
    for (const std::size_t kept : {std::size_t{3}, packed->size() / 2, packed->size() - 4})
        CHECK(read(packed->substr(0, kept)).error().code == art::error::broken_packed);
    std::string spoilt = *packed;
    spoilt[spoilt.size() / 2] ^= 0x55;
    CHECK_FALSE(read(spoilt));
}
