// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/tone_panel.hpp"

#include <chalkline/job/edits.hpp>

#include <QSignalBlocker>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr int tone_drag = 3'000'000;  // drags of a picture's tone are merged under this and the motif's number
constexpr double slider_steps = 100;  // for each 1 of the value

}  // namespace

TonePanel::TonePanel(job::Id motif, const TrayContext& context, QWidget* parent)
    : QWidget(parent), motif_(motif), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(6);
    all->addWidget(make_label(tr("Tone"), Tone::heading, this));
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(8);
    grid->setColumnStretch(1, 1);
    add_row(grid, tr("Brightness"), -100, 100, &raster::ToneSettings::brightness);
    add_row(grid, tr("Contrast"), -100, 100, &raster::ToneSettings::contrast);
    add_row(grid, tr("Gamma"), 0.2, 4, &raster::ToneSettings::gamma);
    add_row(grid, tr("Sharpen"), 0, 5, &raster::ToneSettings::sharpen);
    all->addLayout(grid);
    auto* rest = make_button(tr("As it was"), ButtonLook::link, this);
    connect(rest, &QPushButton::clicked, this, [this] {
        (void)context_.document.edit(tr("Tone as it was"), job::set_tone(context_.document.job(), motif_, {}),
                                     JobChange::steps);
    });
    all->addWidget(rest, 0, Qt::AlignLeft);
    connect(&context_.document, &JobDocument::changed, this, &TonePanel::show_tone);
    show_tone();
}

void TonePanel::add_row(QGridLayout* grid, const QString& name, double least, double most,
                        double raster::ToneSettings::*value) {
    const int row = grid->rowCount();
    auto* slider = new QSlider(Qt::Horizontal, this);
    slider->setRange(static_cast<int>(std::lround(least * slider_steps)),
                     static_cast<int>(std::lround(most * slider_steps)));
    slider->setAccessibleName(tr("%1, slider").arg(name));
    slider->setSingleStep(static_cast<int>(std::max(1.0, (most - least) * slider_steps / 100)));
    keep_from_wheel(slider);
    auto* field = make_number_field(name, {}, 2, -1e9, this);
    field->setFixedWidth(64);
    grid->addWidget(make_label(name, app::Tone::quiet, this), row, 0);
    grid->addWidget(slider, row, 1);
    grid->addWidget(field, row, 2);
    showers_.push_back([slider, field, value](const raster::ToneSettings& tone) {
        const QSignalBlocker quiet(slider);
        slider->setValue(static_cast<int>(std::lround(tone.*value * slider_steps)));
        field->show_value(tone.*value);
    });
    connect(slider, &QSlider::valueChanged, this,
            [this, value, slider](int steps) { set(value, steps / slider_steps, slider->isSliderDown()); });
    connect(slider, &QSlider::sliderReleased, this, [this] { context_.document.end_merge(); });
    connect(field, &ValueField::committed, this,
            [this, value, least, most](double typed) { set(value, std::clamp(typed, least, most), false); });
}

void TonePanel::set(double raster::ToneSettings::*value, double to, bool dragging) {
    const job::Motif* motif = context_.document.job().motif(motif_);
    if (!motif || motif->tone.*value == to) return show_tone();
    raster::ToneSettings tone = motif->tone;
    tone.*value = to;
    (void)context_.document.edit(tr("Tone"), job::set_tone(context_.document.job(), motif_, tone), JobChange::steps,
                                 dragging ? tone_drag + motif_ : 0);
}

void TonePanel::show_tone() {
    const job::Motif* motif = context_.document.job().motif(motif_);
    if (!motif) return;
    for (const auto& show : showers_)
        show(motif->tone);
}

}  // namespace chalkline::app
