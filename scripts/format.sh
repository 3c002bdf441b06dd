#!/bin/sh
# SPDX-License-Identifier: GPL-3.0-or-later
# Formats all sources; with --check says which are not, and changes nothing.
set -eu
cd "$(dirname "$0")/.."
files=$(find app core platform tests tools wording -name '*.cpp' -o -name '*.hpp')
if [ "${1:-}" = --check ]; then
    # shellcheck disable=SC2086  # one word a file
    exec clang-format --dry-run --Werror $files
fi
# shellcheck disable=SC2086
clang-format -i $files
