// SPDX-License-Identifier: GPL-3.0-or-later
#include "machine/wire_sheet.hpp"

#include "theme/theme.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/wording/wording.hpp>

#include <QApplication>
#include <QClipboard>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QKeyEvent>

namespace chalkline::app {

WireSheet::WireSheet(MachineLink& machine, QWidget* over) : Sheet(tr("The wire"), over), machine_(machine) {
    setFixedWidth(640);
    auto* top = new QWidget(this);
    auto* row = new QHBoxLayout(top);
    row->setContentsMargins(0, 0, 0, 0);
    auto* filter = new QLineEdit(top);
    filter->setPlaceholderText(tr("Show only lines with…"));
    filter->setAccessibleName(tr("Filter of the wire log"));
    filter->setClearButtonEnabled(true);
    row->addWidget(filter, 1);
    auto* copy = make_button(tr("Copy"), ButtonLook::plain, top);
    auto* save_button = make_button(tr("Save…"), ButtonLook::plain, top);
    row->addWidget(copy);
    row->addWidget(save_button);
    add_widget(top);
    constexpr int most_lines = 5000;
    log_ = new WireLog(machine_, most_lines, this);
    log_->setFixedHeight(300);
    add_widget(log_);
    line_ = new QLineEdit(this);
    line_->setFont(theme::mono(theme::normal));
    line_->setPlaceholderText(tr("A line for the controller, such as $I; Return sends it"));
    line_->setAccessibleName(tr("Line for the controller"));
    line_->installEventFilter(this);
    add_widget(line_);
    said_ = add_text({}, Tone::attention);
    said_->hide();
    add_button(tr("Done"), ButtonLook::plain, {});
    connect(filter, &QLineEdit::textChanged, log_, &WireLog::set_filter);
    connect(copy, &QPushButton::clicked, this, [this] { QApplication::clipboard()->setText(log_->toPlainText()); });
    connect(save_button, &QPushButton::clicked, this, &WireSheet::save);
    connect(&machine_, &MachineLink::failed, this, [this](machine::Activity, const Error& error) {
        said_->setText(wording::describe(error).whole());
        said_->show();
    });
    open();
    line_->setFocus();
}

void WireSheet::send() {
    const QString text = line_->text().trimmed();
    said_->hide();
    if (text.isEmpty()) return;
    typed_ << text;
    recalled_ = typed_.size();
    line_->clear();
    machine_.send_line(text);
}

void WireSheet::save() {
    auto* dialog = new QFileDialog(this, tr("Save the wire log"), {}, tr("Text (*.txt)"));
    dialog->setObjectName("saveWire");
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setAcceptMode(QFileDialog::AcceptSave);
    dialog->setDefaultSuffix("txt");
    connect(dialog, &QFileDialog::fileSelected, this, [this](const QString& path) {
        const auto written = replace_file(path.toStdString(), log_->toPlainText().toStdString() + "\n");
        said_->setVisible(!written);
        if (!written) said_->setText(wording::describe(written.error()).whole());
    });
    dialog->open();
}

/// Return sends instead of closing the sheet; Up and Down go through what was typed.
bool WireSheet::eventFilter(QObject* watched, QEvent* event) {
    if (watched != line_ || event->type() != QEvent::KeyPress) return Sheet::eventFilter(watched, event);
    const int key = static_cast<QKeyEvent*>(event)->key();
    if (key == Qt::Key_Return || key == Qt::Key_Enter) {
        send();
        return true;
    }
    if (key != Qt::Key_Up && key != Qt::Key_Down) return false;
    recalled_ = std::clamp<qsizetype>(recalled_ + (key == Qt::Key_Up ? -1 : 1), 0, typed_.size());
    line_->setText(recalled_ < typed_.size() ? typed_[recalled_] : QString());
    return true;
}

}  // namespace chalkline::app
