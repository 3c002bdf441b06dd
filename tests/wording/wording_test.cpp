// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/wording/wording.hpp>

#include <catch2/catch.hpp>

#include <QDirIterator>
#include <QFile>
#include <QRegularExpression>

using namespace chalkline;

TEST_CASE("every code that is declared anywhere has a sentence") {
    const QRegularExpression declared("std::string_view \\w+ =\\s*\"([a-z]+\\.[a-z0-9-]+)\"");
    int count = 0;
    for (const char* folder : {"core", "platform", "tools", "app"}) {
        QDirIterator files(QString(CHALKLINE_SOURCE) + "/" + folder, {"*.hpp", "*.cpp"}, QDir::Files,
                           QDirIterator::Subdirectories);
        while (files.hasNext()) {
            QFile file(files.next());
            REQUIRE(file.open(QIODevice::ReadOnly));
            auto found = declared.globalMatch(QString::fromUtf8(file.readAll()));
            while (found.hasNext()) {
                const auto code = found.next().captured(1).toStdString();
                INFO(code);
                CHECK(wording::knows(code));
                ++count;
            }
        }
    }
    CHECK(count > 60);
}

TEST_CASE("a message says what, where and what to do, with its values") {
    const auto message =
        wording::describe(Error{"job.larger-than-bed",
                                {{"width", "900"}, {"height", "5"}, {"bed_width", "400"}, {"bed_height", "300"}},
                                "big.svg",
                                0});
    CHECK(message.what == "The art is 900 × 5 mm and the bed only 400 × 300 mm");
    CHECK(message.where == "big.svg");
    CHECK_FALSE(message.help.isEmpty());
    CHECK_FALSE(message.whole().contains('{'));
    CHECK(wording::describe(Error{"art.broken-xml", {{"reason", "x"}}, "a.svg", 12}).where == "a.svg, line 12");
}

TEST_CASE("the controller's numbers never stand alone") {
    const auto alarm = wording::describe(Error{"machine.alarm", {{"number", "2"}}, {}, 0});
    CHECK(alarm.what.contains("left the work area"));
    const auto refused = wording::describe(Error{"machine.line-refused", {{"number", "20"}, {"text", "G5X1"}}, {}, 7});
    CHECK(refused.what.contains("G5X1"));
    CHECK(refused.what.contains("does not support"));
    CHECK(refused.where == "line 7");
}

TEST_CASE("times and states in words") {
    CHECK(wording::duration(Duration::seconds(398)) == "6 min 38 s");
    CHECK(wording::duration(Duration::seconds(3600 + 65)) == "1 h 01 min");
    machine::Snapshot now;
    CHECK(wording::state(now) == "Not connected");
    now.connected = true;
    now.activity = machine::Activity::burning;
    now.state = machine::ControllerState::run;
    CHECK(wording::state(now) == "Burning");
    now.state = machine::ControllerState::hold;
    CHECK(wording::state(now) == "Held");
    now.state = machine::ControllerState::alarm;
    CHECK(wording::state(now) == "Locked");
}
