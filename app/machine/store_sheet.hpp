// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/store_desk.hpp"
#include "widgets/sheet.hpp"

#include <QTableWidget>

namespace chalkline::app {

/// The controller's own store: its files, the job sent there, one of them shown to be burned from there.
class StoreSheet : public Sheet {
    Q_OBJECT
 public:
    /// `title`: of the job that may be sent.
    StoreSheet(MachineLink& machine, StoreDesk& desk, const QString& title, QWidget* over);

 private:
    void follow();
    const StoreDesk::Entry* chosen() const;
    MachineLink& machine_;
    StoreDesk& desk_;
    QTableWidget* table_;
    QLineEdit* name_;
    QLabel* said_;
    QPushButton *send_, *show_, *remove_;
    std::string sure_;  ///< the file that shall be deleted if it is said once more
};

}  // namespace chalkline::app
