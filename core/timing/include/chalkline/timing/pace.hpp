// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

namespace chalkline::timing {

/// How true a plan's time turned out to be so far: what was carried out, as planned and as measured, holds left out.
struct Pace {
    double planned = 0, measured = 0;  ///< s

    /// Measured over planned; 1 while too little is known to say.
    double factor() const { return planned >= enough && measured > 0 ? measured / planned : 1; }
    static constexpr double enough = 20;  ///< s
};

}  // namespace chalkline::timing
