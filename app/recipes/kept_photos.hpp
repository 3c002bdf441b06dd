// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QStandardPaths>
#include <QString>

namespace chalkline::app {

/// Where copies of photographs of recipes and swatch cards lie, so that they stay when the originals go.
inline QString photo_folder() {
    return QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + "/photos";
}

}  // namespace chalkline::app
