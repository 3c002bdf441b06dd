// SPDX-License-Identifier: GPL-3.0-or-later
// Fuzz target for everything that is read and is no art: programs, jobs, and all that is JSON. Whatever the bytes,
// there is a value or an error. What was read is written and read once more: it must be the same.
#include <chalkline/clearance/clear.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/routine.hpp>
#include <chalkline/machine/program_text.hpp>
#include <chalkline/recipes/exchange.hpp>
#include <chalkline/simulator/board.hpp>
#include <chalkline/simulator/faults.hpp>
#include <chalkline/swatches/card_json.hpp>
#include <chalkline/swatches/results.hpp>

#include <cstdint>
#include <cstdlib>

using namespace chalkline;

namespace {

/// A program that can be read can be looked at, timed, encoded and checked, and is let through or not.
void try_program(const std::string& text) {
    const planning::CheckGround ground;
    auto program = machine::read_program(text, ground.machine, "fuzz");
    if (!program || program->operations.size() > 5000) return;
    const auto cleared = clearance::clear(clearance::FileRequest{std::move(*program), ground});
    if (cleared.program.has_value() != cleared.passed().has_value()) std::abort();
}

void try_profile(const std::string& text) {
    const auto profile = machine::parse_profile(text, "fuzz");
    if (!profile) return;
    const auto again = machine::parse_profile(machine::to_json(*profile), "again");
    if (!again || !(*again == *profile)) std::abort();
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    if (size == 0) return 0;
    const std::string text(reinterpret_cast<const char*>(data) + 1, size - 1);
    switch (data[0] % 9) {
        case 0:
            try_program(text);
            break;
        case 1:
            try_profile(text);
            break;
        case 2:
            (void)job::parse_chalk(text, "fuzz");
            break;
        case 3:
            (void)recipes::recipe_from_json(text);
            break;
        case 4:
            (void)swatches::card_from_json(text);
            break;
        case 5:
            (void)swatches::record_from_json(text);
            break;
        case 6:
            (void)job::routine_from_json(text);
            break;
        case 7:
            (void)simulator::parse_board(text, "fuzz");
            break;
        default:
            (void)simulator::parse_faults(text, "fuzz");
    }
    return 0;
}
