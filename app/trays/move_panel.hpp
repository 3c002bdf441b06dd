// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "machine/known_places.hpp"
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QTimer>
#include <QVBoxLayout>
#include <QWidget>
#include <vector>

namespace chalkline::app {

/// Moving the head: a distance strip for each axis, places to go to, typed, named or clicked on the bed; the focus
/// where the machine moves it; a short pulse of the beam; letting the motors go.
class MovePanel : public QWidget {
    Q_OBJECT
 public:
    MovePanel(const TrayContext& context, QWidget* parent);

 private:
    void build_places(QVBoxLayout* all);
    void build_more(QVBoxLayout* all);
    void offer_places();
    void keep_place();
    void follow();

    TrayContext context_;
    std::vector<QWidget*> when_known_;  ///< usable while the machine is free and the head's place is known
    QComboBox* places_ = nullptr;
    std::vector<KnownPlace> offered_;
    QLineEdit* place_name_ = nullptr;
    QWidget* focus_ = nullptr;
    QPushButton* where_ = nullptr;
    ValueField *x_ = nullptr, *y_ = nullptr, *speed_ = nullptr;
    QPushButton *release_ = nullptr, *pulse_ = nullptr;
    QTimer pulsing_;
    QLabel* unknown_ = nullptr;
};

}  // namespace chalkline::app
