# SPDX-License-Identifier: GPL-3.0-or-later
include(GNUInstallDirs)
install(TARGETS chalkline-cli chalkline-sim RUNTIME DESTINATION ${CMAKE_INSTALL_BINDIR})
install(DIRECTORY samples/ DESTINATION ${CMAKE_INSTALL_DATADIR}/chalkline/samples)
if(CHALKLINE_APP)
  install(TARGETS chalkline RUNTIME DESTINATION ${CMAKE_INSTALL_BINDIR})
endif()
