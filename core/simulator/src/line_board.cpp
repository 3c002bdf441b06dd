// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/simulator/line_board.hpp>

#include <fmt/format.h>

#include <cstdio>
#include <utility>

namespace chalkline::simulator {
namespace {

constexpr char reset = 0x18;

bool begins(const std::string& line, std::string_view word) {
    return line.starts_with(word) && (line.size() == word.size() || line[word.size()] == ' ');
}

/// A line as the motion part reads it: there power always goes with the moves, and dwells are stated by P.
std::string in_its_words(std::string line) {
    if (const auto at = line.find(" I"); at != std::string::npos && line[0] == 'M') line.erase(at, 2);
    if (line.starts_with("G4 S")) line[3] = 'P';
    return line;
}

}  // namespace

LineBoard::LineBoard(Controller& inner) : inner_(inner) {
    inner_.load_settings("20=0\n32=1\n");
    pass("$X");
    origin_ = inner_.head();
    out_ = greeting();
}

void LineBoard::receive(std::string_view bytes) {
    incoming_ += bytes;
}

void LineBoard::advance(double seconds) {
    inner_.advance(seconds);
    read_answers();
    if (waiting_ == Waiting::standstill && inner_.at_rest()) done();
    if (waiting_ == Waiting::home && answers_owed_ == 0 && inner_.at_rest()) done();
    if (waiting_ == Waiting::stopped && inner_.at_rest() && answers_owed_ == 0) done();
    const auto end = incoming_.find('\n');
    if (waiting_ != Waiting::nothing || end == std::string::npos) return;
    std::string line = incoming_.substr(0, end);
    incoming_.erase(0, end + 1);
    if (line.ends_with('\r')) line.pop_back();
    begin(line);
}

void LineBoard::read_answers() {
    from_inner_ += inner_.take_output();
    for (auto end = from_inner_.find('\n'); end != std::string::npos; end = from_inner_.find('\n')) {
        const std::string line = from_inner_.substr(0, end);
        from_inner_.erase(0, end + 1);
        const bool answer = line.starts_with("ok") || line.starts_with("error:");
        if (line.starts_with("error:")) say("echo:Unknown command: \"" + line + "\"");
        if (answer && answers_owed_ > 0) --answers_owed_;
        if (answer && waiting_ == Waiting::answer && answers_owed_ == 0) done();
    }
}

void LineBoard::begin(const std::string& line) {
    if (line.empty()) return;
    if (begins(line, "M115")) {
        say("FIRMWARE_NAME:Lineboard 1 PROTOCOL_VERSION:1.0 MACHINE_TYPE:simulated");
        return done();
    }
    if (begins(line, "M114")) {
        const geometry::Point at = inner_.head() - origin_;
        const bool turns = inner_.second_axis() == 'A';
        const std::string turned = turns ? fmt::format(" A:{:.3f}", at.y) : "";
        say(fmt::format("X:{:.3f} Y:{:.3f} Z:{:.3f}{} E:0.00 Count X:0 Y:0 Z:0", at.x, turns ? 0 : at.y,
                        inner_.height(), turned));
        return done();
    }
    if (begins(line, "M400")) {
        waiting_ = Waiting::standstill;
    } else if (begins(line, "M84")) {
        done();
    } else if (begins(line, "M410")) {
        // What was planned is dropped; the motion part forgets nothing but its plan.
        inner_.receive("!");
        inner_.receive(std::string(1, reset));
        pass("$X");
        waiting_ = Waiting::stopped;
    } else if (begins(line, "G28")) {
        pass("$H");
        pass("G10L2P1X" + fmt::format("{:.3f}", -inner_.profile().width) + "Y" +
             fmt::format("{:.3f}", -inner_.profile().depth));
        origin_ = {};
        waiting_ = Waiting::home;
    } else if (begins(line, "G92")) {
        double x = 0, y = 0;
        char letter = 'Y';
        if (std::sscanf(line.c_str(), "G92 X%lf %c%lf", &x, &letter, &y) == 3 && letter == inner_.second_axis())
            origin_ = inner_.head() - geometry::Point{x, y};
        pass(fmt::format("G10L20P1X{:.3f}{}{:.3f}", x, letter, y));
        waiting_ = Waiting::answer;
    } else {
        pass(in_its_words(line));
        waiting_ = Waiting::answer;
    }
}

void LineBoard::pass(const std::string& line) {
    inner_.receive(line + "\n");
    ++answers_owed_;
}

void LineBoard::say(std::string_view text) {
    out_ += text;
    out_ += "\r\n";
}

void LineBoard::done() {
    waiting_ = Waiting::nothing;
    say("ok");
}

std::string LineBoard::take_output() {
    return std::exchange(out_, {});
}

bool LineBoard::at_rest() const {
    return waiting_ == Waiting::nothing && incoming_.empty() && inner_.at_rest();
}

int LineBoard::room() const {
    constexpr int one_line = 96;
    return waiting_ == Waiting::nothing && incoming_.empty() ? one_line : 0;
}

}  // namespace chalkline::simulator
