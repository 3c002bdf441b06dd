// SPDX-License-Identifier: GPL-3.0-or-later
// Pictures of the Swatches view (a card designed, burned on the simulated machine and read from its bed) and of the
// evening colours.
//     chalkline-swatch-pictures FOLDER
#include "mainwindow/main_window.hpp"
#include "support/own_home.hpp"
#include "support/simulator_process.hpp"
#include "swatches/card_canvas.hpp"
#include "swatches/swatches_view.hpp"

#include <QApplication>
#include <QDeadlineTimer>
#include <QDir>
#include <QTest>
#include <cstdio>
#include <functional>

namespace {

using namespace chalkline;
using app::SwatchesView;

bool wait_for(const std::function<bool()>& condition, int milliseconds = 120000) {
    const QDeadlineTimer deadline(milliseconds);
    while (!condition()) {
        if (deadline.hasExpired()) return false;
        QTest::qWait(20);
    }
    return true;
}

}  // namespace

int main(int argc, char** argv) {
    const chalkline::test::OwnHome home;
    QApplication application(argc, argv);
    if (argc < 2) {
        std::fputs("usage: chalkline-swatch-pictures FOLDER\n", stderr);
        return 2;
    }
    QDir().mkpath(argv[1]);
    QApplication::setFont(app::theme::font(app::theme::normal));
    app::WindowOptions options;
    options.simulator_speed = "max";
    app::MainWindow window(options);
    window.resize(1280, 800);  // the screen without a screen is smaller
    window.show();
    const auto take = [&](const QString& name) {
        QTest::qWait(200);
        window.grab().save(QDir(argv[1]).filePath(name + ".png"));
    };
    window.files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    if (!wait_for([&] { return window.plans().ready(); })) return 1;
    window.choose_view(app::View::swatches);
    SwatchesView& view = window.swatches();
    auto& desk = view.desk();
    swatches::Card card = swatches::ready_card(swatches::Ready::engrave_dose, desk.ground());
    card.name = "Engraving";
    desk.add(card, "New swatch card");
    view.choose_page(SwatchesView::Page::design);
    desk.change("Leave swatch out", [](swatches::Card& one) { one.left_out = {{5, 0}, {4, 0}}; });
    if (!wait_for([&] { return !desk.stale(); })) return 1;
    take("swatches");
    window.connect_sample_machine();
    if (!wait_for([&] {
            const auto& now = window.machine().snapshot();
            return now.connected && now.position_sure && now.activity == machine::Activity::none;
        }))
        return 1;
    const auto job = desk.job(false);
    if (!job) return 1;
    window.document().replace_unsaved(*job, {});
    window.choose(app::Mark::steps);
    if (!wait_for([&] { return window.plans().ready(); })) return 1;
    window.desk().frame();
    if (!wait_for([&] { return window.desk().framed_at().has_value(); })) return 1;
    window.desk().answer_frame(true);
    window.desk().burn();
    if (!wait_for([&] { return window.desk().burned_at().has_value(); }, 600000)) return 1;
    window.choose_view(app::View::swatches);
    view.choose_page(SwatchesView::Page::read);
    Q_EMIT view.bed_picture_wanted();
    if (!wait_for([&] { return !desk.straight().isNull(); })) return 1;
    desk.choose_cell(swatches::CellPlace{4, 3});
    desk.judge("Verdict", [](swatches::CellResult& result) { result.verdict = swatches::Verdict::keeper; });
    desk.choose_cell(swatches::CellPlace{2, 0});
    desk.judge("Verdict", [](swatches::CellResult& result) { result.verdict = swatches::Verdict::charred; });
    desk.choose_cell(swatches::CellPlace{4, 3});
    take("swatch-read");
    window.appearance().choose(app::Appearance::Choice::evening);
    window.document().replace({}, {});
    window.files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    if (!wait_for([&] { return !window.document().job().motifs.empty() && window.plans().ready(); })) return 1;
    window.choose(app::Mark::steps);
    QTest::mouseClick(window.steps_tray().cards()[0], Qt::LeftButton, {}, {100, 20});
    take("evening");
    window.appearance().choose(app::Appearance::Choice::as_desktop);
    return 0;
}
