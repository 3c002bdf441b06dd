// SPDX-License-Identifier: GPL-3.0-or-later
// Framing, burning and going on: what is sent, the checks before it, and what is kept of it.
#include "conversation.hpp"

#include <chalkline/base/units_text.hpp>
#include <chalkline/geometry/hull.hpp>
#include <chalkline/history/burn_folders.hpp>
#include <chalkline/history/journal_file.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/machine/program_text.hpp>
#include <chalkline/machine/rest.hpp>
#include <chalkline/machine/walk.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/planning/frame.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/planning/program_checker.hpp>
#include <chalkline/ports/ports.hpp>
#include <chalkline/wording/wording.hpp>

#include <fmt/format.h>

#include <QFileInfo>
#include <chrono>

namespace chalkline::cli {
namespace {

using machine::Activity;

/// A program that passed its checks, with what is kept of its burn.
struct Work {
    std::shared_ptr<const planning::Plan> plan;   ///< of the whole
    std::shared_ptr<const machine::Rest> rest{};  ///< what is left of it; null: all
    machine::MachineProfile machine{};            ///< as the job finds it
    std::optional<job::Job> job{};                ///< none: a program from a file
    std::int64_t lines = 0;

    std::shared_ptr<const machine::Program> program() const {
        if (rest) return {rest, &rest->program};
        return {plan, &plan->program};
    }
    machine::ProgramPlace in_whole(machine::ProgramPlace place) const { return rest ? rest->in_whole(place) : place; }
};

/// Holds what will be sent against the safety rules, and counts it.
Result<void> check(Work& work) {
    const auto program = work.program();
    const planning::ProgramLimits limits = work.job ? planning::limits_of(*work.job, work.machine, *program)
                                                    : planning::ProgramLimits{work.machine, {}, {}};
    machine::Encoder lines(*program, work.machine);
    const auto faults = planning::check_program(lines, limits);
    if (!faults.empty()) {
        const auto message = wording::describe(faults.front());
        return fail(error::program_unsafe, {{"reason", message.what.toStdString()}}, message.where.toStdString());
    }
    machine::Encoder counted(*program, work.machine);
    for (machine::ProgramLine line; counted.next(line);)
        ++work.lines;
    return {};
}

Result<Work> planned(const MachineCommand& command, const machine::MachineProfile& flat,
                     const Surroundings& surroundings) {
    auto input = load_input(command.file, command.job, flat, surroundings);
    if (!input) return tl::unexpected(input.error());
    Work work{.plan = {}, .machine = input->machine};
    if (const job::Job* job = input->job()) {
        auto plan = planning::plan(*job, work.machine);
        if (!plan) return tl::unexpected(plan.error());
        work.plan = std::make_shared<const planning::Plan>(std::move(*plan));
        work.job = *job;
    } else {
        auto program = machine::read_program(*std::get<1>(input->content), work.machine, command.file);
        if (!program) return tl::unexpected(program.error());
        work.plan = std::make_shared<const planning::Plan>(planning::plan_of(std::move(*program), work.machine));
    }
    return work;
}

Result<Work> work_for_burn(const MachineCommand& command, const machine::MachineProfile& flat,
                           const Surroundings& surroundings) {
    auto work = planned(command, flat, surroundings);
    if (!work) return work;
    if (work->job)
        for (const auto& found : planning::check_job(*work->job, {work->machine}))
            if (found.blocks())
                return fail(error::program_unsafe, {{"reason", wording::describe(found).what.toStdString()}},
                            command.file);
    if (auto safe = check(*work); !safe) return tl::unexpected(safe.error());
    return work;
}

/// Where the beam of a program burns.
std::vector<geometry::Point> lit_places(const machine::Program& program) {
    std::vector<geometry::Point> places;
    machine::walk(program, [&](const machine::Stretch& stretch) {
        if (stretch.power == 0) return;
        places.push_back(stretch.from);
        places.push_back(stretch.to);
    });
    return places;
}

Json to_json(const std::vector<geometry::Point>& points) {
    Json list = Json::array();
    for (const geometry::Point point : points)
        list.push_back({number(point.x), number(point.y)});
    return list;
}

/// Round the box of what the program burns. `hull`: of the same.
Result<Work> work_for_frame(const MachineCommand& command, const machine::MachineProfile& flat,
                            const Surroundings& surroundings, std::vector<geometry::Point>& hull) {
    const auto burn = planned(command, flat, surroundings);
    if (!burn) return tl::unexpected(burn.error());
    hull = geometry::convex_hull(lit_places(burn->plan->program));
    const auto line = planning::frame_line(hull, planning::FrameWay::box);
    if (!line) return tl::unexpected(line.error());
    auto frame = planning::frame_program(*line, {}, burn->machine);
    if (!frame) return tl::unexpected(frame.error());
    Work work{.plan = std::make_shared<const planning::Plan>(planning::plan_of(std::move(*frame), burn->machine)),
              .machine = burn->machine};
    if (auto safe = check(work); !safe) return tl::unexpected(safe.error());
    return work;
}

/// The work on a machine: progress while it runs, a word at its end.
class Run {
 public:
    Run(const MachineCommand& command, Work& work, Conversation& talk, Activity activity)
        : command_(command), work_(work), talk_(talk), activity_(activity) {}

    Conversation::Step go(const machine::Trims& trims = {}) {
        started_ = std::chrono::steady_clock::now();
        const auto program = work_.program();
        const auto request = [program, machine = work_.machine, activity = activity_,
                              trims](machine::Session& session) {
            auto lines = std::make_unique<machine::SharedEncoder>(program, machine);
            return activity == Activity::framing ? session.frame(std::move(lines))
                                                 : session.burn(std::move(lines), trims);
        };
        if (const auto failed = talk_.carry_out(activity_, request, [this] { show(); })) return failed;
        return {};
    }

    void tell_done() const {
        if (command_.json)
            print_line(progress(true));
        else
            print_text(translated("done"));
    }
    /// Share of the whole plan's time that is surely done, 0 … 1.
    double share_done() const {
        const auto& ends = work_.plan->finished_at;
        const machine::ProgramPlace done = work_.in_whole(talk_.now().done);
        if (done.operation < 0 || work_.plan->total.seconds() <= 0) return 0;
        return ends[std::min(static_cast<std::size_t>(done.operation), ends.size() - 1)] / work_.plan->total.seconds();
    }
    double elapsed() const {
        return std::chrono::duration<double>(std::chrono::steady_clock::now() - started_).count();
    }

 private:
    Json progress(bool finished) const {
        const auto& now = talk_.now();
        const std::int64_t done = finished ? work_.lines : now.lines_done;
        Json json{{"state", wording::state(now).toStdString()},
                  {"lines_done", done},
                  {"lines", work_.lines},
                  {"share", work_.lines > 0 ? static_cast<double>(done) / static_cast<double>(work_.lines) : 0},
                  {"elapsed_s", elapsed()},
                  {"left_s", finished ? 0.0 : work_.plan->total.seconds() * (1 - share_done())},
                  {"position_mm", now.position ? Json{now.position->x, now.position->y} : Json(nullptr)},
                  {"silent_s", now.silent_for},
                  {"waits", waits(now)},
                  {"chatter", now.chatter}};
        if (finished) json["done"] = true;
        return json;
    }

    static Json waits(const machine::Snapshot& now) {
        if (now.state == machine::ControllerState::door) return "door";
        if (now.state == machine::ControllerState::hold) return "hold";
        return nullptr;
    }

    void show() const {
        if (command_.json)
            print_line(progress(false));
        else
            say(std::to_string(talk_.now().lines_done) + " / " + std::to_string(work_.lines) + " " +
                translated("lines"));
    }

    const MachineCommand& command_;
    Work& work_;
    Conversation& talk_;
    Activity activity_;
    std::chrono::steady_clock::time_point started_ = std::chrono::steady_clock::now();
};

/// "Cut 100 %, 240 mm/min, 2 passes"
QString words_of(const job::Step& step) {
    const auto& s = step.settings;
    QString words =
        QString("%1 %2 %, %3 mm/min").arg(wording::name(s.kind)).arg(s.power.percent()).arg(s.speed.mm_per_min());
    return s.passes == 1 ? words : words + QString(", %1 ×").arg(s.passes);
}

/// The folder of one burn while it runs: its record, its journal, its lock. What cannot be kept is said; the burn goes
/// on.
class Keeping {
 public:
    Keeping(history::BurnRecord record, const Work& work, Conversation& talk)
        : record_(std::move(record)), work_(work), talk_(talk) {
        record_.end.reset();
        record_.ended = {};
        warn(folders_.keep(record_));
        lock_ = folders_.hold(record_);
        journal_ = std::make_shared<history::JournalFile>(record_.journal_file().toStdString(), [](const Error& error) {
            say(wording::describe(error).whole().toStdString());
        });
        journal_->begin(work_.rest);
        talk_.set_witness(journal_);
    }

    void end(machine::BurnEnd how, const Run& run) {
        journal_->end(how);
        talk_.set_witness({});
        journal_.reset();
        lock_.reset();
        record_.end = how;
        record_.ended = QDateTime::currentDateTime();
        record_.took += run.elapsed();
        record_.share = how == machine::BurnEnd::finished ? 1 : run.share_done();
        warn(folders_.keep(record_));
        // Nothing is left to go on with.
        if (how == machine::BurnEnd::finished) QFile::remove(record_.program_file());
    }

    static history::BurnRecord fresh(const MachineCommand& command, const Work& work) {
        const history::BurnFolders folders(history::BurnFolders::usual_place());
        history::BurnRecord record = folders.begin();
        const QFileInfo file(QString::fromStdString(command.file));
        record.title = file.completeBaseName();
        record.path = file.absoluteFilePath();
        record.machine = QString::fromStdString(work.machine.name);
        record.port = QString::fromStdString(command.port);
        record.planned = work.plan->total.seconds();
        std::string bytes;
        if (work.job) {
            for (const auto& report : work.plan->steps)
                if (const job::Step* step = work.job->step(report.step)) record.steps << words_of(*step);
            if (const auto& stock = work.job->stock)
                record.material =
                    QString::fromStdString(stock->material + " " + format_length(stock->thickness, LengthUnit::mm));
            if (auto chalk = job::to_chalk(*work.job)) bytes = std::move(*chalk);
        }
        if (const auto kept = folders.keep(record); !kept)
            say(wording::describe(kept.error()).whole().toStdString());
        else if (const auto worked = folders.keep_work(record, bytes, work.plan->program); !worked)
            say(wording::describe(worked.error()).whole().toStdString());
        folders.forget_oldest();
        return record;
    }

 private:
    static void warn(const Result<void>& done) {
        if (!done) say(wording::describe(done.error()).whole().toStdString());
    }

    history::BurnFolders folders_{history::BurnFolders::usual_place()};
    history::BurnRecord record_;
    const Work& work_;
    Conversation& talk_;
    std::unique_ptr<QLockFile> lock_;
    std::shared_ptr<history::JournalFile> journal_;
};

int burn(const MachineCommand& command, Work& work, Conversation& talk, history::BurnRecord record,
         const machine::Trims& trims) {
    Run run(command, work, talk, Activity::burning);
    Keeping keeping(std::move(record), work, talk);
    const auto failed = run.go(trims);
    keeping.end(!failed           ? machine::BurnEnd::finished
                : talk.beam_off() ? machine::BurnEnd::stopped
                                  : machine::BurnEnd::failed,
                run);
    if (failed) return *failed;
    if (const auto stayed = talk.return_if_forgetful()) return *stayed;
    run.tell_done();
    return done;
}

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

int run_frame(const MachineCommand& command, const Surroundings& surroundings) {
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    std::vector<geometry::Point> hull;
    auto work = work_for_frame(command, *machine, surroundings, hull);
    if (!work) return report(work.error(), command.json);
    if (command.json) {
        geometry::Box box;
        for (const geometry::Point corner : hull)
            box.add(corner);
        print_line({{"box_mm", to_json(box)}, {"hull_mm", to_json(hull)}});
    }
    Conversation talk(command, work->machine);
    if (const auto failed = talk.connect()) return *failed;
    if (const auto failed = talk.settle_place()) return *failed;
    Run run(command, *work, talk, Activity::framing);
    if (const auto failed = run.go()) return *failed;
    if (const auto failed = talk.return_if_forgetful()) return *failed;
    run.tell_done();
    return done;
}

int run_burn(const MachineCommand& command, const Surroundings& surroundings) {
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    auto work = work_for_burn(command, *machine, surroundings);
    if (!work) return report(work.error(), command.json);
    Conversation talk(command, work->machine);
    if (const auto failed = talk.connect()) return *failed;
    if (const auto failed = talk.settle_place()) return *failed;
    return burn(command, *work, talk, Keeping::fresh(command, *work), {});
}

int run_go_on(const GoOnCommand& command, const Surroundings& surroundings) {
    const history::BurnFolders folders(history::BurnFolders::usual_place());
    std::optional<history::BurnRecord> record;
    if (command.burn == 0) {
        record = folders.unfinished();
    } else if (const auto all = folders.records(); static_cast<std::size_t>(command.burn) <= all.size()) {
        record = all[static_cast<std::size_t>(command.burn) - 1];
    }
    if (!record || record->end == machine::BurnEnd::finished || history::BurnFolders::in_use(*record))
        return report({std::string(error::no_such_burn), {}, {}, 0}, command.json);
    const auto flat = load_machine(command.job.machine);
    if (!flat) return report(flat.error(), command.json);
    auto left = folders.left_over(*record);
    if (!left) return report(left.error(), command.json);

    Work work{.plan = {}, .machine = *flat};
    const auto left_at = left->place();
    const machine::JournalNote note = left->journal.last;
    if (QFileInfo::exists(record->job_file())) {
        auto input = load_input(record->job_file().toStdString(), command.job, *flat, surroundings);
        if (!input) return report(input.error(), command.json);
        work.machine = input->machine;
        work.job = *input->job();
    }
    work.plan = std::make_shared<const planning::Plan>(planning::plan_of(std::move(left->program), work.machine));

    Conversation talk(command, work.machine);
    if (const auto failed = talk.connect(left_at)) return *failed;
    machine::ProgramPlace from = note.done;
    const auto& now = talk.now();
    // A board that stayed on stands where what it had been sent ended; one that was stopped, where it came to rest.
    if (now.place_continued && now.position)
        from = machine::done_at_rest(work.plan->program, note.done, note.begun, *now.position);
    if (const auto failed = talk.settle_place()) return *failed;
    work.rest = std::make_shared<const machine::Rest>(
        machine::rest_of(work.plan->program, machine::backed_up(work.plan->program, from, command.overlap)));
    if (auto safe = check(work); !safe) return report(safe.error(), command.json);
    say(fmt::format(fmt::runtime(translated("going on with “{}”, {} lines are left")), record->title.toStdString(),
                    work.lines));
    return burn(command, work, talk, *record, note.trims);
}

}  // namespace chalkline::cli
