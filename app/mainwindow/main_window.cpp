// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/main_window.hpp"

#include "history/history_sheets.hpp"
#include "machine/connection_sheet.hpp"
#include "machine/state_sheet.hpp"
#include "machine/store_sheet.hpp"
#include "mainwindow/left_open_sheet.hpp"
#include "mainwindow/ready_sheet.hpp"
#include "mainwindow/recent_jobs.hpp"
#include "mainwindow/settings_sheet.hpp"
#include "mainwindow/window_size.hpp"
#include "proof/proof_view.hpp"
#include "recipes/recipes_view.hpp"
#include "swatches/swatches_view.hpp"
#include "trays/art/art_tray.hpp"
#include "trays/burn_tray.hpp"
#include "trays/frame_tray.hpp"
#include "trays/rehearse_tray.hpp"
#include "trays/stock_tray.hpp"
#include "widgets/sheet.hpp"
#include "widgets/tray_page.hpp"

#include <chalkline/job/round_piece.hpp>

#include <QApplication>
#include <QBuffer>
#include <QClipboard>
#include <QCloseEvent>
#include <QDragEnterEvent>
#include <QHBoxLayout>
#include <QImage>
#include <QMimeData>
#include <QPointer>
#include <QStandardPaths>
#include <QTimer>
#include <QVBoxLayout>

namespace chalkline::app {
namespace {

QStringList files_of(const QMimeData* data) {
    QStringList files;
    for (const QUrl& url : data->urls())
        if (url.isLocalFile()) files << url.toLocalFile();
    return files;
}

WindowOptions with_folders(WindowOptions options) {
    if (options.recovery_folder.isEmpty())
        options.recovery_folder = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + "/recovery";
    if (options.recipes.isEmpty())
        options.recipes =
            QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation) + "/Chalkline/recipes.db";
    if (options.machines.isEmpty())
        options.machines =
            QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation) + "/Chalkline/machines";
    if (options.history.isEmpty()) options.history = history::BurnFolders::usual_place();
    return options;
}

}  // namespace

MainWindow::MainWindow(const WindowOptions& options)
    : options_(with_folders(options)),
      roles_(appearance_.roles()),
      plans_(document_, options.profile),
      machine_(options.profile),
      keeper_(machine_, options_.machines),
      desk_(document_, plans_, machine_),
      burns_(document_, plans_, machine_, desk_, options_.history),
      store_(machine_, plans_, history::StoredPrograms::usual_place()),
      placing_(document_, machine_.profile()),
      art_(document_, options.profile, options.surroundings),
      autosave_(document_, options_.recovery_folder),
      recipes_(options_.recipes, options.profile),
      player_(plans_),
      rehearsal_(player_, roles_) {
    setObjectName("window");
    setWindowTitle("Chalkline");
    setAcceptDrops(true);
    fit_to_screen(*this);
    setStyleSheet(theme::style_sheet(roles_));
    files_ = new JobFiles(document_, options.surroundings, this);
    history_.addStack(&document_.history());
    history_.addStack(&recipes_.history());
    history_.setActiveStack(&document_.history());
    build();
    add_commands();
    qApp->installEventFilter(this);
    tell_failed_tasks_to([this](const Error& error) { show_message(wording::describe(error)); });

    connect(files_, &JobFiles::message, this, &MainWindow::show_message);
    connect(&desk_, &BurnDesk::put_aside, this, [this] {
        show_message({tr("The job is not the one any more whose burn broke off"),
                      {},
                      tr("Undo the change to go on with it, or open it from what was burned before.")});
    });
    files_->set_machine(machine_.profile());
    connect(files_, &JobFiles::program_read, this, &MainWindow::show_program);
    // The recovered changes are copied anew before the old copy goes.
    connect(files_, &JobFiles::recovered, this, [this](const LeftBehind& copy) { autosave_.take_over(copy); });
    connect(&autosave_, &Autosave::failed, this,
            [this](const Error& error) { show_message(wording::describe(error)); });
    connect(files_, &JobFiles::art_wanted, &art_, qOverload<const QStringList&>(&ArtDesk::bring_in));
    connect(&art_, &ArtDesk::message, this, &MainWindow::show_message);
    connect(&art_, &ArtDesk::brought_in, this, [this] {
        choose(Mark::art);
        if (document_.job().motifs.empty()) return;
        placing_.choose({document_.job().last_motif()});
        bed_->bring_into_view(document_.job().last_motif());
    });
    connect(&art_, &ArtDesk::changed, this, &MainWindow::show_line);
    connect(&inbox_, &Inbox::changed, this, &MainWindow::show_line);
    connect(&document_, &JobDocument::changed, this, [this](JobChange change) {
        if (touches(change, JobChange::stock)) take_piece();
        if (touches(change, JobChange::file) && !document_.unsaved()) note_recent_job(document_.path());
    });
    connect(&appearance_, &Appearance::changed, this, &MainWindow::show_appearance);
    connect(files_, &JobFiles::opened, this, [this] { choose(document_.job().stock ? Mark::steps : Mark::art); });
    connect(&sample_, &SampleMachine::serving, this, [this](const QString& port) { keeper_.connect_to_sample(port); });
    connect(&keeper_, &MachineKeeper::message, this, &MainWindow::show_message);
    connect(&keeper_, &MachineKeeper::differs, this,
            [this] { open_difference_sheet(keeper_, views_->currentWidget()); });
    connect(&machine_, &MachineLink::profile_changed, this, [this](bool figures) {
        if (!figures) return;
        art_.set_machine(machine_.profile());
        files_->set_machine(machine_.profile());
        recipes_.set_machine(machine_.profile());
        take_recipes();
        // Another piece, another ground: flat bed and unrolled wall are looked at anew.
        if (const bool round = machine_.profile().turning.has_value(); std::exchange(shows_wall_, round) != round)
            bed_->fit_bed();
        bed_->update();
    });
    // The simulated machine has no edges anyone could hurt: it finds home by itself and is ready to burn.
    connect(&machine_, &MachineLink::ready, this, [this] {
        const bool locked = machine_.snapshot().state == machine::ControllerState::alarm;
        if (!locked || !machine_.is_sample()) return;
        machine_.put_in({});  // its rotary is plugged in once it is home
        machine_.home();
    });
    connect(&machine_, &MachineLink::finished, this, [this](machine::Activity done) {
        if (done == machine::Activity::homing && machine_.is_sample()) take_piece();
    });
    connect(&sample_, &SampleMachine::failed, this, [this](const QString& reason) {
        show_message(wording::describe(Error{"app.simulator-missing", {{"reason", reason.toStdString()}}, {}, 0}));
    });
    connect(&machine_, &MachineLink::failed, this,
            [this](machine::Activity, const Error& error) { show_message(wording::describe(error)); });
    connect(&machine_, &MachineLink::changed, this, [this] {
        // Once the machine rests, or goes on after a hold, the next Esc is a first one.
        const bool held = machine_.snapshot().state == machine::ControllerState::hold;
        if (!machine_.active() || (hold_seen_ && !held)) hold_asked_ = false;
        hold_seen_ = held;
    });
    connect(&desk_, &BurnDesk::changed, this, &MainWindow::show_line);
    connect(&document_, &JobDocument::changed, this, &MainWindow::show_line);
    connect(&machine_, &MachineLink::changed, this, &MainWindow::show_line);
    connect(&placing_, &PlacingDesk::refused, this,
            [this](const Error& error) { show_message(wording::describe(error)); });
    connect(&recipes_, &RecipeDesk::message, this, &MainWindow::show_message);
    connect(&recipes_, &RecipeDesk::changed, this, &MainWindow::take_recipes);
    connect(&desk_, &BurnDesk::burned, this,
            [this](const job::Ids& steps) { recipes_.count_burn(document_.job(), steps); });
    connect(&burns_, &BurnHistory::failed, this,
            [this](const Error& error) { show_message(wording::describe(error)); });
    connect(&desk_, &BurnDesk::began, this, [this] { desktop_.stay_awake(tr("A laser is burning")); });
    connect(&desk_, &BurnDesk::ended, this, &MainWindow::tell_of_burn);
    files_->set_beginning([this] {
        const auto first = recipes_.first_routine();
        return first ? job::apply({}, *first).job : job::Job{};
    });
    take_recipes();
    recipes_.say_how_it_opened();
    show_line();
    bed_->setFocus();
}

MainWindow::~MainWindow() {
    qApp->removeEventFilter(this);
    tell_failed_tasks_to({});
    // Children listen to members that go first otherwise.
    document_.disconnect();
    plans_.disconnect();
    machine_.disconnect();
    keeper_.disconnect();
    desk_.disconnect();
    burns_.disconnect();
    waiting_.disconnect();
    placing_.disconnect();
    art_.disconnect();
    inbox_.disconnect();
    recipes_.disconnect();
    player_.disconnect();
    rehearsal_.disconnect();
    qDeleteAll(findChildren<QWidget*>(Qt::FindDirectChildrenOnly));
}

void MainWindow::build() {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(0);
    top_ = new TopBar(document_, history_, roles_, this);
    line_ = new ChalkLine(roles_, this);
    strip_ = new MessageStrip(roles_, this);
    bed_ = new BedView(document_, plans_, machine_, desk_, placing_, roles_, this);
    strip_->lie_on(bed_);
    rail_ = new MachineRail(machine_, roles_, this);
    trays_ = new QStackedWidget(this);
    let_pages_decide_width(trays_);

    const TrayContext context{document_, plans_,   machine_, keeper_, desk_,    burns_,     waiting_,
                              *bed_,     placing_, art_,     inbox_,  recipes_, rehearsal_, *options_.surroundings,
                              roles_};
    auto* art = new ArtTray(context);
    steps_tray_ = new StepsTray(context);
    auto* burn = new BurnTray(context);
    auto* rehearse = new RehearseTray(context);
    auto* stock = new StockTray(context);
    connect(stock, &StockTray::refused, this, [this](const Error& error) { show_message(wording::describe(error)); });
    for (QWidget* tray :
         std::initializer_list<QWidget*>{art, steps_tray_, stock, rehearse, new FrameTray(context), burn})
        trays_->addWidget(new TrayPage(tray));

    auto* middle = new QHBoxLayout;
    middle->setSpacing(0);
    middle->addWidget(bed_, 1);
    auto* edge = new QWidget(this);
    edge->setObjectName("tray");
    auto* edge_layout = new QHBoxLayout(edge);
    edge_layout->setContentsMargins(1, 0, 0, 0);
    edge_layout->addWidget(trays_);
    middle->addWidget(edge);
    auto* job_view = new QWidget(this);
    auto* job_layout = new QVBoxLayout(job_view);
    job_layout->setContentsMargins(0, 0, 0, 0);
    job_layout->setSpacing(0);
    job_layout->addWidget(line_);
    job_layout->addLayout(middle, 1);
    views_ = new QStackedWidget(this);
    views_->addWidget(job_view);
    auto* proof = new ProofView(context, this);
    connect(proof, &ProofView::message, this, &MainWindow::show_message);
    connect(art, &ArtTray::proof_wanted, this, [this] { choose_view(View::proof); });
    views_->addWidget(proof);
    views_->addWidget(make_swatches(context));
    recipes_view_ = new RecipesView(document_, recipes_, roles_, this);
    views_->addWidget(recipes_view_);
    all->addWidget(top_);
    all->addWidget(views_, 1);
    all->addWidget(rail_);

    connect(top_, &TopBar::view_chosen, this, &MainWindow::choose_view);
    connect(top_, &TopBar::find_wanted, this, [this] { open_command_search(commands_, views_->currentWidget()); });
    connect(top_, &TopBar::settings_wanted, this,
            [this] { open_settings_sheet(appearance_, views_->currentWidget()); });
    connect(top_, &TopBar::new_wanted, files_, &JobFiles::new_job);
    connect(top_, &TopBar::open_wanted, files_, &JobFiles::ask_and_open);
    connect(top_, &TopBar::save_wanted, this, [this] { files_->save(); });
    connect(top_, &TopBar::export_wanted, this, [this] { files_->export_svg(machine_.profile()); });
    connect(line_, &ChalkLine::chose, this, &MainWindow::choose);
    connect(art, &ArtTray::add_files_wanted, files_, &JobFiles::ask_and_open);
    connect(art, &ArtTray::paste_wanted, this, &MainWindow::paste);
    connect(burn, &BurnTray::stood_wanted, this, [this] {
        const auto& broken = desk_.broken_off();
        if (broken && broken->head) open_stood_sheet(machine_, document_.job(), *broken->head, bed_);
    });
    connect(burn, &BurnTray::go_on_wanted, this, [this] { open_go_on_sheet(desk_, machine_.profile(), bed_); });
    connect(burn, &BurnTray::save_wanted, this, [this] { files_->save_program(plans_.planned()); });
    connect(burn, &BurnTray::store_wanted, this, &MainWindow::open_store);
    connect(&plans_, &PlanKeeper::program_shown, this, [this] {
        choose(Mark::rehearse);
        player_.show(0);
    });
    connect(rehearse, &RehearseTray::paper_wanted, this, &MainWindow::save_run_sheet);
    connect(burn, &BurnTray::burn_wanted, this, &MainWindow::ask_to_burn);
    connect(burn, &BurnTray::open_wanted, this, [this](const QString& path) { files_->open({path}); });
    connect(burn, &BurnTray::history_wanted, this, [this] {
        open_history_sheet(
            burns_, [this](const BurnRecord& record) { open_burned(record); },
            [this](const BurnRecord& record) { files_->guard([this, record] { take_up(record); }); }, bed_);
    });
    connect(rail_, &MachineRail::connection_wanted, this, &MainWindow::open_connection);
    connect(rail_, &MachineRail::explanation_wanted, this, [this] {
        open_state_sheet(
            machine_, document_.job(), [this] { open_connection(); }, views_->currentWidget());
    });
    connect(steps_tray_, &StepsTray::refused, this,
            [this](const Error& error) { show_message(wording::describe(error)); });
}

QWidget* MainWindow::make_swatches(const TrayContext& context) {
    swatches_ = new SwatchesView(context, options_.surroundings, this);
    connect(swatches_, &SwatchesView::message, this, &MainWindow::show_message);
    connect(swatches_, &SwatchesView::job_wanted, this, [this](const job::Job& job) {
        files_->guard([this, job] {
            document_.replace_unsaved(job, {});
            choose(Mark::stock);
        });
    });
    connect(swatches_, &SwatchesView::bed_picture_wanted, &sample_, &SampleMachine::take_picture);
    connect(&sample_, &SampleMachine::pictured, this,
            [this](const QString& file) { swatches_->desk().read_photo(file); });
    return swatches_;
}

void MainWindow::choose_view(View view) {
    if (views_->currentIndex() != static_cast<int>(view)) put_sheets_away();
    views_->setCurrentIndex(static_cast<int>(view));
    strip_->lie_on(view == View::job ? bed_ : views_->currentWidget());
    top_->show_view(view);
    // Undo means the history of what is looked at.
    const bool kept = view == View::recipes || view == View::swatches;
    history_.setActiveStack(kept ? &recipes_.history() : &document_.history());
}

/// Every widget looks its colours up in the window's roles: they change in place.
void MainWindow::show_appearance() {
    roles_ = appearance_.roles();
    setStyleSheet(theme::style_sheet(roles_));
    for (QWidget* widget : findChildren<QWidget*>())
        widget->update();
}

void MainWindow::show_recipe(recipes::RecipeId id) {
    choose_view(View::recipes);
    recipes_view_->shelf().choose(id);
}

/// What is known of materials decides checks too.
void MainWindow::take_recipes() {
    plans_.set_ground({machine_.flat_profile(), recipes_.all(), recipes_.rules().ceiling});
}

/// Flat or round: the machine is what the job's piece makes it.
void MainWindow::take_piece() {
    const job::RoundPiece* piece = document_.job().round_piece();
    const auto wall = piece ? std::optional(job::wall_of(*piece)) : std::nullopt;
    sample_.put_in(wall);
    machine_.put_in(wall);
}

/// A sheet belongs to what it was opened from.
void MainWindow::put_sheets_away() {
    for (Sheet* sheet : findChildren<Sheet*>())
        if (sheet->isVisible()) sheet->put_away();
}

void MainWindow::choose(Mark mark) {
    choose_view(View::job);
    if (trays_->currentIndex() != static_cast<int>(mark)) put_sheets_away();
    line_->choose(mark);
    trays_->setCurrentIndex(static_cast<int>(mark));
    bed_->hold_stock(mark == Mark::stock);
    bed_->hold_head(mark == Mark::frame);
    bed_->rehearse(mark == Mark::rehearse ? &rehearsal_ : nullptr);
    if (mark != Mark::rehearse) player_.play(false);
}

void MainWindow::show_line() {
    line_->show_facts(line_facts(document_, plans_, machine_, desk_, questions_waiting()));
    setWindowTitle(document_.title() + " — Chalkline");
}

int MainWindow::questions_waiting() const {
    return static_cast<int>(art_.too_large().size()) + static_cast<int>(art_.changed_files().size()) +
           static_cast<int>(inbox_.arrived().size());
}

void MainWindow::paste() {
    take_data(QApplication::clipboard()->mimeData());
}

/// Files, an SVG drawing or a picture, from the clipboard or dropped.
void MainWindow::take_data(const QMimeData* dropped) {
    if (const QStringList files = files_of(dropped); !files.isEmpty()) return files_->open(files);
    for (const char* kind : {"image/svg+xml", "application/pdf"})
        if (dropped->hasFormat(kind)) return art_.bring_in(dropped->data(kind), tr("pasted"));
    if (dropped->hasText() && dropped->text().trimmed().startsWith('<'))
        return art_.bring_in(dropped->text().toUtf8(), tr("pasted"));
    if (!dropped->hasImage()) return;
    QByteArray png;
    QBuffer buffer(&png);
    buffer.open(QIODevice::WriteOnly);
    QImage image = qvariant_cast<QImage>(dropped->imageData());
    // The clipboard's resolution is the screen's and says nothing of the picture's size.
    image.setDotsPerMeterX(-1);
    image.setDotsPerMeterY(-1);
    if (image.save(&buffer, "PNG")) art_.bring_in(png, tr("pasted picture"));
}

void MainWindow::ask_to_burn() {
    open_ready_sheet(document_.job(), plans_, desk_, machine_.profile(), bed_);
}

/// A job as it was burned once, to be burned again.
void MainWindow::open_burned(const BurnRecord& record) {
    files_->guard([this, record] { files_->open_kept(record.job_file(), record.path, [] {}); });
}

bool MainWindow::offer_left_behind() {
    const auto broken = burns_.broken_off();
    const auto left = Autosave::left_behind(options_.recovery_folder);
    if ((broken ? 1 : 0) + left.size() > 1) {
        const LeftOpenActs acts{[this](const BurnRecord& burn) { take_up(burn); },
                                [this](const BurnRecord& burn) { burns_.give_up(burn); },
                                [this](const LeftBehind& copy) { files_->recover(copy); }};
        open_left_open_sheet(broken, left, acts, views_->currentWidget());
        return true;
    }
    if (!broken) return files_->offer_left_behind(options_.recovery_folder);
    open_broken_burn_sheet(
        burns_, *broken, [this, burn = *broken] { take_up(burn); }, views_->currentWidget());
    return true;
}

/// Opens the job of a burn that was not brought to its end, so that it can be gone on with.
void MainWindow::take_up(const BurnRecord& record) {
    files_->open_kept(record.job_file(), record.path, [this, record] {
        burns_.take_up(record);
        QMetaObject::invokeMethod(
            this, [this] { choose(Mark::burn); }, Qt::QueuedConnection);
    });
}

/// Whoever is out of the room hears of it, and the computer may sleep again.
void MainWindow::tell_of_burn(machine::BurnEnd how) {
    desktop_.may_sleep();
    const bool well = how == machine::BurnEnd::finished;
    if (how == machine::BurnEnd::stopped) return;  // whoever stopped it knows
    desktop_.tell(well ? tr("Burned") : tr("The burn broke off"),
                  well || !desk_.trouble() ? document_.title() : desk_.trouble()->whole(), !well);
}

/// A program from a file is rehearsed and burned like a plan, after the same checks.
void MainWindow::show_program(const QString& name, const machine::Program& program) {
    plans_.show_program(name, std::make_shared<const machine::Program>(program));
}

void MainWindow::save_run_sheet() {
    const clearance::Clearance& planned = plans_.planned();
    if (!planned.plan) return;
    // As the bed looks when nobody rehearses on it.
    bed_->rehearse(nullptr);
    const QImage picture = bed_->grab().toImage();
    bed_->rehearse(&rehearsal_);
    files_->save_run_sheet({document_.title(), document_.job(), planned.plan, desk_.checks(), machine_.profile(),
                            burns_.correction().factor, picture});
}

void MainWindow::open_connection() {
    const MachineActs acts{[this] { connect_sample_machine(); }, [this] { sample_.lay_fresh_piece(); },
                           [this] { open_store(); }};
    open_connection_sheet(machine_, keeper_, acts, views_->currentWidget());
}

void MainWindow::open_store() {
    new StoreSheet(machine_, store_, document_.title(), views_->currentWidget());
}

void MainWindow::connect_sample_machine() {
    sample_.start(machine_.flat_profile(), options_.simulator_speed);
}

// ---------------------------------------------------------------- keys, drops, closing

/// While anything moves or burns the first Esc holds and the second stops, wherever the focus is.
bool MainWindow::escape_pressed() {
    if (!machine_.active()) return false;
    const bool held = machine_.snapshot().state == machine::ControllerState::hold;
    // Where nothing can be held the first Esc stops.
    if (held || hold_asked_ || !machine_.snapshot().can.hold) {
        machine_.stop();
    } else {
        machine_.hold();
        hold_asked_ = true;
    }
    return true;
}

/// Esc closes the sheet over the window when the focus is outside it; inside, its fields and itself take the key.
bool MainWindow::put_sheet_away(const QWidget& focused) {
    if (focused.window() != this || QApplication::activePopupWidget()) return false;
    for (auto* sheet : findChildren<Sheet*>())
        if (sheet->isVisible() && sheet != &focused && !sheet->isAncestorOf(&focused)) {
            sheet->put_away();
            return true;
        }
    return false;
}

bool MainWindow::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::KeyPress && static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape) {
        // The application sends the same press to the window first and then to the focused widget: take it once.
        if (!watched->isWidgetType() && machine_.active()) return false;
        if (!static_cast<QKeyEvent*>(event)->isAutoRepeat() && escape_pressed()) return true;
        if (machine_.active()) return true;
        if (auto* widget = qobject_cast<QWidget*>(watched)) return put_sheet_away(*widget);
    }
    return QWidget::eventFilter(watched, event);
}

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
    const QMimeData* dragged = event->mimeData();
    const bool drawing = dragged->hasFormat("image/svg+xml") || dragged->hasImage();
    if (!drawing && files_of(dragged).isEmpty()) return;
    // Always a copy: a move would let its source delete the maker's file.
    event->setDropAction(Qt::CopyAction);
    event->accept();
}

void MainWindow::dropEvent(QDropEvent* event) {
    event->setDropAction(Qt::CopyAction);
    event->accept();
    take_data(event->mimeData());
}

void MainWindow::end_in_the_dark() {
    constexpr int patience = 8000;  // ms: a stop ends by itself well before
    autosave_.keep_before_end();
    closing_ = true;
    if (!machine_.active()) return QApplication::quit();
    connect(&machine_, &MachineLink::stopped, this, &QApplication::quit, Qt::QueuedConnection);
    connect(&machine_, &MachineLink::failed, this, &QApplication::quit, Qt::QueuedConnection);
    QTimer::singleShot(patience, this, &QApplication::quit);
    machine_.stop();
}

bool MainWindow::hold_up_logout() {
    if (!machine_.active() && !document_.unsaved()) return false;
    close();  // asks
    return true;
}

void MainWindow::closeEvent(QCloseEvent* event) {
    if (closing_) {
        keep_size(*this);
        return event->accept();
    }
    event->ignore();
    const auto leave = [this] {
        closing_ = true;
        autosave_.forget();
        close();
    };
    if (machine_.active()) {
        auto* sheet = new Sheet(tr("The machine is still working"), views_->currentWidget());
        sheet->add_text(tr("Stop it, then close Chalkline."), Tone::quiet);
        sheet->add_button(tr("Keep working"), ButtonLook::accent, {});
        sheet->add_button(tr("Stop it"), ButtonLook::plain, [this] { machine_.stop(); });
        return sheet->open();
    }
    files_->guard(leave);
}

}  // namespace chalkline::app
