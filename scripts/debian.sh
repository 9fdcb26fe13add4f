#!/bin/sh
# Installs what the browser tests need from Debian's packages, where it is not there already:
# Chromium, and programs that read what the app writes.
set -eu
missing=""
[ -x "${CHROMIUM:-/usr/bin/chromium}" ] || missing="$missing chromium"
command -v hp2xx >/dev/null 2>&1 || missing="$missing hp2xx"
command -v pdftocairo >/dev/null 2>&1 || missing="$missing poppler-utils"
if [ -z "$missing" ]; then
  exit 0
fi
if ! command -v apt-get >/dev/null 2>&1; then
  echo "The browser tests need$missing: install them, and set CHROMIUM to the path of Chromium." >&2
  exit 1
fi
sudo=""
if [ "$(id -u)" -ne 0 ]; then
  sudo="sudo"
fi
$sudo apt-get update
# shellcheck disable=SC2086 # the packages are words of their own
DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y --no-install-recommends $missing
