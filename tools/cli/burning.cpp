// SPDX-License-Identifier: GPL-3.0-or-later
#include "burning.hpp"

#include <chalkline/base/units_text.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/wording/wording.hpp>

#include <fmt/format.h>

#include <QFileInfo>
#include <algorithm>

namespace chalkline::cli {
namespace {

using machine::Activity;

void warn(const Result<void>& done) {
    if (!done) say(wording::describe(done.error()).whole().toStdString());
}

Json waits(const machine::Snapshot& now) {
    if (now.state == machine::ControllerState::door) return "door";
    if (now.state == machine::ControllerState::hold) return "hold";
    return nullptr;
}

}  // namespace

Result<void> require_passed(const Work& work, const std::string& file) {
    if (work.cleared.error) return tl::unexpected(*work.cleared.error);
    const auto why = wording::obstacle(work.cleared);
    if (!why) return {};
    return fail(error::program_unsafe, {{"reason", why->what.toStdString()}},
                why->where.isEmpty() ? file : why->where.toStdString());
}

Result<Work> planned(const MachineCommand& command, const machine::MachineProfile& flat,
                     const Surroundings& surroundings) {
    auto input = load_input(command.file, command.job, flat, surroundings);
    if (!input) return tl::unexpected(input.error());
    auto cleared = clear(*input, command.job, command.file);
    if (!cleared) return tl::unexpected(cleared.error());
    Work work{std::move(*cleared), input->machine, {}};
    if (const job::Job* job = input->job()) work.job = *job;
    return work;
}

Result<Work> work_for_burn(const MachineCommand& command, const machine::MachineProfile& flat,
                           const Surroundings& surroundings) {
    auto work = planned(command, flat, surroundings);
    if (!work) return work;
    if (auto passed = require_passed(*work, command.file); !passed) return tl::unexpected(passed.error());
    return work;
}

// ---------------------------------------------------------------- at the machine

Conversation::Step Run::go(Activity activity, link::SessionRunner::Request request) {
    started_ = std::chrono::steady_clock::now();
    return talk_.carry_out(activity, std::move(request), [this] { show(); });
}

link::SessionRunner::Request streamed(const Work& work, Activity activity, const machine::Trims& trims) {
    return [program = *work.cleared.program, activity, trims](machine::Session& session) {
        return activity == Activity::framing ? session.frame(program) : session.burn(program, trims);
    };
}

void Run::tell_done() const {
    if (command_.json)
        print_line(progress(true));
    else
        print_text(translated("done"));
}

double Run::share_done() const {
    // What runs from the controller's own store tells no more than how far it was read.
    if (const auto& share = talk_.now().stored_share) return *share;
    const auto& ends = work_.plan().finished_at;
    const machine::ProgramPlace done = work_.in_whole(talk_.now().done);
    if (done.operation < 0 || work_.plan().total.seconds() <= 0) return 0;
    return ends[std::min(static_cast<std::size_t>(done.operation), ends.size() - 1)] / work_.plan().total.seconds();
}

double Run::elapsed() const {
    return std::chrono::duration<double>(std::chrono::steady_clock::now() - started_).count();
}

Json Run::progress(bool finished) const {
    const auto& now = talk_.now();
    const std::int64_t done = finished ? work_.cleared.lines : now.lines_done;
    const double share = now.stored_share ? *now.stored_share
                         : work_.cleared.lines > 0
                             ? static_cast<double>(done) / static_cast<double>(work_.cleared.lines)
                             : 0;
    Json json{{"state", wording::state(now).toStdString()},
              {"lines_done", done},
              {"lines", work_.cleared.lines},
              {"share", finished ? 1 : share},
              {"elapsed_s", elapsed()},
              {"left_s", finished ? 0.0 : work_.plan().total.seconds() * (1 - share_done())},
              {"position_mm", now.position ? Json{now.position->x, now.position->y} : Json(nullptr)},
              {"silent_s", now.silent_for},
              {"waits", waits(now)},
              {"chatter", now.chatter}};
    if (finished) json["done"] = true;
    return json;
}

void Run::show() const {
    const auto& now = talk_.now();
    if (command_.json)
        print_line(progress(false));
    else if (now.stored_share)
        say(fmt::format("{:.0f} %", *now.stored_share * 100));
    else
        say(std::to_string(now.lines_done) + " / " + std::to_string(work_.cleared.lines) + " " + translated("lines"));
}

// ---------------------------------------------------------------- what is kept of it

history::BurnRecord bare_record(const MachineCommand& command, const Work& work) {
    const history::BurnFolders folders(history::BurnFolders::usual_place());
    history::BurnRecord record = folders.begin();
    const QFileInfo file(QString::fromStdString(command.file));
    record.title = file.completeBaseName();
    record.path = file.absoluteFilePath();
    record.machine = QString::fromStdString(work.machine.name);
    record.port = QString::fromStdString(command.port);
    record.planned = work.plan().total.seconds();
    if (work.job) {
        for (const auto& report : work.plan().steps)
            if (const job::Step* step = work.job->step(report.step)) record.steps << wording::in_short(step->settings);
        if (const auto& stock = work.job->stock)
            record.material =
                QString::fromStdString(stock->material + " " + format_length(stock->thickness, LengthUnit::mm));
    }
    folders.forget_oldest();
    return record;
}

history::BurnRecord fresh_record(const MachineCommand& command, const Work& work) {
    const history::BurnFolders folders(history::BurnFolders::usual_place());
    history::BurnRecord record = bare_record(command, work);
    std::string bytes;
    if (work.job)
        if (auto chalk = job::to_chalk(*work.job)) bytes = std::move(*chalk);
    auto kept = folders.keep(record);
    if (kept) kept = folders.keep_work(record, bytes, work.plan().program);
    warn(kept);
    return record;
}

Keeping::Keeping(history::BurnRecord record, const Work& work, Conversation& talk)
    : record_(std::move(record)), talk_(talk) {
    record_.end.reset();
    record_.ended = {};
    warn(folders_.keep(record_));
    lock_ = folders_.hold(record_);
    journal_ = std::make_shared<history::JournalFile>(record_.journal_file().toStdString(),
                                                      [](const Error& error) { warn(tl::unexpected(error)); });
    journal_->begin(work.cleared.rest);
    talk_.set_witness(journal_);
}

void Keeping::end(machine::BurnEnd how, const Run& run) {
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

int burn(const MachineCommand& command, const Work& work, Conversation& talk, history::BurnRecord record,
         link::SessionRunner::Request request) {
    Run run(command, work, talk);
    Keeping keeping(std::move(record), work, talk);
    const auto failed = run.go(Activity::burning, std::move(request));
    keeping.end(!failed           ? machine::BurnEnd::finished
                : talk.beam_off() ? machine::BurnEnd::stopped
                                  : machine::BurnEnd::failed,
                run);
    if (failed) return *failed;
    if (const auto stayed = talk.return_if_forgetful()) return *stayed;
    run.tell_done();
    return done;
}

}  // namespace chalkline::cli
