// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/pictures/renderer.hpp>

#include <librsvg/rsvg.h>

#include <memory>

namespace chalkline::pictures {
namespace {

struct Drop {
    void operator()(RsvgHandle* handle) const { g_object_unref(handle); }
    void operator()(GInputStream* stream) const { g_object_unref(stream); }
    void operator()(GError* error) const { g_error_free(error); }
};
using Problem = std::unique_ptr<GError, Drop>;

Error not_rendered(const Problem& problem) {
    return {std::string(art::error::not_rendered), {{"reason", problem ? problem->message : "unknown"}}, {}, 0};
}

}  // namespace

Result<void> Renderer::draw_svg(const std::string& svg, double width, double height, cairo_t* onto) const {
    GError* raised = nullptr;
    const std::unique_ptr<GInputStream, Drop> stream(
        g_memory_input_stream_new_from_data(svg.data(), static_cast<gssize>(svg.size()), nullptr));
    // Pictures within a drawing may be large: what a drawing may cost was weighed when it was read.
    const std::unique_ptr<RsvgHandle, Drop> handle(
        rsvg_handle_new_from_stream_sync(stream.get(), nullptr, RSVG_HANDLE_FLAG_UNLIMITED, nullptr, &raised));
    if (!handle) return tl::unexpected(not_rendered(Problem(raised)));
    const RsvgRectangle page{0, 0, width, height};
    if (!rsvg_handle_render_document(handle.get(), onto, &page, &raised))
        return tl::unexpected(not_rendered(Problem(raised)));
    return {};
}

}  // namespace chalkline::pictures
