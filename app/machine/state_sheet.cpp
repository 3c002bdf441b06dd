// SPDX-License-Identifier: GPL-3.0-or-later
#include "machine/state_sheet.hpp"

#include "machine/known_places.hpp"
#include "widgets/sheet.hpp"

#include <chalkline/wording/machine_words.hpp>

#include <QComboBox>
#include <QHBoxLayout>
#include <QRegularExpression>

namespace chalkline::app {
namespace {

void take_step(machine::NextStep step, MachineLink& machine, const job::Job& job, const std::function<void()>& connect,
               QWidget* over) {
    using machine::NextStep;
    switch (step) {
        case NextStep::connect:
            return connect();
        case NextStep::home:
            return machine.home();
        case NextStep::say_where:
            return open_where_sheet(machine, job, over);
        case NextStep::unlock:
            return machine.unlock();
        case NextStep::resume:
            return machine.resume();
        case NextStep::stop:
            return machine.stop();
        case NextStep::wake:
            return machine.wake();
        case NextStep::laser_mode:
            return machine.turn_laser_mode_on();
    }
}

/// JSON lists without their brackets, words without their quotes, whole figures without their point.
QString plainly(const std::string& json) {
    QString text = QString::fromStdString(json);
    text.remove('[').remove(']').remove('"').remove(QRegularExpression("\\.0(?=,|$)"));
    return text.replace(",", " × ");
}

}  // namespace

void open_state_sheet(MachineLink& machine, const job::Job& job, const std::function<void()>& connect, QWidget* over) {
    const wording::Message state = wording::explain(machine.snapshot());
    auto* sheet = new Sheet(state.what, over);
    if (!state.help.isEmpty()) sheet->add_text(state.help);
    const auto steps = machine::next_steps(machine.snapshot(), machine.profile());
    if (steps.empty())
        sheet->add_button(Sheet::tr("Good"), ButtonLook::accent, {});
    else
        sheet->add_button(Sheet::tr("Leave it"), ButtonLook::plain, {});
    for (auto step = steps.rbegin(); step != steps.rend(); ++step)
        sheet->add_button(
            wording::name(*step), *step == steps.front() ? ButtonLook::accent : ButtonLook::plain,
            [step = *step, &machine, job, connect, over] { take_step(step, machine, job, connect, over); });
    sheet->open();
}

void open_stood_sheet(MachineLink& machine, const job::Job& job, geometry::Point place, QWidget* over) {
    const QString where = QString("%1, %2").arg(QString::fromStdString(format_number(place.x, 1)),
                                                QString::fromStdString(format_number(place.y, 1)));
    auto* sheet = new Sheet(Sheet::tr("Is the head still where it stood (%1)?").arg(where), over);
    sheet->add_text(
        Sheet::tr("The controller started again and counts from 0 where its head stands. If nobody moved the head, it "
                  "can be told its place. Otherwise jog it to the mark on the bed, and say then that it stands there."),
        Tone::quiet);
    sheet->add_button(Sheet::tr("Not yet"), ButtonLook::plain, {});
    sheet->add_button(Sheet::tr("It stands at another place…"), ButtonLook::plain,
                      [&machine, job, over] { open_where_sheet(machine, job, over); });
    sheet->add_button(Sheet::tr("Yes, it stands there"), ButtonLook::accent,
                      [&machine, place] { machine.stands_at(place); });
    sheet->open();
}

void open_where_sheet(MachineLink& machine, const job::Job& job, QWidget* over) {
    auto* sheet = new Sheet(Sheet::tr("Where does the head stand?"), over);
    sheet->add_text(
        Sheet::tr("Push or jog it over a place you know, then choose that place here. Everything is counted from it; "
                  "where the bed ends the machine does not know, so frame the job and watch."),
        Tone::quiet);
    auto* choice = new QComboBox(sheet);
    choice->setAccessibleName(Sheet::tr("Place the head stands at"));
    keep_from_wheel(choice);
    const auto places = known_places(job, machine.profile());
    for (const KnownPlace& known : places)
        choice->addItem(Sheet::tr("%1 (%2, %3 mm)")
                            .arg(known.name, QString::fromStdString(format_number(known.place.x, 1)),
                                 QString::fromStdString(format_number(known.place.y, 1))));
    choice->addItem(Sheet::tr("another place:"));
    sheet->add_widget(choice);
    auto* typed = new QWidget(sheet);
    auto* row = new QHBoxLayout(typed);
    row->setContentsMargins(0, 0, 0, 0);
    auto* x = make_length_field(Sheet::tr("Head stands at X"), typed);
    auto* y = make_length_field(Sheet::tr("Head stands at Y"), typed);
    for (auto* field : {x, y}) {
        field->setFixedWidth(90);
        field->show_value(0);
    }
    row->addWidget(make_label(Sheet::tr("X"), Tone::quiet, typed));
    row->addWidget(x);
    row->addWidget(make_label(Sheet::tr("Y"), Tone::quiet, typed));
    row->addWidget(y);
    row->addStretch(1);
    sheet->add_widget(typed);
    typed->setEnabled(false);
    QObject::connect(choice, &QComboBox::currentIndexChanged, typed,
                     [typed, last = choice->count() - 1](int index) { typed->setEnabled(index == last); });
    sheet->add_button(Sheet::tr("Not yet"), ButtonLook::plain, {});
    sheet->add_button(Sheet::tr("It stands there"), ButtonLook::accent, [&machine, places, choice, x, y] {
        const auto index = static_cast<std::size_t>(std::max(choice->currentIndex(), 0));
        machine.stands_at(index < places.size() ? places[index].place : geometry::Point{x->value(), y->value()});
    });
    sheet->open();
}

void open_difference_sheet(MachineKeeper& keeper, QWidget* over) {
    auto* sheet = new Sheet(Sheet::tr("The controller says otherwise than before"), over);
    sheet->add_text(Sheet::tr("Somebody changed its settings, or it is another one on this port. Times, limits and "
                              "power are worked out from these figures:"),
                    Tone::quiet);
    for (const machine::ProfileDifference& one : keeper.differences()) {
        const wording::ProfileField field = wording::profile_field(one.key);
        sheet->add_row(field.name, Sheet::tr("%1 → %2 %3").arg(plainly(one.mine), plainly(one.other), field.unit));
    }
    sheet->add_button(Sheet::tr("Keep mine"), ButtonLook::plain, [&keeper] { keeper.keep_mine(); });
    sheet->add_button(Sheet::tr("Take the controller's"), ButtonLook::accent,
                      [&keeper] { keeper.take_the_controllers(); });
    sheet->open();
}

}  // namespace chalkline::app
