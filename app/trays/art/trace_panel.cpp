// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/trace_panel.hpp"

#include "trays/art/motif_card.hpp"
#include "widgets/figure_slider.hpp"
#include "widgets/spoken.hpp"

#include <QHBoxLayout>
#include <QPainter>
#include <QVBoxLayout>
#include <cmath>

namespace chalkline::app {

/// The picture on the left, what was traced from it on the right.
class TracePanel::Proof : public QWidget, public Spoken {
 public:
    Proof(std::shared_ptr<const art::Artwork> art, const theme::Roles& roles, QWidget* parent)
        : QWidget(parent), art_(std::move(art)), roles_(roles) {
        setFixedHeight(150);
        setAccessibleName(TracePanel::tr("The picture and what was traced from it"));
    }
    QAccessible::Role spoken_role() const override { return QAccessible::Graphic; }
    QString spoken_value() const override {
        return TracePanel::tr("%n outlines", nullptr, static_cast<int>(art_->shapes.size()));
    }

 protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        painter.setRenderHint(QPainter::Antialiasing);
        const double half = (width() - 8) / 2.0;
        const QRectF left(0, 0, half, height()), right(half + 8, 0, half, height());
        for (const QRectF& side : {left, right})
            painter.fillRect(side, roles_.bed);
        const geometry::Box page{0, 0, art_->page.x, art_->page.y};
        auto picture = std::make_shared<art::Artwork>();
        picture->pictures = art_->traced_from;
        draw_art_small(painter, left.adjusted(4, 4, -4, -4), picture, page, layers_, roles_);
        draw_art_small(painter, right.adjusted(4, 4, -4, -4), art_, page, layers_, roles_);
    }

 private:
    std::shared_ptr<const art::Artwork> art_;
    const theme::Roles& roles_;
    ArtLayers layers_;
};

TracePanel::TracePanel(job::Id motif, const TrayContext& context, QWidget* parent)
    : QWidget(parent), motif_(motif), context_(context), art_(context.document.job().motif(motif)->art) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(6);
    all->addWidget(make_label(tr("Trace"), Tone::heading, this));
    if (art_->read_with.trace) {
        all->addWidget(new Proof(art_, context_.roles, this));
        add_controls(*art_->read_with.trace);
    } else {
        add_start();
    }
}

void TracePanel::trace(const std::optional<art::TraceOptions>& options) {
    art::ReadOptions read = context_.art.options_of(motif_);
    read.trace = options;
    read.removed.clear();  // the shapes are counted anew
    context_.art.read_again(motif_, read, options ? tr("Trace") : tr("Back to the picture"), job::Anchor::page);
}

void TracePanel::add_start() {
    auto* row = new QHBoxLayout;
    auto* outlines = make_button(tr("Outlines of dark areas"), ButtonLook::plain, this);
    connect(outlines, &QPushButton::clicked, this, [this] { trace(art::TraceOptions{}); });
    row->addWidget(outlines);
    auto* lines = make_button(tr("Centre lines"), ButtonLook::plain, this);
    connect(lines, &QPushButton::clicked, this, [this] { trace(art::TraceOptions{.centre_lines = true}); });
    row->addWidget(lines);
    row->addStretch(1);
    static_cast<QVBoxLayout*>(layout())->addLayout(row);
}

void TracePanel::add_controls(const art::TraceOptions& now) {
    auto* all = static_cast<QVBoxLayout*>(layout());
    const auto add = [&](const QString& name, const QString& unit, double least, double most, int steps, double value,
                         auto change) {
        auto* row = new QHBoxLayout;
        auto* label = make_label(name, Tone::quiet, this);
        label->setFixedWidth(96);
        row->addWidget(label);
        auto* slider = new FigureSlider(name, least, most, steps, unit, this);
        slider->show_figure(value);
        slider->setTracking(false);
        slider->setSingleStep(1);  // nothing is typed here: the keys reach every figure
        auto* told = make_label(slider->told(slider->value()), Tone::plain, this);
        told->setFixedWidth(52);
        told->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
        connect(slider, &QSlider::sliderMoved, told, [slider, told](int at) { told->setText(slider->told(at)); });
        connect(slider, &QSlider::valueChanged, this, [this, change, slider] {
            art::TraceOptions options = context_.art.options_of(motif_).trace.value_or(art::TraceOptions{});
            change(options, slider->figure());
            trace(options);
        });
        row->addWidget(slider, 1);
        row->addWidget(told);
        all->addLayout(row);
    };
    add(tr("Threshold"), {}, 1, 255, 1, now.threshold,
        [](art::TraceOptions& o, double v) { o.threshold = static_cast<int>(std::lround(v)); });
    add(tr("Specks up to"), tr("mm"), 0, 4, 10, now.speck, [](art::TraceOptions& o, double v) { o.speck = v; });
    add(tr("Smoothness"), {}, 0, 1.3, 10, now.smoothness, [](art::TraceOptions& o, double v) { o.smoothness = v; });
    auto* row = new QHBoxLayout;
    auto* other =
        make_button(now.centre_lines ? tr("Outlines instead") : tr("Centre lines instead"), ButtonLook::link, this);
    connect(other, &QPushButton::clicked, this, [this, now] {
        art::TraceOptions options = now;
        options.centre_lines = !now.centre_lines;
        trace(options);
    });
    row->addWidget(other);
    auto* remove = make_button(tr("Take out shapes…"), ButtonLook::link, this);
    connect(remove, &QPushButton::clicked, this, &TracePanel::remove_shapes);
    row->addWidget(remove);
    auto* back = make_button(tr("Picture"), ButtonLook::link, this);
    back->setToolTip(tr("Back to the picture"));
    connect(back, &QPushButton::clicked, this, [this] { trace({}); });
    row->addWidget(back);
    row->addStretch(1);
    all->addLayout(row);
}

void TracePanel::remove_shapes() {
    const auto take = [context = context_, id = motif_](geometry::Point place) {
        const job::Motif* motif = context.document.job().motif(id);
        if (!motif) return;
        const auto shape = art::shape_at(*motif->art, job::on_page(*motif, place), 4 / context.bed.camera().scale);
        if (!shape) return;
        art::ReadOptions options = context.art.options_of(id);
        options.removed.push_back(motif->art->shapes[*shape].number);
        std::sort(options.removed.begin(), options.removed.end());
        context.art.read_again(id, options, QObject::tr("Take out a shape"), job::Anchor::page);
    };
    context_.bed.pick_place(tr("Click the shapes to take out"), take);
}

}  // namespace chalkline::app
