// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/outside.hpp>

namespace chalkline::pictures {

/// Decodes PNG, JPEG, BMP, TIFF, WebP and GIF (its first frame) with Qt's image readers: 16-bit channels, CMYK and
/// colour profiles come to 8-bit sRGB, a camera's turn is applied, transparency lies over white. Usable on any thread.
class Decoder : public art::PictureDecoder {
 public:
    Decoder();
    Result<art::DecodedPicture> decode(std::string_view bytes) const override;
};

/// The picture in a file; its errors name the file. Usable on any thread.
Result<art::DecodedPicture> read_picture_file(const std::string& path);

}  // namespace chalkline::pictures
