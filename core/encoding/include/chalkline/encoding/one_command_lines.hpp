// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/encoding/encoder.hpp>

#include <deque>

namespace chalkline::machine {

/// The lines of another source for boards that read one command a line and remember neither motion nor plane: every
/// move names its G, dwells are in seconds by S, the beam's power goes with the moves (`I`).
class OneCommandLines : public LineSource {
 public:
    explicit OneCommandLines(std::unique_ptr<LineSource> lines) : lines_(std::move(lines)) {}
    bool next(ProgramLine& line) override;
    bool intact() const override { return lines_->intact(); }

 private:
    void split(const ProgramLine& line);
    std::unique_ptr<LineSource> lines_;
    std::deque<ProgramLine> ready_;
    std::string motion_ = "G0", beam_ = "M5";
};

}  // namespace chalkline::machine
