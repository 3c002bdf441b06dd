// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/checksum.hpp>
#include <chalkline/cleared/content.hpp>

#include <algorithm>
#include <cstdint>

namespace chalkline::clearance {

using machine::LineSource;
using machine::ProgramLine;

std::uint64_t with_line(std::uint64_t sum, const ProgramLine& line) {
    return checksum("\n", checksum(line.text, sum));
}

namespace {

/// Lines block by block, each compared with what was checked.
class ComparedLines : public LineSource {
 public:
    ComparedLines(std::unique_ptr<LineSource> lines, std::vector<std::uint64_t> sums)
        : lines_(std::move(lines)), sums_(std::move(sums)) {}

    bool next(ProgramLine& line) override {
        if (at_ == block_.size() && !read_block()) return false;
        line = std::move(block_[at_++]);
        return true;
    }
    bool intact() const override { return intact_; }

 private:
    bool read_block() {
        if (!intact_ || blocks_ == sums_.size()) return false;
        block_.clear();
        at_ = 0;
        for (ProgramLine line; block_.size() < block_lines && lines_->next(line);) {
            sum_ = with_line(sum_, line);
            block_.push_back(std::move(line));
        }
        intact_ = sum_ == sums_[blocks_++];
        return intact_ && !block_.empty();
    }

    std::unique_ptr<LineSource> lines_;
    std::vector<std::uint64_t> sums_;
    std::vector<ProgramLine> block_;
    std::size_t at_ = 0, blocks_ = 0;
    std::uint64_t sum_ = checksum({});
    bool intact_ = true;
};

}  // namespace

const machine::MachineProfile& ClearedProgram::machine() const {
    return content_->machine;
}

const std::vector<geometry::Point>& ClearedProgram::hull() const {
    return content_->hull;
}

std::int64_t ClearedProgram::line_count() const {
    return content_->line_count;
}

std::uint64_t ClearedProgram::fingerprint() const {
    return content_->sums.empty() ? checksum({}) : content_->sums.back();
}

int ClearedProgram::most_power(std::int32_t step) const {
    const auto found = content_->most_power.find(step);
    return found == content_->most_power.end() ? 100 : found->second;
}

machine::Trims ClearedProgram::within_limits(machine::Trims wanted) const {
    for (auto& [step, trim] : wanted)
        trim.power = std::min(trim.power, most_power(step));
    return wanted;
}

std::unique_ptr<LineSource> ClearedProgram::lines() const {
    return std::make_unique<ComparedLines>(content_->read(), content_->sums);
}

std::string ClearedProgram::text() const {
    std::string text;
    const auto all = lines();
    for (ProgramLine line; all->next(line);)
        text += line.text + "\n";
    return text;
}

}  // namespace chalkline::clearance
