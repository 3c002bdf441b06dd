// SPDX-License-Identifier: GPL-3.0-or-later
// Pictures of the Art and the Steps tray, with a drawing of many colours.
//     chalkline-colour-pictures FOLDER
#include "mainwindow/main_window.hpp"
#include "support/own_home.hpp"
#include "support/window_driver.hpp"

#include <QApplication>
#include <QDir>
#include <QTest>
#include <cstdio>

using namespace chalkline;
using test::wait_for;

int main(int argc, char** argv) {
    const chalkline::test::OwnHome home;
    QApplication application(argc, argv);
    if (argc < 2) {
        std::fputs("usage: chalkline-colour-pictures FOLDER\n", stderr);
        return 2;
    }
    QDir().mkpath(argv[1]);
    QApplication::setFont(app::theme::font(app::theme::normal));
    app::MainWindow window{app::WindowOptions{}};
    window.resize(1280, 800);
    window.show();
    const auto take = [&](const QString& name) {
        QTest::qWait(600);
        window.grab().save(QDir(argv[1]).filePath(name + ".png"));
    };
    window.files().open({QString(CHALKLINE_SAMPLES) + "/seed-packet.svg"});
    if (!wait_for([&] { return !window.document().job().motifs.empty() && window.plans().ready(); })) return 1;
    window.placing().choose({window.document().job().motifs[0].id});
    window.choose(app::Mark::art);
    window.bed().fit_job();
    take("art");
    for (const job::Step& step : window.document().job().steps) {
        if (step.settings.kind != steps::StepKind::engrave) continue;
        steps::StepSettings settings = step.settings;
        settings.fill.tones = steps::FillSettings::Tones::power;
        const auto changed =
            job::change_settings(window.document().job(), step.id, settings, window.machine().profile().top_speed());
        if (!changed) return 1;
        (void)window.document().edit("Tones", *changed, app::JobChange::steps);
        break;
    }
    if (!wait_for([&] { return window.plans().ready() && !window.plans().stale(); })) return 1;
    window.choose(app::Mark::steps);
    QTest::mouseClick(window.steps_tray().cards()[0], Qt::LeftButton, {}, {100, 20});
    window.bed().fit_job();
    take("steps");
    return 0;
}
