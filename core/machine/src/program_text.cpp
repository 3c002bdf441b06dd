// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/program_text.hpp>

#include <algorithm>
#include <charconv>
#include <cmath>
#include <numbers>
#include <optional>
#include <utility>
#include <vector>

namespace chalkline::machine {
namespace {

using geometry::Point;

struct Word {
    char letter;
    double value;
};

/// The words of one line without comments and blanks; nothing when something in it is no word.
std::optional<std::vector<Word>> words_in(std::string_view line) {
    std::string bare;
    bool comment = false;
    for (const char c : line) {
        if (c == ';') break;
        if (c == '(') comment = true;
        if (!comment && c > ' ' && c != '%') bare += static_cast<char>(c >= 'a' && c <= 'z' ? c - 'a' + 'A' : c);
        if (c == ')') comment = false;
    }
    std::vector<Word> words;
    for (const char* at = bare.data(); at != bare.data() + bare.size();) {
        Word word{*at++, 0};
        if (word.letter < 'A' || word.letter > 'Z') return {};
        if (at != bare.data() + bare.size() && *at == '+') ++at;
        const auto [end, problem] =
            std::from_chars(at, bare.data() + bare.size(), word.value, std::chars_format::fixed);
        if (problem != std::errc() || !std::isfinite(word.value)) return {};
        at = end;
        words.push_back(word);
    }
    return words;
}

/// What a controller remembers from line to line, and the operations made so far.
class TextReader {
 public:
    explicit TextReader(const MachineProfile& profile) : profile_(profile) {}

    /// The letter of a word it does not know; nothing when all went well.
    std::optional<Word> take(const std::vector<Word>& words) {
        bool dwells = false;
        std::optional<double> x, y;
        Point centre;
        double pause = 0;
        for (const Word& word : words) {
            switch (word.letter) {
                case 'G':
                    if (!take_g(word.value, dwells)) return word;
                    break;
                case 'M':
                    if (!take_m(word.value)) return word;
                    break;
                case 'X':
                    x = word.value;
                    break;
                case 'Y':
                    y = word.value;
                    break;
                case 'I':
                    centre.x = word.value * unit_;
                    break;
                case 'J':
                    centre.y = word.value * unit_;
                    break;
                case 'F':
                    feed_ = word.value * unit_;
                    break;
                case 'S':
                    share_ = std::clamp(word.value / profile_.full_power_s, 0.0, 1.0);
                    break;
                case 'P':
                    pause = word.value;
                    break;
                case 'N':
                    break;
                default:
                    return word;
            }
        }
        if (dwells) {
            add(Dwell{Duration::seconds(pause)});
        } else if (x || y) {
            const Point base = relative_ ? at_ : Point{};
            const Point to{x ? base.x + *x * unit_ : at_.x, y ? base.y + *y * unit_ : at_.y};
            if (motion_ == 2 || motion_ == 3)
                arc(to, at_ + centre);
            else
                line(to);
        }
        return {};
    }

    Program finish() {
        if (mode_ != BeamMode::off) add(Beam{BeamMode::off});
        return std::move(program_);
    }
    bool moved() const { return moved_; }

 private:
    bool take_g(double value, bool& dwells) {
        if (value == 0 || value == 1 || value == 2 || value == 3)
            motion_ = static_cast<int>(value);
        else if (value == 4)
            dwells = true;
        else if (value == 20 || value == 21)
            unit_ = value == 20 ? 25.4 : 1;
        else if (value == 90 || value == 91)
            relative_ = value == 91;
        else
            return value == 17 || value == 54 || value == 94 || value == 91.1 || value == 40 || value == 49 ||
                   value == 80;
        return true;
    }

    bool take_m(double value) {
        const auto beam = [&](BeamMode mode) {
            if (mode_ != mode) add(Beam{mode});
            mode_ = mode;
        };
        if (value == 3 || value == 4)
            beam(value == 3 ? BeamMode::constant : BeamMode::following);
        else if (value == 5)
            beam(BeamMode::off);
        else if (value == 7 || value == 8 || value == 9)
            air(value != 9);
        else
            return value == 0 || value == 2 || value == 30;
        return true;
    }

    void air(bool on) {
        if (on != air_) add(Air{on});
        air_ = on;
    }

    /// As the axes go at most where nothing was said.
    Speed speed() const { return feed_ > 0 ? Speed::mm_per_min(feed_) : profile_.top_speed(); }

    void line(Point to) {
        const PowerValue power = mode_ != BeamMode::off && motion_ != 0 ? power_value(Power::percent(share_ * 100)) : 0;
        if (std::exchange(moved_, true) && to == at_) return;
        if (motion_ == 0) {
            add(Travel{to, true});
        } else if (power == 0) {
            add(Travel{to, false});
        } else {
            lit(to, power);
        }
        at_ = to;
    }

    /// Lines of one power and speed that follow each other are one chain.
    void lit(Point to, PowerValue power) {
        auto& operations = program_.operations;
        auto* chain = operations.empty() ? nullptr : std::get_if<Trace>(&operations.back().act);
        if (chain && chain->power == power && operations.back().speed == speed()) {
            ++chain->count;
        } else {
            add(Trace{static_cast<std::uint32_t>(program_.points.size()), 1, power});
        }
        program_.points.push_back(to);
    }

    /// Chords within a hundredth of a millimetre.
    void arc(Point to, Point centre) {
        constexpr double sagitta = 0.01;
        const double radius = geometry::distance(at_, centre);
        const double begin = std::atan2(at_.y - centre.y, at_.x - centre.x);
        double sweep = std::atan2(to.y - centre.y, to.x - centre.x) - begin;
        const double turn = 2 * std::numbers::pi;
        if (motion_ == 2 && sweep >= -1e-9) sweep -= turn;
        if (motion_ == 3 && sweep <= 1e-9) sweep += turn;
        const double step = radius > sagitta ? 2 * std::acos(1 - sagitta / radius) : turn;
        const int chords = std::clamp(static_cast<int>(std::ceil(std::abs(sweep) / step)), 1, 100000);
        for (int i = 1; i < chords; ++i) {
            const double angle = begin + sweep * i / chords;
            line(centre + Point{std::cos(angle), std::sin(angle)} * radius);
        }
        line(to);
    }

    template <class Act>
    void add(Act act) {
        program_.operations.push_back({act, speed(), {step_of_file, -1, 0}});
    }

    const MachineProfile& profile_;
    Program program_;
    Point at_;
    int motion_ = 0;
    bool relative_ = false, moved_ = false, air_ = false;
    double unit_ = 1, feed_ = 0, share_ = 0;
    BeamMode mode_ = BeamMode::off;
};

}  // namespace

Result<Program> read_program(std::string_view text, const MachineProfile& profile, const std::string& file) {
    TextReader reader(profile);
    for (int number = 1; !text.empty(); ++number) {
        const auto end = std::min(text.find('\n'), text.size());
        const std::string_view line = text.substr(0, end);
        text.remove_prefix(std::min(text.size(), end + 1));
        const auto words = words_in(line);
        const std::string shown(line.substr(0, longest_line));
        if (!words) return fail(error::unknown_word, {{"word", shown}, {"text", shown}}, file, number);
        if (const auto unknown = reader.take(*words)) {
            std::string word(1, unknown->letter);
            char digits[32];
            const auto written = std::to_chars(digits, digits + sizeof digits, unknown->value);
            word.append(digits, written.ptr);
            return fail(error::unknown_word, {{"word", word}, {"text", shown}}, file, number);
        }
    }
    if (!reader.moved()) return fail(error::empty_program, {}, file);
    return reader.finish();
}

}  // namespace chalkline::machine
