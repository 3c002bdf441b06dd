// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/geometry/point.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/safety/program_checker.hpp>

#include <nlohmann/json.hpp>

#include <string>

namespace chalkline::cli {

using Json = nlohmann::ordered_json;

/// How a command ended; the numbers are a promise to scripts.
enum ExitCode { done = 0, check_failed = 1, wrong_use = 2, unreadable = 3, machine_trouble = 4, stopped = 5 };

/// The exit code that goes with an error, by the library it comes from.
int exit_code_of(const Error& error);

/// Says the error on stderr, and on stdout as JSON when asked; returns its exit code.
int report(const Error& error, bool json);

/// A sentence of the command line in the user's language.
std::string translated(const char* text);

void print(const Json& json);
void print_line(const Json& json);  ///< in one line, flushed
void print_text(const std::string& line);
void say(const std::string& line);  ///< on stderr

/// Without the noise of binary fractions: to a millionth, null when not finite.
Json number(double value);
Json to_json(const geometry::Box& box);
Json to_json(const planning::Check& check, const job::Job& job);
Json to_json(const safety::ProgramFault& fault);

/// Code of a notice as scripts see it: without the library, "unsupported-filter" for a feature.
std::string short_code(const Notice& notice);

namespace error {
inline constexpr std::string_view no_picture = "cli.no-picture";
inline constexpr std::string_view bad_proof = "cli.bad-proof";
inline constexpr std::string_view no_recipe = "cli.no-recipe";
inline constexpr std::string_view bad_step = "cli.bad-step";
inline constexpr std::string_view bad_read_option = "cli.bad-read-option";
inline constexpr std::string_view bad_place = "cli.bad-place";
inline constexpr std::string_view bad_round = "cli.bad-round";
inline constexpr std::string_view stopped = "cli.stopped";
inline constexpr std::string_view program_unsafe = "cli.program-unsafe";
inline constexpr std::string_view no_home = "cli.no-home";
/// Parameters `x` and `y`: where the last command left the head, mm.
inline constexpr std::string_view head_left_elsewhere = "cli.head-left-elsewhere";
inline constexpr std::string_view head_unknown = "cli.head-unknown";
inline constexpr std::string_view no_such_burn = "cli.no-such-burn";
inline constexpr std::string_view bad_store_name = "cli.bad-store-name";
/// Parameter `name`: a file of the store that was not sent from here.
inline constexpr std::string_view stored_elsewhere = "cli.stored-elsewhere";
inline constexpr std::string_view bad_setting = "cli.bad-setting";
}  // namespace error

}  // namespace chalkline::cli
