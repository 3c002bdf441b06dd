// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "machine/port_watch.hpp"
#include "session/machine_keeper.hpp"
#include "widgets/sheet.hpp"

#include <QCheckBox>
#include <QLabel>
#include <map>

namespace chalkline::app {

/// Connects the machine: the ports of this computer as they come and go, who answers on them, an address to type, the
/// simulated machine.
class ConnectionSheet : public Sheet {
    Q_OBJECT
 public:
    ConnectionSheet(MachineLink& machine, MachineKeeper& keeper, const std::function<void()>& connect_sample,
                    PortWatch::Lister list, QWidget* over);

 private:
    void show_ports();
    void ask();
    MachineKeeper& keeper_;
    PortWatch watch_;
    PortAsker asker_;
    QWidget* list_;
    QLabel* note_;
    QPushButton* ask_;
    std::map<QString, QCheckBox*> ticks_;
    std::map<QString, Speech> speeches_;  ///< of those that answered
    std::map<QString, QString> answers_;  ///< by path; kept while ports come and go
};

/// What the sheet of a machine leads to that others do: what can be asked of the simulated machine and of no
/// controller, and the controller's own store.
struct MachineActs {
    std::function<void()> connect_sample, lay_fresh_piece, open_store;
};
/// Connecting, or what can be done with the machine that is connected.
void open_connection_sheet(MachineLink& machine, MachineKeeper& keeper, const MachineActs& acts, QWidget* over);

}  // namespace chalkline::app
