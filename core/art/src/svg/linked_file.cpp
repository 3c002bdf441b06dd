// SPDX-License-Identifier: GPL-3.0-or-later
#include "linked_file.hpp"

namespace chalkline::art::svg {

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

Result<std::shared_ptr<const std::string>> linked_file(Artwork& art, const Outside& outside,
                                                       std::string_view reference) {
    const std::string name = percent_decoded(reference);
    for (const LinkedFile& file : art.linked)
        if (file.reference == name) return file.bytes;
    if (!outside.beside) return fail(notice::outside_reference);
    auto bytes = outside.beside(name);
    if (!bytes) return tl::unexpected(bytes.error());
    art.linked.push_back({name, std::make_shared<const std::string>(std::move(*bytes))});
    return art.linked.back().bytes;
}

}  // namespace chalkline::art::svg
