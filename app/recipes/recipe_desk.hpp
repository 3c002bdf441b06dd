// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/job/routine.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/recipes/library.hpp>
#include <chalkline/recipes/store.hpp>
#include <chalkline/swatches/results.hpp>
#include <chalkline/wording/wording.hpp>

#include <QObject>
#include <QString>
#include <QTimer>
#include <QUndoStack>
#include <memory>
#include <optional>

namespace chalkline::app {

/// The recipes, routines, swatch cards and workshop rules of this user, as they stand in the store; every change of
/// them goes through here, has a name and can be undone. Changes made by another Chalkline show within seconds.
class RecipeDesk : public QObject {
    Q_OBJECT
 public:
    using Recipes = std::shared_ptr<const std::vector<recipes::Recipe>>;

    /// `file`: the store; its starting points are made for `machine` when it is new.
    RecipeDesk(const QString& file, const machine::MachineProfile& machine, QObject* parent = nullptr);

    /// Says what had to be done to open the store. Nothing when all was well.
    void say_how_it_opened();
    Recipes all() const { return recipes_; }
    const recipes::Recipe* find(recipes::RecipeId id) const;
    const std::vector<recipes::Care>& care() const { return care_; }
    const recipes::KeeperRules& rules() const { return rules_; }
    recipes::MachineTag machine() const { return machine_; }
    void set_machine(const machine::MachineProfile& machine);
    Speed top_speed() const { return top_speed_; }
    QUndoStack& history() { return history_; }

    /// What a step of the job could take: those that fit its piece, worked out for it where needed, best first.
    std::vector<recipes::Recipe> fitting(const job::Job& job, steps::StepKind kind) const;
    recipes::Wish wish_for(const job::Stock& stock, std::optional<steps::StepKind> kind) const;

    /// Keeps a recipe, new or changed; its number, or nothing when it could not be kept (said by `message`).
    std::optional<recipes::RecipeId> keep(const QString& name, recipes::Recipe recipe);
    int keep_all(const QString& name, std::vector<recipes::Recipe> recipes);
    void remove(const recipes::Recipe& recipe);
    std::vector<recipes::PastRecipe> past_of(recipes::RecipeId id) const;
    /// A job was burned to its end: the recipes its steps used count one more.
    void count_burn(const job::Job& job, const job::Ids& steps);
    void note_care(recipes::Care::Kind kind);
    /// False when the word is not the keeper's.
    bool set_rules(const recipes::KeeperRules& rules, const QString& word);
    bool set_locked(const recipes::Recipe& recipe, bool locked, const QString& word);

    std::vector<job::Routine> routines() const;
    /// The routine new jobs begin with.
    std::optional<job::Routine> first_routine() const;
    void keep_routine(const job::Routine& routine, bool first);
    void remove_routine(const QString& name);

    /// All swatch cards and what was read of them, as they stand in the store.
    const std::vector<swatches::CardRecord>& cards() const { return cards_; }
    const swatches::CardRecord* card(const std::string& code) const;
    /// Keeps a card, new or changed, under its code.
    void keep_card(const QString& name, const swatches::CardRecord& record);
    void remove_card(const std::string& code);

 Q_SIGNALS:
    void changed();
    void message(const chalkline::wording::Message& message);

 private:
    class Edit;
    class StoredEdit;
    using State = std::optional<recipes::Recipe>;
    void open(const QString& file);
    void read();
    /// Keep or, with nothing in `to`, take away the routine or card of that name. What goes wrong is said.
    void bring_routine(const QString& name, const std::optional<recipes::StoredRoutine>& to);
    void bring_card(const std::string& code, const std::optional<swatches::CardRecord>& to);
    std::optional<recipes::StoredRoutine> stored_routine(const QString& name) const;
    /// Makes the recipe what `to` says; the recipe as kept. False: said why, nothing changed.
    bool bring(const State& from, State& to);
    template <class T>
    bool well(const Result<T>& result);

    std::optional<recipes::Store> store_;
    std::optional<Error> trouble_;
    recipes::MachineTag machine_;
    Speed top_speed_;
    Recipes recipes_;
    std::vector<recipes::Care> care_;
    std::vector<swatches::CardRecord> cards_;
    recipes::KeeperRules rules_;
    QUndoStack history_;
    QTimer watch_;
    int seen_ = 0;  ///< the store's count of outside changes
};

}  // namespace chalkline::app
