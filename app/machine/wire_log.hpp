// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/machine_link.hpp"

#include <QPlainTextEdit>
#include <QTimer>

namespace chalkline::app {

/// What goes over the wire, newest below, as far as it holds the filter's text. Shown a few times a second: a burn logs
/// thousands of lines in one.
class WireLog : public QPlainTextEdit {
    Q_OBJECT
 public:
    WireLog(MachineLink& machine, int most_lines, QWidget* parent);
    /// Empty: everything. What was logged before is looked through again.
    void set_filter(const QString& text);

 private:
    void take(const QStringList& lines);
    void show_waiting();
    MachineLink& machine_;
    int most_lines_;
    QString filter_;
    QStringList waiting_;
    QString last_said_;  ///< by the last line, when it was a report
    QTimer timer_;
};

}  // namespace chalkline::app
