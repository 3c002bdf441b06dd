# SPDX-License-Identifier: GPL-3.0-or-later
# cmake -DBUILD=… -DPLACE=… -P installed.cmake: what is installed is all there, and the installed command line works.
file(REMOVE_RECURSE "${PLACE}")
execute_process(COMMAND ${CMAKE_COMMAND} --install "${BUILD}" --prefix "${PLACE}" RESULT_VARIABLE failed OUTPUT_QUIET)
if(failed)
  message(FATAL_ERROR "installing failed")
endif()
foreach(file bin/chalkline bin/chalkline-cli bin/chalkline-sim share/applications/chalkline.desktop
    share/metainfo/org.chalkline.Chalkline.metainfo.xml share/mime/packages/chalkline.xml
    share/icons/hicolor/scalable/apps/chalkline.svg
    share/icons/hicolor/scalable/mimetypes/application-x-chalkline-job.svg share/chalkline/samples/plot-27.chalk
    share/man/man1/chalkline.1 share/man/man1/chalkline-cli.1 share/man/man1/chalkline-sim.1
    share/bash-completion/completions/chalkline-cli)
  if(NOT EXISTS "${PLACE}/${file}")
    message(FATAL_ERROR "${file} is not installed")
  endif()
endforeach()
execute_process(COMMAND "${PLACE}/bin/chalkline-cli" plan "${PLACE}/share/chalkline/samples/plot-27.chalk"
  RESULT_VARIABLE failed OUTPUT_VARIABLE told)
if(failed OR NOT told MATCHES "total")
  message(FATAL_ERROR "the installed command line does not plan: ${told}")
endif()
file(REMOVE_RECURSE "${PLACE}")
