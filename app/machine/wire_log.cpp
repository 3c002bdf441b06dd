// SPDX-License-Identifier: GPL-3.0-or-later
#include "machine/wire_log.hpp"

#include "theme/theme.hpp"

#include <QRegularExpression>
#include <QScrollBar>

namespace chalkline::app {
namespace {

/// What a report of the controller says, without the fields it adds in turn.
QString said_by(const QString& line) {
    static const QRegularExpression in_turn("\\|(WCO|Ov|A):[^|>]*");
    return line.startsWith("< <") ? QString(line).remove(in_turn) : QString();
}

}  // namespace

WireLog::WireLog(MachineLink& machine, int most_lines, QWidget* parent)
    : QPlainTextEdit(parent), machine_(machine), most_lines_(most_lines) {
    setObjectName("wireLog");
    setReadOnly(true);
    setAccessibleName(tr("Wire log"));
    setFont(theme::mono(theme::small));
    setMaximumBlockCount(most_lines);
    setLineWrapMode(QPlainTextEdit::NoWrap);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    constexpr int interval = 100;  // ms
    timer_.setSingleShot(true);
    timer_.setInterval(interval);
    // Lines are read from their beginning; what does not fit is cut off.
    connect(horizontalScrollBar(), &QScrollBar::valueChanged, this, [this] { horizontalScrollBar()->setValue(0); });
    connect(&timer_, &QTimer::timeout, this, &WireLog::show_waiting);
    connect(&machine_, &MachineLink::wire, this, &WireLog::take);
    set_filter({});
}

void WireLog::set_filter(const QString& text) {
    filter_ = text;
    waiting_.clear();
    last_said_.clear();
    clear();
    take(machine_.wire_log());
    show_waiting();
}

void WireLog::take(const QStringList& lines) {
    for (const QString& line : lines) {
        // At rest the controller reports the same several times a second: once says it. Who filters wants to see.
        const QString said = filter_.isEmpty() ? said_by(line) : QString();
        const bool same_again = !said.isEmpty() && said == last_said_;
        last_said_ = said;
        if (!same_again && line.contains(filter_, Qt::CaseInsensitive)) waiting_ << line;
    }
    if (waiting_.size() > most_lines_) waiting_ = waiting_.mid(waiting_.size() - most_lines_);
    if (!timer_.isActive()) timer_.start();
}

void WireLog::show_waiting() {
    if (waiting_.isEmpty()) return;
    appendPlainText(waiting_.join('\n'));
    waiting_.clear();
    verticalScrollBar()->setValue(verticalScrollBar()->maximum());
}

}  // namespace chalkline::app
