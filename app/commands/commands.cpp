// SPDX-License-Identifier: GPL-3.0-or-later
#include "commands/commands.hpp"

#include <QShortcut>
#include <QStringList>
#include <QWidget>
#include <algorithm>

namespace chalkline::app {

Commands::Commands(QWidget* window) : QObject(window), window_(window) {}

void Commands::add(const QString& group, const QString& name, const QKeySequence& keys, std::function<void()> run) {
    if (!keys.isEmpty()) connect(new QShortcut(keys, window_), &QShortcut::activated, window_, run);
    all_.push_back({name, group, keys, std::move(run)});
}

std::vector<Command> Commands::find(const QString& words) const {
    const QStringList wanted = words.split(' ', Qt::SkipEmptyParts);
    std::vector<Command> found;
    const auto take = [&](const std::vector<Command>& some) {
        for (const Command& command : some) {
            const QString all = command.name + ' ' + command.group;
            if (std::all_of(wanted.begin(), wanted.end(),
                            [&](const QString& word) { return all.contains(word, Qt::CaseInsensitive); }))
                found.push_back(command);
        }
    };
    take(all_);
    for (const auto& source : sources_)
        take(source());
    if (!wanted.isEmpty())
        std::stable_partition(found.begin(), found.end(), [&](const Command& command) {
            return command.name.startsWith(wanted.front(), Qt::CaseInsensitive);
        });
    return found;
}

}  // namespace chalkline::app
