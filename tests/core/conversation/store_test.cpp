// SPDX-License-Identifier: GPL-3.0-or-later
// The controller's own store: listed, written, carried out and cleared, and what may go wrong with it.
#include "support/board_bench.hpp"
#include "support/board_programs.hpp"
#include "support/let_through.hpp"

#include <chalkline/conversation/xmodem.hpp>

#include <poll.h>
#include <sys/wait.h>
#include <unistd.h>

#include <filesystem>

using namespace chalkline;
using namespace chalkline::machine;
using namespace chalkline::test;
using simulator::Board;
using simulator::Fault;
using simulator::StoreWords;

namespace {

const simulator::Store& card(const BoardBench& bench) {
    return bench.line_board ? bench.line_board->store() : bench.controller.store();
}

clearance::ClearedProgram copy_of(const std::shared_ptr<const Program>& program, const BoardBench& bench) {
    return let_through(std::make_unique<SharedEncoder>(program, bench.profile), bench.profile);
}

/// What was asked for is over: the code of its failure, "stopped" or "".
std::string ended(BoardBench& bench, const Result<void>& asked) {
    if (!asked) return asked.error().code;
    bench.failed.clear();
    const bool over = bench.until([&] { return bench.free(); }, 600);
    if (!over) return "never ended";
    if (bench.stopped) return "stopped";
    return bench.failed.empty() ? "" : bench.failed.back();
}

std::string store(BoardBench& bench, const std::shared_ptr<const Program>& program,
                  const std::string& name = "TAG.NC") {
    return ended(bench, bench.session->store(name, copy_of(program, bench)));
}

StoredFile listed(const BoardBench& bench, const std::string& name) {
    const auto found = bench.now().stored ? find_stored(*bench.now().stored, name) : std::nullopt;
    return found.value_or(StoredFile{name, -1});
}

bool takes_files(const Board& board) {
    return board.dialect == Dialect::line_by_line ? board.store != StoreWords::none : board.store == StoreWords::path;
}

}  // namespace

TEST_CASE("every board tells what its store holds, or that it has none") {
    for (const Board& board : all_boards()) {
        INFO(board.name);
        BoardBench bench(board);
        REQUIRE(bench.ready());
        const std::string end = ended(bench, bench.session->list_store());
        if (board.store == StoreWords::none) {
            CHECK(end == machine::error::no_store);
            continue;
        }
        REQUIRE(end.empty());
        REQUIRE(bench.now().stored);
        CHECK(bench.now().stored->size() == board.files.size());
        for (const auto& [name, text] : board.files)
            CHECK(listed(bench, name).bytes == static_cast<std::int64_t>(text.size()));
    }
}

TEST_CASE("a program sent to the store burns from there as it does from here, and is gone when it is deleted") {
    for (const Board& board : all_boards()) {
        if (!takes_files(board)) continue;
        INFO(board.name);
        const auto program = rows_and_cut(8, 12);
        BoardBench here(board);
        REQUIRE(here.make_ready());
        REQUIRE(here.burn(program));
        REQUIRE(here.over());

        BoardBench bench(board);
        REQUIRE(bench.make_ready());
        CHECK(store(bench, program) == "");
        CHECK(bench.controller.report().beam_on_mm == 0);
        const StoredFile file = listed(bench, "TAG.NC");
        REQUIRE(file.bytes > 0);
        CHECK(file.bytes == static_cast<std::int64_t>(card(bench).files().at("TAG.NC").size()));
        std::optional<double> share;
        REQUIRE(bench.session->run_stored(file, copy_of(program, bench)));
        CHECK(bench.now().activity == Activity::burning);
        REQUIRE(bench.until([&] {
            if (bench.now().stored_share) share = std::max(share.value_or(0), *bench.now().stored_share);
            return bench.free();
        }));
        INFO((bench.failed.empty() ? "" : bench.failed.back()));
        CHECK(bench.finished == 1);
        CHECK(share.value_or(0) > 0.3);
        CHECK(bench.now().state == ControllerState::idle);
        CHECK(gap(here.dose, bench.dose) < 0.02);
        CHECK(bench.controller.report().beam_on_mm == Approx(lit_mm(*program)).epsilon(1e-3));
        CHECK(bench.controller.report().violations.empty());

        CHECK(ended(bench, bench.session->remove_stored("TAG.NC")) == "");
        CHECK(listed(bench, "TAG.NC").bytes == -1);
        CHECK(card(bench).files().size() == board.files.size());
    }
}

TEST_CASE("a stored file is not started where it is not the one that was sent") {
    for (const char* name : {"late-greeting", "six-axes", "line-numbered"}) {
        INFO(name);
        BoardBench bench(board_named(name));
        REQUIRE(bench.make_ready());
        const std::string file = bench.controller.board().files.begin()->first;
        CHECK(ended(bench, bench.session->run_stored({file, 4711}, copy_of(rows_and_cut(), bench))) ==
              machine::error::store_differs);
        CHECK(ended(bench, bench.session->run_stored({"NONE.NC", 10}, copy_of(rows_and_cut(), bench))) ==
              machine::error::not_in_store);
        CHECK_FALSE(card(bench).runs());
        CHECK(bench.controller.report().beam_on_s == 0);
        // Nothing of it is left over for the next one.
        CHECK(bench.burn(rows_and_cut(2, 4)));
        CHECK(bench.over());
        CHECK(bench.finished == 1);
    }
}

TEST_CASE("a burn from the store is stopped as any other: dark, and nothing follows") {
    for (const Board& board : all_boards()) {
        if (!takes_files(board)) continue;
        INFO(board.name);
        const auto program = rows_and_cut(20, 20);
        BoardBench bench(board);
        REQUIRE(bench.make_ready());
        REQUIRE(store(bench, program) == "");
        REQUIRE(bench.session->run_stored(listed(bench, "TAG.NC"), copy_of(program, bench)));
        REQUIRE(bench.until([&] { return bench.controller.report().beam_on_mm > 30; }));
        bench.session->stop();
        REQUIRE(bench.until([&] { return bench.stopped.has_value(); }, 30));
        CHECK(bench.stopped->activity == Activity::burning);
        CHECK(bench.stopped->beam_off);
        bench.run(1);
        const double burned = bench.controller.report().beam_on_mm;
        bench.run(5);
        CHECK(bench.controller.report().beam_on_mm == burned);
        CHECK(bench.controller.beam() == 0);
        CHECK_FALSE(card(bench).runs());
        CHECK(burned < lit_mm(*program) / 2);
    }
}

TEST_CASE("a link lost while the store burns is told, and the machine goes on by itself") {
    for (const char* name : {"late-greeting", "line-plain"}) {
        INFO(name);
        const auto program = rows_and_cut(6, 10);
        BoardBench bench(board_named(name));
        REQUIRE(bench.make_ready());
        REQUIRE(store(bench, program) == "");
        REQUIRE(bench.session->run_stored(listed(bench, "TAG.NC"), copy_of(program, bench)));
        REQUIRE(bench.until([&] { return bench.controller.report().beam_on_mm > 10; }));
        bench.pull_out();
        REQUIRE_FALSE(bench.failed.empty());
        CHECK(bench.failed.back() == machine::error::link_lost);
        bench.run(60);
        CHECK(bench.controller.report().beam_on_mm == Approx(lit_mm(*program)).epsilon(1e-3));
        CHECK(bench.controller.beam() == 0);
    }
}

TEST_CASE("sending is stopped in the middle: nothing burned, and half a file is not left under its name") {
    for (const Board& board : all_boards()) {
        if (!takes_files(board)) continue;
        INFO(board.name);
        BoardBench bench(board);
        REQUIRE(bench.make_ready());
        REQUIRE(bench.session->store("TAG.NC", copy_of(rows_and_cut(), bench)));
        REQUIRE(bench.until([&] { return bench.now().lines_done > 100; }, 60));
        bench.session->stop();
        REQUIRE(bench.until([&] { return bench.free(); }, 30));
        CHECK(ended(bench, {}) == "stopped");
        bench.run(3);
        CHECK_FALSE(card(bench).files().contains("TAG.NC"));
        CHECK(bench.controller.report().beam_on_s == 0);
        // And the board is there for the next thing asked of it.
        bench.stopped.reset();
        if (!bench.now().position_sure) CHECK(bench.make_ready());
        CHECK(ended(bench, bench.session->list_store()) == "");
        CHECK(bench.now().stored->size() == board.files.size());
    }
}

TEST_CASE("a board that cannot write is never sent a line it would carry out") {
    for (const char* name : {"wrenfold", "line-plain", "six-axes"}) {
        INFO(name);
        Board board = std::string(name) == "wrenfold" ? Board{} : board_named(name);
        if (board.dialect == Dialect::line_by_line) board.store = StoreWords::none;
        BoardBench bench(board);
        REQUIRE(bench.make_ready());
        const auto before = bench.controller.head();
        const std::string end = store(bench, rows_and_cut(4, 6));
        CHECK((end == machine::error::no_store || end == machine::error::store_receives_nothing));
        CHECK(bench.controller.report().beam_on_s == 0);
        CHECK(geometry::distance(bench.controller.head(), before) < 1e-6);
        CHECK(bench.now().position_sure);
    }
}

TEST_CASE("answers lost or garbled while a file is written cost nothing where lines are numbered") {
    Board board = board_named("line-numbered");
    for (const auto kind : {Fault::Kind::lose_answer, Fault::Kind::garble_line}) {
        std::vector<Fault> faults;
        for (const double at : {20.0, 22.0, 24.0}) {
            Fault fault;
            fault.kind = kind;
            fault.at = at;
            faults.push_back(fault);
        }
        BoardBench bench(board, faults);
        REQUIRE(bench.make_ready());
        REQUIRE(bench.until([&] { return bench.controller.now() > 19; }, 60));
        const auto program = rows_and_cut();
        CHECK(store(bench, program) == "");
        BoardBench undisturbed(board);
        REQUIRE(undisturbed.make_ready());
        REQUIRE(store(undisturbed, program) == "");
        CHECK(card(bench).files().at("TAG.NC") == card(undisturbed).files().at("TAG.NC"));
    }
}

TEST_CASE("names that cards take") {
    CHECK(store_name("Key tag, 3 mm.svg", Dialect::realtime) == "KEY-TAG-3-MM.NC");
    CHECK(store_name("Key tag, 3 mm.svg", Dialect::line_by_line) == "KEY-TAG.GCO");
    CHECK(store_name("Schlüssel", Dialect::realtime) == "SCHL-SSEL.NC");
    CHECK(store_name("…", Dialect::realtime).empty());
    CHECK(parse_stored("[FILE: /A.NC|SIZE:12|UNUSABLE]", Dialect::realtime) == StoredFile{"A.NC", 12});
    CHECK_FALSE(parse_stored("[FILE:|SIZE:12]", Dialect::realtime));
    CHECK_FALSE(parse_stored("[FILE:A.NC|SIZE:1x2]", Dialect::realtime));
    CHECK(parse_stored("KEYTAG~1.GCO 1234 Key tag with a long name.gcode", Dialect::line_by_line) ==
          StoredFile{"KEYTAG~1.GCO", 1234});
    CHECK_FALSE(parse_stored("End file list", Dialect::line_by_line));
}

namespace {

/// The far end of a transfer by somebody else's program (lrzsz): bytes through two pipes.
class ForeignReceiver {
 public:
    ForeignReceiver(const std::string& file, bool crc) {
        int in[2], out[2];
        REQUIRE(::pipe(in) == 0);
        REQUIRE(::pipe(out) == 0);
        process_ = ::fork();
        if (process_ == 0) {
            ::dup2(in[0], 0);
            ::dup2(out[1], 1);
            std::filesystem::current_path(std::filesystem::path(file).parent_path());  // it writes only where it stands
            const std::string name = std::filesystem::path(file).filename();
            for (const int fd : {in[0], in[1], out[0], out[1]})
                ::close(fd);
            if (crc)
                ::execlp("rx", "rx", "--quiet", "--with-crc", name.c_str(), nullptr);
            else
                ::execlp("rx", "rx", "--quiet", name.c_str(), nullptr);
            ::_exit(127);
        }
        ::close(in[0]);
        ::close(out[1]);
        to_ = in[1];
        from_ = out[0];
    }
    ~ForeignReceiver() {
        ::close(to_);
        ::close(from_);
        int status = 0;
        ::waitpid(process_, &status, 0);
    }
    std::string read() const {
        pollfd ready{from_, POLLIN, 0};
        if (::poll(&ready, 1, 5000) <= 0) return {};
        char bytes[256];
        const auto count = ::read(from_, bytes, sizeof bytes);
        return count > 0 ? std::string(bytes, static_cast<std::size_t>(count)) : std::string();
    }
    void write(const std::string& bytes) const {
        if (!bytes.empty()) REQUIRE(::write(to_, bytes.data(), bytes.size()) == static_cast<ssize_t>(bytes.size()));
    }

 private:
    pid_t process_;
    int to_, from_;
};

}  // namespace

TEST_CASE("a file sent by XMODEM arrives at a receiver that is not ours, by sum and by CRC") {
    std::string text;
    for (int i = 0; i < 2000; ++i)
        text += "G1X" + std::to_string(i) + "S300\n";
    for (const bool crc : {false, true}) {
        const auto file = std::filesystem::temp_directory_path() / ("chalkline-rx-" + std::to_string(::getpid()));
        std::size_t at = 0;
        XmodemSender sender(
            [&](std::size_t wanted) {
                const std::string part = text.substr(std::min(at, text.size()), wanted);
                at += part.size();
                return part;
            },
            0);
        {
            const ForeignReceiver receiver(file.string(), crc);
            while (!sender.over()) {
                const std::string bytes = receiver.read();
                if (bytes.empty()) break;
                receiver.write(sender.take(bytes, 0));
            }
        }
        CHECK(sender.state() == XmodemSender::State::done);
        const auto arrived = read_file(file.string());
        REQUIRE(arrived);
        CHECK(arrived->size() == static_cast<std::size_t>(sender.arrived()));
        CHECK(arrived->substr(0, text.size()) == text);
        CHECK(arrived->find_first_not_of('\n', text.size()) == std::string::npos);
        std::filesystem::remove(file);
    }
}
