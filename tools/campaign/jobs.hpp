// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/program.hpp>

#include <memory>
#include <string>
#include <vector>

namespace chalkline::campaign {

/// What is burned over and over: a program, small enough for a thousand times.
struct Work {
    std::string name;
    machine::MachineProfile profile;
    std::shared_ptr<const machine::Program> program;
};

/// The samples, made small: a plate with fills, scores and cuts, a dithered picture, a row of tags cut with bridges and
/// perforation.
Result<std::vector<Work>> sample_works();

}  // namespace chalkline::campaign
