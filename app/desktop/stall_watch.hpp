// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QApplication>
#include <QString>
#include <chrono>
#include <functional>

namespace chalkline::app {

/// The window did nothing else for so long.
struct Stall {
    QString where;  ///< "QTimer → BedView (bed): timer"
    std::chrono::milliseconds lasted;
};

/// An application that notices when one event keeps the window from answering: everything that takes long belongs to
/// the tasks (tasks/task_runner.hpp).
class WatchedApplication : public QApplication {
    Q_OBJECT
 public:
    using QApplication::QApplication;
    /// Told of every event that took longer than `limit`, on the GUI's thread.
    void tell_stalls_to(std::function<void(const Stall&)> told, std::chrono::milliseconds limit = usual_limit);
    static constexpr std::chrono::milliseconds usual_limit{100};

    bool notify(QObject* receiver, QEvent* event) override;

 private:
    std::function<void(const Stall&)> told_;
    std::chrono::milliseconds limit_ = usual_limit;
    /// The event that is being measured; an event of a loop inside it is measured by itself.
    struct Measured {
        int loop_level;
        bool runs_loop = false;
    };
    Measured* measured_ = nullptr;
};

}  // namespace chalkline::app
