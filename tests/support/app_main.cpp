// SPDX-License-Identifier: GPL-3.0-or-later
#define CATCH_CONFIG_RUNNER
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <catch2/catch.hpp>

#include <QApplication>
#include <QTemporaryDir>
#include <QThreadPool>

int main(int argc, char** argv) {
    // Test discovery runs this program at build time: it must need neither a screen nor the user's home.
    qputenv("QT_QPA_PLATFORM", "offscreen");
    const QTemporaryDir home;
    qputenv("HOME", home.path().toUtf8());
    qputenv("XDG_CONFIG_HOME", home.path().toUtf8());
    if (qEnvironmentVariableIsEmpty("XDG_RUNTIME_DIR")) qputenv("XDG_RUNTIME_DIR", home.path().toUtf8());
    QApplication application(argc, argv);
    QApplication::setFont(chalkline::app::theme::font(chalkline::app::theme::normal));
    chalkline::app::answer_screen_readers();
    const int result = Catch::Session().run(argc, argv);
    QThreadPool::globalInstance()->waitForDone();
    return result;
}
