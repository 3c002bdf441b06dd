// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::job {

namespace error {
inline constexpr std::string_view bad_routine = "job.bad-routine";
}  // namespace error

/// A reusable run sheet: what is done with each ink, on what piece, and where it lies. Everything of a job but its art.
struct Routine {
    std::string name;
    std::vector<Step> steps;
    std::vector<Ink> left_out;
    std::optional<Stock> stock;
    /// The reference point: where it lies in the box of all art, as shares of its width and height from the lower
    /// left, and where on the bed, mm. None when the job had no art.
    struct Reference {
        geometry::Point in_box, on_bed;
        bool operator==(const Reference&) const = default;
    };
    std::optional<Reference> reference;
    bool operator==(const Routine&) const = default;
};

Routine routine_of(const Job& job, const std::string& name);

/// What a routine does to a job.
struct RoutineEffect {
    Job job;                   ///< the job afterwards
    std::vector<Ink> known;    ///< inks of the art that go where the routine says
    std::vector<Ink> unknown;  ///< inks of the art it says nothing of: they have no step afterwards
    std::vector<Ink> unused;   ///< inks it knows that the art does not have
    int objects = 0;           ///< single objects and motifs that had a step of their own and go by their inks again
    bool stock = false;        ///< the piece becomes another one
    bool moved = false;        ///< the art comes to lie elsewhere
};

/// The routine's run sheet in place of the job's: inks go by exact colour and kind. With a piece in the routine, the
/// job gets that piece and unlocked art is moved so that the reference point lies where it did. Marked places and
/// overrides of the job stay.
RoutineEffect apply(const Job& job, const Routine& routine);

/// The JSON of docs/formats/recipes.md.
std::string to_json(const Routine& routine);
Result<Routine> routine_from_json(std::string_view json);

}  // namespace chalkline::job
