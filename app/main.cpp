// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/main_window.hpp"

#include <chalkline/base/file.hpp>

#include <QApplication>
#include <QCommandLineParser>
#include <QDir>
#include <QFileInfo>
#include <QIcon>

namespace {

using namespace chalkline;

/// The sample job: beside an installed Chalkline, or in the source tree.
QString sample_job() {
    const QDir here(QCoreApplication::applicationDirPath());
    for (const QString& place : {here.filePath("../share/chalkline/samples"), QString(CHALKLINE_SAMPLES)})
        if (QFileInfo::exists(place + "/plot-27.chalk")) return place + "/plot-27.chalk";
    return {};
}

}  // namespace

int main(int argc, char** argv) {
    QApplication application(argc, argv);
    QApplication::setApplicationName("Chalkline");
    QApplication::setApplicationVersion(CHALKLINE_VERSION);
    QApplication::setDesktopFileName("chalkline");
    QApplication::setWindowIcon(QIcon::fromTheme("chalkline"));
    QApplication::setFont(app::theme::font(app::theme::normal));

    QCommandLineParser parser;
    parser.setApplicationDescription("Sets up, rehearses and burns laser engraving jobs.");
    parser.addHelpOption();
    parser.addVersionOption();
    parser.addPositionalArgument("files", "jobs (.chalk) or drawings to open");
    const QCommandLineOption profile("machine", "machine profile (JSON)", "file");
    const QCommandLineOption port("port", "connect to this port instead of the simulated machine", "port");
    const QCommandLineOption speed("simulator-speed", "virtual seconds a second of the simulated machine, or max",
                                   "factor", "1");
    parser.addOptions({profile, port, speed});
    parser.process(application);

    app::WindowOptions options;
    options.simulator_speed = parser.value(speed);
    std::optional<Error> trouble;
    if (parser.isSet(profile)) {
        const auto bytes = read_file(parser.value(profile).toStdString());
        const auto read = bytes ? machine::parse_profile(*bytes, parser.value(profile).toStdString())
                                : Result<machine::MachineProfile>(tl::unexpected(bytes.error()));
        if (read)
            options.profile = *read;
        else
            trouble = read.error();
    }
    app::MainWindow window(options);
    window.show();
    if (trouble) window.show_message(wording::describe(*trouble));
    const QStringList files = parser.positionalArguments();
    const bool crashed = window.offer_left_behind();
    if (!files.isEmpty())
        window.files().open(files);
    else if (const QString sample = sample_job(); !sample.isEmpty() && !crashed)
        window.files().open({sample});
    if (parser.isSet(port))
        window.keeper().connect_to(parser.value(port));
    else
        window.connect_sample_machine();
    return QApplication::exec();
}
