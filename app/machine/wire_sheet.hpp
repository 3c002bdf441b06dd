// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "machine/wire_log.hpp"
#include "widgets/sheet.hpp"

#include <QLineEdit>

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
    void send();
    void save();

    MachineLink& machine_;
    WireLog* log_;
    QLineEdit* line_;
    QLabel* said_;
    QStringList typed_;
    qsizetype recalled_ = 0;
};

}  // namespace chalkline::app
