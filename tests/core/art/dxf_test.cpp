// SPDX-License-Identifier: GPL-3.0-or-later
#include "doubles.hpp"
#include "drawings.hpp"

#include <cstring>
#include <numbers>

using namespace chalkline;
using namespace chalkline::art;
using namespace drawings;
using geometry::Box;

namespace {

/// "0 LINE 10 1.5" as lines of groups. Texts with blanks are written with '_'.
std::string groups(std::string text) {
    std::replace(text.begin(), text.end(), ' ', '\n');
    std::replace(text.begin(), text.end(), '_', ' ');
    return text + "\n";
}

std::string dxf(const std::string& entities, const std::string& units = "4", const std::string& more = "") {
    std::string text = groups("0 SECTION 2 HEADER 9 $INSUNITS 70 " + units + " 0 ENDSEC");
    if (units.empty()) text.clear();
    if (!more.empty()) text += groups(more);
    return text + groups("0 SECTION 2 ENTITIES " + entities + " 0 ENDSEC 0 EOF");
}

Artwork read_dxf(const std::string& entities, const std::string& more = "", const Outside& outside = {}) {
    auto art = read_text(dxf(entities, "4", more), {}, outside);
    REQUIRE(art);
    CHECK(art->format == "dxf");
    return *art;
}

double length_of(const std::string& entities, const std::string& more = "") {
    double sum = 0;
    for (const auto& ink : measured_inks(read_dxf(entities, more)))
        sum += ink.length;
    return sum;
}

const std::string a_block =
    "0 SECTION 2 BLOCKS 0 BLOCK 2 B 10 1 20 1 0 LINE 8 0 62 0 10 1 20 1 11 11 21 1 0 CIRCLE 8 0 10 1 20 1 40 2 0 "
    "ENDBLK 0 ENDSEC";

}  // namespace

TEST_CASE("lines, arcs, circles and ellipses") {
    const Artwork art = read_dxf(
        "0 LINE 10 0 20 0 11 30 21 40 0 CIRCLE 62 1 10 100 20 100 40 10 0 ARC 62 3 10 0 20 100 40 10 50 0 51 90 "
        "0 ELLIPSE 62 5 10 50 20 50 11 20 21 0 40 0.5 41 0 42 6.283185307");
    CHECK(summary_of(art, "#000000:line").length == Approx(50));
    CHECK(summary_of(art, "#ff0000:line").length == Approx(20 * std::numbers::pi).epsilon(1e-3));
    CHECK(summary_of(art, "#ff0000:line").closed == 1);
    CHECK(summary_of(art, "#00ff00:line").length == Approx(5 * std::numbers::pi).epsilon(1e-3));
    check_box(summary_of(art, "#0000ff:line").box, {30, 40, 70, 60}, 0.02);
    check_box(Box{art.origin.x, art.origin.y, art.page.x, art.page.y}, {0, 0, 110, 110}, 0.02);
}

TEST_CASE("polylines with bulges, old and new") {
    // Two half circles make a ring.
    CHECK(length_of("0 LWPOLYLINE 90 2 70 1 10 0 20 0 42 1 10 20 20 0 42 1") ==
          Approx(20 * std::numbers::pi).epsilon(1e-3));
    CHECK(length_of("0 POLYLINE 66 1 70 1 0 VERTEX 10 0 20 0 42 1 0 VERTEX 10 20 20 0 42 1 0 SEQEND") ==
          Approx(20 * std::numbers::pi).epsilon(1e-3));
    CHECK(length_of("0 LWPOLYLINE 90 3 70 0 10 0 20 0 10 10 20 0 10 10 20 5") == Approx(15));
    // A bulge to the left lies right of the line: below it here.
    check_box(bounds(read_dxf("0 LINE 62 1 10 0 20 0 11 20 21 0 0 LWPOLYLINE 90 2 70 0 10 0 20 0 42 1 10 20 20 0")),
              {0, 0, 20, 10}, 0.02);
    const Artwork wide = read_dxf("0 LWPOLYLINE 90 2 70 0 43 2 10 0 20 0 10 10 20 0");
    CHECK(summary_of(wide, "#000000:fill").area == Approx(20));
}

TEST_CASE("lines are broken as their linetype says, whoever names it") {
    const std::string types =
        "0 SECTION 2 TABLES 0 TABLE 0 LTYPE 2 DASHED 73 2 40 18 49 12 74 0 49 -6 74 0 0 LTYPE 2 CONTINUOUS 73 0 40 0 "
        "0 LTYPE 2 DOT 73 2 40 2 49 0 49 -2 0 LTYPE 2 GAS 73 2 40 9 49 6 49 -3 74 2 "
        "0 LAYER 2 HIDDEN 70 0 62 7 6 DASHED 0 LAYER 2 PLAIN 70 0 62 7 6 CONTINUOUS 0 ENDTAB 0 ENDSEC";
    const auto lengths = [&](const std::string& entities, const ReadOptions& options = {}) {
        const auto art = read_text(dxf(entities, "4", types), options);
        REQUIRE(art);
        std::vector<double> all;
        for (const Shape& shape : art->shapes)
            for (const auto& line : shape.path.flatten())
                all.push_back(geometry::length(line));
        return all;
    };
    using Lengths = std::vector<double>;
    const auto near = [](const Lengths& found, const Lengths& wanted) {
        REQUIRE(found.size() == wanted.size());
        for (std::size_t i = 0; i < wanted.size(); ++i)
            CHECK(found[i] == Approx(wanted[i]).margin(1e-6));
    };
    const std::string line = "10 0 20 0 11 100 21 0", square = "90 4 70 1 10 0 20 0 10 40 20 0 10 40 20 40 10 0 20 40";
    near(lengths("0 LINE 6 DASHED " + line), {20, 12, 12, 12, 20});
    near(lengths("0 LINE 8 HIDDEN " + line), {20, 12, 12, 12, 20});
    near(lengths("0 LINE 8 HIDDEN 6 BYLAYER 48 2 " + line), {26, 24, 26});
    near(lengths("0 LINE 8 HIDDEN 6 CONTINUOUS " + line), {100});
    near(lengths("0 LINE 8 PLAIN " + line), {100});
    near(lengths("0 LINE 6 DASHED 10 0 20 0 11 29 21 0"), {29});  // too short for a whole pattern
    near(lengths("0 LINE 6 DOT 10 0 20 0 11 4.2 21 0"), {0.2, 0.2, 0.2});
    ReadOptions whole;
    whole.linetypes = false;
    near(lengths("0 LINE 6 DASHED " + line, whole), {100});
    // Corners are drawn; a pattern that runs through begins at the first corner and nowhere else.
    near(lengths("0 LWPOLYLINE 6 DASHED " + square), {34, 34, 34, 34});
    near(lengths("0 LWPOLYLINE 8 PLAIN " + square), {160});
    std::string through = "0 LWPOLYLINE 6 DASHED " + square;
    through.replace(through.find("70 1"), 4, "70 129");
    CHECK(lengths(through).size() == 9);
    CHECK(lengths("0 CIRCLE 6 DASHED 10 0 20 0 40 20").size() == 7);
    // Blocks hand theirs on.
    const std::string block =
        "0 SECTION 2 BLOCKS 0 BLOCK 2 B 10 0 20 0 0 LINE 6 BYBLOCK " + line + " 0 ENDBLK 0 ENDSEC";
    const auto art = read_text(dxf("0 INSERT 2 B 6 DASHED 10 0 20 0", "4", types + " " + block));
    REQUIRE(art);
    CHECK(summary_of(*art, "#000000:line").length == Approx(76));
    CHECK(art->remarks.empty());
    const auto with_shapes = read_text(dxf("0 LINE 6 GAS " + line, "4", types));
    REQUIRE(with_shapes->remarks.size() == 1);
    CHECK(with_shapes->remarks[0].notice.code == notice::unsupported);
}

TEST_CASE("polylines are as wide as each of their corners says") {
    // An arrow: a thin line that ends in a head of 4 × 10.
    const Artwork arrow = read_dxf("0 LWPOLYLINE 90 3 70 0 10 0 20 0 10 20 20 0 40 4 41 0 10 30 20 0");
    CHECK(summary_of(arrow, "#000000:line").length == Approx(20));
    CHECK(summary_of(arrow, "#000000:fill").area == Approx(20));
    check_box(summary_of(arrow, "#000000:fill").box, {20, 0, 30, 4}, 0.01);
    const Artwork old = read_dxf(
        "0 POLYLINE 66 1 70 0 40 2 41 2 0 VERTEX 10 0 20 0 0 VERTEX 10 10 20 0 40 2 41 0 0 VERTEX 10 20 20 0 0 SEQEND");
    CHECK(summary_of(old, "#000000:fill").area == Approx(30).margin(0.05));
    // Half a ring that grows from 1 to 3: as large as one of 2 all along.
    const Artwork ring = read_dxf("0 LWPOLYLINE 90 2 70 0 10 0 20 0 42 1 40 1 41 3 10 20 20 0");
    CHECK(summary_of(ring, "#000000:fill").area == Approx(20 * std::numbers::pi).epsilon(0.01));
}

TEST_CASE("splines") {
    // A cubic Bézier as a clamped spline; its middle lies at 3/4 of the controls' height.
    const Artwork art = read_dxf(
        "0 SPLINE 71 3 72 8 73 4 40 0 40 0 40 0 40 0 40 1 40 1 40 1 40 1 10 0 20 0 10 0 20 20 10 30 20 20 10 30 20 0");
    check_box(bounds(art), {0, 0, 30, 15});
    // A quarter circle as a rational spline of degree 2.
    const double root = std::sqrt(0.5);
    CHECK(length_of("0 SPLINE 71 2 40 0 40 0 40 0 40 1 40 1 40 1 41 1 41 " + std::to_string(root) +
                    " 41 1 10 10 20 0 10 10 20 10 10 0 20 10") == Approx(5 * std::numbers::pi).epsilon(1e-3));
    check_box(bounds(read_dxf("0 SPLINE 71 3 11 0 21 0 11 10 21 5 11 20 21 0")), {0, 0, 20, 5}, 0.3);
    CHECK(read_text(dxf("0 SPLINE 71 3 40 0 40 1 10 0 20 0")).error().code == art::error::nothing_drawable);
}

TEST_CASE("touching ends are joined within 0.05 mm, others are not") {
    const Artwork art = read_dxf(
        "0 LINE 10 0 20 0 11 10 21 0 0 LINE 10 10 20 10 11 10.03 21 0 0 LINE 10 10 20 10 11 0 21 10 "
        "0 LINE 10 0 20 0.04 11 0 21 10 0 LINE 10 30 20 0 11 40 21 0 0 LINE 10 40.2 20 0 11 50 21 0");
    const auto black = summary_of(art, "#000000:line");
    CHECK(black.shapes == 3);
    CHECK(black.closed == 1);
}

TEST_CASE("blocks: scaled, turned, mirrored, repeated, nested, with their insert's colour") {
    const auto box = [](const std::string& insert) {
        const Artwork art = read_dxf(insert, a_block);
        Box b = bounds(art);
        return Box{b.left + art.origin.x, b.bottom + art.origin.y, b.right + art.origin.x, b.top + art.origin.y};
    };
    check_box(box("0 INSERT 2 B 10 100 20 50"), {98, 48, 110, 52}, 0.02);
    check_box(box("0 INSERT 2 B 10 0 20 0 41 2 42 3"), {-4, -6, 20, 6}, 0.03);
    check_box(box("0 INSERT 2 B 10 0 20 0 50 90"), {-2, -2, 2, 10}, 0.02);
    check_box(box("0 INSERT 2 B 10 0 20 0 41 -1"), {-10, -2, 2, 2}, 0.02);
    check_box(box("0 INSERT 2 B 10 0 20 0 70 3 44 20 71 2 45 30"), {-2, -2, 50, 32}, 0.02);
    check_box(box("0 INSERT 2 B 10 5 20 0 230 -1"), {-15, -2, -3, 2}, 0.02);
    const Artwork art = read_dxf("0 INSERT 62 5 2 B 10 0 20 0", a_block);
    CHECK(summary_of(art, "#0000ff:line").shapes == 1);
    CHECK(summary_of(art, "#000000:line").shapes == 1);
    const std::string endless =
        "0 SECTION 2 BLOCKS 0 BLOCK 2 B 0 LINE 10 0 20 0 11 1 21 1 0 INSERT 2 B 0 ENDBLK 0 ENDSEC";
    CHECK(count(read_dxf("0 INSERT 2 B", endless), notice::too_deep) == 1);
    CHECK(count(read_dxf("0 INSERT 2 NONE 0 LINE 10 0 20 0 11 1 21 1"), notice::missing_block) == 1);
}

TEST_CASE("remarks know their line and their place on the page") {
    const Artwork art = read_dxf(
        "0 LINE 10 0 20 0 11 40 21 20 0 INSERT 2 NONE 10 30 20 15 0 MESH 10 1 20 2 "
        "0 MESH 10 3 20 4 0 HATCH 70 0 91 1 92 3 72 0 73 1 93 3 10 5 20 5 10 9 20 5 10 9 20 8 97 0");
    const auto remark = [&](std::string_view code) {
        return *std::find_if(art.remarks.begin(), art.remarks.end(),
                             [&](const Remark& r) { return r.notice.code == code; });
    };
    REQUIRE(count(art, notice::missing_block) == 1);
    REQUIRE(remark(notice::missing_block).places.size() == 1);
    check_box(remark(notice::missing_block).places[0], {30, 15, 30, 15});
    CHECK(remark(notice::missing_block).notice.line > 10);
    CHECK(remark(notice::unsupported).places.size() == 2);
    REQUIRE(remark(notice::hatch_pattern).places.size() == 1);
    check_box(remark(notice::hatch_pattern).places[0], {5, 5, 9, 8});
}

TEST_CASE("colours by entity, layer and truth, and layers that are off are left out and named") {
    const std::string layers =
        "0 SECTION 2 TABLES 0 LAYER 2 Cut 62 1 0 LAYER 2 Off 62 -3 0 LAYER 2 Frozen 70 1 62 4 0 LAYER 2 True 62 7 420 "
        "1193046 0 ENDSEC";
    const Artwork art = read_dxf(
        "0 LINE 8 CUT 10 0 20 0 11 9 21 0 0 LINE 8 Off 10 0 20 0 11 999 21 0 0 LINE 8 Frozen 10 0 20 0 11 999 21 0 "
        "0 LINE 8 True 10 0 20 5 11 9 21 5 0 LINE 8 Cut 420 255 10 0 20 7 11 9 21 7 0 LINE 8 Cut 62 30 10 0 20 8 11 9 "
        "21 8",
        layers);
    CHECK(art.page.x == Approx(9));
    for (const char* ink : {"#ff0000:line", "#123456:line", "#0000ff:line", "#ff7f00:line"})
        CHECK(summary_of(art, ink).length == Approx(9));
    REQUIRE(count(art, notice::layers_off) == 1);
    CHECK(art.remarks[0].notice.parameters[0].second == "FROZEN, OFF");
}

TEST_CASE("solids and hatches are areas") {
    CHECK(summary_of(read_dxf("0 SOLID 10 0 20 0 11 10 21 0 12 0 22 5 13 10 23 5"), "#000000:fill").area == Approx(50));
    const std::string hatch =
        "0 HATCH 70 1 91 2 92 3 72 0 73 1 93 4 10 0 20 0 10 10 20 0 10 10 20 10 10 0 20 10 97 0 "
        "92 2 72 0 73 1 93 4 10 2 20 2 10 8 20 2 10 8 20 8 10 2 20 8 97 0 75 0 76 1 98 0";
    CHECK(summary_of(read_dxf(hatch), "#000000:fill").area == Approx(64));
    const std::string edges =
        "0 HATCH 70 0 91 1 92 1 93 2 72 2 10 0 20 0 40 10 50 0 51 180 73 1 72 1 10 -10 20 0 11 10 21 0 97 0 75 0";
    const Artwork half = read_dxf(edges);
    CHECK(summary_of(half, "#000000:fill").area == Approx(50 * std::numbers::pi).epsilon(2e-3));
    CHECK(count(half, notice::hatch_pattern) == 1);
}

TEST_CASE("letters stand where they are aligned, as outlines or single strokes") {
    const BoxLetters letters;
    const Outside outside{nullptr, &letters, {}};
    const auto box = [&](const std::string& entities) {
        const Artwork art = read_dxf("0 LINE 62 1 10 0 20 0 11 200 21 200 " + entities, "", outside);
        return summary_of(art, "#000000:fill").box;
    };
    // A capital is 0.716 of the font's size: letters of height 7.16 are 5 wide each, and boxes 7 high.
    check_box(box("0 TEXT 40 7.16 1 ab 10 10 20 20"), {10, 20, 20, 27});
    check_box(box("0 TEXT 40 7.16 1 ab 10 0 20 0 72 1 11 50 21 20"), {45, 20, 55, 27});
    check_box(box("0 TEXT 40 7.16 1 ab 10 0 20 0 72 2 73 3 11 50 21 50"), {40, 42.84, 50, 49.84});
    check_box(box("0 TEXT 40 7.16 1 ab 10 100 20 20 50 90"), {93, 20, 100, 30});
    CHECK(count(read_dxf("0 MTEXT 40 5 1 a\\Pb", "", outside), notice::unsupported) == 0);
    CHECK(count(read_dxf("0 MTEXT 40 5 1 {\\H2;a}b", "", outside), notice::unsupported) == 1);
    check_box(box("0 MTEXT 40 7.16 1 a\\Pbc 10 10 20 100 71 1"), {10, 80.907, 20, 99.84}, 0.02);
    ReadOptions strokes;
    strokes.text = DrawnText::single_stroke;
    const auto single = read_text(dxf("0 TEXT 40 7.16 1 ab 10 10 20 20"), strokes, outside);
    REQUIRE(single);
    CHECK(summary_of(*single, "#000000:line").length == Approx(14));
    CHECK(count(read_dxf("0 TEXT 40 5 1 a 0 LINE 10 0 20 0 11 1 21 1"), notice::unsupported, "text") == 1);
}

TEST_CASE("units come from the file, or from the maker when it is silent") {
    const std::string line = "0 LINE 10 0 20 0 11 10 21 0";
    CHECK(read_text(dxf(line, "1"))->page.x == Approx(254));
    CHECK(read_text(dxf(line, "5"))->page.x == Approx(100));
    const auto silent = read_text(dxf(line, ""));
    REQUIRE(silent);
    CHECK(silent->unit_missing);
    CHECK(silent->page.x == Approx(10));
    CHECK(count(*silent, notice::unit_missing) == 1);
    ReadOptions inches;
    inches.unit = 25.4;
    CHECK(read_text(dxf(line, "0"), inches)->page.x == Approx(254));
    CHECK(read_text(dxf(line, "4"), inches)->page.x == Approx(10));
}

TEST_CASE("the binary form is read like the text") {
    std::string bytes(
        "Auto"
        "CAD Binary DXF\r\n\x1a\0",
        22);
    const auto add = [&bytes](std::int16_t code, const auto& value) {
        bytes.append(reinterpret_cast<const char*>(&code), 2);
        if constexpr (std::is_convertible_v<decltype(value), std::string>)
            bytes += std::string(value) + '\0';
        else
            bytes.append(reinterpret_cast<const char*>(&value), sizeof value);
    };
    for (const char* text : {"SECTION"})
        add(0, std::string(text));
    add(2, std::string("ENTITIES"));
    add(0, std::string("LINE"));
    add(62, std::int16_t{1});
    for (const auto& [code, value] : {std::pair{10, 0.0}, {20, 0.0}, {11, 30.0}, {21, 40.0}})
        add(static_cast<std::int16_t>(code), value);
    add(0, std::string("ENDSEC"));
    add(0, std::string("EOF"));
    const auto art = read_text(bytes);
    REQUIRE(art);
    CHECK(summary_of(*art, "#ff0000:line").length == Approx(50));
    for (std::size_t cut = 30; cut < bytes.size(); cut += 7)
        (void)read_text(bytes.substr(0, cut));
}

TEST_CASE("broken DXF gets a message, counts that lie do no harm") {
    CHECK(read_text(groups("0 SECTION 2 ENTITIES 0 LINE x 5")).error().code == art::error::broken_dxf);
    const auto cut = read_text(groups("0 SECTION 2 ENTITIES 0 LINE 10 0 20 0 11 9 21 0 0 LINE 10 0 20 0 11 50 21"));
    REQUIRE(cut);
    CHECK(count(*cut, notice::cut_short) == 1);
    CHECK(cut->page.x == Approx(9));
    const auto nothing = read_text(dxf("0 POINT 10 0 20 0"));
    REQUIRE_FALSE(nothing);
    CHECK(nothing.error().code == art::error::nothing_reproduced);
    CHECK(nothing.error().parameters == Parameters{{"features", "POINT"}});
    for (const char* hostile :
         {"0 LWPOLYLINE 90 2000000000 42 1.0 10 1 20 1 10 2 20 2", "0 SPLINE 71 999999999 72 -5 73 7 40 1 10 2 20 2",
          "0 HATCH 91 2000000000 92 1 93 2000000000 72 4 94 3 95 2000000000 96 9", "0 INSERT 2 B 70 30000 71 30000",
          "0 ARC 10 0 20 0 40 1e308 50 1e308 51 -1e308", "0 TEXT 40 1e300 1 x"})
        (void)read_text(dxf(std::string(hostile) + " 0 LINE 10 0 20 0 11 1 21 1", "4", a_block));
    CHECK(count(read_dxf("0 LINE 10 1e9 20 0 11 2e9 21 0 0 LINE 10 0 20 0 11 1 21 1"), notice::absurd_place) == 1);
    // A plan in a country's grid lies where it lies; what is far from it is the stray.
    const Artwork plan = read_dxf(
        "0 LINE 10 2600000000 20 1200000000 11 2600000030 21 1200000000 0 LINE 10 2600000030 20 1200000000 11 "
        "2600000030 "
        "21 1200000020 0 LINE 10 0 20 0 11 1 21 1 0 LINE 10 2600000000 20 1200000010 11 2600000005 21 1200000010");
    CHECK(count(plan, notice::absurd_place) == 1);
    CHECK(plan.page.x == Approx(30).margin(1e-3));
    CHECK(plan.page.y == Approx(20).margin(1e-3));
    CHECK(plan.origin.x == Approx(2.6e9));
    for (const char* type : {"POINT", "RAY", "XLINE", "WIPEOUT", "OLE2FRAME"}) {
        const std::string entity = std::string("0 ") + type + " 10 1 20 1 11 1 21 0 ";
        CHECK(count(read_dxf(entity + entity + "0 LINE 10 0 20 0 11 1 21 1"), notice::unsupported, type) == 2);
    }
    CHECK(count(read_dxf("0 3DSOLID 0 LINE 10 0 20 0 11 1 21 1"), notice::unsupported, "3DSOLID") == 1);
}

TEST_CASE("what lies inside an entity is not its own, and what is hidden is not drawn") {
    // As files of 2018 have it: codes behind 101 belong to a record of its own inside the text.
    const BoxLetters letters;
    const Outside outside{nullptr, &letters, {}};
    const auto box = [&](const std::string& text) {
        return summary_of(read_dxf("0 LINE 62 1 10 0 20 0 11 200 21 200 " + text, "", outside), "#000000:fill").box;
    };
    const std::string plain = "0 MTEXT 40 7.16 1 ab 10 10 20 100 71 1";
    check_box(box(plain + " 101 EmbeddedObject 70 1 10 0 20 1 30 0 11 60 21 60 31 0 40 50 71 9"), box(plain));
    const Artwork seen = read_dxf(
        "0 LINE 10 0 20 0 11 10 21 0 0 LINE 60 1 10 0 20 0 11 500 21 0 0 LINE 60 0 10 0 20 5 "
        "11 10 21 5");
    CHECK(seen.shapes.size() == 2);
    CHECK(seen.page.x == Approx(10));
}
