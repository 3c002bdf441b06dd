// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/handles.hpp"
#include "bed/placing_desk.hpp"
#include "bed/snapping.hpp"
#include "theme/theme.hpp"

#include <QPainter>

namespace chalkline::app {

/// What the pointer does to the art on the bed: choosing by click or box, moving, scaling, turning, dragging the datum.
/// Shift adds to what is chosen, lets a corner scale freely, turns by 15°; Alt keeps the middle; Ctrl lets nothing
/// snap.
class PlacingHand {
 public:
    PlacingHand(JobDocument& document, PlacingDesk& desk, const machine::MachineProfile& machine,
                const theme::Roles& roles)
        : document_(document), desk_(desk), machine_(machine), roles_(roles) {}

    void press(QPointF at, Qt::KeyboardModifiers keys, const Camera& camera);
    void move(QPointF at, Qt::KeyboardModifiers keys, const Camera& camera);
    void release(QPointF at, Qt::KeyboardModifiers keys, const Camera& camera);
    /// A press there takes hold of a handle, the datum or a motif.
    bool holds_something(QPointF at, const Camera& camera) const;
    /// A double click chooses one motif of a group alone; on one that is alone, the shape that lies there.
    void double_click(QPointF at, const Camera& camera);
    /// Esc: everything as before the press. False when nothing is being dragged.
    bool give_up();
    bool dragging() const { return grip_ != Grip::none; }
    Qt::CursorShape cursor_at(QPointF at, const Camera& camera) const;
    /// The frame with its handles and size, the datum, guides and the box being drawn.
    void draw(QPainter& painter, const Camera& camera) const;
    void draw_datum(QPainter& painter, const Camera& camera) const;

 private:
    enum class Grip { none, box, motifs, handle, datum };
    std::optional<job::Id> motif_at(geometry::Point place, const Camera& camera) const;
    std::optional<std::size_t> shape_at(const job::Motif& motif, geometry::Point place, double reach) const;
    bool on_datum(QPointF at, const Camera& camera) const;
    void move_motifs(geometry::Point by, Qt::KeyboardModifiers keys, const Camera& camera);
    void drag_datum(geometry::Point to, Qt::KeyboardModifiers keys, const Camera& camera);
    job::Ids motifs_in(const geometry::Box& box) const;
    void draw_frame(QPainter& painter, const Camera& camera) const;
    void draw_guides(QPainter& painter, const Camera& camera) const;

    JobDocument& document_;
    PlacingDesk& desk_;
    const machine::MachineProfile& machine_;
    const theme::Roles& roles_;
    Grip grip_ = Grip::none;
    bool moved_ = false;  ///< the drag went far enough to be one
    QPointF from_, to_;
    Handle handle_;
    HandleFrame start_frame_;
    geometry::Box start_box_;
    job::Job start_job_;  ///< art is shared, so this is cheap
    SnapLines lines_;
    Snap caught_;
};

}  // namespace chalkline::app
