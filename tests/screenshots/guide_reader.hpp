// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "support/window_driver.hpp"
#include "widgets/fold.hpp"

#include <QAbstractButton>
#include <QApplication>
#include <QCheckBox>
#include <QComboBox>
#include <QDir>
#include <QFileDialog>
#include <cstdio>
#include <cstdlib>

namespace chalkline::test {

using app::Mark;

/// A reader of the guide with the program before them.
class Reader {
 public:
    Reader(const QString& pictures, const QString& home, const QString& speed = "max")
        : pictures_(pictures), driver(speed, home + "/recipes.db", home + "/burns") {}

    void press(const QString& button) {
        if (!wait_for([&] { return driver.button(button) && driver.button(button)->isEnabled(); }, 20000))
            give_up("no button", button);
        driver.click(button);
        QTest::qWait(60);
    }
    /// Where the words of a button have a figure in them that nobody knows before.
    QPushButton* button_like(const QString& beginning) {
        QPushButton* found = nullptr;
        wait_for([&] {
            for (auto* button : driver.window().findChildren<QPushButton*>())
                if (button->isVisible() && button->isEnabled() && button->text().startsWith(beginning)) found = button;
            return found != nullptr;
        });
        if (!found) give_up("no button", beginning);
        return found;
    }
    void type(const QString& field, const QString& text) {
        if (!driver.type(field, text)) give_up("no field", field);
        QTest::qWait(20);
    }
    void open(const QString& fold) {
        for (auto* one : driver.window().findChildren<app::Fold*>())
            for (auto* button : one->findChildren<QAbstractButton*>())
                if (one->isVisible() && button->text().contains(fold)) {
                    one->set_open(true);
                    QTest::qWait(20);
                    return;
                }
        give_up("nothing to open", fold);
    }
    void choose(const QString& list, const QString& entry) {
        for (auto* box : driver.window().findChildren<QComboBox*>())
            if (box->isVisible() && box->accessibleName() == list) {
                const int at = box->findText(entry);
                if (at < 0) give_up("no entry", entry);
                box->setCurrentIndex(at);
                Q_EMIT box->activated(at);
                QTest::qWait(20);
                return;
            }
        give_up("no list", list);
    }
    void tick(const QString& beginning) {
        for (auto* box : driver.window().findChildren<QCheckBox*>())
            if (box->isVisible() && box->text().startsWith(beginning))
                return QTest::mouseClick(box, Qt::LeftButton, {}, {8, box->height() / 2});
        give_up("nothing to tick", beginning);
    }
    void go_to(Mark mark) {
        QTest::mouseClick(driver->line().mark(mark), Qt::LeftButton);
        QTest::qWait(20);
    }
    /// “Add files…”, with the file chosen in its dialog.
    void add_file(const QString& sample) {
        go_to(Mark::art);
        press("Add files…");
        QFileDialog* dialog = nullptr;
        until("a dialog for files", [&] {
            for (auto* one : driver.window().findChildren<QFileDialog*>())
                if (one->isVisible()) dialog = one;
            return dialog != nullptr;
        });
        const auto art = driver->document().job().motifs.size();
        auto* name = dialog->findChild<QLineEdit*>("fileNameEdit");
        if (!name) give_up("no field", "File name");
        name->setText(QString(CHALKLINE_SAMPLES) + "/" + sample);
        QTest::keyClick(name, Qt::Key_Return);
        until("the art", [&] { return driver->document().job().motifs.size() > art && !driver->plans().stale(); });
        QTest::qWait(60);
    }
    void read_on_screen(const QString& words) {
        if (!wait_for([&] { return driver.visible_text().contains(words); }, 20000)) give_up("nowhere said", words);
    }
    void until(const char* what, const std::function<bool()>& condition) {
        if (!wait_for(condition, 60000)) give_up("never came", what);
    }
    template <class Widget>
    Widget& seen() {
        for (auto* one : driver.window().findChildren<Widget*>())
            if (one->isVisible()) return *one;
        give_up("not there", Widget::staticMetaObject.className());
    }
    void open_step(std::size_t number) {
        const auto cards = driver->steps_tray().cards();
        if (cards.size() < number) give_up("no step", QString::number(number));
        QTest::mouseClick(cards[number - 1], Qt::LeftButton, {}, {100, 20});
        QTest::qWait(20);
    }
    void choose_all_art() {
        driver->bed().setFocus();
        QTest::keyClick(&driver->bed(), Qt::Key_A, Qt::ControlModifier);
        QTest::qWait(20);
    }
    void new_job() {
        if (driver.button("Put away")) press("Put away");
        press("New");
        if (driver.button("Throw away")) press("Throw away");
        until("a new job", [&] { return driver->document().job().motifs.empty(); });
    }
    void picture(const QString& name) {
        QTest::qWait(250);
        driver.window().grab().save(QDir(pictures_).filePath(name + ".png"));
    }
    void rest() {
        until("at rest", [this] { return driver.idle(); });
    }
    void planned() {
        until("a plan", [this] { return driver->plans().ready(); });
    }
    void frame() {
        go_to(Mark::frame);
        press("Frame");
        until("framed", [this] { return driver->desk().framed_at().has_value() && driver.idle(); });
    }
    void burn() {
        go_to(Mark::burn);
        press("Burn…");
        press("Burn");
        until("burned", [this] { return driver->desk().burned_at().has_value() && driver.idle(); });
    }
    [[noreturn]] void give_up(const char* what, const QString& name) {
        driver.window().grab().save("/tmp/guide-gave-up.png");
        std::fprintf(stderr, "the guide cannot be followed: %s “%s”\n", what, qUtf8Printable(name));
        std::exit(1);
    }

 private:
    QString pictures_;

 public:
    WindowDriver driver;
};

}  // namespace chalkline::test
