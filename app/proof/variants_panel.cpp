// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/variants_panel.hpp"

#include "widgets/fold.hpp"

#include <chalkline/job/edits.hpp>

#include <QHBoxLayout>
#include <QMenu>

namespace chalkline::app {

VariantsPanel::VariantsPanel(JobDocument& document, ProofDesk& desk, QWidget* parent)
    : QWidget(parent), document_(document), desk_(desk) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    auto* fold = new Fold(tr("Variants"), this);
    all->addWidget(fold);
    auto* keeping = new QHBoxLayout;
    name_ = new QLineEdit(fold);
    name_->setAccessibleName(tr("Name of the variant"));
    name_->setPlaceholderText(tr("Name, such as “soft”"));
    keeping->addWidget(name_, 1);
    auto* keep_now = make_button(tr("Keep as variant"), ButtonLook::plain, fold);
    keep_now->setToolTip(tr("Keeps how the picture is prepared and its dots, to compare with others"));
    keeping->addWidget(keep_now);
    fold->body()->addLayout(keeping);
    rows_ = new QVBoxLayout;
    rows_->setSpacing(4);
    fold->body()->addLayout(rows_);
    copy_ = make_button(tr("Copy settings to…"), ButtonLook::plain, fold);
    copy_->setMenu(new QMenu(copy_));
    fold->body()->addWidget(copy_, 0, Qt::AlignLeft);
    connect(keep_now, &QPushButton::clicked, this, &VariantsPanel::keep);
    connect(name_, &QLineEdit::returnPressed, this, &VariantsPanel::keep);
    connect(copy_->menu(), &QMenu::aboutToShow, this, &VariantsPanel::offer_others);
    connect(&desk_, &ProofDesk::seen, this, &VariantsPanel::show_variants);
}

void VariantsPanel::keep() {
    if (!desk_.motif() || !desk_.step()) return;
    const QString name =
        name_->text().trimmed().isEmpty() ? tr("Variant %1").arg(desk_.motif()->variants.size() + 1) : name_->text();
    (void)document_.edit(
        tr("Keep variant"),
        job::keep_variant(document_.job(), desk_.subject()->motif, desk_.subject()->step, name.trimmed().toStdString()),
        JobChange::steps);
    name_->clear();
}

void VariantsPanel::show_variants() {
    setEnabled(desk_.motif() != nullptr && desk_.step() != nullptr);
    const auto variants = desk_.motif() ? desk_.motif()->variants : std::vector<job::Variant>();
    copy_->setVisible(desk_.subjects().size() > 1);
    if (variants == shown_ && compared_ == desk_.compared()) return;
    shown_ = variants;
    compared_ = desk_.compared();
    while (auto* item = rows_->takeAt(0)) {
        delete item->widget();
        delete item;
    }
    for (std::size_t i = 0; i < shown_.size(); ++i)
        add_row(i);
}

void VariantsPanel::add_row(std::size_t index) {
    auto* row = new QWidget(this);
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    line->addWidget(make_label(QString::fromStdString(shown_[index].name), Tone::plain, row), 1);
    const auto add = [&](const QString& text, const QString& tip, auto action) {
        auto* button = make_button(text, ButtonLook::link, row);
        button->setToolTip(tip);
        button->setAccessibleName(QString("%1: %2").arg(QString::fromStdString(shown_[index].name), text));
        connect(button, &QPushButton::clicked, this, action, Qt::QueuedConnection);
        line->addWidget(button);
    };
    const bool beside = desk_.compared() == index;
    add(beside ? tr("Put away") : tr("Beside"), tr("Look at it beside what is now"),
        [this, index, beside] { desk_.compare(beside ? std::nullopt : std::optional(index)); });
    add(tr("Use"), tr("Prepares the picture this way"), [this, index] {
        (void)document_.edit(tr("Use variant"),
                             job::use_variant(document_.job(), desk_.subject()->motif, desk_.subject()->step, index),
                             JobChange::steps);
    });
    add(tr("Drop"), tr("Forgets the variant"), [this, index] {
        (void)document_.edit(tr("Drop variant"), job::drop_variant(document_.job(), desk_.subject()->motif, index),
                             JobChange::steps);
    });
    rows_->addWidget(row);
}

void VariantsPanel::offer_others() {
    copy_->menu()->clear();
    for (const PictureSubject& other : desk_.subjects()) {
        if (other.motif == desk_.subject()->motif || other.picture != 0) continue;
        const job::Motif* motif = document_.job().motif(other.motif);
        copy_->menu()->addAction(QString::fromStdString(motif->art->name), this,
                                 [this, id = other.motif] { desk_.copy_to(id); });
    }
}

}  // namespace chalkline::app
