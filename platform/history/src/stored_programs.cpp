// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/checksum.hpp>
#include <chalkline/base/file.hpp>
#include <chalkline/history/stored_programs.hpp>

#include <QDir>
#include <QFile>
#include <QJsonDocument>
#include <QJsonObject>
#include <QStandardPaths>

namespace chalkline::history {
namespace {

QString checksum_of(std::string_view bytes) {
    return QString::number(checksum(bytes), 16);
}

}  // namespace

QString StoredPrograms::usual_place() {
    return QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation) + "/Chalkline/stored";
}

QString StoredPrograms::path_of(const QString& address, const std::string& name) const {
    return folder_ + "/" + checksum_of(address.toStdString()) + "-" + QString::fromStdString(name);
}

Result<void> StoredPrograms::keep(const QString& address, const StoredProgram& stored) const {
    QDir().mkpath(folder_);
    const QString path = path_of(address, stored.file.name);
    if (auto written = replace_file((path + ".lines").toStdString(), stored.program); !written) return written;
    const QJsonObject json{{"format", "chalkline-stored"},
                           {"version", 1},
                           {"address", address},
                           {"name", QString::fromStdString(stored.file.name)},
                           {"bytes", static_cast<qint64>(stored.file.bytes)},
                           {"title", stored.title},
                           {"sent", stored.sent.toUTC().toString(Qt::ISODate)},
                           {"checksum", checksum_of(stored.program)}};
    return replace_file((path + ".json").toStdString(), QJsonDocument(json).toJson().toStdString());
}

std::optional<StoredProgram> StoredPrograms::find(const QString& address, const machine::StoredFile& file) const {
    const QString path = path_of(address, file.name);
    const auto head = read_file((path + ".json").toStdString());
    if (!head) return {};
    const QJsonObject json = QJsonDocument::fromJson(QByteArray::fromStdString(*head)).object();
    const bool same = json.value("format").toString() == "chalkline-stored" &&
                      json.value("address").toString() == address && json.value("bytes").toInteger(-1) == file.bytes;
    if (!same) return {};
    auto program = read_file((path + ".lines").toStdString());
    if (!program || checksum_of(*program) != json.value("checksum").toString()) return {};
    return StoredProgram{file, json.value("title").toString(),
                         QDateTime::fromString(json.value("sent").toString(), Qt::ISODate).toLocalTime(),
                         std::move(*program)};
}

void StoredPrograms::forget(const QString& address, const std::string& name) const {
    const QString path = path_of(address, name);
    QFile::remove(path + ".json");
    QFile::remove(path + ".lines");
}

}  // namespace chalkline::history
