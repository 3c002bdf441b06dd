// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/journal.hpp>

#include <QByteArray>
#include <QDateTime>
#include <QString>
#include <QStringList>
#include <optional>

namespace chalkline::history {

/// What is kept of one burn.
struct BurnRecord {
    QString folder;  ///< where its files are; not in the file itself
    QString title;   ///< of the job
    QString path;    ///< where the job lived; empty: it was never saved
    QString machine, material;
    QString port;       ///< where the machine was: a device, a pseudo-terminal, tcp:HOST:PORT
    QStringList steps;  ///< a line each: what was set
    QDateTime begun, ended;
    double planned = 0, took = 0;         ///< s; holds are not counted in what it took
    double share = 0;                     ///< of the plan's time that is surely done, 0…1
    std::optional<machine::BurnEnd> end;  ///< none: it runs, or its Chalkline was ended
    QString note;                         ///< how it came out, in the maker's words
    QString photo;                        ///< name of a picture in the folder; empty: none

    QString job_file() const { return folder + "/job.chalk"; }
    QString program_file() const { return folder + "/program.bin"; }
    QString journal_file() const { return folder + "/journal.jsonl"; }
    QString photo_file() const { return photo.isEmpty() ? QString() : folder + "/" + photo; }
    bool operator==(const BurnRecord&) const = default;
};

/// docs/formats/history.md
QByteArray to_json(const BurnRecord& record);
std::optional<BurnRecord> parse_record(const QByteArray& json, const QString& folder);

}  // namespace chalkline::history
