// SPDX-License-Identifier: GPL-3.0-or-later
// A cup through the window: the rotary in the profile, the wall as the bed, the ring, the burn.
#include "machine/profile_sheet.hpp"
#include "rail/machine_rail.hpp"
#include "support/dose.hpp"
#include "support/workbench.hpp"
#include "swatches/swatches_view.hpp"
#include "widgets/fold.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/job/round_piece.hpp>

#include <catch2/catch.hpp>

#include <QComboBox>
#include <QLabel>
#include <numbers>

using namespace chalkline;
using namespace chalkline::test;
using app::Mark;

namespace {

constexpr job::RoundPiece cup{
    .diameter = 80, .end_diameter = 80, .length = 100, .taken_at_start = 12, .taken_at_end = 6};

/// A machine with a chuck where Y was, at home, and then the cup in it.
class CupBench {
 public:
    CupBench()
        : machine(CHALKLINE_SIM, "max",
                  {"--profile", CHALKLINE_SAMPLES "/rotary-laser.json", "--round-piece", in_rotary()}) {
        const auto profile = machine::parse_profile(read_file(CHALKLINE_SAMPLES "/rotary-laser.json").value(), {});
        driver->keeper().connect_to(QString::fromStdString(machine.port()));
        driver->keeper().keep(profile.value());
        REQUIRE(wait_for([&] { return now().connected && now().activity == machine::Activity::none; }));
        driver->machine().home();
        REQUIRE(wait_for([&] { return driver.idle() && now().position_sure; }));
    }
    ~CupBench() { std::remove(in_rotary().c_str()); }
    void put_in(const job::RoundPiece& piece) {
        REQUIRE(replace_file(in_rotary(), machine::to_json(job::wall_of(piece))));
        QTest::qWait(500);  // it looks there a few times a second
    }
    static std::string in_rotary() { return "/tmp/chalkline-cup-" + std::to_string(::getpid()) + ".json"; }
    const machine::Snapshot& now() { return driver->machine().snapshot(); }
    QLabel* sign() { return driver.window().findChild<QLabel*>("rotary"); }

    WindowDriver driver;
    SimulatorProcess machine;
};

}  // namespace

TEST_CASE("a band round a cup burns through the window and closes at the seam") {
    CupBench bench;
    WindowDriver& driver = bench.driver;
    CHECK_FALSE(bench.sign()->isVisible());
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/seed-cup.chalk"});
    REQUIRE(driver.wait_planned());
    bench.put_in(cup);

    // The sign stands on line and rail, and home is out of reach.
    CHECK(bench.sign()->isVisible());
    CHECK(bench.sign()->text().contains("251.3"));
    CHECK(driver.fact(Mark::stock).contains("rotary"));
    REQUIRE(driver.button("Home"));
    CHECK_FALSE(driver.button("Home")->isEnabled());
    // Nothing is framed or burned before somebody said where the piece begins.
    CHECK_FALSE(bench.now().position_sure);
    driver->choose(Mark::stock);
    REQUIRE(press_enabled(driver, "The head is where the piece begins, over the seam"));
    REQUIRE(wait_for([&] { return bench.now().position_sure; }));

    driver->choose(Mark::frame);
    REQUIRE(press_enabled(driver, "Frame"));
    REQUIRE(wait_for([&] { return driver->desk().framed_at().has_value() && driver.idle(); }));
    begin_burn(driver);
    REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value() && driver.idle(); }, 120000));
    bench.machine.finish();
    INFO(bench.machine.report());
    CHECK(bench.machine.clean());
    const Dose dose(bench.machine.file("dose.bin"));
    REQUIRE(dose.columns == 1000);
    const double turn = cup.turn();
    // The two rings go all round, over the seam as well.
    for (double y = 0.15; y < turn - 0.15; y += 0.2)
        for (const double x : {46.0, 70.0})
            REQUIRE(dose.near(x, y) > 0);
    // The lettering is there, and nothing burned where foot and rim are.
    CHECK(dose.mean({48, 5, 68, turn - 5}) > 50);
    CHECK(dose.mean({0.5, 1, 11, turn - 1}) == 0);
}

TEST_CASE("a diameter corrected while it burns holds as soon as the machine rests") {
    CupBench bench;
    WindowDriver& driver = bench.driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/seed-cup.chalk"});
    REQUIRE(driver.wait_planned());
    bench.put_in(cup);
    driver->choose(Mark::stock);
    REQUIRE(press_enabled(driver, "The head is where the piece begins, over the seam"));
    REQUIRE(wait_for([&] { return bench.now().position_sure; }));
    begin_burn(driver);
    driver->choose(Mark::stock);
    REQUIRE(driver.type("Diameter where the piece begins", "84"));
    REQUIRE(wait_for([&] { return driver.idle() && !driver->desk().burning(); }, 120000));
    REQUIRE(driver.wait_planned());
    driver->machine().go_to({20, 100});
    REQUIRE(wait_for([&] {
        const auto& now = bench.now();
        return driver.idle() && now.position && geometry::distance(*now.position, {20, 100}) < 0.05;
    }));
    QTest::qWait(400);
    // What the controller itself says: 200 counted for a turn of 84 mm, from −299 where the seam was said to be.
    const QStringList reports = driver->machine().wire_log().filter("MPos:");
    REQUIRE_FALSE(reports.isEmpty());
    const double counted = reports.last().section("MPos:", 1).section(',', 1, 1).toDouble() + 299;
    CHECK(counted == Approx(100 * 200 / (84 * std::numbers::pi)).margin(0.02));
}

TEST_CASE("a strip of swatches goes round the piece") {
    WindowDriver driver;
    machine::MachineProfile profile;
    profile.rotary = {machine::RotaryAxis::instead_of_y, machine::RotaryDrive::chuck, 200};
    driver->keeper().keep(profile);
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/seed-cup.chalk"});
    REQUIRE(driver.wait_planned());
    auto& desk = driver->swatches().desk();
    desk.add(swatches::ready_card(swatches::Ready::round_piece, desk.ground()), "New");
    const auto card = desk.job(true);
    REQUIRE(card);
    REQUIRE(card->round_piece());
    const geometry::Box strip = job::bounds(*card);
    CHECK(strip.height() > strip.width());
    CHECK(card->round_piece()->free_part().contains(strip));
    CHECK(planning::plan(*card, driver->machine().profile()));
}

TEST_CASE("a turn is typed in steps of the motor, as the controller counts them") {
    CupBench bench;
    WindowDriver& driver = bench.driver;
    auto* sheet = new app::ProfileSheet(driver->machine(), driver->keeper(), &driver->bed());
    for (auto* fold : sheet->findChildren<app::Fold*>())
        fold->set_open(true);
    QTest::qWait(20);
    // The simulated controller takes 80 steps for a millimetre of Y.
    REQUIRE(driver.field("Motor steps in one turn"));
    CHECK(driver.field("Motor steps in one turn")->text() == "16000");
    REQUIRE(driver.type("Motor steps in one turn", "6400"));
    REQUIRE(driver.click("Keep"));
    CHECK(driver->machine().flat_profile().rotary.per_turn == Approx(80));
}

TEST_CASE("a piece goes into the rotary by its form, the ring burns alone and corrects the diameter") {
    WindowDriver driver;
    machine::MachineProfile profile;
    profile.rotary = {machine::RotaryAxis::instead_of_y, machine::RotaryDrive::rollers, 50, 18};
    driver->keeper().keep(profile);
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(driver.wait_planned());
    driver->choose(Mark::stock);
    QComboBox* form = nullptr;
    for (auto* box : driver.window().findChildren<QComboBox*>())
        if (box->accessibleName() == "Form of the piece") form = box;
    REQUIRE(form);
    form->setFocus();
    QTest::keyClick(form, Qt::Key_End);
    REQUIRE(driver->document().job().round_piece());
    CHECK(driver.field("Width") == nullptr);
    CHECK(driver->machine().profile().depth == Approx(driver->document().job().round_piece()->turn()));

    // 154 mm of plate do not lie on 85 mm of wall; turned they do.
    REQUIRE(wait_for([&] { return !driver->plans().stale(); }));
    CHECK(driver->plans().planned().off_stock > 30);
    // The reference point goes with the art: left behind, the piece would be ruined.
    const geometry::Box lying = job::bounds(driver->document().job());
    driver->placing().choose_one(driver->document().job().motifs.front().id);
    driver->placing().set_datum({lying.right, lying.top});
    driver->placing().choose({});
    REQUIRE(driver.click("Turn a quarter"));
    const geometry::Box turned = job::bounds(driver->document().job());
    CHECK(turned.height() == Approx(154).margin(0.1));
    const auto datum = job::datum_place(driver->document().job());
    REQUIRE(datum);
    CHECK(datum->x == Approx(turned.right).margin(0.001));
    CHECK(datum->y == Approx(turned.bottom).margin(0.001));

    REQUIRE(driver.type("Diameter where the piece begins", "82.5"));
    CHECK(driver->document().job().round_piece()->end_diameter == Approx(82.5));
    REQUIRE(driver.type("Diameter where the piece ends", "70"));
    CHECK(driver->document().job().round_piece()->tapered());
    REQUIRE(driver.type("Diameter where the piece ends", "82.5"));
    REQUIRE(driver.type("Length along the wall", "0"));
    CHECK(driver->document().job().round_piece()->length == 100);

    const auto steps = driver->document().job().steps.size();
    REQUIRE(driver.click("Test ring"));
    CHECK(driver->document().job().steps.size() == steps + 1);
    REQUIRE(driver->plans().only().only_steps);
    CHECK(*driver->plans().only().only_steps == job::Ids{driver->document().job().steps.front().id});
    REQUIRE(driver.type("What the burned ring measures", "1.57"));
    REQUIRE(driver.click("Correct the diameter"));
    CHECK(driver->document().job().round_piece()->diameter == Approx(83).margin(0.001));
    // The ring, to be burned once more, is as long as one turn is now.
    const auto& with_ring = driver->document().job();
    const bool rings = std::any_of(with_ring.motifs.begin(), with_ring.motifs.end(), [&](const job::Motif& motif) {
        return std::abs(job::bounds(with_ring, {motif.id}).height() - with_ring.round_piece()->turn()) < 0.01;
    });
    CHECK(rings);
    REQUIRE(driver.click("Away with the ring"));
    CHECK(driver->document().job().steps.size() == steps);
    CHECK(driver->plans().whole());

    // All of it can be taken back, and the bed lies flat again.
    while (driver->document().history().canUndo())
        driver->document().history().undo();
    CHECK_FALSE(driver->document().job().round_piece());
    CHECK(driver->machine().profile().depth == 300);
}
