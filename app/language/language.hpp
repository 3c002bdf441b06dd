// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QLocale>
#include <QString>
#include <QTranslator>

namespace chalkline::app {

/// One sentence in English is one sentence in another language, wherever it stands: the whole program is one context of
/// the translation file (translations/).
class Translation : public QTranslator {
    Q_OBJECT
 public:
    using QTranslator::QTranslator;
    QString translate(const char* context, const char* source, const char* disambiguation = nullptr,
                      int n = -1) const override;
};

/// Speaks the language ("de_DE") from here on, the desktop's where none is named. Before the first window; what has no
/// translation stays English.
void speak(const QString& language = QLocale::system().name());

}  // namespace chalkline::app
