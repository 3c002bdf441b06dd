// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/controls.hpp"

#include <chalkline/wording/wording.hpp>

#include <QKeyEvent>
#include <QStyle>
#include <cmath>

namespace chalkline::app {
namespace {

const char* property_of(ButtonLook look) {
    switch (look) {
        case ButtonLook::plain:
            return "plain";
        case ButtonLook::accent:
            return "accent";
        case ButtonLook::link:
            return "link";
        case ButtonLook::rail:
            return "rail";
        case ButtonLook::top:
            return "top";
        case ButtonLook::stop:
            return "stop";
    }
    return "plain";
}

const char* property_of(Tone tone) {
    switch (tone) {
        case Tone::plain:
            return "plain";
        case Tone::heading:
            return "heading";
        case Tone::quiet:
            return "quiet";
        case Tone::attention:
            return "attention";
    }
    return "plain";
}

template <class Value, class Number>
ValueField::Reader reader(Value parse, Number number) {
    return [parse, number](const QString& text) -> Result<double> {
        const auto value = parse(text.toStdString());
        if (!value) return tl::unexpected(value.error());
        return number(*value);
    };
}

class WheelGuard : public QObject {
 public:
    using QObject::QObject;
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (event->type() != QEvent::Wheel) return QObject::eventFilter(watched, event);
        event->ignore();  // on to the scroll area
        return true;
    }
};

}  // namespace

void keep_from_wheel(QWidget* choice) {
    choice->setFocusPolicy(Qt::StrongFocus);
    choice->installEventFilter(new WheelGuard(choice));
}

QPushButton* make_button(const QString& text, ButtonLook look, QWidget* parent) {
    auto* button = new QPushButton(text, parent);
    button->setProperty("look", property_of(look));
    return button;
}

void set_look(QPushButton* button, ButtonLook look) {
    if (button->property("look") == property_of(look)) return;
    button->setProperty("look", property_of(look));
    button->style()->unpolish(button);
    button->style()->polish(button);
}

QLabel* make_label(const QString& text, Tone tone, QWidget* parent) {
    auto* label = new QLabel(text, parent);
    label->setProperty("tone", property_of(tone));
    label->setWordWrap(true);
    return label;
}

ValueField::ValueField(const QString& name, Reader reader, Writer writer, QWidget* parent)
    : QLineEdit(parent), reader_(std::move(reader)), writer_(std::move(writer)) {
    setAccessibleName(name);
    connect(this, &QLineEdit::editingFinished, this, &ValueField::commit);
}

void ValueField::set_other(Writer other) {
    other_ = std::move(other);
    mark_wrong({});
}

void ValueField::show_value(double value) {
    value_ = value;
    if (!hasFocus() || !isModified()) setText(writer_(value));
    mark_wrong({});
}

void ValueField::show_typed(double value, const QString& typed) {
    const auto meant = typed.isEmpty() ? fail(chalkline::error::not_a_number) : reader_(typed);
    show_value(value);
    if (meant && std::abs(*meant - value) < 1e-9 && !(hasFocus() && isModified())) setText(typed);
}

void ValueField::commit() {
    if (!isModified()) return;
    const auto read = reader_(text());
    if (!read) {
        mark_wrong(wording::describe(read.error()).whole());
        return;
    }
    setModified(false);
    value_ = *read;
    // A bare number is shown with its unit; words of the user's own are theirs.
    bool bare = false;
    text().trimmed().replace(',', '.').toDouble(&bare);
    typed_ = bare ? QString() : text().trimmed();
    setText(writer_(value_));
    mark_wrong({});
    Q_EMIT committed(value_);
}

void ValueField::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape && isModified()) {
        setModified(false);
        show_value(value_);
        event->accept();
        return;
    }
    // What was just typed is taken; a sheet is confirmed by the next Return.
    const bool takes = (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter) && isModified();
    QLineEdit::keyPressEvent(event);
    if (takes) event->accept();
}

void ValueField::mark_wrong(const QString& why) {
    setToolTip(why.isEmpty() && other_ ? other_(value_) : why);
    const bool wrong = !why.isEmpty();
    if (property("wrong").toBool() == wrong) return;
    setProperty("wrong", wrong);
    style()->unpolish(this);
    style()->polish(this);
}

ValueField* make_length_field(const QString& name, QWidget* parent) {
    const auto written = [](LengthUnit unit) {
        return [unit](double mm) { return QString::fromStdString(format_length(Length::mm(mm), unit)); };
    };
    auto* field = new ValueField(
        name,
        reader([](const std::string& t) { return parse_length(t, LengthUnit::mm); }, [](Length l) { return l.mm(); }),
        written(LengthUnit::mm), parent);
    field->set_other(written(LengthUnit::inch));
    return field;
}

ValueField* make_angle_field(const QString& name, QWidget* parent) {
    const auto read = [](const QString& text) -> Result<double> {
        QString plain = text;
        bool number = false;
        const double value = plain.remove(QChar(0x00b0)).replace(',', '.').trimmed().toDouble(&number);
        if (!number || std::abs(value) > 360)
            return fail(chalkline::error::not_a_number, {{"text", text.toStdString()}});
        return value;
    };
    return new ValueField(
        name, read, [](double v) { return QString::fromStdString(format_number(v, 2)) + QChar(0x00b0); }, parent);
}

ValueField* make_speed_field(const QString& name, Speed fastest, QWidget* parent) {
    const auto plain = reader([](const std::string& t) { return parse_speed(t, SpeedUnit::mm_per_min); },
                              [](Speed s) { return s.mm_per_min(); });
    const auto read = [plain, fastest](const QString& text) -> Result<double> {
        if (!text.trimmed().endsWith('%')) return plain(text);
        return parse_power(text.toStdString()).map([&](Power share) {
            return (fastest * share.fraction()).mm_per_min();
        });
    };
    const auto written = [](SpeedUnit unit) {
        return [unit](double v) { return QString::fromStdString(format_speed(Speed::mm_per_min(v), unit)); };
    };
    auto* field = new ValueField(name, read, written(SpeedUnit::mm_per_min), parent);
    field->set_other([written, fastest](double v) {
        return ValueField::tr("%1, %2 % of the fastest")
            .arg(written(SpeedUnit::mm_per_s)(v),
                 QString::fromStdString(format_number(100 * v / fastest.mm_per_min(), 1)));
    });
    return field;
}

ValueField* make_number_field(const QString& name, const QString& unit, int decimals, double least, QWidget* parent) {
    const auto read = [unit, least](const QString& text) -> Result<double> {
        QString plain = text.trimmed();
        if (!unit.isEmpty() && plain.endsWith(unit)) plain.chop(unit.size());
        bool number = false;
        const double value = plain.replace(',', '.').replace(QChar(0x2212), '-').trimmed().toDouble(&number);
        if (!number || value < least) return fail(chalkline::error::not_a_number, {{"text", text.toStdString()}});
        return value;
    };
    const auto written = [unit, decimals](double v) {
        return QString::fromStdString(format_number(v, decimals)) + (unit.isEmpty() ? QString() : " " + unit);
    };
    return new ValueField(name, read, written, parent);
}

ValueField* make_seconds_field(const QString& name, QWidget* parent) {
    return make_number_field(name, "s", 1, 0, parent);
}

ValueField* make_power_field(const QString& name, QWidget* parent) {
    return new ValueField(
        name, reader([](const std::string& t) { return parse_power(t); }, [](Power p) { return p.percent(); }),
        [](double v) { return QString::fromStdString(format_power(Power::percent(v))); }, parent);
}

ValueField* make_count_field(const QString& name, QWidget* parent) {
    const auto read = [](const QString& text) -> Result<double> {
        bool whole = false;
        const int value = text.trimmed().toInt(&whole);
        if (!whole) return fail(chalkline::error::not_a_number, {{"text", text.toStdString()}});
        return value;
    };
    return new ValueField(
        name, read, [](double v) { return QString::number(std::lround(v)); }, parent);
}

}  // namespace chalkline::app
