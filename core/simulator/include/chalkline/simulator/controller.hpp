// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/path.hpp>
#include <chalkline/machine/rotary.hpp>
#include <chalkline/simulator/board.hpp>
#include <chalkline/simulator/dose_map.hpp>
#include <chalkline/simulator/motion.hpp>

#include <array>
#include <cstdint>
#include <deque>
#include <map>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::simulator {

/// What the simulated machine saw and did.
struct Report {
    double virtual_s = 0;
    std::int64_t moves = 0, bytes = 0, lines = 0;
    double beam_on_mm = 0, beam_on_s = 0, travel_mm = 0, top_mm_min = 0;
    double beam_at_rest_s = 0;        ///< longest time the beam stood lit on one place
    std::int64_t starved = 0;         ///< times the planner ran dry in the middle of a program
    std::int64_t worst_rx_fill = 0;   ///< bytes
    std::vector<std::string> errors;  ///< "error:20 in G5"
    std::vector<std::string> alarms;
    std::vector<std::string> violations;  ///< breaches of the safety rules as the machine sees them
};
std::string to_json(const Report& report);

/// Anything at the far end of a link. Pure: bytes and virtual time go in, bytes come out.
class Device {
 public:
    virtual ~Device() = default;
    /// Bytes the host put on the link now.
    virtual void receive(std::string_view bytes) = 0;
    /// Lets virtual time pass.
    virtual void advance(double seconds) = 0;
    /// Bytes that have reached the host by now.
    virtual std::string take_output() = 0;
    /// Nothing moves, nothing waits.
    virtual bool at_rest() const = 0;
    /// Bytes the host may still send before it has to wait for an answer.
    virtual int room() const = 0;
    /// What it says to a new connection.
    virtual std::string greeting() const = 0;
    /// A host opened the port. Some boards start anew then, and forget where their head is.
    virtual void opened() {}
    /// The cable is in.
    virtual bool plugged_in() const { return true; }
};

/// A controller, its axes and its beam, as the public interface of Grbl 1.1 describes them. Pure: bytes and virtual
/// time go in, bytes come out. Deterministic. Replies and bytes on the way in take the time the baud rate gives them.
class Controller : public Device {
 public:
    explicit Controller(machine::MachineProfile profile, Board board = {});

    /// Dose goes here from now on. Not owned; may be null.
    void set_dose_map(DoseMap* dose) { dose_ = dose; }
    /// Where the beam may burn; a burn outside is a violation. Empty: the whole bed.
    void set_stock(geometry::Polyline outline) { stock_ = std::move(outline); }

    /// Puts a round piece into the profile's rotary, or takes it out. It lies where the maker says its wall begins:
    /// work coordinates 0, 0. What is burned is laid on the unrolled wall, turn over turn; the bed's edges end with the
    /// piece.
    void set_round_piece(std::optional<machine::RoundWall> wall);

    /// How far below the head's height at switching on the piece lies, mm: where a probe touches.
    void set_piece_depth(double depth) { piece_depth_ = depth; }
    /// The start button is held down. Going down it ends a hold, as `~` does.
    void press_start(bool down);
    /// The door's switch. What moves is held; only a shut door can be gone on from.
    void set_door(bool open);
    /// The hold switch, as a foot switch has it: what moves is held while it is down.
    void set_hold_switch(bool down);
    /// The head runs into a limit switch.
    void hit_limit_switch();
    /// Off: everything stands dark at once and nothing is answered. On again: as after switching on.
    void set_power(bool on);
    bool powered() const { return powered_; }
    /// Writes a setting, "number=value", as somebody else on the port would.
    void change_setting(std::string_view text);
    /// The knob at the machine turns the beam's power to so many % of what lines say.
    void turn_power_knob(int percent);
    /// How high the head stands, mm. Moves up and down take no time here.
    double height() const { return height_; }

    void receive(std::string_view bytes) override;
    void advance(double seconds) override;
    std::string take_output() override;

    double now() const { return now_; }
    /// Where the head really is on the bed, mm.
    geometry::Point head() const { return motion_.at(); }
    /// Where the head will be when all that is planned is done, mm.
    geometry::Point planned() const { return motion_.end(); }
    /// Of the axis that goes round or across: A while an axis of its own turns the piece, else Y.
    char second_axis() const { return turns_fourth() ? 'A' : 'Y'; }
    /// Share of full power the beam burns with now.
    double beam() const { return beam_now_; }
    bool at_rest() const override;
    /// Bytes the host may still send by character counting: the receive buffer less one and less all unanswered lines.
    int room() const override;
    std::string greeting() const override { return "\r\n" + board_.greeting + "\r\n"; }
    void opened() override;
    const Board& board() const { return board_; }
    const Store& store() const { return store_; }
    const Report& report() const { return report_; }
    const machine::MachineProfile& profile() const { return profile_; }

    /// The `$N` settings, one "N=value" a line, and back (the EEPROM).
    std::string settings_text() const;
    void load_settings(std::string_view text);

 private:
    enum class State { idle, run, hold, jog, alarm, home, check, sleep };
    struct Words;

    // Link
    void arrive();
    void realtime(unsigned char byte);
    void reply(std::string_view line);
    void put_out(std::string_view bytes);
    void end_transfer();
    // Lines
    void work();
    bool try_line(const std::string& line);
    void fault(int number, const std::string& line);
    bool system_line(const std::string& line);
    bool store_line(const std::string& line);
    bool take_next_line();
    void system_setting(const std::string& line);
    void print_settings();
    void print_offsets();
    bool jog_line(const std::string& line);
    bool code_line(const std::string& line);
    int apply(const Words& words, bool jog);
    int apply_motion(const Words& words, bool jog);
    int apply_arc(const Words& words, geometry::Point target, double programmed);
    int apply_offset(const Words& words);
    void apply_height(const Words& words);
    void apply_probe(const Words& words);
    void queue(geometry::Point target, double programmed, bool rapid, bool jog);
    // States
    void boot(bool power_on);
    void greet();
    void run_startup_lines();
    int apply_startup_line(const std::string& line);
    void say_chatter();
    void soft_reset();
    void hold_for_door();
    void raise_alarm(int number);
    void start_homing();
    void finish_homing();
    bool limits_exceeded(geometry::Point target) const;
    std::string status();
    std::string places(geometry::Point used, double height, double other) const;
    bool beam_is_reported() const;
    void apply_overrides();
    // Motion
    void move(double seconds);
    void trail(geometry::Point from, geometry::Point to, double power, double seconds);
    void burn_at_rest(double seconds);
    void note_starvation();
    void violation(const std::string& text);

    double setting(int number) const { return settings_.at(number); }
    bool laser_mode() const { return setting(32) != 0; }
    AxisLimits axis_limits() const;
    /// The axis the planner moves beside X is the fourth.
    bool turns_fourth() const { return wall_ && profile_.rotary.axis == machine::RotaryAxis::fourth; }
    /// A place of the head as a place of the wall, round it once; as it is without a round piece.
    geometry::Point on_piece(geometry::Point head) const;
    /// mJ between two places of the head.
    void burn_piece(geometry::Point from, geometry::Point to, double energy);
    bool within_reach(geometry::Point head, double rounding) const;
    geometry::Point machine_at() const { return motion_.at() + shift_; }
    geometry::Point offset() const { return g54_ + g92_; }

    machine::MachineProfile profile_;
    Board board_;
    std::map<int, double> settings_;
    Motion motion_;
    DoseMap* dose_ = nullptr;
    geometry::Polyline stock_;
    Report report_;

    double now_ = 0;
    double lit_at_rest_ = 0;  ///< s the beam has stood lit so far
    bool powered_ = true;
    std::optional<double> booting_until_;  ///< hears and says nothing before
    bool fresh_start_ = false;             ///< of the boot under way: switched on, not only reset
    double next_chatter_ = 0;
    std::size_t chatter_said_ = 0, lines_said_ = 0;
    bool door_open_ = false, hold_switch_ = false;
    struct Timed {
        double at;
        char byte;
    };
    std::deque<Timed> incoming_, outgoing_;
    std::string buffer_;               ///< the receive buffer
    std::deque<std::string> waiting_;  ///< a line taken out of the buffer and not done
    std::deque<Block> arc_;            ///< pieces of an arc that did not fit the planner yet

    Store store_;
    bool from_store_ = false;  ///< the line under way is one of the file's: nobody waits for its answer
    struct Transfer {
        std::string name;
        XmodemReceiver receiver;
    };
    std::optional<Transfer> transfer_;  ///< all bytes that come are part of a file

    State state_ = State::idle;
    bool holding_ = false, hold_complete_ = false;
    bool door_ = false;      ///< the hold came from the safety door
    bool critical_ = false;  ///< alarm 1 or 2: nothing but a reset is heard
    bool mid_program_ = false;
    std::optional<double> dry_since_;
    double dwell_left_ = 0, homing_left_ = 0;

    geometry::Point shift_;  ///< machine coordinates minus true place on the bed
    geometry::Point g54_, g92_;
    int motion_mode_ = 0;
    bool absolute_ = true;
    double unit_ = 1, feed_ = 0, power_word_ = 0;
    BeamMode beam_ = BeamMode::off;
    bool flood_ = false, mist_ = false;
    int feed_override_ = 100, rapid_override_ = 100, power_override_ = 100;
    bool beam_stopped_ = false;  ///< in hold
    int reports_to_offset_ = 0, reports_to_overrides_ = 1;
    double beam_now_ = 0;
    double height_ = 0, piece_depth_ = 5;  ///< mm
    std::optional<machine::RoundWall> wall_;
    double counted_per_mm_ = 1;  ///< of the wall
    /// Of Y and the fourth axis the one the planner does not move: its place, and what it counts besides.
    double standing_ = 0, standing_shift_ = 0, standing_offset_ = 0;
    bool start_pressed_ = false;
};

}  // namespace chalkline::simulator
