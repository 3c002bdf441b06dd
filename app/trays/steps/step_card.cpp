// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/steps/step_card.hpp"

#include "recipes/dose_marks.hpp"

#include <chalkline/wording/wording.hpp>

#include <QApplication>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QVBoxLayout>
#include <algorithm>

namespace chalkline::app {
namespace {

constexpr int head_height = 52;  // px

QString number(double value, int decimals) {
    return QString::fromStdString(format_number(value, decimals));
}

}  // namespace

StepCard::StepCard(const job::Step& step, int number, const TrayContext& context, QWidget* parent)
    : QWidget(parent), step_(step), number_(number), context_(context) {
    setLayoutDirection(Qt::LeftToRight);  // what is painted beside its widgets stands where it is painted
    setFocusPolicy(Qt::StrongFocus);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(20, head_height + 2, 12, 10);
    all->setSpacing(0);
    warning_ = make_label({}, Tone::attention, this);
    warning_->hide();
    all->addWidget(warning_);
    setMinimumHeight(head_height + 10);
    show_step(step, number);
}

/// The fields come when the card is first opened: a run sheet of hundreds of steps opens at once.
void StepCard::build_fields() {
    fields_ = new QWidget(this);
    auto* grid = new QGridLayout(fields_);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(8);
    power_ = make_power_field(tr("Power"), fields_);
    speed_ = make_speed_field(tr("Speed"), context_.machine.profile().top_speed(), fields_);
    passes_ = make_count_field(tr("Passes"), fields_);
    const auto put = [&](int row, int column, const QString& name, QWidget* field) {
        grid->addWidget(make_label(name, Tone::quiet, fields_), row, column);
        grid->addWidget(field, row, column + 1);
    };
    pad_ = new DosePad(context_.roles, fields_);
    grid->addWidget(pad_, 0, 0, 1, 4);
    put(1, 0, tr("Power"), power_);
    put(1, 2, tr("Speed"), speed_);
    put(2, 0, tr("Passes"), passes_);
    if (steps::burns_area(step_.settings.kind)) {
        pitch_ = make_length_field(tr("Line pitch"), fields_);
        put(2, 2, tr("Pitch"), pitch_);
    }
    air_ = new QCheckBox(tr("Air assist"), fields_);
    odd_ = make_label({}, Tone::attention, fields_);
    grid->addWidget(odd_, 3, 0, 1, 4);
    dose_ = make_label({}, Tone::quiet, fields_);
    dots_ = make_label({}, Tone::quiet, fields_);
    dots_->hide();
    auto* facts = new QVBoxLayout;
    facts->setSpacing(2);
    facts->addWidget(dose_);
    facts->addWidget(dots_);
    grid->addLayout(facts, 4, 0, 1, 4);
    grid->addWidget(air_, 5, 0, 1, 2);
    on_ = new QCheckBox(tr("Burn this step"), fields_);
    grid->addWidget(on_, 5, 2, 1, 2);
    details_ = new StepDetails(step_.settings.kind, context_, fields_);
    grid->addWidget(details_, 6, 0, 1, 4);
    note_ = new QLineEdit(fields_);
    note_->setPlaceholderText(tr("Note"));
    note_->setAccessibleName(tr("Note on the step"));
    note_->setMaxLength(300);
    grid->addWidget(note_, 7, 0, 1, 4);
    build_links(grid, 8);
    power_->setFixedWidth(76);
    passes_->setFixedWidth(76);
    grid->setColumnStretch(3, 1);
    layout()->addWidget(fields_);

    using steps::StepSettings;
    add_field("power", power_, [](StepSettings& s, double v) { s.power = Power::percent(v); });
    add_field("speed", speed_, [](StepSettings& s, double v) { s.speed = Speed::mm_per_min(v); });
    add_field("passes", passes_, [](StepSettings& s, double v) { s.passes = static_cast<int>(v); });
    if (pitch_) add_field("line_pitch_mm", pitch_, [](StepSettings& s, double v) { s.line_pitch = Length::mm(v); });
    connect(air_, &QCheckBox::clicked, this,
            [this](bool on) { Q_EMIT changed([on](StepSettings& s) { s.air = on; }); });
    connect(details_, &StepDetails::changed, this, [this](const SettingChange& change) { Q_EMIT changed(change); });
    connect(pad_, &DosePad::chosen, this, [this](Power power, Speed speed, bool going_on) {
        const auto set = [power, speed](StepSettings& s) {
            s.power = power;
            s.speed = speed;
            if (s.low_power) s.low_power = std::min(*s.low_power, power);
        };
        // All of one drag is one change; a key press or a click on a mark is one by itself.
        Q_EMIT changed(set, MergeKey{Gesture::drag_dose, id()});
        if (!going_on) context_.document.end_merge();
    });
    connect(speed_, &QLineEdit::textEdited, this, [this](const QString& text) {
        const auto speed = parse_speed(text.toStdString(), SpeedUnit::mm_per_min);
        if (speed && wish()) odd_->setText(unlike_evidence(context_.recipes, *wish(), *speed));
        odd_->setVisible(!odd_->text().isEmpty());
    });
    connect(on_, &QCheckBox::clicked, this, &StepCard::turned);
    connect(note_, &QLineEdit::editingFinished, this, [this] {
        if (note_->isModified()) Q_EMIT noted(note_->text().trimmed());
        note_->setModified(false);
    });
}

void StepCard::build_links(QGridLayout* grid, int row) {
    auto* links = new QHBoxLayout;
    links->setSpacing(4);
    const auto add = [&](const QString& text, const QString& name, void (StepCard::*wanted)()) {
        auto* button = make_button(text, ButtonLook::link, fields_);
        button->setAccessibleName(name);
        connect(button, &QPushButton::clicked, this, wanted);
        links->addWidget(button);
    };
    add(tr("Take from recipes…"), tr("Take from recipes"), &StepCard::take_wanted);
    add(tr("Keep as recipe…"), tr("Keep as recipe"), &StepCard::keep_wanted);
    links->addStretch(1);
    add(tr("Remove"), tr("Remove step"), &StepCard::remove_wanted);
    grid->addLayout(links, row, 0, 1, 4);
}

std::optional<recipes::Wish> StepCard::wish() const {
    const auto& stock = context_.document.job().stock;
    if (!stock) return {};
    return context_.recipes.wish_for(*stock, step_.settings.kind);
}

void StepCard::show_dose() {
    const auto& s = step_.settings;
    const auto& machine = context_.machine.profile();
    pad_->show_settings(s, machine.beam, machine.top_speed());
    pad_->set_marks(wish() ? dose_marks(context_.recipes, *wish()) : std::vector<DoseMark>());
    // What is wrong with a value that was taken stands with the step's other warnings.
    odd_->clear();
    odd_->hide();
    const double dose = steps::dose(s, machine.beam);
    QString text = tr("%1 mJ/mm each pass").arg(app::number(dose, dose < 10 ? 1 : 0));
    if (pitch_)
        text +=
            tr(" · %1 J/mm² · %2 dots/in")
                .arg(app::number(steps::area_dose(s, machine.beam) / 1000, 2), app::number(s.line_pitch.per_inch(), 0));
    dose_->setText(text);
}

void StepCard::add_field(const char* key, ValueField* field, void (*set)(steps::StepSettings&, double)) {
    connect(field, &ValueField::committed, this, [this, key, field, set](double value) {
        const QString words = field->typed();
        Q_EMIT changed([set, value](steps::StepSettings& s) { set(s, value); });
        Q_EMIT typed(key, words);
    });
}

void StepCard::show_step(const job::Step& step, int number) {
    step_ = step;
    number_ = number;
    if (fields_) show_fields();
    setAccessibleName(tr("Step %1, %2").arg(number).arg(wording::name(step.settings.kind)));
    say_again(*this);
    update();
}

void StepCard::show_fields() {
    const auto& s = step_.settings;
    const auto typed = [&](const char* key) {
        const auto found = step_.typed.find(key);
        return found == step_.typed.end() ? QString() : QString::fromStdString(found->second);
    };
    power_->show_typed(s.power.percent(), typed("power"));
    speed_->show_typed(s.speed.mm_per_min(), typed("speed"));
    passes_->show_value(s.passes);
    if (pitch_) pitch_->show_typed(s.line_pitch.mm(), typed("line_pitch_mm"));
    air_->setChecked(s.air);
    on_->setChecked(step_.on);
    if (!note_->hasFocus()) note_->setText(QString::fromStdString(step_.note));
    details_->show_settings(s);
    dots_->setText(dots_text_);
    dots_->setVisible(!dots_text_.isEmpty());
    show_dose();
}

void StepCard::show_time(std::optional<Duration> time) {
    time_ = time ? wording::duration(*time) : QString();
    update();
}

void StepCard::show_dots(const QString& dots) {
    dots_text_ = dots;
    if (!fields_) return;
    dots_->setText(dots);
    dots_->setVisible(!dots.isEmpty());
}

void StepCard::show_warning(const QString& warning) {
    warning_->setText(warning);
    warning_->setVisible(!warning.isEmpty());
    updateGeometry();
}

void StepCard::open(bool opened) {
    opened_ = opened;
    if (opened && !fields_) {
        build_fields();
        show_fields();
    }
    if (fields_) fields_->setVisible(opened);
    setMinimumHeight(opened ? 0 : head_height + 10);
    updateGeometry();
    update();
}

void StepCard::show_chosen(bool chosen) {
    chosen_ = chosen;
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
    if (s.kind == steps::StepKind::picture)
        parts << wording::name(s.picture.dots.method);
    else if (s.kind == steps::StepKind::engrave)
        parts << tr("fill");
    else if (s.line.perforated())
        parts << tr("perforated");
    else
        parts << (s.kind == steps::StepKind::cut ? tr("inside first") : tr("line"));
    if (s.beam == steps::BeamControl::constant) parts << tr("constant beam");
    // Inks say what a step burns; where it has none its note does.
    if (step_.inks.empty() && !step_.note.empty()) parts << QString::fromStdString(step_.note).section(':', 0, 0);
    return parts.join(" · ");
}

QString StepCard::time_said() const {
    if (!step_.on) return tr("off");
    return context_.document.job().has_work(step_) ? time_ : tr("burns nothing");
}

QString StepCard::spoken_value() const {
    QStringList parts{summary(), time_said(), warning_->text()};
    parts.removeAll(QString());
    return parts.join(". ");
}

void StepCard::add_spoken_state(QAccessible::State& state) const {
    state.selectable = true;
    state.selected = chosen_ || opened_;
    state.expandable = true;
    state.expanded = opened_;
    state.collapsed = !opened_;
}

void StepCard::paintEvent(QPaintEvent*) {
    const auto& roles = context_.roles;
    QPainter painter(this);
    painter.setLayoutDirection(Qt::LeftToRight);
    painter.setRenderHint(QPainter::Antialiasing);
    const QRectF outline = QRectF(rect()).adjusted(1, 1, -1, -1);
    QPainterPath card;
    card.addRoundedRect(outline, 7, 7);
    painter.fillPath(card, lit_ ? roles.accent_soft : roles.card);
    painter.save();
    painter.setClipPath(card);
    painter.fillRect(QRectF(1, 1, 8, height() - 2), tone_of(step_.settings, context_.machine.profile(), roles));
    painter.restore();
    const bool strong = opened_ || lit_ || chosen_ || hasFocus();
    painter.setPen(QPen(strong ? roles.accent : roles.hairline, strong ? 2 : 1));
    painter.setBrush(Qt::NoBrush);
    painter.drawPath(card);
    if (hasFocus()) {
        painter.setPen(QPen(roles.accent, 1.5, Qt::DotLine));
        painter.drawRoundedRect(QRectF(12, 4, width() - 17, head_height - 4), 4, 4);
    }

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
    const bool idle = !step_.on || !context_.document.job().has_work(step_);
    painter.setPen(idle ? roles.quiet : roles.text);
    painter.drawText(QRect(x + 4, 8, width() - x - 20, 20), Qt::AlignVCenter, wording::name(step_.settings.kind));
    painter.setFont(theme::font(theme::normal));
    painter.setPen(roles.quiet);
    painter.drawText(QRect(width() - 142, 8, 130, 20), Qt::AlignVCenter | Qt::AlignRight, time_said());
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
        Q_EMIT chosen(event->modifiers() & Qt::ControlModifier);
}

void StepCard::keyPressEvent(QKeyEvent* event) {
    const bool alt = event->modifiers() & Qt::AltModifier;
    if (alt && event->key() == Qt::Key_Up) return Q_EMIT move_wanted(-1);
    if (alt && event->key() == Qt::Key_Down) return Q_EMIT move_wanted(1);
    // A Return that ended typing in a field comes by here too, and is not meant for the card.
    if (!hasFocus()) return QWidget::keyPressEvent(event);
    if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Space)
        return Q_EMIT chosen(event->modifiers() & Qt::ControlModifier);
    if (event->key() == Qt::Key_Delete) return Q_EMIT remove_wanted();
    QWidget::keyPressEvent(event);
}

}  // namespace chalkline::app
