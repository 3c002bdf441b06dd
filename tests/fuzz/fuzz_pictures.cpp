// SPDX-License-Identifier: GPL-3.0-or-later
// Fuzz target for pictures, through their decoder: whatever the bytes, there is art or an error, soon.
#include <chalkline/art/reader.hpp>
#include <chalkline/pictures/decoder.hpp>

#include <cstdint>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    using namespace chalkline;
    static const pictures::Decoder decoder;
    const std::string_view bytes(reinterpret_cast<const char*>(data), size);
    // A small file may honestly describe a hundred megapixels of one colour; unpacking those teaches nothing.
    const auto decoded = decoder.decode(bytes);
    if (!decoded || decoded->image.width > 2000 || decoded->image.height > 2000) return 0;
    (void)art::read(std::make_shared<const std::string>(bytes), "fuzz", {}, {.pictures = &decoder});
    return 0;
}
