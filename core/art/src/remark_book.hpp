// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/artwork.hpp>

#include <map>

namespace chalkline::art {

/// Writes the remarks of a drawing while it is read: one for each thing remarked, with its count, its first line and
/// the box of what each element drew. The artwork must outlive the book.
class RemarkBook {
 public:
    explicit RemarkBook(Artwork& art) : art_(art) {}
    void add(std::string_view code, int line, Parameters parameters = {});

    /// What was drawn and remarked so far; `close` gives the remarks since then their place.
    struct Mark {
        std::size_t shapes, pictures, open;
    };
    Mark mark() const { return {art_.shapes.size(), art_.pictures.size(), open_.size()}; }
    /// `otherwise` is the place of what drew nothing; empty when there is none to show.
    void close(const Mark& since, const geometry::Box& otherwise = {});

 private:
    Artwork& art_;
    std::map<std::string, std::size_t> index_;
    std::vector<std::size_t> open_;  ///< remarks of elements still being read
};

}  // namespace chalkline::art
