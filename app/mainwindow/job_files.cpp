// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/job_files.hpp"

#include "widgets/sheet.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/base/file.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>

#include <QFileDialog>
#include <QFileInfo>

namespace chalkline::app {
namespace {

bool is_job(const QString& path) {
    return path.endsWith(".chalk", Qt::CaseInsensitive);
}

/// What reading one file came to.
using ReadArt = Result<std::shared_ptr<const art::Artwork>>;

ReadArt read_art(const QString& path, const Surroundings& surroundings, const Watch& watch) {
    auto bytes = read_file(path.toStdString());
    if (!bytes) return tl::unexpected(bytes.error());
    auto art = art::read(std::make_shared<const std::string>(std::move(*bytes)),
                         QFileInfo(path).fileName().toStdString(), {}, surroundings.of_file(path.toStdString()), watch);
    if (!art) return tl::unexpected(art.error());
    return std::make_shared<const art::Artwork>(std::move(*art));
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

JobFiles::JobFiles(JobDocument& document, machine::MachineProfile machine, std::shared_ptr<const Surroundings> surroundings,
                   QWidget* window)
    : QObject(window),
      document_(document),
      machine_(std::move(machine)),
      surroundings_(std::move(surroundings)),
      window_(window) {}

void JobFiles::open(const QStringList& paths) {
    QStringList art;
    for (const QString& path : paths)
        if (!is_job(path)) art << path;
    const auto job = std::find_if(paths.begin(), paths.end(), is_job);
    if (job != paths.end())
        guard([this, path = *job] { open_job(path); });
    else if (!art.isEmpty())
        add_art(art);
}

void JobFiles::ask_and_open() {
    auto* dialog = make_dialog(window_, tr("Open"), QFileDialog::AcceptOpen);
    dialog->setFileMode(QFileDialog::ExistingFiles);
    dialog->setNameFilters({tr("Jobs and art (*.chalk *.svg)"), tr("All files (*)")});
    connect(dialog, &QFileDialog::filesSelected, this, &JobFiles::open);
    dialog->show();
}

void JobFiles::new_job() {
    guard([this] { document_.replace({}, {}); });
}

void JobFiles::open_job(const QString& path) {
    reader_.start([path, surroundings = surroundings_](const Watch& watch) { return job::load(path.toStdString(), surroundings->of_nothing(), watch); },
                  [this, path](Result<job::Job> job) {
                      if (!job) return Q_EMIT message(wording::describe(job.error()));
                      document_.replace(std::move(*job), path);
                      Q_EMIT opened();
                  });
}

void JobFiles::add_art(const QStringList& paths) {
    reader_.start(
        [paths, surroundings = surroundings_](const Watch& watch) {
            std::vector<ReadArt> all;
            for (const QString& path : paths)
                all.push_back(read_art(path, *surroundings, watch));
            return all;
        },
        [this](std::vector<ReadArt> all) {
            // One edit for all files; a bad one is said and the others still come in.
            job::Job job = document_.job();
            std::size_t added = 0;
            for (ReadArt& art : all) {
                auto with = art ? job::add_art(job, *art, machine_) : Result<job::Job>(tl::unexpected(art.error()));
                if (!with) {
                    Q_EMIT message(wording::describe(with.error()));
                    continue;
                }
                job = std::move(*with);
                ++added;
            }
            if (added == 0) return;
            (void)document_.edit(tr("Add art"), job, JobChange::art | JobChange::place | JobChange::steps);
            Q_EMIT opened();
        });
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
