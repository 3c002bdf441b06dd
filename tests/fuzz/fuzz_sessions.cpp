// SPDX-License-Identifier: GPL-3.0-or-later
// Fuzz target for conversations: whatever a board says, and whatever is asked of the session meanwhile, it ends in a
// state it names, asks for no beam that was not cleared, and sends nothing after the link is gone.
#include <chalkline/clearance/clear.hpp>
#include <chalkline/conversation/session.hpp>

#include <cstdint>
#include <cstdlib>

using namespace chalkline;
using namespace chalkline::machine;

namespace {

const clearance::ClearedProgram& square() {
    static const clearance::ClearedProgram cleared = [] {
        Program program;
        program.points = {{30, 10}, {30, 30}, {10, 30}, {10, 10}};
        program.operations = {{Beam{BeamMode::following}, Speed::mm_per_min(3000), {}},
                              {Travel{{10, 10}, true}, Speed::mm_per_min(3000), {}},
                              {Trace{0, 4, 5000}, Speed::mm_per_min(3000), {1, 0, 0}},
                              {Beam{BeamMode::off}, Speed::mm_per_min(3000), {}}};
        const planning::CheckGround ground;
        return clearance::clear(clearance::FileRequest{std::move(program), ground}).passed().value();
    }();
    return cleared;
}

/// One act of the maker's, by a number.
void act(Session& session, std::uint8_t which) {
    switch (which % 16) {
        case 0:
            (void)session.home();
            break;
        case 1:
            (void)session.unlock();
            break;
        case 2:
            (void)session.jog({5, 0}, Speed::mm_per_min(1000));
            break;
        case 3:
            session.cancel_jog();
            break;
        case 4:
            (void)session.stands_at({20, 20});
            break;
        case 5:
            (void)session.burn(square(), {{1, {120, 90}}});
            break;
        case 6:
            (void)session.frame(square());
            break;
        case 7:
            session.hold();
            break;
        case 8:
            session.resume();
            break;
        case 9:
            session.stop();
            break;
        case 10:
            (void)session.trim(150, 200);
            break;
        case 11:
            (void)session.list_store();
            break;
        case 12:
            (void)session.store("FUZZ.NC", square());
            break;
        case 13:
            (void)session.run_stored({"FUZZ.NC", 120}, square());
            break;
        case 14:
            (void)session.send_line("G99");
            break;
        default:
            (void)session.write_setting(32, 1);
    }
}

}  // namespace

/// Bytes from 0x01 to 0x08 let time pass, from 0xe0 on ask for something, the rest is what the board says.
extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    if (size == 0) return 0;
    MachineProfile profile;
    if (data[0] & 1) profile.dialect = Dialect::line_by_line;
    if (data[0] & 2) profile.home = HomeCorner::none;
    const auto session = make_session(profile, 0.2);
    double now = 0;
    session->opened(now);
    std::size_t sent = 0;
    for (std::size_t i = 1; i < size; ++i) {
        const std::uint8_t byte = data[i];
        if (byte >= 0xe0) {
            act(*session, byte);
        } else if (byte > 0 && byte < 9) {
            now += 0.1 * byte * byte;
            session->tick(now);
        } else {
            const char said = static_cast<char>(byte);
            session->received({&said, 1}, now);
        }
        sent += session->take_output().size();
        (void)session->take_events();
    }
    session->stop();
    for (int i = 0; i < 100; ++i) {
        now += 0.1;
        session->tick(now);
        sent += session->take_output().size();
    }
    // A stop ends, whatever is answered or not.
    if (session->snapshot().activity == Activity::stopping) std::abort();
    session->closed("fuzz", now);
    session->tick(now + 1);
    if (!session->take_output().empty() || session->snapshot().connected) std::abort();
    return sent > 100'000'000 ? std::abort(), 0 : 0;
}
