// SPDX-License-Identifier: GPL-3.0-or-later
// Everything the window can be asked for by name or by keys.
#include "guide/guide.hpp"
#include "machine/self_test_sheet.hpp"
#include "mainwindow/main_window.hpp"
#include "mainwindow/recent_jobs.hpp"
#include "mainwindow/settings_sheet.hpp"
#include "recipes/dose_marks.hpp"
#include "swatches/swatches_view.hpp"

#include <QApplication>
#include <QFileInfo>

namespace chalkline::app {

void MainWindow::add_commands() {
    const QString file = tr("File"), edit = tr("Edit"), view = tr("View"), line = tr("Line"), art = tr("Art"),
                  machine = tr("Machine"), help = tr("Help");
    const auto add = [this](const QString& group, const QString& name, const QKeySequence& keys, auto run) {
        commands_.add(group, name, keys, run);
    };
    add(file, tr("New job"), QKeySequence::New, [this] { files_->new_job(); });
    add(file, tr("Open a job or bring in art"), QKeySequence::Open, [this] { files_->ask_and_open(); });
    add(file, tr("Save the job"), QKeySequence::Save, [this] { files_->save(); });
    add(file, tr("Export the geometry as SVG"), QKeySequence("Ctrl+E"),
        [this] { files_->export_svg(machine_.profile()); });
    add(file, tr("Save the program"), {}, [this] { files_->save_program(plans_.planned()); });
    add(file, tr("Run sheet as a page for the wall"), {}, [this] { save_run_sheet(); });
    add(edit, tr("Undo"), QKeySequence("Ctrl+Z"), [this] { history_.activeStack()->undo(); });
    add(edit, tr("Redo"), QKeySequence("Ctrl+Shift+Z"), [this] { history_.activeStack()->redo(); });
    add(edit, tr("Paste art"), QKeySequence::Paste, [this] { paste(); });
    add(view, tr("Job"), QKeySequence("Ctrl+1"), [this] { choose_view(View::job); });
    add(view, tr("Proof"), QKeySequence("Ctrl+2"), [this] { choose_view(View::proof); });
    add(view, tr("Swatches"), QKeySequence("Ctrl+3"), [this] { choose_view(View::swatches); });
    add(view, tr("Recipes"), QKeySequence("Ctrl+4"), [this] { choose_view(View::recipes); });
    const QStringList marks{tr("Art"), tr("Steps"), tr("Stock"), tr("Rehearse"), tr("Frame"), tr("Burn")};
    for (int i = 0; i < mark_count; ++i)
        add(line, marks[i], QKeySequence(QString::number(i + 1)), [this, i] { choose(static_cast<Mark>(i)); });
    add(art, tr("Choose all"), QKeySequence("Ctrl+A"), [this] { placing_.choose_all(); });
    add(art, tr("Copy what is chosen"), QKeySequence("Ctrl+D"), [this] { placing_.copy(); });
    add(art, tr("Group"), QKeySequence("Ctrl+G"), [this] { placing_.group(); });
    add(art, tr("Ungroup"), QKeySequence("Ctrl+Shift+G"), [this] { placing_.ungroup(); });
    add(art, tr("Bring what is chosen to the front"), {}, [this] { placing_.stack(job::Stacking::to_front); });
    add(art, tr("Send what is chosen to the back"), {}, [this] { placing_.stack(job::Stacking::to_back); });
    add(art, tr("Lock or unlock what is chosen"), QKeySequence("Ctrl+L"),
        [this] { placing_.set_locked(!placing_.all_locked()); });
    add(machine, tr("Frame the job"), QKeySequence("Ctrl+Shift+F"), [this] {
        choose(Mark::frame);
        desk_.frame();
    });
    add(machine, tr("Frame one side"), QKeySequence("Ctrl+Alt+F"), [this] {
        choose(Mark::frame);
        desk_.frame_side();
    });
    add(machine, tr("Rehearse the burn"), QKeySequence("R"), [this] {
        choose(Mark::rehearse);
        bed_->setFocus();
    });
    add(machine, tr("Burn the job"), QKeySequence("Ctrl+Return"), [this] {
        choose(Mark::burn);
        ask_to_burn();
    });
    add(machine, tr("The controller's own store: send, list, start, delete"), {}, [this] {
        if (machine_.connected()) open_store();
    });
    add(machine, tr("Self-test with the beam off"), {}, [this] {
        if (machine_.connected()) new SelfTestSheet(machine_, views_->currentWidget());
    });
    add(machine, tr("Find home"), {}, [this] { machine_.home(); });
    add(machine, tr("Connect to a machine"), {}, [this] { open_connection(); });
    add(machine, tr("Start the simulated machine"), {}, [this] { connect_sample_machine(); });
    add(machine, tr("Lay a fresh piece on the simulated bed"), {}, [this] { sample_.lay_fresh_piece(); });
    add(help, tr("Guide to what you are at"), QKeySequence::HelpContents,
        [this] { open_guide(guide_page_of(QApplication::focusWidget())); });
    add(help, tr("Find a command"), QKeySequence("Ctrl+K"),
        [this] { open_command_search(commands_, views_->currentWidget()); });
    add(help, tr("Keys"), QKeySequence("Ctrl+Shift+K"),
        [this] { open_shortcut_page(commands_, views_->currentWidget()); });
    add(help, tr("Settings"), QKeySequence("Ctrl+,"),
        [this] { open_settings_sheet(appearance_, views_->currentWidget()); });
    add_found_things();
    set_guide_pages();
}

/// What there is to be found besides commands: jobs, recipes and cards.
void MainWindow::add_found_things() {
    commands_.add_source([this] {
        std::vector<Command> jobs;
        for (const QString& path : recent_jobs())
            jobs.push_back({tr("Open %1").arg(QFileInfo(path).completeBaseName()), tr("Recent job"), {}, [this, path] {
                                files_->open({path});
                            }});
        return jobs;
    });
    commands_.add_source([this] {
        std::vector<Command> recipes;
        for (const recipes::Recipe& recipe : *recipes_.all())
            recipes.push_back({QString::fromStdString(recipe.material) + ", " + wording::name(recipe.settings.kind) +
                                   ": " + settings_in_short(recipe.settings),
                               tr("Recipe"),
                               {},
                               [this, id = recipe.id] { show_recipe(id); }});
        return recipes;
    });
    commands_.add_source([this] {
        std::vector<Command> cards;
        for (const swatches::CardRecord& record : recipes_.cards())
            cards.push_back(
                {QString::fromStdString(record.card.name.empty() ? swatches::title_of(record.card) : record.card.name) +
                     ", " + QString::fromStdString(record.card.material),
                 tr("Swatch card"),
                 {},
                 [this, code = record.card.code] {
                     choose_view(View::swatches);
                     swatches_->show_card(code);
                 }});
        return cards;
    });
    commands_.add_source([this] {
        std::vector<Command> pages;
        for (const GuidePage& page : guide_pages())
            pages.push_back({page.title, tr("Guide"), {}, [this, file = page.file] { open_guide(file); }});
        return pages;
    });
}

/// What each view is about; parts of it say otherwise themselves.
void MainWindow::set_guide_pages() {
    set_guide_page(views_->widget(static_cast<int>(View::job)), "first-burn.md");
    set_guide_page(views_->widget(static_cast<int>(View::proof)), "slate.md");
    set_guide_page(views_->widget(static_cast<int>(View::swatches)), "new-material.md");
    set_guide_page(views_->widget(static_cast<int>(View::recipes)), "new-material.md");
    set_guide_page(rail_, "first-burn.md");
}

void MainWindow::open_guide(const QString& page) {
    if (!guide_) guide_ = new GuideWindow(this);
    guide_->open_page(page);
}

}  // namespace chalkline::app
