// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/streamer.hpp>

#include <algorithm>
#include <charconv>

namespace chalkline::machine {
namespace {

/// A line that moves the head without saying where it leads, as one from a file does.
bool leads_somewhere(const ProgramLine& line) {
    return !line.to && line.text.find_first_of("XYA") != std::string::npos;
}

/// Whether it turns the beam on or off; nothing when it says nothing of it.
std::optional<bool> beam_word(const std::string& text) {
    const auto at = text.find('M');
    if (at == std::string::npos || at + 1 == text.size()) return {};
    const char which = text[at + 1];
    if (which == '5') return false;
    return which == '3' || which == '4' ? std::optional(true) : std::nullopt;
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
        if (!waiting_ || step_at_the_door()) return;
        const int size = static_cast<int>(waiting_->text.size()) + 1;
        if (open_bytes_ + size > room_) return;
        out += waiting_->text;
        out += '\n';
        open_bytes_ += size;
        ++sent_;
        way_known_ = way_known_ && !leads_somewhere(*waiting_);
        if (const auto beam = beam_word(waiting_->text); beam && *beam != beam_asked_for_) {
            beam_asked_for_ = *beam;
            lines_since_beam_ = -static_cast<int>(in_flight_.size());
        }
        if (waiting_->operation >= 0) begun_ = {waiting_->operation, waiting_->part};
        in_flight_.push_back(std::move(*waiting_));
        waiting_.reset();
    }
}

std::optional<std::int32_t> Streamer::step_at_the_door() const {
    if (!waiting_ || waiting_->step < 0 || waiting_->step == step_) return {};
    return waiting_->step;
}

std::optional<ProgramLine> Streamer::answered() {
    if (in_flight_.empty()) return {};
    ProgramLine line = std::move(in_flight_.front());
    in_flight_.pop_front();
    open_bytes_ -= static_cast<int>(line.text.size()) + 1;
    ++acknowledged_;
    ++lines_since_beam_;
    // What does not move the head takes no room in the planner.
    const bool moves =
        line.to ? way_.empty() || !(way_.back() == *line.to) : line.text.find_first_of("XYZA") != std::string::npos;
    if (line.to) way_.push_back(*line.to);
    // Twice what the planner holds: builds differ, and a place behind is no sign of trouble.
    while (way_.size() > 2 * planner_blocks_ + 8)
        way_.pop_front();
    if (line.operation >= 0 && moves) in_planner_.push_back({line.operation, line.part});
    if (in_planner_.size() > planner_blocks_) {
        done_ = in_planner_.front();
        in_planner_.pop_front();
    }
    return line;
}

double Streamer::off_way(geometry::Point place) const {
    if (!way_known_ || way_.empty()) return 0;
    geometry::Point from = way_.front();
    double least = geometry::distance(place, from);
    const auto ride = [&](geometry::Point to) {
        least = std::min(least, geometry::distance(place, geometry::nearest_on_line(place, from, to)));
        from = to;
    };
    for (const geometry::Point to : way_)
        ride(to);
    for (const ProgramLine& line : in_flight_)
        if (line.to) ride(*line.to);
    return least;
}

double Streamer::open_dwell() const {
    double seconds = 0;
    if (in_flight_.empty()) return seconds;
    const std::string& line = in_flight_.front().text;
    if (const auto at = line.find("G4P"); at != std::string::npos)
        std::from_chars(line.data() + at + 3, line.data() + line.size(), seconds);
    return seconds;
}

std::optional<geometry::Point> Streamer::end_of_way() const {
    if (!way_known_ || way_.empty()) return {};
    for (auto line = in_flight_.rbegin(); line != in_flight_.rend(); ++line)
        if (line->to) return line->to;
    return way_.back();
}

}  // namespace chalkline::machine
