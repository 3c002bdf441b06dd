// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/contract.hpp>

#include <cstdio>
#include <cstdlib>

namespace chalkline {

void contract_broken(const char* condition, const char* file, int line) {
    std::fprintf(stderr, "%s:%d: broken contract: %s\n", file, line, condition);
    std::abort();
}

}  // namespace chalkline
