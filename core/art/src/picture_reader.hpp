// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/reader.hpp>

namespace chalkline::art {

/// True for bytes that begin like PNG, JPEG, BMP, TIFF, WebP or GIF.
bool looks_like_picture(std::string_view bytes);

/// A picture file as art: one picture as large as its resolution says, or of an ordinary width, which is said.
Result<Artwork> read_picture(std::string_view bytes, const ReadOptions& options, const Outside& outside);

}  // namespace chalkline::art
