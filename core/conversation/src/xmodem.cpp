// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/xmodem.hpp>

#include <array>

namespace chalkline::machine {
namespace {

constexpr char block_begins = 0x01, all_sent = 0x04, understood = 0x06, again = 0x15, cancelled = 0x18,
               crc_wanted = 'C';
constexpr double crossing = 2;  // s

/// CRC-16/XMODEM: polynomial 0x1021, from 0, the highest bit first.
unsigned crc16(std::string_view bytes) {
    static const auto table = [] {
        std::array<unsigned, 256> made{};
        for (unsigned i = 0; i < 256; ++i) {
            unsigned crc = i << 8;
            for (int bit = 0; bit < 8; ++bit)
                crc = ((crc << 1) ^ ((crc & 0x8000) != 0 ? 0x1021U : 0U)) & 0xffff;
            made[i] = crc;
        }
        return made;
    }();
    unsigned crc = 0;
    for (const char c : bytes)
        crc = ((crc << 8) ^ table[((crc >> 8) ^ static_cast<unsigned char>(c)) & 0xff]) & 0xffff;
    return crc;
}

}  // namespace

std::string XmodemSender::take(std::string_view bytes, double now) {
    std::string out;
    for (const char c : bytes) {
        if (over()) break;
        // Boards say this and that before they begin.
        const bool asks = c == crc_wanted || c == again;
        if (state_ == State::waiting && asks) {
            crc_ = c == crc_wanted;
            state_ = State::sending;
            out += next_block(now);
        } else if (state_ == State::waiting) {
            continue;
        } else if (c == understood && state_ == State::ending) {
            state_ = State::done;
        } else if (c == understood) {
            arrived_ += static_cast<std::int64_t>(block_bytes);
            tries_ = 0;
            out += next_block(now);
        } else if (asks) {
            // A second 'C' may have crossed the first block, which it will answer.
            const bool crossed = c == crc_wanted && (arrived_ > 0 || now - sent_at_ < crossing);
            if (crossed) continue;
            if (++tries_ > most_tries) return out + cancel();
            sent_at_ = now;
            out += state_ == State::ending ? std::string(1, all_sent) : framed();
        } else if (c == cancelled) {
            state_ = State::failed;
        } else {
            continue;
        }
        heard_at_ = now;
    }
    return out;
}

void XmodemSender::tick(double now) {
    if (!over() && now - heard_at_ > patience) state_ = State::failed;
}

std::string XmodemSender::cancel() {
    state_ = State::failed;
    return std::string(2, cancelled);
}

std::string XmodemSender::next_block(double now) {
    sent_at_ = now;
    block_ = text_(block_bytes);
    if (block_.empty()) {
        state_ = State::ending;
        return std::string(1, all_sent);
    }
    block_.resize(block_bytes, '\n');
    number_ = (number_ + 1) % 256;
    return framed();
}

std::string XmodemSender::framed() const {
    std::string frame{block_begins, static_cast<char>(number_), static_cast<char>(255 - number_)};
    frame += block_;
    if (crc_) {
        const unsigned crc = crc16(block_);
        frame += static_cast<char>(crc >> 8);
        frame += static_cast<char>(crc & 0xff);
        return frame;
    }
    unsigned sum = 0;
    for (const char c : block_)
        sum += static_cast<unsigned char>(c);
    return frame + static_cast<char>(sum & 0xff);
}

}  // namespace chalkline::machine
