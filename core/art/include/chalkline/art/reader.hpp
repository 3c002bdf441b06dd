// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/artwork.hpp>
#include <chalkline/art/outside.hpp>
#include <chalkline/base/progress.hpp>

#include <memory>
#include <string>

namespace chalkline::art {

namespace error {
inline constexpr std::string_view unknown_format = "art.unknown-format";
inline constexpr std::string_view broken_xml = "art.broken-xml";
inline constexpr std::string_view not_svg = "art.not-svg";
inline constexpr std::string_view nothing_drawable = "art.nothing-drawable";
/// {features}: all there is cannot be had as areas and lines.
inline constexpr std::string_view nothing_reproduced = "art.nothing-reproduced";
/// {layers}: everything is on these.
inline constexpr std::string_view only_hidden_layers = "art.only-hidden-layers";
inline constexpr std::string_view nothing_in_part = "art.nothing-in-part";
inline constexpr std::string_view bad_size = "art.bad-size";
inline constexpr std::string_view too_many_points = "art.too-many-points";
/// Its parts repeat or hold each other so often that it would take hours.
inline constexpr std::string_view too_much_work = "art.too-much-work";
inline constexpr std::string_view broken_dxf = "art.broken-dxf";
inline constexpr std::string_view broken_pdf = "art.broken-pdf";
inline constexpr std::string_view locked_pdf = "art.locked-pdf";
inline constexpr std::string_view no_such_page = "art.no-such-page";
inline constexpr std::string_view cannot_decode = "art.cannot-decode";
inline constexpr std::string_view broken_packed = "art.broken-packed";
}  // namespace error

namespace notice {
/// {feature}: an element or property that is not reproduced.
inline constexpr std::string_view unsupported = "art.unsupported";
inline constexpr std::string_view no_size = "art.no-size";
inline constexpr std::string_view pixel_size = "art.pixel-size";
/// {density}, {sheets}: at another density its page would be a common sheet.
inline constexpr std::string_view pixel_size_of_sheet = "art.pixel-size-of-sheet";
inline constexpr std::string_view bad_path = "art.bad-path";
inline constexpr std::string_view bad_value = "art.bad-value";
inline constexpr std::string_view absurd_place = "art.absurd-place";
inline constexpr std::string_view stroke_area = "art.stroke-area";
inline constexpr std::string_view flat_gradient = "art.flat-gradient";
inline constexpr std::string_view missing_reference = "art.missing-reference";
inline constexpr std::string_view outside_reference = "art.outside-reference";
inline constexpr std::string_view bad_picture = "art.bad-picture";
inline constexpr std::string_view too_deep = "art.too-deep";
inline constexpr std::string_view entities = "art.entities";
inline constexpr std::string_view font_substituted = "art.font-substituted";
inline constexpr std::string_view letters_missing = "art.letters-missing";
inline constexpr std::string_view colours_converted = "art.colours-converted";
inline constexpr std::string_view picture_cut_short = "art.picture-cut-short";
inline constexpr std::string_view coarse_picture = "art.coarse-picture";
inline constexpr std::string_view picture_size_guessed = "art.picture-size-guessed";
/// {stated} mm, {width} mm: the file states a screen's resolution.
inline constexpr std::string_view picture_size_doubted = "art.picture-size-doubted";
/// {count}: further pages or moments of the file are not taken.
inline constexpr std::string_view picture_first_of = "art.picture-first-of";
inline constexpr std::string_view unit_missing = "art.unit-missing";
inline constexpr std::string_view layers_off = "art.layers-off";
inline constexpr std::string_view missing_block = "art.missing-block";
inline constexpr std::string_view cut_short = "art.cut-short";
inline constexpr std::string_view hatch_pattern = "art.hatch-pattern";
}  // namespace notice

/// Shapes farther from the page's corner than this (mm) are left out with a notice.
inline constexpr double farthest_place = 1e6;
/// Most control points in one file.
inline constexpr std::size_t most_points = 40'000'000;

/// "svg" (packed, too), "dxf", "pdf" or "picture" by what the bytes are; empty for anything else.
std::string_view format_of(std::string_view bytes);

/// Reads a file's bytes by what they are, not by the name. `name` is kept for messages and the job.
/// Draws a design; the page is its box. Errors: no_text, no_lettering (no font for it), bad_design (a size that is not
/// positive, less than three sides, a line of one point).
Result<Artwork> draw(const Design& design, const Outside& outside = {});

Result<Artwork> read(std::shared_ptr<const std::string> bytes, const std::string& name, const ReadOptions& options = {},
                     const Outside& outside = {}, const Watch& watch = {});

/// Small pictures of the first pages of a PDF, `longest` pixels on their longer side. Errors as for reading it.
Result<std::vector<raster::RgbImage>> page_pictures(const std::string& bytes, int longest, int most_pages,
                                                    const Watch& watch = {});

/// Reads the art again from what it keeps of itself, in another way. Linked files come from the art, not from outside.
Result<Artwork> read_again(const Artwork& artwork, const ReadOptions& options, const Outside& outside,
                           const Watch& watch = {});

}  // namespace chalkline::art
