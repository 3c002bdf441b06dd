// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "document/plan_keeper.hpp"
#include "session/burn_desk.hpp"
#include "session/machine_link.hpp"

#include <QString>
#include <array>

namespace chalkline::app {

enum class Mark { art, steps, stock, rehearse, frame, burn };
inline constexpr int mark_count = 6;

enum class MarkState { not_yet, done, attention };

/// One mark of the line: its state and its one true line of fact.
struct MarkFact {
    MarkState state = MarkState::not_yet;
    QString fact;
    bool operator==(const MarkFact&) const = default;
};
using LineFacts = std::array<MarkFact, mark_count>;

/// What the line says now, computed from the job, the plan and the machine; never ticked by hand. `questions`: how many
/// files wait for the maker's answer in the Art tray.
LineFacts line_facts(const JobDocument& document, const PlanKeeper& plans, const MachineLink& machine,
                     const BurnDesk& desk, int questions);

QString name(Mark mark);

}  // namespace chalkline::app
