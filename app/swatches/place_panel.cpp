// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/place_panel.hpp"

#include <chalkline/wording/swatch_words.hpp>

#include <QVBoxLayout>

namespace chalkline::app {

PlacePanel::PlacePanel(SwatchDesk& desk, JobDocument& document, QWidget* parent)
    : QWidget(parent), desk_(desk), document_(document) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(10);
    all->addWidget(make_label(tr("Burn the card"), Tone::heading, this));
    facts_ = make_label({}, Tone::plain, this);
    facts_->setWordWrap(true);
    all->addWidget(facts_);
    piece_ = new QCheckBox(this);
    all->addWidget(piece_);
    where_ = make_label({}, Tone::quiet, this);
    where_->setWordWrap(true);
    all->addWidget(where_);
    faults_ = make_label({}, Tone::attention, this);
    faults_->setWordWrap(true);
    all->addWidget(faults_);
    fit_ = make_button(tr("Make it fit"), ButtonLook::plain, this);
    all->addWidget(fit_, 0, Qt::AlignLeft);
    bed_ = make_button(tr("Put it on the bed"), ButtonLook::accent, this);
    bed_->setToolTip(tr("It becomes the job: place, frame and burn it there"));
    all->addWidget(bed_);
    file_ = make_button(tr("Save it as a job…"), ButtonLook::plain, this);
    all->addWidget(file_);
    all->addStretch(1);
    connect(piece_, &QCheckBox::clicked, this, &PlacePanel::follow);
    connect(fit_, &QPushButton::clicked, this, [this] {
        const geometry::Point room = desk_.room(on_piece());
        desk_.change(tr("Make card fit"), [&](swatches::Card& card) {
            card = swatches::fitted(card, room.x, room.y, desk_.machine().beam);
        });
    });
    connect(bed_, &QPushButton::clicked, this, [this] { Q_EMIT bed_wanted(on_piece()); });
    connect(file_, &QPushButton::clicked, this, &PlacePanel::file_wanted);
    connect(&desk_, &SwatchDesk::changed, this, &PlacePanel::follow);
    connect(&document_, &JobDocument::changed, this, &PlacePanel::follow);
    follow();
}

bool PlacePanel::on_piece() const {
    return piece_->isChecked() && document_.job().stock.has_value();
}

void PlacePanel::follow() {
    const auto* record = desk_.record();
    if (!record) return;
    const geometry::Point size = desk_.layout().size;
    const WorkedCard& worked = desk_.worked();
    QStringList facts{tr("%1 × %2 mm").arg(size.x, 0, 'f', 0).arg(size.y, 0, 'f', 0)};
    if (!desk_.stale() && worked.job && !worked.error) {
        facts << tr("%1 to burn").arg(wording::duration(worked.time));
        facts << tr("%1 J of light").arg(std::lround(worked.joules));
    }
    facts_->setText(facts.join(" · "));
    const auto& stock = document_.job().stock;
    piece_->setVisible(stock.has_value() && document_.job().card.empty());
    if (stock)
        piece_->setText(tr("On the job's piece, %1 × %2 mm of %3")
                            .arg(stock->width, 0, 'f', 0)
                            .arg(stock->height, 0, 'f', 0)
                            .arg(QString::fromStdString(stock->material)));
    where_->setText(on_piece() ? tr("It goes into the piece's near left corner.")
                               : tr("It goes into the middle of the bed, on a piece of its own size. Place that where "
                                    "your material lies."));
    const geometry::Point room = desk_.room(on_piece());
    QStringList said;
    bool large = false;
    if (worked.error && !desk_.stale()) said << wording::describe(*worked.error).whole();
    for (const Notice& fault : swatches::faults_of(record->card, desk_.machine(), room.x, room.y)) {
        large = large || fault.code == swatches::notice::too_large;
        said << wording::describe(Error{fault.code, fault.parameters, {}, 0}).whole();
    }
    faults_->setText(said.join("\n"));
    faults_->setVisible(!said.isEmpty());
    fit_->setVisible(large);
    const bool burns = std::any_of(desk_.layout().cells.begin(), desk_.layout().cells.end(),
                                   [](const swatches::Cell& cell) { return !cell.left_out; });
    bed_->setEnabled(burns && !desk_.stale() && worked.job != nullptr);
    file_->setEnabled(bed_->isEnabled());
}

}  // namespace chalkline::app
