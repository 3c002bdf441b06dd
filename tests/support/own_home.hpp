// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QTemporaryDir>

namespace chalkline::test {

/// A home of the program's own as long as it runs, and no screen: the user's files stay as they are. To be made before
/// the application.
class OwnHome {
 public:
    OwnHome() {
        qputenv("QT_QPA_PLATFORM", "offscreen");
        for (const char* place : {"HOME", "XDG_CONFIG_HOME", "XDG_DATA_HOME"})
            qputenv(place, home_.path().toUtf8());
        if (qEnvironmentVariableIsEmpty("XDG_RUNTIME_DIR")) qputenv("XDG_RUNTIME_DIR", home_.path().toUtf8());
    }
    QString path() const { return home_.path(); }

 private:
    QTemporaryDir home_;
};

}  // namespace chalkline::test
