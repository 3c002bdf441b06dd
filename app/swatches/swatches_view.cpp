// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/swatches_view.hpp"

#include "recipes/recipe_sheets.hpp"
#include "swatches/book_print.hpp"
#include "swatches/card_design_panel.hpp"
#include "swatches/place_panel.hpp"
#include "widgets/sheet.hpp"
#include "widgets/tray_page.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/wording/swatch_words.hpp>

#include <QComboBox>
#include <QDragEnterEvent>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QMimeData>

namespace chalkline::app {
namespace {

template <class Chosen>
void ask_file(QWidget* parent, const QString& title, const QString& name, QFileDialog::AcceptMode mode,
              const QString& filter, const QString& suffix, Chosen chosen) {
    auto* dialog = new QFileDialog(parent->window(), title);
    dialog->setObjectName(name);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowModality(Qt::NonModal);
    dialog->setAcceptMode(mode);
    dialog->setDefaultSuffix(suffix);
    dialog->setNameFilter(filter);
    QObject::connect(dialog, &QFileDialog::fileSelected, parent, chosen);
    dialog->show();
}

}  // namespace

SwatchesView::SwatchesView(const TrayContext& context, std::shared_ptr<const Surroundings> surroundings,
                           QWidget* parent)
    : QWidget(parent),
      context_(context),
      desk_(context.document, context.recipes, context.machine, context.desk, std::move(surroundings)) {
    setObjectName("swatchesView");
    setAttribute(Qt::WA_StyledBackground);
    setAcceptDrops(true);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(0);
    all->addWidget(make_bar());
    middle_ = new QStackedWidget(this);
    book_ = new CardBook(desk_, context.roles, middle_);
    canvas_ = new CardCanvas(desk_, context.roles, middle_);
    middle_->addWidget(book_);
    middle_->addWidget(canvas_);
    side_ = new QStackedWidget(this);
    let_pages_decide_width(side_);
    auto* fresh = new NewCardPanel(desk_, context.document, this);
    auto* place = new PlacePanel(desk_, context.document, this);
    read_ = new ReadPanel(desk_, context.document, context.recipes, context.machine, context.roles, this);
    for (QWidget* panel :
         std::initializer_list<QWidget*>{fresh, new CardDesignPanel(desk_, context, this), place, read_})
        side_->addWidget(new TrayPage(panel));
    auto* row = new QHBoxLayout;
    row->setSpacing(0);
    row->addWidget(middle_, 1);
    row->addWidget(side_);
    all->addLayout(row, 1);

    connect(book_, &CardBook::chose, this, &SwatchesView::show_card);
    connect(book_, &CardBook::print_wanted, this, &SwatchesView::print_book);
    connect(fresh, &NewCardPanel::made, this, [this] { choose_page(Page::design); });
    connect(place, &PlacePanel::bed_wanted, this, &SwatchesView::put_on_bed);
    connect(place, &PlacePanel::file_wanted, this, &SwatchesView::save_job);
    connect(canvas_, &CardCanvas::verdict_wanted, read_, &ReadPanel::give_verdict);
    connect(read_, &ReadPanel::photo_wanted, this, &SwatchesView::ask_for_photo);
    connect(read_, &ReadPanel::bed_picture_wanted, this, &SwatchesView::bed_picture_wanted);
    connect(read_, &ReadPanel::photograph_shown, canvas_, &CardCanvas::show_photograph);
    connect(read_, &ReadPanel::use_wanted, this, &SwatchesView::use_recipe);
    connect(read_, &ReadPanel::finer_wanted, this, [this] {
        if (!desk_.cell()) return;
        desk_.add(swatches::finer_card(desk_.record()->card, *desk_.cell(), desk_.machine()), tr("Finer swatch card"));
        choose_page(Page::design);
    });
    connect(&desk_, &SwatchDesk::changed, this, &SwatchesView::follow);
    connect(&desk_, &SwatchDesk::looked, this, &SwatchesView::follow);
    connect(&desk_, &SwatchDesk::message, this, &SwatchesView::message);
    choose_page(Page::book);
}

QWidget* SwatchesView::make_bar() {
    auto* bar = new QWidget(this);
    bar->setObjectName("swatchBar");
    auto* row = new QHBoxLayout(bar);
    row->setContentsMargins(18, 8, 16, 8);
    row->setSpacing(8);
    const std::initializer_list<std::pair<QString, Page>> names{
        {tr("Book"), Page::book}, {tr("Design"), Page::design}, {tr("Burn"), Page::burn}, {tr("Read"), Page::read}};
    for (const auto& [name, page] : names) {
        auto* button = make_button(name, ButtonLook::plain, bar);
        connect(button, &QPushButton::clicked, this, [this, page = page] { choose_page(page); });
        row->addWidget(button);
        pages_.push_back(button);
    }
    row->addSpacing(10);
    facts_ = make_label({}, Tone::quiet, bar);
    row->addWidget(facts_, 1);
    copy_ = make_button(tr("Copy"), ButtonLook::link, bar);
    copy_->setToolTip(tr("A new card like this one"));
    row->addWidget(copy_);
    remove_ = make_button(tr("Remove"), ButtonLook::link, bar);
    remove_->setToolTip(tr("Take the card and all that was read of it out of the book; Undo brings it back"));
    row->addWidget(remove_);
    connect(copy_, &QPushButton::clicked, this, [this] {
        if (!desk_.record()) return;
        desk_.add(desk_.record()->card, tr("Copy swatch card"));
        choose_page(Page::design);
    });
    connect(remove_, &QPushButton::clicked, this, [this] {
        desk_.remove();
        choose_page(Page::book);
    });
    return bar;
}

void SwatchesView::show_card(const std::string& code) {
    desk_.choose(code);
    choose_page(desk_.burn() ? Page::read : Page::design);
}

void SwatchesView::choose_page(Page page) {
    if (!desk_.record()) page = Page::book;
    page_ = page;
    middle_->setCurrentWidget(page == Page::book ? static_cast<QWidget*>(book_) : canvas_);
    side_->setCurrentIndex(static_cast<int>(page));
    canvas_->set_mode(page == Page::read ? CardCanvas::Mode::read : CardCanvas::Mode::design);
    if (page != Page::read) desk_.reader().give_up();
    if (page != Page::book && isVisible()) canvas_->setFocus();
    follow();
}

void SwatchesView::follow() {
    const bool any = desk_.record() != nullptr;
    if (!any && page_ != Page::book) return choose_page(Page::book);
    for (std::size_t i = 0; i < pages_.size(); ++i) {
        set_look(pages_[i], static_cast<int>(i) == static_cast<int>(page_) ? ButtonLook::accent : ButtonLook::plain);
        pages_[i]->setEnabled(i == 0 || any);
    }
    copy_->setVisible(any && page_ != Page::book);
    remove_->setVisible(any && page_ != Page::book);
    facts_->setText(facts());
}

QString SwatchesView::facts() const {
    const auto* record = desk_.record();
    if (page_ == Page::book || !record) return tr("%n cards", nullptr, static_cast<int>(desk_.all().size()));
    QString text = (record->card.name.empty() ? QString() : QString::fromStdString(record->card.name) + " · ") +
                   wording::describe(record->card);
    const auto* burn = desk_.burn();
    const WorkedCard& worked = desk_.worked();
    const bool known = !desk_.stale() && worked.job && !worked.error;
    if (page_ == Page::read && burn) {
        text += " · " + tr("burned %1").arg(SwatchDesk::when(*burn));
        if (burn->seconds > 0) text += " " + tr("in %1").arg(wording::duration(Duration::seconds(burn->seconds)));
        if (known) text += " " + tr("(estimate %1)").arg(wording::duration(worked.time));
    } else if (known) {
        text += " · " + tr("%1 × %2 mm, %3")
                            .arg(desk_.layout().size.x, 0, 'f', 0)
                            .arg(desk_.layout().size.y, 0, 'f', 0)
                            .arg(wording::duration(worked.time));
    }
    return text;
}

// ---------------------------------------------------------------- what the panels ask for

void SwatchesView::put_on_bed(bool on_piece) {
    const auto job = desk_.job(on_piece);
    if (!job) return Q_EMIT message(wording::describe(job.error()));
    Q_EMIT job_wanted(*job, QString::fromStdString(swatches::title_of(desk_.record()->card)));
}

void SwatchesView::save_job() {
    ask_file(this, tr("Save the card as a job"), "saveCard", QFileDialog::AcceptSave, tr("Jobs (*.chalk)"), "chalk",
             [this](const QString& file) {
                 if (!desk_.record()) return;
                 const auto job = desk_.job(false);
                 const auto done =
                     job ? job::save(*job, file.toStdString()) : Result<void>(tl::unexpected(job.error()));
                 if (!done) Q_EMIT message(wording::describe(done.error()));
             });
}

void SwatchesView::print_book() {
    ask_file(this, tr("Print the swatch book"), "printBook", QFileDialog::AcceptSave, tr("PDF (*.pdf)"), "pdf",
             [this](const QString& file) {
                 const auto done = write_card_book(file, book_->shown(), desk_.machine().beam);
                 if (!done) Q_EMIT message(wording::describe(done.error()));
             });
}

void SwatchesView::ask_for_photo() {
    ask_file(this, tr("Photograph of the card"), "cardPhoto", QFileDialog::AcceptOpen,
             tr("Pictures (*.png *.jpg *.jpeg *.webp *.bmp *.tif *.tiff)"), {},
             [this](const QString& file) { desk_.read_photo(file); });
}

/// One step of the job takes the swatch's settings, after what changes was seen.
void SwatchesView::use_recipe(const recipes::Recipe& recipe) {
    auto* sheet = new Sheet(tr("Use in step"), this);
    auto* steps = new QComboBox(sheet);
    steps->setAccessibleName(tr("Step of the job"));
    std::vector<job::Step> fitting;
    const auto& all = context_.document.job().steps;
    for (std::size_t i = 0; i < all.size(); ++i)
        if (all[i].settings.kind == recipe.settings.kind) {
            fitting.push_back(all[i]);
            steps->addItem(tr("Step %1, %2").arg(i + 1).arg(wording::name(all[i].settings.kind)));
        }
    sheet->add_widget(steps);
    QLabel* changes = sheet->add_text({}, Tone::quiet);
    const auto show = [changes, fitting, recipe](int index) {
        const QString text = difference_text(fitting[static_cast<std::size_t>(index)].settings, recipe.settings);
        changes->setText(text.isEmpty() ? tr("It has these settings already.") : text);
    };
    connect(steps, &QComboBox::currentIndexChanged, sheet, show);
    show(0);
    sheet->add_button(tr("Use"), ButtonLook::accent, [this, steps, fitting, recipe] {
        const auto& step = fitting[static_cast<std::size_t>(steps->currentIndex())];
        const auto done = context_.document.edit(
            tr("Settings from a swatch"),
            job::change_settings(context_.document.job(), step.id, recipe.settings, desk_.machine().top_speed()),
            JobChange::steps);
        if (!done) Q_EMIT message(wording::describe(done.error()));
    });
    sheet->add_button(tr("Leave it"), ButtonLook::plain, {});
    sheet->open();
}

// ---------------------------------------------------------------- dropped photographs

void SwatchesView::dragEnterEvent(QDragEnterEvent* event) {
    if (page_ == Page::read && event->mimeData()->hasUrls()) event->acceptProposedAction();
}

void SwatchesView::dropEvent(QDropEvent* event) {
    const auto urls = event->mimeData()->urls();
    if (urls.isEmpty() || !urls.front().isLocalFile()) return;
    event->acceptProposedAction();
    desk_.read_photo(urls.front().toLocalFile());
}

}  // namespace chalkline::app
