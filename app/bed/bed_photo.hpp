// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/camera.hpp"
#include "tasks/task_runner.hpp"

#include <chalkline/geometry/homography.hpp>
#include <chalkline/wording/wording.hpp>

#include <QImage>
#include <QPainter>
#include <QPixmap>
#include <memory>

namespace chalkline::app {

/// A photograph of the bed, laid under its grid as it would look from straight above. Four places seen in it are known
/// on the bed: the corners of a rectangle.
class BedPhoto : public QObject {
    Q_OBJECT
 public:
    using Image = std::shared_ptr<const raster::RgbImage>;
    /// How the photograph lies: near left, near right, far right, far left, as shares of its width and height (from its
    /// upper left corner), and the rectangle they are the corners of, mm.
    struct Aim {
        std::array<geometry::Point, 4> seen{{{0.1, 0.9}, {0.9, 0.9}, {0.9, 0.1}, {0.1, 0.1}}};
        geometry::Box box;
    };
    explicit BedPhoto(QObject* parent = nullptr);

    /// Reads a picture file in the background; `read` or `failed` follows.
    void load(const QString& path);
    const Image& image() const { return image_; }
    /// The same, small enough to be drawn at once.
    const QImage& preview() const { return preview_; }
    /// Of the last photograph: a camera that stands still sees the next one alike.
    const Aim& aim() const { return aim_; }
    /// Lays it over `bed`, drawn in the background. False where three of the places lie on one line.
    bool lay(const Aim& aim, const geometry::Box& bed);
    void take_away();
    bool lies() const { return !straight_.isNull(); }
    void draw(QPainter& painter, const Camera& camera) const;

 Q_SIGNALS:
    void read();
    void failed(const chalkline::wording::Message& message);
    void changed();

 private:
    TaskRunner reading_, laying_;
    Image image_;
    QImage preview_;
    Aim aim_;
    QImage straight_;
    mutable QPixmap fitted_;  ///< as large as it is seen now
    geometry::Box bed_;
};

}  // namespace chalkline::app
