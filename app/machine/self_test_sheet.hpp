// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/self_test_desk.hpp"
#include "widgets/sheet.hpp"

#include <QGridLayout>

namespace chalkline::app {

/// A self-test with the beam off: what is tried, how it went, a report and a board file to keep. Closing it stops what
/// is under way.
class SelfTestSheet : public Sheet {
    Q_OBJECT
 public:
    SelfTestSheet(MachineLink& machine, QWidget* over);

 private:
    void follow();
    void save_report();
    SelfTestDesk desk_;
    QLabel* said_;
    QWidget* list_;
    QGridLayout* rows_;
    QPushButton *begin_, *save_;
};

}  // namespace chalkline::app
