// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <string>
#include <string_view>

namespace chalkline::art::svg {

struct ExpandedText {
    std::string text;
    int left = 0;  ///< references that were not replaced: defined in another file, or too much text
};

/// Replaces references to entities the document defines itself, where some programs keep their styles and the names of
/// their namespaces (XML 1.0, 4.4). Line breaks in them become blanks, so that every line keeps its number. Nothing
/// outside the document is looked at, and the text grows by a bounded amount: what would go beyond stays as it is.
ExpandedText expand_entities(std::string_view document);

}  // namespace chalkline::art::svg
