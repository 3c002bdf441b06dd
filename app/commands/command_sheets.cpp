// SPDX-License-Identifier: GPL-3.0-or-later
#include "commands/commands.hpp"
#include "widgets/sheet.hpp"

#include <QGridLayout>
#include <QKeyEvent>
#include <QListWidget>
#include <QScrollArea>

namespace chalkline::app {
namespace {

constexpr int list_height = 330, page_height = 430, sheet_width = 520;  // px

/// The search: keys for the list are taken in the field, so that typing never stops.
class SearchSheet : public Sheet {
 public:
    SearchSheet(const Commands& commands, QWidget* over)
        : Sheet(tr("Find a command"), over),
          commands_(commands),
          field_(new QLineEdit(this)),
          list_(new QListWidget(this)) {
        setFixedWidth(sheet_width);
        field_->setPlaceholderText(tr("What do you want to do?"));
        field_->setAccessibleName(tr("Command to find"));
        field_->installEventFilter(this);
        list_->setAccessibleName(tr("Commands found"));
        list_->setFixedHeight(list_height);
        list_->setFocusPolicy(Qt::NoFocus);
        list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        add_widget(field_);
        add_widget(list_);
        connect(field_, &QLineEdit::textChanged, this, &SearchSheet::fill);
        connect(list_, &QListWidget::itemClicked, this, [this] { run(); });
        fill();
        open();
        field_->setFocus();
    }

 protected:
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (watched == field_ && event->type() == QEvent::KeyPress) {
            const auto* key = static_cast<QKeyEvent*>(event);
            if (key->key() == Qt::Key_Down || key->key() == Qt::Key_Up) {
                const int to = list_->currentRow() + (key->key() == Qt::Key_Down ? 1 : -1);
                list_->setCurrentRow(std::clamp(to, 0, std::max(0, list_->count() - 1)));
                return true;
            }
            if (key->key() == Qt::Key_Return || key->key() == Qt::Key_Enter) {
                run();
                return true;
            }
        }
        return Sheet::eventFilter(watched, event);
    }

 private:
    void fill() {
        found_ = commands_.find(field_->text());
        list_->clear();
        for (const Command& command : found_) {
            const QString keys = command.keys.toString(QKeySequence::NativeText);
            list_->addItem(command.name + "  ·  " + command.group + (keys.isEmpty() ? QString() : "  ·  " + keys));
        }
        list_->setCurrentRow(found_.empty() ? -1 : 0);
        field_->setAccessibleDescription(tr("%n found", nullptr, static_cast<int>(found_.size())));
    }
    void run() {
        const int row = list_->currentRow();
        if (row < 0 || row >= static_cast<int>(found_.size())) return;
        const auto action = found_[static_cast<std::size_t>(row)].run;
        put_away();
        action();
    }

    const Commands& commands_;
    QLineEdit* field_;
    QListWidget* list_;
    std::vector<Command> found_;
};

}  // namespace

void open_command_search(const Commands& commands, QWidget* over) {
    new SearchSheet(commands, over);
}

void open_shortcut_page(const Commands& commands, QWidget* over) {
    auto* sheet = new Sheet(Sheet::tr("Keys"), over);
    sheet->setFixedWidth(sheet_width);
    auto* page = new QWidget;
    auto* grid = new QGridLayout(page);
    grid->setContentsMargins(0, 0, 8, 0);
    grid->setHorizontalSpacing(16);
    grid->setVerticalSpacing(4);
    QString group;
    int row = 0;
    for (const Command& command : commands.all()) {
        if (command.keys.isEmpty()) continue;
        if (command.group != group) {
            group = command.group;
            grid->addWidget(make_label(group, Tone::heading, page), row++, 0, 1, 2);
        }
        grid->addWidget(make_label(command.keys.toString(QKeySequence::NativeText), Tone::quiet, page), row, 0);
        grid->addWidget(make_label(command.name, Tone::plain, page), row++, 1);
    }
    grid->setColumnStretch(1, 1);
    auto* scroll = new QScrollArea(sheet);
    scroll->setWidget(page);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setFixedHeight(page_height);
    scroll->setAccessibleName(Sheet::tr("Keys by group"));
    sheet->add_widget(scroll);
    sheet->add_button(Sheet::tr("Close"), ButtonLook::accent, {});
    sheet->open();
}

}  // namespace chalkline::app
