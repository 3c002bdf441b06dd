// SPDX-License-Identifier: GPL-3.0-or-later
#include "image_source.hpp"

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

/// "%20" and the like as the bytes they stand for (RFC 3986 §2.1).
std::string percent_decoded(std::string_view text) {
    const auto digit = [](char c) {
        if (c >= '0' && c <= '9') return c - '0';
        c = static_cast<char>(c | 32);
        return c >= 'a' && c <= 'f' ? c - 'a' + 10 : -1;
    };
    std::string plain;
    for (std::size_t i = 0; i < text.size(); ++i) {
        if (text[i] == '%' && i + 2 < text.size() && digit(text[i + 1]) >= 0 && digit(text[i + 2]) >= 0) {
            plain += static_cast<char>(digit(text[i + 1]) * 16 + digit(text[i + 2]));
            i += 2;
        } else {
            plain += text[i];
        }
    }
    return plain;
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
        bytes = linked(percent_decoded(reference));
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

Result<std::shared_ptr<const std::string>> ImageSource::linked(const std::string& reference) {
    for (const LinkedFile& file : scene_.art.linked)
        if (file.reference == reference) return file.bytes;
    if (!scene_.outside.beside) return fail(notice::outside_reference);
    auto bytes = scene_.outside.beside(reference);
    if (!bytes) return tl::unexpected(bytes.error());
    scene_.art.linked.push_back({reference, std::make_shared<const std::string>(std::move(*bytes))});
    return scene_.art.linked.back().bytes;
}

}  // namespace chalkline::art::svg
