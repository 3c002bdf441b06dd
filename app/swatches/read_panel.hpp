// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "swatches/dose_plot.hpp"
#include "widgets/controls.hpp"
#include "widgets/flow_layout.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QWidget>

namespace chalkline::app {

/// A burned card is read: which burn, from a photograph or by eye, a verdict for the chosen swatch, what all of them
/// say together, and what becomes of the best.
class ReadPanel : public QWidget {
    Q_OBJECT
 public:
    ReadPanel(SwatchDesk& desk, JobDocument& document, RecipeDesk& recipes, MachineLink& machine,
              const theme::Roles& roles, QWidget* parent);
    /// Gives the chosen swatch the verdict that is offered at this place, counted from 0; the same again takes it back.
    void give_verdict(int number);

 Q_SIGNALS:
    void photo_wanted();
    void bed_picture_wanted();
    void photograph_shown(bool shown);
    void finer_wanted();
    void use_wanted(const chalkline::recipes::Recipe& recipe);

 private:
    void build_burns(QVBoxLayout* all);
    void build_swatch(QVBoxLayout* all);
    void build_advice(QVBoxLayout* all);
    void build_next(QVBoxLayout* all);
    void follow();
    void show_burns();
    void show_swatch();
    void show_advice();
    void offer_verdicts();
    QString curve_words() const;
    QString fastest_words() const;
    QString cut_words() const;

    SwatchDesk& desk_;
    JobDocument& document_;
    RecipeDesk& recipes_;
    MachineLink& machine_;
    const theme::Roles& roles_;
    QComboBox* burns_ = nullptr;
    ValueField *over_ = nullptr, *depth_ = nullptr;
    QPushButton *by_hand_ = nullptr, *bed_picture_ = nullptr, *keep_ = nullptr, *finer_ = nullptr, *use_ = nullptr,
                *response_ = nullptr, *gone_ = nullptr, *unmeasured_ = nullptr;
    QCheckBox* photograph_ = nullptr;
    QLabel *marks_ = nullptr, *swatch_ = nullptr, *more_ = nullptr, *advice_ = nullptr, *kept_ = nullptr;
    QWidget *swatch_box_ = nullptr, *verdict_box_ = nullptr, *over_box_ = nullptr;
    std::vector<QPushButton*> verdicts_;
    std::optional<steps::StepKind> verdicts_for_;
    QLineEdit *words_ = nullptr, *note_ = nullptr;
    DosePlot* plot_ = nullptr;
};

}  // namespace chalkline::app
