// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/fold.hpp"

#include <QVBoxLayout>
#include <QWidget>

namespace chalkline::app {

/// The jobs that wait for the machine, and what was burned before: one click away.
class WaitingPanel : public QWidget {
    Q_OBJECT
 public:
    WaitingPanel(const TrayContext& context, QWidget* parent);

 Q_SIGNALS:
    void open_wanted(const QString& path);
    void history_wanted();

 private:
    void show_jobs();
    void add_row(const QString& path, bool first);
    void ask_for_files();

    TrayContext context_;
    Fold* fold_;
    QWidget* rows_;
    QVBoxLayout* row_layout_;
};

}  // namespace chalkline::app
