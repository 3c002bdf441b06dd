// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "tasks/task_runner.hpp"

#include <chalkline/art/cleaning.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/surroundings/surroundings.hpp>
#include <chalkline/wording/wording.hpp>

#include <QFileSystemWatcher>
#include <QObject>
#include <QStringList>
#include <deque>
#include <functional>
#include <map>
#include <memory>
#include <vector>

namespace chalkline::app {

/// Art larger than the bed, until the maker says what to do with it.
struct TooLarge {
    std::shared_ptr<const art::Artwork> art;
    QString path;
    wording::Message message;
    double fitting_scale = 1;  ///< a round scale at which it fits
};

/// Brings art into the job and reads it again: off the GUI thread, one undoable edit each. Keeps what the maker has
/// yet to decide, the faults found in each motif, and which files changed on the disk since.
class ArtDesk : public QObject {
    Q_OBJECT
 public:
    ArtDesk(JobDocument& document, machine::MachineProfile machine, std::shared_ptr<const Surroundings> surroundings,
            QObject* parent = nullptr);

    void bring_in(const QStringList& paths);
    /// Art from the clipboard.
    void bring_in(const QByteArray& bytes, const QString& name);
    /// Another page of a motif's file as a motif of its own.
    void bring_in_page(job::Id motif, int page);
    /// Reads a motif's art again in another way; `name` names the step of the history.
    void read_again(job::Id motif, const art::ReadOptions& options, const QString& name,
                    job::Anchor anchor = job::Anchor::middle);
    /// How a motif's art is read, or will be once the reading under way is done.
    art::ReadOptions options_of(job::Id motif) const;
    void set_machine(const machine::MachineProfile& machine) { machine_ = machine; }
    /// What is still being read is not: the job stays as it is.
    void stop_reading();
    bool busy() const { return bringing_.running() || rereading_.running(); }

    const std::vector<TooLarge>& too_large() const { return too_large_; }
    void bring_in_at_scale(std::size_t index, double scale);
    void drop_too_large(std::size_t index);

    /// Nothing while they are still being looked for.
    const std::vector<art::Find>* finds(job::Id motif) const;

    /// Files that are no longer what was read from them.
    const QStringList& changed_files() const { return changed_; }
    void read_changed(const QString& path);
    void keep_as_read(const QString& path);

 Q_SIGNALS:
    void changed();
    void message(const chalkline::wording::Message& message);
    void brought_in();

 private:
    struct Read {
        QString path;
        Result<std::shared_ptr<const art::Artwork>> art;
        bool size_accepted = false;
    };
    using Reading = std::function<std::vector<Read>(const Watch&)>;
    void enqueue(Reading reading);
    void start_next();
    void take_in(std::vector<Read> all);
    void follow(JobChange change);
    void look_for_faults();
    void file_changed(const QString& path);

    JobDocument& document_;
    machine::MachineProfile machine_;
    std::shared_ptr<const Surroundings> surroundings_;
    TaskRunner bringing_, rereading_, examining_;
    std::deque<Reading> queue_;  ///< what comes in while something else is still being read
    std::map<job::Id, art::ReadOptions> pending_;
    std::vector<TooLarge> too_large_;
    /// By artwork, so that undo finds them again.
    std::map<std::shared_ptr<const art::Artwork>, std::vector<art::Find>> finds_;
    QFileSystemWatcher watcher_;
    std::map<job::Id, QString> origins_;  ///< files the motifs of this session came from
    QStringList changed_;
};

}  // namespace chalkline::app
