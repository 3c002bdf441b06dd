// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/let_through.hpp"
#include "support/simulator_process.hpp"

#include <chalkline/link/session_runner.hpp>
#include <chalkline/ports/ports.hpp>
#include <chalkline/pty/pty.hpp>

#include <arpa/inet.h>
#include <catch2/catch.hpp>
#include <netinet/in.h>
#include <sys/socket.h>
#include <unistd.h>

#include <condition_variable>
#include <mutex>

using namespace chalkline;
using namespace std::chrono_literals;
namespace event = machine::event;

namespace {

/// A runner whose events can be waited for.
class Caller {
 public:
    explicit Caller(const std::string& address)
        : runner_(link::parse_address(address).value(), {}, [this](std::vector<machine::Event> events) {
              const std::lock_guard lock(mutex_);
              for (auto& e : events)
                  events_.push_back(std::move(e));
              arrived_.notify_all();
          }) {}

    template <class E>
    std::optional<E> wait_for(std::chrono::seconds patience = 30s) {
        std::unique_lock lock(mutex_);
        std::optional<E> found;
        arrived_.wait_for(lock, patience, [&] {
            for (; seen_ < events_.size(); ++seen_)
                if (const auto* e = std::get_if<E>(&events_[seen_])) {
                    found = *e;
                    ++seen_;
                    return true;
                }
            return false;
        });
        return found;
    }
    void ask(link::SessionRunner::Request request) { runner_.request(std::move(request)); }

 private:
    std::mutex mutex_;
    std::condition_variable arrived_;
    std::vector<machine::Event> events_;
    std::size_t seen_ = 0;
    link::SessionRunner runner_;  // last: its thread must end first
};

std::string failure(const std::string& address) {
    const auto parsed = link::parse_address(address);
    if (!parsed) return parsed.error().code;
    Caller caller(address);
    const auto failed = caller.wait_for<event::Failed>();
    return failed ? failed->error.code : "nothing";
}

class Square : public machine::LineSource {
 public:
    bool next(machine::ProgramLine& line) override {
        static const std::vector<std::string> lines{
            "G21G90G17G94G54", "M5S0", "M4S0", "G0X50Y50", "G1X80S500F3000", "Y80", "X50", "Y50", "M5S0"};
        if (at_ == lines.size()) return false;
        line = {lines[at_++], 0};
        return true;
    }

 private:
    std::size_t at_ = 0;
};

}  // namespace

TEST_CASE("ports that cannot be used are told apart") {
    CHECK(failure("/dev/there-is-no-such-port") == link::error::missing);
    CHECK(failure("/etc/hostname") == link::error::not_a_port);
    CHECK(failure("/tmp") == link::error::not_a_port);
    CHECK(failure("tcp:127.0.0.1:1") == link::error::unreachable);
    CHECK(failure("tcp:somewhere") == link::error::bad_address);
    CHECK(failure("tcp:127.0.0.1:web") == link::error::bad_address);
    CHECK(failure("") == link::error::bad_address);
}

TEST_CASE("a port is ours alone") {
    test::SimulatorProcess machine(CHALKLINE_SIM);
    Caller first(machine.port());
    REQUIRE(first.wait_for<event::Ready>());
    CHECK(failure(machine.port()) == link::error::busy);
}

TEST_CASE("through a real pty: home, burn, and the link ends when the machine does") {
    test::SimulatorProcess machine(CHALKLINE_SIM);
    Caller caller(machine.port());
    REQUIRE(caller.wait_for<event::Ready>());
    caller.ask([](machine::Session& s) { return s.burn(test::let_through(std::make_unique<Square>(), s.profile())); });
    const auto refused = caller.wait_for<event::Refused>();
    REQUIRE(refused);
    CHECK(refused->error.code == machine::error::locked);
    caller.ask([](machine::Session& s) { return s.home(); });
    REQUIRE(caller.wait_for<event::Finished>());
    std::this_thread::sleep_for(400ms);  // until a status has told the new place
    caller.ask([](machine::Session& s) { return s.burn(test::let_through(std::make_unique<Square>(), s.profile())); });
    const auto burned = caller.wait_for<event::Finished>();
    REQUIRE(burned);
    CHECK(burned->activity == machine::Activity::burning);
    machine.finish();
    CHECK(machine.clean());
    CHECK(machine.figure("beam_on_mm") == Approx(120).margin(0.01));
    const auto failed = caller.wait_for<event::Failed>();
    REQUIRE(failed);
    CHECK(failed->error.code == machine::error::link_lost);
}

TEST_CASE("a pseudo-terminal takes no place that is not its own") {
    const std::string file = std::filesystem::temp_directory_path() / ("pty-test-" + std::to_string(::getpid()));
    std::ofstream(file) << "mine";
    CHECK(pty::Pty::open(file).error().code == pty::error::link_taken);
    CHECK(std::filesystem::file_size(file) == 4);
    std::filesystem::remove(file);
    {
        const auto made = pty::Pty::open(file);
        REQUIRE(made);
        CHECK(std::filesystem::is_symlink(file));
        CHECK(pty::Pty::open(file));  // an old link is replaced
    }
    CHECK_FALSE(std::filesystem::exists(std::filesystem::symlink_status(file)));
}

TEST_CASE("listing ports never fails and never lists pseudo-terminals") {
    for (const auto& port : ports::list())
        CHECK(port.path.find("/pts/") == std::string::npos);
}

TEST_CASE("whoever has a file open is named, and nobody else") {
    test::SimulatorProcess machine(CHALKLINE_SIM);
    const std::string holder = link::holder_of(std::filesystem::canonical(machine.port()));
    CHECK(holder.starts_with("chalkline-sim (process "));
    CHECK(link::holder_of("/dev/there-is-no-such-port").empty());
}

namespace {

/// Somebody at the far end of a TCP connection on this computer.
class FarEnd {
 public:
    FarEnd() {
        socket_ = ::socket(AF_INET, SOCK_STREAM | SOCK_CLOEXEC, 0);
        sockaddr_in address{};
        address.sin_family = AF_INET;
        address.sin_addr.s_addr = htonl(INADDR_LOOPBACK);
        REQUIRE(::bind(socket_, reinterpret_cast<sockaddr*>(&address), sizeof address) == 0);
        REQUIRE(::listen(socket_, 4) == 0);
        socklen_t size = sizeof address;
        ::getsockname(socket_, reinterpret_cast<sockaddr*>(&address), &size);
        port_ = ntohs(address.sin_port);
    }
    ~FarEnd() { ::close(socket_); }
    std::string address() const { return "tcp:127.0.0.1:" + std::to_string(port_); }
    /// The next connection.
    int accept() const { return ::accept4(socket_, nullptr, nullptr, SOCK_CLOEXEC); }

 private:
    int socket_, port_ = 0;
};

}  // namespace

TEST_CASE("a connection over TCP that is dropped, never answered or given up ends its thread") {
    SECTION("dropped as soon as it is there") {
        const FarEnd end;
        Caller caller(end.address());
        ::close(end.accept());
        const auto failed = caller.wait_for<event::Failed>();
        REQUIRE(failed);
        CHECK(failed->error.code == machine::error::link_lost);
    }
    SECTION("given up while it is connecting, or before its name is found") {
        const FarEnd end;
        for (const std::string& address : {end.address(), std::string("tcp:192.0.2.1:23"),
                                           std::string("tcp:no-such-name.invalid:23"), std::string("tcp:localhost:9")})
            for (int i = 0; i < 10; ++i)
                Caller caller(address);  // and gone again
    }
    SECTION("refused, and named") {
        int port = 0;
        {
            const FarEnd gone;
            port = std::stoi(gone.address().substr(gone.address().rfind(':') + 1));
        }
        CHECK(failure("tcp:127.0.0.1:" + std::to_string(port)) == link::error::unreachable);
        CHECK(failure("tcp:no-such-name.invalid:23") == link::error::unreachable);
    }
}
