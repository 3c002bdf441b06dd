// SPDX-License-Identifier: GPL-3.0-or-later
#include "commands.hpp"
#include "output.hpp"

#include <chalkline/link/session_runner.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/planning/frame.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/planning/program_checker.hpp>
#include <chalkline/ports/ports.hpp>
#include <chalkline/wording/wording.hpp>

#include <chrono>
#include <condition_variable>
#include <csignal>
#include <mutex>

namespace chalkline::cli {
namespace {

using namespace std::chrono_literals;
namespace event = machine::event;

volatile std::sig_atomic_t interrupted = 0;

/// Brings the session's events from its thread to the command's.
class Mailbox {
 public:
    void put(std::vector<machine::Event> events) {
        const std::lock_guard lock(mutex_);
        // The wire log is not shown here, and it would only fill memory on long burns.
        std::erase_if(events, [](const machine::Event& e) { return std::holds_alternative<event::Wire>(e); });
        events_.insert(events_.end(), std::make_move_iterator(events.begin()), std::make_move_iterator(events.end()));
        arrived_.notify_one();
    }
    std::vector<machine::Event> take(std::chrono::milliseconds patience) {
        std::unique_lock lock(mutex_);
        arrived_.wait_for(lock, patience, [this] { return !events_.empty(); });
        return std::exchange(events_, {});
    }

 private:
    std::mutex mutex_;
    std::condition_variable arrived_;
    std::vector<machine::Event> events_;
};

/// One program to be run, kept alive while the session pulls lines from it.
struct Work {
    std::shared_ptr<const std::string> text{};          ///< a program file, or null …
    std::shared_ptr<const machine::Program> program{};  ///< … for a planned job or a frame
    std::shared_ptr<const planning::Plan> plan{};       ///< of a planned job, for the time left
    machine::MachineProfile machine{};                  ///< as the job finds it
    std::int64_t lines = 0;
    double seconds = 0;

    std::unique_ptr<machine::LineSource> source(const machine::MachineProfile& profile) const {
        if (text) return std::make_unique<machine::TextLines>(text);
        return std::make_unique<machine::SharedEncoder>(program, profile);
    }
};

Result<void> check(Work& work, const planning::ProgramLimits& limits) {
    const auto faults = planning::check_program(*work.source(limits.machine), limits);
    if (!faults.empty()) {
        const auto message = wording::describe(faults.front());
        return fail(error::program_unsafe, {{"reason", message.what.toStdString()}}, message.where.toStdString());
    }
    const auto counted = work.source(limits.machine);
    for (machine::ProgramLine line; counted->next(line);)
        ++work.lines;
    return {};
}

Result<Work> work_for_burn(const MachineCommand& command, const machine::MachineProfile& flat,
                           const Surroundings& surroundings) {
    auto input = load_input(command.file, command.job, flat, surroundings);
    if (!input) return tl::unexpected(input.error());
    const machine::MachineProfile& machine = input->machine;
    Work work{.machine = machine};
    planning::ProgramLimits limits{machine, {}, {}};
    if (const job::Job* job = input->job()) {
        for (const auto& found : planning::check_job(*job, {machine}))
            if (found.blocks())
                return fail(error::program_unsafe, {{"reason", wording::describe(found).what.toStdString()}},
                            command.file);
        auto plan = planning::plan(*job, machine);
        if (!plan) return tl::unexpected(plan.error());
        work.plan = std::make_shared<const planning::Plan>(std::move(*plan));
        work.program = {work.plan, &work.plan->program};
        work.seconds = work.plan->total.seconds();
        limits = planning::limits_of(*job, machine, work.plan->program);
    } else {
        work.text = std::get<1>(input->content);
    }
    if (auto safe = check(work, limits); !safe) return tl::unexpected(safe.error());
    return work;
}

/// Where the beam of a program text burns, by following its moves; for framing program files.
geometry::Box moved_box(const std::shared_ptr<const std::string>& text) {
    machine::TextLines lines(text);
    geometry::Box box;
    geometry::Point at;
    bool absolute = true;
    for (machine::ProgramLine line; lines.next(line);) {
        if (line.text.find("G91") != std::string::npos) absolute = false;
        if (line.text.find("G90") != std::string::npos) absolute = true;
        bool moved = false;
        const auto axis = [&](char letter, double& value) {
            const auto place = line.text.find(letter);
            if (place == std::string::npos) return;
            const double number = std::strtod(line.text.c_str() + place + 1, nullptr);
            value = absolute ? number : value + number;
            moved = true;
        };
        axis('X', at.x);
        axis('Y', at.y);
        if (moved) box.add(at);
    }
    return box;
}

Result<Work> work_for_frame(const MachineCommand& command, const machine::MachineProfile& flat,
                            const Surroundings& surroundings) {
    auto input = load_input(command.file, command.job, flat, surroundings);
    if (!input) return tl::unexpected(input.error());
    const machine::MachineProfile& machine = input->machine;
    const geometry::Box box =
        input->job() ? planning::burned_bounds(*input->job()) : moved_box(std::get<1>(input->content));
    if (box.empty()) return fail(planning::error::nothing_to_burn);
    auto frame = planning::frame_program(geometry::outline(box), {}, machine);
    if (!frame) return tl::unexpected(frame.error());
    Work work{.machine = machine};
    work.program = std::make_shared<const machine::Program>(std::move(*frame));
    if (auto safe = check(work, {machine, {}, {}}); !safe) return tl::unexpected(safe.error());
    return work;
}

/// Leads one conversation: connect, find home when locked, run the work, report.
class Conversation {
 public:
    Conversation(const MachineCommand& command, Work work, machine::Activity activity)
        : command_(command), work_(std::move(work)), machine_(work_.machine), activity_(activity) {}

    int run() {
        const auto address = link::parse_address(command_.port);
        if (!address) return report(address.error(), command_.json);
        std::signal(SIGINT, [](int) { interrupted = 1; });
        std::signal(SIGTERM, [](int) { interrupted = 1; });
        link::SessionRunner runner(*address, machine_,
                                   [this](std::vector<machine::Event> e) { mailbox_.put(std::move(e)); });
        runner_ = &runner;
        while (!result_) {
            for (const auto& happened : mailbox_.take(200ms))
                std::visit([this](const auto& e) { on(e); }, happened);
            if (interrupted != 0 && !stop_sent_) {
                stop_sent_ = true;
                runner.request([](machine::Session& session) -> Result<void> {
                    session.stop();
                    return {};
                });
            }
            if (stop_sent_ && now_.activity == machine::Activity::connecting && !result_) result_ = stopped;
            show_progress();
        }
        return *result_;
    }

    const machine::Snapshot& snapshot() const { return now_; }

 private:
    void on(const event::Wire&) {}
    void on(const event::Changed& e) {
        now_ = e.now;
        if (!unlocking_ || now_.state != machine::ControllerState::idle) return;
        unlocking_ = false;
        begin();
    }
    void on(const event::Ready&) {
        if (activity_ == machine::Activity::none) {
            result_ = done;
        } else if (now_.state == machine::ControllerState::alarm && machine_.turning && command_.begins_here) {
            // Home is not found with a piece in the rotary, and nothing it would tell is needed.
            unlocking_ = true;
            runner_->request([](machine::Session& session) { return session.unlock(); });
        } else if (now_.state == machine::ControllerState::alarm && machine_.home != machine::HomeCorner::none) {
            if (command_.no_home) return finish({std::string(error::no_home), {}, command_.port, 0});
            say(translated("finding home"));
            runner_->request([](machine::Session& session) { return session.home(); });
        } else {
            begin();
        }
    }
    void on(const event::Finished& e) {
        if (e.activity == machine::Activity::homing) return begin();
        if (e.activity != activity_) return;
        now_.lines_done = work_.lines;
        if (command_.json)
            print_line(progress(true));
        else
            print_text(translated("done"));
        result_ = done;
    }
    void on(const event::Stopped& e) {
        say(e.beam_off ? translated("stopped, beam off")
                       : translated("stopped; look at the machine: the beam's state is unknown"));
        Error error{std::string(error::stopped), {}, {}, 0};
        result_ = report(error, command_.json);
    }
    void on(const event::Failed& e) { finish(e.error); }
    void on(const event::Refused& e) { finish(e.error); }

    void finish(Error error) {
        if (error.file.empty()) error.file = command_.port;
        result_ = report(error, command_.json);
    }

    void begin() {
        started_ = std::chrono::steady_clock::now();
        if (machine_.turning && command_.begins_here)
            runner_->request([](machine::Session& session) { return session.stands_at({0, 0}); });
        runner_->request([this, work = work_](machine::Session& session) {
            auto lines = work.source(machine_);
            return activity_ == machine::Activity::framing ? session.frame(std::move(lines))
                                                           : session.burn(std::move(lines));
        });
    }

    Json progress(bool finished) const {
        const double share =
            work_.lines > 0 ? static_cast<double>(now_.lines_done) / static_cast<double>(work_.lines) : 0;
        const double elapsed = std::chrono::duration<double>(std::chrono::steady_clock::now() - started_).count();
        Json json{{"state", wording::state(now_).toStdString()},
                  {"lines_done", now_.lines_done},
                  {"lines", work_.lines},
                  {"share", share},
                  {"elapsed_s", elapsed},
                  {"left_s", left(share)},
                  {"position_mm", now_.position ? Json{now_.position->x, now_.position->y} : Json(nullptr)}};
        if (finished) json["done"] = true;
        return json;
    }

    /// Time left by what the plan says of the operations that are surely done.
    Json left(double share) const {
        if (share >= 1) return 0.0;
        if (!work_.plan || now_.done.operation < 0) return work_.seconds > 0 ? Json(work_.seconds) : Json(nullptr);
        return work_.seconds - work_.plan->finished_at[static_cast<std::size_t>(now_.done.operation)];
    }

    void show_progress() {
        const auto now = std::chrono::steady_clock::now();
        if (!started() || result_ || now - last_shown_ < 1s) return;
        last_shown_ = now;
        if (command_.json)
            print_line(progress(false));
        else
            say(std::to_string(now_.lines_done) + " / " + std::to_string(work_.lines) + " " + translated("lines"));
    }

    bool started() const { return started_ != std::chrono::steady_clock::time_point{}; }

    const MachineCommand& command_;
    Work work_;
    machine::MachineProfile machine_;
    machine::Activity activity_;
    Mailbox mailbox_;
    link::SessionRunner* runner_ = nullptr;
    machine::Snapshot now_;
    std::optional<int> result_;
    bool stop_sent_ = false, unlocking_ = false;
    std::chrono::steady_clock::time_point started_{}, last_shown_{};
};

}  // namespace

int run_ports(bool json) {
    const auto ports = ports::list();
    if (json) {
        Json list = Json::array();
        for (const auto& port : ports)
            list.push_back({{"path", port.path}, {"maker", port.maker}, {"product", port.product}});
        print({{"ports", list}});
        return done;
    }
    if (ports.empty())
        print_text(translated("no serial port found; plug the machine in, or type a port or tcp:HOST:PORT"));
    for (const auto& port : ports)
        print_text(port.path + "  " + port.maker + " " + port.product);
    return done;
}

int run_probe(const MachineCommand& command) {
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    Conversation conversation(command, {.machine = *machine}, machine::Activity::none);
    if (const int code = conversation.run(); code != done) return code;
    const auto& now = conversation.snapshot();
    if (command.json)
        print({{"port", command.port},
               {"answers", true},
               {"version", now.version.empty() ? Json(nullptr) : Json(now.version)},
               {"state", std::string(machine::to_text(now.state))},
               {"position_mm", now.position ? Json{now.position->x, now.position->y} : Json(nullptr)}});
    else
        print_text(command.port + ": " + translated("controller") + " " + now.version + ", " +
                   wording::state(now).toStdString());
    return done;
}

int run_frame(const MachineCommand& command, const Surroundings& surroundings) {
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    auto work = work_for_frame(command, *machine, surroundings);
    if (!work) return report(work.error(), command.json);
    return Conversation(command, std::move(*work), machine::Activity::framing).run();
}

int run_burn(const MachineCommand& command, const Surroundings& surroundings) {
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    auto work = work_for_burn(command, *machine, surroundings);
    if (!work) return report(work.error(), command.json);
    return Conversation(command, std::move(*work), machine::Activity::burning).run();
}

}  // namespace chalkline::cli
