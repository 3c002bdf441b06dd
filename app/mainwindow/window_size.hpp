// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QWidget>

namespace chalkline::app {

/// Gives the window the size it had when it was closed, or its usual one, never more than the screen has room for: STOP
/// at its lower edge is always in view.
void fit_to_screen(QWidget& window);
/// Keeps size, place and whether it filled the screen, for the next time.
void keep_size(const QWidget& window);

}  // namespace chalkline::app
