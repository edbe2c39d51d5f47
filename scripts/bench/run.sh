#!/usr/bin/env bash
# Starts a PostgreSQL of its own, measures, stops it.
here=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
. "$here/scripts/lib.sh"
data=$(mktemp -d /tmp/winculum-bench-XXXXXX)
chmod 755 "$data"
# Compiled as it is for people: running the sources instead costs a fifth.
compiled=$here/scripts/.bench
trap 'stop_postgres; rm -rf "$data" "$compiled"' EXIT
build_if_changed
start_postgres "$data"
"$here/node_modules/.bin/esbuild" "$here/scripts/bench/main.ts" --bundle --packages=external --platform=node --format=esm \
  --outfile="$compiled/main.mjs" --log-level=warning
BENCH_DATABASE_URL=$DATABASE_URL node "$compiled/main.mjs"
