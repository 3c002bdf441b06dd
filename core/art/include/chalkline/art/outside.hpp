// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/geometry/path.hpp>
#include <chalkline/raster/image.hpp>

#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

typedef struct _cairo cairo_t;  // cairo.h, for those who draw

// What reading a drawing needs of the world outside the core: pictures decoded, letters drawn, files beside it.
namespace chalkline::art {

/// A picture file as pixels: turned the right way up, over white where it is transparent.
struct DecodedPicture {
    raster::RgbImage image;
    std::optional<geometry::Point> pixels_per_mm;  ///< across and down, where the file states them
    bool converted = false;                        ///< colours came through CMYK
    bool cut_short = false;                        ///< the file ends too early: its last rows are missing
    int images = 1;                                ///< in the file, pages or moments; this is the first
};

namespace error {
inline constexpr std::string_view picture_unknown = "art.picture-unknown";
inline constexpr std::string_view picture_broken = "art.picture-broken";
inline constexpr std::string_view picture_too_large = "art.picture-too-large";
inline constexpr std::string_view not_rendered = "art.not-rendered";
}  // namespace error

/// Most pixels in one picture; larger ones are refused before any memory is taken for them.
inline constexpr std::int64_t most_pixels = 200'000'000;
/// Most pixels along one side: ten metres at 10 pixels a millimetre.
inline constexpr int longest_side = 100'000;

class PictureDecoder {
 public:
    virtual ~PictureDecoder() = default;
    /// Decodes a picture file. Errors: picture_unknown, picture_broken {reason}, picture_too_large {width, height}.
    virtual Result<DecodedPicture> decode(std::string_view bytes) const = 0;
};

/// The font a text asks for.
struct FontWish {
    std::vector<std::string> families;  ///< in order of preference; the last one may be generic ("serif")
    int weight = 400;                   ///< 100…900
    bool slanted = false;
    int stretch = 100;  ///< % of normal width
    auto operator<=>(const FontWish&) const = default;
};

/// A drawn letter, 1 unit = the font size, Y up, origin at the pen.
struct Glyph {
    std::shared_ptr<const geometry::Path> path;  ///< letters that look the same share it; null: a blank
    double advance = 0;
    geometry::Point offset;
    std::size_t cluster = 0;  ///< byte in the text it begins with
};

/// A text drawn in a font.
struct LetteredText {
    std::vector<Glyph> glyphs;  ///< in drawing order, left to right
    std::string family;         ///< the font taken
    bool substituted = false;   ///< none of the wished families is here
    bool missing_letters = false;
    double ascent = 0.8, descent = 0.2, x_height = 0.5;  ///< of the font, in font sizes
    /// Middles of the lines under and through letters, above the baseline, and how thick such a line is; font sizes.
    double underline = -0.1, strike = 0.3, line_thickness = 0.05;
};

enum class Direction { left_to_right, right_to_left };

class Lettering {
 public:
    virtual ~Lettering() = default;
    /// Shapes UTF-8 text of one direction (directed.hpp parts others); nothing when there is no font at all.
    virtual std::optional<LetteredText> outline(std::string_view text, const FontWish& wish,
                                                Direction direction) const = 0;
    /// The same in letters of single strokes; characters it does not know become blanks.
    virtual std::optional<LetteredText> single_stroke(std::string_view text) const = 0;
};

/// Draws whole drawings as they look, whatever is in them.
class DrawingRenderer {
 public:
    virtual ~DrawingRenderer() = default;
    /// Draws an SVG document onto a Cairo context, as large as `width` × `height` there. Nothing outside the document
    /// is looked at. Errors: not_rendered {reason}.
    virtual Result<void> draw_svg(const std::string& svg, double width, double height, cairo_t* onto) const = 0;
};

/// All of it. What is absent is said to be not reproduced. The objects must outlive the reading.
struct Outside {
    const PictureDecoder* pictures = nullptr;
    const Lettering* lettering = nullptr;
    /// Bytes of a file a drawing refers to by a path relative to itself.
    std::function<Result<std::string>(const std::string& reference)> beside;
    const DrawingRenderer* renderer = nullptr;
};

}  // namespace chalkline::art
