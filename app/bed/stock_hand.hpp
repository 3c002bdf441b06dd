// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/handles.hpp"
#include "bed/placing_desk.hpp"
#include "bed/snapping.hpp"
#include "theme/theme.hpp"

#include <QPainter>

namespace chalkline::app {

/// What the pointer does to the piece of material while its tray is open: moving it, its sides and corners, turning it.
/// The art stays where it is. Shift turns by 15°, Alt keeps the middle; Ctrl lets nothing snap.
class StockHand {
 public:
    StockHand(JobDocument& document, PlacingDesk& desk, const machine::MachineProfile& machine,
              const theme::Roles& roles)
        : document_(document), desk_(desk), machine_(machine), roles_(roles) {}

    /// Takes hold of a handle, or of the piece itself; false when neither lies there.
    bool press_handle(QPointF at, const Camera& camera);
    bool press_piece(QPointF at, const Camera& camera);
    void move(QPointF at, Qt::KeyboardModifiers keys, const Camera& camera);
    void release();
    /// Esc: everything as before the press. False when nothing is being dragged.
    bool give_up();
    bool dragging() const { return grip_ != Grip::none; }
    void draw(QPainter& painter, const Camera& camera) const;

 private:
    enum class Grip { none, piece, handle };
    HandleFrame frame() const;
    void start(Grip grip, QPointF at);

    JobDocument& document_;
    PlacingDesk& desk_;
    const machine::MachineProfile& machine_;
    const theme::Roles& roles_;
    Grip grip_ = Grip::none;
    bool moved_ = false;
    QPointF from_;
    Handle handle_;
    HandleFrame start_frame_;
    job::Job start_job_;
};

}  // namespace chalkline::app
