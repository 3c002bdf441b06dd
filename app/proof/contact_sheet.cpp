// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/contact_sheet.hpp"

#include "proof/burn_palette.hpp"

#include <chalkline/wording/wording.hpp>

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr int columns = 3, cell_width = 108, cell_height = 80, gap = 7, picture_height = 60;
constexpr int dot_px = 2;      // screen pixels a dot
constexpr int lead_dots = 24;  // burned beyond the region, so that no method is seen at its start

/// The light of the frame's part that begins at a dot, and `lead_dots` round it.
raster::GreyImage light_there(const job::Motif& motif, std::size_t picture, const job::Step& step, double spot,
                              const raster::GreyImage& kept, const planning::DotFrame& frame, int left, int top,
                              int width, int height) {
    const raster::RgbImage& image = *motif.art->pictures[picture].image;
    raster::Sight sight = planning::sight_of(frame, motif, picture, image.width, image.height,
                                             static_cast<int>(frame.columns), static_cast<int>(frame.rows));
    sight.map[2] += sight.map[0] * left + sight.map[1] * top;
    sight.map[5] += sight.map[3] * left + sight.map[4] * top;
    sight.width = width;
    sight.height = height;
    return raster::light_of(image, kept, motif.preparation, planning::material_of(step.settings, spot), sight);
}

}  // namespace

ContactSheet::ContactSheet(ProofDesk& desk, const machine::MachineProfile& machine, const theme::Roles& roles,
                           QWidget* parent)
    : QWidget(parent), desk_(desk), machine_(machine), roles_(roles) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Contact sheet of dither methods"));
    connect(&desk_, &ProofDesk::seen, this, &ContactSheet::burn_each);
    connect(&desk_, &ProofDesk::loupe_moved, this, &ContactSheet::burn_each);
}

QSize ContactSheet::sizeHint() const {
    const int rows = (static_cast<int>(raster::dither_methods().size()) + columns - 1) / columns;
    return {columns * cell_width + (columns - 1) * gap, rows * (cell_height + gap)};
}

QRect ContactSheet::cell_of(raster::DitherMethod method) const {
    const int index = static_cast<int>(method);
    return {index % columns * (cell_width + gap), index / columns * (cell_height + gap), cell_width, cell_height};
}

void ContactSheet::burn_each() {
    const job::Motif* motif = desk_.motif();
    if (!motif || !desk_.step() || desk_.now().empty()) {
        burner_.cancel();
        burned_.clear();
        return update();
    }
    constexpr int width = cell_width / dot_px, height = picture_height / dot_px;
    const planning::DotFrame frame = desk_.now().frame;
    const auto corner = [](double middle, int size, double whole) {
        return static_cast<int>(std::clamp(middle - size / 2.0, 0.0, std::max(0.0, whole - size)));
    };
    const int left = corner(desk_.loupe().x(), width, frame.columns),
              top = corner(desk_.loupe().y(), height, frame.rows);
    burner_.start(
        [motif = *motif, picture = desk_.subject()->picture, step = *desk_.step(), machine = machine_, frame, left, top,
         roles = roles_, shelf = desk_.shelf()](const Watch& watch) {
            const auto kept = shelf->kept(motif.art->pictures[picture].image, motif.preparation);
            const auto light = light_there(motif, picture, step, machine.spot, *kept, frame, left - lead_dots,
                                           top - lead_dots, width + 2 * lead_dots, height + 2 * lead_dots);
            std::vector<QImage> burned;
            for (const auto method : raster::dither_methods()) {
                if (watch.cancelled()) break;
                steps::StepSettings settings = step.settings;
                settings.picture.dots.method = method;
                const auto dots = raster::dither(light, planning::dots_of(settings));
                const BurnPalette palette(settings, machine, roles);
                QImage image(width, height, QImage::Format_RGB32);
                for (int y = 0; y < height; ++y)
                    for (int x = 0; x < width; ++x)
                        image.setPixel(x, y, palette.at(dots.row(y + lead_dots)[x + lead_dots]));
                burned.push_back(image);
            }
            return burned;
        },
        [this](const std::vector<QImage>& burned) {
            burned_ = burned;
            update();
        });
}

void ContactSheet::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto chosen = desk_.step() ? std::optional(desk_.step()->settings.picture.dots.method) : std::nullopt;
    painter.setFont(theme::font(theme::tiny));
    for (const auto method : raster::dither_methods()) {
        const QRect cell = cell_of(method);
        const auto index = static_cast<std::size_t>(method);
        painter.fillRect(cell, roles_.card);
        const QRect picture(cell.left(), cell.top(), cell.width(), picture_height);
        if (index < burned_.size())
            painter.drawImage(picture, burned_[index]);
        else
            painter.fillRect(picture, roles_.stock);
        painter.setPen(roles_.text);
        const QRect name = cell.adjusted(5, picture_height, -3, 0);
        painter.drawText(name, Qt::AlignVCenter | Qt::AlignLeft,
                         painter.fontMetrics().elidedText(wording::name(method), Qt::ElideRight, name.width()));
        const bool here = hasFocus() && pointed_ == static_cast<int>(method);
        painter.setPen(QPen(chosen == method || here ? roles_.accent : roles_.hairline, chosen == method ? 2 : 1,
                            here && chosen != method ? Qt::DashLine : Qt::SolidLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRoundedRect(QRectF(cell).adjusted(1, 1, -1, -1), 4, 4);
    }
}

void ContactSheet::mousePressEvent(QMouseEvent* event) {
    for (const auto method : raster::dither_methods())
        if (cell_of(method).contains(event->pos())) {
            pointed_ = static_cast<int>(method);
            Q_EMIT chose(method);
        }
}

void ContactSheet::point_at(int index) {
    pointed_ = std::clamp(index, 0, static_cast<int>(raster::dither_methods().size()) - 1);
    say_again(*this);
    update();
}

QString ContactSheet::spoken_value() const {
    const auto pointed = static_cast<raster::DitherMethod>(pointed_);
    const bool taken = desk_.step() && desk_.step()->settings.picture.dots.method == pointed;
    return taken ? tr("%1, taken").arg(wording::name(pointed)) : wording::name(pointed);
}

void ContactSheet::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Left:
            return point_at(pointed_ - 1);
        case Qt::Key_Right:
            return point_at(pointed_ + 1);
        case Qt::Key_Up:
            return point_at(pointed_ - columns);
        case Qt::Key_Down:
            return point_at(pointed_ + columns);
        case Qt::Key_Return:
        case Qt::Key_Enter:
        case Qt::Key_Space:
            return Q_EMIT chose(static_cast<raster::DitherMethod>(pointed_));
        default:
            QWidget::keyPressEvent(event);
    }
}

bool ContactSheet::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip) return QWidget::event(event);
    auto* help = static_cast<QHelpEvent*>(event);
    for (const auto method : raster::dither_methods())
        if (cell_of(method).contains(help->pos())) QToolTip::showText(help->globalPos(), wording::name(method), this);
    return true;
}

}  // namespace chalkline::app
