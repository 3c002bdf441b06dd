// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/placing_desk.hpp"
#include "proof/original_panel.hpp"
#include "proof/proof_desk.hpp"
#include "widgets/controls.hpp"
#include "widgets/fold.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QVBoxLayout>
#include <functional>
#include <vector>

namespace chalkline::app {

/// Size, pitch and material of the picture looked at; what of it is left out; how its dots are kept apart.
class PreparePanel : public QWidget {
    Q_OBJECT
 public:
    PreparePanel(JobDocument& document, PlacingDesk& placing, ProofDesk& desk, OriginalPanel& original,
                 const machine::MachineProfile& machine, QWidget* parent);
    /// What is needed less often: crop, background, dots kept apart. Stands where the view puts it.
    QWidget* more() const { return more_; }

 private:
    void build_size(QVBoxLayout* all);
    void build_crop(QVBoxLayout* all);
    void build_background(QVBoxLayout* all);
    void build_dots(QVBoxLayout* all, double spot);
    void build_response(Fold* fold);
    void choose_tool(OriginalPanel::Tool tool);
    void set_size(double width, double height);
    void turn(double radians);
    void show_all();
    /// A field of the picture's preparation or of its step, shown again after every change.
    template <class Get, class Set>
    void follow_step(ValueField* field, const QString& name, Get get, Set set);
    template <class Get, class Set>
    void follow_picture(ValueField* field, const QString& name, Get get, Set set);
    template <class Set>
    QCheckBox* add_step_tick(QVBoxLayout* to, const QString& text, const QString& tip,
                             std::function<bool(const steps::StepSettings&)> get, Set set);

    JobDocument& document_;
    PlacingDesk& placing_;
    ProofDesk& desk_;
    OriginalPanel& original_;
    std::vector<std::function<void(const raster::Preparation&)>> of_picture_;
    std::vector<std::function<void(const steps::StepSettings&)>> of_step_;
    std::vector<std::pair<OriginalPanel::Tool, QPushButton*>> tools_;
    ValueField *width_ = nullptr, *height_ = nullptr;
    QLabel *per_inch_ = nullptr, *material_ = nullptr;
    QPushButton* route_ = nullptr;
    QWidget* more_ = nullptr;
};

}  // namespace chalkline::app
