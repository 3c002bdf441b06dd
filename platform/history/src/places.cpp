// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/file.hpp>
#include <chalkline/history/places.hpp>

#include <QDateTime>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QStandardPaths>

namespace chalkline::history {
namespace {

QJsonObject read_all(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly)) return {};
    const QJsonObject json = QJsonDocument::fromJson(file.readAll()).object();
    return json.value("format").toString() == "chalkline-places" ? json.value("places").toObject() : QJsonObject{};
}

QJsonArray to_json(geometry::Point point) {
    return {point.x, point.y};
}

std::optional<geometry::Point> point_of(const QJsonValue& json) {
    const QJsonArray pair = json.toArray();
    if (pair.size() != 2 || !pair[0].isDouble() || !pair[1].isDouble()) return {};
    return geometry::Point{pair[0].toDouble(), pair[1].toDouble()};
}

}  // namespace

QString Places::usual_place() {
    return QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation) + "/Chalkline/places.json";
}

std::optional<machine::RememberedPlace> Places::find(const QString& address) const {
    const QJsonObject json = read_all(file_).value(address).toObject();
    const auto machine = point_of(json.value("machine")), origin = point_of(json.value("origin"));
    const QDateTime at = QDateTime::fromString(json.value("at").toString(), Qt::ISODate);
    if (!machine || !origin || !at.isValid() || at.secsTo(QDateTime::currentDateTimeUtc()) > good_for) return {};
    return machine::RememberedPlace{*machine, *origin, json.value("homed").toBool()};
}

void Places::keep(const QString& address, const std::optional<machine::RememberedPlace>& place) const {
    QJsonObject all = read_all(file_);
    if (place)
        all[address] = QJsonObject{{"machine", to_json(place->machine)},
                                   {"origin", to_json(place->origin)},
                                   {"homed", place->homed},
                                   {"at", QDateTime::currentDateTimeUtc().toString(Qt::ISODate)}};
    else
        all.remove(address);
    const QJsonObject json{{"format", "chalkline-places"}, {"version", 1}, {"places", all}};
    QDir().mkpath(QFileInfo(file_).path());
    (void)replace_file(file_.toStdString(), QJsonDocument(json).toJson().toStdString());
}

}  // namespace chalkline::history
