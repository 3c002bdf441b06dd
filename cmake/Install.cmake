# SPDX-License-Identifier: GPL-3.0-or-later
# What `cmake --install` puts where, and the Debian package CPack makes of it.
include(GNUInstallDirs)
install(TARGETS chalkline-cli chalkline-sim RUNTIME DESTINATION ${CMAKE_INSTALL_BINDIR})
install(DIRECTORY samples/ DESTINATION ${CMAKE_INSTALL_DATADIR}/chalkline/samples PATTERN "*.py" EXCLUDE)
install(FILES docs/man/chalkline-cli.1 docs/man/chalkline-sim.1 DESTINATION ${CMAKE_INSTALL_MANDIR}/man1)
install(FILES packaging/completion/chalkline-cli.bash
  DESTINATION ${CMAKE_INSTALL_DATADIR}/bash-completion/completions RENAME chalkline-cli)
install(FILES LICENSE DESTINATION ${CMAKE_INSTALL_DOCDIR} RENAME copyright)
if(CHALKLINE_APP)
  install(TARGETS chalkline RUNTIME DESTINATION ${CMAKE_INSTALL_BINDIR})
  install(FILES docs/man/chalkline.1 DESTINATION ${CMAKE_INSTALL_MANDIR}/man1)
  install(FILES packaging/chalkline.desktop DESTINATION ${CMAKE_INSTALL_DATADIR}/applications)
  install(FILES packaging/org.chalkline.Chalkline.metainfo.xml DESTINATION ${CMAKE_INSTALL_DATADIR}/metainfo)
  install(FILES packaging/chalkline-mime.xml DESTINATION ${CMAKE_INSTALL_DATADIR}/mime/packages RENAME chalkline.xml)
  install(FILES packaging/chalkline.svg DESTINATION ${CMAKE_INSTALL_DATADIR}/icons/hicolor/scalable/apps)
  install(FILES packaging/application-x-chalkline-job.svg
    DESTINATION ${CMAKE_INSTALL_DATADIR}/icons/hicolor/scalable/mimetypes)
endif()

set(CPACK_GENERATOR DEB)
set(CPACK_PACKAGE_NAME chalkline)
set(CPACK_PACKAGE_CONTACT "The Chalkline authors <chalkline@example.org>")
set(CPACK_PACKAGE_DESCRIPTION_SUMMARY "set up, rehearse and burn laser engraving jobs")
set(CPACK_PACKAGING_INSTALL_PREFIX /usr)
set(CPACK_STRIP_FILES ON)
set(CPACK_DEBIAN_FILE_NAME DEB-DEFAULT)
set(CPACK_DEBIAN_PACKAGE_SECTION graphics)
set(CPACK_DEBIAN_PACKAGE_SHLIBDEPS ON)
# What is loaded while it runs, so that no linker knows of it.
set(CPACK_DEBIAN_PACKAGE_DEPENDS "hershey-fonts-data, qt6-image-formats-plugins, libqt6svg6")
set(CPACK_DEBIAN_PACKAGE_RECOMMENDS "fonts-inter, fonts-jetbrains-mono, qt6-wayland, xdg-desktop-portal")
include(CPack)
