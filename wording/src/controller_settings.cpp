// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/wording/controller_settings.hpp>

#include <QCoreApplication>
#include <algorithm>
#include <iterator>

namespace chalkline::wording {
namespace {

struct Known {
    int number;
    const char *name, *unit, *what;
};

#define S(text) QT_TRANSLATE_NOOP("controller", text)
/// The numbers are those of the public interface of Grbl 1.1; the words are ours.
constexpr Known known[]{
    {0, S("Step pulse"), "µs", S("How long a pulse to the motor drivers lasts")},
    {1, S("Motors stay on"), "ms", S("How long motors hold after a move; 255: always")},
    {2, S("Step signs turned"), "",
     S("Which axes have their step signal upside down, as a sum of 1 (X), 2 (Y), 4 (Z)")},
    {3, S("Directions turned"), "", S("Which axes run the other way, as a sum of 1 (X), 2 (Y), 4 (Z)")},
    {4, S("Enable sign turned"), "", S("1: the signal that switches the motors on is upside down")},
    {5, S("Limit switches turned"), "", S("1: limit switches open when they are touched")},
    {6, S("Probe sign turned"), "", S("1: the probe opens when it touches")},
    {10, S("Report"), "", S("What a status report says: 1 machine places, 2 buffer, as a sum")},
    {11, S("Junction deviation"), "mm", S("How far corners may be cut in thought: more is faster and rougher")},
    {12, S("Arc tolerance"), "mm", S("How true arcs are drawn by straight lines")},
    {13, S("Inches"), "", S("1: reports count in inches")},
    {20, S("Soft limits"), "", S("1: no move beyond the work area is begun; needs homing")},
    {21, S("Hard limits"), "", S("1: a touched limit switch stops everything")},
    {22, S("Homing"), "", S("1: the machine finds its place by its switches")},
    {23, S("Home corner"), "", S("Which axes have home at their low end, as a sum of 1 (X), 2 (Y), 4 (Z)")},
    {24, S("Homing, slow"), "mm/min", S("Speed of the last touch while finding home")},
    {25, S("Homing, fast"), "mm/min", S("Speed of the search for the switches")},
    {26, S("Homing, settle"), "ms", S("How long switches may bounce")},
    {27, S("Pull-off"), "mm", S("How far the head backs off its switches")},
    {30, S("Full power"), "S", S("The S value of full power; the profile must say the same")},
    {31, S("Least power"), "S", S("The S value below which the beam is off")},
    {32, S("Laser mode"), "",
     S("1: power changes do not stop the head, and the beam is dark at rest. Chalkline needs it.")},
    {100, S("X steps"), S("steps/mm"), S("Motor steps for a millimetre: right when a measured length is right")},
    {101, S("Y steps"), S("steps/mm"), S("Motor steps for a millimetre: right when a measured length is right")},
    {102, S("Z steps"), S("steps/mm"), S("Motor steps for a millimetre: right when a measured length is right")},
    {110, S("X top speed"), "mm/min", S("The fastest the axis moves")},
    {111, S("Y top speed"), "mm/min", S("The fastest the axis moves")},
    {112, S("Z top speed"), "mm/min", S("The fastest the axis moves")},
    {120, S("X acceleration"), "mm/s²", S("How hard the axis speeds up and brakes")},
    {121, S("Y acceleration"), "mm/s²", S("How hard the axis speeds up and brakes")},
    {122, S("Z acceleration"), "mm/s²", S("How hard the axis speeds up and brakes")},
    {130, S("X travel"), "mm", S("How far the axis reaches")},
    {131, S("Y travel"), "mm", S("How far the axis reaches")},
    {132, S("Z travel"), "mm", S("How far the axis reaches")},
};
#undef S

QString in_words(const char* text) {
    return QCoreApplication::translate("controller", text);
}

}  // namespace

ControllerSetting controller_setting(int number) {
    const auto found =
        std::find_if(std::begin(known), std::end(known), [number](const Known& one) { return one.number == number; });
    if (found == std::end(known)) return {QString("$%1").arg(number), {}, {}};
    return {in_words(found->name), in_words(found->unit), in_words(found->what)};
}

}  // namespace chalkline::wording
