// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/job_files.hpp"

#include "widgets/sheet.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/clearance/program_file.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/svg_export.hpp>
#include <chalkline/machine/program_text.hpp>

#include <QFileDialog>
#include <QFileInfo>

namespace chalkline::app {
namespace {

bool is_job(const QString& path) {
    return path.endsWith(".chalk", Qt::CaseInsensitive);
}

bool is_program(const QString& path) {
    for (const char* ending : {".gcode", ".nc", ".ngc", ".gc"})
        if (path.endsWith(ending, Qt::CaseInsensitive)) return true;
    return false;
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
        if (!is_job(path) && !is_program(path)) art << path;
    const auto program = std::find_if(paths.begin(), paths.end(), is_program);
    const auto job = std::find_if(paths.begin(), paths.end(), is_job);
    if (job != paths.end())
        guard([this, path = *job] { open_job(path); });
    else if (program != paths.end())
        guard([this, path = *program] { open_program(path); });
    else if (!art.isEmpty())
        Q_EMIT art_wanted(art);
}

void JobFiles::ask_and_open() {
    auto* dialog = make_dialog(window_, tr("Open"), QFileDialog::AcceptOpen);
    dialog->setFileMode(QFileDialog::ExistingFiles);
    dialog->setNameFilters(
        {tr("Jobs and art (*.chalk *.svg *.svgz *.pdf *.dxf *.png *.jpg *.jpeg *.bmp *.tif *.tiff *.webp *.gif)"),
         tr("Programs (*.gcode *.nc *.ngc *.gc)"), tr("All files (*)")});
    connect(dialog, &QFileDialog::filesSelected, this, &JobFiles::open);
    dialog->show();
}

void JobFiles::new_job() {
    guard([this] { document_.replace(beginning_(), {}); });
}

void JobFiles::open_job(const QString& path) {
    reader_.start([path, surroundings = surroundings_](
                      const Watch& watch) { return job::load(path.toStdString(), surroundings->of_nothing(), watch); },
                  [this, path](Result<job::Opened> read) {
                      if (!read) return Q_EMIT message(wording::describe(read.error()));
                      document_.replace(std::move(read->job), path);
                      Q_EMIT opened();
                      say_what_is_otherwise(*read);
                  });
}

void JobFiles::open_program(const QString& path) {
    reader_.start(
        [path = path.toStdString(), machine = machine_](const Watch&) -> Result<machine::Program> {
            const auto text = read_file(path);
            if (!text) return tl::unexpected(text.error());
            return machine::read_program(*text, machine, path);
        },
        [this, path](Result<machine::Program> program) {
            if (!program) return Q_EMIT message(wording::describe(program.error()));
            document_.replace({}, {});
            Q_EMIT program_read(QFileInfo(path).fileName(), *program);
        });
}

bool JobFiles::offer_left_behind(const QString& folder) {
    const auto left = Autosave::left_behind(folder);
    if (left.empty()) return false;
    const LeftBehind copy = left.front();
    const QString title = copy.path.isEmpty() ? tr("A new job") : QFileInfo(copy.path).completeBaseName();
    auto* sheet = new Sheet(tr("Chalkline ended without closing"), window_);
    sheet->add_text(tr("“%1” had changes that were not saved. They were kept at %2.")
                        .arg(title, QLocale().toString(copy.kept_at, QLocale::ShortFormat)),
                    Tone::quiet);
    sheet->add_button(tr("Later"), ButtonLook::plain, {});
    sheet->add_button(tr("Throw away"), ButtonLook::plain, [copy] { Autosave::discard(copy); });
    sheet->add_button(tr("Recover"), ButtonLook::accent, [this, copy] { recover(copy); });
    sheet->open();
    return true;
}

/// The copy stays until the recovered job is kept again or saved.
void JobFiles::recover(const LeftBehind& copy) {
    open_kept(copy.file, copy.path, [this, copy] { Q_EMIT recovered(copy); });
}

void JobFiles::open_kept(const QString& copy, const QString& path, std::function<void()> then) {
    reader_.start([file = copy.toStdString(), surroundings = surroundings_](
                      const Watch& watch) { return job::load(file, surroundings->of_nothing(), watch); },
                  [this, path, then = std::move(then)](Result<job::Opened> read) {
                      if (!read) return Q_EMIT message(wording::describe(read.error()));
                      document_.replace_unsaved(std::move(read->job), path);
                      then();
                      Q_EMIT opened();
                      say_what_is_otherwise(*read);
                  });
}

/// What a damaged file no longer holds, or what burns as an earlier version burned it, as one message.
void JobFiles::say_what_is_otherwise(const job::Opened& opened) {
    const std::vector<Notice>& all = opened.lost.empty() ? opened.told : opened.lost;
    if (all.empty()) return;
    QStringList what;
    for (const Notice& notice : all)
        what << wording::describe(notice);
    wording::Message said = wording::describe(Error{all.front().code, all.front().parameters, {}, 0});
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

void JobFiles::export_svg(const machine::MachineProfile& machine) {
    auto* dialog = make_dialog(window_, tr("Export as SVG"), QFileDialog::AcceptSave);
    dialog->setDefaultSuffix("svg");
    dialog->setNameFilter(tr("Drawings (*.svg)"));
    connect(dialog, &QFileDialog::fileSelected, this, [this, bed = machine.bed()](const QString& path) {
        const std::string svg = job::to_svg(document_.job(), bed.right, bed.top);
        if (auto done = replace_file(path.toStdString(), svg); !done) Q_EMIT message(wording::describe(done.error()));
    });
    dialog->show();
}

/// Written in the background: a picture is a file of many megabytes.
void JobFiles::save_program(const clearance::Clearance& planned) {
    if (!planned.program) return;
    auto* dialog = make_dialog(window_, tr("Save the program"), QFileDialog::AcceptSave);
    dialog->setObjectName("saveProgram");
    dialog->setDefaultSuffix("gcode");
    dialog->setNameFilter(tr("Programs (*.gcode *.nc)"));
    connect(dialog, &QFileDialog::fileSelected, this,
            [this, plan = planned.plan, program = *planned.program](const QString& path) {
                saving_program_.start(
                    [plan, program, job = document_.job(), title = document_.title().toStdString(),
                     path = path.toStdString()](const Watch&) {
                        return replace_file(path, clearance::program_file(title, job, *plan, program));
                    },
                    [this, path](const Result<void>& written) {
                        Q_EMIT message(written ? wording::Message{tr("The program is saved as %1").arg(path), {}, {}}
                                               : wording::describe(written.error()));
                    });
            });
    dialog->show();
}

void JobFiles::save_run_sheet(const RunSheet& sheet) {
    auto* dialog = make_dialog(window_, tr("Run sheet as a page"), QFileDialog::AcceptSave);
    dialog->setObjectName("saveRunSheet");
    dialog->setDefaultSuffix("pdf");
    dialog->setNameFilter(tr("Pages (*.pdf)"));
    connect(dialog, &QFileDialog::fileSelected, this, [this, sheet](const QString& path) {
        const auto written = write_run_sheet(sheet, path);
        Q_EMIT message(written ? wording::Message{tr("The run sheet is saved as %1").arg(path), {}, {}}
                               : wording::describe(written.error()));
    });
    dialog->show();
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
