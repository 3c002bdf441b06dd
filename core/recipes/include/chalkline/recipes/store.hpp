// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/recipes/recipe.hpp>

#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::recipes {

namespace error {
inline constexpr std::string_view store_failed = "recipes.store-failed";  ///< parameter `reason`
inline constexpr std::string_view store_full = "recipes.store-full";      ///< no room on the disk
inline constexpr std::string_view store_read_only = "recipes.store-read-only";
inline constexpr std::string_view store_busy = "recipes.store-busy";    ///< another Chalkline held it too long
inline constexpr std::string_view newer_store = "recipes.newer-store";  ///< written by a newer Chalkline
inline constexpr std::string_view changed_elsewhere = "recipes.changed-elsewhere";
inline constexpr std::string_view locked = "recipes.locked";
inline constexpr std::string_view wrong_word = "recipes.wrong-word";  ///< of the workshop's keeper
}  // namespace error

namespace notice {
/// The file was damaged: it was put aside as `aside`, and a backup of `date` taken in its place.
inline constexpr std::string_view restored = "recipes.restored";
/// The same without any backup: what could be read was taken over, `count` recipes.
inline constexpr std::string_view salvaged = "recipes.salvaged";
/// The file cannot be written: recipes are shown and not kept.
inline constexpr std::string_view read_only = "recipes.read-only";
/// A recipe in the file cannot be read, or is not what was written: `number`, and how its text `begins`. It stays
/// there.
inline constexpr std::string_view unreadable = "recipes.unreadable";
/// No file can be made: recipes are kept until Chalkline is closed.
inline constexpr std::string_view in_memory = "recipes.in-memory";
}  // namespace notice

/// A run sheet kept under a name; what is in it is job::Routine's business.
struct StoredRoutine {
    std::string name;
    std::string body;    ///< JSON
    bool first = false;  ///< new jobs begin with it
    bool operator==(const StoredRoutine&) const = default;
};

/// A swatch card and what was read of it; what is in it is the business of `swatches`.
struct StoredCard {
    std::string code;  ///< what it is known by
    std::string body;  ///< JSON
    bool operator==(const StoredCard&) const = default;
};

/// What the keeper of a workshop has settled. The lock keeps people from mistakes, not from somebody who edits files.
struct KeeperRules {
    bool locked = false;             ///< locked recipes and the ceiling change with the keeper's word only
    std::optional<Power> ceiling{};  ///< no step may burn with more
    bool operator==(const KeeperRules&) const = default;
};

/// A recipe as it was.
struct PastRecipe {
    std::string at;    ///< "2026-11-23T19:02:11"
    std::string what;  ///< "made", "changed", "removed"
    Recipe recipe;
};

/// Recipes, routines, swatch cards and workshop rules in one SQLite file (docs/formats/recipes.md). Every change is one
/// transaction that is on the disk when the call returns, or did not happen. Several Chalklines may have it open: who
/// changes a recipe that somebody else changed meanwhile is told, and loses nothing. Not for use by two threads at
/// once.
class Store {
 public:
    /// Opens or makes the file and its folder; checks that it is whole, brings it up to date, and keeps a backup of
    /// each day in `backups/` beside it (the newest 14). `today`: "2026-11-23".
    static Result<Store> open(const std::string& path, const std::string& today);
    Store(Store&&) noexcept;
    Store& operator=(Store&&) noexcept;
    ~Store();

    /// What had to be done to open it, for the user to know.
    const std::vector<Notice>& notices() const;
    /// True when the file was made now: it holds nothing yet.
    bool fresh() const;

    Result<std::vector<Recipe>> recipes() const;
    /// Keeps a recipe, new (id 0) or changed, and returns it with its number and revision. A recipe that was removed
    /// comes back with its own number. `now` is the time written to its history. Errors: changed_elsewhere, locked.
    Result<Recipe> put(Recipe recipe, const std::string& now);
    /// Keeps many as one act: all or none.
    Result<std::vector<Recipe>> put_all(std::vector<Recipe> recipes, const std::string& now);
    /// Takes a recipe away; its history stays, so that it can be put back.
    Result<void> remove(const Recipe& recipe, const std::string& now);
    /// The recipe as it was after each change, newest first.
    Result<std::vector<PastRecipe>> history(RecipeId id) const;

    Result<std::vector<StoredRoutine>> routines() const;
    Result<void> put_routine(const StoredRoutine& routine);
    Result<void> remove_routine(const std::string& name);

    Result<std::vector<StoredCard>> cards() const;
    Result<void> put_card(const StoredCard& card);
    Result<void> remove_card(const std::string& code);

    Result<std::vector<Care>> care() const;
    Result<void> note_care(const Care& care);

    Result<KeeperRules> rules() const;
    /// Locks with a word, or changes the ceiling. Error: wrong_word when it is locked with another one.
    Result<void> set_rules(const KeeperRules& rules, const std::string& word);
    /// Locks or unlocks one recipe for everybody but the keeper. Errors as above.
    Result<Recipe> set_locked(const Recipe& recipe, bool locked, const std::string& word, const std::string& now);

    /// A number that changes when another program has changed the file.
    int outside_changes() const;

 private:
    struct Inside;
    explicit Store(std::unique_ptr<Inside> inside);
    std::unique_ptr<Inside> inside_;
};

}  // namespace chalkline::recipes
