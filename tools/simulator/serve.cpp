// SPDX-License-Identifier: GPL-3.0-or-later
#include "serve.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/machine/line_source.hpp>
#include <chalkline/pictures/png.hpp>
#include <chalkline/simulator/line_board.hpp>

#include <algorithm>
#include <bit>
#include <chrono>
#include <cmath>
#include <csignal>
#include <cstring>
#include <iostream>
#include <utility>

namespace chalkline::sim {
namespace {

volatile std::sig_atomic_t end_asked = 0;
volatile std::sig_atomic_t report_asked = 0;
volatile std::sig_atomic_t start_asked = 0;
volatile std::sig_atomic_t hurry_asked = 0;

constexpr double quantum = 0.01;    // s of virtual time run at a stretch when nothing is answered
constexpr double tick = 0.001;      // s of virtual time between looks for answers
constexpr double start_held = 0.5;  // s the start button stays down
constexpr int host_patience = 100;  // ms a host that answered so far may take to send the next line
constexpr int idle_patience = 2;    // ms for one that had nothing to send last time

double wall() {
    return std::chrono::duration<double>(std::chrono::steady_clock::now().time_since_epoch()).count();
}

bool write(const std::string& path, std::string_view bytes) {
    if (path.empty() || replace_file(path, bytes)) return true;
    std::cerr << "error: cannot write " << path << "\n";
    return false;
}

/// docs/formats/simulator.md: "CKDOSE1\n", columns, rows (int32), cells a mm (float32), then float32 cells.
std::string dose_bytes(const simulator::DoseMap& dose) {
    static_assert(std::endian::native == std::endian::little);
    std::string bytes = "CKDOSE1\n";
    const auto put = [&](const auto& value) { bytes.append(reinterpret_cast<const char*>(&value), sizeof value); };
    put(static_cast<std::int32_t>(dose.columns()));
    put(static_cast<std::int32_t>(dose.rows()));
    put(static_cast<float>(dose.cells_per_mm()));
    bytes.append(reinterpret_cast<const char*>(dose.cells().data()), dose.cells().size() * sizeof(float));
    return bytes;
}

class Server {
 public:
    Server(HostLink& link, simulator::Device& device, simulator::Controller& controller, const Options& options,
           const Helpers& helpers)
        : link_(link), device_(device), controller_(controller), options_(options), helpers_(helpers) {}

    void run() {
        double wall_before = wall();
        double owed = 0;  // s of virtual time
        while (end_asked == 0) {
            if (report_asked != 0) {
                report_asked = 0;
                helpers_.write();
            }
            hold_start_button();
            follow_cable();
            const bool resting = device_.at_rest();
            if (resting) follow_piece();
            take(resting ? 20 : 0);
            if (link_.take_new_connection()) meet_host();
            const double now = wall();
            if (hurry_asked != 0 || std::isinf(options_.speed)) {
                // A machine at rest has nothing to hurry for: virtual time then is real time.
                owed = resting ? now - wall_before : quantum;
            } else {
                owed = std::min(owed + (now - wall_before) * options_.speed, 0.2 * std::max(1.0, options_.speed));
            }
            wall_before = now;
            if (owed < tick) {
                take(1);
                continue;
            }
            // All of it, also after a nap at rest: else time would run slower there.
            while (owed >= tick && end_asked == 0) {
                owed -= play(std::min(owed, quantum));
                take(0);
            }
        }
    }

 private:
    /// Lets virtual time pass until something is answered; returns how much did.
    double play(double seconds) {
        double done = 0;
        while (done < seconds) {
            const double dt = std::min(tick, seconds - done);
            device_.advance(dt);
            done += dt;
            const std::string out = device_.take_output();
            if (out.empty()) continue;
            link_.send(out);
            // The clock stands while the host thinks about an answer that makes room, once it has all of the answer.
            unfinished_ += out;
            if (!unfinished_.ends_with('\n') && !unfinished_.ends_with('\r')) continue;
            const bool makes_room = std::exchange(unfinished_, {}).find("ok") != std::string::npos;
            if (makes_room) await_host();
            return done;
        }
        return done;
    }

    /// With room for a longest line a host that has anything to say can say it; with less it may have to wait itself.
    void await_host() {
        while (device_.room() > static_cast<int>(machine::longest_line)) {
            host_answers_ = take(host_answers_ ? host_patience : idle_patience);
            if (!host_answers_) return;
        }
    }

    void follow_cable() {
        const bool plugged = device_.plugged_in();
        if (plugged == plugged_) return;
        plugged_ = plugged;
        if (!plugged) return link_.unplug();
        if (!link_.plug_in()) std::cerr << "error: cannot serve again\n";
    }

    /// What the maker puts into the rotary, or takes out of it.
    void follow_piece() {
        constexpr double between_looks = 0.2;  // s
        if (options_.round_piece.empty() || wall() < looked_at_ + between_looks) return;
        looked_at_ = wall();
        const auto text = read_file(options_.round_piece);
        const std::string found = text ? *text : std::string();
        if (found == piece_) return;
        piece_ = found;
        helpers_.turn_piece(machine::parse_wall(found));
    }

    /// A finger stays on the button for a moment.
    void hold_start_button() {
        if (start_asked != 0) released_at_ = wall() + start_held;
        start_asked = 0;
        controller_.press_start(wall() < released_at_);
    }

    bool take(int milliseconds) {
        const std::string bytes = link_.receive(milliseconds);
        device_.receive(bytes);
        host_answers_ = host_answers_ || !bytes.empty();
        return !bytes.empty();
    }

    /// A board on a cable may start anew; one behind a network module does not, but it says hello.
    void meet_host() {
        device_.opened();
        if (link_.is_network() && !options_.board.restarts_on_open) link_.send(device_.greeting());
    }

    HostLink& link_;
    simulator::Device& device_;
    simulator::Controller& controller_;  ///< for its report and its start button
    const Options& options_;
    const Helpers& helpers_;
    double looked_at_ = -1;
    std::string piece_;  ///< what the file said last
    bool host_answers_ = true, plugged_ = true;
    double released_at_ = 0;
    std::string unfinished_;  ///< what was answered since the last whole line
};

}  // namespace

void install_signals() {
    struct sigaction action {};
    action.sa_handler = [](int) { end_asked = 1; };
    for (const int number : {SIGINT, SIGTERM, SIGHUP})
        ::sigaction(number, &action, nullptr);
    action.sa_handler = [](int) { report_asked = 1; };
    ::sigaction(SIGUSR1, &action, nullptr);
    action.sa_handler = [](int) { start_asked = 1; };
    ::sigaction(SIGUSR2, &action, nullptr);
    action.sa_handler = [](int) { hurry_asked = 1; };
    ::sigaction(SIGRTMIN, &action, nullptr);
    std::signal(SIGPIPE, SIG_IGN);
}

void serve(HostLink& link, simulator::Controller& controller, const Options& options, const Helpers& helpers) {
    std::optional<simulator::LineBoard> board;
    if (options.profile.dialect == machine::Dialect::line_by_line) board.emplace(controller);
    simulator::Device& whole = board ? static_cast<simulator::Device&>(*board) : controller;
    simulator::FaultyDevice device(whole, controller, options.faults);
    Server(link, device, controller, options, helpers).run();
}

bool write_results(const Options& options, const simulator::Controller& controller, const simulator::DoseMap& dose) {
    bool good = write(options.report, to_json(controller.report()));
    good = write(options.settings, controller.settings_text()) && good;
    if (!options.dose.empty()) good = write(options.dose, dose_bytes(dose)) && good;
    if (!options.picture.empty() &&
        !pictures::write_png(simulator::render(dose, options.piece), options.cells_per_mm, options.picture)) {
        std::cerr << "error: cannot write " << options.picture << "\n";
        good = false;
    }
    return good;
}

}  // namespace chalkline::sim
