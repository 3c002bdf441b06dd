// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/after_burn_panel.hpp"

#include "recipes/recipe_sheets.hpp"
#include "widgets/controls.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/wording/wording.hpp>

#include <QFileDialog>
#include <QHBoxLayout>

namespace chalkline::app {
namespace {

constexpr double gap = 3;  // mm between two tries

}  // namespace

std::optional<geometry::Point> beside(const geometry::Box& burned, const geometry::Box& room) {
    const geometry::Point right{burned.width() + gap, 0}, behind{0, burned.height() + gap};
    if (burned.right + right.x <= room.right) return right;
    if (burned.top + behind.y <= room.top) return behind;
    return {};
}

AfterBurnPanel::AfterBurnPanel(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    trims_ = new QWidget(this);
    trim_rows_ = new QVBoxLayout(trims_);
    trim_rows_->setContentsMargins(0, 0, 0, 0);
    trim_rows_->setSpacing(4);
    all->addWidget(trims_);
    note_name_ = make_label(tr("How did it come out?"), Tone::quiet, this);
    all->addWidget(note_name_);
    note_ = new QLineEdit(this);
    note_->setAccessibleName(tr("How it came out"));
    note_->setPlaceholderText(tr("stays with this burn in the history"));
    all->addWidget(note_);
    auto* row = new QHBoxLayout;
    photo_ = make_button(tr("Keep a picture of it…"), ButtonLook::link, this);
    beside_ = make_button(tr("Beside the last try"), ButtonLook::link, this);
    beside_->setToolTip(tr("Moves the art over on the same piece; both tries keep their notes"));
    row->addWidget(photo_);
    row->addWidget(beside_);
    row->addStretch(1);
    all->addLayout(row);
    connect(note_, &QLineEdit::editingFinished, this, [this] {
        if (const auto& burn = context_.history.current()) context_.history.note(*burn, note_->text().trimmed());
    });
    connect(photo_, &QPushButton::clicked, this, [this] {
        auto* dialog = new QFileDialog(window(), tr("A picture of how it came out"));
        dialog->setAttribute(Qt::WA_DeleteOnClose);
        dialog->setObjectName("keepPhoto");
        dialog->setNameFilter(tr("Pictures (*.jpg *.jpeg *.png *.webp)"));
        connect(dialog, &QFileDialog::fileSelected, this, [this](const QString& path) {
            if (const auto& burn = context_.history.current()) context_.history.keep_photo(*burn, path);
        });
        dialog->show();
    });
    connect(beside_, &QPushButton::clicked, this, &AfterBurnPanel::move_beside);
    connect(&context_.history, &BurnHistory::changed, this, &AfterBurnPanel::follow);
    connect(&context_.desk, &BurnDesk::changed, this, &AfterBurnPanel::follow);
    follow();
}

void AfterBurnPanel::follow() {
    const auto& burn = context_.history.current();
    const bool over = burn && burn->end && !context_.desk.burning();
    setVisible(over);
    if (!over) return;
    if (!note_->hasFocus()) note_->setText(burn->note);
    photo_->setText(burn->photo.isEmpty() ? tr("Keep a picture of it…") : tr("Another picture of it…"));
    const auto plan = context_.desk.burning_plan();
    beside_->setVisible(plan != nullptr);
    show_trims();
}

void AfterBurnPanel::show_trims() {
    const machine::Trims& trims = context_.desk.trims();
    if (trims == shown_) return;
    shown_ = trims;
    qDeleteAll(trims_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly));
    const auto& steps = context_.document.job().steps;
    for (std::size_t i = 0; i < steps.size(); ++i) {
        const auto found = trims.find(steps[i].id);
        if (found != trims.end() && !(found->second == machine::Trim{}))
            add_trim(steps[i], static_cast<int>(i) + 1, found->second);
    }
}

void AfterBurnPanel::add_trim(const job::Step& step, int number, machine::Trim trim) {
    auto* box = new QWidget(trims_);
    auto* rows = new QVBoxLayout(box);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->setSpacing(0);
    auto* said = make_label(tr("Step %1, %2, burned with %3 % of its power and %4 % of its speed.")
                                .arg(number)
                                .arg(wording::name(step.settings.kind).toLower())
                                .arg(trim.power)
                                .arg(trim.speed),
                            Tone::plain, box);
    rows->addWidget(said);
    auto* buttons = new QHBoxLayout;
    auto* take = make_button(tr("Put that into the step"), ButtonLook::link, box);
    auto* keep = make_button(tr("and keep as a recipe…"), ButtonLook::link, box);
    auto* forget = make_button(tr("Forget it"), ButtonLook::link, box);
    for (auto* button : {take, keep, forget})
        buttons->addWidget(button);
    buttons->addStretch(1);
    rows->addLayout(buttons);
    trim_rows_->addWidget(box);
    const auto put = [this, id = step.id, trim] {
        const auto done = context_.document.edit(
            tr("Take what was trimmed"),
            job::take_trim(context_.document.job(), id, trim, context_.machine.profile().top_speed()),
            JobChange::steps);
        if (done) context_.desk.forget_trim(id);
    };
    connect(take, &QPushButton::clicked, this, put);
    connect(keep, &QPushButton::clicked, this, [this, put, id = step.id] {
        put();
        open_keep_sheet(context_.document, context_.recipes, id, &context_.bed);
    });
    connect(forget, &QPushButton::clicked, this, [this, id = step.id] { context_.desk.forget_trim(id); });
}

void AfterBurnPanel::move_beside() {
    const auto plan = context_.desk.burning_plan();
    if (!plan) return;
    const auto& stock = context_.document.job().stock;
    geometry::Box room = context_.machine.profile().bed();
    if (stock) {
        const geometry::Box piece = geometry::bounds(stock->outline());
        room = {std::max(room.left, piece.left), std::max(room.bottom, piece.bottom), std::min(room.right, piece.right),
                std::min(room.top, piece.top)};
    }
    const auto by = beside(plan->burn_box, room);
    if (!by) {
        note_name_->setText(tr("There is no room for another try beside it."));
        return;
    }
    job::Ids all;
    for (const job::Motif& motif : context_.document.job().motifs)
        all.push_back(motif.id);
    const auto moved = context_.document.edit(
        tr("Beside the last try"),
        job::transform(context_.document.job(), all, geometry::Transform::move(by->x, by->y)), JobChange::place);
    if (!moved) Q_EMIT context_.placing.refused(moved.error());
}

}  // namespace chalkline::app
