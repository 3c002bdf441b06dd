// SPDX-License-Identifier: GPL-3.0-or-later
// chalkline-bench [--json]: how fast things are, each beside a reference measured in the same run.
#include "bed_redraw.hpp"
#include "pictures.hpp"
#include "planning.hpp"

#include <QApplication>

int main(int argc, char** argv) {
    using namespace chalkline::bench;
    if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(argc, argv);
    std::vector<Figure> figures;
    for (const auto& measure : {bed_redraw, path_order, time_model, repeats, dithering, large_picture, proof_preview})
        for (Figure& figure : measure())
            figures.push_back(std::move(figure));
    QApplication::arguments().contains("--json") ? print_json(figures) : print_table(figures);
    return 0;
}
