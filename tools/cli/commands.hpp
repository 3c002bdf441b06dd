// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "inputs.hpp"

#include <chalkline/raster/dither.hpp>
#include <chalkline/raster/tone.hpp>

#include <optional>
#include <string>
#include <vector>

// One function a command: it prints its result and returns the exit code.
namespace chalkline::cli {

struct ArtOptions {
    std::vector<std::string> files;
    bool json = false;
    std::string png;
    double dpi = 96;
    bool outline = false;
    std::string ink;  ///< only this one, '#rrggbb:fill'
    bool examine = false;
    ReadArguments read;
};
int run_art(const ArtOptions& options, const Surroundings& surroundings);

struct PlanCommand {
    std::string file, output;
    JobOptions job;
    bool json = false;
};
int run_plan(const PlanCommand& command, const Surroundings& surroundings);
int run_check(const PlanCommand& command, const Surroundings& surroundings);

/// What every command that speaks to a machine may be told.
struct MachineCommand {
    std::string file, port;
    JobOptions job;
    bool json = false;
    bool no_home = false;
    bool begins_here = false;                    ///< the head is where the round piece begins
    std::optional<geometry::Point> head_stands;  ///< bed, mm
};
struct MoveCommand : MachineCommand {
    std::optional<geometry::Point> by, to;  ///< mm
    double speed = 0;                       ///< mm/min; 0: the profile's
};
struct SettingsCommand : MachineCommand {
    std::vector<std::string> writes;  ///< "32=1"
    std::string save;                 ///< profile with the controller's figures
};
struct GoOnCommand : MachineCommand {
    int burn = 0;        ///< as `history` numbers them, from 1; 0: the newest that is not finished
    double overlap = 0;  ///< mm
};
struct HistoryCommand {
    int burn = 0;  ///< 0: the list
    std::string machine;
    bool json = false;
};
/// The controller's own store. `file` is what to send, `name` how it is called there.
struct StoreCommand : MachineCommand {
    enum class Act { list, send, start, remove } act = Act::list;
    std::string name;
};
struct SelfTestCommand : MachineCommand {
    std::string output, board;  ///< report, and board file for the simulated machine
};
struct ProofCommand {
    std::string file, output;
    double width = 0, pitch = 0.1;  ///< mm
    std::string dots;               ///< "W,H" instead of a width
    raster::DitherSettings dither;
    raster::ToneSettings tone;
    bool burns_light = false;
    bool plain = false;  ///< the method alone, on the raw 8-bit values
    bool json = false;
};
int run_proof(const ProofCommand& command, const Surroundings& surroundings);

struct RecipesCommand {
    std::string what;                ///< "list", "show", "import" or "export"
    std::vector<std::string> words;  ///< search, number or file
    std::string store, machine;
    bool json = false;
};
int run_recipes(const RecipesCommand& command);

struct SwatchCommand {
    std::string file, output, machine;
    bool json = false;
};
int run_swatch(const SwatchCommand& command, const Surroundings& surroundings);

struct SwatchReadCommand {
    std::string card, photo, machine;
    bool json = false;
};
int run_swatch_read(const SwatchReadCommand& command, const Surroundings& surroundings);

int run_ports(bool json);
int run_probe(const MachineCommand& command);
int run_frame(const MachineCommand& command, const Surroundings& surroundings);
int run_burn(const MachineCommand& command, const Surroundings& surroundings);
int run_go_on(const GoOnCommand& command, const Surroundings& surroundings);
int run_store(const StoreCommand& command, const Surroundings& surroundings);
int run_home(const MachineCommand& command);
int run_unlock(const MachineCommand& command);
int run_jog(const MoveCommand& command);
int run_settings(const SettingsCommand& command);
int run_history(const HistoryCommand& command);
int run_selftest(const SelfTestCommand& command);

}  // namespace chalkline::cli
