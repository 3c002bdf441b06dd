// SPDX-License-Identifier: GPL-3.0-or-later
#include "guide/guide.hpp"

#include "commands/commands.hpp"
#include "desktop/crash_report.hpp"
#include "language/language.hpp"
#include "support/window_driver.hpp"
#include "trays/round_piece_panel.hpp"

#include <catch2/catch.hpp>
#include <sys/wait.h>
#include <unistd.h>

#include <QApplication>
#include <QDir>
#include <QFile>
#include <QLabel>
#include <QListWidget>
#include <QRegularExpression>
#include <QTemporaryDir>
#include <csignal>

using namespace chalkline;
using namespace chalkline::app;
using chalkline::test::wait_for;
using chalkline::test::WindowDriver;

TEST_CASE("every page of the guide is there, and so is everything it leads to") {
    const auto pages = guide_pages();
    REQUIRE(pages.size() == 6);
    QStringList files;
    for (const GuidePage& page : pages)
        files << page.file;
    for (const GuidePage& page : pages) {
        INFO(page.file.toStdString());
        CHECK(page.title.size() > 3);
        auto links = QRegularExpression(R"(\]\(([^)]+)\))").globalMatch(page.text);
        while (links.hasNext()) {
            const QString target = links.next().captured(1);
            INFO(target.toStdString());
            CHECK((files.contains(target) || QFile::exists(":/guide/" + target)));
        }
    }
}

TEST_CASE("F1 opens the page for what has the focus") {
    WindowDriver driver;
    const auto page_at = [&](QWidget* widget) {
        widget->setFocus();
        QTest::keyClick(QApplication::focusWidget() ? QApplication::focusWidget() : &driver.window(), Qt::Key_F1);
        auto* guide = driver.window().findChild<GuideWindow*>();
        REQUIRE(guide);
        const QString page = guide->page();
        guide->close();
        driver.window().activateWindow();
        QTest::qWait(20);
        return page;
    };
    driver->choose(Mark::steps);
    CHECK(page_at(&driver->bed()) == "first-burn.md");
    driver->choose_view(View::swatches);
    QLineEdit* search = driver.field("Find swatch cards");
    REQUIRE(search);
    CHECK(page_at(search) == "new-material.md");
    CHECK(guide_page_of(driver.window().findChild<RoundPiecePanel*>()) == "cup.md");
    CHECK(guide_page_of(nullptr) == "index.md");
}

TEST_CASE("the guide is found by its words, and a page leads to the next") {
    WindowDriver driver;
    QTest::keyClick(&driver.window(), Qt::Key_K, Qt::ControlModifier);
    REQUIRE(wait_for([&] { return driver.field("Command to find") != nullptr; }));
    QTest::keyClicks(driver.field("Command to find"), "cup rotary");
    QTest::keyClick(driver.field("Command to find"), Qt::Key_Return);
    auto* guide = driver.window().findChild<GuideWindow*>();
    REQUIRE(guide);
    REQUIRE(guide->isVisible());
    CHECK(guide->page() == "cup.md");
    auto* list = guide->findChild<QListWidget*>();
    CHECK(list->currentItem()->text() == "A cup in the rotary");
    guide->findChild<GuideText*>()->setSource(QUrl("new-material.md"));
    CHECK(guide->page() == "new-material.md");
    CHECK(list->currentRow() == 3);
    QTest::keyClick(guide, Qt::Key_Escape);
    CHECK_FALSE(guide->isVisible());
}

TEST_CASE("the program speaks German, plurals and errors too") {
    speak("de");
    {
        WindowDriver driver;
        CHECK(driver.button("Öffnen …") != nullptr);
        driver->choose(Mark::stock);
        CHECK(driver.button("Ein Stück setzen") != nullptr);
        CHECK(wording::describe(Error{"base.file-missing", {}, {}, 0}).what == "Diese Datei gibt es nicht");
        CHECK(QObject::tr("%n cards", nullptr, 1) == "1 Karte");
        CHECK(QObject::tr("%n cards", nullptr, 3) == "3 Karten");
    }
    for (auto* translation : qApp->findChildren<Translation*>())
        delete translation;
    CHECK(wording::describe(Error{"base.file-missing", {}, {}, 0}).what == "There is no such file");
}

TEST_CASE("a fault leaves a report on this computer, told of once") {
    const QTemporaryDir folder;
    CHECK(take_crash_report(folder.path()).isEmpty());
    const pid_t child = ::fork();
    if (child == 0) {
        write_crash_reports(folder.path(), "9.9");
        ::raise(SIGSEGV);
        ::_exit(0);
    }
    int ended = 0;
    ::waitpid(child, &ended, 0);
    // The fault itself is what ends the program.
    CHECK(WIFSIGNALED(ended));
    CHECK(WTERMSIG(ended) == SIGSEGV);
    const QString report = take_crash_report(folder.path());
    REQUIRE_FALSE(report.isEmpty());
    QFile file(report);
    REQUIRE(file.open(QIODevice::ReadOnly));
    const QString text = QString::fromUtf8(file.readAll());
    CHECK(text.contains("Chalkline 9.9"));
    CHECK(text.contains("SIGSEGV"));
    CHECK(text.count('\n') > 4);
    CHECK(take_crash_report(folder.path()).isEmpty());
}
