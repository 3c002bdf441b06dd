// SPDX-License-Identifier: GPL-3.0-or-later
// Random faults at random moments of four burns; what broke off is gone on with and the piece is held against the
// uninterrupted one. Exit code 0 only when every piece came out right.
#include "trial.hpp"

#include <CLI/CLI.hpp>
#include <fmt/format.h>

#include <algorithm>
#include <chrono>
#include <iostream>
#include <map>
#include <set>

namespace {

using namespace chalkline;
using namespace chalkline::campaign;

struct Tally {
    int trials = 0, broke_off = 0, bad = 0;
    double most_twice_mm = 0, most_bent_mm2 = 0;
};

/// Goes round and round for so long in virtual time; true when memory stays as it was.
bool endure(const Work& work, double hours) {
    const Endured endured = burn_for(work, hours * 3600);
    std::cout << fmt::format("{:.1f} h of burning, {} lines: memory grew by {} KiB, starved {} times\n",
                             endured.seconds / 3600, endured.lines, endured.grown_kib, endured.starved);
    constexpr long flat = 2048;  // KiB: what the allocator may keep
    return endured.whole && endured.grown_kib < flat && endured.starved == 0;
}

bool bends(const Troubles& troubles) {
    return std::any_of(troubles.begin(), troubles.end(), [](const Trouble& trouble) { return trouble.bends_a_line(); });
}

void count_in(Tally& tally, const Burned& burned, const Verdict& verdict, const Troubles& troubles) {
    ++tally.trials;
    tally.broke_off += burned.breaks > 0 ? 1 : 0;
    tally.bad += verdict.good ? 0 : 1;
    if (!bends(troubles))
        tally.most_twice_mm = std::max(tally.most_twice_mm, verdict.twice_mm);
    else
        tally.most_bent_mm2 = std::max({tally.most_bent_mm2, verdict.gap_mm2, verdict.excess_mm2});
}

/// Each once.
std::set<std::string> names_of(const Troubles& troubles) {
    std::set<std::string> names;
    for (const Trouble& trouble : troubles)
        names.insert(trouble.name());
    return names;
}

void print(const std::map<std::string, Tally>& tallies) {
    std::cout << fmt::format("{:<16}{:>8}{:>12}{:>8}{:>18}{:>18}\n", "fault", "trials", "broke off", "wrong",
                             "most twice, mm", "most bent, mm²");
    for (const auto& [name, t] : tallies)
        std::cout << fmt::format("{:<16}{:>8}{:>12}{:>8}{:>18.1f}{:>18.2f}\n", name, t.trials, t.broke_off, t.bad,
                                 t.most_twice_mm, t.most_bent_mm2);
}

}  // namespace

int main(int argc, char** argv) {
    CLI::App app{"Faults in the middle of burns, against the uninterrupted burn.", "chalkline-campaign"};
    int runs = 1000;
    std::uint64_t seed = 1;
    std::string only;
    app.add_option("--runs", runs, "trials, spread over the works")->capture_default_str();
    app.add_option("--seed", seed, "of the first trial; each takes the next")->capture_default_str();
    app.add_option("--only", only, "one kind of fault");
    std::string board;
    app.add_option("--board", board,
                   "a board of samples/boards, or all of them in turn; the sample machine's otherwise");
    int count = 1;
    app.add_option("--troubles", count, "in every burn")->check(CLI::Range(1, 20))->capture_default_str();
    double hours = 0;
    app.add_option("--hours", hours, "burn for so long without a fault instead, and look at the memory");
    CLI11_PARSE(app, argc, argv);

    const auto kinds = boards(board);
    if (!kinds || kinds->empty()) {
        std::cerr << "error: there is no such board\n";
        return 3;
    }
    std::vector<Work> works;
    for (const simulator::Board& kind : *kinds) {
        const auto made = sample_works(kind);
        if (!made) {
            std::cerr << "error: the samples cannot be burned: " << made.error().code << "\n";
            return 3;
        }
        works.insert(works.end(), made->begin(), made->end());
    }
    if (hours > 0) return endure(works.front(), hours) ? 0 : 1;
    std::vector<Burned> once;
    for (const Work& work : works) {
        once.push_back(burn(work, {}));
        std::cout << fmt::format("{}, {}: {:.0f} s, {:.0f} mm lit\n", work.board.name, work.name, once.back().seconds,
                                 once.back().beam_on_mm);
        if (!once.back().finished) return 1;
    }
    std::map<std::string, Tally> tallies;
    Tally all;
    const auto began = std::chrono::steady_clock::now();
    double virtual_s = 0;
    for (std::uint64_t at = seed; all.trials < runs; ++at) {
        const std::size_t w = at % works.size();
        const Work& work = works[w];
        const Troubles troubles = random_troubles(work, at, count, burn_begins, once[w].seconds);
        const auto is_only = [&](const Trouble& trouble) { return trouble.name() == only; };
        if (!only.empty() && std::none_of(troubles.begin(), troubles.end(), is_only)) continue;
        const Burned burned = burn(work, troubles);
        const Verdict verdict = compare(work, once[w], burned, troubles);
        virtual_s += burned.seconds;
        count_in(all, burned, verdict, troubles);
        for (const std::string& name : names_of(troubles))
            count_in(tallies[name], burned, verdict, troubles);
        if (verdict.good) continue;
        std::cout << fmt::format("wrong: seed {} of “{}” on {}: {}\n", at, work.name, work.board.name, verdict.why);
        for (const Trouble& trouble : troubles)
            std::cout << fmt::format("    {} at {:.2f} s\n", trouble.name(), trouble.fault.at);
    }
    tallies["all"] = all;
    print(tallies);
    const double took = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
    std::cout << fmt::format("{:.0f} times as fast as real machines\n", virtual_s / took);
    return all.bad == 0 ? 0 : 1;
}
