// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "document/plan_keeper.hpp"
#include "tasks/task_runner.hpp"

#include <chalkline/planning/proof_shelf.hpp>

#include <QImage>
#include <QPointF>
#include <functional>
#include <optional>
#include <vector>

namespace chalkline::app {

/// A picture of the job and the step that burns it; 0 where none does.
struct PictureSubject {
    job::Id motif = 0;
    std::size_t picture = 0;
    job::Id step = 0;
    bool operator==(const PictureSubject&) const = default;
};

/// One way a picture comes out: at once in the screen's resolution, and as dots as soon as they are worked out.
struct ProofSight {
    planning::DotFrame frame;
    raster::GreyImage coarse;                      ///< share of burned dots, all of the frame
    std::shared_ptr<const planning::Proof> proof;  ///< null until it is worked out
    steps::StepSettings settings;
    bool empty() const { return frame.columns <= 0 || frame.rows <= 0; }
};

/// The picture looked at in the Proof view, how it comes out, and where the loupe lies. All parts of the view ask here.
class ProofDesk : public QObject {
    Q_OBJECT
 public:
    ProofDesk(JobDocument& document, PlanKeeper& plans, QObject* parent = nullptr);

    std::vector<PictureSubject> subjects() const;
    /// Nothing while the job holds no picture.
    const std::optional<PictureSubject>& subject() const { return subject_; }
    void choose(const PictureSubject& subject);
    const job::Motif* motif() const;
    const job::Step* step() const;
    const art::PlacedPicture* picture() const;
    /// While nobody looks, nothing is worked out.
    void set_watched(bool watched);

    /// Changes how the picture is prepared, or how its step burns it, as one step of the history.
    void prepare(const QString& name, const std::function<void(raster::Preparation&)>& change, const Merge& merge = {});
    void set_step(const QString& name, const std::function<void(steps::StepSettings&)>& change,
                  const Merge& merge = {});
    /// Ends merging: what follows is a change of its own.
    void end_merge() { document_.end_merge(); }
    /// Takes how this picture is prepared to another.
    void copy_to(job::Id motif);

    const ProofSight& now() const { return now_; }
    /// The picture as its file has it: what preparing it changed. Empty until it is asked for.
    const ProofSight& before() const { return before_; }
    void ask_for_before();
    /// A kept variant to be looked at beside what is now.
    std::optional<std::size_t> compared() const { return compared_; }
    const ProofSight& other() const { return other_; }
    void compare(std::optional<std::size_t> variant);
    /// The original in colour, no larger than a screen shows; null until it is read.
    const QImage& original() const { return original_; }
    /// Share of pixels for each of 64 tones, dark to light, before the tone is changed.
    const raster::Histogram& histogram() const { return histogram_; }
    /// See PlanKeeper::shelf.
    const std::shared_ptr<planning::ProofShelf>& shelf() const { return plans_.shelf(); }
    bool stale() const { return coarse_.running() || dots_.running() || plans_.stale(); }

    /// Middle of the loupe, in dots from the upper left corner of the proof.
    QPointF loupe() const;
    static constexpr int loupe_columns = 54;  ///< dots the loupe shows across
    void move_loupe(QPointF to);

 Q_SIGNALS:
    void subject_changed();
    /// Sights, original or histogram are new.
    void seen();
    void loupe_moved();
    void refused(const chalkline::Error& error);

 private:
    job::Step burned_by() const;
    void follow_job();
    void look();
    void make_dots();
    std::optional<job::Variant> compared_variant() const;

    JobDocument& document_;
    PlanKeeper& plans_;
    std::optional<PictureSubject> subject_;
    ProofSight now_, before_, other_;
    std::optional<std::size_t> compared_;
    std::shared_ptr<const raster::RgbImage> small_, small_of_;  ///< a copy for the screen, and what it is a copy of
    QImage original_;
    raster::Histogram histogram_{};
    QPointF loupe_share_{0.5, 0.5};  ///< of the frame
    bool watched_ = false;
    QThreadPool quick_;  ///< of its own: what answers a hand on a slider never waits behind a plan
    TaskRunner coarse_, before_maker_, dots_;
};

}  // namespace chalkline::app
