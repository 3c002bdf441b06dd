// SPDX-License-Identifier: GPL-3.0-or-later
#include "machine/connection_sheet.hpp"

#include "machine/controller_sheet.hpp"
#include "machine/profile_sheet.hpp"
#include "machine/self_test_sheet.hpp"
#include "machine/wire_sheet.hpp"

#include <chalkline/wording/wording.hpp>

#include <QHBoxLayout>
#include <QLineEdit>
#include <QVBoxLayout>

namespace chalkline::app {

ConnectionSheet::ConnectionSheet(MachineLink& machine, MachineKeeper& keeper,
                                 const std::function<void()>& connect_sample, PortWatch::Lister list, QWidget* over)
    : Sheet(tr("Connect a machine"), over),
      keeper_(keeper),
      watch_(nullptr, std::move(list)),
      asker_(machine.flat_profile(), nullptr) {
    setFixedWidth(560);
    note_ = add_text(tr("Looking for ports…"), Tone::quiet);
    list_ = new QWidget(this);
    list_->setLayout(new QVBoxLayout);
    list_->layout()->setContentsMargins(0, 0, 0, 0);
    add_widget(list_);
    ask_ = make_button(tr("Ask who is there"), ButtonLook::plain, this);
    ask_->setToolTip(
        tr("Opens the ticked ports one after the other. A board may reset when its port is opened, and then "
           "does not know where its head is."));
    ask_->hide();
    add_widget(ask_);
    auto* typed = new QLineEdit(this);
    typed->setPlaceholderText(tr("/dev/ttyUSB0 or tcp:HOST:PORT"));
    typed->setAccessibleName(tr("Port or address"));
    add_text(tr("Or type a port or address:"), Tone::quiet);
    add_widget(typed);
    add_button(tr("Simulated machine"), ButtonLook::plain, connect_sample);
    add_button(tr("Connect"), ButtonLook::accent, [&keeper, typed] {
        if (!typed->text().trimmed().isEmpty()) keeper.connect_to(typed->text().trimmed());
    });
    connect(&watch_, &PortWatch::changed, this, &ConnectionSheet::show_ports);
    connect(ask_, &QPushButton::clicked, this, &ConnectionSheet::ask);
    connect(&asker_, &PortAsker::answered, this,
            [this](const QString& path, const QString& answer, const Speech& speech, const Error& error) {
                if (!answer.isEmpty()) speeches_[path] = speech;
                answers_[path] = answer.isEmpty() ? wording::describe(error).whole() : tr("Answers: %1").arg(answer);
                show_ports();
            });
    connect(&asker_, &PortAsker::done, this, &ConnectionSheet::show_ports);
    open();
    typed->setFocus();
}

void ConnectionSheet::show_ports() {
    std::map<QString, bool> ticked;
    for (const auto& [path, tick] : ticks_)
        ticked[path] = tick->isChecked();
    ticks_.clear();
    while (auto* item = list_->layout()->takeAt(0)) {
        item->widget()->deleteLater();
        delete item;
    }
    for (const auto& port : watch_.ports()) {
        const QString path = QString::fromStdString(port.path);
        auto* box = new QWidget(list_);
        auto* lines = new QVBoxLayout(box);
        lines->setContentsMargins(0, 0, 0, 0);
        lines->setSpacing(2);
        auto* line = new QHBoxLayout;
        const QString who = QString::fromStdString(port.maker + " " + port.product).trimmed();
        auto* tick = new QCheckBox(who.isEmpty() ? path : tr("%1 · %2").arg(who, path), box);
        tick->setChecked(ticked.contains(path) ? ticked[path] : true);
        line->addWidget(tick, 1);
        if (watch_.just_plugged_in(port.path)) line->addWidget(make_label(tr("just plugged in"), Tone::attention, box));
        auto* use = make_button(tr("Connect to it"), ButtonLook::plain, box);
        use->setAccessibleName(tr("Connect to %1").arg(path));
        connect(use, &QPushButton::clicked, this, [this, path] {
            const auto speech = speeches_.find(path);
            speech == speeches_.end() ? keeper_.connect_to(path)
                                      : keeper_.connect_to(path, speech->second.baud, speech->second.dialect);
            deleteLater();
        });
        line->addWidget(use);
        lines->addLayout(line);
        auto* said = make_label(answers_.contains(path) ? answers_[path] : QString(), Tone::quiet, box);
        said->setVisible(answers_.contains(path));
        lines->addWidget(said);
        list_->layout()->addWidget(box);
        ticks_[path] = tick;
    }
    QString note = watch_.ports().empty()
                       ? tr("No serial port is plugged in. Plug the machine's cable in: it shows here.")
                       : tr("Ports on this computer:");
    if (!watch_.gone().isEmpty()) note += "\n" + tr("%1 went away.").arg(watch_.gone().last());
    note_->setText(note);
    ask_->setVisible(!watch_.ports().empty());
    ask_->setEnabled(!asker_.asking());
    ask_->setText(asker_.asking() ? tr("Asking…") : tr("Ask who is there"));
    // Rows that are new have no size before they were shown.
    QMetaObject::invokeMethod(
        this,
        [this] {
            list_->layout()->activate();
            list_->setMinimumHeight(list_->layout()->sizeHint().height());
            fit();
        },
        Qt::QueuedConnection);
}

void ConnectionSheet::ask() {
    QStringList paths;
    for (const auto& [path, tick] : ticks_)
        if (tick->isChecked()) paths << path;
    answers_.clear();
    asker_.ask(paths);
    show_ports();
}

void open_connection_sheet(MachineLink& machine, MachineKeeper& keeper, const MachineActs& acts, QWidget* over) {
    if (!machine.connected()) {
        new ConnectionSheet(machine, keeper, acts.connect_sample, ports::list, over);
        return;
    }
    auto* sheet = new Sheet(Sheet::tr("Machine: %1").arg(machine.name()), over);
    sheet->add_row(Sheet::tr("Controller"), QString::fromStdString(machine.snapshot().version));
    if (machine.active()) sheet->add_text(Sheet::tr("It is working. Stop it before you disconnect."), Tone::attention);
    sheet->add_link(Sheet::tr("The controller's own store…"), acts.open_store);
    sheet->add_link(Sheet::tr("Self-test with the beam off…"), [&machine, over] { new SelfTestSheet(machine, over); });
    sheet->add_button(Sheet::tr("Machine…"), ButtonLook::plain,
                      [&machine, &keeper, over] { new ProfileSheet(machine, keeper, over); });
    sheet
        ->add_button(Sheet::tr("Settings…"), ButtonLook::plain,
                     [&machine, over] { new ControllerSheet(machine, over); })
        ->setEnabled(machine.snapshot().can.settings);
    sheet->add_button(Sheet::tr("Wire…"), ButtonLook::plain, [&machine, over] { new WireSheet(machine, over); });
    if (machine.is_sample())
        sheet->add_button(Sheet::tr("Fresh piece"), ButtonLook::plain, acts.lay_fresh_piece)
            ->setToolTip(Sheet::tr("The simulated bed keeps what was burned until another piece lies there"));
    sheet->add_button(Sheet::tr("Disconnect"), ButtonLook::plain, [&machine] { machine.disconnect_now(); })
        ->setEnabled(!machine.active());
    sheet->add_button(Sheet::tr("Done"), ButtonLook::accent, {});
    sheet->open();
}

}  // namespace chalkline::app
