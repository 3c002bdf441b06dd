// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/step_card.hpp"

#include <chalkline/wording/wording.hpp>

#include <QApplication>
#include <QGridLayout>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QVBoxLayout>

namespace chalkline::app {
namespace {

constexpr int head_height = 52;  // px

QString number(double value, int decimals) {
    return QString::fromStdString(format_number(value, decimals));
}

}  // namespace

StepCard::StepCard(const job::Step& step, int number, const TrayContext& context, QWidget* parent)
    : QWidget(parent), step_(step), number_(number), context_(context) {
    setFocusPolicy(Qt::StrongFocus);
    build_fields();
    show_step(step, number);
}

void StepCard::build_fields() {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(20, head_height + 2, 12, 10);
    all->setSpacing(0);
    fields_ = new QWidget(this);
    auto* grid = new QGridLayout(fields_);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(8);
    power_ = make_power_field(tr("Power"), fields_);
    speed_ = make_speed_field(tr("Speed"), fields_);
    passes_ = make_count_field(tr("Passes"), fields_);
    const auto put = [&](int row, int column, const QString& name, QWidget* field) {
        grid->addWidget(make_label(name, Tone::quiet, fields_), row, column);
        grid->addWidget(field, row, column + 1);
    };
    put(0, 0, tr("Power"), power_);
    put(0, 2, tr("Speed"), speed_);
    put(1, 0, tr("Passes"), passes_);
    if (step_.settings.kind == steps::StepKind::engrave) {
        pitch_ = make_length_field(tr("Line pitch"), fields_);
        put(1, 2, tr("Pitch"), pitch_);
    }
    air_ = new QCheckBox(tr("Air assist"), fields_);
    grid->addWidget(air_, 2, 0, 1, 2);
    auto* remove = make_button(tr("Remove step"), ButtonLook::link, fields_);
    grid->addWidget(remove, 2, 2, 1, 2, Qt::AlignRight);
    dose_ = make_label({}, Tone::quiet, fields_);
    grid->addWidget(dose_, 3, 0, 1, 4);
    power_->setFixedWidth(76);
    passes_->setFixedWidth(76);
    grid->setColumnStretch(3, 1);
    all->addWidget(fields_);
    fields_->hide();

    for (ValueField* field : {power_, speed_, passes_, pitch_})
        if (field) connect(field, &ValueField::committed, this, &StepCard::commit);
    connect(air_, &QCheckBox::clicked, this, &StepCard::commit);
    connect(remove, &QPushButton::clicked, this, &StepCard::remove_wanted);
}

void StepCard::show_step(const job::Step& step, int number) {
    step_ = step;
    number_ = number;
    const auto& s = step.settings;
    power_->show_value(s.power.percent());
    speed_->show_value(s.speed.mm_per_min());
    passes_->show_value(s.passes);
    if (pitch_) pitch_->show_value(s.line_pitch.mm());
    air_->setChecked(s.air);
    const double dose = steps::dose(s, context_.machine.profile().watts);
    QString text = tr("%1 mJ/mm each pass").arg(app::number(dose, dose < 10 ? 1 : 0));
    if (pitch_)
        text += tr(" · %1 J/mm² · %2 dots/in")
                    .arg(app::number(dose / s.line_pitch.mm() / 1000, 2), app::number(s.line_pitch.per_inch(), 0));
    dose_->setText(text);
    setAccessibleName(tr("Step %1, %2").arg(number).arg(wording::name(s.kind)));
    setAccessibleDescription(summary());
    update();
}

void StepCard::show_time(std::optional<Duration> time) {
    time_ = time ? wording::duration(*time) : QString();
    update();
}

void StepCard::open(bool opened) {
    opened_ = opened;
    fields_->setVisible(opened);
    setMinimumHeight(opened ? 0 : head_height + 10);
    updateGeometry();
    update();
}

void StepCard::light(bool on) {
    if (lit_ == on) return;
    lit_ = on;
    update();
}

QString StepCard::summary() const {
    const auto& s = step_.settings;
    QStringList parts{QString::fromStdString(format_power(s.power)),
                      QString::fromStdString(format_speed(s.speed, SpeedUnit::mm_per_min))};
    if (s.passes > 1) parts << tr("%1 passes").arg(s.passes);
    parts << (s.kind == steps::StepKind::engrave ? tr("fill")
              : s.kind == steps::StepKind::cut   ? tr("inside first")
                                                 : tr("line"));
    return parts.join(" · ");
}

void StepCard::commit() {
    auto settings = step_.settings;
    settings.power = Power::percent(power_->value());
    settings.speed = Speed::mm_per_min(speed_->value());
    settings.passes = static_cast<int>(passes_->value());
    if (pitch_) settings.line_pitch = Length::mm(pitch_->value());
    settings.air = air_->isChecked();
    if (!(settings == step_.settings)) Q_EMIT settings_typed(settings);
}

void StepCard::paintEvent(QPaintEvent*) {
    const auto& roles = context_.roles;
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const QRectF outline = QRectF(rect()).adjusted(1, 1, -1, -1);
    QPainterPath card;
    card.addRoundedRect(outline, 7, 7);
    painter.fillPath(card, lit_ ? roles.accent_soft : roles.card);
    painter.save();
    painter.setClipPath(card);
    painter.fillRect(QRectF(1, 1, 8, height() - 2), tone_of(step_.settings, context_.machine.profile(), roles));
    painter.restore();
    const bool strong = opened_ || lit_ || hasFocus();
    painter.setPen(QPen(strong ? roles.accent : roles.hairline, strong ? 2 : 1));
    painter.setBrush(Qt::NoBrush);
    painter.drawPath(card);

    painter.setFont(theme::font(theme::normal, QFont::DemiBold));
    painter.setPen(roles.quiet);
    painter.drawText(QRect(20, 8, 20, 20), Qt::AlignVCenter, QString::number(number_));
    int x = 38;
    for (const Ink& ink : step_.inks) {
        if (x > width() / 2) break;
        painter.setPen(QPen(roles.control, 0.8));
        painter.setBrush(QColor(ink.rgb.red, ink.rgb.green, ink.rgb.blue));
        painter.drawRoundedRect(QRectF(x, 12, 12, 12), 3, 3);
        x += 16;
    }
    const bool idle = !context_.document.job().has_work(step_);
    painter.setPen(idle ? roles.quiet : roles.text);
    painter.drawText(QRect(x + 4, 8, width() - x - 20, 20), Qt::AlignVCenter, wording::name(step_.settings.kind));
    painter.setFont(theme::font(theme::normal));
    painter.setPen(roles.quiet);
    painter.drawText(QRect(width() - 142, 8, 130, 20), Qt::AlignVCenter | Qt::AlignRight,
                     idle ? tr("burns nothing") : time_);
    painter.setFont(theme::font(theme::small));
    painter.drawText(QRect(38, 29, width() - 50, 18), Qt::AlignVCenter, summary());
}

void StepCard::mousePressEvent(QMouseEvent* event) {
    pressed_ = event->pos();
    dragging_ = false;
}

void StepCard::mouseMoveEvent(QMouseEvent* event) {
    if (!(event->buttons() & Qt::LeftButton)) return;
    if ((event->pos() - pressed_).manhattanLength() >= QApplication::startDragDistance()) {
        dragging_ = true;
        setCursor(Qt::ClosedHandCursor);
    }
}

void StepCard::mouseReleaseEvent(QMouseEvent* event) {
    unsetCursor();
    if (std::exchange(dragging_, false))
        Q_EMIT dropped(event->globalPosition().toPoint());
    else
        Q_EMIT chosen();
}

void StepCard::keyPressEvent(QKeyEvent* event) {
    const bool alt = event->modifiers() & Qt::AltModifier;
    if (alt && event->key() == Qt::Key_Up) return Q_EMIT move_wanted(-1);
    if (alt && event->key() == Qt::Key_Down) return Q_EMIT move_wanted(1);
    if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Space) return Q_EMIT chosen();
    if (event->key() == Qt::Key_Delete) return Q_EMIT remove_wanted();
    QWidget::keyPressEvent(event);
}

}  // namespace chalkline::app
