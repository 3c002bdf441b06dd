// SPDX-License-Identifier: GPL-3.0-or-later
#include "language/language.hpp"

#include <QCoreApplication>

/// The program's own resources lie in a library: they are not there before somebody asks.
static void load_translations() {
    Q_INIT_RESOURCE(translations);
}

namespace chalkline::app {
namespace {

constexpr const char* one_context = "chalkline";

}  // namespace

QString Translation::translate(const char*, const char* source, const char*, int n) const {
    return QTranslator::translate(one_context, source, nullptr, n);
}

static void take_up(const QString& language) {
    auto* translation = new Translation(QCoreApplication::instance());
    if (translation->load(":/translations/chalkline_" + language + ".qm"))
        QCoreApplication::installTranslator(translation);
    else
        delete translation;
}

void speak(const QString& language) {
    load_translations();
    // English first, for “1 recipe” and “2 recipes”; the language after it is asked before it.
    take_up("en");
    if (const QString own = language.section('_', 0, 0); own != "en") take_up(own);
}

}  // namespace chalkline::app
