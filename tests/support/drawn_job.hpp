// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/reader.hpp>
#include <chalkline/job/edits.hpp>

#include <memory>
#include <string>

namespace chalkline::test {

/// A job with one drawing of 400 × 300 mm, as large as the bed, routed as new art is.
inline job::Job drawn_job(const std::string& inside) {
    auto art =
        art::read(std::make_shared<const std::string>("<svg xmlns='http://www.w3.org/2000/svg' width='400mm' "
                                                      "height='300mm' viewBox='0 0 400 300' stroke-width='0.1'>" +
                                                      inside + "</svg>"),
                  "t.svg");
    return job::add_art({}, std::make_shared<const art::Artwork>(art.value()), {});
}

}  // namespace chalkline::test
