#!/usr/bin/env bash
# Runs every suite, or those named (core formats store server web e2e), and sums their machine-readable reports; a suite that is missing, crashed or empty fails.
set -uo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
results="$PWD/artifacts/results"
rm -rf "$results"; mkdir -p "$results"
parts=("$@"); [ $# -gt 0 ] || parts=(core formats store server web e2e)
for part in "${parts[@]}"; do [[ "$part" =~ ^(core|formats|store|server|web|e2e)$ ]] || { echo "there is no part $part: core, formats, store, server, web or e2e"; exit 2; }; done
wanted() { [[ " ${parts[*]} " == *" $1 "* ]]; }
broken=0
step() { echo; echo "== $1"; shift; "$@" || { broken=$((broken + 1)); echo "!! failed: $*"; }; }

fresh_types() {
  (cd web && npx openapi-typescript ../artifacts/openapi/Wrapper.Server.json -o ../artifacts/schema.d.ts >/dev/null 2>&1) \
    && diff -q artifacts/schema.d.ts web/src/api/schema.d.ts \
    || { echo "web/src/api/schema.d.ts is stale: run npm run api-types in web/"; return 1; }
}

# What is only read runs beside the suites of the core, on the core that they leave free; told when it has ended.
checks() {
  broken=0
  if wanted core; then step "Format of C#" bash -c 'dotnet tool restore >/dev/null && dotnet csharpier check src tests bench'; fi
  if wanted web; then
    step "API types" fresh_types
    step "Format of the front end" bash -c 'cd web && npm run --silent format-check'
    step "Type check" bash -c 'cd web && npx tsc --noEmit'
    step "Lint" bash -c 'cd web && npx eslint . --max-warnings 0'
    step "Front end" bash -c 'cd web && npx vitest run'
  fi
  exit "$broken"
}
(checks) > "$results/checks.log" 2>&1 & checking=$!
trap 'kill "$checking" 2>/dev/null || true' EXIT
for suite in Core Formats Store Server; do
  wanted "${suite,,}" || continue
  step "Wrapper.$suite.Tests" dotnet test "tests/Wrapper.$suite.Tests" -c Release --no-build --nologo -v quiet --logger "trx;LogFileName=$results/$suite.trx"
done
wait "$checking"; broken=$((broken + $?))
trap - EXIT
cat "$results/checks.log"
if wanted e2e; then step "In the browser" bash -c 'cd web && NODE_PATH=$PWD/node_modules npx playwright test -c ../tests/e2e/playwright.config.ts --project stages'; fi

node tests/sum.mjs "$results" "$broken" "${parts[@]}"
