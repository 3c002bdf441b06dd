// SPDX-License-Identifier: GPL-3.0-or-later
#include "machine/store_sheet.hpp"

#include <QHBoxLayout>
#include <QHeaderView>
#include <QLocale>
#include <utility>

namespace chalkline::app {

StoreSheet::StoreSheet(MachineLink& machine, StoreDesk& desk, const QString& title, QWidget* over)
    : Sheet(tr("The controller's own store"), over), machine_(machine), desk_(desk) {
    setFixedWidth(640);
    add_text(tr("A program on the controller's card burns without the cable. What was sent from here can be looked at, "
                "framed "
                "and burned from there; what came from elsewhere nobody has checked, so it is not started here."),
             Tone::quiet);
    table_ = new QTableWidget(0, 3, this);
    table_->setAccessibleName(tr("Files in the store"));
    table_->setHorizontalHeaderLabels({tr("File"), tr("Size"), tr("Sent from here")});
    table_->verticalHeader()->hide();
    table_->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    table_->horizontalHeader()->setSectionResizeMode(2, QHeaderView::Stretch);
    table_->setColumnWidth(0, 240);
    table_->setColumnWidth(1, 90);
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    table_->setSelectionMode(QAbstractItemView::SingleSelection);
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->setFixedHeight(190);
    add_widget(table_);
    auto* row = new QWidget(this);
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    name_ = new QLineEdit(title, row);
    name_->setAccessibleName(tr("Name in the store"));
    name_->setMaximumWidth(260);
    send_ = make_button(tr("Send this job"), ButtonLook::plain, row);
    line->addWidget(make_label(tr("Name"), Tone::quiet, row));
    line->addWidget(name_, 1);
    line->addWidget(send_);
    line->addStretch(1);
    add_widget(row);
    said_ = add_text({}, Tone::attention);
    add_button(tr("Done"), ButtonLook::plain, {});
    remove_ = add_staying_button(tr("Delete"), ButtonLook::plain, [this] {
        const auto* entry = chosen();
        if (!entry) return;
        if (std::exchange(sure_, entry->file.name) == entry->file.name) return desk_.remove(entry->file);
        follow();
    });
    show_ = add_staying_button(tr("Show it, to burn it from there"), ButtonLook::accent, [this] {
        if (const auto* entry = chosen()) desk_.show(entry->file);
    });
    connect(send_, &QPushButton::clicked, this, [this, title] { desk_.send(name_->text(), title); });
    connect(table_, &QTableWidget::itemSelectionChanged, this, [this] {
        sure_.clear();
        follow();
    });
    connect(&desk_, &StoreDesk::changed, this, &StoreSheet::follow);
    connect(&desk_, &StoreDesk::shown, this, &StoreSheet::put_away);
    desk_.list();
    follow();
    open();
    table_->setFocus();
}

const StoreDesk::Entry* StoreSheet::chosen() const {
    const auto row = static_cast<std::size_t>(table_->currentRow());
    return table_->currentRow() >= 0 && row < desk_.entries().size() ? &desk_.entries()[row] : nullptr;
}

void StoreSheet::follow() {
    const auto& entries = desk_.entries();
    table_->setRowCount(static_cast<int>(entries.size()));
    for (int row = 0; row < table_->rowCount(); ++row) {
        const auto& entry = entries[static_cast<std::size_t>(row)];
        const QString sent = entry.sent.isValid()
                                 ? tr("%1, %2").arg(entry.title, QLocale().toString(entry.sent, QLocale::ShortFormat))
                                 : tr("no");
        int column = 0;
        for (const QString& text :
             {QString::fromStdString(entry.file.name), QLocale().formattedDataSize(entry.file.bytes), sent}) {
            if (!table_->item(row, column)) table_->setItem(row, column, new QTableWidgetItem);
            table_->item(row, column++)->setText(text);
        }
    }
    const bool free = machine_.free() && !desk_.working();
    const auto* entry = chosen();
    show_->setEnabled(free && entry && entry->sent.isValid());
    remove_->setEnabled(free && entry);
    remove_->setText(sure_.empty() ? tr("Delete") : tr("Delete it for good"));
    send_->setEnabled(free && !desk_.obstacle());
    said_->setText(desk_.said());
    said_->setVisible(!desk_.said().isEmpty());
    QMetaObject::invokeMethod(
        this, [this] { fit(); }, Qt::QueuedConnection);
}

}  // namespace chalkline::app
