// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "theme/theme.hpp"

#include <QLabel>
#include <QPushButton>
#include <QWidget>

namespace chalkline::app {

/// The slate bar on top: the name, what is done with the file, and the truth about saving.
class TopBar : public QWidget {
    Q_OBJECT
 public:
    TopBar(JobDocument& document, const theme::Roles& roles, QWidget* parent = nullptr);

 Q_SIGNALS:
    void new_wanted();
    void open_wanted();
    void save_wanted();
    void export_wanted();

 protected:
    void paintEvent(QPaintEvent*) override;

 private:
    void follow();
    JobDocument& document_;
    const theme::Roles& roles_;
    QLabel* title_;
    QPushButton *undo_, *redo_;
};

}  // namespace chalkline::app
