// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"

#include <QCheckBox>
#include <QVBoxLayout>
#include <QWidget>

namespace chalkline::app {

/// What a motif's file asked for that burns otherwise, and the faults found in it. Each line lights its places on the
/// bed; the faults of the ticked kinds are mended with one button.
class FindingsPanel : public QWidget {
    Q_OBJECT
 public:
    FindingsPanel(job::Id motif, const TrayContext& context, QWidget* parent);

 private:
    void add_remarks();
    void add_off_bed();
    void add_finds();
    void add_saving(const std::vector<art::Find>& finds);
    void light(std::vector<geometry::Box> on_page);
    void mend();

    job::Id motif_;
    TrayContext context_;
    std::shared_ptr<const art::Artwork> art_;
    QVBoxLayout* rows_;
    std::map<art::Fault, QCheckBox*> kinds_;
};

}  // namespace chalkline::app
