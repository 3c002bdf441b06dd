// SPDX-License-Identifier: GPL-3.0-or-later
#include "sentences.hpp"

#include <chalkline/conversation/contradictions.hpp>
#include <chalkline/wording/machine_words.hpp>
#include <chalkline/wording/swatch_words.hpp>
#include <chalkline/wording/wording.hpp>

#include <QCoreApplication>

namespace chalkline::wording {
namespace {

QString tr(const char* text) {
    return QCoreApplication::translate("wording", text);
}

QString text_of(const std::string& text) {
    return QString::fromStdString(text);
}

QString filled(const char* sentence, const Parameters& parameters) {
    QString text = *sentence ? tr(sentence) : QString();
    for (const auto& [name, value] : parameters)
        text.replace("{" + text_of(name) + "}", text_of(value));
    return text;
}

/// The controller's numbers in a maker's words (public interface of Grbl 1.1).
QString refusal(int number) {
    switch (number) {
        case 1:
        case 2:
            return tr("it could not read the line");
        case 3:
            return tr("it does not know this command");
        case 5:
            return tr("finding home is switched off in its settings");
        case 8:
            return tr("it is not idle");
        case 9:
            return tr("it is locked");
        case 11:
            return tr("the line is too long");
        case 15:
            return tr("the move would leave its work area");
        case 20:
            return tr("it does not support a word in the line");
        case 22:
            return tr("no speed was set");
        case 33:
            return tr("the target of the move makes no sense");
        default:
            return tr("its reason is number %1").arg(number);
    }
}

QString alarm(int number) {
    switch (number) {
        case 1:
            return tr("a limit switch was hit");
        case 2:
            return tr("a move would have left the work area");
        case 3:
            return tr("it was reset while moving");
        case 4:
        case 5:
            return tr("the probe did not find anything");
        case 6:
        case 7:
        case 8:
        case 9:
            return tr("home was not found");
        default:
            return tr("its reason is number %1").arg(number);
    }
}

/// What a key of the settings in the job file is called on the screen.
QString setting(std::string_view key) {
    if (key == "focus_mm") return tr("focus higher, -20 to 20 mm");
    if (key == "lower_each_pass_mm") return tr("focus down each pass, 0 to 20 mm");
    if (key == "air_lead_s") return tr("air before the beam, 0 to 60 s");
    if (key == "angle_deg") return tr("angle of scan lines");
    if (key == "run_up_mm") return tr("run-up, 0 to 200 mm");
    if (key == "shift_mm") return tr("shift of lines that run back, −5 to 5 mm");
    if (key == "kerf_mm") return tr("kerf, 0 to 5 mm");
    if (key == "lead_in_mm") return tr("lead-in, 0 to 50 mm");
    if (key == "overcut_mm") return tr("overcut, 0 to 50 mm");
    if (key == "bridges") return tr("bridges, 0 to 100");
    if (key == "bridge_width_mm") return tr("width of a bridge, 0.05 to 50 mm");
    if (key == "lowest_power") return tr("lowest power, 0 to 100 %");
    if (key == "noise") return tr("noise, 0 to 1");
    if (key == "cell_dots") return tr("dots from cluster to cluster, 2 to 200");
    if (key == "screen_angle_deg") return tr("angle of the screen");
    if (key == "response") return tr("response of the material, rising");
    return tr("perforation, together at least 0.05 mm");
}

/// What a substance does when its material is burned.
QString danger(std::string_view substance) {
    if (substance == "chlorine") return tr("it gives off chlorine, which harms lungs and eats the machine");
    if (substance == "cyanide") return tr("it gives off cyanide");
    if (substance == "fluorine") return tr("it gives off fluorine compounds, which are very poisonous");
    if (substance == "chromium") return tr("leather tanned with chromium gives off poisonous chromium dust");
    if (substance == "resin") return tr("its resin gives off poisonous fumes, and its fibres are harmful dust");
    if (substance == "arsenic") return tr("treated wood gives off arsenic or chromium");
    if (substance == "metal") return tr("its metal gives off poisonous fumes");
    return tr("it melts and catches fire easily");
}

Parameters with_reason(const Error& error) {
    Parameters parameters = error.parameters;
    for (const auto& [name, value] : error.parameters) {
        if (name == "what" && error.code == steps::error::setting_out_of_range)
            parameters.emplace_back("setting", setting(value).toStdString());
        if (name == "key" && error.code == machine::error::profile_contradicted)
            parameters.emplace_back("field", profile_field(value).name.toStdString());
        if (name != "number") continue;
        const int number = std::atoi(value.c_str());
        parameters.emplace_back("reason",
                                (error.code == machine::error::alarm ? alarm(number) : refusal(number)).toStdString());
    }
    return parameters;
}

Message from_sentence(const std::string& code, const Parameters& parameters) {
    const Sentence* sentence = find_sentence(code);
    if (!sentence) return {text_of(code), {}, {}};
    return {filled(sentence->what, parameters), {}, filled(sentence->help, parameters)};
}

}  // namespace

QString Message::whole() const {
    QString text = what;
    if (!where.isEmpty()) text += " (" + where + ")";
    if (!text.endsWith('.') && !text.endsWith('?')) text += ".";
    return help.isEmpty() ? text : text + " " + help;
}

Message describe(const Error& error) {
    Message message = from_sentence(error.code, with_reason(error));
    message.where = text_of(error.file);
    if (error.line > 0) {
        const QString line = tr("line %1").arg(error.line);
        message.where = message.where.isEmpty() ? line : message.where + ", " + line;
    }
    return message;
}

QString describe(const Notice& notice) {
    Parameters parameters = notice.parameters;
    for (auto& [name, value] : parameters)
        if (const auto variable = swatches::parse_variable(value); variable && name == "variable")
            value = wording::name(*variable).toStdString();
    return from_sentence(notice.code, parameters).what;
}

QString describe(art::Fault fault, int count) {
    const bool one = count == 1;
    switch (fault) {
        case art::Fault::empty_fill:
            return one ? tr("1 fill without any area") : tr("%1 fills without any area").arg(count);
        case art::Fault::tiny_bit:
            return one ? tr("1 bit smaller than the beam") : tr("%1 bits smaller than the beam").arg(count);
        case art::Fault::doubled_line:
            return one ? tr("1 line drawn twice") : tr("%1 lines drawn twice").arg(count);
        case art::Fault::doubled_outline:
            return one ? tr("1 thick line with both edges drawn")
                       : tr("%1 thick lines with both edges drawn").arg(count);
        case art::Fault::open_end:
            return one ? tr("1 pair of ends that nearly meet") : tr("%1 pairs of ends that nearly meet").arg(count);
        case art::Fault::two_inks:
            return one ? tr("1 line drawn in two inks: it burns twice if both burn")
                       : tr("%1 lines drawn in two inks: they burn twice if both burn").arg(count);
    }
    return {};
}

Message describe(const planning::Check& check) {
    Parameters parameters = check.parameters;
    for (const auto& [name, value] : check.parameters)
        if (name == "substance") parameters.emplace_back("danger", danger(value).toStdString());
    return from_sentence(check.code, parameters);
}

QString mending(const planning::Check& check) {
    const std::string_view code = check.code;
    namespace c = planning::check;
    if (code == c::off_bed) return tr("Bring it onto the bed");
    if (code == c::off_stock) return tr("Bring it onto the piece");
    if (code == c::near_edge) return tr("Keep the margin");
    if (code == c::short_run_up) return tr("Make room for it");
    if (code == c::cut_before_engrave || code == c::outer_before_inner) return tr("Put in order");
    if (code == c::ink_without_step) return tr("Give it a step");
    if (code == c::idle_step) return tr("Remove the step");
    if (code == c::settings) return tr("Bring it into range");
    if (code == c::above_ceiling) return tr("Lower to the ceiling");
    if (code == c::constant_beam) return tr("Let it follow the speed");
    if (code == c::pitch_wider_than_spot) return tr("Set it to the beam");
    if (code == c::hot_fill) return tr("Cool it down");
    if (code == c::drawn_twice) return tr("Burn them once");
    if (code == c::laser_mode_off) return tr("Turn it on");
    if (code == c::stale_frame) return tr("Frame again");
    return tr("Bring it near the recipes");
}

Message describe(const safety::ProgramFault& fault) {
    Message message = from_sentence(fault.code, {});
    if (fault.line > 0) message.where = tr("line %1: %2").arg(fault.line).arg(text_of(fault.text));
    return message;
}

std::optional<Message> obstacle(const clearance::Clearance& clearance) {
    if (clearance.program) return {};
    if (clearance.error) return describe(*clearance.error);
    for (const auto& check : clearance.checks)
        if (check.blocks()) return describe(check);
    if (!clearance.faults.empty()) return describe(clearance.faults.front());
    return describe(Error{std::string(planning::error::nothing_to_burn), {}, {}, 0});
}

QString name(steps::StepKind kind) {
    switch (kind) {
        case steps::StepKind::engrave:
            return tr("Engrave");
        case steps::StepKind::picture:
            return tr("Picture");
        case steps::StepKind::score:
            return tr("Score");
        case steps::StepKind::cut:
            return tr("Cut");
    }
    return {};
}

QString reason(timing::SpeedLimit limit) {
    switch (limit) {
        case timing::SpeedLimit::none:
            return {};
        case timing::SpeedLimit::acceleration:
            return tr("too little room to speed up");
        case timing::SpeedLimit::lookahead:
            return tr("too many short lines for the controller");
        case timing::SpeedLimit::link:
            return tr("the link is too slow for so many lines");
    }
    return {};
}

QString describe(const planning::Gain& gain) {
    using Kind = planning::Gain::Kind;
    const QString name = wording::name(gain.settings.kind);
    const QString saved = duration(Duration::seconds(gain.seconds));
    switch (gain.kind) {
        case Kind::both_ways:
            return tr("%1: one-way lines cost %2").arg(name, saved);
        case Kind::coarser_pitch:
            return tr("%1: a pitch of %2 saves %3")
                .arg(name, QString::fromStdString(format_length(gain.settings.line_pitch, LengthUnit::mm)), saved);
        case Kind::single_lines:
            return tr("%1: the second lines across cost %2").arg(name, saved);
        case Kind::shortest_order:
            return tr("%1: the drawn order costs %2").arg(name, saved);
        case Kind::shorter_run_up:
            return tr("%1: the run-up that was set costs %2").arg(name, saved);
        case Kind::reached_speed:
            return tr("%1: asking only for the %2 mm/min it reaches saves %3")
                .arg(name)
                .arg(gain.settings.speed.mm_per_min())
                .arg(saved);
    }
    return {};
}

QString count_of(InkKind kind, int shapes) {
    if (kind == InkKind::fill) return shapes == 1 ? tr("1 fill") : tr("%1 fills").arg(shapes);
    if (kind == InkKind::picture) return shapes == 1 ? tr("1 picture") : tr("%1 pictures").arg(shapes);
    return shapes == 1 ? tr("1 line") : tr("%1 lines").arg(shapes);
}

QString state(const machine::Snapshot& s) {
    using machine::Activity;
    using machine::ControllerState;
    if (!s.connected) return tr("Not connected");
    if (s.activity == Activity::connecting) return tr("Connecting");
    if (s.state == ControllerState::alarm) return tr("Locked");
    if (s.activity == Activity::stopping) return tr("Stopping");
    if (s.state == ControllerState::hold) return s.sub == 0 ? tr("Held") : tr("Holding");
    if (s.state == ControllerState::door) return tr("Door open");
    switch (s.activity) {
        case Activity::homing:
            return tr("Finding home");
        case Activity::jogging:
            return tr("Moving");
        case Activity::pulsing:
            return tr("Pulsing");
        case Activity::probing:
            return tr("Probing");
        case Activity::framing:
            return tr("Framing");
        case Activity::burning:
            return tr("Burning");
        case Activity::storing:
            return tr("Busy with its store");
        default:
            break;
    }
    switch (s.state) {
        case ControllerState::idle:
            return tr("Idle");
        case ControllerState::run:
            return tr("Running");
        case ControllerState::jog:
            return tr("Moving");
        case ControllerState::check:
            return tr("Checking");
        case ControllerState::sleep:
            return tr("Asleep");
        default:
            return tr("Waiting");
    }
}

QString duration(Duration time) {
    const auto seconds = static_cast<qint64>(time.seconds() + 0.5);
    if (seconds >= 3600) return tr("%1 h %2 min").arg(seconds / 3600).arg(seconds % 3600 / 60, 2, 10, QChar('0'));
    return tr("%1 min %2 s").arg(seconds / 60).arg(seconds % 60, 2, 10, QChar('0'));
}

QString in_short(const steps::StepSettings& step) {
    const QString once =
        tr("%1 %2 %, %3 mm/min").arg(name(step.kind)).arg(step.power.percent()).arg(step.speed.mm_per_min());
    return step.passes == 1 ? once : tr("%1, %2 passes").arg(once).arg(step.passes);
}

bool knows(const std::string& code) {
    return find_sentence(code) != nullptr;
}

}  // namespace chalkline::wording
