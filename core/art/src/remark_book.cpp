// SPDX-License-Identifier: GPL-3.0-or-later
#include "remark_book.hpp"

namespace chalkline::art {

void RemarkBook::add(std::string_view code, int line, Parameters parameters) {
    const std::string key = std::string(code) + (parameters.empty() ? "" : ":" + parameters[0].second);
    const auto [found, fresh] = index_.try_emplace(key, art_.remarks.size());
    if (fresh)
        art_.remarks.push_back({{std::string(code), std::move(parameters), 1, line}, {}});
    else
        ++art_.remarks[found->second].notice.count;
    open_.push_back(found->second);
}

void RemarkBook::close(const Mark& since, const geometry::Box& otherwise) {
    if (open_.size() <= since.open) return;
    geometry::Box box;
    bool measured = false;
    for (std::size_t i = since.open; i < open_.size(); ++i) {
        Remark& remark = art_.remarks[open_[i]];
        if (remark.places.size() >= Remark::most_places) continue;
        if (!measured) {
            for (std::size_t s = since.shapes; s < art_.shapes.size(); ++s)
                box.add(geometry::bounds(art_.shapes[s].path.flatten({}, 1)));
            for (std::size_t p = since.pictures; p < art_.pictures.size(); ++p)
                box.add(bounds(art_.pictures[p]));
            if (box.empty()) box = otherwise;
            measured = true;
        }
        if (!box.empty()) remark.places.push_back(box);
    }
    open_.resize(since.open);
}

}  // namespace chalkline::art
