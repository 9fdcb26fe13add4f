#!/bin/sh
# Makes one target after the other and tells how long each took, also when one fails.
set -u
took=""
code=0
for part in "$@"; do
  began=$(date +%s)
  make --no-print-directory "$part" || code=$?
  took="$took$(printf '%5d s  %s' "$(($(date +%s) - began))" "$part")
"
  if [ "$code" -ne 0 ]; then
    took="${took}$part failed.
"
    break
  fi
done
printf '\nTime of each part:\n%s' "$took"
exit "$code"
