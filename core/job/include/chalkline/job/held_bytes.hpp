// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/job/job.hpp>

#include <cstddef>
#include <unordered_set>

namespace chalkline::job {

/// About how many bytes jobs hold together: what they share counts once. Any thread.
class HeldBytes {
 public:
    /// What a job adds to those counted before.
    std::size_t add(const Job& job);

 private:
    template <class T>
    bool first(const std::shared_ptr<const T>& held) {
        return held && seen_.insert(held.get()).second;
    }
    std::size_t of(const art::Artwork& art);
    std::unordered_set<const void*> seen_;
};

}  // namespace chalkline::job
