// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/outside.hpp>
#include <chalkline/base/progress.hpp>
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>

#include <string>
#include <vector>

namespace chalkline::job {

namespace error {
inline constexpr std::string_view not_a_job = "job.not-a-job";
inline constexpr std::string_view newer_version = "job.newer-version";
inline constexpr std::string_view damaged = "job.damaged";
}  // namespace error

namespace notice {
inline constexpr std::string_view lost_motif = "job.lost-motif";
inline constexpr std::string_view lost_step = "job.lost-step";
inline constexpr std::string_view lost_stock = "job.lost-stock";
inline constexpr std::string_view older_paint = "job.older-paint";
}  // namespace notice

inline constexpr int chalk_version = 9;

/// A job read from a file, and what of it could not be read: damaged, or drawn in a way that gives nothing any more.
struct Opened {
    Job job;
    std::vector<Notice> lost;
    std::vector<Notice> told{};  ///< what holds on as it was in an earlier version, and could be had otherwise now
};

/// The `.chalk` file of docs/formats/chalk.md: a zip of `job.json` and the art's sources. The same job gives the same
/// bytes.
Result<std::string> to_chalk(const Job& job);
/// Reads it back, any version up to this; art is read again from its sources. What is whole of a damaged file is
/// opened, the rest is named in `lost`. `name` is for messages. Errors: not_a_job, newer_version, damaged.
Result<Opened> parse_chalk(const std::string& bytes, const std::string& name, const art::Outside& outside = {},
                           const Watch& watch = {});

Result<Opened> load(const std::string& path, const art::Outside& outside = {}, const Watch& watch = {});
/// Replaces the file as one act.
Result<void> save(const Job& job, const std::string& path);

}  // namespace chalkline::job
