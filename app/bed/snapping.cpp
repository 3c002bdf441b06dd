// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/snapping.hpp"

#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

struct Catch {
    double by = 0;
    std::optional<double> line;
};

Catch nearest(const std::vector<double>& lines, std::initializer_list<double> marks, double reach) {
    Catch best;
    double distance = reach;
    for (const double line : lines) {
        for (const double mark : marks) {
            // A little nearer must be really nearer, or the guide flickers between lines that coincide.
            if (std::abs(line - mark) > distance - 1e-9) continue;
            distance = std::abs(line - mark);
            best = {line - mark, line};
        }
    }
    return best;
}

}  // namespace

void SnapLines::add(const geometry::Box& box) {
    if (box.empty()) return;
    for (const double x : {box.left, box.centre().x, box.right})
        across.push_back(x);
    for (const double y : {box.bottom, box.centre().y, box.top})
        up.push_back(y);
}

SnapLines snap_lines(const job::Job& job, const machine::MachineProfile& machine, const job::Ids& moved) {
    SnapLines lines;
    if (job.stock) lines.add(geometry::bounds(job.stock->outline()));
    lines.add(machine.bed());
    for (const job::Motif& motif : job.motifs)
        if (std::find(moved.begin(), moved.end(), motif.id) == moved.end()) lines.add(job::bounds(motif));
    return lines;
}

Snap snap(const geometry::Box& box, const SnapLines& lines, double reach) {
    const auto x = nearest(lines.across, {box.left, box.centre().x, box.right}, reach);
    const auto y = nearest(lines.up, {box.bottom, box.centre().y, box.top}, reach);
    return {{x.by, y.by}, x.line, y.line};
}

Snap snap(geometry::Point place, const SnapLines& lines, double reach) {
    geometry::Box box;
    box.add(place);
    return snap(box, lines, reach);
}

}  // namespace chalkline::app
