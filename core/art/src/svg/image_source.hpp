// SPDX-License-Identifier: GPL-3.0-or-later
// Pictures inside drawings: from data in the file itself or from a file beside it; each decoded once.
#pragma once
#include "scene.hpp"

#include <unordered_map>

namespace chalkline::art::svg {

class ImageSource {
 public:
    explicit ImageSource(const Scene& scene) : scene_(scene) {}
    /// The picture a reference names; nothing, with a remark, when it cannot be had.
    std::shared_ptr<const raster::RgbImage> get(std::string_view reference, const pugi::xml_node& element);

 private:
    std::shared_ptr<const raster::RgbImage> load(std::string_view reference, const pugi::xml_node& element);

    Scene scene_;
    std::unordered_map<std::string, std::shared_ptr<const raster::RgbImage>> loaded_;
};

}  // namespace chalkline::art::svg
