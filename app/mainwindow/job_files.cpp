// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/job_files.hpp"

#include "widgets/sheet.hpp"

#include <chalkline/job/chalk_file.hpp>

#include <QFileDialog>
#include <QFileInfo>

namespace chalkline::app {
namespace {

bool is_job(const QString& path) {
    return path.endsWith(".chalk", Qt::CaseInsensitive);
}

/// A file dialog that blocks nothing: STOP stays within reach.
QFileDialog* make_dialog(QWidget* window, const QString& title, QFileDialog::AcceptMode mode) {
    auto* dialog = new QFileDialog(window, title);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowModality(Qt::NonModal);
    dialog->setAcceptMode(mode);
    return dialog;
}

}  // namespace

JobFiles::JobFiles(JobDocument& document, std::shared_ptr<const Surroundings> surroundings, QWidget* window)
    : QObject(window), document_(document), surroundings_(std::move(surroundings)), window_(window) {}

void JobFiles::open(const QStringList& paths) {
    QStringList art;
    for (const QString& path : paths)
        if (!is_job(path)) art << path;
    const auto job = std::find_if(paths.begin(), paths.end(), is_job);
    if (job != paths.end())
        guard([this, path = *job] { open_job(path); });
    else if (!art.isEmpty())
        Q_EMIT art_wanted(art);
}

void JobFiles::ask_and_open() {
    auto* dialog = make_dialog(window_, tr("Open"), QFileDialog::AcceptOpen);
    dialog->setFileMode(QFileDialog::ExistingFiles);
    dialog->setNameFilters(
        {tr("Jobs and art (*.chalk *.svg *.pdf *.dxf *.png *.jpg *.jpeg *.bmp *.tif *.tiff *.webp *.gif)"),
         tr("All files (*)")});
    connect(dialog, &QFileDialog::filesSelected, this, &JobFiles::open);
    dialog->show();
}

void JobFiles::new_job() {
    guard([this] { document_.replace({}, {}); });
}

void JobFiles::open_job(const QString& path) {
    reader_.start([path, surroundings = surroundings_](
                      const Watch& watch) { return job::load(path.toStdString(), surroundings->of_nothing(), watch); },
                  [this, path](Result<job::Opened> read) {
                      if (!read) return Q_EMIT message(wording::describe(read.error()));
                      document_.replace(std::move(read->job), path);
                      Q_EMIT opened();
                      say_lost(read->lost);
                  });
}

/// What a damaged file no longer holds, as one message.
void JobFiles::say_lost(const std::vector<Notice>& lost) {
    if (lost.empty()) return;
    QStringList what;
    for (const Notice& notice : lost)
        what << wording::describe(notice);
    wording::Message said = wording::describe(Error{lost.front().code, lost.front().parameters, {}, 0});
    said.what = what.join("; ");
    Q_EMIT message(said);
}

void JobFiles::save(std::function<void()> then) {
    if (!document_.path().isEmpty()) return save_to(document_.path(), then);
    auto* dialog = make_dialog(window_, tr("Save job"), QFileDialog::AcceptSave);
    dialog->setDefaultSuffix("chalk");
    dialog->setNameFilter(tr("Chalkline jobs (*.chalk)"));
    connect(dialog, &QFileDialog::fileSelected, this,
            [this, then = std::move(then)](const QString& path) { save_to(path, then); });
    dialog->show();
}

void JobFiles::save_to(const QString& path, const std::function<void()>& then) {
    if (auto saved = document_.save(path); !saved) return Q_EMIT message(wording::describe(saved.error()));
    if (then) then();
}

void JobFiles::guard(std::function<void()> action) {
    if (!document_.unsaved()) return action();
    auto* sheet = new Sheet(tr("“%1” has changes that were not saved").arg(document_.title()), window_);
    sheet->add_text(tr("Save them first?"), Tone::quiet);
    sheet->add_button(tr("Cancel"), ButtonLook::plain, {});
    sheet->add_button(tr("Throw away"), ButtonLook::plain, action);
    sheet->add_button(tr("Save"), ButtonLook::accent, [this, action] { save(action); });
    sheet->open();
}

}  // namespace chalkline::app
