# SPDX-License-Identifier: GPL-3.0-or-later
# Compiler settings shared by every target.
set(CMAKE_CXX_STANDARD 20)
set(CMAKE_CXX_STANDARD_REQUIRED ON)
set(CMAKE_CXX_EXTENSIONS OFF)
set(CMAKE_VERIFY_INTERFACE_HEADER_SETS ON)

if(NOT CMAKE_BUILD_TYPE)
  set(CMAKE_BUILD_TYPE Release CACHE STRING "" FORCE)
endif()

# Same input, same bytes: no fused multiply-add that one machine does and another does not.
add_compile_options(-Wall -Wextra -Wpedantic -Wshadow -Wnon-virtual-dtor -Woverloaded-virtual -Werror -ffp-contract=off)

# GCC 12 warns about std::string's own insert when it is inlined (GCC bug 105651), and about members of the alternative
# a std::variant does not hold (GCC bug 105562).
add_compile_options($<$<CXX_COMPILER_ID:GNU>:-Wno-restrict> $<$<CXX_COMPILER_ID:GNU>:-Wno-maybe-uninitialized>)
# Clang takes the constants of another file in a unity build for shadowed.
add_compile_options($<$<CXX_COMPILER_ID:Clang>:-Wno-shadow>)

# Where it is installed: it links in a fifth of the time, which the many test programs feel.
find_program(LLD ld.lld)
if(LLD)
  add_link_options(-fuse-ld=lld)
endif()

option(CHALKLINE_SANITIZE "Build with sanitizers: address everywhere; undefined behaviour and the lines reached in core and platform (clang)" OFF)
if(CHALKLINE_SANITIZE)
  add_compile_options(-fsanitize=address -fno-omit-frame-pointer)
  add_link_options(-fsanitize=address,undefined,float-cast-overflow -fprofile-instr-generate)
  # For core and platform; everything else would take three times as long to build.
  set(CHALKLINE_CLOSE_WATCH -fsanitize=undefined,float-cast-overflow,fuzzer-no-link -fno-sanitize-recover=all
    -fprofile-instr-generate -fcoverage-mapping)
endif()

option(CHALKLINE_SANITIZE_THREADS "Build with the thread sanitizer" OFF)
if(CHALKLINE_SANITIZE_THREADS)
  add_compile_options(-fsanitize=thread -fno-omit-frame-pointer -Wno-tsan)
  add_link_options(-fsanitize=thread)
endif()

find_program(CCACHE ccache)
if(CCACHE AND NOT CMAKE_CXX_COMPILER_LAUNCHER)
  set(CMAKE_CXX_COMPILER_LAUNCHER ${CMAKE_COMMAND} -E env
    CCACHE_BASEDIR=${CMAKE_SOURCE_DIR} CCACHE_NOHASHDIR=1 ${CCACHE})
endif()
