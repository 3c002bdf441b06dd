# SPDX-License-Identifier: GPL-3.0-or-later
file(GLOB_RECURSE sources ${SOURCE}/core/*.?pp ${SOURCE}/platform/*.?pp ${SOURCE}/wording/*.?pp ${SOURCE}/app/*.?pp
  ${SOURCE}/tools/*.?pp ${SOURCE}/tests/*.?pp)
list(LENGTH sources count)
if(count LESS 50)
  message(FATAL_ERROR "only ${count} sources found: the pattern is wrong")
endif()
foreach(source IN LISTS sources)
  file(STRINGS ${source} bad REGEX "#include [<\"]\\.\\./")
  if(bad)
    message(FATAL_ERROR "${source} includes from above its folder: ${bad}")
  endif()
endforeach()
