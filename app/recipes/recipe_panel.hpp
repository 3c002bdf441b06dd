// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "recipes/recipe_desk.hpp"
#include "theme/theme.hpp"
#include "widgets/controls.hpp"

#include <QComboBox>
#include <QVBoxLayout>

namespace chalkline::app {

/// One recipe in full: its settings, why to believe it, what it would change in a step of the job, what can be done
/// with it.
class RecipePanel : public QWidget {
    Q_OBJECT
 public:
    RecipePanel(JobDocument& document, RecipeDesk& desk, const theme::Roles& roles, QWidget* parent);
    /// Nothing: says how to begin.
    void show_recipe(const recipes::Recipe* recipe);

 Q_SIGNALS:
    void edit_wanted(const chalkline::recipes::Recipe& recipe);
    void copy_wanted(const chalkline::recipes::Recipe& recipe);
    void lock_wanted(const chalkline::recipes::Recipe& recipe);

 private:
    void clear();
    void show_nothing();
    void show_facts();
    void show_photo();
    void show_use();
    void show_changes(int choice);
    void show_history();
    void add_actions();
    void add_photo();
    void row(const QString& name, const QString& value);

    JobDocument& document_;
    RecipeDesk& desk_;
    const theme::Roles& roles_;
    recipes::Recipe recipe_;
    QVBoxLayout* all_;
    QWidget* inside_ = nullptr;  ///< made anew for every recipe
    QVBoxLayout* body_ = nullptr;
    QComboBox* steps_ = nullptr;
    QLabel* changes_ = nullptr;
};

}  // namespace chalkline::app
