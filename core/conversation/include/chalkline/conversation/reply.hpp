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
    int number;  ///< 0: stated in words
};
struct Alarm {
    int number;  ///< 0: stated in words
};
struct Greeting {
    std::string version;
};
/// "$30=1000", in many builds with a description behind: "$22=1 (homing cycle, bool)".
struct Setting {
    int number;
    double value;
};
/// "[OPT:VL,15,128]": moves the planner can hold, and bytes the receive buffer can. Builds with more to say put it
/// behind.
struct Options {
    int planner_blocks, receive_buffer;
};
/// Other lines of the build info: "[VER:1.1f.20170801:]", "[FIRMWARE:…]", "[AXS:3:XYZ]", "[NEWOPT:…]".
struct BuildInfo {
    std::string key, value;
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
/// A line that was an answer before something happened to it on its way: "oK", "er2or:20".
struct Garbled {
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
    std::optional<int> free_blocks, free_bytes;  ///< of "Bf:"
    std::string pins;                            ///< of "Pn:"
    std::optional<double> store_share;           ///< of "SD:": % of the file that runs from the store
    /// Of "A:", which stands in a report with overrides when anything is on: the outputs at that moment. Absent where
    /// the report has neither.
    std::optional<std::string> accessories;
};

}  // namespace reply

using Reply = std::variant<reply::Ok, reply::LineError, reply::Alarm, reply::Greeting, reply::Setting, reply::Options,
                           reply::BuildInfo, reply::Offset, reply::Status, reply::Text, reply::Garbled>;

/// Understands one line from a controller (public interface of Grbl 1.1, "Interface" document, and the builds that
/// follow it). Nothing it cannot read is an error: it comes back as Text, or as Garbled where it resembles an answer.
Reply parse_reply(std::string_view line);

/// Bytes of a link put together to lines, which boards end with a carriage return, a line feed or both.
class LineReader {
 public:
    /// Calls `handle` with every line that `bytes` end; without its ending, cut off at `longest`. Empty lines are
    /// passed over.
    template <class Handle>
    void read(std::string_view bytes, Handle handle) {
        for (const char c : bytes) {
            if (c == '\n' || c == '\r') {
                if (!begun_.empty()) handle(std::exchange(begun_, {}));
            } else if (begun_.size() < longest) {
                begun_ += c;
            }
        }
    }
    /// Something came that no line ending followed yet.
    bool half_way() const { return !begun_.empty(); }
    static constexpr std::size_t longest = 4096;

 private:
    std::string begun_;
};

}  // namespace chalkline::machine
