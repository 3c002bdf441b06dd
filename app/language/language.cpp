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

void speak(const QString& language) {
    load_translations();
    auto* translation = new Translation(QCoreApplication::instance());
    if (translation->load(":/translations/chalkline_" + language.section('_', 0, 0) + ".qm"))
        QCoreApplication::installTranslator(translation);
    else
        delete translation;
}

}  // namespace chalkline::app
