// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/artwork.hpp>
#include <chalkline/base/progress.hpp>

#include <memory>
#include <string>

namespace chalkline::art {

namespace error {
inline constexpr std::string_view unknown_format = "art.unknown-format";
inline constexpr std::string_view broken_xml = "art.broken-xml";
inline constexpr std::string_view not_svg = "art.not-svg";
inline constexpr std::string_view nothing_drawable = "art.nothing-drawable";
inline constexpr std::string_view bad_size = "art.bad-size";
inline constexpr std::string_view too_many_points = "art.too-many-points";
}  // namespace error

namespace notice {
/// {feature}: an element or property that is not reproduced.
inline constexpr std::string_view unsupported = "art.unsupported";
inline constexpr std::string_view no_size = "art.no-size";
inline constexpr std::string_view bad_path = "art.bad-path";
inline constexpr std::string_view bad_value = "art.bad-value";
inline constexpr std::string_view absurd_place = "art.absurd-place";
inline constexpr std::string_view wide_stroke = "art.wide-stroke";
inline constexpr std::string_view flat_gradient = "art.flat-gradient";
inline constexpr std::string_view missing_reference = "art.missing-reference";
inline constexpr std::string_view too_deep = "art.too-deep";
inline constexpr std::string_view entities = "art.entities";
}  // namespace notice

/// Shapes farther from the page's corner than this (mm) are left out with a notice.
inline constexpr double farthest_place = 1e6;
/// Most control points in one file.
inline constexpr std::size_t most_points = 40'000'000;

/// Reads a file's bytes by what they are, not by the name. `name` is kept for messages and the job.
Result<Artwork> read(std::shared_ptr<const std::string> bytes, const std::string& name, const Watch& watch = {});

/// Reads SVG 1.1/2 (W3C) static vector content: paths, basic shapes, groups, transforms, nested viewports, `use`,
/// style sheets with type, class, id and descendant selectors; physical units at 96 px an inch. Never fetches anything
/// and never expands entities of the document's own.
Result<Artwork> read_svg(std::shared_ptr<const std::string> bytes, const std::string& name, const Watch& watch = {});

}  // namespace chalkline::art
