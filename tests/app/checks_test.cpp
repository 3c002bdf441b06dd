// SPDX-License-Identifier: GPL-3.0-or-later
// The checks as the maker meets them: on the line, in the Burn tray, mended and overridden.
#include "support/bed_driver.hpp"

#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>

#include <catch2/catch.hpp>

#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {

struct Checked {
    QTemporaryDir folder;
    WindowDriver driver{"max", folder.filePath("recipes.db")};
    explicit Checked(void (*spoil)(job::Job&)) {
        driver.drop({CHALKLINE_SAMPLES "/plot-27.chalk"});
        job::Job job = job_of(driver);
        spoil(job);
        driver->document().replace(job, {});
        driver->choose(Mark::burn);
        settle();
    }
    void settle() {
        wait_for([this] { return !driver->plans().stale(); });
        QTest::qWait(40);
    }
    bool click(const QString& text) {
        const bool clicked = driver.click(text);
        settle();
        return clicked;
    }
};

}  // namespace

TEST_CASE("a check shows on the line and in the Burn tray, and its button mends it as one undoable change") {
    Checked shop([](job::Job& job) { job.steps[0].settings.speed = Speed::mm_per_min(70); });
    CHECK(shop.driver.state(Mark::steps) == MarkState::attention);
    CHECK(shop.driver.fact(Mark::steps).contains("hot fill"));
    CHECK(shop.driver.visible_text().contains("Checks: 3 open"));
    CHECK(shop.driver->plans().ready());  // warnings do not keep it shut
    REQUIRE(shop.click("Bring it near the recipes"));
    CHECK(shop.driver.visible_text().contains("Checks: all pass"));
    CHECK(shop.driver.state(Mark::steps) == MarkState::done);
    CHECK(job_of(shop.driver).steps[0].settings.speed == Speed::mm_per_min(3200));
    shop.driver->document().history().undo();
    CHECK(job_of(shop.driver).steps[0].settings.speed == Speed::mm_per_min(70));
}

TEST_CASE("what lies off the piece keeps Burn shut until it is mended, or overridden with a reason that is kept") {
    Checked shop([](job::Job& job) { job = job::transform(job, {1}, geometry::Transform::move(40, 0)).value(); });
    CHECK(shop.driver.visible_text().contains("Keeps Burn shut: "));
    CHECK_FALSE(shop.driver->plans().ready());
    CHECK(shop.driver.state(Mark::stock) == MarkState::attention);

    REQUIRE(shop.click("Burn anyway…"));
    CHECK_FALSE(shop.driver.button("Burn anyway")->isEnabled());
    QTest::keyClicks(shop.driver.field("Reason"), "a strip lies beside it");
    REQUIRE(shop.click("Burn anyway"));
    CHECK(shop.driver->plans().ready());
    CHECK(shop.driver.visible_text().contains("Burned anyway: a strip lies beside it"));
    CHECK(shop.driver.state(Mark::stock) == MarkState::done);
    const QString file = shop.folder.filePath("kept.chalk");
    REQUIRE(shop.driver->document().save(file));
    const auto opened = job::load(file.toStdString());
    REQUIRE(opened->job.overrides.size() == 1);
    CHECK(opened->job.overrides[0].reason == "a strip lies beside it");

    REQUIRE(shop.click("Heed it again"));
    CHECK_FALSE(shop.driver->plans().ready());
    REQUIRE(shop.click("Bring it onto the piece"));
    CHECK(shop.driver->plans().ready());
    CHECK(shop.driver.visible_text().contains("Checks: all pass"));
}

TEST_CASE("a material that must not be burned is said on the line") {
    Checked shop([](job::Job& job) { job.stock->material = "Vinyl film"; });
    CHECK(shop.driver.state(Mark::stock) == MarkState::attention);
    CHECK(shop.driver.fact(Mark::stock).contains("must not be burned"));
    CHECK(shop.driver.visible_text().contains("gives off chlorine"));
    CHECK_FALSE(shop.driver->plans().ready());
}

TEST_CASE("art moved after framing asks to be framed again, and framing mends it") {
    Checked shop([](job::Job&) {});
    shop.driver->connect_sample_machine();
    REQUIRE(wait_for([&] { return shop.driver.idle(); }));
    shop.driver->desk().frame();
    REQUIRE(wait_for([&] { return shop.driver->desk().framed_at().has_value() && shop.driver.idle(); }));
    const auto stale = [&] { return shop.driver.visible_text().contains("The job was changed since it was framed"); };
    QTest::qWait(40);
    CHECK_FALSE(stale());
    REQUIRE(shop.driver->document().edit(
        "Move", job::transform(job_of(shop.driver), {1}, geometry::Transform::move(3, 0)), JobChange::place));
    shop.settle();
    CHECK(stale());
    REQUIRE(shop.click("Frame again"));
    REQUIRE(wait_for([&] { return shop.driver->desk().framed_at().has_value(); }));
    QTest::qWait(40);
    CHECK_FALSE(stale());
}
