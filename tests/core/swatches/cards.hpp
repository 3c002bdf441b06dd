// SPDX-License-Identifier: GPL-3.0-or-later
// What the tests of swatch cards share: a computer with letters and pictures, a burn on the simulated machine.
#pragma once
#include "core/art/doubles.hpp"
#include "support/characters.hpp"
#include "support/let_through.hpp"

#include <chalkline/encoding/encoder.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/recipes/library.hpp>
#include <chalkline/safety/program_checker.hpp>
#include <chalkline/simulator/material.hpp>
#include <chalkline/swatches/card_job.hpp>
#include <chalkline/swatches/ready_cards.hpp>

#include <catch2/catch.hpp>

namespace chalkline::test {

/// Decodes uncompressed 24-bit bitmaps, the one kind of picture a card makes.
class BitmapPictures : public art::PictureDecoder {
 public:
    Result<art::DecodedPicture> decode(std::string_view bytes) const override {
        const auto number = [&](std::size_t at) {
            std::uint32_t value = 0;
            for (std::size_t i = 4; i-- > 0;)
                value = value << 8 | static_cast<std::uint8_t>(bytes[at + i]);
            return value;
        };
        const int width = static_cast<int>(number(18)), height = static_cast<int>(number(22));
        const std::size_t row = (static_cast<std::size_t>(width) * 3 + 3) / 4 * 4;
        REQUIRE(bytes.size() == number(10) + row * static_cast<std::size_t>(height));
        art::DecodedPicture picture{{width, height, {}}, {}, false};
        for (int y = 0; y < height; ++y)
            for (int x = 0; x < width; ++x) {
                const std::size_t at =
                    number(10) + static_cast<std::size_t>(height - 1 - y) * row + static_cast<std::size_t>(x) * 3;
                const auto value = [&](std::size_t i) { return static_cast<std::uint8_t>(bytes[at + i]); };
                picture.image.at(x, y) = {value(2), value(1), value(0)};
            }
        return picture;
    }
};

inline const art::Outside& computer() {
    static const drawings::BoxLetters letters;
    static const BitmapPictures pictures;
    static const art::Outside all{&pictures, &letters, {}};
    return all;
}

inline machine::MachineProfile bench() {
    return homeless();
}

inline swatches::Ground birch() {
    const machine::MachineProfile machine = bench();
    return {machine, "Birch ply", Length::mm(4), "2026-11-23", recipes::starting_points({machine.name, machine.beam})};
}

/// What the simulated machine makes of a job on a piece of material, seen from above, and where the piece's corner is.
inline raster::RgbImage burned_picture(const job::Job& job, const std::string& material, double cells_per_mm = 10) {
    const machine::MachineProfile machine = bench();
    const auto plan = planning::plan(job, machine);
    REQUIRE(plan);
    VirtualMachine vm(machine);
    simulator::DoseMap dose(machine.width, machine.depth, cells_per_mm, machine.spot);
    vm.controller.set_dose_map(&dose);
    vm.make_ready();
    REQUIRE(vm.session.burn(test::let_through(std::make_unique<machine::Encoder>(plan->program, vm.session.profile()),
                                              vm.session.profile())));
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == machine::Activity::none; }, 7200));
    CHECK(vm.controller.report().violations.empty());
    return simulator::render(dose,
                             {*simulator::find_material(material), job.stock->thickness.mm(), job.stock->outline()});
}

/// A part of a picture of the bed, mm.
inline raster::RgbImage part_of(const raster::RgbImage& bed, const geometry::Box& box, double depth, double per_mm) {
    const auto pixel = [&](double mm) { return static_cast<int>(std::lround(mm * per_mm)); };
    raster::RgbImage part(pixel(box.width()), pixel(box.height()), {});
    const int left = pixel(box.left), top = pixel(depth - box.top);
    for (int y = 0; y < part.height; ++y)
        for (int x = 0; x < part.width; ++x)
            part.at(x, y) = bed.pixels[bed.index(left + x, top + y)];
    return part;
}

}  // namespace chalkline::test
