// SPDX-License-Identifier: GPL-3.0-or-later
#include "picture_reader.hpp"

#include <chalkline/base/units_text.hpp>

namespace chalkline::art {
namespace {

constexpr double guessed_longer_side = 80;  // mm, for pictures that state no resolution

/// A resolution that was meant: screens' 72 and 96 dots an inch stand in most files without a thought, and a camera's
/// picture would come out a metre wide.
bool is_meant(const geometry::Point& per_mm, double width_mm, double height_mm) {
    const double per_inch = per_mm.x * 25.4;
    const bool screen = std::abs(per_inch - 72) < 0.6 || std::abs(per_inch - 96) < 0.6;
    return !screen || std::max(width_mm, height_mm) <= 300;
}

}  // namespace

bool looks_like_picture(std::string_view bytes) {
    return bytes.starts_with("\x89PNG\r\n\x1a\n") || bytes.starts_with("\xff\xd8\xff") || bytes.starts_with("GIF8") ||
           bytes.starts_with("II*") || bytes.starts_with(std::string_view("MM\0*", 4)) ||
           (bytes.starts_with("BM") && bytes.size() > 26 && bytes[6] == '\0' && bytes[7] == '\0') ||
           (bytes.starts_with("RIFF") && bytes.size() > 12 && bytes.substr(8, 4) == "WEBP");
}

Result<Artwork> read_picture(std::string_view bytes, const ReadOptions& options, const Outside& outside) {
    if (!outside.pictures) return fail(error::cannot_decode);
    auto decoded = outside.pictures->decode(bytes);
    if (!decoded) return tl::unexpected(decoded.error());
    Artwork art;
    const double columns = decoded->image.width, rows = decoded->image.height;
    double width = 0, height = 0;
    if (decoded->pixels_per_mm) {
        width = columns / decoded->pixels_per_mm->x;
        height = rows / decoded->pixels_per_mm->y;
    }
    art.size_guessed = !decoded->pixels_per_mm || !is_meant(*decoded->pixels_per_mm, width, height);
    if (art.size_guessed) {
        if (width > 0) art.stated_width = width;
        width = guessed_longer_side * columns / std::max(columns, rows);
        height = width * rows / columns;
    }
    if (options.picture_width) {
        height *= *options.picture_width / width;
        width = *options.picture_width;
    } else if (art.stated_width) {
        art.remarks.push_back({{std::string(notice::picture_size_doubted),
                                {{"stated", format_number(*art.stated_width, 0)}, {"width", format_number(width, 1)}},
                                1,
                                0},
                               {}});
    } else if (art.size_guessed) {
        art.remarks.push_back(
            {{std::string(notice::picture_size_guessed), {{"width", format_number(width, 1)}}, 1, 0}, {}});
    }
    if (decoded->images > 1)
        art.remarks.push_back(
            {{std::string(notice::picture_first_of), {{"count", std::to_string(decoded->images)}}, 1, 0}, {}});
    if (decoded->cut_short) art.remarks.push_back({{std::string(notice::picture_cut_short), {}, 1, 0}, {}});
    if (decoded->converted) art.remarks.push_back({{std::string(notice::colours_converted), {}, 1, 0}, {}});
    if (width > farthest_place || height > farthest_place) return fail(error::bad_size);
    PlacedPicture picture;
    picture.ink = picture_ink(decoded->image);
    picture.image = std::make_shared<const raster::RgbImage>(std::move(decoded->image));
    picture.place = geometry::Transform::scale(width, height);
    art.pictures.push_back(std::move(picture));
    art.page = {width, height};
    art.format = "picture";
    return art;
}

}  // namespace chalkline::art
