// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "recipes/recipe_desk.hpp"
#include "recipes/recipe_editor.hpp"
#include "recipes/recipe_panel.hpp"
#include "recipes/recipe_shelf.hpp"

#include <QScrollArea>
#include <QStackedWidget>

namespace chalkline::app {

/// All recipes to browse: search and filters above, cards by material below, the chosen one in full on the right.
class RecipesView : public QWidget {
    Q_OBJECT
 public:
    RecipesView(JobDocument& document, RecipeDesk& desk, const theme::Roles& roles, QWidget* parent);
    RecipeShelf& shelf() { return *shelf_; }

 protected:
    void showEvent(QShowEvent*) override { show_shelf(); }

 private:
    QWidget* make_bar();
    QWidget* make_side();
    void show_shelf();
    void show_chosen();
    std::vector<recipes::Recipe> shown() const;
    void edit(const recipes::Recipe& recipe);
    void keep(const recipes::Recipe& recipe);
    void new_recipe();
    void open_copy_sheet(const recipes::Recipe& recipe);
    void open_lock_sheet(const recipes::Recipe& recipe);
    void open_workshop_sheet();
    void import();
    void take_file(const QString& file);
    void save_as();

    JobDocument& document_;
    RecipeDesk& desk_;
    const theme::Roles& roles_;
    QLineEdit* search_;
    QPushButton *fits_, *here_;
    QLabel* none_;
    QScrollArea* scroll_;
    RecipeShelf* shelf_;
    QStackedWidget* side_;
    RecipePanel* panel_;
    RecipeEditor* editor_;
};

}  // namespace chalkline::app
