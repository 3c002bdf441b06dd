// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "proof/proof_desk.hpp"
#include "widgets/controls.hpp"

#include <QLineEdit>
#include <QVBoxLayout>

namespace chalkline::app {

/// Ways of burning the picture kept by name: taken again, looked at beside what is now, or dropped; and taking how this
/// picture is prepared to another.
class VariantsPanel : public QWidget {
    Q_OBJECT
 public:
    VariantsPanel(JobDocument& document, ProofDesk& desk, QWidget* parent);

 private:
    void keep();
    void show_variants();
    void add_row(std::size_t index);
    void offer_others();

    JobDocument& document_;
    ProofDesk& desk_;
    QLineEdit* name_;
    QVBoxLayout* rows_;
    QPushButton* copy_;
    std::vector<job::Variant> shown_;
    std::optional<std::size_t> compared_;
};

}  // namespace chalkline::app
