// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "tasks/task_runner.hpp"

#include <chalkline/link/session_runner.hpp>
#include <chalkline/ports/ports.hpp>

#include <QObject>
#include <QSet>
#include <QStringList>
#include <QTimer>
#include <memory>
#include <vector>

namespace chalkline::app {

/// The serial ports of this computer as they come and go.
class PortWatch : public QObject {
    Q_OBJECT
 public:
    using Lister = std::function<std::vector<ports::Port>()>;
    explicit PortWatch(QObject* parent, Lister list = ports::list);
    const std::vector<ports::Port>& ports() const { return ports_; }
    /// It appeared after the watch began.
    bool just_plugged_in(const std::string& path) const { return fresh_.contains(QString::fromStdString(path)); }
    /// Paths that were there and are gone, newest last.
    const QStringList& gone() const { return gone_; }

 Q_SIGNALS:
    void changed();

 private:
    void look();
    void take(std::vector<ports::Port> now);
    Lister list_;
    std::vector<ports::Port> ports_;
    QSet<QString> fresh_;
    QStringList gone_;
    bool begun_ = false;
    QTimer timer_;
    TaskRunner looker_;
};

/// How a controller is spoken to.
struct Speech {
    int baud = 115200;
    machine::Dialect dialect = machine::Dialect::realtime;
};

/// Asks ports one after the other who is there, at the usual speeds and in both dialects, and says what each answered.
/// Opening a port may reset the board behind it.
class PortAsker : public QObject {
    Q_OBJECT
 public:
    PortAsker(machine::MachineProfile profile, QObject* parent);
    ~PortAsker() override;
    void ask(const QStringList& paths);
    bool asking() const { return runner_ != nullptr; }

 Q_SIGNALS:
    /// `answer`: the controller's greeting; empty with an error. `speech`: how it was understood.
    void answered(const QString& path, const QString& answer, const chalkline::app::Speech& speech,
                  const chalkline::Error& error);
    void done();

 private:
    void next();
    void take(const std::vector<machine::Event>& events);
    machine::MachineProfile profile_;
    QStringList waiting_;
    std::size_t tried_ = 0;  ///< ways of speaking to this port
    int attempt_ = 0;
    std::string version_;
    std::unique_ptr<link::SessionRunner> runner_;
};

}  // namespace chalkline::app
