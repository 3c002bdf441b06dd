// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/cleared/cleared_program.hpp>
#include <chalkline/conversation/reply.hpp>
#include <chalkline/conversation/store.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/trim.hpp>

#include <cstdint>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <variant>
#include <vector>

namespace chalkline::machine {

namespace error {
inline constexpr std::string_view silent = "machine.silent";
inline constexpr std::string_view speaks_otherwise = "machine.speaks-otherwise";
inline constexpr std::string_view link_lost = "machine.link-lost";
inline constexpr std::string_view not_ready = "machine.not-ready";
inline constexpr std::string_view locked = "machine.locked";
inline constexpr std::string_view busy = "machine.busy";
inline constexpr std::string_view no_homing = "machine.no-homing";
inline constexpr std::string_view home_would_turn = "machine.home-would-turn";
inline constexpr std::string_view wall_beyond_limits = "machine.wall-beyond-limits";
inline constexpr std::string_view wall_longer_than_travel = "machine.wall-longer-than-travel";
inline constexpr std::string_view laser_mode_off = "machine.laser-mode-off";
inline constexpr std::string_view full_power_differs = "machine.full-power-differs";
inline constexpr std::string_view beyond_limits = "machine.beyond-limits";
inline constexpr std::string_view beyond_reach = "machine.beyond-reach";
inline constexpr std::string_view line_refused = "machine.line-refused";
inline constexpr std::string_view position_unknown = "machine.position-unknown";
inline constexpr std::string_view beginning_unknown = "machine.beginning-unknown";
inline constexpr std::string_view not_while_working = "machine.not-while-working";
inline constexpr std::string_view bad_line = "machine.bad-line";
inline constexpr std::string_view no_z_axis = "machine.no-z-axis";
inline constexpr std::string_view not_supported = "machine.not-supported";
inline constexpr std::string_view no_probe = "machine.no-probe";
inline constexpr std::string_view alarm = "machine.alarm";
inline constexpr std::string_view reset_by_itself = "machine.reset-by-itself";
inline constexpr std::string_view off_way = "machine.off-way";
inline constexpr std::string_view origin_not_taken = "machine.origin-not-taken";
inline constexpr std::string_view stray_answer = "machine.stray-answer";
inline constexpr std::string_view beam_taken = "machine.beam-taken";
inline constexpr std::string_view garbled_answer = "machine.garbled-answer";
/// Parameter `text`: what the board said when it shut itself down.
inline constexpr std::string_view board_halted = "machine.board-halted";
inline constexpr std::string_view no_inline_power = "machine.no-inline-power";
/// Parameter `text`: what its firmware calls itself.
inline constexpr std::string_view inline_power_unknown = "machine.inline-power-unknown";
/// Parameters `place` ("X, Y"): the controller counts on from a place that is not on the bed.
inline constexpr std::string_view place_off_bed = "machine.place-off-bed";
inline constexpr std::string_view answer_lost = "machine.answer-lost";
/// Its clearance was for other figures than the machine has now.
inline constexpr std::string_view cleared_for_another = "machine.cleared-for-another";
/// What was to be sent was not what had been checked.
inline constexpr std::string_view lines_changed = "machine.lines-changed";
inline constexpr std::string_view no_store = "machine.no-store";
inline constexpr std::string_view store_receives_nothing = "machine.store-receives-nothing";
/// Parameters `name` and `text` (what the board said; may be empty).
inline constexpr std::string_view store_failed = "machine.store-failed";
/// Parameter `name`.
inline constexpr std::string_view not_in_store = "machine.not-in-store";
/// Parameters `name`, `bytes` (there), `expected`.
inline constexpr std::string_view store_differs = "machine.store-differs";
}  // namespace error

/// What the session is in the middle of.
enum class Activity { none, connecting, homing, jogging, pulsing, probing, framing, burning, storing, stopping };

/// What can be asked of a controller, by what it speaks.
struct Capabilities {
    bool hold = true;      ///< moves can be held, gone on with, and cancelled
    bool settings = true;  ///< it tells its settings and takes others
    bool pulse = true, probe = true;
    bool trim = true;          ///< power and speed can be changed while it runs
    int moves_after_stop = 0;  ///< that may still run after a stop
};

/// A place that outlives a connection: where the controller said the head stands, and what that means on the bed.
struct RememberedPlace {
    geometry::Point machine;  ///< machine coordinates, mm
    geometry::Point origin;   ///< machine coordinates of the bed's 0, 0
    bool homed = false;       ///< home was found; else somebody said where the head stands
    /// The way it may have gone on by itself, of what it had been sent; machine coordinates. Empty: it stood.
    std::vector<geometry::Point> ahead{};
    /// A head at that place can have come from here by itself.
    bool leads_to(geometry::Point machine_at) const;
    bool operator==(const RememberedPlace&) const = default;
};

/// The machine as far as it is known at one moment. A value for the interface to show.
struct Snapshot {
    bool connected = false;
    Activity activity = Activity::connecting;
    Capabilities can;
    ControllerState state = ControllerState::unknown;
    int sub = 0;
    std::optional<geometry::Point> position;  ///< bed coordinates, mm
    bool position_sure = false;               ///< the controller knows where the head is
    /// The place rests on somebody's word, not on home switches: where the bed ends nobody can promise.
    bool placed_by_hand = false;
    /// What may be remembered of the place beyond this connection; nothing while it is not sure.
    std::optional<RememberedPlace> remembered_place;
    /// The board did not restart since an earlier connection, and its head still stood where that one ended.
    bool place_continued = false;
    std::optional<bool> zero_at_home;        ///< as finding home told; none: not found yet
    int alarm = 0;                           ///< number of the last alarm while locked
    double feed = 0, power = 0;              ///< mm/min, S units
    int speed_trim = 100, power_trim = 100;  ///< % of what the program says
    std::optional<int> power_at_board;       ///< %: somebody turned the beam down, or up, at the machine itself
    std::string pins, accessories;
    std::int64_t lines_done = 0;     ///< answered lines of the running program
    ProgramPlace done;               ///< surely carried out
    ProgramPlace begun;              ///< nothing behind it can have begun
    std::int32_t step = -1;          ///< whose lines are sent; −1: nobody's
    Trims trims;                     ///< what was trimmed in this program, or the last one
    std::optional<bool> laser_mode;  ///< as the controller's settings say; none: not known yet
    double silent_for = 0;           ///< seconds without a byte while something runs; 0 when all is well
    std::int64_t chatter = 0;        ///< lines that answer nothing, said while this program ran
    std::string version;
    std::shared_ptr<const std::map<int, double>> settings;  ///< `$N` as the controller stated them; null: not yet
    std::optional<int> receive_buffer, planner_blocks;      ///< as its build info says
    std::shared_ptr<const std::vector<StoredFile>> stored;  ///< as its store was listed last; null: never
    std::optional<double> stored_share;  ///< read so far of the file that runs from the store, 0 … 1
};

namespace event {

struct Changed {
    Snapshot now;
};
/// A line of the wire log.
struct Wire {
    bool sent;
    std::string text;
};
/// The controller answered and its settings are known.
struct Ready {};
/// What was asked for is done.
struct Finished {
    Activity activity;
};
/// Stopped on request. `position_sure`: the hold was completed before the reset. `beam_off`: confirmed by status.
struct Stopped {
    Activity activity;
    bool position_sure;
    bool beam_off;
};
/// Something failed; the session has already done what is safe.
struct Failed {
    Activity activity;
    Error error;
};

/// Something was asked for that cannot be done now; nothing was sent.
struct Refused {
    Error error;
};

}  // namespace event

using Event = std::variant<event::Changed, event::Wire, event::Ready, event::Finished, event::Stopped, event::Failed,
                           event::Refused>;

/// The conversation with one controller, whatever it speaks, as a pure state machine: bytes and the clock go in, bytes
/// and events come out. No I/O, no threads. `now` is any steady clock in seconds. Real-time bytes leave ahead of queued
/// lines.
class Session {
 public:
    virtual ~Session() = default;

    // What happens outside.
    virtual void opened(double now) = 0;
    virtual void received(std::string_view bytes, double now) = 0;
    /// Call at least every 100 ms.
    virtual void tick(double now) = 0;
    /// The link is gone (`reason` from the system). Nothing can be sent any more.
    virtual void closed(const std::string& reason, double now) = 0;

    // What the maker asks for. An error means nothing was sent.
    virtual Result<void> home() = 0;
    virtual Result<void> unlock() = 0;
    /// Writes the one setting without which every change of power stops the head ($32=1).
    virtual Result<void> turn_laser_mode_on() = 0;
    /// Moves the head by a distance (mm), dark, never past the bed when the position is sure.
    virtual Result<void> jog(geometry::Point by, Speed speed) = 0;
    /// Moves the head to a place of the bed, dark. Errors too when the head's place is not known.
    virtual Result<void> go_to(geometry::Point place, Speed speed) = 0;
    /// Moves the head on in a direction (of any length) until `cancel_jog`, never past the bed; where its place is not
    /// known at most `blind_reach`.
    virtual Result<void> jog_on(geometry::Point way, Speed speed) = 0;
    static constexpr double blind_reach = 100;  ///< mm
    /// Brings a move to rest at once; nothing else is stopped by it.
    virtual void cancel_jog() = 0;
    /// Raises (above 0) or lowers the focus by a distance, mm.
    virtual Result<void> move_focus(double by) = 0;
    /// One burst of the beam where the head stands, timed by the controller; power and time are held to small values.
    virtual Result<void> pulse(Power power, Duration time) = 0;
    static constexpr Power strongest_pulse = Power::percent(20);
    static constexpr Duration longest_pulse = Duration::seconds(0.2);
    /// Lowers the head until its probe touches, then raises it until the beam is in focus there.
    virtual Result<void> probe() = 0;
    /// The maker says where the head stands, on a machine that cannot find home or has not.
    virtual Result<void> stands_at(geometry::Point place) = 0;
    /// Lets the motors go, so that the head can be pushed by hand; where it is is not known afterwards.
    virtual Result<void> release_motors() = 0;
    /// Wakes a controller that sleeps with its motors released.
    virtual void wake() = 0;
    /// Writes one setting of the controller.
    virtual Result<void> write_setting(int number, double value) = 0;
    /// One line as typed, for whoever knows the controller. Refused while anything runs, and with bytes that would act
    /// at once or start another line.
    virtual Result<void> send_line(const std::string& text) = 0;
    /// Rides a frame. Error: cleared_for_another, as all that take a program.
    virtual Result<void> frame(const clearance::ClearedProgram& program) = 0;
    /// `trims`: how its steps begin, held to what each step allows.
    virtual Result<void> burn(const clearance::ClearedProgram& program, const Trims& trims = {}) = 0;
    /// Changes speed and power of the step that runs, at once; % of what the program says, held to `least_trim` …
    /// `most_trim`, and the power to what the program's clearance allows. Between steps that are trimmed differently
    /// the machine comes to rest, so that no line runs with the trim of another step.
    virtual Result<void> trim(int speed, int power) = 0;
    static constexpr int least_trim = 10, most_trim = 200;
    // The controller's own store. Each of these lists it anew; what it holds is in the snapshot.
    virtual Result<void> list_store() = 0;
    /// Writes a program there under a name of `store_name`, over a file of that name. Finished when the store shows it
    /// as long as it is; an end on the way takes away what was begun.
    virtual Result<void> store(const std::string& name, const clearance::ClearedProgram& program) = 0;
    virtual Result<void> remove_stored(const std::string& name) = 0;
    /// Lets the controller burn a file by itself. `copy`: what was stored. Errors later when the file's length is
    /// another than that of `file`. A lost link does not stop it.
    virtual Result<void> run_stored(const StoredFile& file, const clearance::ClearedProgram& copy) = 0;
    virtual void hold() = 0;
    virtual void resume() = 0;
    /// Stops whatever goes on as soon as the controller lets it, and turns the beam off.
    virtual void stop() = 0;

    /// Other figures of the same machine, from now on.
    virtual Result<void> set_profile(const MachineProfile& profile) = 0;

    /// Bytes to put on the link now; empty when there is nothing to send.
    virtual std::string take_output() = 0;
    virtual std::vector<Event> take_events() = 0;
    virtual const Snapshot& snapshot() const = 0;
    virtual const MachineProfile& profile() const = 0;
    /// `$N` as the controller stated it.
    virtual std::optional<double> setting(int number) const = 0;

    static constexpr double silence_limit = 2;  ///< s without a byte before the link counts as silent
};

/// A program may be sent to the machine that it was cleared for, and to no other.
Result<void> require_cleared_for(const clearance::ClearedProgram& program, const MachineProfile& profile);

/// How far beyond the bed counts as on it, mm: half of the last place a controller is told.
inline constexpr double limit_slack = 0.0005;
Result<void> require_on_bed(const MachineProfile& profile, geometry::Point place);
/// What to say when the head's place is not known: on a round piece the maker knows it and nobody else.
std::string_view place_unknown(const MachineProfile& profile);
/// Finding home would turn a piece whose rotary is plugged in instead of Y, until a switch that never comes.
Result<void> require_no_turning_home(const MachineProfile& profile);
/// How far the head can go from `at` along `way` (of length 1) before it meets the bed's edge, mm.
double room_on_bed(const geometry::Box& bed, geometry::Point at, geometry::Point way);
/// For a move by a distance: the error also says how far it could go that way.
Result<void> require_reach(const MachineProfile& profile, geometry::Point at, geometry::Point by);

/// The conversation that the profile's controller understands. `greeting_wait`: seconds to wait for a greeting before
/// asking; boards that reset on opening need about 2. `before`: the place an earlier conversation with the same
/// controller ended at. It holds when the board did not restart and still counts that place.
std::unique_ptr<Session> make_session(const MachineProfile& profile, double greeting_wait,
                                      const std::optional<RememberedPlace>& before = {});

}  // namespace chalkline::machine
