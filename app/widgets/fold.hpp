// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>

namespace chalkline::app {

/// A heading that opens and shuts what lies under it: what is used rarely is one click away.
class Fold : public QWidget {
    Q_OBJECT
 public:
    Fold(const QString& title, QWidget* parent);

    QVBoxLayout* body() const { return body_; }
    bool is_open() const;
    void set_open(bool open);
    /// Said beside the title when the fold is shut and what is in it is not at rest.
    void set_note(const QString& note);

 private:
    void show_title();
    QString title_, note_;
    QPushButton* button_;
    QWidget* inside_;
    QVBoxLayout* body_;
};

}  // namespace chalkline::app
