// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/marking_panel.hpp"

#include "trays/jog_strip.hpp"
#include "widgets/fold.hpp"

#include <chalkline/base/units_text.hpp>
#include <chalkline/wording/wording.hpp>

#include <QVBoxLayout>
#include <cmath>
#include <numbers>

namespace chalkline::app {

MarkingPanel::MarkingPanel(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    auto* fold = new Fold(tr("Mark the real piece"), this);
    all->addWidget(fold);
    by_ = new QComboBox(fold);
    by_->addItems({tr("By two opposite corners, lying straight"), tr("By three corners, in order round it"),
                   tr("By three places on a round edge")});
    by_->setAccessibleName(tr("How the piece is marked"));
    keep_from_wheel(by_);
    fold->body()->addWidget(by_);
    said_ = make_label({}, Tone::quiet, fold);
    fold->body()->addWidget(said_);
    MachineLink& machine = context_.machine;
    fold->body()->addWidget(new JogStrip(
        tr("X"), machine,
        [&machine](double by) {
            machine.jog({by, 0});
        },
        fold));
    fold->body()->addWidget(new JogStrip(
        tr("Y"), machine,
        [&machine](double by) {
            machine.jog({0, by});
        },
        fold));
    auto* row = new QHBoxLayout;
    mark_ = make_button({}, ButtonLook::plain, fold);
    again_ = make_button(tr("Begin again"), ButtonLook::link, fold);
    row->addWidget(mark_);
    row->addWidget(again_);
    row->addStretch(1);
    fold->body()->addLayout(row);
    with_art_ = new QCheckBox(tr("The job moves with the piece"), fold);
    with_art_->setChecked(true);
    fold->body()->addWidget(with_art_);
    pointer_ = new QCheckBox(tr("I look at the pointer's dot"), fold);
    pointer_->setChecked(context_.machine.profile().has_pointer());
    fold->body()->addWidget(pointer_);
    // With one hand on the machine its own button marks too, while this lies open.
    connect(&context_.machine, &MachineLink::start_pressed, this, [this, fold] {
        if (fold->is_open() && isVisible() && mark_->isEnabled()) mark();
    });
    connect(mark_, &QPushButton::clicked, this, &MarkingPanel::mark);
    connect(again_, &QPushButton::clicked, this, &MarkingPanel::begin_again);
    connect(by_, &QComboBox::activated, this, &MarkingPanel::begin_again);
    connect(&context_.machine, &MachineLink::changed, this, &MarkingPanel::follow);
    follow();
}

void MarkingPanel::begin_again() {
    marks_.clear();
    done_.clear();
    context_.bed.show_marks({});
    follow();
}

/// Keeps where the head, or the pointer's dot, is now.
void MarkingPanel::mark() {
    const auto head = context_.machine.head();
    if (!head) return;
    if (marks_.size() >= static_cast<std::size_t>(job::marks_needed(by()))) marks_.clear();
    marks_.push_back(pointer_->isChecked() && context_.machine.profile().has_pointer()
                         ? *head + context_.machine.profile().pointer
                         : *head);
    context_.bed.show_marks(marks_);
    done_.clear();
    if (marks_.size() == static_cast<std::size_t>(job::marks_needed(by()))) {
        const job::Job& job = context_.document.job();
        const auto stock = job::stock_at_marks(by(), marks_, job.stock.value_or(job::Stock{}));
        if (!stock) {
            // The last mark is what was wrong; the others stand.
            marks_.pop_back();
            context_.bed.show_marks(marks_);
            done_ = wording::describe(stock.error()).whole();
        } else {
            (void)context_.document.edit(tr("Mark the piece"),
                                         job::place_stock(job, *stock, with_art_->isChecked() && job.stock),
                                         JobChange::stock | JobChange::place);
            done_ = tr("%1 × %2 mm, turned by %3°")
                        .arg(QString::fromStdString(format_number(stock->width, 1)),
                             QString::fromStdString(format_number(stock->height, 1)),
                             QString::fromStdString(format_number(stock->angle * 180 / std::numbers::pi, 2)));
        }
    }
    follow();
}

void MarkingPanel::follow() {
    const auto& now = context_.machine.snapshot();
    pointer_->setVisible(context_.machine.profile().has_pointer());
    if (!context_.machine.head() && !marks_.empty() && done_.isEmpty()) {
        // Marks counted from a place that nobody knows any more are worth nothing.
        marks_.clear();
        context_.bed.show_marks({});
    }
    const bool known = context_.machine.head().has_value() && now.activity == machine::Activity::none;
    const int needed = job::marks_needed(by());
    const bool all = static_cast<int>(marks_.size()) == needed;
    mark_->setEnabled(known);
    mark_->setText(all ? tr("Mark anew") : tr("Mark here (%1 of %2)").arg(marks_.size() + 1).arg(needed));
    again_->setVisible(!marks_.empty());
    if (!done_.isEmpty())
        said_->setText(done_);
    else if (!now.connected)
        said_->setText(tr("Connect a machine first: its name in the rail below."));
    else if (!context_.machine.head())
        said_->setText(tr("Find home first: a mark needs to know where the head is."));
    else
        said_->setText(
            tr("Drive the head over the place with the strips, or Shift and the arrows with the rail clicked, then "
               "mark it."));
}

}  // namespace chalkline::app
