// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/reader.hpp>
#include <chalkline/pictures/decoder.hpp>
#include <chalkline/pictures/png.hpp>

#include <catch2/catch.hpp>
#include <unistd.h>
#include <zlib.h>

#include <QBuffer>
#include <QColorSpace>
#include <QImage>
#include <filesystem>

using namespace chalkline;

TEST_CASE("a picture is written with its physical size") {
    const std::string path =
        std::filesystem::temp_directory_path() / ("png-test-" + std::to_string(::getpid()) + ".png");
    raster::RgbImage image(3, 2, {10, 20, 30});
    image.at(2, 1) = {200, 100, 50};
    REQUIRE(pictures::write_png(image, 10, path));
    const QImage read(QString::fromStdString(path));
    CHECK(read.size() == QSize(3, 2));
    CHECK(read.pixelColor(2, 1) == QColor(200, 100, 50));
    CHECK(read.pixelColor(0, 0) == QColor(10, 20, 30));
    CHECK(read.dotsPerMeterX() == 10000);
    std::filesystem::remove(path);
    CHECK_FALSE(pictures::write_png(image, 10, "/nowhere/x.png"));
}

namespace {

std::string encoded(const QImage& image, const char* format) {
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    REQUIRE(image.save(&buffer, format, format == std::string("png") ? -1 : 100));
    return bytes.toStdString();
}

QImage two_halves(QImage::Format format) {
    QImage image(40, 20, format);
    image.fill(Qt::black);
    for (int y = 0; y < 20; ++y)
        for (int x = 20; x < 40; ++x)
            image.setPixelColor(x, y, Qt::white);
    image.setDotsPerMeterX(10000);
    image.setDotsPerMeterY(5000);
    return image;
}

}  // namespace

TEST_CASE("every picture format is decoded, in grey and colour, 8 and 16 bits") {
    const pictures::Decoder decoder;
    for (const char* format : {"png", "jpeg", "bmp", "tiff", "webp"}) {
        for (const auto pixels : {QImage::Format_RGB32, QImage::Format_Grayscale8, QImage::Format_RGBA64}) {
            INFO(format << " " << pixels);
            const auto picture = decoder.decode(encoded(two_halves(pixels), format));
            REQUIRE(picture);
            CHECK(picture->image.width == 40);
            CHECK(picture->image.height == 20);
            CHECK(picture->image.pixels[5].green < 12);
            CHECK(picture->image.pixels[35].green > 243);
        }
    }
}

TEST_CASE("a photograph that was cut short is shown as far as it goes, and that is said") {
    QImage noise(300, 300, QImage::Format_Grayscale8);
    std::uint32_t seed = 9;
    for (int y = 0; y < 300; ++y)
        for (int x = 0; x < 300; ++x)
            noise.scanLine(y)[x] = static_cast<uchar>((seed = seed * 1664525U + 1013904223U) >> 24U);
    const auto whole = encoded(noise, "jpeg");
    const pictures::Decoder decoder;
    CHECK_FALSE(decoder.decode(whole).value().cut_short);
    const auto part = decoder.decode(whole.substr(0, whole.size() / 2));
    REQUIRE(part);
    CHECK(part->cut_short);
    CHECK(part->image.height == 300);
    art::Outside outside;
    outside.pictures = &decoder;
    const auto bytes = std::make_shared<const std::string>(whole.substr(0, whole.size() / 2));
    const auto art = art::read(bytes, "x.jpg", {}, outside);
    REQUIRE(art);
    CHECK(std::any_of(art->remarks.begin(), art->remarks.end(),
                      [](const auto& remark) { return remark.notice.code == art::notice::picture_cut_short; }));
}

TEST_CASE("opacity is kept beside the colour over white") {
    QImage image(4, 1, QImage::Format_ARGB32);
    image.fill(Qt::transparent);
    image.setPixelColor(0, 0, QColor(0, 0, 0, 255));
    image.setPixelColor(1, 0, QColor(0, 0, 0, 51));
    const pictures::Decoder decoder;
    const auto picture = decoder.decode(encoded(image, "png"));
    REQUIRE(picture);
    CHECK(picture->image.opacity == std::vector<std::uint8_t>{255, 51, 0, 0});
    CHECK(picture->image.pixels[1] == Rgb{204, 204, 204});
    image.fill(Qt::red);
    CHECK(decoder.decode(encoded(image, "png")).value().image.opacity.empty());
}

TEST_CASE("resolution is taken from the file's own header, and only where it stands") {
    const pictures::Decoder decoder;
    for (const char* format : {"png", "bmp", "tiff", "jpeg"}) {
        INFO(format);
        const auto picture = decoder.decode(encoded(two_halves(QImage::Format_RGB32), format));
        REQUIRE(picture);
        REQUIRE(picture->pixels_per_mm);
        CHECK(picture->pixels_per_mm->x == Approx(10).epsilon(0.01));
        CHECK(picture->pixels_per_mm->y == Approx(5).epsilon(0.01));
    }
    const auto webp = decoder.decode(encoded(two_halves(QImage::Format_RGB32), "webp"));
    REQUIRE(webp);
    CHECK_FALSE(webp->pixels_per_mm);
}

TEST_CASE("a camera's turn is applied, with its resolution") {
    std::string jpeg = encoded(two_halves(QImage::Format_RGB32), "jpeg");
    // An EXIF part that says: turn a quarter clockwise (orientation 6).
    const std::string tiff("II*\0\x08\0\0\0\x01\0\x12\x01\x03\0\x01\0\0\0\x06\0\0\0\0\0\0\0", 26);
    const std::string exif = std::string("Exif\0\0", 6) + tiff;
    const auto size = exif.size() + 2;
    jpeg.insert(2, std::string("\xff\xe1") + static_cast<char>(size >> 8) + static_cast<char>(size & 255) + exif);
    const auto picture = pictures::Decoder().decode(jpeg);
    REQUIRE(picture);
    CHECK(picture->image.width == 20);
    CHECK(picture->image.height == 40);
    CHECK(picture->image.pixels[5].green < 12);
    CHECK(picture->image.pixels[20 * 35].green > 243);
}

namespace {

/// An EXIF part that says how the picture is to be turned.
std::string orientation_tags(int orientation) {
    return std::string("II*\0\x08\0\0\0\x01\0\x12\x01\x03\0\x01\0\0\0", 18) + static_cast<char>(orientation) +
           std::string(7, '\0');
}

std::string big_endian(std::uint32_t number) {
    std::string bytes;
    for (int shift = 24; shift >= 0; shift -= 8)
        bytes += static_cast<char>(number >> shift & 255);
    return bytes;
}

/// A photograph, and a PNG and a WebP, of one picture that is to be turned.
std::string turned_jpeg(const QImage& image, int orientation) {
    std::string jpeg = encoded(image, "jpeg");
    const std::string exif = std::string("Exif\0\0", 6) + orientation_tags(orientation);
    const auto size = exif.size() + 2;
    jpeg.insert(2, std::string("\xff\xe1") + static_cast<char>(size >> 8) + static_cast<char>(size & 255) + exif);
    return jpeg;
}
std::string turned_png(const QImage& image, int orientation) {
    std::string png = encoded(image, "png");
    const std::string tags = orientation_tags(orientation), body = "eXIf" + tags;
    const auto sum = ::crc32(0, reinterpret_cast<const Bytef*>(body.data()), static_cast<uInt>(body.size()));
    constexpr std::size_t behind_header = 33;
    png.insert(behind_header, big_endian(static_cast<std::uint32_t>(tags.size())) + body +
                                  big_endian(static_cast<std::uint32_t>(sum)));
    return png;
}

}  // namespace

TEST_CASE("a turn is applied to PNG as Qt applies it to photographs, all eight of them") {
    QImage image(30, 20, QImage::Format_RGB32);
    image.fill(Qt::white);
    for (int y = 0; y < 10; ++y)
        for (int x = 0; x < 10; ++x)
            image.setPixelColor(x, y, Qt::black);  // one corner: every turn puts it elsewhere
    image.setDotsPerMeterX(10000);
    image.setDotsPerMeterY(5000);
    const pictures::Decoder decoder;
    for (int orientation = 1; orientation <= 8; ++orientation) {
        INFO(orientation);
        const auto jpeg = decoder.decode(turned_jpeg(image, orientation)),
                   png = decoder.decode(turned_png(image, orientation));
        REQUIRE(jpeg);
        REQUIRE(png);
        REQUIRE(png->image.width == jpeg->image.width);
        REQUIRE(png->image.height == jpeg->image.height);
        REQUIRE(png->pixels_per_mm);
        CHECK(png->pixels_per_mm->x == Approx(orientation < 5 ? 10 : 5));
        int apart = 0;
        for (std::size_t i = 0; i < png->image.pixels.size(); ++i)
            apart += std::abs(png->image.pixels[i].green - jpeg->image.pixels[i].green) > 100 ? 1 : 0;
        CHECK(apart == 0);
    }
}

TEST_CASE("a file of several pictures says how many") {
    // GIF89a of 1 × 1: two colours, two frames.
    const std::string head("GIF89a\x01\0\x01\0\x80\0\0\0\0\0\xff\xff\xff", 19),
        frame("\x2c\0\0\0\0\x01\0\x01\0\0\x02\x02\x44\x01\0", 15);
    const pictures::Decoder decoder;
    CHECK(decoder.decode(head + frame + frame + ";").value().images == 2);
    CHECK(decoder.decode(head + frame + ";").value().images == 1);
    const auto art = art::read(std::make_shared<const std::string>(head + frame + frame + ";"), "moving.gif", {},
                               art::Outside{&decoder, nullptr, {}, nullptr});
    REQUIRE(art);
    CHECK(std::any_of(art->remarks.begin(), art->remarks.end(),
                      [](const art::Remark& remark) { return remark.notice.code == art::notice::picture_first_of; }));
}

TEST_CASE("what is transparent lies over white") {
    QImage image(4, 1, QImage::Format_ARGB32);
    image.fill(qRgba(0, 0, 0, 0));
    image.setPixel(1, 0, qRgba(0, 0, 0, 255));
    image.setPixel(2, 0, qRgba(255, 0, 0, 128));
    const auto picture = pictures::Decoder().decode(encoded(image, "png"));
    REQUIRE(picture);
    CHECK(picture->image.pixels[0] == Rgb{255, 255, 255});
    CHECK(picture->image.pixels[1] == Rgb{0, 0, 0});
    CHECK(picture->image.pixels[2].red == 255);
    CHECK(int{picture->image.pixels[2].green} == Approx(127).margin(1));
}

TEST_CASE("pictures too large, broken or unknown get an error before any memory is taken") {
    const pictures::Decoder decoder;
    QImage bomb(20'000, 10'001, QImage::Format_Mono);
    bomb.fill(0);
    const auto refused = decoder.decode(encoded(bomb, "png"));
    REQUIRE_FALSE(refused);
    CHECK(refused.error().code == art::error::picture_too_large);
    CHECK(refused.error().parameters[0].second == "20000");
    CHECK(decoder.decode(encoded(QImage(100'001, 1, QImage::Format_Mono), "png")).error().code ==
          art::error::picture_too_large);
    CHECK(decoder.decode("hello").error().code == art::error::picture_unknown);
    CHECK(decoder.decode("<svg xmlns='http://www.w3.org/2000/svg'/>").error().code == art::error::picture_unknown);
    const std::string png = encoded(two_halves(QImage::Format_RGB32), "png");
    CHECK(decoder.decode(png.substr(0, 40)).error().code == art::error::picture_broken);
    for (std::size_t cut = 0; cut < png.size(); cut += 3)
        (void)decoder.decode(png.substr(0, cut));
}
