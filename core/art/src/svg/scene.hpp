// SPDX-License-Identifier: GPL-3.0-or-later
// Where an element stands and what is remembered while a drawing is walked. Coordinates are page pixels (96 an inch,
// Y down) until the reader turns the finished page into millimetres.
#pragma once
#include "compose/composer.hpp"
#include "document.hpp"
#include "effort.hpp"
#include "remark_book.hpp"
#include "style.hpp"

#include <chalkline/art/reader.hpp>

#include <map>
#include <memory>
#include <string>
#include <utility>

namespace chalkline::art::svg {

inline constexpr double css_density = 96;  // pixels an inch
inline constexpr double mm_per_px = 25.4 / css_density;
/// Of areas that become pictures: 10 a millimetre.
inline constexpr double dots_per_px = 10 * mm_per_px;
/// Curves that must become lines while reading (dashes, clips, stroke areas) stay this close, px.
inline constexpr double px_tolerance = geometry::flattening_tolerance / mm_per_px;

/// An area outside of which nothing is drawn, page px.
struct Clip {
    geometry::Region region;
    geometry::Box box;
    bool rectangle = false;  ///< the region is the box
};

/// Clips to a box as well as to what was clipped before.
std::shared_ptr<const Clip> clipped_to(const std::shared_ptr<const Clip>& before, geometry::Region region);

/// Where an element stands: the map to page pixels, the viewport for percentages, the depth.
struct Place {
    geometry::Transform map;
    Viewport viewport;
    std::shared_ptr<const Clip> clip;
    int depth = 0;

    /// How much lengths grow on the way to the page, on average.
    double scale() const { return std::sqrt(std::abs(geometry::cross({map.a, map.b}, {map.c, map.d}))); }
};

/// The remarks of a drawing, by the element they are about.
class Notes : public RemarkBook {
 public:
    Notes(const Document& document, Artwork& art) : RemarkBook(art), document_(document) {}
    void add(std::string_view code, const pugi::xml_node& where, Parameters parameters = {});

 private:
    const Document& document_;
};

/// What a renderer that knows less than we do is to be told.
struct Retold {
    /// What properties come to, by element and property.
    std::map<std::pair<pugi::xml_node, std::string>, std::string> values;
    /// Clips that only style sheets know, in user units, by the id they are to be written under.
    std::map<std::string, geometry::Region> clips;
};

/// What every part of the reader works with.
struct Scene {
    const Document& document;
    Artwork& art;
    Composer& composer;
    Notes& notes;
    const ReadOptions& options;
    const Outside& outside;
    Effort& effort;
    Retold& retold;  ///< filled where the drawing is to be seen as it looks
};

/// The style of an element: presentation attributes, then sheets, then the style attribute, then what is important.
/// `style` is the parent's and becomes the element's.
void cascade(const Scene& scene, const pugi::xml_node& element, Style& style, const Viewport& viewport);

/// What an element inherits where it stands in the file, whatever refers to it: the contents of markers, masks, clips
/// and patterns and the stops of gradients take their looks from there. Says nothing about the elements around.
Style inherited_style(const Scene& scene, const pugi::xml_node& element, const Viewport& viewport);

/// A length attribute in user units.
double measure(const Scene& scene, const pugi::xml_node& element, const char* name, const Viewport& viewport, Axis axis,
               double otherwise = 0);

/// The geometry of path, rect, circle, ellipse, line, polyline and polygon in user units; nothing for other elements.
std::optional<geometry::Path> shape_path(const Scene& scene, const pugi::xml_node& element, const Viewport& viewport);

}  // namespace chalkline::art::svg
