// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/place_note.hpp"

#include <QKeyEvent>

namespace chalkline::app {

PlaceNote::PlaceNote(const QString& text, bool has_places, QWidget* parent)
    : QLabel(text, parent), has_places_(has_places) {
    setProperty("tone", has_places ? "place" : "attention");
    setWordWrap(true);
    setAccessibleName(text);
    if (!has_places) return;
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
    setToolTip(tr("Show where"));
    setAccessibleDescription(tr("Press Enter to show where"));
}

void PlaceNote::mousePressEvent(QMouseEvent* event) {
    if (!has_places_) return QLabel::mousePressEvent(event);
    Q_EMIT chosen();
}

void PlaceNote::keyPressEvent(QKeyEvent* event) {
    const bool go = event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter || event->key() == Qt::Key_Space;
    if (has_places_ && go) return Q_EMIT chosen();
    QLabel::keyPressEvent(event);
}

}  // namespace chalkline::app
