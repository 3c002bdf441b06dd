<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="en" sourcelanguage="en">
  <context>
    <name>chalkline</name>
    <message numerus="yes">
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source> %n could not be read; the first: </source>
      <translation>
        <numerusform> %n could not be read: </numerusform>
        <numerusform> %n could not be read; the first: </numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/widgets/dose_pad.cpp</extracomment>
      <source>%1 at %2, %3 millijoules a millimetre, %n marks</source>
      <translation>
        <numerusform>%1 at %2, %3 millijoules a millimetre, %n mark</numerusform>
        <numerusform>%1 at %2, %3 millijoules a millimetre, %n marks</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/swatches/swatches_view.cpp</extracomment>
      <source>%n cards</source>
      <translation>
        <numerusform>%n card</numerusform>
        <numerusform>%n cards</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/commands/command_sheets.cpp</extracomment>
      <source>%n found</source>
      <translation>
        <numerusform>%n found</numerusform>
        <numerusform>%n found</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/swatches/dose_plot.cpp</extracomment>
      <source>%n measured swatches</source>
      <translation>
        <numerusform>%n measured swatch</numerusform>
        <numerusform>%n measured swatches</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>%n motifs</source>
      <translation>
        <numerusform>%n motif</numerusform>
        <numerusform>%n motifs</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/bed/bed_view.cpp</extracomment>
      <source>%n motifs, none chosen</source>
      <translation>
        <numerusform>%n motif, not chosen</numerusform>
        <numerusform>%n motifs, none chosen</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/trays/art/placing_panel.cpp</extracomment>
      <source>%n of its objects</source>
      <translation>
        <numerusform>%n of its objects</numerusform>
        <numerusform>%n of its objects</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/trays/art/trace_panel.cpp</extracomment>
      <source>%n outlines</source>
      <translation>
        <numerusform>%n outline</numerusform>
        <numerusform>%n outlines</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/recipes/recipe_shelf.cpp</extracomment>
      <source>%n recipes</source>
      <translation>
        <numerusform>%n recipe</numerusform>
        <numerusform>%n recipes</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>%n recipes imported</source>
      <translation>
        <numerusform>%n recipe imported</numerusform>
        <numerusform>%n recipes imported</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>%n single objects go by their inks again.</source>
      <translation>
        <numerusform>%n single object goes by its ink again.</numerusform>
        <numerusform>%n single objects go by their inks again.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/trays/steps/steps_tray.cpp</extracomment>
      <source>%n steps are set at once.</source>
      <translation>
        <numerusform>%n step is set.</numerusform>
        <numerusform>%n steps are set at once.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/recipes/recipe_sheets.cpp</extracomment>
      <source>%n steps take the place of the job's own.</source>
      <translation>
        <numerusform>%n step takes the place of the job's own.</numerusform>
        <numerusform>%n steps take the place of the job's own.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/swatches/card_design_panel.cpp</extracomment>
      <source>%n swatches left out.</source>
      <translation>
        <numerusform>%n swatch left out.</numerusform>
        <numerusform>%n swatches left out.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/swatches/card_canvas.cpp</extracomment>
      <source>%n swatches, none chosen</source>
      <translation>
        <numerusform>%n swatch, not chosen</numerusform>
        <numerusform>%n swatches, none chosen</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/swatches/read_panel.cpp</extracomment>
      <source>%n swatches, within %1 of the curve.</source>
      <translation>
        <numerusform>%n swatch, within %1 of the curve.</numerusform>
        <numerusform>%n swatches, within %1 of the curve.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/recipes/recipes_view.cpp</extracomment>
      <source>%n were there already.</source>
      <translation>
        <numerusform>%n was there already.</numerusform>
        <numerusform>%n were there already.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/trays/checks_panel.cpp</extracomment>
      <source>Checks: %n open</source>
      <translation>
        <numerusform>Checks: %n open</numerusform>
        <numerusform>Checks: %n open</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/trays/burn_tray.cpp</extracomment>
      <source>Only %n pieces of art</source>
      <translation>
        <numerusform>Only %n piece of art</numerusform>
        <numerusform>Only %n pieces of art</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/session/machine_keeper.cpp</extracomment>
      <source>This controller is new here: %n of its figures were taken over</source>
      <translation>
        <numerusform>This controller is new here: %n of its figures was taken over</numerusform>
        <numerusform>This controller is new here: %n of its figures were taken over</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <extracomment>app/swatches/card_book.cpp</extracomment>
      <source>burned %1, %n kept</source>
      <translation>
        <numerusform>burned %1, %n kept</numerusform>
        <numerusform>burned %1, %n kept</numerusform>
      </translation>
    </message>
  </context>
</TS>
