// SPDX-License-Identifier: GPL-3.0-or-later
#include "machine/self_test_sheet.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/wording/machine_words.hpp>

#include <QFileDialog>

namespace chalkline::app {

SelfTestSheet::SelfTestSheet(MachineLink& machine, QWidget* over)
    : Sheet(tr("Self-test with the beam off"), over), desk_(machine) {
    setFixedWidth(600);
    add_text(
        tr("The head moves 20 mm along X and back a few times, is held once and stopped once. The beam is never asked "
           "for. The report helps when something is odd with this controller: it holds every line of the wire."),
        Tone::quiet);
    list_ = new QWidget(this);
    rows_ = new QGridLayout(list_);
    rows_->setContentsMargins(0, 0, 0, 0);
    rows_->setColumnStretch(2, 1);
    rows_->setHorizontalSpacing(12);
    add_widget(list_);
    said_ = add_text({}, Tone::attention);
    add_button(tr("Done"), ButtonLook::plain, {});
    save_ = add_staying_button(tr("Save the report…"), ButtonLook::plain, [this] { save_report(); });
    begin_ = add_staying_button(tr("Begin"), ButtonLook::accent, [this] { desk_.begin(); });
    connect(&desk_, &SelfTestDesk::changed, this, &SelfTestSheet::follow);
    connect(&machine, &MachineLink::changed, this, &SelfTestSheet::follow);
    follow();
    open();
}

void SelfTestSheet::follow() {
    const auto* test = desk_.test();
    const std::size_t told = test ? test->lines().size() : 0;
    if (static_cast<std::size_t>(rows_->count()) != told * 3) {
        while (auto* item = rows_->takeAt(0)) {
            delete item->widget();
            delete item;
        }
        for (int row = 0; row < static_cast<int>(told); ++row) {
            const auto& line = test->lines()[static_cast<std::size_t>(row)];
            const bool good = line.verdict == machine::SelfTestLine::Verdict::good;
            rows_->addWidget(make_label(wording::exercise(line.exercise), Tone::plain, list_), row, 0, Qt::AlignTop);
            rows_->addWidget(make_label(wording::name(line.verdict), good ? Tone::quiet : Tone::attention, list_), row,
                             1, Qt::AlignTop);
            auto* said = make_label(QString::fromStdString(line.said), Tone::quiet, list_);
            said->setWordWrap(true);
            rows_->addWidget(said, row, 2);
        }
        QMetaObject::invokeMethod(
            this, [this] { fit(); }, Qt::QueuedConnection);
    }
    const auto why = desk_.running() ? std::nullopt : desk_.obstacle();
    const bool over = test && test->over();
    said_->setText(desk_.running() ? tr("Under way…")
                   : over          ? (test->passed() ? tr("Passed.") : tr("Not passed."))
                   : why           ? why->whole()
                                   : QString());
    said_->setVisible(!said_->text().isEmpty());
    begin_->setText(over ? tr("Once more") : tr("Begin"));
    begin_->setEnabled(!desk_.running() && !why);
    save_->setEnabled(over);
}

void SelfTestSheet::save_report() {
    auto* dialog = new QFileDialog(this, tr("Save the report"), {}, tr("Text (*.txt)"));
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setAcceptMode(QFileDialog::AcceptSave);
    dialog->selectFile("self-test.txt");
    connect(dialog, &QFileDialog::fileSelected, this, [this](const QString& path) {
        const auto kept = replace_file(path.toStdString(), desk_.test()->report());
        const QString board = QFileInfo(path).path() + "/" + QFileInfo(path).completeBaseName() + ".board.json";
        const auto kept_board =
            kept ? replace_file(board.toStdString(), desk_.test()->board_file("mine")) : Result<void>();
        said_->setText(!kept         ? wording::describe(kept.error()).whole()
                       : !kept_board ? wording::describe(kept_board.error()).whole()
                                     : tr("Saved, with a board file for the simulated machine beside it."));
        said_->show();
        fit();
    });
    dialog->open();
}

}  // namespace chalkline::app
