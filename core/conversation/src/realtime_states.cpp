// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/realtime_states.hpp>

namespace chalkline::machine {
namespace {

struct RealtimeActivityOf {
    Activity operator()(const realtime_state::Opening&) const { return Activity::connecting; }
    Activity operator()(const realtime_state::Homing&) const { return Activity::homing; }
    Activity operator()(const realtime_state::Jogging&) const { return Activity::jogging; }
    Activity operator()(const realtime_state::Probing&) const { return Activity::probing; }
    Activity operator()(const realtime_state::Pulsing&) const { return Activity::pulsing; }
    Activity operator()(const realtime_state::Streaming& streaming) const { return streaming.activity; }
    Activity operator()(const realtime_state::AtCard& card) const {
        return card.act == realtime_state::AtCard::Act::run ? Activity::burning : Activity::storing;
    }
    Activity operator()(const realtime_state::Stopping&) const { return Activity::stopping; }
    Activity operator()(const realtime_state::Closed&) const { return Activity::none; }
    Activity operator()(const realtime_state::GaveUp&) const { return Activity::none; }
    Activity operator()(const realtime_state::AtEase&) const { return Activity::none; }
};

}  // namespace

Activity activity_of(const RealtimeState& state) {
    return std::visit(RealtimeActivityOf{}, state);
}

}  // namespace chalkline::machine
