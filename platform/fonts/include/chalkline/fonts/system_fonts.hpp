// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/outside.hpp>

#include <memory>

namespace chalkline::fonts {

/// Letters in the fonts installed on this computer: chosen by fontconfig, shaped by HarfBuzz, outlined by FreeType;
/// single strokes from the Hershey fonts. Fonts stay open for the object's life. Usable on any thread, one at a time
/// inside.
class SystemFonts : public art::Lettering {
 public:
    SystemFonts();
    ~SystemFonts() override;
    std::optional<art::LetteredText> outline(std::string_view text, const art::FontWish& wish,
                                             art::Direction direction) const override;
    std::optional<art::LetteredText> single_stroke(std::string_view text) const override;

 private:
    class Shelf;
    std::unique_ptr<Shelf> shelf_;
};

}  // namespace chalkline::fonts
