// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/bed_photo.hpp"
#include "theme/theme.hpp"
#include "widgets/sheet.hpp"
#include "widgets/spoken.hpp"

namespace chalkline::app {

/// The photograph with four numbered handles. They are dragged, or chosen with 1 to 4 and moved with the arrows.
class PhotoHandles : public QWidget, public Spoken {
    Q_OBJECT
 public:
    PhotoHandles(const theme::Roles& roles, QWidget* parent);
    void show_photo(QImage photo);
    void set_seen(const std::array<geometry::Point, 4>& seen);
    const std::array<geometry::Point, 4>& seen() const { return seen_; }
    /// Where a handle lies on the widget.
    QPointF place_of(std::size_t handle) const;
    QAccessible::Role spoken_role() const override { return QAccessible::Graphic; }
    QString spoken_value() const override;

 protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent* event) override;

 private:
    QRectF photo_rect() const;
    void put(std::size_t handle, geometry::Point share);
    const theme::Roles& roles_;
    QImage photo_;
    std::array<geometry::Point, 4> seen_;
    std::size_t chosen_ = 0;
    bool dragging_ = false;
};

/// Asks for a photograph of the bed and for the four places known in it.
class PhotoSheet : public Sheet {
    Q_OBJECT
 public:
    PhotoSheet(BedPhoto& photo, const geometry::Box& bed, const theme::Roles& roles, QWidget* over);

 private:
    void choose_file();
    void show_photo();
    void lay();
    BedPhoto& photo_;
    geometry::Box bed_;
    PhotoHandles* handles_;
    QLabel* said_;
    ValueField* fields_[4];  ///< left, near, right, far
    QPushButton* lay_button_;
};

}  // namespace chalkline::app
