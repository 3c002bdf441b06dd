#!/usr/bin/env bash
# SPDX-License-Identifier: GPL-3.0-or-later
# Builds Chalkline and opens the sample job on the simulated machine.
#   ./run.sh [FILE…]               the window
#   ./run.sh --headless [ART.svg]  the whole job without a window; results in out/
set -euo pipefail
cd "$(dirname "$0")"

headless=0
if [ "${1:-}" = "--headless" ]; then
    headless=1
    shift
fi
files=()
for file in "$@"; do files+=("$(realpath -m -- "$file")"); done

scripts/install-packages.sh
if [ "$headless" -eq 1 ]; then
    scripts/build.sh chalkline-cli chalkline-sim
    exec scripts/headless.sh "${files[@]}"
fi
scripts/build.sh chalkline chalkline-sim
exec build/release/app/chalkline "${files[@]}"
