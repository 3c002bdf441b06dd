// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"

#include <QVBoxLayout>
#include <QWidget>

namespace chalkline::app {

/// What a motif's file asked for that burns otherwise. Each line lights its places on the bed; what areas and lines
/// cannot reproduce can be burned as it looks with one button. A long list shows its first lines until all are wanted.
class RemarksPanel : public QWidget {
    Q_OBJECT
 public:
    RemarksPanel(job::Id motif, const TrayContext& context, QWidget* parent);

 private:
    QWidget* note_of(const art::Remark& remark);
    void offer_all(QVBoxLayout* rows);
    void offer_looks(QVBoxLayout* rows);

    job::Id motif_;
    TrayContext context_;
    std::shared_ptr<const art::Artwork> art_;
    QWidget* more_ = nullptr;  ///< those behind the first ones
};

/// Lights places of a motif's page on the bed.
void light_places(const std::vector<geometry::Box>& on_page, job::Id motif, const TrayContext& context);

}  // namespace chalkline::app
