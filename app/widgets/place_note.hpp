// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QLabel>

namespace chalkline::app {

/// A line of text about a place: clicking it, or Enter on it, shows where. One without places is only read.
class PlaceNote : public QLabel {
    Q_OBJECT
 public:
    PlaceNote(const QString& text, bool has_places, QWidget* parent);

 Q_SIGNALS:
    void chosen();

 protected:
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

 private:
    bool has_places_;
};

}  // namespace chalkline::app
