// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/prepare_panel.hpp"

#include "widgets/fold.hpp"

#include <chalkline/base/units_text.hpp>
#include <chalkline/job/edits.hpp>

#include <QHBoxLayout>
#include <QLineEdit>
#include <cmath>
#include <numbers>

namespace chalkline::app {
namespace {

constexpr int field_width = 84, name_width = 92;  // px

QHBoxLayout* named_row(QVBoxLayout* to, const QString& name, QWidget* parent) {
    auto* row = new QHBoxLayout;
    row->setSpacing(8);
    auto* label = make_label(name, Tone::quiet, parent);
    label->setFixedWidth(name_width);
    row->addWidget(label);
    to->addLayout(row);
    return row;
}

/// "0 0, 25 45, 100 100": shares and what they look like, in per cent.
QString in_words(const std::vector<raster::CurvePoint>& response) {
    QStringList pairs;
    for (const auto& point : response)
        pairs << QString::fromStdString(format_number(point.in * 100, 1) + " " + format_number(point.out * 100, 1));
    return pairs.join(", ");
}

/// Reads it back; nothing where something else than pairs stands there.
std::optional<std::vector<raster::CurvePoint>> response_from(const QString& text) {
    std::vector<raster::CurvePoint> response;
    if (text.trimmed().isEmpty()) return response;
    for (const QString& pair : text.split(',')) {
        const QStringList figures = pair.simplified().remove('%').split(' ');
        bool in_good = false, out_good = false;
        if (figures.size() != 2) return {};
        response.push_back({figures[0].toDouble(&in_good) / 100, figures[1].toDouble(&out_good) / 100});
        if (!in_good || !out_good) return {};
    }
    return response;
}

}  // namespace

PreparePanel::PreparePanel(JobDocument& document, PlacingDesk& placing, ProofDesk& desk, OriginalPanel& original,
                           const machine::MachineProfile& machine, QWidget* parent)
    : QWidget(parent), document_(document), placing_(placing), desk_(desk), original_(original) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(6);
    build_size(all);
    more_ = new QWidget(parent);
    auto* folds = new QVBoxLayout(more_);
    folds->setContentsMargins(0, 0, 0, 0);
    folds->setSpacing(6);
    build_crop(folds);
    build_background(folds);
    build_dots(folds, machine.spot);
    connect(&desk_, &ProofDesk::seen, this, &PreparePanel::show_all);
    show_all();
}

template <class Get, class Set>
void PreparePanel::follow_step(ValueField* field, const QString& name, Get get, Set set) {
    of_step_.push_back([field, get](const steps::StepSettings& s) { field->show_value(get(s)); });
    connect(field, &ValueField::committed, this,
            [this, name, set](double value) { desk_.set_step(name, [&](steps::StepSettings& s) { set(s, value); }); });
}

template <class Get, class Set>
void PreparePanel::follow_picture(ValueField* field, const QString& name, Get get, Set set) {
    of_picture_.push_back([field, get](const raster::Preparation& how) { field->show_value(get(how)); });
    connect(field, &ValueField::committed, this, [this, name, set](double value) {
        desk_.prepare(name, [&](raster::Preparation& how) { set(how, value); });
        show_all();
    });
}

template <class Set>
QCheckBox* PreparePanel::add_step_tick(QVBoxLayout* to, const QString& text, const QString& tip,
                                       std::function<bool(const steps::StepSettings&)> get, Set set) {
    auto* tick = new QCheckBox(text, this);
    tick->setToolTip(tip);
    to->addWidget(tick);
    of_step_.push_back([tick, get](const steps::StepSettings& s) { tick->setChecked(get(s)); });
    connect(tick, &QCheckBox::clicked, this,
            [this, text, set](bool on) { desk_.set_step(text, [&](steps::StepSettings& s) { set(s, on); }); });
    return tick;
}

void PreparePanel::build_size(QVBoxLayout* all) {
    all->addWidget(make_label(tr("Prepare for burning"), Tone::heading, this));
    width_ = make_length_field(tr("Width of the picture"), this);
    height_ = make_length_field(tr("Height of the picture"), this);
    auto* size = named_row(all, tr("Size"), this);
    size->addWidget(width_);
    size->addWidget(make_label("×", Tone::quiet, this));
    size->addWidget(height_);
    size->addStretch(1);
    connect(width_, &ValueField::committed, this, [this](double width) { set_size(width, 0); });
    connect(height_, &ValueField::committed, this, [this](double height) { set_size(0, height); });

    auto* pitch = make_length_field(tr("Line pitch"), this);
    follow_step(
        pitch, tr("Line pitch"), [](const steps::StepSettings& s) { return s.line_pitch.mm(); },
        [](steps::StepSettings& s, double mm) { s.line_pitch = Length::mm(mm); });
    auto* lines = named_row(all, tr("Line pitch"), this);
    lines->addWidget(pitch);
    per_inch_ = make_label({}, Tone::quiet, this);
    lines->addWidget(per_inch_, 1);
    for (ValueField* field : {width_, height_, pitch})
        field->setFixedWidth(field_width);

    auto* material = named_row(all, tr("Material"), this);
    material_ = make_label({}, Tone::plain, this);
    material->addWidget(material_, 1);
    auto* burns = new QComboBox(this);
    burns->addItems({tr("burns dark"), tr("burns light")});
    burns->setAccessibleName(tr("Material burns dark or light"));
    keep_from_wheel(burns);
    material->addWidget(burns);
    of_step_.push_back(
        [burns](const steps::StepSettings& s) { burns->setCurrentIndex(s.picture.burns_light ? 1 : 0); });
    connect(burns, &QComboBox::activated, this, [this](int index) {
        desk_.set_step(tr("What the material does"),
                       [index](steps::StepSettings& s) { s.picture.burns_light = index == 1; });
    });
    route_ = make_button(tr("Burn it as a picture"), ButtonLook::accent, this);
    all->addWidget(route_, 0, Qt::AlignLeft);
    connect(route_, &QPushButton::clicked, this, [this] {
        job::Job routed = document_.job();
        if (const art::PlacedPicture* picture = desk_.picture()) std::erase(routed.left_out, picture->ink);
        (void)document_.edit(tr("Burn as a picture"), job::route_loose_inks(std::move(routed)), JobChange::steps);
    });
}

void PreparePanel::build_crop(QVBoxLayout* all) {
    auto* fold = new Fold(tr("Crop and turn"), this);
    all->addWidget(fold);
    auto* acts = new QHBoxLayout;
    const auto add = [&](const QString& text, const QString& tip, auto action) {
        auto* button = make_button(text, ButtonLook::plain, fold);
        button->setToolTip(tip);
        connect(button, &QPushButton::clicked, this, action);
        acts->addWidget(button);
    };
    add(tr("Turn left"), tr("The picture on the bed, by 90°"), [this] { turn(std::numbers::pi / 2); });
    add(tr("Turn right"), tr("The picture on the bed, by 90°"), [this] { turn(-std::numbers::pi / 2); });
    add(tr("All of it"), tr("No crop"),
        [this] { desk_.prepare(tr("No crop"), [](raster::Preparation& how) { how.crop = {}; }); });
    acts->addStretch(1);
    fold->body()->addLayout(acts);
    fold->body()->addWidget(
        make_label(tr("Drag the frame over the original, or type shares of it:"), Tone::quiet, fold));
    const auto field = [&](QHBoxLayout* row, const QString& name, double raster::Part::*side) {
        auto* edge = make_number_field(name, "%", 1, 0, fold);
        edge->setFixedWidth(72);
        row->addWidget(edge);
        follow_picture(
            edge, tr("Crop"), [side](const raster::Preparation& how) { return how.crop.*side * 100; },
            [side](raster::Preparation& how, double percent) {
                raster::Part part = how.crop;
                part.*side = std::clamp(percent / 100, 0.0, 1.0);
                if (part.left < part.right && part.top < part.bottom) how.crop = part;
            });
    };
    auto* across = named_row(fold->body(), tr("Left, right"), fold);
    field(across, tr("Crop from the left"), &raster::Part::left);
    field(across, tr("Crop to the right"), &raster::Part::right);
    across->addStretch(1);
    auto* down = named_row(fold->body(), tr("Top, bottom"), fold);
    field(down, tr("Crop from the top"), &raster::Part::top);
    field(down, tr("Crop to the bottom"), &raster::Part::bottom);
    down->addStretch(1);
}

void PreparePanel::choose_tool(OriginalPanel::Tool tool) {
    original_.set_tool(tool);
    for (const auto& [its, button] : tools_)
        button->setChecked(its == tool);
}

void PreparePanel::build_background(QVBoxLayout* all) {
    using Way = raster::Background::Way;
    auto* fold = new Fold(tr("Background"), this);
    all->addWidget(fold);
    auto* way = new QComboBox(fold);
    way->addItems({tr("Keep it"), tr("Take away what joins the border"), tr("Keep the subject in a box")});
    way->setAccessibleName(tr("Background of the picture"));
    keep_from_wheel(way);
    fold->body()->addWidget(way);
    connect(way, &QComboBox::activated, this, [this](int index) {
        desk_.prepare(tr("Background"),
                      [index](raster::Preparation& how) { how.background.way = static_cast<Way>(index); });
        choose_tool(static_cast<Way>(index) == Way::cut_out ? OriginalPanel::Tool::subject_box
                                                            : OriginalPanel::Tool::crop);
    });
    auto* tolerance = make_number_field(tr("Tolerance"), "%", 0, 0, fold);
    tolerance->setFixedWidth(72);
    auto* near = named_row(fold->body(), tr("Tolerance"), fold);
    near->addWidget(tolerance);
    near->addStretch(1);
    follow_picture(
        tolerance, tr("Tolerance"), [](const raster::Preparation& how) { return how.background.tolerance * 100; },
        [](raster::Preparation& how, double percent) {
            how.background.tolerance = std::clamp(percent / 100, 0.0, 1.0);
        });
    auto* tools = new QHBoxLayout;
    const auto add = [&](const QString& text, const QString& tip, OriginalPanel::Tool tool) {
        auto* button = make_button(text, ButtonLook::plain, fold);
        button->setProperty("look", "chip");
        button->setToolTip(tip);
        button->setCheckable(true);
        tools->addWidget(button);
        tools_.emplace_back(tool, button);
        connect(button, &QPushButton::clicked, this, [this, tool] { choose_tool(tool); });
        return button;
    };
    add(tr("Crop"), tr("The mouse draws the crop"), OriginalPanel::Tool::crop);
    auto* box = add(tr("Box"), tr("The mouse draws a box round the subject"), OriginalPanel::Tool::subject_box);
    add(tr("Keep"), tr("The mouse paints what stays"), OriginalPanel::Tool::keep);
    add(tr("Leave out"), tr("The mouse paints what goes"), OriginalPanel::Tool::drop);
    tools->addStretch(1);
    fold->body()->addLayout(tools);
    choose_tool(OriginalPanel::Tool::crop);
    auto* forget = make_button(tr("Take the strokes away"), ButtonLook::link, fold);
    fold->body()->addWidget(forget, 0, Qt::AlignLeft);
    connect(forget, &QPushButton::clicked, this, [this] {
        desk_.prepare(tr("No strokes"), [](raster::Preparation& how) { how.background.strokes.clear(); });
    });
    auto* vignette = make_number_field(tr("Vignette"), "%", 0, 0, fold);
    vignette->setFixedWidth(72);
    vignette->setToolTip(tr("How far from its edge inwards an oval fades into nothing; 0: none"));
    auto* oval = named_row(fold->body(), tr("Vignette"), fold);
    oval->addWidget(vignette);
    oval->addStretch(1);
    follow_picture(
        vignette, tr("Vignette"), [](const raster::Preparation& how) { return how.background.vignette * 100; },
        [](raster::Preparation& how, double percent) {
            how.background.vignette = std::clamp(percent / 100, 0.0, 1.0);
        });
    of_picture_.push_back([fold, way, box, near, tolerance, forget](const raster::Preparation& how) {
        const raster::Background& background = how.background;
        way->setCurrentIndex(static_cast<int>(background.way));
        tolerance->setVisible(background.way == Way::flood);
        near->itemAt(0)->widget()->setVisible(background.way == Way::flood);
        box->setEnabled(background.way == Way::cut_out);
        forget->setVisible(!background.strokes.empty());
        fold->set_note(background == raster::Background() ? QString() : PreparePanel::tr("taken away"));
    });
}

void PreparePanel::build_dots(QVBoxLayout* all, double spot) {
    auto* fold = new Fold(tr("Dots and spot"), this);
    all->addWidget(fold);
    auto* across = make_length_field(tr("Dot to dot along a line"), fold);
    across->setToolTip(tr("As far as the lines lie apart, unless another distance is typed"));
    follow_step(
        across, tr("Dot pitch"),
        [](const steps::StepSettings& s) {
            return s.picture.dot_pitch > Length() ? s.picture.dot_pitch.mm() : s.line_pitch.mm();
        },
        [](steps::StepSettings& s, double mm) {
            s.picture.dot_pitch = mm <= 0 || mm == s.line_pitch.mm() ? Length() : Length::mm(mm);
        });
    auto* along = named_row(fold->body(), tr("Dot to dot"), fold);
    along->addWidget(across);
    along->addStretch(1);
    across->setFixedWidth(field_width);
    add_step_tick(
        fold->body(), tr("Fewer dots for the %1 mm spot").arg(QString::fromStdString(format_number(spot, 2))),
        tr("Where the spot is wider than the pitch dots grow into each other. A measured response of the material "
           "holds this already."),
        [](const steps::StepSettings& s) { return s.picture.spare_gain; },
        [](steps::StepSettings& s, bool on) { s.picture.spare_gain = on; });
    add_step_tick(
        fold->body(), tr("Every dot stands alone"),
        tr("For glass and stone: no two burned dots touch along a line or straight above"),
        [](const steps::StepSettings& s) { return s.picture.dots.lone; },
        [](steps::StepSettings& s, bool on) { s.picture.dots.lone = on; });
    auto* rest = make_number_field(tr("Rest between dots"), "ms", 2, 0, fold);
    rest->setFixedWidth(field_width);
    auto* row = named_row(fold->body(), tr("Rest at least"), fold);
    row->addWidget(rest);
    row->addWidget(make_label(tr("between two dots"), Tone::quiet, fold), 1);
    follow_step(
        rest, tr("Rest between dots"), [](const steps::StepSettings& s) { return s.picture.off_time.seconds() * 1000; },
        [](steps::StepSettings& s, double ms) { s.picture.off_time = Duration::seconds(ms / 1000); });
    build_response(fold);
}

/// How dark a share of burned dots looks, as measured on the material: pairs of per cent.
void PreparePanel::build_response(Fold* fold) {
    auto* response = new QLineEdit(fold);
    response->setAccessibleName(tr("Response of the material"));
    response->setPlaceholderText(tr("such as 0 0, 25 45, 60 85, 100 100"));
    response->setToolTip(tr("Pairs of per cent: so many dots burned look so dark. Empty: in proportion."));
    auto* row = named_row(fold->body(), tr("Response"), fold);
    row->addWidget(response, 1);
    of_step_.push_back([response](const steps::StepSettings& s) {
        if (response->hasFocus()) return;
        response->setText(in_words(s.picture.response));
    });
    connect(response, &QLineEdit::editingFinished, this, [this, response] {
        const auto typed = response_from(response->text());
        if (typed)
            desk_.set_step(tr("Response of the material"),
                           [&](steps::StepSettings& s) { s.picture.response = *typed; });
        if (desk_.step()) response->setText(in_words(desk_.step()->settings.picture.response));
    });
}

/// Keeps the picture's shape and its lower left corner.
void PreparePanel::set_size(double width, double height) {
    const job::Motif* motif = desk_.motif();
    if (!motif) return;
    const geometry::Box box = job::bounds(*motif);
    const double factor = width > 0 ? width / box.width() : height / box.height();
    if (!(factor > 1e-4 && factor < 1e4)) return show_all();
    placing_.choose({motif->id});
    placing_.transform(tr("Scale art"),
                       geometry::Transform::about({box.left, box.bottom}, geometry::Transform::scale(factor, factor)));
    show_all();
}

void PreparePanel::turn(double radians) {
    const job::Motif* motif = desk_.motif();
    if (!motif) return;
    placing_.choose({motif->id});
    placing_.turn(radians);
}

void PreparePanel::show_all() {
    const job::Motif* motif = desk_.motif();
    const job::Step* step = desk_.step();
    setEnabled(motif != nullptr);
    more_->setEnabled(motif != nullptr);
    route_->setVisible(motif && !step);
    if (!motif) return;
    const geometry::Box box = job::bounds(*motif);
    width_->show_value(box.width());
    height_->show_value(box.height());
    for (const auto& show : of_picture_)
        show(motif->preparation);
    const auto& stock = document_.job().stock;
    material_->setText(stock ? QString::fromStdString(stock->material) : tr("No piece yet"));
    if (!step) return;
    per_inch_->setText(tr("%1 lines/in").arg(std::lround(25.4 / step->settings.line_pitch.mm())));
    for (const auto& show : of_step_)
        show(step->settings);
}

}  // namespace chalkline::app
