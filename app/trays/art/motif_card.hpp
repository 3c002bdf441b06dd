// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/spoken.hpp"

#include <QWidget>

namespace chalkline::app {

/// One motif: a small picture, its name, size and inks. Clicking chooses it on the bed.
class MotifCard : public QWidget, public Spoken {
    Q_OBJECT
 public:
    MotifCard(const job::Motif& motif, const TrayContext& context, QWidget* parent);
    QAccessible::Role spoken_role() const override { return QAccessible::ListItem; }
    QString spoken_value() const override { return fact_; }
    void add_spoken_state(QAccessible::State& state) const override;

 protected:
    void mouseDoubleClickEvent(QMouseEvent*) override { context_.placing.choose_one(id_); }
    void mousePressEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent* event) override;
    void paintEvent(QPaintEvent*) override;

 private:
    job::Id id_;
    std::shared_ptr<const art::Artwork> art_;
    TrayContext context_;
    geometry::Box box_;
    QString name_, fact_;
    ArtLayers layers_;
};

/// What of the art lies in `shown` (page mm), drawn into `area` as large as fits: fills and lines in burn tones,
/// pictures in greys.
void draw_art_small(QPainter& painter, const QRectF& area, const std::shared_ptr<const art::Artwork>& art,
                    const geometry::Box& shown, ArtLayers& layers, const theme::Roles& roles);

}  // namespace chalkline::app
