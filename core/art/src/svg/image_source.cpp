// SPDX-License-Identifier: GPL-3.0-or-later
#include "image_source.hpp"

#include "linked_file.hpp"

namespace chalkline::art::svg {
namespace {

int base64_digit(char c) {
    if (c >= 'A' && c <= 'Z') return c - 'A';
    if (c >= 'a' && c <= 'z') return c - 'a' + 26;
    if (c >= '0' && c <= '9') return c - '0' + 52;
    if (c == '+' || c == '-') return 62;
    if (c == '/' || c == '_') return 63;
    return -1;
}

/// RFC 4648; anything that is no digit (line ends, padding) is passed over.
std::string from_base64(std::string_view text) {
    std::string bytes;
    bytes.reserve(text.size() * 3 / 4);
    unsigned held = 0;
    int bits = 0;
    for (const char c : text) {
        const int digit = base64_digit(c);
        if (digit < 0) continue;
        held = (held << 6 | static_cast<unsigned>(digit)) & 0xffffff;
        bits += 6;
        if (bits < 8) continue;
        bits -= 8;
        bytes += static_cast<char>(held >> bits & 0xff);
    }
    return bytes;
}

}  // namespace

std::shared_ptr<const raster::RgbImage> ImageSource::get(std::string_view reference, const pugi::xml_node& element) {
    const auto [found, fresh] = loaded_.try_emplace(std::string(reference));
    if (fresh) found->second = load(reference, element);
    return found->second;
}

std::shared_ptr<const raster::RgbImage> ImageSource::load(std::string_view reference, const pugi::xml_node& element) {
    if (!scene_.outside.pictures) {
        scene_.notes.add(notice::unsupported, element, {{"feature", "image"}});
        return nullptr;
    }
    Result<std::shared_ptr<const std::string>> bytes;
    if (trimmed(reference).starts_with("data:")) {
        const auto comma = reference.find(',');
        const std::string_view head = reference.substr(0, comma);
        const std::string_view body = comma == std::string_view::npos ? "" : reference.substr(comma + 1);
        const bool base64 = head.find(";base64") != std::string_view::npos;
        bytes =
            std::make_shared<const std::string>(base64 ? from_base64(percent_decoded(body)) : percent_decoded(body));
    } else {
        bytes = linked_file(scene_.art, scene_.outside, reference);
        if (!bytes) {
            scene_.notes.add(notice::outside_reference, element,
                             {{"reference", std::string(reference.substr(0, 200))}});
            return nullptr;
        }
    }
    auto picture = scene_.outside.pictures->decode(**bytes);
    if (!picture) {
        scene_.notes.add(notice::bad_picture, element, {{"reason", picture.error().code}});
        return nullptr;
    }
    if (picture->converted) scene_.notes.add(notice::colours_converted, element);
    return std::make_shared<const raster::RgbImage>(std::move(picture->image));
}

}  // namespace chalkline::art::svg
