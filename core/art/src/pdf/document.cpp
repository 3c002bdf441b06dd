// SPDX-License-Identifier: GPL-3.0-or-later
#include "pdf/document.hpp"

#include <zlib.h>

#include <array>
#include <optional>

namespace chalkline::art::pdf {
namespace {

struct FreeBytes {
    void operator()(GBytes* b) const { g_bytes_unref(b); }
};

/// The beginning of a deflated stream, or as much of it as unpacks.
std::string unpacked_head(std::string_view packed) {
    std::string head(1 << 16, '\0');
    z_stream stream{};
    if (inflateInit(&stream) != Z_OK) return {};
    stream.next_in = reinterpret_cast<Bytef*>(const_cast<char*>(packed.data()));
    stream.avail_in = static_cast<uInt>(std::min<std::size_t>(packed.size(), 1 << 20));
    stream.next_out = reinterpret_cast<Bytef*>(head.data());
    stream.avail_out = static_cast<uInt>(head.size());
    (void)inflate(&stream, Z_SYNC_FLUSH);
    head.resize(head.size() - stream.avail_out);
    inflateEnd(&stream);
    return head;
}

bool is_blank(char c) {
    return c == ' ' || c == '\n' || c == '\r' || c == '\t';
}

/// True for the operators `k` and `K` after four numbers (PDF 32000-1, §8.6.8).
bool sets_cmyk(std::string_view content) {
    int numbers = 0;
    for (std::size_t at = 0; at < content.size();) {
        while (at < content.size() && is_blank(content[at]))
            ++at;
        std::size_t end = at;
        while (end < content.size() && !is_blank(content[end]))
            ++end;
        const std::string_view token = content.substr(at, end - at);
        if ((token == "k" || token == "K") && numbers >= 4) return true;
        const bool number = !token.empty() && token.find_first_not_of("0123456789.-+") == std::string_view::npos;
        numbers = number ? numbers + 1 : 0;
        at = end;
    }
    return false;
}

}  // namespace

Result<Document> Document::open(const std::string& bytes) {
    const std::unique_ptr<GBytes, FreeBytes> held(g_bytes_new_static(bytes.data(), bytes.size()));
    GError* problem = nullptr;
    PopplerDocument* document = poppler_document_new_from_bytes(held.get(), nullptr, &problem);
    if (document) return Document(document);
    const bool locked = problem && problem->domain == POPPLER_ERROR && problem->code == POPPLER_ERROR_ENCRYPTED;
    const std::string reason = problem ? problem->message : "";
    g_clear_error(&problem);
    if (locked) return fail(error::locked_pdf);
    return fail(error::broken_pdf, {{"reason", reason}});
}

Page Document::page(int number) const {
    return Page(number >= 1 && number <= pages() ? poppler_document_get_page(document_.get(), number - 1) : nullptr);
}

bool uses_cmyk(std::string_view bytes) {
    if (bytes.find("/DeviceCMYK") != std::string_view::npos) return true;
    for (std::size_t at = bytes.find("stream"); at != std::string_view::npos; at = bytes.find("stream", at)) {
        at += 6;
        if (at >= 9 && bytes.substr(at - 9, 3) == "end") continue;
        std::size_t begin = at;
        while (begin < bytes.size() && (bytes[begin] == '\r' || bytes[begin] == '\n'))
            ++begin;
        const auto end = std::min(bytes.find("endstream", begin), bytes.size());
        const std::string_view content = bytes.substr(begin, end - begin);
        // Deflated data begins with 0x78 in practice; anything else is looked at as it is.
        if (content.starts_with('\x78') ? sets_cmyk(unpacked_head(content)) : sets_cmyk(content.substr(0, 1 << 16)))
            return true;
        at = end;
    }
    return false;
}

}  // namespace chalkline::art::pdf
