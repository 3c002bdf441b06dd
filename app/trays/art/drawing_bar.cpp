// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/drawing_bar.hpp"

#include "widgets/controls.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/job/edits.hpp>

#include <QHBoxLayout>

namespace chalkline::app {
namespace {

using Form = art::FormDesign::Form;

/// The hand's way without the points it did not need (D. Douglas and T. Peucker, "Algorithms for the reduction of the
/// number of points required to represent a digitized line", 1973).
void keep_needed(const std::vector<geometry::Point>& way, std::size_t from, std::size_t to, double slack,
                 std::vector<geometry::Point>& kept) {
    std::size_t worst = from;
    double away = slack;
    const geometry::Point along = way[to] - way[from];
    const double length = geometry::norm(along);
    for (std::size_t i = from + 1; i < to; ++i) {
        const double off = length > 0 ? std::abs(geometry::cross(along, way[i] - way[from])) / length
                                      : geometry::distance(way[i], way[from]);
        if (off <= away) continue;
        away = off;
        worst = i;
    }
    if (worst == from) return kept.push_back(way[to]);
    keep_needed(way, from, worst, slack, kept);
    keep_needed(way, worst, to, slack, kept);
}

art::Design design_of(const std::vector<geometry::Point>& way) {
    constexpr double slack = 0.15;  // mm
    art::FreehandDesign line{{way.front()}, false};
    keep_needed(way, 0, way.size() - 1, slack, line.points);
    // Ends that meet were meant to.
    constexpr double closes = 3;  // mm
    line.closed = line.points.size() > 3 && geometry::distance(line.points.front(), line.points.back()) < closes;
    if (line.closed) line.points.pop_back();
    return {line, {}, false};
}

}  // namespace

DrawingBar::DrawingBar(const TrayContext& context, QWidget* parent) : Fold(tr("Draw"), parent), context_(context) {
    auto* first = new QHBoxLayout;
    auto* second = new QHBoxLayout;
    for (QHBoxLayout* row : {first, second}) {
        row->setSpacing(6);
        body()->addLayout(row);
    }
    const auto button = [this](QHBoxLayout* row, const QString& text, auto act) {
        auto* made = make_button(text, ButtonLook::plain, this);
        connect(made, &QPushButton::clicked, this, act);
        row->addWidget(made);
    };
    const auto form = [&](QHBoxLayout* row, const QString& text, Form kind, double width, double height) {
        button(row, text, [this, kind, width, height] {
            add({art::FormDesign{kind, width, height, 0, 6}, {}, false});
        });
    };
    button(first, tr("Text"), [this] {
        art::TextDesign text;
        text.text = tr("Text").toStdString();
        add({text, {}, true});
    });
    form(first, tr("Rectangle"), Form::rectangle, 40, 25);
    form(first, tr("Ellipse"), Form::ellipse, 30, 30);
    form(first, tr("Slot"), Form::slot, 30, 8);
    form(second, tr("Polygon"), Form::polygon, 30, 30);
    form(second, tr("Line"), Form::line, 40, 0);
    button(second, tr("Freehand"), [this] { draw_freehand(); });
    for (QHBoxLayout* row : {first, second})
        row->addStretch(1);
}

void DrawingBar::add(const art::Design& design) {
    auto art = art::draw(design, context_.surroundings.of_nothing());
    if (!art) return Q_EMIT context_.placing.refused(art.error());
    context_.placing.add(std::make_shared<const art::Artwork>(std::move(*art)));
}

void DrawingBar::draw_freehand() {
    context_.bed.pick_stroke(tr("Draw a line on the bed"), true, [this](const std::vector<geometry::Point>& way) {
        auto art = art::draw(design_of(way), context_.surroundings.of_nothing());
        if (!art) return Q_EMIT context_.placing.refused(art.error());
        // It stays where it was drawn.
        const geometry::Point at = art->origin;
        context_.placing.add_at(std::make_shared<const art::Artwork>(std::move(*art)), at);
    });
}

}  // namespace chalkline::app
