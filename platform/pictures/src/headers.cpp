// SPDX-License-Identifier: GPL-3.0-or-later
#include "headers.hpp"

#include <cstdint>

namespace chalkline::pictures {
namespace {

using geometry::Point;

/// Whole numbers at byte places; 0 beyond the end.
class Bytes {
 public:
    Bytes(std::string_view data, bool little_endian) : data_(data), little_(little_endian) {}
    std::uint32_t number(std::size_t at, int length) const {
        std::uint32_t value = 0;
        for (int i = 0; i < length; ++i) {
            const std::size_t place = at + static_cast<std::size_t>(little_ ? length - 1 - i : i);
            value = value << 8 | (place < data_.size() ? static_cast<unsigned char>(data_[place]) : 0u);
        }
        return value;
    }
    std::uint32_t u16(std::size_t at) const { return number(at, 2); }
    std::uint32_t u32(std::size_t at) const { return number(at, 4); }
    std::size_t size() const { return data_.size(); }

 private:
    std::string_view data_;
    bool little_;
};

std::optional<Point> per_mm(double x, double y, double mm_of_unit) {
    // Some cameras and programs write 1 or 72 without meaning it; only 1 and less is surely nonsense.
    if (!(x > 1) || !(y > 1) || !(mm_of_unit > 0)) return {};
    return Point{x / mm_of_unit, y / mm_of_unit};
}

/// The tags of a TIFF file, or of the EXIF part of another (TIFF 6.0; EXIF 2.3 §4.6).
Header read_tiff(std::string_view data) {
    const Bytes bytes(data, data.starts_with("II"));
    Header header;
    const std::size_t directory = bytes.u32(4);
    const std::size_t count = bytes.u16(directory);
    double x = 0, y = 0, unit = 25.4;
    const auto rational = [&](std::size_t entry) {
        const std::size_t at = bytes.u32(entry + 8);
        const double below = bytes.u32(at + 4);
        return below > 0 ? bytes.u32(at) / below : 0.0;
    };
    for (std::size_t i = 0; i < count && directory + 2 + i * 12 + 12 <= bytes.size(); ++i) {
        const std::size_t entry = directory + 2 + i * 12;
        switch (bytes.u16(entry)) {
            case 262:  // photometric interpretation
                header.cmyk = bytes.u16(entry + 8) == 5;
                break;
            case 274:  // orientation
                if (bytes.u16(entry + 8) >= 1 && bytes.u16(entry + 8) <= 8)
                    header.orientation = static_cast<int>(bytes.u16(entry + 8));
                break;
            case 282:
                x = rational(entry);
                break;
            case 283:
                y = rational(entry);
                break;
            case 296:  // resolution unit: 1 none, 2 inch, 3 centimetre
                unit = bytes.u16(entry + 8) == 3 ? 10 : bytes.u16(entry + 8) == 2 ? 25.4 : 0;
                break;
            default:
                break;
        }
    }
    header.pixels_per_mm = per_mm(x, y, unit);
    return header;
}

Header read_png(std::string_view data) {
    const Bytes bytes(data, false);
    Header header;
    for (std::size_t at = 8; at + 12 <= data.size();) {
        const std::size_t length = bytes.u32(at);
        const std::string_view kind = data.substr(at + 4, 4);
        if (kind == "pHYs" && length >= 9 && bytes.number(at + 16, 1) == 1)
            header.pixels_per_mm = per_mm(bytes.u32(at + 8), bytes.u32(at + 12), 1000);
        if (kind == "eXIf") header.orientation = read_tiff(data.substr(at + 8, length)).orientation;
        if (kind == "IEND") break;
        at += length + 12;
    }
    return header;
}

Header read_jpeg(std::string_view data) {
    const Bytes bytes(data, false);
    Header header;
    for (std::size_t at = 2; at + 4 <= data.size() && bytes.number(at, 1) == 0xff;) {
        const std::uint32_t marker = bytes.number(at + 1, 1);
        const std::size_t length = bytes.u16(at + 2);
        const std::string_view body = data.substr(at + 4);
        if (marker == 0xda || length < 2) break;  // the picture itself
        if (marker == 0xe0 && body.starts_with("JFIF")) {
            const std::uint32_t unit = bytes.number(at + 11, 1);
            if (unit > 0) header.pixels_per_mm = per_mm(bytes.u16(at + 12), bytes.u16(at + 14), unit == 2 ? 10 : 25.4);
        } else if (marker == 0xe1 && body.starts_with("Exif") && !header.pixels_per_mm) {
            header.pixels_per_mm = read_tiff(body.substr(6)).pixels_per_mm;
        } else if (marker >= 0xc0 && marker <= 0xcf && marker != 0xc4 && marker != 0xc8 && marker != 0xcc) {
            header.cmyk = bytes.number(at + 9, 1) == 4;
        }
        at += length + 2;
    }
    return header;
}

Header read_bmp(std::string_view data) {
    const Bytes bytes(data, true);
    if (bytes.u32(14) < 40) return {};
    return {per_mm(bytes.u32(38), bytes.u32(42), 1000), false};
}

Header read_webp(std::string_view data) {
    const Bytes bytes(data, true);
    for (std::size_t at = 12; at + 8 <= data.size();) {
        const std::size_t length = bytes.u32(at + 4);
        std::string_view body = data.substr(at + 8);
        if (data.substr(at, 4) == "EXIF") {
            if (body.starts_with("Exif")) body.remove_prefix(std::min<std::size_t>(6, body.size()));
            const Header exif = read_tiff(body);
            return {exif.pixels_per_mm, false, false, exif.orientation};
        }
        at += 8 + length + length % 2;
    }
    return {};
}

}  // namespace

Header read_header(std::string_view bytes) {
    if (bytes.starts_with("\x89PNG")) return read_png(bytes);
    if (bytes.starts_with("\xff\xd8")) {
        Header header = read_jpeg(bytes);
        header.cut_short = bytes.rfind("\xff\xd9") == std::string_view::npos;  // no end-of-image marker
        return header;
    }
    if (bytes.starts_with("BM")) return read_bmp(bytes);
    if (bytes.starts_with("II*") || bytes.starts_with(std::string_view("MM\0*", 4))) return read_tiff(bytes);
    if (bytes.starts_with("RIFF") && bytes.size() > 12 && bytes.substr(8, 4) == "WEBP") return read_webp(bytes);
    return {};
}

}  // namespace chalkline::pictures
