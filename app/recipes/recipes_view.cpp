// SPDX-License-Identifier: GPL-3.0-or-later
#include "recipes/recipes_view.hpp"

#include "recipes/wall_chart.hpp"
#include "widgets/sheet.hpp"
#include "widgets/tray_page.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/recipes/exchange.hpp>

#include <QFileDialog>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QVBoxLayout>
#include <algorithm>

namespace chalkline::app {
namespace {

QPushButton* make_chip(QWidget* parent) {
    auto* chip = make_button({}, ButtonLook::plain, parent);
    chip->setProperty("look", "chip");
    chip->setCheckable(true);
    return chip;
}

QLineEdit* add_word_field(Sheet* sheet, const QString& name) {
    auto* word = new QLineEdit(sheet);
    word->setEchoMode(QLineEdit::Password);
    word->setPlaceholderText(name);
    word->setAccessibleName(name);
    sheet->add_widget(word);
    return word;
}

/// A button that needs the word: with a wrong one the sheet stays, the word is gone and typed anew.
QPushButton* add_button_with_word(Sheet* sheet, const QString& text, ButtonLook look, QLineEdit* word,
                                  const std::function<bool()>& act) {
    auto* button = sheet->add_staying_button(text, look, [sheet, word, act] {
        if (act()) return sheet->put_away();
        word->clear();
        word->setPlaceholderText(RecipesView::tr("That was not the word; try again"));
        word->setFocus();
    });
    if (look == ButtonLook::accent) QObject::connect(word, &QLineEdit::returnPressed, button, &QPushButton::click);
    return button;
}

}  // namespace

RecipesView::RecipesView(JobDocument& document, RecipeDesk& desk, const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), document_(document), desk_(desk), roles_(roles) {
    setObjectName("recipesView");
    setAttribute(Qt::WA_StyledBackground);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(0);
    auto* left = new QVBoxLayout;
    left->setContentsMargins(22, 14, 14, 0);
    left->setSpacing(12);
    left->addWidget(make_bar());
    none_ = make_label({}, Tone::quiet, this);
    left->addWidget(none_);
    shelf_ = new RecipeShelf(roles, this);
    scroll_ = new QScrollArea(this);
    scroll_->setObjectName("shelfScroll");
    scroll_->setWidget(shelf_);
    scroll_->setWidgetResizable(true);
    scroll_->setFrameShape(QFrame::NoFrame);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll_->setFocusPolicy(Qt::NoFocus);
    left->addWidget(scroll_, 1);
    all->addLayout(left, 1);
    all->addWidget(make_side());

    connect(shelf_, &RecipeShelf::chose, this, [this](recipes::RecipeId id) {
        show_chosen();
        if (id != 0) {
            const QRect row = shelf_->row_of(id);
            scroll_->ensureVisible(row.center().x(), row.center().y(), 0, 40);
        }
    });
    connect(&desk_, &RecipeDesk::changed, this, [this] {
        if (isVisible()) show_shelf();
    });
    connect(&document_, &JobDocument::changed, this, [this](JobChange change) {
        if (isVisible() && touches(change, JobChange::steps | JobChange::stock)) show_shelf();
    });
}

QWidget* RecipesView::make_bar() {
    auto* bar = new QWidget(this);
    auto* row = new QHBoxLayout(bar);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(8);
    search_ = new QLineEdit(bar);
    search_->setPlaceholderText(tr("Find material, note, #tag…"));
    search_->setAccessibleName(tr("Find recipes"));
    search_->setClearButtonEnabled(true);
    search_->setMinimumWidth(180);
    row->addWidget(search_, 1);
    fits_ = make_chip(bar);
    here_ = make_chip(bar);
    row->addWidget(fits_);
    row->addWidget(here_);
    const auto add = [&](const QString& text, const QString& tip, void (RecipesView::*action)()) {
        auto* button = make_button(text, ButtonLook::plain, bar);
        button->setToolTip(tip);
        connect(button, &QPushButton::clicked, this, action);
        row->addWidget(button);
    };
    add(tr("Import…"), tr("Recipes from JSON or CSV"), &RecipesView::import);
    add(tr("Save as…"), tr("What is shown, as JSON, CSV, or a chart for the wall (PDF)"), &RecipesView::save_as);
    add(tr("Workshop…"), tr("Lock recipes and set a ceiling for the power"), &RecipesView::open_workshop_sheet);
    add(tr("New recipe"), {}, &RecipesView::new_recipe);
    connect(search_, &QLineEdit::textChanged, this, &RecipesView::show_shelf);
    connect(fits_, &QPushButton::toggled, this, &RecipesView::show_shelf);
    connect(here_, &QPushButton::toggled, this, &RecipesView::show_shelf);
    return bar;
}

QWidget* RecipesView::make_side() {
    panel_ = new RecipePanel(document_, desk_, roles_, nullptr);
    editor_ = new RecipeEditor(desk_, roles_, nullptr);
    side_ = new QStackedWidget(this);
    let_pages_decide_width(side_);
    side_->addWidget(new TrayPage(panel_));
    side_->addWidget(new TrayPage(editor_));
    connect(panel_, &RecipePanel::edit_wanted, this, &RecipesView::edit);
    connect(panel_, &RecipePanel::copy_wanted, this, &RecipesView::open_copy_sheet);
    connect(panel_, &RecipePanel::lock_wanted, this, &RecipesView::open_lock_sheet);
    connect(editor_, &RecipeEditor::kept, this, &RecipesView::keep);
    connect(editor_, &RecipeEditor::given_up, this, [this] { side_->setCurrentIndex(0); });
    auto* edge = new QWidget(this);
    edge->setObjectName("tray");
    auto* layout = new QHBoxLayout(edge);
    layout->setContentsMargins(1, 0, 0, 0);
    layout->addWidget(side_);
    return edge;
}

std::vector<recipes::Recipe> RecipesView::shown() const {
    const auto& stock = document_.job().stock;
    const std::string search = search_->text().toStdString();
    std::vector<recipes::Recipe> found;
    for (const recipes::Recipe& recipe : *desk_.all()) {
        if (here_->isChecked() && recipe.machine.name != desk_.machine().name) continue;
        if (fits_->isChecked() && stock && recipes::fit(recipe, desk_.wish_for(*stock, {})) == recipes::Fit::none)
            continue;
        if (recipes::matches(recipe, search)) found.push_back(recipe);
    }
    return found;
}

void RecipesView::show_shelf() {
    const auto& stock = document_.job().stock;
    fits_->setVisible(stock.has_value());
    if (stock)
        fits_->setText(tr("fits %1 %2")
                           .arg(QString::fromStdString(stock->material).toLower(),
                                QString::fromStdString(format_length(stock->thickness, LengthUnit::mm))));
    here_->setText(tr("this machine"));
    const auto found = shown();
    none_->setVisible(found.empty());
    none_->setText(desk_.all()->empty() ? tr("No recipes yet. Keep one from a step, or import some.")
                                        : tr("No recipe has all of these words."));
    auto groups = recipes::groups_of(found);
    // What fits the job's piece comes first, the nearest before the others.
    if (stock)
        std::stable_sort(groups.begin(), groups.end(), [&](const auto& a, const auto& b) {
            const auto wish = desk_.wish_for(*stock, {});
            return recipes::fit(a.recipes.front(), wish) < recipes::fit(b.recipes.front(), wish);
        });
    shelf_->show_recipes(std::move(groups), desk_.care());
    show_chosen();
}

void RecipesView::show_chosen() {
    // What is being typed stays until it is kept or given up.
    if (side_->currentIndex() == 0) panel_->show_recipe(desk_.find(shelf_->chosen()));
}

void RecipesView::edit(const recipes::Recipe& recipe) {
    editor_->show_recipe(recipe);
    side_->setCurrentIndex(1);
}

void RecipesView::keep(const recipes::Recipe& recipe) {
    const auto kept = desk_.keep(recipe.id == 0 ? tr("New recipe") : tr("Change recipe"), recipe);
    if (!kept) return;
    side_->setCurrentIndex(0);
    shelf_->choose(*kept);
    show_chosen();
}

void RecipesView::new_recipe() {
    recipes::Recipe recipe{.machine = desk_.machine(), .settings = steps::starting_point(steps::StepKind::engrave)};
    if (const auto& stock = document_.job().stock) {
        recipe.material = stock->material;
        recipe.thickness = stock->thickness;
    }
    edit(recipe);
}

void RecipesView::open_copy_sheet(const recipes::Recipe& recipe) {
    auto* sheet = new Sheet(tr("Copy to another material or thickness"), this);
    sheet->add_text(
        tr("Power is scaled by the machines' watts, a cut's speed by the thickness. The copy counts as untested."),
        Tone::quiet);
    auto* form = new QWidget(sheet);
    auto* rows = new QFormLayout(form);
    rows->setContentsMargins(0, 0, 0, 0);
    auto* material = new QLineEdit(QString::fromStdString(recipe.material), form);
    material->setAccessibleName(tr("Material of the copy"));
    auto* thickness = make_length_field(tr("Thickness of the copy"), form);
    thickness->show_value(recipe.thickness.mm());
    rows->addRow(make_label(tr("Material"), Tone::quiet, form), material);
    rows->addRow(make_label(tr("Thickness"), Tone::quiet, form), thickness);
    sheet->add_widget(form);
    sheet->add_button(tr("Cancel"), ButtonLook::plain, {});
    sheet->add_button(tr("Look at the copy"), ButtonLook::accent, [this, recipe, material, thickness] {
        edit(recipes::scaled(
            recipe, {desk_.machine(), material->text().trimmed().toStdString(), Length::mm(thickness->value()), {}},
            desk_.top_speed()));
    });
    sheet->open();
    material->setFocus();
}

void RecipesView::open_lock_sheet(const recipes::Recipe& recipe) {
    auto* sheet = new Sheet(recipe.locked ? tr("Unlock the recipe") : tr("Lock the recipe"), this);
    auto* word = add_word_field(sheet, tr("The keeper's word"));
    sheet->add_button(tr("Cancel"), ButtonLook::plain, {});
    add_button_with_word(sheet, recipe.locked ? tr("Unlock") : tr("Lock"), ButtonLook::accent, word,
                         [this, recipe, word] { return desk_.set_locked(recipe, !recipe.locked, word->text()); });
    sheet->open();
    word->setFocus();
}

void RecipesView::open_workshop_sheet() {
    const auto& rules = desk_.rules();
    auto* sheet = new Sheet(tr("Rules of the workshop"), this);
    sheet->add_text(tr("With a word set, locked recipes and the ceiling change with that word only. It keeps people "
                       "from mistakes, not from somebody who edits files."),
                    Tone::quiet);
    auto* ceiling = make_power_field(tr("Ceiling for the power"), sheet);
    ceiling->show_value(rules.ceiling.value_or(Power::percent(100)).percent());
    sheet->add_text(tr("No step may burn with more than"));
    sheet->add_widget(ceiling);
    auto* word = add_word_field(sheet, rules.locked ? tr("The keeper's word") : tr("A word for the keeper"));
    sheet->add_button(tr("Cancel"), ButtonLook::plain, {});
    if (rules.locked)
        add_button_with_word(sheet, tr("Lift all rules"), ButtonLook::plain, word, [this, word] {
            return desk_.set_rules({false, {}}, word->text());
        });
    auto* set = add_button_with_word(sheet, tr("Set"), ButtonLook::accent, word, [this, ceiling, word] {
        const Power most = Power::percent(ceiling->value());
        return desk_.set_rules({true, most < Power::percent(100) ? std::optional(most) : std::nullopt}, word->text());
    });
    set->setEnabled(false);
    connect(word, &QLineEdit::textChanged, set, [set](const QString& text) { set->setEnabled(!text.isEmpty()); });
    sheet->open();
    word->setFocus();
}

void RecipesView::import() {
    auto* dialog = new QFileDialog(window(), tr("Import recipes"));
    dialog->setObjectName("importRecipes");
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowModality(Qt::NonModal);
    dialog->setNameFilters({tr("Recipes (*.json *.csv)"), tr("All files (*)")});
    connect(dialog, &QFileDialog::fileSelected, this, &RecipesView::take_file);
    dialog->show();
}

void RecipesView::take_file(const QString& file) {
    const auto bytes = read_file(file.toStdString());
    if (!bytes) return Q_EMIT desk_.message(wording::describe(bytes.error()));
    const auto read = recipes::import(*bytes, {.machine = desk_.machine()}, file.toStdString());
    if (!read) return Q_EMIT desk_.message(wording::describe(read.error()));
    const auto fresh = recipes::new_ones(read->recipes, *desk_.all());
    if (!fresh.empty() && desk_.keep_all(tr("Import recipes"), fresh) == 0) return;
    wording::Message told{tr("%n recipes imported", nullptr, static_cast<int>(fresh.size())), {}, {}};
    const auto known = read->recipes.size() - fresh.size();
    if (known > 0) told.help = tr("%n were there already.", nullptr, static_cast<int>(known));
    if (!read->refused.empty())
        told.help += tr(" %n could not be read; the first: ", nullptr, static_cast<int>(read->refused.size())) +
                     wording::describe(read->refused.front()).whole();
    Q_EMIT desk_.message(told);
}

void RecipesView::save_as() {
    auto* dialog = new QFileDialog(window(), tr("Save what is shown"));
    dialog->setObjectName("saveRecipes");
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowModality(Qt::NonModal);
    dialog->setAcceptMode(QFileDialog::AcceptSave);
    dialog->setDefaultSuffix("json");
    dialog->setNameFilters(
        {tr("For another Chalkline (*.json)"), tr("Table (*.csv)"), tr("Chart for the wall (*.pdf)")});
    connect(dialog, &QFileDialog::filterSelected, dialog, [dialog](const QString& filter) {
        dialog->setDefaultSuffix(filter.contains("csv") ? "csv" : filter.contains("pdf") ? "pdf" : "json");
    });
    connect(dialog, &QFileDialog::fileSelected, this, [this](const QString& file) {
        Result<void> done;
        if (file.endsWith(".pdf", Qt::CaseInsensitive))
            done = write_wall_chart(file, recipes::groups_of(shown()), QString::fromStdString(desk_.machine().name));
        else
            done = replace_file(file.toStdString(), file.endsWith(".csv", Qt::CaseInsensitive)
                                                        ? recipes::to_csv(shown())
                                                        : recipes::to_json_file(shown()));
        if (!done) Q_EMIT desk_.message(wording::describe(done.error()));
    });
    dialog->show();
}

}  // namespace chalkline::app
