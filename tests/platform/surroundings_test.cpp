// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/surroundings/surroundings.hpp>

#include <catch2/catch.hpp>
#include <unistd.h>

#include <filesystem>
#include <fstream>

using namespace chalkline;

namespace {

struct Folder {
    std::filesystem::path path =
        std::filesystem::temp_directory_path() / ("surroundings-" + std::to_string(::getpid()));
    Folder() { std::filesystem::create_directories(path / "in" / "below"); }
    ~Folder() { std::filesystem::remove_all(path); }
    void write(const std::string& name, const std::string& text) const { std::ofstream(path / name) << text; }
};

}  // namespace

TEST_CASE("files beside a drawing are found, none elsewhere") {
    const Folder folder;
    folder.write("in/pear.png", "pear");
    folder.write("in/below/leaf.png", "leaf");
    folder.write("secret.png", "secret");
    std::filesystem::create_symlink(folder.path / "secret.png", folder.path / "in" / "link.png");
    const Surroundings surroundings;
    const auto outside = surroundings.of_file((folder.path / "in" / "drawing.svg").string());
    CHECK(outside.beside("pear.png") == std::string("pear"));
    CHECK(outside.beside("below/leaf.png") == std::string("leaf"));
    CHECK(outside.beside("file:///home/someone/pear.png") == std::string("pear"));
    for (const char* reference : {"../secret.png", "link.png", "nothing.png", "", "..", "http://example.org/pear.png"})
        CHECK_FALSE(outside.beside(reference));
    CHECK_FALSE(outside.beside((folder.path / "secret.png").string()));
}

TEST_CASE("letters come from the installed fonts, others are said to be substituted") {
    const fonts::SystemFonts fonts;
    const auto outline = [&](std::string_view text, const art::FontWish& wish) {
        return fonts.outline(text, wish, art::Direction::left_to_right);
    };
    const auto drawn = outline("AV", {{"DejaVu Sans"}});
    REQUIRE(drawn);
    CHECK_FALSE(drawn->substituted);
    REQUIRE(drawn->glyphs.size() == 2);
    CHECK(drawn->glyphs[0].advance > 0.5);
    const auto box = geometry::bounds(drawn->glyphs[0].path->flatten({}, 1e-3));
    CHECK(box.top == Approx(0.729).margin(0.01));
    CHECK(box.bottom == Approx(0).margin(0.01));
    CHECK(outline("x", {{"No Such Font"}})->substituted);
    CHECK_FALSE(outline("x", {{"serif"}})->substituted);
    CHECK(outline("", {{"serif"}})->glyphs.empty());
    CHECK(outline("\xff\xfe broken", {{"serif"}}));
    const auto slanted = outline("l", {{"DejaVu Sans"}, 400, true});
    REQUIRE(slanted);
    CHECK(geometry::bounds(slanted->glyphs[0].path->flatten({}, 1e-3)).width() >
          geometry::bounds(outline("l", {{"DejaVu Sans"}})->glyphs[0].path->flatten({}, 1e-3)).width());
}

TEST_CASE("single strokes draw lines, not outlines") {
    const fonts::SystemFonts fonts;
    const auto drawn = fonts.single_stroke("L-\xc3\xa4");
    REQUIRE(drawn);
    CHECK(drawn->missing_letters);
    REQUIRE(drawn->glyphs.size() >= 3);
    const auto lines = drawn->glyphs[0].path->flatten({}, 1e-3);
    CHECK(geometry::bounds(lines).height() == Approx(0.7).margin(0.02));
    CHECK(geometry::length(lines) < 1.5);
}
