// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/contract.hpp>
#include <chalkline/geometry/join.hpp>

#include <cstdint>
#include <optional>
#include <unordered_map>

namespace chalkline::geometry {
namespace {

/// The free ends of pieces in square cells as wide as the reach.
class Ends {
 public:
    explicit Ends(double within) : within_(within) {}

    void add(std::size_t piece, bool end, Point at) { cells_[cell(at, 0, 0)].push_back({piece, end, at}); }

    struct End {
        std::size_t piece;
        bool end;  ///< the piece's end, not its start
        Point at;
    };
    /// The nearest free end, or nothing. Ends of used pieces are forgotten on the way, and one that lies exactly there
    /// is taken at once: a thousand lines that begin in one place cost no more than others.
    std::optional<End> nearest(Point at, const std::vector<bool>& used) {
        std::optional<End> best;
        for (int dx = -1; dx <= 1; ++dx) {
            for (int dy = -1; dy <= 1; ++dy) {
                const auto found = cells_.find(cell(at, dx, dy));
                if (found == cells_.end()) continue;
                auto& ends = found->second;
                for (std::size_t i = 0; i < ends.size();) {
                    if (used[ends[i].piece]) {
                        ends[i] = ends.back();
                        ends.pop_back();
                        continue;
                    }
                    if (distance(ends[i].at, at) <= (best ? distance(best->at, at) : within_)) best = ends[i];
                    if (best && best->at == at) return best;
                    ++i;
                }
            }
        }
        return best;
    }

 private:
    std::uint64_t cell(Point at, int dx, int dy) const {
        const auto part = [this](double value, int shift) {
            return static_cast<std::uint32_t>(static_cast<std::int64_t>(std::floor(value / within_)) + shift);
        };
        return static_cast<std::uint64_t>(part(at.x, dx)) << 32 | part(at.y, dy);
    }
    double within_;
    std::unordered_map<std::uint64_t, std::vector<End>> cells_;
};

}  // namespace

std::vector<JoinedPath> join_ends(std::vector<Path> pieces, double within) {
    CHALKLINE_REQUIRES(within > 0);
    Ends ends(within);
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        ends.add(i, false, pieces[i].contour_start());
        ends.add(i, true, pieces[i].current());
    }
    std::vector<bool> used(pieces.size(), false);
    std::vector<JoinedPath> joined;
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        if (used[i]) continue;
        used[i] = true;
        Path chain = std::move(pieces[i]);
        // Forwards as far as it goes, then backwards from the start.
        for (int direction = 0; direction < 2; ++direction) {
            while (const auto end = ends.nearest(chain.current(), used)) {
                used[end->piece] = true;
                const Path& next = pieces[end->piece];
                chain.continue_with(end->end ? next.reversed() : next);
            }
            chain = chain.reversed();
        }
        const bool has_extent = length(chain.flatten({}, within)) > 2 * within;
        if (has_extent && distance(chain.contour_start(), chain.current()) <= within) chain.close();
        joined.push_back({std::move(chain), i});
    }
    return joined;
}

}  // namespace chalkline::geometry
