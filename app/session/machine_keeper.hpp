// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/machine_link.hpp"

#include <chalkline/wording/wording.hpp>

#include <QElapsedTimer>
#include <QObject>
#include <QString>
#include <vector>

namespace chalkline::app {

/// Keeps the profile of every machine, one file a controller: filled from what the controller says at the first
/// contact, compared with it at every other one. Counts the hours of the beam.
class MachineKeeper : public QObject {
    Q_OBJECT
 public:
    /// `folder`: where profiles are kept. The simulated machine's is read at once.
    MachineKeeper(MachineLink& machine, QString folder, QObject* parent = nullptr);

    /// Connects with the profile kept for whatever is at that address.
    void connect_to(const QString& address);
    /// The same, spoken to as it was found to understand.
    void connect_to(const QString& address, int baud, machine::Dialect dialect);
    void connect_to_sample(const QString& port);
    /// Uses the profile from now on and keeps it for this controller.
    void keep(const machine::MachineProfile& profile);

    /// Where the controller says otherwise than the profile, until somebody decides.
    const std::vector<machine::ProfileDifference>& differences() const { return differences_; }
    void take_the_controllers();
    void keep_mine();

 Q_SIGNALS:
    /// The controller changed since it was seen last.
    void differs();
    void message(const chalkline::wording::Message& message);

 private:
    QString sample_key() const;
    void use(const QString& key);
    void meet();
    void remember_facts();
    void count_beam();
    void learn_zero(machine::Activity ended);
    QString file_of(const QString& key, const char* ending) const;
    /// What the controller says, on a profile that is always the same: two meetings can be compared.
    machine::MachineProfile told(const machine::MachineProfile& base) const;

    MachineLink& machine_;
    QString folder_, key_;
    machine::MachineProfile first_;  ///< what a controller never met before begins with
    bool met_before_ = false;
    std::vector<machine::ProfileDifference> differences_;
    QElapsedTimer since_status_;
    bool burning_ = false;
    double unkept_hours_ = 0;  ///< of the burn under way
};

}  // namespace chalkline::app
