// SPDX-License-Identifier: GPL-3.0-or-later
// How much is done for one drawing before it is refused: a few bytes can ask for hours.
#pragma once
#include <cstdint>

namespace chalkline::art {

/// Counted in steps of some 50 ns, not in time, so that a drawing is read or refused alike on every computer.
class Effort {
 public:
    static constexpr std::int64_t most = 400'000'000;  ///< about half a minute

    /// REQUIRES: steps not negative.
    void spend(std::int64_t steps) { spent_ += steps < most ? steps : most; }
    bool exhausted() const { return spent_ > most; }

    // What things cost.
    static constexpr std::int64_t element = 100;        ///< found, styled, placed
    static constexpr std::int64_t point = 4;            ///< mapped, flattened, kept
    static constexpr std::int64_t combined_point = 40;  ///< of areas that are put together
    static constexpr std::int64_t letter = 400;         ///< kept, shaped, placed
    static constexpr std::int64_t painted_tile = 2000;  ///< surfaces for it, whatever its size
    static constexpr std::int64_t dots_painted = 4;     ///< so many cost a step

 private:
    std::int64_t spent_ = 0;
};

}  // namespace chalkline::art
