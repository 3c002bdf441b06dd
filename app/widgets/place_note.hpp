// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "widgets/spoken.hpp"

#include <QLabel>

namespace chalkline::app {

/// A line of text about a place: clicking it, or Enter on it, shows where. One without places is only read.
class PlaceNote : public QLabel, public Spoken {
    Q_OBJECT
 public:
    PlaceNote(const QString& text, bool has_places, QWidget* parent);

    QAccessible::Role spoken_role() const override { return has_places_ ? QAccessible::Link : QAccessible::StaticText; }
    QString spoken_value() const override { return {}; }

 Q_SIGNALS:
    void chosen();

 protected:
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

 private:
    bool has_places_;
};

}  // namespace chalkline::app
