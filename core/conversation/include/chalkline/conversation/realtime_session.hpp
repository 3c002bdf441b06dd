// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/realtime_states.hpp>
#include <chalkline/conversation/session.hpp>

#include <deque>

namespace chalkline::machine {

/// The reference dialect (public serial interface of Grbl 1.1): bytes that act at once beside lines that are answered,
/// as many lines on their way as the controller's buffer holds. Real-time bytes leave ahead of queued lines.
class RealtimeSession : public Session {
 public:
    /// As `make_session`.
    RealtimeSession(MachineProfile profile, double greeting_wait, std::optional<RememberedPlace> before = {});

    // What happens outside.
    void opened(double now) override;
    void received(std::string_view bytes, double now) override;
    void tick(double now) override;
    void closed(const std::string& reason, double now) override;

    // What the maker asks for. An error means nothing was sent.
    Result<void> home() override;
    Result<void> unlock() override;
    Result<void> turn_laser_mode_on() override;
    Result<void> jog(geometry::Point by, Speed speed) override;
    Result<void> go_to(geometry::Point place, Speed speed) override;
    Result<void> jog_on(geometry::Point way, Speed speed) override;
    void cancel_jog() override;
    Result<void> move_focus(double by) override;
    Result<void> pulse(Power power, Duration time) override;
    Result<void> probe() override;
    Result<void> stands_at(geometry::Point place) override;
    Result<void> release_motors() override;
    void wake() override;
    Result<void> write_setting(int number, double value) override;
    Result<void> send_line(const std::string& text) override;
    Result<void> frame(const clearance::ClearedProgram& program) override;
    Result<void> burn(const clearance::ClearedProgram& program, const Trims& trims = {}) override;
    Result<void> trim(int speed, int power) override;
    Result<void> list_store() override;
    Result<void> store(const std::string& name, const clearance::ClearedProgram& program) override;
    Result<void> remove_stored(const std::string& name) override;
    Result<void> run_stored(const StoredFile& file, const clearance::ClearedProgram& copy) override;
    void hold() override;
    void resume() override;
    void stop() override;

    Result<void> set_profile(const MachineProfile& profile) override;

    std::string take_output() override;
    std::vector<Event> take_events() override;
    const Snapshot& snapshot() const override { return now_; }
    const MachineProfile& profile() const override { return profile_; }
    std::optional<double> setting(int number) const override;

    static constexpr double status_interval = 0.15;   ///< s between status requests: about 7 Hz
    static constexpr double unanswered_interval = 1;  ///< s until a question is asked again
    static constexpr double hold_wait = 3;            ///< s a stop waits for the head to come to rest
    static constexpr double off_way_limit = 0.3;      ///< mm the head may be from where the program leads it
    static constexpr double answer_patience = 1.5;    ///< s an idle controller may owe an answer
    static constexpr double asks_while_homing = 5;    ///< s; a homing controller answers nothing
    static constexpr double off_bed_limit = 5;        ///< mm beyond the bed that prove a place said by hand wrong

 private:
    using Closed = realtime_state::Closed;
    using Opening = realtime_state::Opening;
    using GaveUp = realtime_state::GaveUp;
    using AtEase = realtime_state::AtEase;
    using Homing = realtime_state::Homing;
    using Jogging = realtime_state::Jogging;
    using Probing = realtime_state::Probing;
    using Pulsing = realtime_state::Pulsing;
    using Streaming = realtime_state::Streaming;
    using AtCard = realtime_state::AtCard;
    using Stopping = realtime_state::Stopping;
    /// What a command was sent for. Its answer is understood by this, never by its text: what somebody types by hand
    /// means nothing to the session, whatever it looks like.
    enum class Purpose {
        plain,  ///< nothing follows; what it is answered is read as it comes
        typed,  ///< by hand: once it is carried out, nobody knows the place any more
        home,
        unlock,
        jog,
        end_probe,
        end_pulse,
        write_setting,     ///< `number` and `value`
        program_settings,  ///< `$$` before a program: somebody may have changed them
        program_origin,    ///< `$#` before a program
        list_store_by_path,
        list_store_in_brief,
        change_store,  ///< receives a file, or deletes one
        run_stored_file,
    };
    struct Command {
        std::string text;
        Purpose purpose = Purpose::plain;
        int number = 0;
        double value = 0;
    };
    /// The state when it is that one, else null.
    template <class S>
    S* in() {
        return std::get_if<S>(&state_);
    }
    template <class S>
    const S* in() const {
        return std::get_if<S>(&state_);
    }
    void enter(RealtimeState next);
    /// The opening is over and the link is there.
    bool conversing() const;
    void handle(const std::string& line);
    void handle_status(const reply::Status& status);
    void handle_answer(std::optional<int> error_number);
    void handle_command_answer(std::optional<int> error_number);
    void handle_stream_answer(Streaming& streaming, std::optional<int> error_number);
    void handle_greeting(const std::string& version);
    void handle_greeting_while_opening(Opening& opening);
    void handle_alarm(int number);
    void handle_text(const std::string& text);
    void handle_garbled(const std::string& text);
    void handle_place(const reply::Status& status);
    void handle_overrides(const reply::Status& status);
    void handle_first_status(Opening& opening);
    void end_homing();
    void compare_with_route();
    void note_done(Streaming& streaming);
    void compare_queue();
    void compare_beam(const reply::Status& status);
    bool looks_lit(const reply::Status& status);
    void tick_opening();
    void tick_waiting(const Opening& opening);
    void tick_lost_answer();
    void tick_draining();
    void tick_settings(const Opening& opening);
    void tick_stopping();
    void tick_watchdog();
    void begin_reading_settings(Opening& opening);
    void finish_if_at_rest();
    Result<void> require_free() const;
    Result<void> require_settings() const;
    ControllerFacts facts() const { return {settings_, now_.receive_buffer, now_.planner_blocks}; }
    void drain(Error why);
    void program_overrides();
    Result<void> require_at_rest() const;
    void begin_with_listing();
    void handle_card_answer(Purpose purpose);
    void handle_card_refusal(Purpose purpose, int number);
    void go_on_after_listing(AtCard& card);
    void handle_card_status(const reply::Status& status);
    void take_transfer(std::string_view bytes);
    void tick_transfer();
    bool transfers() const;
    bool card_runs() const;
    void settle_place(const Opening& opening);
    double unit() const { return setting(13).value_or(0) != 0 ? 25.4 : 1; }
    Result<void> require_room_for_wall() const;
    Result<void> start(Activity activity, const clearance::ClearedProgram& program, const Trims& trims);
    bool let_next_step_in(Streaming& streaming);
    void send_trim(Trim wanted);
    Result<void> jog_by(geometry::Point by, Speed speed);
    void place_bed_origin();
    geometry::Point used_axes(geometry::Point place, double turned) const;
    void forget_place();
    void go_to_rest(const std::vector<std::string>& own_lines);
    void find_origin_after_homing(geometry::Point machine);
    geometry::Point homed_origin(bool zero_at_home) const;
    void begin_stop(std::optional<Error> because);
    void reset_controller();
    void expect_reset();
    void end_stop(bool answered);
    void fail_activity(Error error);
    void give_up(std::string_view code);
    void finish_activity();
    void queue_command(Command command);
    void carried_out(const Command& command);
    void send_next();
    void send_realtime(char byte, const char* shown);
    void announce();

    MachineProfile profile_;
    double greeting_wait_;
    double clock_ = 0;  ///< newest `now`
    Snapshot now_;
    std::vector<Event> events_;

    RealtimeState state_;
    double last_byte_ = 0, last_status_request_ = 0;
    std::optional<RememberedPlace> before_;   ///< where an earlier conversation ended
    double last_status_ = 0, last_line_ = 0;  ///< s; a report came, a line was sent or answered
    int origin_tries_ = 0;
    /// It has been seen to tell in reports that its beam burns: by its power, by its outputs.
    bool tells_power_ = false, tells_beam_ = false;
    LineReader lines_in_;
    std::map<int, double> settings_;
    std::map<std::string, geometry::Point> offsets_;  ///< "G54", "G92", machine coordinates, mm
    std::optional<geometry::Point> work_offset_;      ///< last WCO
    geometry::Point origin_;                          ///< machine coordinates of the bed's 0, 0
    std::optional<geometry::Point> machine_at_;       ///< last machine coordinates, mm
    int receive_buffer_, planner_blocks_;

    std::string realtime_, lines_out_;   ///< bytes to send; real-time first
    std::deque<Command> queued_, open_;  ///< commands waiting to be sent; sent and not answered

    /// How the build is asked for its card; learned by asking.
    enum class CardWords { unknown, path, brief, none };
    CardWords card_words_ = CardWords::unknown;
    Trim asked_trim_;              ///< what was last asked for by us
    double trim_asked_at_ = 0;     ///< s
    bool reset_expected_ = false;  ///< the next greeting answers our own reset
    double reset_at_ = 0;          ///< s; when it was asked for
    int resets_open_ = 0;          ///< asked for by us, and not greeted yet
};

}  // namespace chalkline::machine
