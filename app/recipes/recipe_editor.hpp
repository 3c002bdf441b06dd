// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "recipes/recipe_desk.hpp"
#include "widgets/controls.hpp"
#include "widgets/dose_pad.hpp"

#include <QCheckBox>
#include <QComboBox>

namespace chalkline::app {

/// The form of one recipe. What is typed stays in the form until it is kept.
class RecipeEditor : public QWidget {
    Q_OBJECT
 public:
    RecipeEditor(const RecipeDesk& desk, const theme::Roles& roles, QWidget* parent);
    void show_recipe(const recipes::Recipe& recipe);

 Q_SIGNALS:
    void kept(const chalkline::recipes::Recipe& recipe);
    void given_up();

 private:
    void build();
    void show_settings();
    recipes::Recipe read() const;
    recipes::Wish wish() const;

    const RecipeDesk& desk_;
    recipes::Recipe recipe_;
    QLineEdit *material_, *source_, *date_, *preparation_, *tags_, *note_;
    ValueField *thickness_, *power_, *speed_, *passes_, *pitch_, *watts_;
    QComboBox *kind_, *evidence_;
    QCheckBox* air_;
    QLabel *odd_, *pitch_name_, *watts_name_;
    DosePad* pad_;
    QPushButton* keep_;
};

}  // namespace chalkline::app
