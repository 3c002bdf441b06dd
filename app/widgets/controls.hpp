// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/units_text.hpp>

#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <functional>

namespace chalkline::app {

/// How a button looks; see theme::style_sheet.
enum class ButtonLook { plain, accent, link, rail, top, stop };
QPushButton* make_button(const QString& text, ButtonLook look, QWidget* parent);

void set_look(QPushButton* button, ButtonLook look);

/// How a line of text sounds.
enum class Tone { plain, heading, quiet, attention };
QLabel* make_label(const QString& text, Tone tone, QWidget* parent);

/// A field for one value with its unit. What is typed is read when Enter is pressed or the field is left; a text that
/// cannot be read is marked, said in the tool tip and never taken.
class ValueField : public QLineEdit {
    Q_OBJECT
 public:
    /// Reads the text into a number, or says why not.
    using Reader = std::function<Result<double>(const QString&)>;
    using Writer = std::function<QString(double)>;
    ValueField(const QString& name, Reader reader, Writer writer, QWidget* parent);

    void show_value(double value);
    /// The same, in the words it was typed with as long as they still mean this value.
    void show_typed(double value, const QString& typed);
    /// What was typed when it says more than the value alone ("30 %" of the fastest); else empty.
    QString typed() const { return typed_; }
    /// The value in another unit, said while the pointer rests on the field.
    void set_other(Writer other);
    double value() const { return value_; }

 Q_SIGNALS:
    void committed(double value);

 protected:
    void keyPressEvent(QKeyEvent* event) override;

 private:
    void commit();
    void mark_wrong(const QString& why);
    Reader reader_;
    Writer writer_, other_;
    double value_ = 0;
    QString typed_;
};

/// The wheel scrolls the tray and never changes a choice on the way.
void keep_from_wheel(QWidget* choice);

ValueField* make_length_field(const QString& name, QWidget* parent);  ///< mm
ValueField* make_angle_field(const QString& name, QWidget* parent);   ///< degrees
/// mm/min; per cent are read as a share of `fastest`.
ValueField* make_speed_field(const QString& name, Speed fastest, QWidget* parent);
/// A number of at least `least`, with its unit where it has one.
ValueField* make_number_field(const QString& name, const QString& unit, int decimals, double least, QWidget* parent);
ValueField* make_seconds_field(const QString& name, QWidget* parent);
ValueField* make_power_field(const QString& name, QWidget* parent);  ///< %
ValueField* make_count_field(const QString& name, QWidget* parent);

}  // namespace chalkline::app
