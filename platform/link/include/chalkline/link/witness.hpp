// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/session.hpp>

namespace chalkline::link {

/// Sees the work under way as the machine reports it, on the link's thread, also while the program above stands still.
class Witness {
 public:
    virtual ~Witness() = default;
    /// Must not block.
    virtual void saw(const machine::Snapshot& now) = 0;
};

}  // namespace chalkline::link
