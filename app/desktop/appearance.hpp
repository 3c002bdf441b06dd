// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "theme/theme.hpp"

#include <QDBusConnection>
#include <QDBusMessage>
#include <QObject>

namespace chalkline::app {

/// Light or evening colours: as the maker chose, or as the desktop has it, which is asked at its portal and followed
/// when it changes. The choice is kept.
class Appearance : public QObject {
    Q_OBJECT
 public:
    enum class Choice { as_desktop, light, evening };
    explicit Appearance(QDBusConnection session = QDBusConnection::sessionBus(), QObject* parent = nullptr);

    Choice choice() const { return choice_; }
    void choose(Choice choice);
    bool is_evening() const { return choice_ == Choice::as_desktop ? desktop_dark_ : choice_ == Choice::evening; }
    theme::Roles roles() const { return is_evening() ? theme::evening() : theme::light(); }

 Q_SIGNALS:
    void changed();

 private Q_SLOTS:
    void desktop_changed(const QDBusMessage& message);

 private:
    void ask();
    void take(const QVariant& value);
    QDBusConnection session_;
    Choice choice_;
    bool desktop_dark_ = false;
};

}  // namespace chalkline::app
