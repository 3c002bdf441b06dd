// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/link/darken.hpp>
#include <chalkline/link/session_runner.hpp>

#include <asio.hpp>

#include <array>
#include <chrono>
#include <functional>
#include <mutex>
#include <optional>
#include <thread>
#include <utility>
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

/// Asks the system for the addresses of a name. That may take as long as it likes and cannot be called off: it goes on
/// by itself, and nobody listens any more.
class NameQuestion {
 public:
    using Endpoints = asio::ip::tcp::resolver::results_type;
    using Answered = std::function<void(std::error_code, Endpoints)>;

    /// `answered` is called on the context's thread.
    void ask(asio::io_context& io, const std::string& host, const std::string& port, Answered answered) {
        {
            const std::lock_guard lock(shared_->guard);
            shared_->io = &io;
        }
        std::thread([shared = shared_, host, port, answered = std::move(answered)] {
            asio::io_context own;
            asio::ip::tcp::resolver resolver(own);
            std::error_code problem;
            auto endpoints = resolver.resolve(host, port, problem);
            const std::lock_guard lock(shared->guard);
            if (shared->io) asio::post(*shared->io, [answered, problem, endpoints] { answered(problem, endpoints); });
        }).detach();
    }
    void forget() {
        const std::lock_guard lock(shared_->guard);
        shared_->io = nullptr;
    }

 private:
    struct Shared {
        std::mutex guard;
        asio::io_context* io = nullptr;
    };
    std::shared_ptr<Shared> shared_ = std::make_shared<Shared>();
};

/// The link from its opening to its end, on a thread of its own. All below but the constructor, `request` and the
/// destructor runs there, one thing at a time, and nothing waits:
///
///     opening ── name found ──> connecting ── connected ──> talking ── lost, dropped ──> ended
///        └──────── failed ───────────┴────────── failed, no answer ────────────────────────┘
class SessionRunner::Worker {
 public:
    Worker(Address address, machine::MachineProfile profile, Listener listener,
           std::optional<machine::RememberedPlace> before)
        : address_(std::move(address)),
          profile_(std::move(profile)),
          listener_(std::move(listener)),
          before_(std::move(before)),
          timer_(io_),
          socket_(io_) {
        asio::post(io_, [this] { open(); });
        thread_ = std::thread([this] { run(); });
    }

    ~Worker() {
        asio::post(io_, [this] { shut(); });
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

    void run() { io_.run(); }

    void open() {
        if (ended_) return;
        if (address_.tcp) {
            question_.ask(io_, address_.host, address_.port,
                          [this](std::error_code problem, const NameQuestion::Endpoints& found) {
                              problem ? not_opened(problem.message()) : connect(found);
                          });
            return wait_for_answer();
        }
        const auto descriptor = open_serial(address_.text, profile_.baud);
        if (!descriptor) return not_opened(descriptor.error());
        stream_.emplace<Serial>(io_, *descriptor);
        begin(is_pseudo_terminal(*descriptor) ? no_restart : board_restart);
    }

    /// Finding the name and connecting together take no longer than this.
    void wait_for_answer() {
        timer_.expires_after(connect_patience);
        timer_.async_wait([this](std::error_code problem) {
            if (problem || ended_ || session_) return;
            question_.forget();
            std::error_code ignored;
            socket_.close(ignored);
            not_opened("no answer");
        });
    }

    void connect(const NameQuestion::Endpoints& endpoints) {
        if (ended_ || refused_) return;
        asio::async_connect(socket_, endpoints, [this](std::error_code problem, const auto&) {
            if (ended_ || refused_) return;
            timer_.cancel();
            if (problem) return not_opened(problem.message());
            socket_.set_option(asio::ip::tcp::no_delay(true), problem);
            stream_.emplace<Socket>(std::move(socket_));
            begin(no_restart);
        });
    }

    void not_opened(const std::string& reason) {
        not_opened(Error{std::string(error::unreachable), {{"reason", reason}}, address_.text, 0});
    }
    void not_opened(const Error& problem) {
        if (ended_ || std::exchange(refused_, true)) return;
        timer_.cancel();
        listener_({machine::event::Failed{machine::Activity::connecting, problem}});
    }

    void begin(double greeting_wait) {
        with_stream([this](auto& stream) { darkened_.emplace(stream.native_handle(), profile_.dialect); });
        session_ = machine::make_session(profile_, greeting_wait, before_);
        session_->opened(seconds_now());
        read();
        tick();
        flush();
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
            if (problem || closed_) return;
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
        close();
        session_->closed(problem == asio::error::eof ? "closed by the other side" : problem.message(), seconds_now());
        flush();
    }

    /// The port is closed: nothing more is sent.
    void close() {
        closed_ = true;
        darkened_.reset();
        with_stream([](auto& stream) {
            std::error_code ignored;
            stream.close(ignored);
        });
    }

    /// Everything that could still call back is called off, so that the thread ends.
    void shut() {
        ended_ = true;
        question_.forget();
        timer_.cancel();
        std::error_code ignored;
        socket_.close(ignored);
        close();
        work_.reset();
    }

    Address address_;
    machine::MachineProfile profile_;
    Listener listener_;
    std::optional<machine::RememberedPlace> before_;
    asio::io_context io_;
    asio::executor_work_guard<asio::io_context::executor_type> work_{io_.get_executor()};
    asio::steady_timer timer_;
    Socket socket_;  ///< while it connects
    NameQuestion question_;
    std::variant<std::monostate, Serial, Socket> stream_;
    std::optional<DarkenedOnFault> darkened_;
    std::unique_ptr<machine::Session> session_;
    std::array<char, 4096> incoming_{};
    std::string outgoing_;
    bool writing_ = false;
    bool refused_ = false, closed_ = false, ended_ = false;  ///< it was never opened; is open no more; nobody listens
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
