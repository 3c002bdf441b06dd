// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/machine_keeper.hpp"
#include "widgets/fold.hpp"
#include "widgets/sheet.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QPlainTextEdit>
#include <vector>

namespace chalkline::app {

/// The machine's profile, to look at and change. Nothing counts before it is kept.
class ProfileSheet : public Sheet {
    Q_OBJECT
 public:
    ProfileSheet(MachineLink& machine, MachineKeeper& keeper, QWidget* over);

 private:
    using Profile = machine::MachineProfile;
    void add_bed(QVBoxLayout* all);
    void add_beam(QVBoxLayout* all);
    void add_motion(QVBoxLayout* all);
    void add_focus(QVBoxLayout* all);
    void add_rotary(QVBoxLayout* all);
    void add_motor_steps(QVBoxLayout* rows, ValueField* per_turn, QComboBox* axis);
    void add_habits(QVBoxLayout* all);
    ValueField* add_field(QVBoxLayout* rows, const QString& name, ValueField* field, double value,
                          std::function<void(Profile&, double)> take);
    QCheckBox* add_tick(QVBoxLayout* rows, const QString& text, bool on, std::function<void(Profile&, bool)> take);
    QComboBox* add_choice(QVBoxLayout* rows, const QString& name, const QStringList& words, int chosen,
                          std::function<void(Profile&, int)> take);
    void add_lines(QVBoxLayout* rows, const QString& name, const std::vector<std::string>& lines, bool controller,
                   std::function<void(Profile&, std::vector<std::string>)> take);
    void add_place(QVBoxLayout* rows, const machine::NamedPlace& place);
    /// The profile as the fields say; an error names the line that cannot be.
    Result<Profile> read() const;
    void keep();

    MachineLink& machine_;
    MachineKeeper& keeper_;
    QLabel* said_;
    std::vector<std::function<Result<void>(Profile&)>> takers_;
    std::vector<std::string> forgotten_;  ///< names of places
};

}  // namespace chalkline::app
