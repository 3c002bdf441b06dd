// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "swatches/swatch_desk.hpp"
#include "widgets/controls.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QWidget>

namespace chalkline::app {

/// One side of a card: what differs along it, from where to where, in how many values or at which step. Typing one
/// keeps the others sensible, and what was done for it is said below.
class AxisEditor : public QWidget {
    Q_OBJECT
 public:
    enum class Side { columns, rows };
    AxisEditor(Side side, SwatchDesk& desk, QWidget* parent);

 private:
    void follow();
    void build_values();
    const swatches::Axis* axis() const;
    void put(const QString& name, const swatches::Adjusted& made);
    void choose_variable(int index);
    template <class Change>
    void adjust(Change change);

    Side side_;
    SwatchDesk& desk_;
    QComboBox* what_;
    QWidget* values_ = nullptr;  ///< made anew for every variable: its fields have the variable's unit
    ValueField *first_ = nullptr, *last_ = nullptr, *count_ = nullptr, *step_ = nullptr;
    QCheckBox* geometric_ = nullptr;
    std::vector<QCheckBox*> methods_;
    QLabel* said_;
    std::optional<swatches::Variable> built_for_;
    bool built_ = false;
};

}  // namespace chalkline::app
