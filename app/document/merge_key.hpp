// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <optional>

namespace chalkline::app {

/// What a maker is in the middle of: changes of one gesture on one thing that follow each other are one step of the
/// history.
enum class Gesture {
    drag_art,
    nudge_art,
    drag_stock,
    type_text,
    drag_dose,
    drag_tone,
    drag_curve,
    drag_crop,
    drag_subject,
};

struct MergeKey {
    Gesture gesture;
    int object = 0;  ///< which of its kind; 0 where there is only one
    bool operator==(const MergeKey&) const = default;
};

/// Nothing: a step of its own.
using Merge = std::optional<MergeKey>;

}  // namespace chalkline::app
