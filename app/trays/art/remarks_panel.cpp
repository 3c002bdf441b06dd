// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/remarks_panel.hpp"

#include "trays/art/reading_panel.hpp"
#include "widgets/controls.hpp"
#include "widgets/place_note.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/wording/wording.hpp>

#include <algorithm>

namespace chalkline::app {
namespace {

constexpr std::size_t at_once = 4;

QString remark_text(const Notice& notice) {
    QString text = wording::describe(notice);
    if (notice.count > 1 && notice.line > 0)
        text += RemarksPanel::tr(" (%1 places, first in line %2)").arg(notice.count).arg(notice.line);
    else if (notice.count > 1)
        text += RemarksPanel::tr(" (%1 places)").arg(notice.count);
    else if (notice.line > 0)
        text += RemarksPanel::tr(" (line %1)").arg(notice.line);
    return text;
}

}  // namespace

RemarksPanel::RemarksPanel(job::Id motif, const TrayContext& context, QWidget* parent)
    : QWidget(parent), motif_(motif), context_(context), art_(context.document.job().motif(motif)->art) {
    auto* rows = new QVBoxLayout(this);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->setSpacing(4);
    rows->addWidget(make_label(tr("How it was read"), Tone::heading, this));
    more_ = new QWidget(this);
    auto* behind = new QVBoxLayout(more_);
    behind->setContentsMargins(0, 0, 0, 0);
    behind->setSpacing(4);
    // One more than fits is shown rather than a button for it.
    const bool all_fit = art_->remarks.size() <= at_once + 1;
    for (std::size_t i = 0; i < art_->remarks.size(); ++i)
        (all_fit || i < at_once ? rows : behind)->addWidget(note_of(art_->remarks[i]));
    rows->addWidget(more_);
    more_->setVisible(all_fit);
    if (!all_fit) offer_all(rows);
    offer_looks(rows);
}

QWidget* RemarksPanel::note_of(const art::Remark& remark) {
    auto* note = new PlaceNote(remark_text(remark.notice), !remark.places.empty(), this);
    connect(note, &PlaceNote::chosen, this, [this, places = remark.places] { light_places(places, motif_, context_); });
    return note;
}

void RemarksPanel::offer_all(QVBoxLayout* rows) {
    auto* all = make_button(tr("All %1 remarks").arg(art_->remarks.size()), ButtonLook::link, this);
    connect(all, &QPushButton::clicked, this, [this, all] {
        more_->show();
        all->hide();
    });
    rows->addWidget(all, 0, Qt::AlignLeft);
}

void RemarksPanel::offer_looks(QVBoxLayout* rows) {
    const bool left_out = std::any_of(art_->remarks.begin(), art_->remarks.end(), [](const art::Remark& remark) {
        return remark.notice.code == art::notice::unsupported;
    });
    if (!left_out || art_->read_with.as_picture || art_->format == "picture") return;
    auto* looks = make_button(tr("Burn it as it looks"), ButtonLook::plain, this);
    looks->setToolTip(tr("As it looks: shadows, soft edges, masks and all become one picture; thin lines stay lines"));
    connect(looks, &QPushButton::clicked, this, [this] { read_as_it_looks(motif_, context_); });
    rows->addWidget(looks, 0, Qt::AlignLeft);
}

void light_places(const std::vector<geometry::Box>& on_page, job::Id id, const TrayContext& context) {
    const job::Motif* motif = context.document.job().motif(id);
    if (!motif) return;
    Highlight highlight;
    for (const geometry::Box& place : on_page) {
        geometry::Box on_bed;
        for (const auto corner : geometry::outline(place).points)
            on_bed.add(motif->place(corner));
        highlight.places.push_back(on_bed);
    }
    context.bed.highlight(highlight);
}

}  // namespace chalkline::app
