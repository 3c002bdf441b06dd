// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"

#include <QCheckBox>
#include <QVBoxLayout>
#include <QWidget>

namespace chalkline::app {

/// The faults found in a motif. Each line lights its places on the bed; the faults of the ticked kinds are mended with
/// one button.
class FindingsPanel : public QWidget {
    Q_OBJECT
 public:
    FindingsPanel(job::Id motif, const TrayContext& context, QWidget* parent);

 private:
    void add_off_bed();
    void add_finds();
    void add_saving(const std::vector<art::Find>& finds);
    void mend();

    job::Id motif_;
    TrayContext context_;
    std::shared_ptr<const art::Artwork> art_;
    QVBoxLayout* rows_;
    std::map<art::Fault, QCheckBox*> kinds_;
};

}  // namespace chalkline::app
