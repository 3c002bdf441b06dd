// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QGridLayout>
#include <QWidget>
#include <vector>

namespace chalkline::app {

class RoundPiecePanel;

/// The piece of material: what it is, how large, where it lies, and the job's place on it.
class StockTray : public QWidget {
    Q_OBJECT
 public:
    StockTray(const TrayContext& context, QWidget* parent = nullptr);

 private:
    void show_stock();
    void commit();
    void set_piece();
    void add_spots(QGridLayout* grid, int row);
    void choose_form(int index);
    void put_in_rotary(job::Stock stock);

 Q_SIGNALS:
    void refused(const chalkline::Error& error);

 private:
    bool take_outline(job::Stock& stock) const;

    TrayContext context_;
    QWidget *none_, *form_;
    QLineEdit* material_;
    QComboBox* form_of_piece_;
    QCheckBox* follow_;
    ValueField *thickness_, *width_, *height_, *x_, *y_, *angle_, *margin_;
    QLabel* fault_;
    RoundPiecePanel* round_;
    std::vector<QWidget*> of_flat_pieces_;  ///< hidden while the piece is in the rotary
};

}  // namespace chalkline::app
