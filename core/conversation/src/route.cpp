// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/route.hpp>

#include <algorithm>

namespace chalkline::machine {
namespace {

bool moves_blindly(const ProgramLine& line) {
    return !line.to && line.text.find_first_of("XYA") != std::string::npos;
}

}  // namespace

void Route::begin_at(geometry::Point place) {
    start_ = end_ = place;
}

void Route::sent(const ProgramLine& line, bool lit) {
    if (moves_blindly(line)) known_ = false;
    if (!known_ || !line.to) return;
    const geometry::Point from = end_.value_or(*line.to);
    end_ = *line.to;
    // A line to where the head is takes no room in the controller's queue.
    if (from == *line.to) return;
    legs_.push_back({from, *line.to, lit, {line.operation, line.part}});
}

void Route::answered(const ProgramLine& line) {
    if (!known_ || !line.to || answered_ == legs_.size() || !(legs_[answered_].to == *line.to)) return;
    ++answered_;
    for (; answered_ > kept_; --answered_) {
        start_ = legs_.front().to;
        legs_.pop_front();
    }
}

double Route::distance(geometry::Point place) const {
    if (!known_ || !start_) return 0;
    double least = geometry::distance(place, *start_);
    for (const Leg& leg : legs_)
        least = std::min(least, geometry::distance(place, geometry::nearest_on_line(place, leg.from, leg.to)));
    return least;
}

bool Route::passes(const Leg& leg, geometry::Point at) const {
    return geometry::distance(at, geometry::nearest_on_line(at, leg.from, leg.to)) < near;
}

std::ptrdiff_t Route::last_passing(geometry::Point at) const {
    for (auto i = static_cast<std::ptrdiff_t>(legs_.size()) - 1; i >= 0; --i)
        if (passes(legs_[static_cast<std::size_t>(i)], at)) return i;
    return -1;
}

std::optional<ProgramPlace> Route::furthest_done_at(geometry::Point at) const {
    if (!known_) return {};
    const std::ptrdiff_t last = last_passing(at);
    if (last < 1) return {};
    return legs_[static_cast<std::size_t>(last) - 1].place;
}

std::optional<ProgramPlace> Route::surely_done_at(geometry::Point at, ProgramPlace done) const {
    if (!known_) return {};
    for (std::size_t i = 0; i < answered_; ++i) {
        if (legs_[i].place <= done || !passes(legs_[i], at)) continue;
        return i > 0 ? std::optional(legs_[i - 1].place) : std::nullopt;
    }
    return {};
}

int Route::held_beyond(geometry::Point at) const {
    const std::ptrdiff_t last = known_ ? last_passing(at) : -1;
    if (last < 0) return 0;
    return std::max(0, static_cast<int>(answered_) - 1 - static_cast<int>(last));
}

std::optional<double> Route::likely_lit(geometry::Point at) const {
    if (!known_ || legs_.empty()) return {};
    double lit = 0, whole = 0, all_lit = 0, all = 0;
    for (const Leg& leg : legs_) {
        const double length = leg.length();
        all += length;
        all_lit += leg.lit ? length : 0;
        if (!passes(leg, at)) continue;
        whole += length;
        lit += leg.lit ? length : 0;
    }
    if (whole > 0) return lit / whole;
    return all > 0 ? std::optional(all_lit / all) : std::nullopt;
}

std::optional<geometry::Point> Route::answered_end() const {
    return answered_ > 0 ? std::optional(legs_[answered_ - 1].to) : start_;
}

std::vector<geometry::Point> Route::points() const {
    std::vector<geometry::Point> all;
    if (!known_ || !start_) return all;
    all.push_back(*start_);
    for (const Leg& leg : legs_)
        all.push_back(leg.to);
    return all;
}

std::optional<geometry::Point> Route::end() const {
    return known_ ? end_ : std::nullopt;
}

}  // namespace chalkline::machine
