// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QLayout>
#include <QList>

namespace chalkline::app {

/// Lays its items in rows, as words in a paragraph.
class FlowLayout : public QLayout {
 public:
    explicit FlowLayout(int spacing) {
        setSpacing(spacing);
        setContentsMargins(0, 0, 0, 0);
    }
    ~FlowLayout() override;
    void addItem(QLayoutItem* item) override { items_.append(item); }
    int count() const override { return static_cast<int>(items_.size()); }
    QLayoutItem* itemAt(int index) const override { return items_.value(index); }
    QLayoutItem* takeAt(int index) override { return index >= 0 && index < count() ? items_.takeAt(index) : nullptr; }
    Qt::Orientations expandingDirections() const override { return {}; }
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override { return lay(QRect(0, 0, width, 0), Dry::yes); }
    QSize sizeHint() const override { return minimumSize(); }
    QSize minimumSize() const override;
    void setGeometry(const QRect& rect) override;

 private:
    enum class Dry { no, yes };
    int lay(const QRect& rect, Dry dry) const;
    QList<QLayoutItem*> items_;
};

}  // namespace chalkline::app
