// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/file.hpp>
#include <chalkline/surroundings/surroundings.hpp>

#include <filesystem>

namespace chalkline {
namespace {

namespace fs = std::filesystem;

/// True when `file`, links resolved, lies in `folder` or below it.
bool lies_in(const fs::path& file, const fs::path& folder) {
    std::error_code problem;
    const fs::path real = fs::canonical(file, problem), root = fs::canonical(folder, problem);
    if (problem) return false;
    const auto [end, ignored] = std::mismatch(root.begin(), root.end(), real.begin(), real.end());
    return end == root.end();
}

Result<std::string> read_beside(const fs::path& folder, std::string reference) {
    if (reference.starts_with("file://")) reference.erase(0, 7);
    if (reference.find("://") != std::string::npos) return fail(error::file_missing, {}, reference);
    for (const fs::path& candidate : {folder / reference, folder / fs::path(reference).filename()})
        if (!candidate.filename().empty() && lies_in(candidate, folder)) return read_file(candidate.string());
    return fail(error::file_missing, {}, reference);
}

}  // namespace

art::Outside Surroundings::of_file(const std::string& path) const {
    fs::path folder = fs::path(path).parent_path();
    if (folder.empty()) folder = ".";
    return {&pictures_, &fonts_,
            [folder = std::move(folder)](const std::string& reference) { return read_beside(folder, reference); },
            &renderer_};
}

}  // namespace chalkline
