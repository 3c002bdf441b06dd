// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/connection_sheet.hpp"

#include "widgets/sheet.hpp"

#include <chalkline/ports/ports.hpp>

#include <QLineEdit>

namespace chalkline::app {
void open_connection_sheet(MachineLink& machine, const std::function<void()>& connect_sample, QWidget* over) {
    auto* sheet = new Sheet(
        machine.connected() ? Sheet::tr("Machine: %1").arg(machine.name()) : Sheet::tr("Connect a machine"), over);
    if (machine.connected()) {
        if (machine.active())
            sheet->add_text(Sheet::tr("It is working. Stop it before you disconnect."), Tone::attention);
        sheet->add_button(Sheet::tr("Stay connected"), ButtonLook::accent, {});
        sheet->add_button(Sheet::tr("Disconnect"), ButtonLook::plain, [&machine] { machine.disconnect_now(); })
            ->setEnabled(!machine.active());
        return sheet->open();
    }
    const auto found = ports::list();
    sheet->add_text(found.empty() ? Sheet::tr("No serial port is plugged in.") : Sheet::tr("Ports on this computer:"),
                    Tone::quiet);
    for (const auto& port : found) {
        const QString path = QString::fromStdString(port.path);
        auto* button = make_button(path + "  " + QString::fromStdString(port.maker + " " + port.product),
                                   ButtonLook::plain, sheet);
        QObject::connect(button, &QPushButton::clicked, sheet, [&machine, path, sheet] {
            sheet->deleteLater();
            machine.connect_to(path, path);
        });
        sheet->add_widget(button);
    }
    auto* typed = new QLineEdit(sheet);
    typed->setPlaceholderText(Sheet::tr("/dev/ttyUSB0 or tcp:HOST:PORT"));
    typed->setAccessibleName(Sheet::tr("Port or address"));
    sheet->add_text(Sheet::tr("Or type a port or address:"), Tone::quiet);
    sheet->add_widget(typed);
    sheet->add_button(Sheet::tr("Simulated machine"), ButtonLook::plain, connect_sample);
    sheet->add_button(Sheet::tr("Connect"), ButtonLook::accent, [&machine, typed] {
        if (!typed->text().trimmed().isEmpty()) machine.connect_to(typed->text().trimmed(), typed->text().trimmed());
    });
    sheet->open();
    typed->setFocus();
}

}  // namespace chalkline::app
