#!/bin/sh
# SPDX-License-Identifier: GPL-3.0-or-later
# clang-tidy over the rooms that a beam depends on, or over the folders that are named.
#   scripts/tidy.sh [FOLDER…]
set -eu
cd "$(dirname "$0")/.."
[ $# -gt 0 ] || set -- core/safety core/cleared core/clearance core/encoding core/conversation platform/link
# The tool reads one unit a file, without the flags it does not know.
cmake -S . -B build/tidy -G Ninja -DCMAKE_BUILD_TYPE=Debug -DCHALKLINE_APP=OFF -DCHALKLINE_TESTS=OFF \
    -DCMAKE_EXPORT_COMPILE_COMMANDS=ON >/dev/null
sed -i 's/ -Wno-maybe-uninitialized//; s/ -Wno-restrict//' build/tidy/compile_commands.json
find "$@" -name '*.cpp' | xargs -P 2 -n 4 clang-tidy -p build/tidy --quiet
