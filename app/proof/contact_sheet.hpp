// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "proof/proof_desk.hpp"
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <QWidget>

namespace chalkline::app {

/// The region under the loupe burned with each dither method, side by side. A click takes the method; with the keys the
/// arrows go from one to the next and Return takes it.
class ContactSheet : public QWidget, public Spoken {
    Q_OBJECT
 public:
    ContactSheet(ProofDesk& desk, const machine::MachineProfile& machine, const theme::Roles& roles, QWidget* parent);
    QRect cell_of(raster::DitherMethod method) const;
    QAccessible::Role spoken_role() const override { return QAccessible::List; }
    QString spoken_value() const override;
    QSize sizeHint() const override;
    QSize minimumSizeHint() const override { return sizeHint(); }

 Q_SIGNALS:
    void chose(chalkline::raster::DitherMethod method);

 protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;

 private:
    void burn_each();
    void point_at(int index);
    ProofDesk& desk_;
    const machine::MachineProfile& machine_;
    const theme::Roles& roles_;
    std::vector<QImage> burned_;  ///< by method; empty until worked out
    int pointed_ = 0;
    TaskRunner burner_;
};

}  // namespace chalkline::app
