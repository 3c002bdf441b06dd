// SPDX-License-Identifier: GPL-3.0-or-later
#include "doubles.hpp"
#include "drawings.hpp"
#include "support/pdf_file.hpp"

using namespace chalkline;
using namespace chalkline::art;
using namespace drawings;
using test::pdf;

namespace {

const std::string two_shapes = "0.2 0.4 0.6 rg 36 18 36 36 re f 1 0 0 RG 0.3 w 0 0 m 144 72 l S";

}  // namespace

TEST_CASE("a PDF page is read at true size with exact colours") {
    const auto art = read_text(pdf({two_shapes}));
    REQUIRE(art);
    CHECK(art->format == "pdf");
    CHECK(art->page.x == Approx(50.8).margin(1e-3));
    CHECK(art->page.y == Approx(25.4).margin(1e-3));
    const auto fill = summary_of(*art, "#336699:fill");
    check_box(fill.box, {12.7, 6.35, 25.4, 19.05});
    CHECK(fill.area == Approx(12.7 * 12.7).epsilon(1e-3));
    CHECK(summary_of(*art, "#ff0000:line").length == Approx(std::hypot(50.8, 25.4)).epsilon(1e-3));
}

TEST_CASE("clips, wide strokes and dashes of a PDF") {
    const auto art = read_text(pdf({"q 0 0 72 72 re W n 0 0 144 36 re f Q 0 0 1 RG 72 w 108 0 m 108 72 l S"}));
    REQUIRE(art);
    CHECK(summary_of(*art, "#000000:fill").area == Approx(25.4 * 12.7).epsilon(1e-3));
    CHECK(summary_of(*art, "#0000ff:fill").area == Approx(25.4 * 25.4).epsilon(1e-3));
}

TEST_CASE("the page asked for is read, and pages can be looked at") {
    const std::string file = pdf({two_shapes, "0 1 0 rg 0 0 72 72 re f", two_shapes});
    ReadOptions second;
    second.page = 2;
    const auto art = read_text(file, second);
    REQUIRE(art);
    CHECK(art->pages == 3);
    CHECK(summary_of(*art, "#00ff00:fill").area == Approx(25.4 * 25.4).epsilon(1e-3));
    second.page = 4;
    CHECK(read_text(file, second).error().code == art::error::no_such_page);
    const auto pictures = page_pictures(file, 60, 2);
    REQUIRE(pictures);
    REQUIRE(pictures->size() == 2);
    CHECK((*pictures)[1].width == 60);
    CHECK((*pictures)[1].pixels.front() == Rgb{0, 255, 0});
    CHECK((*pictures)[1].pixels.back() == Rgb{255, 255, 255});
}

TEST_CASE("CMYK is converted and said") {
    const auto art = read_text(pdf({"0 1 1 0 k 0 0 72 72 re f"}));
    REQUIRE(art);
    CHECK(count(*art, notice::colours_converted) == 1);
    CHECK(count(*read_text(pdf({two_shapes})), notice::colours_converted) == 0);
}

TEST_CASE("broken PDFs get a message") {
    const std::string whole = pdf({two_shapes});
    CHECK(read_text("%PDF-1.4\nnothing").error().code == art::error::broken_pdf);
    CHECK(read_text(pdf({""})).error().code == art::error::nothing_drawable);
    for (std::size_t cut = 20; cut < whole.size(); cut += 23)
        (void)read_text(whole.substr(0, cut));
}

TEST_CASE("picture files come in at their size, or at an ordinary one, which is said") {
    const WordPictures decoder;
    const Outside outside{&decoder, nullptr, {}};
    const auto stated = read_text(WordPictures::file(300, 200, 10), {}, outside);
    REQUIRE(stated);
    CHECK(stated->format == "picture");
    CHECK(stated->page.x == Approx(30));
    CHECK(stated->remarks.empty());
    const auto silent = read_text(WordPictures::file(300, 200), {}, outside);
    REQUIRE(silent);
    CHECK(silent->page.x == Approx(80));
    CHECK(silent->page.y == Approx(80 * 2 / 3.0));
    CHECK(count(*silent, notice::picture_size_guessed) == 1);
    // A screen's resolution is stated without a thought: a metre wide is not meant, but can be asked for.
    const auto camera = read_text(WordPictures::file(4000, 3000, 72 / 25.4), {}, outside);
    REQUIRE(camera);
    CHECK(camera->page.x == Approx(80));
    REQUIRE(camera->stated_width);
    CHECK(*camera->stated_width == Approx(1411.1).margin(0.1));
    CHECK(count(*camera, notice::picture_size_doubted) == 1);
    CHECK(count(*camera, notice::picture_size_guessed) == 0);
    ReadOptions width;
    width.picture_width = 45;
    CHECK(read_text(WordPictures::file(300, 200), width, outside)->page.y == Approx(30));
    CHECK(read_text(WordPictures::file(300, 200)).error().code == art::error::cannot_decode);
}

TEST_CASE("what lets through in a PDF is mixed, groups as a whole") {
    constexpr double square = 12.7 * 12.7;  // mm², half an inch a side
    const auto veil = read_text(pdf({"0 0 0 rg 0 0 36 36 re f /V gs 1 1 1 rg 18 0 36 36 re f"}));
    REQUIRE(veil);
    CHECK(summary_of(*veil, "#000000:fill").area == Approx(square / 2).epsilon(0.005));
    CHECK(summary_of(*veil, "#808080:fill").area == Approx(square / 2).epsilon(0.01));
    const auto group = read_text(pdf({"/V gs /G Do"}));
    REQUIRE(group);
    REQUIRE(inks(*group).size() == 1);
    INFO(chalkline::to_text(inks(*group)[0].ink.rgb));
    CHECK(std::abs(inks(*group)[0].ink.rgb.red - 128) <= 1);
    CHECK(measured_inks(*group)[0].area == Approx(square * 1.5).epsilon(0.005));
    CHECK(group->remarks.empty());
}
