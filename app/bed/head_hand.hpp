// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/camera.hpp"
#include "session/machine_link.hpp"
#include "theme/theme.hpp"

#include <QElapsedTimer>
#include <QPainter>
#include <QTimer>
#include <optional>

namespace chalkline::app {

/// The live head on the bed, and dragging it: where its ticks are let go the real head goes, dark. Between two reports
/// of the controller it glides from the last place to the newest one and never beyond.
class HeadHand : public QObject {
    Q_OBJECT
 public:
    HeadHand(MachineLink& machine, const theme::Roles& roles, QObject* parent);

    /// Takes hold of the head when it is there, still, and known; false otherwise.
    bool press(QPointF at, const Camera& camera);
    void move(QPointF at, const Camera& camera);
    /// Sends the head where it was dragged.
    void release();
    bool give_up();
    void draw(QPainter& painter, const Camera& camera) const;

 Q_SIGNALS:
    void moved();

 private:
    void follow();
    void glide();
    void draw_ticks(QPainter& painter, QPointF at) const;
    MachineLink& machine_;
    const theme::Roles& roles_;
    std::optional<geometry::Point> shown_, newest_, before_, dragged_;
    QTimer gliding_;
    QElapsedTimer since_;
};

}  // namespace chalkline::app
