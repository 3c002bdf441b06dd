// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/autosave.hpp"
#include "document/job_document.hpp"
#include "papers/run_sheet_page.hpp"
#include "tasks/task_runner.hpp"

#include <chalkline/clearance/clear.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/surroundings/surroundings.hpp>
#include <chalkline/wording/wording.hpp>

#include <QObject>
#include <QStringList>
#include <functional>

namespace chalkline::app {

/// Everything between the document and the disk: opening and saving jobs. Reading happens off the GUI
/// thread; changes that were not saved are never thrown away unasked.
class JobFiles : public QObject {
    Q_OBJECT
 public:
    JobFiles(JobDocument& document, std::shared_ptr<const Surroundings> surroundings, QWidget* window);

    /// Jobs are opened, anything else is brought in as art.
    void open(const QStringList& paths);
    void ask_and_open();
    void new_job();
    /// Saves where the job lives, or asks for a place first. `then` runs after it worked.
    void save(std::function<void()> then = {});
    /// Asks for a place and writes the job's geometry there as SVG.
    void export_svg(const machine::MachineProfile& machine);
    /// The program that would be burned, as a file for a machine fed by card.
    void save_program(const clearance::Clearance& planned);
    /// The run sheet as a page for the wall.
    void save_run_sheet(const RunSheet& sheet);
    /// Programs from files are read for this machine.
    void set_machine(const machine::MachineProfile& machine) { machine_ = machine; }
    /// What a new job begins with.
    void set_beginning(std::function<job::Job()> beginning) { beginning_ = std::move(beginning); }
    /// Runs `action` at once when nothing would be lost, after an answer otherwise.
    void guard(std::function<void()> action);
    /// Offers the newest job a crashed Chalkline left behind in the folder; true when there is one.
    bool offer_left_behind(const QString& folder);
    void recover(const LeftBehind& copy);
    /// Opens a kept copy of a job as unsaved changes of the file at `path`; `then` runs when it stands.
    void open_kept(const QString& copy, const QString& path, std::function<void()> then);
    bool busy() const { return reader_.running(); }

 Q_SIGNALS:
    void message(const chalkline::wording::Message& message);
    /// A job was opened.
    void opened();
    /// A job left behind was opened and is unsaved here.
    void recovered(const chalkline::app::LeftBehind& copy);
    /// A program was read; it may still be refused by its checks.
    void program_read(const QString& name, const chalkline::machine::Program& program);
    /// Files that are no jobs were chosen.
    void art_wanted(const QStringList& paths);

 private:
    void open_job(const QString& path);
    void open_program(const QString& path);
    void say_what_is_otherwise(const job::Opened& opened);
    void save_to(const QString& path, const std::function<void()>& then);

    JobDocument& document_;
    std::shared_ptr<const Surroundings> surroundings_;  ///< shared with reading that outlives the window
    QWidget* window_;
    machine::MachineProfile machine_;
    std::function<job::Job()> beginning_ = [] { return job::Job{}; };
    TaskRunner reader_, saving_program_;
};

}  // namespace chalkline::app
