// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/checksum.hpp>
#include <chalkline/machine/program_bytes.hpp>

#include <bit>
#include <cstring>
#include <type_traits>

namespace chalkline::machine {
namespace {

static_assert(std::endian::native == std::endian::little, "the format is little endian");
constexpr std::string_view mark = "CKPROG1\n";

enum class Act : std::uint8_t { travel, trace, sweep, dwell, air, beam, focus };

class Writer {
 public:
    template <class Value>
    void put(const Value& value) {
        static_assert(std::is_arithmetic_v<Value> || std::is_enum_v<Value>);
        bytes_.append(reinterpret_cast<const char*>(&value), sizeof value);
    }
    void put(geometry::Point p) {
        put(p.x);
        put(p.y);
    }

    void put(const Operation& operation) {
        put(static_cast<std::uint8_t>(operation.act.index()));
        put(operation.speed.mm_per_min());
        put(operation.origin.step);
        put(operation.origin.motif);
        put(operation.origin.pass);
        std::visit([this](const auto& act) { put_act(act); }, operation.act);
    }

    std::string take() { return std::move(bytes_); }
    const std::string& bytes() const { return bytes_; }

 private:
    void put_act(const Travel& act) {
        put(act.to);
        put(static_cast<std::uint8_t>(act.rapid));
    }
    void put_act(const Trace& act) {
        put(act.first);
        put(act.count);
        put(act.power);
    }
    void put_act(const Sweep& act) {
        put(act.to);
        put(act.first);
        put(act.count);
    }
    void put_act(const Dwell& act) { put(act.time.seconds()); }
    void put_act(const Air& act) { put(static_cast<std::uint8_t>(act.on)); }
    void put_act(const Beam& act) { put(static_cast<std::uint8_t>(act.mode)); }
    void put_act(const Focus& act) { put(act.height); }

    std::string bytes_ = std::string(mark);
};

/// Reads what `Writer` wrote; false once the bytes are used up.
class Reader {
 public:
    explicit Reader(std::string_view bytes) : bytes_(bytes) {}

    template <class Value>
    bool get(Value& value) {
        if (bytes_.size() < sizeof value) return false;
        std::memcpy(&value, bytes_.data(), sizeof value);
        bytes_.remove_prefix(sizeof value);
        return true;
    }
    bool get(geometry::Point& p) { return get(p.x) && get(p.y); }
    bool get(Operation& operation) {
        Act act{};
        double speed = 0;
        if (!get(act) || !get(speed) || !get(operation.origin.step) || !get(operation.origin.motif) ||
            !get(operation.origin.pass))
            return false;
        operation.speed = Speed::mm_per_min(speed);
        return get_act(act, operation);
    }
    std::size_t left() const { return bytes_.size(); }

 private:
    bool get_act(Act act, Operation& operation) {
        std::uint8_t flag = 0;
        double figure = 0;
        switch (act) {
            case Act::travel: {
                Travel travel{};
                if (!get(travel.to) || !get(flag)) return false;
                travel.rapid = flag != 0;
                operation.act = travel;
                return true;
            }
            case Act::trace: {
                Trace trace{};
                if (!get(trace.first) || !get(trace.count) || !get(trace.power)) return false;
                operation.act = trace;
                return true;
            }
            case Act::sweep: {
                Sweep sweep{};
                if (!get(sweep.to) || !get(sweep.first) || !get(sweep.count)) return false;
                operation.act = sweep;
                return true;
            }
            case Act::dwell:
                if (!get(figure)) return false;
                operation.act = Dwell{Duration::seconds(figure)};
                return true;
            case Act::air:
                if (!get(flag)) return false;
                operation.act = Air{flag != 0};
                return true;
            case Act::beam:
                if (!get(flag) || flag > static_cast<std::uint8_t>(BeamMode::constant)) return false;
                operation.act = Beam{static_cast<BeamMode>(flag)};
                return true;
            case Act::focus:
                if (!get(figure)) return false;
                operation.act = Focus{figure};
                return true;
        }
        return false;
    }

    std::string_view bytes_;
};

/// No trace or sweep reaches beyond what the program holds.
bool refers_to_itself(const Program& program) {
    for (const Operation& operation : program.operations) {
        if (const auto* trace = std::get_if<Trace>(&operation.act))
            if (std::uint64_t{trace->first} + trace->count > program.points.size()) return false;
        if (const auto* sweep = std::get_if<Sweep>(&operation.act))
            if (std::uint64_t{sweep->first} + sweep->count > program.runs.size()) return false;
    }
    return true;
}

}  // namespace

std::string to_bytes(const Program& program) {
    Writer writer;
    writer.put(static_cast<std::uint64_t>(program.operations.size()));
    writer.put(static_cast<std::uint64_t>(program.points.size()));
    writer.put(static_cast<std::uint64_t>(program.runs.size()));
    for (const Operation& operation : program.operations)
        writer.put(operation);
    for (const geometry::Point point : program.points)
        writer.put(point);
    for (const Run& run : program.runs) {
        writer.put(run.micrometres);
        writer.put(run.power);
    }
    writer.put(checksum(writer.bytes()));
    return writer.take();
}

Result<Program> program_from(std::string_view bytes) {
    const auto bad = fail(error::bad_program);
    std::uint64_t sum = 0, operations = 0, points = 0, runs = 0;
    if (bytes.size() < mark.size() + sizeof sum || !bytes.starts_with(mark)) return bad;
    const std::string_view body = bytes.substr(0, bytes.size() - sizeof sum);
    std::memcpy(&sum, bytes.data() + body.size(), sizeof sum);
    if (sum != checksum(body)) return bad;
    Reader reader(body.substr(mark.size()));
    if (!reader.get(operations) || !reader.get(points) || !reader.get(runs)) return bad;
    // Nothing is set aside for more than the bytes can hold.
    if (operations > reader.left() || points > reader.left() || runs > reader.left()) return bad;
    Program program;
    program.operations.resize(operations);
    program.points.resize(points);
    program.runs.resize(runs);
    for (Operation& operation : program.operations)
        if (!reader.get(operation)) return bad;
    for (geometry::Point& point : program.points)
        if (!reader.get(point)) return bad;
    for (Run& run : program.runs)
        if (!reader.get(run.micrometres) || !reader.get(run.power)) return bad;
    if (reader.left() != 0 || !refers_to_itself(program)) return bad;
    return program;
}

}  // namespace chalkline::machine
