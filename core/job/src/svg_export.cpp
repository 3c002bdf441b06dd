// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/job/svg_export.hpp>

#include <fmt/format.h>

#include <algorithm>

namespace chalkline::job {
namespace {

/// Thousandths of a millimetre, without needless zeros, the same in every locale.
std::string number(double value) {
    std::string text = fmt::format("{:.3f}", value);
    text.erase(text.find_last_not_of('0') + 1);
    if (text.ends_with('.')) text.pop_back();
    return text == "-0" ? "0" : text;
}

std::string path_data(const std::vector<geometry::Polyline>& lines, double bed_depth) {
    std::string data;
    for (const auto& line : lines) {
        for (std::size_t i = 0; i < line.points.size(); ++i)
            data += (i == 0   ? "M"
                     : i == 1 ? " L"
                              : " ") +
                    number(line.points[i].x) + " " + number(bed_depth - line.points[i].y);
        data += line.closed ? " Z " : " ";
    }
    if (!data.empty()) data.pop_back();
    return data;
}

std::string shape_element(const art::Shape& shape, const geometry::Transform& place, double bed_depth) {
    const std::string data = path_data(shape.path.flatten(place), bed_depth), rgb = to_text(shape.ink.rgb);
    if (shape.ink.kind == InkKind::line)
        return fmt::format("    <path fill=\"none\" stroke=\"{}\" stroke-width=\"0.1\" d=\"{}\"/>\n", rgb, data);
    const char* rule = shape.rule == geometry::FillRule::even_odd ? " fill-rule=\"evenodd\"" : "";
    return fmt::format("    <path fill=\"{}\"{} d=\"{}\"/>\n", rgb, rule, data);
}

/// A group of the shapes `wanted` says yes to; nothing when there are none.
template <class Wanted>
std::string group(const Job& job, const std::string& name, double bed_depth, Wanted wanted) {
    std::string inside;
    for (const Motif& motif : job.motifs)
        for (std::size_t shape = 0; shape < motif.art->shapes.size(); ++shape)
            if (wanted(motif, shape)) inside += shape_element(motif.art->shapes[shape], motif.place, bed_depth);
    return inside.empty() ? inside : fmt::format("  <g id=\"{}\">\n{}  </g>\n", name, inside);
}

}  // namespace

std::string to_svg(const Job& job, double bed_width, double bed_depth) {
    const std::string width = number(bed_width), depth = number(bed_depth);
    std::string svg = fmt::format(
        "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{0}mm\" "
        "height=\"{1}mm\" viewBox=\"0 0 {0} {1}\">\n",
        width, depth);
    for (std::size_t i = 0; i < job.steps.size(); ++i) {
        const Step& step = job.steps[i];
        svg += group(job, fmt::format("step-{}-{}", i + 1, steps::to_text(step.settings.kind)), bed_depth,
                     [&](const Motif& motif, std::size_t shape) { return Job::burns(step, motif, shape); });
    }
    svg += group(job, "not-burned", bed_depth, [&](const Motif& motif, std::size_t shape) {
        return std::none_of(job.steps.begin(), job.steps.end(),
                            [&](const Step& step) { return Job::burns(step, motif, shape); });
    });
    return svg + "</svg>\n";
}

}  // namespace chalkline::job
