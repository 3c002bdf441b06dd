// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/streamer.hpp>

#include <algorithm>
#include <charconv>

namespace chalkline::machine {
namespace {

int bytes_of(const ProgramLine& line) {
    return static_cast<int>(line.text.size()) + 1;
}

}  // namespace

void Streamer::feed(std::string& out) {
    while (true) {
        if (!waiting_ && !exhausted_) {
            ProgramLine line;
            if (lines_->next(line))
                waiting_ = std::move(line);
            else
                exhausted_ = true;
        }
        if (!waiting_ || step_at_the_door() || !fits(*waiting_)) return;
        out += waiting_->text;
        out += '\n';
        open_bytes_ += bytes_of(*waiting_);
        ++sent_;
        route_.sent(*waiting_, beam_after(waiting_->text));
        if (waiting_->operation >= 0) begun_ = {waiting_->operation, waiting_->part};
        in_flight_.push_back(std::move(*waiting_));
        waiting_.reset();
    }
}

bool Streamer::fits(const ProgramLine& line) const {
    if (in_flight_.empty()) return true;
    return open_bytes_ + bytes_of(line) + bytes_of(in_flight_.front()) <= room_;
}

/// The beam burns during the move that this line begins.
bool Streamer::beam_after(const std::string& line) {
    for (std::size_t at = 0; at < line.size(); ++at) {
        double value = 0;
        const char letter = line[at];
        if (letter != 'G' && letter != 'M' && letter != 'S') continue;
        std::from_chars(line.data() + at + 1, line.data() + line.size(), value);
        if (letter == 'G' && value < 4) rapid_ = value == 0;
        if (letter == 'M' && value >= 3 && value <= 5) {
            beam_on_ = value < 5;
            constant_beam_ = value == 3;
        }
        if (letter == 'S') power_ = value;
    }
    return beam_on_ && !rapid_ && power_ > 0;
}

std::optional<std::int32_t> Streamer::step_at_the_door() const {
    if (!waiting_ || waiting_->step < 0 || waiting_->step == step_) return {};
    return waiting_->step;
}

std::optional<ProgramLine> Streamer::answered() {
    if (in_flight_.empty()) return {};
    ProgramLine line = std::move(in_flight_.front());
    in_flight_.pop_front();
    open_bytes_ -= bytes_of(line);
    ++acknowledged_;
    const auto stood = route_.answered_end();
    route_.answered(line);
    // What does not move the head takes no room in the planner.
    const bool moves = line.to ? !stood || !(*stood == *line.to) : line.text.find_first_of("XYZA") != std::string::npos;
    if (line.operation >= 0 && moves) in_planner_.push_back({line.operation, line.part});
    if (in_planner_.size() > planner_blocks_) {
        done_ = in_planner_.front();
        in_planner_.pop_front();
    }
    return line;
}

double Streamer::open_dwell() const {
    double seconds = 0;
    if (in_flight_.empty()) return seconds;
    const std::string& line = in_flight_.front().text;
    if (const auto at = line.find("G4P"); at != std::string::npos)
        std::from_chars(line.data() + at + 3, line.data() + line.size(), seconds);
    return seconds;
}

}  // namespace chalkline::machine
