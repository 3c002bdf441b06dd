// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "swatches/card_book.hpp"
#include "swatches/card_canvas.hpp"
#include "swatches/read_panel.hpp"
#include "trays/tray_context.hpp"

#include <QStackedWidget>

namespace chalkline::app {

/// Swatch cards: the book of all of them, and one card as it is designed, put on the bed, and read.
class SwatchesView : public QWidget {
    Q_OBJECT
 public:
    enum class Page { book, design, burn, read };
    SwatchesView(const TrayContext& context, std::shared_ptr<const Surroundings> surroundings, QWidget* parent);
    SwatchDesk& desk() { return desk_; }
    CardCanvas& canvas() { return *canvas_; }
    void choose_page(Page page);
    /// Looks at a card: where it was burned, as it is read.
    void show_card(const std::string& code);

 Q_SIGNALS:
    void message(const chalkline::wording::Message& message);
    /// The card as the job.
    void job_wanted(const chalkline::job::Job& job, const QString& name);
    void bed_picture_wanted();

 protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

 private:
    QWidget* make_bar();
    void follow();
    QString facts() const;
    void ask_for_photo();
    void save_job();
    void print_book();
    void put_on_bed(bool on_piece);
    void use_recipe(const recipes::Recipe& recipe);

    TrayContext context_;
    SwatchDesk desk_;
    Page page_ = Page::book;
    std::vector<QPushButton*> pages_;
    QLabel* facts_ = nullptr;
    QPushButton *copy_ = nullptr, *remove_ = nullptr;
    QStackedWidget *middle_ = nullptr, *side_ = nullptr;
    CardBook* book_ = nullptr;
    CardCanvas* canvas_ = nullptr;
    ReadPanel* read_ = nullptr;
};

}  // namespace chalkline::app
