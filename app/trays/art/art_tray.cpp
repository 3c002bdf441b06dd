// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/art_tray.hpp"

#include "trays/art/design_panel.hpp"
#include "trays/art/drawing_bar.hpp"
#include "trays/art/findings_panel.hpp"
#include "trays/art/motif_card.hpp"
#include "trays/art/page_chooser.hpp"
#include "trays/art/placing_panel.hpp"
#include "trays/art/question_card.hpp"
#include "trays/art/reading_panel.hpp"
#include "trays/art/remarks_panel.hpp"
#include "trays/art/trace_panel.hpp"

#include <chalkline/job/edits.hpp>

#include <QAbstractButton>
#include <QDir>
#include <QFileDialog>
#include <QFileInfo>

namespace chalkline::app {
namespace {

void empty(QLayout* layout) {
    while (QLayoutItem* item = layout->takeAt(0)) {
        if (item->widget()) {
            item->widget()->hide();
            item->widget()->deleteLater();
        }
        delete item;
    }
}

QVBoxLayout* add_section(QVBoxLayout* all, int spacing, int above) {
    auto* section = new QVBoxLayout;
    section->setSpacing(spacing);
    section->setContentsMargins(0, above, 0, 0);
    all->addLayout(section);
    return section;
}

/// What a control is called: buttons by their text, where nothing else is said.
QString name_of(const QWidget& control) {
    const auto* button = qobject_cast<const QAbstractButton*>(&control);
    return control.accessibleName().isEmpty() && button ? button->text() : control.accessibleName();
}

QString mm(double value) {
    return QString::fromStdString(format_number(value, 1));
}

}  // namespace

ArtTray::ArtTray(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    all->addWidget(make_label(tr("Art"), Tone::heading, this));
    questions_ = add_section(all, 8, 0);
    cards_ = add_section(all, 8, 0);
    remarks_ = add_section(all, 4, 2);
    busy_ = new QWidget(this);
    auto* reading = new QHBoxLayout(busy_);
    reading->setContentsMargins(0, 0, 0, 0);
    reading->addWidget(make_label(tr("Reading…"), Tone::quiet, busy_), 1);
    auto* give_up = make_button(tr("Cancel"), ButtonLook::link, busy_);
    give_up->setAccessibleName(tr("Stop reading art"));
    connect(give_up, &QPushButton::clicked, this, [this] {
        context_.art.stop_reading();
        show_details_again();  // what was chosen to be read otherwise is not
    });
    reading->addWidget(give_up);
    all->addWidget(busy_);
    auto* row = new QHBoxLayout;
    auto* add = make_button(tr("Add files…"), ButtonLook::accent, this);
    connect(add, &QPushButton::clicked, this, &ArtTray::add_files_wanted);
    row->addWidget(add);
    auto* paste = make_button(tr("Paste"), ButtonLook::plain, this);
    paste->setToolTip(tr("A drawing, picture or files from the clipboard (Ctrl+V)"));
    connect(paste, &QPushButton::clicked, this, &ArtTray::paste_wanted);
    row->addWidget(paste);
    row->addStretch(1);
    all->addLayout(row);

    all->addWidget(new DrawingBar(context_, this));
    all->addWidget(new PlacingPanel(context_, this));

    details_ = add_section(all, 14, 0);
    inbox_ = add_section(all, 6, 14);
    all->addStretch(1);
    connect(&context_.document, &JobDocument::changed, this, &ArtTray::follow);
    connect(&context_.art, &ArtDesk::changed, this, [this] {
        show_questions();
        show_details();
    });
    connect(&context_.inbox, &Inbox::changed, this, [this] {
        show_questions();
        show_inbox();
    });
    // Letters typed after a text was placed are meant for it.
    connect(
        &context_.placing, &PlacingDesk::drawn, this,
        [this] {
            if (design_) design_->take_caret();
        },
        Qt::QueuedConnection);
    connect(&context_.placing, &PlacingDesk::selection_changed, this, [this] {
        show_details();
        for (auto* card : findChildren<MotifCard*>())
            card->update();
    });
    // What lies off the bed is counted again once the art rests, unless something in the details is being typed.
    moved_.setSingleShot(true);
    moved_.setInterval(300);  // ms
    connect(&moved_, &QTimer::timeout, this, [this] {
        const QWidget* focused = window()->focusWidget();
        if (!design_ && (!focused || !isAncestorOf(focused))) show_details_again();
    });
    rebuild();
    show_inbox();
}

void ArtTray::follow(JobChange change) {
    if (touches(change, JobChange::art))
        rebuild();
    else if (touches(change, JobChange::stock))
        show_details();
    if (touches(change, JobChange::place) && !touches(change, JobChange::art)) moved_.start();
}

const job::Motif* ArtTray::chosen() const {
    const auto& motifs = context_.document.job().motifs;
    if (const auto only = context_.placing.only()) return context_.document.job().motif(*only);
    return motifs.size() == 1 ? &motifs[0] : nullptr;
}

void ArtTray::rebuild() {
    empty(cards_);
    for (const job::Motif& motif : context_.document.job().motifs)
        cards_->addWidget(new MotifCard(motif, context_, this));
    if (context_.document.job().motifs.empty())
        cards_->addWidget(make_label(tr("Nothing yet. Drop drawings or pictures anywhere in the window (SVG, PDF, DXF, "
                                        "PNG, JPEG and more), paste them, or add files."),
                                     Tone::quiet, this));
    show_questions();
    show_details();
}

// ---------------------------------------------------------------- what waits for an answer

void ArtTray::show_questions() {
    empty(questions_);
    ask_about_size();
    ask_about_units();
    ask_about_changes();
    ask_about_inbox();
    busy_->setVisible(context_.art.busy());
}

void ArtTray::ask_about_size() {
    for (std::size_t i = 0; i < context_.art.too_large().size(); ++i) {
        const TooLarge& waiting = context_.art.too_large()[i];
        const auto bed = context_.machine.profile().bed();
        const auto box = art::bounds(*waiting.art);
        QStringList over;
        if (box.width() > bed.width()) over << tr("%1 mm too wide").arg(mm(box.width() - bed.width()));
        if (box.height() > bed.height()) over << tr("%1 mm too high").arg(mm(box.height() - bed.height()));
        auto* card = new QuestionCard(tr("%1 does not fit the bed").arg(QString::fromStdString(waiting.art->name)),
                                      waiting.message.what + ": " + over.join(", ") + ".", context_.roles, this);
        card->add_answer(tr("Bring in at 1:%1").arg(mm(1 / waiting.fitting_scale)),
                         [this, i, scale = waiting.fitting_scale] { context_.art.bring_in_at_scale(i, scale); });
        card->add_answer(tr("At full size"), [this, i] { context_.art.bring_in_at_scale(i, 1); });
        card->add_answer(tr("Leave it"), [this, i] { context_.art.drop_too_large(i); });
        questions_->addWidget(card);
    }
}

void ArtTray::ask_about_units() {
    for (const job::Motif& motif : context_.document.job().motifs) {
        const art::Artwork& art = *motif.art;
        if (!art.unit_missing || art.read_with.unit) continue;
        const auto box = art::bounds(art);
        auto* card = new QuestionCard(tr("In which unit is %1 drawn?").arg(QString::fromStdString(art.name)),
                                      tr("The file does not say. It was taken as millimetres."), context_.roles, this);
        const auto add = [&](const QString& text, double unit) {
            card->add_answer(text, [this, id = motif.id, unit] {
                art::ReadOptions options = context_.art.options_of(id);
                options.unit = unit;
                context_.art.read_again(id, options, tr("Unit of the drawing"));
            });
        };
        add(tr("mm: %1 × %2 mm").arg(mm(box.width()), mm(box.height())), 1);
        add(tr("inch: %1 × %2 mm").arg(mm(box.width() * 25.4), mm(box.height() * 25.4)), 25.4);
        questions_->addWidget(card);
    }
}

void ArtTray::ask_about_changes() {
    for (const QString& path : context_.art.changed_files()) {
        auto* card =
            new QuestionCard(tr("%1 changed on the disk").arg(QFileInfo(path).fileName()),
                             tr("Place, size and steps stay for inks that still exist."), context_.roles, this);
        card->add_answer(tr("Read again"), [this, path] { context_.art.read_changed(path); });
        card->add_answer(tr("Keep as it is"), [this, path] { context_.art.keep_as_read(path); });
        questions_->addWidget(card);
    }
}

void ArtTray::ask_about_inbox() {
    for (const QString& path : context_.inbox.arrived()) {
        auto* card = new QuestionCard(tr("%1 came into the inbox").arg(QFileInfo(path).fileName()),
                                      tr("Another program saved or printed it there."), context_.roles, this);
        card->add_answer(tr("Bring in"), [this, path] {
            context_.inbox.take(path);
            context_.art.bring_in(QStringList{path});
        });
        card->add_answer(tr("Leave it"), [this, path] { context_.inbox.take(path); });
        questions_->addWidget(card);
    }
}

// ---------------------------------------------------------------- the chosen motif

void ArtTray::show_details() {
    const job::Motif* motif = chosen();
    const Shown now = motif ? Shown{motif->art, motif->id, context_.art.finds(motif->id) != nullptr} : Shown{};
    if (now == shown_) return;
    shown_ = now;
    // While its text is being typed a design's panel stays.
    if (design_ && motif && motif->art->design && design_->shows(motif->id, *motif->art->design)) return;
    show_details_again();
}

void ArtTray::show_details_again() {
    // The control in use is made again: the keys go on with it.
    const QWidget* focused = window()->focusWidget();
    const QString in_use = focused && isAncestorOf(focused) ? name_of(*focused) : QString();
    empty(details_);
    empty(remarks_);
    design_ = nullptr;
    const job::Motif* motif = chosen();
    if (!motif) return;
    const art::Artwork& art = *motif->art;
    if (!art.remarks.empty()) remarks_->addWidget(new RemarksPanel(motif->id, context_, this));
    QList<QWidget*> panels;
    if (art.design) {
        design_ = new DesignPanel(motif->id, context_, this);
        details_->addWidget(design_);
        return;
    }
    if (art.pages > 1) panels << new PageChooser(motif->id, context_, this);
    panels << new ReadingPanel(motif->id, context_, this);
    if (!art.pictures.empty()) {
        auto* prepare = make_button(tr("Prepare for burning…"), ButtonLook::plain, this);
        prepare->setToolTip(tr("Tone, crop, background and dots, in the Proof view (Ctrl+2)"));
        connect(prepare, &QPushButton::clicked, this, &ArtTray::proof_wanted);
        panels << prepare;
    }
    if (!art.pictures.empty() || art.read_with.trace) panels << new TracePanel(motif->id, context_, this);
    panels << new FindingsPanel(motif->id, context_, this);
    for (QWidget* panel : panels)
        details_->addWidget(panel);
    if (in_use.isEmpty()) return;
    for (QWidget* panel : panels)
        for (auto* control : panel->findChildren<QWidget*>())
            if (name_of(*control) == in_use) return control->setFocus();
    context_.bed.setFocus();
}

void ArtTray::show_inbox() {
    empty(inbox_);
    auto* row = new QWidget(this);
    auto* inside = new QHBoxLayout(row);
    inside->setContentsMargins(0, 0, 0, 0);
    const QString folder = context_.inbox.folder();
    auto* text = make_label(folder.isEmpty() ? tr("Inbox folder: off") : tr("Inbox: %1").arg(QDir(folder).dirName()),
                            Tone::quiet, row);
    text->setToolTip(folder.isEmpty() ? tr("Files another program saves or prints there offer themselves here")
                                      : folder);
    inside->addWidget(text, 1);
    auto* choose = make_button(tr("Choose…"), ButtonLook::link, row);
    connect(choose, &QPushButton::clicked, this, [this] {
        auto* dialog = new QFileDialog(window(), tr("Folder to watch"));
        dialog->setAttribute(Qt::WA_DeleteOnClose);
        dialog->setFileMode(QFileDialog::Directory);
        dialog->setWindowModality(Qt::NonModal);
        connect(dialog, &QFileDialog::fileSelected, this,
                [this](const QString& path) { context_.inbox.set_folder(path); });
        dialog->show();
    });
    inside->addWidget(choose);
    if (!folder.isEmpty()) {
        auto* off = make_button(tr("Off"), ButtonLook::link, row);
        connect(off, &QPushButton::clicked, this, [this] { context_.inbox.set_folder({}); });
        inside->addWidget(off);
    }
    inbox_->addWidget(row);
}

}  // namespace chalkline::app
