// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"
#include "widgets/fold.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QWidget>
#include <functional>
#include <vector>

namespace chalkline::app {

/// One setting changed, as something that can be done to several steps at once.
using SettingChange = std::function<void(steps::StepSettings&)>;

/// The settings of a step that are used rarely, in folds that say when they are not at rest. Only those are there that
/// have an effect on the step's kind and on this machine.
class StepDetails : public QWidget {
    Q_OBJECT
 public:
    StepDetails(steps::StepKind kind, const TrayContext& context, QWidget* parent);
    void show_settings(const steps::StepSettings& settings);

 Q_SIGNALS:
    void changed(const chalkline::app::SettingChange& change);

 private:
    void build_fill(steps::StepKind kind);
    void build_dots();
    void build_line();
    void build_marks(Fold* fold);
    void build_beam(steps::StepKind kind);
    void build_corner_power();
    QString fill_note(const steps::FillSettings& fill) const;
    QString line_note(const steps::LineSettings& line) const;
    QString beam_note(const steps::StepSettings& settings) const;

    // Each maker adds a row and keeps what shows the value anew.
    template <class Set, class Get>
    ValueField* add_length(QLayout* row, const QString& name, const QString& accessible, Get get, Set set);
    template <class Set, class Get>
    QComboBox* add_choice(QLayout* row, const QString& accessible, const QStringList& words, Get get, Set set);
    template <class Set, class Get>
    void add_tick(QLayout* row, const QString& text, Get get, Set set);
    /// A row in a widget of its own, which can be hidden.
    QHBoxLayout* add_row(Fold* fold);
    QLabel* add_label(QLayout* row, const QString& text);
    void show_when(QWidget* widget, bool (*has_effect)(const steps::StepSettings&));
    void take_field(ValueField* field, QLayout* row, const QString& name);

    TrayContext context_;
    Fold *fill_ = nullptr, *line_ = nullptr, *beam_ = nullptr, *dots_ = nullptr;
    QLabel* warning_ = nullptr;
    std::vector<std::function<void(const steps::StepSettings&)>> showers_;
};

}  // namespace chalkline::app
