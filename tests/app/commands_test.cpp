// SPDX-License-Identifier: GPL-3.0-or-later
// Commands by name and keys, the colours of the evening, and what a screen reader finds.
#include "commands/commands.hpp"

#include "desktop/appearance.hpp"
#include "proof/proof_view.hpp"
#include "recipes/recipe_shelf.hpp"
#include "support/window_driver.hpp"
#include "swatches/swatches_view.hpp"
#include "widgets/fold.hpp"

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

/// Everything that takes the focus and is seen, without a name for a screen reader.
QStringList nameless(QWidget& root) {
    QStringList found;
    for (auto* widget : root.findChildren<QWidget*>()) {
        const bool container = qobject_cast<QScrollArea*>(widget) || qobject_cast<QStackedWidget*>(widget);
        if (container || !widget->isVisible() || widget->focusPolicy() == Qt::NoFocus || !widget->isEnabled()) continue;
        if (widget->objectName().startsWith("qt_")) continue;
        QAccessibleInterface* seen = QAccessible::queryAccessibleInterface(widget);
        const QString name = seen ? seen->text(QAccessible::Name) : QString();
        if (!seen || name.trimmed().isEmpty() || seen->role() == QAccessible::NoRole)
            found << QString("%1 in %2")
                         .arg(widget->metaObject()->className(),
                              widget->parentWidget() ? widget->parentWidget()->metaObject()->className() : "");
    }
    return found;
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
    CHECK(shelf->accessibleDescription().contains("Slate"));
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

TEST_CASE("a screen reader finds a name for everything that takes the focus") {
    WindowDriver driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(driver.wait_planned());
    for (int mark = 0; mark < mark_count; ++mark) {
        driver->choose(static_cast<Mark>(mark));
        if (static_cast<Mark>(mark) == Mark::steps)
            QTest::mouseClick(driver->steps_tray().cards()[0], Qt::LeftButton, {}, {100, 20});
        for (auto* fold : driver.window().findChildren<Fold*>())
            if (fold->isVisible()) fold->set_open(true);
        QTest::qWait(20);
        INFO("mark " << mark);
        CHECK(nameless(driver.window()).join(", ").toStdString() == "");
    }
    // The piece in the rotary has fields of its own.
    job::Job round = driver->document().job();
    round.stock = job::in_rotary(*round.stock, job::RoundPiece()).value();
    driver->document().replace(job::add_test_ring(round), {});
    driver->choose(Mark::stock);
    QTest::qWait(20);
    CHECK(nameless(driver.window()).join(", ").toStdString() == "");
    for (const View view : {View::proof, View::recipes, View::swatches}) {
        driver->choose_view(view);
        QTest::qWait(20);
        INFO("view " << static_cast<int>(view));
        CHECK(nameless(driver.window()).join(", ").toStdString() == "");
    }
    auto& cards = driver->swatches();
    cards.desk().add(swatches::ready_card(swatches::Ready::engrave_dose, cards.desk().ground()), "New");
    for (const auto page : {SwatchesView::Page::design, SwatchesView::Page::burn, SwatchesView::Page::read}) {
        cards.choose_page(page);
        for (auto* fold : cards.findChildren<Fold*>())
            if (fold->isVisible()) fold->set_open(true);
        cards.desk().choose_cell(swatches::CellPlace{1, 1});
        QTest::qWait(20);
        INFO("page " << static_cast<int>(page));
        CHECK(nameless(driver.window()).join(", ").toStdString() == "");
    }
}

#include "commands_test.moc"
