// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QObject>
#include <QStringList>

namespace chalkline::app {

/// Job files that wait to be burned, one after the other. The list outlives the window.
class WaitingJobs : public QObject {
    Q_OBJECT
 public:
    explicit WaitingJobs(QObject* parent = nullptr);

    const QStringList& paths() const { return paths_; }
    /// One that waits already stays where it is.
    void add(const QStringList& paths);
    void remove(const QString& path);
    /// One place nearer to the front.
    void bring_forward(const QString& path);

 Q_SIGNALS:
    void changed();

 private:
    void keep();
    QStringList paths_;
};

}  // namespace chalkline::app
