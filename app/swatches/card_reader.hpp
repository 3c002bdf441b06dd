// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "tasks/task_runner.hpp"

#include <chalkline/base/result.hpp>
#include <chalkline/raster/image.hpp>
#include <chalkline/swatches/photo.hpp>

#include <QByteArray>
#include <QImage>
#include <QObject>
#include <QString>

namespace chalkline::app {

/// Reads a card from a photograph off the GUI thread: opens it, finds the marks or takes them as they are shown by
/// hand, measures every swatch and shows the card as from straight above.
class CardReader : public QObject {
    Q_OBJECT
 public:
    using Photo = std::shared_ptr<const raster::RgbImage>;
    /// What came out.
    struct Reading {
        Photo photo;
        std::vector<geometry::Point> marks;  ///< px in the photograph
        std::vector<std::pair<swatches::CellPlace, swatches::Measured>> swatches;
        QImage straight;        ///< the card from above
        QByteArray kept{};      ///< a copy to be kept, as JPEG; empty of one whose marks were known
        double kept_scale = 1;  ///< of the copy against the photograph
    };
    explicit CardReader(QObject* parent = nullptr) : QObject(parent) {}

    /// `read` follows, or `marks_wanted` when they cannot be found, or `failed`. With `marks` they are not looked for.
    void read_file(const QString& path, const swatches::Layout& layout, std::vector<geometry::Point> marks = {});
    /// The photograph for which marks were wanted, with them as clicked, the ring first.
    void read_with(const std::vector<geometry::Point>& clicks, const swatches::Layout& layout);
    /// Of which marks are wanted; null otherwise.
    const Photo& waiting() const { return waiting_; }
    void give_up();
    bool busy() const { return work_.running(); }

 Q_SIGNALS:
    void read(const chalkline::app::CardReader::Reading& reading);
    void marks_wanted();
    void failed(const chalkline::Error& error);

 private:
    TaskRunner work_;
    Photo waiting_;
};

}  // namespace chalkline::app
