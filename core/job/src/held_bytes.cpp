// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/job/held_bytes.hpp>

namespace chalkline::job {
namespace {

constexpr std::size_t flat = 4096;  // a job's steps, marks and places: small beside any drawing

}  // namespace

std::size_t HeldBytes::of(const art::Artwork& art) {
    std::size_t bytes = 0;
    for (const art::Shape& shape : art.shapes)
        bytes += sizeof shape + shape.path.size() * sizeof(geometry::Point);
    for (const auto* pictures : {&art.pictures, &art.traced_from})
        for (const art::PlacedPicture& picture : *pictures)
            if (first(picture.image)) bytes += sizeof picture + sizeof(Rgb) * picture.image->pixels.size();
    if (first(art.source)) bytes += art.source->size();
    for (const art::LinkedFile& file : art.linked)
        if (first(file.bytes)) bytes += file.bytes->size();
    return bytes;
}

std::size_t HeldBytes::add(const Job& job) {
    std::size_t bytes = flat;
    for (const Motif& motif : job.motifs) {
        bytes += sizeof motif;
        if (first(motif.art)) bytes += of(*motif.art);
    }
    return bytes;
}

}  // namespace chalkline::job
