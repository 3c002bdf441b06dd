// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "history/burn_history.hpp"

#include <QWidget>
#include <functional>

namespace chalkline::app {

/// What was burned, newest first: times, settings, how it came out. `open` takes a burn's job up again as it was,
/// `go_on` one that was not brought to its end.
void open_history_sheet(BurnHistory& history, std::function<void(const BurnRecord&)> open,
                        std::function<void(const BurnRecord&)> go_on, QWidget* over);

/// A burn that another Chalkline did not bring to its end: how far it came, and going on with it. `open` opens its job.
void open_broken_burn_sheet(BurnHistory& history, const BurnRecord& record, std::function<void()> open, QWidget* over);

}  // namespace chalkline::app
