// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/settings_sheet.hpp"

#include "language/language.hpp"
#include "widgets/sheet.hpp"

#include <QButtonGroup>
#include <QComboBox>
#include <QRadioButton>

namespace chalkline::app {

void open_settings_sheet(Appearance& appearance, QWidget* over) {
    auto* sheet = new Sheet(Sheet::tr("Settings"), over);
    sheet->add_text(Sheet::tr("Colours"), Tone::heading);
    auto* group = new QButtonGroup(sheet);
    const QStringList names{Sheet::tr("As the desktop has them"), Sheet::tr("Light"), Sheet::tr("Evening")};
    for (int i = 0; i < names.size(); ++i) {
        auto* button = new QRadioButton(names[i], sheet);
        button->setChecked(static_cast<int>(appearance.choice()) == i);
        group->addButton(button, i);
        sheet->add_widget(button);
    }
    QObject::connect(group, &QButtonGroup::idClicked, &appearance,
                     [&appearance](int id) { appearance.choose(static_cast<Appearance::Choice>(id)); });
    sheet->add_text(Sheet::tr("Language"), Tone::heading);
    auto* choice = new QComboBox(sheet);
    choice->setAccessibleName(Sheet::tr("Language"));
    for (const Language& language : languages()) {
        choice->addItem(language.code.isEmpty() ? Sheet::tr("As the desktop has it") : language.name, language.code);
        if (language.code == chosen_language()) choice->setCurrentIndex(choice->count() - 1);
    }
    sheet->add_widget(choice);
    auto* note = sheet->add_text({}, Tone::quiet);
    QObject::connect(choice, &QComboBox::activated, sheet, [choice, note] {
        choose_language(choice->currentData().toString());
        note->setText(Sheet::tr("Chalkline speaks it when it is started the next time."));
    });
    sheet->add_button(Sheet::tr("Close"), ButtonLook::accent, {});
    sheet->open();
}

}  // namespace chalkline::app
