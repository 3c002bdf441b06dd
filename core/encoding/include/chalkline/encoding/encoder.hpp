// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/line_source.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/program.hpp>

#include <deque>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::machine {

/// RS-274 for the reference dialect (Grbl 1.1): first states units, distance mode, plane and offsets itself; every
/// trace and every sweep starts with an absolute position; inside a sweep positions are absolute or relative,
/// whichever is shorter for that row; words that did not change are left out; ends dark. While a round piece turns, Y
/// is written as its axis counts, and every feed so that the surface goes by as fast as asked. REQUIRES: program and
/// profile outlive the encoder.
class Encoder : public LineSource {
 public:
    Encoder(const Program& program, const MachineProfile& profile);
    bool next(ProgramLine& line) override;

 private:
    void prologue();
    void ending();
    void encode(const Operation& operation);
    void encode(const Travel& travel, Speed speed);
    void encode(const Trace& trace, Speed speed);
    void encode(const Sweep& sweep, Speed speed);
    /// The lines of one sweep, one after the other in one text: millions of runs are not worth a string each.
    struct Row {
        std::string text;
        std::vector<std::size_t> ends;
        void clear() {
            text.clear();
            ends.clear();
        }
    };
    /// Where the runs of a sweep end: on the bed, and as the controller counts it, whole thousandths.
    struct Stop {
        geometry::Point place;
        std::int64_t x, y;
    };
    void find_stops(const Sweep& sweep);
    void write_row(const Sweep& sweep, const std::string& head, bool relative, Row& row) const;
    void darken_at_rest();
    std::string motion(int code);
    void append_power(std::string& line, PowerValue power, PowerValue& last) const;
    std::string power_word(PowerValue power, PowerValue& last) const;
    /// For a move from where the head stands: along a turning axis the controller counts another way than the surface.
    std::string feed_word(Speed speed, geometry::Point from, geometry::Point to);
    void append_place(std::string& line, geometry::Point to) const;
    /// Y as the controller counts it, whole thousandths.
    std::int64_t counted_y(double y) const;
    void emit(std::string text, std::optional<geometry::Point> to = {});

    const Program& program_;
    const MachineProfile& profile_;
    const char y_letter_;
    std::size_t next_operation_ = 0;
    std::int64_t current_ = -1;
    std::int32_t step_ = -1;  ///< of the operation being given out
    std::int32_t part_ = 0;   ///< of the trace being given out
    std::deque<ProgramLine> ready_;
    std::vector<Stop> stops_;  ///< of the sweep being given out
    Row row_, other_row_;      ///< its lines, and those of the other way of writing it
    std::size_t next_in_row_ = 0;
    bool begun_ = false, ended_ = false;
    // Modal state as the controller will have it after the lines in ready_.
    geometry::Point at_;
    bool at_known_ = false;
    int motion_ = -1;
    bool relative_ = false;
    PowerValue power_ = 0;
    double feed_ = -1;
    BeamMode beam_ = BeamMode::off;
};

/// An encoder that keeps its program alive: for lines that are pulled later, on another thread.
class SharedEncoder : public LineSource {
 public:
    SharedEncoder(std::shared_ptr<const Program> program, const MachineProfile& profile)
        : program_(std::move(program)), profile_(profile), encoder_(*program_, profile_) {}
    bool next(ProgramLine& line) override { return encoder_.next(line); }

 private:
    std::shared_ptr<const Program> program_;
    MachineProfile profile_;
    Encoder encoder_;  ///< refers to the two above
};

/// The whole program as text, one line feed after each line.
std::string encode_all(const Program& program, const MachineProfile& profile);

}  // namespace chalkline::machine
