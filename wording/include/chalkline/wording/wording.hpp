// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/read_options.hpp>
#include <chalkline/base/result.hpp>
#include <chalkline/base/units_text.hpp>
#include <chalkline/clearance/clear.hpp>
#include <chalkline/conversation/session.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/planning/gains.hpp>
#include <chalkline/recipes/recipe.hpp>
#include <chalkline/safety/program_checker.hpp>
#include <chalkline/steps/settings_json.hpp>

#include <QString>

// Every sentence the user reads about errors, notices, checks and the machine, in one place, through translation.
namespace chalkline::wording {

/// A message in three parts: what happened, where, and what to do about it.
struct Message {
    QString what, where, help;
    /// "what (where). help"
    QString whole() const;
};

Message describe(const Error& error);
/// One sentence without the count.
QString describe(const Notice& notice);
/// "3 lines drawn twice"
QString describe(art::Fault fault, int count);
Message describe(const planning::Check& check);
Message describe(const safety::ProgramFault& fault);
/// The first thing that stands against a program; nothing when it may be sent.
std::optional<Message> obstacle(const clearance::Clearance& clearance);
/// What its remedy does, for a button.
QString mending(const planning::Check& check);

/// One setting that changes: "Power", "70 %", "80 %".
struct Change {
    QString name, before, after;
};
Change describe(const steps::Difference& difference);
/// "card 7, row 5 column 4 · 23 Nov 2026 · 6 jobs"
QString describe(const recipes::Evidence& evidence);
/// Why evidence counts for less; empty while it is fresh.
QString describe(recipes::Freshness freshness);
QString name(steps::BeamKind kind);

QString name(steps::StepKind kind);
QString name(raster::DitherMethod method);
/// What keeps a step from its speed, in a maker's words; empty for `none`.
QString reason(timing::SpeedLimit limit);
/// "fill" or "line", with the count: "19 fills".
QString count_of(InkKind kind, int shapes);
/// "Step 1 run both ways instead of one: 4 min 10 s shorter"
QString describe(const planning::Gain& gain);
/// What the machine is doing, for the rail: "Idle", "Burning", "Locked".
QString state(const machine::Snapshot& snapshot);
/// "6 min 38 s"
QString duration(Duration time);
/// "Cut 100 %, 240 mm/min, 2 passes".
QString in_short(const steps::StepSettings& step);

/// True when a sentence exists for the code. A test asks for every code there is.
bool knows(const std::string& code);

}  // namespace chalkline::wording
