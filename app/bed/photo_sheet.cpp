// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/photo_sheet.hpp"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QMouseEvent>
#include <algorithm>

namespace chalkline::app {
namespace {

constexpr int photo_width = 640, photo_height = 360;  // px
constexpr double handle_radius = 11;                  // px

}  // namespace

PhotoHandles::PhotoHandles(const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), roles_(roles), seen_(BedPhoto::Aim{}.seen) {
    setFixedSize(photo_width, photo_height);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Photograph with four handles"));
    setAccessibleDescription(tr("1 to 4 choose a handle, the arrow keys move it, with Shift in larger steps."));
}

void PhotoHandles::show_photo(QImage photo) {
    photo_ = std::move(photo);
    update();
}

void PhotoHandles::set_seen(const std::array<geometry::Point, 4>& seen) {
    seen_ = seen;
    update();
}

QRectF PhotoHandles::photo_rect() const {
    const QSizeF size =
        QSizeF(photo_.isNull() ? QSize(4, 3) : photo_.size()).scaled(rect().size(), Qt::KeepAspectRatio);
    return {QPointF((width() - size.width()) / 2, (height() - size.height()) / 2), size};
}

QPointF PhotoHandles::place_of(std::size_t handle) const {
    const QRectF photo = photo_rect();
    return photo.topLeft() + QPointF(seen_[handle].x * photo.width(), seen_[handle].y * photo.height());
}

void PhotoHandles::put(std::size_t handle, geometry::Point share) {
    seen_[handle] = {std::clamp(share.x, 0.0, 1.0), std::clamp(share.y, 0.0, 1.0)};
    say_again(*this);
    update();
}

QString PhotoHandles::spoken_value() const {
    const auto percent = [](double share) { return QString::number(share * 100, 'f', 1); };
    return tr("Handle %1 at %2 % from the left, %3 % from the top")
        .arg(QString::number(chosen_ + 1), percent(seen_[chosen_].x), percent(seen_[chosen_].y));
}

void PhotoHandles::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), roles_.bench);
    if (photo_.isNull()) {
        painter.setPen(roles_.quiet);
        painter.drawText(rect(), Qt::AlignCenter, tr("No photograph chosen"));
        return;
    }
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.drawImage(photo_rect(), photo_);
    painter.setPen(QPen(roles_.accent, 1.6));
    QPolygonF frame;
    for (std::size_t i = 0; i < 4; ++i)
        frame << place_of(i);
    painter.drawPolygon(frame);
    painter.setFont(theme::font(theme::small, QFont::DemiBold));
    for (std::size_t i = 0; i < 4; ++i) {
        const QPointF at = place_of(i);
        painter.setPen(QPen(roles_.accent, i == chosen_ && hasFocus() ? 3 : 1.6));
        painter.setBrush(Qt::NoBrush);
        painter.drawEllipse(at, handle_radius, handle_radius);
        painter.drawPoint(at);
        // The figure stands outside the ring, away from what is aimed at.
        const QRectF label(at + QPointF(handle_radius, -handle_radius - 14), QSizeF(16, 16));
        painter.setPen(Qt::NoPen);
        painter.setBrush(roles_.accent);
        painter.drawRoundedRect(label, 4, 4);
        painter.setPen(roles_.paper);
        painter.drawText(label, Qt::AlignCenter, QString::number(i + 1));
    }
}

void PhotoHandles::mousePressEvent(QMouseEvent* event) {
    if (photo_.isNull()) return;
    // The nearest handle comes to where it was pressed.
    const auto away = [&](std::size_t i) { return QLineF(place_of(i), event->position()).length(); };
    chosen_ = 0;
    for (std::size_t i = 1; i < 4; ++i)
        if (away(i) < away(chosen_)) chosen_ = i;
    dragging_ = true;
    mouseMoveEvent(event);
}

void PhotoHandles::mouseMoveEvent(QMouseEvent* event) {
    if (!dragging_) return;
    const QRectF photo = photo_rect();
    put(chosen_, {(event->position().x() - photo.left()) / photo.width(),
                  (event->position().y() - photo.top()) / photo.height()});
}

void PhotoHandles::mouseReleaseEvent(QMouseEvent*) {
    dragging_ = false;
}

void PhotoHandles::keyPressEvent(QKeyEvent* event) {
    if (event->key() >= Qt::Key_1 && event->key() <= Qt::Key_4) {
        chosen_ = static_cast<std::size_t>(event->key() - Qt::Key_1);
        say_again(*this);
        return update();
    }
    const double step = event->modifiers() & Qt::ShiftModifier ? 0.01 : 0.001;
    geometry::Point way;
    switch (event->key()) {
        case Qt::Key_Left:
            way.x = -step;
            break;
        case Qt::Key_Right:
            way.x = step;
            break;
        case Qt::Key_Up:
            way.y = -step;
            break;
        case Qt::Key_Down:
            way.y = step;
            break;
        default:
            return QWidget::keyPressEvent(event);
    }
    put(chosen_, seen_[chosen_] + way);
}

PhotoSheet::PhotoSheet(BedPhoto& photo, const geometry::Box& bed, const theme::Roles& roles, QWidget* over)
    : Sheet(tr("A photograph of the bed"), over), photo_(photo), bed_(bed) {
    setFixedWidth(photo_width + 40);
    add_text(tr("Bring the four handles over four places that you know on the bed: 1 near left, 2 near right, 3 far "
                "right, 4 far left of a rectangle. The bed's own corners do."),
             Tone::quiet);
    handles_ = new PhotoHandles(roles, this);
    add_widget(handles_);
    auto* row = new QWidget(this);
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    const geometry::Box box = photo.aim().box.empty() ? bed : photo.aim().box;
    const double values[]{box.left, box.bottom, box.right, box.top};
    const QString names[]{tr("Left"), tr("Near"), tr("Right"), tr("Far")};
    for (int i = 0; i < 4; ++i) {
        fields_[i] = make_length_field(tr("Known rectangle, %1").arg(names[i].toLower()), row);
        fields_[i]->show_value(values[i]);
        fields_[i]->setFixedWidth(80);
        line->addWidget(make_label(names[i], Tone::quiet, row));
        line->addWidget(fields_[i]);
    }
    line->addStretch(1);
    add_widget(row);
    said_ = add_text({}, Tone::attention);
    said_->hide();
    if (photo_.lies()) add_button(tr("Take it away"), ButtonLook::link, [&photo] { photo.take_away(); });
    add_staying_button(tr("Choose a picture…"), ButtonLook::plain, [this] { choose_file(); });
    add_button(tr("Leave it"), ButtonLook::plain, {});
    lay_button_ = add_staying_button(tr("Lay it under the bed"), ButtonLook::accent, [this] { lay(); });
    connect(&photo_, &BedPhoto::read, this, &PhotoSheet::show_photo);
    connect(&photo_, &BedPhoto::failed, this, [this](const wording::Message& message) {
        said_->setText(message.whole());
        said_->show();
    });
    handles_->set_seen(photo_.aim().seen);
    show_photo();
    open();
}

void PhotoSheet::choose_file() {
    auto* dialog = new QFileDialog(this, tr("A photograph of the bed"), {},
                                   tr("Pictures (*.jpg *.jpeg *.png *.webp *.bmp *.tif *.tiff)"));
    dialog->setObjectName("bedPhoto");
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QFileDialog::fileSelected, &photo_, &BedPhoto::load);
    dialog->open();
}

void PhotoSheet::show_photo() {
    lay_button_->setEnabled(photo_.image() != nullptr);
    if (!photo_.image()) return;
    said_->hide();
    handles_->show_photo(photo_.preview());
}

void PhotoSheet::lay() {
    BedPhoto::Aim aim;
    aim.seen = handles_->seen();
    aim.box = {fields_[0]->value(), fields_[1]->value(), fields_[2]->value(), fields_[3]->value()};
    const bool straight = aim.box.right > aim.box.left && aim.box.top > aim.box.bottom;
    if (straight && photo_.lay(aim, bed_)) return put_away();
    said_->setText(straight ? tr("Three of the handles lie on one line: spread them out.")
                            : tr("Right must be larger than left, and far larger than near."));
    said_->show();
}

}  // namespace chalkline::app
