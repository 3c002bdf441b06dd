// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/outside.hpp>
#include <chalkline/fonts/system_fonts.hpp>
#include <chalkline/pictures/decoder.hpp>
#include <chalkline/pictures/renderer.hpp>

#include <string>

namespace chalkline {

/// What this computer offers to the readers of art: picture decoders, fonts, a renderer, the files beside a drawing.
/// One for the whole program; what it hands out must not outlive it.
class Surroundings {
 public:
    /// For a drawing at `path`. Files it refers to are found in its own folder and below, never elsewhere: a reference
    /// by another path is looked for there by its name.
    art::Outside of_file(const std::string& path) const;
    /// For art that stands alone (from a job file or the clipboard).
    art::Outside of_nothing() const { return {&pictures_, &fonts_, {}, &renderer_}; }

 private:
    pictures::Decoder pictures_;
    fonts::SystemFonts fonts_;
    pictures::Renderer renderer_;
};

}  // namespace chalkline
