// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/streamer.hpp>

namespace chalkline::machine {

void Streamer::feed(std::string& out) {
    while (true) {
        if (!waiting_ && !exhausted_) {
            ProgramLine line;
            if (lines_->next(line))
                waiting_ = std::move(line);
            else
                exhausted_ = true;
        }
        if (!waiting_) return;
        const int size = static_cast<int>(waiting_->text.size()) + 1;
        if (open_bytes_ + size > room_) return;
        out += waiting_->text;
        out += '\n';
        open_bytes_ += size;
        ++sent_;
        in_flight_.push_back(std::move(*waiting_));
        waiting_.reset();
    }
}

std::optional<ProgramLine> Streamer::answered() {
    if (in_flight_.empty()) return {};
    ProgramLine line = std::move(in_flight_.front());
    in_flight_.pop_front();
    open_bytes_ -= static_cast<int>(line.text.size()) + 1;
    ++acknowledged_;
    if (line.operation >= 0) in_planner_.push_back({line.operation, line.part});
    if (in_planner_.size() > planner_blocks_) {
        done_ = in_planner_.front();
        in_planner_.pop_front();
    }
    return line;
}

}  // namespace chalkline::machine
