// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/tray_page.hpp"

#include <QVBoxLayout>

namespace chalkline::app {

QScrollArea* make_tray_page(QWidget* inside) {
    auto* page = new QWidget;
    page->setObjectName("trayPage");
    auto* layout = new QVBoxLayout(page);
    layout->setContentsMargins(16, 14, 16, 14);
    layout->addWidget(inside);
    auto* scroll = new QScrollArea;
    scroll->setObjectName("trayScroll");
    scroll->setWidget(page);
    scroll->setWidgetResizable(true);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFocusPolicy(Qt::NoFocus);
    return scroll;
}

}  // namespace chalkline::app
