// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/flow_layout.hpp"

namespace chalkline::app {

FlowLayout::~FlowLayout() {
    qDeleteAll(items_);
}

QSize FlowLayout::minimumSize() const {
    QSize size;
    for (const QLayoutItem* item : items_)
        size = size.expandedTo(item->minimumSize());
    return size + QSize(contentsMargins().left() + contentsMargins().right(),
                        contentsMargins().top() + contentsMargins().bottom());
}

void FlowLayout::setGeometry(const QRect& rect) {
    QLayout::setGeometry(rect);
    lay(rect, Dry::no);
}

/// Places the items (or only measures) and returns the height they need.
int FlowLayout::lay(const QRect& rect, Dry dry) const {
    const QRect area = rect.marginsRemoved(contentsMargins());
    int x = area.left(), y = area.top(), row = 0;
    for (QLayoutItem* item : items_) {
        const QSize size = item->sizeHint();
        if (x > area.left() && x + size.width() > area.right() + 1) {
            x = area.left();
            y += row + spacing();
            row = 0;
        }
        if (dry == Dry::no) item->setGeometry(QRect(QPoint(x, y), size));
        x += size.width() + spacing();
        row = std::max(row, size.height());
    }
    return y + row - rect.top() + contentsMargins().bottom();
}

}  // namespace chalkline::app
