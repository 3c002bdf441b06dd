// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/simulator/line_board.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <cstdio>
#include <cstdlib>
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

LineBoard::LineBoard(Controller& inner) : inner_(inner), store_(inner.board().files) {
    inner_.load_settings("20=0\n32=1\n");
    start();
}

/// Where it is switched on it counts from 0, 0.
void LineBoard::start() {
    pass("$X");
    origin_ = inner_.head();
    out_ = greeting();
    incoming_.clear();
    waiting_ = Waiting::nothing;
    last_number_ = 0;
    halted_ = paused_ = from_store_ = false;
    writing_.reset();
    store_.close();
}

void LineBoard::opened() {
    if (!inner_.board().restarts_on_open) return;
    inner_.opened();
    answers_owed_ = 0;
    from_inner_.clear();
    start();
}

void LineBoard::halt(std::string_view words) {
    say(words);
    halted_ = true;
    store_.close();
    inner_.receive(std::string(1, reset));
}

void LineBoard::receive(std::string_view bytes) {
    if (!halted_) incoming_ += bytes;
}

void LineBoard::advance(double seconds) {
    inner_.advance(seconds);
    // Without power it is dark and deaf; with it again it starts anew.
    if (!std::exchange(powered_, inner_.powered()) && powered_) {
        answers_owed_ = 0;
        from_inner_.clear();
        start();
    }
    if (!powered_) return incoming_.clear();
    read_answers();
    if (halted_) return;
    constexpr double busy_every = 2;  // s
    if (waiting_ == Waiting::nothing) next_busy_ = inner_.now() + busy_every;
    if (inner_.board().line.keeps_busy && inner_.now() >= next_busy_) {
        next_busy_ += busy_every;
        say("echo:busy: processing");
    }
    if (waiting_ == Waiting::standstill && inner_.at_rest()) done();
    if (waiting_ == Waiting::home && answers_owed_ == 0 && inner_.at_rest()) done();
    if (waiting_ == Waiting::stopped && inner_.at_rest() && answers_owed_ == 0) done();
    if (waiting_ != Waiting::nothing) return;
    if (const auto line = next_line(); line && !answer_of_store(*line) && !answer_itself(*line)) begin(*line);
}

/// Of the link before the card; nothing when none is there, or it has to come again.
std::optional<std::string> LineBoard::next_line() {
    const auto end = incoming_.find('\n');
    if (end != std::string::npos) {
        std::string line = incoming_.substr(0, end);
        incoming_.erase(0, end + 1);
        if (line.ends_with('\r')) line.pop_back();
        return take_number(line) ? std::optional(line) : std::nullopt;
    }
    if (!store_.runs() || paused_) return {};
    const auto line = store_.next_line();
    from_store_ = line.has_value();
    if (!line) say("Done printing file");
    return line;
}

/// What boards with a card know besides; while a file is written all but its end goes into it.
bool LineBoard::answer_of_store(const std::string& line) {
    if (inner_.board().store == StoreWords::none) return false;
    const auto name = [&line] { return line.substr(std::min(line.size(), line.find(' ') + 1)); };
    if (writing_ && !begins(line, "M29")) {
        writing_->text += line + "\r\n";
    } else if (begins(line, "M29")) {
        if (writing_) store_.write(writing_->name, writing_->text);
        writing_.reset();
        say("Done saving file.");
    } else if (begins(line, "M20")) {
        say("Begin file list");
        for (const auto& [file, text] : store_.files())
            say(fmt::format("{} {}", file, text.size()));
        say("End file list");
    } else if (begins(line, "M21")) {
        say("echo:SD card ok");
    } else if (begins(line, "M23")) {
        const auto found = store_.files().find(name());
        const bool there = found != store_.files().end();
        say(there ? fmt::format("echo:Now fresh file: {}\r\nFile opened: {} Size: {}\r\nFile selected", name(), name(),
                                found->second.size())
                  : fmt::format("open failed, File: {}.", name()));
        if (there) selected_ = name();
    } else if (begins(line, "M24")) {
        if (!store_.runs()) store_.open(selected_);
        paused_ = false;
    } else if (begins(line, "M25")) {
        paused_ = true;
    } else if (begins(line, "M27")) {
        say(store_.runs() ? fmt::format("SD printing byte {}/{}", store_.bytes_read(), store_.bytes())
                          : "Not SD printing");
    } else if (begins(line, "M28")) {
        writing_ = File{name(), {}};
        say("Writing to file: " + name());
    } else if (begins(line, "M30")) {
        say((store_.remove(name()) ? "File deleted:" : "Deletion failed, File: ") + name());
    } else if (begins(line, "M524")) {
        store_.close();
    } else {
        return false;
    }
    done();
    return true;
}

/// Takes number and checksum off a line; false when it has to come again.
bool LineBoard::take_number(std::string& line) {
    const auto star = line.rfind('*');
    if (!inner_.board().line.numbers || (!line.starts_with('N') && star == std::string::npos)) return true;
    int sum = 0;
    for (std::size_t i = 0; i < std::min(star, line.size()); ++i)
        sum ^= static_cast<unsigned char>(line[i]);
    const int number = std::atoi(line.c_str() + 1);
    const bool whole = line.starts_with('N') && star != std::string::npos && std::atoi(line.c_str() + star + 1) == sum;
    if (!whole || number != last_number_ + 1) {
        say(fmt::format("Error:{}, Last Line: {}",
                        whole ? "Line Number is not Last Line Number+1" : "checksum mismatch", last_number_));
        say(fmt::format("Resend: {}", last_number_ + 1));
        done();
        return false;
    }
    last_number_ = number;
    line = line.substr(0, star);
    line.erase(0, std::min(line.size(), line.find(' ') + 1));
    return true;
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

/// What the motion part has no word for. True when that was all.
bool LineBoard::answer_itself(const std::string& line) {
    const LineHabits& habits = inner_.board().line;
    if (begins(line, "M110") || begins(line, "M84")) {
        if (begins(line, "M110")) last_number_ = 0;
        done();
        return true;
    }
    if (line.starts_with('N')) {
        say("echo:Unknown command: \"" + line + "\"");
        done();
        return true;
    }
    if (begins(line, "M115")) {
        say(habits.firmware);
        for (const std::string& capability : habits.capabilities)
            say(capability);
        done();
        return true;
    }
    if (begins(line, "M211")) {
        say(fmt::format("echo:Soft endstops: On  Min: X0.00 Y0.00 Z0.00   Max: X{:.2f} Y{:.2f} Z50.00",
                        inner_.profile().width, inner_.profile().depth));
        done();
        return true;
    }
    return false;
}

void LineBoard::begin(const std::string& line) {
    if (line.empty()) {
        from_store_ = false;
        return;
    }
    if (begins(line, "M114")) {
        const geometry::Point at = inner_.planned() - origin_;  // it tells where its plan ends
        const bool turns = inner_.second_axis() == 'A';
        const std::string turned = turns ? fmt::format(" A:{:.3f}", at.y) : "";
        say(fmt::format("X:{:.3f} Y:{:.3f} Z:{:.3f}{} E:0.00 Count X:0 Y:0 Z:0", at.x, turns ? 0 : at.y,
                        inner_.height(), turned));
        return done();
    }
    if (begins(line, "M400")) {
        waiting_ = Waiting::standstill;
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
        std::string words = in_its_words(line);
        // Boards without power in their moves take its word for nothing.
        if (const auto s = words.find(" S"); !inner_.board().line.inline_power && s != std::string::npos)
            words.erase(s,
                        words.find(' ', s + 1) == std::string::npos ? std::string::npos : words.find(' ', s + 1) - s);
        pass(words);
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
    if (!std::exchange(from_store_, false)) say(inner_.board().line.ok);
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
