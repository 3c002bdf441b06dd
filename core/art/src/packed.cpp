// SPDX-License-Identifier: GPL-3.0-or-later
#include "packed.hpp"

#include <chalkline/art/reader.hpp>

#include <zlib.h>

#include <algorithm>

namespace chalkline::art {

bool is_packed(std::string_view bytes) {
    return bytes.starts_with("\x1f\x8b\x08");
}

Result<std::string> unpacked(std::string_view bytes) {
    constexpr int gzip_only = 16 + MAX_WBITS;
    constexpr std::size_t part = std::size_t{1} << 20;
    z_stream stream{};
    if (inflateInit2(&stream, gzip_only) != Z_OK) return fail(error::broken_packed);
    std::string whole;
    std::size_t taken = 0;
    int state = Z_OK;
    while (state == Z_OK && whole.size() < most_unpacked) {
        if (stream.avail_in == 0) {
            const std::size_t next = std::min(part, bytes.size() - taken);
            stream.next_in = reinterpret_cast<Bytef*>(const_cast<char*>(bytes.data() + taken));
            stream.avail_in = static_cast<uInt>(next);
            taken += next;
        }
        const std::size_t before = whole.size();
        whole.resize(before + part);
        stream.next_out = reinterpret_cast<Bytef*>(whole.data() + before);
        stream.avail_out = static_cast<uInt>(part);
        state = inflate(&stream, Z_NO_FLUSH);
        whole.resize(whole.size() - stream.avail_out);
        // Nothing more comes out, and nothing more can go in.
        if (state == Z_OK && whole.size() == before && taken == bytes.size() && stream.avail_in == 0) break;
    }
    inflateEnd(&stream);
    if (state != Z_STREAM_END) return fail(error::broken_packed);
    return whole;
}

}  // namespace chalkline::art
