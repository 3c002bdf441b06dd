// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "proof/proof_desk.hpp"
#include "proof/tone_curve.hpp"
#include "widgets/controls.hpp"

#include <QGridLayout>
#include <QSlider>
#include <QWidget>
#include <functional>
#include <vector>

namespace chalkline::app {

/// The tones of the picture looked at: the curve over the histogram, and sliders with typed values.
class TonePanel : public QWidget {
    Q_OBJECT
 public:
    TonePanel(ProofDesk& desk, const theme::Roles& roles, QWidget* parent);

 private:
    using Value = std::function<double&(raster::Preparation&)>;
    /// A row for one value; the slider works in hundredths of it.
    void add_row(QGridLayout* grid, const QString& name, const QString& unit, double least, double most, Value value);
    void set(const QString& name, const Value& value, double to, bool dragging);
    void show_tone();

    ProofDesk& desk_;
    ToneCurve* curve_;
    std::vector<std::function<void(raster::Preparation&)>> showers_;
};

}  // namespace chalkline::app
