// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/proof_desk.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/raster/dither.hpp>
#include <chalkline/raster/resample.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr int small_side = 1200;  // px: what a screen shows of a picture
constexpr int coarse_side = 640;  // px

std::array<double, 64> tones_of(const raster::GreyImage& grey) {
    std::array<double, 64> counts{};
    for (const std::uint16_t value : grey.pixels)
        counts[value >> 10U] += 1;
    for (double& count : counts)
        count /= std::max<double>(1, static_cast<double>(grey.pixels.size()));
    return counts;
}

/// The frame's size in pixels of the screen.
std::pair<int, int> coarse_size(const planning::DotFrame& frame) {
    const double width = frame.columns * frame.across, height = frame.rows * frame.pitch;
    const double scale = coarse_side / std::max(width, height);
    return {std::max(1, static_cast<int>(width * scale)), std::max(1, static_cast<int>(height * scale))};
}

/// What share of dots burns where, without setting the dots: the light through what the method makes of flat areas.
ProofSight coarse_sight(const job::Motif& motif, std::size_t picture, const steps::StepSettings& settings, double spot,
                        const raster::RgbImage& image, const raster::GreyImage& kept) {
    ProofSight sight{planning::dot_frame(motif, picture, settings), {}, {}, settings};
    if (sight.empty()) return sight;
    const auto [width, height] = coarse_size(sight.frame);
    const auto through = planning::sight_of(sight.frame, motif, picture, image.width, image.height, width, height);
    sight.coarse = raster::light_of(image, kept, motif.preparation, planning::material_of(settings, spot), through);
    const auto transfer = raster::transfer_of(planning::dots_of(settings));
    std::array<std::uint16_t, 256> burned;
    for (std::size_t i = 0; i < burned.size(); ++i) {
        const double wanted = 1 - static_cast<double>(i) / 255, at = wanted * static_cast<double>(transfer.size() - 1);
        const auto low = std::min(static_cast<std::size_t>(at), transfer.size() - 2);
        const double share =
            transfer[low].out + (transfer[low + 1].out - transfer[low].out) * (at - static_cast<double>(low));
        burned[i] = static_cast<std::uint16_t>(std::lround(std::clamp(share, 0.0, 1.0) * 65535));
    }
    for (std::uint16_t& pixel : sight.coarse.pixels)
        pixel = burned[pixel >> 8U];
    return sight;
}

QImage in_colour(const raster::RgbImage& image) {
    return QImage(reinterpret_cast<const uchar*>(image.pixels.data()), image.width, image.height,
                  static_cast<qsizetype>(image.width) * 3, QImage::Format_RGB888)
        .copy();
}

}  // namespace

struct ProofDesk::Coarse {
    ProofSight now, other;
    std::array<double, 64> histogram{};
    std::shared_ptr<const raster::RgbImage> small;
};

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
            const auto burned = std::find_if(job.steps.begin(), job.steps.end(), [&](const job::Step& step) {
                return job::Job::sent_picture(step, motif, i);
            });
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

void ProofDesk::prepare(const QString& name, const std::function<void(raster::Preparation&)>& change, int merge) {
    if (!motif()) return;
    raster::Preparation how = motif()->preparation;
    change(how);
    if (how == motif()->preparation) return;
    if (const auto done =
            document_.edit(name, job::prepare_picture(document_.job(), subject_->motif, how), JobChange::steps, merge);
        !done)
        Q_EMIT refused(done.error());
}

void ProofDesk::set_step(const QString& name, const std::function<void(steps::StepSettings&)>& change, int merge) {
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

ProofDesk::Coarse ProofDesk::work_out(const job::Motif& motif, std::size_t picture, const job::Step& step, double spot,
                                      const std::optional<job::Variant>& variant,
                                      const std::shared_ptr<const raster::RgbImage>& known,
                                      planning::ProofShelf& shelf) {
    const auto& image = motif.art->pictures[picture].image;
    Coarse made;
    made.small = known ? known : std::make_shared<const raster::RgbImage>(raster::shrunk(*image, small_side));
    const auto kept = shelf.kept(image, motif.preparation);
    made.now = coarse_sight(motif, picture, step.settings, spot, *made.small, *kept);
    if (variant) {
        job::Motif other = motif;
        other.preparation = variant->preparation;
        steps::StepSettings settings = step.settings;
        settings.picture = variant->settings.picture;
        settings.line_pitch = variant->settings.line_pitch;
        made.other = coarse_sight(other, picture, settings, spot, *made.small, *shelf.kept(image, other.preparation));
    }
    if (made.now.empty()) return made;
    const auto [width, height] = coarse_size(made.now.frame);
    made.histogram = tones_of(raster::grey_of(
        *made.small, motif.preparation,
        planning::sight_of(made.now.frame, motif, picture, made.small->width, made.small->height, width, height)));
    return made;
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
    coarse_.start([motif = *motif(), picture = subject_->picture, step = burned_by(),
                   spot = plans_.ground().machine.spot, variant = compared_variant(), small, shelf = plans_.shelf()](
                      const Watch&) { return work_out(motif, picture, step, spot, variant, small, *shelf); },
                  [this, image](Coarse made) {
                      if (small_ != made.small) original_ = in_colour(*made.small);
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

ProofSight ProofDesk::before_of(const job::Motif& motif, std::size_t picture, const job::Step& step, double spot,
                                const raster::RgbImage& small) {
    job::Motif bare = motif;
    bare.preparation = {.crop = motif.preparation.crop};
    return coarse_sight(bare, picture, step.settings, spot, small, {});
}

void ProofDesk::ask_for_before() {
    if (!before_.empty() || before_maker_.running() || !motif() || !small_) return;
    before_maker_.start(
        [motif = *motif(), picture = subject_->picture, step = burned_by(), spot = plans_.ground().machine.spot,
         small = small_](const Watch&) { return before_of(motif, picture, step, spot, *small); },
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
        [motif = *motif(), picture = subject_->picture, step = *step(), spot = plans_.ground().machine.spot,
         variant = compared_variant(), shelf = plans_.shelf()](const Watch& watch) {
            Made made{shelf->proof(motif, picture, step, spot, watch), nullptr};
            if (!variant) return made;
            job::Motif other = motif;
            job::Step burned = step;
            other.preparation = variant->preparation;
            burned.settings.picture = variant->settings.picture;
            burned.settings.line_pitch = variant->settings.line_pitch;
            made.other = shelf->proof(other, picture, burned, spot, watch);
            return made;
        },
        [this](const Made& made) {
            now_.proof = made.now;
            other_.proof = made.other;
            Q_EMIT seen();
        });
}

}  // namespace chalkline::app
