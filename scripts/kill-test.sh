#!/bin/sh
# SPDX-License-Identifier: GPL-3.0-or-later
# Kills a saving program at random moments, 500 times or as often as said, and opens the file after each.
#   scripts/kill-test.sh [TIMES]
set -eu
cd "$(dirname "$0")/.."
CHALKLINE_KILLS=${1:-500} build/release/tests/test_job "kill -9*"
