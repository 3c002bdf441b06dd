// SPDX-License-Identifier: GPL-3.0-or-later
#include "trial.hpp"

#include <chalkline/clearance/clear.hpp>
#include <chalkline/conversation/line_session.hpp>
#include <chalkline/conversation/realtime_session.hpp>
#include <chalkline/history/burn_folders.hpp>
#include <chalkline/history/journal_file.hpp>
#include <chalkline/machine/rest.hpp>
#include <chalkline/machine/walk.hpp>
#include <chalkline/simulator/line_board.hpp>
#include <chalkline/timing/time_model.hpp>

#include <fmt/format.h>
#include <unistd.h>

#include <QTemporaryDir>
#include <algorithm>
#include <array>
#include <chrono>
#include <cmath>
#include <deque>
#include <filesystem>
#include <fstream>
#include <iterator>
#include <memory>
#include <optional>
#include <random>
#include <utility>

namespace chalkline::campaign {
namespace {

namespace event = machine::event;
using machine::Activity;
using machine::ControllerState;
using machine::ProgramPlace;
using simulator::Fault;

constexpr double step = 0.002;  // s between looks at the link
constexpr double cells_per_mm = 5;
constexpr double hand = 0.5;      // s a maker takes to press a button
constexpr double patience = 600;  // s of trouble before it is given up

/// REQUIRES: nothing stands against it.
clearance::ClearedProgram cleared(machine::Program program, const machine::MachineProfile& machine) {
    const planning::CheckGround ground{machine};
    return clearance::clear(clearance::FileRequest{std::move(program), ground}).passed().value();
}

/// Lays the lit way of the program between two places on a map, moved by `by`; its length, mm.
double lay(const machine::Program& program, ProgramPlace after, ProgramPlace up_to, geometry::Point by,
           simulator::DoseMap& map) {
    double length = 0;
    machine::walk(program, [&](const machine::Stretch& stretch) {
        if (stretch.power == 0 || stretch.place <= after || stretch.place > up_to) return;
        map.burn(stretch.from + by, stretch.to + by, 1000);
        length += stretch.length();
    });
    return length;
}

/// A maker, a Chalkline and a machine under one virtual clock.
class Workshop {
 public:
    Workshop(const Work& work, const Troubles& troubles)
        : work_(work),
          own_troubles_(of_our_own(troubles)),
          controller_(work.profile, work.board),
          line_board_(work.board.dialect == machine::Dialect::line_by_line
                          ? std::make_unique<simulator::LineBoard>(controller_)
                          : nullptr),
          device_(line_board_ ? static_cast<simulator::Device&>(*line_board_) : controller_, controller_,
                  machine_faults(troubles)),
          result_{.dose = {work.profile.width, work.profile.depth, cells_per_mm, work.profile.spot},
                  .allowed = {work.profile.width, work.profile.depth, cells_per_mm, work.profile.spot}} {
        controller_.set_dose_map(&result_.dose);
        sit_down();
    }

    Burned run() {
        while (!result_.finished && controller_.now() < burn_begins + patience)
            pass();
        result_.beam_on_mm = controller_.report().beam_on_mm;
        result_.at_rest_s = controller_.report().beam_at_rest_s;
        return std::move(result_);
    }

 private:
    static std::vector<Fault> machine_faults(const Troubles& troubles) {
        std::vector<Fault> faults;
        for (const Trouble& trouble : troubles)
            if (trouble.host == Trouble::Host::none) faults.push_back(trouble.fault);
        return faults;
    }
    /// Those on our side, in time.
    static std::deque<Trouble> of_our_own(const Troubles& troubles) {
        std::deque<Trouble> own;
        std::copy_if(troubles.begin(), troubles.end(), std::back_inserter(own),
                     [](const Trouble& trouble) { return trouble.host != Trouble::Host::none; });
        std::sort(own.begin(), own.end(), [](const Trouble& a, const Trouble& b) { return a.fault.at < b.fault.at; });
        return own;
    }

    /// A Chalkline is started and told where the machine is.
    void sit_down() {
        gave_up_at_.reset();
        device_.opened();
        (void)device_.take_output();
        session_ = machine::make_session(work_.profile, 0.3, place_);
        fresh_session_ = true;
        session_->opened(controller_.now());
    }

    void pass() {
        const double now = controller_.now();
        follow_cable();
        if (gave_up_at_ && plugged_ && controller_.now() > *gave_up_at_ + hand) sit_down();
        answers_ += device_.take_output();
        meet_own_trouble();
        if (now >= stalled_until_ && plugged_) {
            if (!answers_.empty()) session_->received(std::exchange(answers_, {}), now);
            session_->tick(now);
            listen();
            decide();
            device_.receive(session_->take_output());
            if (journal_) journal_->saw(session_->snapshot());
        }
        device_.advance(step);
    }

    void follow_cable() {
        const bool plugged = device_.plugged_in();
        if (plugged == plugged_) return;
        plugged_ = plugged;
        answers_.clear();
        if (plugged) return sit_down();
        session_->closed("pulled", controller_.now());
        place_ = session_->snapshot().remembered_place;
        listen();
    }

    void meet_own_trouble() {
        if (own_troubles_.empty() || controller_.now() < own_troubles_.front().fault.at) return;
        const Trouble met = own_troubles_.front();
        own_troubles_.pop_front();
        if (met.host == Trouble::Host::stall) {
            stalled_until_ = controller_.now() + met.fault.seconds;
            return;
        }
        place_.reset();  // the next one knows what was kept, and nothing more
        if (burning_) take_up(met.fault.seed);
        answers_.clear();
        sit_down();
    }

    /// Another Chalkline finds what a killed one left on the disk.
    void take_up(std::uint32_t seed) {
        const ProgramPlace begun = session_->snapshot().begun;
        journal_.reset();
        constexpr std::uint32_t most_torn = 60;  // bytes: less than a line
        const auto path = record_.journal_file().toStdString();
        const auto size = std::filesystem::file_size(path);
        std::filesystem::resize_file(path, size - std::min<std::uintmax_t>(size, seed % most_torn));
        const auto left = folders_.left_over(record_);
        result_.last_word = left ? "killed" : left.error().code;
        if (!left) return;
        break_off(left->journal.last.done, begun);
        furthest_ = left->journal.last.begun;
        place_ = left->place();
        in_order_ = true;
    }

    void listen() {
        for (const auto& happened : session_->take_events()) {
            if (const auto* failed = std::get_if<event::Failed>(&happened)) {
                result_.last_word = failed->error.code;
                if (failed->activity == Activity::connecting) gave_up_at_ = controller_.now();
                if (failed->activity == Activity::burning && burning_) {
                    break_off();
                    in_order_ = failed->error.code == machine::error::link_lost;
                }
            }
            if (std::holds_alternative<event::Ready>(happened)) {
                gave_up_at_.reset();
                find_at_rest();
            }
            const auto* stopped = std::get_if<event::Stopped>(&happened);
            if (stopped && stopped->activity == Activity::burning && burning_) break_off();
            const auto* finished = std::get_if<event::Finished>(&happened);
            if (finished && finished->activity == Activity::burning) {
                result_.finished = true;
                result_.seconds = controller_.now() - begun_at_;
            }
        }
    }

    ProgramPlace in_whole(ProgramPlace place) const { return rest_ ? rest_->in_whole(place) : place; }

    void break_off() { break_off(in_whole(session_->snapshot().done), session_->snapshot().begun); }

    /// `done` counted in the whole, `begun` in what was sent.
    void break_off(ProgramPlace done, ProgramPlace begun) {
        burning_ = false;
        ++result_.breaks;
        done_ = done;
        furthest_ = std::max(done, in_whole(begun));
        result_.allowed_mm += lay(*work_.program, done, furthest_, bed_at_, result_.allowed);
    }

    /// A board that stayed on stands where what it had been sent ended.
    void find_at_rest() {
        const auto& now = session_->snapshot();
        if (std::exchange(in_order_, false) && now.place_continued && now.position)
            done_ = machine::done_at_rest(*work_.program, done_, furthest_, *now.position);
    }

    /// What a maker does next: presses what is offered, after the time a hand takes.
    void decide() {
        const auto& now = session_->snapshot();
        constexpr double alarming = 10;  // s of silence
        if (now.silent_for > alarming) return session_->stop();
        const bool waits =
            now.connected && (now.state == ControllerState::hold || now.state == ControllerState::door) && now.sub == 0;
        const bool rests = now.connected && now.activity == Activity::none && !result_.finished && !burning_ &&
                           (now.state == ControllerState::idle || now.state == ControllerState::alarm);
        if (!waits && !rests) {
            hand_since_ = controller_.now();
            return;
        }
        if (controller_.now() < hand_since_ + hand) return;
        hand_since_ = controller_.now();
        if (waits) return session_->resume();
        if (now.state == ControllerState::alarm || !now.position_sure) return say_where();
        if (controller_.now() >= burn_begins) begin();
    }

    /// Home where there is one; else whoever stands there looks.
    void say_where() {
        if (work_.profile.home != machine::HomeCorner::none) return (void)session_->home();
        if (session_->snapshot().state == ControllerState::alarm) return (void)session_->unlock();
        (void)session_->stands_at(controller_.head());
    }

    void begin() {
        const bool first = result_.breaks == 0;
        auto program = work_.program;
        if (!first) {
            rest_ = std::make_shared<const machine::Rest>(machine::rest_of(*work_.program, done_));
            program = {rest_, &rest_->program};
        }
        if (first) begun_at_ = controller_.now();
        if (std::exchange(fresh_session_, false)) result_.first_lines.push_back(controller_.now());
        if (const auto& at = session_->snapshot().position) bed_at_ = controller_.head() - *at;
        burning_ = session_->burn(cleared(*program, work_.profile)).has_value();
        if (burning_ && !own_troubles_.empty()) keep(first);
    }

    /// As window and command line do: job and program first, then how far it came.
    void keep(bool first) {
        if (first) {
            record_ = folders_.begin();
            (void)folders_.keep(record_);
            (void)folders_.keep_work(record_, {}, *work_.program);
        }
        if (!journal_)
            journal_ = std::make_unique<history::JournalFile>(
                record_.journal_file().toStdString(), [](const Error&) {}, [this] { return moment(); });
        journal_->begin(rest_);
    }

    history::JournalFile::Clock::time_point moment() const {
        using Clock = history::JournalFile::Clock;
        return Clock::time_point(
            std::chrono::duration_cast<Clock::duration>(std::chrono::duration<double>(controller_.now())));
    }

    /// A folder of this process, gone with it.
    static QString scratch() {
        static const QTemporaryDir folder;
        return folder.path();
    }

    const Work& work_;
    std::deque<Trouble> own_troubles_;
    simulator::Controller controller_;
    std::unique_ptr<simulator::LineBoard> line_board_;
    simulator::FaultyDevice device_;
    std::unique_ptr<machine::Session> session_;
    std::optional<machine::RememberedPlace> place_;  ///< where the last conversation ended
    Burned result_;
    std::shared_ptr<const machine::Rest> rest_;
    ProgramPlace done_, furthest_;
    geometry::Point
        bed_at_;             ///< the bed's 0, 0 where it really lies: builds that put 0 at home move it by the pull-off
    bool in_order_ = false;  ///< the controller was left with lines that it carries out one after the other
    std::string answers_;
    history::BurnFolders folders_{scratch()};
    history::BurnRecord record_;
    std::unique_ptr<history::JournalFile> journal_;
    bool plugged_ = true, burning_ = false, fresh_session_ = true;
    std::optional<double> gave_up_at_;  ///< s; nobody answered sensibly: the maker connects once more
    double stalled_until_ = 0, hand_since_ = 0, begun_at_ = 0;
};

struct Difference {
    double gap = 0, excess = 0;  ///< mm²
};

/// Cell by cell; `slack` of the dose and a little of the strongest count as equal.
Difference difference(const Burned& once, const Burned& burned) {
    constexpr float slack = 0.06F, little = 0.02F;
    const auto& a = once.dose.cells();
    const auto& b = burned.dose.cells();
    const auto& allowed = burned.allowed.cells();
    const float floor = little * *std::max_element(a.begin(), a.end());
    Difference found;
    constexpr double cell = 1 / (cells_per_mm * cells_per_mm);
    for (std::size_t i = 0; i < a.size(); ++i) {
        if (b[i] < a[i] * (1 - slack) - floor) found.gap += cell;
        if (b[i] > a[i] * (1 + slack) + floor && allowed[i] == 0) found.excess += cell;
    }
    return found;
}

/// mm² that are darker than bare.
double burned_area(const Burned& burned) {
    const auto& cells = burned.dose.cells();
    const auto dark = std::count_if(cells.begin(), cells.end(), [](float dose) { return dose > 0; });
    return static_cast<double>(dark) / (cells_per_mm * cells_per_mm);
}

/// Whether a beam may have been turned off without anything to be seen of it on the link: before a report ever showed
/// it lit, or by a line of somebody else whose answer took the place of one that got lost, on a board without numbers.
bool darkened_unseen(const Work& work, const Burned& burned, const Troubles& troubles) {
    constexpr double unseen = 3;  // s
    const auto& begun = burned.first_lines;
    const auto at_beginning = [&](const Trouble& trouble) {
        return trouble.bends_a_line() && std::any_of(begun.begin(), begun.end(), [&](double first) {
                   return trouble.fault.at >= first && trouble.fault.at < first + unseen;
               });
    };
    const auto is = [](const Trouble& trouble, Fault::Kind kind) {
        return trouble.host == Trouble::Host::none && trouble.fault.kind == kind;
    };
    const bool counts_lines = work.board.dialect == machine::Dialect::realtime || work.board.line.numbers;
    const auto taken_for_a_lost_one = [&](const Trouble& foreign) {
        return !counts_lines && is(foreign, Fault::Kind::foreign_line) &&
               std::any_of(troubles.begin(), troubles.end(), [&](const Trouble& lost) {
                   const double later = foreign.fault.at - lost.fault.at;
                   return (is(lost, Fault::Kind::lose_answer) || is(lost, Fault::Kind::garble_answer)) && later >= 0 &&
                          later <= machine::LineSession::asks_after;
               });
    };
    return std::any_of(troubles.begin(), troubles.end(),
                       [&](const Trouble& trouble) { return at_beginning(trouble) || taken_for_a_lost_one(trouble); });
}

/// The longest way one line may lead, mm.
double longest_line_of(const Work& work) {
    return std::hypot(work.profile.width, work.profile.depth);
}

}  // namespace

std::string Trouble::name() const {
    if (host == Host::stall) return "stall";
    if (host == Host::kill) return "kill";
    return std::string(simulator::to_text(fault.kind));
}

bool Trouble::happens_to(const Work& work) const {
    using Kind = Fault::Kind;
    if (work.board.dialect == machine::Dialect::realtime || host != Host::none) return true;
    return fault.kind != Kind::open_door && fault.kind != Kind::press_hold && fault.kind != Kind::limit_switch;
}

bool Trouble::bends_a_line() const {
    return host == Host::none && (fault.kind == Fault::Kind::garble_line || fault.kind == Fault::Kind::lose_line_byte ||
                                  fault.kind == Fault::Kind::foreign_line);
}

Burned burn(const Work& work, const Troubles& troubles) {
    return Workshop(work, troubles).run();
}

namespace {

Trouble random_trouble(std::mt19937_64& random, double begins, double seconds) {
    const auto below = [&](std::uint64_t n) { return random() % n; };
    const auto part = [&] { return static_cast<double>(below(1'000'000)) / 1e6; };
    static constexpr std::array kinds{
        Fault::Kind::garble_line, Fault::Kind::lose_line_byte, Fault::Kind::garble_answer, Fault::Kind::lose_answer,
        Fault::Kind::delay,       Fault::Kind::pull_cable,     Fault::Kind::foreign_line,  Fault::Kind::reset,
        Fault::Kind::power_cut,   Fault::Kind::limit_switch,   Fault::Kind::open_door,     Fault::Kind::press_hold};
    Trouble trouble;
    const std::uint64_t which = below(kinds.size() + 2);
    if (which < kinds.size())
        trouble.fault.kind = kinds[which];
    else
        trouble.host = which == kinds.size() ? Trouble::Host::stall : Trouble::Host::kill;
    trouble.fault.at = begins + part() * seconds;
    trouble.fault.seconds = 0.2 + part() * 6;
    trouble.fault.seed = static_cast<std::uint32_t>(random());
    static constexpr std::array foreign{"G0X5Y5", "$$", "M5", "G1X30Y20F1000", "\x18"};
    trouble.fault.text = foreign[below(foreign.size())];
    return trouble;
}

}  // namespace

Troubles random_troubles(const Work& work, std::uint64_t seed, int count, double begins, double seconds) {
    std::mt19937_64 random(seed);
    Troubles troubles;
    for (int tries = 0; tries < 100 && static_cast<int>(troubles.size()) < count; ++tries)
        if (const Trouble trouble = random_trouble(random, begins, seconds); trouble.happens_to(work))
            troubles.push_back(trouble);
    return troubles;
}

Verdict compare(const Work& work, const Burned& once, const Burned& burned, const Troubles& troubles) {
    Verdict verdict;
    const Difference found = difference(once, burned);
    verdict.gap_mm2 = found.gap;
    verdict.excess_mm2 = found.excess;
    verdict.twice_mm = burned.beam_on_mm - once.beam_on_mm;
    // What one bent line can harm: it and the rest of its row or path, a beam wide and the blur of it. Never more than
    // a third of the work, so that every work can fail; a line of somebody else that turns the beam off is proven by
    // some thirty reports, which is longer.
    const double one_line = longest_line_of(work) * 1.5 * work.profile.spot;
    const bool foreign = std::any_of(troubles.begin(), troubles.end(), [](const Trouble& trouble) {
        return trouble.host == Trouble::Host::none && trouble.fault.kind == Fault::Kind::foreign_line;
    });
    const double most = once.beam_on_mm * work.profile.spot * (foreign ? 0.6 : 1.0 / 3);
    const auto bends =
        std::count_if(troubles.begin(), troubles.end(), [](const Trouble& trouble) { return trouble.bends_a_line(); });
    double bent = darkened_unseen(work, burned, troubles) ? burned_area(once)
                  : bends > 0                             ? std::min(static_cast<double>(bends) * one_line, most)
                                                          : 0;
    // A beam of constant power stands lit where the head comes to rest: one spot, and the blur of it.
    if (work.constant_beam) bent += static_cast<double>(troubles.size()) * std::pow(6 * work.profile.spot, 2);
    constexpr double rounding = 0.1;  // mm
    if (!burned.finished)
        verdict.why = "did not come to its end: " + burned.last_word;
    else if (found.gap > bent)
        verdict.why = fmt::format("{:.2f} mm² burned too little", found.gap);
    else if (found.excess > bent)
        verdict.why = fmt::format("{:.2f} mm² burned too much", found.excess);
    else if (bends == 0 && verdict.twice_mm > burned.allowed_mm + rounding)
        verdict.why = fmt::format("{:.1f} mm burned twice, {:.1f} allowed", verdict.twice_mm, burned.allowed_mm);
    else if (burned.at_rest_s > 0 && !work.constant_beam)
        verdict.why = fmt::format("lit at rest for {:.2f} s", burned.at_rest_s);
    verdict.good = verdict.why.empty();
    return verdict;
}

namespace {

/// A program over and over, for at least so long.
machine::Program repeated(const Work& work, double seconds) {
    const double once = timing::time_of(*work.program, work.profile).finished_at.back();
    machine::Program all = *work.program;
    all.passages.clear();
    for (double time = once; time < seconds; time += once)
        all.operations.insert(all.operations.end(), work.program->operations.begin(), work.program->operations.end());
    return all;
}

/// Resident memory, KiB, as the kernel counts it (proc(5), statm).
long resident_kib() {
    std::ifstream statm("/proc/self/statm");
    long size = 0, resident = 0;
    statm >> size >> resident;
    return resident * (::sysconf(_SC_PAGESIZE) / 1024);
}

}  // namespace

Endured burn_for(const Work& work, double seconds) {
    Endured endured;
    simulator::Controller controller(work.profile, work.board);
    machine::RealtimeSession session(work.profile, 0.3);
    session.opened(0);
    const clearance::ClearedProgram program = cleared(repeated(work, seconds), work.profile);
    bool burning = false;
    long at_first = 0;
    while (!endured.whole && controller.now() < seconds * 1.2 + 600) {
        if (const std::string answers = controller.take_output(); !answers.empty())
            session.received(answers, controller.now());
        session.tick(controller.now());
        controller.receive(session.take_output());
        for (const auto& happened : session.take_events())
            if (const auto* finished = std::get_if<event::Finished>(&happened))
                endured.whole = finished->activity == Activity::burning;
        const auto& now = session.snapshot();
        if (!burning && now.activity == Activity::none && now.state == ControllerState::alarm) (void)session.home();
        if (!burning && now.activity == Activity::none && now.position_sure && now.position)
            burning = session.burn(program).has_value();
        if (at_first == 0 && controller.now() > seconds / 10) at_first = resident_kib();
        endured.lines = now.lines_done;
        controller.advance(step);
    }
    endured.seconds = controller.now();
    endured.grown_kib = resident_kib() - at_first;
    endured.starved = controller.report().starved;
    return endured;
}

}  // namespace chalkline::campaign
