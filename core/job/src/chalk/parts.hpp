// SPDX-License-Identifier: GPL-3.0-or-later
// The parts of a job as the JSON of docs/formats/chalk.md. Reading throws std::exception on anything that does not
// belong there; `parse_chalk` catches it.
#pragma once
#include <chalkline/job/job.hpp>

#include <nlohmann/json.hpp>

#include <initializer_list>

namespace chalkline::job {

using Json = nlohmann::ordered_json;

Json to_json(const std::vector<Ink>& inks);
std::vector<Ink> inks_from_json(const Json& list);
Json to_json(const Step& step);
Step step_from_json(const Json& json);
Json to_json(const Stock& stock);
Stock stock_from_json(const Json& json);
Json to_json(const art::Design& design);
art::Design design_from_json(const Json& json);
/// Only what differs from the ordinary way of reading.
Json to_json(const art::ReadOptions& options);
art::ReadOptions read_options_from_json(const Json& json);
geometry::Point point_from_json(const Json& json);
geometry::Transform transform_from_json(const Json& json);
Json to_json(const PathMark& mark);
PathMark path_mark_from_json(const Json& json);
Json to_json(const MarkedPlace& marked);
MarkedPlace marked_from_json(const Json& json);
/// Only what is not at rest.
Json to_json(const raster::ToneSettings& tone);
raster::ToneSettings tone_from_json(const Json& json);
Json to_json(const raster::Preparation& how);
raster::Preparation preparation_from_json(const Json& json);
Json to_json(const Variant& variant);
Variant variant_from_json(const Json& json);
Json to_json(const Override& one);
Override override_from_json(const Json& json);

/// The keys of `json` that are none of `known`, as text to be kept; empty when there are none.
std::string unknown_keys(const Json& json, std::initializer_list<const char*> known);
/// Adds keys that were kept.
void add_unknown(Json& json, const std::string& kept);

}  // namespace chalkline::job
