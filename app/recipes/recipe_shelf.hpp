// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "recipes/recipe_desk.hpp"
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <QRect>
#include <QWidget>
#include <vector>

namespace chalkline::app {

/// All recipes as cards, one a material and thickness, a row each recipe; in as many columns as fit. One row is chosen
/// by click or arrow keys. Drawn by itself, so that a thousand recipes scroll as lightly as ten.
class RecipeShelf : public QWidget, public Spoken {
    Q_OBJECT
 public:
    RecipeShelf(const theme::Roles& roles, QWidget* parent);

    void show_recipes(std::vector<recipes::MaterialGroup> groups, const std::vector<recipes::Care>& care);
    recipes::RecipeId chosen() const { return chosen_; }
    void choose(recipes::RecipeId id);
    /// Where the row of a recipe lies; empty when it is not shown.
    QRect row_of(recipes::RecipeId id) const;
    QAccessible::Role spoken_role() const override { return QAccessible::List; }
    QString spoken_value() const override;
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override;

 Q_SIGNALS:
    void chose(chalkline::recipes::RecipeId id);

 protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;

 private:
    struct Card {
        QRect place;
        const recipes::MaterialGroup* group;
    };
    struct Row {
        QRect place;
        const recipes::Recipe* recipe;
    };
    /// Puts the cards into columns; their height together, px.
    int lay_out(int width, std::vector<Card>& cards, std::vector<Row>& rows) const;
    void draw_row(QPainter& painter, const Row& row) const;

    const theme::Roles& roles_;
    std::vector<recipes::MaterialGroup> groups_;
    std::vector<recipes::Care> care_;
    std::vector<Card> cards_;
    std::vector<Row> rows_;  ///< in reading order
    recipes::RecipeId chosen_ = 0;
};

}  // namespace chalkline::app
