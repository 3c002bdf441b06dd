// SPDX-License-Identifier: GPL-3.0-or-later
// Files beside a drawing that it names: pictures and style sheets.
#pragma once
#include <chalkline/art/outside.hpp>
#include <chalkline/art/reader.hpp>

namespace chalkline::art::svg {

/// "%20" and the like as the bytes they stand for (RFC 3986 §2.1).
std::string percent_decoded(std::string_view text);

/// The bytes of the file that a reference names: those the art keeps of it, else what lies beside the drawing, which
/// the art keeps from then on.
Result<std::shared_ptr<const std::string>> linked_file(Artwork& art, const Outside& outside,
                                                       std::string_view reference);

}  // namespace chalkline::art::svg
