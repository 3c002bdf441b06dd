// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/machine_link.hpp"
#include "widgets/sheet.hpp"

#include <QLineEdit>
#include <QPlainTextEdit>

namespace chalkline::app {

/// What goes over the wire, with a filter, to be copied or saved; and a line to type for whoever knows the controller,
/// with those typed before on Up and Down.
class WireSheet : public Sheet {
    Q_OBJECT
 public:
    WireSheet(MachineLink& machine, QWidget* over);

 protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

 private:
    void show_all();
    void add(const QStringList& lines);
    void send();
    void save();
    bool shown(const QString& line) const;

    MachineLink& machine_;
    QPlainTextEdit* log_;
    QLineEdit *filter_, *line_;
    QLabel* said_;
    QStringList typed_;
    qsizetype recalled_ = 0;
};

}  // namespace chalkline::app
