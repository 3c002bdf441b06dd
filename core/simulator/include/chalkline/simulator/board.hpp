// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/simulator/store.hpp>

#include <map>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::simulator {

/// When a report names the beam (S or C) among the outputs that are on ("A:").
enum class BeamReport {
    lit,      ///< only while the beam's PWM is switched on, as in most builds
    enabled,  ///< while the enable pin is set: M3 or M4 with a power above 0, dark moves included
    mode,     ///< from M3 or M4 on until M5
    never
};

/// What ends a line that the board sends.
enum class LineEnd { crlf, lf, cr, mixed };

/// How `$$` writes a value.
enum class SettingStyle {
    plain,      ///< $22=1
    described,  ///< $22=1 (homing cycle, bool)
    decimal,    ///< $22=1.000
    terse       ///< $27=.5 and $22=+1: numbers as some builds print them
};

/// Whether a board has a card, and in which words it is asked for it. Boards of the line dialect have but one way.
enum class StoreWords {
    none,
    path,  ///< $SD/List, $SD/Run=, $SD/Delete=, $Xmodem/Receive=
    brief  ///< $F, $F=, $FD=; takes nothing over this link
};

/// What a board of the line dialect answers besides `ok`.
struct LineHabits {
    std::string ok = "ok";     ///< "ok P15 B3" on boards that count their buffers
    bool numbers = false;      ///< reads `N… *…` and asks with `Resend:` for what did not arrive whole
    bool inline_power = true;  ///< S on a move changes the beam; else the beam stays as the last M3 left it
    bool keeps_busy = false;   ///< says "echo:busy: processing" while a line takes long
    std::string firmware = "FIRMWARE_NAME:Marlin 2.1.2 PROTOCOL_VERSION:1.0 MACHINE_TYPE:simulated";
    std::vector<std::string> capabilities;  ///< further lines of M115
};

/// The habits of one controller board, as data: what differs from build to build of the reference interface, and what
/// no document promises. docs/formats/simulator.md; the boards that come along are in samples/boards.
struct Board {
    std::string name = "wrenfold";
    std::string about = "The sample machine's own board.";
    machine::Dialect dialect = machine::Dialect::realtime;

    // Starting up.
    std::string greeting = "Wrenfold 1.1h ['$' for help]";
    std::vector<std::string> boot_log;       ///< lines before the greeting
    int boot_noise = 0;                      ///< bytes of garbage before them
    double boot_s = 0;                       ///< nothing is heard and nothing said for so long after a start
    bool restarts_on_open = false;           ///< opening its port starts it again, and it forgets its place
    std::vector<std::string> startup_lines;  ///< carried out after every start and reset ($N0, $N1)

    // Reports and answers.
    LineEnd line_end = LineEnd::crlf;
    BeamReport beam_report = BeamReport::lit;
    int axes = 3;                            ///< in positions and offsets, 3 … 6
    bool three_figures = false;              ///< FS: names the spindle's measured speed, too
    std::vector<std::string> report_extras;  ///< further fields of every report
    SettingStyle setting_style = SettingStyle::plain;
    std::vector<std::string> build_info{"[VER:1.1h.simulated:]", "[OPT:VL,{blocks},{buffer}]"};  ///< of `$I`
    std::map<int, double> settings;                     ///< that differ from those of the profile
    std::vector<std::string> chatter;                   ///< lines it says unasked while it works, in turn
    double chatter_every = 1;                           ///< s
    bool origin_forced = false;                         ///< machine coordinates are 0, 0 where it found home
    std::optional<int> planner_blocks, receive_buffer;  ///< other than the profile's
    StoreWords store = StoreWords::none;
    Store::Files files;  ///< on the card from the beginning

    LineHabits line;
};

namespace error {
inline constexpr std::string_view bad_board = "simulator.bad-board";
}
/// Reads the JSON of docs/formats/simulator.md; what is absent is as in a default `Board`. Errors: `bad_board` with the
/// parameter `key`.
Result<Board> parse_board(std::string_view json, const std::string& file);
std::string to_json(const Board& board);

/// The profile of a machine that this board drives: what the board itself fixes is taken from it.
machine::MachineProfile driven_by(const Board& board, machine::MachineProfile profile);

}  // namespace chalkline::simulator
