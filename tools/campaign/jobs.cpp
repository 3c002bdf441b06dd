// SPDX-License-Identifier: GPL-3.0-or-later
#include "jobs.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/pictures/decoder.hpp>
#include <chalkline/planning/plan.hpp>

#include <algorithm>
#include <filesystem>

namespace chalkline::campaign {
namespace {

machine::MachineProfile small_machine(const simulator::Board& board) {
    machine::MachineProfile profile;
    profile.name = "Small bench";
    profile.width = 60;
    profile.depth = 45;
    profile.acceleration_x = profile.acceleration_y = 2500;
    const auto homing = board.settings.find(22);
    if (homing != board.settings.end() && homing->second == 0) profile.home = machine::HomeCorner::none;
    return simulator::driven_by(board, profile);
}

/// The sample job at a fraction of its size near the bed's corner, without its piece, its steps as `change` makes them.
template <class Change>
Result<job::Job> shrunk(const std::string& file, double size, Change change) {
    // The samples have no letters: no fonts are asked for.
    const pictures::Decoder decoder;
    auto opened = job::load(std::string(CHALKLINE_SAMPLES) + file, {&decoder, nullptr, {}});
    if (!opened) return tl::unexpected(opened.error());
    job::Job job = job::set_stock(std::move(opened->job), {});
    for (job::Motif& motif : job.motifs) {
        motif.place.a *= size;
        motif.place.b *= size;
        motif.place.c *= size;
        motif.place.d *= size;
    }
    for (job::Step& step : job.steps)
        change(step.settings);
    return job::place_art(std::move(job), {8, 6});
}

Result<Work> work(const std::string& name, const Result<job::Job>& job, const simulator::Board& board) {
    if (!job) return tl::unexpected(job.error());
    const auto profile = small_machine(board);
    auto plan = planning::plan(*job, profile);
    if (!plan) return tl::unexpected(plan.error());
    return Work{name, profile, board, std::make_shared<const machine::Program>(std::move(plan->program))};
}

}  // namespace

Result<std::vector<Work>> sample_works(const simulator::Board& board) {
    using steps::StepKind;
    using steps::StepSettings;
    const auto plate = shrunk("/plot-27.chalk", 0.14, [](StepSettings& step) {
        step.line_pitch = Length::mm(0.25);
        step.speed = Speed::mm_per_min(step.kind == StepKind::cut ? 900 : 3600);
        step.air_lead = Duration::seconds(0.2);
    });
    const auto picture = shrunk("/row-marker.chalk", 0.16, [](StepSettings& step) {
        step.line_pitch = Length::mm(0.2);
        step.speed = Speed::mm_per_min(3000);
    });
    auto tag = shrunk("/plot-27.chalk", 0.08, [](StepSettings& step) {
        step.line_pitch = Length::mm(0.3);
        step.speed = Speed::mm_per_min(1500);
        if (step.kind == StepKind::cut) {
            step.line.bridges = 2;
            step.line.bridge_width = Length::mm(0.8);
        }
        if (step.kind == StepKind::score) step.line.perforation_burn = step.line.perforation_gap = Length::mm(0.7);
    });
    if (!tag) return tl::unexpected(tag.error());
    const job::Ids motifs{tag->motifs.front().id};
    auto tags = job::repeat(*tag, motifs, {3, 3, 2, 2});
    if (!tags) return tl::unexpected(tags.error());
    job::Job lit = tags->job;
    for (job::Step& step : lit.steps)
        step.settings.beam = steps::BeamControl::constant;
    std::vector<Work> works;
    for (auto&& made : {work("plate", plate, board), work("picture", picture, board), work("tags", tags->job, board),
                        work("tags, constant beam", lit, board)}) {
        if (!made) return tl::unexpected(made.error());
        works.push_back(*made);
    }
    works.back().constant_beam = true;
    return works;
}

Result<std::vector<simulator::Board>> boards(const std::string& only) {
    std::vector<simulator::Board> found;
    if (only.empty()) return std::vector{simulator::Board{}};
    for (const auto& entry : std::filesystem::directory_iterator(std::string(CHALKLINE_SAMPLES) + "/boards")) {
        const auto text = read_file(entry.path().string());
        if (!text) return tl::unexpected(text.error());
        auto board = simulator::parse_board(*text, entry.path().string());
        if (!board) return tl::unexpected(board.error());
        const bool burns = board->line.inline_power;
        if (burns && (only == "all" || only == board->name)) found.push_back(std::move(*board));
    }
    std::sort(found.begin(), found.end(), [](const auto& a, const auto& b) { return a.name < b.name; });
    return found;
}

}  // namespace chalkline::campaign
