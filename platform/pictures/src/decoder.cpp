// SPDX-License-Identifier: GPL-3.0-or-later
#include "headers.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/pictures/decoder.hpp>

#include <QBuffer>
#include <QColorSpace>
#include <QImageReader>
#include <QTransform>
#include <array>

namespace chalkline::pictures {
namespace {

constexpr std::array formats{"png", "jpeg", "jpg", "bmp", "tiff", "tif", "webp", "gif"};

bool is_known(const QByteArray& format) {
    return std::any_of(formats.begin(), formats.end(), [&](const char* known) { return format == known; });
}

std::uint8_t over_white(int channel, int alpha) {
    return static_cast<std::uint8_t>(channel + 255 - alpha);  // the channel is premultiplied
}

raster::RgbImage to_rgb(const QImage& image) {
    raster::RgbImage result(image.width(), image.height(), {255, 255, 255});
    if (image.hasAlphaChannel()) result.opacity.resize(result.pixels.size(), 255);
    bool opaque = true;
    constexpr int strip = 64;  // rows converted at once: never the whole picture twice
    for (int top = 0; top < image.height(); top += strip) {
        const QImage part = image.copy(0, top, image.width(), std::min(strip, image.height() - top))
                                .convertToFormat(QImage::Format_ARGB32_Premultiplied);
        for (int y = 0; y < part.height(); ++y) {
            const auto* row = reinterpret_cast<const QRgb*>(part.constScanLine(y));
            for (int x = 0; x < part.width(); ++x) {
                const int alpha = qAlpha(row[x]);
                if (alpha < 255) {
                    opaque = false;
                    result.opacity[result.index(x, top + y)] = static_cast<std::uint8_t>(alpha);
                }
                result.at(x, top + y) = {over_white(qRed(row[x]), alpha), over_white(qGreen(row[x]), alpha),
                                         over_white(qBlue(row[x]), alpha)};
            }
        }
    }
    if (opaque) result.opacity.clear();
    return result;
}

bool too_large(const QSize& size) {
    return static_cast<std::int64_t>(size.width()) * size.height() > art::most_pixels ||
           std::max(size.width(), size.height()) > art::longest_side;
}

tl::unexpected<Error> refused(const QSize& size) {
    return fail(art::error::picture_too_large,
                {{"width", std::to_string(size.width())}, {"height", std::to_string(size.height())}});
}

/// The picture as it is to be seen, by its orientation (EXIF 2.3).
QImage upright(const QImage& image, int orientation) {
    constexpr int mirrored = 2, half_turn = 3, flipped = 4, flipped_quarter = 5, mirrored_quarter = 7,
                  three_quarters = 8;
    const bool across = orientation == mirrored || orientation == half_turn || orientation == mirrored_quarter;
    const bool down = orientation == flipped || orientation == half_turn || orientation == flipped_quarter;
    const QImage placed = across || down ? image.mirrored(across, down) : image;
    if (orientation < flipped_quarter) return placed;
    return placed.transformed(QTransform().rotate(orientation == three_quarters ? 270 : 90));
}

}  // namespace

Decoder::Decoder() {
    QImageReader::setAllocationLimit(static_cast<int>(art::most_pixels * 8 / (1 << 20)) + 1);  // MB; 16-bit RGBA
}

Result<art::DecodedPicture> Decoder::decode(std::string_view bytes) const {
    QByteArray data = QByteArray::fromRawData(bytes.data(), static_cast<qsizetype>(bytes.size()));
    QBuffer buffer(&data);
    buffer.open(QIODevice::ReadOnly);
    QImageReader reader(&buffer);
    reader.setDecideFormatFromContent(true);
    reader.setAutoTransform(true);
    if (!is_known(reader.format())) return fail(art::error::picture_unknown);
    const QSize size = reader.size();
    if (too_large(size)) return refused(size);
    // Only of JPEG and TIFF does the reader know how they are to be turned.
    const Header header = read_header(bytes);
    const bool turns_itself = reader.transformation() != QImageIOHandler::TransformationNone;
    const int orientation =
        turns_itself || reader.format().startsWith("jp") || reader.format().startsWith("tif") ? 1 : header.orientation;
    const bool turned = (reader.transformation() & QImageIOHandler::TransformationRotate90) || orientation >= 5;
    const int images = std::max(1, reader.imageCount());
    QImage image = reader.read();
    if (image.isNull()) return fail(art::error::picture_broken, {{"reason", reader.errorString().toStdString()}});
    if (too_large(image.size())) return refused(image.size());
    if (image.colorSpace().isValid() && image.colorSpace() != QColorSpace(QColorSpace::SRgb)) {
        const QImage plain = image.convertedToColorSpace(QColorSpace(QColorSpace::SRgb));
        if (!plain.isNull()) image = plain;
    }
    image = upright(image, orientation);
    art::DecodedPicture picture{to_rgb(image), header.pixels_per_mm, header.cmyk, header.cut_short, images};
    if (turned && picture.pixels_per_mm) std::swap(picture.pixels_per_mm->x, picture.pixels_per_mm->y);
    return picture;
}

Result<art::DecodedPicture> read_picture_file(const std::string& path) {
    const auto bytes = read_file(path);
    if (!bytes) return tl::unexpected(bytes.error());
    auto decoded = Decoder().decode(*bytes);
    if (!decoded) decoded.error().file = path;
    return decoded;
}

}  // namespace chalkline::pictures
