// SPDX-License-Identifier: GPL-3.0-or-later
#include "serve.hpp"

#include <chalkline/base/file.hpp>

#include <iostream>

int main(int argc, char** argv) {
    using namespace chalkline;
    const sim::Parsed parsed = sim::parse_options(argc, argv);
    if (parsed.exit_code) return *parsed.exit_code;
    const sim::Options& options = parsed.options;

    simulator::Controller controller(options.profile, options.board);
    if (!options.settings.empty())
        if (const auto kept = read_file(options.settings)) controller.load_settings(*kept);
    simulator::DoseMap dose(options.profile.width, options.profile.depth, options.cells_per_mm, options.profile.spot);
    controller.set_dose_map(&dose);
    if (options.has_stock) controller.set_stock(options.piece.outline);

    const auto turn_piece = [&](const std::optional<machine::RoundWall>& wall) {
        controller.set_round_piece(wall);
        const double width = wall ? wall->length : options.profile.width;
        const double depth = wall ? wall->turn : options.profile.depth;
        dose = simulator::DoseMap(width, depth, options.cells_per_mm, options.profile.spot);
    };

    sim::install_signals();
    auto link = options.tcp != 0 ? sim::HostLink::on_tcp(options.tcp) : sim::HostLink::on_pty(options.pty);
    if (!link) {
        std::cerr << "error: cannot serve on " << link.error().file;
        for (const auto& [name, value] : link.error().parameters)
            std::cerr << ": " << value;
        std::cerr << "\n";
        return 4;
    }
    std::cout << "serving " << options.profile.name << " on "
              << (options.tcp != 0 ? "tcp:127.0.0.1:" + std::to_string(options.tcp) : options.pty) << std::endl;
    const auto write = [&] { return sim::write_results(options, controller, dose); };
    sim::serve(*link, controller, options, {write, turn_piece});
    return write() ? 0 : 2;
}
