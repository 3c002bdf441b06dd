// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "swatches/swatch_desk.hpp"
#include "theme/theme.hpp"
#include "widgets/controls.hpp"

#include <QAbstractButton>
#include <QLineEdit>
#include <QScrollArea>
#include <QVBoxLayout>
#include <QWidget>

namespace chalkline::app {

/// One card of the book: a small picture of it, its name, and what was found.
class CardTile : public QAbstractButton {
    Q_OBJECT
 public:
    CardTile(const swatches::CardRecord& record, const steps::Beam& beam, const theme::Roles& roles, QWidget* parent);
    QSize sizeHint() const override { return {262, 112}; }

 protected:
    void paintEvent(QPaintEvent*) override;
    void enterEvent(QEnterEvent*) override { update(); }
    void leaveEvent(QEvent*) override { update(); }

 private:
    const swatches::CardRecord record_;
    steps::Beam beam_;
    const theme::Roles& roles_;
    QString found_;
};

/// All swatch cards by material, to be looked through and searched.
class CardBook : public QWidget {
    Q_OBJECT
 public:
    CardBook(SwatchDesk& desk, const theme::Roles& roles, QWidget* parent);
    /// Those that match what is searched for, by material, newest first.
    std::vector<swatches::CardRecord> shown() const;

 Q_SIGNALS:
    void chose(const std::string& code);
    void print_wanted();

 protected:
    void showEvent(QShowEvent*) override { fill(); }

 private:
    void fill();

    SwatchDesk& desk_;
    const theme::Roles& roles_;
    QLineEdit* search_;
    QScrollArea* scroll_;
};

/// A new card: for which material, and which question it answers.
class NewCardPanel : public QWidget {
    Q_OBJECT
 public:
    NewCardPanel(SwatchDesk& desk, JobDocument& document, QWidget* parent);

 Q_SIGNALS:
    void made();

 private:
    void make(swatches::Ready ready);

    SwatchDesk& desk_;
    QLineEdit* material_;
    ValueField* thickness_;
};

}  // namespace chalkline::app
