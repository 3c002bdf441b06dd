// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/steps/beam.hpp>
#include <chalkline/swatches/results.hpp>

#include <QString>
#include <vector>

namespace chalkline::app {

/// The swatch book as a PDF: every card with its picture, what it varies and what was kept of it. Replaces the file as
/// one act.
Result<void> write_card_book(const QString& file, const std::vector<swatches::CardRecord>& cards,
                             const steps::Beam& beam);

}  // namespace chalkline::app
