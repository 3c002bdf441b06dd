// SPDX-License-Identifier: GPL-3.0-or-later
#define CATCH_CONFIG_RUNNER
#include "desktop/stall_watch.hpp"
#include "support/own_home.hpp"
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <catch2/catch.hpp>

#include <QApplication>
#include <QThreadPool>

int main(int argc, char** argv) {
    // Test discovery runs this program at build time: it must need neither a screen nor the user's home.
    const chalkline::test::OwnHome home;
    chalkline::app::WatchedApplication application(argc, argv);
    // Said, not asserted: how long anything takes depends on what else this computer does.
    application.tell_stalls_to([](const chalkline::app::Stall& stall) {
        qInfo("stall: %d ms in %s", static_cast<int>(stall.lasted.count()), qPrintable(stall.where));
    });
    QApplication::setFont(chalkline::app::theme::font(chalkline::app::theme::normal));
    chalkline::app::answer_screen_readers();
    const int result = Catch::Session().run(argc, argv);
    QThreadPool::globalInstance()->waitForDone();
    return result;
}
