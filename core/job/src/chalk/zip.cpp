// SPDX-License-Identifier: GPL-3.0-or-later
#include "chalk/zip.hpp"

#include <chalkline/job/chalk_file.hpp>

#include <zip.h>
#include <zlib.h>

#include <memory>

namespace chalkline::job {
namespace {

constexpr std::uint64_t largest_entry = 256ULL << 20, largest_sum = 2048ULL << 20;

struct Discard {
    void operator()(zip_t* archive) const { zip_discard(archive); }
};
using Archive = std::unique_ptr<zip_t, Discard>;

Archive open_zip(const std::string& bytes) {
    zip_error_t problem;
    zip_error_init(&problem);
    zip_source_t* memory = zip_source_buffer_create(bytes.data(), bytes.size(), 0, &problem);
    if (!memory) return nullptr;
    Archive archive(zip_open_from_source(memory, ZIP_RDONLY | ZIP_CHECKCONS, &problem));
    if (!archive) zip_source_free(memory);
    return archive;
}

std::optional<std::string> read_entry(zip_t* archive, zip_uint64_t index, std::uint64_t most) {
    zip_stat_t facts;
    if (zip_stat_index(archive, index, 0, &facts) != 0 || !(facts.valid & ZIP_STAT_SIZE)) return {};
    if (facts.size > most) return {};
    const std::unique_ptr<zip_file_t, int (*)(zip_file_t*)> file(zip_fopen_index(archive, index, 0), zip_fclose);
    if (!file) return {};
    std::string bytes(facts.size, '\0');
    const zip_int64_t got = zip_fread(file.get(), bytes.data(), bytes.size());
    // Closing says whether the checksum was right.
    char more;
    if (got != static_cast<zip_int64_t>(bytes.size()) || zip_fread(file.get(), &more, 1) != 0) return {};
    return bytes;
}

/// Whole numbers of a local header, little-endian.
std::uint32_t number_at(std::string_view bytes, std::size_t at, int length) {
    std::uint32_t value = 0;
    for (int i = length - 1; i >= 0; --i)
        value = value << 8 | static_cast<unsigned char>(bytes[at + static_cast<std::size_t>(i)]);
    return value;
}

std::optional<std::string> inflated(std::string_view packed, std::size_t size) {
    std::string bytes(size, '\0');
    z_stream stream{};
    constexpr int raw = -MAX_WBITS;
    if (inflateInit2(&stream, raw) != Z_OK) return {};
    stream.next_in = reinterpret_cast<Bytef*>(const_cast<char*>(packed.data()));
    stream.avail_in = static_cast<uInt>(packed.size());
    stream.next_out = reinterpret_cast<Bytef*>(bytes.data());
    stream.avail_out = static_cast<uInt>(bytes.size());
    const int ended = inflate(&stream, Z_FINISH);
    const bool all = stream.total_out == size;
    inflateEnd(&stream);
    if (ended != Z_STREAM_END || !all) return {};
    return bytes;
}

/// Entries whose header and data stand whole somewhere in the bytes.
ZipContents salvage(std::string_view bytes) {
    constexpr std::size_t header = 30;
    ZipContents found{{}, false};
    std::uint64_t sum = 0;
    for (auto at = bytes.find("PK\x03\x04"); at != std::string_view::npos; at = bytes.find("PK\x03\x04", at + 4)) {
        const std::string_view rest = bytes.substr(at);
        if (rest.size() < header) break;
        const std::uint32_t method = number_at(rest, 8, 2), checksum = number_at(rest, 14, 4);
        const std::size_t packed = number_at(rest, 18, 4), size = number_at(rest, 22, 4);
        const std::size_t name = number_at(rest, 26, 2), begin = header + name + number_at(rest, 28, 2);
        if (begin + packed > rest.size() || size > largest_entry || (sum += size) > largest_sum) continue;
        const std::string_view data = rest.substr(begin, packed);
        const auto entry = method == 0 ? std::optional(std::string(data)) : inflated(data, size);
        if (!entry || entry->size() != size) continue;
        const auto actual = crc32(0, reinterpret_cast<const Bytef*>(entry->data()), static_cast<uInt>(entry->size()));
        if (actual == checksum) found.entries.insert_or_assign(std::string(rest.substr(header, name)), *entry);
    }
    return found;
}

}  // namespace

Result<std::string> write_zip(const std::vector<ZipEntry>& entries) {
    zip_error_t problem;
    zip_error_init(&problem);
    zip_source_t* memory = zip_source_buffer_create(nullptr, 0, 0, &problem);
    if (!memory) return fail(error::damaged, {{"reason", zip_error_strerror(&problem)}});
    zip_source_keep(memory);
    const std::unique_ptr<zip_source_t, void (*)(zip_source_t*)> kept(memory, zip_source_free);
    Archive archive(zip_open_from_source(memory, ZIP_TRUNCATE, &problem));
    if (!archive) return fail(error::damaged, {{"reason", zip_error_strerror(&problem)}});
    for (const ZipEntry& entry : entries) {
        zip_source_t* source = zip_source_buffer(archive.get(), entry.bytes.data(), entry.bytes.size(), 0);
        const zip_int64_t index = zip_file_add(archive.get(), entry.name.c_str(), source, ZIP_FL_ENC_UTF_8);
        if (index < 0) {
            zip_source_free(source);
            return fail(error::damaged, {{"reason", zip_strerror(archive.get())}});
        }
        zip_file_set_dostime(archive.get(), static_cast<zip_uint64_t>(index), 0, 0x21, 0);  // 1980-01-01 00:00
    }
    if (zip_close(archive.get()) != 0) return fail(error::damaged, {{"reason", zip_strerror(archive.get())}});
    (void)archive.release();
    zip_stat_t facts;
    zip_source_stat(memory, &facts);
    std::string bytes(facts.size, '\0');
    zip_source_open(memory);
    zip_source_read(memory, bytes.data(), bytes.size());
    zip_source_close(memory);
    return bytes;
}

std::optional<ZipContents> read_zip(const std::string& bytes) {
    ZipContents contents;
    const Archive archive = open_zip(bytes);
    if (!archive) {
        contents = salvage(bytes);
        return contents.entries.empty() ? std::nullopt : std::optional(std::move(contents));
    }
    std::uint64_t sum = 0;
    const auto count = static_cast<zip_uint64_t>(zip_get_num_entries(archive.get(), 0));
    for (zip_uint64_t i = 0; i < count; ++i) {
        const char* name = zip_get_name(archive.get(), i, 0);
        auto entry = name ? read_entry(archive.get(), i, std::min(largest_entry, largest_sum - sum)) : std::nullopt;
        contents.whole = contents.whole && entry;
        if (!entry) continue;
        sum += entry->size();
        contents.entries.insert_or_assign(name, std::move(*entry));
    }
    return contents;
}

}  // namespace chalkline::job
