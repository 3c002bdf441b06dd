// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/reply.hpp>
#include <chalkline/machine/streamer.hpp>

#include <deque>
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
inline constexpr std::string_view laser_mode_off = "machine.laser-mode-off";
inline constexpr std::string_view full_power_differs = "machine.full-power-differs";
inline constexpr std::string_view beyond_limits = "machine.beyond-limits";
inline constexpr std::string_view line_refused = "machine.line-refused";
inline constexpr std::string_view position_unknown = "machine.position-unknown";
inline constexpr std::string_view not_while_working = "machine.not-while-working";
inline constexpr std::string_view bad_line = "machine.bad-line";
inline constexpr std::string_view no_z_axis = "machine.no-z-axis";
inline constexpr std::string_view no_probe = "machine.no-probe";
inline constexpr std::string_view alarm = "machine.alarm";
inline constexpr std::string_view reset_by_itself = "machine.reset-by-itself";
}  // namespace error

/// What the session is in the middle of.
enum class Activity { none, connecting, homing, jogging, pulsing, probing, framing, burning, stopping };

/// The machine as far as it is known at one moment. A value for the interface to show.
struct Snapshot {
    bool connected = false;
    Activity activity = Activity::connecting;
    ControllerState state = ControllerState::unknown;
    int sub = 0;
    std::optional<geometry::Point> position;  ///< bed coordinates, mm
    bool position_sure = false;               ///< the controller knows where the head is
    /// The place rests on somebody's word, not on home switches: where the bed ends nobody can promise.
    bool placed_by_hand = false;
    int alarm = 0;               ///< number of the last alarm while locked
    double feed = 0, power = 0;  ///< mm/min, S units
    std::string pins, accessories;
    std::int64_t lines_done = 0;     ///< answered lines of the running program
    std::int64_t operation = -1;     ///< operation of the last answered line
    std::optional<bool> laser_mode;  ///< as the controller's settings say; none: not known yet
    double silent_for = 0;           ///< seconds without a byte while something runs; 0 when all is well
    std::string version;
    std::shared_ptr<const std::map<int, double>> settings;  ///< `$N` as the controller stated them; null: not yet
    std::optional<int> receive_buffer, planner_blocks;      ///< as its build info says
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

/// The conversation with one controller, as a pure state machine: bytes and the clock go in, bytes and events come
/// out. No I/O, no threads. `now` is any steady clock in seconds. Real-time bytes leave ahead of queued lines.
class Session {
 public:
    /// `greeting_wait`: seconds to wait for a greeting before asking; boards that reset on opening need about 2.
    Session(MachineProfile profile, double greeting_wait);

    // What happens outside.
    void opened(double now);
    void received(std::string_view bytes, double now);
    /// Call at least every 100 ms.
    void tick(double now);
    /// The link is gone (`reason` from the system). Nothing can be sent any more.
    void closed(const std::string& reason, double now);

    // What the maker asks for. An error means nothing was sent.
    Result<void> home();
    Result<void> unlock();
    /// Writes the one setting without which every change of power stops the head ($32=1).
    Result<void> turn_laser_mode_on();
    /// Moves the head by a distance (mm), dark, never past the bed when the position is sure.
    Result<void> jog(geometry::Point by, Speed speed);
    /// Moves the head to a place of the bed, dark. Errors too when the head's place is not known.
    Result<void> go_to(geometry::Point place, Speed speed);
    /// Moves the head on in a direction (of any length) until `cancel_jog`, never past the bed; where its place is not
    /// known at most `blind_reach`.
    Result<void> jog_on(geometry::Point way, Speed speed);
    static constexpr double blind_reach = 100;  ///< mm
    /// Brings a move to rest at once; nothing else is stopped by it.
    void cancel_jog();
    /// Raises (above 0) or lowers the focus by a distance, mm.
    Result<void> move_focus(double by);
    /// One burst of the beam where the head stands, timed by the controller; power and time are held to small values.
    Result<void> pulse(Power power, Duration time);
    static constexpr Power strongest_pulse = Power::percent(20);
    static constexpr Duration longest_pulse = Duration::seconds(0.2);
    /// Lowers the head until its probe touches, then raises it until the beam is in focus there.
    Result<void> probe();
    /// The maker says where the head stands, on a machine that cannot find home or has not.
    Result<void> stands_at(geometry::Point place);
    /// Lets the motors go, so that the head can be pushed by hand; where it is is not known afterwards.
    Result<void> release_motors();
    /// Wakes a controller that sleeps with its motors released.
    void wake();
    /// Writes one setting of the controller.
    Result<void> write_setting(int number, double value);
    /// One line as typed, for whoever knows the controller. Refused while anything runs, and with bytes that would act
    /// at once or start another line.
    Result<void> send_line(const std::string& text);
    /// Runs dark lines around the job.
    Result<void> frame(std::unique_ptr<LineSource> lines);
    /// REQUIRES: the lines passed the program checker.
    Result<void> burn(std::unique_ptr<LineSource> lines);
    void hold();
    void resume();
    /// Stops whatever goes on: hold, wait for it at most `hold_wait` seconds, then reset.
    void stop();

    /// Other figures of the same machine, from now on.
    Result<void> set_profile(const MachineProfile& profile);

    /// Bytes to put on the link now; empty when there is nothing to send.
    std::string take_output();
    std::vector<Event> take_events();
    const Snapshot& snapshot() const { return now_; }
    const MachineProfile& profile() const { return profile_; }
    /// `$N` as the controller stated it.
    std::optional<double> setting(int number) const;

    static constexpr double status_interval = 0.15;  ///< s between status requests: about 7 Hz
    static constexpr double silence_limit = 2;       ///< s without a byte before the link counts as silent
    static constexpr double hold_wait = 3;           ///< s a stop waits for the head to come to rest

 private:
    /// Where opening the conversation stands.
    enum class Greeting { waiting, settings, done, failed };
    /// Where stopping stands.
    enum class Stopping { no, holding, resetting, confirming };
    void handle(const std::string& line);
    void handle_status(const reply::Status& status);
    void handle_answer(std::optional<int> error_number);
    void handle_command_answer(std::optional<int> error_number);
    void handle_stream_answer(std::optional<int> error_number);
    void handle_greeting(const std::string& version);
    void handle_alarm(int number);
    void tick_greeting();
    void tick_stopping();
    void tick_watchdog();
    void begin_reading_settings();
    void finish_if_at_rest();
    Result<void> require_free() const;
    Result<void> start(Activity activity, std::unique_ptr<LineSource> lines);
    Result<void> require_on_bed(geometry::Point place) const;
    Result<void> jog_by(geometry::Point by, Speed speed);
    void place_bed_origin();
    void forget_place();
    void go_to_rest(const std::vector<std::string>& own_lines);
    void find_origin_after_homing(geometry::Point machine);
    void begin_stop(std::optional<Error> because);
    void reset_controller();
    void end_stop(bool answered);
    void fail_activity(Error error);
    void queue_command(std::string text);
    void send_next();
    void send_realtime(char byte, const char* shown);
    void announce();

    MachineProfile profile_;
    double greeting_wait_;
    double clock_ = 0;  ///< newest `now`
    Snapshot now_;
    std::vector<Event> events_;

    Greeting greeting_ = Greeting::waiting;
    double opened_at_ = 0, last_byte_ = 0, last_status_request_ = 0;
    bool heard_anything_ = false;
    std::string partial_;  ///< bytes of a line not ended yet
    std::map<int, double> settings_;
    std::map<std::string, geometry::Point> offsets_;  ///< "G54", "G92", machine coordinates, mm
    geometry::Point work_offset_;                     ///< last WCO
    geometry::Point origin_;                          ///< machine coordinates of the bed's 0, 0
    std::optional<geometry::Point> machine_at_;       ///< last machine coordinates, mm
    bool just_homed_ = false;                         ///< the next place the controller names is that of home
    int receive_buffer_, planner_blocks_;

    std::string realtime_, lines_out_;       ///< bytes to send; real-time first
    std::deque<std::string> queued_, open_;  ///< commands waiting to be sent; sent and not answered
    std::unique_ptr<Streamer> streamer_;

    Stopping stopping_ = Stopping::no;
    std::optional<Error> stop_because_;
    Activity stopped_activity_ = Activity::none;
    double stop_since_ = 0;
    bool came_to_rest_ = false;    ///< the hold was completed before the reset
    bool cancel_wanted_ = false;   ///< a jog was cancelled before the controller said that it took it
    bool reset_expected_ = false;  ///< the next greeting answers our own reset
};

}  // namespace chalkline::machine
