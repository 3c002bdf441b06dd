// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/history/burn_record.hpp>

#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>

namespace chalkline::history {
namespace {

const QStringList ends{"finished", "stopped", "failed"};

QString to_text(const QDateTime& time) {
    return time.toString(Qt::ISODateWithMs);
}

}  // namespace

QByteArray to_json(const BurnRecord& r) {
    QJsonObject json{{"format", "chalkline-burn"},
                     {"version", 1},
                     {"title", r.title},
                     {"path", r.path},
                     {"machine", r.machine},
                     {"material", r.material},
                     {"port", r.port},
                     {"steps", QJsonArray::fromStringList(r.steps)},
                     {"begun", to_text(r.begun)},
                     {"planned_s", r.planned},
                     {"took_s", r.took},
                     {"share", r.share},
                     {"note", r.note},
                     {"photo", r.photo}};
    if (r.ended.isValid()) json["ended"] = to_text(r.ended);
    if (r.end) json["end"] = ends[static_cast<int>(*r.end)];
    return QJsonDocument(json).toJson();
}

std::optional<BurnRecord> parse_record(const QByteArray& bytes, const QString& folder) {
    const QJsonObject json = QJsonDocument::fromJson(bytes).object();
    if (json.value("format").toString() != "chalkline-burn") return {};
    BurnRecord r;
    r.folder = folder;
    r.title = json.value("title").toString();
    r.path = json.value("path").toString();
    r.machine = json.value("machine").toString();
    r.material = json.value("material").toString();
    r.port = json.value("port").toString();
    for (const auto& step : json.value("steps").toArray())
        r.steps << step.toString();
    r.begun = QDateTime::fromString(json.value("begun").toString(), Qt::ISODateWithMs);
    r.ended = QDateTime::fromString(json.value("ended").toString(), Qt::ISODateWithMs);
    r.planned = json.value("planned_s").toDouble();
    r.took = json.value("took_s").toDouble();
    r.share = json.value("share").toDouble();
    r.note = json.value("note").toString();
    r.photo = json.value("photo").toString();
    // A name, never a way out of the folder.
    if (r.photo.contains('/') || r.photo.startsWith('.')) r.photo.clear();
    const auto end = ends.indexOf(json.value("end").toString());
    if (end >= 0) r.end = static_cast<machine::BurnEnd>(end);
    if (!r.begun.isValid()) return {};
    return r;
}

}  // namespace chalkline::history
