// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QWidget>

namespace chalkline::app {

/// The burn: its button before, the time left and the progress during, the truth after. The wire log below.
class BurnTray : public QWidget {
    Q_OBJECT
 public:
    BurnTray(const TrayContext& context, QWidget* parent = nullptr);

 Q_SIGNALS:
    void burn_wanted();
    void save_wanted();
    /// The program shall go to the controller's own store.
    void store_wanted();
    void go_on_wanted();
    /// The head's place after a burn that broke off has to be said.
    void stood_wanted();
    void open_wanted(const QString& path);
    void history_wanted();

 private:
    void follow();
    void show_only();
    void choose_only(int index);
    QString facts() const;
    QString at_work() const;

    TrayContext context_;
    QComboBox* only_;
    QLabel *heading_, *time_, *under_, *trouble_, *facts_;
    TimeRibbon* ribbon_;
    QPushButton *burn_, *stop_waiting_, *save_, *store_, *go_on_, *stood_;
};

}  // namespace chalkline::app
