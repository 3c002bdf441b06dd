// SPDX-License-Identifier: GPL-3.0-or-later
// Takes the pictures of docs/screenshots from the sample job on the simulated machine:
//     chalkline-screenshots FOLDER
#include "machine/connection_sheet.hpp"
#include "machine/profile_sheet.hpp"
#include "mainwindow/main_window.hpp"
#include "proof/proof_view.hpp"
#include "recipes/recipe_shelf.hpp"
#include "support/own_home.hpp"
#include "support/simulator_process.hpp"
#include "trays/jog_strip.hpp"
#include "widgets/fold.hpp"

#include <QApplication>
#include <QCheckBox>
#include <QComboBox>
#include <QDeadlineTimer>
#include <QDir>
#include <QTest>
#include <cstdio>
#include <functional>

namespace {

using namespace chalkline;
using app::Mark;

bool wait_for(const std::function<bool()>& condition, int milliseconds = 60000) {
    const QDeadlineTimer deadline(milliseconds);
    while (!condition()) {
        if (deadline.hasExpired()) return false;
        QTest::qWait(20);
    }
    return true;
}

class Photographer {
 public:
    Photographer(app::MainWindow& window, const QString& folder) : window_(window), folder_(folder) {}
    void take(const QString& name) {
        QTest::qWait(150);
        window_.grab().save(folder_.filePath(name + ".png"));
    }

 private:
    app::MainWindow& window_;
    QDir folder_;
};

app::RecipeShelf* shelf_of(app::MainWindow& window) {
    return window.findChild<app::RecipeShelf*>();
}

/// What a workshop would have after some weeks.
void keep_sample_recipes(app::MainWindow& window) {
    using Kind = recipes::Evidence::Kind;
    const auto keep = [&](double power, double speed, Kind kind, const char* source, const char* date) {
        recipes::Recipe recipe = window.recipes().all()->front();
        recipe.id = 0;
        recipe.settings.power = Power::percent(power);
        recipe.settings.speed = Speed::mm_per_min(speed);
        recipe.evidence = {.kind = kind, .source = source, .date = date, .burns = kind == Kind::swatch ? 6 : 0};
        recipe.evidence.preparation = "masked with paper tape";
        recipe.note = "Wipe warm.";
        recipe.tags = {"plates"};
        window.recipes().keep("Keep recipe", recipe);
    };
    keep(80, 4200, Kind::swatch, "swatch card, row 5 column 4", "2026-11-23");
    keep(60, 3000, Kind::burned, "shed sign", "2026-10-30");
    keep(45, 1600, Kind::chart, "supplier's chart", "2026-01-12");
}

/// The slate marker prepared.
bool take_proof(app::MainWindow& window, Photographer& photographer) {
    auto* proof = window.findChild<app::ProofView*>();
    const auto dots = [&] { return !window.plans().stale() && proof->desk().now().proof != nullptr; };
    if (!wait_for([&] { return !window.document().job().motifs.empty(); })) return false;
    window.choose_view(app::View::proof);
    if (!wait_for(dots)) return false;
    QTest::qWait(800);  // the contact sheet and the offer of another pitch
    photographer.take("proof");
    window.choose_view(app::View::job);
    return true;
}

void take_open_checks(app::MainWindow& window, Photographer& photographer) {
    job::Job job = window.document().job();
    job.steps[0].settings.speed = Speed::mm_per_min(70);
    job.stock->corner.x += 12;
    const job::Job before = window.document().job();
    window.document().replace(job, {});
    window.choose(Mark::burn);
    wait_for([&] { return !window.plans().stale(); });
    photographer.take("checks");
    window.document().replace(before, {});
    wait_for([&] { return window.plans().ready(); });
}

}  // namespace

int main(int argc, char** argv) {
    const chalkline::test::OwnHome home;
    QApplication application(argc, argv);
    if (argc < 2) {
        std::fputs("usage: chalkline-screenshots FOLDER\n", stderr);
        return 2;
    }
    QDir().mkpath(argv[1]);
    QApplication::setFont(app::theme::font(app::theme::normal));
    app::WindowOptions options;
    app::MainWindow window(options);
    window.resize(1280, 800);  // the screen without a screen is smaller
    window.show();
    Photographer photographer(window, argv[1]);
    window.files().open({QString(CHALKLINE_SAMPLES) + "/row-marker.chalk"});
    if (!take_proof(window, photographer)) return 1;
    window.document().replace({}, {});
    window.files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    if (!wait_for([&] { return !window.document().job().motifs.empty() && window.plans().ready(); })) return 1;
    window.placing().choose({window.document().job().motifs[0].id});
    window.choose(Mark::art);
    window.choose(Mark::steps);
    QTest::mouseClick(window.steps_tray().cards()[0], Qt::LeftButton, {}, {100, 20});
    window.choose(Mark::stock);
    photographer.take("stock");
    keep_sample_recipes(window);
    window.choose_view(app::View::recipes);
    QTest::mouseClick(shelf_of(window), Qt::LeftButton, {}, shelf_of(window)->row_of(3).center());
    photographer.take("recipes");
    window.choose(Mark::steps);
    take_open_checks(window, photographer);
    window.choose(Mark::rehearse);
    window.player().show_share(0.55);
    if (!wait_for([&] { return window.rehearsal().sharp(); })) return 1;
    QTest::qWait(400);
    photographer.take("rehearse");
    for (auto* tick : window.findChildren<QCheckBox*>())
        if (tick->text() == "Show the energy on the bed") tick->setChecked(true);
    for (auto* fold : window.findChildren<app::Fold*>())
        if (fold->isVisible()) fold->set_open(true);
    QTest::qWait(600);
    photographer.take("energy");
    for (auto* tick : window.findChildren<QCheckBox*>())
        if (tick->text() == "Show the energy on the bed") tick->setChecked(false);

    {
        app::ConnectionSheet ports(
            window.machine(), window.keeper(), {},
            [] {
                return std::vector<ports::Port>{{"/dev/ttyUSB0", "Wrenfold Works", "Laser board"},
                                                {"/dev/ttyACM0", "Wrenfold Works", "Plant sensor"}};
            },
            &window.bed());
        wait_for([&] { return ports.findChild<QCheckBox*>() != nullptr; });
        photographer.take("connecting");
    }
    // Connected like any other machine, so that it is locked at first.
    test::SimulatorProcess machine(CHALKLINE_SIM, "20");
    window.machine().connect_to(QString::fromStdString(machine.port()), "simulated");
    const auto idle = [&] {
        const auto& now = window.machine().snapshot();
        return now.connected && now.activity == machine::Activity::none && now.state == machine::ControllerState::idle;
    };
    if (!wait_for([&] {
            const auto& now = window.machine().snapshot();
            return now.activity == machine::Activity::none && now.state == machine::ControllerState::alarm;
        }))
        return 1;
    // What was said of the new machine was read.
    for (auto* button : window.findChildren<QPushButton*>())
        if (button->isVisible() && button->text() == "Put away") button->click();
    window.choose(Mark::frame);
    window.machine().home();
    if (!wait_for([&] { return idle() && window.machine().snapshot().position_sure; })) return 1;
    window.desk().frame();
    if (!wait_for([&] { return window.desk().framed_at().has_value(); })) return 1;
    photographer.take("frame");
    window.desk().answer_frame(true);
    window.choose(Mark::stock);
    for (auto* fold : window.findChildren<app::Fold*>())
        if (fold->isVisible() && fold->findChild<QComboBox*>() && fold->findChild<app::JogStrip*>())
            fold->set_open(true);
    window.machine().go_to({80, 50});
    if (!wait_for([&] { return idle() && window.machine().snapshot().position->x < 80.1; })) return 1;
    for (auto* button : window.findChildren<QPushButton*>())
        if (button->isVisible() && button->text().startsWith("Mark here")) button->click();
    photographer.take("marking");
    {
        app::ProfileSheet profile(window.machine(), window.keeper(), &window.bed());
        photographer.take("machine");
    }
    window.choose(Mark::burn);
    QTest::keyClick(&window, Qt::Key_Return, Qt::ControlModifier);
    photographer.take("ready");
    QTest::keyClick(window.findChild<QWidget*>("sheet"), Qt::Key_Return);
    if (!wait_for([&] { return window.desk().share_done() > 0.45; })) return 1;
    for (int i = 0; i < 10; ++i)
        window.machine().trim_by(1, -1);
    photographer.take("burning");
    window.machine().hold();
    if (!wait_for([&] { return window.machine().snapshot().state == machine::ControllerState::hold; })) return 1;
    window.machine().resume();
    if (!wait_for([&] { return window.desk().share_done() > 0.6; })) return 1;
    window.machine().stop();
    if (!wait_for([&] { return window.desk().trouble().has_value() && idle(); })) return 1;
    const auto press = [&](const QString& text) {
        for (auto* button : window.findChildren<QPushButton*>())
            if (button->isVisible() && button->isEnabled() && button->text() == text) return button->click();
    };
    press("Go on from there…");
    photographer.take("going-on");
    press("Go on");
    if (!wait_for([&] { return window.desk().burned_at().has_value(); }, 120000)) return 1;
    press("What was burned before…");
    photographer.take("history");
    return 0;
}
