// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/placing_desk.hpp"

#include <chalkline/job/edits.hpp>

#include <algorithm>
#include <numeric>

namespace chalkline::app {

using geometry::Transform;

PlacingDesk::PlacingDesk(JobDocument& document, const machine::MachineProfile& machine, QObject* parent)
    : QObject(parent), document_(document), machine_(machine) {
    connect(&document_, &JobDocument::changed, this, [this](JobChange change) {
        if (touches(change, JobChange::art)) follow();
    });
}

// ---------------------------------------------------------------- choosing

std::optional<job::Id> PlacingDesk::only() const {
    return chosen_.size() == 1 ? std::optional(chosen_[0]) : std::nullopt;
}

bool PlacingDesk::is_chosen(job::Id motif) const {
    return std::find(chosen_.begin(), chosen_.end(), motif) != chosen_.end();
}

bool PlacingDesk::all_locked() const {
    return std::all_of(chosen_.begin(), chosen_.end(), [&](job::Id id) { return document_.job().motif(id)->locked; });
}

void PlacingDesk::choose(const job::Ids& motifs) {
    job::Ids whole = job::with_groups(document_.job(), motifs);
    if (whole == chosen_) return;
    chosen_ = std::move(whole);
    document_.end_merge();  // what is nudged next is another thing
    object_.reset();
    Q_EMIT selection_changed();
}

void PlacingDesk::choose_one(job::Id motif) {
    if (!document_.job().motif(motif) || chosen_ == job::Ids{motif}) return;
    chosen_ = {motif};
    document_.end_merge();
    object_.reset();
    Q_EMIT selection_changed();
}

void PlacingDesk::toggle(job::Id motif) {
    const job::Ids unit = job::with_groups(document_.job(), {motif});
    job::Ids wanted = chosen_;
    if (is_chosen(motif))
        std::erase_if(wanted, [&](job::Id id) { return std::find(unit.begin(), unit.end(), id) != unit.end(); });
    else
        wanted.insert(wanted.end(), unit.begin(), unit.end());
    choose(wanted);
}

void PlacingDesk::choose_all() {
    job::Ids all;
    for (const job::Motif& motif : document_.job().motifs)
        all.push_back(motif.id);
    choose(all);
}

void PlacingDesk::choose_neighbour(int step) {
    const auto& motifs = document_.job().motifs;
    if (motifs.empty()) return;
    const int count = static_cast<int>(motifs.size());
    int at = step > 0 ? -1 : count;
    for (int i = 0; i < count; ++i)
        if (is_chosen(motifs[static_cast<std::size_t>(i)].id) && (step > 0 || at == count)) at = i;
    choose({motifs[static_cast<std::size_t>((at + step + count) % count)].id});
}

/// Forgets what the job no longer holds.
void PlacingDesk::follow() {
    job::Ids left = chosen_;
    std::erase_if(left, [&](job::Id id) { return !document_.job().motif(id); });
    if (const job::Motif* motif = only() ? document_.job().motif(*only()) : nullptr)
        if (object_ && *object_ >= motif->art->shapes.size()) object_.reset();
    if (left == chosen_) return;
    chosen_ = std::move(left);
    object_.reset();
    Q_EMIT selection_changed();
}

// ---------------------------------------------------------------- acts

void PlacingDesk::edit(const QString& name, Result<job::Job> edited, JobChange change, const Merge& merge) {
    if (held_) return;
    if (auto done = document_.edit(name, std::move(edited), change, merge); !done) Q_EMIT refused(done.error());
}

void PlacingDesk::transform(const QString& name, const Transform& map, const Merge& merge) {
    transform_from(document_.job(), name, map, merge);
}

void PlacingDesk::transform_from(const job::Job& start, const QString& name, const Transform& map, const Merge& merge) {
    if (!chosen_.empty()) edit(name, job::transform(start, chosen_, map), JobChange::place, merge);
}

void PlacingDesk::move(geometry::Point by, const Merge& merge) {
    transform(tr("Move art"), Transform::move(by.x, by.y), merge);
}

void PlacingDesk::turn(double radians) {
    transform(tr("Turn art"),
              Transform::about(job::bounds(document_.job(), chosen_).centre(), Transform::turn(radians)));
}

void PlacingDesk::mirror(Mirror how) {
    const bool sideways = how == Mirror::left_right;
    transform(tr("Mirror art"), Transform::about(job::bounds(document_.job(), chosen_).centre(),
                                                 Transform::scale(sideways ? -1 : 1, sideways ? 1 : -1)));
}

void PlacingDesk::add_copies(const QString& name, Result<job::Added> added, bool choose_them) {
    if (held_) return;
    if (!added) return Q_EMIT refused(added.error());
    edit(name, std::move(added->job), JobChange::art | JobChange::place);
    if (choose_them) choose(added->motifs);
}

void PlacingDesk::copy() {
    constexpr double aside = 5;  // mm: seen beside the original
    if (!chosen_.empty()) add_copies(tr("Copy art"), job::copy(document_.job(), chosen_, {aside, -aside}), true);
}

void PlacingDesk::repeat(const job::Repeat& repeat) {
    if (!chosen_.empty()) add_copies(tr("Repeat art"), job::repeat(document_.job(), chosen_, repeat), false);
}

void PlacingDesk::fill_stock(double gap, double margin) {
    if (!chosen_.empty())
        add_copies(tr("Fill the piece"), job::fill_stock(document_.job(), chosen_, gap, margin), false);
}

void PlacingDesk::align(job::Side side) {
    const job::Job& job = document_.job();
    const job::Motif* first = chosen_.empty() ? nullptr : job.motif(chosen_[0]);
    if (!first) return;
    const bool one = job::with_groups(job, {first->id}) == chosen_ && (chosen_.size() == 1 || first->group != 0);
    const geometry::Box ground = job.stock ? geometry::bounds(job.stock->outline()) : machine_.bed();
    edit(tr("Align art"), job::align(job, chosen_, side, one ? ground : job::bounds(job, chosen_)), JobChange::place);
}

void PlacingDesk::distribute(job::Along along) {
    edit(tr("Space art evenly"), job::distribute(document_.job(), chosen_, along), JobChange::place);
}

void PlacingDesk::stack(job::Stacking to) {
    const bool up = to == job::Stacking::forward || to == job::Stacking::to_front;
    edit(up ? tr("Bring art forward") : tr("Send art back"), job::stack(document_.job(), chosen_, to),
         JobChange::art | JobChange::place);
}

void PlacingDesk::group() {
    if (chosen_.size() < 2) return;
    edit(tr("Group art"), job::group(document_.job(), chosen_), JobChange::art);
}

void PlacingDesk::ungroup() {
    edit(tr("Ungroup art"), job::ungroup(document_.job(), chosen_), JobChange::art);
}

void PlacingDesk::set_locked(bool locked) {
    edit(locked ? tr("Lock art") : tr("Unlock art"), job::set_locked(document_.job(), chosen_, locked), JobChange::art);
}

void PlacingDesk::send_to_step(std::optional<job::Id> step) {
    edit(step ? tr("Send art to a step") : tr("Burn art by its inks"),
         job::send_to_step(document_.job(), chosen_, step), JobChange::art | JobChange::steps);
}

void PlacingDesk::remove() {
    if (!chosen_.empty())
        edit(tr("Remove art"), job::remove(document_.job(), chosen_), JobChange::art | JobChange::place);
}

void PlacingDesk::put_on_stock(job::Spot spot, double margin, bool follow_angle) {
    edit(tr("Put the job on the piece"), job::put_on_stock(document_.job(), spot, margin, follow_angle),
         JobChange::place);
}

void PlacingDesk::transform_stock_from(const job::Job& start, const Transform& map, const Merge& merge) {
    edit(tr("Move the piece"), job::transform_stock(start, map), JobChange::stock, merge);
}

void PlacingDesk::mark_place(geometry::Point place) {
    edit(tr("Mark a place"), job::mark_place(document_.job(), place), JobChange::marked);
}

void PlacingDesk::forget_marked(job::Id marked) {
    edit(tr("Forget a marked place"), job::forget_marked(document_.job(), marked), JobChange::marked);
}

/// REQUIRES: there is a motif.
job::Id PlacingDesk::nearest_motif(geometry::Point on_bed) const {
    const auto& motifs = document_.job().motifs;
    // Of several that lie there the smallest.
    const auto away = [&](const job::Motif& motif) {
        const geometry::Box box = job::bounds(motif);
        const double x = std::max({box.left - on_bed.x, on_bed.x - box.right, 0.0});
        const double y = std::max({box.bottom - on_bed.y, on_bed.y - box.top, 0.0});
        return std::pair(x * x + y * y, box.width() * box.height());
    };
    return std::min_element(motifs.begin(), motifs.end(),
                            [&](const auto& a, const auto& b) { return away(a) < away(b); })
        ->id;
}

void PlacingDesk::mark_path(job::PathMark::Kind kind, geometry::Point on_bed) {
    if (document_.job().motifs.empty()) return;
    edit(tr("Mark a place of a line"), job::mark_path(document_.job(), nearest_motif(on_bed), kind, on_bed),
         JobChange::steps);
}

void PlacingDesk::clear_path_marks() {
    Result<job::Job> job = document_.job();
    for (const job::Motif& motif : document_.job().motifs)
        if (job && (chosen_.empty() || is_chosen(motif.id))) job = job::clear_path_marks(std::move(*job), motif.id);
    edit(tr("Clear marks of lines"), std::move(job), JobChange::steps);
}

void PlacingDesk::choose_object(std::optional<std::size_t> shape) {
    object_ = shape;
    Q_EMIT selection_changed();
}

void PlacingDesk::give_own_step() {
    if (!only() || !object_) return;
    edit(tr("Give it its own step"), job::give_own_step(document_.job(), *only(), *object_),
         JobChange::art | JobChange::steps);
}

void PlacingDesk::send_object(std::optional<job::Id> step) {
    if (!only() || !object_) return;
    edit(step ? tr("Send one object to a step") : tr("Burn one object by its ink"),
         job::send_object(document_.job(), *only(), *object_, step), JobChange::art | JobChange::steps);
}

void PlacingDesk::set_datum(geometry::Point on_bed, const Merge& merge) {
    if (document_.job().motifs.empty()) return;
    edit(tr("Set the datum"), job::set_datum(document_.job(), nearest_motif(on_bed), on_bed), JobChange::place, merge);
}

void PlacingDesk::bring_datum_to(geometry::Point place) {
    edit(tr("Bring the datum there"), job::bring_datum_to(document_.job(), place), JobChange::place);
}

void PlacingDesk::add(std::shared_ptr<const art::Artwork> art) {
    const QString name = tr("Draw %1").arg(QString::fromStdString(art->name));
    add_job(name, job::add_art(document_.job(), std::move(art), machine_));
}

void PlacingDesk::add_at(std::shared_ptr<const art::Artwork> art, geometry::Point corner) {
    const QString name = tr("Draw %1").arg(QString::fromStdString(art->name));
    job::Job job = job::add_art(document_.job(), std::move(art), machine_);
    job.motifs.back().place = Transform::move(corner.x, corner.y);
    const std::size_t before = document_.job().motifs.size();
    add_job(name, std::move(job));
    if (document_.job().motifs.size() > before) Q_EMIT drawn(document_.job().last_motif());
}

void PlacingDesk::add_job(const QString& name, job::Job job) {
    if (held_) return;
    edit(name, std::move(job), JobChange::art | JobChange::place | JobChange::steps);
    choose({document_.job().last_motif()});
}

}  // namespace chalkline::app
