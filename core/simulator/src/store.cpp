// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/simulator/store.hpp>

#include <algorithm>
#include <utility>

namespace chalkline::simulator {
namespace {

constexpr char block_begins = 0x01, all_sent = 0x04, understood = 0x06, again = 0x15, cancelled = 0x18,
               crc_wanted = 'C';
constexpr std::size_t data_bytes = 128, block_bytes = 3 + data_bytes + 2;

/// Bit by bit, as the protocol's paper has it.
unsigned crc16(std::string_view bytes) {
    unsigned crc = 0;
    for (const char c : bytes) {
        crc ^= static_cast<unsigned>(static_cast<unsigned char>(c)) << 8;
        for (int bit = 0; bit < 8; ++bit)
            crc = (crc & 0x8000) != 0 ? (crc << 1) ^ 0x1021 : crc << 1;
        crc &= 0xffff;
    }
    return crc;
}

unsigned byte_at(std::string_view text, std::size_t at) {
    return static_cast<unsigned char>(text[at]);
}

}  // namespace

bool Store::open(const std::string& name) {
    if (!files_.contains(name)) return false;
    running_ = Running{name, 0};
    return true;
}

std::optional<std::string> Store::next_line() {
    const std::string& text = files_.at(running_->name);
    if (running_->at >= text.size()) {
        running_.reset();
        return {};
    }
    const auto end = std::min(text.find('\n', running_->at), text.size());
    std::string line = text.substr(running_->at, end - running_->at);
    running_->at = end + 1;
    while (line.ends_with('\r'))
        line.pop_back();
    return line;
}

std::string XmodemReceiver::tick(double now) {
    if (begun_ || over_ || (asked_ && now - asked_at_ < 1)) return {};
    asked_ = true;
    asked_at_ = now;
    return std::string(1, crc_wanted);
}

std::string XmodemReceiver::take(std::string_view bytes) {
    std::string answer;
    for (const char c : bytes) {
        if (over_) return answer;
        if (block_.empty() && c == all_sent) {
            over_ = true;
            received_ = data_;
            return answer + understood;
        }
        if (block_.empty() && c == cancelled) {
            over_ = true;
            return answer;
        }
        if (block_.empty() && c != block_begins) continue;
        begun_ = true;
        block_ += c;
        if (block_.size() < block_bytes) continue;
        const std::string block = std::exchange(block_, {});
        const std::string_view data = std::string_view(block).substr(3, data_bytes);
        const unsigned crc = (byte_at(block, block_bytes - 2) << 8) | byte_at(block, block_bytes - 1);
        const bool whole = byte_at(block, 1) + byte_at(block, 2) == 255 && crc == crc16(data);
        if (whole && byte_at(block, 1) == expected_) {
            data_ += data;
            expected_ = (expected_ + 1) % 256;
        }
        answer += whole ? understood : again;  // the block before once more is only answered
    }
    return answer;
}

}  // namespace chalkline::simulator
