// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/file.hpp>
#include <chalkline/pictures/png.hpp>

#include <QBuffer>
#include <QImage>
#include <cmath>

namespace chalkline::pictures {

Result<void> write_png(const raster::RgbImage& image, double pixels_per_mm, const std::string& path) {
    static_assert(sizeof(Rgb) == 3);
    QImage picture(reinterpret_cast<const uchar*>(image.pixels.data()), image.width, image.height,
                   static_cast<qsizetype>(image.width) * 3, QImage::Format_RGB888);
    const int per_metre = static_cast<int>(std::lround(pixels_per_mm * 1000));
    picture.setDotsPerMeterX(per_metre);
    picture.setDotsPerMeterY(per_metre);
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    if (!picture.save(&buffer, "PNG")) return fail(chalkline::error::file_unwritable, {{"reason", "PNG"}}, path);
    return replace_file(path, {bytes.constData(), static_cast<std::size_t>(bytes.size())});
}

}  // namespace chalkline::pictures
