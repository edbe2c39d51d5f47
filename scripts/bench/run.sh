#!/usr/bin/env bash
# Starts a PostgreSQL of its own, measures, stops it.
here=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
. "$here/scripts/lib.sh"
data=$(mktemp -d /tmp/winculum-bench-XXXXXX)
chmod 755 "$data"
trap 'stop_postgres; rm -rf "$data"' EXIT
build_if_changed
start_postgres "$data"
BENCH_DATABASE_URL=$DATABASE_URL npx --prefix "$here" tsx "$here/scripts/bench/main.ts"
