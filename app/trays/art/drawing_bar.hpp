// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/fold.hpp"

#include <chalkline/art/design.hpp>

namespace chalkline::app {

/// Draws text, simple forms and freehand lines in the program: each lands on the piece as a motif and is set in its
/// panel.
class DrawingBar : public Fold {
    Q_OBJECT
 public:
    DrawingBar(const TrayContext& context, QWidget* parent);

 private:
    void add(const art::Design& design);
    void draw_freehand();
    TrayContext context_;
};

}  // namespace chalkline::app
