// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <nlohmann/json_fwd.hpp>

#include <string>
#include <vector>

// Settings as JSON, the same in job files, recipes and routines (docs/formats/chalk.md).
namespace chalkline::steps {

namespace error {
/// Parameter `what`: the key or value that is missing or wrong.
inline constexpr std::string_view bad_settings = "steps.bad-settings";
}  // namespace error

/// All settings; those at rest are left out, but for kind, power, speed, passes, air and line pitch.
nlohmann::ordered_json to_json(const StepSettings& settings);
/// Reads what `to_json` writes, and settings any machine could burn only. Error: bad_settings.
Result<StepSettings> settings_from_json(const nlohmann::ordered_json& json);

/// One setting that differs. Values are numbers or words as in the file; empty: none is set.
struct Difference {
    std::string key;  ///< as in the file; settings of fill and line stand by themselves ("angle_deg")
    std::string before, after;
    bool operator==(const Difference&) const = default;
};
/// Every setting in which the two differ and that has an effect on a step of the later one's kind, in file order.
std::vector<Difference> differences(const StepSettings& before, const StepSettings& after);

}  // namespace chalkline::steps
