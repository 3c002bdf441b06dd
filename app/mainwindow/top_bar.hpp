// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "theme/theme.hpp"

#include <QLabel>
#include <QPushButton>
#include <QUndoGroup>
#include <QWidget>

namespace chalkline::app {

/// What the middle of the window shows.
enum class View { job, proof, swatches, recipes };

/// The slate bar on top: the name, the views, what is done with the file, and the truth about
/// saving.
class TopBar : public QWidget {
    Q_OBJECT
 public:
    TopBar(JobDocument& document, QUndoGroup& history, const theme::Roles& roles, QWidget* parent = nullptr);
    void show_view(View view);

 Q_SIGNALS:
    void view_chosen(chalkline::app::View view);
    void new_wanted();
    void open_wanted();
    void save_wanted();
    void export_wanted();
    void find_wanted();
    void settings_wanted();

 protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;

 private:
    void follow();
    void show_title();
    JobDocument& document_;
    QUndoGroup& history_;
    const theme::Roles& roles_;
    QLabel* title_;
    QString saved_;  ///< when the job was, or that it is not
    QPushButton *job_, *proof_, *swatches_, *recipes_, *undo_, *redo_;
};

}  // namespace chalkline::app
