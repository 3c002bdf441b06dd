// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/contract.hpp>

#include <cstddef>
#include <map>
#include <optional>
#include <string>
#include <string_view>

namespace chalkline::simulator {

/// The files on a board's card, and the one that is being carried out.
class Store {
 public:
    using Files = std::map<std::string, std::string>;

    explicit Store(Files files = {}) : files_(std::move(files)) {}
    const Files& files() const { return files_; }
    void write(const std::string& name, std::string text) { files_[name] = std::move(text); }
    bool remove(const std::string& name) { return files_.erase(name) > 0; }

    /// False when there is no such file.
    bool open(const std::string& name);
    void close() { running_.reset(); }
    bool runs() const { return running_.has_value(); }
    /// REQUIRES: runs().
    const std::string& name() const {
        CHALKLINE_REQUIRES(runs());
        return running_->name;
    }
    std::size_t bytes_read() const { return running_->at; }
    std::size_t bytes() const { return files_.at(running_->name).size(); }
    /// The next line of what runs, without its ending; nothing when it is read, and then nothing runs any more.
    std::optional<std::string> next_line();

 private:
    struct Running {
        std::string name;
        std::size_t at;
    };
    Files files_;
    std::optional<Running> running_;
};

/// The far end of an XMODEM transfer in CRC mode with blocks of 128 bytes (Christensen's protocol with Forsberg's CRC;
/// X.25 polynomial 0x1021 from 0). Pure: bytes and the clock in, bytes out.
class XmodemReceiver {
 public:
    /// Asks for the first block at once.
    explicit XmodemReceiver(double now) : asked_at_(now) {}
    /// What to send for these bytes.
    std::string take(std::string_view bytes);
    /// What to send for the time that passed: it asks every second until the first block comes.
    std::string tick(double now);
    /// Done: what came, filling included. Nothing: given up.
    bool over() const { return over_; }
    const std::optional<std::string>& received() const { return received_; }

 private:
    std::string block_, data_;
    std::optional<std::string> received_;
    unsigned expected_ = 1;
    double asked_at_;
    bool begun_ = false, over_ = false, asked_ = false;
};

}  // namespace chalkline::simulator
