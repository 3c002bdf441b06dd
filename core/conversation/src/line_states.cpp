// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/line_states.hpp>

namespace chalkline::machine {
namespace {

struct LineActivityOf {
    Activity operator()(const line_state::Opening&) const { return Activity::connecting; }
    Activity operator()(const line_state::Acting& acting) const { return acting.activity; }
    Activity operator()(const line_state::Streaming& streaming) const { return streaming.activity; }
    Activity operator()(const line_state::AtCard& card) const {
        return card.act == line_state::AtCard::Act::run ? Activity::burning : Activity::storing;
    }
    Activity operator()(const line_state::Stopping&) const { return Activity::stopping; }
    Activity operator()(const line_state::Closed&) const { return Activity::none; }
    Activity operator()(const line_state::GaveUp&) const { return Activity::none; }
    Activity operator()(const line_state::AtEase&) const { return Activity::none; }
    Activity operator()(const line_state::Halted&) const { return Activity::none; }
};

}  // namespace

Activity activity_of(const LineState& state) {
    return std::visit(LineActivityOf{}, state);
}

}  // namespace chalkline::machine
