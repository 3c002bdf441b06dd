// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/file.hpp>
#include <chalkline/pictures/png.hpp>
#include <chalkline/pictures/view.hpp>

#include <QBuffer>
#include <QImage>
#include <algorithm>
#include <cmath>

namespace chalkline::pictures {

namespace {

Result<void> write(QImage& picture, double per_mm_across, double per_mm_down, const std::string& path) {
    picture.setDotsPerMeterX(static_cast<int>(std::lround(per_mm_across * 1000)));
    picture.setDotsPerMeterY(static_cast<int>(std::lround(per_mm_down * 1000)));
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    if (!picture.save(&buffer, "PNG")) return fail(chalkline::error::file_unwritable, {{"reason", "PNG"}}, path);
    return replace_file(path, {bytes.constData(), static_cast<std::size_t>(bytes.size())});
}

QImage all_or_nothing(const raster::Dots& dots) {
    QImage image(dots.width, dots.height, QImage::Format_Mono);
    image.setColorTable({qRgb(255, 255, 255), qRgb(0, 0, 0)});
    image.fill(0);
    for (int y = 0; y < dots.height; ++y) {
        uchar* line = image.scanLine(y);
        for (int x = 0; x < dots.width; ++x)
            if (dots.row(y)[x] > 0) line[x / 8] |= static_cast<uchar>(0x80 >> (x % 8));
    }
    return image;
}

QImage in_greys(const raster::Dots& dots) {
    QImage image(dots.width, dots.height, QImage::Format_Grayscale8);
    for (int y = 0; y < dots.height; ++y)
        for (int x = 0; x < dots.width; ++x)
            image.scanLine(y)[x] = static_cast<uchar>(255 - dots.row(y)[x]);
    return image;
}

}  // namespace

Result<void> write_png(const raster::RgbImage& image, double pixels_per_mm, const std::string& path) {
    QImage picture = view_of(image);
    return write(picture, pixels_per_mm, pixels_per_mm, path);
}

Result<void> write_png(const raster::Dots& dots, double across, double pitch, const std::string& path) {
    const bool levels = std::any_of(dots.levels.begin(), dots.levels.end(),
                                    [](std::uint8_t level) { return level != 0 && level != 255; });
    QImage image = levels ? in_greys(dots) : all_or_nothing(dots);
    if (image.isNull()) return fail(chalkline::error::file_unwritable, {{"reason", "memory"}}, path);
    return write(image, 1 / across, 1 / pitch, path);
}

}  // namespace chalkline::pictures
