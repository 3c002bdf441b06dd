// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/link/darken.hpp>
#include <chalkline/link/session_runner.hpp>

#include <asio.hpp>

#include <array>
#include <chrono>
#include <optional>
#include <thread>
#include <variant>

namespace chalkline::link {
namespace {

using namespace std::chrono_literals;
constexpr auto tick_interval = 20ms;
constexpr auto connect_patience = 5s;
// A board with a USB bridge restarts when its port is opened and then needs this long to greet.
constexpr double board_restart = 2.0;  // s
constexpr double no_restart = 0.3;     // s

double seconds_now() {
    return std::chrono::duration<double>(std::chrono::steady_clock::now().time_since_epoch()).count();
}

}  // namespace

class SessionRunner::Worker {
 public:
    Worker(Address address, machine::MachineProfile profile, Listener listener,
           std::optional<machine::RememberedPlace> before)
        : address_(std::move(address)),
          profile_(std::move(profile)),
          listener_(std::move(listener)),
          before_(std::move(before)),
          timer_(io_) {
        thread_ = std::thread([this] { run(); });
    }

    ~Worker() {
        asio::post(io_, [this] { shut(); });
        io_.stop();
        thread_.join();
    }

    void request(Request request) {
        asio::post(io_, [this, request = std::move(request)] {
            if (!session_) return;
            if (auto result = request(*session_); !result) pending_.push_back(machine::event::Refused{result.error()});
            flush();
        });
    }

 private:
    using Serial = asio::posix::stream_descriptor;
    using Socket = asio::ip::tcp::socket;

    void run() {
        const auto guard = asio::make_work_guard(io_);
        if (auto opened = open(); !opened) {
            listener_({machine::event::Failed{machine::Activity::connecting, opened.error()}});
            return;
        }
        session_->opened(seconds_now());
        read();
        tick();
        flush();
        io_.run();
    }

    Result<void> open() {
        double greeting_wait = no_restart;
        if (address_.tcp) {
            if (auto connected = connect(); !connected) return connected;
        } else {
            const auto descriptor = open_serial(address_.text, profile_.baud);
            if (!descriptor) return tl::unexpected(descriptor.error());
            if (!is_pseudo_terminal(*descriptor)) greeting_wait = board_restart;
            stream_.emplace<Serial>(io_, *descriptor);
        }
        with_stream([this](auto& stream) { darkened_.emplace(stream.native_handle(), profile_.dialect); });
        session_ = machine::make_session(profile_, greeting_wait, before_);
        return {};
    }

    Result<void> connect() {
        asio::ip::tcp::resolver resolver(io_);
        std::error_code problem;
        const auto endpoints = resolver.resolve(address_.host, address_.port, problem);
        if (problem) return fail(error::unreachable, {{"reason", problem.message()}}, address_.text);
        Socket socket(io_);
        std::optional<std::error_code> result;
        asio::async_connect(socket, endpoints, [&](std::error_code outcome, const auto&) { result = outcome; });
        io_.restart();
        const auto until = std::chrono::steady_clock::now() + connect_patience;
        while (!result && !io_.stopped() && std::chrono::steady_clock::now() < until)
            io_.run_one_until(until);
        if (!result) {
            std::error_code ignored;
            socket.close(ignored);
            while (!result && io_.poll_one() > 0) {
            }
            return fail(error::unreachable, {{"reason", "no answer"}}, address_.text);
        }
        if (*result) return fail(error::unreachable, {{"reason", result->message()}}, address_.text);
        socket.set_option(asio::ip::tcp::no_delay(true), problem);
        stream_.emplace<Socket>(std::move(socket));
        return {};
    }

    template <class Action>
    void with_stream(Action action) {
        if (auto* serial = std::get_if<Serial>(&stream_)) action(*serial);
        if (auto* socket = std::get_if<Socket>(&stream_)) action(*socket);
    }

    void read() {
        with_stream([this](auto& stream) {
            stream.async_read_some(asio::buffer(incoming_), [this](std::error_code problem, std::size_t count) {
                if (problem == asio::error::operation_aborted) return;
                if (problem) return lost(problem);
                session_->received({incoming_.data(), count}, seconds_now());
                flush();
                read();
            });
        });
    }

    void tick() {
        timer_.expires_after(tick_interval);
        timer_.async_wait([this](std::error_code problem) {
            if (problem) return;
            session_->tick(seconds_now());
            flush();
            tick();
        });
    }

    /// Sends what the session has to say and tells the listener what happened.
    void flush() {
        if (!writing_ && !closed_) {
            outgoing_ = session_->take_output();
            if (!outgoing_.empty()) write();
        }
        auto events = session_->take_events();
        events.insert(events.end(), std::make_move_iterator(pending_.begin()), std::make_move_iterator(pending_.end()));
        pending_.clear();
        if (!events.empty()) listener_(std::move(events));
    }

    void write() {
        writing_ = true;
        with_stream([this](auto& stream) {
            asio::async_write(stream, asio::buffer(outgoing_), [this](std::error_code problem, std::size_t) {
                writing_ = false;
                if (problem == asio::error::operation_aborted) return;
                if (problem) return lost(problem);
                flush();
            });
        });
    }

    void lost(std::error_code problem) {
        if (closed_) return;
        shut();
        session_->closed(problem == asio::error::eof ? "closed by the other side" : problem.message(), seconds_now());
        flush();
    }

    void shut() {
        closed_ = true;
        darkened_.reset();
        with_stream([](auto& stream) {
            std::error_code ignored;
            stream.close(ignored);
        });
    }

    Address address_;
    machine::MachineProfile profile_;
    Listener listener_;
    std::optional<machine::RememberedPlace> before_;
    asio::io_context io_;
    asio::steady_timer timer_;
    std::variant<std::monostate, Serial, Socket> stream_;
    std::optional<DarkenedOnFault> darkened_;
    std::unique_ptr<machine::Session> session_;
    std::array<char, 4096> incoming_{};
    std::string outgoing_;
    bool writing_ = false, closed_ = false;
    std::vector<machine::Event> pending_;
    std::thread thread_;
};

SessionRunner::SessionRunner(Address address, machine::MachineProfile profile, Listener listener,
                             std::optional<machine::RememberedPlace> before)
    : worker_(
          std::make_unique<Worker>(std::move(address), std::move(profile), std::move(listener), std::move(before))) {}

SessionRunner::~SessionRunner() = default;

void SessionRunner::request(Request request) {
    worker_->request(std::move(request));
}

}  // namespace chalkline::link
