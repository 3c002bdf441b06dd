// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/marked_places.hpp"

#include "widgets/controls.hpp"

#include <QHBoxLayout>

namespace chalkline::app {

MarkedPlaces::MarkedPlaces(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 8, 0, 0);
    all->setSpacing(6);
    all->addWidget(make_label(tr("Marked places"), Tone::heading, this));
    rows_ = new QVBoxLayout;
    rows_->setSpacing(4);
    all->addLayout(rows_);
    auto* acts = new QHBoxLayout;
    acts->setSpacing(6);
    at_head_ = make_button(tr("Mark the head's place"), ButtonLook::plain, this);
    at_head_->setToolTip(tr("Drive the head there first"));
    connect(at_head_, &QPushButton::clicked, this, [this] {
        if (const auto head = context_.machine.head()) context_.placing.mark_place(*head);
    });
    auto* click = make_button(tr("Mark by click…"), ButtonLook::plain, this);
    connect(click, &QPushButton::clicked, this, [this] {
        context_.bed.pick_place(tr("Click the place to mark"), [this](geometry::Point place) {
            context_.bed.stop_picking();
            context_.placing.mark_place(place);
        });
    });
    acts->addWidget(at_head_);
    acts->addWidget(click);
    acts->addStretch(1);
    all->addLayout(acts);
    connect(&context_.document, &JobDocument::changed, this, [this](JobChange change) {
        if (touches(change, JobChange::marked)) show_places();
    });
    connect(&context_.machine, &MachineLink::changed, this,
            [this] { at_head_->setEnabled(context_.machine.head().has_value()); });
    at_head_->setEnabled(context_.machine.head().has_value());
    show_places();
}

void MarkedPlaces::show_places() {
    while (QLayoutItem* item = rows_->takeAt(0)) {
        if (QWidget* row = item->widget()) {
            row->hide();
            row->deleteLater();
        }
        delete item;
    }
    for (const job::MarkedPlace& marked : context_.document.job().marked)
        add_row(marked);
}

void MarkedPlaces::add_row(const job::MarkedPlace& marked) {
    auto* row = new QWidget(this);
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(8);
    const QString name = QString::fromStdString(marked.name);
    const auto figure = [](double mm) { return QString::fromStdString(format_number(mm, 1)); };
    line->addWidget(
        make_label(tr("%1  at %2, %3 mm").arg(name, figure(marked.place.x), figure(marked.place.y)), Tone::plain, row));
    line->addStretch(1);
    auto* datum = make_button(tr("Datum to %1").arg(name), ButtonLook::link, row);
    datum->setToolTip(tr("Moves the job so that its datum lies there"));
    connect(datum, &QPushButton::clicked, this,
            [this, place = marked.place] { context_.placing.bring_datum_to(place); });
    auto* forget = make_button(tr("Forget %1").arg(name), ButtonLook::link, row);
    connect(forget, &QPushButton::clicked, this, [this, id = marked.id] { context_.placing.forget_marked(id); });
    line->addWidget(datum);
    line->addWidget(forget);
    rows_->addWidget(row);
}

}  // namespace chalkline::app
