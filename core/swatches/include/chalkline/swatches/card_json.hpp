// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/swatches/card.hpp>

#include <nlohmann/json_fwd.hpp>

#include <string>
#include <string_view>

// A card as the JSON of docs/formats/swatches.md.
namespace chalkline::swatches {

namespace error {
/// Parameter `what`: the key or value that is missing or wrong.
inline constexpr std::string_view bad_card = "swatches.bad-card";
inline constexpr std::string_view no_card = "swatches.no-card";
}  // namespace error

/// The same card gives the same text.
std::string to_json(const Card& card);
nlohmann::ordered_json json_of(const Card& card);
/// What is left out has its ordinary value. Error: bad_card.
Result<Card> card_from_json(std::string_view json);

/// The card a job burns. Errors: no_card, bad_card.
Result<Card> card_of(const job::Job& job);

}  // namespace chalkline::swatches
