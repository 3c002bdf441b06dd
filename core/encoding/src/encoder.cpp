// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/encoding/encoder.hpp>

#include <algorithm>
#include <charconv>
#include <cmath>
#include <iterator>
#include <utility>

namespace chalkline::machine {
namespace {

using geometry::Point;

/// Appends whole micrometres as the shortest decimal: 12340 → "12.34", 300 → ".3", −50 → "-.05".
void append_coordinate(std::string& line, char letter, std::int64_t micrometres) {
    char digits[24];
    char* at = digits;
    *at++ = letter;
    if (micrometres < 0) *at++ = '-';
    const std::uint64_t size = static_cast<std::uint64_t>(std::abs(micrometres));
    const std::uint64_t whole = size / 1000;
    auto part = static_cast<unsigned>(size % 1000);
    if (whole != 0 || part == 0) at = std::to_chars(at, std::end(digits), whole).ptr;
    if (part != 0) {
        *at++ = '.';
        for (unsigned place = 100; part != 0; part %= place, place /= 10)
            *at++ = static_cast<char>('0' + part / place);
    }
    line.append(digits, at);
}

std::int64_t micrometres(double mm) {
    return std::llround(mm * 1000);
}

}  // namespace

Encoder::Encoder(const Program& program, const MachineProfile& profile)
    : program_(program), profile_(profile), y_letter_(profile.y_letter()) {}

bool Encoder::next(ProgramLine& line) {
    while (ready_.empty()) {
        if (next_in_row_ < row_.ends.size()) {
            const std::size_t from = next_in_row_ == 0 ? 0 : row_.ends[next_in_row_ - 1];
            line.part = static_cast<std::int32_t>(next_in_row_);
            line.text.assign(row_.text, from, row_.ends[next_in_row_++] - from);
            line.operation = current_;
            line.step = step_;
            line.to = stops_[line.part].place;
            return true;
        }
        if (!begun_) {
            begun_ = true;
            prologue();
        } else if (next_operation_ < program_.operations.size()) {
            current_ = static_cast<std::int64_t>(next_operation_);
            step_ = program_.operations[next_operation_].origin.step;
            encode(program_.operations[next_operation_++]);
        } else if (!ended_) {
            ended_ = true;
            current_ = step_ = -1;
            ending();
        } else {
            return false;
        }
    }
    line = std::move(ready_.front());
    ready_.pop_front();
    return true;
}

void Encoder::prologue() {
    emit("G21G90G17G94G54");
    emit("M5S0");
}

void Encoder::ending() {
    if (beam_ != BeamMode::off || power_ != 0) emit("M5S0");
    emit("M9");
}

void Encoder::emit(std::string text, std::optional<Point> to) {
    if (std::exchange(relative_, false)) text.insert(0, "G90");
    ready_.push_back({std::move(text), current_, part_, to, step_});
}

std::string Encoder::motion(int code) {
    if (motion_ == code) return {};
    motion_ = code;
    return "G" + std::to_string(code);
}

void Encoder::append_power(std::string& line, PowerValue power, PowerValue& last) const {
    if (power == last) return;
    last = power;
    char digits[24] = {'S'};
    const auto end = std::to_chars(digits + 1, std::end(digits),
                                   (static_cast<std::int64_t>(power) * profile_.full_power_s + 5000) / 10000);
    line.append(digits, end.ptr);
}

std::string Encoder::power_word(PowerValue power, PowerValue& last) const {
    std::string word;
    append_power(word, power, last);
    return word;
}

std::int64_t Encoder::counted_y(double y) const {
    return micrometres(profile_.counted({0, y}).y);
}

void Encoder::append_place(std::string& line, Point to) const {
    append_coordinate(line, 'X', micrometres(to.x));
    append_coordinate(line, y_letter_, counted_y(to.y));
}

std::string Encoder::feed_word(Speed speed, Point from, Point to) {
    double feed = speed.mm_per_min();
    if (const double way = geometry::distance(from, to); profile_.turning && way > 0) {
        feed *= geometry::norm(profile_.counted(to - from)) / way;
        // Every direction has a feed of its own: a tenth of a per cent less is worth the shorter lines.
        feed = std::max(0.001, feed < 100 ? std::round(feed * 100) / 100 : std::round(feed));
    }
    if (feed == feed_) return {};
    feed_ = feed;
    std::string word;
    append_coordinate(word, 'F', micrometres(feed_));
    return word;
}

void Encoder::encode(const Operation& operation) {
    if (const auto* travel = std::get_if<Travel>(&operation.act)) {
        encode(*travel, operation.speed);
    } else if (const auto* trace = std::get_if<Trace>(&operation.act)) {
        encode(*trace, operation.speed);
    } else if (const auto* sweep = std::get_if<Sweep>(&operation.act)) {
        encode(*sweep, operation.speed);
    } else if (const auto* focus = std::get_if<Focus>(&operation.act)) {
        darken_at_rest();
        std::string line = motion(0);
        append_coordinate(line, 'Z', micrometres(focus->height));
        emit(std::move(line));
    } else if (const auto* dwell = std::get_if<Dwell>(&operation.act)) {
        darken_at_rest();
        std::string line = "G4";
        append_coordinate(line, 'P', micrometres(dwell->time.seconds()));
        emit(std::move(line));
    } else if (const auto* air = std::get_if<Air>(&operation.act)) {
        darken_at_rest();
        emit(!air->on ? "M9" : profile_.air == 7 ? "M7" : "M8");
    } else if (const auto* beam = std::get_if<Beam>(&operation.act)) {
        beam_ = beam->mode;
        power_ = 0;
        emit(beam_ == BeamMode::off ? "M5S0" : beam_ == BeamMode::following ? "M4S0" : "M3S0");
    }
}

/// A constant beam burns on while the head stands: what waits for the head to stand is preceded by no power.
void Encoder::darken_at_rest() {
    if (beam_ == BeamMode::constant && power_ > 0) emit(power_word(0, power_));
}

void Encoder::encode(const Travel& travel, Speed speed) {
    std::string place;
    append_place(place, travel.to);
    if (travel.rapid) {
        emit(motion(0) + place, travel.to);
    } else {
        const std::string power = power_word(0, power_);
        emit(motion(1) + place + power + feed_word(speed, at_, travel.to), travel.to);
    }
    at_ = travel.to;
    at_known_ = true;
}

void Encoder::encode(const Trace& trace, Speed speed) {
    // The travel before a trace already stated both coordinates; from there a word that keeps its value is left out.
    Point from = at_;
    for (std::uint32_t i = 0; i < trace.count; ++i) {
        const Point to = program_.points[trace.first + i];
        std::string line = motion(1);
        const bool x = !at_known_ || micrometres(to.x) != micrometres(from.x);
        const bool y = !at_known_ || counted_y(to.y) != counted_y(from.y);
        if (!x && !y) continue;
        if (x) append_coordinate(line, 'X', micrometres(to.x));
        if (y) append_coordinate(line, y_letter_, counted_y(to.y));
        line += power_word(trace.power, power_) + feed_word(speed, from, to);
        part_ = static_cast<std::int32_t>(i);
        emit(std::move(line), to);
        from = to;
        at_known_ = true;
    }
    part_ = 0;
    at_ = from;
}

void Encoder::find_stops(const Sweep& sweep) {
    stops_.resize(sweep.count);
    const double whole = geometry::distance(at_, sweep.to) * 1000;
    std::int64_t done = 0;
    for (std::uint32_t i = 0; i < sweep.count; ++i) {
        done += program_.runs[sweep.first + i].micrometres;
        const Point to =
            i + 1 == sweep.count ? sweep.to : geometry::between(at_, sweep.to, static_cast<double>(done) / whole);
        const std::int64_t x = micrometres(to.x);
        stops_[i] = {
            {static_cast<double>(x) / 1000, static_cast<double>(micrometres(to.y)) / 1000}, x, counted_y(to.y)};
    }
}

/// Relative lines hold differences of rounded places: rounding never adds up along the row.
void Encoder::write_row(const Sweep& sweep, const std::string& head, bool relative, Row& row) const {
    row.clear();
    row.text = head;
    PowerValue power = power_;
    Stop last{at_, micrometres(at_.x), counted_y(at_.y)};
    for (std::uint32_t i = 0; i < sweep.count; ++i) {
        const Stop& to = stops_[i];
        if (to.x != last.x) append_coordinate(row.text, 'X', relative ? to.x - last.x : to.x);
        if (to.y != last.y) append_coordinate(row.text, y_letter_, relative ? to.y - last.y : to.y);
        append_power(row.text, program_.runs[sweep.first + i].power, power);
        row.ends.push_back(row.text.size());
        last = to;
    }
}

void Encoder::encode(const Sweep& sweep, Speed speed) {
    if (sweep.count == 0) return;
    find_stops(sweep);
    const std::string head = motion(1) + feed_word(speed, at_, sweep.to);
    write_row(sweep, (relative_ ? "G90" : "") + head, false, row_);
    write_row(sweep, "G91" + head, true, other_row_);
    constexpr std::size_t back_to_absolute = 3;  // "G90" in front of what follows
    relative_ = other_row_.text.size() + back_to_absolute < row_.text.size();
    if (relative_) std::swap(row_, other_row_);
    next_in_row_ = 0;
    power_ = program_.runs[sweep.first + sweep.count - 1].power;
    at_ = sweep.to;
}

std::string encode_all(const Program& program, const MachineProfile& profile) {
    Encoder encoder(program, profile);
    std::string text;
    for (ProgramLine line; encoder.next(line);)
        text += line.text + "\n";
    return text;
}

}  // namespace chalkline::machine
