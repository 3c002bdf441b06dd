// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "art/art_desk.hpp"
#include "art/inbox.hpp"
#include "bed/bed_view.hpp"
#include "document/job_document.hpp"
#include "document/plan_keeper.hpp"
#include "history/burn_history.hpp"
#include "history/waiting_jobs.hpp"
#include "recipes/recipe_desk.hpp"
#include "rehearsal/rehearsal_layer.hpp"
#include "session/burn_desk.hpp"
#include "session/machine_keeper.hpp"
#include "session/machine_link.hpp"
#include "theme/theme.hpp"
#include "widgets/time_ribbon.hpp"

namespace chalkline::app {

/// What every tray works with. Owned by the main window, which outlives the trays.
struct TrayContext {
    JobDocument& document;
    PlanKeeper& plans;
    MachineLink& machine;
    MachineKeeper& keeper;
    BurnDesk& desk;
    BurnHistory& history;
    WaitingJobs& waiting;
    BedView& bed;
    PlacingDesk& placing;
    ArtDesk& art;
    Inbox& inbox;
    RecipeDesk& recipes;
    RehearsalLayer& rehearsal;
    const Surroundings& surroundings;
    const theme::Roles& roles;
};

/// The plan's steps as segments of a time ribbon.
std::vector<TimeRibbon::Segment> segments_of(const planning::Plan& plan, const job::Job& job,
                                             const machine::MachineProfile& machine, const theme::Roles& roles);

}  // namespace chalkline::app
