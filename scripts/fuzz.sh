#!/bin/sh
# Fuzzes the readers of art. Usage: scripts/fuzz.sh [SECONDS] (default 60), split over the kinds of files.
# New inputs go to build/fuzz/corpus; one that breaks something is left there as crash-… or timeout-….
set -eu
cd "$(dirname "$0")/.."
seconds=${1:-60}
cmake --preset fuzz >/dev/null
cmake --build --preset fuzz --target fuzz_art
for kind in svg dxf pdf; do
    # poppler and cairo leak a surface on some broken transparency groups; that is theirs, and small.
    leaks=1
    [ "$kind" = pdf ] && leaks=0
    mkdir -p "build/fuzz/corpus/$kind"
    ASAN_OPTIONS=detect_leaks=$leaks build/fuzz/tests/fuzz/fuzz_art -max_total_time=$((seconds / 3)) -timeout=20 \
        -rss_limit_mb=3000 -max_len=65536 -detect_leaks=$leaks \
        -artifact_prefix="build/fuzz/corpus/" "build/fuzz/corpus/$kind" "tests/fuzz/corpus/$kind"
done
