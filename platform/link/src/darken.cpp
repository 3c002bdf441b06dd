// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/link/darken.hpp>

#include <unistd.h>

#include <array>
#include <atomic>
#include <string_view>

namespace chalkline::link {
namespace {

// A line feed ends whatever half a line is on its way.
constexpr std::string_view hold_and_reset = "!\x18", end_of_plan = "\nM410\nM5\n";

/// The one state a signal handler can reach. A program has one link, a test some more.
struct Slot {
    std::atomic<int> descriptor{-1};
    std::atomic<bool> realtime{true};
};
std::array<Slot, 16> slots;

}  // namespace

void darken_open_links() noexcept {
    for (const Slot& slot : slots) {
        const int descriptor = slot.descriptor.load();
        if (descriptor < 0) continue;
        const std::string_view bytes = slot.realtime.load() ? hold_and_reset : end_of_plan;
        const ssize_t written = ::write(descriptor, bytes.data(), bytes.size());
        static_cast<void>(written);
    }
}

DarkenedOnFault::DarkenedOnFault(int descriptor, machine::Dialect dialect) {
    for (std::size_t i = 0; i < slots.size(); ++i) {
        int free = -1;
        if (!slots[i].descriptor.compare_exchange_strong(free, descriptor)) continue;
        slots[i].realtime = dialect == machine::Dialect::realtime;
        slot_ = static_cast<int>(i);
        return;
    }
}

DarkenedOnFault::~DarkenedOnFault() {
    if (slot_ >= 0) slots[static_cast<std::size_t>(slot_)].descriptor = -1;
}

}  // namespace chalkline::link
