// SPDX-License-Identifier: GPL-3.0-or-later
// What we read, mix and burn against librsvg, which draws the same files by itself.
#include "support/pdf_file.hpp"
#include "support/seen_drawings.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/machine/walk.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/surroundings/surroundings.hpp>

#include <catch2/catch.hpp>

#include <cmath>

using namespace chalkline;

namespace {

constexpr double pitch = 0.1;  // mm

std::string page(const std::string& inside) {
    return "<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink' width='100mm' "
           "height='50mm' viewBox='0 0 100 50' stroke-width='0.1'>" +
           inside + "</svg>";
}

art::Artwork read_text(const std::string& text, const art::ReadOptions& options = {}) {
    static const Surroundings surroundings;
    auto art = art::read(std::make_shared<const std::string>(text), "t.svg", options, surroundings.of_nothing());
    INFO((art ? std::string() : art.error().code));
    REQUIRE(art);
    return *art;
}

/// Brightness of the whole page over white, a value a dot, rows top down.
struct Greys {
    int width = 0, height = 0;
    std::vector<int> values;
    int at(int x, int y) const {
        return values[static_cast<std::size_t>(y) * static_cast<std::size_t>(width) + static_cast<std::size_t>(x)];
    }
    /// Nothing changes round this place: no edge is near.
    bool calm(int x, int y) const {
        if (x < 1 || y < 1 || x >= width - 1 || y >= height - 1) return false;
        for (int dy = -1; dy <= 1; ++dy)
            for (int dx = -1; dx <= 1; ++dx)
                if (std::abs(at(x + dx, y + dy) - at(x, y)) > 3) return false;
        return true;
    }
};
int grey(Rgb p) {
    return (p.red * 299 + p.green * 587 + p.blue * 114 + 500) / 1000;
}
Greys greys_of(const raster::RgbImage& image) {
    Greys greys{image.width, image.height, {}};
    for (const Rgb p : image.pixels)
        greys.values.push_back(grey(p));
    return greys;
}

/// Of the drawings only this one shows nothing at all.
const std::string all_white = test::drawings_seen.back().inside;

/// The page as librsvg draws it.
Greys looks(const std::string& text) {
    art::ReadOptions options;
    options.as_picture = pitch;
    Greys greys{1000, 500, std::vector<int>(500'000, 255)};
    if (text.find(all_white) != std::string::npos) return greys;  // nothing to burn is refused
    const art::Artwork art = read_text(text, options);
    for (const art::PlacedPicture& picture : art.pictures) {
        const int left = static_cast<int>(std::lround(picture.place.e / pitch));
        const int top = static_cast<int>(std::lround((art.page.y - picture.place.f - picture.place.d) / pitch));
        for (int y = 0; y < picture.image->height; ++y)
            for (int x = 0; x < picture.image->width; ++x)
                greys.values[static_cast<std::size_t>((top + y) * 1000 + left + x)] =
                    grey(picture.image->pixels[picture.image->index(x, y)]);
    }
    return greys;
}

double share_apart(const Greys& ours, const Greys& theirs, int far) {
    REQUIRE(ours.values.size() == theirs.values.size());
    std::size_t apart = 0;
    for (std::size_t i = 0; i < ours.values.size(); ++i)
        apart += std::abs(ours.values[i] - theirs.values[i]) > far ? 1 : 0;
    return static_cast<double>(apart) / static_cast<double>(ours.values.size());
}

/// Dots of the page that some lit move goes over: everything but white burns.
Greys burned(const std::string& text) {
    job::Job job = job::add_art({}, std::make_shared<const art::Artwork>(read_text(text)), {});
    job.motifs[0].place = geometry::Transform::move(50, 50);
    std::erase_if(job.steps, [](const job::Step& step) { return step.settings.kind != steps::StepKind::engrave; });
    Greys greys{1000, 500, std::vector<int>(500'000, 255)};
    const auto planned = planning::plan(job, {});
    if (!planned) return greys;
    machine::walk(planned->program, [&](const machine::Stretch& s) {
        if (s.power == 0) return;
        const int y = std::clamp(static_cast<int>((50 - (s.from.y - 50)) / pitch), 0, 499);
        const double from = (std::min(s.from.x, s.to.x) - 50) / pitch, to = (std::max(s.from.x, s.to.x) - 50) / pitch;
        for (int x = std::max(0, static_cast<int>(std::ceil(from - 0.5))); x + 0.5 < to && x < 1000; ++x)
            greys.values[static_cast<std::size_t>(y * 1000 + x)] = 0;
    });
    return greys;
}

}  // namespace

TEST_CASE("what is read of paint over paint looks as another renderer draws it") {
    for (const test::Seen& seen : test::drawings_seen) {
        INFO(seen.what);
        const std::string text = page(seen.inside);
        CHECK(share_apart(greys_of(art::drawn(read_text(text), pitch)), looks(text), 24) < 0.01);
    }
}

TEST_CASE("what burns is dark where another renderer is dark, and bare where it is bare") {
    for (const test::Seen& seen : test::drawings_seen) {
        INFO(seen.what);
        const std::string text = page(seen.inside);
        const Greys theirs = looks(text), ours = burned(text);
        std::size_t calm = 0, wrong = 0;
        for (int y = 0; y < 500; ++y)
            for (int x = 0; x < 1000; ++x) {
                if (!theirs.calm(x, y)) continue;
                ++calm;
                wrong += (theirs.at(x, y) < 250) != (ours.at(x, y) == 0) ? 1 : 0;
            }
        CHECK(static_cast<double>(wrong) < 0.01 * static_cast<double>(calm));
    }
}

TEST_CASE("gradients, pictures and veils over them are mixed as another renderer mixes them") {
    const std::string gradient =
        "<linearGradient id='g'><stop stop-color='#204080'/><stop offset='1' stop-color='#fff' stop-opacity='0'/>"
        "</linearGradient><radialGradient id='r'><stop stop-color='#fc0'/><stop offset='1' stop-color='#fc0' "
        "stop-opacity='0'/></radialGradient>"
        "<pattern id='p' width='4' height='4' patternUnits='userSpaceOnUse'><rect width='2' height='2' "
        "opacity='.5'/></pattern>"
        "<pattern id='q' width='4' height='20' patternUnits='userSpaceOnUse' patternTransform='scale(4 .2)'>"
        "<rect width='2' height='10' fill='#840'/></pattern>";
    for (const std::string inside :
         {"<rect width='60' height='30' fill='#a33'/><rect x='10' y='5' width='60' height='30' fill='url(#g)'/>",
          "<rect width='60' height='30'/><circle cx='40' cy='20' r='15' fill='url(#r)'/>",
          "<rect x='5' y='5' width='60' height='30' fill='url(#g)'/><rect x='20' width='20' height='50' fill='#fff' "
          "opacity='.4'/>",
          "<g opacity='.5'><rect x='5' y='5' width='60' height='30' fill='url(#g)'/><rect x='20' width='20' "
          "height='50'/></g>",
          "<rect width='60' height='30' fill='#7a7'/><rect x='10' y='5' width='60' height='30' fill='url(#p)'/>",
          "<rect x='10' y='5' width='60' height='30' fill='url(#q)'/>",
          "<rect width='60' height='30' fill='url(#g)' opacity='.5'/><rect x='30' width='60' height='30' "
          "fill='url(#g)' opacity='.5'/>"}) {
        INFO(inside);
        const std::string text = page(gradient + inside);
        CHECK(share_apart(greys_of(art::drawn(read_text(text), pitch)), looks(text), 24) < 0.01);
    }
}

TEST_CASE("masks that change from place to place are seen as another renderer shows them") {
    const std::string
        fade = "<linearGradient id='g'><stop stop-color='#fff'/><stop offset='1' stop-color='#000'/></linearGradient>",
        hole =
            "<radialGradient id='h'><stop stop-color='#fff' stop-opacity='0'/><stop offset='1' "
            "stop-color='#fff'/></radialGradient>";
    for (const std::string& inside : {
             fade + "<mask id='m'><rect width='100' height='50' fill='url(#g)'/></mask>"
                    "<rect x='10' y='5' width='80' height='40' mask='url(#m)'/>",
             hole + "<mask id='m'><rect width='100' height='50' fill='url(#h)'/></mask><rect width='50' height='50'/>"
                    "<g mask='url(#m)'><rect width='100' height='25' fill='#f00'/><circle cx='70' cy='25' r='20' "
                    "fill='#06c'/></g>",
             hole + "<mask id='m' mask-type='alpha' style='mask-type:alpha'><circle cx='50' cy='25' r='25' "
                    "fill='url(#h)'/></mask>"
                    "<rect width='100' height='50' fill='#333' mask='url(#m)'/>",
         }) {
        INFO(inside);
        const art::Artwork art = read_text(page(inside));
        CHECK(art.remarks.empty());
        CHECK(share_apart(greys_of(art::drawn(art, pitch)), looks(page(inside)), 24) < 0.01);
    }
}

TEST_CASE("letters of which nothing is said are alike as areas and as it looks") {
    const std::string text = page("<text x='5' y='30'>Wrenfold</text>");
    art::ReadOptions looking;
    looking.as_picture = pitch;
    const Greys areas = greys_of(art::drawn(read_text(text), pitch));
    CHECK(share_apart(areas, greys_of(art::drawn(read_text(text, looking), pitch)), 64) < 0.005);
    CHECK(share_apart(areas,
                      greys_of(art::drawn(read_text(page("<path d='M0 0'/><rect width='1' height='1'/>")), pitch)),
                      64) > 0.02);
}

TEST_CASE("a soft mask of a PDF hides what it is dark over, that of a picture too") {
    for (const char* content : {"/M gs 0 g 0 0 72 72 re f", "72 0 0 72 0 0 cm /I Do",
                                "q 72 0 0 72 0 0 cm /I Do Q /M gs 0 g 72 0 72 72 re f"}) {
        INFO(content);
        const art::Artwork art = read_text(test::pdf({content}));
        CHECK(art.remarks.empty());
        const Greys seen = greys_of(art::drawn(art, pitch));
        CHECK(seen.at(60, 120) < 10);
        CHECK(seen.at(200, 120) > 245);
    }
}

TEST_CASE("more veils than inks can say become tones") {
    std::string inside = "<rect width='90' height='40' fill='#fff'/>";
    for (int i = 0; i < 40; ++i)
        inside += "<circle cx='" + std::to_string(10 + i * 2) + "' cy='" + std::to_string(12 + i % 3 * 6) +
                  "' r='8' fill='#" + std::to_string(100 + i * 17) + "' opacity='.4'/>";
    const std::string text = page(inside);
    const art::Artwork art = read_text(text);
    CHECK_FALSE(art.pictures.empty());
    CHECK(art::inks(art).size() < 40 + art.pictures.size());
    CHECK(share_apart(greys_of(art::drawn(art, pitch)), looks(text), 24) < 0.01);
}

TEST_CASE("as it looks: everything a renderer knows, and thin lines stay lines") {
    const std::string inside =
        "<defs><filter id='f'><feGaussianBlur stdDeviation='1'/></filter>"
        "<mask id='m'><rect width='100' height='50' fill='#888'/></mask>"
        "<marker id='a' markerWidth='4' markerHeight='4'><circle cx='2' cy='2' r='2'/></marker></defs>"
        "<rect x='10' y='10' width='20' height='20' filter='url(#f)'/>"
        "<rect x='40' y='10' width='20' height='20' mask='url(#m)'/>"
        "<path d='M70 10H90' stroke='#000' stroke-width='1' marker-end='url(#a)'/>"
        "<text x='10' y='45' font-family='DejaVu Sans' font-size='6'>Pears</text>"
        "<rect x='1' y='1' width='98' height='48' fill='none' stroke='#f00'/>";
    art::ReadOptions options;
    options.as_picture = pitch;
    const art::Artwork art = read_text(page(inside), options);
    REQUIRE(art.pictures.size() == 1);
    REQUIRE(art.shapes.size() == 1);
    CHECK(art.shapes[0].ink == Ink{{255, 0, 0}, InkKind::line});
    CHECK(art.remarks.empty());
    const Greys seen = looks(page(inside));
    const auto mean = [&](int left, int top, int right, int bottom) {
        double sum = 0;
        for (int y = top; y < bottom; ++y)
            for (int x = left; x < right; ++x)
                sum += seen.at(x, y);
        return sum / ((right - left) * (bottom - top));
    };
    CHECK(mean(180, 180, 220, 220) < 2);  // inside the blurred square
    CHECK(mean(80, 150, 90, 250) > 200);  // its soft edge, fading out
    CHECK(mean(80, 150, 90, 250) < 254);
    CHECK(mean(420, 120, 580, 280) == Approx(255 * 0.533).margin(45));  // half there, by the mask
    CHECK(mean(902, 104, 914, 112) < 200);                              // the marker
    CHECK(mean(5, 300, 15, 400) == 255);                                // no red line in the picture
    // Reading the job again gives the same.
    const auto again = art::read_again(art, options, Surroundings().of_nothing());
    REQUIRE(again);
    CHECK(again->pictures[0].image->pixels == art.pictures[0].image->pixels);
}

TEST_CASE("as it looks: what sheets keep under names is drawn as what it stands for") {
    const std::string style = "<style>svg{--ink:#f00;--pale:var(--none, #00f)}.b{fill:var(--pale)}</style>";
    const Greys seen = looks(page(style + "<rect x='10' y='10' width='20' height='20' fill='var(--ink)'/>"
                                          "<rect class='b' x='40' y='10' width='20' height='20'/>"));
    CHECK(seen.at(200, 200) == grey({255, 0, 0}));
    CHECK(seen.at(500, 200) == grey({0, 0, 255}));
}

TEST_CASE("as it looks: a style sheet beside the drawing is drawn with") {
    const Surroundings surroundings;
    art::Outside outside = surroundings.of_nothing();
    outside.beside = [](const std::string&) -> Result<std::string> { return std::string(".a > rect{fill:#f00}"); };
    const std::string text =
        "<?xml-stylesheet href='a.css'?>" + page("<g class='a'><rect x='10' y='10' width='20' height='20'/></g>");
    art::ReadOptions options;
    options.as_picture = pitch;
    const auto art = art::read(std::make_shared<const std::string>(text), "t.svg", options, outside);
    REQUIRE(art);
    REQUIRE(art->pictures.size() == 1);
    const raster::RgbImage& image = *art->pictures[0].image;
    CHECK(image.pixels[image.index(image.width / 2, image.height / 2)] == Rgb{255, 0, 0});
}

TEST_CASE("lines under, over and through letters are where another renderer has them") {
    for (const char* decoration : {"underline", "overline", "line-through"}) {
        INFO(decoration);
        const std::string inside = std::string(
                                       "<text x='10' y='25' font-family='DejaVu Sans' font-size='16' "
                                       "text-decoration='") +
                                   decoration + "'>aa aa</text>";
        const Greys theirs = looks(page(inside));
        const Greys ours = greys_of(art::drawn(read_text(page(inside)), pitch));
        // The blank between the words shows nothing but the line.
        const auto heights = [](const Greys& grey) {
            std::vector<int> rows;
            for (int y = 0; y < grey.height; ++y)
                if (grey.at(323, y) < 128) rows.push_back(y);
            return rows;
        };
        const auto seen = heights(theirs), drawn = heights(ours);
        REQUIRE_FALSE(seen.empty());
        REQUIRE_FALSE(drawn.empty());
        CHECK(std::abs(drawn.front() - seen.front()) <= 5);  // 0.5 mm of 16
        CHECK(std::abs(drawn.back() - seen.back()) <= 5);
    }
    // Letters inside that say "none" have none of their own, and keep those around them.
    const std::string around = "<text x='10' y='25' font-size='16' text-decoration='underline'>";
    CHECK(art::drawn(read_text(page(around + "aa aa</text>")), pitch).pixels ==
          art::drawn(read_text(page(around + "<tspan text-decoration='none'>aa aa</tspan></text>")), pitch).pixels);
}

TEST_CASE("as it looks: clips and turns that only style sheets know are drawn as what they come to") {
    const Greys seen =
        looks(page("<rect x='10' y='10' width='20' height='20' style='clip-path:inset(5px)'/>"
                   "<rect x='40' y='10' width='20' height='20' style='transform:scale(.5);transform-origin:50px 20px'/>"
                   "<rect x='70' y='10' width='20' height='20' "
                   "style='rotate:45deg;transform-box:fill-box;transform-origin:center'/>"));
    CHECK(seen.at(120, 120) == 255);
    CHECK(seen.at(200, 200) == 0);
    CHECK(seen.at(420, 120) == 255);
    CHECK(seen.at(500, 200) == 0);
    CHECK(seen.at(702, 102) == 255);
    CHECK(seen.at(800, 65) == 0);
}

TEST_CASE("letters of either direction stand where another renderer sets them") {
    const std::string font = "y='25' font-family='DejaVu Sans' font-size='12' ";
    for (const std::string& text : {
             "<text x='10' " + font + ">שלום abc</text>",
             "<text x='90' " + font + "direction='rtl'>שלום abc 12</text>",
             "<text x='40' " + font + "direction='rtl' text-anchor='end'>(שלום)</text>",
             "<text x='10' " + font + ">مرحبا 12</text>",
             "<text x='10' " + font + "direction='rtl' unicode-bidi='bidi-override' text-anchor='end'>abcd</text>",
             "<text x='10' " + font + ">a <tspan direction='rtl' unicode-bidi='embed'>אב! c</tspan> d</text>",
         }) {
        INFO(text);
        const Greys theirs = looks(page(text)), ours = greys_of(art::drawn(read_text(page(text)), pitch));
        const auto dark = [](const Greys& greys) {
            return std::count_if(greys.values.begin(), greys.values.end(), [](int value) { return value < 128; });
        };
        REQUIRE(dark(theirs) > 3000);
        CHECK(share_apart(ours, theirs, 128) < 0.1 * static_cast<double>(dark(theirs)) / 500'000);
    }
}

TEST_CASE("words of one direction in several styles stand in its order") {
    // Another renderer orders each style on its own; the standard orders the line (UAX #9).
    const std::string begin = "<text x='50' y='25' font-family='DejaVu Sans' font-size='12' text-anchor='middle'>";
    const auto seen = [&](const std::string& inside) {
        return greys_of(art::drawn(read_text(page(begin + inside + "</text>")), pitch));
    };
    CHECK(share_apart(seen("אבג <tspan fill='#000'>דהו</tspan> זח"), seen("אבג דהו זח"), 128) < 0.0005);
}

TEST_CASE("a drawing as a picture is as fine as asked, as large as drawn, and bounded") {
    art::ReadOptions options;
    options.as_picture = 0.05;
    const art::Artwork art = read_text(page("<rect x='10' y='10' width='30' height='20'/>"), options);
    REQUIRE(art.pictures.size() == 1);
    CHECK(art.pictures[0].image->width == 600);
    CHECK(art.pictures[0].image->height == 400);
    const geometry::Box box = art::bounds(art);
    CHECK(box.left == Approx(10).margin(0.05));
    CHECK(box.bottom == Approx(20).margin(0.05));
    CHECK(box.width() == Approx(30).margin(0.05));
    options.as_picture = 0.01;
    options.scale = 50;
    CHECK(read_text(page("<rect width='100' height='50'/>"), options).pictures[0].image->pixels.size() < 61e6);
    // Without a renderer it is refused, with the reason.
    const auto refused =
        art::read(std::make_shared<const std::string>(page("<rect width='9' height='9'/>")), "t.svg", options);
    REQUIRE_FALSE(refused);
    CHECK(refused.error().code == art::error::not_rendered);
}
