// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "jobs.hpp"

#include <chalkline/simulator/controller.hpp>
#include <chalkline/simulator/dose_map.hpp>
#include <chalkline/simulator/faults.hpp>

#include <cstdint>
#include <string>
#include <vector>

namespace chalkline::campaign {

/// What goes wrong: on the machine's side, or on ours.
struct Trouble {
    enum class Host {
        none,
        stall,  ///< Chalkline or the whole computer stands for `fault.seconds`
        kill    ///< Chalkline is ended; another one reads what it kept, the journal's last line torn
    };
    Host host = Host::none;
    simulator::Fault fault;

    std::string name() const;
    /// Boards that read line by line have no hold: door, hold switch and limit switches end in their own ways there.
    bool happens_to(const Work& work) const;
    /// Another line than ours may have been carried out: there is no checksum on the link.
    bool bends_a_line() const;
};

/// The piece after a burn.
struct Burned {
    bool finished = false;
    double seconds = 0;  ///< virtual, from the first line to the last
    double beam_on_mm = 0;
    double at_rest_s = 0;               ///< longest time the beam stood lit on one place
    int breaks = 0;                     ///< times it broke off and was gone on with
    double allowed_mm = 0;              ///< what planner and buffer could hold at the breaks
    std::vector<double> first_lines{};  ///< s; when a Chalkline that had seen nothing yet began to send
    simulator::DoseMap dose, allowed;
    std::string last_word{};  ///< code of the last thing that failed
};

using Troubles = std::vector<Trouble>;

/// Burns a work as a careful maker would, whatever happens meanwhile: what broke off is gone on with, home is found
/// where the place is not sure, doors are shut and holds ended. Deterministic.
Burned burn(const Work& work, const Troubles& troubles);

/// `count` random troubles at random moments of a burn that takes `seconds`, those that can happen to this work.
Troubles random_troubles(const Work& work, std::uint64_t seed, int count, double begins, double seconds);

/// One burn held against the uninterrupted one.
struct Verdict {
    double gap_mm2 = 0;     ///< burned too little
    double excess_mm2 = 0;  ///< burned too much outside what may burn twice
    double twice_mm = 0;    ///< lit way beyond the uninterrupted one
    bool good = false;
    std::string why;
};
Verdict compare(const Work& work, const Burned& once, const Burned& burned, const Troubles& troubles);

/// A work burned over and over as one program.
struct Endured {
    bool whole = false;  ///< it came to its end
    double seconds = 0;  ///< virtual
    std::int64_t lines = 0, starved = 0;
    long grown_kib = 0;  ///< resident memory, from a tenth of the time on
};
Endured burn_for(const Work& work, double seconds);

/// Virtual seconds before the first line of a burn is sent.
inline constexpr double burn_begins = 20;

}  // namespace chalkline::campaign
