// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/waiting_panel.hpp"

#include "widgets/controls.hpp"

#include <QFileDialog>
#include <QFileInfo>
#include <QHBoxLayout>

namespace chalkline::app {

WaitingPanel::WaitingPanel(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(4);
    fold_ = new Fold(tr("Waiting jobs"), this);
    all->addWidget(fold_);
    rows_ = new QWidget(fold_);
    row_layout_ = new QVBoxLayout(rows_);
    row_layout_->setContentsMargins(0, 0, 0, 0);
    row_layout_->setSpacing(2);
    fold_->body()->addWidget(rows_);
    auto* buttons = new QHBoxLayout;
    auto* this_one = make_button(tr("Let this job wait"), ButtonLook::link, fold_);
    auto* others = make_button(tr("Add jobs…"), ButtonLook::link, fold_);
    buttons->addWidget(this_one);
    buttons->addWidget(others);
    buttons->addStretch(1);
    fold_->body()->addLayout(buttons);
    auto* history = make_button(tr("What was burned before…"), ButtonLook::link, this);
    all->addWidget(history, 0, Qt::AlignLeft);
    connect(this_one, &QPushButton::clicked, this, [this] {
        if (!context_.document.path().isEmpty()) context_.waiting.add({context_.document.path()});
    });
    connect(others, &QPushButton::clicked, this, &WaitingPanel::ask_for_files);
    connect(history, &QPushButton::clicked, this, &WaitingPanel::history_wanted);
    connect(&context_.waiting, &WaitingJobs::changed, this, &WaitingPanel::show_jobs);
    const auto follow_file = [this, this_one] {
        // Only what lies in a file can be opened again later.
        this_one->setEnabled(!context_.document.path().isEmpty());
        this_one->setToolTip(this_one->isEnabled() ? QString() : tr("Save the job first."));
    };
    connect(&context_.document, &JobDocument::changed, this, follow_file);
    follow_file();
    show_jobs();
}

void WaitingPanel::show_jobs() {
    qDeleteAll(rows_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly));
    const QStringList& paths = context_.waiting.paths();
    for (const QString& path : paths)
        add_row(path, path == paths.front());
    fold_->set_note(paths.isEmpty()
                        ? QString()
                        : tr("%1, next: %2").arg(paths.size()).arg(QFileInfo(paths.front()).completeBaseName()));
}

void WaitingPanel::add_row(const QString& path, bool first) {
    auto* box = new QWidget(rows_);
    auto* row = new QHBoxLayout(box);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(4);
    const QFileInfo file(path);
    auto* name = make_label(file.completeBaseName(), file.exists() ? Tone::plain : Tone::attention, box);
    name->setToolTip(file.exists() ? path : tr("%1 is no longer there").arg(path));
    row->addWidget(name, 1);
    const auto add = [&](const QString& text, const QString& accessible, auto act) {
        auto* button = make_button(text, ButtonLook::link, box);
        button->setAccessibleName(accessible.arg(file.completeBaseName()));
        // The row goes away with what it does: not in the middle of its own click.
        connect(button, &QPushButton::clicked, this, act, Qt::QueuedConnection);
        row->addWidget(button);
        return button;
    };
    add(tr("Open"), tr("Open %1"), [this, path] {
        Q_EMIT open_wanted(path);
        context_.waiting.remove(path);
    })->setEnabled(file.exists());
    add(tr("Sooner"), tr("%1 sooner"), [this, path] { context_.waiting.bring_forward(path); })->setEnabled(!first);
    add(tr("Remove"), tr("Remove %1 from the waiting jobs"), [this, path] { context_.waiting.remove(path); });
    row_layout_->addWidget(box);
}

void WaitingPanel::ask_for_files() {
    auto* dialog = new QFileDialog(window(), tr("Jobs that shall wait"));
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setObjectName("waitingJobs");
    dialog->setFileMode(QFileDialog::ExistingFiles);
    dialog->setNameFilter(tr("Jobs (*.chalk)"));
    connect(dialog, &QFileDialog::filesSelected, this,
            [this](const QStringList& paths) { context_.waiting.add(paths); });
    dialog->show();
}

}  // namespace chalkline::app
