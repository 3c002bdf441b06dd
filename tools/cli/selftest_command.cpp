// SPDX-License-Identifier: GPL-3.0-or-later
#include "conversation.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/selftest/self_test.hpp>

#include <fmt/format.h>

#include <QFileInfo>
#include <chrono>

namespace chalkline::cli {
namespace {

const char* to_text(machine::SelfTestLine::Verdict verdict) {
    static constexpr const char* words[] = {"good", "odd", "bad"};
    return words[static_cast<int>(verdict)];
}

}  // namespace

int run_selftest(const SelfTestCommand& command) {
    using namespace std::chrono_literals;
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    Conversation talk(command, *machine);
    talk.keep_wire();
    if (const auto failed = talk.connect()) return *failed;
    if (const auto failed = talk.settle_place()) return *failed;
    machine::SelfTest test(talk.machine(), talk.now(), talk.take_wire());
    const auto began = std::chrono::steady_clock::now();
    while (!test.over()) {
        const double now = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
        if (const auto failed = talk.follow(test, now)) return *failed;
    }
    for (const auto& [path, text] :
         {std::pair{command.output, test.report()},
          std::pair{
              command.board,
              test.board_file(QFileInfo(QString::fromStdString(command.board)).completeBaseName().toStdString())}})
        if (!path.empty())
            if (const auto kept = replace_file(path, text); !kept) return report(kept.error(), command.json);
    if (command.json) {
        Json lines = Json::array();
        for (const auto& line : test.lines())
            lines.push_back({{"exercise", line.exercise}, {"verdict", to_text(line.verdict)}, {"said", line.said}});
        print({{"port", command.port}, {"passed", test.passed()}, {"lines", lines}});
    } else {
        for (const auto& line : test.lines())
            print_text(fmt::format("{:<5} {:<10} {}", to_text(line.verdict), line.exercise, line.said));
        print_text(test.passed() ? translated("passed") : translated("not passed"));
    }
    return test.passed() ? done : machine_trouble;
}

}  // namespace chalkline::cli
