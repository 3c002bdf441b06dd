// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <cstdint>
#include <memory>
#include <optional>
#include <string>

namespace chalkline::machine {

/// One line for the controller, without its line feed, and the operation it carries out (an index into the
/// program's operations; −1 for the frame around them or when the program came from a file).
struct ProgramLine {
    std::string text;
    std::int64_t operation = -1;
    std::int32_t part = 0;                ///< of a trace: the point it leads to, of a sweep: the run, counted from 0
    std::optional<geometry::Point> to{};  ///< where it leads the head, as far as that is known; none: nowhere
    std::int32_t step = -1;               ///< whose work it is; −1: nobody's
    bool ends_line = true;                ///< false: a line was split into several, and others of them follow
    bool operator==(const ProgramLine&) const = default;
};

/// Gives the lines of a program one by one, so that a large picture never stands in memory as text.
class LineSource {
 public:
    virtual ~LineSource() = default;
    /// The next line; false at the end.
    virtual bool next(ProgramLine& line) = 0;
    /// False once the lines turned out not to be those that were checked; `next` gives none any more then.
    virtual bool intact() const { return true; }
};

/// Lines from a program text; comments, blank lines and carriage returns are stripped.
class TextLines : public LineSource {
 public:
    explicit TextLines(std::shared_ptr<const std::string> text) : text_(std::move(text)) {}
    bool next(ProgramLine& line) override;

 private:
    std::shared_ptr<const std::string> text_;
    std::size_t at_ = 0;
};

}  // namespace chalkline::machine
