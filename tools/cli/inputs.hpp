// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/artwork.hpp>
#include <chalkline/clearance/clear.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/recipes/store.hpp>
#include <chalkline/surroundings/surroundings.hpp>

#include <memory>
#include <optional>
#include <string>
#include <variant>
#include <vector>

namespace chalkline::cli {

/// How art is read, as typed.
struct ReadArguments {
    std::string stroke_area;  ///< mm or "never"
    double density = 96;      ///< pixels an inch of drawings in pixels
    std::string scale;        ///< "1:50"
    std::string unit;         ///< "mm", "in", … of files that do not say
    std::string part;         ///< "x0,y0,x1,y1", mm on the page
    std::string width;        ///< of pictures
    std::string text;         ///< "outline" or "single-stroke"
    int page = 1;
    std::string trace;  ///< "outlines" or "centre-lines"
    int threshold = 128;
    double smoothness = 1;
    std::string speck;
    std::string as_picture;         ///< mm from dot to dot; empty: areas and lines
    std::string cover = "on";       ///< or "off", or "lines": lines are covered too
    std::string hatches = "lines";  ///< or "picture"
    std::string linetypes = "on";   ///< or "off"
    std::vector<std::string> mend;  ///< kinds of faults, or "all"
};
Result<art::ReadOptions> parse_read_options(const ReadArguments& arguments);

/// Reads one file as art, with what this computer offers.
Result<art::Artwork> read_art(const std::string& path, const art::ReadOptions& options,
                              const Surroundings& surroundings);

/// What decides how art becomes a job, from the command line.
struct JobOptions {
    std::string machine;             ///< profile path; empty: the sample bench laser
    std::vector<std::string> steps;  ///< '#rrggbb:line=cut,power=100,…'
    std::string place;               ///< "X,Y"
    std::string round;               ///< "80,100": on a round piece; empty: flat
    std::string order = "shortest";
    std::vector<std::string> recipes;  ///< numbers or search words: the settings of the steps of their kinds
    std::string store;                 ///< of the recipes; empty: the application's
    ReadArguments read;
};

/// Opens the recipes, the application's when no file is named; says on stderr what had to be done for it.
Result<recipes::Store> open_recipes(const std::string& named);
/// The same, but makes no file: nothing where there is none.
std::optional<Result<recipes::Store>> recipes_if_any(const std::string& named);

Result<machine::MachineProfile> load_machine(const std::string& path);

/// A file named on the command line, by what it is: a job, art made into a job, or a program.
struct Input {
    std::variant<job::Job, std::shared_ptr<const std::string>> content;
    machine::MachineProfile machine;  ///< as the job finds it: flat, or turning its round piece
    const job::Job* job() const { return std::get_if<job::Job>(&content); }
};
Result<Input> load_input(const std::string& path, const JobOptions& options, const machine::MachineProfile& flat,
                         const Surroundings& surroundings);

/// What programs are held against: the machine, and the ceiling of the workshop whose recipes these are.
Result<planning::CheckGround> ground_for(const machine::MachineProfile& machine, const JobOptions& options);
/// Lets a job or a program through, or tells what stands against it. Errors: a program that cannot be read.
Result<clearance::Clearance> clear(const Input& input, const JobOptions& options, const std::string& file);

}  // namespace chalkline::cli
