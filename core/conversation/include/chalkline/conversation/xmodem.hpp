// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <cstdint>
#include <functional>
#include <string>
#include <string_view>

namespace chalkline::machine {

/// Sends a text by XMODEM with blocks of 128 bytes, with Forsberg's CRC where the far end asks for it ('C') and with
/// Christensen's sum where it asks with NAK. The last block is filled with line feeds, which are empty lines of a
/// program. Pure: bytes and the clock go in, bytes come out.
class XmodemSender {
 public:
    enum class State { waiting, sending, ending, done, failed };

    /// `text`: gives up to so many further bytes of the file; less only at its end.
    using Source = std::function<std::string(std::size_t)>;
    explicit XmodemSender(Source text, double now) : text_(std::move(text)), heard_at_(now) {}

    /// Bytes of the far end. Returns what to send.
    std::string take(std::string_view bytes, double now);
    /// Gives up after a far end that says nothing for `patience`.
    void tick(double now);
    /// Tells the far end that nothing more comes: two bytes, which a controller that is not listening for blocks takes
    /// for resets.
    std::string cancel();

    State state() const { return state_; }
    bool over() const { return state_ == State::done || state_ == State::failed; }
    /// Bytes that arrived, filling included.
    std::int64_t arrived() const { return arrived_; }

    static constexpr double patience = 15;  ///< s
    static constexpr int most_tries = 10;   ///< of one block
    static constexpr std::size_t block_bytes = 128;

 private:
    std::string next_block(double now);
    std::string framed() const;

    Source text_;
    std::string block_;  ///< on its way
    unsigned number_ = 0;
    bool crc_ = true;
    int tries_ = 0;
    State state_ = State::waiting;
    std::int64_t arrived_ = 0;
    double heard_at_, sent_at_ = 0;
};

}  // namespace chalkline::machine
