#!/bin/sh
# Installs what the browser tests need from Debian's packages, where it is not there already:
# Chromium without a window, and programs that read what the app writes.
set -eu
missing=""
if ! [ -x "${CHROMIUM:-/usr/bin/chromium-headless-shell}" ] && ! [ -x /usr/bin/chromium ]; then
  missing="chromium"
fi
command -v hp2xx >/dev/null 2>&1 || missing="$missing hp2xx"
command -v pdftocairo >/dev/null 2>&1 || missing="$missing poppler-utils"
if [ -z "$missing" ]; then
  exit 0
fi
if ! command -v apt-get >/dev/null 2>&1; then
  echo "The browser tests need $missing: install them, and set CHROMIUM to the path of Chromium." >&2
  exit 1
fi
sudo=""
if [ "$(id -u)" -ne 0 ]; then
  sudo="sudo"
fi
$sudo apt-get update
case "$missing" in
*chromium*)
  if apt-cache show chromium-headless-shell >/dev/null 2>&1; then
    missing=$(echo "$missing" | sed 's/chromium/chromium-headless-shell/')
  fi
  ;;
esac
# shellcheck disable=SC2086 # the packages are words of their own
DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y --no-install-recommends $missing
