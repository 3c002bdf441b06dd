// SPDX-License-Identifier: GPL-3.0-or-later
#include "machine/profile_sheet.hpp"

#include <QHBoxLayout>
#include <QLineEdit>
#include <QScrollArea>
#include <algorithm>

namespace chalkline::app {
namespace {

constexpr int profile_label_width = 190;  // px
constexpr int profile_field_width = 110;  // px
constexpr int profile_body_height = 420;  // px
constexpr int hours_in_first_place = 1;

QHBoxLayout* begin_row(QVBoxLayout* rows, const QString& name, QWidget* parent) {
    auto* row = new QHBoxLayout;
    auto* label = make_label(name, Tone::quiet, parent);
    label->setFixedWidth(profile_label_width);
    row->addWidget(label);
    rows->addLayout(row);
    return row;
}

}  // namespace

ProfileSheet::ProfileSheet(MachineLink& machine, MachineKeeper& keeper, QWidget* over)
    : Sheet(tr("This machine"), over), machine_(machine), keeper_(keeper) {
    setFixedWidth(560);
    auto* scroll = new QScrollArea(this);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setWidgetResizable(true);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setObjectName("trayScroll");
    auto* body = new QWidget(scroll);
    body->setObjectName("trayPage");
    auto* all = new QVBoxLayout(body);
    all->setContentsMargins(0, 0, 12, 0);
    auto* name = new QLineEdit(QString::fromStdString(machine.flat_profile().name), body);
    name->setAccessibleName(tr("Name of the machine"));
    begin_row(all, tr("Name"), body)->addWidget(name);
    takers_.push_back([name](Profile& profile) -> Result<void> {
        if (!name->text().trimmed().isEmpty()) profile.name = name->text().trimmed().toStdString();
        return {};
    });
    add_bed(all);
    add_beam(all);
    add_motion(all);
    add_focus(all);
    add_rotary(all);
    add_habits(all);
    all->addStretch(1);
    scroll->setWidget(body);
    scroll->setFixedHeight(std::min(profile_body_height, std::max(260, over->height() - 190)));
    add_widget(scroll);
    said_ = add_text({}, Tone::attention);
    said_->hide();
    add_button(tr("Leave it"), ButtonLook::plain, {});
    add_staying_button(tr("Keep"), ButtonLook::accent, [this] { keep(); });
    open();
    name->setFocus();
}

ValueField* ProfileSheet::add_field(QVBoxLayout* rows, const QString& name, ValueField* field, double value,
                                    std::function<void(Profile&, double)> take) {
    auto* row = begin_row(rows, name, field->parentWidget());
    field->setFixedWidth(profile_field_width);
    field->show_value(value);
    row->addWidget(field);
    row->addStretch(1);
    takers_.push_back([field, take = std::move(take)](Profile& profile) -> Result<void> {
        take(profile, field->value());
        return {};
    });
    return field;
}

QCheckBox* ProfileSheet::add_tick(QVBoxLayout* rows, const QString& text, bool on,
                                  std::function<void(Profile&, bool)> take) {
    auto* tick = new QCheckBox(text, this);
    tick->setChecked(on);
    rows->addWidget(tick);
    takers_.push_back([tick, take = std::move(take)](Profile& profile) -> Result<void> {
        take(profile, tick->isChecked());
        return {};
    });
    return tick;
}

QComboBox* ProfileSheet::add_choice(QVBoxLayout* rows, const QString& name, const QStringList& words, int chosen,
                                    std::function<void(Profile&, int)> take) {
    auto* choice = new QComboBox(this);
    choice->addItems(words);
    choice->setCurrentIndex(chosen);
    choice->setAccessibleName(name);
    keep_from_wheel(choice);
    auto* row = begin_row(rows, name, this);
    row->addWidget(choice);
    row->addStretch(1);
    takers_.push_back([choice, take = std::move(take)](Profile& profile) -> Result<void> {
        take(profile, choice->currentIndex());
        return {};
    });
    return choice;
}

/// `controller`: the lines go to the controller and must be fit for it.
void ProfileSheet::add_lines(QVBoxLayout* rows, const QString& name, const std::vector<std::string>& lines,
                             bool controller, std::function<void(Profile&, std::vector<std::string>)> take) {
    QStringList texts;
    for (const std::string& line : lines)
        texts << QString::fromStdString(line);
    auto* edit = new QPlainTextEdit(texts.join('\n'), this);
    edit->setAccessibleName(name);
    edit->setTabChangesFocus(true);
    edit->setFixedHeight(64);
    begin_row(rows, name, this)->addWidget(edit, 1);
    takers_.push_back([edit, controller, take = std::move(take)](Profile& profile) -> Result<void> {
        std::vector<std::string> typed;
        for (const QString& line : edit->toPlainText().split('\n', Qt::SkipEmptyParts)) {
            const std::string text = line.trimmed().toStdString();
            if (text.empty()) continue;
            if (controller)
                if (auto fit = machine::check_own_line(text); !fit) return fit;
            typed.push_back(text);
        }
        take(profile, std::move(typed));
        return {};
    });
}

void ProfileSheet::add_bed(QVBoxLayout* all) {
    const Profile& profile = machine_.flat_profile();
    auto* fold = new Fold(tr("Bed and home"), this);
    fold->set_open(true);
    all->addWidget(fold);
    auto* rows = fold->body();
    add_field(rows, tr("Bed, width"), make_length_field(tr("Bed width"), fold), profile.width,
              [](Profile& p, double v) { p.width = v; });
    add_field(rows, tr("Bed, depth"), make_length_field(tr("Bed depth"), fold), profile.depth,
              [](Profile& p, double v) { p.depth = v; });
    add_choice(rows, tr("Home corner"),
               {tr("no home switches"), tr("near left"), tr("near right"), tr("far left"), tr("far right")},
               static_cast<int>(profile.home), [](Profile& p, int v) { p.home = static_cast<machine::HomeCorner>(v); });
    // One tick for three fields: a machine without a resting place has none of them.
    auto* rests = new QCheckBox(tr("The head waits at its own place after home and after a job"), fold);
    rests->setChecked(profile.rest.has_value());
    rows->addWidget(rests);
    const geometry::Point rest = profile.rest.value_or(geometry::Point{});
    const auto take_rest = [rests](Profile& p, double geometry::Point::*axis, double value) {
        if (!rests->isChecked()) return p.rest.reset();
        if (!p.rest) p.rest = geometry::Point{};
        (*p.rest).*axis = value;
    };
    auto* x = add_field(rows, tr("Resting place, X"), make_length_field(tr("Resting place X"), fold), rest.x,
                        [take_rest](Profile& p, double v) { take_rest(p, &geometry::Point::x, v); });
    auto* y = add_field(rows, tr("Resting place, Y"), make_length_field(tr("Resting place Y"), fold), rest.y,
                        [take_rest](Profile& p, double v) { take_rest(p, &geometry::Point::y, v); });
    for (auto* field : {x, y}) {
        field->setEnabled(rests->isChecked());
        connect(rests, &QCheckBox::toggled, field, &QWidget::setEnabled);
    }
    for (const machine::NamedPlace& place : profile.places)
        add_place(rows, place);
}

void ProfileSheet::add_place(QVBoxLayout* rows, const machine::NamedPlace& place) {
    auto* row = begin_row(rows, tr("Place “%1”").arg(QString::fromStdString(place.name)), this);
    const auto figure = [](double mm) { return QString::fromStdString(format_number(mm, 1)); };
    row->addWidget(make_label(tr("%1, %2 mm").arg(figure(place.place.x), figure(place.place.y)), Tone::plain, this));
    auto* forget = make_button(tr("Forget"), ButtonLook::link, this);
    forget->setAccessibleName(tr("Forget %1").arg(QString::fromStdString(place.name)));
    row->addWidget(forget);
    row->addStretch(1);
    connect(forget, &QPushButton::clicked, this, [this, forget, name = place.name] {
        forgotten_.push_back(name);
        forget->setText(tr("will be forgotten"));
        forget->setEnabled(false);
    });
}

void ProfileSheet::add_beam(QVBoxLayout* all) {
    const Profile& profile = machine_.flat_profile();
    auto* fold = new Fold(tr("Beam"), this);
    all->addWidget(fold);
    auto* rows = fold->body();
    add_choice(rows, tr("What makes the light"),
               {wording::name(steps::BeamKind::diode), wording::name(steps::BeamKind::co2),
                wording::name(steps::BeamKind::fibre), wording::name(steps::BeamKind::infrared),
                wording::name(steps::BeamKind::other)},
               static_cast<int>(profile.beam.kind),
               [](Profile& p, int v) { p.beam.kind = static_cast<steps::BeamKind>(v); });
    add_field(rows, tr("Wavelength"), make_number_field(tr("Wavelength"), "nm", 0, 100, fold), profile.wavelength,
              [](Profile& p, double v) { p.wavelength = static_cast<int>(v); });
    add_field(rows, tr("Power at 100 %"), make_number_field(tr("Watts"), "W", 2, 0.001, fold), profile.beam.watts,
              [](Profile& p, double v) { p.beam.watts = v; });
    add_field(rows, tr("Comfortable up to"), make_number_field(tr("Comfortable power"), "%", 0, 1, fold),
              profile.beam.comfortable.percent(),
              [](Profile& p, double v) { p.beam.comfortable = Power::percent(std::min(v, 100.0)); });
    add_field(rows, tr("Spot"), make_number_field(tr("Spot"), "mm", 3, 0.001, fold), profile.spot,
              [](Profile& p, double v) { p.spot = v; });
    add_field(rows, tr("Faint dot"), make_number_field(tr("Faint dot"), "mW", 1, 0, fold), profile.dot_milliwatts,
              [](Profile& p, double v) { p.dot_milliwatts = std::min(v, 50.0); });
    add_field(rows, tr("Pointer's dot, X from the beam"), make_length_field(tr("Pointer X"), fold), profile.pointer.x,
              [](Profile& p, double v) { p.pointer.x = v; });
    add_field(rows, tr("Pointer's dot, Y from the beam"), make_length_field(tr("Pointer Y"), fold), profile.pointer.y,
              [](Profile& p, double v) { p.pointer.y = v; });
    begin_row(rows, tr("Has burned"), fold)
        ->addWidget(make_label(
            tr("%1 hours").arg(QString::fromStdString(format_number(profile.beam_hours, hours_in_first_place))),
            Tone::plain, fold));
}

void ProfileSheet::add_motion(QVBoxLayout* all) {
    const Profile& profile = machine_.flat_profile();
    auto* fold = new Fold(tr("Speed and link"), this);
    all->addWidget(fold);
    auto* rows = fold->body();
    const auto add = [&](const QString& name, const QString& unit, int decimals, double least, double value,
                         std::function<void(Profile&, double)> take) {
        add_field(rows, name, make_number_field(name, unit, decimals, least, fold), value, std::move(take));
    };
    add(tr("Fastest in X"), "mm/min", 0, 1, profile.max_rate_x, [](Profile& p, double v) { p.max_rate_x = v; });
    add(tr("Fastest in Y"), "mm/min", 0, 1, profile.max_rate_y, [](Profile& p, double v) { p.max_rate_y = v; });
    add(tr("Acceleration in X"), "mm/s²", 0, 1, profile.acceleration_x,
        [](Profile& p, double v) { p.acceleration_x = v; });
    add(tr("Acceleration in Y"), "mm/s²", 0, 1, profile.acceleration_y,
        [](Profile& p, double v) { p.acceleration_y = v; });
    add(tr("Junction deviation"), "mm", 4, 0.0001, profile.junction_deviation,
        [](Profile& p, double v) { p.junction_deviation = v; });
    add(tr("Speed of framing"), "mm/min", 0, 1, profile.frame_speed, [](Profile& p, double v) { p.frame_speed = v; });
    add(tr("Speed of moving by hand"), "mm/min", 0, 1, profile.jog_speed,
        [](Profile& p, double v) { p.jog_speed = v; });
    add_choice(rows, tr("The controller hears"), {tr("real-time bytes and lines"), tr("one line after the other")},
               static_cast<int>(profile.dialect),
               [](Profile& p, int v) { p.dialect = static_cast<machine::Dialect>(v); });
    add(tr("S value of full power"), {}, 0, 1, profile.full_power_s,
        [](Profile& p, double v) { p.full_power_s = static_cast<int>(v); });
    add(tr("Serial speed"), "baud", 0, 300, profile.baud, [](Profile& p, double v) { p.baud = static_cast<int>(v); });
    add(tr("Receive buffer"), tr("bytes"), 0, 80, profile.receive_buffer,
        [](Profile& p, double v) { p.receive_buffer = static_cast<int>(v); });
    add(tr("Moves it looks ahead"), {}, 0, 2, profile.planner_blocks,
        [](Profile& p, double v) { p.planner_blocks = static_cast<int>(v); });
}

void ProfileSheet::add_focus(QVBoxLayout* all) {
    const Profile& profile = machine_.flat_profile();
    auto* fold = new Fold(tr("Focus, air and start button"), this);
    all->addWidget(fold);
    auto* rows = fold->body();
    add_tick(rows, tr("The machine moves its focus (Z)"), profile.z_axis, [](Profile& p, bool v) { p.z_axis = v; });
    add_field(rows, tr("Height of the focus gauge"), make_length_field(tr("Focus gauge"), fold), profile.focus.height,
              [](Profile& p, double v) { p.focus.height = v; });
    add_tick(rows, tr("A touch probe is wired to the controller"), profile.focus.probe,
             [](Profile& p, bool v) { p.focus.probe = v; });
    add_field(rows, tr("In focus above the touch by"), make_length_field(tr("Above the touch"), fold),
              profile.focus.above_touch, [](Profile& p, double v) { p.focus.above_touch = v; });
    add_field(rows, tr("The probe looks down at most"), make_number_field(tr("Probe reach"), "mm", 1, 0.1, fold),
              profile.focus.probe_reach, [](Profile& p, double v) { p.focus.probe_reach = v; });
    add_choice(rows, tr("Air assist is turned on by"), {"M7", "M8"}, profile.air - 7,
               [](Profile& p, int v) { p.air = 7 + v; });
    if (profile.dialect == machine::Dialect::line_by_line)
        add_tick(rows, tr("Changes power while it moves"), profile.power_in_moves,
                 [](Profile& p, bool v) { p.power_in_moves = v; });
    add_tick(rows, tr("A start button is wired to the controller"), profile.start_button,
             [](Profile& p, bool v) { p.start_button = v; });
}

void ProfileSheet::add_rotary(QVBoxLayout* all) {
    const machine::Rotary& rotary = machine_.flat_profile().rotary;
    auto* fold = new Fold(tr("Rotary for round pieces"), this);
    all->addWidget(fold);
    auto* rows = fold->body();
    auto* axis = add_choice(
        rows, tr("The rotary"), {tr("none"), tr("is plugged in instead of Y"), tr("has an axis of its own (A)")},
        static_cast<int>(rotary.axis), [](Profile& p, int v) { p.rotary.axis = static_cast<machine::RotaryAxis>(v); });
    add_choice(rows, tr("The piece"), {tr("is held by a chuck"), tr("lies on rollers")}, static_cast<int>(rotary.drive),
               [](Profile& p, int v) { p.rotary.drive = static_cast<machine::RotaryDrive>(v); });
    auto* per_turn = add_field(rows, tr("One turn of chuck or roller counts"),
                               make_number_field(tr("Counted in one turn"), tr("mm or °"), 3, 0.01, fold),
                               rotary.per_turn, [](Profile& p, double v) { p.rotary.per_turn = v; });
    auto* hint =
        make_label(tr("As the controller counts it: the motor's steps in one turn, gears included, over its steps "
                      "for a millimetre or degree of that axis ($101, or $103)."),
                   Tone::quiet, fold);
    rows->addWidget(hint);
    add_motor_steps(rows, per_turn, axis);
    add_field(rows, tr("Diameter of a roller"), make_length_field(tr("Roller diameter"), fold), rotary.roller_diameter,
              [](Profile& p, double v) { p.rotary.roller_diameter = v; });
    add_field(rows, tr("Fastest, on an axis of its own"),
              make_number_field(tr("Fastest of the rotary"), QString::fromUtf8("°/min"), 0, 1, fold), rotary.max_rate,
              [](Profile& p, double v) { p.rotary.max_rate = v; });
    add_field(rows, tr("Acceleration, on an axis of its own"),
              make_number_field(tr("Acceleration of the rotary"), QString::fromUtf8("°/s²"), 0, 1, fold),
              rotary.acceleration, [](Profile& p, double v) { p.rotary.acceleration = v; });
}

/// The same in steps of the motor, where the controller told how many it takes for what it counts.
void ProfileSheet::add_motor_steps(QVBoxLayout* rows, ValueField* per_turn, QComboBox* axis) {
    const auto& settings = machine_.snapshot().settings;
    if (!settings) return;
    const auto each = [settings, axis] {
        const auto found =
            settings->find(axis->currentIndex() == static_cast<int>(machine::RotaryAxis::fourth) ? 103 : 101);
        return found == settings->end() ? 0.0 : found->second;
    };
    auto* steps = make_number_field(tr("Motor steps in one turn"), {}, 0, 1, this);
    auto* row = begin_row(rows, tr("In steps of the motor"), this);
    row->addWidget(steps);
    row->addStretch(1);
    const auto follow = [steps, per_turn, each] {
        steps->setEnabled(each() > 0);
        steps->show_value(per_turn->value() * each());
    };
    connect(steps, &ValueField::committed, this, [per_turn, each](double wanted) {
        if (each() > 0) per_turn->show_value(wanted / each());
    });
    connect(per_turn, &ValueField::committed, this, follow);
    connect(axis, &QComboBox::currentIndexChanged, this, follow);
    follow();
}

void ProfileSheet::add_habits(QVBoxLayout* all) {
    const Profile& profile = machine_.flat_profile();
    auto* fold = new Fold(tr("Checklist and own lines"), this);
    all->addWidget(fold);
    auto* rows = fold->body();
    add_lines(rows, tr("Asked before every burn,\none a line"), profile.checklist, false,
              [](Profile& p, std::vector<std::string> v) { p.checklist = std::move(v); });
    add_lines(rows, tr("Sent after finding home"), profile.own_lines.after_home, true,
              [](Profile& p, std::vector<std::string> v) { p.own_lines.after_home = std::move(v); });
    add_lines(rows, tr("Sent after a job"), profile.own_lines.at_end, true,
              [](Profile& p, std::vector<std::string> v) { p.own_lines.at_end = std::move(v); });
}

Result<ProfileSheet::Profile> ProfileSheet::read() const {
    Profile profile = machine_.flat_profile();
    for (const auto& take : takers_)
        if (const auto taken = take(profile); !taken) return tl::unexpected(taken.error());
    std::erase_if(profile.places, [this](const machine::NamedPlace& place) {
        return std::find(forgotten_.begin(), forgotten_.end(), place.name) != forgotten_.end();
    });
    // What the file would refuse is refused here, while it can be mended.
    return machine::parse_profile(machine::to_json(profile), {});
}

void ProfileSheet::keep() {
    const auto profile = read();
    if (!profile) {
        said_->setText(wording::describe(profile.error()).whole());
        said_->show();
        return;
    }
    keeper_.keep(*profile);
    put_away();
}

}  // namespace chalkline::app
