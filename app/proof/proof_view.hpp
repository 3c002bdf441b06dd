// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "proof/machine_facts.hpp"
#include "proof/original_panel.hpp"
#include "proof/proof_desk.hpp"
#include "proof/proof_panel.hpp"
#include "trays/tray_context.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QStackedWidget>

namespace chalkline::app {

/// A picture and how it will look burned, side by side, with the loupe, what the machine will do, and everything that
/// prepares it.
class ProofView : public QWidget {
    Q_OBJECT
 public:
    ProofView(const TrayContext& context, QWidget* parent);
    ProofDesk& desk() { return desk_; }
    /// Looks at a motif's picture.
    void look_at(job::Id motif);

 Q_SIGNALS:
    void message(const chalkline::wording::Message& message);

 protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void keyReleaseEvent(QKeyEvent* event) override;

 private:
    QWidget* make_pictures();
    QWidget* make_side();
    void offer_pictures();
    void show_titles();
    void save_proof();

    TrayContext context_;
    ProofDesk desk_;
    OriginalPanel* original_ = nullptr;
    ProofPanel *proof_ = nullptr, *other_ = nullptr;
    MachineFacts* facts_ = nullptr;
    QStackedWidget* left_ = nullptr;
    QComboBox* pictures_ = nullptr;
    QLabel *left_title_ = nullptr, *right_title_ = nullptr, *nothing_ = nullptr;
    QCheckBox *clogged_ = nullptr, *bald_ = nullptr;
    QWidget *content_ = nullptr, *side_ = nullptr;
    TaskRunner writer_;
    bool before_ = false;
};

}  // namespace chalkline::app
