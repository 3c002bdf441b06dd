// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/encoding/one_command_lines.hpp>

#include <string_view>
#include <utility>
#include <vector>

namespace chalkline::machine {
namespace {

/// "G90G1X1" as "G90", "G1", "X1".
std::vector<std::string> words_of(const std::string& text) {
    std::vector<std::string> words;
    for (const char c : text) {
        if (c == ' ') continue;
        if (c >= 'A' && c <= 'Z') words.emplace_back();
        if (!words.empty()) words.back() += c;
    }
    return words;
}

bool one_of(std::string_view word, std::initializer_list<std::string_view> list) {
    for (const std::string_view each : list)
        if (word == each) return true;
    return false;
}

}  // namespace

bool OneCommandLines::next(ProgramLine& line) {
    ProgramLine given;
    while (ready_.empty() && lines_->next(given)) {
        split(given);
        for (ProgramLine& one : ready_)
            one.ends_line = &one == &ready_.back();
    }
    if (ready_.empty()) return false;
    line = std::move(ready_.front());
    ready_.pop_front();
    return true;
}

void OneCommandLines::split(const ProgramLine& line) {
    std::string moved, power, dwell;
    bool dwells = false, switched = false;
    const auto emit = [&](std::string text) {
        ready_.push_back({std::move(text), line.operation, line.part, {}, line.step});
    };
    for (const std::string& word : words_of(line.text)) {
        if (one_of(word, {"G20", "G21", "G90", "G91", "M7", "M8", "M9"})) {
            emit(word);
        } else if (one_of(word, {"G0", "G1", "G2", "G3"})) {
            motion_ = word;
        } else if (word == "G4") {
            dwells = true;
        } else if (one_of(word, {"M3", "M4", "M5"})) {
            beam_ = word;
            switched = true;
        } else if (word[0] == 'S') {
            power = word;
        } else if (word[0] == 'P') {
            dwell = word.substr(1);
        } else if (one_of(word.substr(0, 1), {"X", "Y", "Z", "A", "I", "J", "F"})) {
            moved += " " + word;
        }
        // Plane, feed mode and offsets have no counterpart there: such boards know only the one.
    }
    if (dwells) return emit("G4 S" + dwell);
    if (switched) emit(beam_ == "M5" ? beam_ : beam_ + " I S0");
    if (!moved.empty()) {
        emit(motion_ + moved + (power.empty() ? "" : " " + power));
        ready_.back().to = line.to;
    } else if (!power.empty() && !switched) {
        emit((beam_ == "M5" ? "M5" : beam_ + " I " + power));
    }
}

}  // namespace chalkline::machine
