// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QStringList>

namespace chalkline::app {

/// The jobs opened and saved last, newest first. Those that are gone are passed over.
QStringList recent_jobs();
void note_recent_job(const QString& path);

}  // namespace chalkline::app
