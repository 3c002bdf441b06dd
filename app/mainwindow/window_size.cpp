// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/window_size.hpp"

#include <QScreen>
#include <QSettings>

namespace chalkline::app {
namespace {

constexpr const char* geometry_setting = "window/geometry";
constexpr QSize usual_size(1280, 800), least_size(960, 600);
constexpr QSize window_frame(16, 40);  // px: what a window manager puts round it

}  // namespace

void fit_to_screen(QWidget& window) {
    const QSize room = window.screen()->availableGeometry().size() - window_frame;
    window.setMinimumSize(least_size.boundedTo(room));
    window.resize(usual_size.boundedTo(room));
    // Qt moves what was kept back onto the screens there are now.
    window.restoreGeometry(QSettings().value(geometry_setting).toByteArray());
    if (!window.isMaximized()) window.resize(window.size().boundedTo(room));
}

void keep_size(const QWidget& window) {
    QSettings().setValue(geometry_setting, window.saveGeometry());
}

}  // namespace chalkline::app
