// SPDX-License-Identifier: GPL-3.0-or-later
#include "sentences.hpp"

#include <QtGlobal>
#include <algorithm>
#include <array>

namespace chalkline::wording {
namespace {

#define S(text) QT_TRANSLATE_NOOP("wording", text)

constexpr std::array sentences{
    // base
    Sentence{"base.cancelled", S("This was cancelled"), S("Nothing was changed.")},
    Sentence{"base.not-a-length", S("“{text}” is no length"),
             S("Type a number with mm, cm or in, such as 12.5 mm or 1/8 in.")},
    Sentence{"base.not-a-speed", S("“{text}” is no speed"),
             S("Type a number with mm/min, mm/s or in/s, such as 3200 mm/min.")},
    Sentence{"base.not-a-number", S("“{text}” is no number"), S("Type a number such as 70.")},
    Sentence{"base.file-missing", S("There is no such file"),
             S("Check the name, or whether the disk or card it was on is still there.")},
    Sentence{"base.file-forbidden", S("You are not allowed to open this file"),
             S("Ask its owner for access, or copy it to a folder of your own.")},
    Sentence{"base.file-is-folder", S("This is a folder, not a file"), S("Choose a file inside it.")},
    Sentence{"base.file-too-large", S("The file is larger than {limit_mb} MB"),
             S("Split the drawing, or save pictures in it at a lower resolution.")},
    Sentence{"base.file-unreadable", S("The file cannot be read: {reason}"),
             S("Copy it to another place and try again.")},
    Sentence{"base.file-unwritable", S("The file cannot be written: {reason}"),
             S("Free some room or choose another folder; the old file is as it was.")},
    // art
    Sentence{"art.unknown-format", S("This is no drawing Chalkline can read yet"),
             S("Save it as SVG in your drawing program.")},
    Sentence{"art.broken-xml", S("The drawing is broken: {reason}"),
             S("It was cut short or damaged. Save it again from the program that made it.")},
    Sentence{"art.not-svg", S("This is no SVG drawing: it begins with “{root}”"),
             S("Save it as SVG in your drawing program.")},
    Sentence{"art.nothing-drawable", S("There is nothing to burn in this drawing"),
             S("It holds no visible lines or filled shapes. Turn text and effects into outlines before saving it.")},
    Sentence{"art.bad-size", S("The drawing's size makes no sense"),
             S("Set a page size in millimetres or inches in your drawing program.")},
    Sentence{"art.too-many-points", S("The drawing has more than {limit} points"),
             S("Split it into several files, or simplify its paths.")},
    Sentence{"art.unsupported", S("{feature}: not reproduced, burned without it"), ""},
    Sentence{"art.no-size", S("The drawing states no size: taken as pixels at 96 to the inch"), ""},
    Sentence{"art.bad-path", S("A path is broken: drawn up to the fault"), ""},
    Sentence{"art.bad-value", S("{property}: value not understood, left as it was"), ""},
    Sentence{"art.absurd-place", S("A shape lies at an impossible place: left out"), ""},
    Sentence{"art.wide-stroke", S("A stroke wider than 0.3 mm burns as one line along its middle"), ""},
    Sentence{"art.flat-gradient", S("A gradient burns flat, in its first colour"), ""},
    Sentence{"art.missing-reference", S("A reference leads nowhere: left out"), ""},
    Sentence{"art.too-deep", S("Groups or references nest too deep: left out from there"), ""},
    Sentence{"art.entities", S("The file defines entities of its own: they are not expanded"), ""},
    // steps
    Sentence{"steps.power-out-of-range", S("Power {power} is not between 0 and 100 %"),
             S("Type a power from 0 to 100.")},
    Sentence{"steps.speed-out-of-range", S("Speed {speed} is not between 1 mm/min and this machine's fastest, {top}"),
             S("Type a speed in that range.")},
    Sentence{"steps.passes-out-of-range", S("{passes} passes are not possible"), S("Type 1 to 100 passes.")},
    Sentence{"steps.pitch-out-of-range", S("Line pitch {pitch} is not between 0.01 and 10 mm"),
             S("Type a line pitch in that range; 0.1 mm suits most beams.")},
    // machine
    Sentence{"machine.bad-profile", S("The machine profile is wrong at “{key}”"),
             S("Mend that value in the file; docs/formats/machine.md lists what is allowed.")},
    Sentence{"machine.silent", S("The port is open, but nothing answers"),
             S("Is the machine switched on, the cable in, and the baud rate right?")},
    Sentence{"machine.speaks-otherwise", S("Something answers on this port, but it is no controller Chalkline knows"),
             S("Choose another port, or check the baud rate.")},
    Sentence{"machine.link-lost", S("The connection to the machine is gone: {reason}"),
             S("A beam that follows the speed goes dark as soon as the head stands. Look at the machine, use its own "
               "switch if the beam is on, then plug it in and connect again. The job is as it was.")},
    Sentence{"machine.not-ready", S("The machine is not connected yet"), S("Connect it first.")},
    Sentence{"machine.locked", S("The controller is locked: it does not know where the head is"),
             S("Find home, or unlock if the head is clear of the edges.")},
    Sentence{"machine.busy", S("The machine is busy"), S("Wait until it is idle, or stop it.")},
    Sentence{"machine.no-homing", S("This machine has no home switches"),
             S("Push the head to the near left corner and switch the machine on there.")},
    Sentence{"machine.laser-mode-off",
             S("The controller's laser mode is off: every change of power would stop the head and burn a hole"),
             S("Switch it on by sending $32=1, then try again.")},
    Sentence{"machine.full-power-differs",
             S("The controller's full power is S{controller}, the machine profile says S{profile}"),
             S("Set full_power_s in the profile to the controller's $30 value.")},
    Sentence{"machine.beyond-limits", S("That would move the head to {x}, {y}, outside the bed"),
             S("Choose a shorter distance.")},
    Sentence{"machine.line-refused", S("The controller refused “{text}”: {reason}"),
             S("The machine was stopped and the beam is off. Nothing after that line was burned on purpose; find out "
               "why before you start again.")},
    Sentence{"machine.alarm", S("The controller raised an alarm: {reason}"),
             S("The beam is off and the position is unknown. Clear the cause, then find home or unlock.")},
    Sentence{"machine.reset-by-itself", S("The controller restarted in the middle of the work"),
             S("The beam is off and the position is unknown. Check the power supply and the cable, then find home.")},
    // job
    Sentence{"job.unknown-motif", S("That piece of art is no longer in the job"), S("Choose another one.")},
    Sentence{"job.unknown-step", S("That step is no longer in the job"), S("Choose another one.")},
    Sentence{"job.larger-than-bed",
             S("The art is {width} × {height} mm and the bed only {bed_width} × {bed_height} mm"),
             S("Make it smaller in your drawing program, or split it. Chalkline never changes its size silently.")},
    Sentence{"job.not-a-job", S("This is no Chalkline job"), S("Open a .chalk file, or add drawings as art.")},
    Sentence{"job.newer-version", S("This job was saved by a newer Chalkline (format {version})"),
             S("Open it with that version.")},
    Sentence{"job.damaged", S("The job file is damaged: {reason}"),
             S("Use a copy or an earlier save of it; the file was not changed.")},
    // planning
    Sentence{"planning.off-bed", S("The art sticks {by} mm out of the bed"), S("Move it onto the bed.")},
    Sentence{"planning.nothing-to-burn", S("There is nothing to burn"),
             S("Add art and send at least one of its inks to a step.")},
    // checks
    Sentence{"check.nothing-to-burn", S("Nothing to burn"), S("Send at least one ink to a step.")},
    Sentence{"check.off-bed", S("{by} mm off the bed"), S("Move the art onto the bed.")},
    Sentence{"check.off-stock", S("{by} mm off the stock"), S("Move the art onto the piece, or change the stock.")},
    Sentence{"check.cut-before-engrave",
             S("A cut comes before engraving or scoring: the piece may shift before its marks are burned"),
             S("Put the steps in order: engrave, score, cut.")},
    Sentence{"check.ink-without-step", S("Ink {ink} has no step"), S("Send it to a step, or leave it out.")},
    Sentence{"check.settings", S("A setting is out of this machine's range"), S("Open the step and mend the value.")},
    // program
    Sentence{"program.beam-off-bed", S("The beam would burn outside the bed"), S("Such a program is never sent.")},
    Sentence{"program.beam-off-stock", S("The beam would burn outside the stock"),
             S("Move the art onto the piece, or change the stock.")},
    Sentence{"program.beyond-limits", S("The head would leave the bed"), S("Such a program is never sent.")},
    Sentence{"program.beam-at-rest", S("The beam would burn while the head stands"),
             S("Such a program is never sent.")},
    Sentence{"program.beam-not-enabled", S("Power is stated before the beam is switched on"),
             S("Such a program is never sent.")},
    Sentence{"program.ends-lit", S("The program ends with the beam on"), S("Such a program is never sent.")},
    Sentence{"program.too-much-power", S("Power above the step's or the machine's"),
             S("Such a program is never sent.")},
    Sentence{"program.too-fast", S("A speed the machine cannot go"), S("Such a program is never sent.")},
    Sentence{"program.line-too-long", S("A line is longer than a controller reads"),
             S("Such a program is never sent.")},
    Sentence{"program.forbidden-byte", S("A character that acts as a command of its own"),
             S("Such a program is never sent.")},
    Sentence{"program.unknown-word", S("A word the controller does not know"), S("Such a program is never sent.")},
    Sentence{"program.mode-not-set", S("Units, distance mode or plane are used before they are set"),
             S("Put G21 G90 G17 in front.")},
    Sentence{"program.place-unknown", S("A move before the program states where it begins"),
             S("Begin with a move to an absolute place.")},
    Sentence{"program.no-feed", S("A burning move without a speed"), S("State F before the first one.")},
    Sentence{"program.empty", S("The program is empty"), S("Choose a file with G-code lines.")},
    // link
    Sentence{"link.bad-address", S("This is no port"), S("Name a serial port such as /dev/ttyUSB0, or tcp:HOST:PORT.")},
    Sentence{"link.missing", S("There is no such port"), S("Plug the machine in and look at the list of ports again.")},
    Sentence{"link.forbidden", S("You are not allowed to use this port"),
             S("Join the group that owns it (often dialout) and log in again.")},
    Sentence{"link.busy", S("Another program has this port open"), S("Close that program, then try again.")},
    Sentence{"link.not-a-port", S("This is a file, not a port"),
             S("Name a serial port such as /dev/ttyUSB0, or tcp:HOST:PORT.")},
    Sentence{"link.unreachable", S("The machine cannot be reached: {reason}"),
             S("Is it switched on and on the same network?")},
    Sentence{"pty.unavailable", S("No pseudo-terminal can be made: {reason}"), S("Choose another place for it.")},
    Sentence{"pty.link-taken", S("There is already a file of that name"), S("Choose another place for the link.")},
    // command line
    Sentence{"cli.not-built-yet", S("“{what}” is not built yet"), S("A later version of Chalkline will do it.")},
    Sentence{"cli.bad-step", S("“{text}” is no step"),
             S("Write it as '#1565c0:line=cut,power=100,speed=240,passes=2'.")},
    Sentence{"cli.bad-place", S("“{text}” is no place"), S("Write it as X,Y in millimetres.")},
    Sentence{"cli.stopped", S("Stopped"), S("The beam is off.")},
    Sentence{"cli.program-unsafe", S("The program was not sent: {reason}"), S("Look at `check` for the line.")},
    Sentence{"cli.no-home", S("The controller is locked and --no-home was given"),
             S("Leave --no-home away, or unlock it by hand.")},
    // app
    Sentence{"app.simulator-missing", S("The simulated machine cannot be started: {reason}"),
             S("Is chalkline-sim installed beside Chalkline?")},
    Sentence{"app.unchecked", S("The job is not ready to burn: {reason}"),
             S("Mend it first; the line above the bed shows where.")},
};

#undef S

}  // namespace

const Sentence* find_sentence(std::string_view code) {
    const auto found =
        std::find_if(sentences.begin(), sentences.end(), [code](const Sentence& s) { return s.code == code; });
    return found == sentences.end() ? nullptr : &*found;
}

}  // namespace chalkline::wording
