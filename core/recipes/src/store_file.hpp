// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/recipes/recipe.hpp>

#include <SQLiteCpp/Backup.h>
#include <SQLiteCpp/SQLiteCpp.h>
#include <sqlite3.h>

#include <memory>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::recipes {

/// The open database with its tables up to date.
struct StoreFile {
    std::unique_ptr<SQLite::Database> db;
    std::vector<Notice> notices;
    bool fresh = false;

    /// The next number nothing ever had. REQUIRES: inside a transaction.
    RecipeId next_number();
};

/// Of a recipe's JSON, 16 hexadecimal figures.
std::string checksum_of(std::string_view body);

/// Opens, checks, mends and backs up the file, as Store::open says. Throws SQLite::Exception on what is left.
Result<StoreFile> open_store_file(const std::string& path, const std::string& today);

}  // namespace chalkline::recipes
