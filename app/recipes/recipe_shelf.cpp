// SPDX-License-Identifier: GPL-3.0-or-later
#include "recipes/recipe_shelf.hpp"

#include "recipes/dose_marks.hpp"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPaintEvent>
#include <QPainter>
#include <QToolTip>
#include <algorithm>

namespace chalkline::app {
namespace {

constexpr int gap = 14, card_pad = 14, head = 38, row_height = 26, least_card = 380;  // px

}  // namespace

RecipeShelf::RecipeShelf(const theme::Roles& roles, QWidget* parent) : QWidget(parent), roles_(roles) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Recipes"));
    QSizePolicy policy(QSizePolicy::Preferred, QSizePolicy::Minimum);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

void RecipeShelf::show_recipes(std::vector<recipes::MaterialGroup> groups, const std::vector<recipes::Care>& care) {
    groups_ = std::move(groups);
    care_ = care;
    lay_out(width(), cards_, rows_);
    const bool there =
        std::any_of(rows_.begin(), rows_.end(), [this](const Row& row) { return row.recipe->id == chosen_; });
    if (!there) choose(0);
    say_again(*this);
    updateGeometry();
    update();
}

void RecipeShelf::choose(recipes::RecipeId id) {
    if (chosen_ == id) return;
    chosen_ = id;
    say_again(*this);
    update();
    Q_EMIT chose(id);
}

QString RecipeShelf::spoken_value() const {
    for (const Row& row : rows_)
        if (row.recipe->id == chosen_)
            return QString::fromStdString(row.recipe->material) + ", " + wording::name(row.recipe->settings.kind) +
                   ", " + settings_in_short(row.recipe->settings);
    return tr("%n recipes", nullptr, static_cast<int>(rows_.size()));
}

QRect RecipeShelf::row_of(recipes::RecipeId id) const {
    for (const Row& row : rows_)
        if (row.recipe->id == id) return row.place;
    return {};
}

int RecipeShelf::lay_out(int width, std::vector<Card>& cards, std::vector<Row>& rows) const {
    cards.clear();
    rows.clear();
    const int columns = std::max(1, (width + gap) / (least_card + gap));
    const int wide = (width - gap * (columns - 1)) / columns;
    int top = 0;
    for (std::size_t first = 0; first < groups_.size(); first += static_cast<std::size_t>(columns)) {
        // Cards beside each other are equally high.
        const std::size_t last = std::min(groups_.size(), first + static_cast<std::size_t>(columns));
        std::size_t most = 0;
        for (std::size_t i = first; i < last; ++i)
            most = std::max(most, groups_[i].recipes.size());
        const int high = head + static_cast<int>(most) * row_height + 10;
        for (std::size_t i = first; i < last; ++i) {
            const QRect place(static_cast<int>(i - first) * (wide + gap), top, wide, high);
            cards.push_back({place, &groups_[i]});
            int y = top + head;
            for (const recipes::Recipe& recipe : groups_[i].recipes) {
                rows.push_back({QRect(place.left() + 6, y, wide - 12, row_height), &recipe});
                y += row_height;
            }
        }
        top += high + gap;
    }
    return std::max(0, top - gap);
}

int RecipeShelf::heightForWidth(int width) const {
    std::vector<Card> cards;
    std::vector<Row> rows;
    return lay_out(width, cards, rows);
}

void RecipeShelf::resizeEvent(QResizeEvent*) {
    lay_out(width(), cards_, rows_);
}

void RecipeShelf::mousePressEvent(QMouseEvent* event) {
    for (const Row& row : rows_)
        if (row.place.contains(event->pos())) return choose(row.recipe->id);
    choose(0);
}

bool RecipeShelf::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip) return QWidget::event(event);
    auto* help = static_cast<QHelpEvent*>(event);
    QString what;
    for (const Row& row : rows_)
        if (row.place.contains(help->pos())) what = wording::describe(row.recipe->evidence);
    QToolTip::showText(help->globalPos(), what, this);
    return true;
}

void RecipeShelf::keyPressEvent(QKeyEvent* event) {
    const auto now =
        std::find_if(rows_.begin(), rows_.end(), [this](const Row& row) { return row.recipe->id == chosen_; });
    const int at = now == rows_.end() ? -1 : static_cast<int>(now - rows_.begin());
    const int last = static_cast<int>(rows_.size()) - 1;
    int to = at;
    switch (event->key()) {
        case Qt::Key_Down:
            to = at + 1;
            break;
        case Qt::Key_Up:
            to = at - 1;
            break;
        case Qt::Key_Home:
            to = 0;
            break;
        case Qt::Key_End:
            to = last;
            break;
        default:
            return QWidget::keyPressEvent(event);
    }
    if (last >= 0) choose(rows_[static_cast<std::size_t>(std::clamp(to, 0, last))].recipe->id);
}

void RecipeShelf::draw_row(QPainter& painter, const Row& row) const {
    const recipes::Recipe& recipe = *row.recipe;
    const auto& s = recipe.settings;
    const QRect in = row.place.adjusted(8, 0, -8, 0);
    if (recipe.id == chosen_) {
        painter.setPen(hasFocus() ? QPen(roles_.accent, 1) : Qt::NoPen);
        painter.setBrush(roles_.accent_soft);
        painter.drawRoundedRect(row.place, 5, 5);
    }
    painter.setPen(QPen(roles_.control, 0.8));
    painter.setBrush(roles_.burn_tone(steps::burn_tone(steps::dose(s, recipe.machine.beam) * s.passes)));
    painter.drawRoundedRect(QRectF(in.left(), in.center().y() - 6, 13, 13), 3, 3);
    painter.setFont(theme::font(theme::normal));
    painter.setPen(roles_.text);
    painter.drawText(QRect(in.left() + 22, in.top(), 70, in.height()), Qt::AlignVCenter, wording::name(s.kind));
    // Columns keep their places whatever the figures are.
    QString values =
        QString::fromStdString(format_power(s.power)) + " · " + QString::number(s.speed.mm_per_min(), 'g', 6);
    if (s.passes > 1) values += QString(" · %1×").arg(s.passes);
    painter.drawText(QRect(in.left() + 94, in.top(), 130, in.height()), Qt::AlignVCenter, values);
    const QRect rest(in.left() + 226, in.top(), in.width() - 226, in.height());
    const bool old = recipes::freshness(recipe, care_) != recipes::Freshness::fresh;
    painter.setFont(theme::font(theme::small));
    painter.setPen(old ? roles_.attention_text : roles_.quiet);
    QString why = wording::describe(recipe.evidence);
    if (old) why = wording::describe(recipes::freshness(recipe, care_));
    if (recipe.locked) why = tr("locked · ") + why;
    painter.drawText(rest, Qt::AlignVCenter, painter.fontMetrics().elidedText(why, Qt::ElideRight, rest.width()));
}

void RecipeShelf::paintEvent(QPaintEvent* event) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(event->rect(), roles_.bed);
    for (const Card& card : cards_) {
        if (!card.place.intersects(event->rect())) continue;
        painter.setPen(roles_.hairline);
        painter.setBrush(roles_.card);
        painter.drawRoundedRect(QRectF(card.place).adjusted(0.5, 0.5, -0.5, -0.5), 7, 7);
        const QRect title = card.place.adjusted(card_pad, 6, -card_pad, 0);
        painter.setFont(theme::font(theme::large, QFont::DemiBold));
        painter.setPen(roles_.text);
        const QString name = painter.fontMetrics().elidedText(QString::fromStdString(card.group->material),
                                                              Qt::ElideRight, title.width() - 70);
        painter.drawText(QRect(title.left(), title.top(), title.width(), 28), Qt::AlignVCenter, name);
        const int after = title.left() + painter.fontMetrics().horizontalAdvance(name) + 6;
        painter.setFont(theme::font(theme::normal));
        painter.setPen(roles_.quiet);
        painter.drawText(QRect(after, title.top() + 1, 80, 28), Qt::AlignVCenter,
                         QString::fromStdString(format_length(card.group->thickness, LengthUnit::mm)));
    }
    for (const Row& row : rows_)
        if (row.place.intersects(event->rect())) draw_row(painter, row);
    if (!hasFocus() || chosen_ != 0) return;
    // Nothing is chosen yet: the keys begin with the first.
    painter.setPen(QPen(roles_.accent, 1.5, Qt::DotLine));
    painter.setBrush(Qt::NoBrush);
    painter.drawRoundedRect(rows_.empty() ? rect().adjusted(1, 1, -1, -1) : rows_.front().place, 5, 5);
}

}  // namespace chalkline::app
