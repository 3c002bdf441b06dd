// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/simulator/controller.hpp>

#include <cstdint>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::simulator {

/// One thing that goes wrong.
struct Fault {
    enum class Kind {
        garble_line,     ///< a digit on its way to the controller arrives as another one
        lose_line_byte,  ///< a byte on its way to the controller is lost
        garble_answer,   ///< the next answer arrives with a wrong sign in it
        lose_answer,     ///< the next `ok` never arrives
        double_answer,   ///< the next `ok` arrives twice
        delay,           ///< for `seconds` nothing passes either way, then all of it does
        pull_cable,      ///< for `seconds`, 0: for good
        foreign_line,    ///< a second program on the port sends `text`
        reset,           ///< the controller restarts by itself
        power_cut,       ///< for `seconds`
        limit_switch,    ///< the head runs into a switch
        open_door,       ///< for `seconds`
        press_hold,      ///< the hold switch is down for `seconds`
        change_setting,  ///< `text`, as "32=0", is written behind our back
        turn_knob,       ///< the beam's power is turned to `text` % at the machine
    };
    Kind kind = Kind::pull_cable;
    double at = 0;  ///< virtual s, or, for `at_line`, lines the controller has got
    bool at_line = false;
    double seconds = 0;
    std::string text{};
    std::uint32_t seed = 1;  ///< which digit, which sign
};

std::string_view to_text(Fault::Kind kind);

namespace error {
inline constexpr std::string_view bad_faults = "simulator.bad-faults";
}
/// Reads the JSON of docs/formats/simulator.md.
Result<std::vector<Fault>> parse_faults(std::string_view json, const std::string& file);

/// A controller and the cable to it, with faults at their time. Pure and deterministic like what it wraps.
class FaultyDevice : public Device {
 public:
    /// `device` speaks for `controller`: itself, or a board of another tongue. Both outlive this.
    FaultyDevice(Device& device, Controller& controller, std::vector<Fault> faults)
        : device_(device), controller_(controller), faults_(std::move(faults)) {}

    void receive(std::string_view bytes) override;
    void advance(double seconds) override;
    std::string take_output() override;
    bool at_rest() const override { return device_.at_rest(); }
    int room() const override { return device_.room(); }
    std::string greeting() const override { return device_.greeting(); }
    void opened() override { device_.opened(); }
    bool plugged_in() const override { return controller_.now() >= unplugged_until_; }

    /// Faults that have happened so far.
    std::size_t happened() const { return happened_; }

 private:
    void begin(const Fault& fault);
    void end_what_is_over();
    void damage_answer(std::string& line);

    Device& device_;
    Controller& controller_;
    std::vector<Fault> faults_;
    std::vector<char> done_ = std::vector<char>(faults_.size(), 0);
    std::size_t happened_ = 0;
    std::int64_t lines_ = 0;                                            ///< sent to the controller
    const Fault *on_the_way_in_ = nullptr, *on_the_way_out_ = nullptr;  ///< waiting for their byte or line
    double unplugged_until_ = 0, delayed_until_ = 0, dark_until_ = 0, door_until_ = 0, hold_until_ = 0;  ///< virtual s
    std::string held_in_, held_out_;  ///< what a delay keeps back
    std::string answer_;              ///< of the line that is not whole yet
};

}  // namespace chalkline::simulator
