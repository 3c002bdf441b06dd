// SPDX-License-Identifier: GPL-3.0-or-later
#include "desktop/crash_report.hpp"
#include "desktop/ending.hpp"
#include "desktop/stall_watch.hpp"
#include "language/language.hpp"
#include "mainwindow/main_window.hpp"
#include "widgets/spoken.hpp"

#include <chalkline/base/file.hpp>

#include <QApplication>
#include <QCommandLineParser>
#include <QDir>
#include <QFileInfo>
#include <QIcon>
#include <QStandardPaths>
#include <algorithm>
#include <string_view>

namespace {

using namespace chalkline;

/// The sample job: beside an installed Chalkline, or in the source tree.
QString sample_job() {
    const QDir here(QCoreApplication::applicationDirPath());
    for (const QString& place : {here.filePath("../share/chalkline/samples"), QString(CHALKLINE_SAMPLES)})
        if (QFileInfo::exists(place + "/plot-27.chalk")) return place + "/plot-27.chalk";
    return {};
}

/// What the program can be started with.
struct StartOptions {
    const QCommandLineOption profile{"machine", "machine profile (JSON)", "file"};
    const QCommandLineOption port{"port", "connect to this port instead of the simulated machine", "port"};
    const QCommandLineOption speed{"simulator-speed", "virtual seconds a second of the simulated machine, or max",
                                   "factor", "1"};
    const QCommandLineOption verbose{"verbose", "say on the error output what kept the window from answering"};

    void read(QCommandLineParser& parser, const QCoreApplication& application) const {
        parser.setApplicationDescription("Sets up, rehearses and burns laser engraving jobs.");
        parser.addHelpOption();
        parser.addVersionOption();
        parser.addPositionalArgument("files", "jobs (.chalk) or drawings to open");
        parser.addOptions({profile, port, speed, verbose});
        parser.process(application);
    }
};

/// Asked for its version or its options it needs no screen.
bool asks_only(int argc, char** argv) {
    return std::any_of(argv + 1, argv + argc, [](const std::string_view argument) {
        return argument == "--version" || argument == "-v" || argument == "--help" || argument == "-h";
    });
}

void set_names() {
    QCoreApplication::setApplicationName("Chalkline");
    QCoreApplication::setApplicationVersion(CHALKLINE_VERSION);
}

}  // namespace

int main(int argc, char** argv) {
    const StartOptions start;
    QCommandLineParser parser;
    if (asks_only(argc, argv)) {
        const QCoreApplication application(argc, argv);
        set_names();
        start.read(parser, application);  // says it and ends
    }
    app::WatchedApplication application(argc, argv);
    set_names();
    QApplication::setDesktopFileName("chalkline");
    QApplication::setWindowIcon(QIcon::fromTheme("chalkline"));
    QApplication::setFont(app::theme::font(app::theme::normal));
    start.read(parser, application);
    if (parser.isSet(start.verbose))
        application.tell_stalls_to([](const app::Stall& stall) {
            qWarning("the window stood still for %d ms: %s", static_cast<int>(stall.lasted.count()),
                     qPrintable(stall.where));
        });
    const QString crashes =
        QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation) + "/Chalkline/crashes";
    const QString crash_report = app::take_crash_report(crashes);
    app::write_crash_reports(crashes, CHALKLINE_VERSION);
    app::speak();
    app::answer_screen_readers();

    app::WindowOptions options;
    options.simulator_speed = parser.value(start.speed);
    std::optional<Error> trouble;
    if (parser.isSet(start.profile)) {
        const std::string name = parser.value(start.profile).toStdString();
        const auto bytes = read_file(name);
        const auto read = bytes ? machine::parse_profile(*bytes, name)
                                : Result<machine::MachineProfile>(tl::unexpected(bytes.error()));
        if (read)
            options.profile = *read;
        else
            trouble = read.error();
    }
    app::MainWindow window(options);
    const app::Ending ending;
    QObject::connect(&ending, &app::Ending::asked, &window, &app::MainWindow::end_in_the_dark);
    QObject::connect(&ending, &app::Ending::session_ends, &window, [&window](QSessionManager& session) {
        if (session.allowsInteraction() && window.hold_up_logout()) session.cancel();
    });
    window.show();
    if (trouble) window.show_message(wording::describe(*trouble));
    if (!crash_report.isEmpty())
        window.show_message(wording::describe(Error{"app.crashed", {}, crash_report.toStdString(), 0}));
    const QStringList files = parser.positionalArguments();
    const bool crashed = window.offer_left_behind();
    if (!files.isEmpty())
        window.files().open(files);
    else if (const QString sample = sample_job(); !sample.isEmpty() && !crashed)
        window.files().open({sample});
    if (parser.isSet(start.port))
        window.keeper().connect_to(parser.value(start.port));
    else
        window.connect_sample_machine();
    return QApplication::exec();
}
