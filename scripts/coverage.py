#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Prints which share of the lines of every library the tests reached.

    scripts/coverage.py PROFILES BUILD

PROFILES: the folder that LLVM_PROFILE_FILE pointed into while the tests ran. BUILD: what they were built in.
"""
import collections
import json
import pathlib
import subprocess
import sys


def lines_reached(profiles, build):
    """{library: [lines reached, lines]}, of core, platform, wording and app."""
    merged = profiles / "all.profdata"
    raw = [str(file) for file in profiles.glob("*.profraw")]
    subprocess.run(["llvm-profdata", "merge", "-sparse", "-o", merged, *raw], check=True)
    programs = [p for p in (build / "tests").rglob("test_*") if p.is_file() and p.stat().st_mode & 0o100]
    objects = [word for program in programs for word in ("-object", str(program))]
    told = subprocess.run(["llvm-cov", "export", "-summary-only", "-instr-profile", merged, *objects],
                          check=True, capture_output=True)
    root = pathlib.Path(__file__).resolve().parent.parent
    reached = collections.defaultdict(lambda: [0, 0])
    for file in json.loads(told.stdout)["data"][0]["files"]:
        path = pathlib.Path(file["filename"])
        if not path.is_relative_to(root):
            continue
        parts = path.relative_to(root).parts
        if parts[0] in ("core", "platform", "wording", "app"):
            library = "/".join(parts[:2]) if parts[0] in ("core", "platform") else parts[0]
            lines = file["summary"]["lines"]
            for name in (library, "all"):
                reached[name][0] += lines["covered"]
                reached[name][1] += lines["count"]
    return reached


def main():
    for library, (reached, lines) in sorted(lines_reached(pathlib.Path(sys.argv[1]), pathlib.Path(sys.argv[2])).items()):
        print(f"{library:28} {100 * reached / max(lines, 1):5.1f} %  of {lines:6} lines")


main()
