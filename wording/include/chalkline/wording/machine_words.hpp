// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/next_step.hpp>
#include <chalkline/selftest/self_test.hpp>
#include <chalkline/wording/wording.hpp>

namespace chalkline::wording {

/// The state of the machine explained: what it means, and what to do.
Message explain(const machine::Snapshot& snapshot);
/// "Find home", for a button.
QString name(machine::NextStep step);

/// What a self-test tries, by its name there, and how it went.
QString exercise(const std::string& name);
QString name(machine::SelfTestLine::Verdict verdict);

/// A value of the machine profile by its JSON key: "Work area", "mm".
struct ProfileField {
    QString name, unit;
};
ProfileField profile_field(const std::string& key);

}  // namespace chalkline::wording
