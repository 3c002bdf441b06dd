// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/design_panel.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/job/edits.hpp>

#include <QCheckBox>
#include <QComboBox>
#include <QFontComboBox>
#include <QPlainTextEdit>
#include <QTimer>
#include <set>

namespace chalkline::app {

using Form = art::FormDesign::Form;

DesignPanel::DesignPanel(job::Id motif, const TrayContext& context, QWidget* parent)
    : QWidget(parent), motif_(motif), context_(context) {
    rows_ = new QVBoxLayout(this);
    rows_->setContentsMargins(0, 0, 0, 0);
    rows_->setSpacing(6);
    const art::Design& design = *context_.document.job().motif(motif)->art->design;
    shown_ = design;
    if (const auto* text = std::get_if<art::TextDesign>(&design.what)) build_text(*text);
    if (const auto* form = std::get_if<art::FormDesign>(&design.what)) build_form(*form);
    build_ink();
}

void DesignPanel::take_caret() {
    if (!letters_) return;
    letters_->setFocus();
    letters_->selectAll();
}

ValueField* DesignPanel::add_field(const QString& label, ValueField* field, double value,
                                   const std::function<void(art::Design&, double)>& set) {
    auto* row = new QHBoxLayout;
    row->addWidget(make_label(label, Tone::quiet, this), 1);
    field->setFixedWidth(96);
    field->show_value(value);
    row->addWidget(field);
    rows_->addLayout(row);
    connect(field, &ValueField::committed, this,
            [this, set](double typed) { redraw([&](art::Design& design) { set(design, typed); }); });
    return field;
}

void DesignPanel::add_tick(const QString& label, bool on, const std::function<void(art::Design&, bool)>& set) {
    auto* tick = new QCheckBox(label, this);
    tick->setChecked(on);
    rows_->addWidget(tick);
    connect(tick, &QCheckBox::clicked, this,
            [this, set](bool ticked) { redraw([&](art::Design& design) { set(design, ticked); }); });
}

void DesignPanel::build_text(const art::TextDesign& text) {
    const auto of = [](art::Design& design) -> art::TextDesign& { return std::get<art::TextDesign>(design.what); };
    rows_->addWidget(make_label(tr("Text"), Tone::heading, this));
    auto* letters = letters_ = new QPlainTextEdit(QString::fromStdString(text.text), this);
    letters->setAccessibleName(tr("The text to burn"));
    letters->setTabChangesFocus(true);
    letters->setFixedHeight(56);
    rows_->addWidget(letters);
    // Drawn while typing, once the hand rests.
    auto* rest = new QTimer(this);
    rest->setSingleShot(true);
    rest->setInterval(250);  // ms
    connect(letters, &QPlainTextEdit::textChanged, rest, qOverload<>(&QTimer::start));
    connect(rest, &QTimer::timeout, this, [this, letters, of] {
        if (letters->toPlainText().trimmed().isEmpty()) return;  // something new is being typed
        redraw([&](art::Design& design) { of(design).text = letters->toPlainText().toStdString(); });
    });
    add_field(tr("Height of a capital"), make_length_field(tr("Height of the letters"), this), text.height,
              [of](art::Design& d, double v) { of(d).height = v; });
    add_field(tr("On a circle of radius"), make_length_field(tr("Radius of the circle the text stands on"), this),
              text.radius, [of](art::Design& d, double v) { of(d).radius = v; })
        ->setToolTip(tr("0: straight. Below 0: along the bottom of the circle"));
    auto* font = new QFontComboBox(this);
    font->setAccessibleName(tr("Font"));
    if (text.family.empty())
        font->setEditText(tr("the desktop's"));
    else
        font->setCurrentFont(QFont(QString::fromStdString(text.family)));
    keep_from_wheel(font);
    font->setEnabled(!text.single_stroke);
    font->setMinimumContentsLength(12);
    rows_->addWidget(font);
    connect(font, &QFontComboBox::activated, this, [this, font, of](int) {
        redraw([&](art::Design& design) { of(design).family = font->currentFont().family().toStdString(); });
    });
    add_tick(tr("Bold"), text.bold, [of](art::Design& d, bool on) { of(d).bold = on; });
    add_tick(tr("Letters of single strokes"), text.single_stroke,
             [of](art::Design& d, bool on) { of(d).single_stroke = on; });
}

void DesignPanel::build_form(const art::FormDesign& form) {
    const auto of = [](art::Design& design) -> art::FormDesign& { return std::get<art::FormDesign>(design.what); };
    rows_->addWidget(make_label(tr("Form"), Tone::heading, this));
    add_field(tr("Width"), make_length_field(tr("Width of the form"), this), form.width,
              [of](art::Design& d, double v) { of(d).width = v; });
    add_field(tr("Height"), make_length_field(tr("Height of the form"), this), form.height,
              [of](art::Design& d, double v) { of(d).height = v; });
    if (form.form == Form::rectangle)
        add_field(tr("Round corners"), make_length_field(tr("Radius of the corners"), this), form.corner,
                  [of](art::Design& d, double v) { of(d).corner = v; });
    if (form.form == Form::polygon)
        add_field(tr("Sides"), make_count_field(tr("Sides of the polygon"), this), form.sides,
                  [of](art::Design& d, double v) { of(d).sides = static_cast<int>(v); });
}

void DesignPanel::build_ink() {
    const job::Job& job = context_.document.job();
    const art::Design& design = *job.motif(motif_)->art->design;
    auto* row = new QHBoxLayout;
    row->addWidget(make_label(tr("Ink"), Tone::quiet, this), 1);
    auto* inks = new QComboBox(this);
    inks->setAccessibleName(tr("Ink of the drawn art"));
    keep_from_wheel(inks);
    std::set<Rgb> colours{{0, 0, 0},          {255, 255, 255},    {0xc0, 0x20, 0x20},
                          {0x20, 0x50, 0xb0}, {0x20, 0x80, 0x40}, design.rgb};
    for (const auto& routed : job::routed_inks(job))
        if (routed.ink.kind != InkKind::picture) colours.insert(routed.ink.rgb);
    for (const Rgb colour : colours) {
        QPixmap chip(14, 14);
        chip.fill(QColor(colour.red, colour.green, colour.blue));
        const bool bare = colour == Rgb{255, 255, 255};
        inks->addItem(chip, bare ? tr("White: covers, burns nothing") : QString::fromStdString(to_text(colour)),
                      QVariant::fromValue(QColor(colour.red, colour.green, colour.blue)));
        if (colour == design.rgb) inks->setCurrentIndex(inks->count() - 1);
    }
    row->addWidget(inks);
    rows_->addLayout(row);
    connect(inks, &QComboBox::activated, this, [this, inks](int index) {
        const QColor colour = inks->itemData(index).value<QColor>();
        redraw([&](art::Design& changed) {
            changed.rgb = {static_cast<std::uint8_t>(colour.red()), static_cast<std::uint8_t>(colour.green()),
                           static_cast<std::uint8_t>(colour.blue())};
        });
    });
    const auto* form = std::get_if<art::FormDesign>(&design.what);
    const auto* text = std::get_if<art::TextDesign>(&design.what);
    if (!(form && form->form == Form::line) && !(text && text->single_stroke))
        add_tick(tr("Filled"), design.filled, [](art::Design& d, bool on) { d.filled = on; });
}

void DesignPanel::redraw(const std::function<void(art::Design&)>& change) {
    const job::Motif* motif = context_.document.job().motif(motif_);
    if (!motif || !motif->art->design || context_.placing.held()) return;
    art::Design design = *motif->art->design;
    change(design);
    if (design == *motif->art->design) return;
    auto art = art::draw(design, context_.surroundings.of_nothing());
    if (!art) return Q_EMIT context_.placing.refused(art.error());
    art->read_with = motif->art->read_with;
    // Letters of strokes have other fields: then the panel is made again.
    const auto strokes = [](const art::Design& d) {
        const auto* text = std::get_if<art::TextDesign>(&d.what);
        return text && text->single_stroke;
    };
    if (strokes(design) == strokes(shown_)) shown_ = design;
    // What is typed letter by letter is one step of the history.
    const MergeKey merge{Gesture::type_text, motif_};
    (void)context_.document.edit(
        tr("Change %1").arg(QString::fromStdString(art->name)),
        job::replace_art(context_.document.job(), motif_, std::make_shared<const art::Artwork>(std::move(*art)),
                         job::Anchor::page),
        JobChange::art | JobChange::place | JobChange::steps, merge);
}

}  // namespace chalkline::app
