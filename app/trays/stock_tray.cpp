// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/stock_tray.hpp"

#include "bed/photo_sheet.hpp"
#include "trays/marked_places.hpp"
#include "trays/marking_panel.hpp"
#include "trays/round_piece_panel.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/job/round_piece.hpp>

#include <QGridLayout>
#include <QVBoxLayout>
#include <algorithm>
#include <numbers>

namespace chalkline::app {
namespace {

constexpr double degree = std::numbers::pi / 180;

}  // namespace

StockTray::StockTray(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    all->addWidget(make_label(tr("The piece"), Tone::heading, this));

    none_ = new QWidget(this);
    auto* empty = new QVBoxLayout(none_);
    empty->setContentsMargins(0, 0, 0, 0);
    empty->addWidget(make_label(tr("No piece is set: only the bed limits the burn."), Tone::quiet, none_));
    auto* set = make_button(tr("Set a piece"), ButtonLook::accent, none_);
    connect(set, &QPushButton::clicked, this, &StockTray::set_piece);
    empty->addWidget(set, 0, Qt::AlignLeft);
    all->addWidget(none_);

    form_ = new QWidget(this);
    auto* grid = new QGridLayout(form_);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setVerticalSpacing(8);
    grid->setHorizontalSpacing(8);
    material_ = new QLineEdit(form_);
    material_->setAccessibleName(tr("Material"));
    material_->setMaxLength(60);
    thickness_ = make_length_field(tr("Thickness"), form_);
    width_ = make_length_field(tr("Width"), form_);
    height_ = make_length_field(tr("Height"), form_);
    x_ = make_length_field(tr("Near left corner, from the left"), form_);
    y_ = make_length_field(tr("Near left corner, from the near edge"), form_);
    angle_ = make_angle_field(tr("Turned by"), form_);
    const auto put = [&](int row, const QString& name, QWidget* first, QWidget* second) {
        auto* label = make_label(name, Tone::quiet, form_);
        if (row > 0) of_flat_pieces_.insert(of_flat_pieces_.end(), {label, first});
        if (row > 0 && second) of_flat_pieces_.push_back(second);
        grid->addWidget(label, row, 0);
        grid->addWidget(first, row, 1);
        if (second) grid->addWidget(second, row, 2);
    };
    put(0, tr("Material"), material_, thickness_);
    form_of_piece_ = new QComboBox(form_);
    keep_from_wheel(form_of_piece_);
    form_of_piece_->setAccessibleName(tr("Form of the piece"));
    form_of_piece_->addItem(tr("Rectangle"), static_cast<int>(job::Stock::Form::rectangle));
    form_of_piece_->addItem(tr("Round"), static_cast<int>(job::Stock::Form::ellipse));
    form_of_piece_->addItem(tr("Chosen art's outline"), static_cast<int>(job::Stock::Form::outline));
    form_of_piece_->addItem(tr("Round, in the rotary"), static_cast<int>(job::Stock::Form::round));
    connect(form_of_piece_, &QComboBox::activated, this, &StockTray::choose_form);
    grid->addWidget(make_label(tr("Form"), Tone::quiet, form_), 4, 0);
    grid->addWidget(form_of_piece_, 4, 1, 1, 2);
    put(1, tr("Size"), width_, height_);
    put(2, tr("Near left corner"), x_, y_);
    put(3, tr("Turned by"), angle_, nullptr);
    grid->setColumnMinimumWidth(0, 108);
    all->addWidget(form_);
    auto* drag = make_label(tr("Drag it on the bed, or its handles."), Tone::quiet, form_);
    of_flat_pieces_.push_back(drag);
    grid->addWidget(drag, 5, 0, 1, 3);
    round_ = new RoundPiecePanel(context, this);
    connect(round_, &RoundPiecePanel::refused, this, &StockTray::refused);
    grid->addWidget(round_, 6, 0, 1, 3);
    fault_ = make_label({}, Tone::attention, this);
    all->addWidget(fault_);

    auto* heading = make_label(tr("The job on it"), Tone::heading, form_);
    heading->setContentsMargins(0, 8, 0, 0);
    grid->addWidget(heading, 7, 0, 1, 3);
    add_spots(grid, 8);
    auto* row = new QHBoxLayout;
    row->addStretch(1);
    auto* remove = make_button(tr("No piece"), ButtonLook::link, form_);
    connect(remove, &QPushButton::clicked, this, [this] {
        (void)context_.document.edit(tr("Remove stock"), job::set_stock(context_.document.job(), {}), JobChange::stock);
    });
    row->addWidget(remove);
    grid->addLayout(row, 11, 0, 1, 3);
    auto* marking = new MarkingPanel(context, this);
    all->addWidget(marking);
    all->addWidget(new MarkedPlaces(context, this));
    auto* photo = make_button(tr("Photograph of the bed…"), ButtonLook::plain, this);
    photo->setToolTip(tr("Lies under the grid, seen from straight above, so that art can be put on what lies there"));
    connect(photo, &QPushButton::clicked, this, [this] {
        new PhotoSheet(context_.bed.photo(), context_.machine.profile().bed(), context_.roles, &context_.bed);
    });
    all->addWidget(photo, 0, Qt::AlignLeft);
    all->addStretch(1);
    of_flat_pieces_.insert(of_flat_pieces_.end(), {follow_, marking, photo});

    for (ValueField* field : {thickness_, width_, height_, x_, y_, angle_})
        connect(field, &ValueField::committed, this, &StockTray::commit);
    connect(material_, &QLineEdit::editingFinished, this, &StockTray::commit);
    connect(&context_.document, &JobDocument::changed, this, [this](JobChange change) {
        if (touches(change, JobChange::stock)) show_stock();
    });
    connect(&context_.plans, &PlanKeeper::changed, this, &StockTray::show_stock);
    show_stock();
}

void StockTray::show_stock() {
    const auto& stock = context_.document.job().stock;
    none_->setVisible(!stock);
    form_->setVisible(stock.has_value());
    const clearance::Clearance& planned = context_.plans.planned();
    QString fault;
    if (planned.off_bed > 0)
        fault = tr("The art is %1 mm off the bed.").arg(QString::fromStdString(format_number(planned.off_bed, 1)));
    else if (stock && planned.off_stock > 0)
        fault = tr("The art is %1 mm off the piece.").arg(QString::fromStdString(format_number(planned.off_stock, 1)));
    fault_->setText(fault);
    fault_->setVisible(!fault.isEmpty());
    if (!stock) return;
    if (!material_->hasFocus()) material_->setText(QString::fromStdString(stock->material));
    thickness_->show_value(stock->thickness.mm());
    width_->show_value(stock->width);
    height_->show_value(stock->height);
    x_->show_value(stock->corner.x);
    y_->show_value(stock->corner.y);
    angle_->show_value(stock->angle / degree);
    margin_->show_value(stock->margin.mm());
    form_of_piece_->setCurrentIndex(form_of_piece_->findData(static_cast<int>(stock->form)));
    const bool round = stock->form == job::Stock::Form::round;
    round_->setVisible(round);
    for (QWidget* one : of_flat_pieces_)
        one->setVisible(!round);
}

void StockTray::commit() {
    if (!context_.document.job().stock) return;
    job::Stock stock = *context_.document.job().stock;
    stock.material = material_->text().trimmed().toStdString();
    stock.thickness = Length::mm(std::clamp(thickness_->value(), 0.0, 1000.0));
    if (stock.form != job::Stock::Form::round) {
        stock.width = std::clamp(width_->value(), 1.0, 10000.0);
        stock.height = std::clamp(height_->value(), 1.0, 10000.0);
        stock.corner = {x_->value(), y_->value()};
        stock.angle = angle_->value() * degree;
    }
    stock.margin = Length::mm(std::clamp(margin_->value(), 0.0, 1000.0));
    if (stock == *context_.document.job().stock) return show_stock();
    (void)context_.document.edit(tr("Change stock"), job::set_stock(context_.document.job(), stock), JobChange::stock);
}

/// A piece round the art with a margin, or a sheet in the middle of the bed.
void StockTray::set_piece() {
    constexpr double margin = 10;  // mm
    const geometry::Box bed = context_.machine.profile().bed();
    geometry::Box box = job::bounds(context_.document.job()).grown(margin);
    if (box.empty()) box = {bed.centre().x - 100, bed.centre().y - 75, bed.centre().x + 100, bed.centre().y + 75};
    job::Stock stock;
    stock.material = tr("Birch ply").toStdString();
    stock.corner = {std::max(bed.left, box.left), std::max(bed.bottom, box.bottom)};
    stock.width = std::min(bed.right, box.right) - stock.corner.x;
    stock.height = std::min(bed.top, box.top) - stock.corner.y;
    (void)context_.document.edit(tr("Set stock"), job::set_stock(context_.document.job(), stock), JobChange::stock);
}

/// Where on the piece the job goes: its middle, or a corner with a margin.
void StockTray::add_spots(QGridLayout* grid, int row) {
    margin_ = make_length_field(tr("Margin to the edges of the piece"), form_);
    connect(margin_, &ValueField::committed, this, &StockTray::commit);
    follow_ = new QCheckBox(tr("Turned as the piece is"), form_);
    follow_->setChecked(true);
    auto* buttons = new QGridLayout;
    buttons->setSpacing(6);
    const auto add = [&](const QString& text, job::Spot spot, int at_row, int at_column) {
        auto* button = make_button(text, ButtonLook::plain, form_);
        connect(button, &QPushButton::clicked, this,
                [this, spot] { context_.placing.put_on_stock(spot, margin_->value(), follow_->isChecked()); });
        buttons->addWidget(button, at_row, at_column);
    };
    add(tr("Far left"), job::Spot::far_left, 0, 0);
    add(tr("Far right"), job::Spot::far_right, 0, 1);
    add(tr("Near left"), job::Spot::near_left, 1, 0);
    add(tr("Near right"), job::Spot::near_right, 1, 1);
    add(tr("Centre it"), job::Spot::centre, 0, 2);
    grid->addWidget(make_label(tr("Margin"), Tone::quiet, form_), row, 0);
    grid->addWidget(margin_, row, 1);
    grid->addWidget(follow_, row + 1, 0, 1, 3);
    grid->addLayout(buttons, row + 2, 0, 1, 3);
}

void StockTray::choose_form(int index) {
    if (!context_.document.job().stock) return;
    job::Stock stock = *context_.document.job().stock;
    const bool was_round = stock.form == job::Stock::Form::round;
    stock.form = static_cast<job::Stock::Form>(form_of_piece_->itemData(index).toInt());
    if (was_round && stock.form != job::Stock::Form::round) stock.margin = job::Stock().margin;
    if (stock.form == job::Stock::Form::round) return put_in_rotary(stock);
    if (stock.form == job::Stock::Form::outline && !take_outline(stock)) return show_stock();
    (void)context_.document.edit(tr("Change stock"), job::set_stock(context_.document.job(), stock), JobChange::stock);
}

/// The job's art goes to the middle of the free wall: where it lay on the bed means nothing there.
void StockTray::put_in_rotary(job::Stock stock) {
    if (context_.document.job().round_piece()) return;
    stock.margin = Length();  // at the seam there is no edge
    const auto round = job::in_rotary(stock, RoundPiecePanel::first_piece());
    if (!round) return Q_EMIT refused(round.error());
    job::Job job = job::set_stock(context_.document.job(), *round);
    const geometry::Point by = geometry::bounds(round->outline()).centre() - job::bounds(job).centre();
    if (!job.motifs.empty())
        for (job::Motif& motif : job.motifs)
            motif.place = geometry::Transform::move(by.x, by.y) * motif.place;
    (void)context_.document.edit(tr("Into the rotary"), job, JobChange::stock | JobChange::place);
}

/// The largest closed contour of the chosen art becomes the piece.
bool StockTray::take_outline(job::Stock& stock) const {
    const auto only = context_.placing.only();
    const job::Motif* motif = only ? context_.document.job().motif(*only) : nullptr;
    geometry::Polyline largest;
    if (motif)
        for (const art::Shape& shape : motif->art->shapes)
            for (const auto& line : shape.path.flatten(motif->place))
                if (line.closed && std::abs(geometry::signed_area(line)) > std::abs(geometry::signed_area(largest)))
                    largest = line;
    const geometry::Box box = geometry::bounds(largest);
    if (largest.points.size() < 3 || box.width() < 1 || box.height() < 1) {
        fault_->setText(tr("Choose one piece of art with a closed outline on the bed first."));
        fault_->show();
        return false;
    }
    stock.corner = {box.left, box.bottom};
    stock.width = box.width();
    stock.height = box.height();
    stock.angle = 0;
    stock.points.clear();
    for (const geometry::Point point : largest.points)
        stock.points.push_back({(point.x - box.left) / box.width(), (point.y - box.bottom) / box.height()});
    return true;
}

}  // namespace chalkline::app
