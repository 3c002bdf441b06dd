// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/steps/step_details.hpp"

#include <chalkline/wording/wording.hpp>

#include <QHBoxLayout>
#include <QSignalBlocker>

namespace chalkline::app {
namespace {

using steps::FillSettings;
using steps::LineSettings;
using steps::StepSettings;

QString millimetres_text(Length length) {
    return QString::fromStdString(format_length(length, LengthUnit::mm));
}

/// "auto", or a length.
ValueField* make_run_up_field(QWidget* parent) {
    return new ValueField(
        StepDetails::tr("Run-up"),
        [](const QString& text) -> Result<double> {
            if (text.trimmed().isEmpty() || text.trimmed() == StepDetails::tr("auto")) return -1.0;
            return parse_length(text.toStdString(), LengthUnit::mm).map([](Length length) { return length.mm(); });
        },
        [](double mm) { return mm < 0 ? StepDetails::tr("auto") : millimetres_text(Length::mm(mm)); }, parent);
}

}  // namespace

StepDetails::StepDetails(steps::StepKind kind, const TrayContext& context, QWidget* parent)
    : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(2);
    if (steps::burns_area(kind)) {
        build_dots();
        show_when(dots_, [](const StepSettings& s) {
            return s.kind == steps::StepKind::picture || s.fill.tones != FillSettings::Tones::flat;
        });
        build_fill(kind);
    } else {
        build_line();
    }
    build_beam(kind);
}

// ---------------------------------------------------------------- rows

QHBoxLayout* StepDetails::add_row(Fold* fold) {
    auto* widget = new QWidget(this);
    auto* row = new QHBoxLayout(widget);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(8);
    fold->body()->addWidget(widget);
    return row;
}

void StepDetails::show_when(QWidget* widget, bool (*has_effect)(const StepSettings&)) {
    showers_.push_back([widget, has_effect](const StepSettings& s) { widget->setVisible(has_effect(s)); });
}

QLabel* StepDetails::add_label(QLayout* row, const QString& text) {
    auto* label = make_label(text, Tone::quiet, this);
    label->setWordWrap(false);
    row->addWidget(label);
    return label;
}

void StepDetails::take_field(ValueField* field, QLayout* row, const QString& name) {
    if (!name.isEmpty()) add_label(row, name);
    field->setFixedWidth(72);
    row->addWidget(field);
}

template <class Set, class Get>
ValueField* StepDetails::add_length(QLayout* row, const QString& name, const QString& accessible, Get get, Set set) {
    auto* field = make_length_field(accessible, this);
    take_field(field, row, name);
    showers_.push_back([field, get](const StepSettings& s) { field->show_value(get(s).mm()); });
    connect(field, &ValueField::committed, this,
            [this, set](double mm) { Q_EMIT changed([set, mm](StepSettings& s) { set(s, Length::mm(mm)); }); });
    return field;
}

template <class Set, class Get>
QComboBox* StepDetails::add_choice(QLayout* row, const QString& accessible, const QStringList& words, Get get,
                                   Set set) {
    auto* box = new QComboBox(this);
    keep_from_wheel(box);
    box->setAccessibleName(accessible);
    box->addItems(words);
    row->addWidget(box);
    showers_.push_back([box, get](const StepSettings& s) {
        const QSignalBlocker quiet(box);
        box->setCurrentIndex(get(s));
    });
    connect(box, &QComboBox::activated, this,
            [this, set](int index) { Q_EMIT changed([set, index](StepSettings& s) { set(s, index); }); });
    return box;
}

template <class Set, class Get>
void StepDetails::add_tick(QLayout* row, const QString& text, Get get, Set set) {
    auto* tick = new QCheckBox(text, this);
    row->addWidget(tick);
    showers_.push_back([tick, get](const StepSettings& s) { tick->setChecked(get(s)); });
    connect(tick, &QCheckBox::clicked, this,
            [this, set](bool on) { Q_EMIT changed([set, on](StepSettings& s) { set(s, on); }); });
}

// ---------------------------------------------------------------- folds

/// How tones become dots, and what the material makes of them.
void StepDetails::build_dots() {
    dots_ = new Fold(tr("Dots"), this);
    layout()->addWidget(dots_);
    auto* first = add_row(dots_);
    QStringList methods;
    for (const auto method : raster::dither_methods())
        methods << wording::name(method);
    add_choice(
        first, tr("How tones become dots"), methods,
        [](const StepSettings& s) { return static_cast<int>(s.picture.dots.method); },
        [](StepSettings& s, int index) { s.picture.dots.method = static_cast<raster::DitherMethod>(index); });
    first->addStretch(1);
    auto* second = add_row(dots_);
    add_tick(
        second, tr("Back and forth"), [](const StepSettings& s) { return s.picture.dots.serpentine; },
        [](StepSettings& s, bool on) { s.picture.dots.serpentine = on; });
    show_when(second->itemAt(0)->widget(),
              [](const StepSettings& s) { return raster::diffuses_error(s.picture.dots.method); });
    add_tick(
        second, tr("Burns light"), [](const StepSettings& s) { return s.picture.burns_light; },
        [](StepSettings& s, bool on) { s.picture.burns_light = on; });
    second->addStretch(1);
    auto* screen = add_row(dots_);
    add_label(screen, tr("Dots a cluster"));
    auto* cell = make_count_field(tr("Dots from cluster to cluster"), this);
    take_field(cell, screen, {});
    showers_.push_back([cell](const StepSettings& s) { cell->show_value(s.picture.dots.cell); });
    connect(cell, &ValueField::committed, this,
            [this](double dots) { Q_EMIT changed([dots](StepSettings& s) { s.picture.dots.cell = dots; }); });
    screen->addStretch(1);
    show_when(screen->parentWidget(), [](const StepSettings& s) {
        const auto method = s.picture.dots.method;
        return method == raster::DitherMethod::halftone || method == raster::DitherMethod::strokes;
    });
    auto* lowest = add_row(dots_);
    auto* power = make_power_field(tr("Power of the lightest tone"), this);
    take_field(power, lowest, tr("Lightest tone"));
    showers_.push_back([power](const StepSettings& s) { power->show_value(s.picture.lowest.percent()); });
    connect(power, &ValueField::committed, this, [this](double percent) {
        Q_EMIT changed([percent](StepSettings& s) { s.picture.lowest = Power::percent(percent); });
    });
    lowest->addStretch(1);
    show_when(lowest->parentWidget(),
              [](const StepSettings& s) { return s.picture.dots.method == raster::DitherMethod::grey; });
    auto* marks = add_row(dots_);
    auto* tick = new QCheckBox(tr("Mark clogged and bald areas"), this);
    tick->setToolTip(tr("Clogged: every dot burns. Bald: none does."));
    tick->setChecked(context_.bed.areas_marked());
    connect(tick, &QCheckBox::clicked, &context_.bed, &BedView::mark_areas);
    marks->addWidget(tick);
    marks->addStretch(1);
}

void StepDetails::build_fill(steps::StepKind kind) {
    const bool picture = kind == steps::StepKind::picture;
    fill_ = new Fold(picture ? tr("Scan lines") : tr("How it is filled"), this);
    layout()->addWidget(fill_);
    auto* first = add_row(fill_);
    auto* way = add_choice(
        first, tr("Way of filling"), {tr("Scan lines"), tr("Along the outline")},
        [](const StepSettings& s) { return static_cast<int>(s.fill.way); },
        [](StepSettings& s, int index) { s.fill.way = static_cast<FillSettings::Way>(index); });
    way->setVisible(!picture);
    const auto scanned = [](const StepSettings& s) { return s.fill.way == FillSettings::Way::scan_lines; };
    const auto area = [](const StepSettings& s) { return s.kind == steps::StepKind::engrave; };
    auto* direction = add_choice(
        first, tr("Direction of scan lines"), {tr("Both ways"), tr("One way")},
        [](const StepSettings& s) { return s.fill.both_ways ? 0 : 1; },
        [](StepSettings& s, int index) { s.fill.both_ways = index == 0; });
    show_when(direction, scanned);
    auto* tones = add_row(fill_);
    add_label(tones, tr("Inks"));
    add_choice(
        tones, tr("How the inks differ"), {tr("burn alike"), tr("darker: more power"), tr("darker: more dots")},
        [](const StepSettings& s) { return static_cast<int>(s.fill.tones); },
        [](StepSettings& s, int index) { s.fill.tones = static_cast<FillSettings::Tones>(index); });
    tones->addStretch(1);
    show_when(tones->parentWidget(), [](const StepSettings& s) {
        return s.kind == steps::StepKind::engrave && s.fill.way == FillSettings::Way::scan_lines;
    });
    auto* second = add_row(fill_);
    add_label(second, tr("Angle"));
    auto* angle = make_angle_field(tr("Angle of scan lines"), this);
    angle->setFixedWidth(78);
    second->addWidget(angle);
    showers_.push_back([angle](const StepSettings& s) { angle->show_value(s.fill.angle); });
    connect(angle, &ValueField::committed, this,
            [this](double degrees) { Q_EMIT changed([degrees](StepSettings& s) { s.fill.angle = degrees; }); });
    add_tick(
        second, tr("Crossed"), [](const StepSettings& s) { return s.fill.crossed; },
        [](StepSettings& s, bool on) { s.fill.crossed = on; });
    show_when(second->itemAt(second->count() - 1)->widget(), area);
    second->addStretch(1);
    auto* third = add_row(fill_);
    auto* first_line = add_choice(
        third, tr("First line"), {tr("Near side first"), tr("Far side first"), tr("Left first"), tr("Right first")},
        [](const StepSettings& s) { return static_cast<int>(s.fill.first); },
        [](StepSettings& s, int index) { s.fill.first = static_cast<FillSettings::First>(index); });
    show_when(first_line, scanned);
    add_tick(
        third, tr("Outline after"), [](const StepSettings& s) { return s.fill.outline_after; },
        [](StepSettings& s, bool on) { s.fill.outline_after = on; });
    show_when(third->itemAt(third->count() - 1)->widget(), area);
    auto* fourth = add_row(fill_);
    auto* run_up = make_run_up_field(this);
    take_field(run_up, fourth, tr("Run-up"));
    showers_.push_back(
        [run_up](const StepSettings& s) { run_up->show_value(s.fill.run_up ? s.fill.run_up->mm() : -1); });
    connect(run_up, &ValueField::committed, this, [this](double mm) {
        Q_EMIT changed(
            [mm](StepSettings& s) { s.fill.run_up = mm < 0 ? std::nullopt : std::optional(Length::mm(mm)); });
    });
    add_length(
        fourth, tr("Shift returns"), tr("Shift of lines that run back"),
        [](const StepSettings& s) { return s.fill.shift; },
        [](StepSettings& s, Length length) { s.fill.shift = length; });
    fourth->addStretch(1);
    for (QHBoxLayout* row : {second, fourth})
        show_when(row->parentWidget(), scanned);
}

void StepDetails::build_line() {
    line_ = new Fold(tr("How the line goes"), this);
    layout()->addWidget(line_);
    auto* kerf = add_row(line_);
    add_label(kerf, tr("Kerf"));
    add_choice(
        kerf, tr("Side of the kerf"), {tr("on the line"), tr("outside, holes inside"), tr("inside, holes outside")},
        [](const StepSettings& s) { return static_cast<int>(s.line.kerf_side); },
        [](StepSettings& s, int index) { s.line.kerf_side = static_cast<LineSettings::Kerf>(index); });
    auto* width = add_length(
        kerf, {}, tr("Width of the kerf"), [](const StepSettings& s) { return s.line.kerf; },
        [](StepSettings& s, Length length) { s.line.kerf = length; });
    show_when(width, [](const StepSettings& s) { return s.line.kerf_side != LineSettings::Kerf::none; });
    auto* ends = add_row(line_);
    add_length(
        ends, tr("Lead-in"), tr("Lead-in"), [](const StepSettings& s) { return s.line.lead_in; },
        [](StepSettings& s, Length length) { s.line.lead_in = length; });
    add_length(
        ends, tr("Overcut"), tr("Overcut"), [](const StepSettings& s) { return s.line.overcut; },
        [](StepSettings& s, Length length) { s.line.overcut = length; });
    ends->addStretch(1);
    auto* bridges = add_row(line_);
    add_label(bridges, tr("Bridges"));
    auto* count = make_count_field(tr("Bridges on each closed line"), this);
    count->setFixedWidth(48);
    bridges->addWidget(count);
    showers_.push_back([count](const StepSettings& s) { count->show_value(s.line.bridges); });
    connect(count, &ValueField::committed, this, [this](double bridges_wanted) {
        Q_EMIT changed([bridges_wanted](StepSettings& s) { s.line.bridges = static_cast<int>(bridges_wanted); });
    });
    add_length(
        bridges, tr("each"), tr("Width of a bridge"), [](const StepSettings& s) { return s.line.bridge_width; },
        [](StepSettings& s, Length length) { s.line.bridge_width = length; });
    bridges->addStretch(1);
    auto* perforation = add_row(line_);
    add_length(
        perforation, tr("Perforate: burn"), tr("Perforation, burned length"),
        [](const StepSettings& s) { return s.line.perforation_burn; },
        [](StepSettings& s, Length length) { s.line.perforation_burn = length; });
    add_length(
        perforation, tr("gap"), tr("Perforation, gap"), [](const StepSettings& s) { return s.line.perforation_gap; },
        [](StepSettings& s, Length length) { s.line.perforation_gap = length; });
    perforation->addStretch(1);
    auto* pulses = add_row(line_);
    add_label(pulses, tr("or pulses in a cm"));
    auto* rate = make_count_field(tr("Pulses in a centimetre"), this);
    rate->setFixedWidth(48);
    pulses->addWidget(rate);
    pulses->addStretch(1);
    showers_.push_back([rate](const StepSettings& s) {
        const double period = (s.line.perforation_burn + s.line.perforation_gap).mm();
        rate->show_value(s.line.perforated() ? std::round(10 / period) : 0);
    });
    connect(rate, &ValueField::committed, this, [this](double in_a_cm) {
        const Length half = in_a_cm > 0 ? Length::mm(5 / in_a_cm) : Length();
        Q_EMIT changed([half](StepSettings& s) { s.line.perforation_burn = s.line.perforation_gap = half; });
    });
    auto* order = add_row(line_);
    add_choice(
        order, tr("Order of lines"), {tr("Shortest way"), tr("As drawn")},
        [](const StepSettings& s) { return static_cast<int>(s.line.order); },
        [](StepSettings& s, int index) { s.line.order = static_cast<LineSettings::Order>(index); });
    auto* parts = add_choice(
        order, tr("Order of parts"), {tr("parts mixed"), tr("part by part"), tr("all holes first")},
        [](const StepSettings& s) { return static_cast<int>(s.line.parts); },
        [](StepSettings& s, int index) { s.line.parts = static_cast<LineSettings::Parts>(index); });
    show_when(parts, [](const StepSettings& s) { return s.line.order == LineSettings::Order::shortest; });
    build_marks(line_);
}

/// Places on the lines of the art: where one begins, where a bridge stays.
void StepDetails::build_marks(Fold* fold) {
    auto* row = add_row(fold);
    const auto add = [&](const QString& text, const QString& tip, const QString& hint, job::PathMark::Kind kind) {
        auto* button = make_button(text, ButtonLook::link, this);
        button->setToolTip(tip);
        row->addWidget(button);
        connect(button, &QPushButton::clicked, this, [this, hint, kind] {
            context_.bed.pick_place(hint, [this, kind](geometry::Point place) {
                context_.bed.stop_picking();
                context_.placing.mark_path(kind, place);
            });
        });
    };
    add_label(row, tr("Mark"));
    using Kind = job::PathMark::Kind;
    add(tr("Start"), tr("The line begins here, as it is drawn"), tr("Click where the line begins"), Kind::start);
    add(tr("Start back"), tr("The line begins here and runs the other way"), tr("Click where the line begins"),
        Kind::backwards);
    add(tr("Bridge"), tr("A bridge is left here"), tr("Click where a bridge stays"), Kind::bridge);
    auto* clear = make_button(tr("Clear"), ButtonLook::link, this);
    clear->setToolTip(tr("Takes all these places off the chosen art"));
    connect(clear, &QPushButton::clicked, this, [this] { context_.placing.clear_path_marks(); });
    row->addWidget(clear);
    row->addStretch(1);
}

void StepDetails::build_beam(steps::StepKind kind) {
    beam_ = new Fold(tr("Beam, air and focus"), this);
    layout()->addWidget(beam_);
    auto* first = add_row(beam_);
    add_label(first, tr("Beam"));
    add_choice(
        first, tr("How the beam is kept"), {tr("follows the speed"), tr("constant")},
        [](const StepSettings& s) { return static_cast<int>(s.beam); },
        [](StepSettings& s, int index) { s.beam = static_cast<steps::BeamControl>(index); });
    first->addStretch(1);
    warning_ = make_label(tr("Constant: the beam burns on wherever the head stands or slows down, and if the cable "
                             "fails. Only with a reason."),
                          Tone::attention, this);
    beam_->body()->addWidget(warning_);
    showers_.push_back([this](const StepSettings& s) { warning_->setVisible(s.beam == steps::BeamControl::constant); });
    if (!steps::burns_area(kind)) build_corner_power();
    auto* air = add_row(beam_);
    add_label(air, tr("Air blows first for"));
    auto* lead = make_seconds_field(tr("Air before the beam"), this);
    lead->setFixedWidth(78);
    air->addWidget(lead);
    air->addStretch(1);
    showers_.push_back([lead](const StepSettings& s) { lead->show_value(s.air_lead.seconds()); });
    show_when(air->parentWidget(), [](const StepSettings& s) { return s.air; });
    connect(lead, &ValueField::committed, this, [this](double seconds) {
        Q_EMIT changed([seconds](StepSettings& s) { s.air_lead = Duration::seconds(seconds); });
    });
    if (!context_.machine.profile().z_axis) return;
    auto* focus = add_row(beam_);
    add_length(
        focus, tr("Focus down each pass"), tr("Focus down each pass"),
        [](const StepSettings& s) { return s.lower_each_pass; },
        [](StepSettings& s, Length length) { s.lower_each_pass = length; });
    focus->addStretch(1);
    auto* height = add_row(beam_);
    add_length(
        height, tr("Focus higher by"), tr("Focus higher by"), [](const StepSettings& s) { return s.focus; },
        [](StepSettings& s, Length length) { s.focus = length; });
    height->addStretch(1);
}

/// Only under a constant beam: one that follows the speed weakens by itself.
void StepDetails::build_corner_power() {
    auto* row = add_row(beam_);
    add_label(row, tr("Power at rest, in corners"));
    auto* low = make_power_field(tr("Power in corners"), this);
    low->setFixedWidth(78);
    row->addWidget(low);
    row->addStretch(1);
    showers_.push_back([low](const StepSettings& s) { low->show_value(s.low_power.value_or(s.power).percent()); });
    show_when(row->parentWidget(), [](const StepSettings& s) { return s.beam == steps::BeamControl::constant; });
    connect(low, &ValueField::committed, this, [this](double percent) {
        Q_EMIT changed([percent](StepSettings& s) {
            s.low_power = percent < s.power.percent() ? std::optional(Power::percent(percent)) : std::nullopt;
        });
    });
}

// ---------------------------------------------------------------- what is shown

void StepDetails::show_settings(const StepSettings& settings) {
    for (const auto& show : showers_)
        show(settings);
    if (fill_) fill_->set_note(fill_note(settings.fill));
    if (line_) line_->set_note(line_note(settings.line));
    // Which dots is never at rest: it is what one looks for.
    if (dots_) dots_->set_note(wording::name(settings.picture.dots.method));
    beam_->set_note(beam_note(settings));
}

QString StepDetails::fill_note(const FillSettings& fill) const {
    QStringList parts;
    if (fill.way == FillSettings::Way::contours) parts << tr("along the outline");
    if (fill.tones == FillSettings::Tones::power) parts << tr("tones by power");
    if (fill.tones == FillSettings::Tones::dots) parts << tr("tones by dots");
    if (fill.angle != 0) parts << tr("%1°").arg(fill.angle);
    if (fill.crossed) parts << tr("crossed");
    if (!fill.both_ways) parts << tr("one way");
    if (fill.outline_after) parts << tr("outline after");
    if (fill.first != FillSettings::First::bottom || fill.run_up || fill.shift != Length()) parts << tr("changed");
    return parts.join(", ");
}

QString StepDetails::line_note(const LineSettings& line) const {
    QStringList parts;
    if (line.kerf_side != LineSettings::Kerf::none) parts << tr("kerf %1").arg(millimetres_text(line.kerf));
    if (line.bridges > 0) parts << tr("%1 bridges").arg(line.bridges);
    if (line.perforated()) parts << tr("perforated");
    if (line.lead_in > Length() || line.overcut > Length()) parts << tr("lead-in or overcut");
    if (line.order != LineSettings::Order::shortest) parts << tr("as drawn");
    if (line.parts != LineSettings::Parts::any) parts << tr("parts");
    return parts.join(", ");
}

QString StepDetails::beam_note(const StepSettings& settings) const {
    QStringList parts;
    if (settings.beam == steps::BeamControl::constant) parts << tr("constant");
    if (settings.air && settings.air_lead > Duration()) parts << tr("air first");
    if (settings.lower_each_pass > Length()) parts << tr("focus down");
    if (settings.focus != Length()) parts << tr("focus moved");
    return parts.join(", ");
}

}  // namespace chalkline::app
