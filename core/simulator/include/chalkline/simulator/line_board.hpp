// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/simulator/controller.hpp>

namespace chalkline::simulator {

/// A board that reads one command a line and answers `ok`, as on common 3D printers, round the same axes, beam and
/// piece as the reference controller: it speaks to that controller as its own motion part. Commands: G0–G4, G20, G21,
/// G28, G90–G92, M3–M5, M7–M9, M84, M110, M114, M115, M211, M400, M410, and with a card M20, M21, M23–M25, M27–M30 and
/// M524. No real-time bytes: a line is heard when the
/// one before it was answered. What else it does is in its `Board::line`.
class LineBoard : public Device {
 public:
    /// `inner` outlives the board. Its soft limits are turned off: such boards cut moves off at their ends instead.
    explicit LineBoard(Controller& inner);

    void receive(std::string_view bytes) override;
    void advance(double seconds) override;
    std::string take_output() override;
    bool at_rest() const override;
    int room() const override;
    std::string greeting() const override { return "start\r\n"; }
    void opened() override;
    /// As after switching on: it counts from where it stands.
    void start();
    const Store& store() const { return store_; }
    /// It shuts itself down, saying this, and hears nothing more until it is started again.
    void halt(std::string_view words);

 private:
    /// What the line being worked on waits for.
    enum class Waiting { nothing, answer, standstill, stopped, home };
    void read_answers();
    bool take_number(std::string& line);
    bool answer_itself(const std::string& line);
    bool answer_of_store(const std::string& line);
    std::optional<std::string> next_line();
    void begin(const std::string& line);
    void pass(const std::string& line);
    void say(std::string_view text);
    void done();

    Controller& inner_;
    geometry::Point origin_;  ///< true place of the board's 0, 0
    std::string incoming_, from_inner_, out_;
    Waiting waiting_ = Waiting::nothing;
    int answers_owed_ = 0;  ///< lines passed on whose answer is not heard yet
    int last_number_ = 0;
    double next_busy_ = 0;
    Store store_;
    struct File {
        std::string name, text;
    };
    std::optional<File> writing_;  ///< every line but M29 goes into it
    std::string selected_;
    bool paused_ = false;      ///< what runs from the card
    bool from_store_ = false;  ///< the line under way is one of the file's: it is not answered
    bool halted_ = false, powered_ = true;
};

}  // namespace chalkline::simulator
