// SPDX-License-Identifier: GPL-3.0-or-later
#include "planning.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/base/file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/planning/tour.hpp>

#include <fmt/format.h>

#include <cmath>
#include <limits>
#include <random>

namespace chalkline::bench {
namespace {

using geometry::Point;
using planning::Stop;

std::vector<Stop> random_points(std::size_t count, unsigned seed) {
    std::mt19937 random(seed);
    std::uniform_real_distribution<double> side(0, 300);
    std::vector<Stop> stops(count);
    for (Stop& stop : stops)
        stop.doors = {{side(random), side(random)}};
    return stops;
}

double way_of(const std::vector<Stop>& stops, const std::vector<planning::Visit>& visits) {
    double way = 0;
    for (std::size_t i = 1; i < visits.size(); ++i)
        way += geometry::distance(stops[visits[i - 1].stop].doors[0], stops[visits[i].stop].doors[0]);
    return way;
}

/// No round trip through the points is shorter: the least 1-tree, its nodes priced until they have two links each
/// (M. Held, R. M. Karp, "The traveling-salesman problem and minimum spanning trees", 1971).
double held_karp_bound(const std::vector<Stop>& stops, double way) {
    const std::size_t n = stops.size();
    std::vector<double> price(n, 0);
    std::vector<int> last(n, 0);
    double best = 0, step = way / static_cast<double>(n) * 0.05;
    const auto link = [&](std::size_t a, std::size_t b) {
        return geometry::distance(stops[a].doors[0], stops[b].doors[0]) + price[a] + price[b];
    };
    for (int round = 0; round < 160; ++round) {
        std::vector<double> away(n, std::numeric_limits<double>::infinity());
        std::vector<std::size_t> from(n, 1);
        std::vector<int> links(n, 0);
        std::vector<char> inside(n, 0);
        double sum = 0;
        inside[1] = 1;
        for (std::size_t current = 1, count = 2; count < n; ++count) {
            std::size_t next = 0;
            double least = std::numeric_limits<double>::infinity();
            for (std::size_t i = 1; i < n; ++i) {
                if (inside[i]) continue;
                if (const double w = link(current, i); w < away[i]) {
                    away[i] = w;
                    from[i] = current;
                }
                if (away[i] < least) {
                    least = away[i];
                    next = i;
                }
            }
            inside[next] = 1;
            sum += least;
            ++links[next];
            ++links[from[next]];
            current = next;
        }
        std::size_t first = 1, second = 2;
        if (link(0, second) < link(0, first)) std::swap(first, second);
        for (std::size_t i = 3; i < n; ++i) {
            if (link(0, i) < link(0, first)) {
                second = first;
                first = i;
            } else if (link(0, i) < link(0, second)) {
                second = i;
            }
        }
        sum += link(0, first) + link(0, second);
        links[0] = 2;
        ++links[first];
        ++links[second];
        for (const double p : price)
            sum -= 2 * p;
        best = std::max(best, sum);
        for (std::size_t i = 0; i < n; ++i) {
            price[i] += step * (0.7 * (links[i] - 2) + 0.3 * last[i]);
            last[i] = links[i] - 2;
        }
        step *= 0.97;
    }
    return best;
}

double milliseconds(const std::function<void()>& work) {
    return timed(1, [&](int) { work(); })[0];
}

machine::Program wiggles(std::size_t moves) {
    machine::Program program;
    for (std::size_t i = 0; i < moves; ++i) {
        const double t = static_cast<double>(i) * 0.01;
        program.points.push_back({200 + 100 * std::cos(t), 150 + 100 * std::sin(1.1 * t)});
    }
    program.operations.push_back({machine::Travel{{200, 150}, true}, {}, {}});
    program.operations.push_back(
        {machine::Trace{0, static_cast<std::uint32_t>(moves), 5000}, Speed::mm_per_min(6000), {1, 1, 0}});
    return program;
}

Figure paced(const std::string& what, const machine::Program& program, std::size_t count) {
    const machine::MachineProfile machine;
    const auto took = timed(5, [&](int) { (void)timing::time_of(program, machine); });
    const double encoded = milliseconds([&] {
        machine::Encoder encoder(program, machine);
        for (machine::ProgramLine line; encoder.next(line);) {
        }
    });
    const double per = static_cast<double>(count) / 1e6;
    return {what, quantile(took, 0.5) / per, quantile(took, 0.95) / per, "encoding it", encoded / per, "ms a million"};
}

}  // namespace

machine::Program raster(std::size_t runs) {
    constexpr std::uint32_t in_a_row = 1000, micrometres = 300;
    machine::Program program;
    for (std::size_t row = 0; row * in_a_row < runs; ++row) {
        const double y = 1 + 0.1 * static_cast<double>(row % 2900), start = row % 2 == 0 ? 10 : 310;
        const auto first = static_cast<std::uint32_t>(program.runs.size());
        for (std::uint32_t i = 0; i < in_a_row; ++i)
            program.runs.push_back({micrometres, static_cast<machine::PowerValue>(i % 2 == 0 ? 5000 : 0)});
        program.operations.push_back({machine::Travel{{start, y}, row == 0}, Speed::mm_per_min(6000), {}});
        program.operations.push_back(
            {machine::Sweep{{320 - start, y}, first, in_a_row}, Speed::mm_per_min(6000), {1, 1, 0}});
    }
    return program;
}

std::vector<Figure> path_order() {
    std::vector<Figure> figures;
    std::vector<double> ratios;
    for (const unsigned seed : {1U, 2U, 3U}) {
        const auto stops = random_points(2000, seed);
        const double way = way_of(stops, planning::short_tour(stops, {}, {}));
        const double bound = held_karp_bound(stops, way);
        figures.push_back({"dark way, 2 000 points", way, way, "Held–Karp bound", bound, "mm"});
    }
    double small = 0, large = 0;
    {
        const auto stops = random_points(2000, 4);
        small = milliseconds([&] { (void)planning::short_tour(stops, {}, {}); });
    }
    const auto stops = random_points(20000, 5);
    std::vector<planning::Visit> visits;
    large = milliseconds([&] { visits = planning::short_tour(stops, {}, {}); });
    figures.push_back({"ordering 20 000 points", large, large, "ordering 2 000", small});
    // The shortest tour of many random points (D. S. Johnson, L. A. McGeoch, E. E. Rothberg, 1996).
    const double usual = 0.7124 * std::sqrt(20000.0 * 300 * 300);
    figures.push_back(
        {"dark way, 20 000 points", way_of(stops, visits), way_of(stops, visits), "the usual shortest", usual, "mm"});
    return figures;
}

std::vector<Figure> time_model() {
    return {paced("time model, short moves", wiggles(500000), 500000),
            paced("time model, raster runs", raster(2000000), 2000000)};
}

namespace {

job::Job job_of(const std::string& svg, double scale) {
    art::ReadOptions read;
    read.scale = scale;
    auto art = std::make_shared<const art::Artwork>(
        art::read(std::make_shared<const std::string>(svg), "drawing.svg", read).value());
    return job::place_art(job::add_art({}, art, {}), {2, 2});
}

/// Small triangles anyhow on a page of 390 × 290 mm.
std::string specks(int count) {
    std::mt19937 random(9);
    std::uniform_real_distribution<double> x(1, 388), y(1, 288), side(0.3, 0.9);
    std::string svg = "<svg xmlns='http://www.w3.org/2000/svg' width='390mm' height='290mm' viewBox='0 0 390 290'>";
    for (int i = 0; i < count; ++i)
        svg += fmt::format("<path d='M{:.2f} {:.2f} l{:.2f} 0.1 l-0.2 {:.2f} z'/>", x(random), y(random), side(random),
                           side(random));
    return svg + "</svg>";
}

/// A small busy drawing: a thousand little triangles, every fourth of them an area.
std::string busy_drawing() {
    std::mt19937 random(4);
    std::uniform_real_distribution<double> place(1, 22), side(0.2, 0.7);
    std::string svg = "<svg xmlns='http://www.w3.org/2000/svg' width='24mm' height='24mm' viewBox='0 0 24 24'>";
    for (int i = 0; i < 1000; ++i)
        svg += fmt::format("<path {} d='M{:.2f} {:.2f} l{:.2f} {:.2f} l{:.2f} {:.2f} z'/>",
                           i % 4 == 0 ? "fill='#000'" : "fill='none' stroke='#d00'", place(random), place(random),
                           side(random), side(random) / 3, -side(random) / 3, side(random));
    return svg + "</svg>";
}

/// A hundred copies of a drawing, ten in a row, against one.
Figure hundred(const std::string& what, const std::string& svg, double scale) {
    const machine::MachineProfile machine;
    const job::Job one = job_of(svg, scale);
    const job::Job many = job::repeat(one, {1}, {10, 10, 3, 4})->job;
    const auto single = timed(25, [&](int) { (void)planning::plan(one, machine); });
    const auto all = timed(25, [&](int) { (void)planning::plan(many, machine); });
    return {"plan of 100 " + what, quantile(all, 0.5), quantile(all, 0.95), "plan of one", quantile(single, 0.5)};
}

/// Squares of 3.5 mm anyhow on a page of 390 × 290 mm, black and white by turns.
std::string pile_of_squares(int count) {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> x(0, 386), y(0, 286);
    std::string svg = "<svg xmlns='http://www.w3.org/2000/svg' width='390mm' height='290mm' viewBox='0 0 390 290'>";
    for (int i = 0; i < count; ++i)
        svg += fmt::format("<rect x='{:.2f}' y='{:.2f}' width='3.5' height='3.5' fill='{}'/>", x(random), y(random),
                           i % 2 == 0 ? "#000" : "#fff");
    return svg + "</svg>";
}

}  // namespace

std::vector<Figure> covering() {
    const machine::MachineProfile machine;
    const job::Job many = job_of(pile_of_squares(30000), 1), third = job_of(pile_of_squares(10000), 1);
    job::Job bare = many;
    for (job::Motif& motif : bare.motifs) {
        art::Artwork art = *motif.art;
        art.read_with.cover = false;
        motif.art = std::make_shared<const art::Artwork>(art);
    }
    std::vector<double> covered, uncovered, fewer;
    for (int i = 0; i < 5; ++i) {  // by turns: a noisy machine is noisy for all
        covered.push_back(timed(1, [&](int) { (void)planning::plan(many, machine); })[0]);
        uncovered.push_back(timed(1, [&](int) { (void)planning::plan(bare, machine); })[0]);
        fewer.push_back(timed(1, [&](int) { (void)planning::plan(third, machine); })[0]);
    }
    const double median = quantile(covered, 0.5), slow = quantile(covered, 0.95);
    return {{"plan of 30 000 areas over one another", median, slow, "all burn", quantile(uncovered, 0.5)},
            {"plan of 30 000 areas over one another", median, slow, "10 000", quantile(fewer, 0.5)}};
}

std::vector<Figure> repeats() {
    const auto sample = [](const char* name) { return read_file(std::string(CHALKLINE_SAMPLES "/") + name).value(); };
    return {hundred("key tags", sample("key-tag.svg"), 0.75), hundred("small plates", sample("plate.svg"), 0.22),
            hundred("busy drawings", busy_drawing(), 1)};
}

std::vector<Figure> areas() {
    const machine::MachineProfile machine;
    const job::Job few = job_of(specks(3000), 1), many = job_of(specks(30000), 1);
    const auto small = timed(5, [&](int) { (void)planning::plan(few, machine); });
    const auto large = timed(3, [&](int) { (void)planning::plan(many, machine); });
    return {
        {"plan of 30 000 areas", quantile(large, 0.5), quantile(large, 0.95), "plan of 3 000", quantile(small, 0.5)}};
}

}  // namespace chalkline::bench
