#!/usr/bin/env bash
# SPDX-License-Identifier: GPL-3.0-or-later
# The whole job without a window: art → program → simulated burn. Leaves in out/:
#   program.gcode  plan.json  burn.png  dose.bin  report.json  burn.json
set -euo pipefail
cd "$(dirname "$0")/.."
cli=build/release/tools/cli/chalkline-cli
sim=build/release/tools/simulator/chalkline-sim
job=${1:-samples/plot-27.chalk}
out=out
mkdir -p "$out"
rm -f "$out"/program.gcode "$out"/plan.json "$out"/burn.png "$out"/dose.bin "$out"/report.json "$out"/burn.json

status=0
"$cli" plan "$job" --machine samples/bench-laser.json -o "$out/program.gcode" --json > "$out/plan.json" || status=$?
if [ "$status" -ne 0 ]; then
    echo "nothing was burned: $out/plan.json says why" >&2
    exit "$status"
fi

folder=$(mktemp -d)
stock=()
[ $# -eq 0 ] && stock=(--stock samples/birch-piece.json)
"$sim" --pty "$folder/port" --speed max --profile samples/bench-laser.json "${stock[@]}" \
    --picture "$out/burn.png" --dose "$out/dose.bin" --report "$out/report.json" > "$folder/log" &
machine=$!
trap 'kill "$machine" 2>/dev/null || true; rm -rf "$folder"' EXIT
for _ in $(seq 100); do [ -e "$folder/port" ] && break; sleep 0.05; done
if [ ! -e "$folder/port" ]; then
    echo "nothing was burned: the simulated machine did not start" >&2
    exit 4
fi

"$cli" burn "$out/program.gcode" --port "$folder/port" --machine samples/bench-laser.json --json > "$out/burn.json" || status=$?
kill "$machine"
wait "$machine" || status=$?
[ "$status" -eq 0 ] || { echo "the burn did not finish (exit code $status)" >&2; exit "$status"; }

echo "burned: $out/burn.png · program: $out/program.gcode · reports: $out/plan.json $out/report.json"
