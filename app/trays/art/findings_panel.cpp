// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/findings_panel.hpp"

#include "trays/art/remarks_panel.hpp"
#include "widgets/controls.hpp"
#include "widgets/place_note.hpp"

#include <chalkline/wording/wording.hpp>

#include <QHBoxLayout>

namespace chalkline::app {
namespace {

/// How long a line of this length takes in the steps the ink is sent to.
double seconds_of(const job::Job& job, const job::Motif& motif, const Ink& ink, double length) {
    double seconds = 0;
    for (const job::Step& step : job.steps)
        if (step.on && (motif.step ? *motif.step == step.id
                                   : std::find(step.inks.begin(), step.inks.end(), ink) != step.inks.end()))
            seconds += length / step.settings.speed.mm_per_min() * 60 * step.settings.passes;
    return seconds;
}

}  // namespace

FindingsPanel::FindingsPanel(job::Id motif, const TrayContext& context, QWidget* parent)
    : QWidget(parent), motif_(motif), context_(context), art_(context.document.job().motif(motif)->art) {
    rows_ = new QVBoxLayout(this);
    rows_->setContentsMargins(0, 0, 0, 0);
    rows_->setSpacing(4);
    add_off_bed();
    add_finds();
}

/// Stray shapes that lie wholly off the bed, where the art lies now.
void FindingsPanel::add_off_bed() {
    const job::Motif* motif = context_.document.job().motif(motif_);
    geometry::Polyline bed = geometry::outline(context_.machine.profile().bed());
    for (auto& corner : bed.points)
        corner = job::on_page(*motif, corner);
    const auto stray = art::shapes_outside(*art_, {{bed}});
    if (stray.empty()) return;
    std::vector<geometry::Box> places;
    art::ReadOptions without = context_.art.options_of(motif_);
    for (const int index : stray) {
        const art::Shape& shape = art_->shapes[static_cast<std::size_t>(index)];
        places.push_back(geometry::bounds(shape.path.flatten({}, 0.05)));
        without.removed.push_back(shape.number);
    }
    std::sort(without.removed.begin(), without.removed.end());
    auto* row = new QHBoxLayout;
    const QString text =
        stray.size() == 1 ? tr("1 shape lies off the bed") : tr("%1 shapes lie off the bed").arg(stray.size());
    auto* note = new PlaceNote(text, true, this);
    connect(note, &PlaceNote::chosen, this, [this, places] { light_places(places, motif_, context_); });
    row->addWidget(note, 1);
    auto* remove = make_button(tr("Take out"), ButtonLook::link, this);
    connect(remove, &QPushButton::clicked, this, [this, without] {
        context_.art.read_again(motif_, without, tr("Take out stray shapes"), job::Anchor::page);
    });
    row->addWidget(remove);
    rows_->addLayout(row);
}

void FindingsPanel::add_finds() {
    const auto* finds = context_.art.finds(motif_);
    if (!finds || (finds->empty() && art_->read_with.mend.empty())) return;
    rows_->addSpacing(8);
    rows_->addWidget(make_label(tr("Cleaning"), Tone::heading, this));
    for (int i = 0; i < art::fault_kinds; ++i) {
        const auto fault = static_cast<art::Fault>(i);
        std::vector<geometry::Box> places;
        for (const art::Find& find : *finds)
            if (find.fault == fault) places.push_back(find.place);
        if (places.empty()) continue;
        auto* row = new QHBoxLayout;
        row->setSpacing(6);
        const QString text = wording::describe(fault, static_cast<int>(places.size()));
        if (i < art::mendable_kinds) {
            auto* tick = new QCheckBox(this);
            tick->setChecked(true);
            tick->setAccessibleName(text);
            kinds_[fault] = tick;
            row->addWidget(tick);
        }
        auto* note = new PlaceNote(text, true, this);
        connect(note, &PlaceNote::chosen, this, [this, places] { light_places(places, motif_, context_); });
        row->addWidget(note, 1);
        rows_->addLayout(row);
    }
    if (!kinds_.empty()) {
        add_saving(*finds);
        auto* mend_button = make_button(tr("Mend"), ButtonLook::plain, this);
        connect(mend_button, &QPushButton::clicked, this, &FindingsPanel::mend);
        rows_->addWidget(mend_button, 0, Qt::AlignLeft);
    } else {
        rows_->addWidget(make_label(tr("Nothing left to mend"), Tone::quiet, this));
    }
}

void FindingsPanel::add_saving(const std::vector<art::Find>& finds) {
    const job::Job& job = context_.document.job();
    const job::Motif* motif = job.motif(motif_);
    if (!motif) return;
    double length = 0, seconds = 0;
    for (const art::Find& find : finds) {
        length += find.length;
        seconds += seconds_of(job, *motif, find.ink, find.length);
    }
    if (length < 0.1) return;
    rows_->addWidget(make_label(
        tr("Mending saves %1 mm, about %2")
            .arg(QString::fromStdString(format_number(length, 1)), wording::duration(Duration::seconds(seconds))),
        Tone::quiet, this));
}

void FindingsPanel::mend() {
    art::ReadOptions options = context_.art.options_of(motif_);
    for (const auto& [fault, tick] : kinds_)
        if (tick->isChecked() && std::find(options.mend.begin(), options.mend.end(), fault) == options.mend.end())
            options.mend.push_back(fault);
    std::sort(options.mend.begin(), options.mend.end());
    context_.bed.highlight({});
    context_.art.read_again(motif_, options, tr("Mend art"), job::Anchor::page);
}

}  // namespace chalkline::app
