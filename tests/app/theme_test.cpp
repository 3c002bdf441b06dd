// SPDX-License-Identifier: GPL-3.0-or-later
#include "theme/theme.hpp"

#include <catch2/catch.hpp>

#include <QDirIterator>
#include <QFile>
#include <QRegularExpression>
#include <cmath>

using namespace chalkline::app;

namespace {

/// Relative luminance and contrast after WCAG 2.1.
double luminance(const QColor& c) {
    const auto part = [](double v) { return v <= 0.03928 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4); };
    return 0.2126 * part(c.redF()) + 0.7152 * part(c.greenF()) + 0.0722 * part(c.blueF());
}
double contrast(const QColor& a, const QColor& b) {
    const double x = luminance(a), y = luminance(b);
    return (std::max(x, y) + 0.05) / (std::min(x, y) + 0.05);
}

}  // namespace

TEST_CASE("text can be read on what it stands on, borders can be seen") {
    for (const auto& r : {theme::light(), theme::evening()}) {
        CAPTURE(r.paper.name().toStdString());
        for (const QColor& paper : {r.paper, r.card}) {
            CHECK(contrast(r.text, paper) >= 4.5);
            CHECK(contrast(r.quiet, paper) >= 4.5);
            CHECK(contrast(r.accent, paper) >= 4.5);
            CHECK(contrast(r.attention_text, paper) >= 4.5);
            CHECK(contrast(r.control, paper) >= 3);
        }
        CHECK(contrast(r.text, r.accent_soft) >= 4.5);
        CHECK(contrast(r.quiet, r.bench) >= 4.5);
        CHECK(contrast(r.quiet, r.bed) >= 4.5);
        CHECK(contrast(r.rail_text, r.rail) >= 4.5);
        CHECK(contrast(r.rail_quiet, r.rail) >= 4.5);
        CHECK(contrast(r.rail_text, r.rail_raised) >= 4.5);
        CHECK(contrast(r.rail_dim, r.rail) >= 3);  // disabled, but still to be read
        CHECK(contrast(r.accent_text, r.accent) >= 4.5);
        CHECK(contrast(r.danger_text, r.danger) >= 4.5);
        CHECK(contrast(r.wire_text, r.wire_paper) >= 4.5);
    }
}

TEST_CASE("burn tones darken step by step") {
    const auto r = theme::light();
    for (std::size_t i = 1; i < r.burn.size(); ++i)
        CHECK(luminance(r.burn[i]) < luminance(r.burn[i - 1]));
    CHECK(r.burn_tone(0) == r.burn.front());
    CHECK(r.burn_tone(1) == r.burn.back());
    CHECK(r.burn_tone(7) == r.burn.back());
}

TEST_CASE("the style sheet leaves no role unnamed, and no widget names a colour") {
    CHECK_FALSE(theme::style_sheet(theme::light()).contains('@'));
    const QRegularExpression colour("\"#[0-9a-fA-F]{3,8}\"|Qt::(red|blue|green|yellow|gray|black)\\b");
    QDirIterator files(CHALKLINE_SOURCE "/app", {"*.cpp", "*.hpp"}, QDir::Files, QDirIterator::Subdirectories);
    int looked_at = 0;
    while (files.hasNext()) {
        QFile file(files.next());
        if (file.fileName().endsWith("theme.cpp")) continue;
        REQUIRE(file.open(QIODevice::ReadOnly));
        INFO(file.fileName().toStdString());
        CHECK_FALSE(colour.match(QString::fromUtf8(file.readAll())).hasMatch());
        ++looked_at;
    }
    CHECK(looked_at > 20);
}
