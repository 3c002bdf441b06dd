// SPDX-License-Identifier: GPL-3.0-or-later
// Settings that change, and why a recipe is to be believed.
#include <chalkline/wording/wording.hpp>

#include <QCoreApplication>
#include <QDate>

namespace chalkline::wording {
namespace {

QString said(const char* text) {
    return QCoreApplication::translate("wording", text);
}

/// The words of the settings' file that are choices, and what they are called on the screen.
QString choice(const std::string& word) {
    if (word == "true" || word == "on") return said("on");
    if (word == "false" || word == "off") return said("off");
    if (const auto kind = steps::parse_kind(word)) return name(*kind).toLower();
    return QString::fromStdString(word).replace('_', ' ');
}

QString with_unit(const std::string& key, const std::string& value) {
    if (value.empty()) return said("automatic");
    bool number = false;
    const QString text = QString::fromStdString(value);
    text.toDouble(&number);
    if (!number) return choice(value);
    if (key.ends_with("_mm")) return text + " mm";
    if (key.ends_with("_deg")) return text + QChar(0x00b0);
    if (key.ends_with("_s")) return text + " s";
    if (key == "power" || key == "low_power" || key == "lowest_power") return text + " %";
    if (key == "speed") return text + " mm/min";
    return text;
}

QString setting_name(const std::string& key) {
    if (key == "kind") return said("Kind");
    if (key == "power") return said("Power");
    if (key == "low_power") return said("Power in corners");
    if (key == "speed") return said("Speed");
    if (key == "passes") return said("Passes");
    if (key == "focus_mm") return said("Focus higher by");
    if (key == "lower_each_pass_mm") return said("Focus down each pass");
    if (key == "air") return said("Air assist");
    if (key == "air_lead_s") return said("Air before the beam");
    if (key == "beam") return said("Beam");
    if (key == "line_pitch_mm") return said("Line pitch");
    if (key == "way") return said("Way of filling");
    if (key == "angle_deg") return said("Angle of scan lines");
    if (key == "crossed") return said("Crossed");
    if (key == "both_ways") return said("Both ways");
    if (key == "first") return said("First line");
    if (key == "run_up_mm") return said("Run-up");
    if (key == "tones") return said("Tones of the inks");
    if (key == "outline_after") return said("Outline after");
    if (key == "shift_mm") return said("Shift of returning lines");
    if (key == "kerf_side") return said("Side of the kerf");
    if (key == "kerf_mm") return said("Kerf");
    if (key == "lead_in_mm") return said("Lead-in");
    if (key == "overcut_mm") return said("Overcut");
    if (key == "bridges") return said("Bridges");
    if (key == "bridge_width_mm") return said("Width of a bridge");
    if (key == "perforation_burn_mm") return said("Perforation burned");
    if (key == "perforation_gap_mm") return said("Perforation gap");
    if (key == "order") return said("Path order");
    if (key == "parts") return said("Parts");
    if (key == "method") return said("Dots");
    if (key == "serpentine") return said("Dots back and forth");
    if (key == "noise") return said("Noise");
    if (key == "seed") return said("Noise, its seed");
    if (key == "cell_dots") return said("Dots a cluster");
    if (key == "screen_angle_deg") return said("Angle of the screen");
    if (key == "form") return said("Form of the clusters");
    if (key == "lowest_power") return said("Lowest power");
    if (key == "burns_light") return said("Burns light");
    if (key == "response") return said("Response of the material");
    return QString::fromStdString(key);
}

}  // namespace

Change describe(const steps::Difference& difference) {
    return {setting_name(difference.key), with_unit(difference.key, difference.before),
            with_unit(difference.key, difference.after)};
}

QString describe(const recipes::Evidence& evidence) {
    using Kind = recipes::Evidence::Kind;
    const QString date = QDate::fromString(QString::fromStdString(evidence.date), Qt::ISODate).toString("d MMM yyyy");
    const QString source = QString::fromStdString(evidence.source);
    QStringList parts;
    switch (evidence.kind) {
        case Kind::none:
            parts << said("untested");
            break;
        case Kind::starting_point:
            parts << said("starting point, untested");
            break;
        case Kind::chart:
            parts << (evidence.watts > 0 ? said("from a chart for %1 W, untested").arg(evidence.watts)
                                         : said("from a chart, untested"));
            break;
        case Kind::copied:
            parts << said("copied from %1, untested").arg(source);
            break;
        case Kind::burned:
            parts << said("burned");
            break;
        case Kind::swatch:
            parts << (source.isEmpty() ? said("swatch card") : source);
            break;
    }
    if (!source.isEmpty() && (evidence.kind == Kind::chart || evidence.kind == Kind::burned)) parts << source;
    if (!date.isEmpty() && evidence.tested()) parts << date;
    if (evidence.burns > 0) parts << (evidence.burns == 1 ? said("1 job") : said("%1 jobs").arg(evidence.burns));
    return parts.join(" · ");
}

QString describe(recipes::Freshness freshness) {
    switch (freshness) {
        case recipes::Freshness::fresh:
            return {};
        case recipes::Freshness::before_cleaning:
            return said("found before the lens was last cleaned");
        case recipes::Freshness::before_beam_change:
            return said("found with another beam source");
    }
    return {};
}

QString name(raster::DitherMethod method) {
    using Method = raster::DitherMethod;
    switch (method) {
        case Method::threshold:
            return said("Threshold");
        case Method::floyd_steinberg:
            return "Floyd–Steinberg";
        case Method::jarvis:
            return "Jarvis–Judice–Ninke";
        case Method::stucki:
            return "Stucki";
        case Method::burkes:
            return "Burkes";
        case Method::sierra:
            return "Sierra";
        case Method::atkinson:
            return "Atkinson";
        case Method::bayer2:
            return said("Ordered 2 × 2");
        case Method::bayer4:
            return said("Ordered 4 × 4");
        case Method::bayer8:
            return said("Ordered 8 × 8");
        case Method::bayer16:
            return said("Ordered 16 × 16");
        case Method::halftone:
            return said("Halftone");
        case Method::blue_noise:
            return said("Blue noise");
        case Method::strokes:
            return said("Strokes");
        case Method::grey:
            return said("Grey, by power");
    }
    return {};
}

QString name(steps::BeamKind kind) {
    switch (kind) {
        case steps::BeamKind::diode:
            return said("diode");
        case steps::BeamKind::co2:
            return said("CO₂ tube");
        case steps::BeamKind::fibre:
            return said("fibre");
        case steps::BeamKind::infrared:
            return said("infrared");
        case steps::BeamKind::other:
            return said("other");
    }
    return {};
}

}  // namespace chalkline::wording
