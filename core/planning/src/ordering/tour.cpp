// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/planning/tour.hpp>

#include <boost/geometry.hpp>
#include <boost/geometry/index/rtree.hpp>

#include <algorithm>
#include <cstdint>
#include <limits>
#include <numeric>

namespace chalkline::planning {
namespace {

namespace bg = boost::geometry;
namespace bgi = boost::geometry::index;
using geometry::Point;
using RPoint = bg::model::point<double, 2, bg::cs::cartesian>;
using Door = std::pair<RPoint, std::size_t>;  ///< a place and the stop it leads to
using DoorTree = bgi::rtree<Door, bgi::quadratic<16>>;

constexpr double least_gain = 1e-7;  // mm; less is rounding
// Turning a stretch costs its length. The first search may turn long ones; shaking is local, and what a long turn would
// still gain it nearly always gains by short ones.
constexpr std::ptrdiff_t longest_turned = 25000, longest_shaken = 100;

RPoint rpoint(Point p) {
    return {p.x, p.y};
}

/// The nearest door that is open, over and over; a stop opens when all that must come before it were visited.
class NearestNext {
 public:
    explicit NearestNext(const std::vector<Stop>& stops) : stops_(stops), waiting_for_(stops.size(), 0) {
        for (const Stop& stop : stops)
            if (stop.after_all_of != Stop::none) ++waiting_for_[stop.after_all_of];
        std::vector<Door> doors;
        for (std::size_t i = 0; i < stops.size(); ++i)
            if (waiting_for_[i] == 0) add_doors(i, doors);
        open_ = DoorTree(doors);
    }

    std::vector<Visit> order(Point from, const Watch& watch) {
        std::vector<Visit> visits;
        visits.reserve(stops_.size());
        while (!open_.empty() && !watch.cancelled()) {
            const std::size_t next = nearest(from);
            std::vector<Door> doors;
            add_doors(next, doors);
            open_.remove(doors.begin(), doors.end());
            const Stop& stop = stops_[next];
            if (const auto waiting = stop.after_all_of; waiting != Stop::none && --waiting_for_[waiting] == 0) {
                doors.clear();
                add_doors(waiting, doors);
                open_.insert(doors.begin(), doors.end());
            }
            const std::size_t door = nearest_door(stop, from);
            visits.push_back({next, door});
            from = stop.through ? stop.doors[1 - door] : stop.doors[door];
        }
        return visits;
    }

    static std::size_t nearest_door(const Stop& stop, Point from) {
        if (stop.fixed) return 0;
        std::size_t best = 0;
        for (std::size_t i = 1; i < stop.doors.size(); ++i)
            if (geometry::distance(stop.doors[i], from) < geometry::distance(stop.doors[best], from)) best = i;
        return best;
    }

 private:
    void add_doors(std::size_t stop, std::vector<Door>& doors) const {
        // A few doors of a long outline are enough to be found by.
        constexpr std::size_t most = 12;
        const auto& all = stops_[stop].doors;
        const std::size_t count = stops_[stop].fixed ? 1 : all.size(), step = std::max<std::size_t>(1, count / most);
        for (std::size_t i = 0; i < count; i += step)
            doors.emplace_back(rpoint(all[i]), stop);
    }

    /// Of equal distances the stop of the lowest number, so that the order never depends on the tree's inside.
    std::size_t nearest(Point from) const {
        std::size_t best = Stop::none;
        double best_distance = std::numeric_limits<double>::infinity();
        for (auto it = open_.qbegin(bgi::nearest(rpoint(from), 4)); it != open_.qend(); ++it) {
            const double d = geometry::distance({bg::get<0>(it->first), bg::get<1>(it->first)}, from);
            if (d < best_distance - 1e-12 || (d < best_distance + 1e-12 && it->second < best)) {
                best = it->second;
                best_distance = d;
            }
        }
        return best;
    }

    const std::vector<Stop>& stops_;
    std::vector<int> waiting_for_;
    DoorTree open_;
};

/// Chooses the doors of all stops that are left where they are entered, for the given order, at once: the shortest way
/// through layers of doors, of each stop those nearest to what comes before and after it.
void choose_doors(const std::vector<Stop>& stops, Point from, std::vector<Visit>& visits) {
    constexpr std::size_t most = 8;
    struct Choice {
        std::size_t door;
        double way;
        std::size_t before;
    };
    std::vector<std::vector<Choice>> layers(visits.size());
    const auto entry = [&](std::size_t i) { return stops[visits[i].stop].doors[visits[i].door]; };
    const auto leave = [&](std::size_t i, std::size_t door) {
        const Stop& stop = stops[visits[i].stop];
        return stop.through ? stop.doors[1 - door] : stop.doors[door];
    };
    for (std::size_t i = 0; i < visits.size(); ++i) {
        const Stop& stop = stops[visits[i].stop];
        if (stop.fixed || stop.through) {
            layers[i].push_back({visits[i].door, 0, 0});
            continue;
        }
        const Point before = i == 0 ? from : leave(i - 1, visits[i - 1].door);
        const Point after = i + 1 < visits.size() ? entry(i + 1) : before;
        std::vector<std::pair<double, std::size_t>> doors;
        for (std::size_t door = 0; door < stop.doors.size(); ++door)
            doors.emplace_back(
                geometry::distance(before, stop.doors[door]) + geometry::distance(stop.doors[door], after), door);
        const std::size_t kept = std::min(most, doors.size());
        std::partial_sort(doors.begin(), doors.begin() + static_cast<std::ptrdiff_t>(kept), doors.end());
        for (std::size_t k = 0; k < kept; ++k)
            layers[i].push_back({doors[k].second, 0, 0});
    }
    for (std::size_t i = 0; i < visits.size(); ++i) {
        for (Choice& choice : layers[i]) {
            const Point place = stops[visits[i].stop].doors[choice.door];
            if (i == 0) {
                choice.way = geometry::distance(from, place);
                continue;
            }
            choice.way = std::numeric_limits<double>::infinity();
            for (std::size_t k = 0; k < layers[i - 1].size(); ++k) {
                const Choice& last = layers[i - 1][k];
                const double way = last.way + geometry::distance(leave(i - 1, last.door), place);
                if (way < choice.way) {
                    choice.way = way;
                    choice.before = k;
                }
            }
        }
    }
    if (visits.empty()) return;
    const auto shorter = [](const Choice& a, const Choice& b) { return a.way < b.way; };
    auto at = static_cast<std::size_t>(std::min_element(layers.back().begin(), layers.back().end(), shorter) -
                                       layers.back().begin());
    for (std::size_t i = visits.size(); i-- > 0;) {
        visits[i].door = layers[i][at].door;
        at = layers[i][at].before;
    }
}

/// Makes a way shorter move by move. Every move is made of reversals of stretches of the way, so that a failed try is
/// taken back by playing them again.
class Improver {
 public:
    Improver(const std::vector<Stop>& stops, Point from, const std::vector<Visit>& visits)
        : stops_(stops),
          from_(from),
          size_(visits.size()),
          place_(stops.size()),
          door_(stops.size()),
          children_(stops.size()),
          queued_(stops.size(), 0) {
        for (const Visit& visit : visits) {
            place_[visit.stop] = way_.size();
            way_.push_back(visit.stop);
            door_[visit.stop] = visit.door;
            in_.push_back(entry(visit.stop));
            out_.push_back(leave(visit.stop));
        }
        for (std::size_t i = 0; i < stops.size(); ++i) {
            any_fixed_ = any_fixed_ || (stops[i].fixed && stops[i].through);
            if (stops[i].after_all_of == Stop::none) continue;
            children_[stops[i].after_all_of].push_back(i);
            any_order_ = true;
        }
        find_neighbours();
    }

    void improve(const Watch& watch) {
        longest_ = longest_turned;
        for (const std::size_t stop : way_)
            look_at(stop);
        work_off(watch);
        done_.clear();
    }

    /// Local shakes, each kept only when the way is shorter afterwards.
    void shake(std::size_t tries, const Watch& watch) {
        if (size_ < 8) return;
        longest_ = longest_shaken;
        for (std::size_t i = 0; i < tries && !watch.cancelled(); ++i) {
            done_.clear();
            gain_ = 0;
            if (!double_bridge()) continue;
            work_off(watch);
            if (gain_ < -least_gain) take_back();
        }
        done_.clear();
    }

    std::vector<Visit> visits() const {
        std::vector<Visit> result;
        for (const std::size_t stop : way_)
            result.push_back({stop, door_[stop]});
        return result;
    }

 private:
    using Index = std::ptrdiff_t;

    Point entry(std::size_t stop) const { return stops_[stop].doors[door_[stop]]; }
    Point leave(std::size_t stop) const {
        const Stop& s = stops_[stop];
        return s.through ? s.doors[1 - door_[stop]] : s.doors[door_[stop]];
    }
    /// Where the way is before place i, and where it goes on at place i.
    Point exit_at(Index i) const { return i < 0 ? from_ : out_[static_cast<std::size_t>(i)]; }
    Point entry_at(Index i) const { return in_[static_cast<std::size_t>(i)]; }
    Index last() const { return static_cast<Index>(size_) - 1; }
    /// The dark way from place i to the next; the end of the way costs nothing.
    double link(Index i) const { return i >= last() ? 0 : geometry::distance(exit_at(i), entry_at(i + 1)); }

    void find_neighbours() {
        constexpr unsigned count = 6;
        std::vector<Door> ends;
        for (const std::size_t stop : way_) {
            ends.emplace_back(rpoint(entry(stop)), stop);
            if (stops_[stop].through) ends.emplace_back(rpoint(leave(stop)), stop);
        }
        const DoorTree tree(ends);
        neighbours_.resize(stops_.size());
        for (const std::size_t stop : way_) {
            auto& near = neighbours_[stop];
            const auto known = [&](std::size_t other) {
                return std::any_of(near.begin(), near.end(), [&](const auto& entry) { return entry.second == other; });
            };
            const auto add = [&](Point place) {
                for (auto it = tree.qbegin(bgi::nearest(rpoint(place), count + 2)); it != tree.qend(); ++it)
                    if (it->second != stop && !known(it->second))
                        near.emplace_back(bg::distance(it->first, rpoint(place)), it->second);
            };
            add(entry(stop));
            if (stops_[stop].through) add(leave(stop));
            std::sort(near.begin(), near.end());
        }
    }

    void look_at(std::size_t stop) {
        if (queued_[stop]) return;
        queued_[stop] = 1;
        queue_.push_back(stop);
    }
    void look_round(Index i) {
        for (Index k = i - 1; k <= i + 1; ++k)
            if (k >= 0 && k <= last()) look_at(way_[static_cast<std::size_t>(k)]);
    }

    void work_off(const Watch& watch) {
        for (std::size_t at = 0; at < queue_.size(); ++at) {
            if ((at & 1023U) == 0 && watch.cancelled()) break;
            const std::size_t stop = queue_[at];
            queued_[stop] = 0;
            while (better_about(stop)) {
            }
        }
        for (const std::size_t stop : queue_)
            queued_[stop] = 0;
        queue_.clear();
    }

    /// Tries the moves that join a stop to one of its neighbours; true when one was made.
    bool better_about(std::size_t stop) {
        const auto i = static_cast<Index>(place_[stop]);
        // A new link longer than both old ones can only pay for the other end of the move, which is tried from there.
        const double longest = std::max(link(i - 1), link(i));
        for (const auto& [away, other] : neighbours_[stop]) {
            if (away >= longest) break;
            const auto j = static_cast<Index>(place_[other]);
            if (turn_between(i, j) || turn_between(i - 1, j - 1)) return true;
            for (Index length = 1; length <= 3; ++length)
                for (Index first = i - length + 1; first <= i; first += std::max<Index>(1, length - 1))
                    if (carry(first, length, j) || carry(first, length, j - 1)) return true;
        }
        return false;
    }

    /// 2-opt: the stretch after place i up to place j (or the other way round) is gone backwards.
    bool turn_between(Index i, Index j) {
        if (i > j) std::swap(i, j);
        if (i < -1 || j <= i || j > last() || j - i > longest_) return false;
        const double before = link(i) + link(j);
        const double after = geometry::distance(exit_at(i), exit_at(j)) +
                             (j == last() ? 0 : geometry::distance(entry_at(i + 1), entry_at(j + 1)));
        if (before - after <= least_gain || !may_turn(i + 1, j)) return false;
        reverse(i + 1, j);
        gained(before - after);
        look_round(i);
        look_round(j);
        return true;
    }

    /// Or-opt: the stretch of `length` from `first` goes between `after` and what comes next, either way round.
    bool carry(Index first, Index length, Index after) {
        const Index end = first + length - 1;
        if (first < 0 || end > last() || (after >= first - 1 && after <= end) || after < -1 || after > last())
            return false;
        if (std::abs(after - first) > longest_) return false;
        const double bridge = end == last() ? 0 : geometry::distance(exit_at(first - 1), entry_at(end + 1));
        const double taken = link(first - 1) + link(end) - bridge;
        if (taken <= least_gain) return false;
        const Point head = exit_at(after);
        const bool at_end = after == last();
        const Point tail = at_end ? head : entry_at(after + 1);
        const double opened = link(after);
        const auto to = [&](Point p) { return at_end ? 0 : geometry::distance(p, tail); };
        const double onward = geometry::distance(head, entry_at(first)) + to(exit_at(end));
        const double turned = geometry::distance(head, exit_at(end)) + to(entry_at(first));
        const bool turn = turned < onward - least_gain && may_turn(first, end);
        const double gain = taken + opened - (turn ? turned : onward);
        if (gain <= least_gain || !may_carry(first, end, after)) return false;
        if (turn) reverse(first, end);
        if (after > end)
            swap_neighbours(first, end, after);
        else
            swap_neighbours(after + 1, first - 1, end);
        gained(gain);
        const Index now = after > end ? after - length + 1 : after + 1;
        look_round(first);
        look_round(end);
        look_round(now);
        look_round(now + length - 1);
        return true;
    }

    /// A B C D → A C B D with short B and C.
    bool double_bridge() {
        constexpr std::size_t longest = 30;
        const std::size_t most = std::min(longest, size_ / 3);
        const auto first = static_cast<Index>(random() % (size_ - 2));
        const auto middle = first + static_cast<Index>(random() % most);
        const auto end = middle + 1 + static_cast<Index>(random() % most);
        if (end > last()) return false;
        for (Index i = first; any_order_ && i <= middle; ++i) {
            const std::size_t parent = stops_[way_[static_cast<std::size_t>(i)]].after_all_of;
            if (parent == Stop::none) continue;
            const auto at = static_cast<Index>(place_[parent]);
            if (at > middle && at <= end) return false;
        }
        const double before = link(first - 1) + link(middle) + link(end);
        swap_neighbours(first, middle, end);
        const Index joint = first + (end - middle) - 1;
        gained(before - link(first - 1) - link(joint) - link(end));
        look_round(first);
        look_round(joint);
        look_round(joint + 1);
        look_round(end);
        return true;
    }

    // ------------------------------------------------------------ what is allowed

    /// No stop of the stretch waits for another of it, and none must be gone through one way.
    bool may_turn(Index first, Index end) const {
        if (!any_order_ && !any_fixed_) return true;
        for (Index i = first; i <= end; ++i) {
            const Stop& stop = stops_[way_[static_cast<std::size_t>(i)]];
            if (stop.fixed && stop.through) return false;
            if (stop.after_all_of == Stop::none) continue;
            const auto parent = static_cast<Index>(place_[stop.after_all_of]);
            if (parent >= first && parent <= end) return false;
        }
        return true;
    }

    bool may_carry(Index first, Index end, Index after) const {
        if (!any_order_) return true;
        for (Index i = first; i <= end; ++i) {
            const std::size_t stop = way_[static_cast<std::size_t>(i)];
            if (after > end) {
                const std::size_t parent = stops_[stop].after_all_of;
                const auto at = parent == Stop::none ? last() + 1 : static_cast<Index>(place_[parent]);
                if (at > end && at <= after) return false;
            } else {
                for (const std::size_t child : children_[stop])
                    if (const auto at = static_cast<Index>(place_[child]); at > after && at < first) return false;
            }
        }
        return true;
    }

    // ------------------------------------------------------------ changes

    void reverse(Index first, Index end) {
        done_.emplace_back(first, end);
        turn_round(first, end);
    }
    void turn_round(Index first, Index end) {
        std::reverse(way_.begin() + first, way_.begin() + end + 1);
        // Gone backwards, every stop is entered where it was left.
        std::reverse(in_.begin() + first, in_.begin() + end + 1);
        std::reverse(out_.begin() + first, out_.begin() + end + 1);
        std::swap_ranges(in_.begin() + first, in_.begin() + end + 1, out_.begin() + first);
        for (Index i = first; i <= end; ++i) {
            const std::size_t stop = way_[static_cast<std::size_t>(i)];
            place_[stop] = static_cast<std::size_t>(i);
            if (stops_[stop].through) door_[stop] = 1 - door_[stop];
        }
    }
    /// Stretches first…middle and middle+1…end change places.
    void swap_neighbours(Index first, Index middle, Index end) {
        reverse(first, middle);
        reverse(middle + 1, end);
        reverse(first, end);
    }
    void gained(double by) { gain_ += by; }
    void take_back() {
        for (std::size_t i = done_.size(); i-- > 0;)
            turn_round(done_[i].first, done_[i].second);
    }

    /// xorshift64* (S. Vigna, 2016).
    std::uint64_t random() {
        seed_ ^= seed_ >> 12;
        seed_ ^= seed_ << 25;
        seed_ ^= seed_ >> 27;
        return seed_ * 0x2545F4914F6CDD1DULL >> 16;
    }

    const std::vector<Stop>& stops_;
    Point from_;
    std::size_t size_;
    std::vector<std::size_t> way_, place_, door_;
    std::vector<Point> in_,
        out_;  ///< doors by place on the way, side by side in memory: they are what is looked at most
    std::vector<std::vector<std::size_t>> children_;
    std::vector<std::vector<std::pair<double, std::size_t>>> neighbours_;  ///< nearest first, with how far
    std::vector<std::size_t> queue_;
    std::vector<char> queued_;
    std::vector<std::pair<Index, Index>> done_;
    double gain_ = 0;
    Index longest_ = 0;  ///< no move turns a longer stretch
    bool any_order_ = false, any_fixed_ = false;
    std::uint64_t seed_ = 0x9E3779B97F4A7C15ULL;
};

}  // namespace

/// Each stop waits for the one before it: there is one order only.
static bool forced(const std::vector<Stop>& stops, const std::vector<Visit>& visits) {
    for (std::size_t i = 1; i < visits.size(); ++i)
        if (stops[visits[i - 1].stop].after_all_of != visits[i].stop) return false;
    return true;
}

std::vector<Visit> short_tour(const std::vector<Stop>& stops, Point from, const Watch& watch) {
    std::vector<Visit> visits = NearestNext(stops).order(from, watch);
    if (forced(stops, visits)) {
        choose_doors(stops, from, visits);
        return visits;
    }
    const auto count = [&](auto which) {
        return static_cast<std::size_t>(std::count_if(stops.begin(), stops.end(), which));
    };
    const auto one_way = [](const Stop& stop) { return stop.through && stop.fixed; };
    const std::size_t copies = count([](const Stop& stop) { return stop.copy; });
    const std::size_t own = count([&](const Stop& stop) { return !stop.copy && !one_way(stop); });
    // Copies that are all gone through one way lie in rows, which the nearest next goes along well enough.
    if (copies > 3 * (stops.size() - copies) && count(one_way) == stops.size()) return visits;
    // A few thousand stops are shaken often; of more, each gets a try or two. On copies shaking gains nothing, and
    // where stops are gone through one way it finds little.
    const std::size_t least = 2 * own < stops.size() ? 60 : 400;
    const std::size_t tries = std::clamp<std::size_t>(own * 5, least, std::max<std::size_t>(15000, own));
    constexpr int rounds = 2;
    for (int round = 0; round < rounds && !watch.cancelled(); ++round) {
        choose_doors(stops, from, visits);
        Improver improver(stops, from, visits);
        improver.improve(watch);
        improver.shake(tries / rounds, watch);
        visits = improver.visits();
    }
    choose_doors(stops, from, visits);
    return visits;
}

}  // namespace chalkline::planning
