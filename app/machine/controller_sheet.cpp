// SPDX-License-Identifier: GPL-3.0-or-later
#include "machine/controller_sheet.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/wording/controller_settings.hpp>
#include <chalkline/wording/wording.hpp>

#include <QFileDialog>
#include <QHBoxLayout>
#include <QHeaderView>
#include <cmath>

namespace chalkline::app {
namespace {

QString figure(double value) {
    return QString::number(value, 'g', 9);
}

/// Lines like "$30=1000"; whatever else stands in the file is passed over.
std::vector<std::pair<int, double>> settings_in(const std::string& text) {
    std::vector<std::pair<int, double>> found;
    for (const QString& line : QString::fromStdString(text).split('\n')) {
        const auto parts = line.trimmed().split('=');
        bool number_good = false, value_good = false;
        if (parts.size() != 2 || !parts[0].startsWith('$')) continue;
        const int number = parts[0].mid(1).toInt(&number_good);
        const double value = parts[1].toDouble(&value_good);
        if (number_good && value_good) found.emplace_back(number, value);
    }
    return found;
}

}  // namespace

ControllerSheet::ControllerSheet(MachineLink& machine, QWidget* over)
    : Sheet(tr("The controller's settings"), over), machine_(machine) {
    setFixedWidth(640);
    add_text(tr("They are kept in the controller. Save them to a file before you change one."), Tone::quiet);
    table_ = new QTableWidget(0, 4, this);
    table_->setAccessibleName(tr("Controller settings"));
    table_->setHorizontalHeaderLabels({tr("No."), tr("Setting"), tr("Value"), tr("Unit")});
    table_->verticalHeader()->hide();
    table_->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    table_->setColumnWidth(0, 64);
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    table_->setSelectionMode(QAbstractItemView::SingleSelection);
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->horizontalHeader()->setSectionResizeMode(1, QHeaderView::Stretch);
    table_->setFixedHeight(290);
    add_widget(table_);
    what_ = add_text({}, Tone::quiet);
    auto* row = new QWidget(this);
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    value_ = new QLineEdit(row);
    value_->setAccessibleName(tr("New value"));
    value_->setFixedWidth(120);
    change_ = make_button(tr("Change it"), ButtonLook::plain, row);
    line->addWidget(make_label(tr("New value"), Tone::quiet, row));
    line->addWidget(value_);
    line->addWidget(change_);
    line->addStretch(1);
    auto* save_button = make_button(tr("Save to file…"), ButtonLook::plain, row);
    auto* restore_button = make_button(tr("Write back from file…"), ButtonLook::plain, row);
    line->addWidget(save_button);
    line->addWidget(restore_button);
    add_widget(row);
    said_ = add_text({}, Tone::attention);
    add_button(tr("Done"), ButtonLook::plain, {});  // Return belongs to the value
    connect(value_, &QLineEdit::returnPressed, this, &ControllerSheet::change);
    connect(table_, &QTableWidget::currentCellChanged, this, [this](int current) { choose(current); });
    connect(value_, &QLineEdit::textEdited, this, [this] {
        sure_ = false;
        change_->setText(tr("Change it"));
    });
    connect(change_, &QPushButton::clicked, this, &ControllerSheet::change);
    connect(save_button, &QPushButton::clicked, this, &ControllerSheet::save);
    connect(restore_button, &QPushButton::clicked, this, &ControllerSheet::restore);
    connect(&machine_, &MachineLink::changed, this, &ControllerSheet::show_settings);
    connect(&machine_, &MachineLink::failed, this, [this](machine::Activity, const Error& error) {
        to_write_.clear();
        writing_.reset();
        said_->setText(wording::describe(error).whole());
    });
    show_settings();
    open();
    table_->setFocus();
}

void ControllerSheet::show_settings() {
    const auto settings = machine_.snapshot().settings;
    if (!settings || settings == shown_) return;
    shown_ = settings;
    const int current = table_->currentRow();
    table_->setRowCount(static_cast<int>(settings->size()));
    int row = 0;
    for (const auto& [number, value] : *settings) {
        const auto words = wording::controller_setting(number);
        const QString texts[]{QString("$%1").arg(number), words.name, figure(value), words.unit};
        for (int column = 0; column < 4; ++column)
            table_->setItem(row, column, new QTableWidgetItem(texts[column]));
        ++row;
    }
    if (current < 0 && row > 0) table_->setCurrentCell(0, 0);
    if (writing_ && settings->contains(writing_->first) && settings->at(writing_->first) == writing_->second) {
        said_->setText(tr("$%1 is %2 now.").arg(writing_->first).arg(figure(writing_->second)));
        writing_.reset();
        write_next();
    }
}

void ControllerSheet::choose(int row) {
    sure_ = false;
    change_->setText(tr("Change it"));
    chosen_.reset();
    if (!shown_ || row < 0 || row >= static_cast<int>(shown_->size())) return;
    const auto& [number, value] = *std::next(shown_->begin(), row);
    chosen_ = number;
    value_->setText(figure(value));
    what_->setText(wording::controller_setting(number).what);
}

/// The first press says what will happen, the second does it.
void ControllerSheet::change() {
    bool good = false;
    const double value = value_->text().trimmed().replace(',', '.').toDouble(&good);
    if (!chosen_ || !good || !std::isfinite(value)) {
        said_->setText(tr("Type a number."));
        return;
    }
    if (!sure_) {
        sure_ = true;
        change_->setText(tr("Yes, write $%1=%2").arg(*chosen_).arg(figure(value)));
        return;
    }
    sure_ = false;
    change_->setText(tr("Change it"));
    to_write_ = {{*chosen_, value}};
    write_next();
}

void ControllerSheet::write_next() {
    if (to_write_.empty()) return;
    writing_ = to_write_.front();
    to_write_.erase(to_write_.begin());
    machine_.write_setting(writing_->first, writing_->second);
}

void ControllerSheet::save() {
    if (!shown_) return;
    auto* dialog = new QFileDialog(this, tr("Save the controller's settings"), {}, tr("Settings (*.txt)"));
    dialog->setObjectName("saveSettings");
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setAcceptMode(QFileDialog::AcceptSave);
    dialog->setDefaultSuffix("txt");
    connect(dialog, &QFileDialog::fileSelected, this, [this](const QString& path) {
        std::string text;
        for (const auto& [number, value] : *shown_)
            text += "$" + std::to_string(number) + "=" + figure(value).toStdString() + "\n";
        const auto written = replace_file(path.toStdString(), text);
        said_->setText(written ? tr("Saved to %1.").arg(path) : wording::describe(written.error()).whole());
    });
    dialog->open();
}

/// Only what differs is written: the controller's memory wears.
void ControllerSheet::restore() {
    auto* dialog = new QFileDialog(this, tr("Write settings back"), {}, tr("Settings (*.txt)"));
    dialog->setObjectName("restoreSettings");
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QFileDialog::fileSelected, this, [this](const QString& path) {
        const auto text = read_file(path.toStdString());
        if (!text) {
            said_->setText(wording::describe(text.error()).whole());
            return;
        }
        to_write_ = settings_in(*text);
        if (to_write_.empty()) {
            said_->setText(tr("No settings stand in that file."));
            return;
        }
        std::erase_if(to_write_, [this](const auto& one) {
            return !shown_ || !shown_->contains(one.first) || shown_->at(one.first) == one.second;
        });
        if (to_write_.empty()) said_->setText(tr("The controller has these settings already."));
        write_next();
    });
    dialog->open();
}

}  // namespace chalkline::app
