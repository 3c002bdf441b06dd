// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/pictures/view.hpp>

#include <QImage>

namespace chalkline::pictures {

static_assert(sizeof(Rgb) == 3, "Qt reads the pixels as three bytes each");

QImage view_of(const raster::RgbImage& image) {
    return {reinterpret_cast<const uchar*>(image.pixels.data()), image.width, image.height,
            static_cast<qsizetype>(image.width) * 3, QImage::Format_RGB888};
}

}  // namespace chalkline::pictures
