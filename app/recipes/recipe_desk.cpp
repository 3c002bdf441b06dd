// SPDX-License-Identifier: GPL-3.0-or-later
#include "recipes/recipe_desk.hpp"

#include <QDateTime>
#include <QUndoCommand>
#include <algorithm>

namespace chalkline::app {
namespace {

using recipes::Recipe;
using recipes::RecipeId;

constexpr int watch_interval = 2000;  // ms between looks for another Chalkline's changes

std::string now() {
    return QDateTime::currentDateTime().toString(Qt::ISODate).toStdString();
}

std::string today() {
    return QDate::currentDate().toString(Qt::ISODate).toStdString();
}

}  // namespace

/// One change of one recipe. Nothing stands for a recipe that is not there.
class RecipeDesk::Edit : public QUndoCommand {
 public:
    Edit(RecipeDesk& desk, const QString& name, State before, State after, QUndoCommand* parent = nullptr)
        : QUndoCommand(name, parent), desk_(desk), before_(std::move(before)), after_(std::move(after)) {}
    void redo() override {
        if (std::exchange(done_, true)) desk_.bring(before_, after_);
    }
    void undo() override { desk_.bring(after_, before_); }

 private:
    RecipeDesk& desk_;
    State before_, after_;
    bool done_ = false;  ///< the first redo comes with the push, when the work is done already
};

/// One change of something that is kept under a name: a routine, a card. `bring` makes it what it was or became.
class RecipeDesk::StoredEdit : public QUndoCommand {
 public:
    StoredEdit(const QString& text, std::function<void()> redo, std::function<void()> undo)
        : QUndoCommand(text), redo_(std::move(redo)), undo_(std::move(undo)) {}
    void redo() override { redo_(); }
    void undo() override { undo_(); }

 private:
    std::function<void()> redo_, undo_;
};

RecipeDesk::RecipeDesk(const QString& file, const machine::MachineProfile& machine, QObject* parent)
    : QObject(parent),
      machine_{machine.name, machine.beam},
      top_speed_(machine.top_speed()),
      recipes_(std::make_shared<const std::vector<Recipe>>()) {
    open(file);
    connect(&watch_, &QTimer::timeout, this, [this] {
        if (!store_ || store_->outside_changes() == seen_) return;
        read();
        Q_EMIT changed();
    });
    watch_.start(watch_interval);
}

void RecipeDesk::set_machine(const machine::MachineProfile& machine) {
    machine_ = {machine.name, machine.beam};
    top_speed_ = machine.top_speed();
    Q_EMIT changed();
}

void RecipeDesk::open(const QString& file) {
    auto opened = recipes::Store::open(file.toStdString(), today());
    if (!opened) {
        trouble_ = opened.error();
        return;
    }
    store_ = std::move(*opened);
    if (store_->fresh()) {
        if (const auto kept = store_->put_all(recipes::starting_points(machine_), now()); !kept)
            trouble_ = kept.error();
    }
    read();
}

void RecipeDesk::say_how_it_opened() {
    if (trouble_) Q_EMIT message(wording::describe(*trouble_));
    if (!store_) return;
    for (const Notice& notice : store_->notices())
        Q_EMIT message(wording::describe(Error{notice.code, notice.parameters, {}, 0}));
}

void RecipeDesk::read() {
    if (!store_) return;
    seen_ = store_->outside_changes();
    if (auto all = store_->recipes()) recipes_ = std::make_shared<const std::vector<Recipe>>(std::move(*all));
    if (auto care = store_->care()) care_ = std::move(*care);
    if (auto rules = store_->rules()) rules_ = *rules;
    cards_.clear();
    for (const auto& stored : store_->cards().value_or(std::vector<recipes::StoredCard>()))
        if (auto record = swatches::record_from_json(stored.body)) cards_.push_back(std::move(*record));
}

template <class T>
bool RecipeDesk::well(const Result<T>& result) {
    read();
    Q_EMIT changed();
    if (!result) Q_EMIT message(wording::describe(result.error()));
    return result.has_value();
}

const Recipe* RecipeDesk::find(RecipeId id) const {
    const auto found = std::find_if(recipes_->begin(), recipes_->end(), [id](const Recipe& r) { return r.id == id; });
    return found == recipes_->end() ? nullptr : &*found;
}

recipes::Wish RecipeDesk::wish_for(const job::Stock& stock, std::optional<steps::StepKind> kind) const {
    return {machine_, stock.material, stock.thickness, kind};
}

std::vector<Recipe> RecipeDesk::fitting(const job::Job& job, steps::StepKind kind) const {
    std::vector<Recipe> offered;
    if (!job.stock) {
        for (const Recipe& recipe : *recipes_)
            if (recipe.settings.kind == kind && recipe.machine.name == machine_.name) offered.push_back(recipe);
        return offered;
    }
    const recipes::Wish wish = wish_for(*job.stock, kind);
    for (Recipe& recipe : recipes::fitting(*recipes_, wish)) {
        const bool as_it_is = recipes::fit(recipe, wish) != recipes::Fit::to_be_scaled;
        offered.push_back(as_it_is ? std::move(recipe) : recipes::scaled(recipe, wish, top_speed_));
    }
    return offered;
}

bool RecipeDesk::bring(const State& from, State& to) {
    if (!store_) {
        say_how_it_opened();
        return false;
    }
    const Recipe* standing = from ? find(from->id) : nullptr;
    if (from && !standing) return well(Result<void>(fail(recipes::error::changed_elsewhere)));
    if (!to) return well(store_->remove(*standing, now()));
    if (standing) to->revision = standing->revision;
    auto kept = store_->put(*to, now());
    if (kept) to = *kept;
    return well(kept);
}

std::optional<RecipeId> RecipeDesk::keep(const QString& name, Recipe recipe) {
    const Recipe* standing = recipe.id == 0 ? nullptr : find(recipe.id);
    const State before = standing ? State(*standing) : State();
    State after = std::move(recipe);
    if (!bring(before, after)) return {};
    history_.push(new Edit(*this, name, before, after));
    return after->id;
}

int RecipeDesk::keep_all(const QString& name, std::vector<Recipe> fresh) {
    if (!store_ || fresh.empty()) return 0;
    auto kept = store_->put_all(std::move(fresh), now());
    if (!well(kept)) return 0;
    auto* together = new QUndoCommand(name);
    for (const Recipe& recipe : *kept)
        new Edit(*this, name, {}, recipe, together);
    history_.push(together);
    return static_cast<int>(kept->size());
}

void RecipeDesk::remove(const Recipe& recipe) {
    State gone;
    if (bring(recipe, gone)) history_.push(new Edit(*this, tr("Remove recipe"), recipe, {}));
}

std::vector<recipes::PastRecipe> RecipeDesk::past_of(RecipeId id) const {
    if (!store_) return {};
    return store_->history(id).value_or(std::vector<recipes::PastRecipe>());
}

void RecipeDesk::count_burn(const job::Job& job, const job::Ids& steps) {
    if (!store_ || !job.stock) return;
    std::vector<Recipe> used;
    for (const Recipe& recipe : *recipes_) {
        const bool fits = recipes::fit(recipe, wish_for(*job.stock, {})) == recipes::Fit::exact;
        const bool burned = std::any_of(steps.begin(), steps.end(), [&](job::Id id) {
            return job.step(id) && job.step(id)->settings == recipe.settings;
        });
        if (!fits || !burned || recipe.locked) continue;
        used.push_back(recipe);
        ++used.back().evidence.burns;
    }
    if (!used.empty()) well(store_->put_all(std::move(used), now()));
}

void RecipeDesk::note_care(recipes::Care::Kind kind) {
    if (store_) well(store_->note_care({machine_.name, kind, today()}));
}

bool RecipeDesk::set_rules(const recipes::KeeperRules& rules, const QString& word) {
    return store_ && well(store_->set_rules(rules, word.toStdString()));
}

bool RecipeDesk::set_locked(const Recipe& recipe, bool locked, const QString& word) {
    return store_ && well(store_->set_locked(recipe, locked, word.toStdString(), now()));
}

std::vector<job::Routine> RecipeDesk::routines() const {
    std::vector<job::Routine> all;
    if (!store_) return all;
    for (const auto& stored : store_->routines().value_or(std::vector<recipes::StoredRoutine>()))
        if (auto routine = job::routine_from_json(stored.body)) all.push_back(std::move(*routine));
    return all;
}

std::optional<job::Routine> RecipeDesk::first_routine() const {
    if (!store_) return {};
    for (const auto& stored : store_->routines().value_or(std::vector<recipes::StoredRoutine>()))
        if (stored.first)
            if (auto routine = job::routine_from_json(stored.body)) return *routine;
    return {};
}

std::optional<recipes::StoredRoutine> RecipeDesk::stored_routine(const QString& name) const {
    if (!store_) return {};
    for (auto& stored : store_->routines().value_or(std::vector<recipes::StoredRoutine>()))
        if (stored.name == name.toStdString()) return stored;
    return {};
}

void RecipeDesk::bring_routine(const QString& name, const std::optional<recipes::StoredRoutine>& to) {
    if (store_) well(to ? store_->put_routine(*to) : store_->remove_routine(name.toStdString()));
}

void RecipeDesk::keep_routine(const job::Routine& routine, bool first) {
    const QString name = QString::fromStdString(routine.name);
    const recipes::StoredRoutine after{routine.name, job::to_json(routine), first};
    history_.push(new StoredEdit(
        tr("Keep routine"), [this, name, after] { bring_routine(name, after); },
        [this, name, before = stored_routine(name)] { bring_routine(name, before); }));
}

void RecipeDesk::remove_routine(const QString& name) {
    history_.push(new StoredEdit(
        tr("Remove routine"), [this, name] { bring_routine(name, {}); },
        [this, name, before = stored_routine(name)] { bring_routine(name, before); }));
}

const swatches::CardRecord* RecipeDesk::card(const std::string& code) const {
    const auto found = std::find_if(cards_.begin(), cards_.end(),
                                    [&](const swatches::CardRecord& record) { return record.card.code == code; });
    return found == cards_.end() ? nullptr : &*found;
}

void RecipeDesk::bring_card(const std::string& code, const std::optional<swatches::CardRecord>& to) {
    if (!store_) return say_how_it_opened();
    well(to ? store_->put_card({code, swatches::to_json(*to)}) : store_->remove_card(code));
}

void RecipeDesk::keep_card(const QString& name, const swatches::CardRecord& record) {
    const std::string code = record.card.code;
    const auto* standing = card(code);
    const auto before = standing ? std::optional(*standing) : std::nullopt;
    if (before == record) return;
    history_.push(new StoredEdit(
        name, [this, code, record] { bring_card(code, record); }, [this, code, before] { bring_card(code, before); }));
}

void RecipeDesk::remove_card(const std::string& code) {
    const auto* standing = card(code);
    if (!standing) return;
    history_.push(new StoredEdit(
        tr("Remove swatch card"), [this, code] { bring_card(code, {}); },
        [this, code, before = *standing] { bring_card(code, before); }));
}

}  // namespace chalkline::app
