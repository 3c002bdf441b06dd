// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/left_open_sheet.hpp"

#include "widgets/sheet.hpp"

#include <QFileInfo>
#include <QHBoxLayout>
#include <QLocale>
#include <QPointer>

namespace chalkline::app {
namespace {

/// One thing left behind: what it is, and what can be done with it.
class LeftOpenRow : public QWidget {
 public:
    LeftOpenRow(const QString& text, Sheet* sheet) : QWidget(sheet), sheet_(sheet), row_(new QHBoxLayout(this)) {
        row_->setContentsMargins(0, 2, 0, 2);
        auto* label = make_label(text, Tone::plain, this);
        label->setWordWrap(true);
        row_->addWidget(label, 1);
    }
    /// Closes the sheet, then does it.
    void add_leading(const QString& text, const QString& what, std::function<void()> act) {
        add(text, what, ButtonLook::accent, [sheet = sheet_, act = std::move(act)] {
            sheet->put_away();
            act();
        });
    }
    /// Does it; the others stay.
    void add_staying(const QString& text, const QString& what, std::function<void()> act) {
        add(text, what, ButtonLook::plain, [this, act = std::move(act)] {
            act();
            hide();
            const auto rows = sheet_->findChildren<LeftOpenRow*>();
            const bool more = std::any_of(rows.begin(), rows.end(), [](const auto* row) { return !row->isHidden(); });
            if (!more) sheet_->put_away();
        });
    }

 private:
    void add(const QString& text, const QString& what, ButtonLook look, std::function<void()> act) {
        auto* button = make_button(text, look, this);
        button->setAccessibleName(text + ": " + what);
        row_->addWidget(button);
        QObject::connect(button, &QPushButton::clicked, this, [act = std::move(act)] { act(); });
    }
    Sheet* sheet_;
    QHBoxLayout* row_;
};

QString when(const QDateTime& at) {
    return QLocale().toString(at, QLocale::ShortFormat);
}

void add_burn(Sheet* sheet, const BurnRecord& burn, const LeftOpenActs& acts) {
    auto* row = new LeftOpenRow(
        Sheet::tr("“%1” was burning, begun %2. If the piece still lies as it lay, the rest can be burned.")
            .arg(burn.title, when(burn.begun)),
        sheet);
    row->add_staying(Sheet::tr("Leave it"), burn.title, [acts, burn] { acts.give_up(burn); });
    row->add_leading(Sheet::tr("Open it to go on"), burn.title, [acts, burn] { acts.go_on(burn); });
    sheet->add_widget(row);
}

void add_job(Sheet* sheet, const LeftBehind& copy, const LeftOpenActs& acts) {
    const QString title = copy.path.isEmpty() ? Sheet::tr("A new job") : QFileInfo(copy.path).completeBaseName();
    auto* row = new LeftOpenRow(
        Sheet::tr("“%1” had changes that were not saved. They were kept at %2.").arg(title, when(copy.kept_at)), sheet);
    row->add_staying(Sheet::tr("Throw away"), title, [copy] { Autosave::discard(copy); });
    row->add_leading(Sheet::tr("Recover"), title, [acts, copy] { acts.recover(copy); });
    sheet->add_widget(row);
}

}  // namespace

void open_left_open_sheet(const std::optional<BurnRecord>& burn, const std::vector<LeftBehind>& jobs,
                          const LeftOpenActs& acts, QWidget* over) {
    auto* sheet = new Sheet(Sheet::tr("Chalkline ended without closing"), over);
    sheet->setFixedWidth(640);
    if (burn) add_burn(sheet, *burn, acts);
    for (const LeftBehind& copy : jobs)
        add_job(sheet, copy, acts);
    sheet->add_text(Sheet::tr("What is not taken up now is offered again at the next start."), Tone::quiet);
    sheet->add_button(Sheet::tr("Later"), ButtonLook::plain, {});
    sheet->open();
}

}  // namespace chalkline::app
