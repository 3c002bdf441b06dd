// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art_tray.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/wording/wording.hpp>

#include <QMouseEvent>
#include <QPainter>

namespace chalkline::app {
namespace {

/// One motif: a small picture, its name, size and inks. Clicking chooses it on the bed.
class MotifCard : public QWidget {
 public:
    MotifCard(const job::Motif& motif, const TrayContext& context, QWidget* parent)
        : QWidget(parent), id_(motif.id), art_(motif.art), context_(context) {
        box_ = art::bounds(*art_);
        const auto inks = art::inks(*art_);
        name_ = QString::fromStdString(art_->name);
        fact_ = QObject::tr("%1 × %2 mm · %3")
                    .arg(QString::fromStdString(format_number(box_.width(), 1)),
                         QString::fromStdString(format_number(box_.height(), 1)),
                         inks.size() == 1 ? QObject::tr("1 ink") : QObject::tr("%1 inks").arg(inks.size()));
        setFixedHeight(54);
        setFocusPolicy(Qt::StrongFocus);
        setCursor(Qt::PointingHandCursor);
        setAccessibleName(name_ + ", " + fact_);
    }

 protected:
    void mousePressEvent(QMouseEvent*) override { context_.bed.select(id_); }
    void keyPressEvent(QKeyEvent* event) override {
        if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Space)
            context_.bed.select(id_);
        else
            QWidget::keyPressEvent(event);
    }
    void paintEvent(QPaintEvent*) override {
        const auto& roles = context_.roles;
        QPainter painter(this);
        painter.setRenderHint(QPainter::Antialiasing);
        const bool chosen = context_.bed.selected() == id_;
        painter.setPen(QPen(chosen || hasFocus() ? roles.accent : roles.hairline, chosen ? 2 : 1));
        painter.setBrush(roles.card);
        painter.drawRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 7, 7);
        const QRectF picture(12, 10, 44, 34);
        painter.fillRect(picture, roles.bed);
        draw_picture(painter, picture.adjusted(3, 3, -3, -3));
        painter.setFont(theme::font(theme::normal, QFont::DemiBold));
        painter.setPen(roles.text);
        const QRect text(68, 9, width() - 78, 18);
        painter.drawText(text, Qt::AlignVCenter,
                         painter.fontMetrics().elidedText(name_, Qt::ElideMiddle, text.width()));
        painter.setFont(theme::font(theme::small));
        painter.setPen(roles.quiet);
        painter.drawText(text.translated(0, 18), Qt::AlignVCenter, fact_);
    }

 private:
    void draw_picture(QPainter& painter, const QRectF& area) {
        if (box_.empty()) return;
        const double scale =
            std::min(area.width() / std::max(1e-6, box_.width()), area.height() / std::max(1e-6, box_.height()));
        const auto centre = box_.centre();
        const QTransform map(scale, 0, 0, -scale, area.center().x() - centre.x * scale,
                             area.center().y() + centre.y * scale);
        for (const auto& layer : layers_.of(art_)) {
            painter.setTransform(map);
            QPen pen(context_.roles.burn[5], 1);
            pen.setCosmetic(true);
            if (layer.ink.kind == InkKind::fill)
                painter.fillPath(layer.path, context_.roles.burn[4]);
            else
                painter.strokePath(layer.path, pen);
        }
        painter.resetTransform();
    }

    job::Id id_;
    std::shared_ptr<const art::Artwork> art_;
    TrayContext context_;
    geometry::Box box_;
    QString name_, fact_;
    ArtLayers layers_;
};

void empty(QLayout* layout) {
    while (QLayoutItem* item = layout->takeAt(0)) {
        delete item->widget();
        delete item;
    }
}

}  // namespace

ArtTray::ArtTray(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    all->addWidget(make_label(tr("Art"), Tone::heading, this));
    cards_ = new QVBoxLayout;
    cards_->setSpacing(8);
    all->addLayout(cards_);
    auto* add = make_button(tr("Add files…"), ButtonLook::accent, this);
    connect(add, &QPushButton::clicked, this, &ArtTray::add_files_wanted);
    all->addWidget(add, 0, Qt::AlignLeft);

    place_ = new QWidget(this);
    auto* row = new QHBoxLayout(place_);
    row->setContentsMargins(0, 12, 0, 0);
    x_ = make_length_field(tr("Left edge on the bed"), place_);
    y_ = make_length_field(tr("Near edge on the bed"), place_);
    row->addWidget(make_label(tr("Lower left corner"), Tone::quiet, place_));
    row->addStretch(1);
    row->addWidget(make_label(tr("X"), Tone::quiet, place_));
    x_->setFixedWidth(92);
    row->addWidget(x_);
    row->addWidget(make_label(tr("Y"), Tone::quiet, place_));
    y_->setFixedWidth(92);
    row->addWidget(y_);
    all->addWidget(place_);
    connect(x_, &ValueField::committed, this, [this](double x) { move_to(x, y_->value()); });
    connect(y_, &ValueField::committed, this, [this](double y) { move_to(x_->value(), y); });

    notes_ = new QVBoxLayout;
    notes_->setSpacing(4);
    notes_->setContentsMargins(0, 12, 0, 0);
    all->addLayout(notes_);
    all->addStretch(1);
    connect(&context_.document, &JobDocument::changed, this, &ArtTray::follow);
    connect(&context_.bed, &BedView::selection_changed, this, [this] {
        show_place();
        for (auto* card : findChildren<QWidget*>())
            card->update();
    });
    rebuild();
}

void ArtTray::follow(JobChange change) {
    if (touches(change, JobChange::art)) rebuild();
    if (touches(change, JobChange::place)) show_place();
}

void ArtTray::rebuild() {
    empty(cards_);
    empty(notes_);
    for (const job::Motif& motif : context_.document.job().motifs) {
        cards_->addWidget(new MotifCard(motif, context_, this));
        if (motif.art->remarks.empty()) continue;
        notes_->addWidget(make_label(tr("From %1, not burned as drawn").arg(QString::fromStdString(motif.art->name)),
                                     Tone::heading, this));
        for (const art::Remark& remark : motif.art->remarks) {
            const Notice& notice = remark.notice;
            QString text = wording::describe(notice);
            if (notice.count > 1)
                text += tr(" (%1 places, first in line %2)").arg(notice.count).arg(notice.line);
            else if (notice.line > 0)
                text += tr(" (line %1)").arg(notice.line);
            notes_->addWidget(make_label(text, Tone::attention, this));
        }
    }
    if (context_.document.job().motifs.empty())
        cards_->addWidget(
            make_label(tr("Nothing yet. Drop SVG drawings anywhere in the window, or add files."), Tone::quiet, this));
    show_place();
}

void ArtTray::show_place() {
    const auto selected = context_.bed.selected();
    const job::Motif* motif = selected ? context_.document.job().motif(*selected) : nullptr;
    place_->setVisible(motif != nullptr);
    if (!motif) return;
    const auto box = job::bounds(*motif);
    x_->show_value(box.left);
    y_->show_value(box.bottom);
}

void ArtTray::move_to(double x, double y) {
    const auto selected = context_.bed.selected();
    const job::Motif* motif = selected ? context_.document.job().motif(*selected) : nullptr;
    if (!motif) return;
    const auto box = job::bounds(*motif);
    (void)context_.document.edit(tr("Place art"),
                                 job::move_motif(context_.document.job(), motif->id, {x - box.left, y - box.bottom}),
                                 JobChange::place);
}

}  // namespace chalkline::app
