// SPDX-License-Identifier: GPL-3.0-or-later
#include "recipes/wall_chart.hpp"

#include "theme/theme.hpp"

#include <chalkline/base/file.hpp>
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
constexpr double pixels_a_mm = dpi / 25.4;
constexpr double row = 7 * pixels_a_mm, group_head = 11 * pixels_a_mm;

QString worded(const char* text) {
    return QCoreApplication::translate("wall_chart", text);
}

/// Writes blocks down the page and turns it when one does not fit.
class Chart {
 public:
    Chart(QPdfWriter& pages, const QString& machine)
        : pages_(pages), painter_(&pages), roles_(theme::light()), width_(pages.width()), height_(pages.height()) {
        title(machine);
    }

    void add(const recipes::MaterialGroup& group) {
        const double needed = group_head + row * static_cast<double>(group.recipes.size()) + 4 * pixels_a_mm;
        if (y_ + needed > height_ && y_ > group_head * 2) {
            pages_.newPage();
            y_ = 0;
        }
        write(0, width_, group_head, group_title(group), 13, QFont::DemiBold);
        y_ += group_head;
        for (const recipes::Recipe& recipe : group.recipes) {
            if (y_ + row > height_) {
                pages_.newPage();
                y_ = 0;
            }
            add_row(recipe);
        }
        y_ += 4 * pixels_a_mm;
    }

 private:
    static QString group_title(const recipes::MaterialGroup& group) {
        return QString::fromStdString(group.material) + ", " +
               QString::fromStdString(format_length(group.thickness, LengthUnit::mm));
    }
    void title(const QString& machine) {
        write(0, width_, group_head, worded("Settings of %1").arg(machine), 17, QFont::DemiBold);
        write(width_ * 0.6, width_ * 0.4, group_head, QLocale().toString(QDate::currentDate(), QLocale::LongFormat), 10,
              QFont::Normal, Qt::AlignRight);
        y_ += group_head + 4 * pixels_a_mm;
    }
    void add_row(const recipes::Recipe& recipe) {
        const auto& s = recipe.settings;
        painter_.setPen(QPen(roles_.hairline, 1));
        painter_.drawLine(QPointF(0, y_), QPointF(width_, y_));
        const bool tested = recipe.evidence.tested();
        QString more =
            steps::burns_area(s.kind) ? QString::fromStdString(format_length(s.line_pitch, LengthUnit::mm)) : QString();
        if (s.air) more += (more.isEmpty() ? "" : ", ") + worded("air");
        const std::initializer_list<std::pair<double, QString>> cells{
            {0, wording::name(s.kind)},
            {0.14, QString::fromStdString(format_power(s.power))},
            {0.23, QString::fromStdString(format_speed(s.speed, SpeedUnit::mm_per_min))},
            {0.41, s.passes > 1 ? worded("%1 passes").arg(s.passes) : QString()},
            {0.53, more},
            {0.67, tested ? QString::fromStdString(recipe.evidence.preparation) : worded("untested")}};
        for (const auto& [share, text] : cells)
            write(width_ * share, width_ * 0.33, row, text, 10, tested ? QFont::Normal : QFont::Light);
        y_ += row;
    }
    void write(double x, double wide, double high, const QString& text, int points, QFont::Weight weight,
               Qt::Alignment align = Qt::AlignLeft) {
        QFont font = theme::font(theme::normal, weight);
        font.setPointSize(points);
        painter_.setFont(font);
        painter_.setPen(roles_.text);
        painter_.drawText(QRectF(x, y_, wide, high), align | Qt::AlignVCenter, text);
    }

    QPdfWriter& pages_;
    QPainter painter_;
    theme::Roles roles_;
    double width_, height_, y_ = 0;
};

}  // namespace

Result<void> write_wall_chart(const QString& file, const std::vector<recipes::MaterialGroup>& groups,
                              const QString& machine) {
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    {
        QPdfWriter pages(&buffer);
        pages.setResolution(dpi);
        pages.setPageSize(QPageSize(QPageSize::A4));
        pages.setPageMargins(QMarginsF(15, 15, 15, 15), QPageLayout::Millimeter);
        pages.setTitle(worded("Settings of %1").arg(machine));
        Chart chart(pages, machine);
        for (const auto& group : groups)
            chart.add(group);
    }
    return replace_file(file.toStdString(), {bytes.constData(), static_cast<std::size_t>(bytes.size())});
}

}  // namespace chalkline::app
