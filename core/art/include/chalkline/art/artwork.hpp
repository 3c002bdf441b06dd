// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/design.hpp>
#include <chalkline/art/read_options.hpp>
#include <chalkline/base/ink.hpp>
#include <chalkline/base/result.hpp>
#include <chalkline/geometry/region.hpp>
#include <chalkline/raster/image.hpp>

#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::art {

/// One painted thing: a path laid in one ink. An element with fill and stroke makes two shapes.
struct Shape {
    geometry::Path path;  ///< mm on the page, Y up
    Ink ink;
    geometry::FillRule rule = geometry::FillRule::non_zero;  ///< fills only
    double stroke_width = 0;                                 ///< lines only, mm as drawn
    int line = 0;                                            ///< line in the source file, 0 when unknown
    int number = 0;                                          ///< counted as read, what `ReadOptions::removed` names
};

/// A picture lying on the page.
struct PlacedPicture {
    std::shared_ptr<const raster::RgbImage> image;  ///< transparency is over white already
    geometry::Transform place;                      ///< unit square, (0,0) the picture's lower left → page mm
    std::optional<geometry::Region> clip;           ///< seen only inside, page mm
    Ink ink;
    int line = 0;   ///< line in the source file, 0 when unknown
    int above = 0;  ///< shapes painted before it, as numbered when read
};

/// Something the drawing asked for that will not burn as drawn, or that was decided for it, and where.
struct Remark {
    Notice notice;
    std::vector<geometry::Box> places;  ///< on the page, mm; the first `most_places` only, empty where it has none
    static constexpr std::size_t most_places = 200;
};

/// A file the drawing refers to, kept with it so that the job stands alone.
struct LinkedFile {
    std::string reference;  ///< as the drawing names it
    std::shared_ptr<const std::string> bytes;
};

/// What a reader made of one file. A value; large, so it travels as `shared_ptr<const Artwork>`.
struct Artwork {
    std::string name;           ///< file name without folders
    std::string format;         ///< "svg", "dxf", "pdf", "picture"
    geometry::Point page;       ///< width and height, mm; the shapes' origin is its lower left corner
    geometry::Point origin;     ///< where the page's lower left corner lies in the drawing's own coordinates, mm
    std::vector<Shape> shapes;  ///< in painting order
    std::vector<PlacedPicture> pictures;
    std::vector<PlacedPicture> traced_from;  ///< pictures that became shapes
    std::vector<Remark> remarks;
    bool unit_missing = false;            ///< the file does not say its unit; `read_with.unit` was taken
    bool sized_in_pixels = false;         ///< its size is in pixels or not stated; `read_with.density` was taken
    bool hatched = false;                 ///< it has patterns of thin lines
    std::optional<double> sheet_density;  ///< pixels an inch at which a page in pixels is a common sheet
    bool size_guessed = false;            ///< a picture whose file does not say how large it is, or not in earnest
    std::optional<double> stated_width;   ///< mm; what a file says that was not taken in earnest
    int pages = 1;                        ///< pages of the file; `read_with.page` is the one read
    ReadOptions read_with;                ///< how it was read: reading the source again so gives the same art
    std::optional<Design> design;         ///< what it was drawn from, when it comes from no file
    std::shared_ptr<const std::string> source;  ///< the file's bytes, kept with the job; null with a design
    std::vector<LinkedFile> linked;
    /// Convex hull of everything drawn, page mm: its box under a map is the box of the mapped art. Set by the readers.
    std::vector<geometry::Point> hull;

    bool empty() const { return shapes.empty() && pictures.empty(); }
};

/// The topmost shape at a point of the page: a fill that holds it, or a line no farther than `reach`. Index into
/// `shapes`.
std::optional<std::size_t> shape_at(const Artwork& artwork, geometry::Point point, double reach);

/// The ink of a picture.
Ink picture_ink(const raster::RgbImage& image);

/// The part of the page a picture covers.
geometry::Box bounds(const PlacedPicture& picture);

/// What the art holds of one ink.
struct InkSummary {
    Ink ink;
    int shapes = 0;     ///< or pictures
    int closed = 0;     ///< closed contours
    geometry::Box box;  ///< of the geometry, mm
    double length = 0;  ///< all contours, mm
    double area = 0;    ///< fills, mm²: what is seen of them; where paint does not cover, what they cover together
};

/// The distinct inks in order of first appearance, pictures last; cheap facts only (no lengths or areas).
std::vector<InkSummary> inks(const Artwork& artwork);
/// The same with lengths and areas; flattens every curve.
std::vector<InkSummary> measured_inks(const Artwork& artwork);

/// The page as its areas and pictures show it (thin lines left out), `pitch` mm a pixel and no more than `most` pixels,
/// transparent where it is bare.
raster::RgbImage drawn(const Artwork& artwork, double pitch, double most = 60e6);

/// Works out `Artwork::hull`.
std::vector<geometry::Point> hull_of(const Artwork& artwork);

/// Box of all geometry under a map; quick where the hull is known.
geometry::Box bounds_under(const Artwork& artwork, const geometry::Transform& map);

/// Box of all geometry (stroke widths not counted) and pictures, mm.
geometry::Box bounds(const Artwork& artwork);

}  // namespace chalkline::art
