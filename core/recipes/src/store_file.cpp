// SPDX-License-Identifier: GPL-3.0-or-later
#include "store_file.hpp"

#include <chalkline/base/checksum.hpp>
#include <chalkline/recipes/exchange.hpp>
#include <chalkline/recipes/store.hpp>

#include <unistd.h>

#include <algorithm>
#include <cstdio>
#include <filesystem>
#include <map>

namespace chalkline::recipes {
namespace {

namespace fs = std::filesystem;
using SQLite::Database;
using SQLite::Statement;

constexpr int schema_version = 3;
constexpr int busy_wait = 2000;  // ms another Chalkline may hold the file
constexpr std::size_t backups_kept = 14;

constexpr const char* schema = R"(
CREATE TABLE recipe  (id INTEGER PRIMARY KEY, revision INTEGER NOT NULL, locked INTEGER NOT NULL, body TEXT NOT NULL,
                      sum TEXT NOT NULL DEFAULT '');
CREATE TABLE history (id INTEGER PRIMARY KEY, recipe INTEGER NOT NULL, at TEXT NOT NULL, what TEXT NOT NULL, body TEXT NOT NULL);
CREATE INDEX history_of ON history (recipe);
CREATE TABLE routine (name TEXT PRIMARY KEY, body TEXT NOT NULL, first INTEGER NOT NULL);
CREATE TABLE care    (machine TEXT NOT NULL, kind INTEGER NOT NULL, date TEXT NOT NULL);
CREATE TABLE keeper  (word TEXT NOT NULL, ceiling REAL);
CREATE TABLE counter (last INTEGER NOT NULL);
INSERT INTO counter VALUES (0);
CREATE TABLE card    (code TEXT PRIMARY KEY, body TEXT NOT NULL);
PRAGMA user_version = 3;
)";
/// Version 1 knew no swatch cards, version 2 no checksum of a recipe.
constexpr const char* to_version_2 = "CREATE TABLE card (code TEXT PRIMARY KEY, body TEXT NOT NULL);";
constexpr const char* to_version_3 = "ALTER TABLE recipe ADD COLUMN sum TEXT NOT NULL DEFAULT '';";

bool says_damaged(const SQLite::Exception& problem) {
    return problem.getErrorCode() == SQLITE_CORRUPT || problem.getErrorCode() == SQLITE_NOTADB;
}

/// False only when the file itself is damaged; a file that is busy or unreadable throws.
bool is_whole(Database& db) {
    try {
        return db.execAndGet("PRAGMA quick_check(1)").getString() == "ok";
    } catch (const SQLite::Exception& problem) {
        if (says_damaged(problem)) return false;
        throw;
    }
}

void use_log(Database& db) {
    try {
        db.exec("PRAGMA journal_mode = WAL");
    } catch (const SQLite::Exception& problem) {
        // Another Chalkline is just doing the same.
        if (problem.getErrorCode() != SQLITE_BUSY) throw;
    }
    db.exec("PRAGMA synchronous = FULL");
}

std::unique_ptr<Database> open_to_write(const std::string& path) {
    auto db = std::make_unique<Database>(path, SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE, busy_wait);
    return db;
}

bool writable(Database& db) {
    return sqlite3_db_readonly(db.getHandle(), "main") == 0;
}

/// Recipes of a damaged file, as many as can still be read.
std::map<RecipeId, std::pair<int, std::string>> salvage(const std::string& path) {
    std::map<RecipeId, std::pair<int, std::string>> found;
    try {
        Database db(path, SQLite::OPEN_READONLY);
        Statement row(db, "SELECT id, revision, body FROM recipe");
        while (row.executeStep()) {
            const std::string body = row.getColumn(2).getString();
            if (recipe_from_json(body)) found[row.getColumn(0).getInt64()] = {row.getColumn(1).getInt(), body};
        }
    } catch (const SQLite::Exception&) {
        // What came before the fault is kept.
    }
    return found;
}

/// Backups of the file, newest first.
std::vector<fs::path> backups_of(const fs::path& file) {
    std::vector<fs::path> found;
    std::error_code ignored;
    for (const auto& entry : fs::directory_iterator(file.parent_path() / "backups", ignored))
        if (entry.path().extension() == ".db") found.push_back(entry.path());
    std::sort(found.begin(), found.end(), std::greater<>());
    return found;
}

/// "recipes-2026-11-23.db" → "2026-11-23"
std::string date_of(const fs::path& backup) {
    const std::string stem = backup.stem().string();
    return stem.size() > 10 ? stem.substr(stem.size() - 10) : stem;
}

void copy_database(Database& from, const fs::path& to) {
    std::error_code ignored;
    const fs::path half = to.string() + ".half";
    fs::remove(half, ignored);
    {
        Database copy(half.string(), SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
        SQLite::Backup backup(copy, from);
        backup.executeStep();
    }
    fs::rename(half, to, ignored);
}

/// One backup a day of a file that is whole; the oldest go. Failing is no reason not to work.
void back_up(Database& db, const fs::path& file, const std::string& today) {
    try {
        const fs::path folder = file.parent_path() / "backups";
        std::error_code problem;
        fs::create_directories(folder, problem);
        const fs::path backup = folder / (file.stem().string() + "-" + today + ".db");
        if (!problem && !fs::exists(backup)) copy_database(db, backup);
        const auto all = backups_of(file);
        for (std::size_t i = backups_kept; i < all.size(); ++i)
            fs::remove(all[i], problem);
    } catch (const SQLite::Exception&) {
        // A full disk shows itself at the next change.
    }
}

bool has_column(Database& db, const std::string& table, const std::string& column) {
    Statement row(db, "SELECT 1 FROM pragma_table_info(?) WHERE name = ?");
    row.bind(1, table);
    row.bind(2, column);
    return row.executeStep();
}

/// Puts the damaged file aside and a whole one in its place; what the damaged one still tells is taken over.
std::unique_ptr<Database> mend(const fs::path& file, const std::string& today, std::vector<Notice>& notices) {
    const auto saved = salvage(file.string());
    std::error_code ignored;
    const fs::path aside = file.string() + ".damaged-" + today;
    fs::rename(file, aside, ignored);
    for (const char* part : {"-wal", "-shm"})
        fs::rename(file.string() + part, aside.string() + part, ignored);
    std::string date;
    for (const fs::path& backup : backups_of(file)) {
        Database db(backup.string(), SQLite::OPEN_READONLY);
        if (!is_whole(db)) continue;
        copy_database(db, file);
        date = date_of(backup);
        break;
    }
    auto db = open_to_write(file.string());
    if (date.empty()) db->exec(std::string("BEGIN;") + schema + "COMMIT");
    int taken = 0;
    for (const auto& [id, kept] : saved) {
        Statement row(*db,
                      "INSERT INTO recipe (id, revision, locked, body) VALUES (?, ?, 0, ?) "
                      "ON CONFLICT (id) DO UPDATE SET revision = excluded.revision, body = excluded.body "
                      "WHERE excluded.revision > revision");
        row.bind(1, id);
        row.bind(2, kept.first);
        row.bind(3, kept.second);
        const int changed = row.exec();
        taken += changed;
        if (changed == 0 || !has_column(*db, "recipe", "sum")) continue;
        Statement unsummed(*db, "UPDATE recipe SET sum = '' WHERE id = ?");
        unsummed.bind(1, id);
        unsummed.exec();
    }
    db->exec("UPDATE counter SET last = max(last, (SELECT ifnull(max(id), 0) FROM recipe))");
    Parameters said{{"aside", aside.filename().string()}, {"date", date}, {"count", std::to_string(taken)}};
    notices.push_back({std::string(date.empty() ? notice::salvaged : notice::restored), std::move(said), 1, 0});
    return db;
}

/// For what an earlier version kept, or was salvaged, without one.
void add_checksums(Database& db) {
    std::vector<std::pair<RecipeId, std::string>> bodies;
    Statement row(db, "SELECT id, body FROM recipe WHERE sum = ''");
    while (row.executeStep())
        bodies.emplace_back(row.getColumn(0).getInt64(), row.getColumn(1).getString());
    for (const auto& [id, body] : bodies) {
        Statement change(db, "UPDATE recipe SET sum = ? WHERE id = ?");
        change.bind(1, checksum_of(body));
        change.bind(2, id);
        change.exec();
    }
}

/// Recipes that cannot be read are named; they stay where they are.
void name_unreadable(StoreFile& file) {
    Statement row(*file.db, "SELECT id, body, sum FROM recipe ORDER BY id");
    while (row.executeStep()) {
        const std::string body = row.getColumn(1).getString(), sum = row.getColumn(2).getString();
        if (recipe_from_json(body) && (sum.empty() || sum == checksum_of(body))) continue;
        file.notices.push_back(
            {std::string(notice::unreadable),
             {{"number", std::to_string(row.getColumn(0).getInt64())}, {"begins", body.substr(0, 60)}},
             1,
             0});
    }
}

/// Brings the tables up to date; true when they were made now.
Result<bool> migrate(Database& db) {
    const auto version = [&] { return db.execAndGet("PRAGMA user_version").getInt(); };
    if (version() > schema_version) return fail(error::newer_store);
    if (version() == schema_version) return false;
    // Two Chalklines may come here at once: the second one finds the work done.
    SQLite::Transaction act(db, SQLite::TransactionBehavior::IMMEDIATE);
    const int before = version();
    if (before == schema_version) return false;
    if (before == 0) {
        db.exec(schema);
    } else {
        if (before < 2) db.exec(to_version_2);
        if (!has_column(db, "recipe", "sum")) db.exec(to_version_3);
        db.exec("PRAGMA user_version = 3");
    }
    act.commit();
    return before == 0;
}

/// For a file in a place where nothing can be written: as it stands, or empty and for this run only.
StoreFile without_writing(const std::string& path) {
    std::error_code ignored;
    if (fs::exists(path, ignored)) {
        try {
            StoreFile shown;
            shown.db =
                std::make_unique<Database>("file:" + path + "?immutable=1", SQLite::OPEN_READONLY | SQLite::OPEN_URI);
            shown.db->execAndGet("SELECT count(*) FROM recipe");
            shown.notices.push_back({std::string(notice::read_only), {{"path", path}}, 1, 0});
            return shown;
        } catch (const SQLite::Exception&) {
            // Not even readable.
        }
    }
    StoreFile kept;
    kept.db = std::make_unique<Database>(":memory:", SQLite::OPEN_READWRITE);
    kept.db->exec(schema);
    kept.notices.push_back({std::string(notice::in_memory), {{"path", path}}, 1, 0});
    kept.fresh = true;
    return kept;
}

}  // namespace

std::string checksum_of(std::string_view body) {
    char text[17];
    std::snprintf(text, sizeof text, "%016llx", static_cast<unsigned long long>(checksum(body)));
    return text;
}

RecipeId StoreFile::next_number() {
    db->exec("UPDATE counter SET last = last + 1");
    return db->execAndGet("SELECT last FROM counter").getInt64();
}

Result<StoreFile> open_store_file(const std::string& path, const std::string& today) {
    std::error_code ignored;
    if (const fs::path folder = fs::path(path).parent_path(); !folder.empty()) fs::create_directories(folder, ignored);
    StoreFile file;
    bool whole = false;
    try {
        file.db = open_to_write(path);
        if (!writable(*file.db)) return without_writing(path);
        whole = is_whole(*file.db);
    } catch (const SQLite::Exception& problem) {
        const int code = problem.getErrorCode();
        if (code != SQLITE_CANTOPEN && code != SQLITE_READONLY && code != SQLITE_PERM) throw;
        return without_writing(path);
    }
    if (!whole) {
        file.db.reset();
        file.db = mend(path, today, file.notices);
    }
    use_log(*file.db);
    const auto fresh = migrate(*file.db);
    if (!fresh) return fail(fresh.error().code, {}, path);
    file.fresh = *fresh;
    add_checksums(*file.db);
    name_unreadable(file);
    back_up(*file.db, path, today);
    return file;
}

}  // namespace chalkline::recipes
