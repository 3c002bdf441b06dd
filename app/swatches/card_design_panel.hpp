// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "swatches/axis_editor.hpp"
#include "trays/steps/step_details.hpp"
#include "widgets/fold.hpp"

#include <QVBoxLayout>

namespace chalkline::app {

/// Everything of a card that is decided before it burns.
class CardDesignPanel : public QWidget {
    Q_OBJECT
 public:
    CardDesignPanel(SwatchDesk& desk, const TrayContext& context, QWidget* parent);

 private:
    void build_head();
    void build_rest();
    void build_swatches();
    void build_text();
    void follow();
    void rebuild_rest();
    void choose_kind(int index);
    void choose_shape(int index);
    void take_motif();
    QHBoxLayout* add_row(QVBoxLayout* to, const QString& name);
    /// A field that shows and sets one value of the card.
    template <class Get, class Set>
    ValueField* bind(ValueField* field, Get get, Set set);
    template <class Get, class Set>
    QLineEdit* bind_text(const QString& name, const QString& hint, Get get, Set set);

    SwatchDesk& desk_;
    TrayContext context_;
    QVBoxLayout* all_;
    QComboBox *kind_ = nullptr, *shape_ = nullptr, *parts_ = nullptr;
    Fold *rest_ = nullptr, *swatches_ = nullptr, *text_ = nullptr;
    QWidget* rest_fields_ = nullptr;
    ValueField *power_ = nullptr, *speed_ = nullptr, *pitch_ = nullptr, *passes_ = nullptr;
    QCheckBox* air_ = nullptr;
    StepDetails* details_ = nullptr;
    QLabel* left_out_ = nullptr;
    QPushButton* back_in_ = nullptr;
    std::optional<steps::StepKind> rest_for_;
    std::vector<std::function<void(const swatches::Card&)>> showers_;
};

}  // namespace chalkline::app
