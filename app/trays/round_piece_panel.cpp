// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/round_piece_panel.hpp"

#include "guide/guide.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/job/round_piece.hpp>
#include <chalkline/wording/wording.hpp>

#include <QGridLayout>
#include <QVBoxLayout>
#include <numbers>

namespace chalkline::app {
namespace {

QString millimetres(double value) {
    return QString::fromStdString(format_length(Length::mm(value), LengthUnit::mm));
}

}  // namespace

job::RoundPiece RoundPiecePanel::first_piece() {
    return {.diameter = 80, .end_diameter = 80, .length = 100, .taken_at_start = 5, .taken_at_end = 10};
}

RoundPiecePanel::RoundPiecePanel(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    set_guide_page(this, "cup.md");
    build_measures(all);
    build_art(all);
    build_ring(all);
    connect(&context_.document, &JobDocument::changed, this, &RoundPiecePanel::show_piece);
    connect(&context_.machine, &MachineLink::changed, this, &RoundPiecePanel::follow);
    connect(&context_.machine, &MachineLink::profile_changed, this, &RoundPiecePanel::show_piece);
    show_piece();
    follow();
}

void RoundPiecePanel::build_measures(QLayout* all) {
    auto* grid = new QGridLayout;
    grid->setVerticalSpacing(8);
    grid->setHorizontalSpacing(8);
    grid->setColumnMinimumWidth(0, 108);
    diameter_ = make_length_field(tr("Diameter where the piece begins"), this);
    end_diameter_ = make_length_field(tr("Diameter where the piece ends"), this);
    length_ = make_length_field(tr("Length along the wall"), this);
    at_start_ = make_length_field(tr("Taken where the piece begins"), this);
    at_end_ = make_length_field(tr("Taken where the piece ends"), this);
    at_seam_ = make_length_field(tr("Taken at the seam"), this);
    end_diameter_->setToolTip(tr("Another one on a tapered piece. Rollers carry it where it begins."));
    at_start_->setToolTip(tr("By the chuck, or the rounding of the foot"));
    at_seam_->setToolTip(tr("By a handle, measured round the piece"));
    const auto row = [&](int at, const QString& name, QWidget* first, QWidget* second) {
        grid->addWidget(make_label(name, Tone::quiet, this), at, 0);
        grid->addWidget(first, at, 1);
        if (second) grid->addWidget(second, at, 2);
    };
    row(0, tr("Diameter, first and last"), diameter_, end_diameter_);
    row(1, tr("Length along"), length_, nullptr);
    row(2, tr("Taken at both ends"), at_start_, at_end_);
    row(3, tr("Taken at the seam"), at_seam_, nullptr);
    static_cast<QVBoxLayout*>(all)->addLayout(grid);
    facts_ = make_label({}, Tone::quiet, this);
    fault_ = make_label({}, Tone::attention, this);
    begins_here_ = make_button(tr("The head is where the piece begins, over the seam"), ButtonLook::plain, this);
    begins_here_->setToolTip(tr("X and Y count from here. Move the head there under “Frame” first."));
    all->addWidget(facts_);
    all->addWidget(fault_);
    all->addWidget(begins_here_);
    for (ValueField* field : {diameter_, end_diameter_, length_, at_start_, at_end_, at_seam_})
        connect(field, &ValueField::committed, this, &RoundPiecePanel::commit);
    connect(begins_here_, &QPushButton::clicked, this, [this] { context_.machine.stands_at({0, 0}); });
}

void RoundPiecePanel::build_art(QLayout* all) {
    auto* heading = make_label(tr("The art on it"), Tone::heading, this);
    heading->setContentsMargins(0, 8, 0, 0);
    all->addWidget(heading);
    auto* row = new QHBoxLayout;
    auto* turn = make_button(tr("Turn a quarter"), ButtonLook::plain, this);
    turn->setToolTip(tr("Up goes along the piece, right goes round it; its reference point turns with it"));
    auto* round = make_button(tr("Once round"), ButtonLook::plain, this);
    round->setToolTip(tr("As wide as one turn, its ends meeting at the seam; a repeated border joins there"));
    row->addWidget(turn);
    row->addWidget(round);
    row->addStretch(1);
    static_cast<QVBoxLayout*>(all)->addLayout(row);
    connect(turn, &QPushButton::clicked, this, &RoundPiecePanel::turn_art);
    connect(round, &QPushButton::clicked, this, &RoundPiecePanel::fit_art_round);
}

void RoundPiecePanel::build_ring(QLayout* all) {
    auto* heading = make_label(tr("Does one turn come round?"), Tone::heading, this);
    heading->setContentsMargins(0, 8, 0, 0);
    all->addWidget(heading);
    ring_ = make_button(tr("Test ring"), ButtonLook::plain, this);
    ring_->setToolTip(tr("A ring whose two ticks meet when the turn is right, as a first step that burns alone"));
    all->addWidget(ring_);
    all->setAlignment(ring_, Qt::AlignLeft);
    burned_label_ = make_label({}, Tone::quiet, this);
    all->addWidget(burned_label_);
    auto* row = new QHBoxLayout;
    burned_ = make_length_field(tr("What the burned ring measures"), this);
    correct_ = make_button(tr("Correct the diameter"), ButtonLook::plain, this);
    away_ = make_button(tr("Away with the ring"), ButtonLook::link, this);
    row->addWidget(burned_);
    row->addWidget(correct_);
    row->addStretch(1);
    static_cast<QVBoxLayout*>(all)->addLayout(row);
    all->addWidget(away_);
    all->setAlignment(away_, Qt::AlignLeft);
    connect(ring_, &QPushButton::clicked, this, &RoundPiecePanel::burn_ring);
    connect(correct_, &QPushButton::clicked, this, &RoundPiecePanel::correct);
    connect(away_, &QPushButton::clicked, this, &RoundPiecePanel::take_ring_away);
}

void RoundPiecePanel::show_piece() {
    const job::RoundPiece* piece = context_.document.job().round_piece();
    if (!piece) return;
    diameter_->show_value(piece->diameter);
    end_diameter_->show_value(piece->end_diameter);
    length_->show_value(piece->length);
    at_start_->show_value(piece->taken_at_start);
    at_end_->show_value(piece->taken_at_end);
    at_seam_->show_value(piece->taken_at_seam);
    const auto free = piece->free_part();
    QString facts = tr("One turn is %1; %2 along are free. X goes along the piece, Y round it from the seam.")
                        .arg(millimetres(piece->turn()), millimetres(free.width()));
    if (piece->tapered())
        facts += " " + tr("Drawings are bent to come out true; those that go all round follow the rings.");
    facts_->setText(facts);
    const machine::Rotary& rotary = context_.machine.flat_profile().rotary;
    const bool none = rotary.axis == machine::RotaryAxis::none;
    fault_->setText(none
                        ? tr("This machine has no rotary yet: say under its name in the rail, “Machine”, how it turns.")
                        : QString());
    fault_->setVisible(none);
    const bool rings = job::has_test_ring(context_.document.job());
    const bool rollers = rotary.drive == machine::RotaryDrive::rollers;
    ring_->setVisible(!rings);
    for (QWidget* one : {static_cast<QWidget*>(burned_label_), static_cast<QWidget*>(burned_),
                         static_cast<QWidget*>(correct_), static_cast<QWidget*>(away_)})
        one->setVisible(rings);
    burned_label_->setText(
        rollers ? tr("How far apart are the two ticks? Less than 0 where the ring's ends overlap.")
                : tr("A chuck always closes the ring. How long did the measure of %1 beside it come out?")
                      .arg(millimetres(job::test_measure)));
    burned_label_->setWordWrap(true);
}

void RoundPiecePanel::follow() {
    begins_here_->setEnabled(context_.machine.free());
}

void RoundPiecePanel::commit() {
    if (!context_.document.job().round_piece()) return;
    job::RoundPiece piece = *context_.document.job().round_piece();
    const bool was_tapered = piece.tapered();
    const bool first_changed = diameter_->value() != piece.diameter;
    piece.diameter = diameter_->value();
    // One diameter is meant for both ends until somebody says otherwise.
    piece.end_diameter = first_changed && !was_tapered ? piece.diameter : end_diameter_->value();
    piece.length = length_->value();
    piece.taken_at_start = std::max(0.0, at_start_->value());
    piece.taken_at_end = std::max(0.0, at_end_->value());
    piece.taken_at_seam = std::max(0.0, at_seam_->value());
    put(tr("Change the round piece"), piece);
}

void RoundPiecePanel::put(const QString& name, const job::RoundPiece& piece) {
    const auto measured = job::remeasured(context_.document.job(), piece);
    if (!measured) {
        Q_EMIT refused(measured.error());
        return show_piece();
    }
    if (*measured->stock == *context_.document.job().stock) return show_piece();
    (void)context_.document.edit(name, *measured, JobChange::stock | JobChange::place);
}

void RoundPiecePanel::turn_art() {
    if (context_.placing.chosen().empty()) context_.placing.choose_all();
    context_.placing.turn(-std::numbers::pi / 2);
}

void RoundPiecePanel::fit_art_round() {
    if (context_.placing.chosen().empty()) context_.placing.choose_all();
    (void)context_.document.edit(tr("Once round"), job::once_round(context_.document.job(), context_.placing.chosen()),
                                 JobChange::place);
}

void RoundPiecePanel::burn_ring() {
    const job::Job job = job::add_test_ring(context_.document.job());
    if (!context_.document.edit(tr("Test ring"), job, JobChange::art | JobChange::steps)) return;
    planning::PlanOptions only;
    only.only_steps = job::Ids{job.steps.front().id};
    context_.plans.set_only(only);
}

void RoundPiecePanel::take_ring_away() {
    context_.plans.set_only({});
    (void)context_.document.edit(tr("Away with the test ring"), job::without_test_ring(context_.document.job()),
                                 JobChange::art | JobChange::steps);
}

void RoundPiecePanel::correct() {
    const job::RoundPiece* piece = context_.document.job().round_piece();
    if (!piece) return;
    const bool rollers = context_.machine.flat_profile().rotary.drive == machine::RotaryDrive::rollers;
    const double measured = burned_->value();
    if (!rollers && measured < job::test_measure / 2) return;  // nothing was measured
    put(tr("Correct the diameter"),
        rollers ? job::corrected_by_gap(*piece, measured) : job::corrected_by_measure(*piece, measured));
    burned_->show_value(rollers ? 0 : job::test_measure);
}

}  // namespace chalkline::app
