// SPDX-License-Identifier: GPL-3.0-or-later
#include "desktop/ending.hpp"

#include <chalkline/link/darken.hpp>

#include <fcntl.h>
#include <unistd.h>

#include <QGuiApplication>
#include <QSocketNotifier>
#include <csignal>

namespace chalkline::app {
namespace {

constexpr unsigned window_patience = 10;  // s until the program ends without its window's help

int pipe_ends[2]{-1, -1};

void take_signal(int) {
    const char byte = 1;
    const ssize_t written = ::write(pipe_ends[1], &byte, 1);
    static_cast<void>(written);
    ::alarm(window_patience);
}

/// The window stands still: nobody else stops the machine.
void end_alone(int) {
    link::darken_open_links();
    ::_exit(128 + SIGTERM);
}

void handle(int number, void (*handler)(int)) {
    struct sigaction action {};
    action.sa_handler = handler;
    action.sa_flags = SA_RESTART;
    ::sigaction(number, &action, nullptr);
}

}  // namespace

Ending::Ending(QObject* parent) : QObject(parent) {
    if (::pipe2(pipe_ends, O_CLOEXEC | O_NONBLOCK) != 0) return;
    auto* notifier = new QSocketNotifier(pipe_ends[0], QSocketNotifier::Read, this);
    connect(notifier, &QSocketNotifier::activated, this, [this] {
        char bytes[16];
        if (::read(pipe_ends[0], bytes, sizeof bytes) > 0) Q_EMIT asked();
    });
    for (const int number : {SIGTERM, SIGHUP, SIGINT})
        handle(number, take_signal);
    handle(SIGALRM, end_alone);
    if (auto* application = qobject_cast<QGuiApplication*>(QCoreApplication::instance()))
        connect(application, &QGuiApplication::commitDataRequest, this, &Ending::session_ends, Qt::DirectConnection);
}

Ending::~Ending() {
    for (const int number : {SIGTERM, SIGHUP, SIGINT, SIGALRM})
        handle(number, SIG_DFL);
    ::alarm(0);
    for (int& end : pipe_ends) {
        if (end >= 0) ::close(end);
        end = -1;
    }
}

}  // namespace chalkline::app
