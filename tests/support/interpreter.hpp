// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/encoding/encoder.hpp>
#include <chalkline/geometry/point.hpp>

#include <charconv>
#include <map>
#include <string>
#include <vector>

namespace chalkline::test {

/// One straight move as a controller would make it.
struct Moved {
    geometry::Point from, to;
    double power;   ///< share of full power; 0: dark
    double feed;    ///< mm/min, 0 for rapid moves
    bool constant;  ///< M3
    double height;  ///< Z

    bool lit() const { return power > 0; }
    double length() const { return geometry::distance(from, to); }
};

/// Reads program lines word by word, written for the tests and knowing nothing of the encoder.
inline std::vector<Moved> interpret(const machine::Program& program, const machine::MachineProfile& machine = {}) {
    std::vector<Moved> moves;
    machine::Encoder lines(program, machine);
    geometry::Point at;
    double power = 0, feed = 0, height = 0;
    bool relative = false, rapid = true, constant = false, on = false, placed = false;
    for (machine::ProgramLine line; lines.next(line);) {
        std::map<char, double> words;
        bool dwell = false;
        const char* const end = line.text.data() + line.text.size();
        for (const char* c = line.text.data(); c < end;) {
            const char letter = *c++;
            double value = 0;
            c = std::from_chars(c, end, value, std::chars_format::fixed).ptr;
            if (letter == 'G' && (value == 0 || value == 1)) rapid = value == 0;
            if (letter == 'G' && (value == 90 || value == 91)) relative = value == 91;
            if (letter == 'G' && value == 4) dwell = true;
            if (letter == 'M' && value >= 3 && value <= 5) {
                on = value != 5;
                constant = value == 3;
            }
            if (letter == 'S') power = value / machine.full_power_s;
            if (letter == 'F') feed = value;
            if (letter == 'X' || letter == 'Y' || letter == 'Z') words[letter] = value;
        }
        if (dwell || words.empty()) continue;
        if (words.count('Z') != 0) height = words['Z'];
        const geometry::Point base = relative ? at : geometry::Point{};
        geometry::Point to = at;
        if (words.count('X') != 0) to.x = base.x + words['X'];
        if (words.count('Y') != 0) to.y = base.y + words['Y'];
        if (placed && !(to == at))
            moves.push_back({at, to, on && !rapid ? power : 0, rapid ? 0 : feed, constant, height});
        placed = true;
        at = to;
    }
    return moves;
}

inline double lit_length(const std::vector<Moved>& moves) {
    double sum = 0;
    for (const Moved& move : moves)
        if (move.lit()) sum += move.length();
    return sum;
}

/// Lit moves that follow each other without a dark one between, as chains.
inline std::vector<std::vector<geometry::Point>> lit_chains(const std::vector<Moved>& moves) {
    std::vector<std::vector<geometry::Point>> chains;
    bool open = false;
    for (const Moved& move : moves) {
        if (move.lit()) {
            if (!open) chains.push_back({move.from});
            chains.back().push_back(move.to);
        }
        open = move.lit();
    }
    return chains;
}

}  // namespace chalkline::test
