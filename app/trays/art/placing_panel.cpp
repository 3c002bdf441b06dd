// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/placing_panel.hpp"

#include "guide/guide.hpp"

#include <QGridLayout>
#include <QSignalBlocker>
#include <algorithm>
#include <cmath>
#include <numbers>

namespace chalkline::app {

using geometry::Point;
using geometry::Transform;

namespace {

constexpr double degree = std::numbers::pi / 180;

QHBoxLayout* add_row(QVBoxLayout* all) {
    auto* row = new QHBoxLayout;
    row->setSpacing(6);
    all->addLayout(row);
    return row;
}

template <class Act>
QPushButton* add_act(QHBoxLayout* row, const QString& text, const QString& tip, QWidget* parent, Act act) {
    auto* button = make_button(text, ButtonLook::plain, parent);
    button->setToolTip(tip);
    QObject::connect(button, &QPushButton::clicked, parent, act);
    row->addWidget(button);
    return button;
}

}  // namespace

PlacingPanel::PlacingPanel(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 12, 0, 0);
    all->setSpacing(8);
    build_numbers(all);
    build_acts(all);
    build_stacking(all);
    build_repeat(all);
    build_lining_up(all);
    build_step(all);
    build_datum(all);
    connect(&context_.placing, &PlacingDesk::selection_changed, this, &PlacingPanel::refresh);
    connect(&context_.document, &JobDocument::changed, this, &PlacingPanel::refresh);
    refresh();
}

void PlacingPanel::build_numbers(QVBoxLayout* all) {
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(6);
    grid->setVerticalSpacing(8);
    all->addLayout(grid);
    const auto put = [&](int row, const QString& name, const QString& first_name, QWidget* first,
                         const QString& second_name, QWidget* second) {
        grid->addWidget(make_label(name, Tone::quiet, this), row, 0);
        grid->addWidget(make_label(first_name, Tone::quiet, this), row, 1);
        grid->addWidget(first, row, 2);
        grid->addWidget(make_label(second_name, Tone::quiet, this), row, 3);
        grid->addWidget(second, row, 4);
    };
    x_ = make_length_field(tr("Left edge on the bed"), this);
    y_ = make_length_field(tr("Near edge on the bed"), this);
    width_ = make_length_field(tr("Width of the art"), this);
    height_ = make_length_field(tr("Height of the art"), this);
    angle_ = make_angle_field(tr("Art turned by"), this);
    keep_shape_ = new QCheckBox(tr("Keep shape"), this);
    keep_shape_->setChecked(true);
    put(0, tr("Lower left"), tr("X"), x_, tr("Y"), y_);
    put(1, tr("Size"), tr("W"), width_, tr("H"), height_);
    put(2, tr("Turned by"), {}, angle_, {}, keep_shape_);
    grid->setColumnStretch(0, 1);
    for (ValueField* field : {x_, y_, width_, height_, angle_})
        field->setFixedWidth(96);
    connect(x_, &ValueField::committed, this, [this](double x) { move_to(x, y_->value()); });
    connect(y_, &ValueField::committed, this, [this](double y) { move_to(x_->value(), y); });
    connect(width_, &ValueField::committed, this, [this](double width) { resize_to(width, 0); });
    connect(height_, &ValueField::committed, this, [this](double height) { resize_to(0, height); });
    connect(angle_, &ValueField::committed, this, &PlacingPanel::turn_to);
}

void PlacingPanel::build_acts(QVBoxLayout* all) {
    auto& placing = context_.placing;
    auto* turning = add_row(all);
    add_act(turning, tr("90° left"), tr("T, with the bed in focus"), this,
            [&placing] { placing.turn(std::numbers::pi / 2); });
    add_act(turning, tr("90° right"), tr("Shift+T"), this, [&placing] { placing.turn(-std::numbers::pi / 2); });
    add_act(turning, tr("Mirror"), tr("Left for right: M; up for down: Shift+M"), this,
            [&placing] { placing.mirror(PlacingDesk::Mirror::left_right); });
    turning->addStretch(1);
    auto* acts = add_row(all);
    add_act(acts, tr("Copy"), tr("Ctrl+D"), this, [&placing] { placing.copy(); });
    group_ = add_act(acts, tr("Group"), tr("Ctrl+G; apart again with Ctrl+Shift+G"), this, [this, &placing] {
        const job::Motif* first = context_.document.job().motif(placing.chosen().at(0));
        first && first->group != 0 ? placing.ungroup() : placing.group();
    });
    lock_ = add_act(acts, tr("Lock"), tr("What is locked stays where it is (Ctrl+L)"), this, [this, &placing] {
        const job::Motif* first = context_.document.job().motif(placing.chosen().at(0));
        placing.set_locked(first && !first->locked);
    });
    add_act(acts, tr("Remove"), tr("Delete, with the bed in focus"), this, [&placing] { placing.remove(); });
    acts->addStretch(1);
}

void PlacingPanel::build_stacking(QVBoxLayout* all) {
    auto& placing = context_.placing;
    auto* row = add_row(all);
    add_act(row, tr("Bring forward"), tr("Over the next art: it covers what lies under it (Page Up; Shift: over all)"),
            this, [&placing] { placing.stack(job::Stacking::forward); });
    add_act(row, tr("Send back"), tr("Under the next art (Page Down; Shift: under all)"), this,
            [&placing] { placing.stack(job::Stacking::backward); });
    row->addStretch(1);
}

void PlacingPanel::build_repeat(QVBoxLayout* all) {
    auto* fold = new Fold(tr("Repeat"), this);
    set_guide_page(fold, "key-tags.md");
    all->addWidget(fold);
    columns_ = make_count_field(tr("Columns"), fold);
    rows_ = make_count_field(tr("Rows"), fold);
    gap_ = make_length_field(tr("Gap between"), fold);
    margin_ = make_length_field(tr("Margin to the piece's edge"), fold);
    columns_->show_value(3);
    rows_->show_value(1);
    gap_->show_value(5);
    margin_->show_value(5);
    for (ValueField* field : {columns_, rows_})
        field->setFixedWidth(56);
    for (ValueField* field : {gap_, margin_})
        field->setFixedWidth(78);
    auto* numbers = add_row(fold->body());
    numbers->addWidget(columns_);
    numbers->addWidget(make_label(tr("across"), Tone::quiet, fold));
    numbers->addWidget(rows_);
    numbers->addWidget(make_label(tr("up"), Tone::quiet, fold));
    numbers->addWidget(make_label(tr("gap"), Tone::quiet, fold));
    numbers->addWidget(gap_);
    numbers->addStretch(1);
    auto* acts = add_row(fold->body());
    add_act(acts, tr("Make the rows"), {}, this, [this] {
        context_.placing.repeat({static_cast<int>(std::clamp(columns_->value(), 1.0, 1000.0)),
                                 static_cast<int>(std::clamp(rows_->value(), 1.0, 1000.0)), gap_->value(),
                                 gap_->value()});
    });
    add_act(acts, tr("Fill the piece"), tr("As many as lie wholly on the piece"), this,
            [this] { context_.placing.fill_stock(gap_->value(), margin_->value()); });
    acts->addStretch(1);
    auto* filling = add_row(fold->body());
    filling->addWidget(make_label(tr("Margin to the edges of the piece"), Tone::quiet, fold));
    filling->addWidget(margin_);
    filling->addStretch(1);
}

void PlacingPanel::build_lining_up(QVBoxLayout* all) {
    auto* fold = new Fold(tr("Line up"), this);
    all->addWidget(fold);
    fold->body()->addWidget(
        make_label(tr("Several: with each other. One: with the piece, or the bed."), Tone::quiet, fold));
    const auto add = [this](QHBoxLayout* row, const QString& text, job::Side side) {
        add_act(row, text, {}, this, [this, side] { context_.placing.align(side); });
    };
    auto* across = add_row(fold->body());
    add(across, tr("Left"), job::Side::left);
    add(across, tr("Centre"), job::Side::centre);
    add(across, tr("Right"), job::Side::right);
    add_act(across, tr("Space across"), tr("Equal gaps; the outermost stay"), this,
            [this] { context_.placing.distribute(job::Along::x); });
    auto* up = add_row(fold->body());
    add(up, tr("Far"), job::Side::top);
    add(up, tr("Middle"), job::Side::middle);
    add(up, tr("Near"), job::Side::bottom);
    add_act(up, tr("Space up"), tr("Equal gaps; the outermost stay"), this,
            [this] { context_.placing.distribute(job::Along::y); });
    across->addStretch(1);
    up->addStretch(1);
}

void PlacingPanel::build_step(QVBoxLayout* all) {
    step_fold_ = new Fold(tr("Burn in one step"), this);
    all->addWidget(step_fold_);
    step_ = new QComboBox(step_fold_);
    keep_from_wheel(step_);
    step_->setAccessibleName(tr("Step the chosen art burns in"));
    step_fold_->body()->addWidget(step_);
    object_text_ = make_label({}, Tone::quiet, step_fold_);
    step_fold_->body()->addWidget(object_text_);
    own_step_ = make_button(tr("Give it its own step"), ButtonLook::plain, step_fold_);
    step_fold_->body()->addWidget(own_step_, 0, Qt::AlignLeft);
    connect(own_step_, &QPushButton::clicked, this, [this] { context_.placing.give_own_step(); });
    connect(step_, &QComboBox::activated, this, [this](int index) {
        const QVariant chosen = step_->itemData(index);
        const auto step = chosen.isValid() ? std::optional(chosen.toInt()) : std::nullopt;
        context_.placing.object() ? context_.placing.send_object(step) : context_.placing.send_to_step(step);
    });
}

void PlacingPanel::build_datum(QVBoxLayout* all) {
    datum_fold_ = new Fold(tr("Datum"), this);
    all->addWidget(datum_fold_);
    datum_fold_->body()->addWidget(
        make_label(tr("The job's reference point. It belongs to the art, and turns and moves with it."), Tone::quiet,
                   datum_fold_));
    auto* places = add_row(datum_fold_->body());
    datum_x_ = make_length_field(tr("Datum from the left"), datum_fold_);
    datum_y_ = make_length_field(tr("Datum from the near edge"), datum_fold_);
    places->addWidget(make_label(tr("Job moves so that it lies at"), Tone::quiet, datum_fold_));
    for (ValueField* field : {datum_x_, datum_y_}) {
        field->setFixedWidth(88);
        places->addWidget(field);
        connect(field, &ValueField::committed, this, [this] {
            context_.placing.bring_datum_to({datum_x_->value(), datum_y_->value()});
        });
    }
    auto* acts = add_row(datum_fold_->body());
    add_act(acts, tr("Choose its place…"), tr("Click a place of the art; drag the diamond later"), this, [this] {
        context_.bed.pick_place(tr("Click the datum's place on the art"), [this](Point place) {
            context_.bed.stop_picking();
            context_.placing.set_datum(place);
        });
    });
    add_act(acts, tr("To the head"), tr("Moves the job so that the datum lies where the head is"), this, [this] {
        if (const auto head = context_.machine.head()) context_.placing.bring_datum_to(*head);
    });
    add_act(acts, tr("To a place…"), tr("Click where on the bed the datum goes"), this, [this] {
        context_.bed.pick_place(tr("Click where the datum goes"), [this](Point place) {
            context_.bed.stop_picking();
            context_.placing.bring_datum_to(place);
        });
    });
    acts->addStretch(1);
}

// ---------------------------------------------------------------- what is shown

void PlacingPanel::refresh() {
    const job::Job& job = context_.document.job();
    const job::Ids& chosen = context_.placing.chosen();
    setVisible(!chosen.empty());
    const job::Motif* first = chosen.empty() ? nullptr : job.motif(chosen[0]);
    if (!first) return;
    const geometry::Box box = job::bounds(job, chosen);
    const HandleFrame frame = frame_of(job, chosen);
    x_->show_value(box.left);
    y_->show_value(box.bottom);
    width_->show_value(frame.box.width());
    height_->show_value(frame.box.height());
    angle_->show_value(frame.angle / degree);
    angle_->setEnabled(chosen.size() == 1);
    group_->setText(first->group != 0 ? tr("Ungroup") : tr("Group"));
    group_->setEnabled(chosen.size() > 1);
    lock_->setText(first->locked ? tr("Unlock") : tr("Lock"));
    if (const auto datum = job::datum_place(job)) {
        datum_x_->show_value(datum->x);
        datum_y_->show_value(datum->y);
    }
    datum_fold_->set_note(job.datum ? tr("set") : QString());
    refresh_steps();
}

bool PlacingPanel::chosen_one() const {
    return context_.placing.only().has_value();
}

void PlacingPanel::refresh_steps() {
    const job::Job& job = context_.document.job();
    const job::Motif* first = job.motif(context_.placing.chosen()[0]);
    const QSignalBlocker quiet(step_);
    step_->clear();
    const auto object = context_.placing.object();
    step_->addItem(object ? tr("By its ink") : tr("By its inks"));
    for (std::size_t i = 0; i < job.steps.size(); ++i)
        step_->addItem(tr("Step %1: %2").arg(i + 1).arg(wording::name(job.steps[i].settings.kind)), job.steps[i].id);
    std::optional<job::Id> sent = first->step;
    if (object) {
        const auto own = std::find_if(first->objects.begin(), first->objects.end(),
                                      [&](const job::OwnStep& candidate) { return candidate.shape == *object; });
        sent = own == first->objects.end() ? std::nullopt : std::optional(own->step);
    }
    step_->setCurrentIndex(std::max(0, sent ? step_->findData(*sent) : 0));
    QString note = sent ? step_->currentText() : QString();
    if (!object && !first->objects.empty())
        note = tr("%n of its objects", nullptr, static_cast<int>(first->objects.size()));
    step_fold_->set_note(note);
    const auto count = first->art->shapes.size();
    object_text_->setText(object ? tr("Object %1 of %2, %3")
                                       .arg(*object + 1)
                                       .arg(count)
                                       .arg(QString::fromStdString(to_text(first->art->shapes[*object].ink)))
                                 : tr("One object of it alone: double-click the object on the bed."));
    object_text_->setVisible(object || (chosen_one() && count > 1));
    own_step_->setVisible(object.has_value());
    if (object) step_fold_->set_open(true);
}

// ---------------------------------------------------------------- numbers typed

void PlacingPanel::move_to(double x, double y) {
    const auto box = job::bounds(context_.document.job(), context_.placing.chosen());
    context_.placing.transform(tr("Place art"), Transform::move(x - box.left, y - box.bottom));
}

/// 0 for the side that follows, or stays.
void PlacingPanel::resize_to(double width, double height) {
    const HandleFrame frame = frame_of(context_.document.job(), context_.placing.chosen());
    const auto factor = [](double wanted, double now) { return wanted > 0 && now > 1e-6 ? wanted / now : 1.0; };
    double x = factor(width, frame.box.width()), y = factor(height, frame.box.height());
    if (keep_shape_->isChecked()) x = y = width > 0 ? x : y;
    const auto scale = Transform::about({frame.box.left, frame.box.bottom}, Transform::scale(x, y));
    context_.placing.transform(tr("Scale art"), Transform::turn(frame.angle) * scale * Transform::turn(-frame.angle));
    refresh();
}

void PlacingPanel::turn_to(double degrees) {
    const HandleFrame frame = frame_of(context_.document.job(), context_.placing.chosen());
    context_.placing.transform(tr("Turn art"),
                               Transform::about(frame.middle(), Transform::turn(degrees * degree - frame.angle)));
}

}  // namespace chalkline::app
