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

}  // namespace chalkline::pictures
