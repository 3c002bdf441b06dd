// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"

#include <QVBoxLayout>

namespace chalkline::app {

/// The open checks, a row each: what, why, and what mends it. What blocks comes first; some of it can be overridden
/// with a reason, which is kept in the job.
class ChecksPanel : public QWidget {
    Q_OBJECT
 public:
    ChecksPanel(const TrayContext& context, QWidget* parent);

 private:
    void follow();
    QString of_step(const planning::Check& check) const;
    void add_row(const planning::Check& check);
    void mend(const planning::Check& check);
    void open_override_sheet(const planning::Check& check);
    void override_with(const planning::Check& check, const QString& reason);

    TrayContext context_;
    QLabel* heading_;
    QVBoxLayout* rows_;
    std::vector<planning::Check> shown_;
};

}  // namespace chalkline::app
