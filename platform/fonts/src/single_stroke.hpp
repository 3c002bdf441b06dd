// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/outside.hpp>

#include <memory>
#include <vector>

struct hershey_font;

namespace chalkline::fonts {

/// A Hershey font: letters of single strokes for ASCII.
class StrokeFont {
 public:
    static std::unique_ptr<StrokeFont> open();
    ~StrokeFont();
    /// `letters`: byte place and code point.
    art::LetteredText letter(const std::vector<std::pair<std::size_t, char32_t>>& letters) const;

 private:
    explicit StrokeFont(hershey_font* font) : font_(font) {}
    hershey_font* font_;
};

}  // namespace chalkline::fonts
