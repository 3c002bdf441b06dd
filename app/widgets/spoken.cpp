// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/spoken.hpp"

#include <QAccessibleWidget>
#include <QApplication>
#include <QComboBox>
#include <QEvent>
#include <algorithm>

namespace chalkline::app {
namespace {

/// A Spoken widget as Qt's accessibility sees it.
class SpokenInterface : public QAccessibleWidget, public QAccessibleValueInterface {
 public:
    SpokenInterface(QWidget& widget, Spoken& spoken)
        : QAccessibleWidget(&widget, spoken.spoken_role()), spoken_(spoken) {}

    QAccessible::Role role() const override { return spoken_.spoken_role(); }

    QAccessible::State state() const override {
        QAccessible::State state = QAccessibleWidget::state();
        spoken_.add_spoken_state(state);
        return state;
    }

    /// Readers of this desktop speak the description and leave words for a value out: the value comes first in it.
    QString text(QAccessible::Text what) const override {
        if (what == QAccessible::Value) return spoken_.spoken_value();
        const QString own = QAccessibleWidget::text(what);
        if (what != QAccessible::Description) return own;
        const QString value = spoken_.spoken_value();
        return value.isEmpty() || own.isEmpty() ? value + own : value + ". " + own;
    }

    void* interface_cast(QAccessible::InterfaceType type) override {
        if (type == QAccessible::ValueInterface)
            return spoken_.spoken_figure() ? static_cast<QAccessibleValueInterface*>(this) : nullptr;
        return QAccessibleWidget::interface_cast(type);
    }

    QVariant currentValue() const override { return figure().now; }
    QVariant minimumValue() const override { return figure().least; }
    QVariant maximumValue() const override { return figure().most; }
    QVariant minimumStepSize() const override { return figure().step; }
    void setCurrentValue(const QVariant& value) override {
        if (const auto figure = spoken_.spoken_figure())
            spoken_.take_figure(std::clamp(value.toDouble(), figure->least, figure->most));
    }

 private:
    Spoken::Figure figure() const { return spoken_.spoken_figure().value_or(Spoken::Figure{0, 0, 0, 0}); }
    Spoken& spoken_;
};

QAccessibleInterface* spoken_interface(const QString&, QObject* object) {
    auto* widget = qobject_cast<QWidget*>(object);
    auto* spoken = dynamic_cast<Spoken*>(widget);
    return spoken ? new SpokenInterface(*widget, *spoken) : nullptr;
}

/// On this desktop Qt calls a list of choices by what is chosen in it: what the list is for goes into its description.
class ChoiceNamer : public QObject {
 public:
    using QObject::QObject;

 protected:
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (event->type() != QEvent::Polish) return false;
        auto* choice = qobject_cast<QComboBox*>(watched);
        if (choice && choice->accessibleDescription().isEmpty())
            choice->setAccessibleDescription(choice->accessibleName());
        return false;
    }
};

}  // namespace

void answer_screen_readers() {
    QAccessible::installFactory(spoken_interface);
    qApp->installEventFilter(new ChoiceNamer(qApp));
}

void say_again(QWidget& widget) {
    if (!QAccessible::isActive()) return;
    const auto* spoken = dynamic_cast<const Spoken*>(&widget);
    if (const auto figure = spoken->spoken_figure()) {
        QAccessibleValueChangeEvent event(&widget, figure->now);
        QAccessible::updateAccessibility(&event);
    } else {
        QAccessibleEvent event(&widget, QAccessible::DescriptionChanged);
        QAccessible::updateAccessibility(&event);
    }
}

}  // namespace chalkline::app
