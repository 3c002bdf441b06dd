// SPDX-License-Identifier: GPL-3.0-or-later
#include "history/history_sheets.hpp"

#include "widgets/sheet.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/wording/wording.hpp>

#include <QHBoxLayout>
#include <QImageReader>
#include <QListWidget>
#include <QLocale>

namespace chalkline::app {
namespace {

constexpr int list_height = 170, photo_width = 160;  // px

QString when(const QDateTime& time) {
    return QLocale().toString(time, QLocale::ShortFormat);
}

QString how(const BurnRecord& record) {
    if (!record.end) return Sheet::tr("not brought to its end");
    switch (*record.end) {
        case machine::BurnEnd::finished:
            return Sheet::tr("finished");
        case machine::BurnEnd::stopped:
            return Sheet::tr("stopped at %1 %").arg(static_cast<int>(record.share * 100));
        case machine::BurnEnd::failed:
            return Sheet::tr("broke off at %1 %").arg(static_cast<int>(record.share * 100));
    }
    return {};
}

QString details(const BurnRecord& record) {
    QStringList lines;
    lines << QString("%1 · %2").arg(when(record.begun), how(record));
    lines << (record.took > 0 ? Sheet::tr("took %1, planned %2")
                                    .arg(wording::duration(Duration::seconds(record.took)),
                                         wording::duration(Duration::seconds(record.planned)))
                              : Sheet::tr("planned %1").arg(wording::duration(Duration::seconds(record.planned))));
    QStringList ground{record.machine};
    if (!record.material.isEmpty()) ground << record.material;
    lines << ground.join(" · ");
    lines << record.steps;
    return lines.join('\n');
}

/// The list, and below it the burn that is chosen.
class HistoryPanel : public QWidget {
 public:
    HistoryPanel(BurnHistory& history, QWidget* parent)
        : QWidget(parent), history_(history), records_(history.records()) {
        auto* all = new QVBoxLayout(this);
        all->setContentsMargins(0, 0, 0, 0);
        all->setSpacing(8);
        list_ = new QListWidget(this);
        list_->setAccessibleName(Sheet::tr("What was burned"));
        list_->setFixedHeight(list_height);
        list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        for (const BurnRecord& record : records_)
            list_->addItem(QString("%1\n%2 · %3").arg(record.title, when(record.begun), how(record)));
        all->addWidget(list_);
        auto* row = new QHBoxLayout;
        text_ = make_label({}, Tone::plain, this);
        text_->setWordWrap(true);
        text_->setAlignment(Qt::AlignTop);
        text_->setMinimumHeight(104);
        row->addWidget(text_, 1);
        photo_ = new QLabel(this);
        row->addWidget(photo_, 0, Qt::AlignTop);
        all->addLayout(row);
        all->addWidget(make_label(Sheet::tr("How it came out"), Tone::quiet, this));
        note_ = new QLineEdit(this);
        note_->setAccessibleName(Sheet::tr("How this burn came out"));
        all->addWidget(note_);
        QObject::connect(list_, &QListWidget::currentRowChanged, this, [this] { show_chosen(); });
        QObject::connect(note_, &QLineEdit::editingFinished, this, [this] { keep_note(); });
        list_->setCurrentRow(0);
        show_chosen();
    }

    const BurnRecord* chosen() const {
        const int row = list_->currentRow();
        return row >= 0 && row < static_cast<int>(records_.size()) ? &records_[static_cast<std::size_t>(row)] : nullptr;
    }

    /// Called at once and whenever another burn is chosen.
    void follow_choice(const std::function<void()>& told) {
        QObject::connect(list_, &QListWidget::currentRowChanged, this, told);
        told();
    }

    void keep_note() {
        const int row = list_->currentRow();
        if (row < 0) return;
        records_[static_cast<std::size_t>(row)].note = note_->text().trimmed();
        history_.note(*chosen(), note_->text().trimmed());
    }

    void remove_chosen() {
        const BurnRecord* record = chosen();
        if (!record) return;
        history_.remove(*record);
        const int row = list_->currentRow();
        records_.erase(records_.begin() + row);
        delete list_->takeItem(row);
        show_chosen();
    }

 private:
    void show_chosen() {
        const BurnRecord* record = chosen();
        text_->setText(record ? details(*record) : Sheet::tr("Nothing was burned yet."));
        note_->setEnabled(record != nullptr);
        note_->setText(record ? record->note : QString());
        photo_->clear();
        photo_->setVisible(record && !record->photo.isEmpty());
        if (!photo_->isVisibleTo(this)) return;
        QImageReader reader(record->photo_file());
        if (const QSize size = reader.size(); size.isValid())
            reader.setScaledSize(size.scaled(photo_width, photo_width, Qt::KeepAspectRatio));
        photo_->setPixmap(QPixmap::fromImage(reader.read()));
    }

    BurnHistory& history_;
    std::vector<BurnRecord> records_;
    QListWidget* list_;
    QLabel *text_, *photo_;
    QLineEdit* note_;
};

}  // namespace

void open_history_sheet(BurnHistory& history, std::function<void(const BurnRecord&)> open,
                        std::function<void(const BurnRecord&)> go_on, QWidget* over) {
    auto* sheet = new Sheet(Sheet::tr("What was burned before"), over);
    auto* panel = new HistoryPanel(history, sheet);
    sheet->add_widget(panel);
    sheet->add_button(Sheet::tr("Close"), ButtonLook::plain, [panel] { panel->keep_note(); });
    sheet->add_staying_button(Sheet::tr("Remove"), ButtonLook::plain, [panel] { panel->remove_chosen(); });
    auto* left = sheet->add_button(Sheet::tr("Go on with it"), ButtonLook::plain, [panel, go_on = std::move(go_on)] {
        panel->keep_note();
        if (const BurnRecord* record = panel->chosen()) go_on(*record);
    });
    panel->follow_choice(
        [left, panel, &history] { left->setEnabled(panel->chosen() && history.can_go_on(*panel->chosen())); });
    auto* again =
        sheet->add_button(Sheet::tr("Open it as it was"), ButtonLook::accent, [panel, open = std::move(open)] {
            panel->keep_note();
            if (const BurnRecord* record = panel->chosen()) open(*record);
        });
    again->setEnabled(panel->chosen() != nullptr);
    sheet->open();
}

void open_broken_burn_sheet(BurnHistory& history, const BurnRecord& record, std::function<void()> open, QWidget* over) {
    auto* sheet = new Sheet(Sheet::tr("A burn was not brought to its end"), over);
    sheet->add_row(Sheet::tr("Job"), record.title);
    sheet->add_row(Sheet::tr("Begun"), when(record.begun));
    if (const auto text = read_file(record.journal_file().toStdString())) {
        const auto journal = machine::read_journal(*text);
        sheet->add_row(Sheet::tr("Came"), Sheet::tr("%1 into it, as its journal says")
                                              .arg(wording::duration(Duration::seconds(journal.last.seconds))));
    }
    sheet->add_text(
        Sheet::tr("Chalkline was ended while it burned. The machine went on until its own memory of moves "
                  "ended and then stood still, dark unless the step burns with a constant beam. If the piece "
                  "still lies as it lay, the rest can be burned."),
        Tone::quiet);
    sheet->add_button(Sheet::tr("Later"), ButtonLook::plain, {});
    sheet->add_button(Sheet::tr("Leave it"), ButtonLook::plain, [&history, record] { history.give_up(record); });
    sheet->add_button(Sheet::tr("Open it to go on"), ButtonLook::accent, std::move(open));
    sheet->open();
}

}  // namespace chalkline::app
