// SPDX-License-Identifier: GPL-3.0-or-later
#include "line/chalk_line.hpp"

#include <QButtonGroup>
#include <QHBoxLayout>
#include <QPainter>

namespace chalkline::app {

LineMark::LineMark(Mark mark, const theme::Roles& roles, QWidget* parent)
    : QAbstractButton(parent), mark_(mark), roles_(roles) {
    setCheckable(true);
    setAutoExclusive(true);  // one of six, and told as that
    setText(name(mark));
    setAccessibleName(name(mark));
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
}

void LineMark::show_fact(const MarkFact& fact) {
    if (fact == fact_) return;
    fact_ = fact;
    const char* states[] = {QT_TR_NOOP("not yet"), QT_TR_NOOP("done"), QT_TR_NOOP("needs attention")};
    setAccessibleDescription(tr(states[static_cast<int>(fact.state)]) + ". " + fact.fact);
    setToolTip(fact.fact);
    update();
}

void LineMark::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setLayoutDirection(Qt::LeftToRight);
    painter.setRenderHint(QPainter::Antialiasing);
    const QPointF dot(dot_centre, line_height);
    constexpr double radius = 8.5;
    if (fact_.state == MarkState::not_yet) {
        painter.setPen(QPen(roles_.control, 1.6));
        painter.setBrush(roles_.paper);
        painter.drawEllipse(dot, radius - 0.8, radius - 0.8);
    } else {
        painter.setPen(Qt::NoPen);
        painter.setBrush(fact_.state == MarkState::done ? roles_.accent : roles_.attention);
        painter.drawEllipse(dot, radius, radius);
        painter.setPen(QPen(roles_.accent_text, 1.7, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
        if (fact_.state == MarkState::done) {
            painter.drawPolyline(
                QPolygonF({dot + QPointF(-3.6, 0.2), dot + QPointF(-1, 2.9), dot + QPointF(3.8, -2.8)}));
        } else {
            painter.drawLine(dot + QPointF(0, -4), dot + QPointF(0, 0.8));
            painter.drawPoint(dot + QPointF(0, 4));
        }
    }
    // The name sits on the line, on a patch of paper.
    painter.setFont(theme::font(theme::normal, QFont::DemiBold));
    const int width = painter.fontMetrics().horizontalAdvance(text());
    const QRect label(dot_centre + 16, line_height - 19, width + 12, 18);
    painter.fillRect(label.adjusted(0, 0, 0, 8), roles_.paper);
    painter.setPen(isChecked() ? roles_.accent : roles_.text);
    painter.drawText(label.adjusted(6, 0, 0, 8), Qt::AlignVCenter, text());
    if (isChecked()) painter.fillRect(QRect(label.left() + 6, line_height + 8, width, 2), roles_.accent);

    painter.setFont(theme::font(theme::tiny));
    painter.setPen(fact_.state == MarkState::attention ? roles_.attention_text : roles_.quiet);
    const QRect line(dot_centre - 8, line_height + 14, this->width() - dot_centre, 16);
    painter.drawText(line, Qt::AlignVCenter,
                     painter.fontMetrics().elidedText(fact_.fact, Qt::ElideRight, line.width()));
    if (hasFocus()) {
        painter.setPen(QPen(roles_.accent, 1.5, Qt::DotLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRoundedRect(QRectF(rect()).adjusted(9, 3, -4, -2), 5, 5);
    }
}

ChalkLine::ChalkLine(const theme::Roles& roles, QWidget* parent) : QWidget(parent), roles_(roles) {
    setAccessibleName(tr("The line: what is left to do"));
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(0);
    auto* group = new QButtonGroup(this);
    for (int i = 0; i < mark_count; ++i) {
        auto* mark = new LineMark(static_cast<Mark>(i), roles, this);
        marks_[static_cast<std::size_t>(i)] = mark;
        group->addButton(mark, i);
        layout->addWidget(mark, 1);
    }
    setLayoutDirection(Qt::LeftToRight);  // the line is drawn, and done, from left to right
    setFixedHeight(64);
    connect(group, &QButtonGroup::idClicked, this, [this](int id) { Q_EMIT chose(static_cast<Mark>(id)); });
    choose(Mark::art);
}

void ChalkLine::show_facts(const LineFacts& facts) {
    for (std::size_t i = 0; i < facts.size(); ++i)
        marks_[i]->show_fact(facts[i]);
    update();
}

void ChalkLine::choose(Mark mark) {
    marks_[static_cast<std::size_t>(mark)]->setChecked(true);
}

Mark ChalkLine::chosen() const {
    for (int i = 0; i < mark_count; ++i)
        if (marks_[static_cast<std::size_t>(i)]->isChecked()) return static_cast<Mark>(i);
    return Mark::art;
}

/// The line itself: drawn firm as far as everything before is done.
void ChalkLine::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setLayoutDirection(Qt::LeftToRight);
    painter.fillRect(rect(), roles_.paper);
    painter.fillRect(QRect(0, height() - 1, width(), 1), roles_.hairline);
    painter.setRenderHint(QPainter::Antialiasing);
    int reached = LineMark::dot_centre;
    for (const LineMark* mark : marks_) {
        reached = mark->x() + LineMark::dot_centre;
        if (mark->fact().state != MarkState::done) break;
    }
    const int first = LineMark::dot_centre, y = LineMark::line_height;
    painter.setPen(QPen(roles_.hairline, 2));
    painter.drawLine(first, y, width() - 18, y);
    painter.setPen(QPen(roles_.accent, 2));
    painter.drawLine(first, y, reached, y);
}

}  // namespace chalkline::app
