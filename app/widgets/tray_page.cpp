// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/tray_page.hpp"

#include <QEvent>
#include <QScrollBar>
#include <QVBoxLayout>
#include <algorithm>

namespace chalkline::app {
namespace {

constexpr int widest_tray = 480;  // px: beyond that a row has to wrap

}  // namespace

TrayPage::TrayPage(QWidget* inside) {
    auto* page = new QWidget;
    page->setObjectName("trayPage");
    auto* layout = new QVBoxLayout(page);
    layout->setContentsMargins(16, 14, 16, 14);
    layout->addWidget(inside);
    setObjectName("trayScroll");
    setWidget(page);
    setWidgetResizable(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setFocusPolicy(Qt::NoFocus);
    page->installEventFilter(this);
}

QSize TrayPage::minimumSizeHint() const {
    const int needed = widget()->minimumSizeHint().width() + verticalScrollBar()->sizeHint().width();
    return {std::clamp(needed, tray_width, widest_tray), QScrollArea::minimumSizeHint().height()};
}

/// A fold that opens may hold a wider row than any before.
bool TrayPage::eventFilter(QObject* watched, QEvent* event) {
    if (watched == widget() && event->type() == QEvent::LayoutRequest) updateGeometry();
    return QScrollArea::eventFilter(watched, event);
}

void let_pages_decide_width(QWidget* stack) {
    stack->setMinimumWidth(tray_width);
    stack->setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Preferred);
}

}  // namespace chalkline::app
