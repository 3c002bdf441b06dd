// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/book_print.hpp"

#include "recipes/dose_marks.hpp"
#include "swatches/card_picture.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/wording/swatch_words.hpp>

#include <QBuffer>
#include <QCoreApplication>
#include <QPdfWriter>

namespace chalkline::app {
namespace {

constexpr int dpi = 150;
constexpr double pixels_a_mm = dpi / 25.4;
constexpr double block = 58 * pixels_a_mm, picture = 52 * pixels_a_mm, line = 5.5 * pixels_a_mm;

QString worded(const char* text) {
    return QCoreApplication::translate("book_print", text);
}

/// What was found, a line for every swatch somebody judged, the good ones first.
QStringList findings(const swatches::CardRecord& record, const steps::Beam& beam) {
    QStringList good, other;
    if (record.burns.empty()) return {worded("not burned yet")};
    const swatches::Layout layout = swatches::layout_of(record.card, beam);
    for (const auto& result : record.burns.back().results) {
        const swatches::Cell* cell = layout.at(result.place);
        if (!cell || result.verdict == swatches::Verdict::none) continue;
        QString text = settings_in_short(cell->settings) + ": " + wording::name(result.verdict).toLower();
        for (const std::string& more : {result.words, result.note})
            if (!more.empty()) text += ", " + QString::fromStdString(more);
        (swatches::is_good(result.verdict) ? good : other) << text;
    }
    return good + other;
}

}  // namespace

Result<void> write_card_book(const QString& file, const std::vector<swatches::CardRecord>& cards,
                             const steps::Beam& beam) {
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    {
        QPdfWriter pages(&buffer);
        pages.setResolution(dpi);
        pages.setPageSize(QPageSize(QPageSize::A4));
        pages.setPageMargins(QMarginsF(15, 15, 15, 15), QPageLayout::Millimeter);
        pages.setTitle(worded("Swatch book"));
        QPainter painter(&pages);
        const theme::Roles roles = theme::light();
        const double width = pages.width(), left = picture + 6 * pixels_a_mm;
        const auto write = [&](double y, const QString& text, int points, QFont::Weight weight) {
            QFont font = theme::font(theme::normal, weight);
            font.setPointSize(points);
            painter.setFont(font);
            painter.setPen(roles.text);
            painter.drawText(QRectF(left, y, width - left, line * 1.4), Qt::AlignLeft | Qt::AlignVCenter,
                             painter.fontMetrics().elidedText(text, Qt::ElideRight, static_cast<int>(width - left)));
        };
        double y = 0;
        for (const auto& record : cards) {
            if (y + block > pages.height()) {
                pages.newPage();
                y = 0;
            }
            draw_small(painter, QRectF(0, y, picture, picture), record, beam, roles);
            const auto& card = record.card;
            write(y, QString::fromStdString(card.name.empty() ? swatches::title_of(card) : card.name), 12,
                  QFont::DemiBold);
            write(y + line * 1.4, wording::describe(card) + " · " + QString::fromStdString(card.code), 9,
                  QFont::Normal);
            double at = y + line * 3;
            for (const QString& finding : findings(record, beam)) {
                if (at + line > y + picture) break;
                write(at, finding, 9, QFont::Normal);
                at += line;
            }
            y += block;
        }
    }
    return replace_file(file.toStdString(), {bytes.constData(), static_cast<std::size_t>(bytes.size())});
}

}  // namespace chalkline::app
