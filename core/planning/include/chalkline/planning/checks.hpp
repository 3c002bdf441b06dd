// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/recipes/library.hpp>

#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::planning {

enum class Severity { blocking, warning, info };

/// One thing looked at before a burn that is not as it should be.
struct Check {
    std::string code;
    Severity severity;
    Parameters parameters{};
    std::optional<job::Id> step{};
    std::optional<geometry::Point> place{};  ///< bed, mm
    std::string overridden{};                ///< why it is knowingly passed over; empty: it is not

    /// It keeps the job from being burned.
    bool blocks() const { return severity == Severity::blocking && overridden.empty(); }
};

namespace check {
inline constexpr std::string_view nothing_to_burn = "check.nothing-to-burn";
inline constexpr std::string_view off_bed = "check.off-bed";
inline constexpr std::string_view off_stock = "check.off-stock";
inline constexpr std::string_view near_edge = "check.near-edge";
inline constexpr std::string_view short_run_up = "check.short-run-up";
inline constexpr std::string_view cut_before_engrave = "check.cut-before-engrave";
inline constexpr std::string_view outer_before_inner = "check.outer-before-inner";
inline constexpr std::string_view ink_without_step = "check.ink-without-step";
inline constexpr std::string_view idle_step = "check.idle-step";
inline constexpr std::string_view settings = "check.settings";
inline constexpr std::string_view above_ceiling = "check.above-ceiling";
inline constexpr std::string_view constant_beam = "check.constant-beam";
inline constexpr std::string_view pitch_wider_than_spot = "check.pitch-wider-than-spot";
inline constexpr std::string_view hot_fill = "check.hot-fill";
inline constexpr std::string_view above_evidence = "check.above-evidence";
inline constexpr std::string_view below_evidence = "check.below-evidence";
inline constexpr std::string_view slower_than_evidence = "check.slower-than-evidence";
inline constexpr std::string_view faster_than_evidence = "check.faster-than-evidence";
inline constexpr std::string_view drawn_twice = "check.drawn-twice";
inline constexpr std::string_view dangerous_material = "check.dangerous-material";
inline constexpr std::string_view narrower_than_kerf = "check.narrower-than-kerf";
inline constexpr std::string_view laser_mode_off = "check.laser-mode-off";
inline constexpr std::string_view stale_frame = "check.stale-frame";
}  // namespace check

/// What a job is checked against.
struct CheckGround {
    machine::MachineProfile machine{};
    /// Those believed in; null: nothing is known of any material.
    std::shared_ptr<const std::vector<recipes::Recipe>> recipes{};
    std::optional<Power> ceiling{};  ///< no step may burn with more
};

/// All checks of a job, most severe first. Empty: nothing to say. Checks the job overrides say why. `lit`: where its
/// program burns (`lit_points`), which is what has to lie on the bed and the piece; empty: there is no program, and the
/// art as drawn stands for it.
std::vector<Check> check_job(const job::Job& job, const CheckGround& ground,
                             const std::vector<geometry::Point>& lit = {});
/// The same where the job is planned, too.
std::vector<Check> check_job(FlatJob& job, const CheckGround& ground, const std::vector<geometry::Point>& lit);

/// Corners of what is burned, as drawn where it lies.
std::vector<geometry::Point> drawn_points(FlatJob& job);

/// What is wrong with one speed beside all that is known of a material, for a value that is still being typed.
std::optional<Check> check_speed(const recipes::Known& known, Speed speed, const std::string& material);

/// What only the plan shows.
std::vector<Check> check_plan(const Plan& plan);

/// What is known of the machine that is connected, and of the last frame.
struct MachineFacts {
    std::optional<bool> laser_mode{};  ///< of the controller; none: not known
    bool framed_before_change = false;
};
std::vector<Check> check_machine(const MachineFacts& facts);

/// Whether the check may be passed over with a reason: what endangers the machine never is.
bool may_override(const Check& check);
/// What the check says, as an override keeps it.
std::string about(const Check& check);

/// The piece as far as it limits the burn: none when going beyond it was overridden as the job's checks found it.
std::optional<geometry::Polyline> binding_stock(const job::Job& job, const std::vector<Check>& checks);

}  // namespace chalkline::planning
