// SPDX-License-Identifier: GPL-3.0-or-later
// Small drawings written down in tests.
#pragma once
#include <chalkline/art/reader.hpp>

#include <catch2/catch.hpp>

#include <string>

namespace drawings {

using namespace chalkline;
using namespace chalkline::art;

inline Result<Artwork> read_text(const std::string& text, const ReadOptions& options = {},
                                 const Outside& outside = {}) {
    return read(std::make_shared<const std::string>(text), "test.svg", options, outside);
}

/// An SVG drawing 100 × 50 mm in which a user unit is a millimetre and strokes are thin.
inline std::string svg(const std::string& inside, const std::string& attributes = "") {
    return "<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink' width='100mm' "
           "height='50mm' viewBox='0 0 100 50' stroke-width='0.1' " +
           attributes + ">" + inside + "</svg>";
}

inline Artwork drawing(const std::string& inside, const std::string& attributes = "", const Outside& outside = {}) {
    auto art = read_text(svg(inside, attributes), {}, outside);
    REQUIRE(art);
    return *art;
}

/// How often a remark was made; for `unsupported` of one feature.
inline int count(const Artwork& art, std::string_view code, const std::string& feature = "") {
    for (const auto& [notice, places] : art.remarks)
        if (notice.code == code && (feature.empty() || notice.parameters[0].second == feature)) return notice.count;
    return 0;
}

inline void check_box(const geometry::Box& box, const geometry::Box& wanted, double margin = 0.011) {
    CHECK(box.left == Approx(wanted.left).margin(margin));
    CHECK(box.bottom == Approx(wanted.bottom).margin(margin));
    CHECK(box.right == Approx(wanted.right).margin(margin));
    CHECK(box.top == Approx(wanted.top).margin(margin));
}

/// What the art holds of an ink, "#000000:fill"; fails the test when there is none.
inline InkSummary summary_of(const Artwork& art, const std::string& ink) {
    for (const InkSummary& summary : measured_inks(art))
        if (to_text(summary.ink) == ink) return summary;
    FAIL("no ink " + ink);
    return {};
}

}  // namespace drawings
