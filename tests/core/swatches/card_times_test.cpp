// SPDX-License-Identifier: GPL-3.0-or-later
// Cards on simulated machines of several characters: nothing is refused or violated, and the time is as said.
#include "cards.hpp"

using namespace chalkline;
using namespace chalkline::swatches;
using chalkline::test::birch;
using chalkline::test::computer;

TEST_CASE("every ready card burns on every kind of machine, in the time that was said") {
    for (const auto& [name, profile] : test::characters()) {
        Ground ground = birch();
        ground.machine = profile;
        for (int i = 0; i < ready_count; ++i) {
            Card card = ready_card(static_cast<Ready>(i), ground);
            card.code = "K7Q2";
            if (card.shape == Shape::square || card.shape == Shape::bars || card.shape == Shape::patch)
                card.width = card.height = 3;
            CAPTURE(name, to_text(static_cast<Ready>(i)));
            const auto made = card_job(card, profile, {}, computer());
            REQUIRE(made);
            const auto plan = planning::plan(made->job, profile);
            REQUIRE(plan);
            const double took = test::seconds_on(plan->program, profile);
            CHECK(plan->total.seconds() == Approx(took).epsilon(0.02).margin(0.1));
        }
    }
}
