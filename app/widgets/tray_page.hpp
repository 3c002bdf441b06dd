// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QScrollArea>

namespace chalkline::app {

/// Width of what stands at the right edge of a view, px; more where a language needs it.
inline constexpr int tray_width = 372;

/// What stands at the right edge of a view: it scrolls up and down when it is higher than the window, has the tray's
/// paper and margins, and asks for as much width as its widest row.
class TrayPage : public QScrollArea {
    Q_OBJECT
 public:
    explicit TrayPage(QWidget* inside);
    QSize minimumSizeHint() const override;
    QSize sizeHint() const override { return minimumSizeHint(); }

 protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
};

/// A stack of such pages is as wide as the widest of them.
void let_pages_decide_width(QWidget* stack);

}  // namespace chalkline::app
