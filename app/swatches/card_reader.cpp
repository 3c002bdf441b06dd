// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/card_reader.hpp"

#include <chalkline/pictures/decoder.hpp>
#include <chalkline/pictures/view.hpp>
#include <chalkline/raster/perspective.hpp>

#include <QBuffer>
#include <algorithm>

namespace chalkline::app {
namespace {

constexpr double straight_scale = 8;  // px a mm of the card

Result<CardReader::Photo> opened(const std::string& path) {
    auto decoded = pictures::read_picture_file(path);
    if (!decoded) return tl::unexpected(decoded.error());
    return std::make_shared<const raster::RgbImage>(std::move(decoded->image));
}

std::optional<geometry::Homography> from_marks(const std::vector<geometry::Point>& marks,
                                               const swatches::Layout& layout) {
    if (marks.size() != 4) return {};
    return swatches::card_at_clicks({marks[0], marks[1], marks[2], marks[3]}, layout);
}

QImage seen_straight(const raster::RgbImage& photo, const geometry::Homography& onto, const swatches::Layout& layout) {
    const int width = static_cast<int>(layout.size.x * straight_scale),
              height = static_cast<int>(layout.size.y * straight_scale);
    // From a pixel of the result to the card, whose Y points up, and on to the photograph.
    const double s = 1 / straight_scale, top = layout.size.y;
    std::array<double, 9> seen{};
    for (std::size_t row = 0; row < 3; ++row) {
        const double a = onto.m[3 * row], b = onto.m[3 * row + 1], c = onto.m[3 * row + 2];
        seen[3 * row] = a * s;
        seen[3 * row + 1] = -b * s;
        seen[3 * row + 2] = b * top + c;
    }
    return pictures::view_of(raster::seen_from_above(photo, seen, width, height)).copy();
}

CardReader::Reading reading_of(CardReader::Photo photo, const geometry::Homography& onto,
                               const swatches::Layout& layout) {
    CardReader::Reading reading;
    for (const geometry::Point mark : layout.marks)
        reading.marks.push_back(onto(mark));
    reading.swatches = swatches::measured(*photo, onto, layout);
    reading.straight = seen_straight(*photo, onto, layout);
    reading.photo = std::move(photo);
    return reading;
}

/// A photograph no larger than it needs to be, for keeping.
void add_copy(CardReader::Reading& reading) {
    constexpr int largest = 3000;  // px
    const QImage photo = pictures::view_of(*reading.photo);
    reading.kept_scale = std::min(1.0, static_cast<double>(largest) / std::max(photo.width(), photo.height()));
    QBuffer buffer(&reading.kept);
    buffer.open(QIODevice::WriteOnly);
    const QSize size = photo.size() * reading.kept_scale;
    (size == photo.size() ? photo : photo.scaled(size, Qt::KeepAspectRatio, Qt::SmoothTransformation))
        .save(&buffer, "JPEG", 90);
}

}  // namespace

void CardReader::read_file(const QString& path, const swatches::Layout& layout, std::vector<geometry::Point> marks) {
    waiting_.reset();
    struct Outcome {
        Result<Photo> photo;
        std::optional<Reading> reading;
    };
    work_.start(
        [path = path.toStdString(), layout, marks = std::move(marks)](const Watch&) {
            Outcome outcome{opened(path), {}};
            if (!outcome.photo) return outcome;
            const auto onto = marks.empty() ? swatches::find_card(**outcome.photo, layout) : from_marks(marks, layout);
            if (onto) outcome.reading = reading_of(*outcome.photo, *onto, layout);
            if (onto && marks.empty()) add_copy(*outcome.reading);
            return outcome;
        },
        [this](Outcome outcome) {
            if (!outcome.photo) return Q_EMIT failed(outcome.photo.error());
            if (outcome.reading) return Q_EMIT read(*outcome.reading);
            waiting_ = *outcome.photo;
            Q_EMIT marks_wanted();
        });
}

void CardReader::read_with(const std::vector<geometry::Point>& clicks, const swatches::Layout& layout) {
    const auto onto = from_marks(clicks, layout);
    if (!waiting_ || !onto) return Q_EMIT failed(Error{std::string(swatches::error::marks_not_found), {}, {}, 0});
    work_.start(
        [photo = waiting_, onto = *onto, layout](const Watch&) {
            Reading reading = reading_of(photo, onto, layout);
            add_copy(reading);
            return reading;
        },
        [this](Reading reading) {
            waiting_.reset();
            Q_EMIT read(reading);
        });
}

void CardReader::give_up() {
    work_.cancel();
    waiting_.reset();
}

}  // namespace chalkline::app
