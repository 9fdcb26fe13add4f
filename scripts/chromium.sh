#!/bin/sh
# Installs Chromium from Debian's packages where it is not there already.
set -eu
if [ -x "${CHROMIUM:-/usr/bin/chromium}" ]; then
  exit 0
fi
if ! command -v apt-get >/dev/null 2>&1; then
  echo "The browser tests need Chromium: install it, and set CHROMIUM to its path." >&2
  exit 1
fi
sudo=""
if [ "$(id -u)" -ne 0 ]; then
  sudo="sudo"
fi
$sudo apt-get update
DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y --no-install-recommends chromium
