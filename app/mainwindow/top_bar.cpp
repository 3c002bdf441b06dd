// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/top_bar.hpp"

#include "widgets/controls.hpp"

#include <QHBoxLayout>
#include <QPainter>
#include <algorithm>

namespace chalkline::app {

TopBar::TopBar(JobDocument& document, QUndoGroup& history, const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), document_(document), history_(history), roles_(roles) {
    setLayoutDirection(Qt::LeftToRight);  // what is painted beside its widgets stands where it is painted
    setFixedHeight(42);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(142, 0, 16, 0);
    row->setSpacing(2);
    const auto add = [&](const QString& text, const QString& tip) {
        auto* button = make_button(text, ButtonLook::top, this);
        button->setToolTip(tip);
        button->setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Preferred);
        row->addWidget(button);
        return button;
    };
    const auto add_view = [&](const QString& text, const QString& tip, View view) {
        auto* button = add(text, tip);
        button->setCheckable(true);
        button->setAutoExclusive(true);
        connect(button, &QPushButton::clicked, this, [this, view] { Q_EMIT view_chosen(view); });
        return button;
    };
    job_ = add_view(tr("Job"), tr("The bed and the line (Ctrl+1)"), View::job);
    proof_ = add_view(tr("Proof"), tr("A picture as it will look burned (Ctrl+2)"), View::proof);
    swatches_ = add_view(tr("Swatches"), tr("Test grids: find the setting, keep it (Ctrl+3)"), View::swatches);
    recipes_ = add_view(tr("Recipes"), tr("Settings that worked, by material (Ctrl+4)"), View::recipes);
    show_view(View::job);
    row->addSpacing(22);
    connect(add(tr("New"), tr("A new, empty job (Ctrl+N)")), &QPushButton::clicked, this, &TopBar::new_wanted);
    connect(add(tr("Open…"), tr("Open a job or bring in art (Ctrl+O)")), &QPushButton::clicked, this,
            &TopBar::open_wanted);
    connect(add(tr("Save"), tr("Save the job (Ctrl+S)")), &QPushButton::clicked, this, &TopBar::save_wanted);
    connect(add(tr("Export"), tr("The job's geometry as SVG, a group for each step (Ctrl+E)")), &QPushButton::clicked,
            this, &TopBar::export_wanted);
    row->addSpacing(10);
    undo_ = add(tr("Undo"), {});
    redo_ = add(tr("Redo"), {});
    connect(undo_, &QPushButton::clicked, this, [this] { history_.activeStack()->undo(); });
    connect(redo_, &QPushButton::clicked, this, [this] { history_.activeStack()->redo(); });
    row->addSpacing(10);
    connect(add(tr("Find…"), tr("Find any command, job or recipe (Ctrl+K)")), &QPushButton::clicked, this,
            &TopBar::find_wanted);
    connect(add(tr("Settings"), tr("Settings (Ctrl+,)")), &QPushButton::clicked, this, &TopBar::settings_wanted);
    row->addSpacing(10);
    title_ = new QLabel(this);
    title_->setTextFormat(Qt::RichText);
    title_->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
    // What is left beside the commands is its room, whatever the language.
    title_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
    title_->setAccessibleName(tr("Job and when it was saved"));
    row->addWidget(title_, 1);
    connect(&document_, &JobDocument::changed, this, &TopBar::follow);
    connect(&history_, &QUndoGroup::indexChanged, this, &TopBar::follow);
    connect(&history_, &QUndoGroup::activeStackChanged, this, &TopBar::follow);
    follow();
}

void TopBar::show_view(View view) {
    job_->setChecked(view == View::job);
    proof_->setChecked(view == View::proof);
    swatches_->setChecked(view == View::swatches);
    recipes_->setChecked(view == View::recipes);
}

void TopBar::follow() {
    const auto& history = *history_.activeStack();
    undo_->setEnabled(history.canUndo());
    redo_->setEnabled(history.canRedo());
    undo_->setToolTip(history.canUndo() ? tr("Undo: %1 (Ctrl+Z)").arg(history.undoText()) : tr("Nothing to undo"));
    redo_->setToolTip(history.canRedo() ? tr("Redo: %1 (Ctrl+Shift+Z)").arg(history.redoText())
                                        : tr("Nothing to redo"));
    saved_ = tr("not saved");
    if (document_.path().isEmpty() && !document_.unsaved())
        saved_.clear();
    else if (!document_.unsaved())
        saved_ = tr("saved %1").arg(document_.saved_at().toString("hh:mm"));
    else if (!document_.path().isEmpty())
        saved_ = tr("changed since %1").arg(document_.saved_at().toString("hh:mm"));
    show_title();
}

/// Where there is too little room the title is shortened first; what is said of saving stays as long as it can.
void TopBar::show_title() {
    const QFontMetrics bold(theme::font(theme::normal, QFont::DemiBold)), plain(theme::font(theme::normal));
    const int room = title_->width() - plain.horizontalAdvance(saved_) - plain.horizontalAdvance("   ");
    const QString title = bold.elidedText(document_.title(), Qt::ElideRight, std::max(room, 0));
    const bool fits = plain.horizontalAdvance(saved_) <= title_->width();
    title_->setText(
        QString("<span style='color:%1;font-weight:600'>%2</span>&nbsp; <span style='color:%3'>%4</span>")
            .arg(roles_.rail_text.name(), title.toHtmlEscaped(), roles_.rail_quiet.name(), fits ? saved_ : QString()));
    title_->setToolTip(document_.title() + (saved_.isEmpty() ? QString() : " · " + saved_));
}

void TopBar::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    layout()->activate();
    show_title();
}

/// The sign: a chalk line snapped between two pins.
void TopBar::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setLayoutDirection(Qt::LeftToRight);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), roles_.rail);
    const double y = height() / 2.0;
    painter.setPen(QPen(roles_.accent.lighter(170), 2.4, Qt::SolidLine, Qt::FlatCap));
    painter.drawLine(QPointF(19, y), QPointF(35, y));
    painter.setPen(QPen(roles_.rail_text, 2, Qt::SolidLine, Qt::RoundCap));
    painter.drawLine(QPointF(19, y - 5), QPointF(19, y + 5));
    painter.drawLine(QPointF(35, y - 5), QPointF(35, y + 5));
    painter.setFont(theme::font(theme::large, QFont::Bold));
    painter.drawText(QRect(46, 0, 110, height()), Qt::AlignVCenter, "Chalkline");
}

}  // namespace chalkline::app
