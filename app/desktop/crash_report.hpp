// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace chalkline::app {

/// Writes a report into the folder when the program ends by a fault: time, version, the signal and the calls that led
/// there. It stays on this computer and is sent nowhere. What the fault would have done still happens afterwards.
/// Once in a program's life.
void write_crash_reports(const QString& folder, const QString& version);

/// The newest report nobody was told of yet; empty: none. Asking again gives none.
QString take_crash_report(const QString& folder);

}  // namespace chalkline::app
