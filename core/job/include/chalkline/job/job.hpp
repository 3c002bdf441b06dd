// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/artwork.hpp>
#include <chalkline/base/ink.hpp>
#include <chalkline/geometry/point.hpp>
#include <chalkline/geometry/region.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::job {

/// Number of a motif or step, unique in its job and never used again in it.
using Id = int;

/// One placed piece of artwork.
struct Motif {
    Id id = 0;
    std::shared_ptr<const art::Artwork> art;
    geometry::Transform place;  ///< art page (mm) to bed (mm)
};

/// One layer of power and speed and the inks it burns.
struct Step {
    Id id = 0;
    steps::StepSettings settings;
    std::vector<Ink> inks;
    bool operator==(const Step&) const = default;
};

/// The real piece of material: a rectangle on the bed.
struct Stock {
    std::string material;
    Length thickness = Length::mm(3);
    geometry::Point corner;  ///< near left corner before the turn, bed mm
    double width = 100, height = 100;
    double angle = 0;  ///< counter-clockwise about `corner`, radians

    /// The outline, counter-clockwise, bed mm.
    geometry::Polyline outline() const;
    bool operator==(const Stock&) const = default;
};

/// The document: art, the run sheet and the stock. A plain value; art is shared, so a copy is cheap.
struct Job {
    std::vector<Motif> motifs;
    std::vector<Step> steps;    ///< in run order
    std::vector<Ink> left_out;  ///< inks knowingly not burned
    std::optional<Stock> stock;
    Id last_id = 0;

    const Motif* motif(Id id) const;
    /// The motif added last. REQUIRES: there is one.
    Id last_motif() const { return motifs.back().id; }
    const Step* step(Id id) const;
};

/// One ink of the whole job: in how many shapes, and where it goes.
struct RoutedInk {
    Ink ink;
    int shapes = 0;
    std::optional<Id> step;  ///< the first step that burns it
    bool left_out = false;
};

/// Every ink of every motif in order of first appearance.
std::vector<RoutedInk> routed_inks(const Job& job);

/// Where a place of the bed lies on the motif's page, mm. REQUIRES: the motif's place has an area.
geometry::Point on_page(const Motif& motif, geometry::Point on_bed);

/// Box of a motif's geometry on the bed, mm. Flattens; keep the result.
geometry::Box bounds(const Motif& motif);
geometry::Box bounds(const Job& job);

}  // namespace chalkline::job
