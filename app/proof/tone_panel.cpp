// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/tone_panel.hpp"

#include "widgets/figure_slider.hpp"
#include "widgets/fold.hpp"

#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr MergeKey tone_drag{Gesture::drag_tone}, curve_drag{Gesture::drag_curve};
constexpr int slider_steps = 100;  // for each 1 of the value

QGridLayout* make_rows() {
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(6);
    grid->setColumnMinimumWidth(0, 92);
    grid->setColumnStretch(1, 1);
    return grid;
}

}  // namespace

TonePanel::TonePanel(ProofDesk& desk, const theme::Roles& roles, QWidget* parent) : QWidget(parent), desk_(desk) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(6);
    auto* head = new QHBoxLayout;
    head->addWidget(make_label(tr("Tone"), app::Tone::heading, this));
    head->addStretch(1);
    auto* rest = make_button(tr("As it was"), ButtonLook::link, this);
    rest->setToolTip(tr("Tones as the file has them"));
    head->addWidget(rest);
    all->addLayout(head);
    curve_ = new ToneCurve(roles, this);
    all->addWidget(curve_);
    auto* first = make_rows();
    const auto tone = [](double raster::ToneSettings::*member) {
        return [member](raster::Preparation& how) -> double& { return how.tone.*member; };
    };
    const auto own = [](double raster::Preparation::*member) {
        return [member](raster::Preparation& how) -> double& { return how.*member; };
    };
    const auto channel = [](std::size_t i) { return [i](raster::Preparation& how) -> double& { return how.mix[i]; }; };
    add_row(first, tr("Brightness"), {}, -100, 100, tone(&raster::ToneSettings::brightness));
    add_row(first, tr("Contrast"), {}, -100, 100, tone(&raster::ToneSettings::contrast));
    add_row(first, tr("Gamma"), {}, 0.2, 4, tone(&raster::ToneSettings::gamma));
    add_row(first, tr("Sharpen"), {}, 0, 5, tone(&raster::ToneSettings::sharpen));
    all->addLayout(first);
    auto* more = new Fold(tr("More of tone"), this);
    all->addWidget(more);
    auto* second = make_rows();
    add_row(second, tr("Sharpen radius"), tr("mm"), 0.05, 5, tone(&raster::ToneSettings::sharpen_radius));
    add_row(second, tr("Local contrast"), {}, 0, 1, own(&raster::Preparation::local_contrast));
    add_row(second, tr("Denoise"), {}, 0, 1, own(&raster::Preparation::denoise));
    add_row(second, tr("Black from"), {}, 0, 1, tone(&raster::ToneSettings::black));
    add_row(second, tr("White from"), {}, 0, 1, tone(&raster::ToneSettings::white));
    add_row(second, tr("Red"), {}, -1, 2, channel(0));
    add_row(second, tr("Green"), {}, -1, 2, channel(1));
    add_row(second, tr("Blue"), {}, -1, 2, channel(2));
    more->body()->addLayout(second);

    connect(rest, &QPushButton::clicked, this, [this] {
        desk_.prepare(tr("Tone as it was"),
                      [](raster::Preparation& how) { how = {.crop = how.crop, .background = how.background}; });
    });
    connect(curve_, &ToneCurve::changed, this, [this](const std::vector<raster::CurvePoint>& curve, bool going_on) {
        desk_.prepare(
            tr("Tone curve"), [&](raster::Preparation& how) { how.tone.curve = curve; },
            going_on ? Merge(curve_drag) : Merge());
    });
    connect(curve_, &ToneCurve::released, this, [this] { desk_.end_merge(); });
    connect(&desk_, &ProofDesk::seen, this, &TonePanel::show_tone);
    show_tone();
}

void TonePanel::add_row(QGridLayout* grid, const QString& name, const QString& unit, double least, double most,
                        Value value) {
    const int row = grid->rowCount();
    auto* slider = new FigureSlider(tr("%1, slider").arg(name), least, most, slider_steps, unit, this);
    auto* field = make_number_field(name, unit, 2, -1e9, this);
    field->setFixedWidth(72);
    grid->addWidget(make_label(name, app::Tone::quiet, this), row, 0);
    grid->addWidget(slider, row, 1);
    grid->addWidget(field, row, 2);
    showers_.push_back([slider, field, value](raster::Preparation& how) {
        slider->show_figure(value(how));
        field->show_value(value(how));
    });
    connect(slider, &QSlider::valueChanged, this,
            [this, name, value, slider] { set(name, value, slider->figure(), slider->isSliderDown()); });
    connect(slider, &QSlider::sliderReleased, this, [this] { desk_.end_merge(); });
    connect(field, &ValueField::committed, this, [this, name, value, least, most](double typed) {
        set(name, value, std::clamp(typed, least, most), false);
        show_tone();
    });
}

void TonePanel::set(const QString& name, const Value& value, double to, bool dragging) {
    desk_.prepare(
        name, [&](raster::Preparation& how) { value(how) = to; }, dragging ? Merge(tone_drag) : Merge());
}

void TonePanel::show_tone() {
    setEnabled(desk_.motif() != nullptr);
    curve_->show_histogram(desk_.histogram());
    if (!desk_.motif()) return;
    raster::Preparation how = desk_.motif()->preparation;
    curve_->show_tone(how.tone);
    for (const auto& show : showers_)
        show(how);
}

}  // namespace chalkline::app
