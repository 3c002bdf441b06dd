#!/usr/bin/env bash
# SPDX-License-Identifier: GPL-3.0-or-later
# Configures and builds the release preset: everything, or the targets named.
set -euo pipefail
cd "$(dirname "$0")/.."
log=build/build.log
mkdir -p build
targets=()
[ $# -gt 0 ] && targets=(--target "$@")
if ! { cmake --preset release && cmake --build --preset release "${targets[@]}"; } > "$log" 2>&1; then
    tail -n 40 "$log" >&2
    echo "error: the build failed; the whole log is in $log" >&2
    exit 1
fi
