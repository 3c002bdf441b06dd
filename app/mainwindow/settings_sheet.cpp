// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/settings_sheet.hpp"

#include "widgets/sheet.hpp"

#include <QButtonGroup>
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
    sheet->add_button(Sheet::tr("Close"), ButtonLook::accent, {});
    sheet->open();
}

}  // namespace chalkline::app
