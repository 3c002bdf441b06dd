// SPDX-License-Identifier: GPL-3.0-or-later
#include "desktop/crash_report.hpp"

#include <chalkline/link/darken.hpp>

#include <execinfo.h>
#include <fcntl.h>
#include <unistd.h>

#include <QDateTime>
#include <QDir>
#include <QFile>
#include <array>
#include <csignal>
#include <cstring>

namespace chalkline::app {
namespace {

// In a fault nothing may be allocated and no lock be taken: the name and the head of the report are written down
// before.
std::array<char, 1024> report_name, report_head;

void write_text(int file, const char* text) {
    const ssize_t written = ::write(file, text, std::strlen(text));
    static_cast<void>(written);
}

void write_report(int signal) {
    link::darken_open_links();
    const int file = ::open(report_name.data(), O_CREAT | O_WRONLY | O_TRUNC, 0600);
    if (file >= 0) {
        write_text(file, report_head.data());
        write_text(file, signal == SIGSEGV   ? "SIGSEGV: memory that is not there\n"
                         : signal == SIGABRT ? "SIGABRT: it gave up by itself\n"
                         : signal == SIGFPE  ? "SIGFPE: a division by zero\n"
                         : signal == SIGBUS  ? "SIGBUS: memory that cannot be read\n"
                                             : "SIGILL: an instruction this processor does not know\n");
        std::array<void*, 64> calls;
        ::backtrace_symbols_fd(calls.data(), ::backtrace(calls.data(), static_cast<int>(calls.size())), file);
        ::close(file);
    }
    // The handler was taken away when it was entered: this time the fault ends the program.
    ::raise(signal);
}

template <std::size_t size>
void keep(std::array<char, size>& place, const QByteArray& text) {
    std::strncpy(place.data(), text.constData(), size - 1);
}

constexpr const char* told = ".told";

}  // namespace

void write_crash_reports(const QString& folder, const QString& version) {
    QDir().mkpath(folder);
    const QDateTime now = QDateTime::currentDateTime();
    const QString name = now.toString("yyyy-MM-dd-hhmmss") + QString("-%1.crash").arg(::getpid());
    keep(report_name, QFile::encodeName(QDir(folder).filePath(name)));
    keep(report_head, QString("Chalkline %1, started %2\nThis report stays on this computer.\n")
                          .arg(version, now.toString(Qt::ISODate))
                          .toUtf8());
    // The first call loads what unwinding needs, which is not allowed in a fault.
    std::array<void*, 4> first;
    ::backtrace(first.data(), static_cast<int>(first.size()));
    struct sigaction action {};
    action.sa_handler = write_report;
    action.sa_flags = SA_RESETHAND | SA_NODEFER;
    for (const int signal : {SIGSEGV, SIGABRT, SIGFPE, SIGBUS, SIGILL})
        ::sigaction(signal, &action, nullptr);
}

QString take_crash_report(const QString& folder) {
    const QStringList reports = QDir(folder).entryList({"*.crash"}, QDir::Files, QDir::Name | QDir::Reversed);
    for (const QString& report : reports)
        QFile::rename(QDir(folder).filePath(report), QDir(folder).filePath(report + told));
    return reports.isEmpty() ? QString() : QDir(folder).filePath(reports.front() + told);
}

}  // namespace chalkline::app
