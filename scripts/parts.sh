#!/bin/sh
# Makes one target after the other and tells how long each took, also when one fails; and of a virtual
# machine, how much of its processors was given to others meanwhile, which says what a quiet one would take.
set -u

# The ticks that other machines had of these processors; nothing where the system does not count them.
stolen() { awk '/^cpu /{print $9; exit}' /proc/stat 2>/dev/null; }
per_second=$(($(getconf CLK_TCK) * $(getconf _NPROCESSORS_ONLN)))

# One line: seconds, what they were for, and the share of the processors that was given away.
line() {
  lost=0
  if [ "$1" -gt 0 ]; then lost=$((100 * $3 / ($1 * per_second))); fi
  printf '%5d s  %s' "$1" "$2"
  if [ "$lost" -gt 0 ]; then printf '  (%d %% of the processors went to other machines)' "$lost"; fi
}

took=""
code=0
first=$(date +%s) given=$(stolen)
for part in "$@"; do
  began=$(date +%s) before=$(stolen)
  make --no-print-directory "$part" || code=$?
  now=$(stolen)
  took="$took$(line $(($(date +%s) - began)) "$part" $((${now:-0} - ${before:-0})))
"
  if [ "$code" -ne 0 ]; then
    took="${took}$part failed.
"
    break
  fi
done
now=$(stolen)
printf '\nTime of each part:\n%s%s\n' "$took" "$(line $(($(date +%s) - first)) "all" $((${now:-0} - ${given:-0})))"
exit "$code"
