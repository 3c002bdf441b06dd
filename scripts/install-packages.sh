#!/usr/bin/env bash
# SPDX-License-Identifier: GPL-3.0-or-later
# Installs the Debian packages that are missing, and those named as arguments, as root or with sudo; otherwise names them
# and stops.
set -euo pipefail
here=$(cd "$(dirname "$0")" && pwd)

missing=()
while read -r package; do
    dpkg-query -W -f '${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || missing+=("$package")
done < <(cat "$here/packages.txt"; [ $# -eq 0 ] || printf '%s\n' "$@")
[ ${#missing[@]} -eq 0 ] && exit 0

if [ "$(id -u)" -eq 0 ]; then
    as_root=(env)
elif command -v sudo >/dev/null; then
    as_root=(sudo)
else
    echo "missing packages, and neither root nor sudo to install them: ${missing[*]}" >&2
    exit 1
fi
echo "installing ${#missing[@]} packages: ${missing[*]}"
apt=(apt-get -o DPkg::Lock::Timeout=500)
"${as_root[@]}" "${apt[@]}" -q update
"${as_root[@]}" DEBIAN_FRONTEND=noninteractive "${apt[@]}" install -qy --no-install-recommends "${missing[@]}"
