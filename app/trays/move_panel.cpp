// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/move_panel.hpp"

#include "machine/state_sheet.hpp"
#include "trays/jog_strip.hpp"
#include "widgets/fold.hpp"

#include <chalkline/base/units_text.hpp>

#include <QHBoxLayout>
#include <algorithm>

namespace chalkline::app {
namespace {

constexpr Power pulse_power = Power::percent(5);
constexpr Duration pulse_time = Duration::seconds(0.1);
constexpr int pulse_every = 400;  // ms while the button is held

}  // namespace

MovePanel::MovePanel(const TrayContext& context, QWidget* parent) : QWidget(parent), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    auto* heading = make_label(tr("Move the head, mm"), Tone::heading, this);
    heading->setContentsMargins(0, 16, 0, 0);
    all->addWidget(heading);
    MachineLink& machine = context_.machine;
    all->addWidget(new JogStrip(
        tr("X"), machine,
        [&machine](double by) {
            machine.jog({by, 0});
        },
        this));
    all->addWidget(new JogStrip(
        tr("Y"), machine,
        [&machine](double by) {
            machine.jog({0, by});
        },
        this));
    focus_ = new JogStrip(
        tr("Focus"), machine, [&machine](double by) { machine.move_focus(by); }, this);
    all->addWidget(focus_);
    auto* speed = new QHBoxLayout;
    speed_ = make_speed_field(tr("Speed of moving by hand"), machine.profile().top_speed(), this);
    speed_->setFixedWidth(120);
    speed->addWidget(make_label(tr("Speed"), Tone::quiet, this));
    speed->addWidget(speed_);
    speed->addStretch(1);
    all->addLayout(speed);
    connect(speed_, &ValueField::committed, this, [this](double wanted) {
        machine::MachineProfile profile = context_.machine.flat_profile();
        profile.jog_speed = std::clamp(wanted, 1.0, profile.top_speed().mm_per_min());
        context_.keeper.keep(profile);
    });
    all->addWidget(make_label(tr("Hold Shift and an arrow key, with the rail clicked, to move as long as it is held."),
                              Tone::quiet, this));
    build_places(all);
    build_more(all);
    connect(&context_.machine, &MachineLink::changed, this, &MovePanel::follow);
    connect(&context_.machine, &MachineLink::profile_changed, this, &MovePanel::offer_places);
    connect(&context_.document, &JobDocument::changed, this, &MovePanel::offer_places);
    offer_places();
    follow();
}

void MovePanel::build_places(QVBoxLayout* all) {
    auto* named = new QHBoxLayout;
    named->addWidget(make_label(tr("Go to"), Tone::quiet, this));
    places_ = new QComboBox(this);
    places_->setAccessibleName(tr("Place to go to"));
    keep_from_wheel(places_);
    named->addWidget(places_, 1);
    auto* go = make_button(tr("Go"), ButtonLook::plain, this);
    named->addWidget(go);
    all->addLayout(named);
    connect(go, &QPushButton::clicked, this, [this] {
        const auto index = static_cast<std::size_t>(std::max(places_->currentIndex(), 0));
        if (index < offered_.size()) context_.machine.go_to(offered_[index].place);
    });
    auto* typed = new QHBoxLayout;
    x_ = make_length_field(tr("Go to X"), this);
    y_ = make_length_field(tr("Go to Y"), this);
    for (ValueField* field : {x_, y_})
        field->setFixedWidth(80);
    auto* send = make_button(tr("Go there"), ButtonLook::plain, this);
    auto* click = make_button(tr("Click on the bed…"), ButtonLook::plain, this);
    click->setToolTip(tr("The head goes where you click next; Esc gives up"));
    typed->addWidget(make_label(tr("X"), Tone::quiet, this));
    typed->addWidget(x_);
    typed->addWidget(make_label(tr("Y"), Tone::quiet, this));
    typed->addWidget(y_);
    typed->addWidget(send);
    typed->addStretch(1);
    all->addLayout(typed);
    all->addWidget(click, 0, Qt::AlignLeft);
    connect(send, &QPushButton::clicked, this, [this] { context_.machine.go_to({x_->value(), y_->value()}); });
    connect(click, &QPushButton::clicked, this, [this] {
        context_.bed.pick_place(tr("Click where the head shall go"), [this](geometry::Point place) {
            context_.bed.stop_picking();
            context_.machine.go_to(place);
        });
    });
    auto* kept = new QHBoxLayout;
    place_name_ = new QLineEdit(this);
    place_name_->setPlaceholderText(tr("name for the head's place"));
    place_name_->setAccessibleName(tr("Name for the head's place"));
    auto* keep = make_button(tr("Keep place"), ButtonLook::plain, this);
    keep->setToolTip(tr("A jig or a stop of this machine: offered above for every job"));
    kept->addWidget(place_name_, 1);
    kept->addWidget(keep);
    all->addLayout(kept);
    connect(keep, &QPushButton::clicked, this, &MovePanel::keep_place);
    connect(place_name_, &QLineEdit::returnPressed, this, &MovePanel::keep_place);
    when_known_.insert(when_known_.end(), {go, send, click, keep});
    unknown_ =
        make_label(tr("Where the head is nobody knows, so no limit can be kept: watch it."), Tone::attention, this);
    all->addWidget(unknown_);
    where_ = make_button(tr("Say where it stands…"), ButtonLook::plain, this);
    where_->setToolTip(tr("For machines without home switches, and heads pushed by hand"));
    all->addWidget(where_, 0, Qt::AlignLeft);
    connect(where_, &QPushButton::clicked, this,
            [this] { open_where_sheet(context_.machine, context_.document.job(), &context_.bed); });
}

void MovePanel::build_more(QVBoxLayout* all) {
    auto* fold = new Fold(tr("Beam and motors"), this);
    all->addWidget(fold);
    auto* row = new QHBoxLayout;
    pulse_ = make_button(tr("Pulse"), ButtonLook::plain, fold);
    pulse_->setToolTip(tr("The beam at 5 % for a tenth of a second, again while you hold it. Wear your glasses."));
    release_ = make_button(tr("Let the motors go"), ButtonLook::plain, fold);
    row->addWidget(pulse_);
    row->addWidget(release_);
    row->addStretch(1);
    fold->body()->addLayout(row);
    pulsing_.setInterval(pulse_every);
    connect(&pulsing_, &QTimer::timeout, this, [this] { context_.machine.pulse(pulse_power, pulse_time); });
    connect(pulse_, &QPushButton::pressed, this, [this] {
        context_.machine.pulse(pulse_power, pulse_time);
        pulsing_.start();
    });
    connect(pulse_, &QPushButton::released, &pulsing_, &QTimer::stop);
    connect(release_, &QPushButton::clicked, this, [this] {
        const bool asleep = context_.machine.snapshot().state == machine::ControllerState::sleep;
        asleep ? context_.machine.wake() : context_.machine.release_motors();
    });
}

void MovePanel::offer_places() {
    const QString chosen = places_->currentText();
    places_->clear();
    offered_ = known_places(context_.document.job(), context_.machine.profile());
    for (const KnownPlace& known : offered_)
        places_->addItem(known.name);
    places_->setCurrentIndex(std::max(0, places_->findText(chosen)));
    focus_->setVisible(context_.machine.profile().z_axis);
    speed_->show_value(context_.machine.profile().jog_speed);
}

/// The head's place gets a name that stays with the machine; the same name again moves the place.
void MovePanel::keep_place() {
    const auto head = context_.machine.head();
    const std::string name = place_name_->text().trimmed().toStdString();
    if (!head || name.empty()) return;
    machine::MachineProfile profile = context_.machine.flat_profile();
    std::erase_if(profile.places, [&](const machine::NamedPlace& place) { return place.name == name; });
    profile.places.push_back({name, *head});
    context_.keeper.keep(profile);
    place_name_->clear();
    places_->setCurrentIndex(places_->findText(QString::fromStdString(name)));
}

void MovePanel::follow() {
    const auto& now = context_.machine.snapshot();
    const bool free = context_.machine.free();
    if (!pulsing_.isActive()) pulse_->setEnabled(free && now.can.pulse);
    for (QWidget* one : when_known_)
        one->setEnabled(free && now.position_sure);
    const bool asleep = now.connected && now.state == machine::ControllerState::sleep;
    release_->setEnabled(free || asleep);
    release_->setText(asleep ? tr("Wake the controller") : tr("Let the motors go"));
    unknown_->setVisible(free && !now.position_sure);
    where_->setVisible(free && (!now.position_sure || now.placed_by_hand));
}

}  // namespace chalkline::app
