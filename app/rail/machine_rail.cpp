// SPDX-License-Identifier: GPL-3.0-or-later
#include "rail/machine_rail.hpp"

#include "widgets/controls.hpp"

#include <chalkline/conversation/next_step.hpp>
#include <chalkline/timing/time_model.hpp>
#include <chalkline/wording/wording.hpp>

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPainter>
#include <map>

namespace chalkline::app {
namespace {

constexpr int dot_centre = 20;  // px from the left

}  // namespace

MachineRail::MachineRail(MachineLink& machine, const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), machine_(machine), roles_(roles) {
    setLayoutDirection(Qt::LeftToRight);  // what is painted beside its widgets stands where it is painted
    setFixedHeight(58);
    setAccessibleName(tr("Machine rail"));
    setFocusPolicy(Qt::ClickFocus);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(dot_centre + 14, 0, 14, 0);
    row->setSpacing(10);
    const QString colour = "color: " + roles.rail_text.name() + "; background: transparent;";
    state_ = make_button({}, ButtonLook::top, this);
    state_->setToolTip(tr("What this means and what can be done"));
    // Read from across the room, like the time left.
    const QString large = QString("font-size: %1px; font-weight: 600;").arg(theme::large);
    state_->setStyleSheet(large);
    place_ = new QLabel(this);
    place_->setFont(theme::mono(theme::normal));
    place_->setStyleSheet(colour);
    place_->setAccessibleName(tr("Place of the head"));
    machine_button_ = make_button({}, ButtonLook::top, this);
    machine_button_->setToolTip(tr("Connect, change or disconnect the machine"));
    rotary_ = new QLabel(this);
    rotary_->setObjectName("rotary");
    rotary_->setToolTip(tr("A round piece turns instead of the bed lying still: Y is millimetres round it"));
    row->addWidget(state_);
    row->addWidget(rotary_, 0, Qt::AlignVCenter);
    row->addSpacing(6);
    row->addWidget(place_);
    row->addWidget(machine_button_);
    row->addStretch(1);
    const auto add = [&](const QString& text, ButtonLook look, const QString& tip, void (MachineLink::*action)()) {
        auto* button = make_button(text, look, this);
        button->setToolTip(tip);
        connect(button, &QPushButton::clicked, &machine_, action);
        row->addWidget(button);
        return button;
    };
    unlock_ =
        add(tr("Unlock"), ButtonLook::rail, tr("Let the head move without knowing where it is"), &MachineLink::unlock);
    home_ = add(tr("Home"), ButtonLook::rail, tr("Find home"), &MachineLink::home);
    hold_ = add(tr("Hold"), ButtonLook::rail, tr("Hold the head and the beam (Esc)"), &MachineLink::hold);
    resume_ = add(tr("Resume"), ButtonLook::rail, tr("Go on after a hold"), &MachineLink::resume);
    stop_ = add(tr("STOP"), ButtonLook::stop, {}, &MachineLink::stop);
    stop_->setStyleSheet(large);
    connect(machine_button_, &QPushButton::clicked, this, &MachineRail::connection_wanted);
    connect(state_, &QPushButton::clicked, this, &MachineRail::explanation_wanted);
    connect(&machine_, &MachineLink::changed, this, &MachineRail::follow);
    follow();
}

void MachineRail::follow() {
    using machine::Activity;
    using machine::ControllerState;
    const auto& now = machine_.snapshot();
    state_->setText(wording::state(now));
    state_->setAccessibleName(tr("State of the machine: %1").arg(wording::state(now)));
    const auto figure = [&](double value) { return QString("%1").arg(value, 0, 'f', 2); };
    const bool known = now.connected && now.position && now.position_sure;
    place_->setText(!known ? tr("X —  Y — mm")
                           : (now.placed_by_hand ? tr("X %1  Y %2 mm, set by hand") : tr("X %1  Y %2 mm"))
                                 .arg(figure(now.position->x), figure(now.position->y)));
    const machine::MachineProfile& job_sees = machine_.profile();
    rotary_->setVisible(job_sees.turning.has_value());
    rotary_->setText(tr("ROTARY · %1 mm round").arg(QString("%1").arg(job_sees.depth, 0, 'f', 1)));
    const QString profile = QString::fromStdString(job_sees.name);
    machine_button_->setText(now.connected ? tr("%1 · %2").arg(profile, machine_.name())
                                           : tr("%1 · connect…").arg(profile));
    const bool idle = now.connected && now.activity == Activity::none;
    const bool locked = idle && now.state == ControllerState::alarm;
    unlock_->setVisible(locked);
    home_->setEnabled(locked || (idle && now.state == ControllerState::idle));
    const Duration homing =
        timing::homing_time(machine_.profile(), now.position_sure ? now.position : std::optional<geometry::Point>());
    const bool turns_home = job_sees.turning && job_sees.turning->axis != machine::RotaryAxis::fourth;
    const bool has_switches = job_sees.turning || job_sees.home != machine::HomeCorner::none;
    home_->setEnabled(home_->isEnabled() && !turns_home && has_switches);
    home_->setToolTip(turns_home ? tr("Finding home would turn the piece: home before the rotary is plugged in")
                      : homing > Duration() ? tr("Find home, about %1").arg(wording::duration(homing))
                                            : tr("This machine has no switches to find home by"));
    const bool held = now.state == ControllerState::hold || now.state == ControllerState::door;
    hold_->setVisible(now.can.hold);
    resume_->setVisible(now.can.hold);
    hold_->setEnabled(machine_.active() && !held && now.activity != Activity::stopping);
    resume_->setEnabled(machine::may_resume(now) && now.activity != Activity::stopping);
    stop_->setEnabled(true);
    stop_->setToolTip(
        now.can.moves_after_stop > 0
            ? tr("Stop (Esc). This controller cannot be held: up to %1 moves may still run. The machine's own switch "
                 "is "
                 "the sure way.")
                  .arg(now.can.moves_after_stop)
            : tr("Stop at once, beam off (Esc twice). It does not replace the machine's own emergency switch."));
    update();
}

void MachineRail::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), roles_.rail);
    const auto& now = machine_.snapshot();
    QColor colour = roles_.rail_quiet;
    if (now.connected && now.state == machine::ControllerState::alarm)
        colour = roles_.attention;
    else if (machine_.active())
        colour = roles_.running;
    else if (now.connected && now.state == machine::ControllerState::idle)
        colour = roles_.idle;
    painter.setPen(Qt::NoPen);
    painter.setBrush(colour);
    painter.drawEllipse(QPointF(dot_centre, height() / 2.0), 5.5, 5.5);
}

/// With the rail focused, Shift and the arrows move the head for as long as they are held.
void MachineRail::keyPressEvent(QKeyEvent* event) {
    const std::map<int, geometry::Point> ways{
        {Qt::Key_Left, {-1, 0}}, {Qt::Key_Right, {1, 0}}, {Qt::Key_Up, {0, 1}}, {Qt::Key_Down, {0, -1}}};
    const auto way = ways.find(event->key());
    if (way == ways.end() || !(event->modifiers() & Qt::ShiftModifier)) return QWidget::keyPressEvent(event);
    if (event->isAutoRepeat() || moving_ || !machine_.free()) return;
    moving_ = event->key();
    machine_.jog_on(way->second);
}

void MachineRail::keyReleaseEvent(QKeyEvent* event) {
    const bool ends = event->key() == moving_ || event->key() == Qt::Key_Shift;
    if (!event->isAutoRepeat() && moving_ && ends) end_moving();
    QWidget::keyReleaseEvent(event);
}

/// Keys let go elsewhere are never heard of: what loses the keys stops the head.
void MachineRail::focusOutEvent(QFocusEvent* event) {
    if (moving_) end_moving();
    QWidget::focusOutEvent(event);
}

void MachineRail::end_moving() {
    moving_ = 0;
    machine_.cancel_jog();
}

}  // namespace chalkline::app
