// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "support/simulator_process.hpp"
#include "support/window_driver.hpp"

#include <catch2/catch.hpp>

#include <QComboBox>

namespace chalkline::test {

/// Presses the button with this text as soon as it can be pressed.
inline bool press_enabled(WindowDriver& driver, const QString& text) {
    return wait_for([&] {
               auto* button = driver.button(text);
               return button && button->isEnabled();
           }) &&
           driver.click(text);
}

/// Starts the burn by its tray and its sheet.
inline void begin_burn(WindowDriver& driver) {
    driver->choose(app::Mark::burn);
    REQUIRE(press_enabled(driver, "Burn…"));
    REQUIRE(press_enabled(driver, "Burn"));
    REQUIRE(wait_for([&] { return driver->desk().burning(); }));
}

/// A window with the sample job, connected and at home.
class Workbench {
 public:
    explicit Workbench(const std::string& speed = "max", const std::vector<std::string>& more = {},
                       const QString& history = {})
        : machine(CHALKLINE_SIM, speed, more), driver("max", {}, history) {
        driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
        REQUIRE(driver.wait_planned());
        driver->machine().connect_to(QString::fromStdString(machine.port()), "simulated");
        REQUIRE(wait_for([&] { return answered(); }));
        driver->machine().home();
        REQUIRE(wait_for([&] { return at_rest(); }));
    }
    bool answered() { return now().activity == chalkline::machine::Activity::none && now().connected; }
    const chalkline::machine::Snapshot& now() { return driver->machine().snapshot(); }
    bool at_rest() { return driver.idle() && now().position_sure && now().position.has_value(); }
    bool head_at(geometry::Point place) {
        return wait_for([&] { return at_rest() && geometry::distance(*now().position, place) < 0.02; }, 10000);
    }
    QComboBox* choice(const QString& name) {
        for (auto* box : driver.window().findChildren<QComboBox*>())
            if (box->isVisible() && box->accessibleName() == name) return box;
        return nullptr;
    }
    void frame() {
        driver->choose(app::Mark::frame);
        REQUIRE(wait_for([&] { return driver.button("Frame") && driver.button("Frame")->isEnabled(); }));
        REQUIRE(driver.click("Frame"));
        REQUIRE(wait_for([&] { return driver->desk().framed_at().has_value() && at_rest(); }));
        QTest::qWait(30);
    }

    SimulatorProcess machine;
    WindowDriver driver;
};

}  // namespace chalkline::test
