// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "support/window_driver.hpp"

#include <catch2/catch.hpp>

#include <cmath>

// Hands on the bed: real presses, drags and keys at places given in millimetres.
namespace chalkline::test {

inline const job::Job& job_of(WindowDriver& driver) {
    return driver->document().job();
}

/// Lays a piece of that size (mm) on the bed, its corner at the place given.
inline void give_piece(WindowDriver& driver, geometry::Point corner, double width, double height) {
    job::Stock stock;
    stock.corner = corner;
    stock.width = width;
    stock.height = height;
    REQUIRE(driver->document().edit("Stock", job::set_stock({}, stock), app::JobChange::stock));
}

inline QPoint on_screen(WindowDriver& driver, geometry::Point place) {
    return driver->bed().camera().to_screen(place).toPoint();
}

inline void drag(WindowDriver& driver, geometry::Point from, geometry::Point to, Qt::KeyboardModifiers keys = {}) {
    app::BedView& bed = driver->bed();
    const QPoint start = on_screen(driver, from), end = on_screen(driver, to);
    QTest::mousePress(&bed, Qt::LeftButton, keys, start);
    for (int i = 1; i <= 4; ++i) {
        QMouseEvent move(QEvent::MouseMove, QPointF(start + (end - start) * i / 4),
                         bed.mapToGlobal(QPointF(start + (end - start) * i / 4)), Qt::NoButton, Qt::LeftButton, keys);
        QApplication::sendEvent(&bed, &move);
    }
    QTest::mouseRelease(&bed, Qt::LeftButton, keys, end);
}

inline void key(WindowDriver& driver, Qt::Key pressed, Qt::KeyboardModifiers keys = {}) {
    driver->bed().setFocus();
    QTest::keyClick(&driver->bed(), pressed, keys);
    QTest::qWait(10);
}

/// Opens a fold of the tray and waits until its buttons show.
inline void open_fold(WindowDriver& driver, const QString& title) {
    for (auto* candidate : driver.window().findChildren<QPushButton*>())
        if (candidate->isVisible() && candidate->text().contains(QString::fromUtf8("▸ ") + title))
            QTest::mouseClick(candidate, Qt::LeftButton);
    QTest::qWait(20);
}

inline void draw(WindowDriver& driver, const QString& what) {
    driver->choose(app::Mark::art);
    QTest::qWait(20);
    open_fold(driver, "Draw");
    REQUIRE(driver.click(what));
    QTest::qWait(20);
}

inline double pixel(WindowDriver& driver) {
    return 1 / driver->bed().camera().scale;
}

/// Presses Tab until the widget of that accessible name or text has the keys; null when it is never reached.
inline QWidget* tab_to(WindowDriver& driver, const QString& name) {
    for (int i = 0; i < 300; ++i) {
        QWidget* now = QApplication::focusWidget();
        const auto* button = qobject_cast<QPushButton*>(now);
        if (now && now->isVisible() && (now->accessibleName() == name || (button && button->text() == name)))
            return now;
        QTest::keyClick(now ? now : &driver.window(), Qt::Key_Tab);
    }
    return nullptr;
}

}  // namespace chalkline::test
