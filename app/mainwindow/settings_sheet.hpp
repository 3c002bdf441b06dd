// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desktop/appearance.hpp"

class QWidget;

namespace chalkline::app {

/// The few settings of the program. Each takes effect at once.
void open_settings_sheet(Appearance& appearance, QWidget* over);

}  // namespace chalkline::app
