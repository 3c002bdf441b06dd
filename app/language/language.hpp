// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <QTranslator>
#include <vector>

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

/// A language the program speaks.
struct Language {
    QString code;  ///< "de"; empty: as the desktop has it
    QString name;  ///< in that language
};
const std::vector<Language>& languages();

/// The language that was chosen; empty: as the desktop has it.
QString chosen_language();
void choose_language(const QString& code);

/// Speaks the chosen language from here on. Before the first window; does nothing for English. `code`: another one than
/// the chosen.
void speak(const QString& code = chosen_language());

}  // namespace chalkline::app
