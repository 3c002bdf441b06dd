// SPDX-License-Identifier: GPL-3.0-or-later
// chalkline-bench [--json] [NAME…]: how fast things are, each beside a reference measured in the same run.
#include "bed_redraw.hpp"
#include "pictures.hpp"
#include "planning.hpp"
#include "reading.hpp"

#include <QApplication>
#include <QRegularExpression>

int main(int argc, char** argv) {
    using namespace chalkline::bench;
    if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(argc, argv);
    const std::pair<const char*, std::vector<Figure> (*)()> measures[] = {
        {"start", starting},   {"read", reading},          {"bed", bed_redraw},        {"order", path_order},
        {"time", time_model},  {"repeats", repeats},       {"areas", areas},           {"cover", covering},
        {"dither", dithering}, {"picture", large_picture}, {"preview", proof_preview}, {"scrub", scrubbing}};
    const QStringList asked = QApplication::arguments().mid(1).filter(QRegularExpression("^[^-]"));
    std::vector<Figure> figures;
    for (const auto& [name, measure] : measures)
        if (asked.isEmpty() || asked.contains(name))
            for (Figure& figure : measure())
                figures.push_back(std::move(figure));
    QApplication::arguments().contains("--json") ? print_json(figures) : print_table(figures);
    return 0;
}
