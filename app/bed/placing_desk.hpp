// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"

#include <chalkline/job/placing.hpp>
#include <chalkline/machine/profile.hpp>

#include <QObject>

namespace chalkline::app {

/// What is chosen on the bed and everything that can be done with it. Bed, keys and trays all ask here, so that each
/// act has one name in the history and one way to be refused.
class PlacingDesk : public QObject {
    Q_OBJECT
 public:
    PlacingDesk(JobDocument& document, const machine::MachineProfile& machine, QObject* parent = nullptr);

    /// The chosen motifs, whole groups, in the job's order.
    const job::Ids& chosen() const { return chosen_; }
    /// The only chosen motif; nothing when there are none or several.
    std::optional<job::Id> only() const;
    bool is_chosen(job::Id motif) const;
    bool all_locked() const;
    void choose(const job::Ids& motifs);
    /// One motif alone, even of a group.
    void choose_one(job::Id motif);
    /// Adds the motif with its group to what is chosen, or takes it out.
    void toggle(job::Id motif);
    void choose_all();
    /// The next or previous motif in the job's order.
    void choose_neighbour(int step);
    /// One shape of the only chosen motif, picked to be given a step of its own; nothing when none is.
    std::optional<std::size_t> object() const { return object_; }
    void choose_object(std::optional<std::size_t> shape);
    /// While something burns, nothing may move.
    void set_held(bool held) { held_ = held; }
    bool held() const { return held_; }

    void transform(const QString& name, const geometry::Transform& map, const Merge& merge = {});
    /// The same from an earlier state of the job: what happened since is undone. For drags.
    void transform_from(const job::Job& start, const QString& name, const geometry::Transform& map, const Merge& merge);
    void move(geometry::Point by, const Merge& merge = {});
    void turn(double radians);
    enum class Mirror { left_right, up_down };
    void mirror(Mirror how);
    void copy();
    void repeat(const job::Repeat& repeat);
    void fill_stock(double gap, double margin);
    /// Lines what is chosen up with its own box, or with the stock (or bed) when it is one thing.
    void align(job::Side side);
    void distribute(job::Along along);
    void stack(job::Stacking to);
    void group();
    void ungroup();
    void set_locked(bool locked);
    void send_to_step(std::optional<job::Id> step);
    void give_own_step();
    void send_object(std::optional<job::Id> step);
    void remove();
    void put_on_stock(job::Spot spot, double margin, bool follow_angle);
    /// Moves, turns or stretches the piece from an earlier state of the job.
    void transform_stock_from(const job::Job& start, const geometry::Transform& map, const Merge& merge);
    /// Marks the nearest line of the art that lies there; clearing takes the marks off what is chosen.
    void mark_path(job::PathMark::Kind kind, geometry::Point on_bed);
    void clear_path_marks();
    void mark_place(geometry::Point place);
    void forget_marked(job::Id marked);
    void set_datum(geometry::Point on_bed, const Merge& merge = {});
    void bring_datum_to(geometry::Point place);
    /// Adds art drawn in the program, chosen.
    void add(std::shared_ptr<const art::Artwork> art);
    /// The same with the page's lower left corner at a place of the bed.
    void add_at(std::shared_ptr<const art::Artwork> art, geometry::Point corner);

 Q_SIGNALS:
    void selection_changed();
    /// A design was drawn on the bed.
    void drawn(chalkline::job::Id motif);
    void refused(const chalkline::Error& error);

 private:
    void edit(const QString& name, Result<job::Job> edited, JobChange change, const Merge& merge = {});
    void add_copies(const QString& name, Result<job::Added> added, bool choose_them);
    void add_job(const QString& name, job::Job job);
    void follow();
    job::Id nearest_motif(geometry::Point on_bed) const;

    JobDocument& document_;
    const machine::MachineProfile& machine_;
    job::Ids chosen_;
    std::optional<std::size_t> object_;
    bool held_ = false;
};

}  // namespace chalkline::app
