// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/profile.hpp>

namespace chalkline::link {

/// Writes to every link that is open what brings its machine to rest in the dark: hold and reset, or, line by line, the
/// end of the plan and the beam off. For the moment a program ends by a fault: nothing is allocated, no lock is taken,
/// nothing waited for. May be called from a signal handler.
void darken_open_links() noexcept;

/// While it lives, `darken_open_links` writes to `descriptor`, too.
class DarkenedOnFault {
 public:
    DarkenedOnFault(int descriptor, machine::Dialect dialect);
    ~DarkenedOnFault();
    DarkenedOnFault(const DarkenedOnFault&) = delete;
    DarkenedOnFault& operator=(const DarkenedOnFault&) = delete;

 private:
    int slot_ = -1;
};

}  // namespace chalkline::link
