// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/machine_link.hpp"
#include "widgets/sheet.hpp"

#include <QLineEdit>
#include <QTableWidget>
#include <memory>
#include <vector>

namespace chalkline::app {

/// The controller's own settings: what each is called, is and does. Changed one at a time, with a second press; saved
/// to a file and written back from it.
class ControllerSheet : public Sheet {
    Q_OBJECT
 public:
    ControllerSheet(MachineLink& machine, QWidget* over);

 private:
    void show_settings();
    void choose(int row);
    void change();
    void save();
    void restore();
    void write_next();

    MachineLink& machine_;
    std::shared_ptr<const std::map<int, double>> shown_;
    QTableWidget* table_;
    QLineEdit* value_;
    QPushButton* change_;
    QLabel *what_, *said_;
    std::optional<int> chosen_;
    bool sure_ = false;  ///< the change was pressed once; the next press writes it
    std::vector<std::pair<int, double>> to_write_;
    std::optional<std::pair<int, double>> writing_;
};

}  // namespace chalkline::app
