// SPDX-License-Identifier: GPL-3.0-or-later
#include "commands.hpp"
#include "output.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/history/burn_folders.hpp>

#include <fmt/format.h>

namespace chalkline::cli {
namespace {

const char* word_of(const history::BurnRecord& record) {
    if (!record.end) return history::BurnFolders::in_use(record) ? "running" : "broken-off";
    switch (*record.end) {
        case machine::BurnEnd::finished:
            return "finished";
        case machine::BurnEnd::stopped:
            return "stopped";
        case machine::BurnEnd::failed:
            return "failed";
    }
    return "";
}

Json json_of(const history::BurnRecord& record, std::size_t number) {
    const auto time = [](const QDateTime& at) {
        return at.isValid() ? Json(at.toString(Qt::ISODate).toStdString()) : Json(nullptr);
    };
    Json steps = Json::array();
    for (const QString& step : record.steps)
        steps.push_back(step.toStdString());
    return {{"burn", number},
            {"title", record.title.toStdString()},
            {"path", record.path.toStdString()},
            {"machine", record.machine.toStdString()},
            {"port", record.port.toStdString()},
            {"material", record.material.toStdString()},
            {"steps", steps},
            {"begun", time(record.begun)},
            {"ended", time(record.ended)},
            {"planned_s", record.planned},
            {"took_s", record.took},
            {"share", record.share},
            {"end", word_of(record)},
            {"note", record.note.toStdString()},
            {"folder", record.folder.toStdString()}};
}

}  // namespace

int run_history(const HistoryCommand& command) {
    const history::BurnFolders folders(history::BurnFolders::usual_place());
    const auto all = folders.records();
    if (command.burn > 0 && static_cast<std::size_t>(command.burn) > all.size())
        return report({std::string(error::no_such_burn), {}, {}, 0}, command.json);
    Json list = Json::array();
    for (std::size_t i = 0; i < all.size(); ++i) {
        if (command.burn > 0 && static_cast<std::size_t>(command.burn) != i + 1) continue;
        Json json = json_of(all[i], i + 1);
        if (command.burn > 0) {
            const auto journal = read_file(all[i].journal_file().toStdString());
            const machine::JournalNote last = journal ? machine::read_journal(*journal).last : machine::JournalNote{};
            json["done"] = {last.done.operation, last.done.part};
            json["head_mm"] = last.head ? Json{last.head->x, last.head->y} : Json(nullptr);
        }
        list.push_back(json);
    }
    if (command.json) {
        print(command.burn > 0 ? list.front() : Json{{"burns", list}});
        return done;
    }
    for (const Json& one : list)
        print_text(fmt::format("{:>3}  {}  {:<11} {:>3.0f} %  {}  {}", one["burn"].get<int>(),
                               one["begun"].get<std::string>(), one["end"].get<std::string>(),
                               one["share"].get<double>() * 100, one["title"].get<std::string>(),
                               one["machine"].get<std::string>()));
    if (list.empty()) print_text(translated("nothing was burned yet"));
    return done;
}

}  // namespace chalkline::cli
