// SPDX-License-Identifier: GPL-3.0-or-later
#include "commands.hpp"
#include "output.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/base/units_text.hpp>
#include <chalkline/recipes/exchange.hpp>
#include <chalkline/recipes/library.hpp>
#include <chalkline/wording/wording.hpp>

#include <QDateTime>
#include <QStandardPaths>
#include <algorithm>
#include <filesystem>

namespace chalkline::cli {
namespace {

using recipes::Recipe;
using recipes::Store;

std::string store_file(const std::string& named) {
    if (!named.empty()) return named;
    // Where the application keeps them.
    return QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation).toStdString() +
           "/Chalkline/recipes.db";
}

std::string now(const char* format) {
    return QDateTime::currentDateTime().toString(format).toStdString();
}

Json summary(const Recipe& recipe) {
    Json json{{"id", recipe.id}};
    json.update(Json::parse(recipes::to_json(recipe)));
    json["tested"] = recipe.evidence.tested();
    json["locked"] = recipe.locked;
    return json;
}

std::string line_of(const Recipe& recipe) {
    const auto& s = recipe.settings;
    return std::to_string(recipe.id) + "  " + recipe.material + " " + format_length(recipe.thickness, LengthUnit::mm) +
           "  " + wording::name(s.kind).toStdString() + "  " + format_power(s.power) + " at " +
           format_speed(s.speed, SpeedUnit::mm_per_min) + (s.passes > 1 ? " ×" + std::to_string(s.passes) : "") + "  " +
           recipe.machine.name + "  " + wording::describe(recipe.evidence).toStdString();
}

std::vector<Recipe> matching(const std::vector<Recipe>& all, const std::vector<std::string>& words) {
    std::vector<Recipe> found;
    for (const Recipe& recipe : all)
        if (std::all_of(words.begin(), words.end(),
                        [&](const std::string& word) { return recipes::matches(recipe, word); }))
            found.push_back(recipe);
    return found;
}

int run_list(const RecipesCommand& command, const std::vector<Recipe>& all) {
    const auto found = matching(all, command.words);
    if (command.json) {
        Json list = Json::array();
        for (const Recipe& recipe : found)
            list.push_back(summary(recipe));
        print({{"recipes", list}});
    } else {
        for (const Recipe& recipe : found)
            print_text(line_of(recipe));
    }
    return done;
}

int run_show(const RecipesCommand& command, Store& store, const std::vector<Recipe>& all) {
    const std::string wanted = command.words.empty() ? "" : command.words.front();
    const auto found =
        std::find_if(all.begin(), all.end(), [&](const Recipe& r) { return std::to_string(r.id) == wanted; });
    if (found == all.end()) return report({std::string(error::no_recipe), {{"text", wanted}}, {}, 0}, command.json);
    Json json = summary(*found);
    json["history"] = Json::array();
    for (const auto& past : store.history(found->id).value_or(std::vector<recipes::PastRecipe>()))
        json["history"].push_back({{"at", past.at}, {"what", past.what}});
    if (command.json)
        print(json);
    else
        print_text(line_of(*found) + "\n" + json.dump(2));
    return done;
}

int run_import(const RecipesCommand& command, Store& store, const std::vector<Recipe>& all) {
    const std::string file = command.words.empty() ? "" : command.words.front();
    const auto machine = load_machine(command.machine);
    if (!machine) return report(machine.error(), command.json);
    const auto bytes = read_file(file);
    if (!bytes) return report(bytes.error(), command.json);
    const auto imported = recipes::import(*bytes, Recipe{.machine = {machine->name, machine->beam}}, file);
    if (!imported) return report(imported.error(), command.json);
    const auto fresh = recipes::new_ones(imported->recipes, all);
    if (const auto kept = store.put_all(fresh, now("yyyy-MM-ddTHH:mm:ss")); !kept)
        return report(kept.error(), command.json);
    for (const Error& refused : imported->refused)
        say(wording::describe(refused).whole().toStdString());
    const Json told{{"imported", fresh.size()},
                    {"known_already", imported->recipes.size() - fresh.size()},
                    {"refused", imported->refused.size()}};
    command.json ? print(told) : print_text(told.dump());
    return done;
}

int run_export(const RecipesCommand& command, const std::vector<Recipe>& all) {
    const std::string file = command.words.empty() ? "" : command.words.front();
    const auto found =
        matching(all, {command.words.begin() + std::min<long>(1, std::ssize(command.words)), command.words.end()});
    const std::string text = file.ends_with(".csv") ? recipes::to_csv(found) : recipes::to_json_file(found);
    if (const auto written = replace_file(file, text); !written) return report(written.error(), command.json);
    const Json told{{"exported", found.size()}, {"path", file}};
    command.json ? print(told) : print_text(told.dump());
    return done;
}

}  // namespace

std::optional<Result<Store>> recipes_if_any(const std::string& named) {
    if (!std::filesystem::exists(store_file(named))) return {};
    return open_recipes(named);
}

Result<Store> open_recipes(const std::string& named) {
    auto store = Store::open(store_file(named), now("yyyy-MM-dd"));
    if (!store) return store;
    for (const Notice& notice : store->notices())
        say(wording::describe(Error{notice.code, notice.parameters, {}, 0}).whole().toStdString());
    if (!store->fresh()) return store;
    const machine::MachineProfile machine;
    if (auto kept = store->put_all(recipes::starting_points({machine.name, machine.beam}), now("yyyy-MM-ddTHH:mm:ss"));
        !kept)
        return tl::unexpected(kept.error());
    return store;
}

int run_recipes(const RecipesCommand& command) {
    auto store = open_recipes(command.store);
    if (!store) return report(store.error(), command.json);
    const auto all = store->recipes();
    if (!all) return report(all.error(), command.json);
    if (command.what == "show") return run_show(command, *store, *all);
    if (command.what == "import") return run_import(command, *store, *all);
    if (command.what == "export") return run_export(command, *all);
    return run_list(command, *all);
}

}  // namespace chalkline::cli
