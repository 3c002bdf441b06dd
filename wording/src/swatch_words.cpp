// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/wording/swatch_words.hpp>
#include <chalkline/wording/wording.hpp>

#include <QCoreApplication>

namespace chalkline::wording {
namespace {

QString of_cards(const char* text) {
    return QCoreApplication::translate("swatches", text);
}

}  // namespace

QString name(swatches::Variable variable) {
    using enum swatches::Variable;
    switch (variable) {
        case power:
            return of_cards("Power");
        case speed:
            return of_cards("Speed");
        case line_pitch:
            return of_cards("Line pitch");
        case passes:
            return of_cards("Passes");
        case dither:
            return of_cards("Dots");
        case focus:
            return of_cards("Focus height");
        case shift:
            return of_cards("Shift of returning lines");
        case kerf:
            return of_cards("Kerf");
        case perforation:
            return of_cards("Perforation");
        case corner_power:
            return of_cards("Power in corners");
        case tone:
            return of_cards("Tone");
    }
    return {};
}

QString name(swatches::Shape shape) {
    using enum swatches::Shape;
    switch (shape) {
        case square:
            return of_cards("Square");
        case circle:
            return of_cards("Circle");
        case flap:
            return of_cards("Flap, held at one corner");
        case bars:
            return of_cards("Bars");
        case corners:
            return of_cards("Corners");
        case curves:
            return of_cards("Circles in circles");
        case slot:
            return of_cards("Window for a tongue");
        case patch:
            return of_cards("Picture patch");
        case tick:
            return of_cards("Short line");
        case motif:
            return of_cards("A drawing of the job");
    }
    return {};
}

QString name(swatches::Verdict verdict) {
    using enum swatches::Verdict;
    switch (verdict) {
        case none:
            return of_cards("Not judged");
        case too_light:
            return of_cards("Too light");
        case keeper:
            return of_cards("Keeper");
        case too_dark:
            return of_cards("Too dark");
        case charred:
            return of_cards("Charred");
        case too_deep:
            return of_cards("Too deep");
        case rough:
            return of_cards("Rough");
        case melted:
            return of_cards("Melted");
        case layer_left:
            return of_cards("Layer left");
        case not_through:
            return of_cards("Not through");
        case just_through:
            return of_cards("Just through");
        case clean:
            return of_cards("Clean");
        case burned_edge:
            return of_cards("Burned edge");
    }
    return {};
}

QString name(swatches::Ready ready) {
    using enum swatches::Ready;
    switch (ready) {
        case engrave_dose:
            return of_cards("Engraving");
        case cut_through:
            return of_cards("Cutting through");
        case score_line:
            return of_cards("Scored line");
        case line_pitch:
            return of_cards("Line pitch");
        case backlash:
            return of_cards("There and back");
        case kerf:
            return of_cards("Kerf");
        case focus:
            return of_cards("Focus");
        case grey_ramp:
            return of_cards("Grey ramp");
        case dot_gain:
            return of_cards("Dot gain");
        case round_piece:
            return of_cards("Round piece");
        case corners:
            return of_cards("Corners");
        case curves:
            return of_cards("Curves");
    }
    return {};
}

QString purpose(swatches::Ready ready) {
    using enum swatches::Ready;
    switch (ready) {
        case engrave_dose:
            return of_cards("How dark does an area come out, and how fast can it go?");
        case cut_through:
            return of_cards("At which speed and in how many passes does it come out?");
        case score_line:
            return of_cards("How strong does a line come out?");
        case line_pitch:
            return of_cards("How far apart may scan lines lie?");
        case backlash:
            return of_cards("Do lines that run there and back meet?");
        case kerf:
            return of_cards("How wide is the cut? The tongue fits the window with the right value.");
        case focus:
            return of_cards("At which height is the line finest?");
        case grey_ramp:
            return of_cards("How dark does a share of burned dots look? Pictures come out even with the answer.");
        case dot_gain:
            return of_cards("How much do dots grow, at which pitch?");
        case round_piece:
            return of_cards("One column of swatches that runs round a cup.");
        case corners:
            return of_cards("How much power do corners need?");
        case curves:
            return of_cards("How do small circles come out?");
    }
    return {};
}

QString value_text(const swatches::Axis& axis, double value) {
    if (axis.what == swatches::Variable::dither) return name(static_cast<raster::DitherMethod>(std::lround(value)));
    const QString number = QString::fromStdString(swatches::label_of(axis, value));
    const auto unit = swatches::unit_of(axis.what);
    return unit.empty() ? number : number + " " + QString::fromUtf8(unit.data(), static_cast<qsizetype>(unit.size()));
}

QString describe(const swatches::Card& card) {
    QString sides = name(card.columns.what).toLower();
    QString count = QString::number(swatches::columns_of(card));
    if (card.rows) {
        sides += " × " + name(card.rows->what).toLower();
        count += " × " + QString::number(swatches::rows_of(card));
    }
    const QString left_out =
        card.left_out.empty() ? QString() : of_cards(", %1 left out").arg(static_cast<int>(card.left_out.size()));
    return of_cards("%1 %2 mm, %3: %4, %5%6")
        .arg(card.material.empty() ? of_cards("Some material") : QString::fromStdString(card.material),
             QString::fromStdString(format_number(card.thickness.mm(), 2)), name(card.settings.kind).toLower(), sides,
             count, left_out);
}

}  // namespace chalkline::wording
