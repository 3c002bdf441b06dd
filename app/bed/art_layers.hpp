// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/camera.hpp"
#include "theme/theme.hpp"

#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/planning/proof.hpp>

#include <QImage>
#include <QPainter>
#include <QPainterPath>
#include <map>
#include <optional>
#include <vector>

namespace chalkline::app {

/// The art as painter paths in art coordinates (one for the lines of an ink, one for each fill): made once for each
/// artwork, reused at every zoom and place.
class ArtLayers {
 public:
    /// A proof in a tone, every pixel the mean of `factor` × `factor` dots: averaged, never sampled, so that it shows
    /// no pattern the burn will not have.
    const QImage& proof(const std::shared_ptr<const planning::Proof>& proof, int factor, const QColor& tone);
    /// Where dots fail, every pixel the worst of 4 × 4 dots.
    const QImage& areas(const std::shared_ptr<const planning::Proof>& proof, const theme::Roles& roles);
    static constexpr int area_factor = 4;

    struct Layer {
        Ink ink;
        std::size_t shape;  ///< one of those in it: what burns that burns all of it
        bool covers;        ///< its art's paint covers what lies under it
        QPainterPath path;
        /// The path in short pieces for drawing lines: one long path takes QPainter seconds where it crosses itself
        /// often.
        std::vector<QPolygonF> pieces{};
    };
    /// A picture no larger than a screen can show, in greys: what a burn can show of it.
    const QImage& picture(const std::shared_ptr<const raster::RgbImage>& image);
    /// The layers of an artwork; flattened the first time it is asked for.
    const std::vector<Layer>& of(const job::Motif& motif);
    /// Forgets artworks the job no longer holds.
    void keep_only(const job::Job& job);

 private:
    /// Shapes with a step of their own have a layer of their own.
    using Key = std::pair<std::shared_ptr<const art::Artwork>, std::vector<std::size_t>>;
    static Key key_of(const job::Motif& motif);
    std::map<Key, std::vector<Layer>> layers_;
    std::map<std::shared_ptr<const raster::RgbImage>, QImage> pictures_;
    struct DrawnProof {
        int factor = 0;
        QColor tone;
        QImage image{}, areas{};
    };
    std::map<std::shared_ptr<const planning::Proof>, DrawnProof> proofs_;
};

using Proofs = std::vector<std::shared_ptr<const planning::Proof>>;

/// What is lit on the bed while the pointer rests on a chip or a step.
struct Highlight {
    std::optional<Ink> ink;
    std::optional<job::Id> step;
    std::vector<geometry::Box> places{};  ///< bed mm; what a remark or a find is about
    bool lights(const Ink& candidate, const std::optional<job::Id>& burned_by) const {
        return (ink && *ink == candidate) || (step && burned_by && *step == *burned_by);
    }
};

/// Draws the art as it will look burned: fills and lines in the tone of their step's dose, cuts dark and as wide as
/// the beam; left-out inks as faint dashes. What paint covers is taken away from what lies under it: the painter draws
/// on an image of nothing but the art.
class ArtPainter {
 public:
    ArtPainter(const job::Job& job, const machine::MachineProfile& machine, const theme::Roles& roles,
               ArtLayers& layers, Proofs proofs = {})
        : job_(job), machine_(machine), roles_(roles), layers_(layers), proofs_(std::move(proofs)) {}

    void draw(QPainter& painter, const Camera& camera, const Highlight& highlight) const;
    /// Clogged areas of pictures in the colour of attention, bald ones in the accent's.
    void draw_areas(QPainter& painter, const Camera& camera) const;
    /// Every path as a thin line with a dot where it starts and an arrow along it.
    void draw_bare(QPainter& painter, const Camera& camera) const;
    /// What is burned, hatched in the colour of danger; clip the painter first.
    void draw_out_of_bounds(QPainter& painter, const Camera& camera) const;

 private:
    void draw_areas_of(QPainter& painter, const Camera& camera, const job::Motif& motif,
                       const Highlight& highlight) const;
    void draw_area(QPainter& painter, const job::Motif& motif, const ArtLayers::Layer& layer) const;
    void draw_picture_of(QPainter& painter, const Camera& camera, const job::Motif& motif, std::size_t picture,
                         const Highlight& highlight) const;
    void draw_over_proof(QPainter& painter, const Camera& camera, const planning::Proof& proof, const QImage& image,
                         int factor) const;
    void draw_proof(QPainter& painter, const Camera& camera, const std::shared_ptr<const planning::Proof>& proof) const;
    template <class Draw>
    void for_each_layer(QPainter& painter, const Camera& camera, Draw draw) const;
    const job::Job& job_;
    const machine::MachineProfile& machine_;
    const theme::Roles& roles_;
    ArtLayers& layers_;
    Proofs proofs_;
};

/// The tone a step burns in.
QColor tone_of(const steps::StepSettings& settings, const machine::MachineProfile& machine, const theme::Roles& roles);
/// The tone an ink gets in a step; transparent: none.
QColor tone_of_ink(const job::Step& step, Rgb rgb, const machine::MachineProfile& machine, const theme::Roles& roles);

QTransform to_qt(const geometry::Transform& map);

/// Draws a layer's lines with a pen.
void stroke(QPainter& painter, const ArtLayers::Layer& layer, const QPen& pen);

/// A picture on the page, drawn under the painter's map from page mm to the screen. White shows what lies under it.
void draw_picture(QPainter& painter, const art::PlacedPicture& picture, const QImage& greys);

}  // namespace chalkline::app
