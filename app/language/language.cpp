// SPDX-License-Identifier: GPL-3.0-or-later
#include "language/language.hpp"

#include <QCoreApplication>
#include <QLocale>
#include <QSettings>

/// The program's own resources lie in a library: they are not there before somebody asks.
static void load_translations() {
    Q_INIT_RESOURCE(translations);
}

namespace chalkline::app {
namespace {

constexpr const char* one_context = "chalkline";
constexpr const char* key = "language";

}  // namespace

QString Translation::translate(const char*, const char* source, const char*, int n) const {
    return QTranslator::translate(one_context, source, nullptr, n);
}

const std::vector<Language>& languages() {
    static const std::vector<Language> all{{"", {}}, {"en", "English"}, {"de", "Deutsch"}};
    return all;
}

QString chosen_language() {
    return QSettings().value(key).toString();
}

void choose_language(const QString& code) {
    QSettings().setValue(key, code);
}

void speak(const QString& code) {
    const QString wanted = code.isEmpty() ? QLocale::system().name().section('_', 0, 0) : code;
    load_translations();
    auto* translation = new Translation(QCoreApplication::instance());
    if (wanted != "en" && translation->load(":/translations/chalkline_" + wanted + ".qm"))
        QCoreApplication::installTranslator(translation);
    else
        delete translation;
}

}  // namespace chalkline::app
