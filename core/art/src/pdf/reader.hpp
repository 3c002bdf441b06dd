// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/reader.hpp>

namespace chalkline::art::pdf {

/// Reads one page of a PDF: poppler draws it (as for printing, which keeps hairlines thin) into an SVG in memory, which
/// the SVG reader reads. RGB colours stay exact. Errors: broken_pdf, locked_pdf, no_such_page {page, pages}.
Result<Artwork> read(const std::shared_ptr<const std::string>& bytes, const std::string& name,
                     const ReadOptions& options, const Outside& outside, const Watch& watch);

}  // namespace chalkline::art::pdf
