// SPDX-License-Identifier: GPL-3.0-or-later
// Turns painted paths into shapes of inks: what is filled, what is a line, what is an area, what a clip leaves of it.
#pragma once
#include "paint_server.hpp"

#include <functional>
#include <set>
#include <utility>

namespace chalkline::art::svg {

class Canvas {
 public:
    explicit Canvas(const Scene& scene) : scene_(scene) {}

    /// Paints a path given in user units. `element` is for remarks; `fills` false keeps a straight line unfilled.
    void paint(const geometry::Path& path, const Style& style, const Place& place, const pugi::xml_node& element,
               bool fills = true);
    /// Lays a picture: unit square (Y down, as in the file) → page px.
    void lay(std::shared_ptr<const raster::RgbImage> image, const geometry::Transform& unit_to_page, const Style& style,
             const Place& place, const pugi::xml_node& element);
    std::size_t points() const { return points_; }
    /// Elements whose strokes are thin lines on the page itself.
    const std::vector<pugi::xml_node>& thin_lines() const { return thin_lines_; }

    void read_patterns_by(PatternReader reader) { patterns_ = std::move(reader); }

 private:
    struct Coat;
    std::optional<Coat> coat_of(const Paint& paint, double opacity, const Style& style, const pugi::xml_node& element);
    void fill(const geometry::Path& page_path, geometry::FillRule rule, const Coat& coat, const Place& place,
              const geometry::Box& user_box, const pugi::xml_node& element);
    /// False: the server is no pattern of lines, or those are not wanted.
    bool fill_with_lines(const pugi::xml_node& server, const PaintedArea& area, const pugi::xml_node& element);
    void stroke(const geometry::Path& path, const Style& style, const Coat& coat, const Place& place,
                const pugi::xml_node& element);
    void add(Shape shape, double alpha);
    void spend_on(const Clip& whole, const geometry::Region& clip, std::size_t cut);

    Scene scene_;
    PatternReader patterns_;
    std::size_t points_ = 0;
    std::vector<pugi::xml_node> thin_lines_;
    std::set<std::pair<pugi::xml_node, long long>> no_hatches_;  ///< patterns by their scale on the page, in millionths
};

}  // namespace chalkline::art::svg
