// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/proof_desk.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/pictures/view.hpp>
#include <chalkline/raster/dither.hpp>
#include <chalkline/raster/resample.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr int small_side = 1200;  // px: what a screen shows of a picture
constexpr int coarse_side = 640;  // px

/// The frame's size in pixels of the screen.
std::pair<int, int> coarse_size(const planning::DotFrame& frame) {
    const double width = frame.columns * frame.across, height = frame.rows * frame.pitch;
    const double scale = coarse_side / std::max(width, height);
    return {std::max(1, static_cast<int>(width * scale)), std::max(1, static_cast<int>(height * scale))};
}

/// A motif's picture and the step it is burned with: as the job has them, or as a variant would.
struct Burning {
    job::Motif motif;
    std::size_t picture;
    job::Step step;

    Burning as(const job::Variant& variant) const {
        Burning other = *this;
        other.motif.preparation = variant.preparation;
        other.step.settings = variant.applied_to(step.settings);
        return other;
    }
};

raster::Sight coarse_view(const Burning& burning, const planning::DotFrame& frame, const raster::RgbImage& image) {
    const auto [width, height] = coarse_size(frame);
    return planning::sight_of(frame, burning.motif, burning.picture, image.width, image.height, width, height);
}

ProofSight coarse_sight(const Burning& burning, double spot, const raster::RgbImage& image,
                        const raster::GreyImage& kept) {
    const steps::StepSettings& settings = burning.step.settings;
    ProofSight sight{planning::dot_frame(burning.motif, burning.picture, settings), {}, {}, settings};
    if (!sight.empty())
        sight.coarse = raster::burned_shares(
            raster::light_of(image, kept, burning.motif.preparation, planning::material_of(settings, spot),
                             coarse_view(burning, sight.frame, image)),
            planning::dots_of(settings));
    return sight;
}

}  // namespace

namespace {

/// All that is seen at once.
struct Coarse {
    ProofSight now, other;
    raster::Histogram histogram{};
    std::shared_ptr<const raster::RgbImage> small;
};

Coarse work_out(const Burning& now, double spot, const std::optional<job::Variant>& variant,
                const std::shared_ptr<const raster::RgbImage>& known, planning::ProofShelf& shelf) {
    const auto& image = now.motif.art->pictures[now.picture].image;
    Coarse made;
    made.small = known ? known : std::make_shared<const raster::RgbImage>(raster::shrunk(*image, small_side));
    const auto sight_of = [&](const Burning& burning) {
        return coarse_sight(burning, spot, *made.small, *shelf.kept(image, burning.motif.preparation));
    };
    made.now = sight_of(now);
    if (variant) made.other = sight_of(now.as(*variant));
    if (!made.now.empty())
        made.histogram = raster::histogram_of(
            raster::grey_of(*made.small, now.motif.preparation, coarse_view(now, made.now.frame, *made.small)));
    return made;
}

}  // namespace

ProofDesk::ProofDesk(JobDocument& document, PlanKeeper& plans, QObject* parent)
    : QObject(parent), document_(document), plans_(plans), coarse_(this, &quick_), before_maker_(this, &quick_) {
    quick_.setMaxThreadCount(1);
    connect(&document_, &JobDocument::changed, this, [this](JobChange change) {
        if (change != JobChange::file) follow_job();
    });
    connect(&plans_, &PlanKeeper::changed, this, [this] {
        if (!plans_.stale()) make_dots();
    });
}

std::vector<PictureSubject> ProofDesk::subjects() const {
    const job::Job& job = document_.job();
    std::vector<PictureSubject> found;
    for (const job::Motif& motif : job.motifs)
        for (std::size_t i = 0; i < motif.art->pictures.size(); ++i) {
            const auto burned = std::find_if(job.steps.begin(), job.steps.end(),
                                             [&](const job::Step& step) { return job.sent_picture(step, motif, i); });
            found.push_back({motif.id, i, burned == job.steps.end() ? 0 : burned->id});
        }
    return found;
}

void ProofDesk::choose(const PictureSubject& subject) {
    if (subject_ == subject) return;
    subject_ = subject;
    compared_.reset();
    now_ = before_ = other_ = {};
    loupe_share_ = {0.5, 0.5};
    Q_EMIT subject_changed();
    look();
}

const job::Motif* ProofDesk::motif() const {
    const job::Motif* motif = subject_ ? document_.job().motif(subject_->motif) : nullptr;
    return motif && subject_->picture < motif->art->pictures.size() ? motif : nullptr;
}

const job::Step* ProofDesk::step() const {
    return subject_ ? document_.job().step(subject_->step) : nullptr;
}

const art::PlacedPicture* ProofDesk::picture() const {
    return motif() ? &motif()->art->pictures[subject_->picture] : nullptr;
}

void ProofDesk::set_watched(bool watched) {
    watched_ = watched;
    if (watched) follow_job();
}

void ProofDesk::prepare(const QString& name, const std::function<void(raster::Preparation&)>& change,
                        const Merge& merge) {
    if (!motif()) return;
    raster::Preparation how = motif()->preparation;
    change(how);
    if (how == motif()->preparation) return;
    if (const auto done =
            document_.edit(name, job::prepare_picture(document_.job(), subject_->motif, how), JobChange::steps, merge);
        !done)
        Q_EMIT refused(done.error());
}

void ProofDesk::set_step(const QString& name, const std::function<void(steps::StepSettings&)>& change,
                         const Merge& merge) {
    if (!step()) return;
    steps::StepSettings settings = step()->settings;
    change(settings);
    if (settings == step()->settings) return Q_EMIT seen();  // a field shows again what is
    if (const auto done = document_.edit(
            name, job::change_settings(document_.job(), subject_->step, settings, plans_.ground().machine.top_speed()),
            JobChange::steps, merge);
        !done) {
        Q_EMIT refused(done.error());
        Q_EMIT seen();
    }
}

void ProofDesk::copy_to(job::Id other) {
    if (!motif()) return;
    raster::Preparation how = motif()->preparation;
    // Where its subject lies is each picture's own.
    if (const job::Motif* target = document_.job().motif(other)) {
        how.crop = target->preparation.crop;
        how.background.box = target->preparation.background.box;
        how.background.strokes = target->preparation.background.strokes;
    }
    (void)document_.edit(tr("Copy picture settings"), job::prepare_picture(document_.job(), other, how),
                         JobChange::steps);
}

void ProofDesk::compare(std::optional<std::size_t> variant) {
    compared_ = variant;
    other_ = {};
    look();
    Q_EMIT seen();
}

std::optional<job::Variant> ProofDesk::compared_variant() const {
    if (!compared_ || !motif() || *compared_ >= motif()->variants.size()) return {};
    return motif()->variants[*compared_];
}

QPointF ProofDesk::loupe() const {
    return {loupe_share_.x() * now_.frame.columns, loupe_share_.y() * now_.frame.rows};
}

void ProofDesk::move_loupe(QPointF to) {
    if (now_.empty()) return;
    loupe_share_ = {std::clamp(to.x() / now_.frame.columns, 0.0, 1.0), std::clamp(to.y() / now_.frame.rows, 0.0, 1.0)};
    Q_EMIT loupe_moved();
}

/// Keeps to the picture as long as it is there; its step may be another now.
void ProofDesk::follow_job() {
    const auto all = subjects();
    const auto same = std::find_if(all.begin(), all.end(), [&](const PictureSubject& one) {
        return subject_ && one.motif == subject_->motif && one.picture == subject_->picture;
    });
    const auto found = same != all.end() ? std::optional(*same)
                       : all.empty()     ? std::nullopt
                                         : std::optional(all.front());
    const bool another = !found || !subject_ || found->motif != subject_->motif || found->picture != subject_->picture;
    if (another) {
        now_ = before_ = other_ = {};
        compared_.reset();
    }
    const bool changed = subject_ != found;
    subject_ = found;
    if (compared_ && !compared_variant()) compared_.reset();
    if (changed) Q_EMIT subject_changed();
    look();
}

void ProofDesk::look() {
    if (!watched_) return;
    if (!motif()) {
        coarse_.cancel();
        dots_.cancel();
        original_ = {};
        return Q_EMIT seen();
    }
    const auto image = picture()->image;
    const auto small = small_of_ == image ? small_ : nullptr;
    coarse_.start([now = Burning{*motif(), subject_->picture, burned_by()}, spot = plans_.ground().machine.spot,
                   variant = compared_variant(), small,
                   shelf = plans_.shelf()](const Watch&) { return work_out(now, spot, variant, small, *shelf); },
                  [this, image](Coarse made) {
                      if (small_ != made.small) original_ = pictures::view_of(*made.small).copy();
                      small_ = made.small;
                      small_of_ = image;
                      histogram_ = made.histogram;
                      // What was worked out before stays to be drawn only where it is still true.
                      now_ = std::move(made.now);
                      before_ = {};
                      other_ = std::move(made.other);
                      Q_EMIT seen();
                      Q_EMIT loupe_moved();
                      make_dots();
                  });
    Q_EMIT seen();
}

/// Its step, or one that begins as a new one would.
job::Step ProofDesk::burned_by() const {
    return step() ? *step() : job::Step{0, steps::starting_point(steps::StepKind::picture), {}};
}

void ProofDesk::ask_for_before() {
    if (!before_.empty() || before_maker_.running() || !motif() || !small_) return;
    Burning bare{*motif(), subject_->picture, burned_by()};
    bare.motif.preparation = {.crop = bare.motif.preparation.crop};
    before_maker_.start([bare = std::move(bare), spot = plans_.ground().machine.spot,
                         small = small_](const Watch&) { return coarse_sight(bare, spot, *small, {}); },
                        [this](ProofSight made) {
                            before_ = std::move(made);
                            Q_EMIT seen();
                        });
}

/// The dots themselves, when the plan has them or will not.
void ProofDesk::make_dots() {
    if (!watched_ || plans_.stale() || coarse_.running() || !motif() || !step()) return;
    struct Made {
        std::shared_ptr<const planning::Proof> now, other;
    };
    dots_.start(
        [now = Burning{*motif(), subject_->picture, *step()}, spot = plans_.ground().machine.spot,
         variant = compared_variant(), over = planning::paint_over(document_.job(), *motif()),
         shelf = plans_.shelf()](const Watch& watch) {
            const auto proof_of = [&](const Burning& burning) {
                return shelf->proof(burning.motif, burning.picture, burning.step, spot, over, watch);
            };
            return Made{proof_of(now), variant ? proof_of(now.as(*variant)) : nullptr};
        },
        [this](const Made& made) {
            now_.proof = made.now;
            other_.proof = made.other;
            Q_EMIT seen();
        });
}

}  // namespace chalkline::app
