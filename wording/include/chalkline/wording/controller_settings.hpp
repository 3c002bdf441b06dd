// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace chalkline::wording {

/// A setting of the controller in a maker's words.
struct ControllerSetting {
    QString name, unit, what;
};
/// `$N` of the reference dialect; one that is not known is called by its number.
ControllerSetting controller_setting(int number);

}  // namespace chalkline::wording
