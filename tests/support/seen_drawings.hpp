// SPDX-License-Identifier: GPL-3.0-or-later
// Small drawings of paint over paint and what is seen of them, worked out by hand.
#pragma once
#include <map>
#include <string>
#include <vector>

namespace chalkline::test {

/// mm² seen by colour; what is hidden altogether or left out by name is 0.
using Areas = std::map<std::string, double>;

struct Seen {
    const char* what;
    std::string inside;
    Areas areas;
};

inline std::string rect(double x, double y, double w, double h, const std::string& how) {
    const auto n = [](double v) { return std::to_string(v); };
    return "<rect x='" + n(x) + "' y='" + n(y) + "' width='" + n(w) + "' height='" + n(h) + "' " + how + "/>";
}

inline const std::string solid = rect(0, 0, 20, 10, "");
inline const std::string paint_black = "fill='#000'", paint_white = "fill='#fff'", paint_red = "fill='#f00'";
inline constexpr double pi = 3.14159265358979;

inline std::string marker(const std::string& inside, const std::string& how) {
    return "<marker id='a' markerUnits='userSpaceOnUse' " + how + ">" + inside + "</marker>";
}

/// On a page of 100 × 50 mm in which a user unit is a millimetre.
inline const std::vector<Seen> drawings_seen{
    // covering
    {"white on black", solid + rect(5, 2, 10, 6, paint_white), {{"#000000", 140}, {"#ffffff", 60}}},
    {"black on white on black",
     solid + rect(5, 2, 10, 6, paint_white) + rect(8, 4, 4, 2, paint_black),
     {{"#000000", 148}, {"#ffffff", 52}}},
    {"the same ink over itself counts once", solid + rect(10, 0, 20, 10, paint_black), {{"#000000", 300}}},
    {"hidden altogether", solid + rect(0, 0, 20, 10, paint_red), {{"#000000", 0}, {"#ff0000", 200}}},
    {"beside each other", solid + rect(20, 0, 20, 10, paint_red), {{"#000000", 200}, {"#ff0000", 200}}},
    {"half over the edge", solid + rect(10, 0, 20, 10, paint_red), {{"#000000", 100}, {"#ff0000", 200}}},
    {"a stroke under its fill",
     rect(5, 5, 10, 6, "fill='#fff' stroke='#000' stroke-width='4' paint-order='stroke'"),
     {{"#000000", 80}, {"#ffffff", 60}}},
    {"a stroke over its fill, whatever else is named first",
     rect(5, 5, 10, 6, "fill='#fff' stroke='#000' stroke-width='4' style='paint-order:markers fill'"),
     {{"#000000", 128}, {"#ffffff", 12}}},
    {"three in a pile",
     solid + rect(5, 0, 20, 10, paint_red) + rect(10, 0, 20, 10, "fill='#00f'"),
     {{"#000000", 50}, {"#ff0000", 50}, {"#0000ff", 200}}},
    {"order, not ink, decides", rect(0, 0, 20, 10, paint_red) + solid, {{"#ff0000", 0}, {"#000000", 200}}},
    {"a ring lets the middle be seen",
     solid + "<path d='M4 1H16V9H4Z M7 3H13V7H7Z' fill-rule='evenodd' fill='#fff'/>",
     {{"#000000", 200 - 96 + 24}, {"#ffffff", 72}}},
    {"a hole by direction",
     solid + "<path d='M4 1H16V9H4Z M7 3V7H13V3Z' fill='#fff'/>",
     {{"#000000", 200 - 96 + 24}, {"#ffffff", 72}}},
    {"a circle",
     solid + "<circle cx='10' cy='5' r='4' fill='#fff'/>",
     {{"#000000", 200 - 16 * pi}, {"#ffffff", 16 * pi}}},
    {"a turned square",
     solid + "<rect x='8' y='3' width='4' height='4' fill='#fff' transform='rotate(45 10 5)'/>",
     {{"#000000", 184}, {"#ffffff", 16}}},
    {"a wide stroke covers",
     solid + "<path d='M0 5H20' stroke='#fff' stroke-width='2' fill='none'/>",
     {{"#000000", 160}, {"#ffffff", 40}}},
    {"a thin line covers nothing", solid + "<path d='M0 5H20' stroke='#f00' fill='none'/>", {{"#000000", 200}}},
    {"stroke over its own fill",
     "<rect x='2' y='2' width='10' height='6' stroke='#f00' stroke-width='2'/>",
     {{"#000000", 8 * 4}, {"#ff0000", 12 * 8 - 8 * 4}}},
    {"a clip covers only inside",
     "<clipPath id='c'><rect width='10' height='10'/></clipPath>" + solid +
         rect(0, 2, 20, 6, "fill='#fff' clip-path='url(#c)'"),
     {{"#000000", 140}, {"#ffffff", 60}}},
    {"none is no paint", solid + rect(0, 0, 20, 10, "fill='none'"), {{"#000000", 200}}},
    {"hidden elements cover nothing",
     solid + rect(0, 0, 20, 10, "fill='#fff' visibility='hidden'"),
     {{"#000000", 200}}},
    {"display none covers nothing", solid + rect(0, 0, 20, 10, "fill='#fff' display='none'"), {{"#000000", 200}}},
    {"used twice",
     "<defs><rect id='r' width='4' height='4' fill='#fff'/></defs>" + solid +
         "<use xlink:href='#r' x='2' y='2'/><use xlink:href='#r' x='4' y='2'/>",
     {{"#000000", 176}, {"#ffffff", 24}}},
    {"in groups",
     "<g>" + solid + "</g><g><g>" + rect(5, 2, 10, 6, paint_white) + "</g></g>",
     {{"#000000", 140}, {"#ffffff", 60}}},
    {"a nested drawing",
     solid + "<svg x='5' y='2' width='10' height='6'>" + rect(0, 0, 50, 50, paint_white) + "</svg>",
     {{"#000000", 140}, {"#ffffff", 60}}},
    {"reaching over the page",
     rect(-10, 0, 20, 10, "") + rect(-5, 0, 10, 10, paint_white),
     {{"#000000", 100}, {"#ffffff", 100}}},
    {"touching edges",
     solid + rect(0, 0, 10, 10, paint_white) + rect(10, 0, 10, 10, paint_red),
     {{"#000000", 0}, {"#ffffff", 100}, {"#ff0000", 100}}},
    {"checkers",
     solid + rect(0, 0, 5, 5, paint_white) + rect(5, 5, 5, 5, paint_white) + rect(10, 0, 5, 5, paint_white),
     {{"#000000", 125}, {"#ffffff", 75}}},

    // translucency
    {"30 % black", rect(0, 0, 20, 10, "opacity='0.3'"), {{"#b3b3b3", 200}}},
    {"fill-opacity", rect(0, 0, 20, 10, "fill-opacity='0.3'"), {{"#b3b3b3", 200}}},
    {"a percentage", rect(0, 0, 20, 10, "fill-opacity='30%'"), {{"#b3b3b3", 200}}},
    {"rgba", rect(0, 0, 20, 10, "fill='rgba(0,0,0,0.3)'"), {{"#b3b3b3", 200}}},
    {"hsla", rect(0, 0, 20, 10, "fill='hsla(0,0%,0%,0.3)'"), {{"#b3b3b3", 200}}},
    {"eight digits", rect(0, 0, 20, 10, "fill='#0000004d'"), {{"#b2b2b2", 200}}},
    {"both opacities", rect(0, 0, 20, 10, "opacity='0.5' fill-opacity='0.5'"), {{"#bfbfbf", 200}}},
    {"group and own", "<g opacity='0.5'>" + rect(0, 0, 20, 10, "opacity='0.5'") + "</g>", {{"#bfbfbf", 200}}},
    {"a colour", rect(0, 0, 20, 10, "fill='#f00' opacity='0.5'"), {{"#ff8080", 200}}},
    {"opacity 0 is nothing", solid + rect(0, 0, 20, 10, "fill='#fff' opacity='0'"), {{"#000000", 200}}},
    {"opacity 1 is opaque", solid + rect(5, 2, 10, 6, "fill='#fff' opacity='1'"), {{"#000000", 140}, {"#ffffff", 60}}},
    {"a white veil on black",
     solid + rect(5, 2, 10, 6, "fill='#fff' opacity='0.3'"),
     {{"#000000", 140}, {"#4d4d4d", 60}}},
    {"a shadow on white",
     rect(0, 0, 20, 10, paint_white) + rect(5, 2, 10, 6, "opacity='0.2'"),
     {{"#ffffff", 140}, {"#cccccc", 60}}},
    {"a shadow on black is black", solid + rect(5, 2, 10, 6, "opacity='0.2'"), {{"#000000", 200}}},
    {"over the edge of a solid",
     solid + rect(10, 0, 20, 10, "fill='#fff' opacity='0.5'"),
     {{"#000000", 100}, {"#808080", 100}, {"#ffffff", 100}}},
    {"half over bare, half over red",
     rect(0, 0, 10, 10, paint_red) + rect(5, 0, 10, 10, "opacity='0.5'"),
     {{"#ff0000", 50}, {"#800000", 50}, {"#808080", 50}}},
    {"two veils",
     rect(0, 0, 20, 10, "opacity='0.5'") + rect(10, 0, 20, 10, "opacity='0.5'"),
     {{"#808080", 200}, {"#404040", 100}}},
    {"three veils in one place",
     rect(0, 0, 10, 10, "opacity='0.5'") + rect(0, 0, 10, 10, "opacity='0.5'") + rect(0, 0, 10, 10, "opacity='0.5'"),
     {{"#808080", 0}, {"#404040", 0}, {"#202020", 100}}},
    {"a group fades as one",
     "<g opacity='0.5'>" + rect(0, 0, 20, 10, "") + rect(10, 0, 20, 10, "") + "</g>",
     {{"#808080", 300}}},
    {"a group's own white covers inside it",
     "<g opacity='0.5'>" + solid + rect(5, 2, 10, 6, paint_white) + "</g>",
     {{"#808080", 140}, {"#ffffff", 60}}},
    {"a faded group over a solid",
     rect(0, 0, 40, 10, paint_red) + "<g opacity='0.5'>" + solid + rect(5, 2, 10, 6, paint_white) + "</g>",
     {{"#ff0000", 200}, {"#800000", 140}, {"#ff8080", 60}}},
    {"groups in groups",
     "<g opacity='0.5'><g opacity='0.5'>" + solid + "</g>" + rect(20, 0, 10, 10, "") + "</g>",
     {{"#bfbfbf", 200}, {"#808080", 100}}},
    {"fill and stroke fade together",
     "<rect x='2' y='2' width='10' height='6' stroke='#000' stroke-width='2' opacity='0.5'/>",
     {{"#808080", 96}}},
    {"fill fades under its stroke",
     "<rect x='2' y='2' width='10' height='6' stroke='#000' stroke-width='2' fill-opacity='0.5'/>",
     {{"#808080", 32}, {"#000000", 64}}},
    {"stroke fades over its fill",
     "<rect x='2' y='2' width='10' height='6' stroke='#fff' stroke-width='2' stroke-opacity='0.5'/>",
     {{"#000000", 32}, {"#808080", 28}, {"#ffffff", 36}}},
    {"a faded use",
     "<defs><g id='r'><rect width='4' height='4'/><rect x='2' width='4' height='4'/></g></defs>"
     "<use xlink:href='#r' opacity='0.5'/>",
     {{"#808080", 24}}},
    {"a faded symbol",
     "<symbol id='s' opacity='0.5' viewBox='0 0 4 4'><rect width='4' height='4'/></symbol>"
     "<use xlink:href='#s' width='4' height='4'/>",
     {{"#808080", 16}}},
    {"a veil covered later",
     rect(0, 0, 20, 10, "opacity='0.5'") + rect(5, 2, 10, 6, paint_white),
     {{"#808080", 140}, {"#ffffff", 60}}},
    {"a veil under a hole",
     solid + "<path d='M0 0H20V10H0Z M5 2H15V8H5Z' fill-rule='evenodd' fill='#fff' opacity='.5'/>",
     {{"#808080", 140}, {"#000000", 60}}},
    {"a round veil on a solid's corner",
     solid + "<circle cx='20' cy='10' r='4' fill='#fff' opacity='0.5'/>",
     {{"#000000", 200 - 4 * pi}, {"#808080", 4 * pi}, {"#ffffff", 12 * pi}}},
    {"style sheets too",
     "<style>.v{fill:#fff;opacity:.5}</style>" + solid + rect(5, 2, 10, 6, "class='v'"),
     {{"#000000", 140}, {"#808080", 60}}},
    {"currentColor with alpha",
     "<g color='rgba(0,0,0,.5)'>" + rect(0, 0, 20, 10, "fill='currentColor'") + "</g>",
     {{"#808080", 200}}},
    {"a clipped veil",
     "<clipPath id='c'><rect width='10' height='10'/></clipPath>" + solid +
         rect(0, 2, 20, 6, "fill='#fff' opacity='.5' clip-path='url(#c)'"),
     {{"#000000", 140}, {"#808080", 60}}},
    {"a gradient of one colour is flat",
     "<linearGradient id='g'><stop stop-opacity='.5'/><stop offset='1' stop-opacity='.5'/></linearGradient>" +
         rect(0, 0, 20, 10, "fill='url(#g)'"),
     {{"#808080", 200}}},
    {"faded letters fade as one",
     "<g opacity='.5'><path d='M0 0H4V4H0Z'/><path d='M3 0H7V4H3Z'/></g>",
     {{"#808080", 28}}},
    // markers
    {"a marker at the end",
     marker("<rect width='4' height='4'/>", "markerWidth='4' markerHeight='4' refX='2' refY='2'") +
         "<path d='M10 10H40' marker-end='url(#a)'/>",
     {{"#000000", 16}}},
    {"markers on every corner, turned along the line",
     marker("<rect width='8' height='1'/>", "markerWidth='8' markerHeight='1' refY='.5' orient='auto'") +
         "<polyline points='10,10 30,10 30,30 60,40' fill='none' style='marker:url(#a)'/>",
     {{"#000000", 32}}},
    {"markers along curves and arcs",
     marker("<rect width='8' height='1'/>", "markerWidth='8' markerHeight='1' refX='-3' refY='.5' orient='auto'") +
         "<path d='M10 25C10 5 30 5 30 25A10 10 0 0 0 50 25Q70 25 70 45' fill='none' style='marker:url(#a)'/>",
     {{"#000000", 32}}},
    {"markers of a closed line",
     marker("<rect width='6' height='2'/>", "markerWidth='6' markerHeight='2' refX='-4' refY='1' orient='auto'") +
         "<path d='M20 10H50V40H20Z' fill='none' style='marker:url(#a)'/>",
     {{"#000000", 48}}},
    {"the marker of a beginning looks back",
     marker("<path d='M0 0L6 2L0 4Z'/>", "markerWidth='6' markerHeight='4' refY='2' orient='auto-start-reverse'") +
         "<path d='M20 10L50 30' fill='none' marker-start='url(#a)' marker-end='url(#a)'/>",
     {{"#000000", 24}}},
    {"a marker grows with its line",
     "<marker id='a'><rect width='3' height='3'/></marker>"
     "<path d='M10 10H40' stroke-width='2' marker-end='url(#a)'/>",
     {{"#000000", 36}}},
    {"a marker with a view box, cut at its edge",
     marker("<rect x='5' width='20' height='10'/>",
            "markerWidth='5' markerHeight='5' viewBox='0 0 10 10' refX='5' refY='5' orient='90'") +
         "<path d='M10 10H40' marker-end='url(#a)'/>",
     {{"#000000", 12.5}}},
    {"markers lie over their line's paint, or under it",
     marker("<rect width='4' height='4' fill='#f00'/>", "markerWidth='4' markerHeight='4'") +
         "<path d='M10 10H20V20H10Z' marker-start='url(#a)'/>"
         "<path d='M40 10H50V20H40Z' marker-start='url(#a)' style='paint-order:markers'/>",
     {{"#000000", 184}, {"#ff0000", 16}}},
    // masks
    {"a hard mask",
     "<mask id='m'><rect width='10' height='50' fill='#fff'/></mask>" + rect(0, 0, 20, 10, "mask='url(#m)'"),
     {{"#000000", 100}}},
    {"a mask with a hole",
     "<mask id='m'><rect width='50' height='50' fill='#fff'/><rect x='5' y='2' width='10' height='6'/></mask>" +
         rect(0, 0, 20, 10, "mask='url(#m)'"),
     {{"#000000", 140}}},
    {"a grey mask",
     "<mask id='m'><rect width='50' height='50' fill='#808080'/></mask>" + rect(0, 0, 20, 10, "mask='url(#m)'"),
     {{"#7f7f7f", 200}}},
    {"a mask over a plate",
     solid + "<mask id='m'><rect width='10' height='50' fill='#fff'/></mask>" +
         rect(0, 2, 20, 6, "fill='#fff' mask='url(#m)'"),
     {{"#000000", 140}, {"#ffffff", 60}}},
    {"a mask of a group",
     "<mask id='m' maskContentUnits='objectBoundingBox'><rect width='.5' height='1' fill='#fff'/></mask>"
     "<g mask='url(#m)'>" +
         solid + rect(5, 2, 10, 6, paint_white) + "</g>",
     {{"#000000", 70}, {"#ffffff", 30}}},
    {"a mask's content takes its colour from around the mask",
     "<g fill='#fff'><mask id='m'><rect width='10' height='50'/></mask></g>" + rect(0, 0, 20, 10, "mask='url(#m)'"),
     {{"#000000", 100}}},
    {"a clip's content takes its rule from the clip",
     "<clipPath id='c' clip-rule='evenodd'><path d='M0 0H20V10H0Z M5 2H15V8H5Z'/></clipPath>" +
         rect(0, 0, 20, 10, "clip-path='url(#c)'"),
     {{"#000000", 140}}},
    {"a marker takes its colour from around it",
     "<g fill='#f00'>" + marker("<rect width='3' height='3'/>", "orient='0'") +
         "</g><path d='M10 10H20V20H10Z' marker-start='url(#a)'/>",
     {{"#000000", 91}, {"#ff0000", 9}}},
    {"a stop's current colour is that around the gradient",
     "<g color='#f00'><linearGradient id='g'><stop stop-color='currentColor'/></linearGradient></g>" +
         rect(0, 0, 20, 10, "fill='url(#g)'"),
     {{"#ff0000", 200}}},
    {"a stop inherits the gradient's colour",
     "<linearGradient id='g' stop-color='#f00' stop-opacity='.5'><stop stop-color='inherit'/></linearGradient>" +
         rect(0, 0, 20, 10, "fill='url(#g)'"),
     {{"#ff0000", 200}}},
    {"a use moves its clip along",
     "<clipPath id='c'><rect width='10' height='10'/></clipPath><defs><rect id='r' width='20' height='10'/></defs>"
     "<use href='#r' x='15' clip-path='url(#c)'/>",
     {{"#000000", 100}}},
    {"a use moves its mask along",
     "<mask id='m'><rect width='10' height='10' fill='#fff'/></mask><defs><rect id='r' width='20' height='10'/></defs>"
     "<use href='#r' x='5' y='20' mask='url(#m)'/>",
     {{"#000000", 100}}},
    {"a segment of no length is a dot of the pen",
     "<path d='M10 10h0M20 10ZM30 10' stroke='#f00' stroke-width='4' stroke-linecap='square'/>",
     {{"#000000", 0}, {"#ff0000", 32}}},
    {"a dot and a line that share a place",
     "<path d='M10 10Zh5' stroke='#f00' stroke-width='4' stroke-linecap='square'/>",
     {{"#000000", 0}, {"#ff0000", 36}}},
    {"a mask's frame is that of the shape, not of its outline",
     "<mask id='m'><rect width='50' height='50' fill='#fff'/></mask>" +
         rect(10, 10, 10, 10, "stroke='#f00' stroke-width='4' mask='url(#m)'"),
     {{"#000000", 36}, {"#ff0000", 108}}},
    {"a veil over a picture shows what is under its holes",
     "<pattern id='p' patternUnits='userSpaceOnUse' width='100' height='100'><rect width='4' height='4' "
     "fill='#fff'/></pattern>" +
         solid + rect(0, 0, 20, 10, "fill='url(#p)'") + rect(0, 5, 20, 5, "fill='#fff' opacity='.5'"),
     {{"#000000", 84}, {"#808080", 100}}},
    {"an empty mask hides all",
     solid + "<mask id='m'/>" + rect(0, 0, 20, 10, "fill='#f00' mask='url(#m)'"),
     {{"#000000", 200}, {"#ff0000", 0}}},
    {"a white shape faded on bare stays bare", rect(0, 0, 20, 10, "fill='#fff' opacity='.5'"), {{"#ffffff", 200}}},
};

}  // namespace chalkline::test
