// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <functional>
#include <stop_token>
#include <string_view>

namespace chalkline {

namespace error {
inline constexpr std::string_view cancelled = "base.cancelled";
}

/// How long work reports and is asked to stop. A long function takes one, calls `at` now and then with the
/// share done (0…1), and returns `error::cancelled` soon after `stop` asks for it. Called on the working thread.
struct Watch {
    std::stop_token stop;
    std::function<void(double)> report;

    void at(double share) const {
        if (report) report(share);
    }
    bool cancelled() const { return stop.stop_requested(); }
};

}  // namespace chalkline
