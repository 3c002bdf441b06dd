// SPDX-License-Identifier: GPL-3.0-or-later
#include "commands.hpp"
#include "output.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/base/units_text.hpp>
#include <chalkline/encoding/encoder.hpp>
#include <chalkline/machine/program_text.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/safety/program_checker.hpp>
#include <chalkline/wording/wording.hpp>

#include <QCryptographicHash>

namespace chalkline::cli {
namespace {

std::string sha256(const std::string& bytes) {
    const QByteArray all = QByteArray::fromRawData(bytes.data(), static_cast<qsizetype>(bytes.size()));
    return QCryptographicHash::hash(all, QCryptographicHash::Sha256).toHex().toStdString();
}

bool blocks(const std::vector<planning::Check>& checks) {
    return std::any_of(checks.begin(), checks.end(), [](const planning::Check& check) { return check.blocks(); });
}

Json checks_json(const std::vector<planning::Check>& checks, const std::vector<safety::ProgramFault>& faults,
                 const job::Job& job) {
    Json list = Json::array();
    for (const auto& check : checks)
        list.push_back(to_json(check, job));
    for (const auto& fault : faults)
        list.push_back(to_json(fault));
    return list;
}

void print_checks(const Json& checks) {
    for (const Json& check : checks) {
        std::string line = check["severity"].get<std::string>() + ": " + check["text"].get<std::string>();
        if (check.contains("line"))
            line += " (line " + std::to_string(check["line"].get<int>()) + ": " +
                    check["line_text"].get<std::string>() + ")";
        print_text(line + ". " + check["help"].get<std::string>());
    }
}

/// The very words of a program file, which another sender would send.
std::vector<safety::ProgramFault> check_text(std::shared_ptr<const std::string> text,
                                             const planning::CheckGround& ground) {
    machine::TextLines lines(std::move(text));
    safety::ProgramLimits limits{ground.machine, {}, {}};
    limits.most = ground.ceiling.value_or(limits.most);
    return safety::check_program(lines, limits);
}

const char* to_text(timing::SpeedLimit limit) {
    switch (limit) {
        case timing::SpeedLimit::none:
            return "rate";
        case timing::SpeedLimit::acceleration:
            return "acceleration";
        case timing::SpeedLimit::lookahead:
            return "lookahead";
        case timing::SpeedLimit::link:
            return "link";
    }
    return "";
}

Json step_json(const planning::StepReport& report, const job::Step& step) {
    const auto& s = step.settings;
    const bool engrave = steps::burns_area(s.kind);
    return {{"name", wording::name(s.kind).toStdString()},
            {"kind", std::string(steps::to_text(s.kind))},
            {"power", s.power.percent()},
            {"speed", s.speed.mm_per_min()},
            {"passes", s.passes},
            {"line_pitch_mm", engrave ? Json(s.line_pitch.mm()) : Json(nullptr)},
            {"time_s", number(report.time.seconds())},
            {"burn_mm", number(report.burn)},
            {"travel_mm", number(report.travel)},
            {"area_mm2", engrave ? number(report.area) : Json(nullptr)},
            {"reached_mm_min", report.reached_speed},
            {"limited_by", to_text(report.limit)}};
}

/// Runs of all scan lines, as often as they are ridden: copies share theirs in the program.
std::size_t runs_ridden(const machine::Program& program) {
    std::size_t runs = 0;
    for (const machine::Operation& operation : program.operations)
        if (const auto* sweep = std::get_if<machine::Sweep>(&operation.act)) runs += sweep->count;
    return runs;
}

}  // namespace

int run_plan(const PlanCommand& command, const Surroundings& surroundings) {
    const auto flat = load_machine(command.job.machine);
    if (!flat) return report(flat.error(), command.json);
    const auto input = load_input(command.file, command.job, *flat, surroundings);
    if (!input) return report(input.error(), command.json);
    const job::Job job = input->job() ? *input->job() : job::Job{};
    const auto cleared = clear(*input, command.job, command.file);
    if (!cleared) return report(cleared.error(), command.json);
    if (cleared->error) {
        Error error = *cleared->error;
        error.file = command.file;
        return report(error, command.json);
    }
    const auto& plan = cleared->plan;
    // What does not pass is told, and not written.
    const std::string text = machine::encode_all(plan->program, input->machine);
    const bool writes = !command.output.empty() && cleared->faults.empty();
    if (writes)
        if (auto written = replace_file(command.output, text); !written) return report(written.error(), command.json);

    Json steps = Json::array();
    for (const auto& step : plan->steps)
        if (const job::Step* settings = job.step(step.step)) steps.push_back(step_json(step, *settings));
    const Json list = checks_json(cleared->checks, cleared->faults, job);
    if (command.json) {
        print({{"job", command.file},
               {"program",
                {{"path", writes ? Json(command.output) : Json(nullptr)},
                 {"lines", std::count(text.begin(), text.end(), '\n')},
                 {"bytes", text.size()},
                 {"runs", runs_ridden(plan->program)},
                 {"sha256", sha256(text)}}},
               {"total_s", number(plan->total.seconds())},
               {"bbox_burn_mm", to_json(plan->burn_box)},
               {"bbox_move_mm", to_json(plan->move_box)},
               {"travel_mm", number(plan->travel)},
               {"burn_mm", number(plan->burn)},
               {"steps", steps},
               {"checks", list}});
    } else {
        for (const auto& step : plan->steps) {
            if (!job.step(step.step)) continue;  // a program from a file knows no steps
            const auto& s = job.step(step.step)->settings;
            print_text(wording::name(s.kind).toStdString() + "  " + format_power(s.power) + " at " +
                       format_speed(s.speed, SpeedUnit::mm_per_min) + "  " +
                       wording::duration(step.time).toStdString());
        }
        print_text(translated("total") + "  " + wording::duration(plan->total).toStdString() + ", " +
                   std::to_string(text.size()) + " " + translated("bytes"));
        print_checks(list);
    }
    return cleared->program ? done : check_failed;
}

int run_check(const PlanCommand& command, const Surroundings& surroundings) {
    const auto flat = load_machine(command.job.machine);
    if (!flat) return report(flat.error(), command.json);
    const auto input = load_input(command.file, command.job, *flat, surroundings);
    if (!input) return report(input.error(), command.json);
    const job::Job job = input->job() ? *input->job() : job::Job{};
    std::vector<planning::Check> checks;
    std::vector<safety::ProgramFault> faults;
    if (input->job()) {
        auto cleared = clear(*input, command.job, command.file);
        if (!cleared) return report(cleared.error(), command.json);
        checks = std::move(cleared->checks);
        faults = std::move(cleared->faults);
    } else {
        const auto ground = ground_for(input->machine, command.job);
        if (!ground) return report(ground.error(), command.json);
        faults = check_text(std::get<1>(input->content), *ground);
    }
    const bool good = !blocks(checks) && faults.empty();
    const Json list = checks_json(checks, faults, job);
    if (command.json)
        print({{"path", command.file}, {"ok", good}, {"checks", list}});
    else if (list.empty())
        print_text(translated("all checks pass"));
    else
        print_checks(list);
    return good ? done : check_failed;
}

}  // namespace chalkline::cli
