// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QFileSystemWatcher>
#include <QObject>
#include <QSet>
#include <QStringList>
#include <QTimer>

namespace chalkline::app {

/// A folder other programs save or print into: a file that appears there offers itself once it is complete. Off until
/// a folder is chosen; follows no links out of it.
class Inbox : public QObject {
    Q_OBJECT
 public:
    explicit Inbox(QObject* parent = nullptr);
    /// Watches a folder from now on; empty: none. What already lies there is not offered. Kept between sessions.
    void set_folder(const QString& folder);
    QString folder() const { return folder_; }

    const QStringList& arrived() const { return arrived_; }
    void take(const QString& path);

 Q_SIGNALS:
    void changed();

 private:
    void look();
    void settle();
    QStringList files() const;

    QString folder_;
    QFileSystemWatcher watcher_;
    QSet<QString> known_;
    QHash<QString, qint64> growing_;  ///< new files and their size when last looked at
    QTimer settling_;
    QStringList arrived_;
};

}  // namespace chalkline::app
