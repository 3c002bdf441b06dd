// SPDX-License-Identifier: GPL-3.0-or-later
// The samples that tests of the window open.
#pragma once

#include <QString>

namespace chalkline::test {

inline const QString sample_job = CHALKLINE_SAMPLES "/plot-27.chalk";
inline const QString sample_plate = CHALKLINE_SAMPLES "/plate.svg";

}  // namespace chalkline::test
