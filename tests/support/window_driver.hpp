// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "mainwindow/main_window.hpp"

#include <QDeadlineTimer>
#include <QDropEvent>
#include <QLineEdit>
#include <QMimeData>
#include <QPushButton>
#include <QTest>
#include <QUrl>
#include <functional>

namespace chalkline::test {

inline bool wait_for(const std::function<bool()>& condition, int milliseconds = 60000) {
    const QDeadlineTimer deadline(milliseconds);
    while (!condition()) {
        if (deadline.hasExpired()) return false;
        QTest::qWait(10);
    }
    return true;
}

/// A window driven as its user would: by mouse, keys and dropped files; what it shows is read from its widgets.
class WindowDriver {
 public:
    explicit WindowDriver(const QString& simulator_speed = "max", const QString& recipes = {},
                          const QString& history = {})
        : WindowDriver(options_of(simulator_speed, recipes, history)) {}
    explicit WindowDriver(const app::WindowOptions& options) {
        window_ = std::make_unique<app::MainWindow>(options);
        window_->resize(1280, 800);  // the screen without a screen is smaller
        window_->show();
        QTest::qWait(20);
    }
    app::MainWindow& window() { return *window_; }
    app::MainWindow* operator->() { return window_.get(); }

    void drop(const QStringList& files) {
        QMimeData data;
        QList<QUrl> urls;
        for (const QString& file : files)
            urls << QUrl::fromLocalFile(file);
        data.setUrls(urls);
        const QPointF place(400, 300);
        QDragEnterEvent enter(place.toPoint(), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(window_.get(), &enter);
        if (!enter.isAccepted()) return;
        QDropEvent event(place, Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(window_.get(), &event);
        wait_for([this] { return !window_->files().busy() && !window_->art().busy(); });
        QTest::qWait(50);  // what was added to a tray shows with the next turn of the event loop
    }
    bool wait_planned() {
        return wait_for([this] { return window_->plans().ready(); });
    }

    /// The visible button with this text, or null.
    QPushButton* button(const QString& text) {
        for (auto* candidate : window_->findChildren<QPushButton*>())
            if (candidate->isVisible() && candidate->text() == text) return candidate;
        return nullptr;
    }
    bool click(const QString& text) {
        QPushButton* found = button(text);
        if (!found || !found->isEnabled()) return false;
        QTest::mouseClick(found, Qt::LeftButton);
        return true;
    }
    /// The visible field of that name.
    QLineEdit* field(const QString& name) {
        for (auto* candidate : window_->findChildren<QLineEdit*>())
            if (candidate->isVisible() && candidate->accessibleName() == name) return candidate;
        return nullptr;
    }
    /// Types into it and presses Return.
    bool type(const QString& name, const QString& text) {
        QLineEdit* target = field(name);
        if (!target) return false;
        target->setFocus();
        target->selectAll();
        QTest::keyClicks(target, text);
        QTest::keyClick(target, Qt::Key_Return);
        return true;
    }
    /// Presses on a widget, moves to a place of the window and lets go.
    void drag(QWidget* from, const QPoint& grip, QWidget* to, const QPoint& place) {
        const QPoint target = from->mapFromGlobal(to->mapToGlobal(place));
        QTest::mousePress(from, Qt::LeftButton, {}, grip);
        QTest::mouseMove(from, grip + QPoint(4, 4));
        for (int i = 1; i <= 4; ++i)
            QTest::mouseMove(from, grip + (target - grip) * i / 4);
        QTest::mouseRelease(from, Qt::LeftButton, {}, target);
        QTest::qWait(10);
    }
    QString fact(app::Mark mark) { return window_->line().mark(mark)->fact().fact; }
    app::MarkState state(app::Mark mark) { return window_->line().mark(mark)->fact().state; }
    /// All texts a user can read now.
    QString visible_text() {
        QStringList all;
        for (auto* label : window_->findChildren<QLabel*>())
            if (label->isVisible()) all << label->text();
        return all.join('\n');
    }
    bool idle() {
        const auto& now = window_->machine().snapshot();
        return now.connected && now.activity == machine::Activity::none && now.state == machine::ControllerState::idle;
    }

 private:
    static app::WindowOptions options_of(const QString& simulator_speed, const QString& recipes,
                                         const QString& history) {
        app::WindowOptions options;
        options.history = history;
        options.recipes = recipes;
        options.simulator_speed = simulator_speed;
        return options;
    }
    std::unique_ptr<app::MainWindow> window_;
};

}  // namespace chalkline::test
