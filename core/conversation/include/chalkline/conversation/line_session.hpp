// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/line_states.hpp>
#include <chalkline/conversation/reply.hpp>
#include <chalkline/conversation/session.hpp>
#include <chalkline/encoding/one_command_lines.hpp>

#include <deque>
#include <vector>

namespace chalkline::machine {

/// Boards that answer every line with `ok` and hear nothing else meanwhile, as on common 3D printers (Marlin's public
/// G-code interface: M115, M114, M211, M400, M410, G28; of its card M20, M21, M23 to M25, M27 to M30, M524). One line
/// is on its way at a time. Where the board knows line numbers and checksums (RepRap's `N… *…` and `Resend:`) every
/// line has them; an answer that does not come, or cannot be read, is asked for again. Nothing can be held: a stop
/// tells the board at once to drop what it planned, but whether it listens before its line is worked off is its own
/// affair, so up to its whole plan may still run.
class LineSession : public Session {
 public:
    /// As `make_session`.
    LineSession(MachineProfile profile, double greeting_wait, std::optional<RememberedPlace> before = {});

    void opened(double now) override;
    void received(std::string_view bytes, double now) override;
    void tick(double now) override;
    void closed(const std::string& reason, double now) override;

    Result<void> home() override;
    Result<void> unlock() override;
    Result<void> turn_laser_mode_on() override;
    Result<void> jog(geometry::Point by, Speed speed) override;
    Result<void> go_to(geometry::Point place, Speed speed) override;
    Result<void> jog_on(geometry::Point way, Speed speed) override;
    void cancel_jog() override {}
    Result<void> move_focus(double by) override;
    Result<void> pulse(Power power, Duration time) override;
    Result<void> probe() override;
    Result<void> stands_at(geometry::Point place) override;
    Result<void> release_motors() override;
    void wake() override {}
    Result<void> write_setting(int number, double value) override;
    Result<void> send_line(const std::string& text) override;
    Result<void> frame(const clearance::ClearedProgram& program) override;
    Result<void> burn(const clearance::ClearedProgram& program, const Trims& trims = {}) override;
    Result<void> trim(int speed, int power) override;
    Result<void> list_store() override;
    Result<void> store(const std::string& name, const clearance::ClearedProgram& program) override;
    Result<void> remove_stored(const std::string& name) override;
    Result<void> run_stored(const StoredFile& file, const clearance::ClearedProgram& copy) override;
    void hold() override {}
    void resume() override {}
    void stop() override;
    Result<void> set_profile(const MachineProfile& profile) override;

    std::string take_output() override;
    std::vector<Event> take_events() override;
    const Snapshot& snapshot() const override { return now_; }
    const MachineProfile& profile() const override { return profile_; }
    std::optional<double> setting(int) const override { return {}; }

    static constexpr double stop_wait = 3;   ///< s a stop waits for the answer to the line on its way
    static constexpr double asks_after = 6;  ///< s of silence before an answer is asked for again
    static constexpr int most_tries = 3;

 private:
    using Closed = line_state::Closed;
    using Opening = line_state::Opening;
    using GaveUp = line_state::GaveUp;
    using AtEase = line_state::AtEase;
    using Halted = line_state::Halted;
    using Acting = line_state::Acting;
    using Streaming = line_state::Streaming;
    using AtCard = line_state::AtCard;
    using Stopping = line_state::Stopping;
    /// Whether the board reads numbered lines.
    enum class Numbers { unknown, asked, no, yes };
    /// Whether S on a move changes its beam, as far as the board tells.
    enum class PowerInMoves { unknown, no, yes };
    /// What a line was sent for. Its answer is understood by this, never by its text: what somebody types by hand means
    /// nothing to the session, whatever it looks like.
    enum class Purpose {
        program,  ///< of the program under way
        plain,    ///< nothing follows
        typed,    ///< by hand: once it is carried out, nobody knows the place any more
        home,
        where,        ///< ends whatever was under way
        ask_numbers,  ///< whether it reads line numbers
        ask_beam,     ///< whether it knows the words of a beam
        begin_file,
        list_card,
        open_file,
        run_file,
    };
    struct Command {
        std::string text;
        Purpose purpose = Purpose::plain;
    };
    static std::deque<Command> questions();
    /// The state when it is that one, else null.
    template <class S>
    S* in() {
        return std::get_if<S>(&state_);
    }
    template <class S>
    const S* in() const {
        return std::get_if<S>(&state_);
    }
    void enter(LineState next);
    /// The opening is over and the link is there.
    bool conversing() const;
    /// The lines that are sent now, of a program or to the card; null: none.
    LineSource* sending() const;
    void handle(const std::string& line);
    void handle_ok();
    void handle_answered(const ProgramLine& line, Purpose purpose);
    void note_planned(Streaming& streaming, const ProgramLine& line);
    void handle_refusal(const std::string& line);
    void handle_resend(const std::string& line);
    void handle_restart();
    void handle_halt(const std::string& line);
    void handle_travel(const std::string& line);
    bool handle_card(const std::string& line);
    void handle_card_answer(AtCard& card, const ProgramLine& line, Purpose purpose);
    void end_card_run();
    std::optional<Error> card_trouble() const;
    bool writes_card() const;
    bool card_runs() const;
    std::vector<Command> end_of_card_act() const;
    void compare_with_plan(geometry::Point counted);
    void tick_lost_answer();
    void ask_again();
    void answer_is_missing();
    void settle_place(const Opening& opening);
    void tick_opening();
    void forget_place();
    void write(const ProgramLine& line, int number);
    ControllerFacts facts() const { return {travel_, {}, {}}; }
    void begin_stop(std::optional<Error> because);
    void send(ProgramLine line, Purpose purpose);
    void send_bare(const std::string& text, Purpose purpose = Purpose::plain);
    void handle_place(const std::string& line);
    void send_next();
    void all_sent();
    std::vector<Command> way_to_rest(const std::vector<std::string>& own_lines) const;
    void finish_if_done();
    void finish_stop(bool answered);
    Result<void> require_free() const;
    Result<void> require_power_in_moves() const;
    Result<void> move(LineState next, std::vector<Command> lines);
    Result<void> start(Activity activity, const clearance::ClearedProgram& program);
    void fail_activity(Error error);
    void announce();

    MachineProfile profile_;
    double greeting_wait_, clock_ = 0, last_byte_ = 0, announced_ = 0, asked_where_ = 0;
    LineState state_;
    Snapshot now_;
    std::vector<Event> events_;
    LineReader lines_in_;
    std::string out_;
    std::deque<Command> queued_;  ///< commands that wait, sent before the program's lines
    /// A line on its way.
    struct Open {
        ProgramLine line;
        Purpose purpose;
        int number;         ///< 0: it has none
        bool told = false;  ///< of the question where the head is: its answer came, and only the `ok` is missing
    };
    std::deque<Open> open_;  ///< sent and not answered: one, but for a stop, or while an answer is asked for again
    std::optional<RememberedPlace> before_;  ///< where an earlier conversation ended
    std::map<int, double> travel_;           ///< what it said of its limits, numbered as in the reference dialect
    Numbers numbers_ = Numbers::unknown;
    int last_number_ = 0, tries_ = 0;
    double asked_again_ = 0;  ///< s; when a missing answer was asked for last
    bool resend_ = false;     ///< it did not understand the line on its way; an `ok` follows
    PowerInMoves power_in_moves_ = PowerInMoves::unknown;
    std::optional<geometry::Point> stood_;  ///< counted place before the line on its way
    std::vector<geometry::Point> led_;      ///< counted places that lines since the last report of the place lead to
};

}  // namespace chalkline::machine
