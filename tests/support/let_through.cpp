// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/let_through.hpp"

#include <chalkline/base/checksum.hpp>
#include <chalkline/cleared/content.hpp>

namespace chalkline::clearance {

/// The one other way to a cleared program; no program that is delivered has it.
class ClearanceForTests {
 public:
    /// `lines` and `given`: what went through the gate, and what comes out of it.
    static ClearedProgram of(const std::vector<machine::ProgramLine>& lines, std::vector<machine::ProgramLine> given,
                             const machine::MachineProfile& machine) {
        auto content = std::make_shared<ClearedProgram::Content>();
        content->machine = machine;
        content->line_count = static_cast<std::int64_t>(lines.size());
        std::uint64_t sum = checksum({});
        for (std::size_t i = 0; i < lines.size(); ++i) {
            sum = with_line(sum, lines[i]);
            if ((i + 1) % block_lines == 0 || i + 1 == lines.size()) content->sums.push_back(sum);
            content->most_power[lines[i].step] = 200;
        }
        content->read = [all = std::make_shared<const std::vector<machine::ProgramLine>>(std::move(given))] {
            return std::make_unique<Lines>(all);
        };
        return ClearedProgram(std::move(content));
    }

 private:
    class Lines : public machine::LineSource {
     public:
        explicit Lines(std::shared_ptr<const std::vector<machine::ProgramLine>> all) : all_(std::move(all)) {}
        bool next(machine::ProgramLine& line) override {
            if (at_ == all_->size()) return false;
            line = (*all_)[at_++];
            return true;
        }

     private:
        std::shared_ptr<const std::vector<machine::ProgramLine>> all_;
        std::size_t at_ = 0;
    };
};

}  // namespace chalkline::clearance

namespace chalkline::test {

clearance::ClearedProgram let_through(std::unique_ptr<machine::LineSource> lines,
                                      const machine::MachineProfile& machine) {
    std::vector<machine::ProgramLine> all;
    for (machine::ProgramLine line; lines->next(line);)
        all.push_back(line);
    return clearance::ClearanceForTests::of(all, all, machine);
}

clearance::ClearedProgram let_through_altered(const std::vector<std::string>& lines, std::size_t number,
                                              const std::string& other, const machine::MachineProfile& machine) {
    std::vector<machine::ProgramLine> checked;
    for (const std::string& line : lines)
        checked.push_back({.text = line});
    std::vector<machine::ProgramLine> given = checked;
    given.at(number).text = other;
    return clearance::ClearanceForTests::of(checked, std::move(given), machine);
}

}  // namespace chalkline::test
