// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/units_text.hpp>
#include <chalkline/clearance/program_file.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <string_view>
#include <utility>

namespace chalkline::clearance {
namespace {

/// Letters of Latin scripts by their nearest plain ones; round brackets would end the comment, and ! ? ~ act at once.
std::string plain(std::string_view text) {
    static constexpr std::array<std::pair<std::string_view, std::string_view>, 20> spelled{
        {{"ä", "ae"}, {"ö", "oe"}, {"ü", "ue"}, {"Ä", "Ae"}, {"Ö", "Oe"}, {"Ü", "Ue"}, {"ß", "ss"},
         {"é", "e"},  {"è", "e"},  {"ê", "e"},  {"á", "a"},  {"à", "a"},  {"ó", "o"},  {"ñ", "n"},
         {"ç", "c"},  {"å", "a"},  {"ø", "o"},  {"×", "x"},  {"²", "2"},  {"·", "-"}}};
    std::string result;
    while (!text.empty()) {
        const auto found = std::find_if(spelled.begin(), spelled.end(),
                                        [&](const auto& pair) { return text.starts_with(pair.first); });
        if (found != spelled.end()) {
            result += found->second;
            text.remove_prefix(found->first.size());
            continue;
        }
        const char c = text.front();
        text.remove_prefix(1);
        if (c >= 0x20 && c < 0x7f)
            result += c == '(' || c == ')' || c == '!' || c == '?' || c == '~' ? '_' : c;
        else if ((c & 0xc0) != 0x80)  // one sign for a letter of several bytes
            result += '_';
    }
    return result;
}

std::string comment(std::string_view text) {
    constexpr std::size_t room = machine::longest_line - 2;
    return "(" + plain(text).substr(0, room) + ")\n";
}

}  // namespace

std::string program_file(const std::string& title, const job::Job& job, const planning::Plan& plan,
                         const ClearedProgram& program) {
    const auto minutes = [](Duration time) {
        const auto seconds = static_cast<long>(time.seconds() + 0.5);
        return fmt::format("{}:{:02} min", seconds / 60, seconds % 60);
    };
    std::string text = comment("job: " + title) + comment("machine: " + program.machine().name);
    if (job.stock) text += comment(fmt::format("stock: {} {:g} mm", job.stock->material, job.stock->thickness.mm()));
    text += comment(fmt::format("box: X {:.1f} to {:.1f}, Y {:.1f} to {:.1f} mm", plan.burn_box.left,
                                plan.burn_box.right, plan.burn_box.bottom, plan.burn_box.top));
    int number = 0;
    for (const planning::StepReport& report : plan.steps) {
        const job::Step* step = job.step(report.step);
        if (!step) continue;
        const steps::StepSettings& settings = step->settings;
        text += comment(fmt::format("step {}: {} {:g} % {:g} mm/min, passes: {}, {}", ++number,
                                    steps::to_text(settings.kind), settings.power.percent(),
                                    settings.speed.mm_per_min(), settings.passes, minutes(report.time)));
        if (!step->note.empty()) text += comment("  " + step->note);
    }
    text += comment("about " + minutes(plan.total));
    return text + program.text();
}

}  // namespace chalkline::clearance
