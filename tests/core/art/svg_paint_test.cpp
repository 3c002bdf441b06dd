// SPDX-License-Identifier: GPL-3.0-or-later
// What SVG paints beyond plain paths: clips, dashes, wide strokes, gradients, pictures, text.
#include "doubles.hpp"
#include "drawings.hpp"

using namespace chalkline;
using namespace chalkline::art;
using namespace drawings;
using geometry::Box;

namespace {

double fill_area(const std::string& inside) {
    return summary_of(drawing(inside), "#000000:fill").area;
}
double line_length(const std::string& inside) {
    return summary_of(drawing(inside, "stroke='#000' fill='none'"), "#000000:line").length;
}

const std::string half_clip = "<clipPath id='c'><rect width='5' height='50'/></clipPath>";

}  // namespace

TEST_CASE("a clip cuts fills and lines to what lies inside") {
    CHECK(fill_area(half_clip + "<rect width='10' height='10' clip-path='url(#c)'/>") == Approx(50));
    CHECK(line_length(half_clip + "<path d='M0 5H30' clip-path='url(#c)'/>") == Approx(5));
    CHECK(line_length(half_clip + "<rect x='1' y='1' width='2' height='2' clip-path='url(#c)'/>") == Approx(8));
    CHECK(drawing(half_clip + "<rect x='7' width='2' height='2' clip-path='url(#c)'/><path d='M0 0H9V9'/>")
              .shapes.size() == 1);
}

TEST_CASE("a clip may be a shape of the style sheet, about the element's own box") {
    const auto left = [](const std::string& shape) {
        return fill_area("<rect x='10' y='10' width='20' height='10' style='clip-path:" + shape + "'/>");
    };
    const double pi = 3.14159265358979;
    CHECK(left("circle()") == Approx(25 * pi).epsilon(0.01));
    CHECK(left("circle(2px at left top)") == Approx(pi).epsilon(0.01));
    CHECK(left("circle(farthest-side)") < 200);
    CHECK(left("circle(farthest-side)") > 190);
    CHECK(left("ellipse(10px 50%)") == Approx(50 * pi).epsilon(0.01));
    CHECK(left("inset(1px)") == Approx(18 * 8));
    CHECK(left("inset(1px 2px 3px 4px)") == Approx(14 * 6));
    CHECK(left("inset(10% 20%)") == Approx(12 * 8));
    CHECK(left("inset(0 0 0 0 round 2px)") == Approx(200 - (16 - 4 * pi)).epsilon(0.002));
    CHECK(left("polygon(0 0, 100% 0, 0 100%)") == Approx(100));
    CHECK(
        left("polygon(evenodd, 0 0, 20px 0, 20px 10px, 0 10px, 0 0, 5px 2px, 15px 2px, 15px 8px, 5px 8px, 5px 2px)") ==
        Approx(140));
    CHECK(left("path(\"M0 0H5V5H0Z\")") == Approx(25));
    CHECK(left("none") == Approx(200));
    CHECK(count(drawing("<rect width='9' height='9' style='clip-path:hexagon(3px)'/>"), notice::unsupported,
                "clip-path") == 1);
}

TEST_CASE("what a marker is painted with may be its line's") {
    const Artwork art = drawing(
        "<marker id='a' markerUnits='userSpaceOnUse' markerWidth='4' markerHeight='4'>"
        "<rect width='4' height='2' fill='context-stroke'/><rect y='2' width='4' height='2' "
        "fill='context-fill'/></marker>"
        "<path d='M10 10H40' fill='#0f0' stroke='currentColor' color='#00f' stroke-width='0.01' "
        "marker-end='url(#a)'/>");
    CHECK(summary_of(art, "#0000ff:fill").area == Approx(8));
    CHECK(summary_of(art, "#00ff00:fill").area == Approx(8));
}

TEST_CASE("markers that refer to themselves or to nothing are said, and stand on no clip and in no box") {
    const std::string self =
        "<marker id='a' markerUnits='userSpaceOnUse' markerWidth='4' markerHeight='4'>"
        "<path d='M0 0H4V4H0Z' marker-start='url(#a)'/></marker>";
    const Artwork art = drawing(self + "<path d='M10 10H40' marker-end='url(#a)' marker-start='url(#none)'/>");
    CHECK(fill_area(self + "<path d='M10 10H40' marker-end='url(#a)'/>") == Approx(16));
    CHECK(count(art, notice::missing_reference) == 2);
    CHECK(fill_area(self + "<clipPath id='c'><path d='M0 0H5V5H0Z' marker-mid='url(#a)'/></clipPath>"
                           "<rect width='9' height='9' clip-path='url(#c)'/>") == Approx(25));
}

TEST_CASE("clips of groups, of boxes, of clips and by rule") {
    CHECK(
        fill_area(half_clip + "<g clip-path='url(#c)' transform='translate(2 0)'><rect width='10' height='10'/></g>") ==
        Approx(50));
    CHECK(fill_area("<clipPath id='b' clipPathUnits='objectBoundingBox'><rect width='.5' height='.5'/></clipPath>"
                    "<g clip-path='url(#b)'><rect x='10' y='10' width='8' height='4'/></g>") == Approx(8));
    CHECK(fill_area(half_clip + "<clipPath id='d' clip-path='url(#c)'><rect x='3' width='9' height='9'/></clipPath>"
                                "<rect width='20' height='9' clip-path='url(#d)'/>") == Approx(18));
    CHECK(fill_area("<clipPath id='r'><path d='M0 0H10V10H0Z M2 2H8V8H2Z' clip-rule='evenodd'/></clipPath>"
                    "<rect width='10' height='10' clip-path='url(#r)'/>") == Approx(64));
    CHECK(fill_area("<clipPath id='n'/><rect width='1' height='1'/><rect width='9' height='9' clip-path='url(#n)'/>") ==
          Approx(1));
}

TEST_CASE("nested viewports clip unless they say otherwise") {
    const std::string inner = "<rect width='30' height='30'/></svg>";
    CHECK(fill_area("<svg x='5' y='5' width='10' height='8'>" + inner) == Approx(80));
    CHECK(fill_area("<svg width='10' height='8' overflow='visible'>" + inner) == Approx(900));
    CHECK(fill_area("<svg width='10' height='10' viewBox='0 0 10 5' preserveAspectRatio='xMinYMin slice'>" + inner) ==
          Approx(100));
}

TEST_CASE("dashes are real dashes") {
    CHECK(line_length("<path d='M0 0H10' stroke-dasharray='2 1'/>") == Approx(7));
    CHECK(line_length("<path d='M0 0H10' stroke-dasharray='2 1' stroke-dashoffset='1'/>") == Approx(7));
    CHECK(line_length("<path d='M0 0H9' stroke-dasharray='1'/>") == Approx(5));
    CHECK(line_length("<g transform='scale(2)'><path d='M0 0H5' stroke-dasharray='1,1' stroke-width='.05'/></g>") ==
          Approx(6));
    CHECK(line_length("<path d='M0 0H10' pathLength='100' stroke-dasharray='10 10'/>") == Approx(5));
    CHECK(line_length("<path d='M0 0H10' stroke-dasharray='0 0'/>") == Approx(10));
    // Dashes all round a ring meet at its start.
    const Artwork ring = drawing("<rect width='4' height='4' stroke-dasharray='1 1' stroke-dashoffset='.5'/>",
                                 "stroke='#000' fill='none'");
    CHECK(measured_inks(ring)[0].length == Approx(8));
}

TEST_CASE("wide strokes are areas with their caps and corners") {
    const auto area = [](const std::string& stroke) {
        return fill_area("<path fill='none' stroke='#000' stroke-width='2' " + stroke + "/>");
    };
    CHECK(area("d='M5 5H15'") == Approx(20));
    CHECK(area("d='M5 5H15' stroke-linecap='square'") == Approx(24));
    CHECK(area("d='M5 5H15' stroke-linecap='round'") == Approx(20 + 3.1416).epsilon(0.002));
    CHECK(area("d='M5 5H15V15' stroke-linejoin='miter'") == Approx(40).epsilon(1e-4));
    CHECK(area("d='M5 5H15V15' stroke-linejoin='bevel'") == Approx(39.5).epsilon(1e-4));
    CHECK(area("d='M5 5H15V15' stroke-linejoin='round'") == Approx(39 + 3.1416 / 4).epsilon(0.002));
    CHECK(area("d='M5 5H15V15H5Z'") == Approx(80).epsilon(1e-4));
    CHECK(area("d='M5 5H15M5 5V15'") == Approx(39).epsilon(0.001));
    // A pen wider than the ring it draws leaves no hole.
    CHECK(fill_area("<circle cx='20' cy='20' r='1' fill='none' stroke='#000' stroke-width='4'/>") ==
          Approx(9 * 3.14159).epsilon(0.003));
    CHECK(fill_area("<g transform='scale(3 1)'><path d='M0 5H10' stroke='#000' stroke-width='1'/></g>") == Approx(30));
}

TEST_CASE("the cascade: attributes, sheets, style, and what is important") {
    const std::string sheet =
        "<style>.a{fill:#111111} rect.a{fill:#222222} #x{fill:#333333} g > .b{fill:#444444 !important} "
        "[data-k='v']{fill:#555555}</style>";
    const Artwork art = drawing(sheet +
                                "<rect class='a' fill='#000' width='1' height='1'/><circle class='a' r='1'/>"
                                "<rect id='x' class='a' width='1' height='1'/>"
                                "<rect id='x' class='a' width='1' height='1' style='fill:#666666'/>"
                                "<g><rect class='b' width='1' height='1' style='fill:#777777'/></g>"
                                "<rect data-k='v' width='1' height='1'/>");
    std::vector<std::string> inks;
    for (const Shape& shape : art.shapes)
        inks.push_back(to_text(shape.ink.rgb));
    CHECK(inks == std::vector<std::string>{"#222222", "#111111", "#333333", "#666666", "#444444", "#555555"});
}

TEST_CASE("opacity stated twice counts once, and nothing at all draws nothing") {
    CHECK(drawing("<rect width='1' height='1' opacity='0.5' style='opacity:0.5'/><g opacity='0'><rect width='9' "
                  "height='9'/></g>")
              .shapes.size() == 1);
}

TEST_CASE("a pattern of thin lines stays lines, through all its tiles, inside the area") {
    const std::string hatched =
        "<pattern id='h' patternUnits='userSpaceOnUse' width='2' height='2'>"
        "<path d='M0 1H2' stroke='#f00'/></pattern><path d='M10 10H40V30H10ZM20 14V24H30V14Z' fill-rule='evenodd' "
        "fill='url(#h)'/>";
    const Artwork art = drawing(hatched);
    REQUIRE(art.shapes.size() == 1);
    CHECK(art.pictures.empty());
    CHECK(art.shapes[0].ink == Ink{{255, 0, 0}, InkKind::line});
    // Rows at odd millimetres; five of them meet the hole.
    const auto lines = art.shapes[0].path.flatten();
    CHECK(lines.size() == 10 + 5);
    CHECK(geometry::length(lines) == Approx(10 * 30 - 5 * 10).margin(0.05));

    ReadOptions pictures;
    pictures.hatches = false;
    const Artwork painted = read_text(svg(hatched), pictures).value();
    CHECK(painted.pictures.size() == 1);
    CHECK(painted.hatched);
    CHECK_FALSE(drawing("<rect width='2' height='2'/>").hatched);
    // A wide line of a pattern is an area, and a pattern with areas is a picture.
    CHECK(drawing("<pattern id='h' patternUnits='userSpaceOnUse' width='2' height='2'><path d='M0 1H2' stroke='#f00' "
                  "stroke-width='.5'/></pattern><rect width='20' height='20' fill='url(#h)'/>")
              .pictures.size() == 1);
    for (const char* huge : {"1e300", "1e9", "1e400"})
        CHECK(drawing(std::string("<pattern id='h' patternUnits='userSpaceOnUse' x='") + huge + "' width='" + huge +
                      "' height='2'><path d='M0 1H2' stroke='#f00'/></pattern><rect width='9' height='9'/><rect "
                      "width='20' height='20' fill='url(#h)'/>")
                  .shapes.size() <= 2);
    // How wide it is on the page counts, not in the tile.
    CHECK(drawing("<pattern id='h' patternUnits='userSpaceOnUse' width='20' height='20' patternTransform='scale(.1)'>"
                  "<path d='M0 10H20' stroke='#f00' stroke-width='1'/></pattern><rect width='20' height='20' "
                  "fill='url(#h)'/>")
              .pictures.empty());
}

TEST_CASE("patterns in patterns are not read twice as often with every level") {
    std::string nested;
    for (int i = 0; i < 24; ++i) {
        const std::string side = std::to_string(3 + i);
        nested += "<pattern id='p" + std::to_string(i) + "' patternUnits='userSpaceOnUse' width='" + side +
                  "' height='" + side + "'><rect width='2' height='2' fill='" +
                  (i ? "url(#p" + std::to_string(i - 1) + ")" : "#080") + "'/></pattern>";
    }
    CHECK(read_text(svg(nested + "<rect width='60' height='40' fill='url(#p23)'/>")));
}

TEST_CASE("gradients and patterns are pictures of their own ink") {
    const Artwork art = drawing(
        "<linearGradient id='g'><stop stop-color='#000'/><stop offset='1' stop-color='#fff'/></linearGradient>"
        "<rect x='10' y='10' width='20' height='10' fill='url(#g)'/>"
        "<pattern id='p' width='2' height='2' patternUnits='userSpaceOnUse'><rect width='1' height='2'/></pattern>"
        "<rect x='50' y='10' width='20' height='10' fill='url(#p)'/>");
    CHECK(art.shapes.empty());
    REQUIRE(art.pictures.size() == 2);
    check_box(bounds(art.pictures[0]), {10, 30, 30, 40});
    const auto& gradient = *art.pictures[0].image;
    CHECK(gradient.width == 200);
    const auto grey = [](const raster::RgbImage& image, int x, int y) {
        return int{image.pixels[static_cast<std::size_t>(y * image.width + x)].red};
    };
    CHECK(grey(gradient, 2, 50) < 10);
    CHECK(grey(gradient, 100, 50) == Approx(128).margin(3));
    CHECK(grey(gradient, 197, 50) > 245);
    const auto& pattern = *art.pictures[1].image;
    CHECK(grey(pattern, 5, 50) == 0);
    CHECK(grey(pattern, 15, 50) == 255);
    CHECK(grey(pattern, 25, 50) == 0);
    CHECK(art.pictures[0].ink != art.pictures[1].ink);
    CHECK(parse_ink(to_text(art.pictures[0].ink)) == art.pictures[0].ink);
}

TEST_CASE("a gradient of one colour is that colour") {
    const Artwork art = drawing(
        "<linearGradient id='g'><stop stop-color='#123456'/></linearGradient><linearGradient id='n'/>"
        "<rect width='9' height='9' fill='url(#g)'/><rect width='9' height='9' fill='url(#n)'/>");
    REQUIRE(art.shapes.size() == 1);
    CHECK(to_text(art.shapes[0].ink) == "#123456:fill");
}

TEST_CASE("pictures lie where they are put, from the file or beside it") {
    const BoxLetters letters;
    const WordPictures decoder;
    Outside outside{&decoder, &letters, [](const std::string& name) -> Result<std::string> {
                        if (name == "pear.png") return WordPictures::file(40, 20);
                        return fail("missing");
                    }};
    const Artwork art = drawing(
        "<image x='10' y='10' width='20' height='20' href='pear.png'/>"
        "<image x='50' y='10' width='20' height='20' preserveAspectRatio='none' href='pear.png'/>"
        "<image x='80' y='10' width='10' height='10' preserveAspectRatio='xMidYMid slice' href='pear.png'/>"
        "<image width='9' height='9' href='../secret.png'/><image width='9' height='9' href='data:,nothing'/>",
        "", outside);
    REQUIRE(art.pictures.size() == 3);
    check_box(bounds(art.pictures[0]), {10, 25, 30, 35});
    check_box(bounds(art.pictures[1]), {50, 20, 70, 40});
    check_box(bounds(art.pictures[2]), {80, 30, 90, 40});
    CHECK(art.pictures[0].ink == art.pictures[1].ink);
    CHECK(count(art, notice::outside_reference) == 1);
    CHECK(count(art, notice::bad_picture) == 1);
    REQUIRE(art.linked.size() == 1);
    // Read again it stands alone.
    const auto again = read_again(art, {}, {&decoder, &letters, {}});
    REQUIRE(again);
    CHECK(again->pictures.size() == 3);
}

TEST_CASE("style sheets beside the drawing are read, come before its own, and go with the job") {
    const Outside outside{nullptr, nullptr, [](const std::string& name) -> Result<std::string> {
                              if (name == "my sheet.css") return std::string(".a{fill:#f00} .b{fill:#00f}");
                              return fail("missing");
                          }};
    const std::string text =
        "<?xml-stylesheet type=\"text/css\" href=\"my%20sheet.css\"?><?xml-stylesheet href='none.css'?>"
        "<?xml-stylesheet type='text/xsl' href='other.xsl'?>" +
        svg("<style>.b{fill:#0f0}</style><rect class='a' width='4' height='4'/><rect class='b' y='9' width='4' "
            "height='4'/>");
    const auto art = read_text(text, {}, outside);
    REQUIRE(art);
    CHECK(summary_of(*art, "#ff0000:fill").area == Approx(16).margin(0.01));
    CHECK(summary_of(*art, "#00ff00:fill").area == Approx(16).margin(0.01));
    CHECK(count(*art, notice::outside_reference) == 1);
    REQUIRE(art->linked.size() == 1);
    const auto again = read_again(*art, {}, {});
    REQUIRE(again);
    CHECK(summary_of(*again, "#ff0000:fill").area == Approx(16).margin(0.01));
}

TEST_CASE("text is drawn in its font, at its place") {
    const BoxLetters letters;
    const Outside outside{nullptr, &letters, {}};
    const auto box = [&](const std::string& text) {
        const Artwork art = drawing(text, "font-family='Boxes' font-size='10'", outside);
        return bounds(art);
    };
    check_box(box("<text x='20' y='30'>abcd</text>"), {20, 20, 40, 27});
    check_box(box("<text x='20' y='30' text-anchor='middle'>abcd</text>"), {10, 20, 30, 27});
    check_box(box("<text x='20' y='30' text-anchor='end'>ab<tspan>cd</tspan></text>"), {0, 20, 20, 27});
    check_box(box("<text x='20' y='30'>\n   ab   </text>"), {20, 20, 30, 27});
    check_box(box("<text x='20' y='30'>a <tspan font-size='20'>b</tspan></text>"), {20, 20, 40, 34});
    check_box(box("<text x='20' y='30' letter-spacing='1'>ab</text>"), {20, 20, 31, 27});
    check_box(box("<text y='30' x='20 60'>ab</text>"), {20, 20, 65, 27});
    check_box(box("<text x='20' y='30' dy='0 5'>ab</text>"), {20, 15, 30, 27});
    check_box(box("<text x='20' y='30' textLength='40'>ab</text>"), {20, 20, 60, 27});
    check_box(box("<text x='20' y='30' rotate='90'>a</text>"), {20, 15, 27, 20});
    check_box(box("<text x='20' y='30' font-variant='small-caps'>aa</text>"), {20, 20, 28, 25.6});
    check_box(box("<text x='20' y='30' style='font:small-caps 10px Boxes'>Aa</text>"), {20, 20, 29, 27});
    check_box(box("<defs><text id='r'>a<tspan>bc</tspan></text></defs><text x='20' y='30'><tref href='#r'/></text>"),
              {20, 20, 35, 27});
    check_box(
        box("<path id='t' d='M20 40H90' fill='none'/><text><textPath href='#t' startOffset='10'>a</textPath></text>"),
        {30, 10, 35, 17});
    const Artwork other = drawing("<text font-family='Missing'>a</text>", "", outside);
    CHECK(count(other, notice::font_substituted) == 1);
    CHECK(count(drawing("<text>a</text><path d='M0 0H1V1'/>"), notice::unsupported, "text") == 1);
}

TEST_CASE("a part of the page can be taken, and the whole be scaled") {
    const std::string text = svg("<rect x='10' y='10' width='20' height='10'/><path d='M0 45H100' stroke='#00f'/>");
    ReadOptions part;
    part.part = Box{20, 25, 60, 50};
    const auto cut = read_text(text, part);
    REQUIRE(cut);
    CHECK(cut->page.x == Approx(40));
    check_box(bounds(*cut), {0, 5, 10, 15});
    ReadOptions nothing;
    nothing.part = Box{60, 20, 70, 40};
    CHECK(read_text(text, nothing).error().code == art::error::nothing_in_part);
    ReadOptions half;
    half.scale = 0.5;
    const auto small = read_text(text, half);
    REQUIRE(small);
    CHECK(small->page.x == Approx(50));
    CHECK(bounds(*small).width() == Approx(50));
}

TEST_CASE("a pattern squeezed to almost nothing paints a plain tone or nothing") {
    for (const std::string turn :
         {"matrix(.74 0 .7 -.04 50 16)", "scale(1 1e-9)", "scale(1e-160)", "scale(0)", "scale(1e160)"}) {
        INFO(turn);
        const Artwork art = drawing(
            "<pattern id='p' width='4' height='4' patternUnits='userSpaceOnUse' "
            "patternTransform='" +
            turn +
            "'><rect width='2' height='4'/></pattern>"
            "<rect width='40' height='20' fill='url(#p)'/>"
            "<rect y='30' width='10' height='10'/>");
        CHECK(art.shapes.size() == 1);
        CHECK(art.pictures.size() <= 1);
    }
}

TEST_CASE("a pattern's content counts from its tile's corner, wherever the tile lies") {
    // Stripes as librsvg 2.54 draws them: black from 5 to 10, from 15 to 20; and from 54 to 59, from 64 to 69.
    const Artwork art = drawing(
        "<pattern id='p' x='5' y='3' width='10' height='10' patternUnits='userSpaceOnUse'>"
        "<rect width='5' height='10'/></pattern>"
        "<pattern id='q' x='0.1' y='0' width='0.25' height='1' patternContentUnits='objectBoundingBox'>"
        "<rect width='0.125' height='1'/></pattern>"
        "<rect x='0' y='0' width='40' height='40' fill='url(#p)'/>"
        "<rect x='50' y='0' width='40' height='40' fill='url(#q)'/>");
    REQUIRE(art.pictures.size() == 2);
    const auto black = [](const raster::RgbImage& image, double x) {
        const auto column = static_cast<int>(x / 40 * image.width);
        return image.pixels[image.index(column, image.height / 2)].red < 128;
    };
    for (const auto& [x, is] : {std::pair{2.0, false}, {7.5, true}, {12.5, false}, {17.5, true}, {22.5, false}})
        CHECK(black(*art.pictures[0].image, x) == is);
    for (const auto& [x, is] : {std::pair{2.0, false}, {6.5, true}, {11.5, false}, {16.5, true}, {21.5, false}})
        CHECK(black(*art.pictures[1].image, x) == is);
}
