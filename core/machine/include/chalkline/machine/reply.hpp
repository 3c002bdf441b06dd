// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <optional>
#include <string>
#include <string_view>
#include <utility>
#include <variant>

namespace chalkline::machine {

/// What the controller says it is doing.
enum class ControllerState { unknown, idle, run, hold, jog, alarm, door, check, home, sleep };
std::string_view to_text(ControllerState state);

namespace reply {

struct Ok {};
struct LineError {
    int number;
};
struct Alarm {
    int number;
};
struct Greeting {
    std::string version;
};
/// "$30=1000"
struct Setting {
    int number;
    double value;
};
/// "[OPT:VL,15,128]": planner blocks and receive buffer.
struct Options {
    int planner_blocks, receive_buffer;
};
/// "[G54:-400.000,-300.000,0.000]": a stored coordinate offset.
struct Offset {
    std::string name;
    geometry::Point place;
    double turned = 0;  ///< of a fourth axis
};
/// Any other bracketed or plain text, as it came.
struct Text {
    std::string text;
};
struct Status {
    ControllerState state = ControllerState::unknown;
    int sub = 0;                             ///< Hold:0 complete, Hold:1 still slowing; Door:0…3
    std::optional<geometry::Point> machine;  ///< MPos, mm (or inches, when $13 says so)
    std::optional<geometry::Point> work;     ///< WPos
    std::optional<geometry::Point> offset;   ///< WCO: machine − work
    double turned = 0, turned_offset = 0;    ///< the fourth axis in the place and in WCO; 0 without one
    std::optional<double> feed, power;
    std::optional<int> feed_override, power_override;
    std::string pins;         ///< of "Pn:"
    std::string accessories;  ///< of "A:"
    bool has_accessories = false;
};

}  // namespace reply

using Reply = std::variant<reply::Ok, reply::LineError, reply::Alarm, reply::Greeting, reply::Setting, reply::Options,
                           reply::Offset, reply::Status, reply::Text>;

/// Understands one line from a controller (public interface of Grbl 1.1, "Interface" document). Nothing it cannot
/// read is an error: it comes back as Text.
Reply parse_reply(std::string_view line);

/// Bytes of a link put together to lines.
class LineReader {
 public:
    /// Calls `handle` with every line that `bytes` end; without its ending, cut off at `longest`.
    template <class Handle>
    void read(std::string_view bytes, Handle handle) {
        for (const char c : bytes) {
            if (c == '\n')
                handle(std::exchange(begun_, {}));
            else if (c != '\r' && begun_.size() < longest)
                begun_ += c;
        }
    }
    /// Something came that no line ending followed yet.
    bool half_way() const { return !begun_.empty(); }
    static constexpr std::size_t longest = 4096;

 private:
    std::string begun_;
};

}  // namespace chalkline::machine
