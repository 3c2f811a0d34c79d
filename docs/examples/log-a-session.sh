#!/bin/sh
# Logs a session of a lifter, however often it is run, and prints their numbers of today.
# usage: log-a-session.sh ADDRESS TOKEN LIFTER   as   log-a-session.sh https://yarbel.example yarbel_… 7
set -eu
api="$1/api/v1" token="$2" lifter="$3"
day=$(date -u +%F)

ask() { curl --silent --show-error --fail-with-body --header "Authorization: Bearer $token" "$@"; }

ask --header "Content-Type: application/json" --header "Idempotency-Key: rows-$lifter-$day" \
  --data '{"on": "'"${DAY:-$day}"'", "finished": true, "effort": 7, "sets": [
    {"lift": "barbell-row", "load": {"kg": 80}, "reps": 8, "effort": "8"},
    {"lift": "barbell-row", "load": {"lb": 175}, "reps": 8, "effort": "8.5", "note": "grip"}]}' \
  "$api/lifters/$lifter/sessions"
echo
ask "$api/lifters/$lifter/lifts"
echo
