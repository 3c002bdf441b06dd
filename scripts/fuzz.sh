#!/bin/sh
# SPDX-License-Identifier: GPL-3.0-or-later
# Fuzzes the readers of art and of everything else that comes from outside, and the conversations with boards.
#   scripts/fuzz.sh [SECONDS]   for a while (default 60), split over the kinds of files; what is learned stays in
#                               build/asan/corpus, and so does an input that breaks something (crash-…, timeout-…)
#   scripts/fuzz.sh --runs N    N inputs of each kind from a fixed seed: the same ones every time, for CI
set -eu
cd "$(dirname "$0")/.."
found=build/asan/corpus
if [ "${1:-}" = --runs ]; then
    limit="-runs=$2 -seed=1"
    found=$(mktemp -d)
else
    limit="-max_total_time=$((${1:-60} / 6))"
fi
cmake --preset asan >/dev/null
cmake --build --preset asan --target fuzz_art fuzz_pictures fuzz_texts fuzz_sessions
for kind in svg dxf pdf pictures texts sessions; do
    # cairo and poppler leak a surface on some broken transparency groups; that is theirs, and small.
    leaks=1
    [ "$kind" = pdf ] && leaks=0
    target=fuzz_art
    slowest=20
    # A few bytes may honestly describe 200 megapixels of one colour; with the sanitizers they take a while.
    case $kind in texts | sessions) target=fuzz_$kind ;; esac
    [ "$kind" = pictures ] && target=fuzz_pictures && slowest=60
    mkdir -p "$found/$kind"
    # shellcheck disable=SC2086  # the limit is one or two options
    ASAN_OPTIONS=detect_leaks=$leaks "build/asan/tests/fuzz/$target" $limit -timeout=$slowest -rss_limit_mb=3000 \
        -max_len=65536 -detect_leaks=$leaks -artifact_prefix="$found/" "$found/$kind" "tests/fuzz/corpus/$kind"
done
