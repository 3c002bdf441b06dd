// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>

#include <string>
#include <string_view>

namespace chalkline::pty {

namespace error {
inline constexpr std::string_view unavailable = "pty.unavailable";
inline constexpr std::string_view link_taken = "pty.link-taken";
}  // namespace error

/// The far end of a pseudo-terminal: what a controller is on a real cable. The near end, which hosts open, is
/// reached by a symbolic link.
class Pty {
 public:
    /// Makes one and the link to it. An old link at that place is replaced, any other file is not.
    static Result<Pty> open(const std::string& link);
    ~Pty();
    Pty(Pty&& other) noexcept;
    Pty& operator=(Pty&&) = delete;

    int descriptor() const { return master_; }

 private:
    Pty(int master, int slave, std::string link) : master_(master), slave_(slave), link_(std::move(link)) {}
    int master_, slave_;  ///< the near end stays open, so that hosts may come and go
    std::string link_;
};

}  // namespace chalkline::pty
