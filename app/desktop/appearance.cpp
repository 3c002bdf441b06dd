// SPDX-License-Identifier: GPL-3.0-or-later
#include "desktop/appearance.hpp"

#include <QDBusPendingCallWatcher>
#include <QDBusPendingReply>
#include <QDBusVariant>
#include <QSettings>
#include <algorithm>

namespace chalkline::app {
namespace {

constexpr const char* setting = "appearance";
const QString portal_name = "org.freedesktop.portal.Desktop", portal_path = "/org/freedesktop/portal/desktop",
              settings_interface = "org.freedesktop.portal.Settings";
const QString group_wanted = "org.freedesktop.appearance", key_wanted = "color-scheme";

}  // namespace

Appearance::Appearance(QDBusConnection session, QObject* parent)
    : QObject(parent),
      session_(std::move(session)),
      choice_(static_cast<Choice>(std::clamp(QSettings().value(setting, 0).toInt(), 0, 2))) {
    session_.connect(portal_name, portal_path, settings_interface, "SettingChanged", this,
                     SLOT(desktop_changed(QDBusMessage)));
    ask();
}

void Appearance::ask() {
    auto call = QDBusMessage::createMethodCall(portal_name, portal_path, settings_interface, "Read");
    call << group_wanted << key_wanted;
    auto* watcher = new QDBusPendingCallWatcher(session_.asyncCall(call), this);
    connect(watcher, &QDBusPendingCallWatcher::finished, this, [this](QDBusPendingCallWatcher* done) {
        const QDBusPendingReply<QDBusVariant> reply = *done;
        done->deleteLater();
        // A desktop without a preference is light.
        if (!reply.isError()) take(reply.value().variant());
    });
}

void Appearance::desktop_changed(const QDBusMessage& message) {
    const auto said = message.arguments();
    if (said.size() == 3 && said[0] == group_wanted && said[1] == key_wanted) take(said[2]);
}

/// 1: dark is preferred; 0 and 2: it is not. Older portals wrap the number once more.
void Appearance::take(const QVariant& value) {
    const bool wrapped = value.canConvert<QDBusVariant>();
    const bool dark = (wrapped ? value.value<QDBusVariant>().variant() : value).toUInt() == 1;
    if (dark == desktop_dark_) return;
    desktop_dark_ = dark;
    if (choice_ == Choice::as_desktop) Q_EMIT changed();
}

void Appearance::choose(Choice choice) {
    if (choice == choice_) return;
    const bool before = is_evening();
    choice_ = choice;
    QSettings().setValue(setting, static_cast<int>(choice));
    if (before != is_evening()) Q_EMIT changed();
}

}  // namespace chalkline::app
