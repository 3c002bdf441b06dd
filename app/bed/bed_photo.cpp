// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/bed_photo.hpp"

#include "bed/ground.hpp"

#include <chalkline/pictures/decoder.hpp>
#include <chalkline/pictures/view.hpp>
#include <chalkline/raster/perspective.hpp>

namespace chalkline::app {
namespace {

constexpr double pixels_per_mm = 4;
constexpr double most_pixels = 3000;  // along the longer side
constexpr int preview_side = 1280;    // pixels

struct Photo {
    BedPhoto::Image image;
    QImage preview;
};

Result<Photo> read_photo(const std::string& path) {
    auto decoded = pictures::read_picture_file(path);
    if (!decoded) return tl::unexpected(decoded.error());
    const auto image = std::make_shared<const raster::RgbImage>(std::move(decoded->image));
    return Photo{image, pictures::view_of(*image).scaled(preview_side, preview_side, Qt::KeepAspectRatio,
                                                         Qt::SmoothTransformation)};
}

}  // namespace

BedPhoto::BedPhoto(QObject* parent) : QObject(parent) {}

void BedPhoto::load(const QString& path) {
    reading_.start([path = path.toStdString()](const Watch&) { return read_photo(path); },
                   [this](Result<Photo> photo) {
                       if (!photo) return Q_EMIT failed(wording::describe(photo.error()));
                       image_ = std::move(photo->image);
                       preview_ = std::move(photo->preview);
                       Q_EMIT read();
                   });
}

bool BedPhoto::lay(const Aim& aim, const geometry::Box& bed) {
    if (!image_ || bed.empty()) return false;
    const double scale = std::min(pixels_per_mm, most_pixels / std::max(bed.width(), bed.height()));
    const auto in_result = [&](double x, double y) {
        return geometry::Point{(x - bed.left) * scale, (bed.top - y) * scale};
    };
    const geometry::Box& box = aim.box;
    std::array<geometry::Point, 4> in_photo;
    for (std::size_t i = 0; i < 4; ++i)
        in_photo[i] = {aim.seen[i].x * image_->width, aim.seen[i].y * image_->height};
    const auto seen = geometry::homography({in_result(box.left, box.bottom), in_result(box.right, box.bottom),
                                            in_result(box.right, box.top), in_result(box.left, box.top)},
                                           in_photo);
    if (!seen) return false;
    aim_ = aim;
    const int width = static_cast<int>(bed.width() * scale), height = static_cast<int>(bed.height() * scale);
    laying_.start(
        [image = image_, seen = seen->m, width, height](const Watch&) {
            return pictures::view_of(raster::seen_from_above(*image, seen, width, height)).copy();
        },
        [this, bed](QImage straight) {
            straight_ = std::move(straight);
            fitted_ = {};
            bed_ = bed;
            Q_EMIT changed();
        });
    return true;
}

void BedPhoto::take_away() {
    laying_.cancel();
    straight_ = {};
    Q_EMIT changed();
}

void BedPhoto::draw(QPainter& painter, const Camera& camera) const {
    if (straight_.isNull()) return;
    const QRectF place = rect_of(bed_, camera).normalized();
    const QSize size = place.size().toSize();
    // Seen smaller than it is, as nearly always, it is made smaller once and not at every repaint.
    if (size.width() > straight_.width() || size.isEmpty()) return painter.drawImage(place, straight_);
    if (fitted_.size() != size)
        fitted_ = QPixmap::fromImage(straight_.scaled(size, Qt::IgnoreAspectRatio, Qt::SmoothTransformation));
    painter.drawPixmap(place.topLeft(), fitted_);
}

}  // namespace chalkline::app
