// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/autosave.hpp"
#include "history/burn_history.hpp"

#include <functional>
#include <optional>
#include <vector>

namespace chalkline::app {

/// What can be done with what a Chalkline left behind that ended without closing.
struct LeftOpenActs {
    std::function<void(const BurnRecord&)> go_on, give_up;
    std::function<void(const LeftBehind&)> recover;
};

/// Everything left behind in one list: a burn that broke off, and every job with changes that were not saved. What is
/// not taken up is offered again at the next start. REQUIRES: there is something.
void open_left_open_sheet(const std::optional<BurnRecord>& burn, const std::vector<LeftBehind>& jobs,
                          const LeftOpenActs& acts, QWidget* over);

}  // namespace chalkline::app
