// SPDX-License-Identifier: GPL-3.0-or-later
// Commands by name and keys, the colours of the evening, and what a screen reader finds.
#include "commands/commands.hpp"

#include "bed/bed_view.hpp"
#include "desktop/appearance.hpp"
#include "proof/loupe.hpp"
#include "proof/proof_panel.hpp"
#include "proof/proof_view.hpp"
#include "recipes/recipe_shelf.hpp"
#include "support/simulator_process.hpp"
#include "support/window_driver.hpp"
#include "swatches/swatches_view.hpp"
#include "widgets/fold.hpp"
#include "widgets/sheet.hpp"
#include "widgets/time_ribbon.hpp"

#include <chalkline/job/round_piece.hpp>

#include <catch2/catch.hpp>

#include <QAccessible>
#include <QDBusMessage>
#include <QListWidget>
#include <QProcess>
#include <QScrollArea>
#include <QStackedWidget>

using namespace chalkline;
using namespace chalkline::app;
using chalkline::test::SimulatorProcess;
using chalkline::test::wait_for;
using chalkline::test::WindowDriver;

namespace {

QListWidget* found_list(WindowDriver& driver) {
    for (auto* list : driver.window().findChildren<QListWidget*>())
        if (list->isVisible() && list->accessibleName() == "Commands found") return list;
    return nullptr;
}

/// Types into the search, which is opened by its keys.
void search(WindowDriver& driver, const QString& words) {
    QTest::keyClick(&driver.window(), Qt::Key_K, Qt::ControlModifier);
    REQUIRE(found_list(driver));
    QTest::keyClicks(driver.field("Command to find"), words);
}

/// Roles of what always stands at something.
bool has_value(QAccessible::Role role) {
    switch (role) {
        case QAccessible::Slider:
        case QAccessible::SpinBox:
        case QAccessible::ComboBox:
        case QAccessible::ProgressBar:
        case QAccessible::Canvas:
        case QAccessible::Graphic:
        case QAccessible::Chart:
        case QAccessible::ListItem:
        case QAccessible::AlertMessage:
        case QAccessible::ToolBar:
        case QAccessible::PageTabList:
            return true;
        default:
            return false;
    }
}

/// What a screen reader misses of a widget; empty: nothing.
QString missing(QWidget& widget) {
    QAccessibleInterface* seen = QAccessible::queryAccessibleInterface(&widget);
    if (!seen) return "all";
    QStringList parts;
    if (seen->text(QAccessible::Name).trimmed().isEmpty()) parts << "name";
    // A client is what Qt calls a widget of which it knows nothing.
    if (seen->role() == QAccessible::NoRole || seen->role() == QAccessible::Client) parts << "role";
    const auto* combo = qobject_cast<QComboBox*>(&widget);
    const bool nothing_to_say = combo && combo->currentText().isEmpty();
    if (combo && !seen->text(QAccessible::Description).contains(combo->accessibleName())) parts << "what is chosen";
    if (combo && combo->accessibleName().isEmpty()) parts << "name";
    QAccessibleValueInterface* figure = seen->valueInterface();
    if (figure && !(figure->minimumValue().toDouble() <= figure->currentValue().toDouble() &&
                    figure->currentValue().toDouble() <= figure->maximumValue().toDouble()))
        parts << "a figure between its ends";
    if (has_value(seen->role()) && !figure && !nothing_to_say && seen->text(QAccessible::Value).isEmpty())
        parts << "value";
    return parts.join(" and ");
}

/// Everything seen that takes the focus or is painted by hand, of which a screen reader cannot say what it is, what it
/// is called and what it stands at.
QStringList unsaid(QWidget& root) {
    QStringList found;
    for (auto* widget : root.findChildren<QWidget*>()) {
        const bool container = qobject_cast<QScrollArea*>(widget) || qobject_cast<QStackedWidget*>(widget);
        const bool painted = dynamic_cast<Spoken*>(widget) != nullptr;
        const bool reached = widget->focusPolicy() != Qt::NoFocus && widget->isEnabled();
        if (container || !widget->isVisible() || !(painted || reached)) continue;
        if (widget->objectName().startsWith("qt_")) continue;
        if (const QString what = missing(*widget); !what.isEmpty())
            found << QString("%1 of %2 in %3")
                         .arg(what, widget->metaObject()->className(),
                              widget->parentWidget() ? widget->parentWidget()->metaObject()->className() : "");
    }
    return found;
}

/// A widget and a little round it, wherever it is scrolled to.
QImage seen_of(QWidget& widget) {
    constexpr int round = 4;  // px
    return widget.parentWidget()->grab(widget.geometry().adjusted(-round, -round, round, round)).toImage();
}

/// What the keys reach and looks no different with the focus on it.
QStringList unlit(QWidget& root) {
    QStringList found;
    for (auto* widget : root.findChildren<QWidget*>()) {
        const bool container = qobject_cast<QScrollArea*>(widget) || qobject_cast<QStackedWidget*>(widget);
        const bool reached = (widget->focusPolicy() & Qt::TabFocus) != 0 && widget->isEnabled();
        if (container || !reached || !widget->isVisible() || widget->objectName().startsWith("qt_")) continue;
        if (QWidget* other = QApplication::focusWidget()) other->clearFocus();
        const QImage before = seen_of(*widget);
        widget->setFocus(Qt::TabFocusReason);
        if (widget->hasFocus() && seen_of(*widget) == before)
            found << QString("%1 “%2”").arg(widget->metaObject()->className(),
                                            QAccessible::queryAccessibleInterface(widget)->text(QAccessible::Name));
    }
    return found;
}

/// A painted widget as a screen reader finds it.
QAccessibleInterface& reader_of(QWidget* widget) {
    REQUIRE(widget);
    auto* seen = QAccessible::queryAccessibleInterface(widget);
    REQUIRE(seen);
    return *seen;
}

}  // namespace

TEST_CASE("a command is found by its words and run by Return") {
    WindowDriver driver;
    search(driver, "swat");
    CHECK(found_list(driver)->item(0)->text().contains("Swatches"));
    CHECK(found_list(driver)->item(0)->text().contains("Ctrl+3"));
    QTest::keyClick(driver.field("Command to find"), Qt::Key_Return);
    CHECK(driver->swatches().isVisible());
    CHECK_FALSE(found_list(driver));
    // By the arrow keys to the second one, and away again by Esc.
    search(driver, "job");
    const int count = found_list(driver)->count();
    CHECK(count > 2);
    QTest::keyClick(driver.field("Command to find"), Qt::Key_Down);
    CHECK(found_list(driver)->currentRow() == 1);
    QTest::keyClick(driver.field("Command to find"), Qt::Key_Escape);
    QTest::qWait(10);
    CHECK_FALSE(found_list(driver));
    search(driver, "no such thing");
    CHECK(found_list(driver)->count() == 0);
    QTest::keyClick(driver.field("Command to find"), Qt::Key_Return);
    CHECK(found_list(driver));
}

TEST_CASE("recent jobs, recipes and cards are found too") {
    WindowDriver driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/row-marker.chalk"});
    REQUIRE(wait_for([&] { return !driver->document().job().motifs.empty(); }));
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(wait_for([&] { return driver->document().title() == "plot-27" && driver.wait_planned(); }));
    search(driver, "row-marker");
    REQUIRE(found_list(driver)->count() == 1);
    QTest::keyClick(driver.field("Command to find"), Qt::Key_Return);
    CHECK(wait_for([&] { return driver->document().title() == "row-marker"; }));
    search(driver, "slate engrave");
    REQUIRE(found_list(driver)->count() >= 1);
    QTest::keyClick(driver.field("Command to find"), Qt::Key_Return);
    auto* shelf = driver.window().findChild<RecipeShelf*>();
    CHECK(shelf->isVisible());
    CHECK(shelf->spoken_value().contains("Slate"));
    auto& desk = driver->swatches().desk();
    desk.add(swatches::ready_card(swatches::Ready::kerf, desk.ground()), "New");
    search(driver, "swatch card");
    REQUIRE(found_list(driver)->count() >= 1);
    QTest::keyClick(driver.field("Command to find"), Qt::Key_Return);
    CHECK(driver->swatches().isVisible());
}

TEST_CASE("every key is taken once, and the page of keys shows them all") {
    WindowDriver driver;
    QStringList keys;
    for (const Command& command : driver->commands().all())
        if (!command.keys.isEmpty()) keys << command.keys.toString();
    CHECK(keys.size() > 25);
    CHECK(keys.removeDuplicates() == 0);
    QTest::keyClick(&driver.window(), Qt::Key_K, Qt::ControlModifier | Qt::ShiftModifier);
    for (const Command& command : driver->commands().all())
        if (!command.keys.isEmpty()) CHECK(driver.visible_text().contains(command.name));
}

TEST_CASE("evening colours take effect at once and stay chosen") {
    WindowDriver driver;
    const auto ground = [&] { return driver.window().grab().toImage().pixelColor(640, 60).lightness(); };
    driver->appearance().choose(Appearance::Choice::light);
    QTest::qWait(20);
    CHECK(ground() > 200);
    QTest::keyClick(&driver.window(), Qt::Key_Comma, Qt::ControlModifier);
    for (auto* button : driver.window().findChildren<QAbstractButton*>())
        if (button->isVisible() && button->text() == "Evening") QTest::mouseClick(button, Qt::LeftButton, {}, {8, 8});
    QTest::qWait(20);
    CHECK(ground() < 90);
    CHECK(driver->appearance().choice() == Appearance::Choice::evening);
    {
        WindowDriver other;
        CHECK(other->appearance().is_evening());
    }
    driver->appearance().choose(Appearance::Choice::as_desktop);
    CHECK_FALSE(driver->appearance().is_evening());
}

/// A desktop's portal that has a preference.
class PreferencePortal : public QObject {
    Q_OBJECT
    Q_CLASSINFO("D-Bus Interface", "org.freedesktop.portal.Settings")
 public:
    uint scheme = 1;
 public Q_SLOTS:
    QDBusVariant Read(const QString& group, const QString& key) {
        const bool known = group == "org.freedesktop.appearance" && key == "color-scheme";
        // As portals of today answer it: a variant in a variant.
        return QDBusVariant(QVariant::fromValue(QDBusVariant(known ? scheme : 0U)));
    }
};

TEST_CASE("the desktop's preference is asked for and followed") {
    QProcess bus;
    bus.start("dbus-daemon", {"--session", "--nofork", "--print-address"});
    REQUIRE(bus.waitForStarted());
    REQUIRE(bus.waitForReadyRead());
    const QString address = QString::fromUtf8(bus.readLine()).trimmed();
    PreferencePortal portal;
    auto served = QDBusConnection::connectToBus(address, "preference portal");
    REQUIRE(served.registerService("org.freedesktop.portal.Desktop"));
    REQUIRE(served.registerObject("/org/freedesktop/portal/desktop", &portal, QDBusConnection::ExportAllSlots));
    Appearance appearance(QDBusConnection::connectToBus(address, "preference"));
    CHECK(wait_for([&] { return appearance.is_evening(); }));
    auto changed = QDBusMessage::createSignal("/org/freedesktop/portal/desktop", "org.freedesktop.portal.Settings",
                                              "SettingChanged");
    changed << "org.freedesktop.appearance"
            << "color-scheme" << QVariant::fromValue(QDBusVariant(2U));
    REQUIRE(served.send(changed));
    CHECK(wait_for([&] { return !appearance.is_evening(); }, 5000));
    bus.kill();
    bus.waitForFinished();
}

namespace {

/// Opens every fold that is seen and asks for what a screen reader misses.
std::string missed(WindowDriver& driver) {
    for (auto* fold : driver.window().findChildren<Fold*>())
        if (fold->isVisible()) fold->set_open(true);
    QTest::qWait(20);
    return unsaid(driver.window()).join(", ").toStdString();
}

}  // namespace

TEST_CASE("a screen reader finds name, role and value of everything in every view") {
    WindowDriver driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(driver.wait_planned());
    for (int mark = 0; mark < mark_count; ++mark) {
        driver->choose(static_cast<Mark>(mark));
        if (static_cast<Mark>(mark) == Mark::steps)
            QTest::mouseClick(driver->steps_tray().cards()[0], Qt::LeftButton, {}, {100, 20});
        INFO("mark " << mark);
        CHECK(missed(driver) == "");
    }
    // The piece in the rotary has fields of its own.
    job::Job round = driver->document().job();
    round.stock = job::in_rotary(*round.stock, job::RoundPiece()).value();
    driver->document().replace(job::add_test_ring(round), {});
    driver->choose(Mark::stock);
    CHECK(missed(driver) == "");
    driver->document().replace({}, {});
    driver.drop({QString(CHALKLINE_SAMPLES) + "/pears.png"});
    REQUIRE(driver.wait_planned());
    for (const Mark mark : {Mark::art, Mark::steps, Mark::rehearse}) {
        driver->choose(mark);
        INFO("a picture, mark " << static_cast<int>(mark));
        CHECK(missed(driver) == "");
    }
    for (const View view : {View::proof, View::recipes, View::swatches}) {
        driver->choose_view(view);
        INFO("view " << static_cast<int>(view));
        CHECK(missed(driver) == "");
        if (view == View::proof) CHECK(driver.window().findChild<Loupe*>()->isVisible());
    }
    auto& cards = driver->swatches();
    cards.desk().add(swatches::ready_card(swatches::Ready::engrave_dose, cards.desk().ground()), "New");
    for (const auto page : {SwatchesView::Page::design, SwatchesView::Page::burn, SwatchesView::Page::read}) {
        cards.choose_page(page);
        cards.desk().choose_cell(swatches::CellPlace{1, 1});
        INFO("page " << static_cast<int>(page));
        CHECK(missed(driver) == "");
    }
}

TEST_CASE("the focus is seen wherever the keys take it") {
    WindowDriver driver;
    driver.window().activateWindow();
    REQUIRE(QTest::qWaitForWindowActive(&driver.window()));
    const auto look = [&](const char* where) {
        for (auto* fold : driver.window().findChildren<Fold*>())
            if (fold->isVisible()) fold->set_open(true);
        QTest::qWait(20);
        INFO(where);
        CHECK(unlit(driver.window()).join(", ").toStdString() == "");
    };
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(driver.wait_planned());
    const char* const names[] = {"art", "steps", "stock", "rehearse", "frame", "burn"};
    for (int mark = 0; mark < mark_count; ++mark) {
        driver->choose(static_cast<Mark>(mark));
        if (static_cast<Mark>(mark) == Mark::steps)
            QTest::mouseClick(driver->steps_tray().cards()[0], Qt::LeftButton, {}, {100, 20});
        look(names[mark]);
    }
    driver->choose_view(View::recipes);
    look("recipes");
    driver->choose_view(View::swatches);
    look("the book");
    auto& cards = driver->swatches();
    cards.desk().add(swatches::ready_card(swatches::Ready::engrave_dose, cards.desk().ground()), "New");
    for (const auto page : {SwatchesView::Page::design, SwatchesView::Page::read}) {
        cards.choose_page(page);
        look("a card");
    }
    driver->document().replace({}, {});
    driver->choose_view(View::job);
    driver.drop({QString(CHALKLINE_SAMPLES) + "/pears.png"});
    REQUIRE(driver.wait_planned());
    driver->choose_view(View::proof);
    auto* proof = driver.window().findChild<ProofPanel*>();
    REQUIRE(wait_for([&] { return proof->spoken_value().startsWith("Loupe"); }));
    QTest::qWait(500);  // the original is read beside it
    look("proof");
}

TEST_CASE("a screen reader finds name, role and value of everything in the sheets") {
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(driver.wait_planned());
    driver->machine().connect_to(QString::fromStdString(machine.port()), "simulated");
    REQUIRE(wait_for([&] { return driver->machine().snapshot().settings != nullptr; }));
    const auto look = [&](const char* which) {
        INFO(which);
        QTest::qWait(20);
        auto* sheet = driver.window().findChild<Sheet*>();
        REQUIRE(sheet);
        CHECK(reader_of(sheet).role() == QAccessible::Dialog);
        CHECK(missed(driver) == "");
        sheet->put_away();
        QTest::qWait(20);
    };
    const QString rail = QString::fromStdString(driver->machine().profile().name) + " · simulated";
    for (const char* which : {"Machine…", "Settings…", "Wire…"}) {
        REQUIRE(driver.click(rail));
        REQUIRE(driver.click(which));
        look(which);
    }
    driver->choose(Mark::steps);
    REQUIRE(driver.click("Routines…"));
    look("Routines");
    driver->choose(Mark::stock);
    REQUIRE(driver.click("Photograph of the bed…"));
    look("a photograph of the bed");
    search(driver, "machine");
    CHECK(missed(driver) == "");
}

TEST_CASE("Esc closes a sheet also when the focus went to the window behind it") {
    WindowDriver driver;
    driver->choose(Mark::steps);
    REQUIRE(driver.click("Routines…"));
    QPointer<Sheet> sheet = driver.window().findChild<Sheet*>();
    REQUIRE(sheet);
    auto* bed = driver.window().findChild<BedView*>();
    QTest::mouseClick(bed, Qt::LeftButton, {}, {20, 20});
    bed->setFocus();
    QTest::keyClick(bed, Qt::Key_Escape);
    CHECK((!sheet || !sheet->isVisible()));
}

TEST_CASE("a screen reader hears what painted controls stand at, and sets them") {
    WindowDriver driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(wait_for([&] { return driver->document().title() == "plot-27" && driver.wait_planned(); }));
    auto& bed = reader_of(driver.window().findChild<BedView*>());
    CHECK(bed.role() == QAccessible::Canvas);
    CHECK(bed.text(QAccessible::Value).contains("none chosen"));
    driver->placing().choose({driver->document().job().motifs.front().id});
    CHECK(bed.text(QAccessible::Value).contains("mm, at"));
    CHECK(bed.text(QAccessible::Description).contains("Arrow keys"));

    driver->choose(Mark::steps);
    StepCard* card = driver->steps_tray().cards()[0];
    auto& step = reader_of(card);
    CHECK(step.role() == QAccessible::ListItem);
    CHECK(step.text(QAccessible::Value).contains("mm/min"));
    CHECK(step.state().collapsed);
    QTest::mouseClick(card, Qt::LeftButton, {}, {100, 20});
    CHECK(step.state().expanded);
    auto& pad = reader_of(card->findChild<DosePad*>());
    REQUIRE(pad.valueInterface());
    const double before = card->step().settings.power.percent();
    CHECK(pad.valueInterface()->currentValue().toDouble() == Approx(before));
    pad.valueInterface()->setCurrentValue(before / 2);
    const Power set = driver->document().job().steps[0].settings.power;
    CHECK(set.percent() == Approx(before / 2));
    CHECK(pad.valueInterface()->currentValue().toDouble() == Approx(before / 2));
    driver->document().history().undo();
    CHECK(driver->document().job().steps[0].settings.power.percent() == Approx(before));

    driver->choose(Mark::rehearse);
    REQUIRE(driver.wait_planned());
    TimeRibbon* ribbon = nullptr;
    for (auto* candidate : driver.window().findChildren<TimeRibbon*>())
        if (candidate->isVisible()) ribbon = candidate;
    auto& time = reader_of(ribbon);
    CHECK(time.role() == QAccessible::Slider);
    REQUIRE(time.valueInterface());
    time.valueInterface()->setCurrentValue(50);
    CHECK(wait_for([&] { return time.text(QAccessible::Value).contains("50 % done"); }));
}

#include "commands_test.moc"
