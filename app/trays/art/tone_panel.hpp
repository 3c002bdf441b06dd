// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"

#include <QGridLayout>
#include <QSlider>
#include <QWidget>
#include <functional>
#include <vector>

namespace chalkline::app {

/// The tones of a motif's pictures: sliders with typed values. The proof on the bed follows.
class TonePanel : public QWidget {
    Q_OBJECT
 public:
    TonePanel(job::Id motif, const TrayContext& context, QWidget* parent);

 private:
    /// A row for one value; the slider works in hundredths of it.
    void add_row(QGridLayout* grid, const QString& name, double least, double most,
                 double raster::ToneSettings::*value);
    void set(double raster::ToneSettings::*value, double to, bool dragging);
    void show_tone();

    job::Id motif_;
    TrayContext context_;
    std::vector<std::function<void(const raster::ToneSettings&)>> showers_;
};

}  // namespace chalkline::app
