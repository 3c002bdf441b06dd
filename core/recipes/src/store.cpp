// SPDX-License-Identifier: GPL-3.0-or-later
#include "keeper_word.hpp"
#include "store_file.hpp"

#include <chalkline/base/units_text.hpp>
#include <chalkline/recipes/exchange.hpp>
#include <chalkline/recipes/store.hpp>

#include <type_traits>

namespace chalkline::recipes {
namespace {

using SQLite::Statement;
using SQLite::Transaction;

Error error_of(const SQLite::Exception& problem) {
    const auto plain = [](std::string_view code) { return Error{std::string(code), {}, {}, 0}; };
    switch (problem.getErrorCode()) {
        case SQLITE_FULL:
            return plain(error::store_full);
        case SQLITE_READONLY:
            return plain(error::store_read_only);
        case SQLITE_BUSY:
        case SQLITE_LOCKED:
            return plain(error::store_busy);
        default:
            return {std::string(error::store_failed), {{"reason", problem.what()}}, {}, 0};
    }
}

/// Runs `work` and turns what SQLite throws into an error.
template <class Work>
auto guarded(Work work) -> decltype(work()) {
    try {
        return work();
    } catch (const SQLite::Exception& problem) {
        return tl::unexpected(error_of(problem));
    }
}

/// A change that is made whole or not at all; nobody else writes meanwhile.
template <class Work>
auto as_one_act(SQLite::Database& file, Work work) -> decltype(work()) {
    return guarded([&] {
        Transaction act(file, SQLite::TransactionBehavior::IMMEDIATE);
        auto result = work();
        if (result) act.commit();
        return result;
    });
}

Result<Recipe> recipe_of(Statement& row) {
    // A file of an earlier version that cannot be written has no checksums.
    constexpr int sum_column = 4;
    const std::string body = row.getColumn("body").getString();
    const std::string sum = row.getColumnCount() > sum_column ? row.getColumn(sum_column).getString() : std::string();
    if (!sum.empty() && sum != checksum_of(body)) return fail(error::store_failed, {{"reason", "checksum"}});
    auto recipe = recipe_from_json(body);
    if (!recipe) return recipe;
    recipe->id = row.getColumn("id").getInt64();
    recipe->revision = row.getColumn("revision").getInt();
    recipe->locked = row.getColumn("locked").getInt() != 0;
    return recipe;
}

}  // namespace

struct Store::Inside {
    StoreFile file;

    SQLite::Database& db() { return *file.db; }

    /// The recipe as it stands now; nothing when it is gone.
    Result<std::optional<Recipe>> standing(RecipeId id) {
        Statement row(db(), "SELECT * FROM recipe WHERE id = ?");
        row.bind(1, id);
        if (!row.executeStep()) return std::optional<Recipe>();
        auto recipe = recipe_of(row);
        if (!recipe) return tl::unexpected(recipe.error());
        return std::optional(*recipe);
    }

    void note(const Recipe& recipe, const char* what, const std::string& now) {
        Statement row(db(), "INSERT INTO history (recipe, at, what, body) VALUES (?, ?, ?, ?)");
        row.bind(1, recipe.id);
        row.bind(2, now);
        row.bind(3, what);
        row.bind(4, to_json(recipe));
        row.exec();
    }

    Result<Recipe> put(Recipe recipe, const std::string& now) {
        if (recipe.id != 0) keep_unreadable(recipe.id, now);
        const auto before = recipe.id == 0 ? std::optional<Recipe>() : standing_or_none(recipe.id);
        if (before && before->revision != recipe.revision) return fail(error::changed_elsewhere);
        if (before && before->locked) return fail(error::locked);
        if (recipe.id == 0) recipe.id = file.next_number();
        recipe.revision = before ? before->revision + 1 : recipe.revision + 1;
        recipe.locked = false;
        Statement row(db(), "INSERT OR REPLACE INTO recipe (id, revision, locked, body, sum) VALUES (?, ?, 0, ?, ?)");
        const std::string body = to_json(recipe);
        row.bind(1, recipe.id);
        row.bind(2, recipe.revision);
        row.bind(3, body);
        row.bind(4, checksum_of(body));
        row.exec();
        note(recipe, before ? "changed" : "made", now);
        return recipe;
    }

    /// What cannot be read goes to the history as it stands before another one takes its number.
    void keep_unreadable(RecipeId id, const std::string& now) {
        Statement row(db(), "SELECT * FROM recipe WHERE id = ?");
        row.bind(1, id);
        if (!row.executeStep() || recipe_of(row)) return;
        Statement kept(db(), "INSERT INTO history (recipe, at, what, body) VALUES (?, ?, 'unreadable', ?)");
        kept.bind(1, id);
        kept.bind(2, now);
        kept.bind(3, row.getColumn("body").getString());
        kept.exec();
    }

    /// A recipe that cannot be read any more may be written over.
    std::optional<Recipe> standing_or_none(RecipeId id) { return standing(id).value_or(std::nullopt); }

    Result<KeeperRules> rules() {
        Statement row(db(), "SELECT ceiling FROM keeper");
        if (!row.executeStep()) return KeeperRules{};
        KeeperRules rules{true, {}};
        if (!row.getColumn(0).isNull()) rules.ceiling = Power::percent(row.getColumn(0).getDouble());
        return rules;
    }

    /// The word opens the lock, or there is none.
    bool opens(const std::string& word) {
        Statement row(db(), "SELECT word FROM keeper");
        return !row.executeStep() || fits_word(word, row.getColumn(0).getString());
    }
};

Store::Store(std::unique_ptr<Inside> inside) : inside_(std::move(inside)) {}
Store::Store(Store&&) noexcept = default;
Store& Store::operator=(Store&&) noexcept = default;
Store::~Store() = default;

Result<Store> Store::open(const std::string& path, const std::string& today) {
    return guarded([&]() -> Result<Store> {
        auto file = open_store_file(path, today);
        if (!file) return tl::unexpected(file.error());
        return Store(std::make_unique<Inside>(Inside{std::move(*file)}));
    });
}

const std::vector<Notice>& Store::notices() const {
    return inside_->file.notices;
}

bool Store::fresh() const {
    return inside_->file.fresh;
}

Result<std::vector<Recipe>> Store::recipes() const {
    return guarded([&]() -> Result<std::vector<Recipe>> {
        std::vector<Recipe> all;
        Statement row(inside_->db(), "SELECT * FROM recipe ORDER BY id");
        while (row.executeStep())
            if (auto recipe = recipe_of(row)) all.push_back(std::move(*recipe));
        return all;
    });
}

Result<Recipe> Store::put(Recipe recipe, const std::string& now) {
    return as_one_act(inside_->db(), [&] { return inside_->put(std::move(recipe), now); });
}

Result<std::vector<Recipe>> Store::put_all(std::vector<Recipe> recipes, const std::string& now) {
    return as_one_act(inside_->db(), [&]() -> Result<std::vector<Recipe>> {
        for (Recipe& recipe : recipes) {
            auto kept = inside_->put(std::move(recipe), now);
            if (!kept) return tl::unexpected(kept.error());
            recipe = std::move(*kept);
        }
        return std::move(recipes);
    });
}

Result<void> Store::remove(const Recipe& recipe, const std::string& now) {
    return as_one_act(inside_->db(), [&]() -> Result<void> {
        const auto standing = inside_->standing(recipe.id);
        if (!standing) return tl::unexpected(standing.error());
        if (!*standing) return {};
        if ((*standing)->revision != recipe.revision) return fail(error::changed_elsewhere);
        if ((*standing)->locked) return fail(error::locked);
        Statement row(inside_->db(), "DELETE FROM recipe WHERE id = ?");
        row.bind(1, recipe.id);
        row.exec();
        inside_->note(**standing, "removed", now);
        return {};
    });
}

Result<std::vector<PastRecipe>> Store::history(RecipeId id) const {
    return guarded([&]() -> Result<std::vector<PastRecipe>> {
        std::vector<PastRecipe> past;
        Statement row(inside_->db(), "SELECT at, what, body FROM history WHERE recipe = ? ORDER BY id DESC");
        row.bind(1, id);
        while (row.executeStep())
            if (auto recipe = recipe_from_json(row.getColumn(2).getString())) {
                recipe->id = id;
                past.push_back({row.getColumn(0).getString(), row.getColumn(1).getString(), std::move(*recipe)});
            }
        return past;
    });
}

Result<std::vector<StoredRoutine>> Store::routines() const {
    return guarded([&]() -> Result<std::vector<StoredRoutine>> {
        std::vector<StoredRoutine> all;
        Statement row(inside_->db(), "SELECT name, body, first FROM routine ORDER BY name");
        while (row.executeStep())
            all.push_back({row.getColumn(0).getString(), row.getColumn(1).getString(), row.getColumn(2).getInt() != 0});
        return all;
    });
}

Result<void> Store::put_routine(const StoredRoutine& routine) {
    return as_one_act(inside_->db(), [&]() -> Result<void> {
        if (routine.first) inside_->db().exec("UPDATE routine SET first = 0");
        Statement row(inside_->db(), "INSERT OR REPLACE INTO routine (name, body, first) VALUES (?, ?, ?)");
        row.bind(1, routine.name);
        row.bind(2, routine.body);
        row.bind(3, routine.first ? 1 : 0);
        row.exec();
        return {};
    });
}

Result<void> Store::remove_routine(const std::string& name) {
    return as_one_act(inside_->db(), [&]() -> Result<void> {
        Statement row(inside_->db(), "DELETE FROM routine WHERE name = ?");
        row.bind(1, name);
        row.exec();
        return {};
    });
}

Result<std::vector<StoredCard>> Store::cards() const {
    return guarded([&]() -> Result<std::vector<StoredCard>> {
        std::vector<StoredCard> all;
        Statement row(inside_->db(), "SELECT code, body FROM card ORDER BY code");
        while (row.executeStep())
            all.push_back({row.getColumn(0).getString(), row.getColumn(1).getString()});
        return all;
    });
}

Result<void> Store::put_card(const StoredCard& card) {
    return as_one_act(inside_->db(), [&]() -> Result<void> {
        Statement row(inside_->db(), "INSERT OR REPLACE INTO card (code, body) VALUES (?, ?)");
        row.bind(1, card.code);
        row.bind(2, card.body);
        row.exec();
        return {};
    });
}

Result<void> Store::remove_card(const std::string& code) {
    return as_one_act(inside_->db(), [&]() -> Result<void> {
        Statement row(inside_->db(), "DELETE FROM card WHERE code = ?");
        row.bind(1, code);
        row.exec();
        return {};
    });
}

Result<std::vector<Care>> Store::care() const {
    return guarded([&]() -> Result<std::vector<Care>> {
        std::vector<Care> all;
        Statement row(inside_->db(), "SELECT machine, kind, date FROM care ORDER BY date");
        while (row.executeStep())
            all.push_back({row.getColumn(0).getString(), static_cast<Care::Kind>(row.getColumn(1).getInt()),
                           row.getColumn(2).getString()});
        return all;
    });
}

Result<void> Store::note_care(const Care& care) {
    return as_one_act(inside_->db(), [&]() -> Result<void> {
        Statement row(inside_->db(), "INSERT INTO care (machine, kind, date) VALUES (?, ?, ?)");
        row.bind(1, care.machine);
        row.bind(2, static_cast<int>(care.kind));
        row.bind(3, care.date);
        row.exec();
        return {};
    });
}

Result<KeeperRules> Store::rules() const {
    return guarded([&] { return inside_->rules(); });
}

Result<void> Store::set_rules(const KeeperRules& rules, const std::string& word) {
    return as_one_act(inside_->db(), [&]() -> Result<void> {
        if (!inside_->opens(word)) return fail(error::wrong_word);
        inside_->db().exec("DELETE FROM keeper");
        if (!rules.locked) {
            inside_->db().exec("UPDATE recipe SET locked = 0");
            return {};
        }
        Statement row(inside_->db(), "INSERT INTO keeper (word, ceiling) VALUES (?, ?)");
        row.bind(1, scrambled(word));
        if (rules.ceiling)
            row.bind(2, rules.ceiling->percent());
        else
            row.bind(2);
        row.exec();
        return {};
    });
}

Result<Recipe> Store::set_locked(const Recipe& recipe, bool locked, const std::string& word, const std::string& now) {
    return as_one_act(inside_->db(), [&]() -> Result<Recipe> {
        if (!inside_->opens(word)) return fail(error::wrong_word);
        const auto standing = inside_->standing(recipe.id);
        if (!standing) return tl::unexpected(standing.error());
        if (!*standing || (*standing)->revision != recipe.revision) return fail(error::changed_elsewhere);
        Recipe changed = **standing;
        changed.locked = locked;
        ++changed.revision;
        Statement row(inside_->db(), "UPDATE recipe SET locked = ?, revision = ? WHERE id = ?");
        row.bind(1, locked ? 1 : 0);
        row.bind(2, changed.revision);
        row.bind(3, changed.id);
        row.exec();
        inside_->note(changed, locked ? "locked" : "unlocked", now);
        return changed;
    });
}

int Store::outside_changes() const {
    try {
        return inside_->db().execAndGet("PRAGMA data_version").getInt();
    } catch (const SQLite::Exception&) {
        return 0;
    }
}

}  // namespace chalkline::recipes
