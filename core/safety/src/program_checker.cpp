// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/geometry/outside_distance.hpp>
#include <chalkline/safety/program_checker.hpp>

#include <charconv>
#include <cmath>
#include <numbers>
#include <optional>

namespace chalkline::safety {
namespace {

using geometry::Point;

constexpr double place_slack = 0.006;  // mm: half of the last decimal sent, twice

enum class Mode { off, following, constant };

/// The words of one line, without any allocation: programs have millions of lines.
struct Words {
    static constexpr std::size_t most_codes = 12;
    double codes[most_codes];
    bool is_m[most_codes];
    std::size_t count = 0;
    double values[26];
    std::uint32_t stated = 0;

    bool has(char letter) const { return (stated >> (letter - 'A') & 1U) != 0; }
    std::optional<double> value(char letter) const {
        return has(letter) ? std::optional(values[letter - 'A']) : std::nullopt;
    }
    bool add_code(bool m, double code) {
        if (count == most_codes) return false;
        is_m[count] = m;
        codes[count++] = code;
        return true;
    }
    bool add_value(char letter, double value) {
        if (has(letter)) return false;
        stated |= 1U << (letter - 'A');
        values[letter - 'A'] = value;
        return true;
    }
};

/// Highest S value whatever the step: half a unit is lost in rounding, but never above full power or for nothing at
/// all.
double highest_of(const ProgramLimits& limits) {
    const double full = limits.machine.full_power_s;
    const double most = full * limits.most.fraction();
    return most > 0 ? std::min(full, most + 0.5) : 0;
}

std::optional<Words> parse_words(const std::string& text) {
    Words words;
    const char* at = text.data();
    const char* const end = at + text.size();
    while (at < end) {
        const char letter = *at++;
        if (at < end && *at == '+') return {};
        double value = 0;
        const auto [next, problem] = std::from_chars(at, end, value, std::chars_format::fixed);
        if (problem != std::errc() || !std::isfinite(value)) return {};
        at = next;
        if (letter == 'G' || letter == 'M') {
            if (!words.add_code(letter == 'M', value)) return {};
        } else if (std::string_view("XYZAIJFSP").find(letter) == std::string_view::npos ||
                   !words.add_value(letter, value)) {
            return {};
        }
    }
    return words;
}

class Checker {
 public:
    Checker(const ProgramLimits& limits, std::size_t most)
        : limits_(limits),
          most_(most),
          stock_(limits.stock),
          per_mm_(limits.machine.turning ? limits.machine.turning->per_mm : 1),
          along_(limits.machine.turning && limits.machine.turning->axis == machine::RotaryAxis::fourth ? 'A' : 'Y') {}

    std::vector<ProgramFault> run(machine::LineSource& lines) {
        while (faults_.size() < most_ && lines.next(line_)) {
            ++number_;
            check_line();
        }
        if (number_ == 0) report(fault::empty);
        if (mode_ != Mode::off && faults_.size() < most_) report(fault::ends_lit);
        return std::move(faults_);
    }

 private:
    void report(std::string_view code) {
        if (faults_.size() < most_) faults_.push_back({std::string(code), number_, line_.operation, line_.text, at_});
    }

    void check_line() {
        const std::string& text = line_.text;
        if (text.size() > machine::longest_line) report(fault::line_too_long);
        for (const char c : text)
            if (c < 0x20 || c > 0x7e || c == '!' || c == '?' || c == '~') return report(fault::forbidden_byte);
        const auto words = parse_words(text);
        if (!words) return report(fault::unknown_word);
        for (std::size_t i = 0; i < words->count; ++i)
            if (!(words->is_m[i] ? apply_m(words->codes[i]) : apply_g(words->codes[i])))
                return report(fault::unknown_word);
        apply_values(*words);
        const char other = along_ == 'A' ? 'Y' : 'A';
        if (words->has(other)) return report(fault::unknown_word);
        const bool moves = words->has('X') || words->has(along_);
        if (words->has('Z'))
            lift(moves);
        else if (moves && !dwell_)
            move(*words);
        else
            check_rest();
        dwell_ = false;
    }

    bool apply_g(double code) {
        const int tenths = static_cast<int>(std::lround(code * 10));
        switch (tenths) {
            case 0:
                motion_ = 0;
                return true;
            case 10:
                motion_ = 1;
                return true;
            case 20:
                motion_ = 2;
                return true;
            case 30:
                motion_ = 3;
                return true;
            case 40:
                dwell_ = true;
                return true;
            case 170:
                plane_set_ = true;
                return true;
            case 200:
                unit_ = 25.4;
                units_set_ = true;
                return true;
            case 210:
                unit_ = 1;
                units_set_ = true;
                return true;
            case 540:
                return true;
            case 800:
                motion_ = -1;
                return true;
            case 900:
                absolute_ = true;
                distance_set_ = true;
                return true;
            case 910:
                absolute_ = false;
                distance_set_ = true;
                return true;
            case 911:
                return true;
            case 940:
                return true;
            default:
                return false;
        }
    }

    bool apply_m(double code) {
        if (code == 3)
            mode_ = Mode::constant;
        else if (code == 4)
            mode_ = Mode::following;
        else if (code == 5 || code == 2 || code == 30)
            mode_ = Mode::off;
        else if (code != 7 && code != 8 && code != 9)
            return false;
        return true;
    }

    void apply_values(const Words& words) {
        if (const auto f = words.value('F')) {
            feed_ = *f * unit_;
            if (!(feed_ > 0) || feed_ > fastest() + 0.5) report(fault::too_fast);
        }
        if (const auto s = words.value('S')) {
            power_ = *s;
            double most = highest_of(limits_);
            if (limits_.step_power && line_.operation >= 0)
                most = std::min(most, limits_.step_power(line_.operation) + 0.5);
            if (power_ < 0 || power_ > most) report(fault::too_much_power);
        }
        if (words.has('S') && power_ > 0 && mode_ == Mode::off) report(fault::beam_not_enabled);
    }

    double fastest() const { return std::max(limits_.machine.max_rate_x, limits_.machine.max_rate_y * per_mm_); }

    void check_rest() {
        if (mode_ == Mode::constant && power_ > 0) report(fault::beam_at_rest);
    }

    /// The focus moves alone, dark, on machines that can.
    void lift(bool moves_too) {
        if (!limits_.machine.z_axis || moves_too || dwell_ || motion_ != 0) report(fault::unknown_word);
    }

    void move(const Words& words) {
        if (!units_set_ || !distance_set_ || !plane_set_) return report(fault::mode_not_set);
        if (motion_ < 0) return report(fault::unknown_word);
        const auto word = [&](char letter) {
            const auto value = words.value(letter);
            return value ? std::optional(*value * unit_) : std::nullopt;
        };
        const auto x = word('X');
        auto y = word(along_);
        if (y) *y /= per_mm_;
        if (absolute_) {
            x_known_ = x_known_ || x;
            y_known_ = y_known_ || y;
        }
        if (!x_known_ || !y_known_) return report(fault::place_unknown);
        const Point from = at_;
        const Point base = absolute_ ? Point{} : at_;
        const Point to{x ? base.x + *x : at_.x, y ? base.y + *y : at_.y};
        if (motion_ > 0 && !(feed_ > 0)) report(fault::no_feed);
        const bool lit = motion_ > 0 && mode_ != Mode::off && power_ > 0;
        // No arc stays one on a surface that is counted otherwise.
        if (motion_ >= 2 && limits_.machine.turning) return report(fault::unknown_word);
        if (motion_ >= 2) check_arc(from, to, from + Point{word('I').value_or(0), word('J').value_or(0)}, lit);
        at_ = to;
        check_place(to, lit);
        if (lit && motion_ == 1) check_line(from, to);
    }

    /// The start of a lit line, and where the piece has hollows the way as well, a millimetre apart.
    void check_line(Point from, Point to) {
        check_place(from, true);
        if (stock_.convex()) return;
        const int steps = static_cast<int>(geometry::distance(from, to));
        for (int i = 1; i < steps; ++i) {
            const std::size_t before = faults_.size();
            check_place(geometry::between(from, to, static_cast<double>(i) / steps), true);
            if (faults_.size() != before) return;
        }
    }

    /// Points along the arc, a degree apart.
    void check_arc(Point from, Point to, Point centre, bool lit) {
        const double radius = geometry::distance(from, centre);
        const double first = std::atan2(from.y - centre.y, from.x - centre.x);
        double sweep = std::atan2(to.y - centre.y, to.x - centre.x) - first;
        if (motion_ == 3 && sweep <= 0) sweep += 2 * std::numbers::pi;
        if (motion_ == 2 && sweep >= 0) sweep -= 2 * std::numbers::pi;
        for (int i = 0; i <= 360; ++i) {
            const double t = first + sweep * i / 360;
            const std::size_t before = faults_.size();
            check_place(centre + Point{std::cos(t), std::sin(t)} * radius, lit);
            if (faults_.size() != before) return;
        }
    }

    void check_place(Point p, bool lit) {
        const double slack = place_slack / std::min(1.0, per_mm_);
        const bool inside = limits_.machine.bed().contains(p, slack);
        if (!inside) return report(lit ? fault::beam_off_bed : fault::beyond_limits);
        if (lit && !limits_.stock.points.empty() && stock_.by(p) > slack) report(fault::beam_off_stock);
    }

    const ProgramLimits& limits_;
    std::size_t most_;
    geometry::OutsideDistance stock_;
    double per_mm_;  ///< what the axis round a piece counts for a millimetre
    char along_;     ///< its letter
    machine::ProgramLine line_;
    std::int64_t number_ = 0;
    std::vector<ProgramFault> faults_;
    Point at_;
    bool x_known_ = false, y_known_ = false;
    bool units_set_ = false, distance_set_ = false, plane_set_ = false, absolute_ = true;
    bool dwell_ = false;
    double unit_ = 1, feed_ = 0, power_ = 0;
    int motion_ = -1;
    Mode mode_ = Mode::off;
};

}  // namespace

std::vector<ProgramFault> check_program(machine::LineSource& lines, const ProgramLimits& limits, std::size_t most) {
    return Checker(limits, most).run(lines);
}

}  // namespace chalkline::safety
