// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"

#include <QWidget>

namespace chalkline::app {

/// Traces a motif's pictures to outlines or centre lines, with what came out beside the picture; single shapes can be
/// taken out on the bed.
class TracePanel : public QWidget {
    Q_OBJECT
 public:
    TracePanel(job::Id motif, const TrayContext& context, QWidget* parent);

 private:
    class Proof;
    void add_start();
    void add_controls(const art::TraceOptions& now);
    void trace(const std::optional<art::TraceOptions>& options);
    void remove_shapes();

    job::Id motif_;
    TrayContext context_;
    std::shared_ptr<const art::Artwork> art_;
};

}  // namespace chalkline::app
