// SPDX-License-Identifier: GPL-3.0-or-later
// What is seen of paint over paint: areas by ink against areas worked out by hand.
#include "doubles.hpp"
#include "drawings.hpp"
#include "support/seen_drawings.hpp"

using namespace chalkline;
using namespace chalkline::art;
using namespace drawings;

TEST_CASE("what is seen of paint over paint is what burns") {
    REQUIRE(test::drawings_seen.size() >= 60);
    for (const test::Seen& seen : test::drawings_seen) {
        INFO(seen.what);
        const Artwork art = drawing(seen.inside);
        test::Areas found;
        for (const InkSummary& ink : measured_inks(art))
            if (ink.ink.kind == InkKind::fill) found[chalkline::to_text(ink.ink.rgb)] = ink.area;
        for (const auto& [colour, area] : seen.areas) {
            INFO(colour);
            CHECK(found[colour] == Approx(area).epsilon(0.005).margin(0.01));
        }
        for (const auto& [colour, area] : found) {
            INFO(colour << " not expected");
            CHECK((seen.areas.contains(colour) || area < 0.01));
        }
    }
}
