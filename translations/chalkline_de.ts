<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de" sourcelanguage="en">
  <context>
    <name>chalkline</name>
    <message>
      <extracomment>tools/cli/art_command.cpp</extracomment>
      <source>  note: </source>
      <translation>  Notiz: </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source> %n could not be read; the first: </source>
      <translation>
        <numerusform> %n konnte nicht gelesen werden, nämlich: </numerusform>
        <numerusform> %n konnten nicht gelesen werden; die erste: </numerusform>
      </translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source> (%1 gauge)</source>
      <translation> (Lehre %1)</translation>
    </message>
    <message>
      <extracomment>app/trays/art/remarks_panel.cpp</extracomment>
      <source> (%1 places)</source>
      <translation> (%1 Stellen)</translation>
    </message>
    <message>
      <extracomment>app/trays/art/remarks_panel.cpp</extracomment>
      <source> (%1 places, first in line %2)</source>
      <translation> (%1 Stellen, die erste in Zeile %2)</translation>
    </message>
    <message>
      <extracomment>app/trays/art/remarks_panel.cpp</extracomment>
      <source> (line %1)</source>
      <translation> (Zeile %1)</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source> (overridden: %1)</source>
      <translation> (übergangen: %1)</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source> on %1</source>
      <translation> auf %1</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source> · %1 J/mm² at %2 mm</source>
      <translation> · %1 J/mm² bei %2 mm</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_card.cpp</extracomment>
      <source> · %1 J/mm² · %2 dots/in</source>
      <translation> · %1 J/mm² · %2 Punkte/Zoll</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source> · %1 remarks</source>
      <translation> · %1 Anmerkungen</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source> · %1 × %2 mm</source>
      <translation> · %1 × %2 mm</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source> · 1 remark</source>
      <translation> · 1 Anmerkung</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source> · cut last</source>
      <translation> · Schnitt zuletzt</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_hand.cpp</extracomment>
      <source> · locked</source>
      <translation> · gesperrt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source> · new jobs begin with it</source>
      <translation> · neue Aufträge beginnen damit</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source> · only chosen art</source>
      <translation> · nur gewählte Zeichnung</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source> · only one step</source>
      <translation> · nur ein Schritt</translation>
    </message>
    <message>
      <extracomment>app/trays/art/motif_card.cpp</extracomment>
      <source> · page %1 of %2</source>
      <translation> · Seite %1 von %2</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_hand.cpp</extracomment>
      <source> · turned %1°</source>
      <translation> · um %1° gedreht</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>$%1 is %2 now.</source>
      <translation>$%1 ist jetzt %2.</translation>
    </message>
    <message>
      <extracomment>app/trays/marked_places.cpp</extracomment>
      <source>%1  at %2, %3 mm</source>
      <translation>%1  bei %2, %3 mm</translation>
    </message>
    <message>
      <extracomment>app/trays/trim_strip.cpp</extracomment>
      <source>%1 %</source>
      <translation>%1 %</translation>
    </message>
    <message>
      <extracomment>app/widgets/time_ribbon.cpp</extracomment>
      <source>%1 % done</source>
      <translation>%1 % fertig</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>%1 % of the dots burn, the longest run is %2 mm</source>
      <translation>%1 % der Punkte brennen, der längste Lauf ist %2 mm</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>%1 % of the time, burned for sure</source>
      <translation>%1 % der Zeit, sicher gebrannt</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>%1 % sure</source>
      <translation>%1 % sicher</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>%1 %2</source>
      <translation>%1 %2</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1 %2 %, %3 mm/min</source>
      <translation>%1 %2 %, %3 mm/min</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>%1 %2 mm</source>
      <translation>%1 %2 mm</translation>
    </message>
    <message>
      <extracomment>app/bed/ground.cpp</extracomment>
      <source>%1 %2 mm · %3 × %4 mm</source>
      <translation>%1 %2 mm · %3 × %4 mm</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>%1 %2 mm, %3: %4, %5%6</source>
      <translation>%1 %2 mm, %3: %4, %5%6</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>%1 %2 · %3</source>
      <translation>%1 %2 · %3</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>%1 (%2, %3 mm)</source>
      <translation>%1 (%2, %3 mm)</translation>
    </message>
    <message>
      <extracomment>app/swatches/place_panel.cpp</extracomment>
      <source>%1 J of light</source>
      <translation>%1 J Licht</translation>
    </message>
    <message>
      <extracomment>app/trays/trim_strip.cpp</extracomment>
      <source>%1 against the program</source>
      <translation>%1 gegen das Programm</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>%1 and reached</source>
      <translation>%1, und erreicht</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>%1 as dark as this: darkness %2 ± %3, by card %4</source>
      <translation>%1 so dunkel wie hier: Schwärze %2 ± %3, laut Karte %4</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>%1 at %2</source>
      <translation>%1 bei %2</translation>
    </message>
    <message numerus="yes">
      <extracomment>app/widgets/dose_pad.cpp</extracomment>
      <source>%1 at %2, %3 millijoules a millimetre, %n marks</source>
      <translation>
        <numerusform>%1 bei %2, %3 Millijoule je Millimeter, %n Marke</numerusform>
        <numerusform>%1 bei %2, %3 Millijoule je Millimeter, %n Marken</numerusform>
      </translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1 bits smaller than the beam</source>
      <translation>%1 Teile, kleiner als der Strahl</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>%1 bridges</source>
      <translation>%1 Stege</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>%1 burns</source>
      <translation>%1 brennt</translation>
    </message>
    <message>
      <extracomment>app/trays/trim_strip.cpp</extracomment>
      <source>%1 by %2 %</source>
      <translation>%1 um %2 %</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>%1 came into the inbox</source>
      <translation>%1 kam in den Eingang</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>%1 changed on the disk</source>
      <translation>%1 wurde auf der Platte geändert</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>%1 chosen, %2 × %3 mm, at %4, %5</source>
      <translation>%1 gewählt, %2 × %3 mm, bei %4, %5</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>%1 does not fit the bed</source>
      <translation>%1 passt nicht aufs Bett</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>%1 files wait for you</source>
      <translation>%1 Dateien warten</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1 fills</source>
      <translation>%1 Flächen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1 fills without any area</source>
      <translation>%1 Flächen ohne Inhalt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>%1 for %2</source>
      <translation>%1 für %2</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1 h %2 min</source>
      <translation>%1 h %2 min</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>%1 hours</source>
      <translation>%1 Stunden</translation>
    </message>
    <message>
      <extracomment>app/trays/art/motif_card.cpp</extracomment>
      <source>%1 inks</source>
      <translation>%1 Tinten</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>%1 inks without a step</source>
      <translation>%1 Tinten ohne Schritt</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>%1 into it, as its journal says</source>
      <translation>%1 nach Beginn, laut Protokoll</translation>
    </message>
    <message>
      <extracomment>app/session/store_desk.cpp</extracomment>
      <source>%1 is in the store, %2 bytes.</source>
      <translation>%1 liegt im Speicher, %2 Bytes.</translation>
    </message>
    <message>
      <extracomment>app/trays/waiting_panel.cpp</extracomment>
      <source>%1 is no longer there</source>
      <translation>%1 gibt es nicht mehr</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>%1 jobs</source>
      <translation>%1 Aufträge</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1 lines</source>
      <translation>%1 Linien</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1 lines drawn in two inks: they burn twice if both burn</source>
      <translation>%1 Linien in zwei Farben gezeichnet: sie brennen zweimal, wenn beide brennen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1 lines drawn twice</source>
      <translation>%1 doppelt gezeichnete Linien</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>%1 lines for the controller. Checked line by line: the beam stays on the %2, travel is dark, power never above the step's.</source>
      <translation>%1 Zeilen für die Steuerung. Zeile für Zeile geprüft: Der Strahl bleibt auf: %2; Leerwege sind dunkel, die Leistung nie über der des Schritts.</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>%1 lines of %2 dots, %3 mm apart</source>
      <translation>%1 Zeilen zu %2 Punkten, %3 mm Abstand</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>%1 lines/in</source>
      <translation>%1 Zeilen/Zoll</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>%1 m</source>
      <translation>%1 m</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>%1 mJ/mm</source>
      <translation>%1 mJ/mm</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_card.cpp</extracomment>
      <source>%1 mJ/mm each pass</source>
      <translation>%1 mJ/mm je Durchgang</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1 min %2 s</source>
      <translation>%1 min %2 s</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>%1 mm off the bed</source>
      <translation>%1 mm neben dem Bett</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>%1 mm off the stock</source>
      <translation>%1 mm neben dem Stück</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>%1 mm too high</source>
      <translation>%1 mm zu hoch</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>%1 mm too wide</source>
      <translation>%1 mm zu breit</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>%1 mm, as stated</source>
      <translation>%1 mm, wie angegeben</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>%1 mm/min</source>
      <translation>%1 mm/min</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>%1 of %2</source>
      <translation>%1 von %2</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>%1 of %2 mm/min reached: %3</source>
      <translation>%1 von %2 mm/min erreicht: %3</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1 pairs of ends that nearly meet</source>
      <translation>%1 Paare fast verbundener Enden</translation>
    </message>
    <message>
      <extracomment>app/recipes/wall_chart.cpp</extracomment>
      <source>%1 passes</source>
      <translation>%1 Durchgänge</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1 pictures</source>
      <translation>%1 Bilder</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>%1 pieces</source>
      <translation>%1 Stücke</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>%1 pitch</source>
      <translation>%1 Abstand</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>%1 places</source>
      <translation>%1 Stellen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/findings_panel.cpp</extracomment>
      <source>%1 shapes lie off the bed</source>
      <translation>%1 Formen liegen neben dem Bett</translation>
    </message>
    <message>
      <extracomment>app/trays/waiting_panel.cpp</extracomment>
      <source>%1 sooner</source>
      <translation>%1 früher</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>%1 steps</source>
      <translation>%1 Schritte</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1 thick lines with both edges drawn</source>
      <translation>%1 dicke Linien mit beiden Rändern</translation>
    </message>
    <message>
      <extracomment>app/swatches/dose_plot.cpp</extracomment>
      <source>%1 to %2</source>
      <translation>%1 bis %2</translation>
    </message>
    <message>
      <extracomment>app/swatches/place_panel.cpp</extracomment>
      <source>%1 to burn</source>
      <translation>%1 zu brennen</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>%1 went away.</source>
      <translation>%1 ist weg.</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>%1 · %2</source>
      <translation>%1 · %2</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>%1 · Esc to leave</source>
      <translation>%1 · Esc beendet</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>%1 · connect…</source>
      <translation>%1 · verbinden …</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>%1 ×</source>
      <translation>%1 ×</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>%1 × %2 dots · clogged %3 % · bald %4 %</source>
      <translation>%1 × %2 Punkte · zugelaufen %3 % · kahl %4 %</translation>
    </message>
    <message>
      <extracomment>app/swatches/place_panel.cpp</extracomment>
      <source>%1 × %2 mm</source>
      <translation>%1 × %2 mm</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_hand.cpp</extracomment>
      <source>%1 × %2 mm at %3, %4</source>
      <translation>%1 × %2 mm bei %3, %4</translation>
    </message>
    <message>
      <extracomment>app/trays/art/motif_card.cpp</extracomment>
      <source>%1 × %2 mm · %3</source>
      <translation>%1 × %2 mm · %3</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>%1 × %2 mm, %3</source>
      <translation>%1 × %2 mm, %3</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>%1 × %2 mm, turned by %3°</source>
      <translation>%1 × %2 mm, um %3° gedreht</translation>
    </message>
    <message>
      <extracomment>app/papers/run_sheet_page.cpp</extracomment>
      <source>%1 × %2, from %3, %4 mm</source>
      <translation>%1 × %2, ab %3, %4 mm</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>%1 × the usual, at %2, %3 mm</source>
      <translation>%1 × das Übliche, bei %2, %3 mm</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>%1 — &lt;b&gt;%2 reached&lt;/b&gt;: %3</source>
      <translation>%1 — &lt;b&gt;%2 erreicht&lt;/b&gt;: %3</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>%1 → %2 %3</source>
      <translation>%1 → %2 %3</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>%1, %2</source>
      <translation>%1, %2</translation>
    </message>
    <message>
      <extracomment>app/widgets/controls.cpp</extracomment>
      <source>%1, %2 % of the fastest</source>
      <translation>%1, %2 % der größten</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>%1, %2 W %3</source>
      <translation>%1, %2 W %3</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>%1, %2 mm</source>
      <translation>%1, %2 mm</translation>
    </message>
    <message>
      <extracomment>app/papers/run_sheet_page.cpp</extracomment>
      <source>%1, %2 mm on the bed</source>
      <translation>%1, %2 mm auf dem Bett</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1, %2 passes</source>
      <translation>%1, %2 Durchgänge</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>%1, by the controller itself from its own store</source>
      <translation>%1, von der Steuerung selbst aus ihrem Speicher</translation>
    </message>
    <message>
      <extracomment>app/trays/waiting_panel.cpp</extracomment>
      <source>%1, next: %2</source>
      <translation>%1, als Nächstes: %2</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>%1, slider</source>
      <translation>%1, Schieber</translation>
    </message>
    <message>
      <extracomment>app/proof/contact_sheet.cpp</extracomment>
      <source>%1, taken</source>
      <translation>%1, gewählt</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>%1: %2 × the dose of the best recipe for %3</source>
      <translation>%1: %2 × die Dosis des besten Rezepts für %3</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1: a pitch of %2 saves %3</source>
      <translation>%1: ein Abstand von %2 spart %3</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1: asking only for the %2 mm/min it reaches saves %3</source>
      <translation>%1: nur die erreichten %2 mm/min zu verlangen spart %3</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>%1: its page is a common sheet</source>
      <translation>%1: so ist die Seite ein übliches Blatt</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1: one-way lines cost %2</source>
      <translation>%1: einseitige Zeilen kosten %2</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1: the drawn order costs %2</source>
      <translation>%1: die gezeichnete Reihenfolge kostet %2</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1: the run-up that was set costs %2</source>
      <translation>%1: der gesetzte Anlauf kostet %2</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>%1: the second lines across cost %2</source>
      <translation>%1: die zweiten Zeilen quer kosten %2</translation>
    </message>
    <message>
      <extracomment>app/widgets/dose_pad.cpp</extracomment>
      <source>%1k</source>
      <translation>%1k</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>%1°</source>
      <translation>%1°</translation>
    </message>
    <message>
      <extracomment>app/proof/loupe.cpp</extracomment>
      <source>%1× — a square is a dot of %2 mm</source>
      <translation>%1× — ein Quadrat ist ein Punkt von %2 mm</translation>
    </message>
    <message numerus="yes">
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>%n cards</source>
      <translation>
        <numerusform>%n Karte</numerusform>
        <numerusform>%n Karten</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/commands/command_sheets.cpp</extracomment>
      <source>%n found</source>
      <translation>
        <numerusform>%n gefunden</numerusform>
        <numerusform>%n gefunden</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/swatches/dose_plot.cpp</extracomment>
      <source>%n measured swatches</source>
      <translation>
        <numerusform>%n gemessenes Muster</numerusform>
        <numerusform>%n gemessene Muster</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>%n motifs</source>
      <translation>
        <numerusform>%n Motiv</numerusform>
        <numerusform>%n Motive</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>%n motifs, none chosen</source>
      <translation>
        <numerusform>%n Motiv, nicht gewählt</numerusform>
        <numerusform>%n Motive, keines gewählt</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>%n of its objects</source>
      <translation>
        <numerusform>%n seiner Teile</numerusform>
        <numerusform>%n seiner Teile</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>%n outlines</source>
      <translation>
        <numerusform>%n Umriss</numerusform>
        <numerusform>%n Umrisse</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/recipes/recipe_shelf.cpp</extracomment>
      <source>%n recipes</source>
      <translation>
        <numerusform>%n Rezept</numerusform>
        <numerusform>%n Rezepte</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>%n recipes imported</source>
      <translation>
        <numerusform>%n Rezept eingelesen</numerusform>
        <numerusform>%n Rezepte eingelesen</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>%n single objects go by their inks again.</source>
      <translation>
        <numerusform>%n einzelnes Teil richtet sich wieder nach seiner Tinte.</numerusform>
        <numerusform>%n einzelne Teile richten sich wieder nach ihren Tinten.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>%n steps are set at once.</source>
      <translation>
        <numerusform>%n Schritt wird eingestellt.</numerusform>
        <numerusform>%n Schritte werden zugleich eingestellt.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>%n steps take the place of the job's own.</source>
      <translation>
        <numerusform>%n Schritt ersetzt die des Auftrags.</numerusform>
        <numerusform>%n Schritte ersetzen die des Auftrags.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>%n swatches left out.</source>
      <translation>
        <numerusform>%n Muster ausgelassen.</numerusform>
        <numerusform>%n Muster ausgelassen.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/swatches/card_canvas.cpp</extracomment>
      <source>%n swatches, none chosen</source>
      <translation>
        <numerusform>%n Muster, nicht gewählt</numerusform>
        <numerusform>%n Muster, keines gewählt</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>%n swatches, within %1 of the curve.</source>
      <translation>
        <numerusform>%n Muster, höchstens %1 neben der Kurve.</numerusform>
        <numerusform>%n Muster, höchstens %1 neben der Kurve.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>%n were there already.</source>
      <translation>
        <numerusform>%n war schon da.</numerusform>
        <numerusform>%n waren schon da.</numerusform>
      </translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>(estimate %1)</source>
      <translation>(geschätzt %1)</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>, %1 left out</source>
      <translation>, %1 ausgelassen</translation>
    </message>
    <message>
      <extracomment>app/papers/run_sheet_page.cpp</extracomment>
      <source>, air</source>
      <translation>, Luft</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>, in this order</source>
      <translation>, in dieser Folge</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>/dev/ttyUSB0 or tcp:HOST:PORT</source>
      <translation>/dev/ttyUSB0 oder tcp:RECHNER:PORT</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>0: straight. Below 0: along the bottom of the circle</source>
      <translation>0: gerade. Unter 0: unten am Kreis entlang</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>1 bit smaller than the beam</source>
      <translation>1 Teil, kleiner als der Strahl</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>1 file waits for you</source>
      <translation>1 Datei wartet</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>1 fill</source>
      <translation>1 Fläche</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>1 fill without any area</source>
      <translation>1 Fläche ohne Inhalt</translation>
    </message>
    <message>
      <extracomment>app/trays/art/motif_card.cpp</extracomment>
      <source>1 ink</source>
      <translation>1 Tinte</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>1 ink without a step</source>
      <translation>1 Tinte ohne Schritt</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>1 job</source>
      <translation>1 Auftrag</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>1 line</source>
      <translation>1 Linie</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>1 line drawn in two inks: it burns twice if both burn</source>
      <translation>1 Linie in zwei Farben gezeichnet: sie brennt zweimal, wenn beide brennen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>1 line drawn twice</source>
      <translation>1 doppelt gezeichnete Linie</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>1 pair of ends that nearly meet</source>
      <translation>1 Paar fast verbundener Enden</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>1 pass</source>
      <translation>1 Durchgang</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>1 picture</source>
      <translation>1 Bild</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>1 piece</source>
      <translation>1 Stück</translation>
    </message>
    <message>
      <extracomment>app/trays/art/findings_panel.cpp</extracomment>
      <source>1 shape lies off the bed</source>
      <translation>1 Form liegt neben dem Bett</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>1 step</source>
      <translation>1 Schritt</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>1 thick line with both edges drawn</source>
      <translation>1 dicke Linie mit beiden Rändern</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>1 to 4 choose a handle, the arrow keys move it, with Shift in larger steps.</source>
      <translation>1 bis 4 wählen einen Griff, die Pfeiltasten bewegen ihn, mit Umschalt in größeren Schritten.</translation>
    </message>
    <message>
      <extracomment>app/widgets/dose_pad.cpp</extracomment>
      <source>100 %</source>
      <translation>100 %</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>1: a touched limit switch stops everything</source>
      <translation>1: ein berührter Endschalter hält alles an</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>1: limit switches open when they are touched</source>
      <translation>1: Endschalter öffnen bei Berührung</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>1: no move beyond the work area is begun; needs homing</source>
      <translation>1: keine Bewegung über den Arbeitsraum hinaus; braucht die Grundstellung</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>1: power changes do not stop the head, and the beam is dark at rest. Chalkline needs it.</source>
      <translation>1: Leistungswechsel halten den Kopf nicht an, und der Strahl ist im Stand dunkel. Chalkline braucht das.</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>1: reports count in inches</source>
      <translation>1: Meldungen zählen in Zoll</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>1: the machine finds its place by its switches</source>
      <translation>1: die Maschine findet ihren Ort durch ihre Schalter</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>1: the probe opens when it touches</source>
      <translation>1: der Taster öffnet bei Berührung</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>1: the signal that switches the motors on is upside down</source>
      <translation>1: das Einschaltsignal der Motoren ist umgekehrt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>2026-11-23</source>
      <translation>2026-11-23</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>90° left</source>
      <translation>90° links</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>90° right</source>
      <translation>90° rechts</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>; it was set for another thickness</source>
      <translation>; er war für eine andere Dicke eingestellt</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>; nobody said that it is set</source>
      <translation>; niemand hat gesagt, dass er eingestellt ist</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>&lt;b&gt;The spot is %1 mm wide: dots grow into each other&lt;/b&gt;</source>
      <translation>&lt;b&gt;Der Brennfleck ist %1 mm breit: die Punkte wachsen ineinander&lt;/b&gt;</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>A PDF for the workshop wall: picture, piece, steps, times and checks</source>
      <translation>Ein PDF für die Werkstattwand: Bild, Stück, Schritte, Zeiten und Prüfungen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A beam that follows the speed goes dark as soon as the head stands. Look at the machine, use its own switch if the beam is on, then plug it in and connect again. The job is as it was.</source>
      <translation>Ein Strahl, der der Geschwindigkeit folgt, wird dunkel, sobald der Kopf steht. Die Maschine ansehen, bei brennendem Strahl ihren eigenen Schalter benutzen, dann einstecken und neu verbinden. Der Auftrag ist, wie er war.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A block the drawing uses is not in it: left out</source>
      <translation>Ein Block, den die Zeichnung benutzt, fehlt in ihr: ausgelassen</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>A board needs some seconds.</source>
      <translation>Eine Steuerung braucht einige Sekunden.</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>A bridge is left here</source>
      <translation>Hier bleibt ein Steg</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>A burn came out well</source>
      <translation>Ein Brand gelang gut</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>A burn was not brought to its end</source>
      <translation>Ein Brand wurde nicht zu Ende gebracht</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A burning move without a speed</source>
      <translation>Eine Brennbewegung ohne Geschwindigkeit</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A card has at most {count} values on one side</source>
      <translation>Eine Karte hat auf einer Seite höchstens {count} Werte</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A character that acts as a command of its own</source>
      <translation>Ein Zeichen, das selbst als Befehl wirkt</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>A chuck always closes the ring. How long did the measure of %1 beside it come out?</source>
      <translation>Ein Spannfutter schließt den Ring immer. Wie lang wurde das Maß von %1 daneben?</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A cut comes before engraving or scoring: the piece may shift before its marks are burned</source>
      <translation>Ein Schnitt kommt vor dem Gravieren oder Ritzen: das Stück kann sich verschieben, bevor seine Zeichen gebrannt sind</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>A cut comes first: the piece may shift before the rest is burned.</source>
      <translation>Ein Schnitt kommt zuerst: das Stück kann sich verschieben, bevor der Rest gebrannt ist.</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>A drawing of the job</source>
      <translation>Eine Zeichnung des Auftrags</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>A drawing, picture or files from the clipboard (Ctrl+V)</source>
      <translation>Eine Zeichnung, ein Bild oder Dateien aus der Zwischenablage (Strg+V)</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A gradient burns flat, in its first colour</source>
      <translation>Ein Verlauf brennt einfarbig, in seiner ersten Farbe</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A hatch pattern is taken as an area to fill</source>
      <translation>Eine Schraffur gilt als zu füllende Fläche</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A hot fill: {dose} J/mm²</source>
      <translation>Eine heiße Fläche: {dose} J/mm²</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>A jig or a stop of this machine: offered above for every job</source>
      <translation>Eine Lehre oder ein Anschlag dieser Maschine: oben bei jedem Auftrag angeboten</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A job holds no more than {limit} pieces of art</source>
      <translation>Ein Auftrag fasst höchstens {limit} Stücke</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A large gradient or pattern is drawn with fewer than 10 dots a millimetre</source>
      <translation>Ein großer Verlauf oder ein Muster wird mit weniger als 10 Punkten je Millimeter gezeichnet</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/main_window.cpp</extracomment>
      <source>A laser is burning</source>
      <translation>Ein Laser brennt</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>A line for each step with its power, speed, pitch and passes, below the job, with a step of its own</source>
      <translation>Eine Zeile je Schritt mit Leistung, Geschwindigkeit, Abstand und Durchgängen, unter dem Auftrag, mit eigenem Schritt</translation>
    </message>
    <message>
      <extracomment>app/machine/wire_sheet.cpp</extracomment>
      <source>A line for the controller, such as $I; Return sends it</source>
      <translation>Eine Zeile für die Steuerung, etwa $I; Eingabe sendet sie</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A line is longer than a controller reads</source>
      <translation>Eine Zeile ist länger, als eine Steuerung liest</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A move before the program states where it begins</source>
      <translation>Eine Bewegung, ehe das Programm sagt, wo es beginnt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A move by {by} mm would leave the bed: {left} mm are left that way</source>
      <translation>Eine Bewegung um {by} mm verließe das Bett: in dieser Richtung bleiben {left} mm</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>A new card like this one</source>
      <translation>Eine neue Karte wie diese</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>A new job</source>
      <translation>Ein neuer Auftrag</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>A new, empty job (Ctrl+N)</source>
      <translation>Ein neuer, leerer Auftrag (Strg+N)</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A path is broken: drawn up to the fault</source>
      <translation>Ein Pfad ist beschädigt: bis zum Fehler gezeichnet</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>A photograph of the bed</source>
      <translation>Ein Foto des Betts</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>A picture as it will look burned (Ctrl+2)</source>
      <translation>Ein Bild, wie es gebrannt aussehen wird (Strg+2)</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A picture in the drawing cannot be read: left out</source>
      <translation>Ein Bild in der Zeichnung ist nicht lesbar: ausgelassen</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>A picture of how it came out</source>
      <translation>Ein Bild davon, wie es wurde</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A picture step burns pictures only</source>
      <translation>Ein Bildschritt brennt nur Bilder</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>A program on the controller's card burns without the cable. What was sent from here can be looked at, framed and burned from there; what came from elsewhere nobody has checked, so it is not started here.</source>
      <translation>Ein Programm auf der Karte der Steuerung brennt ohne das Kabel. Was von hier gesendet wurde, lässt sich ansehen, umfahren und von dort brennen; was von anderswo kam, hat niemand geprüft, darum wird es hier nicht gestartet.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A reference leads nowhere: left out</source>
      <translation>Ein Verweis führt nirgendwohin: ausgelassen</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>A ring whose two ticks meet when the turn is right, as a first step that burns alone</source>
      <translation>Ein Ring, dessen zwei Striche sich treffen, wenn die Umdrehung stimmt; als erster Schritt, der allein brennt</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>A round piece turns instead of the bed lying still: Y is millimetres round it</source>
      <translation>Ein rundes Stück dreht sich, statt dass das Bett stillliegt: Y sind Millimeter um es herum</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>A second click on a swatch, or Space, leaves it out.</source>
      <translation>Ein zweiter Klick auf ein Muster, oder die Leertaste, lässt es aus.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A setting is out of this machine's range</source>
      <translation>Eine Einstellung liegt außerhalb dessen, was diese Maschine kann</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A setting of the step is outside of what a machine can do: {setting}</source>
      <translation>Eine Einstellung des Schritts liegt außerhalb dessen, was eine Maschine kann: {setting}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A shape lies at an impossible place: left out</source>
      <translation>Eine Form liegt an einem unmöglichen Ort: ausgelassen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A sign was read wrongly on the cable, or somebody else moved it. It was stopped and the beam is off; look at the cable, then go on.</source>
      <translation>Ein Zeichen wurde am Kabel falsch gelesen, oder jemand hat sie bewegt. Es wurde angehalten und der Strahl ist aus; Kabel ansehen, dann weitermachen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A speed the machine cannot go</source>
      <translation>Eine Geschwindigkeit, die die Maschine nicht kann</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>A start button is wired to the controller</source>
      <translation>Ein Startknopf ist an der Steuerung angeschlossen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A step ({name}) could not be read from the job file</source>
      <translation>Ein Schritt ({name}) konnte nicht aus der Auftragsdatei gelesen werden</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A stroke too wide for the beam to follow is an area to fill</source>
      <translation>Ein Strich, zu breit für den Strahl, ist eine zu füllende Fläche</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>A swatch card: every swatch has a step of its own.</source>
      <translation>Eine Musterkarte: jedes Muster hat seinen eigenen Schritt.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A table needs the columns material, kind, power and speed_mm_min; see docs/formats/recipes.md.</source>
      <translation>Eine Tabelle braucht die Spalten material, kind, power und speed_mm_min; siehe docs/formats/recipes.md.</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>A touch probe is wired to the controller</source>
      <translation>Ein Messtaster ist an der Steuerung angeschlossen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>A whole run sheet with its inks, piece and place, for products that come again.</source>
      <translation>Ein ganzer Ablauf mit Tinten, Stück und Ort, für Dinge, die wiederkommen.</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>A whole run sheet, kept for products that come again</source>
      <translation>Ein ganzer Ablauf, aufgehoben für Dinge, die wiederkommen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>A word for the keeper</source>
      <translation>Ein Wort für den Verwahrer</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>A word the controller does not know</source>
      <translation>Ein Wort, das die Steuerung nicht kennt</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>About %1</source>
      <translation>Etwa %1</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Above the touch</source>
      <translation>Über der Berührung</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Acceleration in X</source>
      <translation>Beschleunigung in X</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Acceleration in Y</source>
      <translation>Beschleunigung in Y</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Acceleration of the rotary</source>
      <translation>Beschleunigung der Drehachse</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Acceleration, X and Y</source>
      <translation>Beschleunigung, X und Y</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Acceleration, on an axis of its own</source>
      <translation>Beschleunigung, auf eigener Achse</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Add a picture step, or trace the picture to outlines.</source>
      <translation>Einen Bildschritt hinzufügen oder das Bild in Umrisse umzeichnen.</translation>
    </message>
    <message>
      <extracomment>app/art/art_desk.cpp</extracomment>
      <source>Add art</source>
      <translation>Zeichnung hinzufügen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Add art and send at least one of its inks to a step.</source>
      <translation>Eine Zeichnung hinzufügen und mindestens eine ihrer Tinten einem Schritt geben.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Add files…</source>
      <translation>Dateien hinzufügen …</translation>
    </message>
    <message>
      <extracomment>app/trays/waiting_panel.cpp</extracomment>
      <source>Add jobs…</source>
      <translation>Aufträge hinzufügen …</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Add step</source>
      <translation>Schritt hinzufügen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>After this, what was tested before counts for less and says so.</source>
      <translation>Danach zählt, was vorher erprobt wurde, weniger und sagt es auch.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Again</source>
      <translation>Noch einmal</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>Again and again</source>
      <translation>Immer wieder</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Air</source>
      <translation>Luft</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Air assist</source>
      <translation>Luftzufuhr</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Air assist is turned on by</source>
      <translation>Luftzufuhr wird eingeschaltet mit</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Air before the beam</source>
      <translation>Luft vor dem Strahl</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Air blows first for</source>
      <translation>Luft bläst vorher</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Align art</source>
      <translation>Zeichnung ausrichten</translation>
    </message>
    <message>
      <extracomment>app/trays/art/remarks_panel.cpp</extracomment>
      <source>All %1 remarks</source>
      <translation>Alle %1 Anmerkungen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>All as lines</source>
      <translation>Alles als Linien</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>All back in</source>
      <translation>Alle wieder hinein</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>All files (*)</source>
      <translation>Alle Dateien (*)</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>All of it</source>
      <translation>Alles davon</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>All of the page</source>
      <translation>Die ganze Seite</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>All paint burns</source>
      <translation>Alle Farbe brennt</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>All swatches back in</source>
      <translation>Alle Muster wieder hinein</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Along the outline</source>
      <translation>Dem Umriss entlang</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Also</source>
      <translation>Auch</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>An outline is cut before what lies inside it</source>
      <translation>Ein Umriss wird geschnitten, bevor sein Inneres dran ist</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Angle</source>
      <translation>Winkel</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Angle of scan lines</source>
      <translation>Winkel der Zeilen</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Angle of the screen</source>
      <translation>Winkel des Rasters</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Another Chalkline is busy with the recipes</source>
      <translation>Ein anderes Chalkline arbeitet gerade mit den Rezepten</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Another count can be chosen beside the drawing's scale.</source>
      <translation>Eine andere Zahl lässt sich neben dem Maßstab der Zeichnung wählen.</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Another one on a tapered piece. Rollers carry it where it begins.</source>
      <translation>Ein anderer bei einem kegeligen Stück. Rollen tragen es dort, wo es beginnt.</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>Another picture of it…</source>
      <translation>Ein anderes Bild davon …</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Another program has this port open</source>
      <translation>Ein anderes Programm hat diesen Anschluss offen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Another program is using the port. It was stopped and the beam is off; end the other program, then go on.</source>
      <translation>Ein anderes Programm benutzt den Anschluss. Es wurde angehalten und der Strahl ist aus; das andere Programm beenden, dann weitermachen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Another program may be using the port, or a line was read wrongly. It was stopped; end the other program, then go on from where the beam was last seen on.</source>
      <translation>Vielleicht benutzt ein anderes Programm den Anschluss, oder eine Zeile wurde falsch gelesen. Es wurde angehalten; das andere Programm beenden, dann dort weitermachen, wo der Strahl zuletzt gesehen wurde.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Another program saved or printed it there.</source>
      <translation>Ein anderes Programm hat dort gespeichert oder gedruckt.</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Answers: %1</source>
      <translation>Antwortet: %1</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Apply</source>
      <translation>Anwenden</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Apply routine</source>
      <translation>Routine anwenden</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Arc tolerance</source>
      <translation>Bogentoleranz</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Areas and lines</source>
      <translation>Flächen und Linien</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Areas burn only where they are seen: what is painted over them, white too, is cut out. What lets through is mixed.</source>
      <translation>Flächen brennen nur, wo sie zu sehen sind: Was darüber gemalt ist, auch Weiß, wird ausgespart. Was durchscheint, wird gemischt.</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>Art</source>
      <translation>Zeichnung</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Art turned by</source>
      <translation>Zeichnung gedreht um</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>As a G-code file, for a machine that is fed by card</source>
      <translation>Als G-Code-Datei, für eine Maschine, die mit Karte gefüttert wird</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>As a box</source>
      <translation>Als Kasten</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>As a circle</source>
      <translation>Als Kreis</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>As a string round it</source>
      <translation>Als Schnur darum</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>As areas and lines</source>
      <translation>Als Flächen und Linien</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>As dark and fastest: %1, row %2, column %3.</source>
      <translation>Ebenso dunkel und am schnellsten: %1, Zeile %2, Spalte %3.</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>As drawn</source>
      <translation>Wie gezeichnet</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>As far as the lines lie apart, unless another distance is typed</source>
      <translation>So weit die Zeilen auseinanderliegen, wenn nichts anderes getippt ist</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>As it looks</source>
      <translation>Wie es aussieht</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>As it looks: shadows, soft edges, masks and all become one picture; thin lines stay lines</source>
      <translation>Wie es aussieht: Schatten, weiche Kanten, Masken und alles andere werden ein Bild; dünne Linien bleiben Linien</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>As it was</source>
      <translation>Wie es war</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>As many as lie wholly on the piece</source>
      <translation>So viele, wie ganz auf dem Stück liegen</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>As many dots fewer as the spot is wider</source>
      <translation>Um so viele Punkte weniger, wie der Brennfleck breiter ist</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>As outlines</source>
      <translation>Als Umrisse</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>As single strokes</source>
      <translation>Als einzelne Striche</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>As the controller counts it: the motor's steps in one turn, gears included, over its steps for a millimetre or degree of that axis ($101, or $103).</source>
      <translation>Wie die Steuerung zählt: die Schritte des Motors in einer Umdrehung, Getriebe eingerechnet, geteilt durch seine Schritte je Millimeter oder Grad dieser Achse ($101 oder $103).</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/settings_sheet.cpp</extracomment>
      <source>As the desktop has them</source>
      <translation>Wie der Schreibtisch sie hat</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>As the file has it — let B go to see it prepared</source>
      <translation>Wie die Datei es hat — B loslassen zeigt es vorbereitet</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>As wide as one turn, its ends meeting at the seam; a repeated border joins there</source>
      <translation>So breit wie eine Umdrehung, die Enden treffen sich an der Naht; eine wiederholte Borte schließt dort an</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Ask for the right to write to it to keep new ones.</source>
      <translation>Um das Schreibrecht bitten, damit neue gesichert werden können.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Ask for the right to write to it, or start Chalkline as its owner.</source>
      <translation>Um das Schreibrecht bitten oder Chalkline als Eigentümer starten.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Ask its owner for access, or copy it to a folder of your own.</source>
      <translation>Beim Eigentümer um Zugriff bitten oder in einen eigenen Ordner kopieren.</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Ask who is there</source>
      <translation>Fragen, wer da ist</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Asked before every burn,
one a line</source>
      <translation>Vor jedem Brand gefragt,
eins je Zeile</translation>
    </message>
    <message>
      <extracomment>app/session/store_desk.cpp</extracomment>
      <source>Asking the controller…</source>
      <translation>Die Steuerung wird gefragt …</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Asking…</source>
      <translation>Frage …</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Asleep</source>
      <translation>Schläft</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>At %1 mm pitch</source>
      <translation>Bei %1 mm Abstand</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>At full size</source>
      <translation>In voller Größe</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>At most</source>
      <translation>Höchstens</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>At which height is the line finest?</source>
      <translation>In welcher Höhe ist die Linie am feinsten?</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>At which speed and in how many passes does it come out?</source>
      <translation>Mit welcher Geschwindigkeit und in wie vielen Durchgängen fällt es heraus?</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Away with the ring</source>
      <translation>Weg mit dem Ring</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Away with the test ring</source>
      <translation>Weg mit dem Prüfring</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Back and forth</source>
      <translation>Hin und her</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Back to an earlier recipe</source>
      <translation>Zurück zu einem früheren Rezept</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Back to the picture</source>
      <translation>Zurück zum Bild</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Back to this</source>
      <translation>Zurück hierzu</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Background</source>
      <translation>Hintergrund</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Background of the picture</source>
      <translation>Hintergrund des Bildes</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Bald</source>
      <translation>Kahl</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Bald %1 %</source>
      <translation>Kahl %1 %</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Bare stripes will show between them. Set a pitch no wider than the beam.</source>
      <translation>Dazwischen bleiben kahle Streifen. Einen Abstand nicht größer als der Strahl wählen.</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Bars</source>
      <translation>Balken</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Beam</source>
      <translation>Strahl</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Beam and motors</source>
      <translation>Strahl und Motoren</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Beam at full power</source>
      <translation>Strahl bei voller Leistung</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Beam source changed today</source>
      <translation>Strahlquelle heute gewechselt</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Beam, air and focus</source>
      <translation>Strahl, Luft und Fokus</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>Bed</source>
      <translation>Bett</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Bed and home</source>
      <translation>Bett und Grundstellung</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Bed depth</source>
      <translation>Bettiefe</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Bed width</source>
      <translation>Bettbreite</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Bed, depth</source>
      <translation>Bett, Tiefe</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Bed, width</source>
      <translation>Bett, Breite</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Bed, width and depth</source>
      <translation>Bett, Breite und Tiefe</translation>
    </message>
    <message>
      <extracomment>app/papers/run_sheet_page.cpp</extracomment>
      <source>Before</source>
      <translation>Vorher</translation>
    </message>
    <message>
      <extracomment>app/machine/self_test_sheet.cpp</extracomment>
      <source>Begin</source>
      <translation>Beginnen</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>Begin again</source>
      <translation>Von vorn beginnen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Begin earlier by</source>
      <translation>Früher beginnen um</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>Begin when the machine's start button is pressed</source>
      <translation>Beginnen, wenn der Startknopf der Maschine gedrückt wird</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Begin with a move to an absolute place.</source>
      <translation>Mit einer Bewegung an einen absoluten Ort beginnen.</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>Begun</source>
      <translation>Begonnen</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Beside</source>
      <translation>Daneben</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>Beside the last try</source>
      <translation>Neben den letzten Versuch</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Birch ply</source>
      <translation>Birkensperrholz</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Black from</source>
      <translation>Schwarz ab</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Blue</source>
      <translation>Blau</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Blue noise</source>
      <translation>Blaues Rauschen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Bold</source>
      <translation>Fett</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Book</source>
      <translation>Buch</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Both side by side</source>
      <translation>Beide nebeneinander</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Both ways</source>
      <translation>In beide Richtungen</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>Bottom to top</source>
      <translation>Von unten nach oben</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Box</source>
      <translation>Kasten</translation>
    </message>
    <message>
      <extracomment>app/proof/original_panel.cpp</extracomment>
      <source>Box of the subject</source>
      <translation>Kasten um das Motiv</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Bridge</source>
      <translation>Steg</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Bridges</source>
      <translation>Stege</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Bridges on each closed line</source>
      <translation>Stege an jeder geschlossenen Linie</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Brightness</source>
      <translation>Helligkeit</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Bring art forward</source>
      <translation>Motiv nach vorn holen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Bring forward</source>
      <translation>Nach vorn</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Bring in</source>
      <translation>Holen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Bring in at 1:%1</source>
      <translation>In 1:%1 holen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Bring it into range</source>
      <translation>In den Bereich holen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Bring it near the recipes</source>
      <translation>In die Nähe der Rezepte holen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Bring it onto the bed</source>
      <translation>Aufs Bett holen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Bring it onto the piece</source>
      <translation>Auf das Stück holen</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Bring one in, choose it on the bed, then come back.</source>
      <translation>Eines holen, auf dem Bett wählen, dann zurückkommen.</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Bring the datum there</source>
      <translation>Den Bezugspunkt dorthin bringen</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Bring the four handles over four places that you know on the bed: 1 near left, 2 near right, 3 far right, 4 far left of a rectangle. The bed's own corners do.</source>
      <translation>Die vier Griffe auf vier bekannte Stellen des Betts ziehen: 1 vorn links, 2 vorn rechts, 3 hinten rechts, 4 hinten links eines Rechtecks. Die Ecken des Betts selbst genügen.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Bring what is chosen to the front</source>
      <translation>Auswahl ganz nach vorn holen</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Buffer</source>
      <translation>Puffer</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>Burn</source>
      <translation>Brennen</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Burn a step</source>
      <translation>Einen Schritt brennen</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Burn again in place…</source>
      <translation>An derselben Stelle noch einmal brennen …</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Burn all of it again…</source>
      <translation>Alles noch einmal brennen …</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Burn anyway</source>
      <translation>Trotzdem brennen</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Burn anyway?</source>
      <translation>Trotzdem brennen?</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Burn anyway…</source>
      <translation>Trotzdem brennen …</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Burn areas and lines</source>
      <translation>Flächen und Linien brennen</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Burn art by its inks</source>
      <translation>Nach den Tinten brennen</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Burn as a picture</source>
      <translation>Als Bild brennen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Burn as it looks</source>
      <translation>Brennen, wie es aussieht</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Burn everything</source>
      <translation>Alles brennen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Burn in one step</source>
      <translation>In einem Schritt brennen</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Burn it as a picture</source>
      <translation>Es als Bild brennen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/remarks_panel.cpp</extracomment>
      <source>Burn it as it looks</source>
      <translation>Brennen, wie es aussieht</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Burn it from the store…</source>
      <translation>Aus dem Speicher brennen …</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Burn it the other way</source>
      <translation>Es andersherum brennen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Burn its areas and lines instead.</source>
      <translation>Stattdessen die Flächen und Linien brennen.</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Burn of the card</source>
      <translation>Brand der Karte</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Burn one object by its ink</source>
      <translation>Ein Teil nach seiner Tinte brennen</translation>
    </message>
    <message>
      <extracomment>app/swatches/place_panel.cpp</extracomment>
      <source>Burn the card</source>
      <translation>Die Karte brennen</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Burn the card first, or note that you did.</source>
      <translation>Erst die Karte brennen oder vermerken, dass sie gebrannt wurde.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Burn the drawing as it looks, as a picture, to have it.</source>
      <translation>Die Zeichnung als Bild brennen, wie sie aussieht, dann ist es dabei.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Burn the job</source>
      <translation>Den Auftrag brennen</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Burn the settings beside it</source>
      <translation>Die Einstellungen daneben brennen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Burn them once</source>
      <translation>Nur einmal brennen</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_card.cpp</extracomment>
      <source>Burn this step</source>
      <translation>Diesen Schritt brennen</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>Burn time %1</source>
      <translation>Brenndauer %1</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/main_window.cpp</extracomment>
      <source>Burned</source>
      <translation>Gebrannt</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Burned %1</source>
      <translation>Gebrannt %1</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Burned anyway: %1</source>
      <translation>Trotzdem gebrannt: %1</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Burned edge</source>
      <translation>Verbrannter Rand</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Burned for sure: %1 %. What lies up to %2 % may have burned too (marked on the bed). The rest has not.</source>
      <translation>Sicher gebrannt: %1 %. Was bis %2 % liegt, kann auch gebrannt haben (auf dem Bett markiert). Der Rest nicht.</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Burned it</source>
      <translation>Gebrannt</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Burned over itself</source>
      <translation>Über sich selbst gebrannt</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Burned with</source>
      <translation>Gebrannt mit</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Burning</source>
      <translation>Brennt</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Burning now</source>
      <translation>Brennt gerade</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Burns light</source>
      <translation>Brennt hell</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Burn…</source>
      <translation>Brennen …</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Busy with its store</source>
      <translation>Beschäftigt mit ihrem Speicher</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>By a handle, measured round the piece</source>
      <translation>Durch einen Henkel, um das Stück gemessen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>By its ink</source>
      <translation>Nach seiner Tinte</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>By its inks</source>
      <translation>Nach seinen Tinten</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>By the chuck, or the rounding of the foot</source>
      <translation>Durch das Spannfutter oder die Rundung des Fußes</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>By them a photograph of the card can be read</source>
      <translation>An ihnen lässt sich ein Foto der Karte lesen</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>By three corners, in order round it</source>
      <translation>Durch drei Ecken, der Reihe nach</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>By three places on a round edge</source>
      <translation>Durch drei Stellen an einem runden Rand</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>By two opposite corners, lying straight</source>
      <translation>Durch zwei gegenüberliegende Ecken, gerade liegend</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>CO₂ tube</source>
      <translation>CO₂-Röhre</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>Came</source>
      <translation>Gekommen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Cancel</source>
      <translation>Abbrechen</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatch_desk.cpp</extracomment>
      <source>Card burned</source>
      <translation>Karte gebrannt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Care of %1</source>
      <translation>Pflege von %1</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Ceiling for the power</source>
      <translation>Obergrenze der Leistung</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Centre</source>
      <translation>Mitte</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Centre it</source>
      <translation>Mittig setzen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Centre lines</source>
      <translation>Mittellinien</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Centre lines instead</source>
      <translation>Stattdessen Mittellinien</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Chalkline ended by a fault last time</source>
      <translation>Chalkline endete beim letzten Mal durch einen Fehler</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Chalkline ended without closing</source>
      <translation>Chalkline endete, ohne zu schließen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Chalkline jobs (*.chalk)</source>
      <translation>Chalkline-Aufträge (*.chalk)</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>Chalkline was ended while it burned. The machine went on until its own memory of moves ended and then stood still, dark unless the step burns with a constant beam. If the piece still lies as it lay, the rest can be burned.</source>
      <translation>Chalkline wurde beendet, während es brannte. Die Maschine lief weiter, bis ihr eigener Vorrat an Bewegungen endete, und stand dann still, dunkel, wenn der Schritt nicht mit festem Strahl brennt. Liegt das Stück noch, wie es lag, kann der Rest gebrannt werden.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Change %1</source>
      <translation>%1 ändern</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>Change card</source>
      <translation>Karte ändern</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Change it</source>
      <translation>Ändern</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Change recipe</source>
      <translation>Rezept ändern</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Change something above: both ways are planned and set side by side.</source>
      <translation>Oben etwas ändern: beide Arten werden geplant und nebeneinandergestellt.</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Change step</source>
      <translation>Schritt ändern</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Change stock</source>
      <translation>Stück ändern</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Change the round piece</source>
      <translation>Rundes Stück ändern</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Changes power while it moves</source>
      <translation>Ändert die Leistung, während sie fährt</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Charred</source>
      <translation>Verkohlt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Chart for the wall (*.pdf)</source>
      <translation>Tafel für die Wand (*.pdf)</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Chart or manual</source>
      <translation>Tafel oder Handbuch</translation>
    </message>
    <message>
      <extracomment>app/session/machine_keeper.cpp</extracomment>
      <source>Check the bed, the speeds and the home corner, too. %1</source>
      <translation>Auch Bett, Geschwindigkeiten und Grundstellung prüfen. %1</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Check the name, or whether the disk or card it was on is still there.</source>
      <translation>Den Namen prüfen, oder ob die Platte oder Karte noch da ist.</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Checking</source>
      <translation>Prüft</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Checklist and own lines</source>
      <translation>Prüfliste und eigene Zeilen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Checks</source>
      <translation>Prüfungen</translation>
    </message>
    <message numerus="yes">
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Checks: %n open</source>
      <translation>
        <numerusform>Prüfungen: %n offen</numerusform>
        <numerusform>Prüfungen: %n offen</numerusform>
      </translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Checks: all pass</source>
      <translation>Prüfungen: alle bestanden</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose a file inside it.</source>
      <translation>Eine Datei darin wählen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose a file with G-code lines.</source>
      <translation>Eine Datei mit G-Code-Zeilen wählen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose a larger part, or all of it.</source>
      <translation>Einen größeren Teil wählen, oder alles.</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Choose a picture…</source>
      <translation>Bild wählen …</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Choose a port, or use the simulated machine.</source>
      <translation>Einen Anschluss wählen oder die simulierte Maschine nehmen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose a shorter distance.</source>
      <translation>Einen kürzeren Weg wählen.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Choose all</source>
      <translation>Alles wählen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose another file.</source>
      <translation>Eine andere Datei wählen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose another font.</source>
      <translation>Eine andere Schrift wählen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose another one.</source>
      <translation>Einen anderen wählen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose another place for it.</source>
      <translation>Einen anderen Ort dafür wählen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose another place for the link.</source>
      <translation>Einen anderen Ort für die Verknüpfung wählen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose another port, or check the baud rate.</source>
      <translation>Einen anderen Anschluss wählen oder die Baudrate prüfen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose it beside the drawing's scale.</source>
      <translation>Neben dem Maßstab der Zeichnung wählen.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Choose its place…</source>
      <translation>Seinen Ort wählen …</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose one it has.</source>
      <translation>Einen wählen, den sie hat.</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Choose one piece of art with a closed outline on the bed first.</source>
      <translation>Erst ein Stück mit geschlossenem Umriss auf dem Bett wählen.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/page_chooser.cpp</extracomment>
      <source>Choose page %1</source>
      <translation>Seite %1 wählen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Choose the form of the piece again under “Stock”.</source>
      <translation>Die Form des Stücks unter „Stück“ neu wählen.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Choose…</source>
      <translation>Wählen …</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Chosen art's outline</source>
      <translation>Umriss der gewählten Zeichnung</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Circle</source>
      <translation>Kreis</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Circles in circles</source>
      <translation>Kreise in Kreisen</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Clean</source>
      <translation>Sauber</translation>
    </message>
    <message>
      <extracomment>app/trays/art/findings_panel.cpp</extracomment>
      <source>Cleaning</source>
      <translation>Säubern</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Clear</source>
      <translation>Leeren</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Clear marks of lines</source>
      <translation>Linienmarken entfernen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Click a place of the art; drag the diamond later</source>
      <translation>Eine Stelle der Zeichnung anklicken; die Raute später ziehen</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Click on a swatch, or go there with the arrow keys, and say how it came out.</source>
      <translation>Ein Muster anklicken oder mit den Pfeiltasten hingehen und sagen, wie es wurde.</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Click on the bed…</source>
      <translation>Auf das Bett klicken …</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Click the datum's place on the art</source>
      <translation>Die Stelle des Bezugspunkts auf der Zeichnung anklicken</translation>
    </message>
    <message>
      <extracomment>app/trays/marked_places.cpp</extracomment>
      <source>Click the place to mark</source>
      <translation>Die zu merkende Stelle anklicken</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Click the shapes to take out</source>
      <translation>Die Formen anklicken, die wegsollen</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Click where a bridge stays</source>
      <translation>Anklicken, wo ein Steg bleibt</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Click where on the bed the datum goes</source>
      <translation>Anklicken, wohin auf dem Bett der Bezugspunkt soll</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Click where the datum goes</source>
      <translation>Anklicken, wohin der Bezugspunkt soll</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Click where the head shall go</source>
      <translation>Anklicken, wohin der Kopf soll</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Click where the line begins</source>
      <translation>Anklicken, wo die Linie beginnt</translation>
    </message>
    <message>
      <extracomment>app/trays/art/page_chooser.cpp</extracomment>
      <source>Click: this page instead. Ctrl+click: this page as well</source>
      <translation>Klick: diese Seite stattdessen. Strg+Klick: diese Seite dazu</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Clogged</source>
      <translation>Zugelaufen</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Clogged %1 %</source>
      <translation>Zugelaufen %1 %</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Clogged: every dot burns. Bald: none does.</source>
      <translation>Zugelaufen: jeder Punkt brennt. Kahl: keiner.</translation>
    </message>
    <message>
      <extracomment>app/commands/command_sheets.cpp</extracomment>
      <source>Close</source>
      <translation>Schließen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Close that program, then try again.</source>
      <translation>Das Programm schließen und noch einmal versuchen.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/settings_sheet.cpp</extracomment>
      <source>Colours</source>
      <translation>Farben</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Colours made for printing (CMYK) are converted</source>
      <translation>Druckfarben (CMYK) werden umgerechnet</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Columns</source>
      <translation>Spalten</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Comfortable power</source>
      <translation>Angenehme Leistung</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Comfortable up to</source>
      <translation>Angenehm bis</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Coming to rest</source>
      <translation>Kommt zur Ruhe</translation>
    </message>
    <message>
      <extracomment>app/commands/command_sheets.cpp</extracomment>
      <source>Command to find</source>
      <translation>Gesuchter Befehl</translation>
    </message>
    <message>
      <extracomment>app/commands/command_sheets.cpp</extracomment>
      <source>Commands found</source>
      <translation>Gefundene Befehle</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Compare with another way</source>
      <translation>Mit einer anderen Art vergleichen</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Connect</source>
      <translation>Verbinden</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Connect a machine</source>
      <translation>Eine Maschine verbinden</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>Connect a machine first: its name in the rail below.</source>
      <translation>Erst eine Maschine verbinden: ihr Name unten in der Leiste.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Connect it first.</source>
      <translation>Erst verbinden.</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Connect to %1</source>
      <translation>Mit %1 verbinden</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Connect to a machine</source>
      <translation>Mit einer Maschine verbinden</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Connect to it</source>
      <translation>Damit verbinden</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Connect, change or disconnect the machine</source>
      <translation>Maschine verbinden, wechseln oder trennen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Connecting</source>
      <translation>Verbindet</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Connect…</source>
      <translation>Verbinden …</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Constant: the beam burns on wherever the head stands or slows down, and if the cable fails. Only with a reason.</source>
      <translation>Fest: der Strahl brennt weiter, wo der Kopf steht oder bremst, und wenn das Kabel ausfällt. Nur mit einem Grund.</translation>
    </message>
    <message>
      <extracomment>app/proof/contact_sheet.cpp</extracomment>
      <source>Contact sheet of dither methods</source>
      <translation>Kontaktbogen der Rasterarten</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Contrast</source>
      <translation>Kontrast</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Controller</source>
      <translation>Steuerung</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Controller settings</source>
      <translation>Einstellungen der Steuerung</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Cool it down</source>
      <translation>Abkühlen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Copied</source>
      <translation>Kopiert</translation>
    </message>
    <message>
      <extracomment>app/machine/wire_sheet.cpp</extracomment>
      <source>Copy</source>
      <translation>Kopieren</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Copy art</source>
      <translation>Zeichnung kopieren</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Copy it again from where it came from.</source>
      <translation>Noch einmal von der Quelle kopieren.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Copy it and change the copy, or ask the keeper.</source>
      <translation>Kopieren und die Kopie ändern, oder den Verwahrer fragen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Copy it to another place and try again.</source>
      <translation>An einen anderen Ort kopieren und noch einmal versuchen.</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_desk.cpp</extracomment>
      <source>Copy picture settings</source>
      <translation>Bildeinstellungen kopieren</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Copy settings to…</source>
      <translation>Einstellungen kopieren nach …</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Copy swatch card</source>
      <translation>Musterkarte kopieren</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Copy to another material or thickness</source>
      <translation>Für anderes Material oder andere Dicke kopieren</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Copy to…</source>
      <translation>Kopieren nach …</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Copy what is chosen</source>
      <translation>Gewähltes kopieren</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Corner marks</source>
      <translation>Eckmarken</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Corners</source>
      <translation>Ecken</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Correct the diameter</source>
      <translation>Durchmesser berichtigen</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Counted in one turn</source>
      <translation>Gezählt in einer Umdrehung</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Counts from 0 at home</source>
      <translation>Zählt ab 0 in der Grundstellung</translation>
    </message>
    <message>
      <extracomment>app/proof/original_panel.cpp</extracomment>
      <source>Crop</source>
      <translation>Beschneiden</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Crop and turn</source>
      <translation>Beschneiden und drehen</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Crop from the left</source>
      <translation>Beschnitt von links</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Crop from the top</source>
      <translation>Beschnitt von oben</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Crop to the bottom</source>
      <translation>Beschnitt bis unten</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Crop to the right</source>
      <translation>Beschnitt bis rechts</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Crossed</source>
      <translation>Gekreuzt</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Ctrl+D</source>
      <translation>Strg+D</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Ctrl+G; apart again with Ctrl+Shift+G</source>
      <translation>Strg+G; wieder auseinander mit Strg+Umschalt+G</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Ctrl+Return</source>
      <translation>Strg+Eingabe</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>Ctrl+Shift+F</source>
      <translation>Strg+Umschalt+F</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Curves</source>
      <translation>Kurven</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Cut</source>
      <translation>Schneiden</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Cutting through</source>
      <translation>Durchschneiden</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Dark</source>
      <translation>Dunkel</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Dark ways</source>
      <translation>Leerwege</translation>
    </message>
    <message>
      <extracomment>app/swatches/dose_plot.cpp</extracomment>
      <source>Darkness over dose</source>
      <translation>Schwärze über Dosis</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Darkness stops rising past %1 %2: more only chars.</source>
      <translation>Über %1 %2 steigt die Schwärze nicht mehr: mehr verkohlt nur.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Dashed and dotted lines of the drawing burn in pieces; otherwise they burn through</source>
      <translation>Gestrichelte und punktierte Linien der Zeichnung brennen in Stücken, sonst durchgehend</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Dashed lines</source>
      <translation>Gestrichelte Linien</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Dashed lines are dashed</source>
      <translation>Gestrichelte Linien bleiben gestrichelt</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>Data %1 MB, link %2 % busy</source>
      <translation>Daten %1 MB, Leitung zu %2 % belegt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Date</source>
      <translation>Datum</translation>
    </message>
    <message>
      <extracomment>app/papers/run_sheet_page.cpp</extracomment>
      <source>Datum</source>
      <translation>Bezugspunkt</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Datum from the left</source>
      <translation>Bezugspunkt von links</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Datum from the near edge</source>
      <translation>Bezugspunkt von vorn</translation>
    </message>
    <message>
      <extracomment>app/trays/marked_places.cpp</extracomment>
      <source>Datum to %1</source>
      <translation>Bezugspunkt auf %1</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>Delete</source>
      <translation>Löschen</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>Delete it for good</source>
      <translation>Endgültig löschen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Delete, with the bed in focus</source>
      <translation>Entf, mit dem Bett im Fokus</translation>
    </message>
    <message>
      <extracomment>app/session/store_desk.cpp</extracomment>
      <source>Deleting…</source>
      <translation>Wird gelöscht …</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Denoise</source>
      <translation>Entrauschen</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Depth</source>
      <translation>Tiefe</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Depth of a swatch</source>
      <translation>Tiefe eines Musters</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Depth of the swatch</source>
      <translation>Tiefe des Musters</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Design</source>
      <translation>Entwurf</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Diameter of a roller</source>
      <translation>Durchmesser einer Rolle</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Diameter where the piece begins</source>
      <translation>Durchmesser am Anfang des Stücks</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Diameter where the piece ends</source>
      <translation>Durchmesser am Ende des Stücks</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Diameter, first and last</source>
      <translation>Durchmesser, vorn und hinten</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>Did it stay on the piece?</source>
      <translation>Blieb er auf dem Stück?</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Direction of scan lines</source>
      <translation>Richtung der Zeilen</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Directions turned</source>
      <translation>Richtungen umgekehrt</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Disconnect</source>
      <translation>Trennen</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Dither method</source>
      <translation>Rasterart</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Do lines that run there and back meet?</source>
      <translation>Treffen sich Linien, die hin und her laufen?</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Do that</source>
      <translation>Das tun</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Do that: %1</source>
      <translation>Das tun: %1</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Does one turn come round?</source>
      <translation>Schließt sich eine Umdrehung?</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Done</source>
      <translation>Fertig</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Door open</source>
      <translation>Tür offen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Dose</source>
      <translation>Dosis</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_canvas.cpp</extracomment>
      <source>Dose %1 %2</source>
      <translation>Dosis %1 %2</translation>
    </message>
    <message>
      <extracomment>app/widgets/dose_pad.cpp</extracomment>
      <source>Dose pad</source>
      <translation>Dosisfeld</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Dose, mJ/mm</source>
      <translation>Dosis, mJ/mm</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Dose, mJ/mm²</source>
      <translation>Dosis, mJ/mm²</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Dot gain</source>
      <translation>Punktzuwachs</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Dot pitch</source>
      <translation>Punktabstand</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Dot to dot</source>
      <translation>Von Punkt zu Punkt</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Dot to dot along a line</source>
      <translation>Von Punkt zu Punkt in der Zeile</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Dots</source>
      <translation>Punkte</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Dots a cluster</source>
      <translation>Punkte je Gruppe</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Dots and spot</source>
      <translation>Punkte und Brennfleck</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Dots back and forth</source>
      <translation>Punkte hin und her</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Dots from cluster to cluster</source>
      <translation>Punkte von Gruppe zu Gruppe</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Dots — contact sheet</source>
      <translation>Punkte — Kontaktbogen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Drag a box round the part to take</source>
      <translation>Einen Kasten um den gewünschten Teil ziehen</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Drag it on the bed, or its handles.</source>
      <translation>Auf dem Bett ziehen, oder an seinen Griffen.</translation>
    </message>
    <message>
      <extracomment>app/widgets/ink_chip.cpp</extracomment>
      <source>Drag it onto a step, or press the step's number; with Ctrl it goes to that step as well; 0 leaves it out</source>
      <translation>Auf einen Schritt ziehen oder die Nummer des Schritts drücken; mit Strg auch dorthin; 0 lässt sie aus</translation>
    </message>
    <message>
      <extracomment>app/widgets/ink_chip.cpp</extracomment>
      <source>Drag onto a step, or press its number (0 leaves it out). With Ctrl: to that step as well.</source>
      <translation>Auf einen Schritt ziehen oder seine Nummer drücken (0 lässt sie aus). Mit Strg: auch dorthin.</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Drag the frame over the original, or type shares of it:</source>
      <translation>Den Rahmen über das Original ziehen oder Anteile davon tippen:</translation>
    </message>
    <message>
      <extracomment>app/widgets/dose_pad.cpp</extracomment>
      <source>Drag, or use the arrow keys. With Ctrl the dose stays the same.</source>
      <translation>Ziehen oder die Pfeiltasten. Mit Strg bleibt die Dosis gleich.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/drawing_bar.cpp</extracomment>
      <source>Draw</source>
      <translation>Zeichnen</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Draw %1</source>
      <translation>%1 zeichnen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/drawing_bar.cpp</extracomment>
      <source>Draw a line on the bed</source>
      <translation>Eine Linie auf dem Bett zeichnen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Draw it with dots of %1 mm</source>
      <translation>Mit Punkten von %1 mm zeichnen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Drawing scale</source>
      <translation>Zeichnungsmaßstab</translation>
    </message>
    <message>
      <extracomment>app/trays/art/page_chooser.cpp</extracomment>
      <source>Drawing the pages…</source>
      <translation>Zeichne die Seiten …</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Drawings (*.svg)</source>
      <translation>Zeichnungen (*.svg)</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Drawings are bent to come out true; those that go all round follow the rings.</source>
      <translation>Zeichnungen werden so gebogen, dass sie stimmen; was ganz herumgeht, folgt den Ringen.</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>Drawing…</source>
      <translation>Zeichne …</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>Drive the head over the place with the strips, or Shift and the arrows with the rail clicked, then mark it.</source>
      <translation>Den Kopf mit den Streifen über die Stelle fahren, oder Umschalt und Pfeile nach Klick in die Leiste, dann merken.</translation>
    </message>
    <message>
      <extracomment>app/trays/marked_places.cpp</extracomment>
      <source>Drive the head there first</source>
      <translation>Erst den Kopf dorthin fahren</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Drop</source>
      <translation>Verwerfen</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>Drop a drawing or picture here</source>
      <translation>Hier eine Zeichnung oder ein Bild ablegen</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Drop variant</source>
      <translation>Variante verwerfen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Each is plain, 70 signs at most, and does not turn the beam on (M3, M4).</source>
      <translation>Jede ist schlicht, höchstens 70 Zeichen, und schaltet den Strahl nicht ein (M3, M4).</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Edit</source>
      <translation>Bearbeiten</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Edit…</source>
      <translation>Bearbeiten …</translation>
    </message>
    <message>
      <extracomment>app/trays/art/drawing_bar.cpp</extracomment>
      <source>Ellipse</source>
      <translation>Ellipse</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Enable sign turned</source>
      <translation>Einschaltsignal umgekehrt</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Engrave</source>
      <translation>Gravieren</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Engraving</source>
      <translation>Gravur</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Equal gaps; the outermost stay</source>
      <translation>Gleiche Lücken; die äußersten bleiben</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>Equal ratios</source>
      <translation>Gleiche Verhältnisse</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Esc holds it, Esc again stops it.</source>
      <translation>Esc hält an, noch einmal Esc bricht ab.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/settings_sheet.cpp</extracomment>
      <source>Evening</source>
      <translation>Abend</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Every change of power would stop the head and burn dots. Turn laser mode on ($32=1).</source>
      <translation>Jeder Leistungswechsel hielte den Kopf an und brennte Punkte. Lasermodus einschalten ($32=1).</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Every change of power would stop the head and burn dots. Turn laser mode on.</source>
      <translation>Jeder Leistungswechsel hielte den Kopf an und brennte Punkte. Lasermodus einschalten.</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Every dot stands alone</source>
      <translation>Jeder Punkt steht allein</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Every stroke is a line</source>
      <translation>Jeder Strich ist eine Linie</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Every swatch is left out</source>
      <translation>Jedes Muster ist ausgelassen</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>Every value is as many times the one before: better over a wide range</source>
      <translation>Jeder Wert ist so viel Mal der vorige: besser über weite Bereiche</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Everything in this drawing is on layers that are off or frozen: {layers}</source>
      <translation>Alles in dieser Zeichnung liegt auf Ebenen, die aus oder gefroren sind: {layers}</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Evidence</source>
      <translation>Belege</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Export</source>
      <translation>Export</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Export as SVG</source>
      <translation>Als SVG ausgeben</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Export the geometry as SVG</source>
      <translation>Die Geometrie als SVG ausgeben</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Export those you need, or give Chalkline a folder it may write to.</source>
      <translation>Die nötigen ausgeben oder Chalkline einen Ordner geben, in den es schreiben darf.</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Faint dot</source>
      <translation>Schwacher Punkt</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Far</source>
      <translation>Hinten</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Far left</source>
      <translation>Hinten links</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Far right</source>
      <translation>Hinten rechts</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Far side first</source>
      <translation>Hintere Seite zuerst</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Fastest in X</source>
      <translation>Größte Geschwindigkeit in X</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Fastest in Y</source>
      <translation>Größte Geschwindigkeit in Y</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Fastest of the rotary</source>
      <translation>Größte Geschwindigkeit der Drehachse</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Fastest, X and Y</source>
      <translation>Größte, X und Y</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Fastest, on an axis of its own</source>
      <translation>Größte, auf eigener Achse</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Fewer dots for the %1 mm spot</source>
      <translation>Weniger Punkte für den Brennfleck von %1 mm</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>Fewer dots for the spot</source>
      <translation>Weniger Punkte für den Brennfleck</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>File</source>
      <translation>Datei</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Files another program saves or prints there offer themselves here</source>
      <translation>Dateien, die ein anderes Programm dorthin speichert oder druckt, bieten sich hier an</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>Files in the store</source>
      <translation>Dateien im Speicher</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Fill the piece</source>
      <translation>Das Stück füllen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Filled</source>
      <translation>Gefüllt</translation>
    </message>
    <message>
      <extracomment>app/machine/wire_sheet.cpp</extracomment>
      <source>Filter of the wire log</source>
      <translation>Filter des Leitungsprotokolls</translation>
    </message>
    <message>
      <extracomment>app/commands/command_sheets.cpp</extracomment>
      <source>Find a command</source>
      <translation>Einen Befehl finden</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Find any command, job or recipe (Ctrl+K)</source>
      <translation>Jeden Befehl, Auftrag, jedes Rezept finden (Strg+K)</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Find home</source>
      <translation>Grundstellung suchen</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>Find home first: a mark needs to know where the head is.</source>
      <translation>Erst die Grundstellung suchen: eine Marke muss wissen, wo der Kopf ist.</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Find home, about %1</source>
      <translation>Grundstellung suchen, etwa %1</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Find home, or push or jog the head to a place you know and say that it stands there.</source>
      <translation>Grundstellung suchen, oder den Kopf an einen bekannten Ort bringen und sagen, dass er dort steht.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Find home, or say where it stands.</source>
      <translation>Grundstellung suchen oder sagen, wo er steht.</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Find home, or unlock if the head is clear of the edges.</source>
      <translation>Grundstellung suchen, oder entsperren, wenn der Kopf frei steht.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Find material, note, #tag…</source>
      <translation>Material, Notiz, #Wort finden …</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>Find material, question, note…</source>
      <translation>Material, Frage, Notiz finden …</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Find recipes</source>
      <translation>Rezepte finden</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>Find swatch cards</source>
      <translation>Musterkarten finden</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Finding home</source>
      <translation>Sucht die Grundstellung</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Finding home would turn the piece: home before the rotary is plugged in</source>
      <translation>Die Grundstellung würde das Stück drehen: vorher suchen, ehe die Drehachse angesteckt wird</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Finding home would turn the round piece: its rotary is plugged in where Y was</source>
      <translation>Die Grundstellung zu suchen würde das runde Stück drehen: seine Drehachse steckt, wo Y war</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Find…</source>
      <translation>Finden …</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Finer card around this one</source>
      <translation>Feinere Karte um diese</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Finer swatch card</source>
      <translation>Feinere Musterkarte</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>First</source>
      <translation>Erster</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>First and last are the same: one value</source>
      <translation>Erster und letzter sind gleich: ein Wert</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>First and last were the wrong way round and changed places</source>
      <translation>Erster und letzter standen verkehrt und haben getauscht</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>First line</source>
      <translation>Erste Zeile</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>First value %1</source>
      <translation>Erster Wert %1</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Flap, held at one corner</source>
      <translation>Lappen, an einer Ecke gehalten</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Focus</source>
      <translation>Fokus</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Focus down each pass</source>
      <translation>Fokus tiefer je Durchgang</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Focus gauge</source>
      <translation>Fokuslehre</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Focus height</source>
      <translation>Fokushöhe</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Focus higher by</source>
      <translation>Fokus höher um</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Focus, air and start button</source>
      <translation>Fokus, Luft und Startknopf</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>Focused for %1.</source>
      <translation>Fokussiert für %1.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Folder to watch</source>
      <translation>Beobachteter Ordner</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Font</source>
      <translation>Schrift</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>For</source>
      <translation>Für</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>For another Chalkline (*.json)</source>
      <translation>Für ein anderes Chalkline (*.json)</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>For glass and stone: no two burned dots touch along a line or straight above</source>
      <translation>Für Glas und Stein: keine zwei gebrannten Punkte berühren sich in der Zeile oder gerade darüber</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>For machines without home switches, and heads pushed by hand</source>
      <translation>Für Maschinen ohne Endschalter und von Hand geschobene Köpfe</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Forget</source>
      <translation>Vergessen</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Forget %1</source>
      <translation>%1 vergessen</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Forget a marked place</source>
      <translation>Einen gemerkten Ort vergessen</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>Forget it</source>
      <translation>Vergessen</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Forgets the variant</source>
      <translation>Vergisst die Variante</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Form</source>
      <translation>Form</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Form of the clusters</source>
      <translation>Form der Gruppen</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Form of the piece</source>
      <translation>Form des Stücks</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>Frame</source>
      <translation>Umfahren</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Frame again</source>
      <translation>Noch einmal umfahren</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Frame it again to see where it lands now.</source>
      <translation>Noch einmal umfahren, um zu sehen, wo es jetzt landet.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Frame one side</source>
      <translation>Eine Seite umfahren</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Frame the job</source>
      <translation>Den Auftrag umfahren</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>Framed at %1; it stayed on the piece. Nothing was moved since.</source>
      <translation>Umfahren um %1; es blieb auf dem Stück. Seither wurde nichts bewegt.</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Framing</source>
      <translation>Umfährt</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>Framing…</source>
      <translation>Umfährt …</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Free some room and try again; what was kept before is there.</source>
      <translation>Platz schaffen und noch einmal versuchen; das vorher Gesicherte ist da.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Free some room or choose another folder; the old file is as it was.</source>
      <translation>Platz schaffen oder einen anderen Ordner wählen; die alte Datei ist, wie sie war.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/drawing_bar.cpp</extracomment>
      <source>Freehand</source>
      <translation>Freihand</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Fresh piece</source>
      <translation>Frisches Stück</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>From a chart or manual</source>
      <translation>Aus Tafel oder Handbuch</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>From a photograph…</source>
      <translation>Aus einem Foto …</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>From the simulated bed</source>
      <translation>Vom simulierten Bett</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Full power</source>
      <translation>Volle Leistung</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Gamma</source>
      <translation>Gamma</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Gap</source>
      <translation>Lücke</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Gap between</source>
      <translation>Lücke dazwischen</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Gap between swatches</source>
      <translation>Lücke zwischen Mustern</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Give --width in mm or --dots W,H; at most 400 million dots.</source>
      <translation>--width in mm oder --dots B,H angeben; höchstens 400 Millionen Punkte.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Give diameters and a length of at least 1 mm, and leave something between what is taken.</source>
      <translation>Durchmesser und eine Länge von mindestens 1 mm angeben und zwischen dem Belegten etwas frei lassen.</translation>
    </message>
    <message>
      <extracomment>app/session/store_desk.cpp</extracomment>
      <source>Give it a name of letters and figures.</source>
      <translation>Geben Sie ihr einen Namen aus Buchstaben und Ziffern.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Give it a scale, take a part of it alone, or split it. Chalkline never changes its size silently.</source>
      <translation>Einen Maßstab geben, nur einen Teil nehmen oder teilen. Chalkline ändert die Größe nie stillschweigend.</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Give it a step</source>
      <translation>Ihr einen Schritt geben</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Give it its own step</source>
      <translation>Ihm einen eigenen Schritt geben</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Give one of letters and figures with --as.</source>
      <translation>Geben Sie mit --as einen aus Buchstaben und Ziffern an.</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Go</source>
      <translation>Los</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Go on</source>
      <translation>Weiter</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Go on after a hold</source>
      <translation>Nach dem Anhalten weitermachen</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Go on from there…</source>
      <translation>Von dort weitermachen …</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Go on where it broke off?</source>
      <translation>Dort weitermachen, wo es abbrach?</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>Go on with it</source>
      <translation>Damit weitermachen</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Go there</source>
      <translation>Dorthin</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Go to</source>
      <translation>Gehe zu</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Go to X</source>
      <translation>Gehe zu X</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Go to Y</source>
      <translation>Gehe zu Y</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Goes where the routine says: %1.</source>
      <translation>Geht, wohin die Routine sagt: %1.</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Good</source>
      <translation>Gut</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Green</source>
      <translation>Grün</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Greeting</source>
      <translation>Begrüßung</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Grey ramp</source>
      <translation>Graukeil</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Grey, by power</source>
      <translation>Grau, durch Leistung</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Group</source>
      <translation>Gruppieren</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Group art</source>
      <translation>Zeichnung gruppieren</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Groups or references nest too deep: left out from there</source>
      <translation>Gruppen oder Verweise sind zu tief verschachtelt: ab dort ausgelassen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Guide</source>
      <translation>Anleitung</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Guide to what you are at</source>
      <translation>Anleitung zu dem, was gerade dran ist</translation>
    </message>
    <message>
      <extracomment>app/guide/guide.cpp</extracomment>
      <source>Guide — Chalkline</source>
      <translation>Anleitung — Chalkline</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>H</source>
      <translation>H</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Halftone</source>
      <translation>Halbton</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Handle %1 at %2 % from the left, %3 % from the top</source>
      <translation>Griff %1 bei %2 % von links, %3 % von oben</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Hard limits</source>
      <translation>Harte Grenzen</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Has burned</source>
      <translation>Hat gebrannt</translation>
    </message>
    <message>
      <extracomment>app/trays/pointer_panel.cpp</extracomment>
      <source>Has the head a red dot beside the beam? Make a mark with a pulse on scrap and leave the head there.</source>
      <translation>Hat der Kopf einen roten Punkt neben dem Strahl? Mit einem Puls eine Marke auf Abfall setzen und den Kopf dort lassen.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Hatching as a picture</source>
      <translation>Schraffur als Bild</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Hatching as lines</source>
      <translation>Schraffur als Linien</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Hatching is lines</source>
      <translation>Schraffuren sind Linien</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Head stands at X</source>
      <translation>Kopf steht bei X</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Head stands at Y</source>
      <translation>Kopf steht bei Y</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Heed a check</source>
      <translation>Eine Prüfung beachten</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Heed it again</source>
      <translation>Wieder beachten</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Height</source>
      <translation>Höhe</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Height of a capital</source>
      <translation>Höhe eines Großbuchstabens</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Height of a swatch</source>
      <translation>Höhe eines Musters</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Height of the art</source>
      <translation>Höhe der Zeichnung</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Height of the focus gauge</source>
      <translation>Höhe der Fokuslehre</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Height of the form</source>
      <translation>Höhe der Form</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Height of the letters</source>
      <translation>Höhe der Buchstaben</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Height of the picture</source>
      <translation>Höhe des Bildes</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Held</source>
      <translation>Angehalten</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Held by the machine's own switch, or a foot switch</source>
      <translation>Angehalten durch den Schalter der Maschine oder einen Fußschalter</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Held: the head stands</source>
      <translation>Angehalten: der Kopf steht</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Help</source>
      <translation>Hilfe</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Highest dose</source>
      <translation>Höchste Dosis</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>History</source>
      <translation>Verlauf</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Hold</source>
      <translation>Anhalten</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Hold Shift and an arrow key, with the rail clicked, to move as long as it is held.</source>
      <translation>Umschalt und eine Pfeiltaste halten, nach Klick in die Leiste: bewegt, solange gehalten wird.</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Hold and resume</source>
      <translation>Halten und weiter</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Hold the head and the beam (Esc)</source>
      <translation>Kopf und Strahl anhalten (Esc)</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Holding</source>
      <translation>Hält an</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Home</source>
      <translation>Grundstellung</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Home corner</source>
      <translation>Ecke der Grundstellung</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Home the flat machine before the rotary is plugged in. For this job, move the head over the seam where the piece begins and say so under “Stock”.</source>
      <translation>Die flache Maschine in Grundstellung bringen, ehe die Drehachse angesteckt wird. Für diesen Auftrag den Kopf über die Naht fahren, wo das Stück beginnt, und es unter „Stück“ sagen.</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Homing</source>
      <translation>Grundstellung</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Homing, fast</source>
      <translation>Grundstellung, schnell</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Homing, settle</source>
      <translation>Grundstellung, Beruhigung</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Homing, slow</source>
      <translation>Grundstellung, langsam</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>How dark does a share of burned dots look? Pictures come out even with the answer.</source>
      <translation>Wie dunkel sieht ein Anteil gebrannter Punkte aus? Mit der Antwort werden Bilder ausgewogen.</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>How dark does an area come out, and how fast can it go?</source>
      <translation>Wie dunkel wird eine Fläche, und wie schnell darf es gehen?</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>How dark it came out</source>
      <translation>Wie dunkel es wurde</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>How did it come out?</source>
      <translation>Wie wurde es?</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>How do small circles come out?</source>
      <translation>Wie werden kleine Kreise?</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>How far apart are the two ticks? Less than 0 where the ring's ends overlap.</source>
      <translation>Wie weit sind die beiden Striche auseinander? Unter 0, wenn die Enden des Rings sich überlappen.</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>How far apart may scan lines lie?</source>
      <translation>Wie weit dürfen Zeilen auseinanderliegen?</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>How far corners may be cut in thought: more is faster and rougher</source>
      <translation>Wie weit Ecken in Gedanken abgeschnitten werden: mehr ist schneller und rauer</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>How far from its edge inwards an oval fades into nothing; 0: none</source>
      <translation>Wie weit vom Rand nach innen ein Oval ausläuft; 0: gar nicht</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>How far the axis reaches</source>
      <translation>Wie weit die Achse reicht</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>How far the head backs off its switches</source>
      <translation>Wie weit der Kopf von seinen Schaltern zurückgeht</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>How fast it plays</source>
      <translation>Wie schnell es abläuft</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>How hard the axis speeds up and brakes</source>
      <translation>Wie stark die Achse beschleunigt und bremst</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>How it came out</source>
      <translation>Wie es wurde</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>How it is filled</source>
      <translation>Wie sie gefüllt wird</translation>
    </message>
    <message>
      <extracomment>app/trays/art/remarks_panel.cpp</extracomment>
      <source>How it was read</source>
      <translation>Wie es gelesen wurde</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>How it will go</source>
      <translation>Wie es gehen wird</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>How it will look</source>
      <translation>Wie es aussehen wird</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>How long</source>
      <translation>Wie lange</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>How long a pulse to the motor drivers lasts</source>
      <translation>Wie lange ein Puls an die Treiber dauert</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>How long motors hold after a move; 255: always</source>
      <translation>Wie lange Motoren nach einer Bewegung halten; 255: immer</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>How long switches may bounce</source>
      <translation>Wie lange Schalter prellen dürfen</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>How much do dots grow, at which pitch?</source>
      <translation>Wie sehr wachsen Punkte, bei welchem Abstand?</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>How much power do corners need?</source>
      <translation>Wie viel Leistung brauchen Ecken?</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>How often the same piece had been burned with this card before: its doses add up</source>
      <translation>Wie oft dasselbe Stück schon mit dieser Karte gebrannt war: die Dosen zählen zusammen</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>How strong does a line come out?</source>
      <translation>Wie stark wird eine Linie?</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>How the beam is kept</source>
      <translation>Wie der Strahl gehalten wird</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>How the inks differ</source>
      <translation>Wie sich die Tinten unterscheiden</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>How the line goes</source>
      <translation>Wie die Linie läuft</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>How the piece is marked</source>
      <translation>Wie das Stück gemerkt wird</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>How this burn came out</source>
      <translation>Wie dieser Brand wurde</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>How tones become dots</source>
      <translation>Wie Töne zu Punkten werden</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>How true arcs are drawn by straight lines</source>
      <translation>Wie genau Bögen aus Geraden gezogen werden</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>How wide is the cut? The tongue fits the window with the right value.</source>
      <translation>Wie breit ist der Schnitt? Mit dem richtigen Wert passt die Zunge ins Fenster.</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>I look at the pointer's dot</source>
      <translation>Ich sehe auf den Punkt des Zeigers</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Idle</source>
      <translation>Bereit</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>If it still stands there say --head-stands {x},{y}; else say where it stands.</source>
      <translation>Steht er noch dort, --head-stands {x},{y} angeben; sonst sagen, wo er steht.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Import recipes</source>
      <translation>Rezepte einlesen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Import…</source>
      <translation>Einlesen …</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>In focus above the touch by</source>
      <translation>Im Fokus über der Berührung um</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>In steps of the motor</source>
      <translation>In Schritten des Motors</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>In strokes instead of dots</source>
      <translation>In Strichen statt Punkten</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>In this job paint does not cover paint: it was made by an earlier version</source>
      <translation>In diesem Auftrag deckt Farbe keine Farbe: Er stammt aus einer früheren Version</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>In which unit is %1 drawn?</source>
      <translation>In welcher Einheit ist %1 gezeichnet?</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Inbox folder: off</source>
      <translation>Eingangsordner: aus</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Inbox: %1</source>
      <translation>Eingang: %1</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Inches</source>
      <translation>Zoll</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Ink</source>
      <translation>Tinte</translation>
    </message>
    <message>
      <extracomment>app/widgets/ink_chip.cpp</extracomment>
      <source>Ink %1</source>
      <translation>Tinte %1</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Ink of the drawn art</source>
      <translation>Tinte der gezeichneten Formen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Ink {ink} has no step</source>
      <translation>Tinte {ink} hat keinen Schritt</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Inks</source>
      <translation>Tinten</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Into the rotary</source>
      <translation>In die Drehachse</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Is chalkline-sim installed beside Chalkline?</source>
      <translation>Ist chalkline-sim neben Chalkline installiert?</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Is it switched on and on the same network?</source>
      <translation>Ist sie eingeschaltet und im selben Netz?</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Is the head still there…</source>
      <translation>Steht der Kopf noch dort…</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Is the head still where it stood (%1)?</source>
      <translation>Steht der Kopf noch, wo er stand (%1)?</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Is the head still where it stood (%1, %2)? The controller has forgotten its place.</source>
      <translation>Steht der Kopf noch, wo er stand (%1, %2)? Die Steuerung hat seine Stelle vergessen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Is the machine switched on, the cable in, and the baud rate right?</source>
      <translation>Ist die Maschine an, das Kabel drin und die Baudrate richtig?</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Is the number, or its unit, meant?</source>
      <translation>Ist die Zahl gemeint, oder ihre Einheit?</translation>
    </message>
    <message>
      <extracomment>app/swatches/place_panel.cpp</extracomment>
      <source>It becomes the job: place, frame and burn it there</source>
      <translation>Sie wird zum Auftrag: dort hinlegen, umfahren und brennen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It burns as it did. “Paint covers paint” can be switched on beside each art, in the Art tray.</source>
      <translation>Er brennt wie bisher. „Farbe deckt Farbe“ lässt sich bei jedem Motiv im Fach Motiv einschalten.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It burns on wherever the head stands; with the cable pulled it stays on where the head comes to rest, until somebody uses the machine's own switch. Let the beam follow the speed unless there is a reason.</source>
      <translation>Er brennt weiter, wo der Kopf steht; mit gezogenem Kabel bleibt er an, wo der Kopf zur Ruhe kommt, bis jemand den Schalter der Maschine benutzt. Den Strahl der Geschwindigkeit folgen lassen, wenn nichts dagegen spricht.</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>It burns when the machine's own start button is pressed.</source>
      <translation>Es brennt, wenn der Startknopf der Maschine gedrückt wird.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>It came out well</source>
      <translation>Es gelang gut</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>It can move, but nobody knows where the head is</source>
      <translation>Sie kann sich bewegen, aber niemand weiß, wo der Kopf ist</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It cannot be gone on with. The job itself can be opened and burned again.</source>
      <translation>Es kann nicht weitergehen. Der Auftrag selbst kann geöffnet und neu gebrannt werden.</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>It cannot be planned that way.</source>
      <translation>So lässt es sich nicht planen.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>It covers lines too</source>
      <translation>Auch Linien werden verdeckt</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>It did</source>
      <translation>Ja</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>It did not</source>
      <translation>Nein</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It did not understand the question, or no card is in it. Burn over the cable instead.</source>
      <translation>Sie hat die Frage nicht verstanden, oder es steckt keine Karte. Brennen Sie über das Kabel.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It does not fit on the piece with this margin</source>
      <translation>Mit diesem Rand passt es nicht auf das Stück</translation>
    </message>
    <message>
      <extracomment>app/session/machine_keeper.cpp</extracomment>
      <source>It does not know its beam: set watts and spot under “Machine” in the rail.</source>
      <translation>Sie kennt ihren Strahl nicht: Watt und Brennfleck unter „Maschine“ in der Leiste eintragen.</translation>
    </message>
    <message>
      <extracomment>app/swatches/place_panel.cpp</extracomment>
      <source>It goes into the middle of the bed, on a piece of its own size. Place that where your material lies.</source>
      <translation>Sie kommt in die Mitte des Betts, auf ein Stück ihrer eigenen Größe. Das dorthin legen, wo das Material liegt.</translation>
    </message>
    <message>
      <extracomment>app/swatches/place_panel.cpp</extracomment>
      <source>It goes into the piece's near left corner.</source>
      <translation>Sie kommt in die Ecke vorn links des Stücks.</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>It has these settings already.</source>
      <translation>Er hat diese Einstellungen schon.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It holds no visible lines, filled shapes or pictures. Turn effects into outlines before saving it.</source>
      <translation>Sie enthält keine sichtbaren Linien, Flächen oder Bilder. Effekte vor dem Speichern in Umrisse wandeln.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It is another file, or not whole. Nothing was started; send it again.</source>
      <translation>Es ist eine andere Datei, oder sie ist nicht vollständig. Nichts wurde gestartet; senden Sie sie noch einmal.</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>It is focused</source>
      <translation>Es ist fokussiert</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It is locked and stays where it is</source>
      <translation>Es ist gesperrt und bleibt, wo es ist</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It is not known whether this board (“{text}”) changes the beam's power while the head moves: the work might stay dark</source>
      <translation>Ob diese Steuerung („{text}“) die Leistung des Strahls ändert, während der Kopf fährt, ist nicht bekannt: Die Arbeit bliebe vielleicht dunkel</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It is shown as it is now. Make your change again if it is still wanted.</source>
      <translation>Es wird gezeigt, wie es jetzt ist. Die Änderung noch einmal machen, wenn sie noch gewollt ist.</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>It is working. Stop it before you disconnect.</source>
      <translation>Sie arbeitet. Vor dem Trennen anhalten.</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>It left the piece: move the job or the piece, and frame again.</source>
      <translation>Es verließ das Stück: Auftrag oder Stück verschieben und noch einmal umfahren.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It may char or catch fire. Go faster or use less power.</source>
      <translation>Es kann verkohlen oder Feuer fangen. Schneller oder mit weniger Leistung.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It may have been a refusal, so the work was stopped and the beam is off. Look at the cable, then go on.</source>
      <translation>Es kann eine Weigerung gewesen sein, darum wurde angehalten und der Strahl ist aus. Das Kabel ansehen, dann weitermachen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It reads one line after the other and hears nothing in between.</source>
      <translation>Sie liest eine Zeile nach der anderen und hört dazwischen nichts.</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>It stands at another place…</source>
      <translation>Er steht anderswo…</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>It stands there</source>
      <translation>Er steht dort</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It stays in the file as it is and is not shown. A backup beside the file may still have it.</source>
      <translation>Es bleibt, wie es ist, in der Datei und wird nicht gezeigt. Eine Sicherung daneben hat es vielleicht noch.</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>It tells the response of this material for pictures.</source>
      <translation>Sie sagt, wie dieses Material auf Bilder antwortet.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It was cut short or damaged. Copy it again from where it came from.</source>
      <translation>Sie wurde abgeschnitten oder beschädigt. Noch einmal von der Quelle kopieren.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It was cut short or damaged. Print or save it again from the program that made it.</source>
      <translation>Sie wurde abgeschnitten oder beschädigt. Noch einmal aus dem Programm drucken oder speichern.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It was cut short or damaged. Save it again from the program that made it.</source>
      <translation>Sie wurde abgeschnitten oder beschädigt. Noch einmal aus dem Programm speichern.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>It was cut short or damaged. Save it again, as DXF R12 or 2000 if there is a choice.</source>
      <translation>Sie wurde abgeschnitten oder beschädigt. Noch einmal speichern, möglichst als DXF R12 oder 2000.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>It was not kept.</source>
      <translation>Es wurde nicht gesichert.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Its size is in pixels, to the inch</source>
      <translation>Größe in Pixeln, je Zoll</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>Job</source>
      <translation>Auftrag</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Job and when it was saved</source>
      <translation>Auftrag und wann er gesichert wurde</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Job moves so that it lies at</source>
      <translation>Auftrag rückt, sodass er liegt an</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Jobs (*.chalk)</source>
      <translation>Aufträge (*.chalk)</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Jobs and art (*.chalk *.svg *.svgz *.pdf *.dxf *.png *.jpg *.jpeg *.bmp *.tif *.tiff *.webp *.gif)</source>
      <translation>Aufträge und Zeichnungen (*.chalk *.svg *.svgz *.pdf *.dxf *.png *.jpg *.jpeg *.bmp *.tif *.tiff *.webp *.gif)</translation>
    </message>
    <message>
      <extracomment>app/trays/waiting_panel.cpp</extracomment>
      <source>Jobs that shall wait</source>
      <translation>Aufträge, die warten sollen</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Jog there and back</source>
      <translation>Hin und zurück fahren</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Join the group that owns it (often dialout) and log in again.</source>
      <translation>Der Gruppe beitreten, der er gehört (oft dialout), und neu anmelden.</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Junction deviation</source>
      <translation>Eckenabweichung</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Just through</source>
      <translation>Gerade durch</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Keep</source>
      <translation>Sichern</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>Keep a picture of it…</source>
      <translation>Ein Bild davon sichern …</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Keep as it is</source>
      <translation>So lassen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Keep as recipe</source>
      <translation>Als Rezept sichern</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_card.cpp</extracomment>
      <source>Keep as recipe…</source>
      <translation>Als Rezept sichern …</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Keep as variant</source>
      <translation>Als Variante sichern</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Keep it</source>
      <translation>Sichern</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Keep it again from a job.</source>
      <translation>Noch einmal aus einem Auftrag sichern.</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Keep mine</source>
      <translation>Meine behalten</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Keep place</source>
      <translation>Ort sichern</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Keep recipe</source>
      <translation>Rezept sichern</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_desk.cpp</extracomment>
      <source>Keep routine</source>
      <translation>Routine sichern</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Keep shape</source>
      <translation>Form behalten</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Keep swatch as recipe</source>
      <translation>Muster als Rezept sichern</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Keep the margin</source>
      <translation>Den Rand einhalten</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Keep the subject in a box</source>
      <translation>Das Motiv in einem Kasten behalten</translation>
    </message>
    <message>
      <extracomment>app/proof/original_panel.cpp</extracomment>
      <source>Keep this</source>
      <translation>Dies behalten</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Keep variant</source>
      <translation>Variante sichern</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/main_window.cpp</extracomment>
      <source>Keep working</source>
      <translation>Weiterarbeiten</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Keeper</source>
      <translation>Behalten</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Keeps Burn shut: </source>
      <translation>Hält Brennen geschlossen: </translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Keeps how the picture is prepared and its dots, to compare with others</source>
      <translation>Hebt auf, wie das Bild vorbereitet ist, samt Punkten, zum Vergleich</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Kept as a recipe for %1</source>
      <translation>Als Rezept gesichert für %1</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Kept as the routine “%1”</source>
      <translation>Als Routine „%1“ gesichert</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Kept as “%1”</source>
      <translation>Als „%1“ gesichert</translation>
    </message>
    <message>
      <extracomment>app/proof/original_panel.cpp</extracomment>
      <source>Kept from %1 to %2 % across, %3 to %4 % down from the top</source>
      <translation>Behalten von %1 bis %2 % quer, von %3 bis %4 % von oben</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_panel.cpp</extracomment>
      <source>Kept variant</source>
      <translation>Gesicherte Variante</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Kept: %1 for %2.</source>
      <translation>Gesichert: %1 für %2.</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Kerf</source>
      <translation>Schnittfuge</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Key %1 while the card has the focus</source>
      <translation>Taste %1, während die Karte im Fokus ist</translation>
    </message>
    <message>
      <extracomment>app/commands/command_sheets.cpp</extracomment>
      <source>Keys</source>
      <translation>Tasten</translation>
    </message>
    <message>
      <extracomment>app/commands/command_sheets.cpp</extracomment>
      <source>Keys by group</source>
      <translation>Tasten nach Gruppen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Kind</source>
      <translation>Art</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Kind of the swatches</source>
      <translation>Art der Muster</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Known rectangle, %1</source>
      <translation>Bekanntes Rechteck, %1</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Laser mode</source>
      <translation>Lasermodus</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>Last</source>
      <translation>Letzter</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Last noted: %1</source>
      <translation>Zuletzt vermerkt: %1</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>Last value %1</source>
      <translation>Letzter Wert %1</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>Later</source>
      <translation>Später</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Lay a fresh piece on the simulated bed</source>
      <translation>Ein frisches Stück auf das simulierte Bett legen</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Lay it under the bed</source>
      <translation>Unter das Bett legen</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Layer left</source>
      <translation>Ebene übrig</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Layers that are off or frozen are left out: {layers}</source>
      <translation>Ausgeschaltete oder gefrorene Ebenen sind ausgelassen: {layers}</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Lead-in</source>
      <translation>Einlauf</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Least power</source>
      <translation>Kleinste Leistung</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Leave --no-home away, or say where it stands: --head-stands X,Y.</source>
      <translation>--no-home weglassen oder sagen, wo er steht: --head-stands X,Y.</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Leave a step out</source>
      <translation>Einen Schritt auslassen</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Leave ink out</source>
      <translation>Tinte auslassen</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Leave it</source>
      <translation>Lassen</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Leave it shut</source>
      <translation>Geschlossen lassen</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Leave out</source>
      <translation>Auslassen</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_canvas.cpp</extracomment>
      <source>Leave swatch out</source>
      <translation>Muster auslassen</translation>
    </message>
    <message>
      <extracomment>app/proof/original_panel.cpp</extracomment>
      <source>Leave this out</source>
      <translation>Dies auslassen</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Leave what the photograph says of this swatch out: dust, a knot, a reflection</source>
      <translation>Auslassen, was das Foto von diesem Muster sagt: Staub, ein Ast, eine Spiegelung</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Left</source>
      <translation>Links</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Left edge on the bed</source>
      <translation>Linker Rand auf dem Bett</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Left first</source>
      <translation>Linke zuerst</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Left for right: M; up for down: Shift+M</source>
      <translation>Links mit rechts: M; oben mit unten: Umschalt+M</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Left out</source>
      <translation>Ausgelassen</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Left out:</source>
      <translation>Ausgelassen:</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Left out: none. Drop an ink here.</source>
      <translation>Ausgelassen: keine. Eine Tinte hier ablegen.</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>Left to right</source>
      <translation>Von links nach rechts</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Left, right</source>
      <translation>Links, rechts</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Length along</source>
      <translation>Länge entlang</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Length along the wall</source>
      <translation>Länge entlang der Wand</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Lens cleaned today</source>
      <translation>Linse heute gereinigt</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Let it follow the speed</source>
      <translation>Der Geschwindigkeit folgen lassen</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Let it go; then Resume, here or by the machine's start button, goes on.</source>
      <translation>Loslassen; dann geht es mit Weiter, hier oder mit dem Startknopf der Maschine, weiter.</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Let the head move without knowing where it is</source>
      <translation>Den Kopf bewegen lassen, ohne zu wissen, wo er ist</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Let the motors go</source>
      <translation>Motoren loslassen</translation>
    </message>
    <message>
      <extracomment>app/trays/waiting_panel.cpp</extracomment>
      <source>Let this job wait</source>
      <translation>Diesen Auftrag warten lassen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Letters</source>
      <translation>Buchstaben</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Letters are filled outlines</source>
      <translation>Buchstaben sind gefüllte Umrisse</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Letters are single strokes</source>
      <translation>Buchstaben sind einzelne Striche</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Letters of single strokes</source>
      <translation>Buchstaben aus einzelnen Strichen</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Lies under the grid, seen from straight above, so that art can be put on what lies there</source>
      <translation>Liegt unter dem Gitter, gerade von oben gesehen, damit Zeichnungen auf das gelegt werden können, was dort liegt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Lift all rules</source>
      <translation>Alle Regeln aufheben</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/settings_sheet.cpp</extracomment>
      <source>Light</source>
      <translation>Hell</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Lightest tone</source>
      <translation>Hellster Ton</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Limit switches turned</source>
      <translation>Endschalter umgekehrt</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Line</source>
      <translation>Linie</translation>
    </message>
    <message>
      <extracomment>app/machine/wire_sheet.cpp</extracomment>
      <source>Line for the controller</source>
      <translation>Zeile für die Steuerung</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Line pitch</source>
      <translation>Zeilenabstand</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Line pitch of all swatches</source>
      <translation>Zeilenabstand aller Muster</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Line pitch to compare</source>
      <translation>Zeilenabstand zum Vergleich</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Line pitch {pitch} is not between 0.01 and 10 mm</source>
      <translation>Zeilenabstand {pitch} liegt nicht zwischen 0,01 und 10 mm</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Line up</source>
      <translation>Ausrichten</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Lines burn only where no area is painted over them; otherwise they burn whole</source>
      <translation>Linien brennen nur, wo keine Fläche darüber gemalt ist; sonst brennen sie ganz</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Lines burn whole</source>
      <translation>Linien brennen ganz</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Lines run both ways</source>
      <translation>Zeilen laufen hin und her</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>List the store: the file may have been deleted, or its card changed.</source>
      <translation>Lassen Sie den Speicher auflisten: Die Datei kann gelöscht oder die Karte gewechselt worden sein.</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Local contrast</source>
      <translation>Örtlicher Kontrast</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Lock</source>
      <translation>Sperren</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Lock art</source>
      <translation>Zeichnung sperren</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Lock or unlock what is chosen</source>
      <translation>Gewähltes sperren oder freigeben</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Lock recipes and set a ceiling for the power</source>
      <translation>Rezepte sperren und der Leistung eine Obergrenze setzen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Lock the recipe</source>
      <translation>Das Rezept sperren</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Locked</source>
      <translation>Gesperrt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Locked by the keeper of the workshop.</source>
      <translation>Vom Verwahrer der Werkstatt gesperrt.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Lock…</source>
      <translation>Sperren …</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Look at `chalkline-cli art --help`.</source>
      <translation>Siehe `chalkline-cli art --help`.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Look at `chalkline-cli history`; finished burns are done.</source>
      <translation>`chalkline-cli history` zeigt alle; beendete sind fertig.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Look at `chalkline-cli recipes list`.</source>
      <translation>Siehe `chalkline-cli recipes list`.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Look at `check` for the line.</source>
      <translation>Siehe `check` für die Zeile.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Look at docs/formats/swatches.md for what belongs there.</source>
      <translation>Siehe docs/formats/swatches.md, was dort hingehört.</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Look at it beside what is now</source>
      <translation>Neben dem ansehen, was jetzt ist</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Look at the copy</source>
      <translation>Die Kopie ansehen</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Look at the home switches and that the head can move freely. Then find home again, or unlock and work without it.</source>
      <translation>Die Schalter ansehen, und ob der Kopf frei läuft. Dann die Grundstellung noch einmal suchen, oder entsperren und ohne sie arbeiten.</translation>
    </message>
    <message>
      <extracomment>app/session/burn_desk.cpp</extracomment>
      <source>Look at the machine and use its own switch if the beam is on.</source>
      <translation>Die Maschine ansehen und ihren eigenen Schalter benutzen, wenn der Strahl an ist.</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Look at the machine. If the beam is on, use its own switch; then look at the cable.</source>
      <translation>Die Maschine ansehen. Ist der Strahl an, ihren eigenen Schalter benutzen; dann das Kabel ansehen.</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Look at the probe and its cable, raise the head, then find home or unlock.</source>
      <translation>Taster und Kabel ansehen, den Kopf heben, dann Grundstellung suchen oder entsperren.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Look whether its card is full, locked or loose, then list the store again.</source>
      <translation>Sehen Sie nach, ob die Karte voll, gesperrt oder lose ist, und lassen Sie den Speicher neu auflisten.</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Look which end switch is pressed. Unlock, move the head away from it by small steps, then find home.</source>
      <translation>Sehen, welcher Endschalter gedrückt ist. Entsperren, den Kopf in kleinen Schritten wegfahren, dann Grundstellung suchen.</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Looking for ports…</source>
      <translation>Suche Anschlüsse …</translation>
    </message>
    <message>
      <extracomment>app/proof/loupe.cpp</extracomment>
      <source>Loupe</source>
      <translation>Lupe</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_panel.cpp</extracomment>
      <source>Loupe at %1 % from the left, %2 % from the top</source>
      <translation>Lupe bei %1 % von links, %2 % von oben</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>Lower by %1 mm</source>
      <translation>Um %1 mm tiefer</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Lower left</source>
      <translation>Unten links</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Lower the power and go slower, or ask the keeper of the workshop.</source>
      <translation>Weniger Leistung und langsamer, oder den Verwahrer der Werkstatt fragen.</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Lower to the ceiling</source>
      <translation>Auf die Obergrenze senken</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Lowest power</source>
      <translation>Niedrigste Leistung</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Machine</source>
      <translation>Maschine</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Machine rail</source>
      <translation>Maschinenleiste</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Machine: %1</source>
      <translation>Maschine: %1</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Machine…</source>
      <translation>Maschine …</translation>
    </message>
    <message>
      <extracomment>app/swatches/place_panel.cpp</extracomment>
      <source>Make card fit</source>
      <translation>Karte einpassen</translation>
    </message>
    <message>
      <extracomment>app/swatches/place_panel.cpp</extracomment>
      <source>Make it fit</source>
      <translation>Einpassen</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Make it shorter</source>
      <translation>Kürzer machen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Make it smaller first: for burning, 10 pixels a millimetre are plenty.</source>
      <translation>Vorher verkleinern: zum Brennen sind 10 Bildpunkte je Millimeter reichlich.</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Make room for it</source>
      <translation>Platz dafür schaffen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Make the margin or the art smaller.</source>
      <translation>Rand oder Zeichnung verkleinern.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Make the rows</source>
      <translation>Reihen machen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Make the swatches smaller, or fewer.</source>
      <translation>Die Muster verkleinern, oder weniger.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Make them larger, or set a smaller kerf.</source>
      <translation>Vergrößern, oder eine kleinere Schnittfuge wählen.</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Margin</source>
      <translation>Rand</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Margin to the edges of the piece</source>
      <translation>Abstand zum Rand des Stücks</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Margin to the piece's edge</source>
      <translation>Abstand zum Rand des Stücks</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Mark</source>
      <translation>Marke</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Mark a corner, or a place on the edge, away from that line.</source>
      <translation>Eine Ecke merken, oder eine Stelle am Rand, abseits dieser Linie.</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Mark a place</source>
      <translation>Einen Ort merken</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Mark a place of a line</source>
      <translation>Eine Stelle einer Linie merken</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>Mark anew</source>
      <translation>Neu merken</translation>
    </message>
    <message>
      <extracomment>app/trays/marked_places.cpp</extracomment>
      <source>Mark by click…</source>
      <translation>Durch Klick merken …</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Mark clogged and bald areas</source>
      <translation>Zugelaufene und kahle Stellen markieren</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>Mark here (%1 of %2)</source>
      <translation>Hier merken (%1 von %2)</translation>
    </message>
    <message>
      <extracomment>app/trays/marked_places.cpp</extracomment>
      <source>Mark the head's place</source>
      <translation>Den Ort des Kopfs merken</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>Mark the piece</source>
      <translation>Das Stück merken</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>Mark the real piece</source>
      <translation>Das wirkliche Stück merken</translation>
    </message>
    <message>
      <extracomment>app/trays/marked_places.cpp</extracomment>
      <source>Marked places</source>
      <translation>Gemerkte Orte</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Marks where every dot burns, in the colour of attention</source>
      <translation>Markiert in der Warnfarbe, wo jeder Punkt brennt</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Marks where no dot burns, in blue</source>
      <translation>Markiert in Blau, wo kein Punkt brennt</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Material</source>
      <translation>Material</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Material burns dark or light</source>
      <translation>Material brennt dunkel oder hell</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Material of the card</source>
      <translation>Material der Karte</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Material of the copy</source>
      <translation>Material der Kopie</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>Material of the new card</source>
      <translation>Material der neuen Karte</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>Material, such as Birch ply</source>
      <translation>Material, etwa Birkensperrholz</translation>
    </message>
    <message>
      <extracomment>app/trays/pointer_panel.cpp</extracomment>
      <source>Measure the pointer</source>
      <translation>Den Zeiger ausmessen</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Melted</source>
      <translation>Geschmolzen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/findings_panel.cpp</extracomment>
      <source>Mend</source>
      <translation>Ausbessern</translation>
    </message>
    <message>
      <extracomment>app/trays/art/findings_panel.cpp</extracomment>
      <source>Mend art</source>
      <translation>Zeichnung ausbessern</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Mend it first; the line above the bed shows where.</source>
      <translation>Erst ausbessern; die Linie über dem Bett zeigt wo.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Mend that value in the file; docs/formats/machine.md lists what is allowed.</source>
      <translation>Diesen Wert in der Datei berichtigen; docs/formats/machine.md sagt, was erlaubt ist.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/findings_panel.cpp</extracomment>
      <source>Mending saves %1 mm, about %2</source>
      <translation>Ausbessern spart %1 mm, etwa %2</translation>
    </message>
    <message>
      <extracomment>app/widgets/message_strip.cpp</extracomment>
      <source>Message</source>
      <translation>Nachricht</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Middle</source>
      <translation>Mitte</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Mirror</source>
      <translation>Spiegeln</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Mirror art</source>
      <translation>Zeichnung spiegeln</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>More of tone</source>
      <translation>Mehr zum Ton</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>More than its step usually lays down: lines that cross or lie on one another, or corners under a constant beam.</source>
      <translation>Mehr, als sein Schritt gewöhnlich gibt: Linien, die sich kreuzen oder aufeinanderliegen, oder Ecken bei festem Strahl.</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Motor steps for a millimetre: right when a measured length is right</source>
      <translation>Motorschritte je Millimeter: richtig, wenn eine gemessene Länge stimmt</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Motor steps in one turn</source>
      <translation>Motorschritte in einer Umdrehung</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Motors stay on</source>
      <translation>Motoren bleiben an</translation>
    </message>
    <message>
      <extracomment>app/trays/jog_strip.cpp</extracomment>
      <source>Move %1 by %2 mm</source>
      <translation>%1 um %2 mm bewegen</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Move art</source>
      <translation>Zeichnung bewegen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Move it onto the bed.</source>
      <translation>Aufs Bett rücken.</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Move step</source>
      <translation>Schritt verschieben</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Move the art inwards, or set a smaller margin with the piece.</source>
      <translation>Die Zeichnung nach innen rücken, oder beim Stück einen kleineren Rand setzen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Move the art onto the bed.</source>
      <translation>Die Zeichnung aufs Bett rücken.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Move the art onto the piece, or change the stock.</source>
      <translation>Die Zeichnung auf das Stück rücken, oder das Stück ändern.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Move the head further along the piece and mark again.</source>
      <translation>Den Kopf weiter am Stück entlangfahren und noch einmal merken.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Move the head over the seam where it begins, then say so under “Stock” (on the command line --begins-here).</source>
      <translation>Den Kopf über die Naht fahren, wo es beginnt, und es unter „Stück“ sagen (auf der Kommandozeile --begins-here).</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Move the head to a place you know and say again where it stands.</source>
      <translation>Den Kopf an eine bekannte Stelle fahren und noch einmal sagen, wo er steht.</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Move the head, mm</source>
      <translation>Den Kopf bewegen, mm</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Move the job inside the bed first.</source>
      <translation>Erst den Auftrag aufs Bett rücken.</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Move the piece</source>
      <translation>Das Stück bewegen</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Moves at S0</source>
      <translation>Wege mit S0</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Moves it looks ahead</source>
      <translation>Bewegungen, die sie vorausschaut</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>Moves the art over on the same piece; both tries keep their notes</source>
      <translation>Rückt die Zeichnung auf demselben Stück weiter; beide Versuche behalten ihre Notizen</translation>
    </message>
    <message>
      <extracomment>app/trays/marked_places.cpp</extracomment>
      <source>Moves the job so that its datum lies there</source>
      <translation>Rückt den Auftrag, sodass sein Bezugspunkt dort liegt</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Moves the job so that the datum lies where the head is</source>
      <translation>Rückt den Auftrag, sodass der Bezugspunkt unter dem Kopf liegt</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Moving</source>
      <translation>Bewegt sich</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Name</source>
      <translation>Name</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Name a PNG, JPEG, BMP, TIFF, WebP or GIF.</source>
      <translation>PNG, JPEG, BMP, TIFF, WebP oder GIF nennen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Name a serial port such as /dev/ttyUSB0, or tcp:HOST:PORT.</source>
      <translation>Einen seriellen Anschluss wie /dev/ttyUSB0 nennen, oder tcp:RECHNER:PORT.</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Name for the head's place</source>
      <translation>Name für den Ort des Kopfs</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Name for this job's run sheet</source>
      <translation>Name für den Ablauf dieses Auftrags</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>Name in the store</source>
      <translation>Name im Speicher</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Name of the card</source>
      <translation>Name der Karte</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Name of the machine</source>
      <translation>Name der Maschine</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Name of the routine</source>
      <translation>Name der Routine</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Name of the variant</source>
      <translation>Name der Variante</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Name, such as “soft”</source>
      <translation>Name, etwa „weich“</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Near</source>
      <translation>Vorn</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Near edge on the bed</source>
      <translation>Vorderer Rand auf dem Bett</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Near left</source>
      <translation>Vorn links</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Near left corner</source>
      <translation>Ecke vorn links</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Near left corner, from the left</source>
      <translation>Ecke vorn links, von links</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Near left corner, from the near edge</source>
      <translation>Ecke vorn links, von vorn</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Near right</source>
      <translation>Vorn rechts</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Near side first</source>
      <translation>Vordere Seite zuerst</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>New</source>
      <translation>Neu</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>New card</source>
      <translation>Neue Karte</translation>
    </message>
    <message>
      <extracomment>app/document/job_document.cpp</extracomment>
      <source>New job</source>
      <translation>Neuer Auftrag</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>New jobs begin with it</source>
      <translation>Neue Aufträge beginnen damit</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>New recipe</source>
      <translation>Neues Rezept</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>New swatch card</source>
      <translation>Neue Musterkarte</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>New value</source>
      <translation>Neuer Wert</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Next</source>
      <translation>Weiter</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Next step</source>
      <translation>Nächster Schritt</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>No card matches.</source>
      <translation>Keine Karte passt.</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>No card yet. Say on the right what you want to find out.</source>
      <translation>Noch keine Karte. Rechts sagen, was herausgefunden werden soll.</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>No crop</source>
      <translation>Kein Beschnitt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>No font on this computer can draw this text</source>
      <translation>Keine Schrift auf diesem Rechner kann diesen Text zeichnen</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>No inks yet: add art first.</source>
      <translation>Noch keine Tinten: erst eine Zeichnung hinzufügen.</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>No machine is connected</source>
      <translation>Keine Maschine ist verbunden</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>No photograph chosen</source>
      <translation>Kein Foto gewählt</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>No picture yet. Drop a photograph anywhere in the window.</source>
      <translation>Noch kein Bild. Ein Foto irgendwo im Fenster ablegen.</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>No piece</source>
      <translation>Kein Stück</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>No piece is set: only the bed limits the burn.</source>
      <translation>Kein Stück gesetzt: nur das Bett begrenzt den Brand.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>No piece of material is set</source>
      <translation>Kein Stück Material ist gesetzt</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>No piece yet</source>
      <translation>Noch kein Stück</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>No pseudo-terminal can be made: {reason}</source>
      <translation>Kein Pseudoterminal möglich: {reason}</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>No recipe fits. Keep this step as a recipe once it came out well.</source>
      <translation>Kein Rezept passt. Diesen Schritt als Rezept sichern, wenn er gut geriet.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>No recipe has all of these words.</source>
      <translation>Kein Rezept hat alle diese Wörter.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>No recipes yet. Keep one from a step, or import some.</source>
      <translation>Noch keine Rezepte. Eines aus einem Schritt sichern oder welche einlesen.</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>No serial port is plugged in. Plug the machine's cable in: it shows here.</source>
      <translation>Kein serieller Anschluss ist eingesteckt. Das Kabel der Maschine einstecken: es erscheint hier.</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>No settings stand in that file.</source>
      <translation>In dieser Datei stehen keine Einstellungen.</translation>
    </message>
    <message>
      <extracomment>app/proof/loupe.cpp</extracomment>
      <source>No step burns this picture yet</source>
      <translation>Noch brennt kein Schritt dieses Bild</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>No step burns this picture yet.</source>
      <translation>Noch brennt kein Schritt dieses Bild.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>No step may burn with more than</source>
      <translation>Kein Schritt darf mit mehr brennen als</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>No strokes</source>
      <translation>Keine Striche</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>No.</source>
      <translation>Nr.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Nobody knows where the head is</source>
      <translation>Niemand weiß, wo der Kopf ist</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Nobody knows where the head is, and --no-home was given</source>
      <translation>Niemand weiß, wo der Kopf ist, und --no-home war angegeben</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Nobody knows where the head is, so it cannot be sent to a place</source>
      <translation>Niemand weiß, wo der Kopf ist, darum kann er nirgendwohin geschickt werden</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Nobody said where the round piece begins</source>
      <translation>Niemand hat gesagt, wo das runde Stück beginnt</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Noise</source>
      <translation>Rauschen</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Noise, its seed</source>
      <translation>Rauschen, sein Startwert</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>None is kept yet.</source>
      <translation>Noch keine gesichert.</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Not as measured</source>
      <translation>Nicht wie gemessen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Not connected</source>
      <translation>Nicht verbunden</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Not in this art: %1.</source>
      <translation>Nicht in dieser Zeichnung: %1.</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Not judged</source>
      <translation>Nicht beurteilt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Not known to the routine, without a step afterwards: %1.</source>
      <translation>Der Routine unbekannt, danach ohne Schritt: %1.</translation>
    </message>
    <message>
      <extracomment>app/machine/self_test_sheet.cpp</extracomment>
      <source>Not passed.</source>
      <translation>Nicht bestanden.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Not tested</source>
      <translation>Nicht erprobt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Not tested yet</source>
      <translation>Noch nicht erprobt</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Not through</source>
      <translation>Nicht durch</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Not yet</source>
      <translation>Noch nicht</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Note</source>
      <translation>Notiz</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Note burned on the card</source>
      <translation>Auf die Karte gebrannte Notiz</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Note on a step</source>
      <translation>Notiz zu einem Schritt</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Note on a swatch</source>
      <translation>Notiz zu einem Muster</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_card.cpp</extracomment>
      <source>Note on the step</source>
      <translation>Notiz zum Schritt</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Note on the swatch</source>
      <translation>Notiz zum Muster</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Note that the card was burned, somewhere else or again</source>
      <translation>Vermerken, dass die Karte gebrannt wurde, anderswo oder noch einmal</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Nothing changes: the step has these settings already.</source>
      <translation>Nichts ändert sich: der Schritt hat diese Einstellungen schon.</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Nothing gets clearly more than its step usually lays down.</source>
      <translation>Nichts bekommt deutlich mehr, als sein Schritt gewöhnlich gibt.</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Nothing knows where the bed ends: frame the job and watch before you burn.</source>
      <translation>Niemand weiß, wo das Bett endet: vor dem Brennen umfahren und zusehen.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/findings_panel.cpp</extracomment>
      <source>Nothing left to mend</source>
      <translation>Nichts mehr auszubessern</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Nothing may show. Go slower or use more power.</source>
      <translation>Vielleicht ist nichts zu sehen. Langsamer oder mit mehr Leistung.</translation>
    </message>
    <message>
      <extracomment>app/swatches/dose_plot.cpp</extracomment>
      <source>Nothing measured yet</source>
      <translation>Noch nichts gemessen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Nothing moved. Take the controller's figures over in the machine's profile, or set the controller's own; on the command line “settings PORT --save FILE” writes a profile with its figures.</source>
      <translation>Nichts hat sich bewegt. Die Werte der Steuerung ins Profil der Maschine übernehmen oder die Steuerung anders einstellen; auf der Befehlszeile schreibt „settings PORT --save DATEI“ ein Profil mit ihren Werten.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Nothing to burn</source>
      <translation>Nichts zu brennen</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Nothing to burn yet</source>
      <translation>Noch nichts zu brennen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Nothing to redo</source>
      <translation>Nichts zu wiederholen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Nothing to undo</source>
      <translation>Nichts rückgängig zu machen</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Nothing touched an edge. Find home, and move the job inside the bed.</source>
      <translation>Nichts hat einen Rand berührt. Grundstellung suchen und den Auftrag aufs Bett rücken.</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>Nothing was burned yet.</source>
      <translation>Noch wurde nichts gebrannt.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Nothing was burned. Look at the cable; if it stays so, look at the wire log and the controller's settings.</source>
      <translation>Nichts wurde gebrannt. Das Kabel ansehen; bleibt es so, das Leitungsprotokoll und die Einstellungen der Steuerung.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Nothing was changed.</source>
      <translation>Nichts wurde geändert.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Nothing was lost. Look at the disk, then try again.</source>
      <translation>Nichts ging verloren. Die Platte ansehen, dann noch einmal versuchen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Nothing was sent. It needs a firmware with inline laser power switched on.</source>
      <translation>Nichts wurde gesendet. Nötig ist eine Firmware, bei der die Laserleistung während der Bewegung eingeschaltet ist.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Nothing was sent. Tick in the machine's sheet that it does, then try it with something small.</source>
      <translation>Nichts wurde gesendet. Im Blatt der Maschine ankreuzen, dass sie es tut, dann mit etwas Kleinem versuchen.</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Nothing worth a change was found.</source>
      <translation>Nichts fand sich, was sich lohnt.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Nothing yet. Drop drawings or pictures anywhere in the window (SVG, PDF, DXF, PNG, JPEG and more), paste them, or add files.</source>
      <translation>Noch nichts. Zeichnungen oder Bilder irgendwo im Fenster ablegen (SVG, PDF, DXF, PNG, JPEG und mehr), einfügen oder Dateien hinzufügen.</translation>
    </message>
    <message>
      <extracomment>app/trays/pointer_panel.cpp</extracomment>
      <source>Now drive the pointer's dot over that same mark.</source>
      <translation>Nun den Punkt des Zeigers über dieselbe Marke fahren.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Object %1 of %2, %3</source>
      <translation>Teil %1 von %2, %3</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Off</source>
      <translation>Aus</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>On a circle of radius</source>
      <translation>Auf einem Kreis mit Radius</translation>
    </message>
    <message>
      <extracomment>app/swatches/place_panel.cpp</extracomment>
      <source>On the job's piece, %1 × %2 mm of %3</source>
      <translation>Auf dem Stück des Auftrags, %1 × %2 mm %3</translation>
    </message>
    <message>
      <extracomment>app/machine/self_test_sheet.cpp</extracomment>
      <source>Once more</source>
      <translation>Noch einmal</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Once round</source>
      <translation>Einmal herum</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>One column of swatches that runs round a cup.</source>
      <translation>Eine Spalte Muster, die um eine Tasse läuft.</translation>
    </message>
    <message>
      <extracomment>app/session/burn_desk.cpp</extracomment>
      <source>One moment.</source>
      <translation>Einen Moment.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>One object of it alone: double-click the object on the bed.</source>
      <translation>Nur ein Teil davon: das Teil auf dem Bett doppelklicken.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>One picture, as it looks</source>
      <translation>Ein Bild, wie es aussieht</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>One pixel a dot, with its size on the piece</source>
      <translation>Ein Bildpunkt je Punkt, mit seiner Größe auf dem Stück</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>One side</source>
      <translation>Eine Seite</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>One turn is %1; %2 along are free. X goes along the piece, Y round it from the seam.</source>
      <translation>Eine Umdrehung ist %1; %2 entlang sind frei. X läuft am Stück entlang, Y um es herum, ab der Naht.</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>One turn of chuck or roller counts</source>
      <translation>Eine Umdrehung von Futter oder Rolle zählt</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>One way</source>
      <translation>In eine Richtung</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Only</source>
      <translation>Nur</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Only %1, over and over</source>
      <translation>Nur %1, immer wieder</translation>
    </message>
    <message numerus="yes">
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Only %n pieces of art</source>
      <translation>
        <numerusform>Nur %n Stück der Zeichnung</numerusform>
        <numerusform>Nur %n Stücke der Zeichnung</numerusform>
      </translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Only a part of the page</source>
      <translation>Nur ein Teil der Seite</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Only step %1: %2</source>
      <translation>Nur Schritt %1: %2</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Only the chosen art</source>
      <translation>Nur die gewählte Zeichnung</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Open</source>
      <translation>Öffnen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Open %1</source>
      <translation>%1 öffnen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Open a .chalk file, or add drawings as art.</source>
      <translation>Eine .chalk-Datei öffnen, oder Zeichnungen hinzufügen.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Open a job or bring in art</source>
      <translation>Einen Auftrag öffnen oder Zeichnungen holen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Open a job or bring in art (Ctrl+O)</source>
      <translation>Einen Auftrag öffnen oder Zeichnungen holen (Strg+O)</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>Open it as it was</source>
      <translation>Öffnen, wie er war</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Open it in the application.</source>
      <translation>In der Anwendung öffnen.</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>Open it to go on</source>
      <translation>Öffnen, um weiterzumachen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Open it with that version.</source>
      <translation>Mit jener Fassung öffnen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Open one that was made in the Swatches view.</source>
      <translation>Eine öffnen, die in der Ansicht Muster gemacht wurde.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Open the step and mend the value.</source>
      <translation>Den Schritt öffnen und den Wert berichtigen.</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Opens the ticked ports one after the other. A board may reset when its port is opened, and then does not know where its head is.</source>
      <translation>Öffnet die angekreuzten Anschlüsse nacheinander. Eine Steuerung kann dabei neu starten und weiß dann nicht, wo ihr Kopf ist.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Open…</source>
      <translation>Öffnen …</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Or type a port or address:</source>
      <translation>Oder einen Anschluss oder eine Adresse tippen:</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Order</source>
      <translation>Reihenfolge</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Order of lines</source>
      <translation>Reihenfolge der Linien</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Order of parts</source>
      <translation>Reihenfolge der Teile</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Order to compare</source>
      <translation>Reihenfolge zum Vergleich</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Ordered 16 × 16</source>
      <translation>Geordnet 16 × 16</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Ordered 2 × 2</source>
      <translation>Geordnet 2 × 2</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Ordered 4 × 4</source>
      <translation>Geordnet 4 × 4</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Ordered 8 × 8</source>
      <translation>Geordnet 8 × 8</translation>
    </message>
    <message>
      <extracomment>app/proof/original_panel.cpp</extracomment>
      <source>Original with its crop</source>
      <translation>Original mit seinem Beschnitt</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Outline after</source>
      <translation>Umriss danach</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Outlines instead</source>
      <translation>Stattdessen Umrisse</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Outlines of dark areas</source>
      <translation>Umrisse dunkler Flächen</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Over itself before</source>
      <translation>Vorher über sich selbst</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Over the next art: it covers what lies under it (Page Up; Shift: over all)</source>
      <translation>Über das nächste Motiv: Es deckt, was darunter liegt (Bild auf; mit Umschalt: über alle)</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Overcut</source>
      <translation>Überschnitt</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Override a check</source>
      <translation>Eine Prüfung übergehen</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>PDF (*.pdf)</source>
      <translation>PDF (*.pdf)</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>PNG picture (*.png)</source>
      <translation>PNG-Bild (*.png)</translation>
    </message>
    <message>
      <extracomment>app/trays/art/page_chooser.cpp</extracomment>
      <source>Page</source>
      <translation>Seite</translation>
    </message>
    <message>
      <extracomment>app/trays/art/page_chooser.cpp</extracomment>
      <source>Page %1</source>
      <translation>Seite %1</translation>
    </message>
    <message>
      <extracomment>app/trays/art/page_chooser.cpp</extracomment>
      <source>Page of %1</source>
      <translation>Seite von %1</translation>
    </message>
    <message>
      <extracomment>app/trays/art/page_chooser.cpp</extracomment>
      <source>Pages</source>
      <translation>Seiten</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Pages (*.pdf)</source>
      <translation>Seiten (*.pdf)</translation>
    </message>
    <message>
      <extracomment>app/guide/guide.cpp</extracomment>
      <source>Pages of the guide</source>
      <translation>Seiten der Anleitung</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Paint covers lines</source>
      <translation>Farbe verdeckt Linien</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Paint covers paint</source>
      <translation>Farbe deckt Farbe</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Pairs of per cent: so many dots burned look so dark. Empty: in proportion.</source>
      <translation>Paare in Prozent: so viele gebrannte Punkte sehen so dunkel aus. Leer: im Verhältnis.</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Parts</source>
      <translation>Teile</translation>
    </message>
    <message>
      <extracomment>app/machine/self_test_sheet.cpp</extracomment>
      <source>Passed.</source>
      <translation>Bestanden.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Passes</source>
      <translation>Durchgänge</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Passes of all swatches</source>
      <translation>Durchgänge aller Muster</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Paste</source>
      <translation>Einfügen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Paste art</source>
      <translation>Zeichnung einfügen</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Path order</source>
      <translation>Reihenfolge der Pfade</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Patterns of nothing but thin lines are those lines; otherwise they are pictures</source>
      <translation>Muster aus lauter dünnen Linien sind diese Linien; sonst sind sie Bilder</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Pause</source>
      <translation>Pause</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Perforate: burn</source>
      <translation>Perforieren: brennen</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Perforation</source>
      <translation>Perforation</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Perforation burned</source>
      <translation>Perforation gebrannt</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Perforation gap</source>
      <translation>Perforation Lücke</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Perforation, burned length</source>
      <translation>Perforation, gebrannte Länge</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Perforation, gap</source>
      <translation>Perforation, Lücke</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Photograph</source>
      <translation>Foto</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Photograph of a recipe</source>
      <translation>Foto eines Rezepts</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Photograph of the bed…</source>
      <translation>Foto des Betts …</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Photograph of the card</source>
      <translation>Foto der Karte</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Photograph of the piece</source>
      <translation>Foto des Stücks</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Photograph with four handles</source>
      <translation>Foto mit vier Griffen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Photo…</source>
      <translation>Foto …</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Picture</source>
      <translation>Bild</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Picture looked at</source>
      <translation>Betrachtetes Bild</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Picture patch</source>
      <translation>Bildfeld</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Picture steps of the job take over what the ramp says of this material</source>
      <translation>Bildschritte des Auftrags übernehmen, was der Keil von diesem Material sagt</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Picture width</source>
      <translation>Bildbreite</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Picture, %1 × %2 — %3</source>
      <translation>Bild, %1 × %2 — %3</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Pictures (*.jpg *.jpeg *.png *.webp *.bmp *.tif *.tiff)</source>
      <translation>Bilder (*.jpg *.jpeg *.png *.webp *.bmp *.tif *.tiff)</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>Pictures (*.jpg *.jpeg *.png *.webp)</source>
      <translation>Bilder (*.jpg *.jpeg *.png *.webp)</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Pictures (*.png *.jpg *.jpeg *.webp *.bmp *.tif *.tiff)</source>
      <translation>Bilder (*.png *.jpg *.jpeg *.webp *.bmp *.tif *.tiff)</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Pictures (*.png *.jpg *.jpeg *.webp *.bmp)</source>
      <translation>Bilder (*.png *.jpg *.jpeg *.webp *.bmp)</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Pictures burn in a picture step only</source>
      <translation>Bilder brennen nur in einem Bildschritt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Pictures cannot be read here</source>
      <translation>Bilder sind hier nicht lesbar</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Piece</source>
      <translation>Stück</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Piece and machine do not agree whether it turns</source>
      <translation>Stück und Maschine sind sich nicht einig, ob es sich dreht</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Pitch</source>
      <translation>Abstand</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Pixels of the drawing to an inch</source>
      <translation>Pixel der Zeichnung je Zoll</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Pixels to the inch</source>
      <translation>Pixel je Zoll</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Place art</source>
      <translation>Zeichnung setzen</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Place of the head</source>
      <translation>Ort des Kopfs</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Place the head stands at</source>
      <translation>Ort, an dem der Kopf steht</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Place to go to</source>
      <translation>Ziel</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Place “%1”</source>
      <translation>Ort „%1“</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Place, size and steps stay for inks that still exist.</source>
      <translation>Ort, Größe und Schritte bleiben für Tinten, die es noch gibt.</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>Planning…</source>
      <translation>Plane …</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Play</source>
      <translation>Abspielen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Plug the machine in and look at the list of ports again.</source>
      <translation>Die Maschine einstecken und die Liste der Anschlüsse noch einmal ansehen.</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_curve.cpp</extracomment>
      <source>Point %1 of %2: light of %3 % becomes %4 %</source>
      <translation>Punkt %1 von %2: Helligkeit %3 % wird %4 %</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>Pointer</source>
      <translation>Zeiger</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Pointer X</source>
      <translation>Zeiger X</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Pointer Y</source>
      <translation>Zeiger Y</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Pointer's dot, X from the beam</source>
      <translation>Zeigerpunkt, X vom Strahl</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Pointer's dot, Y from the beam</source>
      <translation>Zeigerpunkt, Y vom Strahl</translation>
    </message>
    <message>
      <extracomment>app/trays/art/drawing_bar.cpp</extracomment>
      <source>Polygon</source>
      <translation>Vieleck</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Port or address</source>
      <translation>Anschluss oder Adresse</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Ports on this computer:</source>
      <translation>Anschlüsse dieses Rechners:</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Power</source>
      <translation>Leistung</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Power above the step's or the machine's</source>
      <translation>Leistung über der des Schritts oder der Maschine</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Power at 100 %</source>
      <translation>Leistung bei 100 %</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Power at rest, in corners</source>
      <translation>Leistung im Stand, in Ecken</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Power in corners</source>
      <translation>Leistung in Ecken</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Power is scaled by the machines' watts, a cut's speed by the thickness. The copy counts as untested.</source>
      <translation>Die Leistung wird nach den Watt der Maschinen umgerechnet, die Geschwindigkeit eines Schnitts nach der Dicke. Die Kopie gilt als unerprobt.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Power is stated before the beam is switched on</source>
      <translation>Leistung wird genannt, ehe der Strahl eingeschaltet ist</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Power of all swatches</source>
      <translation>Leistung aller Muster</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Power of the lightest tone</source>
      <translation>Leistung des hellsten Tons</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Power of the text</source>
      <translation>Leistung der Schrift</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Power {power} is not between 0 and 100 %</source>
      <translation>Leistung {power} liegt nicht zwischen 0 und 100 %</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Preparation</source>
      <translation>Vorbereitung</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Prepare for burning</source>
      <translation>Zum Brennen vorbereiten</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Prepare for burning…</source>
      <translation>Zum Brennen vorbereiten …</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Prepares the picture this way</source>
      <translation>Bereitet das Bild so vor</translation>
    </message>
    <message>
      <extracomment>app/widgets/place_note.cpp</extracomment>
      <source>Press Enter to show where</source>
      <translation>Eingabe zeigt wo</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_curve.cpp</extracomment>
      <source>Press on the line to bend it; drag a point out to take it away</source>
      <translation>Auf die Linie drücken biegt sie; einen Punkt herausziehen entfernt ihn</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>Print the book…</source>
      <translation>Das Buch drucken …</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Print the swatch book</source>
      <translation>Das Musterbuch drucken</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Probe reach</source>
      <translation>Reichweite des Tasters</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Probe sign turned</source>
      <translation>Tastersignal umgekehrt</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>Probe the height</source>
      <translation>Die Höhe tasten</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Probing</source>
      <translation>Tastet</translation>
    </message>
    <message>
      <extracomment>app/trays/tray_context.cpp</extracomment>
      <source>Program</source>
      <translation>Programm</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Programs (*.gcode *.nc *.ngc *.gc)</source>
      <translation>Programme (*.gcode *.nc *.ngc *.gc)</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Programs (*.gcode *.nc)</source>
      <translation>Programme (*.gcode *.nc)</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Programs of lines, arcs, M3 to M5 and M7 to M9 are read. Nothing was taken from this file.</source>
      <translation>Gelesen werden Programme aus Linien, Bögen, M3 bis M5 und M7 bis M9. Aus dieser Datei wurde nichts genommen.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Proof</source>
      <translation>Andruck</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Proof%1, %2 × %3 dots — hold B for before</source>
      <translation>Andruck%1, %2 × %3 Punkte — B halten zeigt vorher</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Prop it up so that under every mark it is as much too high as the label says.</source>
      <translation>So unterlegen, dass es unter jeder Marke so viel zu hoch liegt, wie dort steht.</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Pull-off</source>
      <translation>Rückzug</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Pull-off after home</source>
      <translation>Abstand nach der Grundstellung</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Pulse</source>
      <translation>Puls</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Pulses in a centimetre</source>
      <translation>Pulse je Zentimeter</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Pulsing</source>
      <translation>Pulst</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Push it where you want it, wake the controller, then say where it stands.</source>
      <translation>Dorthin schieben, wo er hinsoll, die Steuerung wecken, dann sagen, wo er steht.</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Push or jog it over a place you know, then choose that place here. Everything is counted from it; where the bed ends the machine does not know, so frame the job and watch.</source>
      <translation>Über einen bekannten Ort schieben oder fahren, dann den Ort hier wählen. Alles zählt von dort; wo das Bett endet, weiß die Maschine nicht, also umfahren und zusehen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Push the head to the near left corner and switch the machine on there.</source>
      <translation>Den Kopf in die Ecke vorn links schieben und die Maschine dort einschalten.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Put G21 G90 G17 in front.</source>
      <translation>G21 G90 G17 voranstellen.</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Put away</source>
      <translation>Wegräumen</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Put in order</source>
      <translation>In Ordnung bringen</translation>
    </message>
    <message>
      <extracomment>app/swatches/place_panel.cpp</extracomment>
      <source>Put it on the bed</source>
      <translation>Aufs Bett legen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Put its card into this computer, or use its own web page, and burn over the cable otherwise.</source>
      <translation>Stecken Sie ihre Karte in diesen Rechner oder nehmen Sie ihre eigene Webseite; sonst brennen Sie über das Kabel.</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>Put that into the step</source>
      <translation>In den Schritt übernehmen</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Put the job on the piece</source>
      <translation>Den Auftrag auf das Stück setzen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Put the page's corner on</source>
      <translation>Die Ecke der Seite setzen auf</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Put the page's corner on the %1</source>
      <translation>Die Ecke der Seite setzen auf: %1</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Put the steps in order: engrave, score, cut.</source>
      <translation>Die Schritte ordnen: gravieren, ritzen, schneiden.</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>ROTARY · %1 mm round</source>
      <translation>DREHACHSE · %1 mm rundum</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Radius of the circle the text stands on</source>
      <translation>Radius des Kreises, auf dem der Text steht</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Radius of the corners</source>
      <translation>Radius der Ecken</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>Raise by %1 mm</source>
      <translation>Um %1 mm höher</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Raise the highest dose, or put some back in.</source>
      <translation>Die höchste Dosis anheben, oder einige wieder hineinnehmen.</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Read</source>
      <translation>Lesen</translation>
    </message>
    <message>
      <extracomment>app/art/art_desk.cpp</extracomment>
      <source>Read again</source>
      <translation>Neu lesen</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatch_desk.cpp</extracomment>
      <source>Read card from photograph</source>
      <translation>Karte aus Foto gelesen</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Read the card</source>
      <translation>Die Karte lesen</translation>
    </message>
    <message>
      <extracomment>app/session/store_desk.cpp</extracomment>
      <source>Reading the copy…</source>
      <translation>Die Kopie wird gelesen …</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Reading…</source>
      <translation>Lese …</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Ready to burn?</source>
      <translation>Bereit zum Brennen?</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Ready; it knows where the head is</source>
      <translation>Bereit; sie weiß, wo der Kopf ist</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Ready; its place was set by hand</source>
      <translation>Bereit; sein Ort wurde von Hand gesetzt</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Reason</source>
      <translation>Grund</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Receive buffer</source>
      <translation>Empfangspuffer</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Recent job</source>
      <translation>Letzter Auftrag</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Recipe</source>
      <translation>Rezept</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Recipe {number} cannot be read (it begins “{begins}”)</source>
      <translation>Rezept {number} ist nicht lesbar (es beginnt „{begins}“)</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Recipes</source>
      <translation>Rezepte</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Recipes (*.json *.csv)</source>
      <translation>Rezepte (*.json *.csv)</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Recipes are kept until Chalkline is closed: {path} cannot be made</source>
      <translation>Rezepte bleiben nur, bis Chalkline schließt: {path} lässt sich nicht anlegen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Recipes from JSON or CSV</source>
      <translation>Rezepte aus JSON oder CSV</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Recipes that fit</source>
      <translation>Passende Rezepte</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Recover</source>
      <translation>Wiederherstellen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/drawing_bar.cpp</extracomment>
      <source>Rectangle</source>
      <translation>Rechteck</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Red</source>
      <translation>Rot</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Redo</source>
      <translation>Erneut</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Redo: %1 (Ctrl+Shift+Z)</source>
      <translation>Wiederholen: %1 (Strg+Umschalt+Z)</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Register page</source>
      <translation>Seite ausrichten</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>Rehearse</source>
      <translation>Probelauf</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Rehearse the burn</source>
      <translation>Den Brand proben</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>Remove</source>
      <translation>Entfernen</translation>
    </message>
    <message>
      <extracomment>app/trays/waiting_panel.cpp</extracomment>
      <source>Remove %1 from the waiting jobs</source>
      <translation>%1 aus den wartenden Aufträgen entfernen</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Remove art</source>
      <translation>Zeichnung entfernen</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatch_desk.cpp</extracomment>
      <source>Remove burn of a card</source>
      <translation>Brand einer Karte entfernen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_desk.cpp</extracomment>
      <source>Remove recipe</source>
      <translation>Rezept entfernen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_desk.cpp</extracomment>
      <source>Remove routine</source>
      <translation>Routine entfernen</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_card.cpp</extracomment>
      <source>Remove step</source>
      <translation>Schritt entfernen</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Remove stock</source>
      <translation>Stück entfernen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_desk.cpp</extracomment>
      <source>Remove swatch card</source>
      <translation>Musterkarte entfernen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Remove the step</source>
      <translation>Den Schritt entfernen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Repeat</source>
      <translation>Wiederholen</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Repeat art</source>
      <translation>Zeichnung wiederholen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Repeat it less often.</source>
      <translation>Weniger oft wiederholen.</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Report</source>
      <translation>Bericht</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Report at rest</source>
      <translation>Meldung in Ruhe</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Response</source>
      <translation>Antwort</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Response of the material</source>
      <translation>Antwort des Materials</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Rest at least</source>
      <translation>Ruhe mindestens</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Rest between dots</source>
      <translation>Ruhe zwischen Punkten</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Resting place X</source>
      <translation>Ruheplatz X</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Resting place Y</source>
      <translation>Ruheplatz Y</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Resting place, X</source>
      <translation>Ruheplatz, X</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Resting place, Y</source>
      <translation>Ruheplatz, Y</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Resume</source>
      <translation>Weiter</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Resume goes on where it stood; STOP gives the job up.</source>
      <translation>Weiter geht dort weiter, wo es stand; STOPP gibt den Auftrag auf.</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Right</source>
      <translation>Rechts</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Right first</source>
      <translation>Rechte zuerst</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Right must be larger than left, and far larger than near.</source>
      <translation>Rechts muss größer sein als links, hinten größer als vorn.</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Roller diameter</source>
      <translation>Rollendurchmesser</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Rotary</source>
      <translation>Drehachse</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Rotary for round pieces</source>
      <translation>Drehachse für runde Stücke</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Rough</source>
      <translation>Grob</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Round</source>
      <translation>Rund</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Round corners</source>
      <translation>Runde Ecken</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Round piece</source>
      <translation>Rundes Stück</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Round, in the rotary</source>
      <translation>Rund, in der Drehachse</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Routines</source>
      <translation>Routinen</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Routines…</source>
      <translation>Routinen …</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_canvas.cpp</extracomment>
      <source>Row %1, column %2</source>
      <translation>Zeile %1, Spalte %2</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Rows</source>
      <translation>Zeilen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Rules of the workshop</source>
      <translation>Regeln der Werkstatt</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Run sheet</source>
      <translation>Ablauf</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Run sheet as a page</source>
      <translation>Ablauf als Seite</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Run sheet as a page for the wall</source>
      <translation>Ablauf als Seite für die Wand</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Run sheet as a page…</source>
      <translation>Ablauf als Seite …</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Run-up</source>
      <translation>Anlauf</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Running</source>
      <translation>Läuft</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>S value of full power</source>
      <translation>S-Wert der vollen Leistung</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>STOP</source>
      <translation>STOPP</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>STOP ends it at once.</source>
      <translation>STOPP beendet es sofort.</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>STOP ends that.</source>
      <translation>STOPP beendet das.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Save</source>
      <translation>Sichern</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Save a copy without a password first.</source>
      <translation>Erst eine Kopie ohne Kennwort speichern.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Save as…</source>
      <translation>Sichern als …</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Save it as PNG or JPEG.</source>
      <translation>Als PNG oder JPEG speichern.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Save it as SVG in your drawing program.</source>
      <translation>Im Zeichenprogramm als SVG speichern.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Save it as SVG, PDF, DXF, PNG or JPEG in the program that made it.</source>
      <translation>In seinem Programm als SVG, PDF, DXF, PNG oder JPEG speichern.</translation>
    </message>
    <message>
      <extracomment>app/swatches/place_panel.cpp</extracomment>
      <source>Save it as a job…</source>
      <translation>Als Auftrag sichern …</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Save job</source>
      <translation>Auftrag sichern</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Save proof</source>
      <translation>Andruck sichern</translation>
    </message>
    <message>
      <extracomment>app/proof/proof_view.cpp</extracomment>
      <source>Save proof as PNG…</source>
      <translation>Andruck als PNG sichern …</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Save the card as a job</source>
      <translation>Die Karte als Auftrag sichern</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Save the controller's settings</source>
      <translation>Die Einstellungen der Steuerung sichern</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Save the job</source>
      <translation>Den Auftrag sichern</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Save the job (Ctrl+S)</source>
      <translation>Den Auftrag sichern (Strg+S)</translation>
    </message>
    <message>
      <extracomment>app/trays/waiting_panel.cpp</extracomment>
      <source>Save the job first.</source>
      <translation>Erst den Auftrag sichern.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Save the program</source>
      <translation>Das Programm sichern</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Save the program…</source>
      <translation>Das Programm sichern …</translation>
    </message>
    <message>
      <extracomment>app/machine/self_test_sheet.cpp</extracomment>
      <source>Save the report</source>
      <translation>Bericht speichern</translation>
    </message>
    <message>
      <extracomment>app/machine/self_test_sheet.cpp</extracomment>
      <source>Save the report…</source>
      <translation>Bericht speichern …</translation>
    </message>
    <message>
      <extracomment>app/machine/wire_sheet.cpp</extracomment>
      <source>Save the wire log</source>
      <translation>Das Leitungsprotokoll sichern</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Save them first?</source>
      <translation>Erst sichern?</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Save to file…</source>
      <translation>In Datei sichern …</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Save what is shown</source>
      <translation>Sichern, was gezeigt wird</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Saved to %1.</source>
      <translation>Gesichert in %1.</translation>
    </message>
    <message>
      <extracomment>app/machine/self_test_sheet.cpp</extracomment>
      <source>Saved, with a board file for the simulated machine beside it.</source>
      <translation>Gespeichert, daneben eine Boarddatei für die simulierte Maschine.</translation>
    </message>
    <message>
      <extracomment>app/machine/wire_sheet.cpp</extracomment>
      <source>Save…</source>
      <translation>Sichern …</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Say how its rotary turns under the machine's name in the rail, or make the piece flat under “Stock”.</source>
      <translation>Unter dem Namen der Maschine in der Leiste sagen, wie ihre Drehachse dreht, oder das Stück unter „Stück“ flach machen.</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Say of the swatches which went through: then the least power for a cut shows.</source>
      <translation>Von den Mustern sagen, welche durch sind: dann zeigt sich die kleinste Leistung für einen Schnitt.</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Say where it stands…</source>
      <translation>Sagen, wo er steht …</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_hand.cpp</extracomment>
      <source>Scale art</source>
      <translation>Zeichnung skalieren</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Scan lines</source>
      <translation>Zeilen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Score</source>
      <translation>Ritzen</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Scored line</source>
      <translation>Geritzte Linie</translation>
    </message>
    <message>
      <extracomment>app/machine/self_test_sheet.cpp</extracomment>
      <source>Self-test with the beam off</source>
      <translation>Selbsttest mit ausgeschaltetem Strahl</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Self-test with the beam off…</source>
      <translation>Selbsttest mit ausgeschaltetem Strahl …</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Send an ink to it, turn it off or remove it.</source>
      <translation>Ihm eine Tinte geben, ihn ausschalten oder entfernen.</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Send art back</source>
      <translation>Motiv nach hinten stellen</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Send art to a step</source>
      <translation>Zeichnung in einen Schritt geben</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Send at least one ink to a step.</source>
      <translation>Mindestens eine Tinte einem Schritt geben.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Send back</source>
      <translation>Nach hinten</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Send ink to step</source>
      <translation>Tinte in Schritt geben</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Send it to a step, or leave it out.</source>
      <translation>Einem Schritt geben oder auslassen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Send lines and fills to an engrave, score or cut step.</source>
      <translation>Linien und Flächen gehören in Gravieren, Ritzen oder Schneiden.</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Send one object to a step</source>
      <translation>Ein Teil in einen Schritt geben</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Send the job with `store send`, or burn the program's own file.</source>
      <translation>Senden Sie den Auftrag mit `store send`, oder brennen Sie die eigene Datei des Programms.</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Send the program to the controller's card, or burn one from there</source>
      <translation>Das Programm auf die Karte der Steuerung senden oder eines von dort brennen</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>Send this job</source>
      <translation>Diesen Auftrag senden</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Send what is chosen to the back</source>
      <translation>Auswahl ganz nach hinten stellen</translation>
    </message>
    <message>
      <extracomment>app/session/store_desk.cpp</extracomment>
      <source>Sending: %1 lines</source>
      <translation>Wird gesendet: %1 Zeilen</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Sent after a job</source>
      <translation>Nach einem Auftrag gesendet</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Sent after finding home</source>
      <translation>Nach der Grundstellung gesendet</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>Sent from here</source>
      <translation>Von hier gesendet</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Serial speed</source>
      <translation>Serielle Geschwindigkeit</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Set</source>
      <translation>Setzen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Set a page size in millimetres or inches in your drawing program.</source>
      <translation>Im Zeichenprogramm eine Seitengröße in Millimetern oder Zoll setzen.</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Set a piece</source>
      <translation>Ein Stück setzen</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>Set fewer dots</source>
      <translation>Weniger Punkte setzen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Set it by hand with the gauge.</source>
      <translation>Von Hand mit der Lehre einstellen.</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Set it to the beam</source>
      <translation>Auf den Strahl setzen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Set its “S value of full power” to the controller's, under the machine's name in the rail.</source>
      <translation>Seinen „S-Wert der vollen Leistung“ auf den der Steuerung setzen, unter dem Namen der Maschine in der Leiste.</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Set stock</source>
      <translation>Stück setzen</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>Set the %1 mm gauge on %2 and bring the head down to it.</source>
      <translation>Die Lehre von %1 mm auf %2 stellen und den Kopf darauf absenken.</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Set the datum</source>
      <translation>Den Bezugspunkt setzen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Set the focus by hand with the gauge.</source>
      <translation>Den Fokus von Hand mit der Lehre einstellen.</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>Set the head over %1 with the machine's own gauge.</source>
      <translation>Den Kopf mit der Lehre der Maschine über %1 einstellen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Set the piece first, in Stock.</source>
      <translation>Erst das Stück setzen, unter „Stück“.</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Setting</source>
      <translation>Einstellung</translation>
    </message>
    <message>
      <extracomment>app/proof/loupe.cpp</extracomment>
      <source>Setting the dots…</source>
      <translation>Setze die Punkte …</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/settings_sheet.cpp</extracomment>
      <source>Settings</source>
      <translation>Optionen</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Settings (*.txt)</source>
      <translation>Einstellungen (*.txt)</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Settings (Ctrl+,)</source>
      <translation>Einstellungen (Strg+,)</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Settings from a swatch</source>
      <translation>Einstellungen aus einem Muster</translation>
    </message>
    <message>
      <extracomment>app/recipes/wall_chart.cpp</extracomment>
      <source>Settings of %1</source>
      <translation>Einstellungen von %1</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Settings that worked, by material (Ctrl+4)</source>
      <translation>Einstellungen, die gelangen, nach Material (Strg+4)</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Settings that worked, by material. Choose one to see why it can be believed and what it would change in a step of the job.</source>
      <translation>Einstellungen, die gelangen, nach Material. Eine wählen zeigt, warum man ihr glauben kann und was sie an einem Schritt des Auftrags ändern würde.</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Settings…</source>
      <translation>Einstellungen …</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Several: with each other. One: with the piece, or the bed.</source>
      <translation>Mehrere: untereinander. Eines: mit dem Stück oder dem Bett.</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Shape</source>
      <translation>Form</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Shape of a swatch</source>
      <translation>Form eines Musters</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Shape of the swatches</source>
      <translation>Form der Muster</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Sharpen</source>
      <translation>Schärfen</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Sharpen radius</source>
      <translation>Schärferadius</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Shift of lines that run back</source>
      <translation>Versatz rücklaufender Zeilen</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Shift of returning lines</source>
      <translation>Versatz der Rückläufe</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Shift returns</source>
      <translation>Rückläufe versetzen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Shift+T</source>
      <translation>Umschalt+T</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Short line</source>
      <translation>Kurze Linie</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Shorten it, or make the swatches wider.</source>
      <translation>Kürzen, oder die Muster breiter machen.</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Shortest way</source>
      <translation>Kürzester Weg</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>Show</source>
      <translation>Zeigen</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Show it on the bed</source>
      <translation>Auf dem Bett zeigen</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>Show it, to burn it from there</source>
      <translation>Zeigen, um es von dort zu brennen</translation>
    </message>
    <message>
      <extracomment>app/machine/wire_sheet.cpp</extracomment>
      <source>Show only lines with…</source>
      <translation>Nur Zeilen zeigen mit …</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Show the energy on the bed</source>
      <translation>Die Energie auf dem Bett zeigen</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Show the photograph</source>
      <translation>Das Foto zeigen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Show them by four clicks, beginning with the ring, or take a picture with all four in it.</source>
      <translation>Sie mit vier Klicks zeigen, mit dem Ring beginnend, oder ein Bild mit allen vieren aufnehmen.</translation>
    </message>
    <message>
      <extracomment>app/widgets/place_note.cpp</extracomment>
      <source>Show where</source>
      <translation>Zeigen wo</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Shut the door, then resume. Nothing is lost.</source>
      <translation>Die Tür schließen, dann weiter. Nichts ist verloren.</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Side of the kerf</source>
      <translation>Seite der Schnittfuge</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Sides</source>
      <translation>Seiten</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Sides of the polygon</source>
      <translation>Seiten des Vielecks</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Simulated machine</source>
      <translation>Simulierte Maschine</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>Size</source>
      <translation>Größe</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Sizes must be above 0 and below 20 m, a polygon has 3 to 360 sides.</source>
      <translation>Größen müssen über 0 und unter 20 m liegen, ein Vieleck hat 3 bis 360 Seiten.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/drawing_bar.cpp</extracomment>
      <source>Slot</source>
      <translation>Langloch</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Smoothness</source>
      <translation>Glätte</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>So much energy on an area can set it on fire. Go faster or use less power.</source>
      <translation>So viel Energie auf eine Fläche kann sie entzünden. Schneller oder mit weniger Leistung.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>So much of what is sure is burned once more, so that the ends surely meet</source>
      <translation>So viel vom Sicheren wird noch einmal gebrannt, damit die Enden sicher anschließen</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Soft limits</source>
      <translation>Weiche Grenzen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Some letters are in no installed font: left out or drawn as boxes</source>
      <translation>Einige Buchstaben hat keine installierte Schrift: ausgelassen oder als Kästchen</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>Some material</source>
      <translation>Irgendein Material</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Some programs count 72 or 90: choose it beside the drawing's scale.</source>
      <translation>Manche Programme zählen 72 oder 90: neben dem Maßstab der Zeichnung wählen.</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Somebody changed its settings, or it is another one on this port. Times, limits and power are worked out from these figures:</source>
      <translation>Jemand hat ihre Einstellungen geändert, oder es ist eine andere an diesem Anschluss. Zeiten, Grenzen und Leistung folgen aus diesen Zahlen:</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Something answers on this port, but it is no controller Chalkline knows</source>
      <translation>Etwas antwortet an diesem Anschluss, aber keine Steuerung, die Chalkline kennt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Something could not be worked out ({reason})</source>
      <translation>Etwas ließ sich nicht ausrechnen ({reason})</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Something was lost on the cable. The beam is off; look at the cable, then go on.</source>
      <translation>Etwas ging am Kabel verloren. Der Strahl ist aus; das Kabel ansehen, dann weitermachen.</translation>
    </message>
    <message>
      <extracomment>app/trays/waiting_panel.cpp</extracomment>
      <source>Sooner</source>
      <translation>Früher</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Source</source>
      <translation>Quelle</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Space across</source>
      <translation>Abstand waagerecht</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Space art evenly</source>
      <translation>Zeichnung gleichmäßig verteilen</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Space on the bed</source>
      <translation>Leertaste auf dem Bett</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Space up</source>
      <translation>Abstand senkrecht</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Specks up to</source>
      <translation>Flecken bis</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Speed</source>
      <translation>Tempo</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>Speed %1 mm/min asked</source>
      <translation>Geschwindigkeit %1 mm/min verlangt</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Speed and link</source>
      <translation>Geschwindigkeit und Leitung</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Speed of all swatches</source>
      <translation>Geschwindigkeit aller Muster</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Speed of framing</source>
      <translation>Geschwindigkeit beim Umfahren</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Speed of moving by hand</source>
      <translation>Geschwindigkeit von Hand</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Speed of the last touch while finding home</source>
      <translation>Geschwindigkeit der letzten Berührung bei der Grundstellung</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Speed of the search for the switches</source>
      <translation>Geschwindigkeit der Suche nach den Schaltern</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Speed of the text</source>
      <translation>Geschwindigkeit der Schrift</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Speed to compare</source>
      <translation>Geschwindigkeit zum Vergleich</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Speed {speed} is not between 1 mm/min and this machine's fastest, {top}</source>
      <translation>Geschwindigkeit {speed} liegt nicht zwischen 1 mm/min und der größten dieser Maschine, {top}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Split it into several files, or simplify its paths.</source>
      <translation>In mehrere Dateien teilen oder ihre Pfade vereinfachen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Split the drawing, or save pictures in it at a lower resolution.</source>
      <translation>Die Zeichnung teilen oder Bilder darin kleiner speichern.</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Spot</source>
      <translation>Brennfleck</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Square</source>
      <translation>Quadrat</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Start</source>
      <translation>Anfang</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Start back</source>
      <translation>Anfang rückwärts</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Start the simulated machine</source>
      <translation>Die simulierte Maschine starten</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Starting point</source>
      <translation>Ausgangspunkt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>State F before the first one.</source>
      <translation>Vor der ersten F nennen.</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>State of the machine: %1</source>
      <translation>Zustand der Maschine: %1</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Stay with the machine while it burns.</source>
      <translation>Bei der Maschine bleiben, solange sie brennt.</translation>
    </message>
    <message>
      <extracomment>app/papers/run_sheet_page.cpp</extracomment>
      <source>Step</source>
      <translation>Schritt</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>Step %1</source>
      <translation>Schritt %1</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Step %1, %2</source>
      <translation>Schritt %1, %2</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>Step %1, %2, burned with %3 % of its power and %4 % of its speed.</source>
      <translation>Schritt %1, %2, gebrannt mit %3 % seiner Leistung und %4 % seiner Geschwindigkeit.</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Step %1: </source>
      <translation>Schritt %1: </translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Step %1: %2</source>
      <translation>Schritt %1: %2</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Step of the job</source>
      <translation>Schritt des Auftrags</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Step pulse</source>
      <translation>Schrittpuls</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Step signs turned</source>
      <translation>Schrittsignale umgekehrt</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Step the chosen art burns in</source>
      <translation>Schritt, in dem die gewählte Zeichnung brennt</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Step to compare</source>
      <translation>Schritt zum Vergleich</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Step to use it in</source>
      <translation>Schritt, in dem es benutzt wird</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Step {number} burns nothing</source>
      <translation>Schritt {number} brennt nichts</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Step {number} burns with a constant beam</source>
      <translation>Schritt {number} brennt mit festem Strahl</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>Steps</source>
      <translation>Schritte</translation>
    </message>
    <message>
      <extracomment>app/session/burn_desk.cpp</extracomment>
      <source>Still planning</source>
      <translation>Plant noch</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>Stock</source>
      <translation>Stück</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Stop</source>
      <translation>Abbrechen</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Stop (Esc). This controller cannot be held: up to %1 moves may still run. The machine's own switch is the sure way.</source>
      <translation>Abbrechen (Esc). Diese Steuerung lässt sich nicht anhalten: bis zu %1 Bewegungen können noch laufen. Der Schalter der Maschine ist der sichere Weg.</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Stop at once, beam off (Esc twice). It does not replace the machine's own emergency switch.</source>
      <translation>Sofort abbrechen, Strahl aus (Esc zweimal). Ersetzt nicht den Notschalter der Maschine.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/main_window.cpp</extracomment>
      <source>Stop it</source>
      <translation>Abbrechen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/main_window.cpp</extracomment>
      <source>Stop it, then close Chalkline.</source>
      <translation>Abbrechen, dann Chalkline schließen.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Stop reading art</source>
      <translation>Lesen der Motive abbrechen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Stopped</source>
      <translation>Abgebrochen</translation>
    </message>
    <message>
      <extracomment>app/session/burn_desk.cpp</extracomment>
      <source>Stopped, beam off</source>
      <translation>Abgebrochen, Strahl aus</translation>
    </message>
    <message>
      <extracomment>app/session/burn_desk.cpp</extracomment>
      <source>Stopped, but the beam's state is not confirmed</source>
      <translation>Abgebrochen, aber der Zustand des Strahls ist nicht bestätigt</translation>
    </message>
    <message>
      <extracomment>app/session/store_desk.cpp</extracomment>
      <source>Stopped; nothing of it is left in the store.</source>
      <translation>Gestoppt; nichts davon ist im Speicher geblieben.</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Stopping</source>
      <translation>Bricht ab</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Strokes</source>
      <translation>Striche</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Strokes as areas</source>
      <translation>Striche als Flächen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Strokes as lines</source>
      <translation>Striche als Linien</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Strokes this wide or wider are areas</source>
      <translation>Striche ab dieser Breite sind Flächen</translation>
    </message>
    <message>
      <extracomment>app/proof/original_panel.cpp</extracomment>
      <source>Subject from %1 to %2 % across, %3 to %4 % down from the top</source>
      <translation>Gegenstand von %1 bis %2 % quer, von %3 bis %4 % von oben</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Such a program is never sent.</source>
      <translation>So ein Programm wird nie gesendet.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Such a round piece does not exist, or nothing of it is free</source>
      <translation>So ein rundes Stück gibt es nicht, oder nichts davon ist frei</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Such as 1:50, 2:1 or 1/8in = 1ft</source>
      <translation>Etwa 1:50, 2:1 oder 1/8in = 1ft</translation>
    </message>
    <message>
      <extracomment>app/swatches/book_print.cpp</extracomment>
      <source>Swatch book</source>
      <translation>Musterbuch</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Swatch card</source>
      <translation>Musterkarte</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Swatches</source>
      <translation>Muster</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Switch it on by sending $32=1, then try again.</source>
      <translation>Mit $32=1 einschalten, dann noch einmal versuchen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Switch its soft limits ($20) off while the rotary is in.</source>
      <translation>Ihre weichen Grenzen ($20) ausschalten, solange die Drehachse steckt.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>T, with the bed in focus</source>
      <translation>T, mit dem Bett im Fokus</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Table (*.csv)</source>
      <translation>Tabelle (*.csv)</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Tags</source>
      <translation>Schlagworte</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Take a part</source>
      <translation>Einen Teil nehmen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Take a part…</source>
      <translation>Einen Teil nehmen …</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Take a picture of the card from above, with all four corner marks in it, or judge the swatches by eye.</source>
      <translation>Ein Bild der Karte von oben aufnehmen, mit allen vier Eckmarken, oder die Muster nach Augenmaß beurteilen.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Take all</source>
      <translation>Alle nehmen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Take all of the drawing</source>
      <translation>Die ganze Zeichnung nehmen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Take another material. If the name is wrong, correct it with the piece.</source>
      <translation>Ein anderes Material nehmen. Ist der Name falsch, beim Stück berichtigen.</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Take away what joins the border</source>
      <translation>Wegnehmen, was an den Rand anschließt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Take from recipes</source>
      <translation>Aus Rezepten nehmen</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_card.cpp</extracomment>
      <source>Take from recipes…</source>
      <translation>Aus Rezepten nehmen …</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>Take ink from step</source>
      <translation>Tinte aus Schritt nehmen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>Take it</source>
      <translation>Nehmen</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Take it away</source>
      <translation>Wegnehmen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/findings_panel.cpp</extracomment>
      <source>Take out</source>
      <translation>Herausnehmen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Take out a shape</source>
      <translation>Eine Form herausnehmen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Take out repeated blocks, or patterns within patterns, in the program that made it.</source>
      <translation>Im Programm, aus dem sie stammt, wiederholte Blöcke oder Muster in Mustern herausnehmen.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Take out shapes…</source>
      <translation>Formen herausnehmen …</translation>
    </message>
    <message>
      <extracomment>app/trays/art/findings_panel.cpp</extracomment>
      <source>Take out stray shapes</source>
      <translation>Verirrte Formen herausnehmen</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>Take the card and all that was read of it out of the book; Undo brings it back</source>
      <translation>Die Karte und alles von ihr Gelesene aus dem Buch nehmen; Rückgängig holt es zurück</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Take the controller's</source>
      <translation>Die der Steuerung nehmen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Take the doubles away, or put them into a step of their own if that is meant.</source>
      <translation>Die doppelten wegnehmen, oder in einen eigenen Schritt geben, wenn es so gemeint ist.</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>Take the other way</source>
      <translation>Die andere Art nehmen</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Take the strokes away</source>
      <translation>Die Striche wegnehmen</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Take this burn and what was read of it away; Undo brings it back</source>
      <translation>Diesen Brand und was davon gelesen wurde wegnehmen; Rückgängig holt es zurück</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>Take what was trimmed</source>
      <translation>Nachgeregeltes übernehmen</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Taken at both ends</source>
      <translation>Belegt an beiden Enden</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Taken at the seam</source>
      <translation>Belegt an der Naht</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Taken where the piece begins</source>
      <translation>Belegt, wo das Stück beginnt</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Taken where the piece ends</source>
      <translation>Belegt, wo das Stück endet</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Takes all these places off the chosen art</source>
      <translation>Nimmt alle diese Stellen von der gewählten Zeichnung</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Test grids: find the setting, keep it (Ctrl+3)</source>
      <translation>Prüfraster: die Einstellung finden und sichern (Strg+3)</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Test ring</source>
      <translation>Prüfring</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Text</source>
      <translation>Text</translation>
    </message>
    <message>
      <extracomment>app/machine/self_test_sheet.cpp</extracomment>
      <source>Text (*.txt)</source>
      <translation>Text (*.txt)</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>That name cannot be used in the controller's store</source>
      <translation>Dieser Name geht im Speicher der Steuerung nicht</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>That piece of art is no longer in the job</source>
      <translation>Dieses Stück der Zeichnung ist nicht mehr im Auftrag</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>That step is no longer in the job</source>
      <translation>Dieser Schritt ist nicht mehr im Auftrag</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>That variant is no longer kept</source>
      <translation>Diese Variante ist nicht mehr gesichert</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>That was not the word; try again</source>
      <translation>Das war nicht das Wort; versuchen Sie es noch einmal</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>That would move the head to {x}, {y}, outside the bed</source>
      <translation>Das brächte den Kopf nach {x}, {y}, neben das Bett</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The DXF drawing is broken: {reason}</source>
      <translation>Die DXF-Zeichnung ist beschädigt: {reason}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The PDF cannot be read: {reason}</source>
      <translation>Das PDF ist nicht lesbar: {reason}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The PDF is locked with a password</source>
      <translation>Das PDF ist mit einem Kennwort gesperrt</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>The S value below which the beam is off</source>
      <translation>Der S-Wert, unter dem der Strahl aus ist</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>The S value of full power; the profile must say the same</source>
      <translation>Der S-Wert der vollen Leistung; das Profil muss dasselbe sagen</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>The art is %1 mm off the bed.</source>
      <translation>Die Zeichnung liegt %1 mm neben dem Bett.</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>The art is %1 mm off the piece.</source>
      <translation>Die Zeichnung liegt %1 mm neben dem Stück.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The art is {width} × {height} mm and the bed only {bed_width} × {bed_height} mm</source>
      <translation>Die Zeichnung ist {width} × {height} mm und das Bett nur {bed_width} × {bed_height} mm</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>The art moves to the routine's place.</source>
      <translation>Die Zeichnung rückt an den Ort der Routine.</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>The art on it</source>
      <translation>Die Zeichnung darauf</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The art sticks {by} mm out of the bed</source>
      <translation>Die Zeichnung ragt {by} mm über das Bett</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>The beam at 5 % for a tenth of a second, again while you hold it. Wear your glasses.</source>
      <translation>Der Strahl mit 5 % für eine Zehntelsekunde, wiederholt, solange gehalten wird. Schutzbrille tragen.</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>The beam draws a dot too weak to mark, and is dark at rest. Wear your glasses.</source>
      <translation>Der Strahl zeichnet einen Punkt, zu schwach für eine Spur, und ist im Stand dunkel. Schutzbrille tragen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The beam is off and the position is unknown. Check the power supply and the cable; then find home, or say where the head stands.</source>
      <translation>Der Strahl ist aus und die Lage unbekannt. Netzteil und Kabel prüfen; dann die Grundstellung suchen oder sagen, wo der Kopf steht.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The beam is off and the position is unknown. Clear the cause, switch the board off and on, then connect again.</source>
      <translation>Der Strahl ist aus und die Lage unbekannt. Die Ursache beheben, die Platine aus- und einschalten, dann wieder verbinden.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The beam is off and the position is unknown. Clear the cause, then find home or unlock.</source>
      <translation>Der Strahl ist aus und der Ort unbekannt. Die Ursache beheben, dann Grundstellung suchen oder entsperren.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The beam would burn outside the bed</source>
      <translation>Der Strahl würde neben dem Bett brennen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The beam would burn outside the stock</source>
      <translation>Der Strahl würde neben dem Stück brennen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The beam would burn while the head stands</source>
      <translation>Der Strahl würde brennen, während der Kopf steht</translation>
    </message>
    <message>
      <extracomment>app/trays/pointer_panel.cpp</extracomment>
      <source>The beam's mark is under the head</source>
      <translation>Die Marke des Strahls ist unter dem Kopf</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>The bed and the line (Ctrl+1)</source>
      <translation>Das Bett und die Linie (Strg+1)</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The bed's edge takes {by} mm of the run-up</source>
      <translation>Der Rand des Betts nimmt {by} mm vom Anlauf</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The board has shut itself down: “{text}”</source>
      <translation>Die Platine hat sich abgeschaltet: „{text}“</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The board's file cannot be read at “{key}”</source>
      <translation>Die Datei der Platine ist bei „{key}“ nicht lesbar</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/main_window.cpp</extracomment>
      <source>The burn broke off</source>
      <translation>Der Brand brach ab</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The burn was stopped. Plan the job anew; if it happens again, please report it.</source>
      <translation>Der Brand wurde gestoppt. Den Auftrag neu planen; wenn es wieder vorkommt, bitte melden.</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>The card</source>
      <translation>Die Karte</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The card is {width} × {height} mm and there is room for {room_width} × {room_height} mm</source>
      <translation>Die Karte ist {width} × {height} mm, und Platz ist für {room_width} × {room_height} mm</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The card's corner marks are not to be seen in this picture</source>
      <translation>Die Eckmarken der Karte sind in diesem Bild nicht zu sehen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The connection to the machine is gone: {reason}</source>
      <translation>Die Verbindung zur Maschine ist weg: {reason}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller answered a line that Chalkline did not send</source>
      <translation>Die Steuerung antwortete auf eine Zeile, die Chalkline nicht gesandt hat</translation>
    </message>
    <message>
      <extracomment>tools/cli/conversation.cpp</extracomment>
      <source>The controller confirms that the beam is off.</source>
      <translation>Die Steuerung bestätigt, dass der Strahl aus ist.</translation>
    </message>
    <message>
      <extracomment>tools/cli/conversation.cpp</extracomment>
      <source>The controller did not confirm that the beam is off: look at the machine, and use its own switch if it is on.</source>
      <translation>Die Steuerung hat nicht bestätigt, dass der Strahl aus ist: zur Maschine sehen und ihren eigenen Schalter benutzen, falls er an ist.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller does not take the place it shall count from</source>
      <translation>Die Steuerung nimmt den Ort nicht an, von dem sie zählen soll</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>The controller has not answered for %1 s</source>
      <translation>Die Steuerung hat seit %1 s nicht geantwortet</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>The controller has these settings already.</source>
      <translation>Die Steuerung hat diese Einstellungen schon.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller has turned its beam off in the middle of the work</source>
      <translation>Die Steuerung hat mitten in der Arbeit ihren Strahl ausgeschaltet</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>The controller hears</source>
      <translation>Die Steuerung hört</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>The controller is locked: it does not know where the head is</source>
      <translation>Die Steuerung ist gesperrt: sie weiß nicht, wo der Kopf ist</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>The controller only reads and does not move ($C)</source>
      <translation>Die Steuerung liest nur und bewegt nichts ($C)</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller raised an alarm: {reason}</source>
      <translation>Die Steuerung meldet Alarm: {reason}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller refused “{text}”: {reason}</source>
      <translation>Die Steuerung verweigerte „{text}“: {reason}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller restarted by itself</source>
      <translation>Die Steuerung ist von selbst neu gestartet</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller rests, but an answer of it never came</source>
      <translation>Die Steuerung ruht, aber eine ihrer Antworten kam nie</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>The controller says otherwise than before</source>
      <translation>Die Steuerung sagt anderes als zuvor</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>The controller started again and counts from 0 where its head stands. If nobody moved the head, it can be told its place. Otherwise jog it to the mark on the bed, and say then that it stands there.</source>
      <translation>Die Steuerung ist neu gestartet und zählt von dort ab 0, wo ihr Kopf steht. Hat ihn niemand bewegt, kann man ihr seine Stelle sagen. Sonst den Kopf zur Marke auf dem Bett fahren und dann sagen, dass er dort steht.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller's answer “{text}” cannot be read</source>
      <translation>Die Antwort „{text}“ der Steuerung ist nicht lesbar</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller's full power is S{controller}, the machine profile says S{profile}</source>
      <translation>Die volle Leistung der Steuerung ist S{controller}, das Maschinenprofil sagt S{profile}</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>The controller's laser mode is off</source>
      <translation>Der Lasermodus der Steuerung ist aus</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller's laser mode is off: every change of power would stop the head and burn a hole</source>
      <translation>Der Lasermodus der Steuerung ist aus: jeder Leistungswechsel hielte den Kopf an und brennte ein Loch</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller's own limits would stop the burn: on {axis} the piece goes {by} beyond what it may count to</source>
      <translation>Die eigenen Grenzen der Steuerung hielten den Brand an: auf {axis} reicht das Stück {by} weiter, als sie zählen darf</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller's own limits would stop the burn: the piece takes {needed} on {axis}, more than it may count</source>
      <translation>Die eigenen Grenzen der Steuerung würden das Brennen anhalten: Das Stück braucht {needed} auf {axis}, mehr als sie zählen darf</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>The controller's own store</source>
      <translation>Der Speicher der Steuerung</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>The controller's own store: send, list, start, delete</source>
      <translation>Der Speicher der Steuerung: senden, auflisten, starten, löschen</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>The controller's own store…</source>
      <translation>Der Speicher der Steuerung …</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>The controller's settings</source>
      <translation>Die Einstellungen der Steuerung</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The controller's store failed at “{name}” {text}</source>
      <translation>Der Speicher der Steuerung ist an „{name}“ gescheitert {text}</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>The corner marks were not found. Click on them in the picture: first the ring, then on round the card. Backspace takes a click back.</source>
      <translation>Die Eckmarken wurden nicht gefunden. Im Bild anklicken: erst den Ring, dann um die Karte herum. Rücktaste nimmt einen Klick zurück.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The disk is full: the recipe was not kept</source>
      <translation>Die Platte ist voll: das Rezept wurde nicht gesichert</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>The door is open: the head stands and the beam is off</source>
      <translation>Die Tür ist offen: der Kopf steht und der Strahl ist aus</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>The door is shut again and the machine waits</source>
      <translation>Die Tür ist wieder zu, und die Maschine wartet</translation>
    </message>
    <message>
      <extracomment>app/trays/pointer_panel.cpp</extracomment>
      <source>The dot falls %1, %2 mm from the beam. To measure it anew make a mark with a pulse on scrap.</source>
      <translation>Der Punkt fällt %1, %2 mm neben den Strahl. Zum neuen Ausmessen mit einem Puls eine Marke auf Abfall setzen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The drawing could not be drawn as a picture ({reason})</source>
      <translation>Die Zeichnung ließ sich nicht als Bild zeichnen ({reason})</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The drawing does not say its unit: taken as {unit}</source>
      <translation>Die Zeichnung nennt ihre Einheit nicht: {unit} angenommen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The drawing has more than {limit} points</source>
      <translation>Die Zeichnung hat mehr als {limit} Punkte</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The drawing is broken: {reason}</source>
      <translation>Die Zeichnung ist beschädigt: {reason}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The drawing repeats its parts too often to be read in any sensible time</source>
      <translation>Die Zeichnung wiederholt ihre Teile zu oft, um in vernünftiger Zeit gelesen zu werden</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The drawing states no size: taken as pixels at {density} to the inch</source>
      <translation>Die Zeichnung nennt keine Größe: als Pixel gelesen, {density} je Zoll</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The drawing's size is in pixels: {density} to the inch taken</source>
      <translation>Die Größe der Zeichnung ist in Pixeln: {density} je Zoll genommen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The drawing's size is in pixels: {density} to the inch taken, but at {sheets} its page is a common sheet</source>
      <translation>Die Zeichnung misst in Pixeln: {density} je Zoll angenommen, doch bei {sheets} ist ihre Seite ein übliches Blatt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The drawing's size makes no sense</source>
      <translation>Die Größe der Zeichnung ergibt keinen Sinn</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The ends burn at a lower speed there. Move the art away from the edge, or set a shorter run-up.</source>
      <translation>Die Enden brennen dort langsamer. Die Zeichnung vom Rand rücken oder einen kürzeren Anlauf setzen.</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>The fastest the axis moves</source>
      <translation>Das Schnellste, was die Achse fährt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The file cannot be read: {reason}</source>
      <translation>Die Datei ist nicht lesbar: {reason}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The file cannot be written: {reason}</source>
      <translation>Die Datei lässt sich nicht schreiben: {reason}</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>The file does not say. It was taken as millimetres.</source>
      <translation>Die Datei sagt es nicht. Sie wurde als Millimeter genommen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The file ends too early: what came before is drawn</source>
      <translation>Die Datei endet zu früh: was davor kam, ist gezeichnet</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The file holds {count} pictures: the first one is taken</source>
      <translation>Die Datei enthält {count} Bilder: das erste ist genommen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The file is larger than {limit_mb} MB</source>
      <translation>Die Datei ist größer als {limit_mb} MB</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The file uses entities that are defined elsewhere or too long: their text is missing</source>
      <translation>Die Datei benutzt Textbausteine, die anderswo stehen oder zu lang sind: ihr Text fehlt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The file “{reference}” is not beside the drawing: left out</source>
      <translation>Die Datei „{reference}“ liegt nicht neben der Zeichnung: ausgelassen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The font “{wished}” is not installed: drawn in {taken}</source>
      <translation>Die Schrift „{wished}“ ist nicht installiert: in {taken} gezeichnet</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The frame would leave the bed by {by} mm; nothing moved</source>
      <translation>Der Rahmen verließe das Bett um {by} mm; nichts bewegte sich</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>The head goes down until the probe touches, then up until the beam is in focus</source>
      <translation>Der Kopf sinkt, bis der Taster berührt, dann steigt er, bis der Strahl im Fokus ist</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>The head goes where you click next; Esc gives up</source>
      <translation>Der Kopf fährt zum nächsten Klick; Esc gibt auf</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>The head is where the piece begins, over the seam</source>
      <translation>Der Kopf steht am Anfang des Stücks, über der Naht</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The head left its way: it was {distance} mm beside where the program leads it</source>
      <translation>Der Kopf verließ seinen Weg: er war {distance} mm neben dem, wohin das Programm ihn führt</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>The head looks for its home switches</source>
      <translation>Der Kopf sucht seine Endschalter</translation>
    </message>
    <message>
      <extracomment>app/machine/self_test_sheet.cpp</extracomment>
      <source>The head moves 20 mm along X and back a few times, is held once and stopped once. The beam is never asked for. The report helps when something is odd with this controller: it holds every line of the wire.</source>
      <translation>Der Kopf fährt einige Male 20 mm entlang X hin und zurück, wird einmal angehalten und einmal gestoppt. Der Strahl wird nie verlangt. Der Bericht hilft, wenn mit dieser Steuerung etwas seltsam ist: Er enthält jede Zeile der Leitung.</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>The head rides round what will be burned. Watch that it stays on the piece.</source>
      <translation>Der Kopf fährt um das, was gebrannt wird. Zusehen, dass er auf dem Stück bleibt.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The head stands at {place}, which is not on the bed: the place that was said for it must be wrong</source>
      <translation>Der Kopf steht bei {place} und damit nicht auf dem Bett: Die angesagte Stelle muss falsch sein</translation>
    </message>
    <message>
      <extracomment>app/session/burn_desk.cpp</extracomment>
      <source>The head stands still and knows where it is.</source>
      <translation>Der Kopf steht still und weiß, wo er ist.</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>The head waits at its own place after home and after a job</source>
      <translation>Der Kopf wartet nach Grundstellung und Auftrag an seinem eigenen Ort</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The head would leave the bed</source>
      <translation>Der Kopf würde das Bett verlassen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The inner part may fall or shift before it is cut.</source>
      <translation>Das Innere kann herausfallen oder rutschen, ehe es geschnitten ist.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The job file is damaged: {reason}</source>
      <translation>Die Auftragsdatei ist beschädigt: {reason}</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>The job has no %1 step to use it in.</source>
      <translation>Der Auftrag hat keinen Schritt der Art %1.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The job is not ready to burn: {reason}</source>
      <translation>Der Auftrag ist nicht bereit: {reason}</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/main_window.cpp</extracomment>
      <source>The job is not the one any more whose burn broke off</source>
      <translation>Der Auftrag ist nicht mehr der, dessen Brand abbrach</translation>
    </message>
    <message>
      <extracomment>app/trays/marking_panel.cpp</extracomment>
      <source>The job moves with the piece</source>
      <translation>Der Auftrag rückt mit dem Stück</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>The job on it</source>
      <translation>Der Auftrag darauf</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The job was changed since it was framed</source>
      <translation>Der Auftrag wurde seit dem Umfahren geändert</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>The job's geometry as SVG, a group for each step (Ctrl+E)</source>
      <translation>Die Geometrie des Auftrags als SVG, eine Gruppe je Schritt (Strg+E)</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>The job's picture steps go by this material now.</source>
      <translation>Die Bildschritte des Auftrags richten sich jetzt nach diesem Material.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>The job's reference point. It belongs to the art, and turns and moves with it.</source>
      <translation>Der Bezugspunkt des Auftrags. Er gehört zur Zeichnung und dreht und bewegt sich mit ihr.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>The keeper's word</source>
      <translation>Das Wort des Verwahrers</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The last value is {value}: steps of {step} land on it</source>
      <translation>Der letzte Wert ist {value}: Schritte von {step} landen darauf</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>The line begins here and runs the other way</source>
      <translation>Die Linie beginnt hier und läuft andersherum</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>The line begins here, as it is drawn</source>
      <translation>Die Linie beginnt hier, wie sie gezeichnet ist</translation>
    </message>
    <message>
      <extracomment>app/line/chalk_line.cpp</extracomment>
      <source>The line: what is left to do</source>
      <translation>Die Linie: was noch zu tun ist</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The lines lie {pitch} mm apart and the beam is {spot} mm wide</source>
      <translation>Die Zeilen liegen {pitch} mm auseinander, und der Strahl ist {spot} mm breit</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The list of faults cannot be read at “{key}”</source>
      <translation>Die Liste der Fehler ist bei „{key}“ nicht lesbar</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The machine cannot be reached: {reason}</source>
      <translation>Die Maschine ist nicht erreichbar: {reason}</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>The machine has not answered for %1 s. Its switch is the sure way to stop it.</source>
      <translation>Die Maschine hat seit %1 s nicht geantwortet. Ihr Schalter ist der sichere Weg, sie anzuhalten.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The machine is busy</source>
      <translation>Die Maschine ist beschäftigt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The machine is not connected yet</source>
      <translation>Die Maschine ist noch nicht verbunden</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/main_window.cpp</extracomment>
      <source>The machine is still working</source>
      <translation>Die Maschine arbeitet noch</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>The machine is working</source>
      <translation>Die Maschine arbeitet</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The machine is working: nothing else is sent now</source>
      <translation>Die Maschine arbeitet: nichts anderes wird jetzt gesandt</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>The machine moves its focus (Z)</source>
      <translation>Die Maschine bewegt ihren Fokus (Z)</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The machine profile and the controller disagree about {field}: the profile says {mine}, the controller {other} ({setting})</source>
      <translation>Profil und Steuerung widersprechen sich bei {field}: Das Profil sagt {mine}, die Steuerung {other} ({setting})</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The machine profile is wrong at “{key}”</source>
      <translation>Das Maschinenprofil ist falsch bei „{key}“</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The machine was stopped and the beam is off. Nothing after that line was burned on purpose; find out why before you start again.</source>
      <translation>Die Maschine wurde angehalten und der Strahl ist aus. Nach dieser Zeile wurde nichts absichtlich gebrannt; vor einem neuen Anfang den Grund finden.</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>The machine's work area with the stock and the art. Arrow keys move what is chosen.</source>
      <translation>Der Arbeitsraum der Maschine mit Stück und Zeichnung. Pfeiltasten bewegen das Gewählte.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The marks lie on one line: they say nothing of the piece's width</source>
      <translation>Die Marken liegen auf einer Linie: über die Breite des Stücks sagen sie nichts</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>The measured swatches do not differ enough for a curve.</source>
      <translation>Die gemessenen Muster unterscheiden sich nicht genug für eine Kurve.</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>The motors are let go: the head can be pushed by hand</source>
      <translation>Die Motoren sind losgelassen: der Kopf kann von Hand geschoben werden</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>The mouse draws a box round the subject</source>
      <translation>Die Maus zieht einen Kasten um das Motiv</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>The mouse draws the crop</source>
      <translation>Die Maus zieht den Beschnitt</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>The mouse paints what goes</source>
      <translation>Die Maus malt, was weg soll</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>The mouse paints what stays</source>
      <translation>Die Maus malt, was bleibt</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>The next side each time (Shift+F)</source>
      <translation>Jedes Mal die nächste Seite (Umschalt+F)</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The packed drawing is broken, or far too large</source>
      <translation>Die gepackte Zeichnung ist beschädigt oder viel zu groß</translation>
    </message>
    <message>
      <extracomment>app/guide/guide.cpp</extracomment>
      <source>The page</source>
      <translation>Die Seite</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>The photograph cannot be kept</source>
      <translation>Das Foto lässt sich nicht sichern</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>The picture and what was traced from it</source>
      <translation>Das Bild und was daraus umgezeichnet wurde</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The picture has {width} × {height} pixels: more than 200 million, or a side over 100,000</source>
      <translation>Das Bild hat {width} × {height} Bildpunkte: mehr als 200 Millionen, oder eine Seite über 100 000</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The picture is broken: {reason}</source>
      <translation>Das Bild ist beschädigt: {reason}</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>The picture is enlarged: it holds %1 dots/in, the lines ask for %2</source>
      <translation>Das Bild ist vergrößert: es hat %1 Punkte/Zoll, die Zeilen verlangen %2</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>The picture on the bed, by 90°</source>
      <translation>Das Bild auf dem Bett, um 90°</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The picture states a screen's resolution, {stated} mm wide: made {width} mm wide</source>
      <translation>Das Bild nennt die Auflösung eines Bildschirms, {stated} mm breit: auf {width} mm Breite gebracht</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The picture states no size: made {width} mm wide</source>
      <translation>Das Bild nennt keine Größe: {width} mm breit gemacht</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>The picture step burns dots so far apart; the picture was drawn for others</source>
      <translation>So weit liegen die Punkte des Bildschritts auseinander; gezeichnet wurde das Bild für andere</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The picture's file ends too early: its lower part is missing</source>
      <translation>Die Bilddatei endet zu früh: der untere Teil fehlt</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>The piece</source>
      <translation>Das Stück</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>The piece becomes %1, %2.</source>
      <translation>Das Stück wird %1, %2.</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>The piece is %1 mm thicker than when it was focused.</source>
      <translation>Das Stück ist %1 mm dicker als beim Fokussieren.</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>The piece is %1 mm thinner than when it was focused.</source>
      <translation>Das Stück ist %1 mm dünner als beim Fokussieren.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The piece is round, and this machine has no rotary</source>
      <translation>Das Stück ist rund, und diese Maschine hat keine Drehachse</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>The piece of material</source>
      <translation>Das Stück Material</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The piece of material could not be read from the job file</source>
      <translation>Das Stück Material ließ sich nicht aus der Auftragsdatei lesen</translation>
    </message>
    <message>
      <extracomment>app/trays/pointer_panel.cpp</extracomment>
      <source>The pointer's dot is on it</source>
      <translation>Der Punkt des Zeigers liegt darauf</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>The pointer's dot rides along the line instead of the beam</source>
      <translation>Der Punkt des Zeigers fährt die Linie entlang statt des Strahls</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The port is open, but nothing answers</source>
      <translation>Der Anschluss ist offen, aber nichts antwortet</translation>
    </message>
    <message>
      <extracomment>app/session/burn_desk.cpp</extracomment>
      <source>The position is unknown: find home before you go on.</source>
      <translation>Der Ort ist unbekannt: Grundstellung suchen, ehe es weitergeht.</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>The probe looks down at most</source>
      <translation>Der Taster sucht höchstens</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The program ends with the beam on</source>
      <translation>Das Programm endet mit brennendem Strahl</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The program is empty</source>
      <translation>Das Programm ist leer</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>The program is saved as %1</source>
      <translation>Das Programm ist gesichert als %1</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The program moves nothing</source>
      <translation>Das Programm bewegt nichts</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The program that was kept of this burn cannot be read</source>
      <translation>Das zu diesem Brand gesicherte Programm ist nicht lesbar</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The program was not sent: {reason}</source>
      <translation>Das Programm wurde nicht gesandt: {reason}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The program was worked out for other figures of the machine</source>
      <translation>Das Programm wurde für andere Maße der Maschine ausgerechnet</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>The reason is kept in the job, with the time.</source>
      <translation>Der Grund bleibt im Auftrag, mit der Zeit.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The recipe is locked by the keeper of the workshop</source>
      <translation>Das Rezept ist vom Verwahrer der Werkstatt gesperrt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>The recipe needs a material</source>
      <translation>Das Rezept braucht ein Material</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The recipe was changed in another Chalkline meanwhile</source>
      <translation>Das Rezept wurde inzwischen in einem anderen Chalkline geändert</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The recipes can be read and not changed: {path} is read-only</source>
      <translation>Die Rezepte sind lesbar, aber nicht änderbar: {path} ist schreibgeschützt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The recipes cannot be changed: their file is read-only</source>
      <translation>Die Rezepte lassen sich nicht ändern: ihre Datei ist schreibgeschützt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The recipes cannot be kept: {reason}</source>
      <translation>Die Rezepte lassen sich nicht sichern: {reason}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The recipes cannot be read: {reason}</source>
      <translation>Die Rezepte sind nicht lesbar: {reason}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The recipes were kept by a newer Chalkline</source>
      <translation>Die Rezepte sicherte ein neueres Chalkline</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The recipes' file was damaged and there is no backup</source>
      <translation>Die Datei der Rezepte war beschädigt, und es gibt keine Sicherung</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The recipes' file was damaged; the backup of {date} was taken in its place</source>
      <translation>Die Datei der Rezepte war beschädigt; die Sicherung vom {date} trat an ihre Stelle</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The rest of the job is here. Bring the art in again, and save under another name.</source>
      <translation>Der Rest des Auftrags ist da. Die Zeichnung neu holen und unter anderem Namen sichern.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The rest of the job is here. Check the steps, and save under another name.</source>
      <translation>Der Rest des Auftrags ist da. Die Schritte prüfen und unter anderem Namen sichern.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The rest of the job is here. Set the piece again, and save under another name.</source>
      <translation>Der Rest des Auftrags ist da. Das Stück neu setzen und unter anderem Namen sichern.</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>The rotary</source>
      <translation>Die Drehachse</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The routine cannot be read: {reason}</source>
      <translation>Die Routine ist nicht lesbar: {reason}</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>The run sheet is saved as %1</source>
      <translation>Der Ablauf ist gesichert als %1</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>The same for all</source>
      <translation>Für alle gleich</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The settings cannot be read: {what}</source>
      <translation>Die Einstellungen sind nicht lesbar: {what}</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>The simulated bed keeps what was burned until another piece lies there</source>
      <translation>Das simulierte Bett behält, was gebrannt wurde, bis ein anderes Stück dort liegt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The simulated machine cannot be started: {reason}</source>
      <translation>Die simulierte Maschine startet nicht: {reason}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The stated width can be taken beside the picture.</source>
      <translation>Die angegebene Breite lässt sich neben dem Bild übernehmen.</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>The step is off or not chosen to burn.</source>
      <translation>Der Schritt ist aus oder nicht zum Brennen gewählt.</translation>
    </message>
    <message>
      <extracomment>app/session/store_desk.cpp</extracomment>
      <source>The store is empty.</source>
      <translation>Der Speicher ist leer.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>The swatch card cannot be read: {what}</source>
      <translation>Die Musterkarte ist nicht lesbar: {what}</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>The text to burn</source>
      <translation>Der zu brennende Text</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>The whole bed</source>
      <translation>Das ganze Bett</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>The whole job</source>
      <translation>Der ganze Auftrag</translation>
    </message>
    <message>
      <extracomment>app/machine/wire_sheet.cpp</extracomment>
      <source>The wire</source>
      <translation>Die Leitung</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>There and back</source>
      <translation>Hin und zurück</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is already a file of that name</source>
      <translation>Eine Datei dieses Namens gibt es schon</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>There is no art yet: it goes by the routine when it comes.</source>
      <translation>Noch gibt es keine Zeichnung: sie richtet sich nach der Routine, wenn sie kommt.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is no burn to go on with</source>
      <translation>Es gibt keinen Brand, der weitergehen könnte</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>There is no drawing in the job</source>
      <translation>Im Auftrag ist keine Zeichnung</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is no page {page}: the file has {pages}</source>
      <translation>Seite {page} gibt es nicht: die Datei hat {pages}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is no picture in {text}</source>
      <translation>In {text} ist kein Bild</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>There is no power to spare: go slower, or one pass more.</source>
      <translation>Keine Leistung übrig: langsamer, oder ein Durchgang mehr.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is no recipe “{text}”</source>
      <translation>Ein Rezept „{text}“ gibt es nicht</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>There is no room for another try beside it.</source>
      <translation>Daneben ist kein Platz für einen weiteren Versuch.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is no room for it, or no setting that would do. Change it by hand.</source>
      <translation>Kein Platz dafür, oder keine Einstellung, die genügt. Von Hand ändern.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is no such file</source>
      <translation>Diese Datei gibt es nicht</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is no such port</source>
      <translation>Diesen Anschluss gibt es nicht</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is no text to draw</source>
      <translation>Es gibt keinen Text zu zeichnen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is no “{name}” in the controller's store</source>
      <translation>Im Speicher der Steuerung gibt es kein „{name}“</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is nothing in that part of the drawing</source>
      <translation>In diesem Teil der Zeichnung ist nichts</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is nothing to burn</source>
      <translation>Es gibt nichts zu brennen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is nothing to burn in this drawing</source>
      <translation>In dieser Zeichnung gibt es nichts zu brennen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is nothing to burn in this drawing but {features}, which is not reproduced</source>
      <translation>In dieser Zeichnung gibt es nichts zu brennen als {features}, und das wird nicht wiedergegeben</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>There is too little room for “{text}”: its letters come out very small</source>
      <translation>Für „{text}“ ist zu wenig Platz: die Buchstaben werden sehr klein</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>They are kept in the controller. Save them to a file before you change one.</source>
      <translation>Sie bleiben in der Steuerung. Vor einer Änderung in eine Datei sichern.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Thickness</source>
      <translation>Dicke</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Thickness of the card</source>
      <translation>Dicke der Karte</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Thickness of the copy</source>
      <translation>Dicke der Kopie</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>Thickness of the new card</source>
      <translation>Dicke der neuen Karte</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This board cannot change the beam's power while the head moves (“{text}”): the work would stay dark</source>
      <translation>Diese Platine kann die Leistung während der Bewegung nicht ändern („{text}“): Die Arbeit bliebe dunkel</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This cannot be mended by itself</source>
      <translation>Das lässt sich nicht von selbst ausbessern</translation>
    </message>
    <message>
      <extracomment>app/session/burn_desk.cpp</extracomment>
      <source>This controller cannot be held: up to %1 moves still ran after the stop.</source>
      <translation>Diese Steuerung lässt sich nicht anhalten: bis zu %1 Bewegungen liefen nach dem Abbruch noch.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This controller cannot do that</source>
      <translation>Das kann diese Steuerung nicht</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This controller has no store of its own</source>
      <translation>Diese Steuerung hat keinen eigenen Speicher</translation>
    </message>
    <message>
      <extracomment>app/session/machine_keeper.cpp</extracomment>
      <source>This controller is new here and tells nothing of itself</source>
      <translation>Diese Steuerung ist hier neu und sagt nichts von sich</translation>
    </message>
    <message numerus="yes">
      <extracomment>app/session/machine_keeper.cpp</extracomment>
      <source>This controller is new here: %n of its figures were taken over</source>
      <translation>
        <numerusform>Diese Steuerung ist hier neu: %n ihrer Zahlen wurde übernommen</numerusform>
        <numerusform>Diese Steuerung ist hier neu: %n ihrer Zahlen wurden übernommen</numerusform>
      </translation>
    </message>
    <message>
      <extracomment>app/session/machine_keeper.cpp</extracomment>
      <source>This controller is new here; its figures are those of the profile</source>
      <translation>Diese Steuerung ist hier neu; ihre Zahlen sind die des Profils</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This controller takes no files over this cable</source>
      <translation>Diese Steuerung nimmt über dieses Kabel keine Dateien an</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This is a file, not a port</source>
      <translation>Das ist eine Datei, kein Anschluss</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This is a folder, not a file</source>
      <translation>Das ist ein Ordner, keine Datei</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This is no Chalkline job</source>
      <translation>Das ist kein Chalkline-Auftrag</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This is no SVG drawing: it begins with “{root}”</source>
      <translation>Das ist keine SVG-Zeichnung: sie beginnt mit „{root}“</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This is no drawing or picture Chalkline can read</source>
      <translation>Das ist keine Zeichnung und kein Bild, das Chalkline lesen kann</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This is no picture Chalkline can read</source>
      <translation>Das ist kein Bild, das Chalkline lesen kann</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This is no port</source>
      <translation>Das ist kein Anschluss</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This is not the keeper's word</source>
      <translation>Das ist nicht das Wort des Verwahrers</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This job burns no swatch card</source>
      <translation>Dieser Auftrag brennt keine Musterkarte</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This job was saved by a newer Chalkline (format {version})</source>
      <translation>Diesen Auftrag sicherte ein neueres Chalkline (Format {version})</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>This machine</source>
      <translation>Diese Maschine</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This machine does not move its focus</source>
      <translation>Diese Maschine bewegt ihren Fokus nicht</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This machine does not move its focus: let the piece lean instead</source>
      <translation>Diese Maschine bewegt ihren Fokus nicht: stattdessen das Stück schräg legen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This machine forgets where its head is, and the last command left it at {x}, {y}</source>
      <translation>Diese Maschine vergisst, wo ihr Kopf ist, und der letzte Befehl ließ ihn bei {x}, {y} stehen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This machine has no home switches</source>
      <translation>Diese Maschine hat keine Endschalter</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This machine has no home switches: say where it stands, --head-stands X,Y.</source>
      <translation>Diese Maschine hat keine Endschalter: sagen, wo er steht, --head-stands X,Y.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This machine has no probe</source>
      <translation>Diese Maschine hat keinen Taster</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>This machine has no rotary yet: say under its name in the rail, “Machine”, how it turns.</source>
      <translation>Diese Maschine hat noch keine Drehachse: unter ihrem Namen in der Leiste, „Maschine“, sagen, wie sie dreht.</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>This machine has no switches to find home by</source>
      <translation>Diese Maschine hat keine Schalter für die Grundstellung</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>This moment</source>
      <translation>Dieser Augenblick</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This shape cannot be drawn</source>
      <translation>Diese Form lässt sich nicht zeichnen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>This was %1: try it again.</source>
      <translation>Dies war %1: noch einmal erproben.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>This was cancelled</source>
      <translation>Das wurde abgebrochen</translation>
    </message>
    <message>
      <extracomment>app/bed/photo_sheet.cpp</extracomment>
      <source>Three of the handles lie on one line: spread them out.</source>
      <translation>Drei der Griffe liegen auf einer Linie: auseinanderziehen.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Threshold</source>
      <translation>Schwelle</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>Throw away</source>
      <translation>Wegwerfen</translation>
    </message>
    <message>
      <extracomment>app/papers/run_sheet_page.cpp</extracomment>
      <source>Time</source>
      <translation>Zeit</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Time left</source>
      <translation>Restzeit</translation>
    </message>
    <message>
      <extracomment>app/widgets/time_ribbon.cpp</extracomment>
      <source>Time ribbon</source>
      <translation>Zeitband</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Times burned over itself before</source>
      <translation>So oft vorher über sich selbst gebrannt</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Title</source>
      <translation>Titel</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Title burned on the card</source>
      <translation>Auf die Karte gebrannter Titel</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>To a place…</source>
      <translation>An einen Ort …</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>To go on: %1</source>
      <translation>Zum Weitermachen: %1</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>To the head</source>
      <translation>Zum Kopf</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Tolerance</source>
      <translation>Toleranz</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Tone</source>
      <translation>Ton</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Tone as it was</source>
      <translation>Ton, wie er war</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_curve.cpp</extracomment>
      <source>Tone curve</source>
      <translation>Tonkurve</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Tone, crop, background and dots, in the Proof view (Ctrl+2)</source>
      <translation>Ton, Beschnitt, Hintergrund und Punkte, in der Ansicht Andruck (Strg+2)</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>Tones as the file has them</source>
      <translation>Töne, wie die Datei sie hat</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>Tones of the inks</source>
      <translation>Töne der Tinten</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Too dark</source>
      <translation>Zu dunkel</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Too deep</source>
      <translation>Zu tief</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Too light</source>
      <translation>Zu hell</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Too little memory, most likely: make pictures smaller or their pitch wider. A burn that runs goes on.</source>
      <translation>Wahrscheinlich zu wenig Speicher: Machen Sie Bilder kleiner oder ihren Abstand weiter. Ein laufendes Brennen geht weiter.</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Top, bottom</source>
      <translation>Oben, unten</translation>
    </message>
    <message>
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>Trace</source>
      <translation>Umzeichnen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Trimmed</source>
      <translation>Nachgeregelt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Try again in a moment.</source>
      <translation>Gleich noch einmal versuchen.</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Turn a quarter</source>
      <translation>Viertelumdrehung</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Turn art</source>
      <translation>Zeichnung drehen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Turn it into outlines in your drawing program before saving it.</source>
      <translation>Vor dem Speichern im Zeichenprogramm in Umrisse umwandeln.</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Turn it on</source>
      <translation>Einschalten</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Turn laser mode on</source>
      <translation>Lasermodus einschalten</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Turn left</source>
      <translation>Nach links drehen</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Turn right</source>
      <translation>Nach rechts drehen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Turn the piece, or move the head, back by so much and say again where it begins. Or switch its soft limits ($20) off while the rotary is in.</source>
      <translation>Das Stück um so viel zurückdrehen, oder den Kopf zurückfahren, und neu sagen, wo es beginnt. Oder die weichen Grenzen ($20) ausschalten, solange die Drehachse steckt.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Turn them on in the program that made it, and save it again.</source>
      <translation>Im Programm, aus dem sie stammt, einschalten und noch einmal speichern.</translation>
    </message>
    <message>
      <extracomment>app/trays/stock_tray.cpp</extracomment>
      <source>Turned as the piece is</source>
      <translation>Gedreht wie das Stück</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Turned by</source>
      <translation>Gedreht um</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Two marks lie less than {by} mm apart</source>
      <translation>Zwei Marken liegen weniger als {by} mm auseinander</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Type 1 to 100 passes.</source>
      <translation>1 bis 100 Durchgänge tippen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Type a line pitch in that range; 0.1 mm suits most beams.</source>
      <translation>Einen Zeilenabstand in diesem Bereich tippen; 0,1 mm passt zu den meisten Strahlen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Type a number such as 70.</source>
      <translation>Eine Zahl wie 70 tippen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Type a number with mm, cm or in, such as 12.5 mm or 1/8 in.</source>
      <translation>Eine Zahl mit mm, cm oder in tippen, etwa 12.5 mm oder 1/8 in.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Type a number with mm/min, mm/s or in/s, such as 3200 mm/min.</source>
      <translation>Eine Zahl mit mm/min, mm/s oder in/s tippen, etwa 3200 mm/min.</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Type a number.</source>
      <translation>Eine Zahl tippen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Type a power from 0 to 100.</source>
      <translation>Eine Leistung von 0 bis 100 tippen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Type a smaller or larger value.</source>
      <translation>Einen kleineren oder größeren Wert tippen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Type a speed in that range.</source>
      <translation>Eine Geschwindigkeit in diesem Bereich tippen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Type one such as 1:50, or 1/8in = 1ft.</source>
      <translation>Etwas wie 1:50 tippen, oder 1/8in = 1ft.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Type some letters.</source>
      <translation>Einige Buchstaben tippen.</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Under the next art (Page Down; Shift: under all)</source>
      <translation>Unter das nächste Motiv (Bild ab; mit Umschalt: unter alle)</translation>
    </message>
    <message>
      <extracomment>app/machine/self_test_sheet.cpp</extracomment>
      <source>Under way…</source>
      <translation>Läuft …</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Undo</source>
      <translation>Rückgängig</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/main_window.cpp</extracomment>
      <source>Undo the change to go on with it, or open it from what was burned before.</source>
      <translation>Die Änderung rückgängig machen, um weiterzubrennen, oder ihn aus den früheren Bränden öffnen.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>Undo: %1 (Ctrl+Z)</source>
      <translation>Rückgängig: %1 (Strg+Z)</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>Ungroup</source>
      <translation>Gruppe lösen</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Ungroup art</source>
      <translation>Gruppe der Zeichnung lösen</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Unit</source>
      <translation>Einheit</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>Unit of the drawing</source>
      <translation>Einheit der Zeichnung</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Units, distance mode or plane are used before they are set</source>
      <translation>Einheiten, Wegart oder Ebene werden benutzt, ehe sie gesetzt sind</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>Unlock</source>
      <translation>Entsperren</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_desk.cpp</extracomment>
      <source>Unlock art</source>
      <translation>Zeichnung entsperren</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Unlock it first.</source>
      <translation>Erst entsperren.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Unlock the recipe</source>
      <translation>Das Rezept entsperren</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Unlock…</source>
      <translation>Entsperren …</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>Until Esc or STOP</source>
      <translation>Bis Esc oder STOPP</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>Up goes along the piece, right goes round it; its reference point turns with it</source>
      <translation>Oben läuft am Stück entlang, rechts um es herum; der Bezugspunkt dreht mit</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Use</source>
      <translation>Benutzen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Use a copy or an earlier save of it; the file was not changed.</source>
      <translation>Eine Kopie oder ältere Sicherung benutzen; die Datei blieb unverändert.</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Use for the job's pictures</source>
      <translation>Für die Bilder des Auftrags benutzen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>Use in step</source>
      <translation>Im Schritt benutzen</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Use in step…</source>
      <translation>Im Schritt benutzen …</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Use that one; the file was left as it is.</source>
      <translation>Jene benutzen; die Datei blieb, wie sie war.</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Use variant</source>
      <translation>Variante benutzen</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Value</source>
      <translation>Wert</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>Values</source>
      <translation>Werte</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>Values %1</source>
      <translation>Werte %1</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Variant %1</source>
      <translation>Variante %1</translation>
    </message>
    <message>
      <extracomment>app/proof/variants_panel.cpp</extracomment>
      <source>Variants</source>
      <translation>Varianten</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Verdict in your own words</source>
      <translation>Urteil in eigenen Worten</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Verdict on a swatch</source>
      <translation>Urteil über ein Muster</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/window_commands.cpp</extracomment>
      <source>View</source>
      <translation>Ansicht</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Vignette</source>
      <translation>Vignette</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>W</source>
      <translation>B</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>Wait for its start button</source>
      <translation>Auf ihren Startknopf warten</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Wait no longer</source>
      <translation>Nicht länger warten</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Wait until it is done, or stop it.</source>
      <translation>Warten, bis sie fertig ist, oder abbrechen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Wait until it is idle, or stop it.</source>
      <translation>Warten, bis sie ruht, oder abbrechen.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Wait until it is planned anew, then start it again.</source>
      <translation>Warten, bis neu geplant ist, dann noch einmal starten.</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>Waiting</source>
      <translation>Wartet</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>Waiting for the controller to answer</source>
      <translation>Wartet auf die Antwort der Steuerung</translation>
    </message>
    <message>
      <extracomment>app/trays/waiting_panel.cpp</extracomment>
      <source>Waiting jobs</source>
      <translation>Wartende Aufträge</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Wake the controller</source>
      <translation>Die Steuerung wecken</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Watts</source>
      <translation>Watt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Watts of the chart</source>
      <translation>Watt der Tafel</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>Wavelength</source>
      <translation>Wellenlänge</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Way of filling</source>
      <translation>Art des Füllens</translation>
    </message>
    <message>
      <extracomment>app/trays/frame_tray.cpp</extracomment>
      <source>Way of the frame</source>
      <translation>Art des Umfahrens</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Went through with least: %1.</source>
      <translation>Mit dem Wenigsten durch: %1.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>What</source>
      <translation>Was</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>What a status report says: 1 machine places, 2 buffer, as a sum</source>
      <translation>Was eine Meldung enthält: 1 Maschinenorte, 2 Puffer, als Summe</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>What changes in the step</source>
      <translation>Was sich im Schritt ändert</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>What differs</source>
      <translation>Was sich unterscheidet</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>What differs from bottom to top</source>
      <translation>Was sich von unten nach oben unterscheidet</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>What differs from left to right</source>
      <translation>Was sich von links nach rechts unterscheidet</translation>
    </message>
    <message>
      <extracomment>app/commands/command_sheets.cpp</extracomment>
      <source>What do you want to do?</source>
      <translation>Was soll geschehen?</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>What do you want to find out?</source>
      <translation>Was soll herausgefunden werden?</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>What is burned</source>
      <translation>Was gebrannt wird</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>What is locked stays where it is (Ctrl+L)</source>
      <translation>Was gesperrt ist, bleibt, wo es ist (Strg+L)</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/left_open_sheet.cpp</extracomment>
      <source>What is not taken up now is offered again at the next start.</source>
      <translation>Was jetzt nicht aufgenommen wird, wird beim nächsten Start wieder angeboten.</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>What is played</source>
      <translation>Was abgespielt wird</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>What is shown, as JSON, CSV, or a chart for the wall (PDF)</source>
      <translation>Was gezeigt wird, als JSON, CSV oder Tafel für die Wand (PDF)</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>What is shown, as a PDF</source>
      <translation>Was gezeigt wird, als PDF</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>What makes the light</source>
      <translation>Was das Licht macht</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>What the burned ring measures</source>
      <translation>Was der gebrannte Ring misst</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>What the machine will do</source>
      <translation>Was die Maschine tun wird</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>What the material does</source>
      <translation>Was das Material tut</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>What the routine changes</source>
      <translation>Was die Routine ändert</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>What this means and what can be done</source>
      <translation>Was das heißt und was zu tun ist</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>What was burned</source>
      <translation>Was gebrannt wurde</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>What was burned before</source>
      <translation>Was vorher gebrannt wurde</translation>
    </message>
    <message>
      <extracomment>app/trays/waiting_panel.cpp</extracomment>
      <source>What was burned before…</source>
      <translation>Was vorher gebrannt wurde …</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>What was not saved is offered again. The report named here stays on this computer; send it along when you tell of the fault.</source>
      <translation>Nicht Gesichertes wird wieder angeboten. Der hier genannte Bericht bleibt auf diesem Rechner; beim Melden des Fehlers mitschicken.</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatch_desk.cpp</extracomment>
      <source>What was read of it is kept all the same.</source>
      <translation>Was davon gelesen wurde, bleibt trotzdem.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>What was to be sent is not what was checked</source>
      <translation>Was gesendet werden sollte, ist nicht das Geprüfte</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>What will be burned</source>
      <translation>Was gebrannt werden wird</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>What would change</source>
      <translation>Was sich ändern würde</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>What would make it shorter</source>
      <translation>Was es kürzer machte</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Where does the head stand?</source>
      <translation>Wo steht der Kopf?</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>Where it gets hot</source>
      <translation>Wo es heiß wird</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>Where the head is nobody knows, so no limit can be kept: watch it.</source>
      <translation>Wo der Kopf ist, weiß niemand, darum gilt keine Grenze: zusehen.</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Where the spot is wider than the pitch dots grow into each other. A measured response of the material holds this already.</source>
      <translation>Wo der Brennfleck breiter ist als der Abstand, wachsen Punkte ineinander. Eine gemessene Antwort des Materials enthält das schon.</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Which axes have home at their low end, as a sum of 1 (X), 2 (Y), 4 (Z)</source>
      <translation>Welche Achsen ihre Grundstellung am unteren Ende haben, als Summe aus 1 (X), 2 (Y), 4 (Z)</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Which axes have their step signal upside down, as a sum of 1 (X), 2 (Y), 4 (Z)</source>
      <translation>Welche Achsen ihr Schrittsignal umgekehrt haben, als Summe aus 1 (X), 2 (Y), 4 (Z)</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Which axes run the other way, as a sum of 1 (X), 2 (Y), 4 (Z)</source>
      <translation>Welche Achsen andersherum laufen, als Summe aus 1 (X), 2 (Y), 4 (Z)</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>Which one is best?</source>
      <translation>Welches ist das beste?</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Which parts of the card are burned</source>
      <translation>Welche Teile der Karte gebrannt werden</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>While the job is changed it cannot be gone on with; undo brings that back.</source>
      <translation>Solange der Auftrag geändert ist, geht es nicht weiter; Rückgängig bringt das zurück.</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>White from</source>
      <translation>Weiß ab</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>White: covers, burns nothing</source>
      <translation>Weiß: deckt, brennt nicht</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Whole lines</source>
      <translation>Durchgehende Linien</translation>
    </message>
    <message>
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Why it is all right this time</source>
      <translation>Warum es diesmal in Ordnung ist</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Wide ones as areas</source>
      <translation>Breite als Flächen</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Width</source>
      <translation>Breite</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Width (the file states none)</source>
      <translation>Breite (die Datei nennt keine)</translation>
    </message>
    <message>
      <extracomment>app/trays/art/reading_panel.cpp</extracomment>
      <source>Width from which a stroke is an area</source>
      <translation>Breite, ab der ein Strich eine Fläche ist</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Width of a bridge</source>
      <translation>Breite eines Stegs</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Width of a swatch</source>
      <translation>Breite eines Musters</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>Width of the art</source>
      <translation>Breite der Zeichnung</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>Width of the form</source>
      <translation>Breite der Form</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>Width of the kerf</source>
      <translation>Breite der Schnittfuge</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>Width of the picture</source>
      <translation>Breite des Bildes</translation>
    </message>
    <message>
      <extracomment>wording/src/swatch_words.cpp</extracomment>
      <source>Window for a tongue</source>
      <translation>Fenster für eine Zunge</translation>
    </message>
    <message>
      <extracomment>app/machine/wire_log.cpp</extracomment>
      <source>Wire log</source>
      <translation>Leitungsprotokoll</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>Wire…</source>
      <translation>Leitung …</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>With a sixth to spare: %1.</source>
      <translation>Mit einem Sechstel Reserve: %1.</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>With a word set, locked recipes and the ceiling change with that word only. It keeps people from mistakes, not from somebody who edits files.</source>
      <translation>Mit gesetztem Wort ändern sich gesperrte Rezepte und die Obergrenze nur mit diesem Wort. Es bewahrt vor Versehen, nicht vor jemandem, der Dateien bearbeitet.</translation>
    </message>
    <message>
      <extracomment>app/proof/machine_facts.cpp</extracomment>
      <source>Working it out…</source>
      <translation>Rechne …</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>Workshop…</source>
      <translation>Werkstatt …</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Write back from file…</source>
      <translation>Aus Datei zurückschreiben …</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Write diameter and length in millimetres, 80,100, or both diameters and the length, 88,76,110.</source>
      <translation>Durchmesser und Länge in Millimetern schreiben, 80,100, oder beide Durchmesser und die Länge, 88,76,110.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Write it as '#1565c0:line=cut,power=100,speed=240,passes=2'.</source>
      <translation>Als '#1565c0:line=cut,power=100,speed=240,passes=2' schreiben.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Write it as 32=1.</source>
      <translation>So schreiben: 32=1.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Write it as X,Y in millimetres.</source>
      <translation>Als X,Y in Millimetern schreiben.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Write plain letters and figures, 70 at most. Hold, resume and stop have their own buttons.</source>
      <translation>Schlichte Buchstaben und Ziffern schreiben, höchstens 70. Anhalten, Weiter und Abbrechen haben eigene Knöpfe.</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Write settings back</source>
      <translation>Einstellungen zurückschreiben</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>Write the date as 2026-11-23.</source>
      <translation>Das Datum als 2026-11-23 schreiben.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>Write them as docs/formats say.</source>
      <translation>So schreiben, wie docs/formats sagt.</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>Written on it</source>
      <translation>Darauf geschrieben</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>X</source>
      <translation>X</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>X %1  Y %2 mm</source>
      <translation>X %1  Y %2 mm</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>X %1  Y %2 mm, set by hand</source>
      <translation>X %1  Y %2 mm, von Hand gesetzt</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>X acceleration</source>
      <translation>X Beschleunigung</translation>
    </message>
    <message>
      <extracomment>app/trays/round_piece_panel.cpp</extracomment>
      <source>X and Y count from here. Move the head there under “Frame” first.</source>
      <translation>X und Y zählen von hier. Den Kopf vorher unter „Umfahren“ dorthin fahren.</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>X steps</source>
      <translation>X Schritte</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>X top speed</source>
      <translation>X Höchstgeschwindigkeit</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>X travel</source>
      <translation>X Weg</translation>
    </message>
    <message>
      <extracomment>app/rail/machine_rail.cpp</extracomment>
      <source>X —  Y — mm</source>
      <translation>X —  Y — mm</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Y</source>
      <translation>Y</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Y acceleration</source>
      <translation>Y Beschleunigung</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Y steps</source>
      <translation>Y Schritte</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Y top speed</source>
      <translation>Y Höchstgeschwindigkeit</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Y travel</source>
      <translation>Y Weg</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>Yes, it stands there</source>
      <translation>Ja, er steht dort</translation>
    </message>
    <message>
      <extracomment>app/machine/controller_sheet.cpp</extracomment>
      <source>Yes, write $%1=%2</source>
      <translation>Ja, $%1=%2 schreiben</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>You are not allowed to open this file</source>
      <translation>Diese Datei darf nicht geöffnet werden</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>You are not allowed to use this port</source>
      <translation>Dieser Anschluss darf nicht benutzt werden</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Z acceleration</source>
      <translation>Z Beschleunigung</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Z steps</source>
      <translation>Z Schritte</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Z top speed</source>
      <translation>Z Höchstgeschwindigkeit</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>Z travel</source>
      <translation>Z Weg</translation>
    </message>
    <message>
      <extracomment>app/machine/port_watch.cpp</extracomment>
      <source>a controller</source>
      <translation>eine Steuerung</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>a cut comes too early</source>
      <translation>ein Schnitt kommt zu früh</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>a limit switch was hit</source>
      <translation>ein Endschalter wurde berührt</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>a move would have left the work area</source>
      <translation>eine Bewegung hätte den Arbeitsraum verlassen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>a picture</source>
      <translation>ein Bild</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>a program: %1</source>
      <translation>ein Programm: %1</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>about %1</source>
      <translation>etwa %1</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>across</source>
      <translation>waagerecht</translation>
    </message>
    <message>
      <extracomment>app/recipes/wall_chart.cpp</extracomment>
      <source>air</source>
      <translation>Luft</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>air before the beam, 0 to 60 s</source>
      <translation>Luft vor dem Strahl, 0 bis 60 s</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>air first</source>
      <translation>Luft vorher</translation>
    </message>
    <message>
      <extracomment>tools/cli/plan_command.cpp</extracomment>
      <source>all checks pass</source>
      <translation>alle Prüfungen bestanden</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>all holes first</source>
      <translation>alle Löcher zuerst</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>all is burned</source>
      <translation>alles ist gebrannt</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>all pass</source>
      <translation>alle bestanden</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>along the outline</source>
      <translation>dem Umriss entlang</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>and keep as a recipe…</source>
      <translation>und als Rezept sichern …</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>angle of scan lines</source>
      <translation>Winkel der Zeilen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>angle of the screen</source>
      <translation>Winkel des Rasters</translation>
    </message>
    <message>
      <extracomment>app/machine/state_sheet.cpp</extracomment>
      <source>another place:</source>
      <translation>ein anderer Ort:</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>any material: no piece is set</source>
      <translation>beliebiges Material: kein Stück ist gesetzt</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>as drawn</source>
      <translation>wie gezeichnet</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>as it is</source>
      <translation>wie es ist</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>as it is titled</source>
      <translation>wie sie heißt</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>as planned, hours, minutes and seconds</source>
      <translation>wie geplant, Stunden, Minuten und Sekunden</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>as planned, minutes and seconds</source>
      <translation>wie geplant, Minuten und Sekunden</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>auto</source>
      <translation>von selbst</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>automatic</source>
      <translation>von selbst</translation>
    </message>
    <message>
      <extracomment>tools/cli/conversation.cpp</extracomment>
      <source>back to 0, 0</source>
      <translation>zurück nach 0, 0</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>bad</source>
      <translation>schlecht</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>beam %1 %</source>
      <translation>Strahl %1 %</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>bed</source>
      <translation>Bett</translation>
    </message>
    <message>
      <extracomment>app/machine/known_places.cpp</extracomment>
      <source>bed, far right</source>
      <translation>Bett, hinten rechts</translation>
    </message>
    <message>
      <extracomment>app/machine/known_places.cpp</extracomment>
      <source>bed, near left</source>
      <translation>Bett, vorn links</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>between two dots</source>
      <translation>zwischen zwei Punkten</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>bridges, 0 to 100</source>
      <translation>Stege, 0 bis 100</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>broke off at %1 %</source>
      <translation>brach ab bei %1 %</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>broken off · %1</source>
      <translation>abgebrochen · %1</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>burn alike</source>
      <translation>brennen gleich</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>burned</source>
      <translation>gebrannt</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>burned %1</source>
      <translation>gebrannt %1</translation>
    </message>
    <message>
      <extracomment>app/widgets/ink_chip.cpp</extracomment>
      <source>burned %1 % dark</source>
      <translation>zu %1 % dunkel gebrannt</translation>
    </message>
    <message numerus="yes">
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>burned %1, %n kept</source>
      <translation>
        <numerusform>gebrannt %1, %n behalten</numerusform>
        <numerusform>gebrannt %1, %n behalten</numerusform>
      </translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>burning · %1 %</source>
      <translation>brennt · %1 %</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>burns dark</source>
      <translation>brennt dunkel</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>burns light</source>
      <translation>brennt hell</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_card.cpp</extracomment>
      <source>burns nothing</source>
      <translation>brennt nichts</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>by piece of art: %1</source>
      <translation>je Stück der Zeichnung: %1</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>bytes</source>
      <translation>Bytes</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>changed</source>
      <translation>geändert</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>changed since %1</source>
      <translation>geändert seit %1</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>constant</source>
      <translation>fest</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_card.cpp</extracomment>
      <source>constant beam</source>
      <translation>fester Strahl</translation>
    </message>
    <message>
      <extracomment>tools/cli/move_commands.cpp</extracomment>
      <source>controller</source>
      <translation>Steuerung</translation>
    </message>
    <message>
      <extracomment>app/machine/port_watch.cpp</extracomment>
      <source>controller %1</source>
      <translation>Steuerung %1</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>copied from %1, untested</source>
      <translation>kopiert von %1, unerprobt</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>crossed</source>
      <translation>gekreuzt</translation>
    </message>
    <message>
      <extracomment>app/swatches/dose_plot.cpp</extracomment>
      <source>dark</source>
      <translation>dunkel</translation>
    </message>
    <message>
      <extracomment>app/swatches/dose_plot.cpp</extracomment>
      <source>dark (below the middle: lighter than bare)</source>
      <translation>dunkel (unter der Mitte: heller als blank)</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>darker: more dots</source>
      <translation>dunkler: mehr Punkte</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>darker: more power</source>
      <translation>dunkler: mehr Leistung</translation>
    </message>
    <message>
      <extracomment>app/recipes/dose_marks.cpp</extracomment>
      <source>darkness %1</source>
      <translation>Schwärze %1</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>darkness %1, evenness %2, edge %3 mm</source>
      <translation>Schwärze %1, Gleichmaß %2, Kante %3 mm</translation>
    </message>
    <message>
      <extracomment>app/bed/placing_hand.cpp</extracomment>
      <source>datum %1, %2</source>
      <translation>Bezugspunkt %1, %2</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>did it stay on the piece?</source>
      <translation>blieb er auf dem Stück?</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>diode</source>
      <translation>Diode</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>docs/formats/simulator.md says how it is written.</source>
      <translation>docs/formats/simulator.md sagt, wie sie geschrieben wird.</translation>
    </message>
    <message>
      <extracomment>app/line/chalk_line.cpp</extracomment>
      <source>done</source>
      <translation>fertig</translation>
    </message>
    <message>
      <extracomment>app/swatches/dose_plot.cpp</extracomment>
      <source>dose, mJ/mm</source>
      <translation>Dosis, mJ/mm</translation>
    </message>
    <message>
      <extracomment>app/swatches/dose_plot.cpp</extracomment>
      <source>dose, mJ/mm²</source>
      <translation>Dosis, mJ/mm²</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>dose; 0: no limit</source>
      <translation>Dosis; 0: keine Grenze</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>dots from cluster to cluster, 2 to 200</source>
      <translation>Punkte von Gruppe zu Gruppe, 2 bis 200</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>each</source>
      <translation>je</translation>
    </message>
    <message>
      <extracomment>tools/cli/output.cpp</extracomment>
      <source>error: </source>
      <translation>Fehler: </translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>estimate %1, corrected by %2 of this machine (× %3)</source>
      <translation>geschätzt %1, berichtigt durch %2 dieser Maschine (× %3)</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>everything</source>
      <translation>alles</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>far left</source>
      <translation>hinten links</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>far right</source>
      <translation>hinten rechts</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>fibre</source>
      <translation>Faser</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>fill</source>
      <translation>Fläche</translation>
    </message>
    <message>
      <extracomment>tools/cli/conversation.cpp</extracomment>
      <source>finding home</source>
      <translation>sucht die Grundstellung</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>finding home is switched off in its settings</source>
      <translation>die Grundstellung ist in ihren Einstellungen ausgeschaltet</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>finished</source>
      <translation>fertig</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>finished at %1</source>
      <translation>fertig um %1</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>fits %1 %2</source>
      <translation>passt zu %1 %2</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>focus down</source>
      <translation>Fokus tiefer</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>focus down each pass, 0 to 20 mm</source>
      <translation>Fokus tiefer je Durchgang, 0 bis 20 mm</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>focus higher, -20 to 20 mm</source>
      <translation>Fokus höher, -20 bis 20 mm</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>focus moved</source>
      <translation>Fokus bewegt</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>follows the speed</source>
      <translation>folgt der Geschwindigkeit</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>for %1, %2</source>
      <translation>für %1, %2</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>for a piece of unknown thickness</source>
      <translation>für ein Stück unbekannter Dicke</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>found before the lens was last cleaned</source>
      <translation>gefunden, ehe die Linse zuletzt gereinigt wurde</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>found with another beam source</source>
      <translation>gefunden mit einer anderen Strahlquelle</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>framed %1</source>
      <translation>umfahren %1</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>framed at %1, it stayed on the piece</source>
      <translation>umfahren um %1, er blieb auf dem Stück</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>framed at %1; nobody said that it stayed on the piece</source>
      <translation>umfahren um %1; niemand sagte, dass er auf dem Stück blieb</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>framed, and it left the piece</source>
      <translation>umfahren, und er verließ das Stück</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>framing…</source>
      <translation>umfährt …</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>from a chart for %1 W, untested</source>
      <translation>aus einer Tafel für %1 W, unerprobt</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>from a chart, untested</source>
      <translation>aus einer Tafel, unerprobt</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>gap</source>
      <translation>Lücke</translation>
    </message>
    <message>
      <extracomment>tools/cli/machine_commands.cpp</extracomment>
      <source>going on with “{}”, {} lines are left</source>
      <translation>„{}“ geht weiter, {} Zeilen sind übrig</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>good</source>
      <translation>gut</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>has an axis of its own (A)</source>
      <translation>hat eine eigene Achse (A)</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>home was not found</source>
      <translation>die Grundstellung wurde nicht gefunden</translation>
    </message>
    <message>
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>in %1</source>
      <translation>in %1</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>in the rotary, ø %1 mm</source>
      <translation>in der Drehachse, ø %1 mm</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>inch: %1 × %2 mm</source>
      <translation>Zoll: %1 × %2 mm</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>infrared</source>
      <translation>Infrarot</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_card.cpp</extracomment>
      <source>inside first</source>
      <translation>Inneres zuerst</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>inside, holes outside</source>
      <translation>innen, Löcher außen</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>is held by a chuck</source>
      <translation>hält ein Spannfutter</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>is plugged in instead of Y</source>
      <translation>steckt an der Stelle von Y</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>it could not read the line</source>
      <translation>sie konnte die Zeile nicht lesen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>it does not know this command</source>
      <translation>sie kennt diesen Befehl nicht</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>it does not support a word in the line</source>
      <translation>sie kennt ein Wort der Zeile nicht</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>it gives off chlorine, which harms lungs and eats the machine</source>
      <translation>es gibt Chlor ab, das der Lunge schadet und die Maschine zerfrisst</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>it gives off cyanide</source>
      <translation>es gibt Blausäure ab</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>it gives off fluorine compounds, which are very poisonous</source>
      <translation>es gibt sehr giftige Fluorverbindungen ab</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>it is locked</source>
      <translation>sie ist gesperrt</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>it is not idle</source>
      <translation>sie ruht nicht</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>it left the piece</source>
      <translation>es verließ das Stück</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>it melts and catches fire easily</source>
      <translation>es schmilzt und brennt leicht</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>it must lie where it lay, untouched</source>
      <translation>es muss unberührt liegen, wo es lag</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>it was reset while moving</source>
      <translation>sie wurde in Bewegung zurückgesetzt</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>its metal gives off poisonous fumes</source>
      <translation>sein Metall gibt giftigen Rauch ab</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>its passes: %1</source>
      <translation>seine Durchgänge: %1</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>its reason is number %1</source>
      <translation>ihr Grund ist Nummer %1</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>its resin gives off poisonous fumes, and its fibres are harmful dust</source>
      <translation>sein Harz gibt giftigen Rauch ab, und seine Fasern sind schädlicher Staub</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>job</source>
      <translation>Auftrag</translation>
    </message>
    <message>
      <extracomment>app/machine/known_places.cpp</extracomment>
      <source>job, far right</source>
      <translation>Auftrag, hinten rechts</translation>
    </message>
    <message>
      <extracomment>app/machine/known_places.cpp</extracomment>
      <source>job, near left</source>
      <translation>Auftrag, vorn links</translation>
    </message>
    <message>
      <extracomment>app/machine/connection_sheet.cpp</extracomment>
      <source>just plugged in</source>
      <translation>gerade eingesteckt</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>kerf %1</source>
      <translation>Schnittfuge %1</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>kerf, 0 to 5 mm</source>
      <translation>Schnittfuge, 0 bis 5 mm</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>lead-in or overcut</source>
      <translation>Einlauf oder Überschnitt</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>lead-in, 0 to 50 mm</source>
      <translation>Einlauf, 0 bis 50 mm</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>leather tanned with chromium gives off poisonous chromium dust</source>
      <translation>mit Chrom gegerbtes Leder gibt giftigen Chromstaub ab</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_canvas.cpp</extracomment>
      <source>left out</source>
      <translation>ausgelassen</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>left · %1 % done · planned %2</source>
      <translation>übrig · %1 % fertig · geplant %2</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>left; %1 % burned for sure</source>
      <translation>übrig; %1 % sicher gebrannt</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>lies on rollers</source>
      <translation>liegt auf Rollen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>line</source>
      <translation>Linie</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>line %1</source>
      <translation>Zeile %1</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>line %1 of %2</source>
      <translation>Zeile %1 von %2</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>line %1: %2</source>
      <translation>Zeile %1: %2</translation>
    </message>
    <message>
      <extracomment>tools/cli/burning.cpp</extracomment>
      <source>lines</source>
      <translation>Zeilen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_shelf.cpp</extracomment>
      <source>locked · </source>
      <translation>gesperrt · </translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>looking…</source>
      <translation>suche …</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>lowest power, 0 to 100 %</source>
      <translation>niedrigste Leistung, 0 bis 100 %</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>masked, wiped damp, painted…</source>
      <translation>abgeklebt, feucht gewischt, bemalt …</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>material, kind and date</source>
      <translation>Material, Art und Datum</translation>
    </message>
    <message>
      <extracomment>app/proof/tone_panel.cpp</extracomment>
      <source>mm</source>
      <translation>mm</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>mm or °</source>
      <translation>mm oder °</translation>
    </message>
    <message>
      <extracomment>app/trays/art/art_tray.cpp</extracomment>
      <source>mm: %1 × %2 mm</source>
      <translation>mm: %1 × %2 mm</translation>
    </message>
    <message>
      <extracomment>app/trays/move_panel.cpp</extracomment>
      <source>name for the head's place</source>
      <translation>Name für den Ort des Kopfs</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>near left</source>
      <translation>vorn links</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>near right</source>
      <translation>vorn rechts</translation>
    </message>
    <message>
      <extracomment>app/line/chalk_line.cpp</extracomment>
      <source>needs attention</source>
      <translation>braucht Aufmerksamkeit</translation>
    </message>
    <message>
      <extracomment>app/machine/store_sheet.cpp</extracomment>
      <source>no</source>
      <translation>nein</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_canvas.cpp</extracomment>
      <source>no card</source>
      <translation>keine Karte</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>no home switches</source>
      <translation>keine Endschalter</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>no machine connected</source>
      <translation>keine Maschine verbunden</translation>
    </message>
    <message>
      <extracomment>app/proof/original_panel.cpp</extracomment>
      <source>no picture yet</source>
      <translation>noch kein Bild</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>no piece set</source>
      <translation>kein Stück gesetzt</translation>
    </message>
    <message>
      <extracomment>tools/cli/machine_commands.cpp</extracomment>
      <source>no serial port found; plug the machine in, or type a port or tcp:HOST:PORT</source>
      <translation>kein serieller Anschluss gefunden; die Maschine einstecken, oder einen Anschluss oder tcp:RECHNER:PORT tippen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>no speed was set</source>
      <translation>keine Geschwindigkeit war gesetzt</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>no step burns anything</source>
      <translation>kein Schritt brennt etwas</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>no. %1 %2</source>
      <translation>Nr. %1 %2</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>noise, 0 to 1</source>
      <translation>Rauschen, 0 bis 1</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>none</source>
      <translation>keine</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>not brought to its end</source>
      <translation>nicht zu Ende gebracht</translation>
    </message>
    <message>
      <extracomment>app/swatches/book_print.cpp</extracomment>
      <source>not burned yet</source>
      <translation>noch nicht gebrannt</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>not framed yet</source>
      <translation>noch nicht umfahren</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>not framed: nobody has seen where it lands</source>
      <translation>nicht umfahren: niemand hat gesehen, wo es landet</translation>
    </message>
    <message>
      <extracomment>tools/cli/selftest_command.cpp</extracomment>
      <source>not passed</source>
      <translation>nicht bestanden</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>not saved</source>
      <translation>nicht gesichert</translation>
    </message>
    <message>
      <extracomment>app/line/chalk_line.cpp</extracomment>
      <source>not yet</source>
      <translation>noch nicht</translation>
    </message>
    <message>
      <extracomment>tools/cli/conversation.cpp</extracomment>
      <source>note: the beam's power was turned to {} % at the machine</source>
      <translation>Hinweis: Die Leistung wurde an der Maschine auf {} % gestellt</translation>
    </message>
    <message>
      <extracomment>tools/cli/conversation.cpp</extracomment>
      <source>note: {}: the profile says {}, the controller {} (${})</source>
      <translation>Hinweis: {}: Das Profil sagt {}, die Steuerung {} (${})</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>nothing</source>
      <translation>nichts</translation>
    </message>
    <message>
      <extracomment>app/widgets/time_ribbon.cpp</extracomment>
      <source>nothing to burn yet</source>
      <translation>noch nichts zu brennen</translation>
    </message>
    <message>
      <extracomment>tools/cli/history_command.cpp</extracomment>
      <source>nothing was burned yet</source>
      <translation>noch nichts gebrannt</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>nothing yet</source>
      <translation>noch nichts</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>nothing: one row</source>
      <translation>nichts: eine Reihe</translation>
    </message>
    <message>
      <extracomment>wording/src/machine_words.cpp</extracomment>
      <source>odd</source>
      <translation>seltsam</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>off</source>
      <translation>aus</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_panel.cpp</extracomment>
      <source>on</source>
      <translation>an</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>on the line</source>
      <translation>auf der Linie</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>one burn</source>
      <translation>ein Brand</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>one line after the other</source>
      <translation>eine Zeile nach der anderen</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>one place</source>
      <translation>eine Stelle</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>one step; the rest of the job is not burned</source>
      <translation>ein Schritt; der Rest des Auftrags wird nicht gebrannt</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>one way</source>
      <translation>in eine Richtung</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>only the swatches</source>
      <translation>nur die Muster</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>only what is written</source>
      <translation>nur das Geschriebene</translation>
    </message>
    <message>
      <extracomment>app/widgets/fold.cpp</extracomment>
      <source>open</source>
      <translation>auf</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>or pulses in a cm</source>
      <translation>oder Pulse je cm</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>other</source>
      <translation>andere</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>outline after</source>
      <translation>Umriss danach</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>outside, holes inside</source>
      <translation>außen, Löcher innen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>overcut, 0 to 50 mm</source>
      <translation>Überschnitt, 0 bis 50 mm</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>part by part</source>
      <translation>Teil für Teil</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>parts</source>
      <translation>Teile</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>parts mixed</source>
      <translation>Teile gemischt</translation>
    </message>
    <message>
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>pass %1 of %2</source>
      <translation>Durchgang %1 von %2</translation>
    </message>
    <message>
      <extracomment>tools/cli/selftest_command.cpp</extracomment>
      <source>passed</source>
      <translation>bestanden</translation>
    </message>
    <message>
      <extracomment>app/papers/run_sheet_page.cpp</extracomment>
      <source>passes</source>
      <translation>Durchgänge</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/main_window.cpp</extracomment>
      <source>pasted</source>
      <translation>eingefügt</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/main_window.cpp</extracomment>
      <source>pasted picture</source>
      <translation>eingefügtes Bild</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_card.cpp</extracomment>
      <source>perforated</source>
      <translation>perforiert</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>perforation, together at least 0.05 mm</source>
      <translation>Perforation, zusammen mindestens 0,05 mm</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>piece</source>
      <translation>Stück</translation>
    </message>
    <message>
      <extracomment>app/machine/known_places.cpp</extracomment>
      <source>piece, far left</source>
      <translation>Stück, hinten links</translation>
    </message>
    <message>
      <extracomment>app/machine/known_places.cpp</extracomment>
      <source>piece, far right</source>
      <translation>Stück, hinten rechts</translation>
    </message>
    <message>
      <extracomment>app/machine/known_places.cpp</extracomment>
      <source>piece, middle</source>
      <translation>Stück, Mitte</translation>
    </message>
    <message>
      <extracomment>app/machine/known_places.cpp</extracomment>
      <source>piece, near left</source>
      <translation>Stück, vorn links</translation>
    </message>
    <message>
      <extracomment>app/machine/known_places.cpp</extracomment>
      <source>piece, near right</source>
      <translation>Stück, vorn rechts</translation>
    </message>
    <message>
      <extracomment>app/papers/run_sheet_page.cpp</extracomment>
      <source>pitch</source>
      <translation>Abstand</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>planned %1</source>
      <translation>geplant %1</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>planning…</source>
      <translation>plane …</translation>
    </message>
    <message>
      <extracomment>app/papers/run_sheet_page.cpp</extracomment>
      <source>power</source>
      <translation>Leistung</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>reaches %1 mm/min: %2</source>
      <translation>erreicht %1 mm/min: %2</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>ready</source>
      <translation>bereit</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>ready, not framed</source>
      <translation>bereit, nicht umfahren</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>real-time bytes and lines</source>
      <translation>Echtzeitzeichen und Zeilen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>response of the material, rising</source>
      <translation>Antwort des Materials, steigend</translation>
    </message>
    <message>
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>row %1, column %2</source>
      <translation>Zeile %1, Spalte %2</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>run-up, 0 to 200 mm</source>
      <translation>Anlauf, 0 bis 200 mm</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/top_bar.cpp</extracomment>
      <source>saved %1</source>
      <translation>gesichert %1</translation>
    </message>
    <message>
      <extracomment>app/bed/ground.cpp</extracomment>
      <source>seam again, after one turn of %1 mm</source>
      <translation>wieder die Naht, nach einer Umdrehung von %1 mm</translation>
    </message>
    <message>
      <extracomment>app/bed/ground.cpp</extracomment>
      <source>seam · the wall unrolled</source>
      <translation>Naht · die Wand abgerollt</translation>
    </message>
    <message>
      <extracomment>tools/cli/store_command.cpp</extracomment>
      <source>sent from here</source>
      <translation>von hier gesendet</translation>
    </message>
    <message>
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>set</source>
      <translation>eingestellt</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>set %1</source>
      <translation>eingestellt %1</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>shift of lines that run back, −5 to 5 mm</source>
      <translation>Versatz rücklaufender Zeilen, −5 bis 5 mm</translation>
    </message>
    <message>
      <extracomment>app/trays/compare_panel.cpp</extracomment>
      <source>shortest way</source>
      <translation>kürzester Weg</translation>
    </message>
    <message>
      <extracomment>app/widgets/fold.cpp</extracomment>
      <source>shut</source>
      <translation>zu</translation>
    </message>
    <message>
      <extracomment>app/widgets/fold.cpp</extracomment>
      <source>shut, %1</source>
      <translation>zu, %1</translation>
    </message>
    <message>
      <extracomment>app/session/machine_link.cpp</extracomment>
      <source>simulated</source>
      <translation>simuliert</translation>
    </message>
    <message>
      <extracomment>app/papers/run_sheet_page.cpp</extracomment>
      <source>speed</source>
      <translation>Geschwindigkeit</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>stale</source>
      <translation>veraltet</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>starting point, untested</source>
      <translation>Ausgangspunkt, unerprobt</translation>
    </message>
    <message>
      <extracomment>app/trays/after_burn_panel.cpp</extracomment>
      <source>stays with this burn in the history</source>
      <translation>bleibt bei diesem Brand im Verlauf</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>step %1 as last time: %2 % power, %3 % speed</source>
      <translation>Schritt %1 wie beim letzten Mal: %2 % Leistung, %3 % Geschwindigkeit</translation>
    </message>
    <message>
      <extracomment>wording/src/controller_settings.cpp</extracomment>
      <source>steps/mm</source>
      <translation>Schritte/mm</translation>
    </message>
    <message>
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>stock</source>
      <translation>Stück</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>stopped at %1 %</source>
      <translation>abgebrochen bei %1 %</translation>
    </message>
    <message>
      <extracomment>tools/cli/store_command.cpp</extracomment>
      <source>stored as {}, {} bytes</source>
      <translation>gespeichert als {}, {} Bytes</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>such as 0 0, 25 45, 60 85, 100 100</source>
      <translation>etwa 0 0, 25 45, 60 85, 100 100</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>such as Birch ply</source>
      <translation>etwa Birkensperrholz</translation>
    </message>
    <message>
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>such as masked, wiped damp</source>
      <translation>etwa abgeklebt, feucht gewischt</translation>
    </message>
    <message>
      <extracomment>wording/src/evidence_words.cpp</extracomment>
      <source>swatch card</source>
      <translation>Musterkarte</translation>
    </message>
    <message>
      <extracomment>tools/cli/swatch_command.cpp</extracomment>
      <source>swatches</source>
      <translation>Muster</translation>
    </message>
    <message>
      <extracomment>app/proof/prepare_panel.cpp</extracomment>
      <source>taken away</source>
      <translation>weggenommen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>the chosen art; the rest of the job is not burned</source>
      <translation>die gewählte Zeichnung; der Rest des Auftrags wird nicht gebrannt</translation>
    </message>
    <message>
      <extracomment>app/line/line_state.cpp</extracomment>
      <source>the controller is locked</source>
      <translation>die Steuerung ist gesperrt</translation>
    </message>
    <message>
      <extracomment>tools/cli/store_command.cpp</extracomment>
      <source>the controller's store is empty</source>
      <translation>der Speicher der Steuerung ist leer</translation>
    </message>
    <message>
      <extracomment>app/machine/known_places.cpp</extracomment>
      <source>the datum</source>
      <translation>den Bezugspunkt</translation>
    </message>
    <message>
      <extracomment>app/trays/art/design_panel.cpp</extracomment>
      <source>the desktop's</source>
      <translation>wie der Schreibtisch</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>the head goes there dark; what may have burned already, up to %1 % of the time, is burned once more</source>
      <translation>der Kopf fährt dunkel hin; was schon gebrannt sein kann, bis %1 % der Zeit, wird noch einmal gebrannt</translation>
    </message>
    <message>
      <extracomment>tools/cli/conversation.cpp</extracomment>
      <source>the head is taken to stand at 0, 0, where the machine was switched on</source>
      <translation>Der Kopf gilt als bei 0, 0 stehend, wo die Maschine eingeschaltet wurde</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>the line is too long</source>
      <translation>die Zeile ist zu lang</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>the link is too slow for so many lines</source>
      <translation>die Leitung ist zu langsam für so viele Zeilen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>the move would leave its work area</source>
      <translation>die Bewegung verließe ihren Arbeitsraum</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>the piece</source>
      <translation>das Stück</translation>
    </message>
    <message>
      <extracomment>app/trays/focus_panel.cpp</extracomment>
      <source>the piece of %1 mm</source>
      <translation>das Stück von %1 mm</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>the probe did not find anything</source>
      <translation>der Taster fand nichts</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>the target of the move makes no sense</source>
      <translation>das Ziel der Bewegung ergibt keinen Sinn</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>this job is flat: it is unplugged</source>
      <translation>dieser Auftrag ist flach: sie ist abgesteckt</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>this machine</source>
      <translation>diese Maschine</translation>
    </message>
    <message>
      <extracomment>app/papers/run_sheet_page.cpp</extracomment>
      <source>time</source>
      <translation>Zeit</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>tones by dots</source>
      <translation>Töne durch Punkte</translation>
    </message>
    <message>
      <extracomment>app/trays/steps/step_details.cpp</extracomment>
      <source>tones by power</source>
      <translation>Töne durch Leistung</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>too little room to speed up</source>
      <translation>zu wenig Platz zum Beschleunigen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>too many short lines for the controller</source>
      <translation>zu viele kurze Linien für die Steuerung</translation>
    </message>
    <message>
      <extracomment>app/history/history_sheets.cpp</extracomment>
      <source>took %1, planned %2</source>
      <translation>brauchte %1, geplant %2</translation>
    </message>
    <message>
      <extracomment>tools/cli/plan_command.cpp</extracomment>
      <source>total</source>
      <translation>zusammen</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>treated wood gives off arsenic or chromium</source>
      <translation>behandeltes Holz gibt Arsen oder Chrom ab</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/ready_sheet.cpp</extracomment>
      <source>turns a piece of ø %1; it is plugged in and the seam is where the head was set</source>
      <translation>dreht ein Stück von ø %1; sie steckt, und die Naht ist, wo der Kopf gesetzt wurde</translation>
    </message>
    <message>
      <extracomment>app/recipes/wall_chart.cpp</extracomment>
      <source>untested</source>
      <translation>unerprobt</translation>
    </message>
    <message>
      <extracomment>app/swatches/axis_editor.cpp</extracomment>
      <source>up</source>
      <translation>senkrecht</translation>
    </message>
    <message>
      <extracomment>app/trays/rehearse_tray.cpp</extracomment>
      <source>up to %1</source>
      <translation>bis zu %1</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>which card, chart or job</source>
      <translation>welche Karte, Tafel oder welcher Auftrag</translation>
    </message>
    <message>
      <extracomment>wording/src/wording.cpp</extracomment>
      <source>width of a bridge, 0.05 to 50 mm</source>
      <translation>Breite eines Stegs, 0,05 bis 50 mm</translation>
    </message>
    <message>
      <extracomment>app/machine/profile_sheet.cpp</extracomment>
      <source>will be forgotten</source>
      <translation>wird vergessen</translation>
    </message>
    <message>
      <extracomment>app/recipes/recipe_editor.cpp</extracomment>
      <source>words, found as #word</source>
      <translation>Wörter, zu finden als #Wort</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{away} mm from the piece's edge, less than the margin of {margin} mm</source>
      <translation>{away} mm vom Rand des Stücks, weniger als der Rand von {margin} mm</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{by} mm off the bed</source>
      <translation>{by} mm neben dem Bett</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{by} mm off the stock</source>
      <translation>{by} mm neben dem Stück</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{count} lines lie on others and would burn twice</source>
      <translation>{count} Linien liegen auf anderen und brennten doppelt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{count} newer recipes could still be read and were added. The damaged file is kept as {aside}.</source>
      <translation>{count} neuere Rezepte waren noch lesbar und kamen dazu. Die beschädigte Datei bleibt als {aside}.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{count} outlines are narrower than the kerf and are not burned</source>
      <translation>{count} Umrisse sind schmaler als die Schnittfuge und werden nicht gebrannt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{count} recipes could still be read. The damaged file is kept as {aside}.</source>
      <translation>{count} Rezepte waren noch lesbar. Die beschädigte Datei bleibt als {aside}.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{feature}: not reproduced, burned without it</source>
      <translation>{feature}: nicht wiedergegeben, ohne es gebrannt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{material} must not be burned: {danger}</source>
      <translation>{material} darf nicht gebrannt werden: {danger}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{passes} passes are not possible</source>
      <translation>{passes} Durchgänge sind nicht möglich</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{power} is above the workshop's ceiling of {ceiling}</source>
      <translation>{power} liegt über der Obergrenze der Werkstatt von {ceiling}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{program} has this port open</source>
      <translation>{program} hat diesen Anschluss offen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{property}: value not understood, left as it was</source>
      <translation>{property}: Wert nicht verstanden, gelassen, wie es war</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{speed} is {times} times faster than any recipe for {material} here</source>
      <translation>{speed} ist {times} Mal schneller als jedes Rezept für {material} hier</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{speed} is {times} times slower than any recipe for {material} here</source>
      <translation>{speed} ist {times} Mal langsamer als jedes Rezept für {material} hier</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{times} times less dose than any recipe for {material} here</source>
      <translation>{times} Mal weniger Dosis als jedes Rezept für {material} hier</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{times} times the dose of any recipe for {material} here</source>
      <translation>{times} Mal die Dosis jedes Rezepts für {material} hier</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{variable} lowered to {value}, the most this machine can do</source>
      <translation>{variable} auf {value} gesenkt, das Höchste dieser Maschine</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>{variable} raised to {value}, the least this machine can do</source>
      <translation>{variable} auf {value} angehoben, das Niedrigste dieser Maschine</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>“%1” had changes that were not saved. They were kept at %2.</source>
      <translation>„%1“ hatte ungesicherte Änderungen. Sie liegen in %2.</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/job_files.cpp</extracomment>
      <source>“%1” has changes that were not saved</source>
      <translation>„%1“ hat ungesicherte Änderungen</translation>
    </message>
    <message>
      <extracomment>app/mainwindow/left_open_sheet.cpp</extracomment>
      <source>“%1” was burning, begun %2. If the piece still lies as it lay, the rest can be burned.</source>
      <translation>„%1“ brannte, begonnen %2. Liegt das Werkstück noch, wie es lag, kann der Rest gebrannt werden.</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{name}” could not be read from the job file</source>
      <translation>„{name}“ ließ sich nicht aus der Auftragsdatei lesen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{name}” in the store has {bytes} bytes, not {expected}</source>
      <translation>„{name}“ im Speicher hat {bytes} Bytes, nicht {expected}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{name}” was not sent from here, so nobody checked what it burns</source>
      <translation>„{name}“ wurde nicht von hier gesendet, also hat niemand geprüft, was es brennt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{text}” cannot stand among your own lines</source>
      <translation>„{text}“ kann nicht unter den eigenen Zeilen stehen</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{text}” does not fit {option}</source>
      <translation>„{text}“ passt nicht zu {option}</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{text}” gives no picture of dots</source>
      <translation>„{text}“ ergibt kein Bild aus Punkten</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{text}” is no drawing scale</source>
      <translation>„{text}“ ist kein Zeichnungsmaßstab</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{text}” is no length</source>
      <translation>„{text}“ ist keine Länge</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{text}” is no number</source>
      <translation>„{text}“ ist keine Zahl</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{text}” is no place</source>
      <translation>„{text}“ ist kein Ort</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{text}” is no round piece</source>
      <translation>„{text}“ ist kein rundes Stück</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{text}” is no setting</source>
      <translation>„{text}“ ist keine Einstellung</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{text}” is no speed</source>
      <translation>„{text}“ ist keine Geschwindigkeit</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{text}” is no step</source>
      <translation>„{text}“ ist kein Schritt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{text}” is not sent: it is empty, too long, or holds a sign that acts at once</source>
      <translation>„{text}“ wird nicht gesandt: leer, zu lang, oder mit einem Zeichen, das sofort wirkt</translation>
    </message>
    <message>
      <extracomment>wording/src/sentences.cpp</extracomment>
      <source>“{word}” is not understood</source>
      <translation>„{word}“ wird nicht verstanden</translation>
    </message>
  </context>
</TS>
