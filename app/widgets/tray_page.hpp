// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QScrollArea>

namespace chalkline::app {

/// What stands at the right edge of a view: it scrolls up and down when it is higher than the window, and has the
/// tray's paper and margins.
QScrollArea* make_tray_page(QWidget* inside);

}  // namespace chalkline::app
