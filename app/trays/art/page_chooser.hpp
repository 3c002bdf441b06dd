// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "tasks/task_runner.hpp"
#include "trays/tray_context.hpp"

#include <QWidget>

namespace chalkline::app {

/// The pages of a PDF as small pictures; clicking one reads it in place of the page that is there.
class PageChooser : public QWidget {
    Q_OBJECT
 public:
    PageChooser(job::Id motif, const TrayContext& context, QWidget* parent);
    static constexpr int most_shown = 48;

 private:
    void show_pages(const std::vector<raster::RgbImage>& pages);
    job::Id motif_;
    TrayContext context_;
    TaskRunner drawing_;
};

}  // namespace chalkline::app
