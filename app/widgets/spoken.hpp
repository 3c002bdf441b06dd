// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QAccessible>
#include <QString>
#include <optional>

class QWidget;

namespace chalkline::app {

/// What a screen reader is told of a widget that is painted by hand: what it is, what it stands at, and the figure it
/// can set. The name stays the widget's accessible name; its accessible description says how it is handled.
class Spoken {
 public:
    /// What the arrow keys change, between two ends.
    struct Figure {
        double now, least, most, step;
    };
    virtual ~Spoken() = default;
    virtual QAccessible::Role spoken_role() const = 0;
    /// What it shows, in words.
    virtual QString spoken_value() const = 0;
    virtual std::optional<Figure> spoken_figure() const { return {}; }
    /// The reader sets the figure, within its ends.
    virtual void take_figure(double) {}
    /// Chosen, opened: what the widget's own state does not know.
    virtual void add_spoken_state(QAccessible::State&) const {}
};

/// Readers ask Qt for every widget; from now on those that are Spoken answer for themselves, and lists of choices say
/// what they are for. REQUIRES: the application.
void answer_screen_readers();

/// Tells readers that `widget` stands at something else now. Costs nothing while none listens.
/// REQUIRES: `widget` is Spoken.
void say_again(QWidget& widget);

}  // namespace chalkline::app
