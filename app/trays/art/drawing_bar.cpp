// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/drawing_bar.hpp"

#include "widgets/controls.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/job/edits.hpp>

#include <QHBoxLayout>

namespace chalkline::app {
namespace {

using Form = art::FormDesign::Form;

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
        auto art = art::draw(art::freehand(way), context_.surroundings.of_nothing());
        if (!art) return Q_EMIT context_.placing.refused(art.error());
        // It stays where it was drawn.
        const geometry::Point at = art->origin;
        context_.placing.add_at(std::make_shared<const art::Artwork>(std::move(*art)), at);
    });
}

}  // namespace chalkline::app
