// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/pictures/png.hpp>

#include <catch2/catch.hpp>
#include <unistd.h>

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
