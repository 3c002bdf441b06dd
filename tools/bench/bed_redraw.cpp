// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed_redraw.hpp"

#include "mainwindow/main_window.hpp"
#include "planning.hpp"
#include "rehearsal/burn_moments.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/job/edits.hpp>

#include <unistd.h>

#include <QApplication>
#include <QDeadlineTimer>
#include <QPainter>
#include <QWheelEvent>
#include <fstream>
#include <random>

namespace chalkline::bench {
namespace {

/// Wandering lines over most of the bed, the same every time.
std::string drawing(int paths, int segments) {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> place(0, 1), step(-3, 3);
    std::string svg =
        "<svg xmlns='http://www.w3.org/2000/svg' width='380mm' height='280mm' viewBox='0 0 380 280' fill='none' "
        "stroke='#123456' stroke-width='0.1'>";
    for (int i = 0; i < paths; ++i) {
        double x = place(random) * 360 + 10, y = place(random) * 260 + 10;
        svg += "<path d='M" + std::to_string(x) + " " + std::to_string(y);
        for (int k = 0; k < segments; ++k) {
            x = std::clamp(x + step(random), 0.0, 380.0);
            y = std::clamp(y + step(random), 0.0, 280.0);
            svg += " L" + std::to_string(x) + " " + std::to_string(y);
        }
        svg += "'/>";
    }
    return svg + "</svg>";
}

QPainterPath as_path(const art::Artwork& art) {
    QPainterPath path;
    for (const art::Shape& shape : art.shapes)
        for (const auto& line : shape.path.flatten()) {
            path.moveTo(line.points[0].x * 2, line.points[0].y * 2);
            for (const auto point : line.points)
                path.lineTo(point.x * 2, point.y * 2);
        }
    return path;
}

void wheel(QWidget& over, QPointF at, int turn) {
    QWheelEvent event(at, over.mapToGlobal(at), {}, {0, turn}, Qt::NoButton, Qt::NoModifier, Qt::NoScrollPhase, false);
    QApplication::sendEvent(&over, &event);
}

/// A mouse drag of the view with the middle button, one move a call.
class Pan {
 public:
    explicit Pan(QWidget& bed) : bed_(bed), at_(bed.width() / 2.0, bed.height() / 2.0) {
        send(QEvent::MouseButtonPress, Qt::MiddleButton, Qt::MiddleButton);
    }
    ~Pan() { send(QEvent::MouseButtonRelease, Qt::MiddleButton, Qt::NoButton); }
    void move(QPointF by) {
        at_ += by;
        send(QEvent::MouseMove, Qt::NoButton, Qt::MiddleButton);
    }

 private:
    void send(QEvent::Type type, Qt::MouseButton button, Qt::MouseButtons held) {
        QMouseEvent event(type, at_, bed_.mapToGlobal(at_), button, held, Qt::NoModifier);
        QApplication::sendEvent(&bed_, &event);
    }
    QWidget& bed_;
    QPointF at_;
};

}  // namespace

std::vector<Figure> bed_redraw() {
    const app::WindowOptions options;
    app::MainWindow window(options);
    window.show();
    const auto art = std::make_shared<const art::Artwork>(
        art::read(std::make_shared<const std::string>(drawing(1000, 100)), "bench.svg").value());
    window.document().replace(job::add_art({}, art, window.machine().profile()), {});
    // As a user finds it: drawn once, and the plan there.
    const QDeadlineTimer patience(20'000);
    while (!patience.hasExpired() && window.plans().stale())
        QApplication::processEvents(QEventLoop::AllEvents, 20);
    app::BedView& bed = window.bed();
    QImage frame(bed.size(), QImage::Format_ARGB32_Premultiplied);
    const auto redraw = [&] { bed.render(&frame); };
    for (int i = 0; i < 40; ++i) {
        redraw();
        QApplication::processEvents(QEventLoop::WaitForMoreEvents | QEventLoop::AllEvents, 50);
    }

    constexpr int frames = 60;
    std::vector<double> panned, zoomed;
    {
        Pan pan(bed);
        panned = timed(frames, [&](int i) {
            pan.move(i % 20 < 10 ? QPointF(9, 5) : QPointF(-9, -5));
            redraw();
        });
    }
    zoomed = timed(frames, [&](int i) {
        wheel(bed, {300, 300}, i % 20 < 10 ? 60 : -60);
        redraw();
    });

    const QPainterPath path = as_path(*art);
    const auto plain = timed(10, [&](int) {
        frame.fill(Qt::white);
        QPainter painter(&frame);
        painter.setPen(QPen(Qt::black, 0));
        painter.drawPath(path);
    });
    const std::string reference = "QPainter, hairlines without smoothing";
    const double once = quantile(plain, 0.5);
    return {{"bed, 100 000 segments, panning", quantile(panned, 0.5), quantile(panned, 0.95), reference, once},
            {"bed, 100 000 segments, zooming", quantile(zoomed, 0.5), quantile(zoomed, 0.95), reference, once}};
}

namespace {

/// Resident memory of this program, MB (proc(5), statm).
double resident_megabytes() {
    std::ifstream statm("/proc/self/statm");
    long all = 0, resident = 0;
    statm >> all >> resident;
    return static_cast<double>(resident) * static_cast<double>(::sysconf(_SC_PAGESIZE)) / 1e6;
}

/// Until everything is drawn once and the keys are heard.
void bring_up(QWidget& window) {
    window.show();
    QImage frame(window.size(), QImage::Format_ARGB32_Premultiplied);
    window.render(&frame);
    QApplication::processEvents();
}

}  // namespace

std::vector<Figure> starting() {
    const auto plain = timed(5, [](int) {
        QWidget window;
        window.resize(1280, 800);
        bring_up(window);
    });
    const double before = resident_megabytes();
    const auto ours = timed(5, [](int) {
        app::MainWindow window(app::WindowOptions{});
        bring_up(window);
    });
    app::MainWindow resting(app::WindowOptions{});
    bring_up(resting);
    return {{"a usable window", quantile(ours, 0.5), quantile(ours, 0.95), "an empty window", quantile(plain, 0.5)},
            {"memory at rest", resident_megabytes(), resident_megabytes(), "before the window", before, "MB"}};
}

std::vector<Figure> scrubbing() {
    constexpr QSize screen{910, 640};
    constexpr int moments = 120;
    auto plan = std::make_shared<planning::Plan>(planning::plan_of(raster(1'000'000), {}));
    const app::Camera camera{2.2, {20, 620}};
    app::BurnMoments drawn;
    const auto once = timed(1, [&](int) {
        drawn = app::draw_moments(*plan, camera, screen, {{1, Qt::black}}, 0.18, {});
    });
    const planning::Rehearsal rehearsal(plan);
    QImage shown;
    const auto each = timed(moments, [&](int i) {
        const double seconds = rehearsal.total() * ((i * 37) % moments) / moments;
        (void)rehearsal.at(seconds);
        shown = drawn.at(seconds);
    });
    return {
        {"a moment of 10^6 moves shown", quantile(each, 0.5), quantile(each, 0.95), "a frame at 60 Hz", 1000.0 / 60},
        {"drawing it once for a view", once[0], once[0], "a second", 1000}};
}

}  // namespace chalkline::bench
