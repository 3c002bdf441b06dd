// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/file.hpp>

#include <catch2/catch.hpp>
#include <unistd.h>

#include <filesystem>

using namespace chalkline;
namespace fs = std::filesystem;

namespace {

struct Folder {
    fs::path path = fs::temp_directory_path() / ("chalkline-file-test-" + std::to_string(::getpid()));
    Folder() { fs::create_directories(path); }
    ~Folder() {
        fs::permissions(path, fs::perms::owner_all);
        fs::remove_all(path);
    }
    std::string operator/(const char* name) const { return (path / name).string(); }
};

}  // namespace

TEST_CASE("a file is replaced whole and read back") {
    const Folder folder;
    REQUIRE(replace_file(folder / "job", "first"));
    REQUIRE(replace_file(folder / "job", std::string("sec\0nd", 6)));
    CHECK(read_file(folder / "job").value() == std::string("sec\0nd", 6));
    // Nothing is left beside it.
    CHECK(std::distance(fs::directory_iterator(folder.path), {}) == 1);
}

TEST_CASE("replacing keeps the rights of the file and follows a link") {
    const Folder folder;
    REQUIRE(replace_file(folder / "job", "old"));
    fs::permissions(folder / "job", fs::perms::owner_read | fs::perms::owner_write);
    fs::create_symlink(folder / "job", folder / "link");
    REQUIRE(replace_file(folder / "link", "new"));
    CHECK(fs::is_symlink(folder / "link"));
    CHECK(read_file(folder / "job").value() == "new");
    CHECK((fs::status(folder / "job").permissions() & fs::perms::group_read) == fs::perms::none);
}

TEST_CASE("what cannot be read says why") {
    const Folder folder;
    CHECK(read_file(folder / "missing").error().code == error::file_missing);
    CHECK(read_file(folder.path.string()).error().code == error::file_is_folder);
    CHECK(read_file("/dev/null").error().code == error::file_unreadable);
    CHECK(read_file(folder / "missing").error().file == folder / "missing");
}

TEST_CASE("a folder that is gone leaves the old file alone") {
    const Folder folder;
    CHECK(replace_file(folder / "nowhere/job", "x").error().code == error::file_missing);
    CHECK(replace_file(folder.path.string(), "x").error().code == error::file_is_folder);
}

TEST_CASE("a place that takes no files is refused") {
    CHECK_FALSE(replace_file("/proc/self/nothing", "x"));
}
