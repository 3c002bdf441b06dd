// SPDX-License-Identifier: GPL-3.0-or-later
// The store as its users meet it: two at once, killed, damaged, on a full or a read-only disk.
#include <chalkline/base/file.hpp>
#include <chalkline/recipes/library.hpp>
#include <chalkline/recipes/store.hpp>

#include <catch2/catch.hpp>
#include <sys/resource.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

#include <csignal>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <functional>

using namespace chalkline;
using namespace chalkline::recipes;
namespace fs = std::filesystem;

namespace {

constexpr const char* today = "2026-11-23";
constexpr const char* now = "2026-11-23T19:02:11";

/// A folder of its own, removed at the end.
struct Place {
    std::string folder;
    Place() {
        char name[] = "/tmp/chalkline-store-XXXXXX";
        folder = ::mkdtemp(name);
    }
    ~Place() { fs::remove_all(folder); }
    std::string file() const { return folder + "/recipes.db"; }
    Store open(const char* date = today) const { return Store::open(file(), date).value(); }
};

Recipe sample(const std::string& note = {}) {
    Recipe recipe = starting_points({"Bench laser", {}}).front();
    recipe.note = note;
    return recipe;
}

/// Works on the file behind the store's back, as a faulty disk or another program does. What a query gives, if
/// anything.
std::string sql(const Place& place, const std::string& text) {
    const std::string command =
        "python3 -c \"import sqlite3, sys; file = sqlite3.connect(sys.argv[1]); "
        "print(*[row[0] for row in file.execute(sys.argv[2])], end=''); file.commit()\" '" +
        place.file() + "' \"" + text + "\"";
    FILE* pipe = ::popen(command.c_str(), "r");
    char answer[64] = {};
    const std::size_t count = std::fread(answer, 1, sizeof answer - 1, pipe);
    REQUIRE(::pclose(pipe) == 0);
    return std::string(answer, count);
}

/// Begins `work` in a process of its own.
pid_t child_of(const std::function<int()>& work) {
    const pid_t child = ::fork();
    if (child == 0) ::_exit(work());
    return child;
}

/// What it returned, or −signal.
int end_of(pid_t child) {
    int status = 0;
    ::waitpid(child, &status, 0);
    return WIFEXITED(status) ? WEXITSTATUS(status) : -WTERMSIG(status);
}

int in_child(const std::function<int()>& work) {
    return end_of(child_of(work));
}

}  // namespace

TEST_CASE("recipes stay, with their history, and a removed one comes back as it was") {
    const Place place;
    Recipe kept;
    {
        Store store = place.open();
        CHECK(store.fresh());
        kept = store.put(sample("first"), now).value();
        CHECK(kept.id > 0);
        kept.note = "second";
        kept = store.put(kept, now).value();
    }
    Store store = place.open();
    CHECK_FALSE(store.fresh());
    CHECK(store.notices().empty());
    REQUIRE(store.recipes().value() == std::vector{kept});
    REQUIRE(store.remove(kept, now));
    CHECK(store.recipes()->empty());
    CHECK(store.put(kept, now)->id == kept.id);
    CHECK(store.recipes()->at(0).note == "second");
    const auto past = store.history(kept.id).value();
    REQUIRE(past.size() == 4);
    CHECK(past[0].what == "made");
    CHECK(past[1].what == "removed");
    CHECK(past[2].recipe.note == "second");
    CHECK(past[3].recipe.note == "first");
    // A number is never used twice.
    REQUIRE(store.remove(store.recipes()->at(0), now));
    CHECK(store.put(sample(), now)->id > kept.id);
}

TEST_CASE("two Chalklines see each other's changes and never write over them") {
    const Place place;
    Store one = place.open(), two = place.open();
    const Recipe first = one.put(sample("one"), now).value();
    const int before = two.outside_changes();
    Recipe mine = two.recipes()->at(0), theirs = mine;
    mine.note = "mine";
    REQUIRE(one.put(mine, now));
    CHECK(two.outside_changes() != before);
    theirs.note = "theirs";
    CHECK(two.put(theirs, now).error().code == recipes::error::changed_elsewhere);
    CHECK(two.remove(theirs, now).error().code == recipes::error::changed_elsewhere);
    CHECK(two.recipes()->at(0).note == "mine");
}

TEST_CASE("two writers at full speed lose nothing") {
    const Place place;
    place.open();
    constexpr int each = 60;
    // Both from one thread: a child that is made while another thread allocates may never wake.
    const auto begin = [&](const char* note) {
        return child_of([&] {
            Store store = place.open();
            for (int i = 0; i < each; ++i)
                if (!store.put(sample(note), now)) return 1;
            return 0;
        });
    };
    const pid_t first = begin("a"), second = begin("b");
    CHECK(end_of(first) == 0);
    CHECK(end_of(second) == 0);
    CHECK(place.open().recipes()->size() == 2 * each);
}

TEST_CASE("whenever the writer is killed, every recipe it was told is kept is there, whole") {
    const Place place;
    place.open();
    for (int round = 0; round < 12; ++round) {
        int told[2];
        REQUIRE(::pipe(told) == 0);
        const pid_t child = ::fork();
        if (child == 0) {
            Store store = place.open();
            for (;;)
                if (const auto kept = store.put(sample("round"), now))
                    if (::write(told[1], &kept->id, sizeof kept->id) < 0) ::_exit(1);
        }
        ::close(told[1]);
        ::usleep(static_cast<useconds_t>(3000 * (round + 1)));
        ::kill(child, SIGKILL);
        ::waitpid(child, nullptr, 0);
        RecipeId last = 0, one = 0;
        while (::read(told[0], &one, sizeof one) == sizeof one)
            last = one;
        ::close(told[0]);
        Store store = place.open();
        CHECK(store.notices().empty());
        const auto all = store.recipes().value();
        CHECK((last == 0 || (!all.empty() && all.back().id >= last)));
    }
}

TEST_CASE("a full disk is said, and what was there stays") {
    const Place place;
    const Recipe kept = place.open().put(sample("before"), now).value();
    const int outcome = in_child([&] {
        ::signal(SIGXFSZ, SIG_IGN);
        Store store = place.open();
        // Files of this process cannot grow past this from now on.
        const rlimit limit{160 << 10, 160 << 10};
        ::setrlimit(RLIMIT_FSIZE, &limit);
        for (int i = 0; i < 2000; ++i) {
            const auto done = store.put(sample(std::string(1500, 'x')), now);
            if (!done)
                return done.error().code == recipes::error::store_full ||
                               done.error().code == recipes::error::store_failed
                           ? 0
                           : 2;
        }
        return 1;
    });
    CHECK(outcome == 0);
    Store store = place.open();
    CHECK(store.notices().empty());
    CHECK(store.recipes()->front() == kept);
    CHECK(store.put(sample("after"), now));
}

TEST_CASE("a home where nothing can be written shows what is there, or keeps it for the moment, and says so") {
    const Place place;
    const Recipe kept = place.open().put(sample("before"), now).value();
    REQUIRE(::chmod(place.file().c_str(), 0444) == 0);
    REQUIRE(::chmod(place.folder.c_str(), 0555) == 0);
    const auto as_somebody = [&](const std::function<int()>& work) {
        return in_child([&] {
            // The superuser may write anywhere: be somebody else.
            if (::geteuid() == 0 && ::setuid(65534) != 0) return 9;
            return work();
        });
    };
    CHECK(as_somebody([&] {
              auto store = Store::open(place.file(), today);
              if (!store || store->notices().empty() || store->notices()[0].code != notice::read_only) return 1;
              if (store->recipes().value() != std::vector{kept}) return 2;
              return store->put(sample(), now).error().code == recipes::error::store_read_only ? 0 : 3;
          }) == 0);
    CHECK(as_somebody([&] {
              auto store = Store::open(place.folder + "/deeper/recipes.db", today);
              if (!store || store->notices().empty() || store->notices()[0].code != notice::in_memory) return 1;
              return store->put(sample(), now) && store->recipes()->size() == 1 ? 0 : 2;
          }) == 0);
    ::chmod(place.folder.c_str(), 0755);
}

TEST_CASE("a damaged file is put aside, the newest good backup taken, and what can be read added") {
    const Place place;
    Recipe old;
    {
        Store store = place.open("2026-11-21");
        old = store.put(sample("old"), now).value();
    }
    place.open("2026-11-22").put(sample("newer"), now).value();
    // The backup of the 22nd holds what was there when that day began.
    REQUIRE(fs::exists(place.folder + "/backups/recipes-2026-11-22.db"));
    SECTION("garbage") {
        REQUIRE(replace_file(place.file(), std::string(9000, 'z')));
        Store store = place.open();
        REQUIRE(store.notices().size() == 1);
        CHECK(store.notices()[0].code == notice::restored);
        CHECK(store.recipes().value() == std::vector{old});
        CHECK(fs::exists(place.file() + ".damaged-2026-11-23"));
        CHECK(store.put(sample(), now)->id > old.id);
    }
    SECTION("a backup that is damaged too is passed over") {
        REQUIRE(replace_file(place.file(), std::string(9000, 'z')));
        REQUIRE(replace_file(place.folder + "/backups/recipes-2026-11-22.db", "no database"));
        const Store store = place.open();
        CHECK(store.notices()[0].code == notice::restored);
        CHECK(store.notices()[0].parameters[1].second == "2026-11-21");
    }
    SECTION("no backup") {
        fs::remove_all(place.folder + "/backups");
        std::string bytes = read_file(place.file()).value();
        // The page of the routines' index: recipes can still be read.
        bytes.replace(100, 8, 8, '\0');
        REQUIRE(replace_file(place.file(), bytes));
        Store store = place.open();
        CHECK(store.notices()[0].code == notice::salvaged);
        CHECK(store.put(sample(), now));
    }
}

TEST_CASE("a recipe that is not what was written is named, stays in the file, and is not shown as if it were good") {
    const Place place;
    const Recipe good = place.open().put(sample("good"), now).value();
    const Recipe spoilt = place.open().put(sample("spoilt"), now).value();
    const Recipe broken = place.open().put(sample("broken"), now).value();
    // One figure is another one, and one text is no JSON any more.
    sql(place, "UPDATE recipe SET body = replace(body, 'spoilt', 'spoi1t') WHERE id = " + std::to_string(spoilt.id));
    sql(place, "UPDATE recipe SET body = '{' || substr(body, 9) WHERE id = " + std::to_string(broken.id));
    {
        Store store = place.open();
        REQUIRE(store.notices().size() == 2);
        for (const auto& [notice, id] : {std::pair{store.notices()[0], spoilt.id}, {store.notices()[1], broken.id}}) {
            CHECK(notice.code == notice::unreadable);
            CHECK(notice.parameters[0].second == std::to_string(id));
        }
        CHECK(store.recipes().value() == std::vector{good});
        // Put again with its number, what stood there is kept in the history of the file.
        Recipe again = spoilt;
        CHECK(store.put(again, now));
        CHECK(store.recipes()->size() == 2);
    }
    CHECK(sql(place, "SELECT count(*) FROM history WHERE what = 'unreadable' AND body LIKE '%spoi1t%'") == "1");
    CHECK(place.open().notices().size() == 1);  // the broken one is still there
}

TEST_CASE("recipes of the version before get their checksums, and are what they were") {
    const Place place;
    const Recipe kept = place.open().put(sample("old"), now).value();
    sql(place, "ALTER TABLE recipe DROP COLUMN sum");
    sql(place, "PRAGMA user_version = 2");
    {
        const Store store = place.open();
        CHECK(store.notices().empty());
        CHECK(store.recipes().value() == std::vector{kept});
    }
    sql(place, "UPDATE recipe SET body = replace(body, 'old', 'o1d')");
    CHECK(place.open().notices().size() == 1);
}

TEST_CASE("a file of a newer Chalkline is left alone") {
    const Place place;
    place.open();
    std::string bytes = read_file(place.file()).value();
    bytes[63] = 9;  // user_version, big endian at 60
    REQUIRE(replace_file(place.file(), bytes));
    fs::remove(place.file() + "-wal");
    const auto opened = Store::open(place.file(), today);
    REQUIRE_FALSE(opened);
    CHECK(opened.error().code == recipes::error::newer_store);
    CHECK(read_file(place.file()).value() == bytes);
}

TEST_CASE("one backup a day, and the oldest go") {
    const Place place;
    for (int day = 1; day <= 20; ++day) {
        const std::string date = "2026-10-" + std::string(day < 10 ? "0" : "") + std::to_string(day);
        place.open(date.c_str());
        place.open(date.c_str());
    }
    int count = 0;
    for (const auto& entry : fs::directory_iterator(place.folder + "/backups"))
        count += entry.path().extension() == ".db" ? 1 : 0;
    CHECK(count == 14);
    CHECK_FALSE(fs::exists(place.folder + "/backups/recipes-2026-10-06.db"));
    CHECK(fs::exists(place.folder + "/backups/recipes-2026-10-07.db"));
}

TEST_CASE("what the keeper locked changes with the keeper's word alone") {
    const Place place;
    Store store = place.open();
    Recipe kept = store.put(sample(), now).value();
    REQUIRE(store.set_rules({true, Power::percent(80)}, "sawdust"));
    CHECK(store.rules()->ceiling == Power::percent(80));
    CHECK(store.set_locked(kept, true, "shavings", now).error().code == recipes::error::wrong_word);
    kept = store.set_locked(kept, true, "sawdust", now).value();
    CHECK(store.recipes()->at(0).locked);
    CHECK(store.put(kept, now).error().code == recipes::error::locked);
    CHECK(store.remove(kept, now).error().code == recipes::error::locked);
    CHECK(store.set_rules({false, {}}, "").error().code == recipes::error::wrong_word);
    CHECK(store.put(sample(), now));  // new ones are everybody's
    REQUIRE(store.set_rules({false, {}}, "sawdust"));
    CHECK_FALSE(store.recipes()->at(0).locked);
    CHECK_FALSE(store.rules()->locked);
}

TEST_CASE("routines and care are kept, and one routine at most comes first") {
    const Place place;
    Store store = place.open();
    REQUIRE(store.put_routine({"Plates", "{}", true}));
    REQUIRE(store.put_routine({"Tags", "{\"a\":1}", true}));
    CHECK(store.routines().value() == std::vector<StoredRoutine>{{"Plates", "{}", false}, {"Tags", "{\"a\":1}", true}});
    REQUIRE(store.remove_routine("Plates"));
    CHECK(store.routines()->size() == 1);
    const Care cleaned{"Bench laser", Care::Kind::lens_cleaned, today};
    REQUIRE(store.note_care(cleaned));
    CHECK(store.care().value() == std::vector{cleaned});
}

TEST_CASE("many are kept all or none") {
    const Place place;
    Store store = place.open();
    const Recipe kept = store.put(sample(), now).value();
    Recipe stale = kept;
    stale.revision = 0;
    CHECK_FALSE(store.put_all({sample(), sample(), stale}, now));
    CHECK(store.recipes()->size() == 1);
    CHECK(store.put_all({sample(), sample()}, now)->size() == 2);
    CHECK(store.recipes()->size() == 3);
}
