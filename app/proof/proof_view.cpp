// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/proof_view.hpp"

#include "proof/contact_sheet.hpp"
#include "proof/loupe.hpp"
#include "proof/prepare_panel.hpp"
#include "proof/tone_panel.hpp"
#include "proof/variants_panel.hpp"
#include "widgets/tray_page.hpp"

#include <chalkline/pictures/png.hpp>

#include <QFileDialog>
#include <QGridLayout>
#include <QKeyEvent>
#include <QVBoxLayout>

namespace chalkline::app {
namespace {

QString percent_of(double share) {
    return QString::fromStdString(format_number(share * 100, 1));
}

}  // namespace

ProofView::ProofView(const TrayContext& context, QWidget* parent)
    : QWidget(parent), context_(context), desk_(context.document, context.plans) {
    setObjectName("proofView");
    setAttribute(Qt::WA_StyledBackground);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(0);
    nothing_ = make_label(tr("No picture yet. Drop a photograph anywhere in the window."), Tone::quiet, this);
    nothing_->setAlignment(Qt::AlignCenter);
    all->addWidget(nothing_, 1);
    content_ = make_pictures();
    all->addWidget(content_, 1);
    side_ = make_side();
    all->addWidget(side_);
    connect(&desk_, &ProofDesk::seen, this, &ProofView::show_titles);
    connect(&desk_, &ProofDesk::subject_changed, this, &ProofView::offer_pictures);
    connect(&desk_, &ProofDesk::refused, this,
            [this](const Error& error) { Q_EMIT message(wording::describe(error)); });
    show_titles();
}

QWidget* ProofView::make_pictures() {
    auto* content = new QWidget(this);
    auto* grid = new QGridLayout(content);
    grid->setContentsMargins(18, 12, 18, 14);
    grid->setHorizontalSpacing(14);
    grid->setVerticalSpacing(8);
    left_title_ = make_label({}, Tone::quiet, content);
    right_title_ = make_label({}, Tone::quiet, content);
    const auto& machine = context_.machine.profile();
    original_ = new OriginalPanel(desk_, context_.roles, content);
    other_ = new ProofPanel(desk_, machine, context_.roles, ProofPanel::Shows::other, content);
    proof_ = new ProofPanel(desk_, machine, context_.roles, ProofPanel::Shows::now, content);
    left_ = new QStackedWidget(content);
    left_->addWidget(original_);
    left_->addWidget(other_);
    facts_ = new MachineFacts(context_.document, context_.plans, desk_, content);
    grid->addWidget(left_title_, 0, 0);
    grid->addWidget(right_title_, 0, 1);
    grid->addWidget(left_, 1, 0);
    grid->addWidget(proof_, 1, 1);
    grid->addWidget(facts_, 2, 0);
    grid->addWidget(new Loupe(desk_, machine, context_.roles, content), 2, 1);
    grid->setRowStretch(1, 3);
    grid->setRowStretch(2, 2);
    grid->setColumnStretch(0, 1);
    grid->setColumnStretch(1, 1);
    return content;
}

QWidget* ProofView::make_side() {
    auto* side = new QWidget;
    auto* all = new QVBoxLayout(side);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(10);
    pictures_ = new QComboBox(side);
    pictures_->setAccessibleName(tr("Picture looked at"));
    keep_from_wheel(pictures_);
    all->addWidget(pictures_);
    connect(pictures_, &QComboBox::activated, this,
            [this](int index) { desk_.choose(desk_.subjects().at(static_cast<std::size_t>(index))); });
    auto* prepare =
        new PreparePanel(context_.document, context_.placing, desk_, *original_, context_.machine.profile(), side);
    all->addWidget(prepare);
    auto* tone = new TonePanel(desk_, context_.roles, side);
    all->addWidget(tone);
    auto* areas = new QHBoxLayout;
    clogged_ = new QCheckBox(side);
    clogged_->setToolTip(tr("Marks where every dot burns, in the colour of attention"));
    bald_ = new QCheckBox(side);
    bald_->setToolTip(tr("Marks where no dot burns, in blue"));
    areas->addWidget(clogged_);
    areas->addWidget(bald_);
    areas->addStretch(1);
    all->addLayout(areas);
    for (QCheckBox* tick : {clogged_, bald_})
        connect(tick, &QCheckBox::toggled, this, [this] {
            proof_->mark_areas(clogged_->isChecked(), bald_->isChecked());
            other_->mark_areas(clogged_->isChecked(), bald_->isChecked());
        });
    all->addWidget(make_label(tr("Dots — contact sheet"), Tone::heading, side));
    auto* contacts = new ContactSheet(desk_, context_.machine.profile(), context_.roles, side);
    all->addWidget(contacts);
    connect(contacts, &ContactSheet::chose, this, [this](raster::DitherMethod method) {
        desk_.set_step(tr("Dither method"), [method](steps::StepSettings& s) { s.picture.dots.method = method; });
    });
    all->addWidget(prepare->more());
    all->addWidget(new VariantsPanel(context_.document, desk_, side));
    auto* save = make_button(tr("Save proof as PNG…"), ButtonLook::plain, side);
    save->setToolTip(tr("One pixel a dot, with its size on the piece"));
    connect(save, &QPushButton::clicked, this, &ProofView::save_proof);
    all->addWidget(save, 0, Qt::AlignLeft);
    all->addStretch(1);
    auto* page = new TrayPage(side);
    let_pages_decide_width(page);
    return page;
}

void ProofView::look_at(job::Id motif) {
    for (const PictureSubject& subject : desk_.subjects())
        if (subject.motif == motif) return desk_.choose(subject);
}

void ProofView::offer_pictures() {
    pictures_->clear();
    const auto all = desk_.subjects();
    for (std::size_t i = 0; i < all.size(); ++i) {
        pictures_->addItem(QString::fromStdString(context_.document.job().motif(all[i].motif)->art->name));
        if (desk_.subject() == all[i]) pictures_->setCurrentIndex(static_cast<int>(i));
    }
    pictures_->setVisible(all.size() > 1);
}

void ProofView::show_titles() {
    const bool any = desk_.motif() != nullptr;
    nothing_->setVisible(!any);
    content_->setVisible(any);
    side_->setVisible(any);
    if (!any) return;
    const raster::RgbImage& image = *desk_.picture()->image;
    left_->setCurrentWidget(desk_.compared() ? static_cast<QWidget*>(other_) : original_);
    left_title_->setText(
        desk_.compared()
            ? tr("Kept as “%1”").arg(QString::fromStdString(desk_.motif()->variants[*desk_.compared()].name))
            : tr("Picture, %1 × %2 — %3")
                  .arg(image.width)
                  .arg(image.height)
                  .arg(QString::fromStdString(desk_.motif()->art->name)));
    const auto& frame = desk_.now().frame;
    const auto& stock = context_.document.job().stock;
    right_title_->setText(before_
                              ? tr("As the file has it — let B go to see it prepared")
                              : tr("Proof%1, %2 × %3 dots — hold B for before")
                                    .arg(stock ? tr(" on %1").arg(QString::fromStdString(stock->material)) : QString())
                                    .arg(frame.columns)
                                    .arg(frame.rows));
    const auto proof = desk_.now().proof;
    clogged_->setText(proof ? tr("Clogged %1 %").arg(percent_of(proof->statistics.clogged)) : tr("Clogged"));
    bald_->setText(proof ? tr("Bald %1 %").arg(percent_of(proof->statistics.bald)) : tr("Bald"));
}

void ProofView::save_proof() {
    const auto proof = desk_.now().proof;
    if (!proof || proof->dots.width == 0) return;
    auto* dialog = new QFileDialog(this, tr("Save proof"), {}, tr("PNG picture (*.png)"));
    dialog->setObjectName("saveProof");
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setAcceptMode(QFileDialog::AcceptSave);
    dialog->setDefaultSuffix("png");
    connect(dialog, &QFileDialog::fileSelected, this, [this, proof](const QString& path) {
        writer_.start(
            [proof, path = path.toStdString()](const Watch&) {
                return pictures::write_png(proof->dots, proof->frame.across, proof->frame.pitch, path);
            },
            [this](const Result<void>& written) {
                if (!written) Q_EMIT message(wording::describe(written.error()));
            });
    });
    dialog->open();
}

void ProofView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    if (const auto chosen = context_.placing.only()) look_at(*chosen);
    desk_.set_watched(true);
    facts_->set_watched(true);
    offer_pictures();
    show_titles();
}

void ProofView::hideEvent(QHideEvent* event) {
    QWidget::hideEvent(event);
    desk_.set_watched(false);
    facts_->set_watched(false);
}

void ProofView::keyPressEvent(QKeyEvent* event) {
    if (event->key() != Qt::Key_B || event->modifiers() != Qt::NoModifier) return QWidget::keyPressEvent(event);
    before_ = true;
    desk_.ask_for_before();
    proof_->show_before(true);
    show_titles();
}

void ProofView::keyReleaseEvent(QKeyEvent* event) {
    if (event->key() != Qt::Key_B || event->isAutoRepeat()) return QWidget::keyReleaseEvent(event);
    before_ = false;
    proof_->show_before(false);
    show_titles();
}

}  // namespace chalkline::app
