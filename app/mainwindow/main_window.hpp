// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "art/art_desk.hpp"
#include "art/inbox.hpp"
#include "bed/bed_view.hpp"
#include "commands/commands.hpp"
#include "desktop/appearance.hpp"
#include "desktop/desktop.hpp"
#include "document/autosave.hpp"
#include "document/job_document.hpp"
#include "document/plan_keeper.hpp"
#include "history/burn_history.hpp"
#include "history/waiting_jobs.hpp"
#include "line/chalk_line.hpp"
#include "mainwindow/job_files.hpp"
#include "mainwindow/top_bar.hpp"
#include "rail/machine_rail.hpp"
#include "recipes/recipe_desk.hpp"
#include "rehearsal/rehearsal_layer.hpp"
#include "session/burn_desk.hpp"
#include "session/machine_keeper.hpp"
#include "session/machine_link.hpp"
#include "session/store_desk.hpp"
#include "theme/theme.hpp"
#include "trays/steps/steps_tray.hpp"
#include "widgets/message_strip.hpp"

#include <QMimeData>
#include <QScrollArea>
#include <QStackedWidget>
#include <QUndoGroup>
#include <QWidget>

namespace chalkline::app {

class GuideWindow;
class RecipesView;
class SwatchesView;

/// How the window begins.
struct WindowOptions {
    machine::MachineProfile profile;
    std::shared_ptr<const Surroundings> surroundings = std::make_shared<const Surroundings>();
    QString recipes;                ///< file of the recipes; empty: in the user's data folder
    QString recovery_folder;        ///< where unsaved changes are kept; empty: in the user's data folder
    QString machines;               ///< folder of the machine profiles; empty: in the user's data folder
    QString history;                ///< folder of the burns; empty: in the user's data folder
    QString simulator_speed = "1";  ///< virtual seconds a second of the simulated machine, or "max"
};

/// Puts the parts together: top bar, line, bed and tray, rail. Holds what they share and no logic of its own beyond
/// sheets, shortcuts and dropped files.
class MainWindow : public QWidget {
    Q_OBJECT
 public:
    explicit MainWindow(const WindowOptions& options);
    ~MainWindow() override;

    JobDocument& document() { return document_; }
    MachineLink& machine() { return machine_; }
    MachineKeeper& keeper() { return keeper_; }
    BurnDesk& desk() { return desk_; }
    BurnHistory& burns() { return burns_; }
    Player& player() { return player_; }
    RehearsalLayer& rehearsal() { return rehearsal_; }
    PlanKeeper& plans() { return plans_; }
    BedView& bed() { return *bed_; }
    SwatchesView& swatches() { return *swatches_; }
    ChalkLine& line() { return *line_; }
    JobFiles& files() { return *files_; }
    PlacingDesk& placing() { return placing_; }
    ArtDesk& art() { return art_; }
    Inbox& inbox() { return inbox_; }
    Autosave& autosave() { return autosave_; }
    /// Offers what a crashed Chalkline left behind: a burn that broke off, or else changes that were not saved.
    bool offer_left_behind();
    StepsTray& steps_tray() { return *steps_tray_; }
    void choose(Mark mark);
    void choose_view(View view);
    RecipeDesk& recipes() { return recipes_; }
    Appearance& appearance() { return appearance_; }
    const Commands& commands() const { return commands_; }
    /// Asked to end from outside, without anybody to answer questions: the machine is stopped and its beam confirmed
    /// off as far as time allows, what is not saved is kept for the next start, then the program ends.
    void end_in_the_dark();
    /// The session is logged out of: asks first where something would be lost or is still burning. True when it has to
    /// wait.
    bool hold_up_logout();
    /// Starts the simulated machine and connects to it.
    void connect_sample_machine();
    void show_message(const wording::Message& message) { strip_->show_message(message); }

 protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    void closeEvent(QCloseEvent* event) override;

 private:
    void build();
    QWidget* make_swatches(const TrayContext& context);
    void add_commands();
    void add_found_things();
    void show_appearance();
    void show_recipe(recipes::RecipeId id);
    void show_line();
    int questions_waiting() const;
    void paste();
    void take_data(const QMimeData* dropped);
    void ask_to_burn();
    void open_connection();
    void open_store();
    void take_recipes();
    void take_piece();
    void open_guide(const QString& page);
    void set_guide_pages();
    GuideWindow* guide_ = nullptr;  ///< made when it is first asked for
    bool shows_wall_ = false;       ///< the bed is the wall of a round piece
    void save_run_sheet();
    void show_program(const QString& name, const machine::Program& program);
    void open_burned(const BurnRecord& record);
    void take_up(const BurnRecord& record);
    void tell_of_burn(machine::BurnEnd how);
    bool escape_pressed();
    bool put_sheet_away(const QWidget& focused);
    void put_sheets_away();

    WindowOptions options_;
    Appearance appearance_;
    theme::Roles roles_;
    JobDocument document_;
    PlanKeeper plans_;
    MachineLink machine_;
    MachineKeeper keeper_;
    BurnDesk desk_;
    BurnHistory burns_;
    StoreDesk store_;
    WaitingJobs waiting_;
    Desktop desktop_;
    PlacingDesk placing_;
    ArtDesk art_;
    Autosave autosave_;
    Inbox inbox_;
    RecipeDesk recipes_;
    Player player_;
    RehearsalLayer rehearsal_;
    SampleMachine sample_;
    QUndoGroup history_;
    JobFiles* files_ = nullptr;
    TopBar* top_ = nullptr;
    ChalkLine* line_ = nullptr;
    MessageStrip* strip_ = nullptr;
    BedView* bed_ = nullptr;
    QStackedWidget *views_ = nullptr, *trays_ = nullptr;
    StepsTray* steps_tray_ = nullptr;
    SwatchesView* swatches_ = nullptr;
    RecipesView* recipes_view_ = nullptr;
    Commands commands_{this};
    MachineRail* rail_ = nullptr;
    bool hold_asked_ = false;  ///< the first Esc was pressed; the next one stops
    bool hold_seen_ = false;
    bool closing_ = false;
};

}  // namespace chalkline::app
