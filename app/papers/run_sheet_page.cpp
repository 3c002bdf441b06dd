// SPDX-License-Identifier: GPL-3.0-or-later
#include "papers/run_sheet_page.hpp"

#include "theme/theme.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/wording/wording.hpp>

#include <QBuffer>
#include <QCoreApplication>
#include <QDate>
#include <QLocale>
#include <QPainter>
#include <QPdfWriter>

namespace chalkline::app {
namespace {

constexpr int dpi = 150;
constexpr double mm = dpi / 25.4;  // px

QString worded(const char* text) {
    return QCoreApplication::translate("run_sheet", text);
}

QString length(double value) {
    return QString::fromStdString(format_length(Length::mm(value), LengthUnit::mm));
}

/// Writes down the page; what does not fit any more is left out and said so.
class Page {
 public:
    explicit Page(QPdfWriter& writer)
        : painter_(&writer), roles_(theme::light()), width_(writer.width()), height_(writer.height()) {}

    void heading(const QString& left, const QString& right) {
        text(0, width_ * 0.68, 10 * mm, left, 17, QFont::DemiBold);
        text(width_ * 0.68, width_ * 0.32, 10 * mm, right, 10, QFont::Normal, Qt::AlignRight);
        y_ += 11 * mm;
        rule();
    }
    void picture(const QImage& image) {
        if (image.isNull()) return;
        const double high = 92 * mm;
        const QSizeF size = QSizeF(image.size()).scaled(width_, high, Qt::KeepAspectRatio);
        painter_.drawImage(QRectF({(width_ - size.width()) / 2, y_}, size), image);
        y_ += size.height() + 4 * mm;
    }
    void fact(const QString& name, const QString& value) {
        const double high = std::max(5.5 * mm, needed(value, width_ - 34 * mm));
        if (full(high)) return;
        text(0, 32 * mm, 5.5 * mm, name, 9, QFont::Normal);
        block(34 * mm, width_ - 34 * mm, high, value, 10, QFont::Normal);
        y_ += high + 0.8 * mm;
    }
    /// One line of a table; `shares` of the width.
    void row(const QStringList& cells, const QList<double>& shares, QFont::Weight weight) {
        if (full(6.5 * mm)) return;
        double x = 0;
        for (int i = 0; i < cells.size(); ++i) {
            text(x, width_ * shares[i], 6.5 * mm, cells[i], 10, weight, i == 0 ? Qt::AlignLeft : Qt::AlignRight);
            x += width_ * shares[i];
        }
        y_ += 6.5 * mm;
    }
    void rule() {
        painter_.setPen(QPen(roles_.hairline, 2));
        painter_.drawLine(QPointF(0, y_), QPointF(width_, y_));
        y_ += 3 * mm;
    }
    void space(double millimetres) { y_ += millimetres * mm; }

 private:
    bool full(double more) const { return y_ + more > height_; }
    double needed(const QString& value, double wide) {
        painter_.setFont(font(10, QFont::Normal));
        return painter_.boundingRect(QRectF(0, 0, wide, height_), Qt::TextWordWrap, value).height();
    }
    static QFont font(int points, QFont::Weight weight) {
        QFont f = theme::font(theme::normal, weight);
        f.setPointSizeF(points);
        return f;
    }
    void text(double x, double wide, double high, const QString& what, int points, QFont::Weight weight,
              Qt::Alignment side = Qt::AlignLeft) {
        painter_.setFont(font(points, weight));
        painter_.setPen(roles_.text);
        painter_.drawText(QRectF(x, y_, wide, high), side | Qt::AlignVCenter,
                          painter_.fontMetrics().elidedText(what, Qt::ElideRight, static_cast<int>(wide)));
    }
    void block(double x, double wide, double high, const QString& what, int points, QFont::Weight weight) {
        painter_.setFont(font(points, weight));
        painter_.setPen(roles_.text);
        painter_.drawText(QRectF(x, y_, wide, high), Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, what);
    }

    QPainter painter_;
    theme::Roles roles_;
    double width_, height_;
    double y_ = 0;
};

void write_ground(Page& page, const RunSheet& sheet) {
    page.fact(worded("Machine"), QString::fromStdString(sheet.machine.name));
    if (const auto& stock = sheet.job.stock)
        page.fact(worded("Piece"), QString("%1 %2 · %3 × %4")
                                       .arg(QString::fromStdString(stock->material), length(stock->thickness.mm()),
                                            length(stock->width), length(stock->height)));
    if (const auto datum = job::datum_place(sheet.job))
        page.fact(worded("Datum"), worded("%1, %2 mm on the bed").arg(datum->x, 0, 'f', 1).arg(datum->y, 0, 'f', 1));
    const auto& box = sheet.plan->burn_box;
    page.fact(worded("Burned"), worded("%1 × %2, from %3, %4 mm")
                                    .arg(length(box.width()), length(box.height()))
                                    .arg(box.left, 0, 'f', 1)
                                    .arg(box.bottom, 0, 'f', 1));
    page.fact(
        worded("Time"),
        worded("about %1").arg(wording::duration(Duration::seconds(sheet.plan->total.seconds() * sheet.time_factor))));
}

void write_steps(Page& page, const RunSheet& sheet) {
    const QList<double> shares{0.3, 0.12, 0.18, 0.1, 0.14, 0.16};
    page.row({worded("Step"), worded("power"), worded("speed"), worded("passes"), worded("pitch"), worded("time")},
             shares, QFont::DemiBold);
    int number = 0;
    for (const auto& report : sheet.plan->steps) {
        const job::Step* step = sheet.job.step(report.step);
        if (!step) continue;
        const auto& s = step->settings;
        const bool rows = s.kind == steps::StepKind::engrave || s.kind == steps::StepKind::picture;
        page.row({QString("%1 %2%3").arg(++number).arg(wording::name(s.kind), s.air ? worded(", air") : QString()),
                  QString("%1 %").arg(s.power.percent()), QString("%1 mm/min").arg(s.speed.mm_per_min()),
                  QString::number(s.passes), rows ? length(s.line_pitch.mm()) : QString(),
                  wording::duration(Duration::seconds(report.time.seconds() * sheet.time_factor))},
                 shares, QFont::Normal);
        if (!step->note.empty()) page.fact({}, QString::fromStdString(step->note));
    }
}

}  // namespace

Result<void> write_run_sheet(const RunSheet& sheet, const QString& path) {
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    {
        QPdfWriter writer(&buffer);
        writer.setResolution(dpi);
        writer.setPageSize(QPageSize(QPageSize::A4));
        writer.setPageMargins({16, 14, 16, 14}, QPageLayout::Millimeter);
        writer.setTitle(sheet.title);
        writer.setCreator("Chalkline");
        Page page(writer);
        page.heading(sheet.title, QLocale().toString(QDate::currentDate(), QLocale::LongFormat));
        page.picture(sheet.picture);
        write_ground(page, sheet);
        page.space(2);
        page.rule();
        write_steps(page, sheet);
        page.space(2);
        page.rule();
        QStringList open;
        for (const auto& check : sheet.checks)
            open << wording::describe(check).what;
        page.fact(worded("Checks"), open.isEmpty() ? worded("all pass") : open.join("; "));
        QStringList asked;
        for (const std::string& line : sheet.machine.checklist)
            asked << "☐ " + QString::fromStdString(line);
        page.fact(worded("Before"), asked.join("   "));
    }
    return replace_file(path.toStdString(),
                        std::string_view(bytes.constData(), static_cast<std::size_t>(bytes.size())));
}

}  // namespace chalkline::app
