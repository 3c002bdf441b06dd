// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/art_layers.hpp"
#include "tasks/task_runner.hpp"

#include <QObject>
#include <mutex>

namespace chalkline::app {

/// All that the look of the art on the bed depends on, but for the camera.
struct ArtScene {
    job::Job job;
    machine::MachineProfile machine;
    theme::Roles roles;
    Highlight highlight;
    bool off_stock = false, off_bed = false;  ///< something lies there and is hatched
    bool bare_paths = false;
    bool mark_areas = false;  ///< clogged and bald areas of pictures
    Proofs proofs{};          ///< of pictures; while there are none they are shown in greys
};

/// Makes `image` a picture of the scene with its faults and nothing else. `size`: of the view, device-independent
/// pixels. Usable on any thread that has the layers to itself.
void paint_art(QImage& image, const Camera& camera, const QSizeF& size, double pixel_ratio, const ArtScene& scene,
               ArtLayers& layers);

/// Large art as a picture, drawn off the GUI thread: panning and zooming show the newest picture moved or scaled at
/// once, and a sharp one follows. One picture is drawn at a time; while it is, the next wish waits.
class ArtPicture : public QObject {
    Q_OBJECT
 public:
    /// The scene changed: the picture is shown until a new one is there.
    void set_scene(ArtScene scene);
    /// Shows what there is and sees to it that a picture for this camera comes.
    void draw(QPainter& painter, const Camera& camera, const QSize& view, double pixel_ratio);
    void clear();
    /// Nothing can be shown yet.
    bool empty() const { return shown_.image.isNull(); }
    /// The picture shown is that of the newest scene and this camera.
    bool sharp(const Camera& camera) const { return shown_.version == version_ && shown_.camera == camera; }

 Q_SIGNALS:
    void drawn();

 private:
    struct Picture {
        QImage image;
        Camera camera;
        int version = -1;
    };
    struct Layers {
        std::mutex mutex;
        ArtLayers layers;
    };
    void start(const Camera& camera, const QSize& view, double pixel_ratio);

    std::shared_ptr<const ArtScene> scene_;
    std::shared_ptr<Layers> layers_ = std::make_shared<Layers>();
    Picture shown_;
    int version_ = 0;
    TaskRunner painter_;
};

}  // namespace chalkline::app
