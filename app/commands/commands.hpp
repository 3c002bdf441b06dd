// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QKeySequence>
#include <QObject>
#include <QString>
#include <functional>
#include <vector>

class QWidget;

namespace chalkline::app {

/// Something the maker can ask for by name or by keys.
struct Command {
    QString name;
    QString group;      ///< where it stands on the page of shortcuts
    QKeySequence keys;  ///< none: found by its name only
    std::function<void()> run;
};

/// Every command of the window, once: its keys, the search (Ctrl+K) and the page of shortcuts all come from here.
class Commands : public QObject {
    Q_OBJECT
 public:
    explicit Commands(QWidget* window);

    void add(const QString& group, const QString& name, const QKeySequence& keys, std::function<void()> run);
    /// More to be found than can be listed beforehand, such as recent jobs and recipes: asked anew at every search.
    void add_source(std::function<std::vector<Command>()> source) { sources_.push_back(std::move(source)); }
    const std::vector<Command>& all() const { return all_; }
    /// Those in whose name or group every word stands, commands first, then what the sources give; names that begin
    /// with the first word come before others.
    std::vector<Command> find(const QString& words) const;

 private:
    QWidget* window_;
    std::vector<Command> all_;
    std::vector<std::function<std::vector<Command>()>> sources_;
};

/// A field and what it finds, on a sheet over a view: typed, chosen by the arrow keys, run by Return.
void open_command_search(const Commands& commands, QWidget* over);
/// All shortcuts by group.
void open_shortcut_page(const Commands& commands, QWidget* over);

}  // namespace chalkline::app
