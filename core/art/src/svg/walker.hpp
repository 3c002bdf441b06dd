// SPDX-License-Identifier: GPL-3.0-or-later
// Walks a drawing's tree: groups, references, viewports, clips; what is painted goes to the canvas.
#pragma once
#include "canvas.hpp"
#include "image_source.hpp"
#include "markers.hpp"

#include <chalkline/base/progress.hpp>

namespace chalkline::art::svg {

class Walker {
 public:
    Walker(const Scene& scene, const Watch& watch);

    /// Reads the whole drawing. `style` is the root's own.
    void read_root(const pugi::xml_node& root, const Style& style, const Place& place);
    /// Reads what stands inside the element. `style` is the element's own.
    void read_children(const pugi::xml_node& parent, const Style& style, const Place& place);

    /// See Canvas::thin_lines.
    const std::vector<pugi::xml_node>& thin_lines() const { return canvas_.thin_lines(); }
    bool cancelled() const { return cancelled_; }
    bool full() const { return canvas_.points() > most_points || scene_.effort.exhausted(); }

 private:
    void read_element(const pugi::xml_node& element, const Style& inherited, Place place);
    void draw_element(const pugi::xml_node& element, std::string_view name, const Style& style, const Place& place);
    /// Sets the markers of a line on its corners.
    void draw_markers(const geometry::Path& path, const pugi::xml_node& element, const Style& style,
                      const Place& place);
    void draw_marker(const pugi::xml_node& marker, const MarkerSpot& spot, const Style& style, const Place& place);
    void read_switch(const pugi::xml_node& element, const Style& style, const Place& place);
    void read_viewport(const pugi::xml_node& element, const Style& style, Place place, const pugi::xml_node& user);
    void read_use(const pugi::xml_node& element, const Style& style, const Place& place);
    void read_image(const pugi::xml_node& element, const Style& style, Place place);

    /// What the element's own style turns, moves and scales it by; nothing when that is not understood.
    std::optional<geometry::Transform> own_transform(const pugi::xml_node& element, const Style& style,
                                                     const Place& place);
    void retell_transform(const pugi::xml_node& element, const OwnTransform& own, const geometry::Transform& all);
    /// The box of what an element draws, in its own user units.
    geometry::Box drawn_box(const pugi::xml_node& element, const Style& style, const Place& place);
    /// Draws an element as far as its mask lets it be seen; whole, with a remark, where that is not known.
    void draw_masked(const pugi::xml_node& element, std::string_view name, const Style& style, const Place& place);
    std::shared_ptr<const Clip> clip_of(const std::string& id, const pugi::xml_node& element, const Style& style,
                                        const Place& place);
    /// The clip by a shape of the style sheet, about the box of what the element draws.
    std::shared_ptr<const Clip> clip_by_shape(const pugi::xml_node& element, const Style& style, const Place& place);
    /// The area a clipPath's content covers, page px.
    geometry::Region clip_area(const pugi::xml_node& clip_path, const Place& place);
    /// Draws what `draw(style)` paints; where the element lets through, as a group that is mixed as a whole.
    template <class Draw>
    void draw_mixed(const Style& style, Draw draw);

    Scene scene_;
    const Watch& watch_;
    Canvas canvas_;
    ImageSource images_;
    /// What a clip came to the last time.
    struct KnownClip {
        geometry::Transform map;
        Viewport viewport;
        std::shared_ptr<const Clip> around, clip;
    };
    std::map<pugi::xml_node, KnownClip> known_clips_;
    std::vector<pugi::xml_node> using_;  ///< targets of the references being followed
    int clipping_ = 0;   ///< above 0 while a clip's content is read: areas count, paint and markers do not
    int measuring_ = 0;  ///< above 0 while a box is found: markers do not count
    int visited_ = 0;
    bool cancelled_ = false;
};

/// The map from a viewBox to a viewport of the given size (SVG 1.1 §7.8, preserveAspectRatio).
geometry::Transform view_box_map(const std::vector<double>& box, double width, double height, std::string_view aspect);
/// The viewBox attribute when it has an area.
std::optional<std::vector<double>> view_box(const pugi::xml_node& element);

}  // namespace chalkline::art::svg
