// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/reading_panel.hpp"

#include <QComboBox>
#include <QHBoxLayout>
#include <QPointer>
#include <cmath>

namespace chalkline::app {
namespace {

/// "1:50", "2:1"
QString scale_text(double scale) {
    const auto number = [](double value) { return QString::fromStdString(format_number(value, 4)); };
    return scale < 1 ? "1:" + number(1 / scale) : number(scale) + ":1";
}

ValueField* make_scale_field(QWidget* parent) {
    return new ValueField(
        QObject::tr("Drawing scale"), [](const QString& text) { return parse_drawing_scale(text.toStdString()); },
        scale_text, parent);
}

/// Where a box of the bed lies on the motif's page as it was drawn, before scale and part.
geometry::Box as_drawn(const geometry::Box& on_bed, const job::Motif& motif) {
    const auto& options = motif.art->read_with;
    geometry::Box box;
    for (const auto corner : geometry::outline(on_bed).points) {
        geometry::Point at = job::on_page(motif, corner) * (1 / options.scale);
        if (options.part) at = at + geometry::Point{options.part->left, options.part->bottom};
        box.add(at);
    }
    return box;
}

/// How fine the picture step burns, mm from dot to dot.
double picture_pitch(const job::Job& job) {
    double pitch = steps::starting_point(steps::StepKind::picture).line_pitch.mm();
    for (const job::Step& step : job.steps)
        if (step.settings.kind == steps::StepKind::picture) pitch = step.settings.line_pitch.mm();
    return pitch;
}

}  // namespace

ReadingPanel::ReadingPanel(job::Id motif, const TrayContext& context, QWidget* parent)
    : QWidget(parent), motif_(motif), context_(context), art_(context.document.job().motif(motif)->art) {
    rows_ = new QVBoxLayout(this);
    rows_->setContentsMargins(0, 0, 0, 0);
    rows_->setSpacing(6);
    if (art_->format == "svg" || art_->format == "pdf") add_strokes();
    if (art_->format == "dxf") add_letters();
    if (art_->format == "dxf") add_linetypes();
    if (art_->hatched) add_hatches();
    if (art_->format != "picture") add_cover();
    if (art_->format != "picture") add_looks();
    if (art_->format == "picture")
        add_width();
    else
        add_scale();
    if (art_->sized_in_pixels) add_density();
    if (art_->format != "picture") add_part();
    add_registration();
}

QHBoxLayout* ReadingPanel::add_row(const QString& text) {
    auto* row = new QHBoxLayout;
    row->setSpacing(8);
    row->addWidget(make_label(text, Tone::quiet, this), 1);
    rows_->addLayout(row);
    return row;
}

void ReadingPanel::change(const QString& name, const std::function<void(art::ReadOptions&)>& how, job::Anchor anchor) {
    art::ReadOptions options = context_.art.options_of(motif_);
    how(options);
    context_.art.read_again(motif_, options, name, anchor);
}

void ReadingPanel::add_strokes() {
    const bool never = std::isinf(art_->read_with.stroke_area);
    auto* row = add_row(never ? tr("Every stroke is a line") : tr("Strokes this wide or wider are areas"));
    if (never) {
        auto* areas = make_button(tr("Wide ones as areas"), ButtonLook::link, this);
        connect(areas, &QPushButton::clicked, this, [this] {
            change(
                tr("Strokes as areas"), [](auto& options) { options.stroke_area = art::ReadOptions().stroke_area; },
                job::Anchor::page);
        });
        return row->addWidget(areas);
    }
    auto* width = make_length_field(tr("Width from which a stroke is an area"), this);
    width->setFixedWidth(84);
    width->show_value(art_->read_with.stroke_area);
    connect(width, &ValueField::committed, this, [this](double mm) {
        if (mm > 0)
            change(
                tr("Strokes as areas"), [mm](auto& options) { options.stroke_area = mm; }, job::Anchor::page);
    });
    row->addWidget(width);
    auto* lines = make_button(tr("All as lines"), ButtonLook::link, this);
    connect(lines, &QPushButton::clicked, this, [this] {
        change(
            tr("Strokes as lines"), [](auto& options) { options.stroke_area = art::ReadOptions::never; },
            job::Anchor::page);
    });
    row->addWidget(lines);
}

QCheckBox* ReadingPanel::make_tick(bool art::ReadOptions::*which, const QString& text, const QString& tip,
                                   const QString& on_name, const QString& off_name) {
    auto* tick = new QCheckBox(text, this);
    tick->setToolTip(tip);
    tick->setChecked(art_->read_with.*which);
    connect(tick, &QCheckBox::clicked, this, [this, which, on_name, off_name](bool on) {
        change(
            on ? on_name : off_name, [which, on](auto& options) { options.*which = on; }, job::Anchor::page);
    });
    return tick;
}

void ReadingPanel::add_cover() {
    rows_->addWidget(
        make_tick(&art::ReadOptions::cover, tr("Paint covers paint"),
                  tr("Areas burn only where they are seen: what is painted over them, white too, is cut out. What "
                     "lets through is mixed."),
                  tr("Paint covers paint"), tr("All paint burns")));
    if (!art_->read_with.cover) return;
    auto* below = new QHBoxLayout;
    below->addSpacing(24);
    below->addWidget(make_tick(&art::ReadOptions::cover_lines, tr("It covers lines too"),
                               tr("Lines burn only where no area is painted over them; otherwise they burn whole"),
                               tr("Paint covers lines"), tr("Lines burn whole")),
                     1);
    rows_->addLayout(below);
}

void ReadingPanel::add_hatches() {
    rows_->addWidget(make_tick(&art::ReadOptions::hatches, tr("Hatching is lines"),
                               tr("Patterns of nothing but thin lines are those lines; otherwise they are pictures"),
                               tr("Hatching as lines"), tr("Hatching as a picture")));
}

void ReadingPanel::add_looks() {
    const bool picture = art_->read_with.as_picture.has_value();
    auto* row = add_row(picture ? tr("One picture, as it looks") : tr("Areas and lines"));
    if (picture) add_other_dots(row);
    auto* other = make_button(picture ? tr("As areas and lines") : tr("As it looks"), ButtonLook::link, this);
    other->setToolTip(tr("As it looks: shadows, soft edges, masks and all become one picture; thin lines stay lines"));
    connect(other, &QPushButton::clicked, this, [this, picture] {
        if (!picture) return read_as_it_looks(motif_, context_);
        change(
            tr("Burn areas and lines"), [](auto& options) { options.as_picture.reset(); }, job::Anchor::page);
    });
    row->addWidget(other);
}

/// Where the picture step burns finer or coarser than the picture was drawn.
void ReadingPanel::add_other_dots(QHBoxLayout* row) {
    auto* again = make_button({}, ButtonLook::link, this);
    again->setToolTip(tr("The picture step burns dots so far apart; the picture was drawn for others"));
    connect(again, &QPushButton::clicked, this, [this] { read_as_it_looks(motif_, context_); });
    row->addWidget(again);
    const auto show = [this, again] {
        const double pitch = picture_pitch(context_.document.job());
        again->setText(tr("Draw it with dots of %1 mm").arg(QLocale().toString(pitch)));
        again->setVisible(std::abs(pitch - *art_->read_with.as_picture) > 1e-6);
    };
    connect(&context_.document, &JobDocument::changed, again, show);
    show();
}

void ReadingPanel::add_letters() {
    const bool single = art_->read_with.text == art::DrawnText::single_stroke;
    auto* row = add_row(single ? tr("Letters are single strokes") : tr("Letters are filled outlines"));
    auto* other = make_button(single ? tr("As outlines") : tr("As single strokes"), ButtonLook::link, this);
    connect(other, &QPushButton::clicked, this, [this, single] {
        change(
            tr("Letters"),
            [single](auto& options) {
                options.text = single ? art::DrawnText::outline : art::DrawnText::single_stroke;
            },
            job::Anchor::page);
    });
    row->addWidget(other);
}

void ReadingPanel::add_linetypes() {
    rows_->addWidget(make_tick(&art::ReadOptions::linetypes, tr("Dashed lines are dashed"),
                               tr("Dashed and dotted lines of the drawing burn in pieces; otherwise they burn through"),
                               tr("Dashed lines"), tr("Whole lines")));
}

void ReadingPanel::add_width() {
    const bool guessed = art_->size_guessed && !art_->read_with.picture_width;
    auto* row = add_row(guessed && !art_->stated_width ? tr("Width (the file states none)") : tr("Width"));
    if (const auto stated = art_->stated_width; stated && art_->page.x != *stated) {
        auto* take = make_button(tr("%1 mm, as stated").arg(*stated, 0, 'f', 0), ButtonLook::link, this);
        connect(take, &QPushButton::clicked, this, [this, stated] {
            change(tr("Picture width"), [stated](auto& options) { options.picture_width = *stated; });
        });
        row->addWidget(take);
    }
    auto* width = make_length_field(tr("Width of the picture"), this);
    width->setFixedWidth(92);
    width->show_value(art_->page.x);
    connect(width, &ValueField::committed, this, [this](double mm) {
        if (mm > 0) change(tr("Picture width"), [mm](auto& options) { options.picture_width = mm; });
    });
    row->addWidget(width);
}

void ReadingPanel::add_scale() {
    auto* row = add_row(tr("Drawing scale"));
    auto* scale = make_scale_field(this);
    scale->setFixedWidth(92);
    scale->setToolTip(tr("Such as 1:50, 2:1 or 1/8in = 1ft"));
    scale->show_value(art_->read_with.scale);
    connect(scale, &ValueField::committed, this,
            [this](double value) { change(tr("Drawing scale"), [value](auto& options) { options.scale = value; }); });
    row->addWidget(scale);
}

void ReadingPanel::add_density() {
    auto* row = add_row(tr("Its size is in pixels, to the inch"));
    auto* density = new QComboBox(this);
    keep_from_wheel(density);
    density->setAccessibleName(tr("Pixels of the drawing to an inch"));
    for (const int count : {72, 90, 96, 300})
        density->addItem(
            art_->sheet_density == count ? tr("%1: its page is a common sheet").arg(count) : QString::number(count),
            count);
    if (density->findData(art_->read_with.density) < 0)
        density->addItem(QString::number(art_->read_with.density), art_->read_with.density);
    density->setCurrentIndex(density->findData(art_->read_with.density));
    connect(density, &QComboBox::activated, this, [this, density](int index) {
        const double count = density->itemData(index).toDouble();
        change(tr("Pixels to the inch"), [count](auto& options) { options.density = count; });
    });
    row->addWidget(density);
}

void ReadingPanel::add_part() {
    const bool whole = !art_->read_with.part;
    auto* row = add_row(whole ? tr("All of the page") : tr("Only a part of the page"));
    if (!whole) {
        auto* all = make_button(tr("Take all"), ButtonLook::link, this);
        connect(all, &QPushButton::clicked, this,
                [this] { change(tr("Take all of the drawing"), [](auto& options) { options.part.reset(); }); });
        row->addWidget(all);
    }
    auto* part = make_button(tr("Take a part…"), ButtonLook::link, this);
    connect(part, &QPushButton::clicked, this, [this] {
        // The panel may be gone by then: the bed calls back only while it lives.
        context_.bed.pick_box(tr("Drag a box round the part to take"),
                              [panel = QPointer<ReadingPanel>(this)](const geometry::Box& box) {
                                  if (panel) panel->take_part(box);
                              });
    });
    row->addWidget(part);
}

void ReadingPanel::take_part(const geometry::Box& on_bed) {
    const job::Motif* motif = context_.document.job().motif(motif_);
    if (!motif) return;
    const geometry::Box part = as_drawn(on_bed, *motif);
    change(
        tr("Take a part"), [&part](auto& options) { options.part = part; }, job::Anchor::page);
}

void ReadingPanel::add_registration() {
    auto* row = add_row(tr("Put the page's corner on"));
    const auto add = [&](const QString& text, geometry::Point corner, double angle) {
        auto* button = make_button(text, ButtonLook::link, this);
        button->setAccessibleName(tr("Put the page's corner on the %1").arg(text));
        connect(button, &QPushButton::clicked, this, [this, corner, angle] {
            (void)context_.document.edit(tr("Register page"),
                                         job::register_page(context_.document.job(), motif_, corner, angle),
                                         JobChange::place);
        });
        row->addWidget(button);
    };
    add(tr("bed"), {}, 0);
    if (const auto& stock = context_.document.job().stock) add(tr("stock"), stock->corner, stock->angle);
}

void read_as_it_looks(job::Id motif, const TrayContext& context) {
    art::ReadOptions options = context.art.options_of(motif);
    options.as_picture = picture_pitch(context.document.job());
    context.art.read_again(motif, options, ReadingPanel::tr("Burn as it looks"), job::Anchor::page);
}

}  // namespace chalkline::app
