// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/swatches/axis.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <algorithm>
#include <cmath>

using namespace chalkline;
using namespace chalkline::swatches;

namespace {

Axis axis(Variable what, double first, double last, int count) {
    return {what, first, last, count, false, {}};
}

bool said(const Adjusted& made, std::string_view code) {
    return std::any_of(made.said.begin(), made.said.end(), [&](const Notice& n) { return n.code == code; });
}

const machine::MachineProfile laser;

}  // namespace

TEST_CASE("the step lands on a round number and the last value follows it") {
    const Adjusted made = adjusted(axis(Variable::power, 20, 93, 6), laser);
    CHECK(step_of(made.axis) == 15);
    CHECK(values_of(made.axis) == std::vector<double>{20, 35, 50, 65, 80, 95});
    CHECK(said(made, notice::last_moved));
    // What is round already stays, without a word.
    CHECK(adjusted(axis(Variable::power, 10, 90, 5), laser).said.empty());
}

TEST_CASE("no value leaves what the machine can do") {
    // The nearest round step would end above full power.
    const Adjusted made = adjusted(axis(Variable::power, 10, 100, 4), laser);
    CHECK(made.axis.last <= 100);
    CHECK(adjusted(axis(Variable::speed, 0, 6000, 5), laser).axis.first >= 10);
    const Adjusted fast = adjusted(axis(Variable::speed, 1000, 90000, 5), laser);
    CHECK(said(fast, notice::lowered));
    CHECK(fast.axis.last <= laser.top_speed().mm_per_min());
}

TEST_CASE("ranges the wrong way round, without width or too long get help") {
    const Adjusted turned = adjusted(axis(Variable::speed, 6000, 1000, 6), laser);
    CHECK(said(turned, notice::ends_swapped));
    CHECK(values_of(turned.axis).front() == 1000);
    CHECK(said(adjusted(axis(Variable::speed, 0, 1000, 3), laser), notice::raised));
    const Adjusted one = adjusted(axis(Variable::power, 50, 50, 7), laser);
    CHECK(said(one, notice::one_value));
    CHECK(values_of(one.axis) == std::vector<double>{50});
    const Adjusted many = adjusted(axis(Variable::speed, 1000, 9000, 200), laser);
    CHECK(said(many, notice::fewer_values));
    CHECK(many.axis.count == most_values);
    CHECK(adjusted(axis(Variable::speed, std::nan(""), 1000, 3), laser).axis.first == 10);
}

TEST_CASE("passes are whole and never more than there may be") {
    const Adjusted made = adjusted(axis(Variable::passes, 1, 16.5, 8), laser);
    CHECK(values_of(made.axis) == std::vector<double>{1, 3, 5, 7, 9, 11, 13, 15});
    CHECK(adjusted(axis(Variable::passes, 1, 20, 20), laser).axis.last == 20);
}

TEST_CASE("a typed step decides how many values there are") {
    const Adjusted made = with_step(axis(Variable::line_pitch, 0.06, 0.2, 3), 0.03, laser);
    CHECK(made.axis.count == 5);
    CHECK(values_of(made.axis).back() == Approx(0.18));
    CHECK(with_step(axis(Variable::passes, 1, 4, 2), 0.4, laser).axis.count == 4);
    CHECK(with_step(axis(Variable::power, 10, 50, 3), 0, laser).axis.count == 3);
}

TEST_CASE("a geometric axis has equal ratios of two figures") {
    Axis speeds = axis(Variable::speed, 1000, 11000, 6);
    speeds.geometric = true;
    CHECK(values_of(adjusted(speeds, laser).axis) == std::vector<double>{1000, 1600, 2600, 4200, 6800, 11000});
}

TEST_CASE("whatever is typed, the values rise and the machine can do them") {
    rc::prop("sensible", [] {
        Axis any;
        any.what = *rc::gen::element(Variable::power, Variable::speed, Variable::line_pitch, Variable::passes,
                                     Variable::focus, Variable::shift, Variable::kerf, Variable::tone);
        any.first = *rc::gen::inRange(-200000, 200000) / 7.0;
        any.last = *rc::gen::inRange(-200000, 200000) / 11.0;
        any.count = *rc::gen::inRange(-3, 300);
        any.geometric = *rc::gen::arbitrary<bool>();
        const double step = *rc::gen::inRange(-1000, 1000) / 13.0;
        for (const Axis& made : {adjusted(any, laser).axis, with_step(any, step, laser).axis}) {
            const auto values = values_of(made);
            const auto [least, most] = bounds_of(made.what, laser);
            RC_ASSERT(!values.empty());
            RC_ASSERT(static_cast<int>(values.size()) <= most_values);
            for (std::size_t i = 0; i < values.size(); ++i) {
                RC_ASSERT(values[i] >= least - 1e-9);
                RC_ASSERT(values[i] <= most + 1e-9);
                if (i > 0 && !made.geometric) RC_ASSERT(values[i] > values[i - 1]);
            }
        }
    });
}

TEST_CASE("a value of an axis becomes a setting") {
    const steps::StepSettings base = steps::starting_point(steps::StepKind::engrave);
    CHECK(applied(base, axis(Variable::power, 0, 0, 1), 42).power == Power::percent(42));
    CHECK(applied(base, axis(Variable::speed, 0, 0, 1), 1500).speed == Speed::mm_per_min(1500));
    CHECK(applied(base, axis(Variable::line_pitch, 0, 0, 1), 0.2).line_pitch == Length::mm(0.2));
    CHECK(applied(base, axis(Variable::shift, 0, 0, 1), -0.1).fill.shift == Length::mm(-0.1));
    CHECK(applied(base, axis(Variable::focus, 0, 0, 1), 2).focus == Length::mm(2));
    const auto corner =
        applied(steps::starting_point(steps::StepKind::score), axis(Variable::corner_power, 0, 0, 1), 12);
    CHECK(corner.beam == steps::BeamControl::constant);
    CHECK(corner.low_power == Power::percent(12));
    for (int i = 0; i < variable_count; ++i) {
        const auto variable = static_cast<Variable>(i);
        CHECK(parse_variable(to_text(variable)) == variable);
    }
}
