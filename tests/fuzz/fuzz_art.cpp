// SPDX-License-Identifier: GPL-3.0-or-later
// Fuzz target for the readers of art: whatever the bytes, there is art or an error, soon, and nothing else.
#include <chalkline/art/cleaning.hpp>
#include <chalkline/art/reader.hpp>

#include <cstdint>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    using namespace chalkline;
    const auto bytes = std::make_shared<const std::string>(reinterpret_cast<const char*>(data), size);
    const auto art = art::read(bytes, "fuzz");
    if (!art) return 0;
    (void)art::measured_inks(*art);
    if (art->shapes.size() < 200) (void)art::examine(*art, {});
    return 0;
}
